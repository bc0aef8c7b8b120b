import type { Line, RunDoc, RunFile } from '../model/documents';
import { all, choose, edit, freeId, measure, moreOf as lineOfMore, type LineAction } from '../line';
import { planRun, type LinePlan } from '../plan';
import type { ChoreDoes } from '../model/choreDoes';
import type { Chore } from '../schedule/chores/chore';
import { MORE } from './more.words';
import { portioned, type Portioning } from './portions';
import { portioningOf } from './portioningOf';
import type { Bench } from './standing';

/** One way to more pieces while the day is on: the run as it would be. Its words hold measures in braces. */
export interface More {
  readonly id: 'grow' | 'smaller' | 'apart';
  readonly words: string;
  readonly run: RunDoc;
}

/** Nobody is glad of a piece that has lost more than so much. Basis: judgement. */
const LEAST_SHARE = 0.8;

/** Chores by which the amounts of a line are settled. */
const SETTLES: ReadonlySet<ChoreDoes> = new Set<ChoreDoes>([
  'weigh-out',
  'mix',
  'make',
  'crumble',
  'bind',
  'melt',
  'coat-a',
]);

/** What is made beyond what was asked for, less what is lost. */
export const overOf = ({ line, parts }: LinePlan, lost: number): number =>
  Math.max(0, Math.floor(parts.count.made.value) - line.count - lost);

/**
 * Ways to so many more pieces of a line, the lightest first: a larger first bowl while nothing is weighed, smaller pieces of
 * the bowl that there is, a small bowl of its own. What each does to the day, the scheduler has to say.
 * @param pieces 1 or more
 */
export function waysToMore(
  file: Pick<RunFile, 'run' | 'formulas' | 'kitchen'>,
  plan: LinePlan,
  bench: Bench,
  chores: readonly Chore[],
  pieces: number,
): More[] {
  const { line } = plan;
  const mine = chores.filter(({ lineIds }) => lineIds.includes(line.id));
  const begun = ({ id }: Chore) => bench.standing.get(id)?.is !== 'open';
  const changed = (next: Line): RunDoc => ({
    ...file.run,
    lines: file.run.lines.map((one) => (one.id === line.id ? next : one)),
  });
  const known = new Set(file.run.lines.map(({ id }) => id));
  const out: More[] = [];
  if (!mine.some((chore) => SETTLES.has(chore.does) && begun(chore)))
    out.push({
      id: 'grow',
      words: MORE.grow(pieces),
      run: changed(edit(line, choose({ count: line.count + pieces }))),
    });
  else {
    const smaller = smallerEach(plan, bench, mine, pieces);
    if (smaller) {
      const { aimG, actions } = smaller;
      out.push({
        id: 'smaller',
        words: MORE.smaller(pieces, smaller.fromG, aimG),
        run: changed(edit(line, all(...actions))),
      });
    }
    const id = freeId(file.run.lines, `${line.id}-more`);
    const more = lineOfMore(line, id, pieces);
    out.push({
      id: 'apart',
      words: MORE.apart(pieces),
      run: { ...file.run, lines: [...file.run.lines, more] },
    });
  }
  // Crumb that was there is there no more: what cannot be made of what is left is not offered.
  return out.filter(({ run }) =>
    planRun({ ...file, run })
      .filter((one) => one.line.id === line.id || !known.has(one.line.id))
      .every((one) => one.planned && one.parts.count.made.value >= one.line.count),
  );
}

interface Smaller {
  readonly fromG: number;
  readonly aimG: number;
  readonly actions: readonly LineAction[];
}

/** The bowl that there is, for more: null once it is portioned, or where each would be too small. */
function smallerEach(plan: LinePlan, bench: Bench, mine: readonly Chore[], pieces: number): Smaller | null {
  const { line, parts } = plan;
  const portioning = mine.filter((chore) => chore.does === 'roll' || chore.does === 'fill');
  const [first] = portioning;
  const open = portioning.every(({ id }) => bench.standing.get(id)?.is !== 'ended');
  const of = first && open ? portioningOf(first, plan, bench.state) : null;
  if (!of || !first) return null;
  const made = Math.max(1, parts.count.made.value);
  const eachWells = of.count / made;
  const aimG = forMore(of, pieces * eachWells);
  if (aimG === null || aimG < of.portionG * LEAST_SHARE) return null;
  const count = choose({ count: line.count + pieces });
  if (parts.dough) {
    if (!('size' in line)) return null;
    // What has been baked and bound stays as it is: only the knife through it is another.
    const baked = parts.crumbBakes.flatMap(({ bowl, crumb }) => [
      measure(bowl.own.id, bowl.own.value),
      measure(crumb.id, crumb.value),
    ]);
    const size = choose({ size: { by: 'mass', massG: aimG } });
    return { fromG: of.portionG, aimG, actions: [...baked, count, size] };
  }
  if (!('fill' in line) || !parts.bowl) return null;
  const { mixed } = parts.bowl;
  const fill = choose({ fill: { by: 'mass', massG: aimG } });
  return { fromG: of.portionG, aimG, actions: [count, fill, measure(mixed.id, mixed.value)] };
}

/** What each piece of what is left weighs, with so many more of them, g; null where nothing is left. */
function forMore(of: Portioning, more: number): number | null {
  const { n, leftG } = portioned(of);
  const left = of.count - n + more;
  return left > 0 && leftG > 0 ? Math.floor((leftG / left) * 10) / 10 : null;
}
