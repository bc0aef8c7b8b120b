import type { Belief } from '../model/belief';
import type { KitchenDoc, OvenDoc, RunDoc } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { paramOf, PARAMS, scopeOf } from '../param';
import { airKnown } from '../process/oven.table';
import { SEEING } from './learn.table';
import { LOOSE, taught, TENTH, type Learned, type Taught } from './learner';

/** The kitchen without what it has learned from outcomes: what was said by hand stays. */
export const withoutLearned = <K extends Pick<KitchenDoc, 'beliefs'>>(kitchen: K): K => ({
  ...kitchen,
  beliefs: kitchen.beliefs.filter(({ learned }) => !learned),
});

/**
 * All that closed runs say, but for what was started afresh since. Of an oven's air it is held against what Kitchen says of it now.
 */
export function allEvidence(
  runs: readonly Pick<RunDoc, 'closed'>[],
  kitchen: Pick<KitchenDoc, 'anew' | 'ovens'>,
): Evidence[] {
  const { key } = PARAMS.ovenOffset;
  const said = (oven: OvenDoc) => {
    const { value, spread } = airKnown(oven);
    return { value, spread };
  };
  const ovenOf = (of: readonly string[]) => kitchen.ovens.find(({ id }) => of[0] === scopeOf('oven', id));
  const bySaid = <M extends Pick<Evidence, 'param' | 'of' | 'start'>>(one: M): M => {
    const oven = one.param === key ? ovenOf(one.of) : undefined;
    if (!oven) return one;
    return { ...one, start: said(oven) };
  };
  return toldBy(runs, kitchen).map((one): Evidence => {
    const { air, beside = [] } = one;
    const oven = ovenOf(one.of);
    // As versions before had it: of all that a time goes by, only the air was kept.
    const old =
      air && oven
        ? [{ param: key, of: one.of.slice(0, 1), was: air.saidK, start: said(oven), per: air.perK }]
        : [];
    if (one.param !== key && beside.length + old.length === 0) return one;
    return { ...bySaid(one), beside: [...beside.map(bySaid), ...old] };
  });
}

/** What closed runs teach of a kitchen. */
export const taughtBy = (
  runs: readonly Pick<RunDoc, 'closed'>[],
  kitchen: Pick<KitchenDoc, 'anew' | 'ovens'>,
  now: number,
): Taught => taught(allEvidence(runs, kitchen), now);

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

export function beliefOf(learned: Learned, all: readonly Learned[] = []): Belief {
  const { param, of, mean, seen, lastAt, ties } = learned;
  const bounds = paramOf(param);
  const spread = nextSpread(learned);
  // What a batch differs by from what was learned is tied to nothing.
  const own = spread > 0 ? learned.spread / spread : 0;
  const tied = Object.entries(ties).flatMap(([key, tie]): [string, number][] => {
    const other = all.find((one) => beliefKey(one) === key);
    const theirs = other ? other.spread / Math.max(other.spread, nextSpread(other)) : 1;
    const by = Math.max(-1, Math.min(1, tie * own * theirs));
    return Math.abs(by) < LOOSE ? [] : [[key, Number(by.toFixed(4))]];
  });
  return {
    param,
    of,
    mean: bounds ? Math.min(bounds.max, Math.max(bounds.min, mean)) : mean,
    spread,
    seen: Math.max(1, seen),
    since: dayOf(lastAt),
    learned: true,
    ...(tied.length > 0 ? { ties: Object.fromEntries(tied) } : {}),
  };
}
/** What a belief is of, in one word: its parameter and its thing. */
export const beliefKey = ({ param, of }: { readonly param: string; readonly of: string }): string =>
  `${param}@${of}`;

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
  const stated = new Set(beliefs.map(beliefKey));
  const { learned: all } = taughtBy(runs, kitchen, now);
  const learned = all.filter((one) => !stated.has(beliefKey(one))).map((one) => beliefOf(one, all));
  return { ...kitchen, beliefs: [...beliefs, ...learned] };
}
