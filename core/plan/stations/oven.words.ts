import { words } from '../../figure';
import type { TinMaterial } from '../../model/kinds';

const MATERIAL: Readonly<Record<TinMaterial, string>> = {
  'light metal': 'Light metal is the reference.',
  silicone: 'Silicone passes heat on slowly.',
  'dark metal': 'Dark metal takes heat up faster.',
};

export const OVEN = {
  wanted: words('Air that is wanted', 'As the formula or this run says, for a still oven.'),
  setting: (fan: boolean, measured: boolean) =>
    words(
      'Oven set to',
      fan && measured
        ? 'The air that is wanted, less what this oven gives above its dial, less 20 K for the fan.'
        : fan
          ? 'The formula is for a still oven; with the fan on the dial goes 20 K lower.'
          : measured
            ? 'The air that is wanted, less what this oven gives above its dial.'
            : 'The air that is wanted; nobody has measured what this oven really gives.',
    ),
  toDial: 'to the step of the dial',
  offset: (measured: boolean) =>
    words(
      'Oven above its setting',
      measured
        ? 'What the oven thermometer read above the dial, as kept in Kitchen.'
        : 'Nobody has measured this oven yet. Stand a thermometer in it and write the difference in Kitchen.',
    ),
  offsetRead: words(
    'Oven above its setting',
    'What thermometers in it have read while it baked, above its dial.',
  ),
  fan: (fan: boolean) =>
    words(
      'Heat through the air',
      fan
        ? 'A fan brings heat to the tin so many times faster than still air.'
        : 'Still air is the reference.',
    ),
  batterTemperature: 'The warmth of a usual kitchen.',
  boiling: (high: boolean) =>
    words(
      'Water boils lower by',
      high
        ? 'One degree for every 300 m above the sea, as kept in Kitchen.'
        : 'At the sea’s height, or near it: nothing to speak of.',
    ),
  done: (method: string, high: boolean) =>
    `Where the crumb of a ${method} cake has set${high ? ', less what water boils lower up here' : ''}.`,
  ownTin: 'No two tins of a kind take heat up alike; what bakes in this one tells of it.',
  tin: (material: TinMaterial, racks: boolean, slower: number) =>
    words(
      racks ? 'Tin and second rack' : 'Tin',
      `${MATERIAL[material]}${racks ? ' A second rack slows both; swap them half-way.' : ''}${slower === 1 ? '' : slower < 1 ? ' Without paper the tin’s heat gets through sooner.' : ' Two liners hold heat off.'}`,
    ),
  factor:
    'Times differ by some 11 % from kitchen to kitchen, beyond what its oven is off. Time a load and divide by what was expected.',
  firstLook: words(
    'First look',
    'At 85 % of the expected time, or where the likely range begins if that is earlier. Then every 2 minutes.',
  ),
  turnaround: 'Out, in, door shut, and the oven back up to heat.',
} as const;

export const COOL = {
  room: 'A usual kitchen. Warmer rooms cool cakes more slowly.',
  constant:
    'How long a piece of this size takes to lose some two thirds of its warmth, out of the tin at rest in air.',
  time: (until: string, fromC: number, toC: number) =>
    words(until, `From about {${fromC} °C} out of the oven to {${toC} °C}.`),
} as const;
