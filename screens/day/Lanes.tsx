import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import { minutesOf } from '../../core/model/localTime';
import type { RunDay, Timed } from '../../core/schedule/chores';
import {
  lanesByLine,
  lanesByThing,
  timelineOf,
  type Lane,
  type Timeline,
} from '../../core/schedule/chores/lanes';
import { useKitchen } from '../../state/store';
import { clockText, localNow } from '../../state/time';
import { useWide } from '../../ui/screen';
import { Tap } from '../../ui/tap';
import { Small } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';
import { KIND_WORDS, laneName, spanText } from './day.words';
import { useChoreDrag } from './useChoreDrag';

interface LanesProps {
  readonly run: RunDoc;
  readonly day: RunDay;
  readonly by: 'thing' | 'line';
  readonly now: number;
  readonly onOpen: (chore: string) => void;
  /** A chore was drawn to begin so many minutes earlier (negative: later). */
  readonly onMove: (chore: string, earlierMin: number) => void;
}

/** Pixels a minute of clock time. */
const UPRIGHT = 4;
const ALONG = 4;
/** Rows and columns, px. */
const ROW = 40;
const RULER = 46;

/** The day as bands over clock time: upright on a phone, along on a wide screen. */
export function Lanes({ run, day, by, now, onOpen, onMove }: LanesProps) {
  const wide = useWide();
  const kitchen = useKitchen();
  const lanes =
    by === 'thing'
      ? lanesByThing(day)
      : lanesByLine(
          day,
          run.lines.map(({ id }) => id),
        );
  const readyMin = minutesOf(run.readyAt);
  const timeline = timelineOf(day, readyMin, wide ? ALONG : UPRIGHT, wide ? 30 : 60);
  const nowMin = readyMin - minutesOf(localNow(now));
  const names = lanes.map((lane) => laneName(lane, run, kitchen));
  const shared = { run, day, lanes, names, timeline, readyMin, nowMin, onOpen, onMove };
  return wide ? <LanesAlong {...shared} /> : <LanesUpright {...shared} />;
}

interface Laid extends Pick<LanesProps, 'run' | 'day' | 'onOpen' | 'onMove'> {
  readonly lanes: readonly Lane[];
  readonly names: readonly string[];
  readonly timeline: Timeline;
  readonly readyMin: number;
  readonly nowMin: number;
}

const clockAt = (readyMin: number, before: number): string => {
  const min = (((readyMin - before) % 1440) + 1440) % 1440;
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
  return `${two(min / 60)}:${two(min % 60)}`;
};

const inDay = ({ day, nowMin }: Pick<Laid, 'day' | 'nowMin'>): boolean =>
  nowMin >= 0 && nowMin <= (day.chores[0]?.startMin ?? 0);

function LanesUpright({ day, lanes, names, timeline, readyMin, nowMin, onOpen, onMove }: Laid) {
  const { line, carnelian, inkSoft } = useTokens();
  const [first] = lanes;
  const others = lanes.slice(1);
  const height = timeline.length + 24;
  return (
    <View aria-label="Lanes of the day" role="region">
      <View
        style={{ flexDirection: 'row', marginLeft: RULER, gap: 3, minHeight: 34, alignItems: 'flex-end' }}
      >
        {names.map((name, i) => (
          <Small
            key={lanes[i]?.key}
            numberOfLines={2}
            style={{ flex: flexOf(lanes[i], i), fontSize: 12, lineHeight: 15 }}
          >
            {name}
          </Small>
        ))}
      </View>
      <View style={{ height, flexDirection: 'row' }}>
        {timeline.marks.map((mark) => (
          <View
            key={mark}
            style={{
              position: 'absolute',
              left: 0,
              right: 0,
              top: timeline.at(mark),
              borderTopWidth: 1,
              borderTopColor: line,
            }}
          >
            <Small style={{ fontSize: 13 }}>{clockAt(readyMin, mark)}</Small>
          </View>
        ))}
        <View style={{ width: RULER }} />
        <View style={{ flex: 1, flexDirection: 'row', gap: 3 }}>
          {first ? (
            <View style={{ flex: flexOf(first, 0) }}>
              <Bands lane={first} timeline={timeline} upright named onOpen={onOpen} onMove={onMove} />
            </View>
          ) : null}
          {others.map((lane, i) => (
            <View key={lane.key} style={{ flex: flexOf(lane, i + 1) }}>
              <Bands lane={lane} timeline={timeline} upright named={false} onOpen={onOpen} onMove={onMove} />
            </View>
          ))}
        </View>
        {timeline.breaks.map(([from]) => (
          <Small
            key={from}
            style={{ position: 'absolute', left: RULER, top: timeline.at(from) + 6, color: inkSoft }}
          >
            nothing to do until the next hour shown
          </Small>
        ))}
        {inDay({ day, nowMin }) ? (
          <View
            style={{
              position: 'absolute',
              left: 0,
              right: 0,
              top: timeline.at(nowMin),
              height: 3,
              backgroundColor: carnelian,
            }}
            aria-label="Now"
          />
        ) : null}
      </View>
    </View>
  );
}

const flexOf = (lane: Lane | undefined, i: number): number =>
  i === 0 ? 5 : 1 + 0.6 * ((lane?.rows ?? 1) - 1);

function LanesAlong({ day, lanes, names, timeline, readyMin, nowMin, onOpen, onMove }: Laid) {
  const { line, carnelian } = useTokens();
  const width = timeline.length + 24;
  const heights = lanes.map(({ rows }) => rows * ROW + 10);
  const top = (i: number) => 26 + heights.slice(0, i).reduce((sum, one) => sum + one, 0);
  return (
    <View role="region" aria-label="Lanes of the day" style={{ flexDirection: 'row' }}>
      <View style={{ width: 132, paddingTop: 26 }}>
        {names.map((name, i) => (
          <View
            key={lanes[i]?.key}
            style={{ height: heights[i], justifyContent: 'center', paddingRight: space(1) }}
          >
            <Small numberOfLines={2} style={{ fontFamily: FONT.sansStrong }}>
              {name}
            </Small>
          </View>
        ))}
      </View>
      <ScrollView horizontal style={{ flex: 1 }} tabIndex={0} aria-label="Clock time, scrolls">
        <View style={{ width, height: top(lanes.length) }}>
          {timeline.marks.map((mark) => (
            <View
              key={mark}
              style={{
                position: 'absolute',
                top: 0,
                bottom: 0,
                left: timeline.at(mark),
                borderLeftWidth: 1,
                borderLeftColor: line,
              }}
            >
              <Small style={{ paddingLeft: 4 }}>{clockAt(readyMin, mark)}</Small>
            </View>
          ))}
          {lanes.map((lane, i) => (
            <View
              key={lane.key}
              style={{ position: 'absolute', top: top(i), left: 0, right: 0, height: heights[i] }}
            >
              <Bands lane={lane} timeline={timeline} upright={false} named onOpen={onOpen} onMove={onMove} />
            </View>
          ))}
          {inDay({ day, nowMin }) ? (
            <View
              aria-label="Now"
              style={{
                position: 'absolute',
                top: 0,
                bottom: 0,
                left: timeline.at(nowMin),
                width: 3,
                backgroundColor: carnelian,
              }}
            />
          ) : null}
        </View>
      </ScrollView>
    </View>
  );
}

interface BandsProps {
  readonly lane: Lane;
  readonly timeline: Timeline;
  readonly upright: boolean;
  /** Whether there is room for words. */
  readonly named: boolean;
  readonly onOpen: (chore: string) => void;
  readonly onMove: (chore: string, earlierMin: number) => void;
}

function Bands({ lane, timeline, upright, named, onOpen, onMove }: BandsProps) {
  return (
    <>
      {lane.chores.map(({ timed, row }) => (
        <Band
          key={timed.chore.id}
          timed={timed}
          row={row}
          rows={lane.rows}
          timeline={timeline}
          upright={upright}
          named={named}
          onOpen={onOpen}
          onMove={onMove}
        />
      ))}
    </>
  );
}

/** Letters fit into a band from here on, px. */
const ROOM_FOR_WORDS = 15;

function Band({
  timed,
  row,
  rows,
  timeline,
  upright,
  named,
  onOpen,
  onMove,
}: Omit<BandsProps, 'lane'> & { readonly timed: Timed; readonly row: number; readonly rows: number }) {
  const { inkSoft, carnelian, carnelianSoft, material, ground, ink } = useTokens();
  const [drawnBy, setDrawnBy] = useState(0);
  const { chore, startMin, endMin, slackS } = timed;
  const begin = timeline.at(startMin);
  const length = Math.max(3, timeline.at(endMin) - begin);
  const slack = begin - timeline.at(startMin + slackS / 60);
  const drag = useChoreDrag({
    upright,
    onDraw: setDrawnBy,
    onDrop: (px) => {
      setDrawnBy(0);
      // Another run's is moved in that run.
      if (other) return onOpen(chore.id);
      onMove(chore.id, timeline.minutesAt(begin + px) - startMin);
    },
    onTap: () => onOpen(chore.id),
  });
  const other = chore.ofRun !== undefined;
  const hands = chore.kind === 'hands' && !other;
  const waits = chore.kind === 'wait' || chore.kind === 'ahead';
  const across = { from: `${(100 * row) / rows}%`, size: `${100 / rows}%` } as const;
  const place = (at: number, size: number, inset: number) =>
    upright
      ? ({
          position: 'absolute',
          top: at,
          height: size,
          left: across.from,
          width: across.size,
          paddingRight: 2,
        } as const)
      : ({
          position: 'absolute',
          left: at,
          width: size,
          top: 4 + row * ROW + inset,
          height: ROW - 4 - 2 * inset,
        } as const);
  const words = named && (upright ? length >= ROOM_FOR_WORDS : length >= 34);
  return (
    <>
      {slack > 3 && !other ? (
        <View
          aria-hidden
          style={[
            place(begin - slack, slack, 8),
            { backgroundColor: hands ? carnelianSoft : ground, borderRadius: 6, opacity: 0.7 },
          ]}
        />
      ) : null}
      <View
        ref={drag}
        style={[
          place(begin + drawnBy, length, 0),
          { zIndex: drawnBy === 0 ? 1 : 5, touchAction: upright ? 'pan-x' : 'pan-y' } as object,
        ]}
      >
        <Tap
          label={`${other ? 'Of another run: ' : ''}${chore.label}, ${spanText(startMin - endMin)}, ${KIND_WORDS[chore.kind]}, begins ${clockText(timed.startAt)}`}
          onPress={() => onOpen(chore.id)}
          style={{
            minHeight: 0,
            minWidth: 0,
            height: '100%',
            width: '100%',
            borderRadius: 6,
            borderWidth: 1.5,
            borderStyle: waits ? 'dashed' : 'solid',
            borderColor: hands ? carnelian : inkSoft,
            backgroundColor: other
              ? ground
              : hands
                ? carnelianSoft
                : chore.kind === 'oven'
                  ? material.crumb
                  : ground,
            borderLeftWidth: hands && upright ? 5 : 1.5,
            overflow: 'hidden',
            paddingHorizontal: 4,
            justifyContent: upright ? 'flex-start' : 'center',
          }}
        >
          {words ? (
            <Small
              numberOfLines={upright ? Math.max(1, Math.floor(length / 15)) : 2}
              style={{
                color: other ? inkSoft : chore.kind === 'oven' ? '#2A190F' : ink,
                fontSize: 12,
                lineHeight: 14,
              }}
            >
              {chore.label}
            </Small>
          ) : null}
        </Tap>
      </View>
    </>
  );
}
