import type { ChocolateKind } from '../model/kinds';

/** What can be made of what is there. */
export const BACKWARDS = {
  pops: 'Cake pops',
  'small-pops': 'Small cake pops',
  balls: 'Dipped balls, no stick',
  'bare-balls': 'Rolled balls, no coat',
  moulded: 'Moulded pieces',
} as const;

/** All that the dough makes, with what is to be got for it. */
export const WITH_MORE = (title: string): string => `${title}, with more bought`;

export const MISSING = {
  chocolate: (kind: ChocolateKind): string =>
    kind === 'compound' ? 'compound coating' : `${kind} chocolate`,
  sticks: 'sticks',
  biscuit: 'biscuit',
} as const;
