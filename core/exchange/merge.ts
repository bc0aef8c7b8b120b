import type { FormulaDoc, KitchenDoc, Line, PieceDoc, PieceFile, RunDoc, RunFile } from '../model/documents';
import { same } from './incoming';
import { takeTurns, wentOn } from './turns';
import { kitchenHolds, referencesOf, type RefKind } from '../model/references';

/** What a file adds to the documents that are there. */
interface Added {
  /** Formulas that were not there before. */
  readonly formulas: readonly FormulaDoc[];
  /** The kitchen with the things added that the lines need. */
  readonly kitchen: KitchenDoc;
  /** Names of what came in with it. */
  readonly added: readonly string[];
}
export interface Merged extends Added {
  readonly run: RunDoc;
  /** It is one that was here and went on elsewhere. */
  readonly went: boolean;
}
export interface MergedPiece extends Added {
  readonly piece: PieceDoc;
}

/** What is there before a file comes in, the ids of its kind among it. */
export interface There {
  readonly kitchen: KitchenDoc;
  readonly formulas: readonly FormulaDoc[];
  readonly ids: ReadonlySet<string>;
}

/** Runs that are there as well: one that went on elsewhere is taken on from there. */
export interface RunsThere extends There {
  readonly runs?: readonly RunDoc[] | undefined;
}

type ThingKind = Exclude<RefKind, 'formula'>;
const LISTS: Readonly<
  Record<ThingKind, 'tins' | 'ovens' | 'sheets' | 'moulds' | 'mugs' | 'microwaves' | 'vessels'>
> = {
  tin: 'tins',
  oven: 'ovens',
  sheet: 'sheets',
  mould: 'moulds',
  mug: 'mugs',
  microwave: 'microwaves',
  vessel: 'vessels',
};

/**
 * Brings a run file into the documents that are there. What is the same already is used as it is; what bears a known id
 * and is something else comes in beside it under a new id; nothing that is there is changed, but a run that was taken on
 * by another device goes on from there.
 */
export function mergeRunFile(file: RunFile, has: RunsThere, newId: (kind: string) => string): Merged {
  const { lines, ...rest } = mergeLines(file, file.run.lines, has, newId);
  const mine = has.runs?.find(({ id: own }) => own === file.run.id);
  if (mine && wentOn(mine, file.run))
    return { ...rest, run: takeTurns(mine, { ...file.run, lines: [...lines] }), went: true };
  const id = has.ids.has(file.run.id) ? newId('run') : file.run.id;
  return { ...rest, run: { ...file.run, id, lines: [...lines] }, went: false };
}

/** Brings a piece file in, by the same rules. */
export function mergePieceFile(file: PieceFile, has: There, newId: (kind: string) => string): MergedPiece {
  const { lines, ...rest } = mergeLines(file, [file.piece.line], has, newId);
  const [line] = lines;
  if (!line) throw new Error('invariant: a line comes out as it went in');
  const id = has.ids.has(file.piece.id) ? newId('piece') : file.piece.id;
  return { ...rest, piece: { ...file.piece, id, line } };
}

function mergeLines(
  file: Pick<RunFile, 'formulas' | 'kitchen'>,
  theirLines: readonly Line[],
  has: There,
  newId: (kind: string) => string,
): Added & { readonly lines: readonly Line[] } {
  const ids = new Map<string, string>();
  const added: string[] = [];
  const formulas: FormulaDoc[] = [];
  for (const doc of file.formulas) {
    const known = has.formulas.find(({ id }) => id === doc.id);
    if (known && same(known, doc)) continue;
    const id = known ? newId('formula') : doc.id;
    ids.set(`formula/${doc.id}`, id);
    formulas.push({ ...doc, id });
    added.push(doc.name);
  }
  const own = kitchenHolds(has.kitchen);
  const theirs = kitchenHolds(file.kitchen);
  let kitchen: KitchenDoc = has.kitchen;
  const needed = theirLines.flatMap(referencesOf);
  for (const kind of Object.keys(LISTS) as ThingKind[]) {
    for (const thing of theirs[kind]) {
      if (!needed.some((one) => one.kind === kind && one.id === thing.id)) continue;
      const known = own[kind].find(({ id }) => id === thing.id);
      if (known && same(known, thing)) continue;
      const id = known ? newId(kind) : thing.id;
      ids.set(`${kind}/${thing.id}`, id);
      const list = LISTS[kind];
      kitchen = { ...kitchen, [list]: [...(kitchen[list] ?? []), { ...thing, id }] };
      added.push(thing.name);
    }
  }
  const nameOf = (kind: RefKind, id: string) => ids.get(`${kind}/${id}`) ?? id;
  return {
    lines: theirLines.map((line) => renamed(line, nameOf)),
    formulas: formulas.map((doc) => ({
      ...doc,
      ...(doc.parts
        ? { parts: doc.parts.map((part) => ({ ...part, formulaId: nameOf('formula', part.formulaId) })) }
        : {}),
    })),
    kitchen,
    added,
  };
}

/** A line with every id that it names put through `nameOf`. */
function renamed(line: Line, nameOf: (kind: RefKind, id: string) => string): Line {
  const copy = JSON.parse(JSON.stringify(line)) as Line;
  for (const { kind, id, field } of referencesOf(line)) {
    const path = field.split(/[.[\]]+/).filter(Boolean);
    const last = path.pop() ?? '';
    let at = copy as unknown as Record<string, unknown>;
    for (const step of path) at = at[step] as Record<string, unknown>;
    at[last] = nameOf(kind, id);
  }
  return copy;
}
