import { View } from 'react-native';
import type { RunDoc } from '../../../core/model/documents';
import { readSteps } from '../../../core/formula';
import { bowlsOf, tickKey, ticksOf, withTicks, type Bowl } from '../../../core/plan/bowls';
import type { GatherGroup, Thing } from '../../../core/schedule/gather';
import { mixesWords } from '../../../core/schedule/gather.words';
import { weighOut } from '../../../core/plan/weighOut';
import { inStyle, join, show } from '../../../core/quantity';
import { holderOf, type RunPlan } from '../../../state/plans';
import { SHARED, changeRunOf, useKitchen, useNumberStyle, useScreen } from '../../../state/store';
import { whenText } from '../../../state/time';
import { useNow } from '../../../state/clock';
import { Card } from '../../../ui/card';
import { Icon } from '../../../ui/icons';
import { Steps } from '../../../ui/steps';
import { Tap } from '../../../ui/tap';
import { Body, Small, Strong } from '../../../ui/text';
import { FONT, space, useTokens } from '../../../ui/theme';
import { linesWords } from '../words';

/** Ticks a thing off, or on again. */
export function toggle(run: RunDoc, key: string, what: string): void {
  changeRunOf(what, run.id, (now) => {
    const ticks = new Set(ticksOf(now));
    if (!ticks.delete(key)) ticks.add(key);
    return withTicks(now, ticks);
  });
}

interface GroupProps {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly group: GatherGroup;
}

/** What is needed at one time: a bowl weighed out once for all its lines, or loose things. */
export function GroupCard(props: GroupProps) {
  return props.group.bowl ? <BowlCard {...props} /> : <ThingsCard {...props} />;
}

/** For which lines a bowl is, where there is more than one line. */
function useForWords({ run }: GroupProps): (lineIds: readonly string[]) => string {
  return (lineIds) => (run.lines.length < 2 ? '' : `For ${linesWords(run, lineIds)}.`);
}

function At({ group }: { readonly group: GatherGroup }) {
  const now = useNow(60_000);
  return group.at ? <Small>{`Needed from ${whenText(group.at, now)}.`}</Small> : null;
}

/** The list is one; where the day mixes it in several bowls, it says so. */
function Mixes({ run, group }: GroupProps) {
  const now = useNow(60_000);
  const style = useNumberStyle();
  const words = mixesWords(
    group.mixes,
    (at) => whenText(at, now),
    (lineIds) => (run.lines.length < 2 ? '' : linesWords(run, lineIds)),
  );
  return words ? (
    <View>
      <Body>{words.head}</Body>
      {words.each.map((one) => (
        <Small key={one}>{inStyle(one, style)}</Small>
      ))}
    </View>
  ) : null;
}

function BowlCard(props: GroupProps) {
  const { run, whole, group } = props;
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const forWords = useForWords(props);
  const { bowl } = group;
  const holder = bowl ? holderOf(whole, bowl.lineId ?? SHARED) : null;
  if (!bowl || !holder) return null;
  const { batch } = bowl;
  const ticks = ticksOf(run);
  const mixed = holder.figure(batch.mixed.id);
  const planned = mixed.expected?.value ?? mixed.value;
  const done = batch.ingredients.filter((item) => ticks.has(tickKey(batch, item)));
  const weighedG = done.reduce((sum, item) => sum + item.mass.value, 0);
  const words = forWords(batch.lineIds);
  const parts = batch.parts.map((part, i) => (
    <PartRow key={part.formulaId} run={run} whole={whole} bowl={bowl} part={part} place={i + 1} />
  ));
  return (
    <Card title={`Weigh out: ${batch.formula.name}`}>
      {words ? <Body>{words}</Body> : null}
      <At group={group} />
      <Mixes {...props} />
      <Progress share={planned > 0 ? weighedG / planned : 0} />
      <Small>
        {`${done.length} of ${batch.ingredients.length} weighed, ${join(show(weighedG, 'g', style))} of ${join(show(planned, 'g', style))}`}
      </Small>
      <View>
        {batch.into ? parts : null}
        {batch.ingredients.map((item) => {
          const key = tickKey(batch, item);
          const amount = weighOut(item, kitchen.scaleStepG, style);
          return (
            <TickRow
              key={key}
              testID={`weigh-${batch.tickPrefix}${item.place}`}
              name={item.name}
              under={item.written}
              main={amount.main}
              beside={amount.beside}
              ticked={ticks.has(key)}
              onTick={() => toggle(run, key, item.name)}
              why={{
                runId: run.id,
                lineId: bowl.lineId ?? SHARED,
                figureId: (item.whole ?? item.mass).id,
              }}
            />
          );
        })}
        {batch.into ? null : parts}
      </View>
      {batch.toTaste.map((line) => (
        <Body key={line.raw}>{`${line.raw.trim()}: no amount is written`}</Body>
      ))}
      <BowlSteps batch={batch} text={batch.into ? STIR : batch.formula.steps} />
    </Card>
  );
}

/** A base that is parted is made by its own steps. */
const STIR = 'Stir it in once the pieces without have their part of the base.';

/** What a formula takes of another one: weighed from its bowl. */
function PartRow({
  run,
  whole,
  bowl,
  part,
  place,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly bowl: Bowl;
  readonly part: Bowl['batch']['parts'][number];
  readonly place: number;
}) {
  const style = useNumberStyle();
  const named = bowlsOf(run, whole).find(({ batch }) => batch.formula.id === part.formulaId);
  const name = named?.batch.formula.name ?? 'a part';
  const key = `${bowl.batch.formula.id}:part.${place}`;
  return (
    <TickRow
      testID={`part-${place}`}
      name={name}
      under="From its own bowl."
      main={join(show(part.mass.value, 'g', style))}
      beside={null}
      ticked={ticksOf(run).has(key)}
      onTick={() => toggle(run, key, name)}
      why={{ runId: run.id, lineId: bowl.lineId ?? SHARED, figureId: part.mass.id }}
    />
  );
}

/** What is done with the bowl, each step with this batch's amounts. */
function BowlSteps({ batch, text }: { readonly batch: Bowl['batch']; readonly text: string }) {
  const items = batch.ingredients;
  const steps = readSteps(
    text,
    items.map(({ line }) => line),
  );
  if (steps.length === 0) return null;
  return (
    <>
      <Strong>Then</Strong>
      <Steps
        steps={steps}
        amountOf={({ line, share }) => {
          const item = items.find((one) => one.line === line);
          const count = item?.whole ? item.whole.value * share : null;
          return item ? { massG: item.mass.value * share, count } : null;
        }}
      />
    </>
  );
}

function ThingsCard(props: GroupProps) {
  const { run, whole, group } = props;
  const style = useNumberStyle();
  const forWords = useForWords(props);
  const ticks = ticksOf(run);
  const row = (thing: Thing) => {
    const holder = holderOf(whole, thing.lineId);
    if (!holder) return null;
    const figure = holder.figure(thing.figureId);
    return (
      <TickRow
        key={thing.key}
        testID={`thing-${thing.key}`}
        name={thing.what}
        under={[thing.note, forWords([thing.lineId])].filter(Boolean).join(' ')}
        main={join(show(figure.value, figure.unit, style))}
        beside={null}
        ticked={ticks.has(thing.key)}
        onTick={() => toggle(run, thing.key, thing.what)}
        why={{ runId: run.id, lineId: thing.lineId, figureId: thing.figureId }}
      />
    );
  };
  return (
    <Card title={group.title}>
      <At group={group} />
      <View>{group.things.map(row)}</View>
    </Card>
  );
}

function Progress({ share }: { readonly share: number }) {
  const { sunk, carnelian } = useTokens();
  return (
    <View style={{ height: 10, borderRadius: 5, backgroundColor: sunk, overflow: 'hidden' }} aria-hidden>
      <View style={{ height: 10, width: `${Math.min(share, 1) * 100}%`, backgroundColor: carnelian }} />
    </View>
  );
}

/** One thing to weigh or to set out: box and name tick it off; the amount, large, says how it came about. */
/** Letters of an amount from which on it is written smaller: the name keeps its room. */
const LONG = 9;

function TickRow({
  name,
  under,
  main,
  beside,
  ticked,
  onTick,
  why,
  testID,
}: {
  readonly name: string;
  readonly under: string;
  readonly main: string;
  readonly beside: string | null;
  readonly ticked: boolean;
  readonly onTick: () => void;
  readonly why: { readonly runId: string; readonly lineId: string; readonly figureId: string };
  readonly testID: string;
}) {
  const askWhy = useScreen((state) => state.askWhy);
  const { line, inkSoft, carnelian, onCarnelian } = useTokens();
  const spoken = [main, beside, name].filter(Boolean).join(', ');
  return (
    <View
      testID={testID}
      style={{ flexDirection: 'row', minHeight: 68, borderBottomWidth: 1, borderBottomColor: line }}
    >
      <Tap role="checkbox" checked={ticked} label={spoken} onPress={onTick} style={{ flex: 1 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1.5) }}>
          <View
            style={{
              width: 30,
              height: 30,
              borderRadius: 9,
              borderWidth: 2,
              borderColor: ticked ? carnelian : inkSoft,
              backgroundColor: ticked ? carnelian : undefined,
              alignItems: 'center',
              justifyContent: 'center',
            }}
          >
            {ticked ? <Icon name="check" color={onCarnelian} size={22} /> : null}
          </View>
          <View style={{ flex: 1 }}>
            <Body
              soft={ticked}
              style={{ fontSize: 18, textDecorationLine: ticked ? 'line-through' : 'none' }}
            >
              {name}
            </Body>
            {under ? <Small>{under}</Small> : null}
          </View>
        </View>
      </Tap>
      <Tap
        label={`${spoken}. Why?`}
        onPress={() => askWhy(why.runId, why.lineId, why.figureId)}
        style={{ alignItems: 'flex-end', minWidth: 96, maxWidth: '46%', paddingLeft: space(1) }}
      >
        <Body
          soft={ticked}
          style={{
            fontSize: main.length > LONG ? 20 : 26,
            lineHeight: main.length > LONG ? 26 : 32,
            fontFamily: FONT.sansStrong,
            textAlign: 'right',
          }}
        >
          {main}
        </Body>
        {beside ? <Small>{beside}</Small> : null}
      </Tap>
    </View>
  );
}
