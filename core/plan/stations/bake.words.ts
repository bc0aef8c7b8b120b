import { words } from '../../figure';
import { BAKE_MODEL_RESIDUALS } from '../../process/bakeModel.table';
import {
  COLOUR_SURROGATE,
  SHEET_COLOUR_SURROGATE,
  SHEET_SURROGATE,
  SURROGATE,
} from '../../process/bakeSurrogate.table';

const RESIDUALS = BAKE_MODEL_RESIDUALS.map(({ off }) => Math.abs(off)).sort((a, b) => a - b);
const percent = (share: number) => `${Math.max(1, Math.round(share * 100))} %`;
const FIT = `The model is fitted to typical times: within ${percent(RESIDUALS[Math.floor(RESIDUALS.length / 2)] ?? 0)} of half of them, ${percent(RESIDUALS.at(-1) ?? 0)} at worst`;
/** The later of the two tests, named. */
const both = (colour: boolean) =>
  words(
    'Baking time',
    colour
      ? 'It waits for its colour: the middle is done before the top is pale gold. The later of the two tests decides.'
      : 'It waits for its middle, which is done after the top is pale gold. The later of the two tests decides.',
  );

export const BAKE = {
  time: words(
    'Baking time',
    `Until the coldest place is done; the colour of this batter tells little. Heat is conducted into a piece of this shape, vapour carries it inwards, and water boils off. ${FIT}; the quick form of it used here within ${percent(SURROGATE.rms)} of the model, ${percent(SURROGATE.worst)} at worst.`,
  ),
  both,
  inside: words(
    'Done inside',
    `Until the coldest place is done. Heat is conducted into a piece of this shape, vapour carries it inwards, and water boils off. ${FIT}; the quick form of it used here within ${percent(SURROGATE.rms)} of the model, ${percent(SURROGATE.worst)} at worst.`,
  ),
  colour: words(
    'Pale gold',
    `Until the top has its colour: it browns with the heat of its own surface once that is dry. ${FIT}; the quick form of it used here within ${percent(COLOUR_SURROGATE.rms)} of the model.`,
  ),
  cake: (half: boolean) =>
    words(
      half ? 'One half, baked' : 'One cake, baked',
      'What is left of a well of batter after the oven. Weigh one and the plan takes it.',
    ),
  loss: words(
    'Lost in the oven',
    'What a piece loses until its middle is done, and at the same pace while it waits for its colour.',
  ),
  used: words('Batter in wells', 'Batter that goes into the oven.'),
  left: words('Batter left over', 'What remains in the bowl once every well has its portion.'),
  lost: words('Lost as steam', 'Water that leaves in the oven.'),
  cakes: (many: string) => words('Cakes in all', `All ${many.toLowerCase()} together, baked.`),
  untilFrosted: 'Cooling until it can be frosted',
} as const;

export const LOADS = {
  ready: words('Batter to portion', 'What is left to fill wells with.'),
  allows: words('The batter allows', 'As many full wells as the batter fills.'),
  wells: (tin: string) => words('Wells in a tin', `As many as "${tin}" has.`),
  atOnce: (owned: number, oven: string, holds: number) =>
    words('Tins in the oven at once', `${owned} owned; "${oven}" holds ${holds}.`),
  perLoad: words('Wells in one load', 'Wells that go into the oven together.'),
  spare: words('Spare halves', 'Baked beyond the pairs, for those that break, as chosen.'),
  halvesWanted: words('Halves wanted', 'Two to a piece, and the spares.'),
  halvesMade: words('Halves baked', 'The pairs, and as many spares as the batter fills.'),
  count: words('Loads', 'As few as the wells allow, evened out so that all bake alike.'),
  allowed: (most: number | null) =>
    most === null
      ? words(
          'Loads that the order needs',
          'No bound was set, so as many loads as the order needs. Set one in Pieces.',
        )
      : words('Loads at most', 'The most loads this run may take, as chosen.'),
  tins: words('The tins allow', 'Wells in one load, times the loads.'),
  free: words(
    'Left for loads in the oven',
    'From now until it must be ready, less weighing, mixing and filling. Cooling is not counted: they would be warm.',
  ),
  minutes: words(
    'One load and its turnaround',
    'The longer end of the baking time, and the door open between two loads.',
  ),
  clock: words('The clock allows', 'Whole loads that still fit before it must be ready.'),
} as const;

export const SHEET = {
  side: (label: string, sheet: string) => words(label, `Measured inside "${sheet}", as kept in Kitchen.`),
  loss: 'Water that a sheet loses in the oven. Weigh the full sheet before and after to know yours.',
  most: words('Batter that a sheet takes', 'So that the cake ends just under the rim.'),
  count: words('Sheets', 'As few as hold the batter.'),
  mass: words('Batter in a sheet', 'The same in each, so that all bake alike.'),
  time: words(
    'Baking time of a sheet',
    `Until the middle is done; the colour of this batter tells little. A sheet is reckoned as the round tin of its area, so corners brown sooner than it says. ${FIT}; the quick form of the model within ${percent(SHEET_SURROGATE.worst)} of it at worst.`,
  ),
  both,
  inside: words(
    'Done in the middle',
    `Until the middle of the sheet is done. It is reckoned as the round tin of its area. ${FIT}; the quick form of the model within ${percent(SHEET_SURROGATE.worst)} of it at worst.`,
  ),
  colour: words(
    'Pale gold',
    `Until the top has its colour; the corners have theirs sooner. ${FIT}; the quick form of the model within ${percent(SHEET_COLOUR_SURROGATE.rms)} of it.`,
  ),
  atOnce: (owned: number, oven: string, holds: number) =>
    words('Sheets in the oven at once', `${owned} owned; "${oven}" holds ${holds}.`),
  loads: words('Loads', 'As few as the oven allows.'),
} as const;
