import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { isForThoseGoingOn } from '../../core/bench/goingOn';
import { loadOf } from '../../core/bench/standing';
import type { RunDoc } from '../../core/model/documents';
import { counted as countedEvents } from '../../core/bench/log';
import { lastActOf } from '../../core/bench/lastAct';
import { begin, finish, stepBack, tell } from '../../state/bench';
import { takeInHand, useBenchLook, type RunStanding } from '../../state/benchView';
import { onTheWall } from '../../state/clock';
import { clockText, localNow, whenText } from '../../state/time';
import { useGoingOn } from '../../state/goingOn';
import type { RunPlan } from '../../state/plans';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { leftWords, lineName } from '../day/day.words';
import { LogAfter } from '../runs/LogAfter';
import { Rescue } from '../runs/sums/Rescue';
import { stageHref } from '../runs/stages';
import { DayState } from '../day/SafeStart';
import { portioningOf } from '../../core/bench/portioningOf';
import type { Chore } from '../../core/schedule/chores';
import { JudgeCard } from './JudgeCard';
import { Lost, LostLine } from './Lost';
import { MoreWanted } from './More';
import { PortionCard } from './PortionCard';
import { WeighIn } from './WeighIn';
import { StepCard, whose } from './StepCard';
import { Waits } from './Waits';

interface Of {
  readonly run: RunDoc;
  readonly whole: RunPlan;
}

/** The bench of a run: one thing in hand, what runs meanwhile, what comes next, and whether the day still holds. */
export function BenchRun({ run, whole, view }: Of & { readonly view: RunStanding }) {
  const { day, inHand, chores, bench, view: search } = view;
  const going = useGoingOn(run, whole);
  if (!day || chores.length === 0) return <DayState run={run} view={search} />;
  const paused = bench.state.pausedAt !== null;
  return (
    <View style={{ gap: space(2) }}>
      {paused ? (
        <Card title="Paused">
          <Body>Clocks of what stands and bakes go on: only the hands rest.</Body>
          <QuietAction title="Go on" large onPress={() => tell('Go on', run.id, { what: 'resumed' })} />
        </Card>
      ) : inHand ? (
        <>
          <StepCard
            {...(isForThoseGoingOn(inHand) ? going : { run, whole })}
            chore={inHand}
            chores={chores}
          />
          <AtTheStep run={run} whole={whole} going={going.whole} view={view} chore={inHand} />
        </>
      ) : (
        <Idle run={run} view={view} />
      )}
      {inHand && !paused ? <StepActions run={run} whole={whole} view={view} /> : null}
    </View>
  );
}

/** What is judged and weighed at the step in hand. */
function AtTheStep({
  run,
  whole,
  going,
  view,
  chore,
}: Of & {
  /** The plan for the pieces that go on. */
  readonly going: RunPlan;
  readonly view: RunStanding;
  readonly chore: Chore;
}) {
  const { state } = view.bench;
  const plan = whole.lines.find((one) => one.planned && chore.lineIds.includes(one.line.id));
  const weighed = (
    <WeighIn
      key={chore.id}
      run={run}
      whole={isForThoseGoingOn(chore) ? going : whole}
      view={view}
      chore={chore}
    />
  );
  if (!plan?.planned) return weighed;
  const portions = portioningOf(chore, plan, state);
  return (
    <>
      {weighed}
      <JudgeCard run={run} plan={plan} chore={chore} answers={state.answers.get(chore.id) ?? []} />
      {portions ? <PortionCard run={run} chore={chore} of={portions} plan={plan} state={state} /> : null}
    </>
  );
}

/** What runs by itself, what comes next, and who else works. */
export function Meanwhile({ run, whole, view }: Of & { readonly view: RunStanding }) {
  return (
    <>
      <Waits run={run} whole={whole} view={view} />
      <Next run={run} view={view} />
      <Away run={run} view={view} />
    </>
  );
}

/** Whether the day holds, in one line, and where to find ways out where it does not. */
export function DayLine({ run, view }: { readonly run: RunDoc; readonly view: RunStanding }) {
  const router = useRouter();
  const { left } = view;
  const { carnelian, ink } = useTokens();
  if (!left) return null;
  const late = Math.round(left.lateMin);
  const words = leftWords(left, run, onTheWall(view.now));
  const overdue = view.chores.filter(
    ({ id, kind }) =>
      left.overdue.includes(id) && kind !== 'wait' && view.bench.standing.get(id)?.is === 'open',
  );
  return (
    <View role="status" style={{ gap: space(0.5) }}>
      {overdue.slice(0, 2).map((chore) => (
        <Body
          key={chore.id}
        >{`“${chore.label}” is waited for too long: what it is made with does not keep. Do it next, or make that anew.`}</Body>
      ))}
      <Strong style={{ color: late > 0 ? carnelian : ink }}>{words}</Strong>
      <LostLine run={run} state={view.bench.state} />
      {late > 0 ? (
        <QuietAction
          title="What would give time?"
          icon="bench"
          onPress={() => router.navigate(stageHref(run.id, 'day'))}
        />
      ) : null}
    </View>
  );
}

/** The hour; with its day where that is another one. */
const hourText = (at: string, now: number): string => {
  const here = onTheWall(now);
  return at.slice(0, 10) === localNow(here).slice(0, 10) ? clockText(at) : whenText(at, here);
};

/** Nothing can be done: until when, and what it waits for. */
function Idle({ run, view }: { readonly run: RunDoc; readonly view: RunStanding }) {
  const { bench, next } = view;
  const [first] = bench.running;
  const [then] = next;
  return (
    <Card title={then ? 'Nothing in hand' : 'All is done'}>
      <Body>
        {then
          ? `${first ? `“${first.label}” has to be ready first. ` : ''}Then: ${then.chore.label}, about ${hourText(then.at, view.now)}.`
          : 'Every step has been told. Close the run, and it stands in the logbook.'}
      </Body>
      {lastActOf(run).length > 0 ? (
        <QuietAction title="A step back" icon="undo" onPress={() => stepBack(run)} />
      ) : null}
    </Card>
  );
}

function StepActions({ run, whole, view }: Of & { readonly view: RunStanding }) {
  const { inHand, chores } = view;
  if (!inHand) return null;
  const plan = whole.lines.find((one) => one.planned && inHand.lineIds.includes(one.line.id));
  const [lineId] = inHand.lineIds;
  const told = lastActOf(run).length > 0;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
      {plan?.planned ? <Rescue run={run} plan={plan} does={inHand.does} /> : null}
      <QuietAction
        title="Skip it"
        onPress={() => finish(run, inHand, chores, (one) => whose(run, one), 'skipped')}
      />
      {told ? <QuietAction title="A step back" icon="undo" onPress={() => stepBack(run)} /> : null}
      {run.lines.length > 1 && lineId && inHand.lineIds.length === 1 ? (
        <QuietAction
          title="Somebody else does this line"
          onPress={() =>
            tell(`${lineName(run, lineId)}: by somebody else`, run.id, { what: 'handed', lineId, away: true })
          }
        />
      ) : null}
      {plan?.planned ? <Lost run={run} plan={plan} /> : null}
      {plan?.planned ? <MoreWanted run={run} plan={plan} view={view} /> : null}
      <QuietAction title="Pause" onPress={() => tell('Pause', run.id, { what: 'paused' })} />
    </View>
  );
}

/** How many of what comes next have room. */
const SHOWN = 4;

function Next({ run, view }: { readonly run: RunDoc; readonly view: RunStanding }) {
  const { next, bench } = view;
  const { line } = useTokens();
  if (next.length === 0) return null;
  const canNow = new Set(bench.ready.map(({ id }) => id));
  return (
    <Card title="Next">
      {next.slice(0, SHOWN).map(({ chore, at }) => {
        const words = (
          <>
            <Small style={{ width: 64 }}>{hourText(at, view.now)}</Small>
            <View style={{ flex: 1 }}>
              <Body>{chore.label}</Body>
              {run.lines.length > 1 ? <Small numberOfLines={1}>{whose(run, chore)}</Small> : null}
            </View>
          </>
        );
        const row = {
          flexDirection: 'row',
          gap: space(1),
          borderBottomWidth: 1,
          borderBottomColor: line,
          paddingVertical: space(0.75),
        } as const;
        return canNow.has(chore.id) ? (
          <Tap
            key={chore.id}
            label={`${clockText(at)} ${chore.label}, ${whose(run, chore)}. Take it in hand now`}
            onPress={() => takeInHand(run.id, chore)}
            style={row}
          >
            {words}
            <Small>now</Small>
          </Tap>
        ) : (
          <View key={chore.id} style={row}>
            {words}
          </View>
        );
      })}
      {next.length > SHOWN ? <Small>{`And ${next.length - SHOWN} more: see the Day.`}</Small> : null}
    </Card>
  );
}

/** Lines that somebody else works at, to be taken back. */
function Away({ run, view }: { readonly run: RunDoc; readonly view: RunStanding }) {
  const { away } = view.bench.state;
  if (away.size === 0) return null;
  return (
    <Card title="With somebody else">
      {[...away].map((lineId) => (
        <View key={lineId} style={{ gap: space(0.5) }}>
          <Body>{lineName(run, lineId)}</Body>
          <QuietAction
            title={`Take ${lineName(run, lineId)} back`}
            onPress={() =>
              tell(`${lineName(run, lineId)} taken back`, run.id, { what: 'handed', lineId, away: false })
            }
          />
        </View>
      ))}
    </Card>
  );
}

/** The ways to a rehearsal and into the log, for as long as nothing has happened at the bench. */
export function ToRehearsal({ run, whole }: Of) {
  const router = useRouter();
  if (run.closed || countedEvents(run.log ?? []).length > 0) return null;
  return (
    <>
      <QuietAction
        title={run.rehearsal ? 'On with the rehearsal' : 'Rehearse it first, without flour'}
        onPress={() => router.navigate({ pathname: '/runs/[id]/rehearse', params: { id: run.id } })}
      />
      <LogAfter run={run} whole={whole} />
    </>
  );
}

/** How the bench is read: large, aloud, and with leave to ring while another window is open. */
export function Look() {
  const { large, aloud } = useBenchLook();
  const canNote = typeof Notification !== 'undefined' && Notification.permission === 'default';
  return (
    <View style={{ gap: space(1) }}>
      <Chips label="How the bench is read" among="any">
        <Chip
          among="any"
          title="From two metres"
          selected={large}
          onPress={() => useBenchLook.setState({ large: !large })}
        />
        <Chip
          among="any"
          title="Aloud"
          selected={aloud}
          onPress={() => useBenchLook.setState({ aloud: !aloud })}
        />
      </Chips>
      {canNote ? (
        <QuietAction
          title="Tell me of clocks when I look elsewhere"
          onPress={() => void Notification.requestPermission()}
        />
      ) : null}
    </View>
  );
}

/** What could be begun before its hour. */
const earlyOf = ({ next, bench }: RunStanding) =>
  next.find(({ chore }) => bench.ready.some(({ id }) => id === chore.id))?.chore ?? null;

/** Whether there is anything for the thumb. */
export const hasFoot = (view: RunStanding): boolean =>
  view.bench.state.pausedAt === null && (view.inHand !== null || earlyOf(view) !== null);

/** The one action of the step in hand; null where there is none. */
export function BenchFoot({ run, whole, view }: Of & { readonly view: RunStanding }) {
  const { inHand, chores, bench } = view;
  if (bench.state.pausedAt !== null) return null;
  if (!inHand) {
    // Before its hour nothing has to be done, and everything that waits for nothing can.
    const early = earlyOf(view);
    return early ? (
      <QuietAction title={`Begin now: ${early.label}`} large onPress={() => takeInHand(run.id, early)} />
    ) : null;
  }
  const load = loadOf(inHand);
  if (inHand.kind === 'hands')
    return (
      <MainAction
        title={`Done: ${inHand.label}`}
        large
        onPress={() => finish(run, inHand, chores, (one) => whose(run, one))}
      />
    );
  return (
    <MainAction
      title={
        inHand.kind === 'ahead'
          ? `${inHand.label}: begun`
          : load === null
            ? 'In: start its clock'
            : `Load ${load} in: start its clock`
      }
      large
      onPress={() => begin(run, inHand, whole, whose(run, inHand))}
    />
  );
}
