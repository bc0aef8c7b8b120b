import type { Fault, ReadLine, Role } from '../quantity';
import { CHECKS } from './checks.table';

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
        fault: `${what}: ${round(per100)} g to 100 g of flour. Usual is ${low} to ${high} g.`,
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
