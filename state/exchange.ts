import { counted } from '../core/quantity';
import { bringIn, type FormulaDraft } from '../core/exchange/bringIn';
import { chosen, incomingOf, type Incoming, type Which } from '../core/exchange/incoming';
import {
  formulaSchema,
  type AnyDoc,
  type FormulaDoc,
  type KitchenDoc,
  type PieceDoc,
  type PieceFile,
  type RunDoc,
  type RunFile,
} from '../core/model/documents';
import { mergePieceFile, mergeRunFile } from '../core/exchange/merge';
import { formulasNamed } from '../core/model/references';
import { readWith, type DocFault } from '../core/exchange/readWith';
import {
  formulaKey,
  formulasIn,
  keyOf,
  kitchenIn,
  pieceKey,
  piecesIn,
  runKey,
  runsIn,
  KITCHEN_KEY,
  type Change,
  type Docs,
} from './documents';
import { newId } from './ids';
import { fileOf, usedFormulas } from './plans';
import { keepNow } from './snapshots';
import { change, useDocuments } from './store';

/** What came of bringing a text in: where to go and what came along, or what is wrong. */
export type Outcome =
  | {
      readonly ok: true;
      readonly words: string;
      readonly go: { readonly run?: string; readonly formula?: string };
    }
  | { readonly ok: false; readonly faults: readonly DocFault[] };

/** Reads a text and puts what is in it beside what is there, as one step that can be undone. */
export function bring(text: string): Outcome {
  const read = bringIn(text);
  if (!read.ok) return read;
  const { docs } = useDocuments.getState();
  void keepNow('before bringing in');
  switch (read.what) {
    case 'run': {
      const has = {
        kitchen: kitchenIn(docs),
        formulas: formulasIn(docs),
        ids: new Set(runsIn(docs).map(({ id }) => id)),
        runs: runsIn(docs),
      };
      const { run, formulas, kitchen, added, went } = mergeRunFile(read.file, has, newId);
      change(`Bring in ${run.name}`, { [runKey(run.id)]: run, ...cameAlong(formulas, kitchen, has.kitchen) });
      const words = went
        ? `“${run.name}” goes on from where the other device left it.`
        : `“${run.name}” is in.${alongWords(added)}`;
      return { ok: true, words, go: { run: run.id } };
    }
    case 'formulas': {
      return keepFormulas(read.formulas);
    }
    case 'piece': {
      const { name } = read.piece;
      const id = docs[pieceKey(read.piece.id)] ? newId('piece') : read.piece.id;
      change(`Bring in ${name}`, { [pieceKey(id)]: { ...read.piece, id } });
      return { ok: true, words: `“${name}” is in, under Formulas.`, go: {} };
    }
    case 'piece file': {
      const has = {
        kitchen: kitchenIn(docs),
        formulas: formulasIn(docs),
        ids: new Set(piecesIn(docs).map(({ id }) => id)),
      };
      const { piece, formulas, kitchen, added } = mergePieceFile(read.file, has, newId);
      change(`Bring in ${piece.name}`, {
        [pieceKey(piece.id)]: piece,
        ...cameAlong(formulas, kitchen, has.kitchen),
      });
      return { ok: true, words: `“${piece.name}” is in, under Formulas.${alongWords(added)}`, go: {} };
    }
    case 'snapshot': {
      const { at, docs: then, unread } = read.snapshot;
      return bringAll(`Bring in what stood on ${at.slice(0, 10)}`, then, {}, unread);
    }
    case 'kitchen': {
      return bringAll('Bring in a kitchen', [ownKitchen(read.kitchen)], {}, 0);
    }
  }
}

/** There is one kitchen, whatever it was called elsewhere. */
const ownKitchen = (kitchen: KitchenDoc): KitchenDoc => ({
  ...kitchen,
  id: kitchenIn(useDocuments.getState().docs).id,
});

/** The documents of a file that holds many, or a kitchen: what would change is shown before it does. Null for any other. */
export function manyIn(text: string): { readonly docs: readonly AnyDoc[]; readonly unread: number } | null {
  const read = bringIn(text);
  if (!read.ok) return null;
  if (read.what === 'snapshot') return { docs: read.snapshot.docs, unread: read.snapshot.unread };
  return read.what === 'kitchen' ? { docs: [ownKitchen(read.kitchen)], unread: 0 } : null;
}

/** What each document of a file is beside what is here. */
export const incomingHere = (docs: readonly AnyDoc[], here: Docs): Incoming[] =>
  incomingOf(docs, here, keyOf);

/**
 * Brings many documents in as one step, by their names.
 * @param which by key, which of two that differ stands; the file's where nothing is said
 */
export function bringAll(
  label: string,
  docs: readonly AnyDoc[],
  which: Readonly<Record<string, Which>>,
  unread: number,
): Outcome {
  const { docs: here } = useDocuments.getState();
  const entries = docs.flatMap((doc): [string, AnyDoc][] => {
    const key = keyOf(doc);
    const next = chosen(here[key], doc, which[key] ?? 'file');
    return next === here[key] ? [] : [[key, next]];
  });
  void keepNow('before bringing in');
  change(label, Object.fromEntries(entries));
  const left = unread > 0 ? ` ${counted(unread, 'document')} of it could not be read.` : '';
  const words =
    docs.length === 1 && docs[0]?.kind === 'kitchen'
      ? 'The kitchen is as you chose. Undo brings the old one back.'
      : `${counted(entries.length, 'document')} came in.${left} Undo takes all of it back.`;
  return { ok: true, words, go: {} };
}

/** Keeps formulas that were read from a text, as one step. */
export function keepFormulas(drafts: readonly FormulaDraft[]): Outcome {
  const made: FormulaDoc[] = [];
  for (const draft of drafts) {
    const doc = readWith<FormulaDoc>(formulaSchema, {
      ...draft,
      kind: 'formula',
      version: 1,
      id: newId('formula'),
    });
    if (!doc.ok) return doc;
    made.push(doc.value);
  }
  change(
    `Bring in ${made[0]?.name ?? 'formulas'}`,
    Object.fromEntries(made.map((doc) => [formulaKey(doc.id), doc])),
  );
  const [first] = made;
  return {
    ok: true,
    words: made.length === 1 ? `“${first?.name}” is in.` : `${counted(made.length, 'formula')} are in.`,
    go: first ? { formula: first.id } : {},
  };
}

/** What a file brought besides what it is of. */
const cameAlong = (formulas: readonly FormulaDoc[], kitchen: KitchenDoc, before: KitchenDoc): Change => ({
  ...Object.fromEntries(formulas.map((doc) => [formulaKey(doc.id), doc])),
  ...(kitchen === before ? {} : { [KITCHEN_KEY]: kitchen }),
});
const alongWords = (added: readonly string[]): string =>
  added.length > 0 ? ` With it came ${added.join(', ')}.` : '';

/** A run with all that it rests on, as text for a file. */
export function runFileText(run: RunDoc): string {
  const { formulas, kitchen } = fileOf(run, useDocuments.getState().docs, Date.now());
  const file: RunFile = { kind: 'run file', version: 4, run, formulas: [...formulas], kitchen };
  return JSON.stringify(file, null, 2);
}

/** A whole piece with the formulas that it is made of and the kitchen, as text for a file. */
export function pieceFileText(piece: PieceDoc): string {
  const { docs } = useDocuments.getState();
  const formulas = usedFormulas(formulasNamed([piece.line]), formulasIn(docs));
  const file: PieceFile = { kind: 'piece file', version: 3, piece, formulas, kitchen: kitchenIn(docs) };
  return JSON.stringify(file, null, 2);
}
