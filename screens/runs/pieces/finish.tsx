import type { CoatChoice, FillingChoice, FrostingChoice, Line, RunDoc } from '../../../core/model/documents';
import { usualCoat, usualFilling } from '../../../core/line/newLine';
import { COAT } from '../../../core/process/coat.table';
import { topsOf } from '../../../core/plan/tops';
import {
  FROSTING_DENSITY,
  TOP_STYLES,
  type Frosting,
  type TopStyle,
} from '../../../core/process/frost.table';
import { MELTING } from '../../../core/process/microwave.table';
import type { ChocolateKind } from '../../../core/process/microwave';
import { DIP_SCHOOLS } from '../../../core/process/set.table';
import { showText, counted } from '../../../core/quantity';
import { formulasIn } from '../../../state/documents';
import { useDocuments, useKitchen, useNumberStyle } from '../../../state/store';
import { ChoiceValue, Words, type Choice } from '../../../ui/sentence';
import { MeasureField, ThingField, choicesOf, plainChoices, useFormulas } from './fields';
import { NameField, OnHandField } from './stockFields';

export const CHOCOLATES: readonly Choice<ChocolateKind>[] = (
  Object.keys(MELTING.heatJ) as ChocolateKind[]
).map((kind) => ({
  value: kind,
  title: kind === 'compound' ? 'compound coating' : `${kind} chocolate`,
  detail:
    kind === 'compound'
      ? 'Sets by itself, without tempering.'
      : 'Tempered it sets glossy and snaps; untempered it sets slowly and may bloom.',
}));

export const chocolateName = (kind: ChocolateKind): string =>
  CHOCOLATES.find(({ value }) => value === kind)?.title ?? kind;

const THICKNESS: readonly Choice<CoatChoice['thickness']>[] = [
  { value: 'thin', title: 'thin', detail: 'Thinned and warm: the cake shows at the edges.' },
  { value: 'usual', title: 'of usual thickness', detail: 'Warm and fluid, drips tapped off.' },
  { value: 'thick', title: 'thick', detail: 'Cool coat, or dipped twice.' },
];

/** A formula for something, or bought and reckoned by its kind. */
function MadeByField({
  makes,
  value,
  bought,
  label,
  onChoose,
  after,
}: {
  readonly makes: 'frosting' | 'filling' | 'binder' | 'coat' | 'topping';
  readonly value: string | null | undefined;
  readonly bought: string;
  readonly label: string;
  readonly onChoose: (id: string | null) => void;
  readonly after?: string;
}) {
  const own = useFormulas(makes);
  const frostings = useFormulas('frosting');
  // A frosting binds and fills as well.
  const formulas = makes === 'binder' || makes === 'filling' ? [...own, ...frostings] : own;
  return (
    <ChoiceValue
      label={label}
      title={label}
      value={value ?? 'bought'}
      text={formulas.find(({ id }) => id === value)?.name ?? bought}
      choices={[
        { value: 'bought', title: bought, detail: 'Bought, or made without a formula of yours.' },
        ...formulas.map(({ id, name }) => ({
          value: id,
          title: name,
          detail: 'By its formula; the run makes it once for all that need it.',
        })),
      ]}
      onChoose={(choice) => onChoose(choice === 'bought' ? null : choice)}
      after={after}
    />
  );
}

export { MadeByField };

/** "dipped in dark chocolate, of usual thickness, from the Wide jug, fridge-firm." */
export function CoatWords({
  coat,
  onChange,
  optional,
}: {
  readonly coat: CoatChoice | null | undefined;
  readonly onChange: (label: string, coat: CoatChoice | null) => void;
  readonly optional: boolean;
}) {
  const { vessels = [] } = useKitchen();
  const style = useNumberStyle();
  const [first] = vessels;
  const none: Choice<ChocolateKind | 'none'>[] = optional
    ? [{ value: 'none', title: 'nothing', detail: 'No dip.' }]
    : [];
  const kindField = (
    <ChoiceValue
      testID="value-coat"
      label="Coat"
      title="Dipped in"
      value={coat?.kind ?? 'none'}
      text={coat ? chocolateName(coat.kind) : 'nothing'}
      choices={[...none, ...CHOCOLATES]}
      onChoose={(kind) =>
        onChange('Coat', kind === 'none' ? null : { ...(coat ?? usualCoat(first?.id ?? '')), kind })
      }
      after={coat ? ',' : '.'}
    />
  );
  if (!coat) {
    return first ? (
      <>
        <Words>Dipped in</Words>
        {kindField}
      </>
    ) : null;
  }
  const set = (label: string, over: Partial<CoatChoice>) => onChange(label, { ...coat, ...over });
  return (
    <>
      <Words>Dipped in</Words>
      {kindField}
      <ChoiceValue
        testID="value-thickness"
        label="Thickness of the coat"
        title="How thick"
        value={coat.thickness}
        text={`${THICKNESS.find(({ value }) => value === coat.thickness)?.title}`}
        choices={THICKNESS.map((choice) => ({
          ...choice,
          detail: `${choice.detail} About ${showText(COAT.dipMm[choice.value], 'mm', style)}.`,
        }))}
        onChoose={(thickness) => set('Thickness of the coat', { thickness })}
        after=","
      />
      <Words>from the</Words>
      <ThingField
        testID="value-vessel"
        things={vessels}
        value={coat.vesselId}
        label="Vessel"
        title="Where it is dipped"
        gone="a vessel that is gone"
        detail={(item) =>
          `${showText(item.diameterMm, 'mm', style)} across, ${showText(item.depthMm, 'mm', style)} deep`
        }
        onChoose={(vesselId) => set('Vessel', { vesselId })}
        after=","
      />
      <ChoiceValue
        testID="value-dipSchool"
        label="School of dipping"
        title="How cold"
        value={coat.school}
        text={coat.school}
        choices={choicesOf(DIP_SCHOOLS)}
        onChoose={(school) => set('School of dipping', { school })}
        after=","
      />
      <Words>thinned with</Words>
      <MeasureField
        label="Fat to thin it"
        hint="Coconut oil or cocoa butter, as a share of the chocolate. Water makes it seize."
        value={coat.thinnedShare}
        unit="share"
        min={0}
        max={0.06}
        onSave={(thinnedShare) => set('Fat to thin it', { thinnedShare })}
      />
      <Words>of fat;</Words>
      <OnHandField
        label="Chocolate on the table"
        value={coat.onHandG}
        onSave={(onHandG) => set('Chocolate on the table', { onHandG })}
        after="."
      />
    </>
  );
}

const FROSTINGS = plainChoices(Object.keys(FROSTING_DENSITY) as Frosting[]);

/** "topped with a swirl of buttercream." */
export function FrostingWords({
  run,
  line,
  frosting,
  onChange,
}: {
  readonly run: RunDoc;
  readonly line: Line;
  readonly frosting: FrostingChoice | null | undefined;
  readonly onChange: (label: string, frosting: FrostingChoice | null) => void;
}) {
  const style = useNumberStyle();
  const kitchen = useKitchen();
  const usual: FrostingChoice = { kind: 'buttercream', style: 'swirl', formulaId: null, onHandG: null };
  const styles = () => {
    const taken = frosting ?? usual;
    const tops = topsOf({ run, kitchen, formulas: formulasIn(useDocuments.getState().docs) }, line, taken);
    return (Object.keys(TOP_STYLES) as TopStyle[]).map((key) => {
      const each = tops.get(key);
      const takes = each === undefined ? '' : ` About ${showText(each, 'g', style)} of ${taken.kind} here.`;
      return { value: key, title: TOP_STYLES[key].name, detail: `${TOP_STYLES[key].meaning}${takes}` };
    });
  };
  return (
    <>
      <Words>Topped with</Words>
      <ChoiceValue
        testID="value-frosting"
        label="Frosting"
        title="Topped with"
        value={frosting?.style ?? 'none'}
        text={frosting ? `a ${TOP_STYLES[frosting.style].name}` : 'nothing'}
        choices={() => [{ value: 'none' as const, title: 'nothing', detail: 'Bare.' }, ...styles()]}
        onChoose={(choice) =>
          onChange('Frosting', choice === 'none' ? null : { ...(frosting ?? usual), style: choice })
        }
        after={frosting ? undefined : '.'}
      />
      {frosting ? (
        <>
          <Words>of</Words>
          <ChoiceValue
            label="Kind of frosting"
            title="Which kind"
            value={frosting.kind}
            text={frosting.kind}
            choices={FROSTINGS}
            onChoose={(kind) => onChange('Kind of frosting', { ...frosting, kind })}
            after=","
          />
          <MadeByField
            makes="frosting"
            label="Made by"
            bought="bought or by eye"
            value={frosting.formulaId}
            onChoose={(formulaId) => onChange('Frosting made by', { ...frosting, formulaId })}
            after=","
          />
          <OnHandField
            label="Frosting on the table"
            value={frosting.onHandG}
            onSave={(onHandG) => onChange('Frosting on the table', { ...frosting, onHandG })}
            after="."
          />
        </>
      ) : null}
    </>
  );
}

const HOW: readonly Choice<FillingChoice['how'] | 'none'>[] = [
  { value: 'none', title: 'not filled' },
  {
    value: 'core',
    title: 'filled in a core',
    detail: 'A plug is cut out, the hole filled, the lid put back.',
  },
  { value: 'inject', title: 'filled through a nozzle', detail: 'Pushed in until it resists.' },
  { value: 'between', title: 'put together round it', detail: 'Between two halves.' },
];

/** "filled in a core with quince butter." */
export function FillingWords({
  filling,
  hows,
  onChange,
}: {
  readonly filling: FillingChoice | null | undefined;
  readonly hows: readonly (FillingChoice['how'] | 'none')[];
  readonly onChange: (label: string, filling: FillingChoice | null) => void;
}) {
  const set = (label: string, over: Partial<FillingChoice>) =>
    filling ? onChange(label, { ...filling, ...over }) : undefined;
  return (
    <>
      <Words>It is</Words>
      <ChoiceValue
        testID="value-filling"
        label="Filling"
        title="How it is filled"
        value={filling?.how ?? 'none'}
        text={HOW.find(({ value }) => value === (filling?.how ?? 'none'))?.title ?? ''}
        choices={HOW.filter(({ value }) => hows.includes(value))}
        onChoose={(how) =>
          onChange(
            'Filling',
            how === 'none' ? null : filling ? { ...filling, how } : usualFilling(how, 'Jam'),
          )
        }
        after={filling ? undefined : '.'}
      />
      {filling ? (
        <>
          <Words>with</Words>
          <NameField
            label="What it is filled with"
            value={filling.what}
            onSave={(what) => set('Filling', { what })}
            after=","
          />
          <MadeByField
            makes="filling"
            label="Filling made by"
            bought="bought or by eye"
            value={filling.formulaId}
            onChoose={(formulaId) => set('Filling made by', { formulaId })}
            after={filling.how === 'between' ? '.' : ','}
          />
          {filling.how === 'core' ? (
            <>
              <Words>the core</Words>
              <MeasureField
                label="Core, across"
                value={filling.coreDiameterMm}
                unit="mm"
                min={8}
                max={60}
                onSave={(coreDiameterMm) => set('Core', { coreDiameterMm })}
              />
              <Words>across and</Words>
              <MeasureField
                label="Core, deep"
                value={filling.coreDepthMm}
                unit="mm"
                min={5}
                max={80}
                onSave={(coreDepthMm) => set('Core', { coreDepthMm })}
              />
              <Words>deep.</Words>
            </>
          ) : null}
          {filling.how === 'inject' ? (
            <>
              <Words>in</Words>
              <ChoiceValue
                label="Channels"
                title="Channels in a piece"
                value={String(filling.channels)}
                text={`${counted(filling.channels, 'channel')}`}
                choices={plainChoices(['1', '2', '3', '4', '5', '6'])}
                onChoose={(n) => set('Channels', { channels: Number(n) })}
                after="."
              />
            </>
          ) : null}
        </>
      ) : null}
    </>
  );
}
