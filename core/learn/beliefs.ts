import type { Belief } from '../model/belief';
import type { KitchenDoc, RunDoc } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { paramOf } from '../param';
import { SEEING } from './learn.table';
import { learn, TENTH, type Learned } from './learner';

/** The kitchen without what it has learned from outcomes: what was said by hand stays. */
export const withoutLearned = <K extends Pick<KitchenDoc, 'beliefs'>>(kitchen: K): K => ({
  ...kitchen,
  beliefs: kitchen.beliefs.filter(({ learned }) => !learned),
});

/** All that closed runs say, but for what was started afresh since. */
export function allEvidence(
  runs: readonly Pick<RunDoc, 'closed'>[],
  { anew = {} }: Pick<KitchenDoc, 'anew'>,
): Evidence[] {
  const all = runs.flatMap(({ closed }) => closed?.evidence ?? []);
  if (Object.keys(anew).length === 0) return all;
  return all.filter(({ param, of, at }) => at > (anew[`${param}@${of[0] ?? ''}`] ?? -Infinity));
}

/** The local day of a moment, as well as it is known without a clock of the place: that of Greenwich. */
const dayOf = (at: number): string => new Date(at).toISOString().slice(0, 10);

/**
 * How far the next batch may be off what was learned, in the parameter's unit: by what is not known of the thing, and by what
 * one batch differs from another whatever is known. A plan is for a batch; never wider than it began.
 */
export function nextSpread({ param, mean, spread, start }: Learned): number {
  const seeing = SEEING[param];
  if (!seeing) return spread;
  const scale = seeing.on === 'log' ? mean : 1;
  const first = seeing.on === 'log' && start.value > 0 ? (start.spread / start.value) * mean : start.spread;
  return Math.max(
    spread,
    Math.min(first, Math.hypot(spread, TENTH * (seeing.beyond ?? seeing.noise) * scale)),
  );
}

export const beliefOf = (learned: Learned): Belief => {
  const { param, of, mean, seen, lastAt, with: seenWith } = learned;
  const bounds = paramOf(param);
  return {
    param,
    of,
    mean: bounds ? Math.min(bounds.max, Math.max(bounds.min, mean)) : mean,
    spread: nextSpread(learned),
    seen,
    since: dayOf(lastAt),
    learned: true,
    ...(seenWith.length > 0 ? { with: [...seenWith] } : {}),
  };
};

/**
 * The kitchen with what its closed runs teach, and nothing of what they no longer do. What somebody has set by hand stands.
 * @param now ms since the epoch
 */
export function withLearned(
  kitchen: KitchenDoc,
  runs: readonly Pick<RunDoc, 'closed'>[],
  now: number,
): KitchenDoc {
  const { beliefs } = withoutLearned(kitchen);
  const stated = new Set(beliefs.map(({ param, of }) => `${param}@${of}`));
  const learned = learn(allEvidence(runs, kitchen), now)
    .filter(({ param, of }) => !stated.has(`${param}@${of}`))
    .map(beliefOf);
  return { ...kitchen, beliefs: [...beliefs, ...learned] };
}
