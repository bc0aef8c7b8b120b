import type { Basis, Decision, DeriveSpec, Ledger, Unit } from '../figure';
import type { Start } from '../process/batter.table';

/** Bounds of a value that a person may put in a figure's place. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
}

/** Adds a starting value from a table. */
export function start(
  ledger: Ledger,
  id: string,
  label: string,
  unit: Unit,
  from: Start,
  sentence: string,
  replace?: Bounds,
): number {
  return ledger.input({ id, label, unit, ...from, sentence, ...(replace ? { replace } : {}) });
}

/** Adds a value that holds exactly: counted, chosen, or a definition. */
export function given(
  ledger: Ledger,
  id: string,
  label: string,
  unit: Unit,
  value: number,
  basis: Basis,
  sentence: string,
  replace?: Bounds,
): number {
  return ledger.input({
    id,
    label,
    unit,
    value,
    spread: 0,
    basis,
    sentence,
    ...(replace ? { replace } : {}),
  });
}

/** The step of the scale, g. */
export function toScale(stepG: number): Decision {
  return { step: stepG, how: 'nearest', least: stepG };
}

const named = new Map<string, readonly string[]>();
const MOST_SUMS = 5000;

/** The ids that stand in a sum, each once, in the order in which they first stand there. */
export function idsIn(sum: string): readonly string[] {
  const known = named.get(sum);
  if (known) return known;
  const ids = [...new Set(Array.from(sum.matchAll(/\{([^}]+)\}/g), (match) => match[1] ?? ''))];
  if (named.size >= MOST_SUMS) named.clear();
  named.set(sum, ids);
  return ids;
}

/**
 * Adds a sum of other figures. Its inputs are the `{id}`s of the sum as written, so that what is said and what is
 * reckoned name the same things; a test lays every sum out anew and checks that the numbers agree as well.
 */
export function calc(
  ledger: Ledger,
  id: string,
  label: string,
  unit: Unit,
  sum: string,
  f: (...values: number[]) => number,
  sentence: string,
  more: Pick<DeriveSpec, 'whole' | 'decide' | 'pin'> = {},
): number {
  return ledger.derive({ id, label, unit, from: idsIn(sum), f, sentence, sum, ...more });
}

/** Adds up figures of one unit. */
export function total(
  ledger: Ledger,
  id: string,
  label: string,
  unit: Unit,
  from: readonly string[],
  sentence: string,
  pin?: Bounds,
): number {
  return ledger.derive({
    id,
    label,
    unit,
    from,
    asList: (values) => values.reduce((sum, value) => sum + value, 0),
    sentence,
    sum: from.map((item) => `{${item}}`).join(' + '),
    ...(pin ? { pin } : {}),
  });
}

/** The smallest of several figures. */
export function smallest(
  ledger: Ledger,
  id: string,
  label: string,
  unit: Unit,
  from: readonly string[],
  sentence: string,
  whole?: 'floor',
): number {
  const ids = from.map((item) => `{${item}}`);
  return ledger.derive({
    id,
    label,
    unit,
    from,
    asList: (values) => Math.min(...values),
    sentence,
    sum:
      ids.length === 1 ? (ids[0] ?? '') : `the smallest of ${ids.slice(0, -1).join(', ')} and ${ids.at(-1)}`,
    ...(whole ? { whole } : {}),
  });
}

/** A mass inside a sentence, for the reader's own units: `{54 g}`. */
export const gramsText = (massG: number): string => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;
export const percentText = (share: number): string => `${Number((share * 100).toPrecision(2))} %`;
export const minutesText = (seconds: number): string => String(Math.round(seconds / 60));
