import { choose, edit } from '../line';
import type { RunDoc } from '../model/documents';
import { stageOf } from '../process/stages';
import type { Chore } from '../schedule/chores/chore';
import { goingOn, type BenchState } from './log';

/**
 * How many good pieces of a line there are, or will be: as it was closed, else what its bowl came to, less what is lost.
 * @param planned as the plan has it
 */
export function goodOf(
  { closed, lines }: Pick<RunDoc, 'closed' | 'lines'>,
  state: Pick<BenchState, 'lost' | 'counted' | 'closedLines'>,
  lineId: string,
  planned: number,
): number {
  const own = state.closedLines.get(lineId)?.made;
  if (own !== undefined) return own;
  return closed && lines.length === 1 ? closed.made : goingOn(state, lineId, planned);
}

/**
 * A run for as many pieces as go on: what is still to be finished, packed and labelled is for these. The run itself where
 * that is what was planned.
 * @param planned pieces by line, as the plan has them; null for a line that cannot be planned
 */
export function runGoingOn(
  run: RunDoc,
  state: Pick<BenchState, 'lost' | 'counted' | 'closedLines'>,
  planned: (lineId: string) => number | null,
): RunDoc {
  const lines = run.lines.map((line) => {
    const made = planned(line.id);
    if (made === null) return line;
    const good = Math.max(1, goodOf(run, state, line.id, Math.round(made)));
    return good === Math.round(made) ? line : edit(line, choose({ count: good }));
  });
  return lines.every((line, i) => line === run.lines[i]) ? run : { ...run, lines };
}

/** Whether a step is done for the pieces that go on: finishing, and what is made for it. What is baked is baked for all. */
export const isForThoseGoingOn = (chore: Chore): boolean => {
  const stage = stageOf(chore);
  return stage === 'coat' || stage === 'finish' || stage === 'clear' || chore.does === 'make';
};
