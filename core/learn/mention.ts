import type { Evidence } from '../model/evidence';
import { SEEING, type Seeing } from './learn.table';

/** A parameter of a thing, as an outcome mentions it. */
export type Mention = Pick<Evidence, 'param' | 'of' | 'start'>;

/** Whether it can be read at all: a file may hold anything, and of a factor of nothing there is no logarithm. */
export function canTell({ param, start }: Mention): boolean {
  const seeing = SEEING[param];
  return seeing !== undefined && start.spread > LEAST && (seeing.on === 'plain' || start.value > LEAST);
}
const LEAST = 1e-6;

/** What an outcome belongs to by itself, and what it shares that with. */
export const thingOf = ({ of }: Pick<Evidence, 'of'>): string => of[0] ?? 'kitchen';
/** The widest that is not the whole kitchen: a tin with two batters in turn is one thing of its size, not one of each. */
export const kindOf = ({ of }: Pick<Evidence, 'of'>): string =>
  of.length > 2 ? (of.filter((one) => one !== 'kitchen').at(-1) ?? 'kitchen') : (of[1] ?? of[0] ?? 'kitchen');
export const keyOf = (one: Pick<Evidence, 'param' | 'of'>): string => `${one.param}@${thingOf(one)}`;

/**
 * So many of a thing's last outcomes say all that there is to say of it: each more moves it by less than a hundredth of
 * its noise, and what is older has faded.
 */
const LAST = 60;
/** The last outcomes of every thing, in order, and how many came before them, by thing. */
export function lastOf(all: readonly Evidence[]): {
  readonly some: readonly Evidence[];
  readonly before: ReadonlyMap<string, number>;
} {
  const counts = new Map<string, number>();
  const some: Evidence[] = [];
  for (let i = all.length - 1; i >= 0; i -= 1) {
    const one = all[i];
    if (!one) continue;
    const n = (counts.get(keyOf(one)) ?? 0) + 1;
    counts.set(keyOf(one), n);
    if (n <= LAST) some.push(one);
  }
  return {
    some: some.reverse(),
    before: new Map([...counts].map(([key, n]) => [key, Math.max(0, n - LAST)])),
  };
}

/** All that an outcome is about: its parameter, and what else its figure rests on. */
export const mentionsOf = (one: Evidence): readonly Mention[] => [one, ...(one.beside ?? []).filter(canTell)];

/** The spread of a start on the scale on which it is learned. */
export const spreadOf = ({ value, spread }: Evidence['start'], { on }: Seeing): number =>
  on === 'log' ? spread / value : spread;

/** A value as its difference from the start, on the scale on which it is learned. */
export const scaled = (value: number, start: Evidence['start'], { on }: Seeing): number =>
  on === 'log' ? Math.log(Math.max(1e-9, value) / start.value) : value - start.value;

/** How far an outcome lies off what was expected, in its own standard deviations; 0 where a look only bounds it from the far side. */
export function offOf(
  [low, high]: readonly [number | null, number | null],
  mean: number,
  noise: number,
): number {
  if (low !== null && high !== null)
    return ((low + high) / 2 - mean) / Math.hypot(noise, (high - low) / Math.sqrt(12));
  if (low !== null && mean < low) return (low - mean) / noise;
  if (high !== null && mean > high) return (high - mean) / noise;
  return 0;
}
