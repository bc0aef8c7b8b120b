import type { Ref } from '../../figure';
import type { ChoreDoes } from '../../model/choreDoes';
import type { Skill } from '../../model/kinds';
import type { Resource } from '../../plan';
import { FIGURE_RANGE, HANDS_DOUBT } from './chores.table';

/** Something finite that chores of all lines share; an oven whatever its heat. */
export type Thing =
  | Exclude<Resource, { readonly kind: 'oven' }>
  | Pick<OvenAtHeat, 'kind' | 'id'>
  /** What beats: on a stand or in the hand. */
  | { readonly kind: 'mixer' }
  /** Room for a tray or a rack to stand. */
  | { readonly kind: 'bench' };
type OvenAtHeat = Extract<Resource, { readonly kind: 'oven' }>;

export const thingKey = (thing: Thing): string => ('id' in thing ? `${thing.kind}:${thing.id}` : thing.kind);

export interface ChoreHold {
  readonly of: Thing;
  readonly units: number;
  /** An oven's heat, °C as set; all that is in it at once agrees on it. */
  readonly settingC?: number;
  /** Bakes in it, so many one after another, that sink where its door is opened before they have set. */
  readonly sets?: number;
  /** What is mixed in a bowl, ml; and in how many of them, one after another, where it is not one. */
  readonly ml?: number;
  readonly times?: number;
  /** Held on from this chore to the end of that one: a tin from filling to washing. */
  readonly until?: string;
}

/** How long a chore takes and how far that may be off. */
export interface Takes {
  readonly lengthS: number;
  /** What its doubt is shared with; null where it shares none. */
  readonly cause: string | null;
  /** Spreads of its logarithm: shared with all of its cause, and its own. */
  readonly shared: number;
  readonly own: number;
  /** The figure that it comes from; null where it is reckoned here by usual times. */
  readonly figureId: string | null;
  /** How it came about, in words; empty where a figure says so. */
  readonly basis: string;
}

export interface ChoreGap {
  readonly chore: string;
  readonly leastS: number;
  readonly mostS: number | null;
}

/** When gathered things are used: as the list of what to weigh and set out has it. */
export type Used = 'set out' | 'batter' | 'shared' | 'crumb' | 'melt' | 'fill' | 'finish';

/** Something that stands by itself once it is made. */
export interface Part {
  /** Unique in the day: `lanterns/cake`. */
  readonly id: string;
  readonly name: string;
  /** Days that it keeps at no loss, and how; 0 where it does not. */
  readonly keepsDays: number;
  readonly how: string;
}

/** One thing to do or to wait for, of a line or of all that share it. */
export interface Chore {
  /** Unique in the day. It says nothing: whoever wants to know what is done asks the fields. */
  readonly id: string;
  readonly does: ChoreDoes;
  /** Which bake of crumb it belongs to, by its `prefix` in the plan; null where a line has one at the most. */
  readonly bake: string | null;
  /** The batch of something that lines share which is made in it, by its id; null where none is. */
  readonly makes: string | null;
  /** Lines that it is done for. */
  readonly lineIds: readonly string[];
  readonly label: string;
  /** What to mind, in a sentence; may hold measures in braces for `inStyle`. Empty where nothing is. */
  readonly detail: string;
  /** Hands at work, an oven at work, a wait, or something that is only begun ahead of time. */
  readonly kind: 'hands' | 'oven' | 'wait' | 'ahead';
  /** What somebody who does it must be able to do. */
  readonly skill: Skill;
  readonly takes: Takes;
  readonly holds: readonly ChoreHold[];
  readonly after: readonly ChoreGap[];
  readonly pieces: number | null;
  /** What of the gathered things is used first in it. */
  readonly uses: readonly Used[];
  /** Which load or round it is about; null where it is about none. */
  readonly load: number | null;
  /** What it is a step towards that keeps and can be made days before; null for what is done on the day. */
  readonly part: Part | null;
  /** How much it counts that it is done late, for freshness. */
  readonly fresh: number;
  /** Another run of the same kitchen that it is done for; left out for what is asked about. */
  readonly ofRun?: string;
}

/** A step as what is told of it says it: read again when its day is gone. */
export const asStep = ({ id, does, lineIds }: Pick<Chore, 'id' | 'does' | 'lineIds'>) => ({
  chore: id,
  does,
  lineIds: [...lineIds],
});

/** A figure's time, so often one after another. Its range is taken for the middle eight in ten. */
export function byFigure(takes: Ref<'s'>, cause: string | null, times = 1): Takes {
  const { value, low, high } = takes;
  const spread = low > 0 && high > low ? Math.log(high / low) / FIGURE_RANGE : 0;
  return {
    lengthS: value * times,
    cause: spread > 0 ? cause : null,
    shared: cause === null ? 0 : spread * Math.SQRT1_2,
    own: cause === null ? spread : spread * Math.SQRT1_2,
    figureId: takes.id,
    basis: '',
  };
}

/** Hands at their usual pace. */
export const byHand = (lengthS: number, basis: string): Takes => ({
  lengthS,
  cause: 'hands',
  ...HANDS_DOUBT,
  figureId: null,
  basis,
});

/** Hands, by a figure that has no range of its own. */
export const byHandFigure = (takes: Ref<'s'>, times = 1): Takes => ({
  ...byHand(takes.value * times, ''),
  figureId: takes.id,
});

export const fixedTime = (lengthS: number, basis: string): Takes => ({
  lengthS,
  cause: null,
  shared: 0,
  own: 0,
  figureId: null,
  basis,
});

/** A wait that is known as a usual time only. */
export const byUsual = (lengthS: number, cause: string, basis: string): Takes => ({
  lengthS,
  cause,
  shared: 0.12,
  own: 0.08,
  figureId: null,
  basis,
});
