import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import type { RunDay, Timed } from '../../core/schedule/chores';
import { inStyle } from '../../core/quantity';
import type { Standing } from '../../core/bench/standing';
import type { RunStanding } from '../../state/benchView';
import { runIn } from '../../state/documents';
import { useDocuments, useKitchen, useNumberStyle } from '../../state/store';
import { clockText, dateOf, dayText, localNow } from '../../state/time';
import { Tap } from '../../ui/tap';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { turnWords } from './turns';
import { KIND_WORDS, lineName, spanText } from './day.words';

interface ListProps {
  readonly run: RunDoc;
  readonly day: RunDay;
  readonly now: number;
  readonly onOpen: (chore: string) => void;
  /** Once something has happened: what is done, what runs, and when the rest begins now. */
  readonly standing?: RunStanding;
  /** From now on, and no more than so many; all of them where nothing is said. */
  readonly atMost?: number;
}

type Entry =
  | { readonly at: string; readonly min: number; readonly timed: Timed }
  | { readonly at: string; readonly min: number; readonly turn: RunDay['turns'][number] };

/** The day in the order of the clock, each chore at its hour. */
export function ChoreList({ run, day, now, onOpen, standing, atMost }: ListProps) {
  const told = standing?.begun ? standing : null;
  const all: Entry[] = [
    // What only waits for another run is no business of who works at this one.
    ...[...day.chores, ...day.beside.filter(({ chore }) => chore.kind === 'hands')].map((timed) => ({
      at: timed.startAt,
      min: timed.startMin,
      timed,
    })),
    ...day.turns.map((turn) => ({ at: turn.at, min: turn.atMin, turn })),
  ].sort((a, b) => b.min - a.min);
  const here = localNow(now);
  const entries =
    atMost === undefined ? all : all.filter(({ at }) => at >= here || all[0]?.at === at).slice(0, atMost);
  return (
    <View role="list" aria-label="The day in order">
      {entries.map((entry, i) => {
        const own = entry.at.slice(0, 10);
        const heading = own === entries[i - 1]?.at.slice(0, 10) ? null : dayText(dateOf(entry.at), now);
        return (
          <View
            key={'timed' in entry ? entry.timed.chore.id : `${entry.turn.ovenId}-${entry.at}`}
            role="listitem"
          >
            {heading ? (
              <Heading level={3} style={{ marginTop: space(1.5) }}>
                {heading.replace(/^./, (letter) => letter.toUpperCase())}
              </Heading>
            ) : null}
            {'timed' in entry ? (
              <ChoreRow
                run={run}
                timed={entry.timed}
                at={entry.at}
                is={told?.bench.standing.get(entry.timed.chore.id)?.is ?? 'open'}
                onOpen={onOpen}
              />
            ) : (
              <TurnRow turn={entry.turn} />
            )}
          </View>
        );
      })}
    </View>
  );
}

const ROW = {
  flexDirection: 'row',
  alignItems: 'stretch',
  gap: space(1.5),
  minHeight: 48,
  borderBottomWidth: 1,
  paddingVertical: space(0.75),
} as const;

/** What is said of a chore in place of its length, once it has begun. */
const RUNS_WORDS = { hands: 'in hand', oven: 'baking', wait: 'waiting', ahead: 'begun' } as const;
const standsWords = (is: Standing['is'], kind: Timed['chore']['kind']): string =>
  is === 'open' ? '' : is === 'ended' ? 'done' : RUNS_WORDS[kind];

function ChoreRow({
  run,
  timed,
  at,
  is,
  onOpen,
}: {
  readonly run: RunDoc;
  readonly timed: Timed;
  /** When it begins, or when it was begun or done. */
  readonly at: string;
  readonly is: Standing['is'];
  readonly onOpen: (chore: string) => void;
}) {
  const { line, carnelian, material, ground } = useTokens();
  const { chore, startMin, endMin } = timed;
  const waits = chore.kind === 'wait' || chore.kind === 'ahead';
  const other = useDocuments(({ docs }) => (chore.ofRun ? runIn(docs, chore.ofRun) : undefined));
  const whose = other
    ? `For “${other.name}”`
    : run.lines.length > 1
      ? chore.lineIds.map((id) => lineName(run, id)).join(', ')
      : '';
  const length = standsWords(is, chore.kind) || spanText(startMin - endMin);
  return (
    <Tap
      label={`${clockText(at)} ${chore.label}, ${length}${whose ? `, ${whose}` : ''}. ${KIND_WORDS[chore.kind]}`}
      onPress={() => onOpen(chore.id)}
      style={[ROW, { borderBottomColor: line }]}
    >
      <Strong style={{ width: 52 }}>{clockText(at)}</Strong>
      <View
        style={{
          width: 8,
          borderRadius: 4,
          borderWidth: waits ? 1.5 : 0,
          borderColor: line,
          backgroundColor: other
            ? line
            : chore.kind === 'hands'
              ? carnelian
              : chore.kind === 'oven'
                ? material.crumb
                : ground,
        }}
      />
      <View style={{ flex: 1 }}>
        <Body soft={waits || is === 'ended' || other !== undefined}>{chore.label}</Body>
        {whose ? <Small numberOfLines={1}>{whose}</Small> : null}
      </View>
      <Small>{length}</Small>
    </Tap>
  );
}

function TurnRow({ turn }: { readonly turn: RunDay['turns'][number] }) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const { line, material } = useTokens();
  return (
    <View style={[ROW, { borderBottomColor: line }]}>
      <Strong style={{ width: 52 }}>{clockText(turn.at)}</Strong>
      <View style={{ width: 8, borderRadius: 4, backgroundColor: material.crust }} />
      <Body style={{ flex: 1 }}>{inStyle(turnWords(turn, kitchen), style)}</Body>
    </View>
  );
}
