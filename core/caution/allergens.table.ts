import type { BinderKind } from '../process/bind.table';
import type { Frosting } from '../process/frost.table';
import type { ChocolateKind } from '../process/microwave';
import type { Allergen } from '../quantity';

/** What bought things of a kind usually hold. Packets differ and come first. Basis: typical of ingredient lists. */
export const BINDER_ALLERGENS: Readonly<Record<BinderKind, readonly Allergen[]>> = {
  buttercream: ['milk'],
  'soft-cheese frosting': ['milk'],
  ganache: ['milk', 'soya'],
  spread: ['nuts'],
  'marshmallow creme': ['egg'],
  jam: [],
  'condensed milk': ['milk'],
  'butter and sugar': ['milk'],
};

export const FROSTING_ALLERGENS: Readonly<Record<Frosting, readonly Allergen[]>> = {
  buttercream: ['milk'],
  'meringue buttercream': ['egg', 'milk'],
  'whipped cream': ['milk'],
  'cream with yoghurt': ['milk'],
  ganache: ['milk', 'soya'],
  'soft cheese': ['milk'],
  'cooked meringue': ['egg'],
  glaze: [],
};

export const CHOCOLATE_ALLERGENS: Readonly<Record<ChocolateKind, readonly Allergen[]>> = {
  dark: ['soya', 'milk'],
  milk: ['milk', 'soya'],
  white: ['milk', 'soya'],
  compound: ['milk', 'soya'],
};

export const ALLERGEN_NAMES: Readonly<Record<Allergen, string>> = {
  gluten: 'gluten',
  wheat: 'wheat',
  egg: 'egg',
  milk: 'milk',
  nuts: 'nuts',
  peanut: 'peanut',
  soya: 'soya',
  sesame: 'sesame',
  sulphite: 'sulphite',
  fish: 'fish',
  crustaceans: 'crustaceans',
  molluscs: 'molluscs',
  celery: 'celery',
  mustard: 'mustard',
  lupin: 'lupin',
  unknown: 'perhaps more (some of it comes from a packet or from elsewhere)',
};

/** As people read them: wheat is named with the gluten that it brings, and what is not known comes last. */
export const allergenNames = (allergens: readonly Allergen[]): string[] =>
  allergens
    .filter((one) => one !== 'wheat' || !allergens.includes('gluten'))
    .sort((a, b) => Number(a === 'unknown') - Number(b === 'unknown'))
    .map((one) => (one === 'gluten' && allergens.includes('wheat') ? 'gluten (wheat)' : ALLERGEN_NAMES[one]));
