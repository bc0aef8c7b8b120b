import type { FormulaDoc, Makes } from '../model/documents';
import {
  over,
  without,
  type Explained,
  type Figure,
  type LaidOut,
  type Move,
  type Ref,
  type Words,
} from '../figure';
import { COMPONENT } from './components.words';
import type { RunContext } from './context';
import type { Batch, BatchPart } from './emitted';
import { PlanFigures } from './figures';
import type { LinePlan } from './linePlan';
import { addBatch, addBowlLoss } from './stations/batch';

/** What the lines of a run share: each formula once, for all that need it. */
export interface ComponentsPlan extends Explained {
  readonly batches: readonly Batch[];
  readonly ledger: PlanFigures;
  readonly figures: readonly Figure[];
  readonly figure: (id: string) => Figure;
  readonly has: (id: string) => boolean;
  readonly sums: () => readonly LaidOut[];
  readonly movesOf: (id: string) => readonly Move[];
}

/** Something that is wanted of a formula, and by whom: a figure of a line's ledger, or of this one's own. */
interface Demand {
  readonly formulaId: string;
  readonly makes: Makes;
  readonly by: Words;
  readonly lineIds: readonly string[];
  readonly from: PlanFigures;
  readonly mass: Ref<'g'>;
  /** A part is weighed out: what its grams were reckoned from widens nothing here. */
  readonly exact: boolean;
}

/** Sums up what lines and formulas need of other formulas, and scales each once: eggs are rounded once, too. */
export function planComponents(run: RunContext, plans: readonly LinePlan[]): ComponentsPlan | null {
  const demands = plans.flatMap(demandsOf);
  const seen = new Set<string>();
  for (const plan of plans) {
    for (const { formula, parts, lineIds } of plan.batches) {
      // A bowl that lines share is one bowl: its parts are wanted once.
      if (seen.has(formula.id)) continue;
      seen.add(formula.id);
      // A base that is parted is weighed out with the line's own bowls.
      const own = new Set(plan.batches.map((batch) => batch.formula.id));
      const others = parts.filter(({ formulaId }) => !own.has(formulaId));
      demands.push(...partDemands(formula, others, lineIds, plan.ledger));
    }
  }
  if (demands.length === 0) return null;
  const ledger = new PlanFigures('shared', run.measured, run.beliefs);
  const batches: Batch[] = [];
  const open = new Set(demands.map(({ formulaId }) => formulaId));
  while (open.size > 0) {
    const next = [...open].find((id) => ![...open].some((other) => other !== id && contains(run, other, id)));
    if (next === undefined) throw new Error('invariant: formulas are no ring');
    open.delete(next);
    const batch = addComponent(
      ledger,
      run,
      next,
      demands.filter(({ formulaId }) => formulaId === next),
    );
    batches.push(batch);
    const parts = partDemands(batch.formula, batch.parts, batch.lineIds, ledger);
    for (const demand of parts) open.add(demand.formulaId);
    demands.push(...parts);
  }
  return {
    batches,
    ledger,
    figures: ledger.figures(),
    figure: (id) => ledger.figure(id),
    has: (id) => ledger.has(id),
    causes: (id) => ledger.causes(id),
    laidOut: (id) => ledger.laidOut(id),
    sums: () => ledger.sums(),
    movesOf: (id) => ledger.movesOf(id),
  };
}

const demandsOf = ({ needs, line, ledger }: LinePlan): Demand[] =>
  needs.map(({ formulaId, makes, mass }) => ({
    formulaId,
    makes,
    by: COMPONENT.ofLine(makes, line.id),
    lineIds: [line.id],
    from: ledger,
    mass,
    exact: false,
  }));

const partDemands = (
  { name }: FormulaDoc,
  parts: readonly BatchPart[],
  lineIds: readonly string[],
  from: PlanFigures,
): Demand[] =>
  parts.map(({ formulaId, mass }) => ({
    formulaId,
    makes: 'topping',
    by: COMPONENT.partOf(name),
    lineIds,
    from,
    mass,
    exact: true,
  }));

const contains = (run: RunContext, id: string, part: string): boolean =>
  id !== part && run.madeOf(id).has(part);

function addComponent(ledger: PlanFigures, run: RunContext, id: string, demands: readonly Demand[]): Batch {
  const formula = run.formula(id);
  const { doc, read } = formula;
  const f = ledger.within(`${id}/`);
  const needs = demands.map(({ by, from, mass, exact }, i) =>
    exact
      ? f.given(`need.${i + 1}`, by, 'g', mass.value, 'counted')
      : f.bring(`need.${i + 1}`, by, from, mass),
  );
  const bowlLoss = addBowlLoss(f);
  const asked = f.total('asked', COMPONENT.asked(doc.name), 'g', needs);
  const needed = f.sum('needed', COMPONENT.needed(doc.name), 'g', over(asked, without(bowlLoss)));
  const bowl = addBatch(f, {
    formula,
    eggs: 'follow',
    needed,
    othersG: 0,
    mixed: { id: 'mixed', label: COMPONENT.inTheBowl(doc.name) },
  });
  return {
    id,
    makes: doc.makes ?? demands[0]?.makes ?? 'topping',
    formula: doc,
    tickPrefix: `${id}/`,
    mixed: bowl.mixed,
    ingredients: bowl.ingredients,
    parts: bowl.parts,
    eggs: bowl.eggs,
    toTaste: read.weighed.toTaste,
    lineIds: [...new Set(demands.flatMap(({ lineIds }) => lineIds))],
  };
}
