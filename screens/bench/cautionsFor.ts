import { stemOf } from '../../core/bench/amounts';
import type { CautionPlace } from '../../core/caution/cautions';
import type { LinePlan } from '../../core/plan';
import type { Chore } from '../../core/schedule/chores';

/** At which step a caution is told, by the name of the chore. */
const PLACES: Readonly<Record<string, readonly CautionPlace[]>> = {
  'weigh-out': ['mix'],
  mix: ['mix'],
  make: ['mix'],
  load: ['bake'],
  bake: ['bake'],
  group: ['microwave'],
  out: ['cool', 'mould'],
  cut: ['finish'],
  crumble: ['crumb'],
  bind: ['crumb'],
  roll: ['crumb'],
  stick: ['dip'],
  melt: ['dip'],
  dip: ['dip'],
  'coat-a': ['mould', 'dip'],
  'fill-in': ['finish'],
  frost: ['finish'],
  cover: ['finish'],
  top: ['finish'],
  pack: ['serve'],
};

/** Cautions of a line that belong to this step, each where the hand is. */
export const cautionsFor = (chore: Chore, { cautions }: LinePlan): string[] => {
  const places = PLACES[stemOf(chore)] ?? [];
  return cautions.filter(({ place }) => places.includes(place)).map(({ words }) => words);
};
