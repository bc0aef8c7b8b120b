/**
 * Merging two changes of the same document that were made on the same older state: what either side left alone takes
 * the other's change, lists of things with ids are merged thing by thing, and what both changed differently is told.
 */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** A place that both sides changed, each in its own way. The merged document holds `mine`. */
export interface Clash {
  /** Keys and ids from the top of the document to the place. */
  readonly path: readonly string[];
  /** Left out on a side that took it out. */
  readonly mine: Json | undefined;
  readonly theirs: Json | undefined;
}

export interface Merged {
  readonly value: Json | undefined;
  readonly clashes: readonly Clash[];
}

/** Undefined stands for what is not there. */
export type Some = Json | undefined;
type Thing = { readonly [key: string]: Json };

export const isThing = (value: Some): value is Thing =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export const isList = (value: Some): value is readonly Json[] => Array.isArray(value);

/** Whether two values say the same, whatever the order of their keys. */
export function sameJson(a: Some, b: Some): boolean {
  if (a === b) return true;
  if (isList(a) && isList(b)) return a.length === b.length && a.every((item, i) => sameJson(item, b[i]));
  if (!isThing(a) || !isThing(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.prototype.hasOwnProperty.call(b, key) && sameJson(a[key], b[key]))
  );
}

/**
 * Merges `mine` with `theirs`, both made of `base`; undefined stands for what is not there. Merging with an unchanged
 * side is the other side; what is taken out on one side stays out unless the whole was changed on the other.
 */
export function threeWay(base: Some, theirs: Some, mine: Some, path: readonly string[] = []): Merged {
  if (sameJson(theirs, base) || sameJson(theirs, mine)) return { value: mine, clashes: [] };
  if (sameJson(mine, base)) return { value: theirs, clashes: [] };
  if (isThing(mine) && isThing(theirs)) return ofThings(isThing(base) ? base : {}, theirs, mine, path);
  if (isList(mine) && isList(theirs)) {
    const old = isList(base) ? base : [];
    const merged = ofLists(old, theirs, mine, path);
    if (merged) return merged;
  }
  return { value: mine, clashes: [{ path, mine, theirs }] };
}

function ofThings(base: Thing, theirs: Thing, mine: Thing, path: readonly string[]): Merged {
  const value: Record<string, Json> = {};
  const clashes: Clash[] = [];
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const merged = threeWay(own(base, key), own(theirs, key), own(mine, key), [...path, key]);
    if (merged.value !== undefined) value[key] = merged.value;
    clashes.push(...merged.clashes);
  }
  return { value, clashes };
}

export const own = (thing: Thing, key: string): Some =>
  Object.prototype.hasOwnProperty.call(thing, key) ? thing[key] : undefined;

/** What an item of a list is known by: its id, what a belief is of, or else what it says. */
export const nameOf = (item: Json): string => {
  const said = (key: string) => (isThing(item) ? own(item, key) : undefined);
  const [id, param, of] = [said('id'), said('param'), said('of')];
  if (typeof id === 'string') return `#${id}`;
  return typeof param === 'string' && typeof of === 'string' ? `${param}@${of}` : JSON.stringify(item);
};

function named(list: readonly Json[]): ReadonlyMap<string, Json> | null {
  const map = new Map(list.map((item) => [nameOf(item), item]));
  return map.size === list.length ? map : null;
}

/** Lists as sets of things in an order; null where an item stands in one twice, so that nobody can tell which is meant. */
function ofLists(
  base: readonly Json[],
  theirs: readonly Json[],
  mine: readonly Json[],
  path: readonly string[],
): Merged | null {
  const [old, other, own] = [named(base), named(theirs), named(mine)];
  if (!old || !other || !own) return null;
  const clashes: Clash[] = [];
  const kept = new Map<string, Json>();
  for (const [name, item] of own) {
    // Taken out by the other side: it stays out, also where it was changed here.
    if (old.has(name) && !other.has(name)) {
      if (!sameJson(old.get(name), item))
        clashes.push({ path: [...path, name], mine: item, theirs: undefined });
      continue;
    }
    const merged = threeWay(old.get(name), other.get(name) ?? old.get(name), item, [...path, name]);
    if (merged.value !== undefined) kept.set(name, merged.value);
    clashes.push(...merged.clashes);
  }
  const value = [...kept.values()];
  const names = [...kept.keys()];
  let after = -1;
  for (const [name, item] of other) {
    const at = names.indexOf(name);
    if (at >= 0) after = at;
    else if (!old.has(name)) {
      // New on the other side: it comes after what it came after there.
      after += 1;
      names.splice(after, 0, name);
      value.splice(after, 0, item);
    }
  }
  return { value, clashes };
}

/** A document with the value at a place put in; undefined takes it out. */
export function putAt(doc: Some, path: readonly string[], value: Some): Some {
  const [first, ...rest] = path;
  if (first === undefined) return value;
  if (Array.isArray(doc)) {
    const list = doc as readonly Json[];
    const is = (item: Json) => first === nameOf(item);
    const found = list.some(is);
    const one = putAt(list.find(is), rest, value);
    if (!found) return one === undefined ? list : [...list, one];
    return list.flatMap((item) => (is(item) ? (one === undefined ? [] : [one]) : [item]));
  }
  const thing = (doc ?? {}) as Readonly<Record<string, Json>>;
  const { [first]: old, ...others } = thing;
  const one = putAt(old, rest, value);
  return one === undefined ? others : { ...thing, [first]: one };
}
