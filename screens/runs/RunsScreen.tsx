import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import type { RunDoc, Family } from '../../core/model/documents';
import {
  ballSection,
  cubeSection,
  cupcakeCut,
  mouldedSection,
  mugSection,
  type Section,
} from '../../core/piece';
import { useNow } from '../../state/clock';
import { useStanding } from '../../state/benchView';
import { runIn, runsIn } from '../../state/documents';
import { noteNext } from '../../state/served';
import { usePlanOf } from '../../state/plans';
import { useDocuments, useScreen } from '../../state/store';
import { awayText, clockOf, localNow, whenText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { CutDrawing } from '../../ui/cut';
import { Icon } from '../../ui/icons';
import { SectionDrawing } from '../../ui/section';
import { Screen, useWide } from '../../ui/screen';
import { Tap } from '../../ui/tap';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';
import { ChoreList } from '../day/ChoreList';
import { leftWords } from '../day/day.words';
import { later } from '../later';
import { LineCut, PieceDrawing } from './LineCut';
import { nextThing } from './nextThing';
import { stageHref } from './stages';
import { ClosedRows, RunRow, useRunWords } from './RunList';
import { FAMILY_WORDS } from './words';

/** From so many runs on they can be looked for. */
const MANY_RUNS = 6;
const RunSearch = later('RunSearch');

/** What is being made, for when, and the very next thing to do. */
export function RunsScreen() {
  const docs = useDocuments((state) => state.docs);
  const runs = runsIn(docs);
  const open = runs.filter((run) => !run.closed);
  const closed = runs.filter((run) => run.closed);
  const [first, ...others] = open;
  const wide = useWide();
  const router = useRouter();
  return (
    <Screen title="Runs" beside={wide && first ? <NextDay run={first} /> : undefined}>
      {first ? <NextCard run={first} /> : <Empty />}
      <Heading level={3}>What are you making?</Heading>
      <Tiles />
      <QuietAction
        title="Start from what is there"
        icon="scale"
        onPress={() => router.navigate('/runs/from')}
      />
      <QuietAction
        title="Bring in a run or a formula"
        icon="down"
        onPress={() => useScreen.getState().setBringing(true)}
      />
      {open.length >= MANY_RUNS ? (
        <RunSearch />
      ) : (
        <>
          {others.length > 0 ? <Heading level={3}>Also planned</Heading> : null}
          {others.map((run) => (
            <RunRow key={run.id} run={run} />
          ))}
          <ClosedRows runs={closed} />
        </>
      )}
    </Screen>
  );
}

/** On a wide screen the next run's piece and its day stand beside it. */
function NextDay({ run }: { readonly run: RunDoc }) {
  const line = usePlanOf(run)?.lines.find((one) => one.planned);
  const standing = useStanding(run, 60_000);
  const { dayNow: day } = standing;
  const now = useNow(60_000);
  const router = useRouter();
  if (!line?.planned) return null;
  return (
    <>
      <LineCut plan={line} width={350} height={220} />
      {day && day.chores.length > 0 ? (
        <Card title="The day">
          <ChoreList
            run={run}
            day={day}
            now={now}
            atMost={14}
            standing={standing}
            onOpen={() => router.navigate(stageHref(run.id, 'day'))}
          />
        </Card>
      ) : null}
    </>
  );
}

function Empty() {
  return (
    <Card title="Nothing planned">
      <Body>
        Say what you want to have and when. The weights, the wells, the oven and the clock follow from it.
      </Body>
    </Card>
  );
}

function NextCard({ run }: { readonly run: RunDoc }) {
  const now = useNow(1000 * 20);
  const router = useRouter();
  const words = useRunWords();
  const wide = useWide();
  const { carnelian } = useTokens();
  const whole = usePlanOf(run);
  const [line] = whole?.lines ?? [];
  const planned = whole?.lines.find((one) => one.planned);
  const plan = planned?.planned ? planned : null;
  const standing = useStanding(run);
  const { day, begun, left, view } = standing;
  const { share } = view;
  const atBench = begun && day ? standing : null;
  const found = whole && plan ? nextThing(run, whole, localNow(now), day, atBench) : null;
  const other = useDocuments(({ docs }) => (found?.ofRun ? runIn(docs, found.ofRun) : null));
  // Hours are told once the whole day is known: a line by itself would name others.
  const pending = share !== null && day === null && found?.at != null;
  const next = pending ? { ...found, at: null, words: 'Working the day out' } : found;
  const startBy = day?.safeStartAt;
  const at = next?.atMs ? clockOf(next.atMs) : next?.at ? whenText(next.at, now) : null;
  const late = next?.at ? next.at < localNow(now) : false;
  const said = next ? `${run.name}. Next: ${next.words}${at ? `, ${at}` : ''}.` : null;
  useEffect(() => {
    if (!pending) noteNext(said);
  }, [said, pending]);
  return (
    <Card>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
        <View style={{ flex: 1 }}>
          <Heading level={2}>{run.name}</Heading>
          <Body>{words(run)}</Body>
          <Small>{`ready ${whenText(run.readyAt, now)}, ${awayText(run.readyAt, now)}`}</Small>
        </View>
        {plan && !wide ? (
          <PieceDrawing plan={plan} width={116} height={84} bare label="The piece, cut through" />
        ) : null}
      </View>
      {next ? (
        <View style={{ borderLeftWidth: 6, borderLeftColor: carnelian, paddingLeft: space(2) }}>
          <Small>Next</Small>
          <Strong style={{ fontSize: 20, lineHeight: 26 }}>{next.words}</Strong>
          {other ? <Small>{`For “${other.name}”`}</Small> : null}
          {at ? (
            <Body soft={!late} style={late ? { color: carnelian, fontFamily: FONT.sansStrong } : undefined}>
              {next.atMs ? `at ${at}` : `${at}, ${awayText(next.at ?? run.readyAt, now)}`}
            </Body>
          ) : null}
        </View>
      ) : line && !line.planned ? (
        <Body>{line.fault.fault}</Body>
      ) : null}
      {begun && left ? (
        <Small>{leftWords(left, run, now)}</Small>
      ) : next?.at && startBy && !late ? (
        <Small>{`Latest safe start ${whenText(startBy, now)}: of days begun by then nine in ten are ready.`}</Small>
      ) : null}
      <MainAction
        title="Go on"
        onPress={() => {
          if (next?.lineId) useScreen.getState().lookAt(run.id, next.lineId);
          router.navigate(
            stageHref(run.id, next?.stage === 'gather' && next.at ? 'sums' : (next?.stage ?? 'sums')),
          );
        }}
      />
    </Card>
  );
}

/** A sample cupcake for the tile: a standard well, half full, gently domed. */
const SAMPLE = cupcakeCut({ topMm: 70, baseMm: 52, depthMm: 36 }, 58, 114);
const SECTIONS: Readonly<Record<Exclude<Family, 'cupcake'>, Section>> = {
  pop: ballSection(35, 1.2, true),
  cakesicle: mouldedSection({ shape: 'stadium', lengthMm: 70, depthMm: 20 }, 1.8, 1.8, true),
  mug: mugSection(320, 0.42, 0.8, 50),
  mini: cubeSection(38, 30, 1.2),
};

/** What can be made, each drawn cut through. */
function Tiles() {
  const router = useRouter();
  const { raised, line, ink, inkSoft } = useTokens();
  return (
    <View style={{ gap: space(1) }}>
      {(Object.keys(FAMILY_WORDS) as Family[]).map((family) => (
        <Tap
          key={family}
          label={`${FAMILY_WORDS[family].title}: start a run`}
          onPress={() => router.navigate({ pathname: '/runs/new', params: { piece: family } })}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: space(2),
            borderRadius: 18,
            borderWidth: 1.5,
            borderColor: line,
            backgroundColor: raised,
            paddingHorizontal: space(2),
            paddingVertical: space(1),
          }}
        >
          {family === 'cupcake' ? (
            <CutDrawing cut={SAMPLE} width={92} height={60} bare label="" />
          ) : (
            <SectionDrawing section={SECTIONS[family]} width={92} height={60} bare label="" />
          )}
          <View style={{ flex: 1 }}>
            <Strong style={{ fontSize: 19, color: ink }}>{FAMILY_WORDS[family].title}</Strong>
            <Small style={{ color: inkSoft }}>{FAMILY_WORDS[family].detail}</Small>
          </View>
          <Icon name="next" color={inkSoft} />
        </Tap>
      ))}
    </View>
  );
}
