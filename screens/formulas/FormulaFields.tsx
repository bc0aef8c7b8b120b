import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { isBatter, type FormulaDoc, type Makes, type Method } from '../../core/model/documents';
import { tooLongFor } from '../../core/model/formulaDoc';
import { fillsBy } from '../../core/formula/compare';
import { guessMethod, mayMix, readFormula } from '../../core/formula';
import { METHODS } from '../../core/process/batter.table';
import { showText, type Measures, type NumberStyle, type ReadLine } from '../../core/quantity';
import { useKitchen, useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { FieldFault } from '../../ui/fieldFault';
import { ChoiceValue, Sentence, Words, type Choice } from '../../ui/sentence';
import { TemperatureValue } from '../../ui/temperatureValue';
import { Small } from '../../ui/text';
import { useWide } from '../../ui/screen';

const MEASURES: readonly Choice<Measures>[] = [
  {
    value: 'us',
    title: 'US cups and eggs',
    detail: 'A cup is 237 ml, a tablespoon 15, a large egg 50 g without shell.',
  },
  {
    value: 'metric',
    title: 'metric cups and eggs',
    detail: 'A cup is 250 ml, a tablespoon 15, a large egg 57 g without shell.',
  },
  {
    value: 'australian',
    title: 'Australian cups and eggs',
    detail: 'A cup is 250 ml, a tablespoon 20, a large egg 50 g without shell.',
  },
];

/** Each method with what it would make of this formula: how much it fills in the bowl, and how much it is baked. */
function methodChoices(doc: FormulaDoc, massG: number, style: NumberStyle): Choice<Method>[] {
  return (Object.keys(METHODS) as Method[]).map((key) => {
    const { name, meaning, batterDensity, cakeDensity } = METHODS[key];
    const { batterMl, cakeMl } = fillsBy(key, massG);
    const dense = `About ${showText(batterDensity.value, 'g/ml', style)} in the bowl, ${showText(cakeDensity.value, 'g/ml', style)} baked`;
    const fills = `so this batch of ${showText(massG, 'g', style)} would fill ${showText(batterMl, 'ml', style)}, then ${showText(cakeMl, 'ml', style)} as cake`;
    const now = key === doc.method ? ' As it is now.' : '';
    return { value: key, title: name, detail: `${meaning} ${dense}${massG > 0 ? `: ${fills}` : ''}.${now}` };
  });
}

/** How it is mixed, by what its lines and steps tell, or where they tell otherwise; null where nothing tells. */
function mixedWords(doc: FormulaDoc, lines: readonly ReadLine[]): string | null {
  const { method, because } = guessMethod(lines, doc.steps);
  if (because === null) return null;
  const { name } = METHODS[method];
  if (method === doc.method) return `Taken as ${name}: ${because}.`;
  return mayMix(doc.method, method)
    ? null
    : `It reads like ${name}: ${because}. How it is mixed decides how heavy the batter is.`;
}

const MAKES: readonly Choice<Makes>[] = [
  { value: 'batter', title: 'batter', detail: 'Baked, in wells, sheets or mugs.' },
  { value: 'frosting', title: 'frosting', detail: 'On top; it binds and fills as well.' },
  { value: 'filling', title: 'filling', detail: 'Inside.' },
  { value: 'binder', title: 'binder', detail: 'Holds crumb together.' },
  { value: 'coat', title: 'coat', detail: 'Melted and dipped in.' },
  { value: 'topping', title: 'topping', detail: 'On the coat, or a part of other formulas.' },
];

/** What a formula is besides its lines, as a sentence. */
export function FormulaSentence({
  doc,
  onChange,
}: {
  readonly doc: FormulaDoc;
  readonly onChange: (label: string, over: Partial<FormulaDoc>) => void;
}) {
  const style = useNumberStyle();
  const kitchen = useKitchen();
  const mixed = isBatter(doc) ? mixedWords(doc, readFormula(doc, kitchen).lines) : null;
  return (
    <>
      <Sentence>
        <Words>A</Words>
        {isBatter(doc) ? (
          <ChoiceValue
            label="Method"
            title="How it is mixed"
            value={doc.method}
            text={METHODS[doc.method].name}
            choices={() => methodChoices(doc, readFormula(doc, kitchen).massG, style)}
            onChoose={(method) => onChange('Method', { method })}
            testID="value-method"
          />
        ) : null}
        <ChoiceValue
          label="What it makes"
          title="What it makes"
          value={doc.makes ?? 'batter'}
          text={doc.makes ?? 'batter'}
          choices={MAKES}
          onChoose={(makes) => onChange('What it makes', { makes })}
          testID="value-makes"
          after=","
        />
        <Words>written in</Words>
        <ChoiceValue
          label="Measures"
          title="Which cups, spoons and eggs"
          value={doc.measures}
          text={MEASURES.find((choice) => choice.value === doc.measures)?.title ?? doc.measures}
          choices={MEASURES}
          onChoose={(measures) => onChange('Measures', { measures })}
          testID="value-measures"
          after={isBatter(doc) ? ',' : '.'}
        />
        {isBatter(doc) ? (
          <>
            <Words>for a still oven at</Words>
            <TemperatureValue
              celsius={doc.ovenC}
              onSave={(ovenC) => onChange('Oven temperature', { ovenC })}
              after="."
            />
          </>
        ) : null}
      </Sentence>
      {mixed ? <Small>{mixed}</Small> : null}
    </>
  );
}

interface LinesFieldProps {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onBlur?: () => void;
}

/** The ingredients as written: a plain sheet of paper to type or paste on. */
export function LinesField({ text, onText, onBlur }: LinesFieldProps) {
  const wide = useWide();
  const rows = Math.min(Math.max(text.split('\n').length + 1, 6), wide ? 24 : 14);
  return (
    <Card title="As written">
      <Small>As the book has it: cups, grams, spoons, sticks, eggs. A line may name several things.</Small>
      <View>
        <TextInput
          mode="outlined"
          multiline
          numberOfLines={rows}
          aria-label="Ingredients, one a line"
          placeholder={'1 1/2 cups (190 g) plain flour\n2½ tsp baking powder\n1 stick butter\n3 large eggs'}
          value={text}
          onChangeText={onText}
          onBlur={onBlur}
          style={{ fontSize: 17 }}
          contentStyle={{ lineHeight: 26, paddingTop: 12, paddingBottom: 12 }}
        />
      </View>
      <FieldFault words={tooLongFor('text', text)} />
    </Card>
  );
}
