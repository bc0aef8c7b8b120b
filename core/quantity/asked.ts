import { cleanLine } from './reading/clean';
import { nameIn } from './reading/name';
import { thingsOf } from './reading/things';
import { cupGOf, type OwnThing } from './own';
import type { Measures } from './units.table';

/** What has to be known of a thing for its line to be weighed: the grams of one of these. */
export interface AskedUnit {
  /** The thing, as it is written. */
  readonly name: string;
  readonly of: 'volume' | 'piece' | 'pack';
  /** The measure or the pack by its name; empty for pieces. */
  readonly unit: string;
  /** ml of the measure; 0 for pieces and packs. */
  readonly ml: number;
}

/** The measure of a line's first thing, for a line that could not be weighed by it; null where it has none to ask about. */
export function unitAsked(raw: string, measures: Measures): AskedUnit | null {
  const [thing] = thingsOf(cleanLine(raw)).things;
  const amount = thing?.sums[0]?.[0]?.amount;
  if (!thing || !amount) return null;
  const name = nameIn(thing.name);
  const { unit } = amount;
  if (!unit) return { name, of: 'piece', unit: '', ml: 0 };
  if (unit.kind === 'pack') return { name, of: 'pack', unit: unit.key, ml: 0 };
  return unit.kind === 'volume' ? { name, of: 'volume', unit: unit.key, ml: unit.size[measures] } : null;
}

/** The thing with the grams of what was asked about, as the kitchen keeps it. */
export function toldOf(asked: AskedUnit, massG: number, like: string | null, before?: OwnThing): OwnThing {
  const known: OwnThing = { ...before, name: asked.name, like: like ?? before?.like ?? null };
  switch (asked.of) {
    case 'volume':
      return { ...known, cupG: cupGOf(massG, asked.ml) };
    case 'piece':
      return { ...known, pieceG: massG };
    case 'pack':
      return { ...known, packG: { ...before?.packG, [asked.unit]: massG } };
  }
}

/** The ways in which a line gives the amount of its first thing, each as it is written. */
export function waysIn(raw: string): readonly string[] {
  const [thing] = thingsOf(cleanLine(raw)).things;
  return (thing?.sums ?? []).map((sum) => sum.map(({ amount }) => amount.text).join(' + '));
}
