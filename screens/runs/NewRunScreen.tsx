import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { MAX_PIECES, type Family, type FormulaDoc, type RunDoc } from '../../core/model/documents';
import { lineFromPiece } from '../../core/model/pieceDoc';
import { shareLots } from '../../core/line/lots';
import { newLine, type CrumbStart } from '../../core/line/newLine';
import { useNow } from '../../state/clock';
import { formulasIn, piecesIn } from '../../state/documents';
import { newId } from '../../state/ids';
import { changeRun, useDocuments, useKitchen, useScreen } from '../../state/store';
import {
  clockText,
  dateOf,
  dayText,
  localAt,
  localNow,
  onText,
  toSaturday,
  whenText,
} from '../../state/time';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { FieldFault } from '../../ui/fieldFault';
import { NumberSheet } from '../../ui/numberSheet';
import { Screen } from '../../ui/screen';
import { Body, Heading } from '../../ui/text';
import { WhenSheet } from '../../ui/whenSheet';
import { promiseMadeOf } from '../../state/plans';
import { FreeFromFields, refusedWords, type FreePromise } from './pieces/FreeFrom';
import { stageHref } from './stages';
import { FAMILY_WORDS } from './words';

const COUNTS: readonly number[] = [12, 24, 36, 48];
/** People make fewer mugs at once. */
const MUG_COUNTS: readonly number[] = [1, 2, 4, 8];
const HOUR = 3_600_000;

/** Hours people bake for: later today, tomorrow morning and afternoon, Saturday at four. */
export function readyChoices(now: number): { local: string; title: string; detail: string }[] {
  const soon = Math.ceil((now + 4 * HOUR) / (HOUR / 2)) * (HOUR / 2);
  const locals = [
    localNow(soon),
    localAt(now, 1, 10),
    localAt(now, 1, 15),
    localAt(now, toSaturday(now), 16),
  ];
  return [...new Set(locals)].map((local) => {
    const text = whenText(local, now);
    const gap = text.lastIndexOf(' ');
    return { local, title: text.slice(gap + 1), detail: text.slice(0, gap) };
  });
}

/** Hours at which people have baked: just now, yesterday afternoon, last Saturday at four. */
export function pastChoices(now: number): { local: string; title: string; detail: string }[] {
  const locals = [
    localNow(Math.floor(now / (HOUR / 2)) * (HOUR / 2)),
    localAt(now, -1, 16),
    localAt(now, toSaturday(now) - 7, 16),
  ];
  return [...new Set(locals)].map((local) => ({
    local,
    title: clockText(local),
    detail: dayText(dateOf(local), now),
  }));
}

/** What crumb may come from besides a formula: as much as there is, to be put right in the sentence. */
const NO_BAKING: readonly { readonly id: string; readonly title: string; readonly start: CrumbStart }[] = [
  { id: 'leftovers', title: 'Leftover cake', start: { from: 'leftovers', massG: 500 } },
  { id: 'biscuit', title: 'Biscuit, no baking', start: { from: 'biscuit', massG: 400 } },
];

/** Batters that a family is made of: mugs have their own, and the others come after them. */
function battersFor(family: Family, formulas: readonly FormulaDoc[]): FormulaDoc[] {
  const batters = formulas.filter(({ makes }) => makes === undefined || makes === 'batter');
  const mugs = batters.filter(({ method }) => method === 'mug');
  const others = batters.filter(({ method }) => method !== 'mug');
  return family === 'mug' ? [...mugs, ...others] : [...others, ...mugs];
}

/** A run in five taps: the piece, which formula, how many, ready when, start. */
export function NewRunScreen({
  formula: preset,
  piece,
  log = false,
}: {
  readonly formula?: string;
  readonly piece?: string;
  /** It has been baked already, and is only to be logged. */
  readonly log?: boolean;
}) {
  const family: Family = piece !== undefined && piece in FAMILY_WORDS ? (piece as Family) : 'cupcake';
  const noBaking = family === 'pop' || family === 'cakesicle' ? NO_BAKING : [];
  const docs = useDocuments((state) => state.docs);
  const kitchen = useKitchen();
  const router = useRouter();
  const now = useNow(60_000);
  const formulas = battersFor(family, formulasIn(docs));
  const pieces = piecesIn(docs).filter(({ line }) => line.family === family);
  const [fault, setFault] = useState<string | null>(null);
  const [formulaId, setFormulaId] = useState<string | null>(preset ?? null);
  const [count, setCount] = useState<number | null>(null);
  const [readyAt, setReadyAt] = useState<string | null>(null);
  const [asking, setAsking] = useState<'count' | 'when' | null>(null);
  const [promise, setPromise] = useState<FreePromise | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  // A formula that is brought in meanwhile is the one that was meant.
  const waitFor = useScreen((state) => state.await);
  useEffect(() => {
    waitFor(setFormulaId);
    return () => waitFor(null);
  }, [waitFor]);
  const choices = log ? pastChoices(now) : readyChoices(now);
  const counts = family === 'mug' ? MUG_COUNTS : COUNTS;
  const ownCount = count !== null && !counts.includes(count);
  const ownWhen = readyAt !== null && !choices.some((choice) => choice.local === readyAt);
  const offered = [...formulas, ...pieces, ...noBaking].some(({ id }) => id === formulaId);
  const missing = !offered
    ? 'Choose a formula'
    : count === null
      ? 'Choose how many'
      : !readyAt
        ? 'Choose when'
        : null;

  const start = () => {
    if (count === null || !readyAt) return;
    const formula = formulas.find((item) => item.id === formulaId);
    const piece = pieces.find((item) => item.id === formulaId);
    const from = formula
      ? ({ from: 'formula', formula } as const)
      : noBaking.find(({ id }) => id === formulaId)?.start;
    const made = piece
      ? ({ ok: true, line: shareLots(lineFromPiece(piece, 'line-1', count)) } as const)
      : from && newLine({ id: 'line-1', family, count, crumb: from, kitchen });
    if (!made) return;
    if (!made.ok) {
      setFault(`The kitchen has no ${made.missing} yet. Add one under Kitchen, then come back.`);
      return;
    }
    const called = piece?.name ?? formula?.name ?? FAMILY_WORDS[family].title;
    const run: RunDoc = {
      kind: 'run',
      version: 4,
      id: newId('run'),
      name: `${called}, ${onText(readyAt)}`,
      createdAt: now,
      readyAt,
      lines: [{ ...made.line, ...(promise?.freeFrom?.length ? promise : {}) }],
      closed: null,
    };
    const [line] = run.lines;
    const promised = line?.freeFrom ? promiseMadeOf(run, line, null) : null;
    const why = promised && refusedWords(promised);
    if (why) {
      setRefused(why);
      return;
    }
    changeRun(`Start ${run.name}`, run);
    if (log) useScreen.getState().askLog(run.id);
    router.replace(stageHref(run.id, log ? 'bake' : 'sums'));
  };

  return (
    <Screen
      title={FAMILY_WORDS[family].title}
      under={log ? 'Baked already, for the logbook' : 'A new run'}
      onBack={() => router.navigate(log ? '/logbook' : '/')}
      foot={
        <MainAction
          title={missing ?? (log ? 'Say what came' : 'Start')}
          disabled={missing !== null}
          onPress={start}
        />
      }
    >
      <Heading level={3}>Which formula</Heading>
      {formulas.length + noBaking.length + pieces.length === 0 ? (
        <Card>
          <Body>There is no formula yet. Write, paste or drop one here.</Body>
        </Card>
      ) : (
        <Chips label="Which formula">
          {pieces.map(({ id, name }) => (
            <Chip
              key={id}
              title={name}
              detail="a piece as you kept it"
              selected={id === formulaId}
              onPress={() => setFormulaId(id)}
            />
          ))}
          {formulas.map((formula) => (
            <Chip
              key={formula.id}
              title={formula.name}
              selected={formula.id === formulaId}
              onPress={() => setFormulaId(formula.id)}
            />
          ))}
          {noBaking.map(({ id, title }) => (
            <Chip key={id} title={title} selected={id === formulaId} onPress={() => setFormulaId(id)} />
          ))}
        </Chips>
      )}
      <QuietAction
        title="Write, paste or drop another"
        icon="plus"
        onPress={() => useScreen.getState().setBringing(true)}
      />
      <FieldFault words={fault} />
      <Heading level={3}>How many</Heading>
      <Chips label="How many">
        {counts.map((n) => (
          <Chip key={n} title={String(n)} selected={n === count} onPress={() => setCount(n)} />
        ))}
        <Chip
          title={ownCount ? String(count) : 'Another number'}
          selected={ownCount}
          onPress={() => setAsking('count')}
        />
      </Chips>
      <Heading level={3}>{log ? 'When it was' : 'Ready when'}</Heading>
      <Chips label={log ? 'When it was' : 'Ready when'}>
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
      {log ? null : promise ? (
        <>
          <Heading level={3}>Promised free of</Heading>
          <FreeFromFields
            value={promise}
            made={null}
            onChange={(next) => {
              setRefused(null);
              setPromise(next);
            }}
          />
          <FieldFault words={refused} />
        </>
      ) : (
        <QuietAction
          title="Promise them free of…"
          label="Promise them free of something"
          onPress={() => setPromise({ freeFrom: [] })}
        />
      )}
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
        past={log}
        onClose={() => setAsking(null)}
        onSave={(local) => {
          setReadyAt(local);
          setAsking(null);
        }}
      />
    </Screen>
  );
}
