import { useState } from 'react';
import type { CubeLine, CupcakeLine, Fill, MiniWellsLine, MugLine } from '../../../core/exchange/documents';
import { FILL_RULES, FINISHES } from '../../../core/process/batter.table';
import { fromShown, showText, toShown, typedUnit } from '../../../core/quantity';
import { useKitchen, useNumberStyle } from '../../../state/store';
import { NumberSheet } from '../../../ui/numberSheet';
import { ChoiceValue, Words, type Choice } from '../../../ui/sentence';
import {
  CountField,
  EggField,
  FormulaField,
  MeasureField,
  NameField,
  OvenField,
  OvenTemperature,
  StockField,
  ThingField,
  plainChoices,
  without,
  type LineProps,
} from './fields';
import { CoatWords, FillingWords, FrostingWords } from './finish';

const FILL_CHOICES: readonly Choice<string>[] = [
  ...Object.entries(FINISHES).map(([key, finish]) => ({
    value: `finish:${key}`,
    title: finish.name,
    detail: finish.meaning,
  })),
  ...FILL_RULES.map((rule) => ({
    value: `share:${rule.share}`,
    title: `filled ${rule.name}`,
    detail: 'By rule of thumb; the sums say which finish it gives with this batter.',
  })),
  { value: 'mass', title: 'by a weight of your own', detail: 'So many grams a well.' },
];

export const fillOf = (choice: string): Fill => {
  const [by, what] = choice.split(':');
  if (by === 'share') return { by: 'share', share: Number(what) };
  return { by: 'finish', finish: what as 'flat' | 'gentle' | 'high' };
};

/** How full a well, and how it ends. */
function FillField({
  fill,
  onChange,
}: {
  readonly fill: Fill;
  readonly onChange: (label: string, fill: Fill) => void;
}) {
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  const text =
    fill.by === 'finish'
      ? FINISHES[fill.finish].name
      : fill.by === 'mass'
        ? `${showText(fill.massG, 'g', style)} each`
        : (FILL_CHOICES.find((choice) => choice.value === `share:${fill.share}`)?.title ??
          `filled ${showText(fill.share, 'share', style)}`);
  return (
    <>
      <ChoiceValue
        testID="value-fill"
        label="Finish"
        title="How full, and how it ends"
        value={
          fill.by === 'finish'
            ? `finish:${fill.finish}`
            : fill.by === 'share'
              ? `share:${fill.share}`
              : 'mass'
        }
        text={text}
        choices={FILL_CHOICES}
        onChoose={(choice) => (choice === 'mass' ? setAsking(true) : onChange('Finish', fillOf(choice)))}
        after=","
      />
      <NumberSheet
        ask={
          asking
            ? {
                title: 'Batter in a well',
                value: fill.by === 'mass' ? toShown(fill.massG, 'g', style) : null,
                unit: typedUnit('g', style),
                decimals: 2,
                min: Number(toShown(1, 'g', style).toPrecision(2)),
                max: Number(toShown(5000, 'g', style).toPrecision(4)),
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(value) => {
          setAsking(false);
          onChange('Batter in a well', { by: 'mass', massG: fromShown(value, 'g', style) });
        }}
      />
    </>
  );
}

const LINERS: readonly Choice<NonNullable<CupcakeLine['liner']>>[] = [
  { value: 'none', title: 'no liner', detail: 'Greased and floured.' },
  { value: 'paper', title: 'a paper case' },
  { value: 'double paper', title: 'two paper cases', detail: 'A little longer in the oven.' },
  { value: 'foil', title: 'a foil case' },
];

type WellsLine = CupcakeLine | MiniWellsLine;

/** Batter, tin, oven and loads of what bakes in wells. */
function BakedInWells<L extends WellsLine>({
  line,
  set,
}: Pick<LineProps<L>, 'line'> & { readonly set: (label: string, over: Partial<WellsLine>) => void }) {
  const kitchen = useKitchen();
  return (
    <>
      <FormulaField
        value={line.formulaId}
        onChoose={(formulaId) => set('Formula', { formulaId, stated: {}, ticks: [] })}
        after=","
      />
      <FillField
        fill={line.fill}
        onChange={(label, fill) => set(label, { fill, stated: without(line.stated, 'portion.mass') })}
      />
      <Words>in the</Words>
      <ThingField
        testID="value-tin"
        things={kitchen.tins}
        value={line.tinId}
        label="Tin"
        title="Which tin"
        gone="a tin that is gone"
        detail={(item) =>
          `${item.owned} × ${item.wells} wells, ${item.topMm} mm across and ${item.depthMm} mm deep, ${item.material}`
        }
        onChoose={(tinId) =>
          set('Tin', { tinId, stated: without(line.stated, 'well.volume', 'portion.mass') })
        }
        after=","
      />
      <Words>baked in the</Words>
      <OvenField value={line.ovenId} onChoose={(ovenId) => set('Oven', { ovenId })} />
      <Words>as for</Words>
      <OvenTemperature
        ovenC={line.ovenC}
        formulaId={line.formulaId}
        after=","
        onSave={(ovenC) => set('Oven temperature', { ovenC })}
      />
      <Words>in</Words>
      <ChoiceValue
        testID="value-loads"
        label="Loads"
        title="How many loads at most"
        value={line.maxLoads === null ? 'any' : String(line.maxLoads)}
        text={
          line.maxLoads === null
            ? 'as many loads as it takes'
            : `at most ${line.maxLoads} ${line.maxLoads === 1 ? 'load' : 'loads'}`
        }
        choices={[
          { value: 'any', title: 'as many as it takes' },
          ...[1, 2, 3, 4, 6].map((n) => ({ value: String(n), title: `at most ${n}` })),
        ]}
        onChoose={(value) => set('Loads', { maxLoads: value === 'any' ? null : Number(value) })}
        after=","
      />
      <EggField value={line.eggs} onChoose={(eggs) => set('Eggs', { eggs })} />
    </>
  );
}

export function CupcakeWords({ line, set }: LineProps<CupcakeLine>) {
  return (
    <>
      <CountField line={line} set={set} />
      <Words>cupcakes of</Words>
      <BakedInWells line={line} set={(label, over) => set(label, over as Partial<CupcakeLine>)} />
      <Words>Each in</Words>
      <ChoiceValue
        label="Liner"
        title="Liner"
        value={line.liner ?? 'none'}
        text={LINERS.find(({ value }) => value === (line.liner ?? 'none'))?.title ?? ''}
        choices={LINERS}
        onChoose={(liner) => set('Liner', { liner })}
        after=","
      />
      {line.liner && line.liner !== 'none' ? (
        <StockField
          label="Cases in stock"
          value={line.linersOnHand}
          onSave={(linersOnHand) => set('Cases in stock', { linersOnHand })}
          after="."
        />
      ) : null}
      <FillingWords
        filling={line.filling}
        hows={['none', 'core', 'inject']}
        onChange={(label, filling) => set(label, { filling })}
      />
      <FrostingWords frosting={line.frosting} onChange={(label, frosting) => set(label, { frosting })} />
    </>
  );
}

const HOWS = {
  paired: ['between'],
  fingers: ['inject', 'none'],
  moulded: ['none', 'core', 'inject'],
  'base-layer': ['none', 'inject'],
} as const;

export function MiniWellsWords({ line, set }: LineProps<MiniWellsLine>) {
  const layer = line.baseLayer;
  return (
    <>
      <BakedInWells line={line} set={(label, over) => set(label, over as Partial<MiniWellsLine>)} />
      {line.style === 'paired' ? (
        <>
          <Words>With</Words>
          <ChoiceValue
            label="Spare halves"
            title="Halves baked beyond the pairs"
            value={String(line.spareHalves)}
            text={`${line.spareHalves} spare ${line.spareHalves === 1 ? 'half' : 'halves'}`}
            choices={plainChoices(['0', '1', '2', '3', '4', '6'])}
            onChoose={(n) => set('Spare halves', { spareHalves: Number(n) })}
            after="."
          />
        </>
      ) : null}
      {line.style === 'base-layer' && layer ? (
        <>
          <Words>Below the batter</Words>
          <MeasureField
            label="Base layer in a well"
            value={layer.massG}
            unit="g"
            min={1}
            max={300}
            onSave={(massG) => set('Base layer', { baseLayer: { ...layer, massG } })}
          />
          <Words>of</Words>
          <NameField
            label="What lies below"
            value={layer.what}
            onSave={(what) => set('Base layer', { baseLayer: { ...layer, what } })}
            after="."
          />
        </>
      ) : null}
      <FillingWords
        filling={line.filling}
        hows={HOWS[line.style]}
        onChange={(label, filling) => set(label, { filling })}
      />
      <FrostingWords frosting={line.frosting} onChange={(label, frosting) => set(label, { frosting })} />
      <CoatWords coat={line.coat} optional onChange={(label, coat) => set(label, { coat })} />
      <FondantField fondant={line.fondant} onChange={(fondant) => set('Fondant', { fondant })} />
    </>
  );
}

function FondantField({
  fondant,
  onChange,
}: {
  readonly fondant: boolean | undefined;
  readonly onChange: (fondant: boolean) => void;
}) {
  return (
    <ChoiceValue
      label="Fondant"
      title="Fondant"
      value={fondant ? 'yes' : 'no'}
      text={fondant ? 'Covered with fondant' : 'No fondant'}
      choices={[
        { value: 'no', title: 'no fondant' },
        { value: 'yes', title: 'covered with fondant', detail: 'Rolled out and laid over.' },
      ]}
      onChoose={(choice) => onChange(choice === 'yes')}
      after="."
    />
  );
}

export function CubeWords({ line, set }: LineProps<CubeLine>) {
  const { sheets = [] } = useKitchen();
  const number = (value: number, over: (n: number) => Partial<CubeLine>, label: string, text: string) => (
    <ChoiceValue
      label={label}
      title={label}
      value={String(value)}
      text={text}
      choices={plainChoices(Array.from({ length: 16 }, (_, i) => String(i + 1)))}
      onChoose={(n) => set(label, over(Number(n)))}
    />
  );
  return (
    <>
      <FormulaField
        value={line.formulaId}
        onChoose={(formulaId) => set('Formula', { formulaId, stated: {}, ticks: [] })}
        after=","
      />
      <Words>baked in the</Words>
      <ThingField
        testID="value-sheet"
        things={sheets}
        value={line.sheetId}
        label="Sheet"
        title="Which sheet"
        gone="a sheet that is gone"
        detail={(item) => `${item.owned} × ${item.lengthMm} by ${item.widthMm} mm, ${item.depthMm} mm deep`}
        onChoose={(sheetId) => set('Sheet', { sheetId })}
        after=","
      />
      <MeasureField
        label="Height of the cake"
        value={line.heightMm}
        unit="mm"
        min={8}
        max={100}
        onSave={(heightMm) => set('Height', { heightMm })}
      />
      <Words>high, cut into</Words>
      {number(line.columns, (columns) => ({ columns }), 'Pieces along', `${line.columns}`)}
      <Words>by</Words>
      {number(line.rows, (rows) => ({ rows }), 'Pieces across', `${line.rows}`)}
      <Words>after</Words>
      <MeasureField
        label="Trimmed off each edge"
        value={line.trimMm}
        unit="mm"
        min={0}
        max={40}
        onSave={(trimMm) => set('Trim', { trimMm })}
      />
      <Words>is trimmed off each edge, in the</Words>
      <OvenField value={line.ovenId} onChoose={(ovenId) => set('Oven', { ovenId })} />
      <Words>as for</Words>
      <OvenTemperature
        ovenC={line.ovenC}
        formulaId={line.formulaId}
        after=","
        onSave={(ovenC) => set('Oven temperature', { ovenC })}
      />
      <EggField value={line.eggs} onChoose={(eggs) => set('Eggs', { eggs })} />
      <FrostingWords frosting={line.frosting} onChange={(label, frosting) => set(label, { frosting })} />
      <CoatWords coat={line.coat} optional onChange={(label, coat) => set(label, { coat })} />
      <FondantField fondant={line.fondant} onChange={(fondant) => set('Fondant', { fondant })} />
    </>
  );
}

const MUG_FILLS: readonly Choice<string>[] = [
  { value: '0.33', title: 'a third full', detail: 'Never climbs over, even with much lift.' },
  { value: '0.42', title: 'two fifths full', detail: 'Usual: it doubles and stays in.' },
  { value: '0.5', title: 'half full', detail: 'The most: it may stand over the rim while it cooks.' },
];

const POWER: readonly Choice<string>[] = [
  { value: '1', title: 'full power', detail: 'Fast; the edge is done before the middle.' },
  { value: '0.7', title: 'seven tenths of full power', detail: 'Slower and more even.' },
  { value: '0.5', title: 'half power', detail: 'For small loads and eggy batters.' },
];

export function MugWords({ line, set }: LineProps<MugLine>) {
  const { mugs = [], microwaves = [] } = useKitchen();
  const style = useNumberStyle();
  const { fill } = line;
  const microwave = microwaves.find(({ id }) => id === line.microwaveId);
  return (
    <>
      <CountField line={line} set={set} />
      <Words>mug cakes of</Words>
      <FormulaField
        value={line.formulaId}
        onChoose={(formulaId) => set('Formula', { formulaId, stated: {}, ticks: [] })}
        after=","
      />
      <ChoiceValue
        testID="value-fill"
        label="Filled"
        title="How full"
        value={fill.by === 'share' ? String(fill.share) : 'mass'}
        text={
          fill.by === 'share'
            ? (MUG_FILLS.find(({ value }) => Number(value) === fill.share)?.title ??
              `filled ${showText(fill.share, 'share', style)}`)
            : `${showText(fill.massG, 'g', style)} each`
        }
        choices={MUG_FILLS}
        onChoose={(value) =>
          set('Filled', {
            fill: { by: 'share', share: Number(value) },
            stated: without(line.stated, 'portion.mass'),
          })
        }
        after=","
      />
      <Words>in the</Words>
      <ThingField
        testID="value-mug"
        things={mugs}
        value={line.mugId}
        label="Mug"
        title="Which mug"
        gone="a mug that is gone"
        detail={(item) => `${item.owned} of ${showText(item.volumeMl, 'ml', style)}`}
        onChoose={(mugId) => set('Mug', { mugId, stated: without(line.stated, 'portion.mass') })}
        after=","
      />
      <ChoiceValue
        testID="value-atOnce"
        label="Mugs at once"
        title="Mugs that turn together"
        value={line.atOnce === null ? 'most' : String(line.atOnce)}
        text={line.atOnce === null ? 'as many at once as fit' : `${line.atOnce} at once`}
        choices={[
          { value: 'most', title: 'as many at once as fit', detail: 'Fewer turns, each longer.' },
          ...Array.from({ length: microwave?.mugsAtOnce ?? 1 }, (_, i) => ({
            value: String(i + 1),
            title: `${i + 1} at once`,
          })),
        ]}
        onChoose={(n) => set('Mugs at once', { atOnce: n === 'most' ? null : Number(n) })}
        after=","
      />
      <Words>in the</Words>
      <ThingField
        things={microwaves}
        value={line.microwaveId}
        label="Microwave"
        title="Which microwave"
        gone="a microwave that is gone"
        detail={(item) =>
          `${item.ratedW} W by its plate, ${item.absorbedW ?? 'not measured'}${item.absorbedW ? ' W by the water test' : ''}`
        }
        onChoose={(microwaveId) => set('Microwave', { microwaveId })}
      />
      <Words>at</Words>
      <ChoiceValue
        testID="value-power"
        label="Power"
        title="Power"
        value={String(line.setting)}
        text={
          POWER.find(({ value }) => Number(value) === line.setting)?.title ??
          showText(line.setting, 'share', style)
        }
        choices={POWER}
        onChoose={(setting) => set('Power', { setting: Number(setting) })}
        after=","
      />
      <EggField value={line.eggs} onChoose={(eggs) => set('Eggs', { eggs })} />
      <FillingWords
        filling={line.filling}
        hows={['none', 'core', 'inject']}
        onChange={(label, filling) => set(label, { filling })}
      />
      <FrostingWords frosting={line.frosting} onChange={(label, frosting) => set(label, { frosting })} />
    </>
  );
}
