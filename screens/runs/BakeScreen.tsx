import { steadyNow } from '../../state/clock';
import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { startClock } from '../../core/bench';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { inStyle, showText, type NumberStyle, counted } from '../../core/quantity';
import { newId } from '../../state/ids';
import type { OpenRun } from '../../state/plans';
import { changeRunOf, useNumberStyle, useScreen } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { CautionLine } from '../../ui/notice';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { FigureView } from '../../ui/figure';
import { CloseSheet } from './CloseSheet';
import { CoreCurve } from './CoreCurve';
import { LoadClock } from './LoadClock';
import { BackToPieces, LineFault, RunFrame } from './RunFrame';

/** Loads going in and coming out, each with its clock. */
export function BakeScreen({ id }: { readonly id: string }) {
  useKeepAwake();
  const [closing, setClosing] = useState(false);
  return (
    <RunFrame
      id={id}
      stage="bake"
      ofLine
      foot={(open) => <Foot open={open} onClose={() => setClosing(true)} />}
    >
      {({ run, whole, line }) => (
        <>
          {line.planned ? <Loads run={run} plan={line} /> : <LineFault line={line} />}
          <CloseSheet run={run} whole={whole} visible={closing} onClose={() => setClosing(false)} />
        </>
      )}
    </RunFrame>
  );
}

const startedIn = (run: RunDoc, { line }: LinePlan, load: number) =>
  run.clocks.find((clock) => clock.load === load && clock.lineId === line.id);

/** Loads that have a clock: rounds of a mould are set by the cold, not by a clock of these. */
const loadsOf = ({ parts }: LinePlan): readonly number[] => parts.clocked?.sizes ?? [];

/** Puts a load in: its clock goes by what the plan expects at this moment. */
function putIn(run: RunDoc, plan: LinePlan, load: number): void {
  const { clocked } = plan.parts;
  if (!clocked) return;
  const { time, firstLook } = load === clocked.sizes.length && clocked.last ? clocked.last : clocked;
  const clock = startClock(
    newId('clock'),
    plan.line.id,
    load,
    loadsOf(plan)[load - 1] ?? 1,
    { firstLookS: firstLook.value, expectedS: time.value, latestS: time.high },
    steadyNow(),
  );
  changeRunOf(`Load ${load} in`, run.id, (now) => ({ ...now, clocks: [...now.clocks, clock] }));
}

function Foot({ open, onClose }: { readonly open: OpenRun; readonly onClose: () => void }) {
  const router = useRouter();
  const { run, whole, line } = open;
  if (run.closed) return <MainAction title="To the logbook" onPress={() => router.navigate('/logbook')} />;
  if (whole.lines.every((one) => !one.planned)) return <BackToPieces runId={run.id} />;
  const plan = line.planned ? line : null;
  const next = plan ? loadsOf(plan).findIndex((_, i) => !startedIn(run, plan, i + 1)) + 1 : 0;
  const baking = run.clocks.some((clock) => clock.endedAt === null);
  if (plan && next > 0 && !baking) {
    return (
      <MainAction title={`Load ${next} in: start its clock`} large onPress={() => putIn(run, plan, next)} />
    );
  }
  if (plan && next > 0)
    return <QuietAction title={`Load ${next} in as well`} large onPress={() => putIn(run, plan, next)} />;
  if (baking) return null;
  const waiting = whole.lines.find(
    (one) => one.planned && loadsOf(one).some((_, i) => !startedIn(run, one, i + 1)),
  );
  if (waiting && waiting.line.id !== line.line.id) {
    return (
      <QuietAction
        title="To the next line"
        large
        onPress={() => useScreen.getState().lookAt(run.id, waiting.line.id)}
      />
    );
  }
  return <MainAction title="Close the run" large onPress={onClose} />;
}

function Loads({ run, plan }: { readonly run: RunDoc; readonly plan: LinePlan }) {
  const style = useNumberStyle();
  const sizes = loadsOf(plan);
  const tests = plan.tests.map((test) => inStyle(test, style));
  const running = run.clocks
    .filter(({ lineId }) => lineId === plan.line.id)
    .sort((a, b) => Number(a.endedAt !== null) - Number(b.endedAt !== null) || a.load - b.load);
  const waiting = sizes
    .map((pieces, i) => ({ pieces, load: i + 1 }))
    .filter(({ load }) => !startedIn(run, plan, load));
  const of = { runId: run.id, lineId: plan.line.id };
  return (
    <>
      {run.closed ? (
        <Body>{`Closed with ${run.closed.made} made. Its record is in the logbook.`}</Body>
      ) : null}
      {running.map((clock) => (
        <LoadClock
          key={clock.id}
          run={run}
          clock={clock}
          tests={tests}
          title={`Load ${clock.load} of ${Math.max(sizes.length, clock.load)}: ${clock.pieces} pieces`}
        />
      ))}
      {waiting.length > 0 && !run.closed ? (
        <Card title={run.clocks.length === 0 ? 'Fill and bake' : 'Still to go in'}>
          {run.clocks.length === 0 ? (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4) }}>
              {plan.parts.clocked?.shows.map(({ id: figureId }) => (
                <FigureView key={figureId} {...of} figure={plan.figure(figureId)} />
              ))}
            </View>
          ) : null}
          {waiting.map(({ load, pieces }) => (
            <View key={load} style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
              <Strong>{`Load ${load}`}</Strong>
              <Body>{loadWords(plan, pieces, style)}</Body>
            </View>
          ))}
          <Small>Level each as it is filled. The clock starts when the door shuts.</Small>
        </Card>
      ) : null}
      {sizes.length > 0 && !run.closed ? <CoreCurve plan={plan} /> : null}
      {sizes.length === 0 ? <NoBaking plan={plan} /> : null}
      {plan.cautions
        .filter(({ place }) => place === 'bake' || place === 'microwave' || place === 'cool')
        .map((caution) => (
          <CautionLine key={caution.id} words={caution.words} />
        ))}
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

/** A line with nothing in an oven: its hours stand in the day. */
function NoBaking({ plan }: { readonly plan: LinePlan }) {
  const words =
    plan.parts.count.made.value === 0
      ? 'There is not enough for a single piece. Look at the sums.'
      : plan.parts.micro
        ? 'Its cake comes from the microwave, one bowl after another. The sums say how long.'
        : 'Nothing of this line goes into the oven by load. The day in its sums says what sets when.';
  return <Body>{words}</Body>;
}
