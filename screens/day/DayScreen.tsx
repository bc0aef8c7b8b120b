import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import type { RunPlan } from '../../core/plan';
import type { RunDay } from '../../core/schedule/chores';
import { calendarText } from '../../state/dayCalendar';
import { useNow } from '../../state/clock';
import { fileStem, saveFile } from '../../state/saveFile';
import { useStanding } from '../../state/benchView';
import { changeRunOf, useKitchen } from '../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Small } from '../../ui/text';
import { space } from '../../ui/theme';
import { Columns, useWide } from '../../ui/screen';
import { BackToPieces, LineFault, RunFrame } from '../runs/RunFrame';
import { stageHref } from '../runs/stages';
import { Ahead } from './Ahead';
import { lineName } from './day.words';
import { ChoreList } from './ChoreList';
import { ChoreSheet } from './ChoreSheet';
import { Lanes } from './Lanes';
import { DayState, SafeStart, pressing } from './SafeStart';
import { WaysOut } from './WaysOut';

type Shown = 'list' | 'thing' | 'line';

/** The day of a run: every chore of every line on what the kitchen has, as a list and as lanes. */
export function DayScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  return (
    <RunFrame
      id={id}
      stage="day"
      broad
      foot={({ whole }) =>
        whole.lines.every((line) => !line.planned) ? (
          <BackToPieces runId={id} />
        ) : (
          <MainAction title="To the bench" onPress={() => router.navigate(stageHref(id, 'bake'))} />
        )
      }
    >
      {({ run, whole }) => <DayOf run={run} whole={whole} />}
    </RunFrame>
  );
}

function DayOf({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  const standing = useStanding(run);
  const wide = useWide();
  const now = useNow(30_000);
  const [shown, setShown] = useState<Shown>(wide ? 'thing' : 'list');
  const [open, setOpen] = useState<{ readonly chore: string; readonly earlierMin: number } | null>(null);
  const [lineId, setLineId] = useState<string | null>(null);
  const { view, dayNow: day, begun } = standing;
  const faults = whole.lines.flatMap((line) => (line.planned ? [] : [line]));
  const held = Object.keys(run.held ?? {}).length;
  return (
    <>
      {faults.map((line) => (
        <LineFault key={line.line.id} line={line} named={run.lines.length > 1} />
      ))}
      <DayState run={run} view={view} />
      {day && day.chores.length > 0 ? (
        <>
          <Columns>
            <SafeStart run={run} standing={standing} brief />
            <View style={{ gap: space(2) }}>
              <WaysOut run={run} standing={standing} pressing={pressing(standing, now)} />
              {wide ? <CalendarFile run={run} day={day} /> : null}
            </View>
          </Columns>
          <Chips label="How the day is shown">
            <Chip title="In order" selected={shown === 'list'} onPress={() => setShown('list')} />
            <Chip title="By what is held" selected={shown === 'thing'} onPress={() => setShown('thing')} />
            <Chip title="By line" selected={shown === 'line'} onPress={() => setShown('line')} />
          </Chips>
          <View style={{ gap: space(1) }} aria-busy={view.share !== null}>
            {shown === 'list' ? (
              <>
                {run.lines.length > 1 ? <OfLine run={run} lineId={lineId} onChoose={setLineId} /> : null}
                <ChoreList
                  run={run}
                  day={lineId === null ? day : onlyOf(day, lineId)}
                  now={now}
                  standing={standing}
                  onOpen={(chore) => setOpen({ chore, earlierMin: 0 })}
                />
              </>
            ) : (
              <>
                <Small>{begun ? LANES_WORDS.begun : LANES_WORDS.planned}</Small>
                <Lanes
                  run={run}
                  day={day}
                  by={shown}
                  now={now}
                  onOpen={(chore) => setOpen({ chore, earlierMin: 0 })}
                  onMove={(chore, earlierMin) => setOpen({ chore, earlierMin: begun ? 0 : earlierMin })}
                />
              </>
            )}
          </View>
          {held > 0 && !begun ? (
            <QuietAction
              title={`Let ${held === 1 ? 'the held chore' : `${held} held chores`} move again`}
              icon="undo"
              onPress={() => changeRunOf('Nothing held', run.id, (now_) => ({ ...now_, held: {} }))}
            />
          ) : null}
          {begun ? null : <Ahead run={run} day={day} />}
          {wide ? null : <CalendarFile run={run} day={day} />}
        </>
      ) : null}
      {day ? (
        <ChoreSheet
          run={run}
          day={day}
          choreId={open?.chore ?? null}
          earlierMin={open?.earlierMin ?? 0}
          begun={begun}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </>
  );
}

const LANES_WORDS = {
  planned:
    'Full bands are work, dashed ones wait. The pale band before one is how much sooner it could begin. Draw a band to try another time.',
  begun: 'Full bands are work, dashed ones wait: what is done at its hour, the rest as it stands now.',
} as const;

/** The steps of one line, and of what it shares with others. */
const onlyOf = (day: RunDay, lineId: string): RunDay => ({
  ...day,
  chores: day.chores.filter(({ chore }) => chore.lineIds.includes(lineId)),
  beside: [],
  turns: [],
});

/** Whose steps are listed. */
function OfLine({
  run,
  lineId,
  onChoose,
}: {
  readonly run: RunDoc;
  readonly lineId: string | null;
  readonly onChoose: (lineId: string | null) => void;
}) {
  return (
    <Chips label="Whose steps">
      <Chip title="All lines" selected={lineId === null} onPress={() => onChoose(null)} />
      {run.lines.map(({ id }) => (
        <Chip key={id} title={lineName(run, id)} selected={lineId === id} onPress={() => onChoose(id)} />
      ))}
    </Chips>
  );
}

function CalendarFile({ run, day }: { readonly run: RunDoc; readonly day: RunDay }) {
  const kitchen = useKitchen();
  return (
    <View style={{ gap: space(0.5) }}>
      <QuietAction
        title="Into a calendar"
        icon="down"
        onPress={() =>
          saveFile(`${fileStem(run.name) || 'day'}.ics`, calendarText(run, day, kitchen), 'text/calendar')
        }
      />
      <Small>The turning points of the day with alarms, as a file.</Small>
    </View>
  );
}
