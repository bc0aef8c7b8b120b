import { words } from '../../figure';

export const WELL = {
  side: (label: string, tin: string) =>
    words(label, `Measured on the tin "${tin}" in Kitchen; a ruler across rounded corners is a little off.`),
  volume: (says: string) =>
    words(
      'A well to the brim',
      `${says} Fill one with water and weigh it to know better: {100 ml} of it weigh {100 g}.`,
    ),
  loss: (name: string) =>
    `Water that a ${name} piece loses in the oven. Weigh a filled well, then the cake, to know yours.`,
  rise: words(
    'Rise',
    'How many times its own volume the batter takes up as cake: what is left after baking, at the density of cake.',
  ),
  filled: words('Filled', 'The share of the well that the weighed batter takes up before baking.'),
  finish: words(
    'Cake against the well',
    'The volume of the baked cake against the well to its brim: 95 % is flat, 108 % a gentle dome, over 130 % runs over.',
  ),
  layerMass: (what: string) => words(`${what} in a well`, 'It goes in first, as chosen.'),
  layerDensity: (what: string) => words(`${what}, density`, 'As stated for it; 1 is that of water.'),
  free: words('Room above the base layer', 'What lies below takes room from the batter.'),
  finishAim: (name: string, meaning: string) =>
    words(`Finish wanted: ${name}`, `${meaning} Chosen for this run.`),
  portionAim: words(
    'Batter for that finish',
    'What a well needs so that the cake, once risen, ends where it should.',
  ),
  byFinish: (name: string) =>
    words(
      'Batter in a well',
      `What to weigh into each well: the batter for a ${name} cake, to the step of the scale.`,
    ),
  rule: words('Filled by rule of thumb', 'The share of the well that this run fills, as chosen.'),
  byRule: words('Batter in a well', 'What to weigh into each well to fill it to that share.'),
  chosen: (formula: string) =>
    words('Batter in a well, as chosen', `The weight chosen for each well of ${formula}.`),
  byMass: words('Batter in a well', 'What to weigh into each well, as chosen for this run.'),
  belowRim: words(
    'Batter below the rim',
    'How far down from the rim the batter stands in a well of this shape.',
  ),
  aboveRim: words(
    'Cake against the rim',
    'The top of the dome against the rim: a cake larger than its well stands on it as a dome of that volume.',
  ),
} as const;
