import { chanceOf } from '../schedule/solver';

/** How much goes otherwise than planned. */
export const LEVELS = ['calm', 'usual', 'rough'] as const;
export type Level = (typeof LEVELS)[number];

/** What nobody at the bench knows: the kitchen as it really is on this day. */
export interface Hidden {
  /** The oven's air against its dial, K. */
  readonly ovenOffK: number;
  /** What a load takes against what the model has for that air. */
  readonly bakeFactor: number;
  /** Binder that the crumb really takes, against what was reckoned. */
  readonly thirst: number;
  /** How thick the coat runs on the first piece, against the plan. */
  readonly coatThick: number;
  /** Cake that clings to its tin when it is turned out too soon. */
  readonly sticks: boolean;
  /** The kitchen is warm: what is frosted too warm slides. */
  readonly warmRoom: boolean;
  /** Somebody wants so many more, once so much of the steps is behind; null where nobody does. */
  readonly more: { readonly pieces: number; readonly atShare: number } | null;
}

/** Spreads and chances by level. Basis: judgement; the middle one is an ordinary kitchen. */
const BY_LEVEL = {
  calm: { ovenK: 4, bake: 0.03, thirst: 0.08, coat: 0.06, mishap: 0.2, more: 0 },
  usual: { ovenK: 9, bake: 0.05, thirst: 0.2, coat: 0.15, mishap: 0.5, more: 0.5 },
  rough: { ovenK: 15, bake: 0.07, thirst: 0.32, coat: 0.28, mishap: 0.85, more: 1 },
} as const satisfies Record<Level, object>;

/** The most that is drawn, in spreads: what is meant to be learned from has to be possible. */
const MOST = 1.8;

export function hiddenOf(seed: number, level: Level): Hidden {
  const of = BY_LEVEL[level];
  const chance = chanceOf(seed);
  const normal = () => Math.max(-MOST, Math.min(MOST, chance.normal()));
  const ovenOffK = of.ovenK * normal();
  const bakeFactor = Math.exp(of.bake * normal());
  const thirst = Math.exp(of.thirst * normal());
  const coatThick = Math.exp(of.coat * Math.abs(normal()));
  const sticks = chance.next() < of.mishap;
  const warmRoom = chance.next() < of.mishap;
  const wanted = chance.next() < of.more;
  return {
    ovenOffK,
    bakeFactor,
    thirst,
    coatThick,
    sticks,
    warmRoom,
    more: wanted ? { pieces: 6, atShare: 0.25 + 0.4 * chance.next() } : null,
  };
}
