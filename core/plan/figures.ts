import { Ledger, type Basis, type Decision, type DeriveSpec, type Unit } from '../figure';
import type { Start } from '../process/batter.table';

/** Bounds of a value that a person may put in a figure's place. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
}

/** The step of the scale, g. */
export function toScale(stepG: number): Decision {
  return { step: stepG, how: 'nearest', least: stepG };
}

const named = new Map<string, readonly string[]>();
const MOST_SUMS = 5000;

/**
 * The ids that stand in a sum, each once, in the order in which they first stand there. Braces with a space in them hold a
 * measure, `{25 g}`: so it is told in the person's unit.
 */
export function idsIn(sum: string): readonly string[] {
  const known = named.get(sum);
  if (known) return known;
  const ids = [...new Set(Array.from(sum.matchAll(/\{([^} ]+)\}/g), (match) => match[1] ?? ''))];
  if (named.size >= MOST_SUMS) named.clear();
  named.set(sum, ids);
  return ids;
}

type More = Pick<DeriveSpec, 'whole' | 'decide' | 'pin' | 'adds'>;
const PLAIN: More = {};
const ADDS: More = { adds: true };

function added(values: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < values.length; i += 1) sum += values[i] as number;
  return sum;
}

function least(values: readonly number[]): number {
  let best = Infinity;
  for (let i = 0; i < values.length; i += 1) best = Math.min(best, values[i] as number);
  return best;
}

/** The ledger of a plan, with short ways to add to it. */
export class Figures extends Ledger {
  /** Adds a starting value from a table. */
  start(
    id: string,
    label: string,
    unit: Unit,
    { value, spread, basis }: Start,
    sentence: string,
    replace?: Bounds,
  ): number {
    return this.root(id, label, unit, value, spread, basis, sentence, replace);
  }

  /** Adds a value that holds exactly: counted, chosen, or a definition. */
  given(
    id: string,
    label: string,
    unit: Unit,
    value: number,
    basis: Basis,
    sentence: string,
    replace?: Bounds,
  ): number {
    return this.root(id, label, unit, value, 0, basis, sentence, replace);
  }

  /**
   * Adds a sum of other figures. Its inputs are the `{id}`s of the sum as written, so that what is said and what is
   * reckoned name the same things; a test lays every sum out anew and checks that the numbers agree as well.
   */
  calc(
    id: string,
    label: string,
    unit: Unit,
    sum: string,
    f: (...values: number[]) => number,
    sentence: string,
    more: More = PLAIN,
  ): number {
    return this.sumCell(id, label, unit, idsIn(sum), f, undefined, sentence, sum, more);
  }

  /** Adds a sum of many figures, reckoned from them as a list in the order of `from`. */
  listed(
    id: string,
    label: string,
    unit: Unit,
    from: readonly string[],
    asList: (values: readonly number[]) => number,
    sentence: string,
    sum: string,
    more: More = PLAIN,
  ): number {
    return this.sumCell(id, label, unit, from, undefined, asList, sentence, sum, more);
  }

  /** Adds up figures of one unit. */
  total(
    id: string,
    label: string,
    unit: Unit,
    from: readonly string[],
    sentence: string,
    pin?: Bounds,
  ): number {
    return this.listed(
      id,
      label,
      unit,
      from,
      added,
      sentence,
      from.map((item) => `{${item}}`).join(' + '),
      pin ? { pin, adds: true } : ADDS,
    );
  }

  /** The smallest of several figures. */
  smallest(
    id: string,
    label: string,
    unit: Unit,
    from: readonly string[],
    sentence: string,
    whole?: 'floor',
  ): number {
    const ids = from.map((item) => `{${item}}`);
    return this.listed(
      id,
      label,
      unit,
      from,
      least,
      sentence,
      ids.length === 1 ? (ids[0] ?? '') : `the smallest of ${ids.slice(0, -1).join(', ')} and ${ids.at(-1)}`,
      whole ? { whole } : PLAIN,
    );
  }
}

/** A mass inside a sentence, for the reader's own units: `{54 g}`. */
export const gramsText = (massG: number): string => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;
export const percentText = (share: number): string => `${Number((share * 100).toPrecision(2))} %`;
export const minutesText = (seconds: number): string => String(Math.round(seconds / 60));
