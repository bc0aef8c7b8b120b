import type { Start } from './batter.table';

const minutes = (value: number, spread: number): Start => ({ value, spread, basis: 'typical' });

/** Times for balls and filled pieces to firm, minutes, for the mass named; they grow with mass^(2/3). Basis: typical. */
export const SETTING = {
  'dough ball firm, fridge': { massG: 25, time: minutes(25, 5) },
  'dough ball firm, freezer': { massG: 25, time: minutes(12.5, 2.5) },
  'dough ball frozen through': { massG: 25, time: minutes(120, 25) },
  'filled and backed, freezer': { massG: 55, time: minutes(12.5, 2.5) },
  'candy topper, cool room': { massG: 20, time: minutes(75, 15) },
  'candy topper, fridge': { massG: 20, time: minutes(15, 4) },
} as const;
export type SettingStage = keyof typeof SETTING;

/** Times for coats and shells to set, minutes, for the thickness named, mm; twice as thick takes twice as long. Basis: typical. */
export const COAT_SETTING = {
  'coat, room': { mm: 1.2, time: minutes(11.5, 3.5) },
  'coat, fridge': { mm: 1.2, time: minutes(7.5, 2.5) },
  'coat on a frozen piece': { mm: 1.8, time: minutes(1, 0.4) },
  'shell coat in a cold cavity': { mm: 1.2, time: minutes(4, 1) },
} as const;
export type CoatSettingStage = keyof typeof COAT_SETTING;

/** A dab of coat holds the stick, whatever the ball: minutes in the cold. Basis: typical. */
export const ANCHOR_SETTING: Start = minutes(7.5, 2.5);

/** Schools of dipping: what the piece is like when it meets the coat. */
export const DIP_SCHOOLS = {
  'fridge-firm': {
    meaning: 'An even coat that seldom cracks. It takes some minutes to set.',
    watch: 'Dip few at a time: a piece that has warmed sheds its coat, or slides off its stick.',
  },
  frozen: {
    meaning: 'Holds on the stick and sets at once, with a thicker coat.',
    watch: 'Wipe frost off first. It sweats, and may crack as it warms.',
  },
} as const;

/** How the place changes a cooling constant. Basis: typical. */
export const PLACE_FACTOR = { room: 1, fridge: 0.75, freezer: 0.6 } as const;
