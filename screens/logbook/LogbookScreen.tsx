import { clocksIn } from '../../core/bench/clocksIn';
import { useRouter } from 'expo-router';
import { memo, useCallback, useState } from 'react';
import { Image, View } from 'react-native';
import { observedFactor } from '../../core/bench';
import type { RunDoc } from '../../core/model/documents';
import { formatDuration, join } from '../../core/quantity';
import { momentText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { More } from '../../ui/more';
import { Columns } from '../../ui/screen';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { Again } from '../runs/Again';
import { FINISH_WORDS, isDomed } from '../runs/HowItCame';
import { useRunWords } from '../runs/RunList';
import { CompareRuns } from './CompareRuns';
import { Lessons } from './Lessons';
import { PutAway } from './PutAway';
import { ToLog } from './ToLog';
import { LogbookFrame } from './LogbookFrame';
import { useClosedRuns } from './closedRuns';
import { NOTHING_SOUGHT, Sought, useFound } from './Sought';

/** What was planned and what happened, for every closed run: looked for, told apart, baked again. */
export function LogbookScreen() {
  const closed = useClosedRuns();
  const router = useRouter();
  const [two, setTwo] = useState<readonly string[]>([]);
  const [comparing, setComparing] = useState(false);
  const [sought, setSought] = useState(NOTHING_SOUGHT);
  const found = useFound(closed, sought);
  const latest = closed.slice(0, LATEST).map(({ id }) => id);
  const pair = two.flatMap((id) => closed.filter((run) => run.id === id));
  const [first, second] = pair;
  const pick = useCallback(
    (id: string) =>
      setTwo((before) =>
        before.includes(id) ? before.filter((one) => one !== id) : [...before, id].slice(-2),
      ),
    [],
  );
  return (
    <LogbookFrame
      view="batches"
      foot={
        first && second ? (
          <MainAction title={`Compare ${first.name} and ${second.name}`} onPress={() => setComparing(true)} />
        ) : undefined
      }
    >
      {closed.length === 0 ? (
        <Card title="No run is closed yet">
          <Body>Close a run after baking and it stands here: what was planned beside what came out.</Body>
          <QuietAction title="To the runs" icon="runs" onPress={() => router.navigate('/')} />
        </Card>
      ) : null}
      {closed.length > FEW ? <Sought runs={closed} sought={sought} onSought={setSought} /> : null}
      <ToLog />
      {closed.length > 0 && found.length === 0 ? (
        <Body>No batch is like that. Let one of the words above go.</Body>
      ) : null}
      <Found
        key={JSON.stringify(sought)}
        found={found}
        latest={latest}
        two={two}
        onPick={closed.length > 1 ? pick : null}
      />
      {first && second ? (
        <CompareRuns a={first} b={second} visible={comparing} onClose={() => setComparing(false)} />
      ) : null}
    </LogbookFrame>
  );
}

/** The batches that were found, so many of them as were scrolled to. */
function Found({
  found,
  latest,
  two,
  onPick,
}: {
  readonly found: readonly RunDoc[];
  readonly latest: readonly string[];
  readonly two: readonly string[];
  readonly onPick: ((id: string) => void) | null;
}) {
  const all = found.length;
  const [shown, setShown] = useState(FIRST);
  const few = useCallback(() => setShown((before) => Math.min(all, before + STEP)), [all]);
  return (
    <>
      <Columns>
        {found.slice(0, shown).map((run) => (
          <Record
            key={run.id}
            run={run}
            latest={latest.includes(run.id)}
            picked={two.includes(run.id)}
            onPick={onPick}
          />
        ))}
      </Columns>
      {all > shown ? (
        <More
          title={`${Math.min(PAGE, all - shown)} more of ${all - shown}`}
          few={shown}
          onFew={few}
          onMore={() => setShown(shown + PAGE)}
        />
      ) : null}
    </>
  );
}

/** So many batches are looked through without searching; so many stand there at first, and so many more by a tap. */
const FEW = 4;
const FIRST = 5;
const PAGE = 10;
/** So many more are drawn at once as the end comes near: what costs longer than a frame stutters under the thumb. */
const STEP = 1;

/** So many of the last runs show at once what they taught. */
const LATEST = 2;

const Record = memo(function Record({
  run,
  latest,
  picked,
  onPick,
}: {
  readonly run: RunDoc;
  readonly latest: boolean;
  readonly picked: boolean;
  readonly onPick: ((id: string) => void) | null;
}) {
  const [asked, setAsked] = useState(latest);
  const [putting, setPutting] = useState(false);
  const router = useRouter();
  const words = useRunWords();
  const { line } = useTokens();
  const { closed } = run;
  if (!closed) return null;
  const wanted = run.lines.reduce((sum, item) => sum + item.count, 0);
  return (
    <Card title={run.name}>
      <Small>{`${momentText(closed.at)}. ${words(run)}.`}</Small>
      <Compare name="Pieces" planned={String(wanted)} happened={String(closed.made)} />
      {run.lines.some(isDomed) ? (
        <Compare name="Ended" planned="" happened={FINISH_WORDS[closed.finish]} />
      ) : null}
      {clocksIn(run).map((clock) => {
        const factor = observedFactor(clock);
        if (factor === null || clock.endedAt === null) return null;
        return (
          <Compare
            key={clock.id}
            name={`Load ${clock.load}, oven`}
            planned={join(formatDuration(clock.expectedS))}
            happened={`${join(formatDuration((clock.endedAt - clock.startedAt) / 1000))} (×${factor.toFixed(2)})`}
          />
        );
      })}
      {closed.photo ? (
        <Image
          source={{ uri: closed.photo }}
          aria-label={`Photo of ${run.name}`}
          resizeMode="cover"
          style={{ width: '100%', height: 180, borderRadius: 12 }}
        />
      ) : null}
      {closed.note ? (
        <View style={{ borderTopWidth: 1, borderTopColor: line, paddingTop: space(1) }}>
          <Body>{closed.note}</Body>
        </View>
      ) : null}
      {asked ? (
        <Lessons run={run} />
      ) : (closed.evidence ?? []).length > 0 ? (
        <QuietAction title="What it taught" onPress={() => setAsked(true)} />
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <Again run={run} title="Bake it again" label={`Bake ${run.name} again, on another date`} />
        <QuietAction title="Put away" label={`Put ${run.name} away`} onPress={() => setPutting(true)} />
        <QuietAction
          title="Labels"
          label={`Labels for ${run.name}`}
          onPress={() => router.navigate({ pathname: '/runs/[id]/labels', params: { id: run.id } })}
        />
        {onPick ? (
          <QuietAction
            title={picked ? 'Not compared' : 'Compare'}
            label={picked ? `Do not compare ${run.name}` : `Compare ${run.name} with another`}
            onPress={() => onPick(run.id)}
          />
        ) : null}
      </View>
      {putting ? <PutAway visible onClose={() => setPutting(false)} runId={run.id} /> : null}
    </Card>
  );
});

function Compare({
  name,
  planned,
  happened,
}: {
  readonly name: string;
  readonly planned: string;
  readonly happened: string;
}) {
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
      <Body style={{ flex: 1 }}>{name}</Body>
      {planned ? <Body soft>{`planned ${planned}`}</Body> : null}
      <Strong>{happened}</Strong>
    </View>
  );
}
