import type { KitchenDoc } from '../../model/documents';
import type { Door, Doubt, Job, JobHold, JobResource, Problem, Span } from '../solver';
import { thingKey, type Chore, type Thing } from './chore';
import { OVEN_DOOR } from './chores.table';
import type { Skill } from '../../model/kinds';
import { limitsOf, type Limit } from './limits';
import { resourceOf, unitsOf } from './things';

/** A run's chores as the solver has them. */
export interface Posed {
  readonly problem: Problem;
  readonly doubts: readonly Doubt[];
  readonly things: readonly Thing[];
  /** Things of which a chore wants more than there are: no day can be made of it. */
  readonly lacking: readonly Lacking[];
}

export interface Lacking {
  readonly chore: Chore;
  readonly thing: Thing;
  readonly wants: number;
  readonly has: number;
  /** Hands that can do it are wanted; null where any would do. */
  readonly skills: readonly Skill[] | null;
}

/** Times that bound a day, s in the problem's time. */
export interface Bounds {
  /** By part, when it has to be made. */
  readonly madeBy?: ReadonlyMap<string, number>;
  /** By chore, when it begins: somebody holds it there. */
  readonly held?: ReadonlyMap<string, number>;
  /** By chore, when its run must be ready: the end of the day, 0, or before it. */
  readonly dueS?: readonly number[];
}

/** @param closed when nobody works, seconds in the problem's time. */
export function problemOf(
  chores: readonly Chore[],
  kitchen: KitchenDoc,
  closed: readonly (readonly [number, number])[],
  { madeBy = new Map(), held = new Map(), dueS = [] }: Bounds = {},
): Posed {
  const place = new Map(chores.map(({ id }, i) => [id, i]));
  const things: Thing[] = [];
  const limits = limitsOf(kitchen, chores);
  const keys = new Map<string, number>();
  const resources: JobResource[] = [];
  const lacking: Lacking[] = [];
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
  const limitOf = ({ key, thing, units }: Limit): number => {
    const known = keys.get(key);
    if (known !== undefined) return known;
    keys.set(key, resources.length);
    resources.push({ ...resourceOf(thing, units, []), id: key });
    return resources.length - 1;
  };
  const spans: Span[] = [];
  const jobs = chores.map((chore, i): Job => {
    const holds: JobHold[] = [];
    for (const one of chore.holds) {
      const { of, units, settingC, sets, until } = one;
      const resource = placeOf(of);
      if (resource === null) continue;
      const has = resources[resource]?.units ?? 0;
      // What stands on the bench stands in turns where there is less room than pieces.
      const turns = of.kind === 'bench';
      if (units > has && !turns) lacking.push({ chore, thing: of, wants: units, has, skills: null });
      const hold = {
        resource,
        units: turns ? Math.min(units, has) : units,
        ...(settingC === undefined ? {} : { mode: settingC }),
        ...(sets === undefined ? {} : { door: doorOf(chore.takes.lengthS, sets) }),
      };
      const last = until === undefined ? undefined : place.get(until);
      const way = last === undefined || last === i ? null : wayBetween(chores, place, i, last);
      const held = (some: JobHold) => (way ? spans.push({ hold: some, jobs: way }) : holds.push(some));
      held(hold);
      for (const limit of limits) {
        if (!limit.takes(chore, one)) continue;
        if (units > limit.units)
          lacking.push({ chore, thing: limit.thing, wants: units, has: limit.units, skills: limit.skills });
        held({ resource: limitOf(limit), units });
      }
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
      ...endOf((chore.part && madeBy.get(chore.part.id)) ?? Infinity, dueS[i] ?? 0),
    };
  });
  const doubts = chores.map(({ takes: { cause, shared, own } }): Doubt => ({ cause, shared, own }));
  return { problem: { jobs, resources, spans }, doubts, things, lacking };
}

/** When a door is opened for what bakes, so many times over, and when for nothing else. */
function doorOf(lengthS: number, times: number): Door {
  const each = Math.round(lengthS) / times;
  const bakes = Array.from({ length: times }, (_, k) => k * each);
  return {
    opens: [...bakes, Math.round(lengthS)],
    quiet: bakes.flatMap((at) => {
      const [from, until] = [at + OVEN_DOOR.togetherS, at + each * OVEN_DOOR.setShare];
      return until > from ? [[from, until] as const] : [];
    }),
  };
}

/** A day ends at 0 by itself: what ends no sooner is not bounded. */
function endOf(madeByS: number, dueS: number): Pick<Job, 'endsByS'> {
  const endsByS = Math.min(madeByS, dueS < 0 ? dueS : Infinity);
  return endsByS === Infinity ? {} : { endsByS };
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
