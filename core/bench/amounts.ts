import type { ChoreDoes } from '../model/choreDoes';
import type { Batch, LinePlan, RunPlan } from '../plan';
import { madeLines } from '../plan/bowls';
import type { Chore } from '../schedule/chores/chore';
import { mlOf } from '../schedule/mixes';

/** What a chore is done with: bowls weighed out by formula, and figures of its lines. */
export interface Amounts {
  /** With the share of each that goes into this bowl, where lines that share it mix theirs apart. */
  readonly batches: readonly { readonly batch: Batch; readonly share: number }[];
  readonly figures: readonly { readonly lineId: string; readonly id: string }[];
}

/** By what is done, the figures that are wanted beside it, in order. */
const FIGURES: Readonly<Partial<Record<ChoreDoes, RegExp>>> = {
  fill: /^(portion\.mass|scoop\.mass|layer\.mass|fill\.belowRim|binder\.each)$/,
  load: /^(oven\.setting|bake\.firstLook|bake\.time)$/,
  bake: /^(sheet\.mass|oven\.setting|bake\.firstLook|bake\.time)$/,
  group: /^(micro\.setting|micro\.firstLook|micro\.time|micro\.stand)$/,
  crumble: /^crumb\.total$/,
  bind: /^(crumb\.total|binder\.first|binder\.need)$/,
  roll: /^(portion\.given|portion\.mass|ball\.diameter)$/,
  melt: /^pot\.\d+\.(melt|thinner)$/,
  dip: /^(coat\.each|coat\.mm|lot\.\d+\.topping\.\d+\.each)$/,
  'coat-a': /^shell\.first$/,
  'coat-b': /^shell\.second$/,
  back: /^shell\.back$/,
  cut: /^(piece\.length|piece\.width|cut\.trim)$/,
  'fill-in': /^(filling\.each|core\.removed|filling\.mm)$/,
  colour: /^lot\.(\d+|rest)\.(frosting|gel)$/,
  frost: /^(frosting\.each|lot\.\d+\.topping\.\d+\.each)$/,
  top: /^lot\.\d+\.topping\.\d+\.each$/,
  pack: /^(piece\.mass|finished\.total)$/,
};

/** Whose bowl is weighed out in a chore. */
const WEIGHED: ReadonlySet<ChoreDoes> = new Set<ChoreDoes>(['weigh-out', 'mix', 'make']);

/** What a chore is done with. A bowl that is weighed out and mixed is told where it is weighed out. */
export function amountsOf(chore: Chore, chores: readonly Chore[], whole: RunPlan): Amounts {
  const { does } = chore;
  const plans = whole.lines.flatMap((line) =>
    line.planned && chore.lineIds.includes(line.line.id) ? [line] : [],
  );
  if (does === 'make') {
    const made = (whole.components?.batches ?? []).filter((one) => one.id === chore.makes);
    return { batches: made.map((batch) => ({ batch, share: 1 })), figures: [] };
  }
  // A bowl is told where it is weighed: apart from mixing where all its lines do that together.
  const same = (one: Chore) => one.lineIds.join() === chore.lineIds.join();
  const apart = chores.some((one) => one.does === 'weigh-out' && same(one));
  const sharedMix = chores.some(
    (one) => one.does === 'mix' && !same(one) && chore.lineIds.every((id) => one.lineIds.includes(id)),
  );
  const told = does === 'weigh-out' ? !sharedMix : WEIGHED.has(does) && !apart;
  // A line that mixes several bowls weighs each for itself: what is weighed apart is the first of them.
  const mixes = chores.filter((one) => one.does === 'mix' && same(one) && one.bake === chore.bake);
  const at = does === 'weigh-out' ? 0 : mixes.findIndex(({ id }) => id === chore.id);
  const several = WEIGHED.has(does) && at >= 0 && mixes.length > 1;
  const part = several ? mlOf(mixes[at] ?? chore) / mixes.reduce((sum, one) => sum + mlOf(one), 0) : 1;
  const batches =
    told || (several && at > 0) ? onceEach(plans.flatMap((plan) => batchesFor(plan, chore, whole))) : [];
  const wanted = FIGURES[does];
  return {
    batches: batches.map(({ batch, share }) => ({ batch, share: share * part })),
    figures: wanted ? plans.flatMap((plan) => figuresOf(plan, wanted)) : [],
  };
}

/** Of a line with several bakes, the bowl of this one. */
function batchesFor(plan: LinePlan, { bake, lineIds }: Chore, whole: RunPlan): Amounts['batches'] {
  const { crumbBakes, bowl } = plan.parts;
  const baked = crumbBakes.find((one) => one.prefix === (bake ?? ''));
  const part = baked?.bowl ?? bowl;
  const base = part?.split?.base ?? part;
  const mixedApart = base && lineIds.length === 1 && sharesBowl(plan, whole);
  const share = mixedApart ? base.own.value / base.mixed.value : 1;
  return (baked ? [baked.batch] : plan.batches).map((batch) => ({
    batch,
    // What is stirred into one line's part is that line's alone.
    share: batch.into === undefined ? share : 1,
  }));
}

/** Whether another line of which something is made takes from a bowl of this one. */
function sharesBowl({ line, batches }: LinePlan, whole: RunPlan): boolean {
  const formulas = new Set(batches.map(({ formula }) => formula.id));
  return madeLines(whole).some(
    (other) => other.line.id !== line.id && other.batches.some(({ formula }) => formulas.has(formula.id)),
  );
}

/** A bowl that lines share stands with each of them: it is told once. */
const onceEach = (some: Amounts['batches']): Amounts['batches'] => [
  ...new Map(some.map((one) => [`${one.batch.id}:${one.batch.formula.id}`, one])).values(),
];

function figuresOf(plan: LinePlan, wanted: RegExp): { readonly lineId: string; readonly id: string }[] {
  const ids = plan.sections.flatMap(({ hero, few, rows }) => [hero, ...few, ...rows]);
  const shown = ids.filter(({ id, value }) => wanted.test(id) && value !== 0);
  return [...new Set(shown.map(({ id }) => id))].map((id) => ({ lineId: plan.line.id, id }));
}
