import { clocksIn } from '../../core/bench/clocksIn';
import { useKeepAwake } from 'expo-keep-awake';
import { useRouter } from 'expo-router';
import { useDeferredValue } from 'react';
import { nextLookAt } from '../../core/bench';
import type { RunDoc } from '../../core/model/documents';
import { inStyle } from '../../core/quantity';
import { useNow } from '../../state/clock';
import { runIn, runsIn } from '../../state/documents';
import { planOf, usePlanner } from '../../state/plans';
import { useDocuments, useNumberStyle } from '../../state/store';
import { MainAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Screen } from '../../ui/screen';
import { Body } from '../../ui/text';
import { LoadClock } from '../runs/LoadClock';
import { stageHref } from '../runs/stages';

/** Every clock that is running, whichever run it belongs to, the next look first. */
export function BenchScreen() {
  useKeepAwake();
  const docs = useDocuments((state) => state.docs);
  const settled = useDeferredValue(docs);
  const router = useRouter();
  const style = useNumberStyle();
  const now = useNow(60_000);
  const runs = runsIn(docs);
  const running = runs
    .flatMap((run) =>
      clocksIn(run)
        .filter((clock) => clock.endedAt === null)
        .map((clock) => ({ run, clock })),
    )
    .sort((a, b) => nextLookAt(a.clock) - nextLookAt(b.clock));
  const planner = usePlanner((state) => state.planner);
  const testsFor = ({ id }: RunDoc, lineId: string): string[] => {
    const run = runIn(settled, id);
    const line = run && planOf(run, settled, now, planner)?.lines.find((one) => one.line.id === lineId);
    return line?.planned ? line.tests.map((test) => inStyle(test, style)) : [];
  };
  const next = running[0]?.run ?? runs.find((run) => !run.closed);
  return (
    <Screen
      title="Bench"
      foot={
        next ? (
          <MainAction
            title={`To ${next.name}`}
            onPress={() => router.navigate(stageHref(next.id, running.length > 0 ? 'bake' : 'gather'))}
          />
        ) : undefined
      }
    >
      {running.map(({ run, clock }) => (
        <LoadClock
          key={clock.id}
          run={run}
          clock={clock}
          tests={testsFor(run, clock.lineId)}
          title={`${run.name}: load ${clock.load}, ${clock.pieces} pieces`}
        />
      ))}
      {running.length === 0 ? (
        <Card title="No clock is running">
          <Body>
            Loads in the oven stand here, of all runs together. The step in hand stands at the bench of its
            run.
          </Body>
        </Card>
      ) : null}
    </Screen>
  );
}
