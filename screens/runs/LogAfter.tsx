import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { bakedAfterwards, type Remembered } from '../../core/bench/afterwards';
import type { Inside, RunDoc } from '../../core/model/documents';
import { FROSTING_EACH, frostingMade } from '../../core/bench/leftOver';
import type { FinishKind, LinePlan } from '../../core/plan';
import { fromShown, readNumberField, showText, typedUnit, type NumberStyle } from '../../core/quantity';
import { steadyNow } from '../../state/clock';
import { newId } from '../../state/ids';
import { closeRun } from '../../state/learned';
import type { RunPlan } from '../../state/plans';
import { useNumberStyle, useScreen } from '../../state/store';
import { dateOf } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { FieldFault } from '../../ui/fieldFault';
import { Sheet, SheetFoot } from '../../ui/sheet';
import { Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { lineName } from '../day/day.words';
import { FinishField, InsideField } from './HowItCame';
import { NoteField } from './NoteField';
import { PhotoField } from './PhotoField';

interface Field {
  readonly id: 'made' | 'baked' | 'binder' | 'coat' | 'frosting';
  readonly label: string;
  readonly unit: 'pieces' | 'min' | 'g';
  readonly max: number;
  readonly expected: string;
}

/** What can be remembered of a line, each beside what was planned. */
function fieldsOf(plan: LinePlan, style: NumberStyle): Field[] {
  const { parts } = plan;
  const { clocked, dough, coat, count } = parts;
  const field = (
    id: Field['id'],
    label: string,
    unit: Field['unit'],
    max: number,
    expected: string,
  ): Field => ({
    id,
    label,
    unit,
    max,
    expected,
  });
  const made = Math.round(count.made.value);
  return [
    field('made', 'Good ones that came out', 'pieces', 5000, `planned ${made}`),
    ...(clocked
      ? [
          field(
            'baked',
            'In the oven, a load',
            'min',
            600,
            `planned ${Math.round(clocked.time.value / 60)} min`,
          ),
        ]
      : []),
    ...(dough && dough.need.value > 0
      ? [
          field(
            'binder',
            'Binder that went in',
            'g',
            100_000,
            `planned ${showText(dough.need.value, 'g', style)}`,
          ),
        ]
      : []),
    ...(coat
      ? [field('coat', 'Coat on one piece', 'g', 500, `planned ${showText(coat.taken.value, 'g', style)}`)]
      : []),
    ...(frostingMade(plan) !== null
      ? [
          field(
            'frosting',
            'Frosting on one piece',
            'g',
            500,
            `planned ${showText(plan.figure(FROSTING_EACH).value, 'g', style)}`,
          ),
        ]
      : []),
  ];
}

/** What stands in a field on a phone. */
const SHORT: Readonly<Record<Field['id'], string>> = {
  made: 'Good ones',
  baked: 'In the oven',
  binder: 'Binder',
  coat: 'Coat on one',
  frosting: 'Frosting on one',
};

type Texts = Readonly<Record<string, string>>;

/** A run that was baked without the app, told in a minute: only what somebody remembers. */
export function LogAfter({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  // Whoever comes to log it is asked at once.
  const [open, setOpen] = useState(() => useScreen.getState().logging === run.id);
  useEffect(() => useScreen.getState().askLog(null), []);
  return (
    <>
      <QuietAction title="It is baked already: log it" onPress={() => setOpen(true)} />
      <Sheet title="Baked without the app" visible={open} onClose={() => setOpen(false)}>
        {open ? <LogForm run={run} whole={whole} onDone={() => setOpen(false)} /> : null}
      </Sheet>
    </>
  );
}

function LogForm({
  run,
  whole,
  onDone,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly onDone: () => void;
}) {
  const router = useRouter();
  const style = useNumberStyle();
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const [texts, setTexts] = useState<Texts>({});
  const [inside, setInside] = useState<Readonly<Record<string, Inside>>>({});
  const [finish, setFinish] = useState<Readonly<Record<string, FinishKind>>>({});
  const [note, setNote] = useState('');
  const [photo, setPhoto] = useState<string | null>(null);
  const [faults, setFaults] = useState<Texts>({});
  const keyOf = (plan: LinePlan, field: Field) => `${plan.line.id}/${field.id}`;
  const save = () => {
    const wrong: Record<string, string> = {};
    const values: Record<string, number> = {};
    for (const plan of plans)
      for (const field of fieldsOf(plan, style)) {
        const key = keyOf(plan, field);
        const text = (texts[key] ?? '').trim();
        if (text === '') continue;
        const typed = readNumberField(text);
        const value = typed === null ? null : field.unit === 'g' ? fromShown(typed, 'g', style) : typed;
        if (value === null) wrong[key] = 'Write a number, or leave it empty.';
        else if (value < 0 || value > field.max) wrong[key] = `Between 0 and ${field.max}.`;
        else if (field.unit === 'pieces' && !Number.isInteger(value)) wrong[key] = 'Whole pieces only.';
        else values[key] = value;
      }
    setFaults(wrong);
    if (Object.keys(wrong).length > 0) return;
    // As it was baked, where that is over; else now.
    const at = Math.min(steadyNow(), dateOf(run.readyAt).getTime());
    const remembered = plans.map((plan): Remembered => {
      const value = (id: Field['id']) => values[`${plan.line.id}/${id}`] ?? null;
      const minutes = value('baked');
      return {
        lineId: plan.line.id,
        bakedS: minutes === null || minutes === 0 ? null : minutes * 60,
        inside: inside[plan.line.id] ?? null,
        binderG: value('binder'),
        coatG: value('coat'),
        frostingG: value('frosting'),
        finish: finish[plan.line.id] ?? null,
        made: value('made') ?? Math.round(plan.parts.count.made.value),
      };
    });
    const made = plans.reduce(
      (sum, plan) => sum + (values[`${plan.line.id}/made`] ?? Math.round(plan.parts.count.made.value)),
      0,
    );
    const domed = plans.find(({ parts }) => parts.finish !== null);
    const ended = (domed && (finish[domed.line.id] ?? domed.parts.finish?.kind)) ?? 'gentle';
    onDone();
    closeRun(
      `Log ${run.name}`,
      run.id,
      { at, made, finish: ended, note: note.trim(), ...(photo ? { photo } : {}) },
      (now) => bakedAfterwards(now, plans, remembered, at, () => newId('clock')),
    );
    router.navigate('/logbook');
  };
  return (
    <View style={{ gap: space(2) }}>
      <Small soft={false}>Only what you remember: what is left empty teaches nothing.</Small>
      {plans.map((plan) => (
        <View key={plan.line.id} style={{ gap: space(1) }}>
          {plans.length > 1 ? <Strong>{lineName(run, plan.line.id)}</Strong> : null}
          {fieldsOf(plan, style).map((field) => {
            const key = keyOf(plan, field);
            const unit = field.unit === 'g' ? typedUnit('g', style) : field.unit;
            return (
              <View key={key}>
                <TextInput
                  mode="outlined"
                  label={`${SHORT[field.id]}, ${unit} (${field.expected})`}
                  aria-label={field.label}
                  value={texts[key] ?? ''}
                  inputMode="decimal"
                  onChangeText={(text) => setTexts({ ...texts, [key]: text })}
                  error={faults[key] !== undefined}
                />
                <FieldFault words={faults[key] ?? null} />
              </View>
            );
          })}
          {plan.parts.finish ? (
            <FinishField
              said={plan.parts.finish}
              of={lineName(run, plan.line.id)}
              finish={finish[plan.line.id] ?? null}
              onFinish={(now) => setFinish({ ...finish, [plan.line.id]: now })}
            />
          ) : null}
          {plan.parts.clocked ? (
            <InsideField
              of={lineName(run, plan.line.id)}
              inside={inside[plan.line.id] ?? null}
              onInside={(now) =>
                setInside(
                  now === null
                    ? Object.fromEntries(Object.entries(inside).filter(([id]) => id !== plan.line.id))
                    : { ...inside, [plan.line.id]: now },
                )
              }
            />
          ) : null}
        </View>
      ))}
      <NoteField note={note} onNote={setNote} />
      <PhotoField photo={photo} onPhoto={setPhoto} />
      <SheetFoot>
        <MainAction title="Into the logbook" onPress={save} large />
      </SheetFoot>
    </View>
  );
}
