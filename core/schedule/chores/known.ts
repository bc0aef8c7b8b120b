import type { KitchenDoc } from '../../model/documents';
import type { Chore } from './chore';
import { mixableMl } from './limits';
import { sharedBowls } from './mixedOnce';
import { AS_PLANNED, fullFirst, type Grouped } from './runWork';
import type { AskedRun, GroupedRuns, Together } from './together';

/**
 * A day as it was found last: where a search begins when something has changed. Everything in it goes by names that are
 * the same whichever of its runs is asked about, and it can be written down.
 */
export interface KnownDay {
  /** By chore, when it begins: s before the last run of the day must be ready, nothing kept in hand. */
  readonly startS: Readonly<Record<string, number>>;
  /** By run, the loads and rounds of each line, and what was mixed once for several. */
  readonly grouped: Readonly<
    Record<
      string,
      { readonly sizes: Readonly<Record<string, readonly number[]>>; readonly mixed: readonly string[] }
    >
  >;
}

/** A chore's name in every run's view of the day. */
const nameOf = ({ id, ofRun }: Pick<Chore, 'id' | 'ofRun'>, ownId: string): string =>
  ofRun === undefined ? `${ownId}:${id}` : id;

/** Writes a day down. */
export const knownOf = (
  ownId: string,
  runs: readonly AskedRun[],
  { chores }: Together,
  starts: readonly number[],
  grouped: GroupedRuns,
): KnownDay => ({
  startS: Object.fromEntries(
    chores.map((chore, i) => [nameOf(chore, ownId), Math.round(-100 * (starts[i] ?? 0)) / 100] as const),
  ),
  grouped: Object.fromEntries(
    runs.map(({ id, whole }) => {
      const { sizes, mixed } = grouped.get(id) ?? AS_PLANNED;
      const all = whole.lines.flatMap((line) =>
        line.planned ? [[line.line.id, sizes.get(line.line.id) ?? line.loads.sizes] as const] : [],
      );
      return [id, { sizes: Object.fromEntries(all), mixed: [...mixed].sort() }] as const;
    }),
  ),
});

/**
 * How its runs were grouped; null where that cannot be any more: other pieces, or more of them at once than their plan has.
 */
export function groupedAs(
  { grouped }: KnownDay,
  runs: readonly AskedRun[],
  kitchen: KitchenDoc,
): GroupedRuns | null {
  const out = new Map<string, Grouped>();
  for (const { id, whole } of runs) {
    const was = grouped[id];
    if (!was) return null;
    const bowls = sharedBowls(whole, mixableMl(kitchen)).map(({ key }) => key);
    if (!was.mixed.every((key) => bowls.includes(key))) return null;
    const sizes = new Map<string, readonly number[]>();
    for (const plan of whole.lines) {
      if (!plan.planned) continue;
      const own = was.sizes[plan.line.id];
      const { sizes: now } = plan.loads;
      const most = Math.max(...now, ...fullFirst(plan, kitchen));
      if (!own || sum(own) !== sum(now) || Math.max(...own) > most) return null;
      if (own.join() !== now.join()) sizes.set(plan.line.id, own);
    }
    out.set(id, { sizes, mixed: new Set(was.mixed) });
  }
  return out;
}

const sum = (sizes: readonly number[]): number => sizes.reduce((all, one) => all + one, 0);

/** When the chores of a day began in a known one; null where one of them is new. */
export function startsAs({ startS }: KnownDay, ownId: string, { chores }: Together): number[] | null {
  const starts: number[] = [];
  for (const chore of chores) {
    const before = startS[nameOf(chore, ownId)];
    if (before === undefined) return null;
    starts.push(before === 0 ? 0 : -before);
  }
  return starts;
}
