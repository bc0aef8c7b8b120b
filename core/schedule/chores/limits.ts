import { SKILLS, type Skill } from '../../model/kinds';
import type { KitchenDoc } from '../../model/documents';
import { BOWLS } from '../../process/batter.table';
import type { Chore, ChoreHold, Thing } from './chore';
import { unitsOf } from './things';

/** Something that only some of a thing can do: each chore that needs it takes one of those as well. */
export interface Limit {
  readonly key: string;
  readonly thing: Thing;
  readonly units: number;
  /** What those hands can do; null where it is not about hands. */
  readonly skills: readonly Skill[] | null;
  readonly takes: (chore: Chore, hold: ChoreHold) => boolean;
}

/** What each pair of hands at work can do: all of it where nothing is said. */
export function handsOf(kitchen: KitchenDoc): readonly (readonly Skill[])[] {
  const hands = unitsOf(kitchen, { kind: 'hands' }) ?? 1;
  // A single pair does everything: there is nobody else.
  return Array.from({ length: hands }, (_, i) => (hands === 1 ? SKILLS : (kitchen.handsCan?.[i] ?? SKILLS)));
}

/**
 * Chores of some skills never outnumber the hands that have one of them, for every set of skills: by that, and no more, each
 * chore finds somebody who can do it. Source: Hall's marriage theorem (1935).
 */
function handLimits(kitchen: KitchenDoc): Limit[] {
  const hands = handsOf(kitchen);
  const out: Limit[] = [];
  for (let set = 1; set < 2 ** SKILLS.length; set += 1) {
    const skills = SKILLS.filter((_, i) => (set >> i) & 1);
    const units = hands.filter((can) => can.some((skill) => skills.includes(skill))).length;
    if (units >= hands.length) continue;
    // A set that no smaller one bounds more narrowly says nothing new, and does no harm.
    out.push({
      key: `hands:${skills.join('+')}`,
      thing: { kind: 'hands' },
      units,
      skills,
      takes: ({ skill }, { of }) => of.kind === 'hands' && skills.includes(skill),
    });
  }
  return out;
}

/** What a kitchen's largest bowl mixes at once, ml. */
export const mixableMl = ({ bowls = [] }: KitchenDoc): number =>
  BOWLS.fullestShare * (bowls.length === 0 ? BOWLS.usualMl : Math.max(...bowls.map((one) => one.volumeMl)));

/** Bowls that so much goes into: a large one takes a small batter as well, never the other way round. */
function bowlLimits(kitchen: KitchenDoc, chores: readonly Chore[]): Limit[] {
  const { bowls = [] } = kitchen;
  const takes = (ml: number) =>
    bowls.reduce((sum, { owned, volumeMl }) => sum + (volumeMl * BOWLS.fullestShare >= ml ? owned : 0), 0);
  const all = bowls.reduce((sum, { owned }) => sum + owned, 0);
  const wanted = new Set(
    chores.flatMap(({ holds }) => holds.flatMap(({ ml }) => (ml === undefined ? [] : [takes(ml)]))),
  );
  return [...wanted]
    .filter((units) => units > 0 && units < all)
    .map((units): Limit => ({
      key: `bowl:${units}`,
      thing: { kind: 'bowl' },
      units,
      skills: null,
      takes: (_, { of, ml }) => of.kind === 'bowl' && ml !== undefined && takes(ml) <= units,
    }));
}

export const limitsOf = (kitchen: KitchenDoc, chores: readonly Chore[]): Limit[] => [
  ...handLimits(kitchen),
  ...bowlLimits(kitchen, chores),
];
