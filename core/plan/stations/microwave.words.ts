import { words } from '../../figure';

export const MICRO = {
  rated: (name: string, tested: boolean) =>
    words(
      `"${name}", output`,
      tested
        ? 'From the water test: what {500 g} of water took up, over the share that such a load takes.'
        : 'As its label says. A water test tells better: {500 g} of water, 60 s at full power, and how much warmer it got.',
    ),
  setting: words(
    'Power setting',
    'As chosen. Below full power most ovens switch on and off: the average counts.',
  ),
  start: 'The warmth of a usual kitchen; cold eggs and milk make it cooler.',
  done: 'Set all through, just below boiling.',
  steam: 'Water that leaves while it cooks. Weigh before and after to know yours.',
  factor: 'Ovens, mugs and places on the plate differ by a fifth. Time one and divide by what was expected.',
  coupling: words(
    'Power that this load takes up',
    'Small loads take up less of the power: two mugs need more time than one, and less than twice as much.',
  ),
  time: words(
    'Time in the microwave',
    'Heat to warm it through and to drive off steam, over the power that it takes up.',
  ),
  alone: words('One alone', 'The same sum for a single one.'),
  firstLook: words(
    'First look',
    'At three quarters of the time, then every 10 seconds: a mug cake dries out fast.',
  ),
  stand: (deep: boolean) =>
    words(
      'To stand',
      deep
        ? 'It goes on cooking, and the heat works its way into the deep middle; judge it after that.'
        : 'It goes on cooking; judge it and eat it after that.',
    ),
  middle: (vessel: 'mug' | 'bowl') =>
    words(
      'Way to the middle',
      vessel === 'mug'
        ? 'Half of what stands in the mug, or half its width: waves come from all sides.'
        : 'Half the depth of a bowl shaped like half a ball.',
    ),
  core: words(
    'The middle waits',
    'Waves get in some {25 mm}; what lies deeper is warmed by what is round it, and full power only dries the rim.',
  ),
} as const;

export const MUG = {
  volume: (mug: string) =>
    `"${mug}", as kept in Kitchen. Fill it with water and weigh it: {100 ml} of it weigh {100 g}.`,
  loss: 'Water that leaves in the microwave. Weigh a full mug before and after to know yours.',
  rule: words('Filled', 'The share of the mug, as chosen. Half is the most: it doubles.'),
  byRule: words('Batter in a mug', 'What to weigh into each, to the step of the scale.'),
  chosen: words('Batter in a mug, as chosen', 'As chosen.'),
  byMass: words('Batter in a mug', 'What to weigh into each, as chosen.'),
  filled: words('Filled', 'The share of the mug that the batter takes up.'),
  finish: words('Cake against the mug', 'Once risen; it stands higher still while it cooks, and sinks back.'),
  top: 'Usual for a mug, inside.',
  ready: words('Batter to portion', 'What goes into mugs.'),
  allows: words('The batter allows', 'As many mugs as it fills.'),
  cake: words('One cake', 'What is left in the mug once the steam is gone.'),
  atOnce: (microwave: string, most: number) =>
    words('Mugs that turn together', `"${microwave}" takes ${most}; evened out so that all cook alike.`),
  last: (n: number) => words('Time of the last group', `Only ${n} turn in it, so it is done sooner.`),
  load: words('In the microwave at once', 'All mugs that turn together share the power.'),
  portions: words('Batter in mugs', 'All mugs together.'),
  left: words('Batter left over', 'What remains in the bowl.'),
  cakes: words('Cakes in all', 'All mug cakes together.'),
  needed: words('Batter needed', 'For every mug, and what the bowl keeps.'),
} as const;
