/**
 * The one small type that every computed value travels in: the value, its likely range and how it came about.
 * A range runs from the 10th to the 90th percentile. Units are those of the core: g, ml, mm, °C, s; K for a
 * difference between two temperatures.
 */

export type Unit =
  | 'g'
  | 'ml'
  | 'mm'
  | '°C'
  | 'K'
  | 's'
  | 'g/ml'
  | 'share'
  | 'times'
  | 'pieces'
  | 'loads'
  | 'eggs'
  | 'cm²'
  | 'W';

/** Where a starting value comes from. `measured here` replaces the others as soon as someone weighs or times it. */
export type Basis = 'typical' | 'geometry' | 'physics' | 'stated' | 'counted' | 'measured here';

/** A root that widens a figure's range, with its share (0–1) of the squared width. */
export interface RangeCause {
  readonly id: string;
  readonly share: number;
}

export interface Why {
  /** One plain sentence. */
  readonly sentence: string;
  /** The sum with `{id}` where another figure of the same plan stands; empty for a starting value. */
  readonly sum: string;
  /** Ids of the figures it was computed from, in the order of the sum. */
  readonly inputs: readonly string[];
}

export interface Figure {
  readonly id: string;
  readonly label: string;
  readonly unit: Unit;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** The bases of all the roots it rests on, without repeats. */
  readonly bases: readonly Basis[];
  /** `input`: a starting value; `derived`: a sum of others; `pinned`: a sum that a weigh-in has replaced. */
  readonly kind: 'input' | 'derived' | 'pinned';
  /** May a person put a value of their own in its place, and within what bounds. */
  readonly replace: { readonly min: number; readonly max: number } | null;
  /** What the plan had computed before the figure was pinned or replaced. */
  readonly expected: { readonly value: number; readonly low: number; readonly high: number } | null;
  readonly why: Why;
}

/** Whether a figure is an estimate with a range worth showing (wider than 0.1 % of the value). */
export function hasRange(figure: Figure): boolean {
  return figure.high - figure.low > Math.abs(figure.value) * 1e-3 + 1e-9;
}

/** The basis in words, as printed by the headless command: `typical + geometry`. */
export function basisText(figure: Figure): string {
  const rest = figure.bases.join(' + ');
  return figure.kind === 'derived' ? `computed from ${rest}` : rest;
}
