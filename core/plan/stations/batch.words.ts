import { words } from '../../figure';
import { plural } from '../../quantity';
import type { EggsSettled } from '../../formula/wholeEggs';

const many = (one: string) => {
  const all = plural(one, 2);
  return all.charAt(0).toUpperCase() + all.slice(1);
};

export const BATCH = {
  formula: (name: string) =>
    words(
      `One batch of ${name} as written`,
      'All lines of the formula that could be read, added up. Cups and spoons widen it; weighed lines hardly.',
    ),
  others: words(
    'For other lines of this run',
    'The same formula is asked for elsewhere in this run: it is mixed once, and eggs are rounded once.',
  ),
  batches: words('Times the formula as written', 'As chosen.'),
  asWritten: words('Batter as written', 'The formula, as many times as it is made.'),
  evenness: words(
    'Evenness of the portions',
    'Portions by scoop or spoon run a little heavy or light; weighed ones less.',
  ),
  comes: words(
    'As many as come of it',
    'The batter that the bowl gives up, in portions of this size. Heavy portions make fewer.',
  ),
  exact: words('Scale, exactly', 'How many times the formula as written this run needs.'),
  scale: (how: EggsSettled['how'] | null, one: string) =>
    words(
      'Scale',
      how === null
        ? 'The formula has nothing that must stay whole, so it is scaled exactly.'
        : WHOLES[how](one),
    ),
  inFormula: (one: string, line: string) => words(`${many(one)} in the formula`, `From the line "${line}".`),
  wholesExact: (one: string) =>
    words(`${many(one)}, exactly`, `${many(one)} at the exact scale, before they are kept whole.`),
  wholesUsed: (one: string, how: EggsSettled['how']) => words(`${many(one)} to use`, WHOLES[how](one)),
  give: words(
    'Left of each portion',
    'Whole things below what the exact scale asks for: each portion gives up this little.',
  ),
  doughPortion: words(
    'Dough in a piece, as the eggs have it',
    'The dough that there is, shared out to all that are wanted: each gives up what an egg fewer takes off.',
  ),
  portion: words(
    'Batter a well, as the eggs have it',
    'The portion, less what an egg fewer takes off all of them.',
  ),
  eggSentence: 'Usual for the size written. Weigh a few of yours without the shell to know better.',
  partWritten: words('A part, as written', 'What one batch takes of another formula, as its writer says.'),
  part: words('Of another formula', 'Scaled with the rest; the run makes it once for all that need it.'),
  mixed: (label: string) =>
    words(
      label,
      'All that is weighed into the bowl. Weigh the full bowl, less the empty one, and the plan goes on from there.',
    ),
  own: words(
    'This line’s part of the bowl',
    'The bowl is shared out by what each line needs. Weigh the part and the plan takes it.',
  ),
  howMany: (name: string) => words(`${name}, how many`, 'Kept whole.'),
  whole: (name: string) => words(name, 'Whole ones, at the mass of one without its shell.'),
  written: (name: string, sentence: string) => words(`${name}, as written`, sentence),
  scaled: (name: string) =>
    words(
      name,
      'The formula as written, scaled for this run. Weigh it out and it is this, however a cup would have been filled.',
    ),
  bowlLossSentence: 'About 2 % where the bowl is scraped well, 5 % where it is not.',
  inTheBowl: 'Batter in the bowl',
  inTheBase: 'Base in the bowl, before it is parted',
  baseShare: (name: string) =>
    words('Of it the base', `What "${name}" has of this formula: all but the lines that are left out there.`),
  baseNeeded: words('Base needed', 'Mixed once with the pieces that are made without, and parted.'),
  extraScale: words('Scale of what is stirred in', 'What goes into this part of the base only.'),
  lost: words('Left on bowl and spoon', 'What no spatula gets out.'),
  needed: (many: string) =>
    words('Batter needed', `Enough for all ${many} wanted, and for what the bowl keeps.`),
} as const;

const WHOLES: Readonly<Record<EggsSettled['how'], (one: string) => string>> = {
  even: (one) => `The scale comes out at whole ${plural(one, 2)}, near enough.`,
  down: (one) =>
    `To the whole ${one} below, and everything else with it: each portion loses less than anybody notices, and no ${one} is broken into for a spoonful.`,
  up: (one) =>
    `To the whole ${one} above, and everything else with it, so the formula keeps its proportions.`,
  nearest: (one) => `${many(one)} go to the nearest whole one and the rest keeps to the exact scale.`,
  weighed: (one) =>
    `${many(one)} are ${/^egg/.test(one) ? 'beaten and ' : ''}weighed, so nothing is rounded: a whole one more or fewer would cost too much.`,
};

export const DENSITY = {
  batter: (method: string) =>
    `Usual for a ${method} batter. To measure yours: weigh a level cup of batter, then the same cup of water, and divide.`,
  cake: (method: string) => `Usual for the cake of a ${method} batter, crust and all.`,
} as const;
