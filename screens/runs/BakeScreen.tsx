import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { startClock } from '../../core/bench';
import type { RunDoc } from '../../core/exchange/documents';
import type { CupcakePlan } from '../../core/plan';
import { inStyle, showText } from '../../core/quantity';
import { newId } from '../../state/ids';
import { changeRun, useNumberStyle } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { CautionLine } from '../../ui/notice';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { FigureView } from '../../ui/figure';
import { CloseSheet } from './CloseSheet';
import { CoreCurve } from './CoreCurve';
import { LoadClock } from './LoadClock';
import { RunFrame } from './RunFrame';

/** Loads going in and coming out, each with its clock. */
export function BakeScreen({ id }: { readonly id: string }) {
  useKeepAwake();
  const [closing, setClosing] = useState(false);
  return (
    <RunFrame
      id={id}
      stage="bake"
      foot={(run, plan) => <Foot run={run} plan={plan} onClose={() => setClosing(true)} />}
    >
      {(run, plan) => (
        <>
          <Loads run={run} plan={plan} />
          <CloseSheet run={run} plan={plan} visible={closing} onClose={() => setClosing(false)} />
        </>
      )}
    </RunFrame>
  );
}

const startedIn = (run: RunDoc, load: number) => run.clocks.find((clock) => clock.load === load);

/** Cocoa, treacle and the like hide the colour that pale batters are judged by. */
function putIn(run: RunDoc, plan: CupcakePlan, load: number): void {
  const time = plan.figure('bake.time');
  const clock = startClock(
    newId('clock'),
    plan.line.id,
    load,
    plan.loads.sizes[load - 1] ?? 1,
    { firstLookS: plan.figure('bake.firstLook').value, expectedS: time.value, latestS: time.high },
    Date.now(),
  );
  changeRun(`Load ${load} in`, { ...run, clocks: [...run.clocks, clock] });
}

function Foot({
  run,
  plan,
  onClose,
}: {
  readonly run: RunDoc;
  readonly plan: CupcakePlan;
  readonly onClose: () => void;
}) {
  const router = useRouter();
  if (run.closed) return <MainAction title="To the logbook" onPress={() => router.navigate('/logbook')} />;
  const next = plan.loads.sizes.findIndex((_, i) => !startedIn(run, i + 1)) + 1;
  const baking = run.clocks.some((clock) => clock.endedAt === null);
  if (next > 0 && !baking) {
    return (
      <MainAction title={`Load ${next} in: start its clock`} large onPress={() => putIn(run, plan, next)} />
    );
  }
  if (next > 0)
    return <QuietAction title={`Load ${next} in as well`} large onPress={() => putIn(run, plan, next)} />;
  if (baking) return null;
  return <MainAction title="Close the run" large onPress={onClose} />;
}

function Loads({ run, plan }: { readonly run: RunDoc; readonly plan: CupcakePlan }) {
  const style = useNumberStyle();
  const { sizes } = plan.loads;
  const tests = plan.tests.map((test) => inStyle(test, style));
  const running = [...run.clocks].sort(
    (a, b) => Number(a.endedAt !== null) - Number(b.endedAt !== null) || a.load - b.load,
  );
  const waiting = sizes
    .map((pieces, i) => ({ pieces, load: i + 1 }))
    .filter(({ load }) => !startedIn(run, load));
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
              <FigureView {...of} figure={plan.figure('portion.mass')} label="Into each well" />
              <FigureView {...of} figure={plan.figure('oven.setting')} label="Oven at" />
              <FigureView {...of} figure={plan.figure('bake.time')} label="Baking time" />
            </View>
          ) : null}
          {waiting.map(({ load, pieces }) => (
            <View key={load} style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
              <Strong>{`Load ${load}`}</Strong>
              <Body>{`${pieces} wells of ${showText(plan.figure('portion.mass').value, 'g', style)}`}</Body>
            </View>
          ))}
          <Small>Tap each tin level once it is filled. The clock starts when the door shuts.</Small>
        </Card>
      ) : null}
      {sizes.length > 0 && !run.closed ? <CoreCurve plan={plan} /> : null}
      {sizes.length === 0 ? <Body>No batter for a single piece. Look at the sums.</Body> : null}
      {plan.cautions
        .filter((caution) => caution.place === 'bake' || caution.place === 'cool')
        .map((caution) => (
          <CautionLine key={caution.id} words={caution.words} />
        ))}
    </>
  );
}
