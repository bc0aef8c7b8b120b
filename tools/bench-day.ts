/**
 * The day's solver: against optima proved by an integer program, in time, against the simplest order, and how true its
 * chances are. Times as ratios too: machines differ.
 */
import { FAMILY_FILES } from '../demo/families';
import { planWhole } from '../core/plan';
import { dayOfRun, problemOf, workOf } from '../core/schedule/chores';
import {
  backwards,
  breachesOf,
  firstBackwards,
  forwards,
  simulated,
  triesFor,
  type Doubt,
  type Problem,
} from '../core/schedule/solver';
import { STEP_S, largeDay, smallDay } from '../core/schedule/solver/test-utils/instances';
import { provedSpan } from './provedDay';

const INSTANCES = 14;
const LIMIT_S = 120;

const say = (text: string) => process.stdout.write(`${text}\n`);
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

function medianMs(times: number, work: () => void): number {
  const samples = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return samples[Math.floor(times / 2)] ?? NaN;
}

const sinesMs = medianMs(200, () => {
  let sum = 0;
  for (let i = 0; i < 10_000; i += 1) sum += Math.sin(i);
  if (sum === Infinity) throw new Error();
});

async function againstProof(): Promise<void> {
  say('Small days against the proved shortest (HiGHS), 3000 orders');
  const gaps: number[] = [];
  for (let seed = 1; seed <= INSTANCES; seed += 1) {
    const problem = smallDay(seed);
    const found = backwards(problem, { seed: 1, tries: 3000, by: ({ spanS }) => spanS });
    if (!found || breachesOf(problem, found.starts).length > 0) throw new Error(`no day for seed ${seed}`);
    const steps = Math.round(found.worth.spanS / STEP_S);
    const proof = await provedSpan(problem, STEP_S, steps, LIMIT_S);
    if (!proof.proved) {
      say(`  ${seed}: ${problem.jobs.length} tasks, not proved in ${LIMIT_S} s`);
      continue;
    }
    gaps.push(steps / proof.steps - 1);
    say(
      `  ${seed}: ${problem.jobs.length} tasks, ${steps} of ${proof.steps} steps, ${percent(steps / proof.steps - 1)} over`,
    );
  }
  const mean = gaps.reduce((sum, one) => sum + one, 0) / gaps.length;
  say(
    `  ${gaps.length} proved: ${percent(mean)} over in the mean (wanted 1 %), ${percent(Math.max(...gaps))} at most (wanted 5 %)`,
  );
}

const timed = <T>(work: () => T): { readonly ms: number; readonly result: T } => {
  const start = performance.now();
  const result = work();
  return { ms: performance.now() - start, result };
};
const told = (name: string, ms: number, wanted: string) =>
  say(`  ${name}: ${ms.toFixed(0)} ms (wanted ${wanted}), ${(ms / sinesMs).toFixed(0)} × ten thousand sines`);

/** What is left an hour into a day, one task running half an hour late: the rest anew from where it stands. */
function replan(problem: Problem, starts: readonly number[]): number {
  const begin = Math.min(...starts);
  const now = begin + 3600;
  const late = problem.jobs.findIndex(
    ({ lengthS }, i) => (starts[i] ?? 0) < now && (starts[i] ?? 0) + lengthS > now,
  );
  const jobs = problem.jobs.map((job, i) => {
    const at = (starts[i] ?? 0) - now;
    if (i === late) return { ...job, fixedS: at, lengthS: job.lengthS + 1800 };
    return at < 0 ? { ...job, fixedS: at } : { ...job, notBeforeS: 0 };
  });
  // What had begun may have run over its longest gap by then.
  const free = jobs.map((job, i) => ({
    ...job,
    after: job.after.map((gap) => (i === late || gap.job === late ? { ...gap, mostS: null } : gap)),
  }));
  const rest: Problem = { ...problem, jobs: free };
  const from = starts.map((at) => at - now);
  return timed(() => {
    if (!forwards(rest, { seed: 1, tries: 20, from }))
      throw new Error('what is left of the day comes together');
  }).ms;
}

function inTime(): void {
  say(`Times (ten thousand sines: ${sinesMs.toFixed(2)} ms)`);
  const file = FAMILY_FILES.evening;
  if (!file) throw new Error('the demo has an evening');
  const whole = planWhole(file);
  const chores = workOf(whole, file.kitchen);
  const { problem } = problemOf(chores, file.kitchen, []);
  say(`The evening of ${file.run.lines.length} lines, ${problem.jobs.length} tasks`);
  const first = timed(() => firstBackwards(problem));
  told('a first day', first.ms, '150 ms');
  const last = timed(() => backwards(problem, { seed: 1, tries: triesFor(problem.jobs.length) }));
  told('the final day', last.ms, '1500 ms');
  told(
    'all of it, with 1000 days simulated',
    timed(() => dayOfRun({ whole, kitchen: file.kitchen, readyAt: file.run.readyAt })).ms,
    'no figure',
  );
  if (!first.result || !last.result) throw new Error('the evening comes together');
  const replans = Array.from({ length: 7 }, () => replan(problem, last.result?.starts ?? [])).sort(
    (a, b) => a - b,
  );
  told('what is left after a late task', replans[3] ?? NaN, '200 ms');
  const hours = (s: number) => `${(s / 3600).toFixed(1)} h`;
  say(
    `  against the simplest backward order: ${hours(first.result.worth.spanS)} becomes ${hours(last.result.worth.spanS)}, ${percent(1 - last.result.worth.spanS / first.result.worth.spanS)} shorter; squeezes ${first.result.worth.squeezes} become ${last.result.worth.squeezes}`,
  );
  const long = threeDays();
  const days = timed(() => backwards(long, { seed: 1, tries: triesFor(long.jobs.length) }));
  if (!days.result || breachesOf(long, days.result.starts).length > 0)
    throw new Error('three days come together');
  say(`Three days, ${long.jobs.length} tasks, nights closed`);
  told('the final plan', days.ms, '10 s');
}

/** Lines enough for three days, with nights in which nobody works. */
function threeDays(): Problem {
  const problem = largeDay(11, 30);
  const night = (k: number) => [-(k + 1) * 86_400 + 6 * 3600, -(k + 1) * 86_400 + 14.5 * 3600] as const;
  return {
    ...problem,
    resources: problem.resources.map((one) =>
      one.id === 'hands' ? { ...one, units: 1, closed: [0, 1, 2, 3, 4, 5].map(night) } : one,
    ),
  };
}

function calibration(): void {
  say('How true "nine days in ten" is: 2000 other days of each');
  const shares = Array.from({ length: 10 }, (_, i) => {
    const problem = i < 5 ? smallDay(40 + i) : largeDay(40 + i, 3);
    const doubts = problem.jobs.map(({ onFeet, holds }): Doubt => ({
      cause: onFeet ? 'hands' : holds.length > 0 ? 'oven' : 'room',
      shared: onFeet ? 0.12 : 0.1,
      own: 0.12,
    }));
    const found = backwards(problem, { seed: 1, tries: 200 });
    if (!found) throw new Error('every day comes together');
    const { marginS } = simulated(problem, found.starts, doubts, { seed: 7, days: 1000, sure: 0.9 });
    return simulated(problem, found.starts, doubts, { seed: 1000 + i, days: 2000, sure: 0.9 }).inTime(
      marginS,
    );
  });
  say(`  ${shares.map(percent).join(', ')}`);
  say(`  least ${percent(Math.min(...shares))}, most ${percent(Math.max(...shares))} (wanted 87 to 93 %)`);
}

void (async () => {
  inTime();
  calibration();
  await againstProof();
})();
