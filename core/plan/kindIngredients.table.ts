import type { BinderKind, ChocolateKind, FrostingKind } from '../model/kinds';

/** The ingredients that a kind stands for where no formula makes it, by their keys: they say what it holds. */
export const BINDER_IS: Readonly<Record<BinderKind, readonly string[]>> = {
  buttercream: ['buttercream'],
  'soft-cheese frosting': ['frosting', 'soft cheese'],
  ganache: ['ganache'],
  spread: ['nut spread'],
  'marshmallow creme': ['marshmallow creme'],
  jam: ['jam'],
  'condensed milk': ['condensed milk'],
  'butter and sugar': ['butter', 'icing sugar'],
};

export const FROSTING_IS: Readonly<Record<FrostingKind, readonly string[]>> = {
  buttercream: ['buttercream'],
  'meringue buttercream': ['meringue buttercream'],
  'whipped cream': ['cream'],
  'cream with yoghurt': ['cream', 'yoghurt'],
  ganache: ['ganache'],
  'soft cheese': ['frosting', 'soft cheese'],
  'cooked meringue': ['meringues'],
  glaze: ['icing sugar'],
};

export const CHOCOLATE_IS: Readonly<Record<ChocolateKind, string>> = {
  dark: 'chocolate',
  milk: 'milk chocolate',
  white: 'white chocolate',
  compound: 'chocolate coating',
};

/** What thins a coat, and what is rolled out over a cake. */
export const THINNER_IS = 'coconut oil';
export const FONDANT_IS = 'fondant';
/** Cake, trimmings and biscuit from elsewhere. */
export const CRUMB_IS = {
  leftovers: 'cake crumbs',
  trimmings: 'cake crumbs',
  biscuit: 'biscuit crumb',
} as const;
