import type { Fault } from '../quantity';
import type { RunContext } from './lookup';

/** A latest safe start that has gone by. */
export function lateFault({ asOfMin }: RunContext, startMin: number): Fault[] {
  if (asOfMin === null || startMin >= asOfMin) return [];
  return [
    {
      fault: `The latest safe start was ${Math.round(asOfMin - startMin)} min ago.`,
      mend: 'Move the hour it must be ready, make fewer, or leave out softening by hand: cut butter small, warm eggs in water.',
    },
  ];
}
