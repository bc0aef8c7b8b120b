import type { BinderKind, BindSchool, CrumbKind } from '../model/kinds';
import type { Start } from './batter.table';

const typical = (value: number, spread: number): Start => ({ value, spread, basis: 'typical' });

/** Schools of binding: grams of buttercream to a gram of crumb of a moist cake. Basis: typical. */
export const BIND_SCHOOLS = {
  lean: {
    name: 'lean',
    meaning: 'Just holds when squeezed: tastes of cake, cracks if handled roughly.',
    share: 0.09,
  },
  classic: {
    name: 'classic',
    meaning: 'Holds its shape and cuts clean: what most coat and dip.',
    share: 0.18,
  },
  fudge: {
    name: 'fudge',
    meaning: 'Paste-like and dense: sweet, forgiving, heavier on its stick.',
    share: 0.35,
  },
} as const satisfies Readonly<Record<BindSchool, object>>;
export type { BindSchool };

/** How thirsty a crumb is against a classic moist cake. Basis: typical. */
export const CRUMB_FACTOR = {
  'very moist': 0.6,
  moist: 0.8,
  average: 1,
  dry: 1.35,
  biscuit: 1.7,
} as const satisfies Readonly<Record<CrumbKind, number>>;
export type { CrumbKind };

/** How much of a binder does the work of a gram of buttercream. Basis: typical. */
export const BINDER_FACTOR = {
  buttercream: 1,
  'soft-cheese frosting': 0.85,
  ganache: 1,
  spread: 1.15,
  'marshmallow creme': 0.8,
  jam: 0.7,
  'condensed milk': 0.75,
  'butter and sugar': 0.8,
} as const satisfies Readonly<Record<BinderKind, number>>;
export type { BinderKind };

/** Binder to a gram of biscuit crumb where nothing else is in the bowl: a no-bake dough takes far more. Basis: typical. */
export const NO_BAKE_SHARE = {
  buttercream: 0.42,
  'soft-cheese frosting': 0.5,
  ganache: 0.45,
  spread: 0.42,
  'marshmallow creme': 0.5,
  jam: 0.45,
  'condensed milk': 0.95,
  'butter and sugar': 0.42,
} as const satisfies Readonly<Record<BinderKind, number>>;
/** How the schools differ in it. */
export const NO_BAKE_SCHOOL = { lean: 0.87, classic: 1, fudge: 1.13 } as const satisfies Readonly<
  Record<BindSchool, number>
>;

/** What one kitchen's crumb leaves open, as a factor. */
export const BIND_MODEL: Start = typical(1, 0.3);
/** First addition, as a share of the need. */
export const FIRST_ADDITION = 0.6;
/** Steps after it: a tablespoon, and a teaspoon where a tablespoon would pass nine tenths of the need, g. */
export const BIND_STEP_G = { spoon: 15, teaspoon: 5, fineFrom: 0.9 } as const;
/** g/ml of bound dough, baked crumb and no-bake. */
export const DOUGH_DENSITY = { baked: typical(1.12, 0.04), 'no-bake': typical(1.2, 0.04) } as const;

/** Cake that breaks and falls aside when it is crumbled, as a share. Basis: typical. */
export const BREAKAGE = typical(0.01, 0.006);
/** Of the frosting on leftover cake, what stays once it is scraped. Basis: the kitchen rule, half of it. */
export const SCRAPED_KEEPS = 0.5;
/** How far an estimated share of frosting on leftover cake may be off, as a share of itself. Basis: typical. */
export const FROSTING_SHARE_SPREAD = 0.25;
/** Dry add-ins drink as biscuit does; a gram of liquor stands in for a gram of buttercream. Basis: typical. */
export const ADD_IN = { dryFactor: CRUMB_FACTOR.biscuit } as const;
