import { dialWords } from '../process/dial';
import { words } from '../figure';
import type { MethodDef } from '../process/batter.table';
import type { Task } from './emitted';

/** How long steps take, as figures: what they are called and how they came about. */
export const TIMES = {
  weighOut: words('Weighing out and lining tins', 'Usual for a formula of ten lines.'),
  mix: (method: MethodDef) =>
    words('Mixing', `Usual for a ${method.name} batter in a bowl of household size.`),
  fillWell: words('Filling one well', 'Scooped and weighed, one well after another.'),
  ovenWarms: words('Warming the oven', 'Most ovens need 15 to 20 minutes until air and walls are hot.'),
  butterOut: words('Butter softening', 'From the fridge to creaming softness in a usual kitchen.'),
  eggsOut: words('Eggs and milk warming up', 'From the fridge to room temperature.'),
  stir: words('Weighing and stirring', 'Usual for a few mugs.'),
  household: (label: string) => words(label, 'Usual for a household kitchen.'),
  each: (label: string, seconds: number) => words(label, `About ${seconds} s a piece.`),
  weighAndMix: 'Weighing out and mixing',
  cutting: 'Cutting',
  frosting: 'Filling and frosting',
  dipping: 'Dipping',
  rolling: 'Binding and rolling',
  sticks: 'Sticks in',
  dipGarnish: 'Dipping and garnish',
  coats: 'Both coats of a round',
  filling: 'Filling a round',
  backs: 'Back plates of a round',
  turningOut: 'Turning out a round',
} as const;

/** What a limit of the clock counts a round of. */
export const ROUND_WORDS = {
  piece: 'One piece in the hand',
  group: 'One group in the microwave',
  mould: 'One round of the mould',
} as const;

export interface TaskWords {
  readonly label: string;
  /** May hold measures in braces, `{175 °C}`, for `inStyle` to put in the reader's units. */
  readonly detail: string;
}

/** A task in the kitchen's words. */
const OUT_OF_THE_FRIDGE = {
  eggs: 'Eggs out',
  milk: 'Milk and the like out',
  both: 'Eggs and milk out',
} as const;

export function taskWords({ what, pieces, load }: Pick<Task, 'what' | 'pieces' | 'load'>): TaskWords {
  const say = (label: string, detail: string): TaskWords => ({ label, detail });
  const round = (label: string, rounds: number) => (rounds > 1 ? `${label}, round ${load ?? 1}` : label);
  switch (what.does) {
    case 'butter out':
      return say(
        'Butter out',
        'Soft at {18 °C} to {20 °C}: a finger leaves a dent and does not slide through.',
      );
    case 'eggs out':
      return say(OUT_OF_THE_FRIDGE[what.what], 'At room temperature they blend without curdling the batter.');
    case 'weigh out and line':
      return say('Weigh out, line the tins', 'Everything ready before the mixer starts.');
    case 'oven on':
      return say('Oven on', `Set it to ${dialWords(what.settingC, what.dial)}.`);
    case 'mix':
      return say('Mix', what.meaning);
    case 'weigh out and mix':
      return say('Weigh out and mix', what.meaning);
    case 'stir':
      return say('Weigh and stir', what.meaning);
    case 'fill wells':
      return say('Fill the first load', 'Weigh each well, then tap the tin level.');
    case 'bake load':
      return say(
        what.loads === 1 ? 'Bake' : `Bake load ${load ?? 1}`,
        `${pieces ?? 0} in. First look ${what.firstLookMin} min after it goes in.`,
      );
    case 'bake':
      return say('Bake', `First look ${what.firstLookMin} min after it goes in.`);
    case 'microwave bowls':
      return say('Microwave, a bowl at a time', `First look ${what.firstLookMin} min after it goes in.`);
    case 'microwave group':
      return say(
        what.groups > 1 ? `Microwave, group ${load ?? 1}` : 'Microwave',
        `${pieces ?? 0} together. First look after ${what.firstLookS} s.`,
      );
    case 'stand':
      return say('Stand', 'It goes on cooking. Then look again.');
    case 'cool load':
      return say(
        what.loads === 1 ? 'Cool' : 'Cool the last load',
        'Five to ten minutes in the tin, then on a rack.',
      );
    case 'cool to crumble':
      return say('Cool', 'Below {30 °C} it crumbles without steaming wet.');
    case 'cool to cut':
      return say('Cool', 'In the tin, then chilled: a cold sheet cuts clean.');
    case 'cool to frost':
      return say('Cool', 'Before anything that melts goes on.');
    case 'cut':
      return say('Trim and cut', 'From the centre outwards.');
    case 'fill and frost':
      return say('Fill and frost', 'A piece at a time.');
    case 'bind and roll':
      return say(
        'Bind, portion and roll',
        'First addition of binder, squeeze, a spoonful more if it crumbles. Weigh each portion.',
      );
    case 'firm':
      return what.frozen
        ? say('Freeze', 'Wipe off frost before dipping.')
        : say('Chill', 'Covered, on a lined tray.');
    case 'sticks in':
      return say('Sticks in', 'Dip the end of each in melted coat, half-way into the ball.');
    case 'sticks set':
      return say('Sticks set', 'Back into the cold.');
    case 'dip':
      return say(what.garnish ? 'Dip and garnish' : 'Dip', 'A few at a time from the cold.');
    case 'coat sets':
      return say(
        'Coat sets',
        what.onRack ? 'On a rack, over paper.' : 'Upright, or on their heads on a lined tray.',
      );
    case 'shell coats':
      return say(
        round('Two shell coats', what.rounds),
        'Clean, dry, cold mould; the rims and the slot twice.',
      );
    case 'shell sets':
      return say(round('Coats set', what.rounds), 'In the freezer, after each of the two.');
    case 'fill shells':
      return say(round('Fill and press', what.rounds), 'To {2 mm} below the rim, stick in first.');
    case 'back plates':
      return say(round('Back plates', what.rounds), 'Spread, and scrape level once.');
    case 'freeze shells':
      return say(round('Set in the freezer', what.rounds), 'Straight from there out of the mould.');
    case 'turn out':
      return say(round('Turn out and patch', what.rounds), 'Press from behind; brush over cracks.');
  }
}
