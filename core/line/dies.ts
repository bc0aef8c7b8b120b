import type { Line } from '../model/documents';
import { paramOf } from '../param';

/** Whether a measurement, by the id of its figure, goes. */
type Dies = (figureId: string) => boolean;

const among =
  (...ids: readonly string[]): Dies =>
  (id) =>
    ids.includes(id);
/** Figures of a numbered thing: `crumb.2`, `crumb.2.cake`. */
const under =
  (stem: string, from = 1): Dies =>
  (id) => {
    const rest = id.startsWith(`${stem}.`) ? id.slice(stem.length + 1) : '';
    const n = Number.parseInt(rest, 10);
    return n >= from;
  };
/** Figures of whatever bake of a line: the second stands under `bake2.`. */
const inBakes =
  (dies: Dies): Dies =>
  (id) =>
    dies(id.replace(/^bake\d+\./, ''));

const POTS = under('pot');
const PORTION = among('portion.mass');
const CAKE = among('cake.mass', 'sheet.mass', 'sheet.cake', 'bake.lossShare', 'cool.constant');
const ON_TOP = among('filling.each', 'frosting.each', 'coat.each');
const OVEN = inBakes(among('bake.factor', 'turnaround'));
const MICROWAVE = inBakes(among('micro.factor', 'micro.steam'));
const COAT = among('coat.mm', 'coat.each', 'coat.dripShare', 'anchor.each');
const BATTER = inBakes(
  among('batter.mixed', 'batter.own', 'batter.density', 'cake.density', 'cake.done', 'bake.lossShare'),
);

/** What was measured of the kitchen or of its oven stays, whatever is baked. */
const ofTheBatch: Dies = (id) => {
  const param = paramOf(id);
  return param === null || !param.keep || !['kitchen', 'oven', 'microwave'].includes(param.of);
};

/**
 * Which measurements die with which change: what described a thing goes with the thing. A field that is not named here
 * changes nothing that was measured.
 */
const WITH: Readonly<Record<string, readonly Dies[]>> = {
  formulaId: [ofTheBatch],
  tinId: [among('well.volume'), PORTION, CAKE, ON_TOP],
  sheetId: [CAKE, inBakes(CAKE), ON_TOP],
  mouldId: [among('cavity.volume', 'shell.taken', 'shell.mm', 'patch.share'), PORTION, POTS],
  mugId: [among('mug.volume', 'piece.top'), PORTION, CAKE, ON_TOP],
  ovenId: [OVEN],
  microwaveId: [MICROWAVE],
  fill: [PORTION, CAKE],
  baseLayer: [PORTION, CAKE],
  style: [PORTION, CAKE, ON_TOP],
  size: [PORTION, ON_TOP],
  shellMm: [among('shell.taken', 'shell.mm'), PORTION, POTS],
  shellBy: [POTS],
  kind: [POTS, among('coat.dripShare')],
  columns: [among('cake.mass'), ON_TOP],
  rows: [among('cake.mass'), ON_TOP],
  trimMm: [among('cake.mass')],
  kerfMm: [among('cake.mass')],
  heightMm: [CAKE, ON_TOP],
};

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

type Fields = Readonly<Record<string, unknown>>;
const part = (fields: Fields, key: string): Fields => (fields[key] ?? {}) as Fields;
const list = (fields: Fields, key: string): readonly unknown[] => (fields[key] ?? []) as readonly unknown[];

/** From which place on two lists differ, from 1; null where they are the same. */
function differFrom(before: readonly unknown[], after: readonly unknown[]): number | null {
  const longest = Math.max(before.length, after.length);
  for (let i = 0; i < longest; i += 1) if (!same(before[i], after[i])) return i + 1;
  return null;
}

/** What a part of a line that has fields of its own takes with it. */
function withParts(before: Fields, after: Fields): Dies[] {
  const out: Dies[] = [];
  const changed = (key: string, ...fields: readonly string[]) =>
    fields.some((field) => !same(part(before, key)[field], part(after, key)[field]));
  if (changed('coat', 'thickness', 'school', 'kind')) out.push(COAT, POTS);
  if (changed('coat', 'vesselId', 'thinnedShare')) out.push(POTS);
  if (changed('filling', 'how', 'what', 'eachG', 'channels', 'coreDiameterMm', 'coreDepthMm'))
    out.push(among('filling.each', 'filling.mm', 'filling.channel', 'filling.density', 'core.plug'));
  if (changed('frosting', 'kind', 'style'))
    out.push(among('frosting.each', 'frosting.style', 'frosting.density'));
  if (changed('binder', 'kind')) out.push(among('binder.added', 'bind.factor'));
  const crumb = differFrom(list(before, 'crumb'), list(after, 'crumb'));
  if (crumb !== null) {
    out.push(under('crumb', crumb), among('dough.total'));
    // Bakes are numbered among themselves: one that goes or comes moves all that follow.
    if (list(before, 'crumb')[crumb - 1] !== undefined) out.push(BATTER);
  }
  const added = differFrom(list(before, 'addIns'), list(after, 'addIns'));
  if (added !== null) out.push(under('addin', added), among('dough.total'));
  // A lot that only changes its count keeps what was measured of it.
  const counted = (lots: readonly unknown[]) => lots.map((lot) => ({ ...(lot as Fields), count: 0 }));
  const lots = differFrom(counted(list(before, 'lots')), counted(list(after, 'lots')));
  if (lots !== null) out.push(under('lot', lots));
  return out;
}

/** Which measurements go when a line becomes another. */
export function diesWith(before: Line, after: Line): Dies {
  if (Object.keys(before.measured).length === 0) return () => false;
  const [was, is]: [Fields, Fields] = [before, after];
  const all = Object.entries(WITH).flatMap(([field, dies]) => (same(was[field], is[field]) ? [] : dies));
  all.push(...withParts(was, is));
  return (id) => all.some((dies) => dies(id));
}
