import { clocksIn } from '../../core/bench/clocksIn';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { closedSchema, type Closed, type Inside, type RunDoc } from '../../core/model/documents';
import { readWith } from '../../core/exchange/readWith';
import { FROSTING_EACH, frostingFromLeft, frostingMade } from '../../core/bench/leftOver';
import { benchStateOf, goingOn, type BenchState } from '../../core/bench/log';
import type { FinishKind } from '../../core/plan';
import { readNumberField } from '../../core/quantity';
import { eventOf } from '../../state/bench';
import type { LinePlan, RunPlan } from '../../state/plans';
import { closeRun } from '../../state/learned';
import { changeRunOf } from '../../state/store';
import { useTypedMass } from '../../state/typedMass';
import { Chip, Chips, MainAction } from '../../ui/actions';
import { FieldFault } from '../../ui/fieldFault';
import { Sheet, SheetFoot } from '../../ui/sheet';
import { Small } from '../../ui/text';
import { lineName } from '../day/day.words';
import { FinishField, InsideField } from './HowItCame';
import { NoteField } from './NoteField';
import { PhotoField } from './PhotoField';

interface CloseProps {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly visible: boolean;
  /** Others have still to go in: it is a line that is closed. */
  readonly oneLine?: boolean;
  readonly onClose: () => void;
}

/** A few questions at the end of a run: how many, how they came out, anything to remember. */
export function CloseSheet(props: CloseProps) {
  return (
    <Sheet title="Close the run" visible={props.visible} onClose={props.onClose}>
      {props.visible ? <CloseForm {...props} /> : null}
    </Sheet>
  );
}

/** How many good ones there are to be counted, as it looks: what was lost at the bench, or never came of the bowl, is not. */
function madeOf(run: RunDoc, plans: readonly LinePlan[], state: BenchState): number {
  const open = plans.filter(({ line }) => !state.closedLines.has(line.id));
  // Where pieces bake in wells, their clocks have counted them; else the plan did.
  const wells =
    open.length > 0 && open.every(({ parts }) => parts.wellsOfTin !== null && parts.wells === null);
  const ids = new Set(open.map(({ line }) => line.id));
  const clocked = clocksIn(run).reduce((sum, { lineId, pieces }) => sum + (ids.has(lineId) ? pieces : 0), 0);
  const planned = open.reduce((sum, plan) => sum + plan.parts.count.made.value, 0);
  const fewer = open.reduce((sum, { line, parts: { count } }) => {
    const made = Math.round(count.made.value);
    return sum + made - goingOn(state, line.id, made);
  }, 0);
  return Math.max(0, Math.round(wells ? clocked : planned) - fewer);
}

const WHOLE = 'whole';

function CloseForm({ run, whole, oneLine = false, onClose }: CloseProps) {
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const state = benchStateOf(run.log ?? []);
  const open = plans.filter(({ line }) => !state.closedLines.has(line.id));
  // The last line closes the run with it; and nothing is closed for as long as it bakes.
  const isBaking = (lineId: string) =>
    clocksIn(run).some((clock) => clock.lineId === lineId && clock.endedAt === null);
  const ready = open.filter(({ line }) => !isBaking(line.id));
  const canWhole = ready.length === open.length;
  // While some have not been in the heat, it is one of those that have that is meant.
  const out = ready.filter(({ line }) => clocksIn(run).some((clock) => clock.lineId === line.id));
  const some = oneLine && out.length > 0;
  const [of, setOf] = useState<string>(
    canWhole && !some ? WHOLE : (out[0]?.line.id ?? ready[0]?.line.id ?? WHOLE),
  );
  return (
    <>
      {open.length > 1 ? (
        <Chips label="What is closed">
          {canWhole ? (
            <Chip title="The whole run" selected={of === WHOLE} onPress={() => setOf(WHOLE)} />
          ) : null}
          {[...out, ...ready.filter((one) => !out.includes(one))].map(({ line }) => (
            <Chip
              key={line.id}
              title={lineName(run, line.id)}
              selected={of === line.id}
              onPress={() => setOf(line.id)}
            />
          ))}
        </Chips>
      ) : null}
      {of !== WHOLE && open.length > 1 ? (
        <LineForm
          key={of}
          run={run}
          plan={ready.find(({ line }) => line.id === of) ?? null}
          onClose={onClose}
        />
      ) : (
        <RunForm run={run} plans={plans} onClose={onClose} />
      )}
    </>
  );
}

/** What both forms ask of a count: as it looks, until somebody writes another. */
function useMade(first: number) {
  const [text, setText] = useState(String(first));
  const [fault, setFault] = useState<string | null>(null);
  const field = (
    <MadeField
      made={text}
      fault={fault}
      onMade={(now) => {
        setText(now);
        setFault(null);
      }}
    />
  );
  return { value: readNumberField(text), field, setFault };
}

/** Frosting that is left: what the pieces took of it follows. Only of a line that has its own. */
function useLeft(plan: LinePlan | null, state: BenchState) {
  const { unit, read } = useTypedMass();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const asked = plan !== null && frostingMade(plan) !== null;
  /** What one piece took, g; null where nobody said; undefined where what was said cannot be. */
  const each = (): number | null | undefined => {
    const leftG = asked ? read(text) : null;
    if (leftG === null || plan === null) return null;
    const found = Number.isNaN(leftG) ? null : frostingFromLeft(plan, leftG, state);
    if (found !== null) return found;
    setFault(LEFT_FAULT);
    return undefined;
  };
  const field = asked ? (
    <>
      <TextInput
        mode="outlined"
        label={`Frosting left in bowl and bags, ${unit}`}
        aria-label={`Frosting left in bowl and bags, ${unit}`}
        value={text}
        inputMode="decimal"
        onChangeText={(now) => {
          setText(now);
          setFault(null);
        }}
        error={fault !== null}
      />
      <FieldFault words={fault} />
    </>
  ) : null;
  return { each, field };
}

/** A run with what a piece of a line took of its frosting, and how its loads were inside. */
const withTold = (
  run: RunDoc,
  lineId: string | null,
  each: number | null,
  inside: Inside | null,
  ofClock: (lineId: string) => boolean,
): RunDoc => ({
  ...run,
  lines:
    each === null
      ? run.lines
      : run.lines.map((line) =>
          line.id === lineId ? { ...line, measured: { ...line.measured, [FROSTING_EACH]: each } } : line,
        ),
  log:
    inside === null
      ? run.log
      : [
          ...(run.log ?? []),
          ...clocksIn(run)
            .filter(({ lineId: of }) => ofClock(of))
            .map(({ id: loadId }) => eventOf({ what: 'load told', loadId, inside })),
        ],
});

/** A line is done while others go on. */
function LineForm({
  run,
  plan,
  onClose,
}: {
  readonly run: RunDoc;
  readonly plan: LinePlan | null;
  readonly onClose: () => void;
}) {
  const lineId = plan?.line.id ?? '';
  const state = benchStateOf(run.log ?? []);
  const made = useMade(plan ? madeOf(run, [plan], state) : 0);
  const left = useLeft(plan, state);
  const said = plan?.parts.finish ?? null;
  const [finish, setFinish] = useState<FinishKind | null>(null);
  const [inside, setInside] = useState<Inside | null>(null);
  const close = () => {
    const { value } = made;
    if (value === null || !Number.isInteger(value) || value < 0 || value > MAX_MADE) {
      made.setFault(MADE_FAULT);
      return;
    }
    const each = left.each();
    if (each === undefined) return;
    onClose();
    const closing = eventOf({ what: 'line closed', lineId, made: value, ...(finish ? { finish } : {}) });
    changeRunOf(`${lineName(run, lineId)}: ${value} done`, run.id, (now) => {
      const told = withTold(now, lineId, each, inside, (of) => of === lineId);
      return { ...told, log: [...(told.log ?? []), closing] };
    });
  };
  return (
    <>
      {made.field}
      {said ? <FinishField said={said} finish={finish} onFinish={setFinish} /> : null}
      {clocksIn(run).some((clock) => clock.lineId === lineId && clock.endedAt !== null) ? (
        <InsideField inside={inside} onInside={setInside} />
      ) : null}
      {left.field}
      <Small>
        The other lines go on. The run is closed with the last of them, and what it taught is told then.
      </Small>
      <SheetFoot>
        <MainAction title={`${lineName(run, lineId)}: done`} onPress={close} large />
      </SheetFoot>
    </>
  );
}

const MAX_MADE = 5000;
const MADE_FAULT = 'Write a whole number of pieces from 0 to 5000.';
const LEFT_FAULT = 'Less is left than was made. Write its weight without the bowl, or leave it open.';

function RunForm({
  run,
  plans,
  onClose,
}: {
  readonly run: RunDoc;
  readonly plans: readonly LinePlan[];
  readonly onClose: () => void;
}) {
  const router = useRouter();
  const state = benchStateOf(run.log ?? []);
  const open = plans.filter(({ line }) => !state.closedLines.has(line.id));
  const said = open.map(({ parts }) => parts.finish).find((one) => one !== null) ?? null;
  const domed = open.filter(({ parts }) => parts.finish !== null).length;
  const before = [...state.closedLines.values()].reduce((sum, one) => sum + one.made, 0);
  const made = useMade(before + madeOf(run, plans, state));
  // What is left of a bowl is told of one line only where no other is frosted.
  const frosted = open.filter((plan) => frostingMade(plan) !== null);
  const [only = null] = frosted.length === 1 ? frosted : [];
  const left = useLeft(only, state);
  const [finish, setFinish] = useState<FinishKind | null>(null);
  const [inside, setInside] = useState<Inside | null>(null);
  const [note, setNote] = useState('');
  const [photo, setPhoto] = useState<string | null>(null);
  const close = () => {
    const read = readWith<Closed>(closedSchema, {
      at: Date.now(),
      made: made.value,
      finish: finish ?? said?.kind ?? 'gentle',
      ...(finish ? { finishTold: true } : {}),
      note,
      ...(photo ? { photo } : {}),
    });
    if (!read.ok) {
      made.setFault(read.faults[0]?.field === 'made' ? MADE_FAULT : (read.faults[0]?.fault ?? ''));
      return;
    }
    const each = left.each();
    if (each === undefined) return;
    onClose();
    closeRun(`Close ${run.name}`, run.id, read.value, (now) =>
      withTold(now, only?.line.id ?? null, each, inside, (of) => !state.closedLines.has(of)),
    );
    router.navigate('/logbook');
  };
  return (
    <>
      {made.field}
      {said ? <FinishField said={said} teaches={domed === 1} finish={finish} onFinish={setFinish} /> : null}
      {clocksIn(run).some(({ endedAt }) => endedAt !== null) ? (
        <InsideField inside={inside} onInside={setInside} />
      ) : null}
      {left.field}
      <NoteField note={note} onNote={setNote} />
      <PhotoField photo={photo} onPhoto={setPhoto} />
      <SheetFoot>
        <MainAction title="Into the logbook" onPress={close} large />
      </SheetFoot>
    </>
  );
}

function MadeField({
  made,
  fault,
  onMade,
}: {
  readonly made: string;
  readonly fault: string | null;
  readonly onMade: (text: string) => void;
}) {
  return (
    <>
      <TextInput
        mode="outlined"
        label="Good ones that came out"
        aria-label="Good ones that came out"
        value={made}
        inputMode="numeric"
        onChangeText={onMade}
        error={fault !== null}
      />
      <FieldFault words={fault} />
    </>
  );
}
