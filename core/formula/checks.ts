import { compositionOf, ingredientsNamedIn, type Fault, type ReadLine, type Role } from '../quantity';
import type { Method } from '../model/documents';
import { readSteps } from './steps';
import { ACID_G, ACID_SLACK, BALANCE, CHECKS, OTHER_ACID_G, STATED } from './checks.table';

const round = (value: number) => String(Number(value.toPrecision(2)));

/**
 * Checks a batter's proportions against what usually works. Each is a plain warning and never a block. Silent where
 * there is no flour to compare with.
 */
export function checkFormula(lines: readonly ReadLine[], method: Method = 'creamed'): Fault[] {
  const usual = BALANCE[method];
  const of = (...roles: Role[]) =>
    lines.reduce(
      (sum, line) => sum + (line.ingredient && roles.includes(line.ingredient.role) ? line.massG : 0),
      0,
    );
  const flour = of('flour', 'starch');
  if (flour === 0) return lines.some((line) => line.status === 'read') ? [NO_FLOUR] : [];
  const faults: Fault[] = [];
  const ratio = (what: string, massG: number, { low, high }: { low: number; high: number }, mend: string) => {
    const per100 = (massG / flour) * 100;
    if (massG > 0 && (per100 < low || per100 > high)) {
      faults.push({
        fault: `${what}: ${round(per100)} to 100 of flour, by weight. Usual is ${low} to ${high}.`,
        mend,
      });
    }
  };
  const selfRaising = lines.some((line) => line.ingredient?.key === 'self-raising flour');
  const bicarbonate = of('bicarbonate');
  if (!selfRaising) {
    const powder = bicarbonate > 0 ? { ...usual.powder, low: 0 } : usual.powder;
    ratio(
      'Baking powder',
      of('powder'),
      powder,
      'Too little leaves it heavy, too much makes it rise and sink.',
    );
  }
  ratio('Bicarbonate', bicarbonate, CHECKS.bicarbonate, 'More than its acid can use tastes of soap.');
  ratio('Sugar', of('sugar'), usual.sugar, 'Check the line: far off, the crumb turns dry or will not set.');
  ratio('Fat', of('fat'), usual.fat, 'Check the line: too little is dry, too much is greasy and sinks.');
  ratio(
    'Egg',
    of('egg'),
    usual.egg,
    'Check the line: egg sets the crumb; too little falls, too much is tough.',
  );
  ratio(
    'Moisture',
    moistureG(lines),
    usual.moisture,
    'Milk, water, juice and what eggs bring: too little is dry, too much does not set.',
  );
  ratio('Salt', of('salt'), CHECKS.salt, 'Check the spoon: a tablespoon is three teaspoons.');
  if (bicarbonate > 0) {
    const usesG = acidUsesG(lines);
    if (usesG === 0)
      faults.push({
        fault: 'Bicarbonate with nothing sour to work on.',
        mend: 'Use buttermilk, yoghurt, juice or vinegar, or baking powder in its place.',
      });
    else if (bicarbonate > usesG * (1 + ACID_SLACK) && of('powder') === 0)
      faults.push({
        fault: `Bicarbonate: {${round(bicarbonate)} g}, and what is sour here uses some {${round(usesG)} g}.`,
        mend: 'The rest tastes of soap: take less, and baking powder for its lift.',
      });
  }
  return faults;
}

/** What a batter is made of, whatever brings it. */
export type Needed = 'flour' | 'fat' | 'egg' | 'liquid';
const BRINGS: Readonly<Record<Needed, (line: ReadLine) => boolean>> = {
  flour: ({ ingredient }) =>
    ingredient !== null && (FLOURY_ROLES.has(ingredient.role) || FLOURY.has(ingredient.key)),
  fat: ({ ingredient }) =>
    ingredient !== null && (FATTY_ROLES.has(ingredient.role) || compositionOf(ingredient).fat >= LEAST_FAT),
  egg: ({ ingredient, raw }) => ingredient?.role === 'egg' || /\begg\b/i.test(raw),
  liquid: ({ ingredient }) => ingredient !== null && compositionOf(ingredient).water >= LEAST_WATER,
};
const FLOURY_ROLES: ReadonlySet<Role> = new Set(['flour', 'starch', 'nut']);
const FLOURY: ReadonlySet<string> = new Set([
  'rolled oats',
  'semolina',
  'semola',
  'cornmeal',
  'biscuit crumb',
  'plain biscuits',
  'digestive biscuits',
  'graham cracker crumbs',
  'breadcrumbs',
  'cake crumbs',
  'desiccated coconut',
  'cocoa',
  'chocolate',
]);
const FATTY_ROLES: ReadonlySet<Role> = new Set(['fat', 'nut', 'chocolate']);
const LEAST_FAT = 0.15;
/** What each way of mixing cannot do without; an egg-free cake has liquid in its place. */
const NEEDS: Readonly<Record<Method, readonly Needed[]>> = {
  creamed: ['flour', 'fat', 'liquid'],
  melted: ['flour', 'fat', 'liquid'],
  rich: ['flour', 'fat', 'liquid'],
  whisked: ['flour', 'egg'],
  folded: ['flour', 'egg'],
  mug: ['flour', 'liquid'],
};

/** What a batter lacks of what its kind is made of: a line of it may have been read as something else. */
export function lacksOf(lines: readonly ReadLine[], method: Method): readonly Needed[] {
  const read = lines.filter(({ status }) => status === 'read' || status === 'no amount');
  if (read.length === 0) return [];
  return NEEDS[method].filter((one) => !read.some(BRINGS[one]));
}

/** The same in words, for a page where nothing else is said before. */
export const lackFault = (lacks: readonly Needed[]): Fault => ({
  fault: `No ${lacks.join(' and no ')} was found in this batter.`,
  mend: 'Look through its lines: one may be missing, or read as a note or as something else.',
});

const NO_FLOUR: Fault = {
  fault: 'No flour was found, so the proportions cannot be checked.',
  mend: 'If one of the lines is a flour, tap it and say which.',
};

/** These are as dry as their water is bound: it does not loosen a batter. */
const DRY: ReadonlySet<Role> = new Set(['flour', 'starch', 'nut', 'cocoa', 'chocolate', 'other']);
/** What holds less water than this gives none of it off. */
const LEAST_WATER = 0.4;

/** Water that a batter has to work with, g: of what is wet, by how much water it holds. */
const moistureG = (lines: readonly ReadLine[]): number =>
  lines.reduce((sum, { ingredient, massG }) => {
    if (!ingredient || DRY.has(ingredient.role)) return sum;
    const { water } = compositionOf(ingredient);
    return water < LEAST_WATER ? sum : sum + water * massG;
  }, 0);

/** Bicarbonate that the sour things of a batter use up, g. */
function acidUsesG(lines: readonly ReadLine[]): number {
  return lines.reduce((sum, { ingredient, massG }) => {
    if (!ingredient) return sum;
    const perG = ACID_G[ingredient.key] ?? (ingredient.role === 'acid' ? OTHER_ACID_G : null);
    return perG === null ? sum : sum + massG / perG;
  }, 0);
}

/** Each line's mass to 100 of flour, by weight; null where nothing was read or there is no flour. */
export function bakersPercent(lines: readonly ReadLine[]): (number | null)[] {
  const flour = lines.reduce(
    (sum, { ingredient, massG }) => sum + (ingredient?.role === 'flour' ? massG : 0),
    0,
  );
  return lines.map(({ status, massG }) => (status === 'read' && flour > 0 ? (massG / flour) * 100 : null));
}

/** Things that steps name without anybody having to list them. */
const NEED_NO_LINE = new Set(['water', 'salt']);

/** Ingredients that the steps name and the list does not have: each a warning, since one of the two is wrong. */
export function checkSteps(lines: readonly ReadLine[], steps: string): Fault[] {
  if (steps.trim() === '') return [];
  const listed = lines.flatMap((line) => (line.ingredient ? [line.ingredient] : []));
  const words = lines.map((line) => line.raw.toLowerCase()).join(' ');
  return ingredientsNamedIn(steps)
    .filter(
      ({ ingredient, word }) =>
        !NEED_NO_LINE.has(ingredient.key) &&
        // "Flour" in the steps may be any flour of the list, and "sugar" any sugar.
        !listed.some((one) => one.key === ingredient.key || one.role === ingredient.role) &&
        !words.includes(word),
    )
    .map(({ word }) => ({
      fault: `The steps speak of ${word}, which the list does not have.`,
      mend: 'Add a line with its amount, or mend the step.',
    }));
}

/** Steps and formula may differ by so much before it is told, K: a dial has marks every 10. */
const OVEN_SLACK_K = 6;

/** The oven that the steps speak of against the one that the formula stands at: the time goes by the second. */
export function checkOven(steps: string, ovenC: number | undefined): Fault[] {
  if (ovenC === undefined || ovenC <= 0) return [];
  const temps = readSteps(steps, [])
    .filter(({ text }) => /\b(?:bake|baked|oven|preheat)\b/i.test(text))
    .flatMap(({ tempsC }) => tempsC);
  const [first] = temps;
  if (first === undefined || temps.some((one) => Math.abs(one - ovenC) <= OVEN_SLACK_K)) return [];
  return [
    {
      fault: `The steps bake at {${first} °C}, the formula stands at {${ovenC} °C}.`,
      mend: 'Change one of them: times are reckoned for the second.',
    },
  ];
}

/** What a writer says of yield and time against the sums. */
export interface StatedAgainst {
  readonly statedPieces: number | null;
  /** Batter of one batch, g, and what one piece of the usual size takes. */
  readonly batterG: number;
  readonly portionG: number;
  readonly statedMin: number | null;
  readonly lowMin: number;
  readonly highMin: number;
}

/** Stated yield against batter mass a well, and stated time against the model's range. Warnings, never a block. */
export function checkStated(at: StatedAgainst): Fault[] {
  const out: Fault[] = [];
  if (at.statedPieces !== null) {
    const comes = at.batterG / at.portionG;
    if (Math.abs(comes / at.statedPieces - 1) > STATED.yieldShare) {
      out.push({
        fault: `It says it makes ${at.statedPieces}; at {${Math.round(at.portionG)} g} a well it makes about ${Math.round(comes)}.`,
        mend: `For ${at.statedPieces} of them, fill {${Math.round(at.batterG / at.statedPieces)} g} each, or use other tins.`,
      });
    }
  }
  const { statedMin, lowMin, highMin } = at;
  if (
    statedMin !== null &&
    (statedMin < lowMin * (1 - STATED.timeShare) || statedMin > highMin * (1 + STATED.timeShare))
  ) {
    out.push({
      fault: `It says ${statedMin} min; this size is likely done after ${Math.round(lowMin)} to ${Math.round(highMin)} min.`,
      mend: 'It may have been written for another tin or oven. Look early, then every 2 minutes.',
    });
  }
  return out;
}
