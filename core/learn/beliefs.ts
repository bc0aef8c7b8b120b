import type { Belief } from '../model/belief';
import type { KitchenDoc, RunDoc } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { paramOf, PARAMS, scopeOf } from '../param';
import { airKnown } from '../process/oven.table';
import { SEEING } from './learn.table';
import { learn, TENTH, type Learned } from './learner';

/** The kitchen without what it has learned from outcomes: what was said by hand stays. */
export const withoutLearned = <K extends Pick<KitchenDoc, 'beliefs'>>(kitchen: K): K => ({
  ...kitchen,
  beliefs: kitchen.beliefs.filter(({ learned }) => !learned),
});

/** All that closed runs say, but for what was started afresh since, held against what is known of each oven's air by now. */
export const allEvidence = (
  runs: readonly Pick<RunDoc, 'closed'>[],
  kitchen: Pick<KitchenDoc, 'anew' | 'ovens'>,
): Evidence[] => byAir(toldBy(runs, kitchen), kitchen);

/**
 * Outcomes of ovens as they would have come with their air as it is known by now: a bake that was quick because the oven runs hot
 * would be quick a second time, once the dial is set lower for it. Readings are held against what Kitchen says of the oven.
 */
function byAir(evidence: readonly Evidence[], { ovens }: Pick<KitchenDoc, 'ovens'>): Evidence[] {
  const ovenOf = (of: readonly string[]) => ovens.find(({ id }) => of[0] === scopeOf('oven', id));
  const held = evidence.map((one): Evidence => {
    const oven = one.param === PARAMS.ovenOffset.key ? ovenOf(one.of) : undefined;
    return oven ? { ...one, start: pick(airKnown(oven)) } : one;
  });
  if (!held.some(({ air }) => air)) return held;
  const reads = held.filter(({ param }) => param === PARAMS.ovenOffset.key);
  const known = learn(reads, Math.max(0, ...reads.map(({ at }) => at)));
  return held.map((one): Evidence => {
    if (!one.air) return one;
    const airK = known.find(({ of }) => of === one.of[0])?.mean ?? ovenOf(one.of)?.offsetC ?? 0;
    const by = Math.exp(-one.air.perK * (airK - one.air.saidK));
    return {
      ...one,
      low: one.low === null ? null : one.low * by,
      high: one.high === null ? null : one.high * by,
    };
  });
}
const pick = ({ value, spread }: { readonly value: number; readonly spread: number }) => ({ value, spread });

function toldBy(
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
