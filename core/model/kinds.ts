/**
 * The kinds that documents name: of crumb, binder, frosting, chocolate, schools and styles. The figures that belong to
 * each kind stand in the tables of `process/`, which must have a row for every one.
 */
export const CRUMB_KINDS = ['very moist', 'moist', 'average', 'dry', 'biscuit'] as const;
export type CrumbKind = (typeof CRUMB_KINDS)[number];

export const BINDER_KINDS = [
  'buttercream',
  'soft-cheese frosting',
  'ganache',
  'spread',
  'marshmallow creme',
  'jam',
  'condensed milk',
  'butter and sugar',
] as const;
export type BinderKind = (typeof BINDER_KINDS)[number];

export const BIND_SCHOOL_KINDS = ['lean', 'classic', 'fudge'] as const;
export type BindSchool = (typeof BIND_SCHOOL_KINDS)[number];

export const CHOCOLATE_KINDS = ['dark', 'milk', 'white', 'compound'] as const;
export type ChocolateKind = (typeof CHOCOLATE_KINDS)[number];

export const DIP_SCHOOL_KINDS = ['fridge-firm', 'frozen'] as const;
export type DipSchool = (typeof DIP_SCHOOL_KINDS)[number];

export const FROSTING_KINDS = [
  'buttercream',
  'meringue buttercream',
  'whipped cream',
  'cream with yoghurt',
  'ganache',
  'soft cheese',
  'cooked meringue',
  'glaze',
] as const;
export type FrostingKind = (typeof FROSTING_KINDS)[number];

export const TOP_STYLE_KINDS = [
  'spread',
  'dollop',
  'rosette',
  'swirl',
  'tall swirl',
  'petals',
  'thin glaze',
] as const;
export type TopStyle = (typeof TOP_STYLE_KINDS)[number];

export const COVER_KINDS = ['fine coconut', 'sprinkles', 'chopped nuts', 'crumbs', 'thin glaze'] as const;

/** How a cake ends in its well. */
export const FINISH_KINDS = ['sunk', 'flat', 'gentle', 'high', 'over'] as const;
export type FinishKind = (typeof FINISH_KINDS)[number];

export const COLOUR_DEPTHS = ['pastel', 'mid', 'deep'] as const;
export type ColourDepth = (typeof COLOUR_DEPTHS)[number];

export const TIN_MATERIALS = ['light metal', 'dark metal', 'silicone'] as const;
export type TinMaterial = (typeof TIN_MATERIALS)[number];

/** What a well of a tin is like; each has a file of its own in `piece/shape/`. */
export const WELL_SHAPE_KINDS = ['frustum', 'bowl', 'bar', 'ring'] as const;
export type WellShapeKind = (typeof WELL_SHAPE_KINDS)[number];

/** What a cavity of a mould is like. */
export const CAVITY_SHAPE_KINDS = ['stadium', 'half-ellipsoid', 'box'] as const;
export type CavityShapeKind = (typeof CAVITY_SHAPE_KINDS)[number];

/** What an oven's dial is marked in. */
export const DIALS = ['C', 'F', 'gas'] as const;
export type Dial = (typeof DIALS)[number];

/** What somebody at work can do: weigh, mix and bake; fill, frost and cover; melt, temper and dip; wash, roll and pack. */
export const SKILLS = ['bake', 'finish', 'chocolate', 'plain'] as const;
export type Skill = (typeof SKILLS)[number];

/**
 * The fourteen of the EU list and the nine of the US one (wheat stands beside gluten). Basis: the published lists; which
 * things hold them is what such things are usually made of. Pine nuts are of the US list of tree nuts; coconut and
 * chestnuts are of neither.
 */
export const ALLERGEN_KINDS = [
  'gluten',
  'wheat',
  'egg',
  'milk',
  'nuts',
  'peanut',
  'soya',
  'sesame',
  'sulphite',
  'fish',
  'crustaceans',
  'molluscs',
  'celery',
  'mustard',
  'lupin',
] as const;
export type AllergenKind = (typeof ALLERGEN_KINDS)[number];
