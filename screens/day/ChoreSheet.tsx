import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import { inStyle } from '../../core/quantity';
import { OVEN_DOOR, thingName, type RunDay, type Timed } from '../../core/schedule/chores';
import { askDayOnce } from '../../state/runDay';
import { runIn } from '../../state/documents';
import { changeRunOf, useDocuments, useKitchen, useNumberStyle, useScreen } from '../../state/store';
import { clockText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Notice } from '../../ui/notice';
import { Sheet } from '../../ui/sheet';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { stageHref } from '../runs/stages';
import { KIND_WORDS, lineName, spanText } from './day.words';

interface ChoreSheetProps {
  readonly run: RunDoc;
  readonly day: RunDay;
  readonly choreId: string | null;
  /** As it was drawn in its lane, min earlier; 0 where it was only tapped. */
  readonly earlierMin: number;
  /** Something of the run has happened: what is left moves by that, and no longer by hand. */
  readonly begun: boolean;
  readonly onClose: () => void;
}

/** A chore: what it is, why then, what it waits for; held at another time, with what that pushes. */
export function ChoreSheet({ choreId, ...rest }: ChoreSheetProps) {
  const timed = [...rest.day.chores, ...rest.day.beside].find(({ chore }) => chore.id === choreId);
  return (
    <Sheet title={timed?.chore.label ?? ''} visible={timed !== undefined} onClose={rest.onClose}>
      {timed?.chore.ofRun ? (
        <OfAnother timed={timed} ofRun={timed.chore.ofRun} onClose={rest.onClose} />
      ) : timed ? (
        <Inside key={`${timed.chore.id}:${rest.earlierMin}`} timed={timed} {...rest} />
      ) : null}
    </Sheet>
  );
}

/** A chore of another run that shares the day: moved there, not here. */
function OfAnother({
  timed,
  ofRun,
  onClose,
}: {
  readonly timed: Timed;
  readonly ofRun: string;
  readonly onClose: () => void;
}) {
  const router = useRouter();
  const other = useDocuments(({ docs }) => runIn(docs, ofRun));
  const { chore, startAt, endAt } = timed;
  return (
    <View style={{ gap: space(1.5) }}>
      <Strong
        style={{ fontSize: 26, lineHeight: 32 }}
      >{`${clockText(startAt)} to ${clockText(endAt)}`}</Strong>
      <Body>{`${KIND_WORDS[chore.kind]}, for “${other?.name ?? ''}”, which shares this day.`}</Body>
      <QuietAction
        title="To its day"
        onPress={() => {
          onClose();
          router.navigate(stageHref(ofRun, 'day'));
        }}
      />
    </View>
  );
}

const STEPS = [-15, -5, 5, 15] as const;

function Inside({
  run,
  day,
  timed,
  earlierMin,
  begun,
  onClose,
}: Omit<ChoreSheetProps, 'choreId'> & { readonly timed: Timed }) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const { chore, startAt, endAt, slackS, heldBy } = timed;
  const [moved, setMoved] = useState(Math.round(earlierMin / 5) * 5);
  const held = (run.held ?? {})[chore.id];
  const after = day.chores.filter((other) => other.chore.after.some(({ chore: id }) => id === chore.id));
  const all = [...day.chores, ...day.beside];
  const before = all.find((other) => other.chore.id === heldBy);
  const waitsFor = before?.chore;
  // In one oven with something that is still in it: the door is what it waits for.
  const shut = before && chore.kind === 'oven' && before.endMin < timed.startMin - 0.1;
  const oven = ovenOf(chore);
  const beside = all.filter(
    (other) =>
      other !== timed &&
      oven !== null &&
      ovenOf(other.chore) === oven &&
      Math.abs(other.startMin - timed.startMin) * 60 <= OVEN_DOOR.togetherS + 1,
  );
  const whose = chore.lineIds.map((id) => lineName(run, id)).join(', ');
  const { figureId, basis } = chore.takes;
  return (
    <View style={{ gap: space(1.5) }}>
      <Strong
        style={{ fontSize: 26, lineHeight: 32 }}
      >{`${clockText(startAt)} to ${clockText(endAt)}`}</Strong>
      <Body>{`${KIND_WORDS[chore.kind]}, ${spanText(timed.startMin - timed.endMin)}${whose ? `, for ${whose}` : ''}.`}</Body>
      {chore.detail ? <Body>{inStyle(chore.detail, style)}</Body> : null}
      {basis ? <Small>{basis}</Small> : null}
      {figureId && chore.lineIds[0] ? (
        <QuietAction
          title="Why so long?"
          onPress={() => {
            onClose();
            useScreen.getState().askWhy(run.id, chore.lineIds[0] ?? '', figureId);
          }}
        />
      ) : null}
      <Body>
        {begun
          ? 'The run has begun: what is left moves with what happens at the bench.'
          : waitsFor
            ? `It cannot begin sooner than ${slackS < 60 ? 'this' : `${spanText(slackS / 60)} earlier`}: ${shut ? `the oven stays shut until “${waitsFor.label}” has set.` : `“${waitsFor.label}” stands before it.`}`
            : slackS < 60
              ? 'It begins the day.'
              : `It could begin ${spanText(slackS / 60)} earlier with nothing else moved.`}
      </Body>
      {beside.length > 0 ? (
        <Body>{`Into the oven together with ${beside.map((one) => `“${one.chore.label}”${whoseOf(run, one)}`).join(', ')}.`}</Body>
      ) : null}
      {after.length > 0 ? (
        <Body>{`After it: ${after.map((one) => one.chore.label).join(', ')}.`}</Body>
      ) : null}
      {chore.holds.length > 0 ? (
        <Small>{`It takes ${chore.holds
          .map(({ of, units }) => `${units > 1 ? `${units} × ` : ''}${thingName(kitchen, of).toLowerCase()}`)
          .join(', ')}.`}</Small>
      ) : null}
      {begun ? null : (
        <>
          <Strong>Another time for it</Strong>
          <View style={{ flexDirection: 'row', gap: space(1), flexWrap: 'wrap' }}>
            {STEPS.map((step) => (
              <QuietAction
                key={step}
                title={step < 0 ? `${-step} min earlier` : `${step} min later`}
                onPress={() => setMoved((now) => now - step)}
              />
            ))}
          </View>
        </>
      )}
      {moved === 0 || begun ? null : (
        <Moved run={run} day={day} timed={timed} earlierMin={moved} onClose={onClose} />
      )}
      {held !== undefined ? (
        <QuietAction
          title="Let it move again"
          icon="undo"
          onPress={() => {
            changeRunOf(`${chore.label} free`, run.id, (now) => {
              const { [chore.id]: _, ...others } = now.held ?? {};
              return { ...now, held: others };
            });
            onClose();
          }}
        />
      ) : null}
    </View>
  );
}

/** The oven that something bakes in with its door shut; null for what is not baked so. */
const ovenOf = ({ holds }: Timed['chore']): string | null => {
  const oven = holds.find(({ of, sets }) => of.kind === 'oven' && sets !== undefined)?.of;
  return oven?.kind === 'oven' ? oven.id : null;
};

const whoseOf = (run: RunDoc, { chore }: Timed): string =>
  chore.lineIds.length > 0 && chore.ofRun === undefined
    ? ` of ${chore.lineIds.map((id) => lineName(run, id)).join(', ')}`
    : '';

/** What holding it there pushes, before it is let go. */
function Moved({
  run,
  day,
  timed,
  earlierMin,
  onClose,
}: Pick<ChoreSheetProps, 'run' | 'day' | 'onClose'> & {
  readonly timed: Timed;
  readonly earlierMin: number;
}) {
  const { chore } = timed;
  const at = Math.max(0, Math.round(timed.startMin + earlierMin));
  const [tried, setTried] = useState<{ readonly at: number; readonly day: RunDay | null } | null>(null);
  useEffect(() => {
    let wanted = true;
    askDayOnce({ ...run, held: { ...run.held, [chore.id]: at } }).then(
      (found) => {
        if (wanted) setTried({ at, day: found });
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [run, chore.id, at]);
  if (tried?.at !== at) return <Small>Trying what it pushes.</Small>;
  const then = tried.day;
  if (!then || then.chores.length === 0)
    return (
      <Notice
        fault="The day cannot be worked with it there."
        mend="What it waits for, or what waits for it, has no room. Another time, or something else first."
      />
    );
  const before = new Map(day.chores.map((one) => [one.chore.id, one]));
  const pushed = then.chores
    .map((one) => ({ one, by: one.startMin - (before.get(one.chore.id)?.startMin ?? one.startMin) }))
    .filter(({ one, by }) => Math.abs(by) >= 1 && one.chore.id !== chore.id && one.chore.kind === 'hands');
  const startsBy = (then.chores[0]?.startMin ?? 0) - (day.chores[0]?.startMin ?? 0);
  const shown = [...pushed].sort((a, b) => Math.abs(b.by) - Math.abs(a.by)).slice(0, 5);
  return (
    <View style={{ gap: space(1) }}>
      <Body>
        {Math.abs(startsBy) < 1
          ? 'The day begins when it did.'
          : startsBy > 0
            ? `The day begins ${spanText(startsBy)} earlier, at ${clockText(then.safeStartAt ?? '')}.`
            : `The day begins ${spanText(-startsBy)} later, at ${clockText(then.safeStartAt ?? '')}.`}
      </Body>
      {shown.map(({ one, by }) => (
        <Small
          key={one.chore.id}
        >{`${one.chore.label}: ${spanText(Math.abs(by))} ${by > 0 ? 'earlier' : 'later'}`}</Small>
      ))}
      {pushed.length > shown.length ? <Small>{`And ${pushed.length - shown.length} more.`}</Small> : null}
      <MainAction
        title={`Hold it at ${clockText(then.chores.find((one) => one.chore.id === chore.id)?.startAt ?? '')}`}
        onPress={() => {
          changeRunOf(`${chore.label} held`, run.id, (now) => ({
            ...now,
            held: { ...now.held, [chore.id]: at },
          }));
          onClose();
        }}
      />
    </View>
  );
}
