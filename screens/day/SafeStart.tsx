import { clocksIn } from '../../core/bench/clocksIn';
import { useState } from 'react';
import { View } from 'react-native';
import { firstToLookAt, nextLookAt } from '../../core/bench';
import type { RunDoc } from '../../core/model/documents';
import {
  firstOf,
  keptTooLong,
  thingName,
  type DayLeft,
  type RunDay,
  type Timed,
} from '../../core/schedule/chores';
import type { RunStanding } from '../../state/benchView';
import { onTheWall, useNow } from '../../state/clock';
import type { DayView } from '../../state/runDay';
import { runIn } from '../../state/documents';
import { changeRunOf, useDocuments, useKitchen } from '../../state/store';
import {
  awayText,
  clockOf,
  clockText,
  dateOf,
  dayText,
  localNow,
  minutesUntil,
  whenText,
} from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Notice } from '../../ui/notice';
import { Body, Small, Strong } from '../../ui/text';
import { FONT, useTokens } from '../../ui/theme';
import { BLOCKED, SKILL_WORDS, causeName, heldWords, spanText } from './day.words';

/** How far the search is, and why there is no day where there is none. */
export function DayState({ run, view }: { readonly run: RunDoc; readonly view: DayView }) {
  const kitchen = useKitchen();
  const { day, share, failed, stopped } = view;
  if (failed)
    return (
      <View style={{ gap: 8 }}>
        <Notice
          fault="The day could not be worked out: what searches for it stopped twice."
          mend={day ? 'What is shown is the day as far as it was found.' : 'Everything else is as it was.'}
        />
        <QuietAction title="Work the day out again" onPress={view.again} />
      </View>
    );
  if (share !== null)
    return (
      <View role="status" style={{ gap: 8 }}>
        <Small>
          {day
            ? `A day that works is shown. Looking for a better one, ${Math.round(share * 100)} %.`
            : `Working the day out, ${Math.round(share * 100)} %.`}
        </Small>
        {share > 0 ? <QuietAction title="Stop" onPress={view.stop} /> : null}
      </View>
    );
  if (stopped)
    return (
      <View style={{ gap: 8 }}>
        <Small>
          {day ? 'Stopped: this is the day as it was before.' : 'Stopped before a day was found.'}
        </Small>
        <QuietAction title="Work the day out" onPress={view.again} />
      </View>
    );
  if (!day)
    return (
      <Notice
        fault="Nothing has to be done for this run yet."
        mend="Mend the lines that cannot be planned: see Pieces."
      />
    );
  const blocked = day.blockedBy && BLOCKED[day.blockedBy];
  const [old] = keptTooLong(day);
  return (
    <>
      {blocked ? <Notice {...blocked} /> : null}
      {day.lacking.slice(0, 4).map(({ chore, thing, wants, has, skills }) => (
        <Notice
          key={`${chore.id}-${thing.kind}`}
          fault={
            skills
              ? `“${chore.label}”: nobody at work is said to ${skills.map((one) => SKILL_WORDS[one]).join(' or ')}.`
              : `${chore.label} wants ${wants} of “${thingName(kitchen, thing)}”, and there ${has === 1 ? 'is 1' : `are ${has}`}.`
          }
          mend={
            skills
              ? 'Say under Kitchen, Numbers, what each pair of hands can do.'
              : 'Say under Kitchen how many there are, or choose another under Pieces.'
          }
        />
      ))}
      {old ? (
        <Notice
          fault={`“${old.chore.label}” falls ${Math.floor(old.endMin / 1440)} days before, and what it makes does not keep so long.`}
          mend="Fewer pieces, more hands, or another oven: see what would give more time."
        />
      ) : null}
      {__DEV__ && day.breaches.length > 0 ? (
        <Notice
          fault={`The checker finds ${day.breaches.length} faults.`}
          mend={JSON.stringify(day.breaches[0])}
        />
      ) : null}
    </>
  );
}

/** Whether it is late by what has happened; before anything has, whether the latest safe start is past or no day is possible. */
export function pressing({ day, begun, left }: RunStanding, now: number): boolean {
  if (!day) return false;
  if (begun) return left !== null && left.lateMin >= 1;
  return day.lacking.length > 0 || (day.safeStartAt !== null && day.safeStartAt < localNow(now));
}

interface StartProps {
  readonly run: RunDoc;
  readonly standing: RunStanding;
  /** Over the day itself: what it rests on behind a tap. */
  readonly brief?: boolean;
}

/** When to begin; once something has happened, when it is ready and what comes next. */
export function SafeStart({ run, standing, brief = false }: StartProps) {
  const { day, begun, left } = standing;
  if (!day || day.chores.length === 0 || run.closed) return null;
  return begun && left ? (
    <ReadyAbout run={run} standing={standing} left={left} brief={brief} />
  ) : (
    <LatestStart run={run} day={day} brief={brief} />
  );
}

/** The hour that matters, large. */
function Hour({
  brief,
  late,
  children,
}: {
  readonly brief: boolean;
  readonly late: boolean;
  readonly children: string;
}) {
  const { carnelian, ink } = useTokens();
  return (
    <Strong
      style={{
        fontFamily: FONT.serif,
        fontSize: brief ? 30 : 44,
        lineHeight: brief ? 36 : 50,
        color: late ? carnelian : ink,
      }}
    >
      {children}
    </Strong>
  );
}

/** When all is ready by what has happened, and what comes next. */
function ReadyAbout({ run, standing, left, brief }: Required<StartProps> & { readonly left: DayLeft }) {
  const now = onTheWall(standing.now);
  const { inHand, next } = standing;
  const [then] = next;
  const look = firstToLookAt(clocksIn(run));
  return (
    <Card>
      <Small>Ready about</Small>
      <Hour brief={brief} late={left.lateMin >= 1}>
        {[left.readyAt, run.readyAt].every((at) => at.slice(0, 10) === localNow(now).slice(0, 10))
          ? clockText(left.readyAt)
          : whenText(left.readyAt, now)}
      </Hour>
      <Body>{heldWords(left, run)}</Body>
      <Body>
        {look
          ? `Next: Look at load ${look.load}, ${clockOf(onTheWall(nextLookAt(look)))}.`
          : inHand
            ? `In hand: ${inHand.label}.`
            : then
              ? `Next: ${then.chore.label}, ${whenText(then.at, now)}.`
              : 'Every step has been told.'}
      </Body>
    </Card>
  );
}

/** The latest safe start, large, with what it rests on. */
function LatestStart({
  run,
  day,
  brief,
}: {
  readonly run: RunDoc;
  readonly day: RunDay;
  readonly brief: boolean;
}) {
  const [full, setFull] = useState(!brief);
  const now = useNow(20_000);
  const kitchen = useKitchen();
  const at = day.safeStartAt;
  if (at === null) return null;
  const late = at < localNow(now);
  const first = firstOf(day);
  const eaters = day.eaters
    .filter(({ part }) => part >= 0.1)
    .slice(0, 3)
    .map(({ of, part }) => `${causeName(of, day, kitchen)} (${Math.round(part * 100)} %)`);
  return (
    <Card>
      <Small>Latest safe start</Small>
      <Hour
        brief={brief}
        late={late}
      >{`${dayText(dateOf(at), now).replace(/^./, (letter) => letter.toUpperCase())} ${clockText(at)}`}</Hour>
      <Body>
        {late
          ? `That is ${spanText(-minutesUntil(at, now))} ago: begun now, the chance of being ready by ${clockText(run.readyAt)} is less than nine in ten.`
          : `${awayText(at, now)}. Begun by then, nine days in ten are ready by ${clockText(run.readyAt)}.`}
      </Body>
      {day.beside.length > 0 || run.byItself ? <Beside run={run} day={day} /> : null}
      {first && !brief ? <First day={day} now={now} /> : null}
      {full ? (
        <Basis day={day} run={run} eaters={eaters} />
      ) : (
        <QuietAction title="What it rests on" onPress={() => setFull(true)} />
      )}
    </Card>
  );
}

/** What all of it begins with, of whichever run, and when the ovens go on before it. */
function First({ day, now }: { readonly day: RunDay; readonly now: number }) {
  const first = firstOf(day);
  const other = useDocuments(({ docs }) => (first?.chore.ofRun ? runIn(docs, first.chore.ofRun) : null));
  if (!first) return null;
  const words = (timed: Timed) => `${timed.chore.label}, ${whenText(timed.startAt, now)}`;
  const own = firstOf({ chores: day.chores, beside: [] });
  if (!other || !own) return <Body>{`First: ${words(first)}.`}</Body>;
  // The safe start over it is this run's own; the hands are at work before that.
  return (
    <Body>{`The kitchen’s day begins with “${other.name}”: ${words(first)}. First of this run: ${words(own)}.`}</Body>
  );
}

/** Other runs that are worked at on the same day. */
function Beside({ run, day }: { readonly run: RunDoc; readonly day: RunDay }) {
  const docs = useDocuments((state) => state.docs);
  const names = [...new Set(day.beside.map(({ chore }) => chore.ofRun ?? ''))].map(
    (id) => `“${runIn(docs, id)?.name ?? ''}”`,
  );
  const set = (byItself: boolean) =>
    changeRunOf(byItself ? 'By itself' : 'Together', run.id, (now) => ({ ...now, byItself }));
  return run.byItself ? (
    <>
      <Body>Planned as if no other run shared its day.</Body>
      <QuietAction title="Plan it with the day’s other runs" onPress={() => set(false)} />
    </>
  ) : (
    <>
      <Body>{`Planned together with ${names.join(', ')}: the same hands, ovens and bowls.`}</Body>
      <QuietAction title="Plan this one by itself" onPress={() => set(true)} />
    </>
  );
}

function Basis({
  day,
  run,
  eaters,
}: {
  readonly day: RunDay;
  readonly run: RunDoc;
  readonly eaters: readonly string[];
}) {
  const kitchen = useKitchen();
  return (
    <>
      <Small>
        {`The plan itself is done at ${clockText(day.doneAt ?? run.readyAt)} and keeps ${spanText(day.inHandMin)} in hand. With nothing in hand ${Math.round(day.bareChance * 100)} days in a hundred would be ready, by 1000 days worked through with the ranges of this run’s times.`}
      </Small>
      {eaters.length > 0 ? <Small>{`What eats the margin: ${eaters.join(', ')}.`}</Small> : null}
      <Small>
        {`${spanText(day.handsMin)} of work for ${(kitchen.hands ?? 1) === 1 ? 'one pair of hands' : `${kitchen.hands ?? 1} pairs of hands`}, ${spanText(day.feetMin)} from its first to its last.`}
      </Small>
      {day.squeezes > 0 ? (
        <Small>
          {day.squeezes === 1
            ? 'At one place there is hardly a minute to spare.'
            : `At ${day.squeezes} places there is hardly a minute to spare.`}
        </Small>
      ) : null}
    </>
  );
}
