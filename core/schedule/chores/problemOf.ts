import type { KitchenDoc } from '../../model/documents';
import type { Doubt, Job, JobHold, JobResource, Problem, Span } from '../solver';
import { thingKey, type Chore, type Thing } from './chore';
import { resourceOf, unitsOf } from './things';

/** A run's chores as the solver has them. */
export interface Posed {
  readonly problem: Problem;
  readonly doubts: readonly Doubt[];
  readonly things: readonly Thing[];
  /** Things of which a chore wants more than there are: no day can be made of it. */
  readonly lacking: readonly {
    readonly chore: Chore;
    readonly thing: Thing;
    readonly wants: number;
    readonly has: number;
  }[];
}

/** @param closed when nobody works, seconds in the problem's time. */
export function problemOf(
  chores: readonly Chore[],
  kitchen: KitchenDoc,
  closed: readonly (readonly [number, number])[],
  /** By part, when it has to be made, s. */
  madeBy: ReadonlyMap<string, number> = new Map(),
  /** By chore, when it begins, s: somebody holds it there. */
  held: ReadonlyMap<string, number> = new Map(),
): Posed {
  const place = new Map(chores.map(({ id }, i) => [id, i]));
  const things: Thing[] = [];
  const keys = new Map<string, number>();
  const resources: JobResource[] = [];
  const lacking: { chore: Chore; thing: Thing; wants: number; has: number }[] = [];
  const placeOf = (thing: Thing): number | null => {
    const key = thingKey(thing);
    const known = keys.get(key);
    if (known !== undefined) return known;
    const units = unitsOf(kitchen, thing);
    if (units === null) return null;
    keys.set(key, resources.length);
    things.push(thing);
    resources.push(resourceOf(thing, units, closed));
    return resources.length - 1;
  };
  const spans: Span[] = [];
  const jobs = chores.map((chore, i): Job => {
    const holds: JobHold[] = [];
    for (const { of, units, settingC, until } of chore.holds) {
      const resource = placeOf(of);
      if (resource === null) continue;
      const has = resources[resource]?.units ?? 0;
      if (units > has) lacking.push({ chore, thing: of, wants: units, has });
      const hold = { resource, units, ...(settingC === undefined ? {} : { mode: settingC }) };
      const last = until === undefined ? undefined : place.get(until);
      if (last === undefined || last === i) holds.push(hold);
      else spans.push({ hold, jobs: wayBetween(chores, place, i, last) });
    }
    return {
      id: chore.id,
      lengthS: Math.round(chore.takes.lengthS),
      holds,
      after: chore.after.flatMap(({ chore: before, leastS, mostS }) => {
        const job = place.get(before);
        if (job === undefined) return [];
        const part = chores[job]?.part;
        // What was made days before keeps: it waits for nobody.
        const keeps = part && part.id !== chore.part?.id && madeBy.has(part.id);
        return [{ job, leastS, mostS: keeps ? null : mostS }];
      }),
      onFeet: chore.kind === 'hands',
      fresh: chore.fresh,
      ...(held.has(chore.id) ? { fixedS: held.get(chore.id) ?? 0 } : {}),
      ...(chore.part && madeBy.has(chore.part.id) ? { endsByS: madeBy.get(chore.part.id) ?? 0 } : {}),
    };
  });
  const doubts = chores.map(({ takes: { cause, shared, own } }): Doubt => ({ cause, shared, own }));
  return { problem: { jobs, resources, spans }, doubts, things, lacking };
}

/** The chores from one to another, each after the one before it. */
function wayBetween(
  chores: readonly Chore[],
  place: ReadonlyMap<string, number>,
  from: number,
  to: number,
): number[] {
  const way = (at: number): number[] | null => {
    if (at === from) return [at];
    for (const { chore } of chores[at]?.after ?? []) {
      const before = place.get(chore);
      const found = before === undefined ? null : way(before);
      if (found) return [...found, at];
    }
    return null;
  };
  const found = way(to);
  if (!found) throw new Error(`invariant: "${chores[to]?.id}" comes after "${chores[from]?.id}"`);
  return found;
}
