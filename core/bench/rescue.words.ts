import { gramsText as grams } from '../plan';
import { LOOK_EVERY_S } from '../process/oven.table';

/** What to do in a trouble: sentences with measures in braces, for `inStyle`. */
export const RESCUE = {
  intoPops: (crumbG: number, count: number, popG: number, firstG: number, needG: number) =>
    `${grams(crumbG)} of crumb makes ${count} pops of ${grams(popG)}: ${grams(firstG)} of buttercream first, about ${grams(needG)} in all.`,
  fewer: (pieces: number) => `${pieces} fewer of what was planned.`,
  batterShort: (gapG: number) =>
    `${grams(gapG)} less than planned. Fill fewer wells, fill all a little lighter, or mix the rest.`,
  batterOver: (gapG: number) => `${grams(gapG)} more than planned. Fill more wells, or keep it for a mug.`,
  binderMay: 'That is no more than it may take. Chill it for half an hour and squeeze again.',
  binderOver: (stepG: number, mostG: number, crumb: string) =>
    `Half an hour in the fridge first: most soft doughs only want that. If it still smears, knead in ${crumb} by the spoonful, ${grams(stepG)} at a time, ${grams(mostG)} at most, and squeeze after each. Weigh the dough then, and the plan follows.`,
  someLeft: (left: number, made: number) => `${left} of ${made} go on.`,
  without: (lost: number) => `The plan goes on with ${lost} fewer: toppings, coat and packing follow.`,
  again: (lost: number) =>
    `${lost} are baked again as a line of their own, with their own bowl: mix no more than that takes.`,
  binderIn: (addedG: number) =>
    `${grams(addedG)} are in. Add a teaspoon, {5 g}, squeeze, and stop when it holds.`,
  fatEnough: 'It holds as much fat as it should. Warm it gently, a burst at a time, and never with water.',
  thin: (fatG: number) =>
    `Warm it first. Then stir in ${grams(fatG)} of coconut oil or cocoa butter, never water.`,
  seized: (creamG: number, potG: number) =>
    `Water got in: it will not coat again. With ${grams(creamG)} of warm cream it is a ganache that binds or fills. Melt ${grams(potG)} anew, in a dry bowl.`,
  cracked:
    'The piece was colder than its coat and grew as it warmed. Leave the rest out for a few minutes before they are dipped; a second thin dip or a drizzle covers the cracks.',
  dull: 'Cocoa butter has set in its own way: safe, only dull. Dust or drizzle over it. Temper the next pot, or use compound; keep what is dipped dry and under {20 °C}.',
  coatShort:
    'A narrower vessel leaves less in the pool; tilt it and spoon for the last ones. The count follows what is left.',
  curdled:
    'Too cold, most often: warm a third of it until soft, not melted, and beat it back in. If it is warm and soupy, chill the bowl for ten minutes and beat again.',
  chill: (minutes: number) =>
    `The kitchen is warm: chill the bowl for ${minutes} minutes before anything goes in.`,
  beatIn: (stepG: number, what: string) =>
    `${grams(stepG)} of ${what}, beat, and look again. Then as much once more.`,
  domed: (trimmedG: number) =>
    `Cut the domes level: ${grams(trimmedG)} of trimmings. Next time fill for a flat top, or set the oven {10 °C} lower.`,
  overflowed: (massG: number) =>
    `Fill the next load ${grams(massG)} each, and stand a tray below. Cut the brims off while warm.`,
  sunk: 'Filling more does not cure it. Look for the cause: the door was opened before three quarters of the time, too much raising agent or one past its date, a batter that waited or was beaten too long, or an oven too hot outside and not done inside. Wet in the middle, it was not done: those go to crumb. Set and only level, they are ready for frosting.',
  raw: `Back into the oven at once, and look every ${LOOK_EVERY_S / 60} min. Once cold it will not rise again: crumb it for pops instead.`,
  frostingShort: 'Make the rest, or pipe a flatter style on all of them. The count follows what is left.',
  patch: (allG: number, pieces: number) =>
    `Brush coat over the cracks: ${grams(allG)} for ${pieces}. Two minutes in the cold, then once more where it shows. Then look for the cause: a thin spot, a mould that was too cold or bent, or a piece turned out too soon.`,
  lostInMould: (backG: number, pieces: number, shellG: number) =>
    `Freeze the mould for ten minutes more and press from behind. What breaks goes back into the dough, chocolate and all: ${grams(backG)}. For ${pieces} more, ${grams(shellG)} of coat.`,
  notHere: (what: string) => `This line has no ${what}.`,
} as const;

/** What each sum of a rescue is of. */
export const SUMS = {
  crumb: 'Crumb',
  toBind: 'Buttercream to bind',
  toMelt: 'Coat to melt',
  missing: 'Missing',
  over: 'Over',
  biscuit: 'Biscuit crumb',
  cake: 'Cake crumb',
  binderLeft: 'Still likely to be needed',
  fat: 'Fat to stir in',
  cream: 'Cream for a ganache',
  meltAnew: 'To melt anew',
  missingForAll: 'Missing for all',
  warmBack: 'To warm and beat back in',
  sugar: 'Icing sugar, each time',
  milk: 'Milk, each time',
  patching: 'Coat for patching',
  backIntoDough: 'Back into the dough',
  coatAgain: 'Coat for as many again',
  forPops: 'Crumb to keep for pops',
  bakedAgain: 'Batter for as many again',
  atMost: (what: string) => `${what}, at most`,
  nextLoad: 'Into each well of the next load',
} as const;
