import { useRouter } from 'expo-router';
import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { closedSchema, type Closed, type Inside, type RunDoc } from '../../core/model/documents';
import { readWith } from '../../core/exchange/readWith';
import { benchStateOf, goingOn } from '../../core/bench/log';
import type { FinishKind } from '../../core/plan';
import { readNumberField } from '../../core/quantity';
import type { RunPlan } from '../../state/plans';
import { closeRun } from '../../state/learned';
import { changeRunOf } from '../../state/store';
import { Chip, Chips, MainAction } from '../../ui/actions';
import { FieldFault } from '../../ui/fieldFault';
import { Sheet } from '../../ui/sheet';
import { Small } from '../../ui/text';
import { INSIDE } from './LogAfter';
import { NoteField } from './NoteField';

export const FINISH_WORDS: Readonly<Record<FinishKind, string>> = {
  sunk: 'sunk',
  flat: 'flat',
  gentle: 'gently domed',
  high: 'high-domed',
  over: 'ran over',
};

interface CloseProps {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly visible: boolean;
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

function CloseForm({ run, whole, onClose }: CloseProps) {
  const router = useRouter();
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  // Where pieces bake in wells, their clocks have counted them; else the plan did.
  const counted = run.clocks.reduce((sum, clock) => sum + clock.pieces, 0);
  const wells =
    plans.length > 0 && plans.every(({ parts }) => parts.wellsOfTin !== null && parts.wells === null);
  const made0 = wells ? counted : plans.reduce((sum, plan) => sum + plan.parts.count.made.value, 0);
  const said = plans.map(({ parts }) => parts.finish).find((one) => one !== null) ?? null;
  // What was lost at the bench, or never came of the bowl, is not there to be counted.
  const state = benchStateOf(run.log ?? []);
  const fewer = plans.reduce((sum, { line, parts: { count } }) => {
    const planned = Math.round(count.made.value);
    return sum + planned - goingOn(state, line.id, planned);
  }, 0);
  const [made, setMade] = useState(String(Math.max(0, made0 - fewer)));
  const [finish, setFinish] = useState<Closed['finish']>(said?.kind ?? 'gentle');
  const [inside, setInside] = useState<Inside | null>(null);
  const [note, setNote] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const close = () => {
    const read = readWith<Closed>(closedSchema, {
      at: Date.now(),
      made: readNumberField(made),
      finish,
      note,
    });
    if (!read.ok) {
      setFault(
        read.faults[0]?.field === 'made'
          ? 'Write a whole number of pieces from 0 to 5000.'
          : (read.faults[0]?.fault ?? ''),
      );
      return;
    }
    onClose();
    if (inside !== null)
      changeRunOf(`Inside: ${inside}`, run.id, (now) => ({
        ...now,
        clocks: now.clocks.map((clock) => ({ ...clock, inside })),
      }));
    closeRun(`Close ${run.name}`, run.id, read.value);
    router.navigate('/logbook');
  };
  return (
    <>
      <TextInput
        mode="outlined"
        label="Good ones that came out"
        aria-label="Good ones that came out"
        value={made}
        inputMode="numeric"
        onChangeText={(text) => {
          setMade(text);
          setFault(null);
        }}
        error={fault !== null}
      />
      <FieldFault words={fault} />
      {said ? (
        <>
          <Small>{`How they ended. The plan said ${said.name}.`}</Small>
          <Chips label="How they ended">
            {(Object.keys(FINISH_WORDS) as FinishKind[]).map((kind) => (
              <Chip
                key={kind}
                title={FINISH_WORDS[kind]}
                selected={kind === finish}
                onPress={() => setFinish(kind)}
              />
            ))}
          </Chips>
        </>
      ) : null}
      {run.clocks.some(({ endedAt }) => endedAt !== null) ? (
        <>
          <Small>Inside they were. Leave it open, and the last look counts.</Small>
          <Chips label="Inside they were">
            {INSIDE.map(([id, title]) => (
              <Chip
                key={id}
                title={title}
                selected={inside === id}
                onPress={() => setInside(inside === id ? null : id)}
              />
            ))}
          </Chips>
        </>
      ) : null}
      <NoteField note={note} onNote={setNote} />
      <MainAction title="Into the logbook" onPress={close} large />
    </>
  );
}
