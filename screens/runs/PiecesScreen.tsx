import { useRouter } from 'expo-router';
import { useState } from 'react';
import { MAX_PIECES, type EggMode, type Fill, type RunDoc } from '../../core/exchange/documents';
import type { CupcakePlan } from '../../core/plan';
import { FILL_RULES, FINISHES } from '../../core/process/batter.table';
import { fromShown, showText, toShown, typedUnit } from '../../core/quantity';
import { useNow } from '../../state/clock';
import { formulasIn, runKey } from '../../state/documents';
import { change, changeLine, changeRun, useDocuments, useKitchen, useNumberStyle } from '../../state/store';
import { whenText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberSheet } from '../../ui/numberSheet';
import { NumberValue } from '../../ui/numberValue';
import { ChoiceValue, Sentence, Value, Words, type Choice } from '../../ui/sentence';
import { TemperatureValue } from '../../ui/temperatureValue';
import { Small } from '../../ui/text';
import { TextSheet, nameFault } from '../../ui/textSheet';
import { WhenSheet } from '../../ui/whenSheet';
import { LineCut } from './LineCut';
import { RunFrame } from './RunFrame';
import { stageHref } from './stages';
import { useWide } from '../../ui/screen';

/** What, how many, in which tin, for when: a sentence in which every value can be changed. */
export function PiecesScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  const wide = useWide();
  return (
    <RunFrame
      id={id}
      stage="pieces"
      foot={() => <MainAction title="See the sums" onPress={() => router.navigate(stageHref(id, 'sums'))} />}
      unplanned={(run) => <PieceWords run={run} plan={null} />}
    >
      {(run, plan) => (
        <>
          <PieceWords run={run} plan={plan} />
          {wide ? null : <LineCut plan={plan} width={340} height={220} />}
          <RunName run={run} />
        </>
      )}
    </RunFrame>
  );
}

const EGGS: readonly Choice<EggMode>[] = [
  {
    value: 'follow',
    title: 'kept whole, the rest follows',
    detail:
      'Rounded up to whole eggs and everything else with them: the formula keeps its proportions, and some batter may be over.',
  },
  {
    value: 'nearest',
    title: 'to the nearest whole one',
    detail: 'Only the eggs are rounded. Little waste; a small batch may turn out a touch richer or drier.',
  },
  {
    value: 'weigh',
    title: 'beaten and weighed',
    detail: 'Exactly what the scale asks for. Beat one egg more than needed and weigh it in.',
  },
];

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

const fillOf = (choice: string): Fill => {
  const [by, what] = choice.split(':');
  if (by === 'share') return { by: 'share', share: Number(what) };
  return { by: 'finish', finish: what as 'flat' | 'gentle' | 'high' };
};

function PieceWords({ run, plan }: { readonly run: RunDoc; readonly plan: CupcakePlan | null }) {
  const [line] = run.lines;
  const docs = useDocuments((state) => state.docs);
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const now = useNow(60_000);
  const [asking, setAsking] = useState<'when' | 'mass' | null>(null);
  if (line?.family !== 'cupcake') return null;
  const formulas = formulasIn(docs);
  const formula = formulas.find((item) => item.id === line.formulaId);
  const tin = kitchen.tins.find((item) => item.id === line.tinId);
  const oven = kitchen.ovens.find((item) => item.id === line.ovenId);
  const { fill } = line;
  const fillText =
    fill.by === 'finish'
      ? FINISHES[fill.finish].name
      : fill.by === 'mass'
        ? `${showText(fill.massG, 'g', style)} each`
        : (FILL_CHOICES.find((choice) => choice.value === `share:${fill.share}`)?.title ??
          `filled ${showText(fill.share, 'share', style)}`);
  const set = (label: string, over: Parameters<typeof changeLine>[3]) =>
    changeLine(label, run, line.id, over);
  const ovenC = line.ovenC ?? formula?.ovenC ?? 175;
  return (
    <Card>
      <Sentence>
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
        <Words>cupcakes of</Words>
        <ChoiceValue
          testID="value-formula"
          label="Formula"
          title="Which formula"
          value={line.formulaId}
          text={formula?.name ?? 'a formula that is gone'}
          choices={formulas.map((item) => ({
            value: item.id,
            title: item.name,
            detail: `${item.method}, ${showText(item.ovenC, '°C', style)}`,
          }))}
          onChoose={(formulaId) => set('Formula', { formulaId, stated: {}, ticks: [] })}
          after=","
        />

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
          text={fillText}
          choices={FILL_CHOICES}
          onChoose={(choice) =>
            choice === 'mass'
              ? setAsking('mass')
              : set('Finish', { fill: fillOf(choice), stated: without(line.stated, 'portion.mass') })
          }
          after=","
        />
        <Words>in the</Words>
        <ChoiceValue
          testID="value-tin"
          label="Tin"
          title="Which tin"
          value={line.tinId}
          text={tin?.name ?? 'a tin that is gone'}
          choices={kitchen.tins.map((item) => ({
            value: item.id,
            title: item.name,
            detail: `${item.owned} × ${item.wells} wells, ${item.topMm} mm across and ${item.depthMm} mm deep, ${item.material}`,
          }))}
          onChoose={(tinId) =>
            set('Tin', { tinId, stated: without(line.stated, 'well.volume', 'portion.mass') })
          }
          after=","
        />
        <Words>baked in the</Words>
        <ChoiceValue
          testID="value-oven"
          label="Oven"
          title="Which oven"
          value={line.ovenId}
          text={oven?.name ?? 'an oven that is gone'}
          choices={kitchen.ovens.map((item) => ({
            value: item.id,
            title: item.name,
            detail: `${item.fan ? 'With a fan' : 'Still'}, ${item.racks * item.tinsPerRack} ${item.racks * item.tinsPerRack === 1 ? 'tin' : 'tins'} at once`,
          }))}
          onChoose={(ovenId) => set('Oven', { ovenId })}
        />
        <Words>as for</Words>
        <TemperatureValue
          testID="value-ovenC"
          celsius={ovenC}
          hint="As for an oven without a fan; where the fan runs, the dial goes 20 °C lower and the sums say so."
          after=","
          onSave={(value) => set('Oven temperature', { ovenC: value })}
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
        <Words>eggs</Words>
        <ChoiceValue
          testID="value-eggs"
          label="Eggs"
          title="Eggs"
          value={line.eggs}
          text={EGGS.find((choice) => choice.value === line.eggs)?.title ?? line.eggs}
          choices={EGGS}
          onChoose={(eggs) => set('Eggs', { eggs })}
          after="."
        />
        <Words>Ready</Words>
        <Value
          testID="value-ready"
          label="Ready when"
          text={whenText(run.readyAt, now)}
          onPress={() => setAsking('when')}
        />
      </Sentence>
      {plan ? (
        <Small>{`${showText(plan.figure('portion.mass').value, 'g', style)} of batter a well; ${plan.figure('count.made').value} made.`}</Small>
      ) : null}
      <WhenSheet
        visible={asking === 'when'}
        value={run.readyAt}
        now={now}
        onClose={() => setAsking(null)}
        onSave={(readyAt) => {
          setAsking(null);
          changeRun('Ready when', { ...run, readyAt });
        }}
      />
      <NumberSheet
        ask={
          asking === 'mass'
            ? {
                title: 'Batter in a well',
                value:
                  fill.by === 'mass'
                    ? toShown(fill.massG, 'g', style)
                    : plan
                      ? Number(toShown(plan.figure('portion.mass').value, 'g', style).toPrecision(3))
                      : null,
                unit: typedUnit('g', style),
                decimals: 2,
                min: Number(toShown(1, 'g', style).toPrecision(2)),
                max: Number(toShown(5000, 'g', style).toPrecision(4)),
              }
            : null
        }
        onClose={() => setAsking(null)}
        onSave={(value) => {
          setAsking(null);
          set('Batter in a well', {
            fill: { by: 'mass', massG: fromShown(value, 'g', style) },
            stated: without(line.stated, 'portion.mass'),
          });
        }}
      />
    </Card>
  );
}

function without(
  stated: Readonly<Record<string, number>>,
  ...ids: readonly string[]
): Record<string, number> {
  return Object.fromEntries(Object.entries(stated).filter(([id]) => !ids.includes(id)));
}

function RunName({ run }: { readonly run: RunDoc }) {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction title="Rename this run" onPress={() => setAsking(true)} />
      <QuietAction
        title="Take this run out"
        icon="bin"
        onPress={() => {
          router.navigate('/');
          change(`Take out ${run.name}`, { [runKey(run.id)]: null });
        }}
      />
      <TextSheet
        ask={asking ? { title: 'Name of the run', value: run.name, fault: nameFault } : null}
        onClose={() => setAsking(false)}
        onSave={(name) => {
          setAsking(false);
          changeRun('Name', { ...run, name: name.trim() });
        }}
      />
    </>
  );
}
