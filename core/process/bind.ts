import {
  BINDER_FACTOR,
  BIND_MODEL,
  BIND_SCHOOLS,
  BIND_STEP_G,
  CRUMB_FACTOR,
  FIRST_ADDITION,
  type BindSchool,
  type BinderKind,
  type CrumbKind,
} from './bind.table';

export interface BindInput {
  /** Crumb in the bowl, g, by kind: mixed crumb is the sum of its parts. */
  readonly crumb: readonly { readonly kind: CrumbKind; readonly massG: number }[];
  /** Frosting that came with leftover cake and is in the crumb already, g of buttercream's worth. */
  readonly alreadyG: number;
  readonly binder: BinderKind;
  readonly school: BindSchool;
  /** What the logbook has found: what was needed over what was reckoned. 1 where nothing is known. */
  readonly learned: number;
}

export interface BindPlan {
  /** Binder to add in all, g, with its likely range. */
  readonly needG: number;
  readonly lowG: number;
  readonly highG: number;
  readonly firstG: number;
  /** Additions after the first, g, up to the upper end of the range: stop as soon as the test is met. */
  readonly stepsG: readonly number[];
  readonly doughG: number;
}

/** Binder that crumb takes up in a school, g of that binder: share × crumb factor × binder factor. Basis: typical. */
export function binderNeedG({ crumb, binder, school, learned }: Omit<BindInput, 'alreadyG'>): number {
  const share = BIND_SCHOOLS[school].share * BINDER_FACTOR[binder] * learned;
  return crumb.reduce((sum, { kind, massG }) => sum + massG * CRUMB_FACTOR[kind] * share, 0);
}

/** How to bind a bowl of crumb: a first addition that cannot be too much, then steps with a test between. */
export function planBind(input: BindInput): BindPlan {
  const already = input.alreadyG * BINDER_FACTOR[input.binder];
  const whole = binderNeedG(input);
  const needG = Math.max(whole - already, 0);
  const highG = Math.max(whole * (1 + BIND_MODEL.spread) - already, 0);
  const firstG = needG * FIRST_ADDITION;
  const stepsG: number[] = [];
  for (let added = firstG; added < highG - 1e-9 && needG > 0;) {
    const fine = added + BIND_STEP_G.spoon > needG * BIND_STEP_G.fineFrom;
    const step = Math.min(fine ? BIND_STEP_G.teaspoon : BIND_STEP_G.spoon, highG - added);
    stepsG.push(step);
    added += step;
  }
  const crumbG = input.crumb.reduce((sum, { massG }) => sum + massG, 0);
  return {
    needG,
    lowG: Math.max(whole * (1 - BIND_MODEL.spread) - already, 0),
    highG,
    firstG,
    stepsG,
    doughG: crumbG + input.alreadyG + needG,
  };
}

/** Too much went in: crumb of a kind that takes up what is over, g. */
export function crumbForExcessG(input: BindInput, addedG: number, kind: CrumbKind): number {
  const overG = addedG - planBind(input).needG;
  if (overG <= 0) return 0;
  const share =
    BIND_SCHOOLS[input.school].share * BINDER_FACTOR[input.binder] * CRUMB_FACTOR[kind] * input.learned;
  return overG / share;
}
