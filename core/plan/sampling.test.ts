import { FAMILY_FILES } from '../../demo/families';
import type { Sampling } from '../figure';
import { planRun, type LinePlan, type PlannedLine } from '.';

const EVENING = FAMILY_FILES.evening;
if (!EVENING) throw new Error('the demo has an evening');

/** A small repeatable generator, so that the check never depends on luck. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
}

const DRAWS = 800;
/** Sampled ends lie so near to the reckoned ones, as a share of the spread. */
const NEAR = 0.125;
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());

function plannedOf(line: PlannedLine | undefined): LinePlan {
  if (!line?.planned) throw new Error(line?.fault.fault ?? 'no line');
  return line;
}

/** Figures whose sums bend at a bound within their range: first-order ranges are not meant for them. */
const BENT =
  /^(count|wells|rounds|loads|sheet\.count|micro\.bowls)\b|\.drops$|^pot\.\d\.(melt|pool|saved|thinner|chocolate)$/;

describe.each(EVENING.run.lines.map((line) => [line.id, line] as const))('ranges of %s', (_, line) => {
  const file = { ...EVENING, run: { ...EVENING.run, lines: [line] } };
  const plan = plannedOf(planRun(file)[0]);
  const decided = new Map(plan.figures.map(({ id, value }) => [id, value]));
  const random = seeded(11);
  /** One drawing: what figures share moves them together. */
  const sampling = (): Sampling => {
    const drawn = new Map<string, number>();
    return {
      // From the 10th to the 90th percentile of a normal is 2.563 standard deviations.
      root: (key, value, spread) => {
        const by = drawn.get(key) ?? normal(random);
        drawn.set(key, by);
        return value + (spread / 1.28155) * by;
      },
      held: (id) => decided.get(id),
    };
  };
  const draws = Array.from({ length: DRAWS }, () => plannedOf(planRun(file, sampling())[0]));

  it('agree with sampling within an eighth of the spread, for every figure that has a range', () => {
    const off = plan.figures.flatMap((figure) => {
      const width = figure.high - figure.low;
      if (BENT.test(figure.id) || width <= 1e-3 * Math.abs(figure.value)) return [];
      // There is no less than nothing: where a range ends at nought, what is drawn below it lies there.
      const least = figure.low === 0 ? 0 : -Infinity;
      const values = draws.map((draw) => Math.max(draw.figure(figure.id).value, least)).sort((a, b) => a - b);
      const low = (values[Math.floor(DRAWS * 0.1)] ?? NaN) - figure.low;
      const high = (values[Math.floor(DRAWS * 0.9)] ?? NaN) - figure.high;
      return Math.max(Math.abs(low), Math.abs(high)) / width < NEAR
        ? []
        : [`${figure.id}: ${(low / width).toFixed(2)} ${(high / width).toFixed(2)}`];
    });
    expect(off).toEqual([]);
  });
});
