import type { Method } from '../model/documents';

interface Span {
  readonly low: number;
  readonly high: number;
}
const span = (low: number, high: number): Span => ({ low, high });

/** Usual proportions of a batter by its kind, g to 100 g of flour; moisture is the water of what is wet. */
export interface Balance {
  readonly fat: Span;
  readonly egg: Span;
  readonly moisture: Span;
  readonly sugar: Span;
  readonly powder: Span;
}

/** Basis: typical of published cake formulas of each kind. */
export const BALANCE: Readonly<Record<Method, Balance>> = {
  creamed: {
    fat: span(35, 115),
    egg: span(30, 120),
    moisture: span(50, 170),
    sugar: span(50, 150),
    powder: span(3, 7),
  },
  rich: {
    fat: span(75, 125),
    egg: span(75, 135),
    moisture: span(45, 130),
    sugar: span(75, 130),
    powder: span(0, 4.5),
  },
  melted: {
    fat: span(20, 105),
    egg: span(10, 110),
    moisture: span(50, 240),
    sugar: span(45, 165),
    powder: span(3, 7),
  },
  whisked: {
    fat: span(0, 45),
    egg: span(90, 270),
    moisture: span(60, 260),
    sugar: span(65, 170),
    powder: span(0, 3.5),
  },
  folded: {
    fat: span(0, 80),
    egg: span(60, 400),
    moisture: span(40, 350),
    sugar: span(60, 350),
    powder: span(0, 5),
  },
  mug: {
    fat: span(15, 100),
    egg: span(0, 110),
    moisture: span(50, 230),
    sugar: span(35, 150),
    powder: span(3, 8),
  },
};

export const CHECKS = {
  bicarbonate: span(0.8, 2),
  salt: span(0, 3),
} as const;

/** g of a sour thing that use up a gram of bicarbonate. Basis: typical of kitchen equivalences. */
export const ACID_G: Readonly<Record<string, number>> = {
  buttermilk: 48,
  yoghurt: 45,
  'sour cream': 55,
  'lemon juice': 6,
  'citrus juice': 8,
  'lime juice': 6,
  'orange juice': 40,
  vinegar: 6,
  'cream of tartar': 2.3,
  treacle: 40,
  molasses: 40,
  honey: 90,
  'brown sugar': 130,
  cocoa: 25,
  berries: 60,
  banana: 90,
  apple: 80,
};
/** What any other sour thing takes. */
export const OTHER_ACID_G = 10;
/** So much more than its acid can use, as a share, and bicarbonate is tasted. */
export const ACID_SLACK = 0.5;

/** A stated yield further off than this share is worth a word; so is a time outside its range by that share. Basis: chosen. */
export const STATED = { yieldShare: 0.2, timeShare: 0.1 } as const;
