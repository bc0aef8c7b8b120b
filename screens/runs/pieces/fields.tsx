import {
  MAX_PIECES,
  isBatter,
  type EggMode,
  type FormulaDoc,
  type Line,
  type RunDoc,
} from '../../../core/model/documents';
import { choose, type Choice as LineChoice } from '../../../core/line/edit';
import { fromShown, showText, toShown, typedUnit, counted } from '../../../core/quantity';
import { useShallow } from 'zustand/react/shallow';
import { formulaIn, formulasIn } from '../../../state/documents';
import { editLine, useDocuments, useKitchen, useNumberStyle } from '../../../state/store';

import { NumberValue } from '../../../ui/numberValue';
import { ChoiceValue, Words, type Choice } from '../../../ui/sentence';
import { TemperatureValue } from '../../../ui/temperatureValue';

/** A line being worded: what it is part of, and a way to change it. */
export interface LineProps<L extends Line> {
  readonly run: RunDoc;
  readonly line: L;
  readonly set: (label: string, over: LineChoice) => void;
}

/** Chooses something else of a line. */
export function setterOf<L extends Line>(run: RunDoc, line: L): LineProps<L>['set'] {
  return (label, over) => editLine(label, run.id, line.id, choose(over));
}

export const choicesOf = <T extends string>(
  table: Readonly<Record<T, { readonly name?: string; readonly meaning?: string; readonly watch?: string }>>,
): Choice<T>[] =>
  (Object.keys(table) as T[]).map((key) => ({
    value: key,
    title: table[key].name ?? key,
    detail: [table[key].meaning, table[key].watch].filter(Boolean).join(' ') || undefined,
  }));

export const plainChoices = <T extends string>(keys: readonly T[]): Choice<T>[] =>
  keys.map((key) => ({ value: key, title: key }));

export function CountField({
  line,
  set,
}: {
  readonly line: { readonly count: number; readonly batches?: number | null | undefined };
  readonly set: (label: string, over: { count: number }) => void;
}) {
  // As written, the batter says how many.
  if (line.batches) return <Words>As many as come of it:</Words>;
  return (
    <NumberValue
      testID="value-count"
      label="How many"
      text={String(line.count)}
      ask={{
        title: 'How many',
        value: line.count,
        unit: '',
        min: 1,
        max: MAX_PIECES,
        whole: true,
        quick: [12, 24, 36, 48],
      }}
      onSave={(count) => set(`Count ${count}`, { count })}
    />
  );
}

/** Formulas that are batters, or that make some other thing. */
export function useFormulas(makes: FormulaDoc['makes'] = 'batter'): FormulaDoc[] {
  // Drawn anew only when a formula changes, not with every change of any document.
  const formulas = useDocuments(useShallow((state) => formulasIn(state.docs)));
  return formulas.filter((doc) => (makes === 'batter' ? isBatter(doc) : doc.makes === makes));
}

export function FormulaField({
  value,
  onChoose,
  after,
  label = 'Formula',
}: {
  readonly value: string;
  readonly onChoose: (id: string) => void;
  readonly after?: string;
  readonly label?: string;
}) {
  const style = useNumberStyle();
  const formulas = useFormulas();
  const known = useDocuments((state) => formulaIn(state.docs, value));
  return (
    <ChoiceValue
      testID="value-formula"
      label={label}
      title="Which formula"
      value={value}
      text={known?.name ?? 'a formula that is gone'}
      choices={() =>
        formulas.map((item) => ({
          value: item.id,
          title: item.name,
          detail: `${item.method}, ${showText(item.ovenC, '°C', style)}`,
        }))
      }
      onChoose={onChoose}
      after={after}
    />
  );
}

/** Something of the kitchen by its id. */
export function ThingField<T extends { readonly id: string; readonly name: string }>({
  things,
  value,
  label,
  title,
  gone,
  detail,
  onChoose,
  after,
  testID,
}: {
  readonly things: readonly T[];
  readonly value: string;
  readonly label: string;
  readonly title: string;
  readonly gone: string;
  readonly detail: (thing: T) => string;
  readonly onChoose: (id: string) => void;
  readonly after?: string;
  readonly testID?: string;
}) {
  const known = things.find((item) => item.id === value);
  return (
    <ChoiceValue
      testID={testID}
      label={label}
      title={title}
      value={value}
      text={known?.name ?? gone}
      choices={() => things.map((item) => ({ value: item.id, title: item.name, detail: detail(item) }))}
      onChoose={onChoose}
      after={after}
    />
  );
}

export function OvenField({
  value,
  onChoose,
}: {
  readonly value: string;
  readonly onChoose: (id: string) => void;
}) {
  const { ovens } = useKitchen();
  return (
    <ThingField
      testID="value-oven"
      things={ovens}
      value={value}
      label="Oven"
      title="Which oven"
      gone="an oven that is gone"
      detail={(item) =>
        `${item.fan ? 'With a fan' : 'Still'}, ${counted(item.racks * item.tinsPerRack, 'tin')} at once`
      }
      onChoose={onChoose}
    />
  );
}

export function OvenTemperature({
  ovenC,
  formulaId,
  after,
  onSave,
}: {
  readonly ovenC: number | null;
  readonly formulaId: string;
  readonly after?: string;
  readonly onSave: (celsius: number) => void;
}) {
  const style = useNumberStyle();
  const formula = useDocuments((state) => formulaIn(state.docs, formulaId));
  return (
    <TemperatureValue
      testID="value-ovenC"
      celsius={ovenC ?? formula?.ovenC ?? 175}
      hint={`As for an oven without a fan; where the fan runs, the dial goes ${showText(20, 'K', style)} lower and the sums say so.`}
      after={after}
      onSave={onSave}
    />
  );
}

const EGGS: readonly Choice<EggMode>[] = [
  {
    value: 'follow',
    title: 'whole where that costs little',
    detail:
      'To the whole egg below where a portion loses under 3 %, to the one above where under 8 % is over; otherwise the last one is beaten and weighed.',
  },
  {
    value: 'up',
    title: 'the whole one above',
    detail: 'Everything else goes up with it: the formula keeps its proportions, and some batter is over.',
  },
  {
    value: 'down',
    title: 'the whole one below',
    detail:
      'Everything else goes down with it: the formula keeps its proportions, and each portion is smaller.',
  },
  {
    value: 'nearest',
    title: 'to the nearest whole one',
    detail:
      'Only the eggs are rounded, so the formula’s proportions change: a small batch turns out richer or drier.',
  },
  {
    value: 'weigh',
    title: 'beaten and weighed',
    detail: 'Exactly what the scale asks for. Beat one egg more than needed and weigh it in.',
  },
];

const BATCHES: readonly Choice<string>[] = [
  { value: 'count', title: 'to the count', detail: 'The formula is scaled to as many as are wanted.' },
  { value: '0.5', title: 'as half the formula', detail: 'Half of it as written; as many as come of it.' },
  { value: '1', title: 'as the formula once', detail: 'Once as written; as many as come of it.' },
  { value: '2', title: 'as the formula twice', detail: 'Twice as written; as many as come of it.' },
  {
    value: '3',
    title: 'as the formula three times',
    detail: 'Three times as written; as many as come of it.',
  },
];

/** Scaled to a count, or made as written so many times. */
export function BatchesField({
  value,
  onChoose,
}: {
  readonly value: number | null | undefined;
  readonly onChoose: (batches: number | null) => void;
}) {
  const style = useNumberStyle();
  const chosen = value ? String(value) : 'count';
  return (
    <>
      <Words>made</Words>
      <ChoiceValue
        testID="value-batches"
        label="How much is made"
        title="How much is made"
        value={chosen}
        text={value ? 'as the formula' : 'to the count'}
        choices={BATCHES}
        onChoose={(choice) => onChoose(choice === 'count' ? null : Number(choice))}
        after={value ? undefined : ','}
      />
      {value ? (
        <NumberValue
          testID="value-batches-times"
          label="Times the formula"
          text={showText(value, 'times', style)}
          ask={{
            title: 'Times the formula as written',
            value,
            unit: '×',
            decimals: 2,
            min: 0.1,
            max: 50,
            quick: [0.5, 1, 1.5, 2, 3],
          }}
          onSave={onChoose}
          after=","
        />
      ) : null}
    </>
  );
}

export function EggField({
  value,
  onChoose,
  after = '.',
}: {
  readonly value: EggMode;
  readonly onChoose: (eggs: EggMode) => void;
  readonly after?: string;
}) {
  return (
    <>
      <Words>eggs</Words>
      <ChoiceValue
        testID="value-eggs"
        label="Eggs"
        title="Eggs"
        value={value}
        text={EGGS.find((choice) => choice.value === value)?.title ?? value}
        choices={EGGS}
        onChoose={onChoose}
        after={after}
      />
    </>
  );
}

/** A measure in the person's units, kept in the core's. */
export function MeasureField({
  label,
  title,
  hint,
  value,
  unit,
  min,
  max,
  decimals = 1,
  after,
  whole,
  onSave,
  testID,
}: {
  readonly label: string;
  readonly title?: string;
  readonly hint?: string;
  readonly value: number;
  readonly unit: 'g' | 'mm' | 'share' | 'ml';
  readonly min: number;
  readonly max: number;
  readonly decimals?: number;
  readonly after?: string;
  readonly whole?: boolean;
  readonly onSave: (value: number) => void;
  readonly testID?: string;
}) {
  const style = useNumberStyle();
  const typed = (n: number) => Number(toShown(n, unit, style).toPrecision(4));
  return (
    <NumberValue
      testID={testID}
      label={label}
      text={showText(value, unit, style)}
      after={after}
      ask={{
        title: title ?? label,
        hint,
        value: typed(value),
        unit: typedUnit(unit, style),
        decimals: Math.max(decimals, unit === 'g' && style.mass === 'oz' ? 2 : 0),
        min: typed(min),
        max: typed(max),
        whole,
      }}
      onSave={(shown) => onSave(fromShown(shown, unit, style))}
    />
  );
}
