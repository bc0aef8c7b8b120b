import { clocksIn } from '../../core/bench/clocksIn';
import { View } from 'react-native';
import { dueAtOf } from '../../core/bench/log';
import { loadOf } from '../../core/bench/standing';
import type { RunDoc } from '../../core/model/documents';
import type { Chore } from '../../core/schedule/chores';
import { finish, tell } from '../../state/bench';
import type { RunStanding } from '../../state/benchView';
import { onTheWall } from '../../state/clock';
import { clockOf } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { leftText } from '../shell/ClockStrip';
import type { RunPlan } from '../../state/plans';
import { SIGNS } from '../../core/bench/judge.words';
import { Cooling } from './Cooling';
import { whose } from './StepCard';

/** How much longer something is given that was looked at and not ready: so much of its time, and two minutes at least. */
const MORE_SHARE = 0.15;
const MORE_LEAST_S = 120;

/** What runs by itself: cooling, setting, standing, and what is in a heat that has no clock of its own. */
export function Waits({
  run,
  whole,
  view,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly view: RunStanding;
}) {
  const { bench, chores, now } = view;
  const { line } = useTokens();
  // Loads have their clocks.
  const clocked = (chore: Chore) =>
    loadOf(chore) !== null &&
    clocksIn(run).some(({ load, lineId }) => load === loadOf(chore) && chore.lineIds.includes(lineId));
  const waits = bench.running.filter((chore) => chore.kind !== 'hands' && !clocked(chore));
  if (waits.length === 0) return null;
  return (
    <Card title="Meanwhile">
      {waits.map((chore) => {
        const own = bench.standing.get(chore.id);
        const readyAt = own?.is === 'running' ? own.readyAt : null;
        const moreS = Math.max(MORE_LEAST_S, chore.takes.lengthS * MORE_SHARE);
        const told = bench.state.chores.get(chore.id);
        const dueAt = (told && dueAtOf(told)) ?? readyAt;
        const left = dueAt === null ? '' : leftText({ dueAt, look: chore.kind === 'oven' }, now);
        return (
          <View
            key={chore.id}
            style={{
              gap: space(0.5),
              borderBottomWidth: 1,
              borderBottomColor: line,
              paddingBottom: space(1),
            }}
          >
            <View style={{ flexDirection: 'row', gap: space(2), alignItems: 'baseline' }}>
              <View style={{ flex: 1 }}>
                <Body>{chore.label}</Body>
                {SIGNS[chore.does] ? <Small soft={false}>{SIGNS[chore.does] ?? ''}</Small> : null}
                <Small>{`${whose(run, chore)}${readyAt === null ? '' : `, about ${clockOf(onTheWall(readyAt))}`}`}</Small>
              </View>
              <Strong style={{ fontSize: 24, lineHeight: 30 }}>{left}</Strong>
            </View>
            <Cooling run={run} whole={whole} chore={chore} view={view} />
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
              <QuietAction
                title={chore.kind === 'oven' ? 'Out: it is done' : 'It is ready'}
                onPress={() => finish(run, chore, chores, (one) => whose(run, one))}
              />
              <QuietAction
                title={`Not yet: ${Math.round(moreS / 60)} min more`}
                onPress={() =>
                  tell(`${chore.label}: not yet`, run.id, {
                    what: 'not yet',
                    chore: chore.id,
                    moreS: Math.round(moreS),
                  })
                }
              />
            </View>
          </View>
        );
      })}
    </Card>
  );
}
