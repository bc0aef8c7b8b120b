/** Speed as medians of one run on one machine, and as ratios, which travel better between machines than milliseconds. */
import { readFileSync } from 'node:fs';
import { readRunFile } from '../core/exchange/read';
import { readFormula } from '../core/formula';
import { planRun } from '../core/plan';
import { bakeModel, roundAs, type BakeModelInput } from '../core/process/bakeModel';
import { bakeSurrogateS } from '../core/process/bakeSurrogate';

function medianMs(times: number, work: () => void): number {
  for (let i = 0; i < Math.min(20, times); i += 1) work();
  const samples = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return samples[Math.floor(times / 2)] ?? NaN;
}

const PIECE: BakeModelInput = {
  pan: { baseRadiusM: 0.026, topRadiusM: 0.035, depthM: 0.036 },
  massG: 48,
  batterDensity: 0.9,
  cakeDensity: 0.43,
  lossShare: 0.1,
  airC: 175,
  batterC: 21,
  doneC: 97,
};
const SHEET: BakeModelInput = { ...PIECE, pan: roundAs(0.23, 0.33, 0.05), massG: 1150, lossShare: 0.09 };

const read = readRunFile(JSON.parse(readFileSync('demo/cupcakes.run.json', 'utf8')));
if (!read.ok) throw new Error(read.faults[0]?.fault);
const { run, formulas, kitchen } = read.value;
const text = formulas[0]?.text ?? '';

const oneSine = medianMs(200, () => {
  let sum = 0;
  for (let i = 0; i < 10_000; i += 1) sum += Math.sin(i);
  if (sum === Infinity) throw new Error();
});
let turn = 0;
const results = {
  'ten thousand sines (the yardstick)': oneSine,
  'plan of one line, all figures and ranges': medianMs(200, () => void planRun({ run, formulas, kitchen })),
  'a formula of ten new lines read': medianMs(200, () => {
    turn += 1;
    readFormula({ text: text.replace(/^/gm, `${turn % 90}`), measures: 'us', takenFor: {} });
  }),
  'oven model, one standard piece': medianMs(15, () => void bakeModel(PIECE)),
  'oven model, a 23 × 33 cm sheet': medianMs(15, () => void bakeModel(SHEET)),
  'quick form of it, a hundred times': medianMs(200, () => {
    for (let i = 0; i < 100; i += 1) bakeSurrogateS({ ...PIECE, massG: 40 + i / 10 });
  }),
};

for (const [name, ms] of Object.entries(results)) {
  process.stdout.write(
    `${ms.toFixed(3).padStart(9)} ms  ×${(ms / oneSine).toFixed(2).padStart(7)}  ${name}\n`,
  );
}
