/**
 * What a plan hands on as data: limits, bowls, pots, loose things, what has to be prepared, tasks, room in the cold. Lists,
 * the day and the paper read these; nobody has to read a label, a sentence or an id to learn a fact.
 */
import type { EggsSettled } from '../formula/wholeEggs';
import type { EggMode, FormulaDoc, Makes } from '../model/documents';
import type { Dial, BinderKind, ChocolateKind, FrostingKind } from '../model/kinds';
import type { AnyRef, Ref } from '../figure';
import type { Holds, ReadLine } from '../quantity';

export type Supply =
  | 'batter'
  | 'tins'
  | 'loads'
  | 'minutes'
  | 'liners'
  | 'dough'
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
  /** What it is called. */
  readonly words: string;
  /** The smallest of all limits. */
  readonly limiting: boolean;
  /** Fewer than were wanted. */
  readonly short: boolean;
}

/** Batter that a line needs of a formula, g. */
export interface BatterNeed {
  readonly formulaId: string;
  readonly massG: number;
}

/** An ingredient of a batch: which line it comes from, its grams, and how many where it is counted. */
export interface BatchIngredient {
  /** Place of its line in the formula, from 1. */
  readonly place: number;
  /** In the writer's own words. */
  readonly name: string;
  /** The line as written in the formula. */
  readonly written: string;
  readonly line: ReadLine;
  readonly mass: Ref<'g'>;
  /** How many whole ones, for eggs and the like; null for what is weighed. */
  readonly whole: Ref<'wholes'> | null;
}

/** What a batch takes of another formula. */
export interface BatchPart {
  readonly formulaId: string;
  readonly mass: Ref<'g'>;
}

/** What keeping eggs, or the tins of a formula without eggs, whole did. */
export interface EggChoice {
  /** What one of them is called. */
  readonly one: string;
  readonly mode: EggMode;
  readonly inFormula: number;
  readonly exact: number;
  readonly used: number;
  readonly how: EggsSettled['how'];
}

/** A formula scaled to a need: what is weighed into one bowl. */
export interface Batch {
  readonly id: string;
  readonly makes: Makes;
  readonly formula: FormulaDoc;
  /** What is in the bowl. */
  readonly mixed: Ref<'g'>;
  readonly ingredients: readonly BatchIngredient[];
  readonly parts: readonly BatchPart[];
  readonly eggs: EggChoice | null;
  /** Lines that ask for "some": shown when weighing out, without grams. */
  readonly toTaste: readonly ReadLine[];
  /** Lines of the run that are made from it; more than one where it is shared. */
  readonly lineIds: readonly string[];
  /** The formula of the base that this is stirred into, where a bowl is parted before it goes in. */
  readonly into?: string;
  /** Stands before the places of its ingredients where they are ticked off. */
  readonly tickPrefix: string;
}

/** Something of a formula that a line needs and that the run makes once for all lines: filling, frosting, coat. */
export interface Need {
  readonly formulaId: string;
  readonly makes: Makes;
  readonly mass: Ref<'g'>;
}

/** What is melted of one kind. */
export interface Pot {
  readonly kind: ChocolateKind;
  /** The formula that it is made by; null where it is melted as bought. */
  readonly formulaId: string | null;
  /** What it is dipped in; null for shells, which are brushed or poured. */
  readonly vesselId: string | null;
  readonly lotNames: readonly string[];
  readonly count: Ref<'pieces'>;
  readonly coat: Ref<'g'> | null;
  /** All that is in it: chocolate and the fat that thins it. */
  readonly melt: Ref<'g'>;
  readonly chocolate: Ref<'g'>;
  /** Spooned over the pieces, without a pool to dip in. */
  readonly spooned: boolean;
  readonly saved: Ref<'g'> | null;
  readonly thinner: Ref<'g'> | null;
}

/** Something to set out that no bowl of a formula holds. */
export type MaterialIs =
  | { readonly is: 'sticks'; readonly flat: boolean }
  | { readonly is: 'cases'; readonly liner: 'paper' | 'double paper' | 'foil'; readonly tin: string }
  | { readonly is: 'boards' }
  | { readonly is: 'biscuit' }
  | { readonly is: 'trimmings' }
  | { readonly is: 'leftovers' }
  | { readonly is: 'add-in'; readonly what: string }
  | { readonly is: 'binder'; readonly kind: BinderKind }
  | { readonly is: 'base layer'; readonly what: string }
  | { readonly is: 'filling'; readonly what: string }
  | { readonly is: 'frosting'; readonly kind: FrostingKind }
  | { readonly is: 'fondant' }
  | { readonly is: 'chocolate'; readonly kind: ChocolateKind }
  | { readonly is: 'thinner'; readonly kind: ChocolateKind }
  | { readonly is: 'topping'; readonly what: string; readonly lot: string }
  | { readonly is: 'gel'; readonly colour: string; readonly lot: string };

/** When a thing is needed. */
export type Use = 'set out' | 'crumb' | 'melt' | 'fill' | 'finish';

export interface Material {
  readonly what: MaterialIs;
  readonly use: Use;
  /** In all; or in one well, where it is wanted for each piece. */
  readonly amount: Ref<'g'> | Ref<'pieces'>;
  /** How often the amount is wanted; once where nothing is said. */
  readonly times?: Ref<'pieces'>;
  /** What was said to be there for this line, g or pieces; null or left out where nobody said. */
  readonly onHand?: number | null | undefined;
}

/** Something to do before the work starts. */
export type Preparation =
  | { readonly do: 'thaw'; readonly what: string }
  | { readonly do: 'wash mould'; readonly mould: string }
  | { readonly do: 'line trays' }
  | { readonly do: 'cases into tin'; readonly tin: string }
  | { readonly do: 'grease and flour'; readonly tin: string }
  | { readonly do: 'grease well'; readonly tin: string }
  | { readonly do: 'line sheets'; readonly sheets: number }
  | { readonly do: 'cold bowl for cream' };

/** What takes a place of its own in the cold before it is coated or turned out. */
export interface ColdNeed {
  readonly where: 'fridge' | 'freezer';
  readonly pieces: Ref<'pieces'>;
  readonly on:
    | { readonly what: 'tray'; readonly acrossMm: number }
    | { readonly what: 'mould'; readonly cavities: number; readonly owned: number };
}

/** Something finite that a task holds while it lasts. */
export type Resource =
  | { readonly kind: 'hands' }
  | { readonly kind: 'oven'; readonly id: string; readonly settingC: number }
  | { readonly kind: 'microwave'; readonly id: string }
  | { readonly kind: 'tin'; readonly id: string }
  | { readonly kind: 'sheet'; readonly id: string }
  | { readonly kind: 'mould'; readonly id: string }
  | { readonly kind: 'mug'; readonly id: string }
  | { readonly kind: 'vessel'; readonly id: string }
  | { readonly kind: 'bowl' }
  | { readonly kind: 'fridge' }
  | { readonly kind: 'freezer' };

export interface Hold {
  readonly of: Resource;
  readonly n: number;
}

/** How a task is known to be done. */
export type DoneBy = 'clock' | 'doneness' | 'squeeze' | 'firm' | 'set' | 'cool';

/** What a task does, with what its words need. */
export type TaskDoes =
  | { readonly does: 'butter out' }
  | { readonly does: 'eggs out'; readonly what: 'eggs' | 'milk' | 'both' }
  | { readonly does: 'weigh out and line' }
  | { readonly does: 'oven on'; readonly settingC: number; readonly dial: Dial }
  | { readonly does: 'mix'; readonly meaning: string }
  | { readonly does: 'weigh out and mix'; readonly meaning: string }
  | { readonly does: 'stir'; readonly meaning: string }
  | { readonly does: 'fill wells' }
  | { readonly does: 'bake load'; readonly loads: number; readonly firstLookMin: number }
  | { readonly does: 'bake'; readonly firstLookMin: number }
  | { readonly does: 'microwave bowls'; readonly firstLookMin: number }
  | { readonly does: 'microwave group'; readonly groups: number; readonly firstLookS: number }
  | { readonly does: 'stand' }
  | { readonly does: 'cool load'; readonly loads: number }
  | { readonly does: 'cool to crumble' }
  | { readonly does: 'cool to cut' }
  | { readonly does: 'cool to frost' }
  | { readonly does: 'cut' }
  | { readonly does: 'fill and frost' }
  | { readonly does: 'bind and roll' }
  | { readonly does: 'firm'; readonly frozen: boolean }
  | { readonly does: 'sticks in' }
  | { readonly does: 'sticks set' }
  | { readonly does: 'dip'; readonly garnish: boolean }
  | { readonly does: 'coat sets'; readonly onRack: boolean }
  | { readonly does: 'shell coats'; readonly rounds: number }
  | { readonly does: 'shell sets'; readonly rounds: number }
  | { readonly does: 'fill shells'; readonly rounds: number }
  | { readonly does: 'back plates'; readonly rounds: number }
  | { readonly does: 'freeze shells'; readonly rounds: number }
  | { readonly does: 'turn out'; readonly rounds: number };

/** One thing to do or to wait for. */
export interface Task {
  /** Unique in its line. */
  readonly id: string;
  readonly what: TaskDoes;
  /** Hands at work, an oven at work, a wait, or something that is only begun ahead of time. */
  readonly kind: 'hands' | 'oven' | 'wait' | 'ahead';
  /** How long once, and how often one after another. A wait is planned by the longer end of its range. */
  readonly takes: Ref<'s'>;
  /** Times `takes` is wanted: pieces for what is done to each, loads for what is done to all. */
  readonly times: number;
  readonly holds: readonly Hold[];
  /** What it comes after, with the least and the most gap, s; null where it may wait as long as it likes. */
  readonly after: readonly {
    readonly task: string;
    readonly leastS: number;
    readonly mostS: number | null;
  }[];
  /** The bowl that it works on, and which load or round of it; null where it is about neither. */
  readonly batchId: string | null;
  readonly load: number | null;
  readonly pieces: number | null;
  readonly done: DoneBy;
}

/** Pieces finished alike, with what warns of them. */
export interface LotPlan {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly pieces: Ref<'pieces'>;
  readonly finished: Ref<'g'>;
  readonly holds: Holds;
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

export type SectionId =
  | 'well'
  | 'oven'
  | 'microwave'
  | 'mug'
  | 'cut'
  | 'crumb'
  | 'portions'
  | 'shell'
  | 'coat'
  | 'filling'
  | 'frosting'
  | 'lots';

/** A part of the work with its figures, the main one large. */
export interface SumsSection {
  readonly id: SectionId;
  readonly hero: AnyRef;
  /** Figures that stand side by side under the main one. */
  readonly few: readonly AnyRef[];
  readonly rows: readonly AnyRef[];
  /** A figure that is weighed at this link. */
  readonly weigh?: { readonly figure: Ref<'g'>; readonly what: 'binder' | 'dough' };
}

/** What the drawing of a piece is told with. */
export type CutSays =
  | {
      readonly is: 'well';
      readonly filled: Ref<'share'>;
      readonly belowRim: Ref<'mm'>;
      readonly aboveRim: Ref<'mm'>;
      readonly finish: string;
    }
  | { readonly is: 'ball'; readonly across: Ref<'mm'>; readonly portion: Ref<'g'> }
  | {
      readonly is: 'moulded';
      readonly shell: Ref<'mm'>;
      readonly chocolate: Ref<'g'>;
      readonly portion: Ref<'g'>;
    }
  | {
      readonly is: 'mug';
      readonly filled: Ref<'share'>;
      readonly risen: Ref<'share'>;
      readonly portion: Ref<'g'>;
    }
  | {
      readonly is: 'cut';
      readonly length: Ref<'mm'>;
      readonly width: Ref<'mm'>;
      readonly height: Ref<'mm'>;
      readonly cake: Ref<'g'>;
    }
  | { readonly is: 'piece'; readonly mass: Ref<'g'> };
