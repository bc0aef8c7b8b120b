import { addDays } from 'date-fns/addDays';
import { nextSaturday } from 'date-fns/nextSaturday';
import { startOfDay } from 'date-fns/startOfDay';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { MAX_PIECES, newCupcakeLine, type RunDoc } from '../../core/exchange/documents';
import { useNow } from '../../state/clock';
import { formulasIn } from '../../state/documents';
import { newId } from '../../state/ids';
import { changeRun, useDocuments, useKitchen } from '../../state/store';
import { dayText, localNow, whenText } from '../../state/time';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberSheet } from '../../ui/numberSheet';
import { Screen } from '../../ui/screen';
import { Body, Heading } from '../../ui/text';
import { WhenSheet } from '../../ui/whenSheet';
import { stageHref } from './stages';

const COUNTS = [12, 24, 36, 48];
const HOUR = 3_600_000;

/** Hours people bake for: later today, tomorrow morning and afternoon, Saturday at four. */
function readyChoices(now: number): { local: string; title: string; detail: string }[] {
  const at = (day: Date, hour: number) => localNow(startOfDay(day).getTime() + hour * HOUR);
  const soon = Math.ceil((now + 4 * HOUR) / (HOUR / 2)) * (HOUR / 2);
  const locals = [
    localNow(soon),
    at(addDays(now, 1), 10),
    at(addDays(now, 1), 15),
    at(nextSaturday(now), 16),
  ];
  return [...new Set(locals)].map((local) => {
    const text = whenText(local, now);
    const gap = text.lastIndexOf(' ');
    return { local, title: text.slice(gap + 1), detail: text.slice(0, gap) };
  });
}

/** A run in five taps: cupcakes, which formula, how many, ready when, start. */
export function NewRunScreen({ formula: preset }: { readonly formula?: string }) {
  const docs = useDocuments((state) => state.docs);
  const kitchen = useKitchen();
  const router = useRouter();
  const now = useNow(60_000);
  const formulas = formulasIn(docs);
  const [formulaId, setFormulaId] = useState<string | null>(preset ?? null);
  const [count, setCount] = useState<number | null>(null);
  const [readyAt, setReadyAt] = useState<string | null>(null);
  const [asking, setAsking] = useState<'count' | 'when' | null>(null);
  const choices = readyChoices(now);
  const [tin] = kitchen.tins;
  const [oven] = kitchen.ovens;
  const ownCount = count !== null && !COUNTS.includes(count);
  const ownWhen = readyAt !== null && !choices.some((choice) => choice.local === readyAt);
  const missing = !formulaId
    ? 'Choose a formula'
    : count === null
      ? 'Choose how many'
      : !readyAt
        ? 'Choose when'
        : null;

  const start = () => {
    const formula = formulas.find((item) => item.id === formulaId);
    if (!formula || count === null || !readyAt || !tin || !oven) return;
    const run: RunDoc = {
      kind: 'run',
      version: 1,
      id: newId('run'),
      name: `${formula.name}, ${dayText(new Date(`${readyAt}:00`), now)}`,
      createdAt: now,
      readyAt,
      lines: [newCupcakeLine({ id: 'line-1', formulaId: formula.id, count, tinId: tin.id, ovenId: oven.id })],
      clocks: [],
      closed: null,
    };
    changeRun(`Start ${run.name}`, run);
    router.replace(stageHref(run.id, 'sums'));
  };

  return (
    <Screen
      title="Cupcakes"
      under="A new run"
      onBack={() => router.navigate('/')}
      foot={<MainAction title={missing ?? 'Start'} disabled={missing !== null} onPress={start} />}
    >
      <Heading level={3}>Which formula</Heading>
      {formulas.length === 0 ? (
        <Card>
          <Body>There is no formula yet. Write or paste one, then come back.</Body>
          <QuietAction title="New formula" icon="plus" onPress={() => router.navigate('/formulas/new')} />
        </Card>
      ) : (
        <Chips label="Which formula">
          {formulas.map((formula) => (
            <Chip
              key={formula.id}
              title={formula.name}
              selected={formula.id === formulaId}
              onPress={() => setFormulaId(formula.id)}
            />
          ))}
        </Chips>
      )}
      <Heading level={3}>How many</Heading>
      <Chips label="How many">
        {COUNTS.map((n) => (
          <Chip key={n} title={String(n)} selected={n === count} onPress={() => setCount(n)} />
        ))}
        <Chip
          title={ownCount ? String(count) : 'Another number'}
          selected={ownCount}
          onPress={() => setAsking('count')}
        />
      </Chips>
      <Heading level={3}>Ready when</Heading>
      <Chips label="Ready when">
        {choices.map((choice) => (
          <Chip
            key={choice.local}
            title={choice.title}
            detail={choice.detail}
            selected={choice.local === readyAt}
            onPress={() => setReadyAt(choice.local)}
          />
        ))}
        <Chip
          title={ownWhen ? whenText(readyAt, now) : 'Another time'}
          selected={ownWhen}
          onPress={() => setAsking('when')}
        />
      </Chips>
      <NumberSheet
        ask={
          asking === 'count'
            ? { title: 'How many', value: count, unit: '', min: 1, max: MAX_PIECES, whole: true }
            : null
        }
        onClose={() => setAsking(null)}
        onSave={(value) => {
          setCount(value);
          setAsking(null);
        }}
      />
      <WhenSheet
        visible={asking === 'when'}
        value={readyAt ?? choices.at(-1)?.local ?? localNow(now)}
        now={now}
        onClose={() => setAsking(null)}
        onSave={(local) => {
          setReadyAt(local);
          setAsking(null);
        }}
      />
    </Screen>
  );
}
