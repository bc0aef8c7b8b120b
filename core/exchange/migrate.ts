import { anyDocSchema, type AnyDoc } from '../model/documents';
import { CHORE_DOES } from '../model/choreDoes';
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
/** The kind of step and the lines by what version 3 called a step: `lanterns/bake1.fill-2`, `mixed:lemon/mix`. */
function stepTo4(chore: unknown): Json {
  if (typeof chore !== 'string') return {};
  const parts = chore.split('/');
  const stem = (parts.at(-1) ?? '').replace(/^bake\d+\./, '').replace(/-\d+$/, '');
  const does = CHORE_DOES.find((one) => one === stem);
  const [of = ''] = parts;
  // What lines share did not say whose it was.
  const lineIds = parts.length === 2 && !of.includes(':') ? { lineIds: [of] } : {};
  return { ...(does ? { does } : {}), ...lineIds };
}

/** Where a load stood, as version 3 said it in words. */
function placesTo4(place: unknown): Json[] {
  if (typeof place !== 'string') return [];
  const RACKS: Readonly<Record<string, readonly [number, number]>> = {
    'upper rack': [1, 2],
    'lower rack': [2, 2],
    'top rack': [1, 3],
    'middle rack': [2, 3],
    'bottom rack': [3, 3],
  };
  const TINS: Readonly<Record<string, readonly [number, number]>> = {
    left: [1, 2],
    middle: [2, 3],
    right: [2, 2],
  };
  const of = (words: readonly string[], named: typeof RACKS, one: string): readonly [number, number] => {
    for (const word of words) {
      const found = named[word];
      if (found) return found;
      const n = new RegExp(`^${one} (\\d+)$`).exec(word)?.[1];
      if (n !== undefined) return [Number(n), Math.max(4, Number(n))];
    }
    return [1, 1];
  };
  return place.split(' and ').map((one): Json => {
    const words = one.split(', ');
    const [rack, racks] = of(words, RACKS, 'rack');
    const [tin, tins] = of(words, TINS, 'tin');
    return { rack, racks, tin, tins };
  });
}

/** An id is no longer than 80 letters; what is told of a load has its id with so much behind it. */
const ID_ROOM = 40;

/** Ids of version 4, by what they come from: the same on every device, and no two alike in one run. */
class NewIds {
  constructor(private readonly taken: Set<unknown>) {}

  of(wanted: string): string {
    let id = wanted;
    for (let n = 2; this.taken.has(id); n += 1) id = `${wanted}~${n}`;
    this.taken.add(id);
    return id;
  }
}

/** A load's clock as version 3 kept it beside the log, as what was told of it. */
function clockTo4(clock: unknown, ids: NewIds): unknown[] {
  if (!isObject(clock)) return [clock];
  const { lineId, load, pieces, startedAt, firstLookS, expectedS, latestS } = clock;
  const own = String(clock.id);
  const loadId = ids.of(own.length > ID_ROOM ? `${own.slice(0, ID_ROOM - 10)}${sumOf(own)}` : own);
  const looks: unknown[] = Array.isArray(clock.looks) ? clock.looks : [];
  const places = placesTo4(clock.place);
  const told = Object.fromEntries(
    ['inside', 'airC', 'confirmed'].flatMap((key) => (clock[key] === undefined ? [] : [[key, clock[key]]])),
  );
  const seen = looks.map((look) =>
    isObject(look)
      ? { ...look, id: ids.of(`${loadId}-look-${String(look.at)}`), what: 'looked', loadId }
      : look,
  );
  const isOut = looks.some((look) => isObject(look) && (look.result === 'done' || look.result === 'over'));
  const at = typeof clock.endedAt === 'number' ? clock.endedAt : startedAt;
  const of = { lineId, load, pieces, firstLookS, expectedS, latestS };
  return [
    { id: loadId, at: startedAt, what: 'load in', ...of, ...(places.length > 0 ? { places } : {}) },
    ...seen,
    ...(typeof clock.endedAt !== 'number' || isOut
      ? []
      : [{ id: ids.of(`${loadId}-out`), at, what: 'load out', loadId }]),
    ...(Object.keys(told).length > 0
      ? [{ id: ids.of(`${loadId}-told`), at, what: 'load told', loadId, ...told }]
      : []),
  ];
}

/** A number of a text, in letters: enough to tell long ids apart. */
const sumOf = (text: string): string =>
  [...text].reduce((sum, one) => (sum * 31 + (one.codePointAt(0) ?? 0)) % 2 ** 32, 7).toString(36);

/** Version 3 kept loads apart from the log, and said what a step was in its name only. */
function runTo4(doc: Json): Json {
  const { clocks, log, ...rest } = doc;
  const events: unknown[] = Array.isArray(log) ? log : [];
  const loads: unknown[] = Array.isArray(clocks) ? clocks : [];
  const ids = new NewIds(new Set(events.map((event) => (isObject(event) ? event.id : undefined))));
  const atOf = (event: unknown) => (isObject(event) && typeof event.at === 'number' ? event.at : 0);
  const told = events.map((event) => (isObject(event) ? { ...event, ...stepTo4(event.chore) } : event));
  const all = [...told, ...loads.flatMap((clock) => clockTo4(clock, ids))];
  if (loads.length > 0) all.sort((a, b) => atOf(a) - atOf(b));
  return { ...rest, version: 4, ...(all.length > 0 ? { log: all } : {}) };
}

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
  run: [runTo2, runTo3, runTo4],
  piece: [pieceTo2, pieceTo3],
  'run file': [runFileTo(2), runFileTo(3), runFileTo(4)],
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
