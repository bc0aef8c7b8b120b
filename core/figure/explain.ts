import type { Figure } from './figure';
import type { More } from './cell';
import type { Figures, LaidOut } from './figures';
import { evaluate, gatherLeaves, type Term } from './term';
import { writeSum, type Writer } from './write';

/** How the rounding of a sum is said after it. */
export function roundingWords({ whole, decide, said }: More): string {
  if (said !== undefined) return said === '' ? '' : `, ${said}`;
  if (whole === 'floor') return ', whole ones';
  if (whole === 'ceil') return ', rounded up';
  if (!decide) return '';
  if (decide.said !== undefined) return decide.said === '' ? '' : `, ${decide.said}`;
  return decide.step === 0 ? '' : decide.how === 'up' ? ', rounded up' : ', rounded';
}

/** A sum with its rounding. */
export const sumText = (laid: LaidOut, writer: Writer): string =>
  writeSum(laid.sum, writer) + roundingWords(laid.more);

/**
 * What a sum comes to with other values in the place of its figures, before it is rounded: to see whether numbers as they
 * are shown still multiply to the result that is shown.
 */
export function resultWith(laid: LaidOut, valueOf: (id: string) => number): number {
  const leaves: Term[] = [];
  const sum = laid.sum as unknown as Term;
  gatherLeaves(sum, leaves);
  const were = leaves.map(({ at }) => at);
  leaves.forEach((leaf, i) => {
    leaf.at = valueOf(laid.inputs[i] as string);
  });
  const result = evaluate(sum);
  leaves.forEach((leaf, i) => {
    leaf.at = were[i] as number;
  });
  return result;
}

/** What explanations are asked of: a plan, or what lines share. */
export type Explained = Pick<Figures, 'causes' | 'laidOut'> & {
  readonly figure: (id: string) => Figure;
  readonly has: (id: string) => boolean;
};
