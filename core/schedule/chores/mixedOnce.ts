import type { ChoreDoes } from '../../model/choreDoes';
import type { LinePlan, RunPlan } from '../../plan';
import { isOfLine } from '../../process/stages';
import type { Chore, ChoreGap, ChoreHold } from './chore';
import { batterMl } from './lineWork';
import { CHORE } from './chores.words';

/** A bowl of which several lines take their part. */
export interface SharedBowl {
  /** The formula that is mixed. */
  readonly key: string;
  readonly lineIds: readonly string[];
  readonly ml: number;
}

/** Bowls that several lines could take from at once: of one formula, and no larger than a bowl mixes. */
export function sharedBowls(whole: RunPlan, mixableMl: number): SharedBowl[] {
  const byKey = new Map<string, LinePlan[]>();
  for (const plan of whole.lines) {
    if (!plan.planned) continue;
    const { bowl } = plan.parts;
    const own = bowl?.split?.base ?? bowl;
    const key = bowl?.split?.formula.doc.id ?? plan.formula?.id;
    if (own?.shared && key) byKey.set(key, [...(byKey.get(key) ?? []), plan]);
  }
  return [...byKey].flatMap(([key, plans]) => {
    const [first] = plans;
    const base = first?.parts.bowl?.split?.base ?? first?.parts.bowl;
    if (!first || !base || plans.length < 2) return [];
    const ml = batterMl(base.mixed.value, first.formula?.method ?? 'creamed', first.parts.batterDensity);
    return ml > mixableMl ? [] : [{ key, lineIds: plans.map(({ line }) => line.id), ml }];
  });
}

/** The same chores with that bowl mixed once for all its lines, where each of them mixes one bowl. */
export function mixedOnce(chores: readonly Chore[], { key, lineIds, ml }: SharedBowl): readonly Chore[] {
  const of = (what: ChoreDoes) =>
    chores.filter(
      (one) => one.does === what && one.bake === null && lineIds.some((line) => isOfLine(one, line)),
    );
  // A line that mixes several bowls mixes them apart.
  const mixes = of('mix');
  if (lineIds.some((line) => mixes.filter((one) => isOfLine(one, line)).length !== 1)) return chores;
  const weighs = of('weigh-out');
  const name = (does: ChoreDoes) => `mixed:${key}/${does}`;
  const renamed = new Map<string, string>(mixes.map(({ id }) => [id, name('mix')]));
  // Where only some weigh apart from mixing, each lines its own tins, and the bowl is weighed as it is mixed.
  const weighedOnce = weighs.length === lineIds.length;
  if (weighedOnce) for (const { id } of weighs) renamed.set(id, name('weigh-out'));
  const gone = new Set(renamed.keys());
  const follow = (after: readonly ChoreGap[]): ChoreGap[] =>
    after.map((gap) => ({ ...gap, chore: renamed.get(gap.chore) ?? gap.chore }));
  const one = (some: readonly Chore[], does: ChoreDoes, holds: readonly ChoreHold[]): Chore => {
    const [longest] = [...some].sort((a, b) => b.takes.lengthS - a.takes.lengthS);
    if (!longest) throw new Error('invariant: what is merged is there');
    const after = new Map(
      some.flatMap((chore) => follow(chore.after).map((gap) => [gap.chore, gap] as const)),
    );
    return {
      ...longest,
      id: name(does),
      label: CHORE.forLines(longest.label, lineIds.length),
      lineIds,
      holds,
      after: [...after.values()],
      uses: [...new Set(some.flatMap(({ uses }) => uses))],
      // Each line's cake keeps by itself; what they share is made when the first of them wants it.
      part: null,
    };
  };
  const [first] = mixes;
  const holds = (first?.holds ?? []).map((hold) =>
    hold.of.kind === 'bowl' ? { ...hold, ml, times: 1 } : hold,
  );
  return [
    ...(weighedOnce ? [one(weighs, 'weigh-out', weighs[0]?.holds ?? [])] : []),
    one(mixes, 'mix', holds),
    ...chores.filter(({ id }) => !gone.has(id)).map((chore) => ({ ...chore, after: follow(chore.after) })),
  ];
}
