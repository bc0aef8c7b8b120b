import { counted } from '../core/quantity';
import { bringIn, type FormulaDraft } from '../core/exchange/bringIn';
import {
  formulaSchema,
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
      change(
        `Bring in what stood on ${at.slice(0, 10)}`,
        Object.fromEntries(then.map((doc) => [keyOf(doc), doc])),
      );
      const left = unread > 0 ? ` ${counted(unread, 'document')} of it could not be read.` : '';
      return {
        ok: true,
        words: `${counted(then.length, 'document')} are as they stood then.${left}`,
        go: {},
      };
    }
    case 'kitchen': {
      change('Bring in a kitchen', { [KITCHEN_KEY]: { ...read.kitchen, id: kitchenIn(docs).id } });
      return {
        ok: true,
        words: 'The kitchen is exchanged for that one. Undo brings the old one back.',
        go: {},
      };
    }
  }
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
  const file: RunFile = { kind: 'run file', version: 2, run, formulas: [...formulas], kitchen };
  return JSON.stringify(file, null, 2);
}

/** A whole piece with the formulas that it is made of and the kitchen, as text for a file. */
export function pieceFileText(piece: PieceDoc): string {
  const { docs } = useDocuments.getState();
  const formulas = usedFormulas(formulasNamed([piece.line]), formulasIn(docs));
  const file: PieceFile = { kind: 'piece file', version: 2, piece, formulas, kitchen: kitchenIn(docs) };
  return JSON.stringify(file, null, 2);
}

/** Hands a text to the person as a file. */
export function saveFile(name: string, text: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken hold of it by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name for a file: letters, digits and dashes. */
export const fileName = (name: string, kind: 'run' | 'piece' = 'run'): string =>
  `${fileStem(name) || kind}.${kind}.json`;

/** The same without what kind it is of. */
export const fileStem = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);
