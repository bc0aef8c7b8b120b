import type { FormulaDoc, KitchenDoc, Line, RunDoc } from '../model/documents';
import { newLine } from '../line/newLines';
import type { ChocolateKind } from '../process/microwave';
import type { BinderKind } from '../process/bind.table';
import { shareLots } from './offers';
import { planRun, type LinePlan } from './plan';

/** What is there to be used up; 0 and null where there is none of it. */
export interface OnTheTable {
  /** Cake, with its frosting if it has any, g. */
  readonly cakeG: number;
  /** Frosting on it, as a share of its mass. */
  readonly frostingShare: number;
  readonly biscuitG: number;
  readonly chocolate: { readonly kind: ChocolateKind; readonly massG: number } | null;
  readonly binder: { readonly kind: BinderKind; readonly massG: number } | null;
  /** Null where nobody counted them. */
  readonly sticks: number | null;
}

/** Something that is missing for an offer. */
export interface MissingThing {
  readonly what: string;
  /** g, or pieces for sticks. */
  readonly amount: number;
  readonly by: 'g' | 'pieces';
}

/** What can be made of it: a line that can be planned, how many, what is missing and what stays over. */
export interface BackwardsOffer {
  readonly id: string;
  readonly title: string;
  readonly line: Line;
  readonly count: number;
  readonly missing: readonly MissingThing[];
  /** Of the cake and the biscuit, what the offer uses, 0 to 1. */
  readonly usedShare: number;
  readonly limitedBy: string | null;
}

interface Candidate {
  readonly id: string;
  readonly title: string;
  readonly family: 'pop' | 'cakesicle';
  readonly dress: (line: Line) => Line;
}

const CANDIDATES: readonly Candidate[] = [
  { id: 'pops', title: 'Cake pops', family: 'pop', dress: (line) => line },
  {
    id: 'small-pops',
    title: 'Small cake pops',
    family: 'pop',
    dress: (line) => (line.family === 'pop' ? { ...line, size: { by: 'mass', massG: 15 } } : line),
  },
  {
    id: 'balls',
    title: 'Dipped balls, no stick',
    family: 'pop',
    dress: (line) => (line.family === 'pop' ? { ...line, stick: false } : line),
  },
  {
    id: 'bare-balls',
    title: 'Rolled balls, no coat',
    family: 'pop',
    dress: (line) => (line.family === 'pop' ? { ...line, stick: false, coat: null } : line),
  },
  { id: 'moulded', title: 'Moulded pieces', family: 'cakesicle', dress: (line) => line },
];

/** More than enough for any table: the count follows from the dough. */
const ASKED = 2000;
/** Missing less than this of something is not worth a trip to the shop, g. */
const WORTH_G = 2;

/**
 * Starts from what is there: every way to use the crumb up, with how many come of it, what is missing, and what limits
 * it; the ones with nothing missing first, then those that make most.
 */
export function offersFrom(
  table: OnTheTable,
  kitchen: KitchenDoc,
  formulas: readonly FormulaDoc[],
): BackwardsOffer[] {
  if (table.cakeG <= 0 && table.biscuitG <= 0) return [];
  return CANDIDATES.flatMap((candidate) => offerOf(candidate, table, kitchen, formulas)).sort(
    (a, b) => a.missing.length - b.missing.length || b.count - a.count || a.id.localeCompare(b.id),
  );
}

function offerOf(
  { id, title, family, dress }: Candidate,
  table: OnTheTable,
  kitchen: KitchenDoc,
  formulas: readonly FormulaDoc[],
): BackwardsOffer[] {
  const made = newLine({
    id: `line-${id}`,
    family,
    count: ASKED,
    crumb: { from: 'leftovers', massG: Math.max(table.cakeG, 1) },
    kitchen,
  });
  if (!made.ok) return [];
  const free = dress(stocked(made.line, table));
  // First as if chocolate and sticks were no limit: how many the dough makes.
  const most = count(free, kitchen, formulas);
  if (most === null || most < 1) return [];
  const line = shareLots({ ...free, count: most });
  const plan = planned(line, kitchen, formulas);
  if (!plan) return [];
  const missing = missingOf(plan, table);
  const crumb = table.cakeG + table.biscuitG;
  const left = plan.has('dough.left') ? plan.figure('dough.left').value : 0;
  const dough = plan.figure('dough.ready').value;
  return [
    {
      id,
      title,
      line,
      count: plan.figure('count.made').value,
      missing,
      usedShare: crumb > 0 && dough > 0 ? Math.max(0, 1 - left / dough) : 0,
      limitedBy: plan.limits.find(({ limiting }) => limiting)?.words ?? null,
    },
  ];
}

/** The line with its crumb and binder as they are on the table. */
function stocked(line: Line, table: OnTheTable): Line {
  if (line.family !== 'pop' && line.family !== 'cakesicle') return line;
  const crumb = [
    ...(table.cakeG > 0
      ? [
          {
            from: 'leftovers' as const,
            massG: table.cakeG,
            frostingShare: table.frostingShare,
            scraped: false,
            crumb: 'average' as const,
          },
        ]
      : []),
    ...(table.biscuitG > 0 ? [{ from: 'biscuit' as const, massG: table.biscuitG }] : []),
  ];
  const binder = table.binder ? { ...line.binder, kind: table.binder.kind } : line.binder;
  if (line.family === 'pop') {
    const coat = line.coat && table.chocolate ? { ...line.coat, kind: table.chocolate.kind } : line.coat;
    return { ...line, crumb, binder, coat };
  }
  return { ...line, crumb, binder, ...(table.chocolate ? { kind: table.chocolate.kind } : {}) };
}

function planned(line: Line, kitchen: KitchenDoc, formulas: readonly FormulaDoc[]): LinePlan | null {
  const run: RunDoc = {
    kind: 'run',
    version: 1,
    id: 'run-thought-of',
    name: 'Thought of',
    createdAt: 0,
    readyAt: '2000-01-01T12:00',
    lines: [line],
    clocks: [],
    closed: null,
  };
  const [plan] = planRun({ run, kitchen, formulas: [...formulas] });
  return plan?.planned ? plan : null;
}

function count(line: Line, kitchen: KitchenDoc, formulas: readonly FormulaDoc[]): number | null {
  return planned(line, kitchen, formulas)?.figure('count.made').value ?? null;
}

function missingOf(plan: LinePlan, table: OnTheTable): MissingThing[] {
  const v = (id: string) => (plan.has(id) ? plan.figure(id).value : 0);
  const out: MissingThing[] = [];
  const grams = (what: string, needed: number, there: number) => {
    if (needed - there > WORTH_G) out.push({ what, amount: needed - there, by: 'g' });
  };
  const binder = plan.family === 'pop' || plan.family === 'cakesicle' ? plan.line.binder.kind : 'binder';
  grams(binder, v('binder.added'), table.binder?.massG ?? 0);
  const kind =
    plan.family === 'cakesicle' ? plan.line.kind : plan.family === 'pop' ? plan.line.coat?.kind : null;
  if (kind) {
    const melt = plan.figures.reduce(
      (sum, { id, value }) => (/^pot\.\d+\.melt$/.test(id) ? sum + value : sum),
      0,
    );
    const name = kind === 'compound' ? 'compound coating' : `${kind} chocolate`;
    grams(name, melt, table.chocolate?.massG ?? 0);
  }
  const sticks = plan.has('stick.volume') || (plan.family === 'pop' && plan.line.stick);
  const made = v('count.made');
  if (sticks && table.sticks !== null && made > table.sticks)
    out.push({ what: 'sticks', amount: made - table.sticks, by: 'pieces' });
  return out;
}
