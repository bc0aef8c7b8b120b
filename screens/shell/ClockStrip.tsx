import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { clocksOf, type Running } from '../../core/bench/clocks';
import { onTheWall, useSteadyNow } from '../../state/clock';
import { runIn, runsIn } from '../../state/documents';
import { useDocuments, useScreen } from '../../state/store';
import { clockOf } from '../../state/time';
import { Tap } from '../../ui/tap';
import { Small } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';
import { stageHref } from '../runs/stages';
import { pieceWords } from '../runs/words';
import { useAlarm } from './useAlarm';

/** Clocks that have room beside one another. */
const SHOWN = 3;

/** Every clock that runs, on every screen: the next one first, what is due marked. */
export function ClockStrip() {
  const docs = useDocuments((state) => state.docs);
  const runs = runsIn(docs);
  const any = runs.some((run) => !run.closed && (run.log ?? []).length > 0);
  return any ? <Strip runs={runs} /> : null;
}

function Strip({ runs }: { readonly runs: Parameters<typeof clocksOf>[0] }) {
  // Four times a second: drawn once, what is shown would be up to a second old by the next.
  const now = useSteadyNow(250);
  const { raised, line } = useTokens();
  const clocks = clocksOf(runs, now);
  useAlarm(clocks, now);
  if (clocks.length === 0) return null;
  const more = clocks.length - SHOWN;
  return (
    <View
      role="region"
      aria-label="Clocks that run"
      style={{
        flexDirection: 'row',
        backgroundColor: raised,
        borderTopWidth: 1,
        borderBottomWidth: 1,
        borderColor: line,
        paddingHorizontal: space(1),
      }}
    >
      {clocks.slice(0, SHOWN).map((clock) => (
        <Clock key={clock.key} clock={clock} now={now} />
      ))}
      {more > 0 ? <Small style={{ alignSelf: 'center', padding: space(1) }}>{`+${more}`}</Small> : null}
    </View>
  );
}

/** "3:12" within the hour, the time of day beyond it, and since when once it is past. */
export function leftText({ dueAt, look }: Pick<Running, 'dueAt' | 'look'>, now: number): string {
  const seconds = Math.round((dueAt - now) / 1000);
  if (seconds > 3600) return `at ${clockOf(onTheWall(dueAt))}`;
  if (seconds > 0) return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  return seconds > -60
    ? look
      ? 'look now'
      : 'ready'
    : `${look ? 'look' : 'ready'} ${clockOf(onTheWall(dueAt))}`;
}

/** More letters than these are written smaller. */
const LONG_LEFT = 9;

function Clock({ clock, now }: { readonly clock: Running; readonly now: number }) {
  const router = useRouter();
  const { carnelian, ink } = useTokens();
  const due = clock.dueAt <= now;
  const left = leftText(clock, now);
  const line = useDocuments(({ docs }) =>
    runIn(docs, clock.runId)?.lines.find(({ id }) => id === clock.lineId),
  );
  const label = line ? `${clock.label}, ${pieceWords(line)}` : clock.label;
  return (
    <Tap
      label={`${label}, ${clock.of}: ${left}`}
      onPress={() => {
        if (clock.lineId) useScreen.getState().lookAt(clock.runId, clock.lineId);
        router.navigate(stageHref(clock.runId, 'bake'));
      }}
      style={{ flex: 1, minWidth: 0, paddingHorizontal: space(0.5), justifyContent: 'center' }}
    >
      <Small numberOfLines={1}>{clock.place ?? label}</Small>
      <Small
        numberOfLines={1}
        style={{
          fontFamily: FONT.sansStrong,
          // "ready 09:47" stands whole in a third of a phone.
          fontSize: left.length > LONG_LEFT ? 18 : 22,
          lineHeight: 27,
          color: due ? carnelian : ink,
        }}
      >
        {left}
      </Small>
    </Tap>
  );
}
