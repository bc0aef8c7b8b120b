import { MEND } from './frost.table';

export type Mend =
  | { readonly kind: 'chill'; readonly minutes: number }
  | { readonly kind: 'sugar' | 'liquid'; readonly stepG: number };

/** What to do about a frosting: a runny one in a warm kitchen is chilled before anything goes in. */
export function mendFrosting(fault: 'runny' | 'stiff', massG: number, roomC: number): Mend {
  if (fault === 'stiff') return { kind: 'liquid', stepG: massG * MEND.liquidStep };
  return roomC > MEND.warmC
    ? { kind: 'chill', minutes: MEND.chillMin }
    : { kind: 'sugar', stepG: massG * MEND.sugarStep };
}
