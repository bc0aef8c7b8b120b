import type { Caution } from '../caution/cautions';
import type { Keeping } from '../caution/keeping';
import type { EggMode, Family, FormulaDoc, Line, Makes } from '../model/documents';
import type { DeriveSpec, Figure, RangeCause } from '../figure';
import type { Allergen, Fault, ReadLine } from '../quantity';
import type { DayStep } from '../schedule/day';
import type { Remainder } from './remainder';

/** A step of the day with its local time. */
export interface TimedStep extends DayStep {
  readonly startAt: string;
  readonly endAt: string;
}

/** One band of the chain of grams: what it holds, what is lost on the way to the next, what stays over. */
export interface Stratum {
  readonly id: string;
  readonly label: string;
  readonly material: 'ingredient' | 'batter' | 'crumb' | 'dough' | 'coat' | 'topping' | 'loss' | 'left';
  readonly figureId: string;
  readonly massG: number;
  readonly pinned: boolean;
}

export type Supply =
  | 'batter'
  | 'tins'
  | 'loads'
  | 'minutes'
  | 'liners'
  | 'dough'
  | 'crumb'
  | 'binder'
  | 'sticks'
  | 'coat'
  | 'cavities'
  | 'filling'
  | 'frosting'
  | 'pieces'
  | 'mugs';

/** What one supply allows. */
export interface Limit {
  readonly supply: Supply;
  readonly figureId: string;
  readonly pieces: number;
  /** One sentence that says how. */
  readonly words: string;
  /** The smallest of all limits. */
  readonly limiting: boolean;
  /** Fewer than were wanted. */
  readonly short: boolean;
}

/** An ingredient of a batch: which line it comes from and the figure that holds its grams. */
export interface BatchIngredient {
  readonly key: string;
  /** In the writer's own words. */
  readonly name: string;
  /** The line as written in the formula. */
  readonly written: string;
  readonly line: ReadLine;
  readonly figureId: string;
  /** How many whole ones, for eggs and the like; null for what is weighed. */
  readonly wholeFigureId: string | null;
}

/** What keeping eggs whole did. */
export interface EggChoice {
  readonly mode: EggMode;
  readonly inFormula: number;
  readonly exact: number;
  readonly used: number;
}

/** A formula scaled to a need: what is weighed into the bowl. */
export interface BatterPlan {
  readonly ingredients: readonly BatchIngredient[];
  readonly eggs: EggChoice | null;
  /** Lines that ask for "some": shown when weighing out, without grams. */
  readonly toTaste: readonly ReadLine[];
}

/** A batch of a line or of a run, with its formula. */
export interface Batch extends BatterPlan {
  readonly id: string;
  readonly makes: Makes;
  readonly formula: FormulaDoc;
  /** Figure of what is in the bowl. */
  readonly mixedId: string;
  /** Lines of the run that are made from it; more than one where it is shared. */
  readonly lineIds: readonly string[];
}

/** Something of a formula that a line needs and that the run makes once for all lines: filling, frosting, coat. */
export interface Need {
  readonly formulaId: string;
  readonly makes: Makes;
  readonly figureId: string;
  readonly massG: number;
}

/** Pieces finished alike, with what warns of them. */
export interface LotPlan {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly countId: string;
  readonly finishedId: string;
  readonly allergens: readonly Allergen[];
}

/** What a line comes to, whatever its family. */
export interface ChainPlan {
  readonly planned: true;
  readonly family: Family;
  readonly line: Line;
  /** The formula of the cake; null where nothing is baked for the line. */
  readonly formula: FormulaDoc | null;
  readonly figures: readonly Figure[];
  readonly figure: (id: string) => Figure;
  /** Whether the plan came to a figure of that id. */
  readonly has: (id: string) => boolean;
  /** What widens the range of a figure most. */
  readonly causes: (id: string) => readonly RangeCause[];
  /** The sums behind the figures, for laying them out elsewhere. */
  readonly sums: () => readonly DeriveSpec[];
  readonly batches: readonly Batch[];
  readonly needs: readonly Need[];
  readonly limits: readonly Limit[];
  readonly remainder: Remainder;
  /** Loads of an oven or a microwave, rounds of a mould: pieces of each. */
  readonly loads: { readonly sizes: readonly number[] };
  readonly lots: readonly LotPlan[];
  readonly strata: readonly Stratum[];
  readonly day: readonly TimedStep[];
  /** Local time of the latest safe start. */
  readonly startBy: string | null;
  readonly warnings: readonly Fault[];
  readonly cautions: readonly Caution[];
  readonly keeping: Keeping;
  readonly allergens: readonly Allergen[];
  /** How to tell that it is done, in the order in which a baker looks. */
  readonly tests: readonly string[];
  /** Which schools the sums follow, and what to watch for. Measures in braces, for `inStyle`. */
  readonly notes: readonly string[];
}
