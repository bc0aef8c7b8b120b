import { localOf, minutesOf, type ClockChange } from '../../model/localTime';
import type { KitchenDoc } from '../../model/documents';
import type { RunPlan } from '../../plan';
import type { Chore } from './chore';
import { promisedFirst, type PackedLine } from './promised';
import { runWork, type Grouped } from './runWork';

/** A run as a day of its kitchen has it. */
export interface AskedRun {
  readonly id: string;
  readonly whole: RunPlan;
  /** Local time by which all is packed. */
  readonly readyAt: string;
  /** Parts that are made so many days before, by their id. */
  readonly ahead?: Readonly<Record<string, number>> | undefined;
  /** Chores that somebody holds at a time, by their id: minutes before the run must be ready. */
  readonly held?: Readonly<Record<string, number>> | undefined;
}

/** The work of all runs that share a kitchen's day. */
export interface Together {
  readonly chores: readonly Chore[];
  /** By chore, when its run must be ready, s after the last of them: 0 or less. */
  readonly dueS: readonly number[];
  /** The last time at which one of them must be ready, minutes as `minutesOf`. */
  readonly lastMin: number;
  /** When what is asked about must be ready, s after the last: 0 or less. */
  readonly ownDueS: number;
  /** By part, when it has to be made, and by chore, when somebody holds it: s after the last. */
  readonly madeByS: ReadonlyMap<string, number>;
  readonly heldS: ReadonlyMap<string, number>;
}

/** Runs that must be ready no further apart than this are worked in one day. Basis: half a day. */
const ONE_DAY_S = 12 * 3600;

/** By run, how its lines are grouped where not as planned. */
export type GroupedRuns = ReadonlyMap<string, Grouped>;

/**
 * Chores of a run and of those beside it, in an order that is the same whichever of them is asked about: so each sees the
 * same day. Those of others go by names of their own.
 */
export function together(
  own: AskedRun,
  beside: readonly AskedRun[],
  kitchen: KitchenDoc,
  changes: readonly ClockChange[] | undefined,
  grouped: GroupedRuns = new Map(),
): Together {
  const runs = [own, ...beside].sort(
    (a, b) => a.readyAt.localeCompare(b.readyAt) || (a.id < b.id ? -1 : Number(a.id > b.id)),
  );
  const readyMin = ({ readyAt }: AskedRun) => minutesOf(readyAt, changes);
  const lastMin = Math.max(...runs.map(readyMin));
  const chores: Chore[] = [];
  const dueS: number[] = [];
  const madeByS = new Map<string, number>();
  const heldS = new Map<string, number>();
  const packed: PackedLine[] = [];
  const dueOf = new Map<PackedLine, number>();
  for (const run of runs) {
    const due = (readyMin(run) - lastMin) * 60;
    const name = (id: string) => (run === own ? id : `${run.id}:${id}`);
    const { chores: work, packed: lines } = runWork(run.whole, kitchen, grouped.get(run.id), run.ahead);
    for (const { plan, lineId, packId } of lines) {
      const line = { plan, lineId: name(lineId), packId: name(packId) };
      packed.push(line);
      dueOf.set(line, due);
    }
    for (const chore of work) {
      chores.push(run === own ? chore : renamed(chore, run.id, name));
      dueS.push(due);
    }
    for (const [id, min] of Object.entries(run.held ?? {})) heldS.set(name(id), due - min * 60);
    for (const [id, atMin] of madeBy(run, work, kitchen, changes))
      madeByS.set(name(id), (atMin - lastMin) * 60);
  }
  const ordered = promisedFirst(
    chores,
    packed,
    ({ part }) => part !== null && madeByS.has(part.id),
    (a, b) => Math.abs((dueOf.get(a) ?? 0) - (dueOf.get(b) ?? 0)) < ONE_DAY_S,
  );
  return { chores: ordered, dueS, lastMin, ownDueS: (readyMin(own) - lastMin) * 60, madeByS, heldS };
}

const renamed = (chore: Chore, ofRun: string, name: (id: string) => string): Chore => ({
  ...chore,
  id: name(chore.id),
  lineIds: chore.lineIds.map(name),
  after: chore.after.map((gap) => ({ ...gap, chore: name(gap.chore) })),
  holds: chore.holds.map((hold) => (hold.until === undefined ? hold : { ...hold, until: name(hold.until) })),
  part: chore.part && { ...chore.part, id: name(chore.part.id) },
  ofRun,
});

/** When parts that are made ahead have to be done, min: in the evening of their day. */
function madeBy(
  { ahead = {}, readyAt }: AskedRun,
  chores: readonly Chore[],
  kitchen: KitchenDoc,
  changes: readonly ClockChange[] | undefined,
): Map<string, number> {
  const ready = minutesOf(readyAt, changes);
  const { restFrom = '22:00' } = kitchen;
  const out = new Map<string, number>();
  for (const { part } of chores) {
    const days = part ? Math.min(ahead[part.id] ?? 0, part.keepsDays) : 0;
    if (!part || days <= 0) continue;
    const date = localOf(ready - days * 1440, changes).slice(0, 10);
    out.set(part.id, minutesOf(`${date}T${restFrom}`, changes));
  }
  return out;
}
