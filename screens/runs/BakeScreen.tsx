import { clocksIn } from '../../core/bench/clocksIn';
import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { nextLookAt } from '../../core/bench';
import { loadOf } from '../../core/bench/standing';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { inStyle, showText, type NumberStyle, counted } from '../../core/quantity';
import { putIn } from '../../state/bench';
import { useStanding, type RunStanding } from '../../state/benchView';
import { runIn } from '../../state/documents';
import type { OpenRun } from '../../state/plans';
import { useDocuments, useNumberStyle } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { Columns, useWide } from '../../ui/screen';
import { Instruments } from '../bench/Instruments';
import { BenchFoot, BenchRun, DayLine, Look, Meanwhile, ToRehearsal, hasFoot } from '../bench/BenchRun';
import { lineName } from '../day/day.words';
import { CloseSheet } from './CloseSheet';
import { CoreCurve } from './CoreCurve';
import { LoadClock } from './LoadClock';
import { BackToPieces, LineFault, RunFrame } from './RunFrame';
import { pieceWords } from './words';

/** The bench of a run: the step in hand, its clocks, what comes next. */
export function BakeScreen({ id }: { readonly id: string }) {
  useKeepAwake();
  const run = useDocuments(({ docs }) => runIn(docs, id));
  return run ? (
    <Bench run={run} />
  ) : (
    <RunFrame id={id} stage="bake">
      {() => null}
    </RunFrame>
  );
}

function Bench({ run: { id }, run: now }: { readonly run: RunDoc }) {
  const [closing, setClosing] = useState<'the run' | 'a line' | null>(null);
  // One look at the bench for the card and for the thumb: they never speak of two steps.
  const view = useStanding(now);
  const wide = useWide();
  return (
    <RunFrame
      id={id}
      stage="bake"
      broad
      // Without anything for the thumb there is no bar for it either.
      foot={(open) => footOf(open, view, setClosing)}
    >
      {({ run, whole }) => (
        <>
          {whole.lines.map((line) =>
            !line.planned ? (
              <LineFault key={line.line.id} line={line} named={run.lines.length > 1} />
            ) : line.parts.count.made.value === 0 ? (
              <Body
                key={line.line.id}
              >{`${several(run) ? `${lineName(run, line.line.id)}: there` : 'There'} is not enough for a single piece. Look at the sums.`}</Body>
            ) : null,
          )}
          {run.closed ? null : <DayLine run={run} view={view} />}
          {/* A look that is due goes before whatever is in hand. */}
          {wide || !lookDue(run, view.now) ? null : <Loads run={run} whole={whole} view={view} />}
          <Columns>
            {run.closed ? null : <BenchRun run={run} whole={whole} view={view} />}
            <View style={{ gap: space(2) }}>
              {!wide && lookDue(run, view.now) ? null : <Loads run={run} whole={whole} view={view} />}
              {run.closed ? null : <Meanwhile run={run} whole={whole} view={view} />}
            </View>
          </Columns>
          <ToRehearsal run={run} whole={whole} />
          {run.closed ? null : <Instruments />}
          {wide ? null : <Look />}
          <CloseSheet
            run={run}
            whole={whole}
            visible={closing !== null}
            oneLine={closing === 'a line'}
            onClose={() => setClosing(null)}
          />
        </>
      )}
    </RunFrame>
  );
}

const several = ({ lines }: RunDoc) => lines.length > 1;

const lookDue = (run: RunDoc, now: number): boolean =>
  !run.closed && clocksIn(run).some((clock) => clock.endedAt === null && nextLookAt(clock) <= now);

const startedIn = (run: RunDoc, { line }: LinePlan, load: number) =>
  clocksIn(run).find((clock) => clock.load === load && clock.lineId === line.id);

/** A load that nobody gave a clock, and that is over all the same: what comes after it has been done. */
const isBehind = ({ chores, bench }: RunStanding, { line }: LinePlan, load: number): boolean => {
  const own = chores.find((one) => loadOf(one) === load && one.lineIds.includes(line.id));
  return own !== undefined && bench.standing.get(own.id)?.is === 'ended';
};

/** Loads that have a clock: rounds of a mould are set by the cold, not by a clock of these. */
const loadsOf = ({ parts }: LinePlan): readonly number[] => parts.clocked?.sizes ?? [];

function footOf(open: OpenRun, view: RunStanding, onClose: (what: 'the run' | 'a line') => void): ReactNode {
  const { run, whole } = open;
  if (run.closed) return <ToLogbook />;
  if (whole.lines.every((one) => !one.planned)) return <BackToPieces runId={run.id} />;
  const baking = clocksIn(run).some((clock) => clock.endedAt === null);
  const waiting = whole.lines.some(
    (one) =>
      one.planned && loadsOf(one).some((_, i) => !startedIn(run, one, i + 1) && !isBehind(view, one, i + 1)),
  );
  const step = hasFoot(view);
  // Nothing is in the oven, and nothing has to go in any more.
  const closes = !baking && !waiting;
  // A line whose loads are all out can be closed while others go on.
  const state = view.bench.state;
  const left = whole.lines.filter((one) => !state.closedLines.has(one.line.id));
  const lineDone = left.some(
    (one) =>
      one.planned &&
      clocksIn(run).some((clock) => clock.lineId === one.line.id) &&
      clocksIn(run).every((clock) => clock.lineId !== one.line.id || clock.endedAt !== null) &&
      loadsOf(one).every((_, i) => startedIn(run, one, i + 1) || isBehind(view, one, i + 1)),
  );
  const oneOf = !closes && left.length > 1 && lineDone;
  if (!step && !closes && !oneOf) return undefined;
  return (
    <>
      {step ? <BenchFoot run={run} whole={whole} view={view} /> : null}
      {closes ? <QuietAction title="Close the run" large onPress={() => onClose('the run')} /> : null}
      {oneOf ? <QuietAction title="Close a line" large onPress={() => onClose('a line')} /> : null}
    </>
  );
}

function ToLogbook() {
  const router = useRouter();
  return <MainAction title="To the logbook" onPress={() => router.navigate('/logbook')} />;
}

/** Loads in the oven with their clocks, and those that have still to go in. */
function Loads({
  run,
  whole,
  view,
}: {
  readonly run: RunDoc;
  readonly whole: OpenRun['whole'];
  readonly view: RunStanding;
}) {
  const style = useNumberStyle();
  const { inHand } = view;
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const of = (lineId: string) => plans.find(({ line }) => line.id === lineId);
  const several = plans.length > 1;
  const clocks = [...clocksIn(run)].sort(
    (a, b) => Number(a.endedAt !== null) - Number(b.endedAt !== null) || a.startedAt - b.startedAt,
  );
  const waiting = plans.flatMap((plan) =>
    loadsOf(plan)
      .map((planned, i) => {
        const load = i + 1;
        // As the day groups them, where it does so otherwise than the plan.
        const own = view.chores.find((one) => loadOf(one) === load && one.lineIds.includes(plan.line.id));
        return { plan, pieces: own?.pieces ?? planned, load };
      })
      .filter(({ load }) => !startedIn(run, plan, load) && !isBehind(view, plan, load)),
  );
  const first = waiting.filter(({ plan }, i) => waiting.findIndex((one) => one.plan === plan) === i);
  const inHandIs = (plan: LinePlan, load: number) =>
    inHand !== null && loadOf(inHand) === load && inHand.lineIds.includes(plan.line.id);
  // Once all is out of the oven, nobody asks any more how it warms.
  const bakes = waiting.length > 0 || clocks.some(({ endedAt }) => endedAt === null);
  const baked = inHand?.kind === 'oven' ? of(inHand.lineIds[0] ?? '') : several ? undefined : plans[0];
  return (
    <>
      {run.closed ? (
        <Body>{`Closed with ${run.closed.made} made. Its record is in the logbook.`}</Body>
      ) : null}
      {clocks.map((clock) => {
        const plan = of(clock.lineId);
        const loads = plan ? loadsOf(plan).length : 1;
        return (
          <LoadClock
            key={clock.id}
            run={run}
            clock={clock}
            tests={(plan?.tests ?? []).map((test) => inStyle(test, style))}
            title={`Load ${clock.load} of ${Math.max(loads, clock.load)}: ${several ? lineName(run, clock.lineId) : plan?.parts.clocked ? loadWords(plan, clock.pieces, style) : `${clock.pieces} pieces`}`}
          />
        );
      })}
      {waiting.length > 0 && !run.closed ? (
        <Card title="Still to go in">
          {waiting.slice(0, 6).map(({ plan, load, pieces }) => (
            <View
              key={`${plan.line.id}-${load}`}
              style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}
            >
              <Strong>{`Load ${load}`}</Strong>
              <Body style={{ flex: 1, textAlign: 'right' }}>
                {`${loadWords(plan, pieces, style)}${several ? `, ${pieceWords(plan.line)}` : ''}`}
              </Body>
            </View>
          ))}
          {waiting.length > 6 ? <Small>{`And ${waiting.length - 6} more.`}</Small> : null}
          {first
            .filter(({ plan, load }) => !inHandIs(plan, load))
            .map(({ plan, load, pieces }) => (
              <QuietAction
                key={plan.line.id}
                title={`Load ${load} in: start its clock${several ? `, ${lineName(run, plan.line.id)}` : ''}`}
                onPress={() => putIn(run.id, plan, load, pieces)}
              />
            ))}
          <Small>The clock starts when the door shuts. What comes before it counts as done then.</Small>
        </Card>
      ) : null}
      {baked && loadsOf(baked).length > 0 && bakes && !run.closed ? <CoreCurve plan={baked} /> : null}
    </>
  );
}

/** "18 wells of 55 g", "1 sheet of 1150 g", "3 mugs of 120 g". */
function loadWords({ parts }: LinePlan, pieces: number, style: NumberStyle): string {
  const { clocked } = parts;
  if (!clocked) return String(pieces);
  const n = clocked.inLoad ?? pieces;
  return `${counted(n, clocked.of)} of ${showText(clocked.each.value, 'g', style)}`;
}
