import type { Role } from '../quantity';

/**
 * What a height asks of a batter. Basis: usual guidance, checked against published high-altitude tables, which differ
 * by half among themselves; a first bake at home decides.
 */
export const ALTITUDE = {
  /** Below this nothing needs changing, m. */
  fromM: 900,
  /** The shares below are for each so many metres above that. */
  stepM: 500,
  /** The model of what a height does was not looked at beyond this. */
  toM: 3000,
  /** K hotter at the lower end, and at so many metres. */
  oven: { leastK: 5, mostK: 8, atM: 1900 },
  /** A formula written for a height fits kitchens so near to it, m. */
  nearM: 300,
} as const;

/** By how much of itself each step changes what raises, wets and sweetens. */
export const ALTITUDE_CHANGES: readonly {
  readonly roles: readonly Role[];
  readonly share: number;
  readonly why: string;
}[] = [
  { roles: ['powder', 'bicarbonate'], share: -0.1, why: 'Bubbles grow larger in thinner air.' },
  { roles: ['liquid'], share: 0.03, why: 'Water leaves sooner.' },
  {
    roles: ['sugar'],
    share: -0.02,
    why: 'Sugar grows denser as water leaves, and keeps the crumb from setting.',
  },
];
