import { TextInput } from 'react-native-paper';
import { sortsOf, type Sorts } from '../../core/logbook';
import type { RunDoc } from '../../core/model/documents';
import { formulaIn, kitchenIn, type Docs } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { momentText } from '../../state/time';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { FINISH_WORDS } from '../runs/HowItCame';
import { useRunWords } from '../runs/RunList';

export interface SoughtFor {
  readonly text: string;
  readonly piece: string;
  readonly formula: string;
  readonly oven: string;
  readonly outcome: string;
}
/** Of a kind of word, any. */
const ANY = '';
export const NOTHING_SOUGHT: SoughtFor = { text: '', piece: ANY, formula: ANY, oven: ANY, outcome: ANY };

const PIECES: Readonly<Record<string, string>> = {
  cupcake: 'cupcakes',
  pop: 'cake pops',
  cakesicle: 'cakesicles',
  mug: 'mug cakes',
  mini: 'mini cakes',
};
const OUTCOMES: Readonly<Record<string, string>> = {
  ...FINISH_WORDS,
  all: 'with all that were wanted',
  fewer: 'with fewer than were wanted',
};

/** Closed runs that are like what is sought. */
export function useFound(runs: readonly RunDoc[], sought: SoughtFor): readonly RunDoc[] {
  const words = useRunWords();
  const parts = sought.text.toLowerCase().split(/\s+/).filter(Boolean);
  // What stands there is said once a text is sought: of thousands of batches nobody asks on every visit.
  const has = (run: RunDoc): boolean => {
    const { at = 0, note = '', finish = '' } = run.closed ?? {};
    const text = `${run.name} ${words(run)} ${momentText(at)} ${finish} ${note}`.toLowerCase();
    return parts.every((part) => text.includes(part));
  };
  const is = (sorts: readonly string[], wanted: string) => wanted === ANY || sorts.includes(wanted);
  const { piece, formula, oven, outcome } = sought;
  const any = [piece, formula, oven, outcome].every((one) => one === ANY);
  if (any && parts.length === 0) return runs;
  return runs.filter((run) => {
    if (any) return has(run);
    const sorts = sortsOf(run);
    if (
      !is(sorts.pieces, sought.piece) ||
      !is(sorts.formulas, sought.formula) ||
      !is(sorts.ovens, sought.oven) ||
      !is(sorts.outcomes, sought.outcome)
    )
      return false;
    return parts.length === 0 || has(run);
  });
}

const ovenName = (docs: Docs, id: string): string => {
  const { ovens, microwaves = [] } = kitchenIn(docs);
  return [...ovens, ...microwaves].find((one) => one.id === id)?.name ?? 'an oven that is gone';
};

/** What is looked for, as a sentence whose words are tapped. */
export function Sought({
  runs,
  sought,
  onSought,
}: {
  readonly runs: readonly RunDoc[];
  readonly sought: SoughtFor;
  readonly onSought: (next: SoughtFor) => void;
}) {
  const docs = useDocuments((state) => state.docs);
  const choice = (
    key: Exclude<keyof SoughtFor, 'text'>,
    of: keyof Sorts,
    title: string,
    anyOf: string,
    nameOf: (id: string) => string,
  ) => {
    // Asked once somebody opens it.
    const choices = () => {
      const there = new Set(runs.flatMap((run) => sortsOf(run)[of]));
      if (sought[key] !== ANY) there.add(sought[key]);
      const named = [...there].map((id) => ({ value: id, title: nameOf(id) }));
      return [{ value: ANY, title: anyOf }, ...named.sort((a, b) => a.title.localeCompare(b.title))];
    };
    return (
      <ChoiceValue
        label={title}
        title={title}
        value={sought[key]}
        text={sought[key] === ANY ? anyOf : nameOf(sought[key])}
        choices={choices}
        onChoose={(id) => onSought({ ...sought, [key]: id })}
      />
    );
  };
  return (
    <>
      <TextInput
        mode="outlined"
        label="Look for a batch"
        aria-label="Look for a batch"
        value={sought.text}
        onChangeText={(text) => onSought({ ...sought, text })}
      />
      <Sentence>
        <Words>Show</Words>
        {choice('piece', 'pieces', 'Pieces', 'all pieces', (id) => PIECES[id] ?? id)}
        <Words>by</Words>
        {choice(
          'formula',
          'formulas',
          'Formula',
          'any formula',
          (id) => formulaIn(docs, id)?.name ?? 'a formula that is gone',
        )}
        <Words>from</Words>
        {choice('oven', 'ovens', 'Oven', 'any oven', (id) => ovenName(docs, id))}
        <Words>that came out</Words>
        {choice('outcome', 'outcomes', 'Outcome', 'in any way', (id) => OUTCOMES[id] ?? id)}
      </Sentence>
    </>
  );
}
