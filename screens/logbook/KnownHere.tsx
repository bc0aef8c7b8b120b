import { useState } from 'react';
import { View } from 'react-native';
import { allEvidence, learn, type Learned } from '../../core/learn';
import type { Evidence, KitchenDoc, RunDoc } from '../../core/model/documents';
import { paramOf } from '../../core/param';
import { fromShown, toShown } from '../../core/quantity';
import { useNow } from '../../state/clock';
import { countOutcome, sayOfThing, startAfresh } from '../../state/learned';
import { useDocuments, useNumberStyle } from '../../state/store';
import { dateOf, dayText, momentText } from '../../state/time';
import { Chip, Chips, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Icon } from '../../ui/icons';
import { NumberSheet } from '../../ui/numberSheet';
import { Sheet } from '../../ui/sheet';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { thingOf } from '../kitchen/StatedHere';
import { beliefText } from './beliefText';
import { useClosedRuns } from './closedRuns';
import { grouped, longName } from './things';

/** What of one parameter of one thing this kitchen has learned, and what it began with. */
interface Known {
  readonly key: string;
  readonly label: string;
  readonly thing: string;
  readonly learned: Learned;
}

/** What this kitchen has learned from its outcomes: each with what it started from, from how many, and a way to change it. */
export function KnownHere({ kitchen }: { readonly kitchen: KitchenDoc }) {
  const docs = useDocuments((state) => state.docs);
  const runs = useClosedRuns();
  const now = useNow(600_000);
  const style = useNumberStyle();
  const [open, setOpen] = useState<string | null>(null);
  const all = knownOf(kitchen, runs, (of) => thingOf(of, kitchen, docs), now);
  if (all.length === 0) return null;
  const known = (by: Learned['by']) => all.filter(({ learned }) => learned.by === by);
  const [own, kinds] = [known('itself'), known('kind')];
  // What still reads as it began is nothing to tell.
  const others = known('others').filter(
    ({ learned: { param, mean, start } }) =>
      beliefText({ param, mean, spread: 0 }, style) !==
      beliefText({ param, mean: start.value, spread: 0 }, style),
  );
  const opened = all.find(({ key }) => key === open);
  const row = (known: Known, what: string) => (
    <Row
      key={known.key}
      known={known}
      what={what}
      now={now}
      style={style}
      onOpen={() => setOpen(known.key)}
    />
  );
  return (
    <Card title="What this kitchen has learned">
      <Small soft={false}>
        Every plan uses it. A baking time goes by several of these together: the oven’s, the tin’s, the
        batter’s, what bakes off. A plan’s range is what is left of the doubt, and what one batch differs from
        the next.
      </Small>
      {grouped(own, ({ learned }) => learned.param).map(({ title, some }) => (
        <View key={title} style={{ gap: space(0.5) }}>
          <Strong>{title}</Strong>
          {some.map((known) => row(known, known.thing))}
        </View>
      ))}
      {others.length > 0 ? <Strong>Learned together with those above</Strong> : null}
      {others.map((known) => row(known, known.thing))}
      {kinds.length > 0 ? <Strong>For others of the kind, until they are used</Strong> : null}
      {kinds.map((known) => row(known, known.thing ? `any other ${known.thing}` : 'any other'))}
      <Sheet
        title={opened ? longName(opened.thing || 'any other', opened.learned.param) : ''}
        visible={opened !== undefined}
        onClose={() => setOpen(null)}
      >
        {opened ? <OneKnown known={opened} runs={runs} onDone={() => setOpen(null)} /> : null}
      </Sheet>
    </Card>
  );
}

/** All that was learned and is used, and what would be if somebody had not left its batches out. */
function knownOf(
  kitchen: KitchenDoc,
  runs: readonly RunDoc[],
  nameOf: (of: string) => string,
  now: number,
): Known[] {
  const keyOf = ({ param, of }: { readonly param: string; readonly of: string }) => `${param}@${of}`;
  const used = new Set(kitchen.beliefs.filter((one) => one.learned).map(keyOf));
  const said = new Set(kitchen.beliefs.filter((one) => !one.learned).map(keyOf));
  const evidence = allEvidence(runs, kitchen);
  const seen = new Map(evidence.map((one) => [`${one.param}@${one.of[0] ?? ''}`, one]));
  const learned = learn(evidence, now).filter((one) => used.has(keyOf(one)));
  const leftOut = [...seen].flatMap(([key, { param, of, at, start }]): Learned[] =>
    used.has(key) || said.has(key)
      ? []
      : [
          {
            param,
            of: of[0] ?? '',
            mean: start.value,
            spread: start.spread,
            start,
            seen: 0,
            lastAt: at,
            by: 'itself',
            ties: {},
            changedAt: null,
          },
        ],
  );
  return [...learned, ...leftOut].map((one) => ({
    key: keyOf(one),
    label: paramOf(one.param)?.label ?? one.param,
    thing: nameOf(one.of),
    learned: one,
  }));
}

function Row({
  known: { learned },
  what,
  now,
  style,
  onOpen,
}: {
  readonly known: Known;
  readonly what: string;
  readonly now: number;
  readonly style: ReturnType<typeof useNumberStyle>;
  readonly onOpen: () => void;
}) {
  const { line, inkSoft } = useTokens();
  const { param, mean, spread, start, seen, lastAt, by } = learned;
  const value = beliefText({ param, mean, spread }, style);
  const first = beliefText({ param, mean: start.value, spread: start.spread }, style);
  const from =
    by === 'others'
      ? `from ${seen > 1 ? `${seen} batches` : 'a batch'} with a figure that rests on it`
      : seen === 0
        ? 'all its batches left out'
        : seen === 1
          ? 'from one batch'
          : `from ${seen} batches`;
  return (
    <Tap
      label={`${longName(what, param)}: ${value}, at first ${first}, ${from}. Open it`}
      onPress={onOpen}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space(1),
        borderBottomWidth: 1,
        borderBottomColor: line,
        paddingVertical: space(1),
      }}
    >
      <View style={{ flex: 1, gap: 2 }}>
        <Body>{longName(what, param)}</Body>
        <Strong>{value}</Strong>
        <Small>{`at first ${first}; ${from}, last ${dayText(dateOf(`${isoDay(lastAt)}T12:00`), now)}`}</Small>
      </View>
      <Icon name="next" color={inkSoft} />
    </Tap>
  );
}

const isoDay = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

/** So many of its batches are listed at once, the last first. */
const LISTED = 8;

/** One thing that was learned: its batches, each of which can be left out; said by hand; begun afresh. */
function OneKnown({
  known: { label, thing, learned },
  runs,
  onDone,
}: {
  readonly known: Known;
  readonly runs: readonly RunDoc[];
  readonly onDone: () => void;
}) {
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  const { param, of, mean, spread, start } = learned;
  const bounds = paramOf(param);
  const mine = runs.flatMap((run) =>
    (run.closed?.evidence ?? [])
      .filter((one) => one.param === param && (one.of[0] === of || (one.of.includes(of) && of !== 'kitchen')))
      .map((one) => ({ run, one })),
  );
  const unit = bounds?.unit ?? 'times';
  const whose = thing || 'any other of its kind';
  const [listed, setListed] = useState(LISTED);
  return (
    <>
      <Strong>{beliefText({ param, mean, spread }, style)}</Strong>
      <Small
        soft={false}
      >{`It began at ${beliefText({ param, mean: start.value, spread: start.spread }, style)}.`}</Small>
      {mine.slice(0, listed).map(({ run, one }) => (
        <View key={one.id} style={{ gap: space(0.5) }}>
          <Body>{`${run.name}, ${momentText(one.at)}: ${cameText(one, style)}`}</Body>
          <Chips label={`${run.name}: whether it counts`}>
            <Chip
              title="Counts"
              selected={one.taken === 'yes'}
              onPress={() => countOutcome(`${run.name} counts`, run.id, one.id, true)}
            />
            <Chip
              title="Left out"
              selected={one.taken !== 'yes'}
              onPress={() => countOutcome(`${run.name} left out`, run.id, one.id, false)}
            />
          </Chips>
        </View>
      ))}
      {mine.length > listed ? (
        <QuietAction
          title={`${Math.min(LISTED, mine.length - listed)} more of ${mine.length - listed}`}
          onPress={() => setListed(listed + LISTED)}
        />
      ) : null}
      <QuietAction title="Say it by hand" onPress={() => setAsking(true)} />
      {learned.by === 'others' ? (
        <Small soft={false}>
          Nobody measures it by itself. Each baking time or weight that rests on it tells a share of it.
        </Small>
      ) : (
        <QuietAction
          title="Begin afresh"
          label={`Begin afresh: ${label.toLowerCase()}, ${whose}`}
          onPress={() => {
            startAfresh(label, param, of);
            onDone();
          }}
        />
      )}
      <Small>
        Said by hand it stands, whatever batches say; under Kitchen, Numbers, it can be taken back.
        {learned.by === 'others'
          ? ''
          : ' Begun afresh, only batches from now on count: for a new oven of the same name, or another flour.'}
      </Small>
      <NumberSheet
        ask={
          asking && bounds
            ? {
                title: label,
                hint: whose,
                value: Number(toShown(mean, unit, style).toPrecision(3)),
                unit: unit === 'times' ? 'times the usual' : unit === 'share' ? '%' : unit,
                decimals: 3,
                min: toShown(bounds.min, unit, style),
                max: toShown(bounds.max, unit, style),
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(value) => {
          setAsking(false);
          onDone();
          sayOfThing(`${label} by hand`, param, of, fromShown(value, unit, style));
        }}
      />
    </>
  );
}

/** What one batch said: a value, or bounds. */
function cameText({ param, low, high }: Evidence, style: ReturnType<typeof useNumberStyle>): string {
  const text = (mean: number) =>
    beliefText({ param, mean, spread: 0 }, style).replace(/(, give or take 0 %| ± .*)$/, '');
  if (low === null) return high === null ? 'nothing' : `${text(high)} at most`;
  if (high === null) return `${text(low)} at least`;
  return low === high ? text(low) : `${text(low)} to ${text(high)}`;
}
