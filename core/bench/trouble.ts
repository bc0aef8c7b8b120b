import type { Line } from '../model/documents';
import type { LineAction } from '../line';
import { RESCUE } from './rescue.words';

/** What went wrong, with what somebody weighed or counted of it. */
export type Trouble =
  | {
      readonly kind: 'stuck' | 'broken';
      readonly pieces: number;
      readonly crumbG: number;
      readonly vesselId: string;
    }
  | { readonly kind: 'batter short' | 'batter over'; readonly bowlG: number }
  | { readonly kind: 'binder overdone'; readonly addedG: number; readonly mend: 'crumb' | 'biscuit' }
  /** Not all came out well: so many are lost, and they are baked again or done without. */
  | { readonly kind: 'some lost'; readonly pieces: number; readonly then: 'bake again' | 'do without' }
  | { readonly kind: 'binder short'; readonly addedG: number }
  | { readonly kind: 'coat thick' | 'coat seized' | 'coat cracked' | 'coat dull' }
  | { readonly kind: 'coat short'; readonly leftG: number }
  | {
      readonly kind: 'frosting runny' | 'frosting stiff' | 'frosting curdled';
      readonly bowlG: number;
      readonly roomC: number;
    }
  | { readonly kind: 'frosting short'; readonly leftG: number }
  | { readonly kind: 'domed'; readonly trimmedG: number }
  | { readonly kind: 'sunk' | 'overflowed' }
  | { readonly kind: 'raw inside'; readonly load: number }
  | { readonly kind: 'shell cracked' | 'lost in the mould'; readonly pieces: number };

export interface RescueSum {
  readonly what: string;
  readonly massG: number;
}

/** The way out of a trouble: what happens to the line, lines added, what to do, and its sums. */
export interface Out {
  readonly actions: readonly LineAction[];
  readonly added?: readonly Line[];
  readonly words: readonly string[];
  readonly sums: readonly RescueSum[];
}

/** Something to do by hand that changes nothing of the plan. */
export const byHand = (words: string, ...sums: readonly RescueSum[]): Out => ({
  actions: [],
  words: [words],
  sums,
});

export const notHere = (what: string): Out => byHand(RESCUE.notHere(what));
