import { ingredientsNamedIn, type Fault, type ReadLine, type Role } from '../quantity';
import { CHECKS, STATED } from './checks.table';

const round = (value: number) => String(Number(value.toPrecision(2)));

/**
 * Checks a batter's proportions against what usually works. Each is a plain warning and never a block. Silent where
 * there is no flour to compare with.
 */
export function checkFormula(lines: readonly ReadLine[]): Fault[] {
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
    const powder = bicarbonate > 0 ? { ...CHECKS.powder, low: 0 } : CHECKS.powder;
    ratio(
      'Baking powder',
      of('powder'),
      powder,
      'Too little leaves it heavy, too much makes it rise and sink.',
    );
  }
  ratio('Bicarbonate', bicarbonate, CHECKS.bicarbonate, 'More than its acid can use tastes of soap.');
  ratio('Sugar', of('sugar'), CHECKS.sugar, 'Check the line: far off, the crumb turns dry or will not set.');
  ratio('Salt', of('salt'), CHECKS.salt, 'Check the spoon: a tablespoon is three teaspoons.');
  if (bicarbonate > 0 && !hasAcid(lines)) {
    faults.push({
      fault: 'Bicarbonate with nothing sour to work on.',
      mend: 'Use buttermilk, yoghurt, juice or vinegar, or baking powder in its place.',
    });
  }
  return faults;
}

const NO_FLOUR: Fault = {
  fault: 'No flour was found, so the proportions cannot be checked.',
  mend: 'If one of the lines is a flour, tap it and say which.',
};

const SOUR = new Set([
  'buttermilk',
  'yoghurt',
  'sour cream',
  'honey',
  'treacle',
  'brown sugar',
  'berries',
  'cocoa',
]);

function hasAcid(lines: readonly ReadLine[]): boolean {
  return lines.some(
    (line) => line.ingredient && (line.ingredient.role === 'acid' || SOUR.has(line.ingredient.key)),
  );
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
