/**
 * The one small type that every computed value travels in: the value, its likely range and how it came about.
 * A range runs from the 10th to the 90th percentile. Units are those of the core: g, ml, mm, °C, s; K for a
 * difference between two temperatures.
 */
import type { Unit } from './unit';

/** Where a starting value comes from. `measured here` replaces the others as soon as someone weighs or times it. */
export const BASES = ['typical', 'geometry', 'physics', 'stated', 'counted', 'measured here'] as const;
export type Basis = (typeof BASES)[number];

/** A starting value with its spread: half the width from the 10th to the 90th percentile. */
export interface Start {
  readonly value: number;
  readonly spread: number;
  readonly basis: Basis;
}

/** A root that widens a figure's range, with its share (0–1) of the squared width. */
export interface RangeCause {
  readonly id: string;
  readonly share: number;
}

/** Bounds of a value that a person may put in a figure's place. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
}

/** What a figure is called, and one plain sentence that says how it came about. */
export interface Words {
  readonly label: string;
  readonly sentence: string;
}
export const words = (label: string, sentence: string): Words => ({ label, sentence });

/** Something that a kitchen can measure or learn, as far as a figure tells of it. */
export interface Known {
  readonly param: string;
  /** What it belongs to, the most specific first: `oven:oven-main`, `kitchen`. */
  readonly of: readonly string[];
  /** Whether it makes sense to keep it for the next run. */
  readonly keep: boolean;
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
  readonly replace: Bounds | null;
  /** The parameter that it is; null for a sum, and for what is chosen or counted. */
  readonly known: Known | null;
  /** What the plan had computed before the figure was pinned or replaced. */
  readonly expected: { readonly value: number; readonly low: number; readonly high: number } | null;
  readonly sentence: string;
  /** Ids of the figures it was computed from, in the order of the sum. */
  readonly inputs: readonly string[];
}

/** Whether a figure is an estimate with a range worth showing (wider than 0.1 % of the value). */
export function hasRange(figure: Pick<Figure, 'value' | 'low' | 'high'>): boolean {
  return figure.high - figure.low > Math.abs(figure.value) * 1e-3 + 1e-9;
}

/** The basis in words, as printed by the headless command: `typical + geometry`. */
export function basisText(figure: Figure): string {
  const rest = figure.bases.join(' + ');
  return figure.kind === 'derived' ? `computed from ${rest}` : rest;
}
