import type { EggMode } from '../../model/documents';
import { AS_IT_IS, over, plus, times, totalOf, type Ref } from '../../figure';
import { partsMassG, type KnownFormula, type ParentSplit, type RunContext } from '../context';
import type { Batch, BatterNeed } from '../emitted';
import type { PlanFigures } from '../figures';
import { addBatch, addIngredient, batchOf, type BowlPart, type Scaled } from './batch';
import { BATCH } from './batch.words';

/** The bowl of a line: scaled to what is needed, and shared with what others take of the formula. */
export function addLineBatch(
  f: PlanFigures,
  run: RunContext,
  formula: KnownFormula,
  eggs: EggMode,
  needed: Ref<'g'>,
  others: ReadonlyMap<string, number>,
): BowlPart {
  const split = run.splitOf(formula.doc.id);
  if (split) return addParted(f, split, formula, eggs, needed, others);
  return addBatch(f, {
    formula,
    eggs,
    needed,
    othersG: others.get(formula.doc.id) ?? 0,
    mixed: { id: 'batter.mixed', label: BATCH.inTheBowl },
  });
}

/** What of its bowls a line asks of the others in the run: its own formula's, and the base that it is parted from. */
export function batterNeeds(run: RunContext, { doc }: KnownFormula, needed: Ref<'g'>): BatterNeed[] {
  const split = run.splitOf(doc.id);
  const own = { formulaId: doc.id, massG: needed.value };
  return split ? [own, { formulaId: split.base.doc.id, massG: needed.value * split.share }] : [own];
}

/** A base that is mixed with others in the run, the part of it for this formula, and what is stirred into that only. */
function addParted(
  f: PlanFigures,
  { base, extras, share }: ParentSplit,
  { doc, read }: KnownFormula,
  eggs: EggMode,
  needed: Ref<'g'>,
  others: ReadonlyMap<string, number>,
): BowlPart {
  const whole = f.root({
    id: 'formula.whole',
    words: BATCH.formula(doc.name),
    unit: 'g',
    value: read.massG + partsMassG(doc),
    spread: read.spreadG,
    basis: read.weighed.basis,
  });
  const ofBase = f.given('base.share', BATCH.baseShare(base.doc.name), 'share', share, 'stated');
  const alike = others.get(doc.id) ?? 0;
  const more = alike > 0 ? f.given('stirred.others', BATCH.others, 'g', alike, 'stated') : null;
  const pooled = more ? plus(needed, more) : needed;
  // What lines of this formula take of the base is in what all others take of it: it is put back to this one.
  const baseNeeded = f.sum('base.needed', BATCH.baseNeeded, 'g', times(pooled, ofBase));
  const bowl = addBatch(f, {
    formula: base,
    eggs,
    needed: baseNeeded,
    othersG: Math.max((others.get(base.doc.id) ?? 0) - alike * share, 0),
    mixed: { id: 'base.mixed', label: BATCH.inTheBase },
  });
  const used = f.sum('extra.scale', BATCH.extraScale, 'times', over(bowl.own, bowl.formulaMass), {
    decide: AS_IT_IS,
  });
  const scaled: Scaled = { used, eggs: null, egg: null, choice: null, pieceG: 0 };
  const stirred = extras.map((item) => addIngredient(f, item, scaled));
  const all = [bowl.own, ...stirred.map(({ mass }) => mass)];
  const mixed = f.total('batter.mixed', BATCH.mixed(BATCH.inTheBowl), 'g', all, { min: 1, max: 1_000_000 });
  const own = more
    ? f.sum('stirred.own', BATCH.own, 'g', times(mixed, over(needed, totalOf([needed, more]))), {
        pin: { min: 1, max: 1_000_000 },
      })
    : mixed;
  return { ...bowl, mixed, own, formulaMass: whole, split: { base: bowl, formula: base, extras: stirred } };
}

/** The bowls that a line weighs out: one, or the base and what is stirred into its part. */
export function batchesOf(bowl: BowlPart, formula: KnownFormula, lineId: string): Batch[] {
  const { split } = bowl;
  if (!split) return [batchOf(bowl, formula, lineId)];
  const base = batchOf(split.base, split.formula, lineId);
  const { doc, read } = formula;
  return [
    base,
    {
      ...base,
      id: 'stirred',
      into: split.formula.doc.id,
      formula: doc,
      mixed: bowl.mixed,
      ingredients: split.extras,
      parts: [{ formulaId: split.formula.doc.id, mass: split.base.own }],
      eggs: null,
      toTaste: read.weighed.toTaste.filter(({ raw }) => !base.toTaste.some((one) => one.raw === raw)),
    },
  ];
}
