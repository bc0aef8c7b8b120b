import { CAKE_KEEPS_DAYS, DOUGH_KEEPS_DAYS } from './chores.table';
import { BOUGHT_READY } from '../gather.words';
import type { FrostingKind } from '../../model/kinds';
import type { Part } from './chore';

/** What kinds of frosting do not forgive. */
const HANDLED: Partial<Record<FrostingKind, string>> = {
  'cooked meringue': 'It sets as it stands: frost at once, everything else ready before the syrup boils.',
  glaze: 'It skins over in minutes: stir it up again between pieces.',
  'whipped cream': 'Cold bowl, cold cream; stop while it still looks soft.',
  ganache: 'It has to stand until it holds a trail.',
};

/** Chores in the kitchen's words. */
export const each = (seconds: number): string =>
  `About ${Math.round(seconds)} s a piece, as in a usual household kitchen.`;

const pots = (n: number) => (n === 1 ? 'one pot' : `${n} pots`);

export const CHORE = {
  paced: (pace: number, seen: number | null) => {
    const off = Math.round(Math.abs(pace - 1) * 100);
    const by = off === 0 ? 'as long as usual' : `${off} % ${pace > 1 ? 'longer' : 'less'} than usual`;
    return seen === null
      ? `Here it takes ${by}, as you said.`
      : `Here it takes ${by}, by ${seen} ${seen === 1 ? 'batch' : 'batches'}.`;
  },
  usual: 'Usual for a household kitchen.',
  weigh: { label: 'Weigh out', detail: 'Everything ready before the mixer starts.' },
  weighBasis: (lines: number) => `About 30 s for each of ${lines} ingredients.`,
  line: { label: 'Weigh out, line the tins', detail: 'Everything ready before the mixer starts.' },
  mix: (n: number, of: number, times: number) => ({
    label: of > 1 ? `Mix bowl ${n} of ${of}` : times > 1 ? `Mix, ${times} bowls one after the other` : 'Mix',
  }),
  forLines: (label: string, lines: number) =>
    `${label}, for ${lines === 2 ? 'both lines' : `${lines} lines`}`,
  stir: 'Weigh and stir',
  fillTins: (k: number, loads: number) => (loads > 1 ? `Fill load ${k}` : 'Fill'),
  fillTinsDetail: 'Weigh each well, then tap the tin level.',
  bake: (k: number, loads: number) => (loads > 1 ? `Bake load ${k}` : 'Bake'),
  bakeDetail: (pieces: number, lookMin: number) =>
    `${pieces} in. First look ${lookMin} min after it goes in.`,
  stand: { label: 'Stand in the tin', detail: 'Five to ten minutes: hot cake tears, cold cake sticks.' },
  standBasis: 'Five to ten minutes in the tin are usual.',
  out: (again: boolean) => ({
    label: again ? 'Turn out, wipe and line again' : 'Turn out on to a rack',
    detail: again ? 'The tin goes back in: let it cool to the hand first.' : '',
  }),
  outBasis: (tins: number, again: boolean) =>
    `About ${again ? 4 : 1} min a tin, ${tins === 1 ? 'one tin' : `${tins} tins`}.`,
  cool: { label: 'Cool', detail: 'On a rack, air under it; covered once it is cold.' },
  outOfSheet: {
    label: 'Turn out, line and fill the sheet again',
    detail: 'Wipe it and let it cool to the hand before batter goes in.',
  },
  coolToCut: { label: 'Cool', detail: 'In the tin, then chilled: a cold sheet cuts clean.' },
  coolToCrumble: { label: 'Cool', detail: 'Below {30 °C} it crumbles without steaming wet.' },
  soak: { label: 'Prick and soak', detail: 'A spoon at a time, and let it sink in.' },
  fill: {
    core: { label: 'Core and fill', detail: 'The cut-out plug goes back on top.' },
    inject: { label: 'Inject', detail: 'Stop when the top lifts.' },
    between: { label: 'Spread and pair', detail: 'To a finger from the edge: it spreads.' },
  },
  frost: { label: 'Frost', detail: 'Cool cakes only: warm ones melt it.' },
  frostAndTop: { label: 'Frost and top', detail: 'A few at a time: toppings hold while it is wet.' },
  frostingOut: (name: string) => ({
    label: `${name} out of the fridge`,
    detail: 'Cold it tears cake, and splits when it is beaten.',
    basis: 'About an hour in a usual room.',
  }),
  soften: (name: string) => ({ label: `Beat ${name} soft again`, basis: 'About 3 min.' }),
  frostingThere: { label: 'Beat the frosting soft', detail: 'A stiff one tears the cake.' },
  butterOut: (massG: number, name: string) => ({
    label: 'Butter out',
    detail: `{${Math.round(massG)} g} for ${name}. Soft at {18 °C} to {20 °C}: a finger leaves a dent and does not slide through.`,
  }),
  frostingMade: (kind: FrostingKind) => ({
    label: BOUGHT_READY.has(kind) ? `Have the ${kind} ready` : `Make the ${kind}`,
    detail: [
      BOUGHT_READY.has(kind) ? 'Bought, or made.' : '',
      'With a formula chosen under Pieces, what goes into it stands in the lists too.',
      HANDLED[kind] ?? 'Cakes have to be cool by the time it is ready.',
    ]
      .filter(Boolean)
      .join(' '),
  }),
  colour: (n: number) => ({
    label: n === 1 ? 'Colour and bag' : `Colour and bag, ${n} colours`,
    detail: 'Colours deepen as they stand: stop a shade short.',
  }),
  colourBasis: 'About 4 min a colour.',
  cover: { label: 'Cover with fondant', detail: 'What is rolled dries: cover what waits.' },
  top: { label: 'Top' },
  topSets: { label: 'Topping sets', basis: 'About half an hour in a usual room.' },
  melt: {
    label: 'Melt the coat',
    detail: 'Dry bowl, gentle heat.',
    basis: (n: number) => `About 5 min for ${pots(n)} each.`,
  },
  temper: {
    label: 'Melt and temper',
    detail: 'Test a drop on paper before the first piece.',
    basis: (n: number) => `About 15 min for ${pots(n)} each.`,
  },
  rewarm: {
    label: 'Stir the coat warm again',
    detail: 'It thickens as it stands: short bursts, and stir.',
    basis: 'About 2 min a pot.',
  },
  retemper: {
    label: 'Bring the coat back into temper',
    detail: 'Warm it gently and test a drop on paper; overheated, it is tempered again from the start.',
    basis: 'About 5 min a pot.',
  },
  dip: (garnish: boolean) => ({
    label: garnish ? 'Dip and garnish' : 'Dip',
    detail: 'A few at a time from the cold; stir between.',
  }),
  coatSets: { label: 'Coat sets', detail: 'Where nobody knocks them.' },
  crumble: { label: 'Crumble', detail: 'Fine, no crusts: rub through the hands.' },
  crumbleBasis: 'About 3 min a bowl.',
  bind: { label: 'Bind', detail: 'First addition, squeeze; a spoonful more if it crumbles.' },
  bindBasis: 'About 6 min a bowl.',
  roll: { label: 'Portion and roll', detail: 'Weigh each; roll twice, the second time smooth.' },
  firm: (frozen: boolean) => ({
    label: frozen ? 'Freeze' : 'Chill',
    detail: frozen ? 'Wipe off frost before dipping.' : 'Covered, on a lined tray.',
  }),
  sticks: { label: 'Sticks in', detail: 'Each end in melted coat first, half-way into the ball.' },
  anchor: { label: 'Sticks set', detail: 'Back into the cold.' },
  washMould: { label: 'Wash and dry the mould', detail: 'Warm water, no scratching; dry with a soft cloth.' },
  washBasis: 'About 4 min a mould.',
  dries: { label: 'Mould dries', basis: 'About 10 min in a usual room.' },
  round: (label: string, k: number, rounds: number) => (rounds > 1 ? `${label}, round ${k}` : label),
  shellCoat: ['First shell coat', 'Second shell coat'] as const,
  shellCoatDetail: 'Up the walls and into the corners; the rims twice.',
  shellSets: 'Shell sets',
  fillShell: { label: 'Fill and press', detail: 'To {2 mm} below the rim, stick in first.' },
  back: { label: 'Back plates', detail: 'Spread, and scrape level once.' },
  freeze: { label: 'Set in the freezer', detail: 'Straight from there out of the mould.' },
  unmould: { label: 'Turn out and patch', detail: 'Press from behind; brush over cracks.' },
  unmouldBasis: 'About 15 s a piece, and a minute for each tenth one that is patched.',
  topMoulded: { label: 'Drizzle and top', detail: 'A round at a time: it sets fast on the cold.' },
  cut: { label: 'Trim and cut', detail: 'From the centre outwards, the blade wiped between.' },
  cutBasis: 'About 5 min a sheet and 5 s a piece.',
  lineSheet: { label: 'Weigh out, line the sheet', detail: 'Everything ready before the mixer starts.' },
  micro: (k: number, groups: number) => (groups > 1 ? `Microwave, group ${k}` : 'Microwave'),
  microBowls: 'Microwave, a bowl at a time',
  microDetail: (pieces: number, lookS: number) => `${pieces} together. First look after ${lookS} s.`,
  mugStand: { label: 'Stand', detail: 'It goes on cooking. Then look again.' },
  coolMug: { label: 'Cool', detail: 'Before anything that melts goes on.' },
  pack: { label: 'Pack, label, put away', detail: 'Name, when made, best by, allergens.' },
  packBasis: 'About 6 s a piece and 2 min for the label.',
  made: (name: string) => `Make ${name}`,
  madeDetail: 'As its formula says.',
  madeBasis: (weighMin: number, makeMin: number) =>
    `About ${weighMin} min to weigh and ${makeMin} min at it; the formula’s own times where it gives them.`,
  rests: (name: string) => `${name} rests`,
  restBasis: 'As its formula says.',
  ovenOn: (name: string) => `${name} on`,
  ovenTo: (name: string) => `Turn ${name.toLowerCase()}`,
} as const;

const named = (what: string, name: string) => (name === '' ? what : `${what}: ${name}`);

/** What keeps and can be made days before. */
export const PART = {
  cake: (id: string, name: string): Part => ({
    id,
    name: named('Cakes', name),
    keepsDays: CAKE_KEEPS_DAYS,
    how: 'Airtight, at room temperature. Check local rules.',
  }),
  dough: (id: string, name: string, frozen: boolean): Part => ({
    id,
    name: named('Crumb and dough', name),
    keepsDays: frozen ? DOUGH_KEEPS_DAYS.freezer : DOUGH_KEEPS_DAYS.fridge,
    how: frozen
      ? 'Frozen, wrapped; wipe off frost before dipping.'
      : 'Covered in the fridge. Check local rules.',
  }),
  made: (id: string, name: string, keepsDays: number): Part => ({
    id,
    name,
    keepsDays,
    how: 'Covered in the fridge; out an hour before, beaten soft again. Check local rules.',
  }),
} as const;
