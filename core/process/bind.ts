import {
  BINDER_FACTOR,
  BIND_MODEL,
  BIND_SCHOOLS,
  BIND_STEP_G,
  CRUMB_FACTOR,
  NO_BAKE_SCHOOL,
  NO_BAKE_SHARE,
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

/** How thirsty a crumb is in its company: biscuit by itself is a no-bake dough, beside cake it drinks as dry crumb. */
export function thirstOf(
  kind: CrumbKind,
  all: readonly CrumbKind[],
  binder: BinderKind,
  school: BindSchool,
): number {
  if (kind !== 'biscuit' || all.some((one) => one !== 'biscuit')) return CRUMB_FACTOR[kind];
  const share = NO_BAKE_SHARE[binder] * NO_BAKE_SCHOOL[school];
  return share / (BIND_SCHOOLS[school].share * BINDER_FACTOR[binder]);
}

/** Binder that crumb takes up in a school, g of that binder: share × crumb factor × binder factor. Basis: typical. */
export function binderNeedG({ crumb, binder, school, learned }: Omit<BindInput, 'alreadyG'>): number {
  const share = BIND_SCHOOLS[school].share * BINDER_FACTOR[binder] * learned;
  const kinds = crumb.map(({ kind }) => kind);
  return crumb.reduce(
    (sum, { kind, massG }) => sum + massG * thirstOf(kind, kinds, binder, school) * share,
    0,
  );
}

/**
 * The next addition of binder while the crumb still crumbles, g: a tablespoon, and a teaspoon where a tablespoon would pass
 * nine tenths of the need. The bench asks for it, the plan foretells it and the log is read by it.
 * @param addedG what is in, g
 * @param needG what the crumb is expected to take, g
 */
export const nextBinderG = (addedG: number, needG: number): number =>
  addedG + BIND_STEP_G.spoon > needG * BIND_STEP_G.fineFrom ? BIND_STEP_G.teaspoon : BIND_STEP_G.spoon;

/** How to bind a bowl of crumb: a first addition that cannot be too much, then steps with a test between. */
export function planBind(input: BindInput): BindPlan {
  const already = input.alreadyG * BINDER_FACTOR[input.binder];
  const whole = binderNeedG(input);
  const needG = Math.max(whole - already, 0);
  const highG = Math.max(whole * (1 + BIND_MODEL.spread) - already, 0);
  const firstG = needG * FIRST_ADDITION;
  const stepsG: number[] = [];
  for (let added = firstG; added < highG - 1e-9 && needG > 0;) {
    const step = Math.min(nextBinderG(added, needG), highG - added);
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
  if (addedG <= planBind(input).needG) return 0;
  const { crumb, binder, school, learned } = input;
  // In other company biscuit drinks otherwise: the whole bowl is reckoned as it will be.
  const kinds = [...crumb.map((one) => one.kind), kind];
  const share = (of: CrumbKind) =>
    BIND_SCHOOLS[school].share * BINDER_FACTOR[binder] * thirstOf(of, kinds, binder, school) * learned;
  const drunkG = crumb.reduce((sum, one) => sum + one.massG * share(one.kind), 0);
  return Math.max((addedG + input.alreadyG * BINDER_FACTOR[binder] - drunkG) / share(kind), 0);
}
