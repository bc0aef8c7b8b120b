import { anyDocSchema, type AnyDoc } from '../model/documents';
import { KITCHEN, paramOf, scopeOf } from '../param';
import { readWith, type Result } from './readWith';

type Json = Record<string, unknown>;
type Step = (doc: Json) => Json;

const isObject = (data: unknown): data is Json =>
  typeof data === 'object' && data !== null && !Array.isArray(data);

/** Values by id as version 1 kept them, of whatever is there. */
const statedOf = (holder: Json): [string, number][] =>
  isObject(holder.stated)
    ? Object.entries(holder.stated).filter((one): one is [string, number] => typeof one[1] === 'number')
    : [];

/**
 * Version 1 kept one flat table of what always holds. What is a parameter of the kitchen becomes a belief that holds for
 * all its things, as it did before; a cooling constant was measured on pieces out of wells and stays theirs. What was
 * one run's alone, such as a weighed cake, is set aside: it is in the file, and no plan takes it any more.
 */
function kitchenTo2(doc: Json): Json {
  const { stated, beliefs, ...rest } = doc;
  void stated;
  const kept: Json[] = [];
  const aside: Json = {};
  for (const [key, mean] of statedOf(doc)) {
    const param = paramOf(key);
    if (!param?.keep) {
      aside[key] = mean;
      continue;
    }
    const of = param.of === 'size' ? scopeOf('size', 'well') : KITCHEN;
    kept.push({ param: key, of, mean, spread: 0, seen: 1, since: null });
  }
  return {
    ...rest,
    version: 2,
    beliefs: [...(Array.isArray(beliefs) ? (beliefs as unknown[]) : []), ...kept],
    ...(Object.keys(aside).length > 0 ? { setAside: aside } : {}),
  };
}

/** What was weighed in a run bears the name of what it is. */
function measuredIn(holder: Json): Json {
  const { stated, ...rest } = holder;
  return stated === undefined || rest.measured !== undefined ? rest : { ...rest, measured: stated };
}

const lineTo2 = (line: unknown): unknown => (isObject(line) ? measuredIn(line) : line);

function runTo2(doc: Json): Json {
  const run = { ...measuredIn(doc), version: 2 };
  return Array.isArray(doc.lines) ? { ...run, lines: doc.lines.map(lineTo2) } : run;
}

/** Version 2 could promise a lot free of nuts only. */
function lineTo3(line: unknown): unknown {
  if (!isObject(line) || !Array.isArray(line.lots)) return line;
  const lots = line.lots.map((lot: unknown) => {
    if (!isObject(lot) || lot.nutFree === undefined) return lot;
    const { nutFree, ...rest } = lot;
    return nutFree === true ? { ...rest, freeFrom: ['nuts', 'peanut'] } : rest;
  });
  return { ...line, lots };
}

const runTo3 = (doc: Json): Json => ({
  ...doc,
  version: 3,
  ...(Array.isArray(doc.lines) ? { lines: doc.lines.map(lineTo3) } : {}),
});
const pieceTo3 = (doc: Json): Json => ({ ...doc, version: 3, line: lineTo3(doc.line) });

const pieceTo2 = (doc: Json): Json => ({ ...doc, version: 2, line: lineTo2(doc.line) });

/** A document within a file, brought up to date where it is an older one. */
function within(kind: string, doc: unknown): unknown {
  if (!isObject(doc) || doc.kind !== kind) return doc;
  const steps = MIGRATIONS[kind] ?? [];
  const version = typeof doc.version === 'number' ? doc.version : steps.length + 1;
  return steps.slice(version - 1).reduce((d, step) => step(d), doc);
}

const runFileTo =
  (to: number): Step =>
  (doc) => ({
    ...doc,
    version: to,
    run: within('run', doc.run),
    kitchen: within('kitchen', doc.kitchen),
  });
const pieceFileTo =
  (to: number): Step =>
  (doc) => ({
    ...doc,
    version: to,
    piece: within('piece', doc.piece),
    kitchen: within('kitchen', doc.kitchen),
  });

/** For each kind, the steps that bring version 1, 2, … to the next. The current version is one past their number. */
const MIGRATIONS: Readonly<Record<string, readonly Step[]>> = {
  formula: [],
  kitchen: [kitchenTo2],
  run: [runTo2, runTo3],
  piece: [pieceTo2, pieceTo3],
  'run file': [runFileTo(2), runFileTo(3)],
  'piece file': [pieceFileTo(2), pieceFileTo(3)],
};

/** Whether a document was written by a newer Carnelian than this one. */
export function isNewer(data: unknown): boolean {
  if (!isObject(data) || typeof data.kind !== 'string') return false;
  const steps = Object.prototype.hasOwnProperty.call(MIGRATIONS, data.kind)
    ? MIGRATIONS[data.kind]
    : undefined;
  return steps !== undefined && typeof data.version === 'number' && data.version > steps.length + 1;
}

/** Groups and lists within each other: no document of ours comes near, and reading is sure to end. */
const DEEPEST = 100;

/** Whether something is nested deeper than that. Counts without calling itself: the depth is what is in doubt. */
function isTooDeep(data: unknown): boolean {
  let level: unknown[] = [data];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > DEEPEST) return true;
    level = level.flatMap((one): unknown[] =>
      typeof one === 'object' && one !== null ? Object.values(one) : [],
    );
  }
  return false;
}

/** Brings a document or a file of any version up to date; refuses unknown kinds and newer versions. */
export function upToDate(
  data: unknown,
  migrations: Readonly<Record<string, readonly Step[]>> = MIGRATIONS,
): Result<Json> {
  if (!isObject(data)) {
    return refuse('(document)', 'This is not a document.', 'Use a file that Carnelian has exported.');
  }
  if (isTooDeep(data))
    return refuse(
      '(document)',
      'It is nested deeper than any document of Carnelian.',
      'Use a file that Carnelian has exported.',
    );
  const kind = typeof data.kind === 'string' ? data.kind : '';
  const steps = Object.prototype.hasOwnProperty.call(migrations, kind) ? migrations[kind] : undefined;
  if (!steps)
    return refuse(
      'kind',
      `"${kind}" is no kind of document known here.`,
      'Use formula, kitchen, piece or run.',
    );
  const version = typeof data.version === 'number' ? data.version : 0;
  const current = steps.length + 1;
  if (!Number.isInteger(version) || version < 1) {
    return refuse('version', 'The document has no version.', `Versions 1 to ${current} can be read.`);
  }
  if (version > current) {
    return refuse(
      'version',
      `It was written by a newer Carnelian (version ${version}).`,
      'Update, then open it again.',
    );
  }
  return { ok: true, value: steps.slice(version - 1).reduce((d, step) => step(d), data) };
}

/** Reads a stored or imported document of any version: brings older ones up to date and refuses newer ones. */
export function readDocument(
  data: unknown,
  migrations: Readonly<Record<string, readonly Step[]>> = MIGRATIONS,
): Result<AnyDoc> {
  const brought = upToDate(data, migrations);
  return brought.ok ? readWith<AnyDoc>(anyDocSchema, brought.value) : brought;
}

function refuse(field: string, fault: string, mend: string): Result<never> {
  return { ok: false, faults: [{ field, fault, mend }] };
}
