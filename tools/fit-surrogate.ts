/**
 * Fits the fast form of the baking time to the baking model over wells, fills, batters and ovens as kitchens have them,
 * and writes weights and error to `core/process/bakeSurrogate.table.ts`. A quarter of the samples is held back to
 * measure the error on. Takes about a minute.
 */
import { writeFileSync } from 'node:fs';
import { leastSquares } from '../core/numeric/leastSquares';
import { MOST_S, bakeModel, type BakeModelInput } from '../core/process/bakeModel';
import { surrogateFeatures, surrogateTerms } from '../core/process/bakeSurrogate';

/** Evenly scattered points that repeat from run to run: multiples of irrational numbers. */
const STEPS = [
  0.8191725134, 0.6710436067, 0.5497004779, 0.4503906286, 0.3689476223, 0.3022226, 0.2475653, 0.2027921,
  0.166116, 0.136073,
];

interface Range {
  readonly name: string;
  /** The form of the time to its colour. */
  readonly colour: string;
  readonly what: string;
  readonly samples: number;
  /** Across the top, mm; the base as a share of it; and the depth of batter's room as a share, or in mm for sheets. */
  readonly topMm: readonly [number, number];
  readonly baseShare: readonly [number, number];
  readonly depthMm: (topMm: number, at: number) => number;
}

const RANGES: readonly Range[] = [
  {
    name: 'SURROGATE',
    colour: 'COLOUR_SURROGATE',
    what: 'wells',
    samples: 1600,
    topMm: [28, 95],
    baseShare: [0.6, 1],
    depthMm: (top, at) => top * (0.38 + 0.37 * at),
  },
  {
    name: 'SHEET_SURROGATE',
    colour: 'SHEET_COLOUR_SURROGATE',
    what: 'sheets, as discs of the same area',
    samples: 900,
    topMm: [140, 420],
    baseShare: [0.97, 1],
    depthMm: (_, at) => 14 + 41 * at,
  },
];

function sample(k: number, range: Range): BakeModelInput {
  const at = (i: number, low: number, high: number) =>
    low + (high - low) * ((0.5 + (k + 1) * (STEPS[i] ?? 0)) % 1);
  const [least, most] = range.topMm;
  const topMm = Math.exp(at(0, Math.log(least), Math.log(most)));
  const baseMm = topMm * at(1, ...range.baseShare);
  const depthMm = range.depthMm(topMm, at(2, 0, 1));
  const batterDensity = at(3, 0.45, 1.08);
  const rise = at(4, 1.5, 2.3);
  const lossShare = at(5, 0.08, 0.14);
  const finish = at(6, 0.7, 1.3);
  const volumeMl = (Math.PI * depthMm * (topMm ** 2 + topMm * baseMm + baseMm ** 2) * 1e-3) / 12;
  return {
    pan: { baseRadiusM: baseMm / 2000, topRadiusM: topMm / 2000, depthM: depthMm / 1000 },
    massG: (finish / rise) * volumeMl * batterDensity,
    batterDensity,
    cakeDensity: ((1 - lossShare) * batterDensity) / rise,
    lossShare,
    airC: at(7, 140, 225),
    batterC: at(8, 8, 32),
    doneC: 70 + 28 * Math.sqrt(((k + 1) * 0.7548776662) % 1),
    coefficientFactor: k % 3 === 0 ? 1.4 : 1 + 0.4 * (((k + 1) * 0.5698402909) % 1),
  };
}

/** The forms of both times for one range of pans. */
function fitted(range: Range): string {
  const samples = Array.from({ length: range.samples }, (_, k) => sample(k, range));
  const results = samples.map((input) => bakeModel(input));
  return [
    form(
      range,
      range.name,
      samples,
      results.map(({ insideS }) => insideS),
    ),
    form(
      range,
      range.colour,
      samples,
      results.map(({ colourS }) => colourS),
    ),
  ].join('\n');
}

function form(range: Range, name: string, all: readonly BakeModelInput[], timesS: readonly number[]): string {
  // What never comes to its colour says nothing of when it would.
  const kept = all.map((_, k) => k).filter((k) => (timesS[k] ?? MOST_S) < MOST_S);
  const times = kept.map((k) => Math.log(timesS[k] ?? NaN));
  const rows = kept.map((k) => surrogateTerms(surrogateFeatures(all[k] as BakeModelInput)));
  const held = (k: number) => k % 4 === 3;
  const weights = leastSquares(
    rows.filter((_, k) => !held(k)),
    times.filter((_, k) => !held(k)),
  );
  const off = rows
    .map((row, k) =>
      Math.expm1(row.reduce((sum, term, i) => sum + term * (weights[i] ?? 0), 0) - (times[k] ?? 0)),
    )
    .filter((_, k) => held(k));
  const rms = Math.sqrt(off.reduce((sum, value) => sum + value * value, 0) / off.length);
  const worst = Math.max(...off.map(Math.abs));
  process.stdout.write(
    `${name}, ${range.what}: rms ${(rms * 100).toFixed(2)} %, worst ${(worst * 100).toFixed(2)} % on ${off.length} held back\n`,
  );
  return `/** Fitted to the baking model over ${kept.length} ${range.what}, batters and ovens. */
export const ${name} = {
  weights: [
${weights.map((weight) => `    ${weight.toPrecision(8)},`).join('\n')}
  ],
  /** Error against the model on samples held back from the fit, as a share: root mean square, and the worst. */
  rms: ${rms.toFixed(4)},
  worst: ${worst.toFixed(4)},
  samples: ${kept.length},
} as const;
`;
}

const head = '// Made by `npm run fit:surrogate`: do not edit.\n\n';
writeFileSync('core/process/bakeSurrogate.table.ts', head + RANGES.map(fitted).join('\n'));
