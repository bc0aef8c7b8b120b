/** Units as people write them. Volumes in ml, masses in g. Basis: legal or customary definitions, as noted. */

/** Which cup, spoon and egg a formula means. */
export type Measures = 'us' | 'metric' | 'australian';

export type UnitKind = 'mass' | 'volume' | 'personal' | 'pack';

export interface UnitDef {
  readonly key: string;
  readonly kind: UnitKind;
  /** g for masses and personal measures, ml for volumes, 0 for packs (a pack needs its size beside it). */
  readonly size: Readonly<Record<Measures, number>>;
  readonly names: readonly string[];
  /** Half the 10–90 width as a share of the amount, from how people fill the measure. */
  readonly spreadShare: number;
}

const same = (size: number): Record<Measures, number> => ({ us: size, metric: size, australian: size });

const mass = (key: string, size: number, names: string[]): UnitDef => ({
  key,
  kind: 'mass',
  size: same(size),
  names,
  spreadShare: 0.005,
});

const volume = (
  key: string,
  size: Record<Measures, number>,
  spreadShare: number,
  names: string[],
): UnitDef => ({
  key,
  kind: 'volume',
  size,
  names,
  spreadShare,
});

const personal = (key: string, size: number, spreadShare: number, names: string[]): UnitDef => ({
  key,
  kind: 'personal',
  size: same(size),
  names,
  spreadShare,
});

const PLURALS: Readonly<Record<string, string>> = { box: 'boxes', leaf: 'leaves', pouch: 'pouches' };
const MORE_NAMES: Readonly<Record<string, readonly string[]>> = {
  packet: ['pkt', 'pkts', 'pck', 'pk', 'pks', 'pkg', 'pkgs', 'package', 'packages'],
  sachet: ['envelope', 'envelopes'],
};

export const UNITS: readonly UnitDef[] = [
  mass('kg', 1000, ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kilogramme', 'kilogrammes']),
  mass('g', 1, ['g', 'gr', 'grs', 'gm', 'gms', 'grm', 'grms', 'gram', 'grams', 'gramme', 'grammes']),
  mass('mg', 0.001, ['mg', 'milligram', 'milligrams']),
  mass('oz', 28.35, ['oz', 'ozs', 'ounce', 'ounces', 'oz wt']),
  mass('lb', 453.6, ['lb', 'lbs', 'pound', 'pounds']),
  // A North American stick of butter is a quarter of a pound.
  mass('stick', 113.4, ['stick', 'sticks']),
  // 236.6 ml is half a US pint; metric kitchens use 250 ml.
  volume('cup', { us: 236.6, metric: 250, australian: 250 }, 0.08, [
    'cup',
    'cups',
    'cupful',
    'cupfuls',
    'cupsful',
    'c',
  ]),
  volume('tbsp', { us: 14.8, metric: 15, australian: 20 }, 0.08, [
    'tbsp',
    'tbsps',
    'tb',
    'tbls',
    'tblsp',
    'tbspn',
    'tbspns',
    'tablespoonsful',
    'table spoon',
    'table spoons',
    'tablesp',
    'el',
    'esslöffel',
    'spoonful',
    'spoonfuls',
    'tbs',
    'tbl',
    'tablespoon',
    'tablespoons',
    'tablespoonful',
    'tablespoonfuls',
  ]),
  volume('dsp', same(10), 0.1, [
    'dsp',
    'dsps',
    'dstspn',
    'dessert spoon',
    'dessert spoons',
    'dessertspoonfuls',
    'dessertspoon',
    'dessertspoons',
    'dessertspoonful',
  ]),
  volume('tsp', { us: 4.93, metric: 5, australian: 5 }, 0.1, [
    'tsp',
    'tsps',
    'tspn',
    'tspns',
    'teasp',
    'teaspoonsful',
    'tea spoon',
    'tea spoons',
    'tl',
    'teelöffel',
    'teaspoon',
    'teaspoons',
    'teaspoonful',
    'teaspoonfuls',
  ]),
  // Imperial where a text is not American.
  volume('fl oz', { us: 29.57, metric: 28.41, australian: 30 }, 0.03, [
    'fl oz',
    'fl. oz',
    'fl ozs',
    'floz',
    'fluid ounce',
    'fluid ounces',
    'fluid oz',
  ]),
  volume('gill', { us: 118, metric: 142, australian: 142 }, 0.05, ['gill', 'gills']),
  volume('pint', { us: 473.2, metric: 568, australian: 570 }, 0.03, ['pint', 'pints', 'pt', 'pts']),
  volume('quart', { us: 946, metric: 1137, australian: 1137 }, 0.03, ['quart', 'quarts', 'qt', 'qts']),
  // As old books measure. Basis: typical of their tables; each differs from one house to the next.
  volume('teacup', same(142), 0.15, ['teacup', 'teacups', 'teacupful', 'teacupfuls', 'tea cup', 'tea cups']),
  volume('breakfast cup', same(284), 0.15, [
    'breakfast cup',
    'breakfast cups',
    'breakfastcup',
    'breakfastcups',
    'breakfastcupful',
    'tumbler',
    'tumblers',
    'tumblerful',
  ]),
  volume('coffee cup', same(71), 0.15, ['coffee cup', 'coffee cups', 'coffeecup', 'coffeecupful']),
  volume('wineglass', same(71), 0.15, [
    'wineglass',
    'wineglasses',
    'wineglassful',
    'wineglassfuls',
    'wine glass',
    'wine glasses',
  ]),
  volume('saltspoon', same(1.2), 0.2, ['saltspoon', 'saltspoons', 'saltspoonful', 'salt spoon']),
  volume('jigger', same(44), 0.08, ['jigger', 'jiggers']),
  volume('dram', same(3.6), 0.1, ['dram', 'drams', 'drachm', 'drachms']),
  volume('Tasse', same(150), 0.15, ['tasse', 'tassen']),
  volume('Becher', same(200), 0.1, ['becher']),
  volume('mug', same(300), 0.15, ['mug', 'mugs', 'mugful', 'mugfuls']),
  volume('shot', same(30), 0.15, ['shot', 'shots']),
  volume('ice cube', same(15), 0.3, ['ice cube', 'ice cubes']),
  volume('l', same(1000), 0.02, ['l', 'ltr', 'ltrs', 'lt', 'litre', 'litres', 'liter', 'liters']),
  volume('dl', same(100), 0.04, ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters']),
  volume('cl', same(10), 0.04, ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters']),
  volume('ml', same(1), 0.03, ['ml', 'mls', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc']),
  volume('drop', same(0.05), 0.3, ['drop', 'drops']),
  personal('pinch', 0.3, 0.5, ['pinch', 'pinches']),
  personal('dash', 0.6, 0.5, ['dash', 'dashes']),
  personal('drizzle', 10, 0.6, ['drizzle', 'drizzles']),
  personal('squeeze', 5, 0.6, ['squeeze', 'squeezes', 'squirt', 'squirts']),
  personal('little', 5, 0.8, ['little']),
  personal('smidgen', 0.2, 0.6, ['smidgen', 'smidge', 'touch']),
  personal('splash', 15, 0.5, ['splash', 'splashes', 'glug', 'glugs']),
  personal('grating', 0.3, 0.5, ['grating', 'gratings']),
  personal('knob', 15, 0.4, ['knob', 'knobs']),
  personal('handful', 35, 0.4, ['handful', 'handfuls']),
  personal('dollop', 60, 0.4, ['dollop', 'dollops']),
  personal('scoop', 60, 0.4, ['scoop', 'scoops']),
  personal('sprig', 0.8, 0.4, ['sprig', 'sprigs']),
  personal('egg-sized', 50, 0.25, ['egg-sized', 'egg-sized piece', 'egg-sized knob']),
  personal('walnut-sized', 20, 0.3, ['walnut-sized', 'walnut-sized piece', 'walnut-sized knob']),
  personal('hazelnut-sized', 8, 0.3, ['hazelnut-sized']),
  personal('bunch', 30, 0.5, ['bunch', 'bunches']),
  personal('dab', 5, 0.6, ['dab', 'dabs', 'smear']),
  ...[
    'tin',
    'can',
    'jar',
    'packet',
    'pack',
    'sachet',
    'leaf',
    'sheet',
    'pouch',
    'punnet',
    'square',
    'cube',
    'roll',
    'slab',
    'bottle',
    'tray',
    'case',
    'tub',
    'pot',
    'bag',
    'box',
    'carton',
    'bar',
    'block',
  ].map((key): UnitDef => ({
    key,
    kind: 'pack',
    size: same(0),
    names: [key, PLURALS[key] ?? `${key}s`, ...(MORE_NAMES[key] ?? [])],
    spreadShare: 0.01,
  })),
];

/** How a word before the unit changes it. */
export const MODIFIERS: Readonly<Record<string, number>> = {
  scant: 0.93,
  heaped: 1.25,
  heaping: 1.25,
  rounded: 1.15,
  generous: 1.08,
  level: 1,
  about: 1,
  approx: 1,
  'approx.': 1,
  approximately: 1,
  around: 1,
  roughly: 1,
  circa: 1,
  small: 0.8,
  good: 1.15,
  big: 1.25,
  large: 1.25,
  'just under': 0.96,
  'just over': 1.04,
  'a bit under': 0.95,
  nearly: 0.96,
  almost: 0.96,
  barely: 0.96,
  full: 1,
  packed: 1,
  even: 1,
};

const BY_NAME = new Map(UNITS.flatMap((unit) => unit.names.map((name) => [name, unit] as const)));

/** The unit of that name, or null. Case does not matter, but for `T` and `t`, which cooks use for the two spoons. */
export function findUnit(word: string): UnitDef | null {
  const bare = word
    .replace(/\.$/, '')
    .replace(/\.(?=\s|[a-z])/gi, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  if (bare === 'T') return BY_NAME.get('tbsp') ?? null;
  if (bare === 't') return BY_NAME.get('tsp') ?? null;
  return BY_NAME.get(bare.toLowerCase()) ?? null;
}

/** US measuring cup in ml: the cup that the ingredient table's masses are given for. */
export const TABLE_CUP_ML = 236.6;
/** US teaspoon in ml: the spoon that the ingredient table's spoon masses are given for. */
export const TABLE_TSP_ML = 4.93;
