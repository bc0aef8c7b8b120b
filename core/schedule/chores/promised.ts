import type { ChoreDoes } from '../../model/choreDoes';
import { againstPromise, promisedOfAll, type LinePlan } from '../../plan';
import type { Chore, ChoreGap } from './chore';
import { PROMISE, type OwnThing } from './promised.words';

/** A line of a run with the chore that packs it. */
export interface PackedLine {
  readonly plan: LinePlan;
  /** What the line and its last chore are called in the day. */
  readonly lineId: string;
  readonly packId: string;
}

/**
 * What is promised to be free of something is packed and put away before hands touch anything that holds it or may. Where
 * lines each hold what the others are promised free of, those that stand first go first.
 * @param madeAhead whether a chore is of something that is made on a day before
 * @param sameDay whether two lines are of one day: runs of other days do not wait for each other
 */
export function promisedFirst(
  chores: readonly Chore[],
  packed: readonly PackedLine[],
  madeAhead: (chore: Chore) => boolean,
  sameDay: (a: PackedLine, b: PackedLine) => boolean = () => true,
): Chore[] {
  const waits = waitsOf(packed, sameDay);
  if (waits.size === 0) return [...chores];
  const gapsOf = new Map(chores.map(({ id, after }) => [id, after]));
  return chores.map((chore) => {
    // What both need, what only stands about, and what is made on a day before go on as they would.
    if (chore.kind !== 'hands' || madeAhead(chore)) return chore;
    const each = chore.lineIds.map((id) => waits.get(id) ?? new Set<string>());
    // What a line needs that is packed first is made before it, whomever else it is made for.
    const after = [...(each[0] ?? [])].filter(
      (pack) => each.every((packs) => packs.has(pack)) && !comesAfter(gapsOf, pack, chore.id),
    );
    if (after.length === 0) return chore;
    const gaps = after.map((pack): ChoreGap => ({ chore: pack, leastS: 0, mostS: null }));
    gapsOf.set(chore.id, [...chore.after, ...gaps]);
    return { ...chore, after: [...chore.after, ...gaps] };
  });
}

/** Whether a chore comes after another, near or far, by the gaps as they stand. */
function comesAfter(after: ReadonlyMap<string, readonly ChoreGap[]>, id: string, other: string): boolean {
  const seen = new Set<string>();
  const open = [id];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === other) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    open.push(...(after.get(at) ?? []).map(({ chore }) => chore));
  }
  return false;
}

/** By line, the chores that pack what it has to wait for. No line waits for itself, near or far. */
function waitsOf(
  packed: readonly PackedLine[],
  sameDay: (a: PackedLine, b: PackedLine) => boolean,
): ReadonlyMap<string, ReadonlySet<string>> {
  const behind = new Map<string, Set<PackedLine>>();
  const waitsFor = (from: PackedLine, to: PackedLine): boolean =>
    from === to || [...(behind.get(from.lineId) ?? [])].some((next) => waitsFor(next, to));
  for (const free of packed)
    for (const other of packed) {
      if (free === other || !sameDay(free, other)) continue;
      if (againstPromise(free.plan, other.plan).length === 0 || waitsFor(free, other)) continue;
      behind.set(other.lineId, (behind.get(other.lineId) ?? new Set()).add(free));
    }
  return new Map([...behind].map(([id, all]) => [id, new Set([...all].map(({ packId }) => packId))]));
}

/** What of a step has to be its own, by what is done. */
const OWN_AT: Readonly<Partial<Record<ChoreDoes, OwnThing>>> = {
  'weigh-out': 'bowl',
  mix: 'bowl',
  fill: 'tin',
  load: 'tin',
  crumble: 'bowl',
  bind: 'bowl',
  roll: 'tray',
  frosting: 'bowl',
  colour: 'bag',
  frost: 'bag',
  'fill-in': 'bag',
  top: 'tray',
  melt: 'pot',
  dip: 'pot',
  'coat-a': 'pot',
  'coat-b': 'pot',
  back: 'pot',
  cut: 'board',
  pack: 'box',
};
/** Steps at which lots differ: what comes before is the same for all pieces. */
const FINISHES: ReadonlySet<ChoreDoes> = new Set<ChoreDoes>([
  'colour',
  'frost',
  'top',
  'dip',
  'coat-a',
  'coat-b',
  'back',
  'pack',
]);

/** Steps of a line say what of it is promised free, what that takes of its own, and which pieces go first. */
export function promiseSteps(
  chores: readonly Chore[],
  plan: LinePlan,
  all: readonly LinePlan[],
): readonly Chore[] {
  const { line, lots, promises } = plan;
  const whole = promisedOfAll(line);
  const some = promises.filter(
    ({ lotId, of }) =>
      lotId !== null &&
      of.some((one) => lots.some(({ id, holds }) => id !== lotId && holds.allergens.includes(one))),
  );
  if (whole.length === 0 && some.length === 0) return chores;
  const beside = all.some((other) => other !== plan && againstPromise(plan, other).length > 0);
  let first = true;
  /** Pieces that have been through each kind of step, load by load. */
  const through = new Map<ChoreDoes, number>();
  return chores.map((chore) => {
    const { does } = chore;
    const own = OWN_AT[does];
    if (chore.kind !== 'hands' || !own) return chore;
    const said: string[] = [];
    if (whole.length > 0 && (beside || first)) said.push(PROMISE.whole(whole, own));
    first = false;
    if (FINISHES.has(does)) {
      const pieces = chore.pieces ?? line.count;
      let skip = through.get(does) ?? 0;
      through.set(does, skip + pieces);
      let room = pieces;
      for (const { name, of, count } of some) {
        const here = Math.min(room, Math.max(0, count - skip));
        skip = Math.max(0, skip - count);
        room -= here;
        if (here > 0) said.push(PROMISE.some(here, name, of, own));
      }
    }
    return said.length === 0
      ? chore
      : { ...chore, detail: [...said, chore.detail].filter(Boolean).join(' ') };
  });
}
