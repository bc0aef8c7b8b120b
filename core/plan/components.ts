import type { FormulaDoc, Makes } from '../model/documents';
import { type DeriveSpec, type Figure, type RangeCause } from '../figure';
import type { Batch, ChainPlan } from './chain';
import { addBatch, addBowlLoss } from './links/batch';
import type { RunContext } from './lookup';
import { Figures } from './figures';

/** What the lines of a run share: each formula once, for all that need it. */
export interface ComponentsPlan {
  readonly batches: readonly Batch[];
  readonly figures: readonly Figure[];
  readonly figure: (id: string) => Figure;
  readonly has: (id: string) => boolean;
  readonly causes: (id: string) => readonly RangeCause[];
  readonly sums: () => readonly DeriveSpec[];
}

interface Demand {
  readonly formulaId: string;
  readonly makes: Makes;
  /** Who asks: a line, or another formula. */
  readonly by: string;
  readonly lineIds: readonly string[];
  readonly massG: number;
  readonly spreadG: number;
}

const USES: Readonly<Record<Makes, string>> = {
  batter: 'Batter',
  filling: 'Filling',
  frosting: 'Frosting',
  binder: 'Binder',
  coat: 'Coat',
  topping: 'Topping',
};

/** Sums up what lines and formulas need of other formulas, and scales each once: eggs are rounded once, too. */
export function planComponents(run: RunContext, plans: readonly ChainPlan[]): ComponentsPlan | null {
  const demands = plans.flatMap((plan) => demandsOf(plan));
  const seen = new Set<string>();
  for (const plan of plans) {
    for (const batch of plan.batches) {
      // A bowl that lines share is one bowl: its parts are wanted once.
      if (seen.has(batch.formula.id)) continue;
      seen.add(batch.formula.id);
      const p = batch.mixedId.replace(/batter\.mixed$/, '');
      demands.push(...partDemands(batch.formula, batch.lineIds, (k) => plan.figure(`${p}part.${k}`)));
    }
  }
  if (demands.length === 0) return null;
  const ledger = new Figures({ ...run.kitchen.stated, ...run.stated });
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
    const parts = partDemands(batch.formula, batch.lineIds, (k) => ledger.figure(`${next}/part.${k}`));
    for (const demand of parts) open.add(demand.formulaId);
    demands.push(...parts);
  }
  return {
    batches,
    figures: ledger.figures(),
    figure: (id) => ledger.figure(id),
    has: (id) => ledger.has(id),
    causes: (id) => ledger.causes(id),
    sums: () => ledger.sums(),
  };
}

function demandsOf(plan: ChainPlan): Demand[] {
  return plan.needs.map(({ formulaId, makes, figureId }) => {
    const { value, low, high } = plan.figure(figureId);
    return {
      formulaId,
      makes,
      by: `${USES[makes]} of line ${plan.line.id}`,
      lineIds: [plan.line.id],
      massG: value,
      spreadG: (high - low) / 2,
    };
  });
}

function partDemands(
  formula: FormulaDoc,
  lineIds: readonly string[],
  figure: (k: number) => Figure,
): Demand[] {
  return (formula.parts ?? []).map((part, i) => ({
    formulaId: part.formulaId,
    makes: 'topping' as const,
    by: `Part of ${formula.name}`,
    lineIds,
    massG: figure(i + 1).value,
    spreadG: 0,
  }));
}

function contains(run: RunContext, id: string, part: string): boolean {
  return (run.formula(id).doc.parts ?? []).some(
    ({ formulaId }) => formulaId === part || contains(run, formulaId, part),
  );
}

function addComponent(ledger: Figures, run: RunContext, id: string, demands: readonly Demand[]): Batch {
  const { doc, read } = run.formula(id);
  const p = `${id}/`;
  const makes = doc.makes ?? demands[0]?.makes ?? 'topping';
  const needIds = demands.map(({ by, massG, spreadG }, i) => {
    const needId = `${p}need.${i + 1}`;
    ledger.root(needId, by, 'g', massG, spreadG, 'counted', 'As the sums of that line come to.');
    return needId;
  });
  addBowlLoss(ledger, p);
  ledger.total(`${p}asked`, `${doc.name}, asked for`, 'g', needIds, 'By all lines and formulas of the run.');
  ledger.calc(
    `${p}needed`,
    `${doc.name} needed`,
    'g',
    `{${p}asked} ÷ (1 − {${p}bowl.lossShare})`,
    (asked = 0, lost = 0) => asked / (1 - lost),
    'And what the bowl keeps.',
  );
  if (ledger.value(`${p}needed`) <= 0)
    ledger.given(`${p}none`, 'Nothing needed', 'g', 0, 'counted', 'No piece takes any of it.');
  const batch = addBatch(ledger, {
    p,
    formula: doc,
    read,
    eggs: 'follow',
    neededId: `${p}needed`,
    othersG: 0,
    mixedId: `${p}mixed`,
    mixedLabel: `${doc.name} in the bowl`,
  });
  return {
    ...batch,
    id,
    makes,
    formula: doc,
    mixedId: `${p}mixed`,
    lineIds: [...new Set(demands.flatMap(({ lineIds }) => lineIds))],
  };
}
