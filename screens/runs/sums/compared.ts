import type { Unit } from '../../../core/figure';
import { join, show, type NumberStyle } from '../../../core/quantity';
import type { ComparedRow } from '../../../ui/compared';

/** A figure as it is and as it would be. */
export interface Difference {
  readonly label: string;
  readonly unit: Unit;
  readonly before: number;
  readonly after: number;
}

/** How much one matters against another: pieces before all, then what changes most against itself. */
const weight = ({ unit, before, after }: Difference): number =>
  unit === 'pieces' || unit === 'loads'
    ? 1e6 + Math.abs(after - before)
    : Math.abs(after - before) / Math.max(Math.abs(before), Math.abs(after), 1e-9);

/** What differs on the kitchen's own scale and clock, what matters most first. */
export function comparedRows(changes: readonly Difference[], style: NumberStyle): ComparedRow[] {
  return [...changes]
    .sort((a, b) => weight(b) - weight(a))
    .flatMap(({ label, unit, before, after }) => {
      const [now, then] = [before, after].map((value) => join(show(value, unit, style))) as [string, string];
      if (now === then) return [];
      const share = before === 0 ? null : Math.round((after / before - 1) * 100);
      const counted = unit === 'pieces' || unit === 'loads';
      const off = Math.round(after - before);
      const by = counted
        ? `${off > 0 ? '+' : '−'}${Math.abs(off)}`
        : share === null
          ? ''
          : `${share >= 0 ? '+' : '−'}${Math.abs(share)} %`;
      return [{ label, now, then, by }];
    });
}
