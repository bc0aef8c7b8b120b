/** Speed as medians of one run on one machine, and as ratios, which travel better between machines than milliseconds. */
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { readRunFile } from '../core/exchange/read';
import { Readings, readFormula } from '../core/formula';
import { planRun, planWhole } from '../core/plan';
import { roundAs } from '../core/piece';
import { bakeModel, type BakeModelInput } from '../core/process/bakeModel';
import { bakeInsideS } from '../core/process/bakeSurrogate';
import { FAMILY_FILES } from '../demo/families';
import { sheetOf, workbookOf } from './workbook';

const TWELVE = 'plan of twelve lines of all families, shared bowls and all';
const BOOK = 'the same sums in a workbook, every root changed';

/** Most memory that the headless command takes on a file, MB: what Node itself says at its end. */
function peakMemoryMb(path: string): number {
  const done = spawnSync('node_modules/.bin/tsx', ['tools/sums.ts', path], {
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '--require=./tools/peak-memory.cjs' },
    maxBuffer: 1e8,
  });
  const peaks = [...done.stderr.matchAll(/^peak (\d+) kB$/gm)].map((match) => Number(match[1]));
  if (peaks.length === 0) throw new Error('invariant: the command says how much it took');
  return Math.round(Math.max(...peaks) / 1000);
}

function medianMs(times: number, work: () => void): number {
  for (let i = 0; i < Math.min(300, times); i += 1) work();
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
const evening = FAMILY_FILES.evening;
if (!evening) throw new Error('invariant: the demo has an evening');
// As in the app: formulas are read once, and lines are planned anew.
const readings = new Readings();
const plans = planWhole(evening).lines.flatMap((line) => (line.planned ? [line] : []));
if (plans.length !== 12) throw new Error('invariant: twelve lines of all families');
const oneLine = medianMs(600, () => void planRun({ run, formulas, kitchen }, null, null, readings));
// Before the workbook fills the memory, and often enough that the engine has seen it as often as in an hour of typing.
const twelve = medianMs(600, () => void planWhole(evening, null, null, readings));
const sheets = plans.map((plan) => sheetOf(plan.line.id, plan));
const book = workbookOf(sheets);
let shift = 1;
/** Every root of every line a little off, and all of the workbook reckoned anew. */
function workbookAnew(): void {
  shift = shift === 1 ? 1 + 1e-9 : 1;
  book.batch(() => {
    sheets.forEach(({ figures, roots }, sheet) => {
      for (const { row } of roots)
        book.setCellContents({ sheet, row, col: 0 }, [[(figures[row]?.value ?? 0) * shift]]);
    });
  });
}

let turn = 0;
const results = {
  'ten thousand sines (the yardstick)': oneSine,
  'plan of one line, all figures and ranges': oneLine,
  [TWELVE]: twelve,
  [BOOK]: medianMs(15, workbookAnew),
  'a formula of ten new lines read': medianMs(200, () => {
    turn += 1;
    readFormula({ text: text.replace(/^/gm, `${turn % 90}`), measures: 'us', takenFor: {} }, null);
  }),
  'oven model, one standard piece': medianMs(15, () => void bakeModel(PIECE)),
  'oven model, a 23 × 33 cm sheet': medianMs(15, () => void bakeModel(SHEET)),
  'quick form of it, a hundred times': medianMs(200, () => {
    for (let i = 0; i < 100; i += 1) bakeInsideS({ ...PIECE, massG: 40 + i / 10 });
  }),
};

for (const [name, ms] of Object.entries(results)) {
  process.stdout.write(
    `${ms.toFixed(3).padStart(9)} ms  ×${(ms / oneSine).toFixed(2).padStart(8)}  ${name}\n`,
  );
}
const times = results[BOOK] / results[TWELVE];
process.stdout.write(`the workbook takes ×${times.toFixed(1)} as long as the plan\n`);
book.destroy();
process.stdout.write(
  `${peakMemoryMb('demo/evening.run.json')} MB at most, headless command on twelve lines\n`,
);
