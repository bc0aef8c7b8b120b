import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { goingOn } from '../../core/bench/log';
import { overOf, waysToMore, type More as Way } from '../../core/bench/more';
import { MORE } from '../../core/bench/more.words';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { inStyle } from '../../core/quantity';
import type { DayLeft } from '../../core/schedule/chores';
import type { RunStanding } from '../../state/benchView';
import { fileOf } from '../../state/plans';
import { askReadyWith } from '../../state/runDay';
import { changeRunOf, useDocuments, useNumberStyle } from '../../state/store';
import { clockText } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { NumberSheet } from '../../ui/numberSheet';
import { Sheet } from '../../ui/sheet';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { lineName, spanText } from '../day/day.words';

interface Of {
  readonly run: RunDoc;
  readonly plan: LinePlan;
  readonly view: RunStanding;
}

/** Somebody wants more of a line while the day is on: ways to them, each with what it does to the day. */
export function MoreWanted(of: Of) {
  const [asked, setAsked] = useState(false);
  const [pieces, setPieces] = useState<number | null>(null);
  return (
    <>
      <QuietAction title="More are wanted" onPress={() => setAsked(true)} />
      <NumberSheet
        ask={
          asked
            ? {
                title: 'How many more',
                hint: `Of ${lineName(of.run, of.plan.line.id)}.`,
                value: 6,
                unit: 'pieces',
                min: 1,
                max: 500,
                whole: true,
                quick: [1, 2, 6, 12],
              }
            : null
        }
        onClose={() => setAsked(false)}
        onSave={(value) => {
          setAsked(false);
          setPieces(value);
        }}
      />
      <Sheet
        title={pieces === null ? '' : `${pieces} more`}
        visible={pieces !== null}
        onClose={() => setPieces(null)}
      >
        {pieces === null ? null : <Ways {...of} pieces={pieces} onTaken={() => setPieces(null)} />}
      </Sheet>
    </>
  );
}

function Ways({
  run,
  plan,
  view,
  pieces,
  onTaken,
}: Of & { readonly pieces: number; readonly onTaken: () => void }) {
  const style = useNumberStyle();
  const { line } = useTokens();
  const { chores, bench, left } = view;
  // As it was asked: what is tried does not change while somebody reads it.
  const [ways] = useState(() =>
    waysToMore(fileOf(run, useDocuments.getState().docs, 0), plan, bench, chores, pieces),
  );
  const found = useReady(ways);
  const { parts } = plan;
  const over = overOf(
    plan,
    parts.count.made.value - goingOn(bench.state, plan.line.id, parts.count.made.value),
  );
  return (
    <View style={{ gap: space(1) }}>
      {over > 0 ? (
        <Body>{`${MORE.spare(Math.min(over, pieces))} ${over >= pieces ? 'Nothing has to be made.' : ''}`}</Body>
      ) : null}
      {ways.length === 0 ? (
        <Body>Nothing that is there makes more of these: the crumb, the tin or the mould is at its end.</Body>
      ) : null}
      {ways.map((way) => {
        const words = inStyle(way.words, style);
        const told = found.get(way.id);
        return (
          <Tap
            key={way.id}
            label={`${words}. ${readyWords(told, left)} Take it`}
            onPress={() => {
              changeRunOf(`${pieces} more`, run.id, (now) => ({ ...now, lines: way.run.lines }));
              onTaken();
            }}
            style={{
              minHeight: 64,
              justifyContent: 'center',
              borderBottomWidth: 1,
              borderBottomColor: line,
              paddingVertical: space(1),
            }}
          >
            <Strong>{words}</Strong>
            <Body>{readyWords(told, left)}</Body>
          </Tap>
        );
      })}
      <Small>A tap takes it; undo takes it back.</Small>
    </View>
  );
}

/** When each way would have all ready: undefined while it is tried, null where nothing can be said. */
function useReady(ways: readonly Way[]): ReadonlyMap<string, DayLeft | null> {
  const [found, setFound] = useState<ReadonlyMap<string, DayLeft | null>>(new Map());
  useEffect(() => {
    let wanted = true;
    void (async () => {
      for (const way of ways) {
        const told = await askReadyWith(way.run).catch(() => null);
        if (!wanted) return;
        setFound((before) => new Map([...before, [way.id, told]]));
      }
    })();
    return () => {
      wanted = false;
    };
  }, [ways]);
  return found;
}

function readyWords(told: DayLeft | null | undefined, now: DayLeft | null): string {
  if (told === undefined) return 'Trying it with the day.';
  if (told === null) return 'What it does to the day cannot be said.';
  const late = Math.round(told.lateMin);
  const ready = `Ready about ${clockText(told.readyAt)}`;
  const longer = now ? Math.round(told.lateMin - now.lateMin) : 0;
  const more = longer > 1 ? `, ${spanText(longer)} later than without` : '';
  return late > 0 ? `${ready}, ${spanText(late)} late${more}.` : `${ready}, in time${more}.`;
}
