import { useState } from 'react';
import type { CupcakeLine, Fill, MiniWellsLine } from '../../../core/model/documents';
import { FILL_RULES, FINISHES } from '../../../core/process/batter.table';
import { showText, counted } from '../../../core/quantity';
import { useKitchen, useNumberStyle } from '../../../state/store';
import { ChoiceValue, Words, type Choice } from '../../../ui/sentence';
import {
  BatchesField,
  CountField,
  EggField,
  FormulaField,
  MeasureField,
  OvenField,
  OvenTemperature,
  ThingField,
  plainChoices,
  type LineProps,
} from './fields';
import { GramsSheet } from './GramsSheet';
import { NameField, StockField } from './stockFields';
import { CoatWords, FillingWords, FrostingWords } from './finish';
import { BoardField, FondantField } from './CubeWords';

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
      <GramsSheet
        title="Batter in a well"
        open={asking}
        valueG={fill.by === 'mass' ? fill.massG : null}
        minG={1}
        maxG={5000}
        onClose={() => setAsking(false)}
        onSave={(massG) => onChange('Batter in a well', { by: 'mass', massG })}
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
function BakedInWells<L extends WellsLine>({ line, set }: Pick<LineProps<L>, 'line' | 'set'>) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  return (
    <>
      <FormulaField
        value={line.formulaId}
        onChoose={(formulaId) => set('Formula', { formulaId })}
        after=","
      />
      <FillField fill={line.fill} onChange={(label, fill) => set(label, { fill })} />
      <Words>in the</Words>
      <ThingField
        testID="value-tin"
        things={kitchen.tins}
        value={line.tinId}
        label="Tin"
        title="Which tin"
        gone="a tin that is gone"
        detail={(item) =>
          `${item.owned} × ${item.wells} wells, ${showText(item.topMm, 'mm', style)} across and ${showText(item.depthMm, 'mm', style)} deep, ${item.material}`
        }
        onChoose={(tinId) => set('Tin', { tinId })}
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
          line.maxLoads === null ? 'as many loads as it takes' : `at most ${counted(line.maxLoads, 'load')}`
        }
        choices={[
          { value: 'any', title: 'as many as it takes' },
          ...[1, 2, 3, 4, 6].map((n) => ({ value: String(n), title: `at most ${n}` })),
        ]}
        onChoose={(value) => set('Loads', { maxLoads: value === 'any' ? null : Number(value) })}
        after=","
      />
      <BatchesField value={line.batches} onChoose={(batches) => set('How much is made', { batches })} />
      <EggField value={line.eggs} onChoose={(eggs) => set('Eggs', { eggs })} />
    </>
  );
}

export function CupcakeWords({ run, line, set }: LineProps<CupcakeLine>) {
  return (
    <>
      <CountField line={line} set={set} />
      <Words>cupcakes of</Words>
      <BakedInWells line={line} set={(label, over) => set(label, over)} />
      <Words>Each in</Words>
      <ChoiceValue
        label="Liner"
        title="Liner"
        value={line.liner ?? 'none'}
        text={LINERS.find(({ value }) => value === (line.liner ?? 'none'))?.title ?? ''}
        choices={LINERS}
        onChoose={(liner) => set('Liner', { liner })}
        after={line.liner && line.liner !== 'none' ? ',' : '.'}
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
      <FrostingWords
        run={run}
        line={line}
        frosting={line.frosting}
        onChange={(label, frosting) => set(label, { frosting })}
      />
    </>
  );
}

const HOWS = {
  paired: ['between'],
  fingers: ['inject', 'none'],
  moulded: ['none', 'core', 'inject'],
  'base-layer': ['none', 'inject'],
} as const;

export function MiniWellsWords({ run, line, set }: LineProps<MiniWellsLine>) {
  const layer = line.baseLayer;
  return (
    <>
      <BakedInWells line={line} set={(label, over) => set(label, over)} />
      {line.style === 'paired' ? (
        <>
          <Words>With</Words>
          <ChoiceValue
            label="Spare halves"
            title="Halves baked beyond the pairs"
            value={String(line.spareHalves)}
            text={`${counted(line.spareHalves, 'spare half')}`}
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
      <FrostingWords
        run={run}
        line={line}
        frosting={line.frosting}
        onChange={(label, frosting) => set(label, { frosting })}
      />
      <CoatWords coat={line.coat} optional onChange={(label, coat) => set(label, { coat })} />
      <FondantField fondant={line.fondant} onChange={(fondant) => set('Fondant', { fondant })} />
      <BoardField boards={line.boards} onChange={(boards) => set('Boards', { boards })} />
    </>
  );
}
