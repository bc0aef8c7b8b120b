import type { FormulaDoc, KitchenDoc, Line, RunDoc } from '../model/documents';
import { doughIn } from '../model/references';
import { choose, edit, newLine, type Choice } from '../line';
import type { BinderKind, ChocolateKind } from '../model/kinds';
import { BACKWARDS, MISSING, WITH_MORE } from './backwards.words';
import type { LinePlan } from './linePlan';
import { planRun } from './plan';

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
}

interface Candidate {
  readonly id: keyof typeof BACKWARDS;
  readonly family: 'pop' | 'cakesicle';
  readonly dressed: Choice;
}

const CANDIDATES: readonly Candidate[] = [
  { id: 'pops', family: 'pop', dressed: {} },
  { id: 'small-pops', family: 'pop', dressed: { size: { by: 'mass', massG: 15 } } },
  { id: 'balls', family: 'pop', dressed: { stick: false } },
  { id: 'bare-balls', family: 'pop', dressed: { stick: false, coat: null } },
  { id: 'moulded', family: 'cakesicle', dressed: {} },
];

/** How much of the crumb is used up, near enough to compare. */
const tenths = ({ usedShare }: BackwardsOffer): number => Math.round(usedShare * 10);

/** More than enough for any table: the count follows from the dough. */
const ASKED = 2000;
/** Missing less than this of something is not worth a trip to the shop, g. */
const WORTH_G = 2;

/**
 * Starts from what is there: every way to use the crumb up, with how many come of it, what is missing, and what limits
 * it; the ones with nothing missing first, then those that leave least of it over, then those that make most.
 */
export function offersFrom(
  table: OnTheTable,
  kitchen: KitchenDoc,
  formulas: readonly FormulaDoc[],
): BackwardsOffer[] {
  if (table.cakeG <= 0 && table.biscuitG <= 0) return [];
  return CANDIDATES.flatMap((candidate) => offerOf(candidate, table, kitchen, formulas)).sort(
    (a, b) =>
      a.missing.length - b.missing.length ||
      tenths(b) - tenths(a) ||
      b.count - a.count ||
      a.id.localeCompare(b.id),
  );
}

/**
 * Of a candidate what can be made with nothing missing, which keeps what is on the table as its limit; and, where the dough
 * makes more than that, all that it makes, with what is to be bought.
 */
function offerOf(
  { id, family, dressed }: Candidate,
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
  // The dough first, as if chocolate and sticks were no limit; then as many as what is there is enough for.
  const unlimited = [stocked(made.line, table), dressed, { sticksOnHand: null }].reduce<Line>(
    (line, choice) => edit(line, choose(choice)),
    made.line,
  );
  const offer = (line: Line) => offered({ id, title: BACKWARDS[id] }, line, { table, kitchen, formulas });
  const all = offer(unlimited);
  const within = offer(edit(unlimited, choose(limited(unlimited, table))));
  if (!within || within.missing.length > 0) return all ? [all] : [];
  // To buy something for as many pieces as can be made without it is nobody's wish.
  const more = all && all.missing.length > 0 && all.count > within.count;
  return more ? [within, { ...all, id: `${id}-bought`, title: WITH_MORE(all.title) }] : [within];
}

/** As many of a line as can be made, and what is missing for them; null where that is none. */
function offered(
  named: Pick<BackwardsOffer, 'id' | 'title'>,
  asked: Line,
  {
    table,
    kitchen,
    formulas,
  }: { readonly table: OnTheTable; readonly kitchen: KitchenDoc; readonly formulas: readonly FormulaDoc[] },
): BackwardsOffer | null {
  const count = planOf(asked, kitchen, formulas)?.parts.count.made.value ?? 0;
  if (count < 1) return null;
  // What it takes is looked up in the very plan that the run will have.
  const line = edit(asked, choose({ count }));
  const plan = planOf(line, kitchen, formulas);
  const dough = plan?.parts.dough;
  if (!plan || !dough) return null;
  const left = plan.parts.doughLeft?.value ?? 0;
  const ready = dough.ready.value;
  return {
    ...named,
    line,
    count: plan.parts.count.made.value,
    missing: missingOf(plan, table),
    usedShare: table.cakeG + table.biscuitG > 0 && ready > 0 ? Math.max(0, 1 - left / ready) : 0,
  };
}

/** Everything on the table that is to be enough: the run that begins with it keeps to it, whatever count is asked of it later. */
function limited(line: Line, { chocolate, binder, sticks }: OnTheTable): Choice {
  const dough = doughIn(line);
  const coatG = chocolate?.massG ?? null;
  return {
    ...(sticks === null ? {} : { sticksOnHand: sticks }),
    ...(binder && dough ? { binder: { ...dough.binder, onHandG: binder.massG } } : {}),
    ...(line.family === 'pop' && line.coat ? { coat: { ...line.coat, onHandG: coatG } } : {}),
    ...(line.family === 'cakesicle' ? { coatOnHandG: coatG } : {}),
  };
}

/** What of it a shopping list need not ask for: the run remembers it. */
export function onHandOf({ biscuitG, chocolate, binder, sticks }: OnTheTable): NonNullable<RunDoc['onHand']> {
  const grams = (name: string, amount: number) => (amount > 0 ? [{ name, by: 'g' as const, amount }] : []);
  return [
    ...grams(MISSING.biscuit, biscuitG),
    ...(chocolate ? grams(MISSING.chocolate(chocolate.kind), chocolate.massG) : []),
    ...(binder ? grams(binder.kind, binder.massG) : []),
    ...(sticks === null ? [] : [{ name: MISSING.sticks, by: 'pieces' as const, amount: sticks }]),
  ];
}

/** Crumb, binder and chocolate as they are on the table. */
function stocked(line: Line, table: OnTheTable): Choice {
  const { cakeG, frostingShare, biscuitG, binder, chocolate } = table;
  const dough = doughIn(line);
  const crumb = [
    ...(cakeG > 0
      ? [{ from: 'leftovers', massG: cakeG, frostingShare, scraped: false, crumb: 'average' } as const]
      : []),
    ...(biscuitG > 0 ? [{ from: 'biscuit', massG: biscuitG } as const] : []),
  ];
  return {
    crumb,
    ...(binder && dough ? { binder: { ...dough.binder, kind: binder.kind } } : {}),
    ...(chocolate ? inChocolate(line, chocolate.kind) : {}),
  };
}

/** The chocolate on the table, where the line takes its own from. */
function inChocolate(line: Line, kind: ChocolateKind): Choice {
  switch (line.family) {
    case 'cakesicle':
      return { kind };
    case 'pop':
      return line.coat ? { coat: { ...line.coat, kind } } : {};
    case 'cupcake':
    case 'mini':
    case 'mug':
      return {};
  }
}

function planOf(line: Line, kitchen: KitchenDoc, formulas: readonly FormulaDoc[]): LinePlan | null {
  const run: RunDoc = {
    kind: 'run',
    version: 4,
    id: 'run-thought-of',
    name: 'Thought of',
    createdAt: 0,
    readyAt: '2000-01-01T12:00',
    lines: [line],
    closed: null,
  };
  const [plan] = planRun({ run, kitchen, formulas: [...formulas] });
  return plan?.planned ? plan : null;
}

function missingOf({ pots, parts, materials, line }: LinePlan, table: OnTheTable): MissingThing[] {
  const out: MissingThing[] = [];
  const grams = (what: string, needed: number, there: number) => {
    if (needed - there > WORTH_G) out.push({ what, amount: needed - there, by: 'g' });
  };
  const dough = doughIn(line);
  if (dough) grams(dough.binder.kind, parts.dough?.added.value ?? 0, table.binder?.massG ?? 0);
  const [pot] = pots;
  if (pot) {
    const melt = pots.reduce((sum, one) => sum + one.melt.value, 0);
    grams(MISSING.chocolate(pot.kind), melt, table.chocolate?.massG ?? 0);
  }
  const sticks = materials.find(({ what }) => what.is === 'sticks')?.amount.value ?? 0;
  if (table.sticks !== null && sticks > table.sticks)
    out.push({ what: MISSING.sticks, amount: sticks - table.sticks, by: 'pieces' });
  return out;
}
