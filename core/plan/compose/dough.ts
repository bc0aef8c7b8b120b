import { factsOf, type Facts } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import type { CakesicleLine, PopLine } from '../../model/documents';
import type { Ref } from '../../figure';
import { METHODS } from '../../process/batter.table';
import type { Allergen } from '../../quantity';
import { doughContents } from '../allergens';
import type { RunContext } from '../context';
import type { BatterNeed, Pot } from '../emitted';
import type { PlanFigures } from '../figures';
import type { Planned } from '../linePlan';
import { crumbPreparations, doughMaterials, thawPreparations, toppingWords } from '../materials';
import { SECTIONS } from '../sections';
import {
  addCrumbNeeded,
  addDough,
  addTable,
  doughSupplies,
  isBaked,
  type DoughKind,
  type DoughPart,
  type Table,
} from '../stations/bind';
import type { Supplied } from '../stations/count';
import { addBatterNeeded, addCrumbBakes, type CrumbBake } from '../stations/crumb';
import { addDoughNeeded, type PortionsPart } from '../stations/portion';
import { bandsOf, type Band } from '../strata';
import { BANDS } from '../strata.words';

/** A dough, from crumb of whatever source to portions. */
export interface Doughed {
  readonly table: Table;
  readonly dough: DoughPart;
  readonly bakes: readonly CrumbBake[];
  readonly supplies: readonly Supplied[];
}

/** Crumb, binder and dough for so many portions; says once what batter its bakes need. */
export function* addDoughFrom(
  f: PlanFigures,
  run: RunContext,
  line: PopLine | CakesicleLine,
  wanted: Ref<'pieces'>,
  kind: DoughKind,
  portion: Ref<'g'>,
): Generator<readonly BatterNeed[], Doughed, { readonly others: ReadonlyMap<string, number> }> {
  const needed = addDoughNeeded(f, wanted, portion, kind.handLoss);
  const table = addTable(f, line);
  const crumbNeeded = addCrumbNeeded(f, table, needed);
  const { planned, needs } = crumbNeeded
    ? addBatterNeeded(f, run, line.crumb, crumbNeeded)
    : { planned: [], needs: [] };
  const { others } = yield needs;
  const { crumb, bakes } = addCrumbBakes(f, run, table.sources, planned, line.id, others);
  const dough = addDough(f, table, crumb, kind, portion);
  return { table, dough, bakes, supplies: doughSupplies(f, dough, line.binder) };
}

/** What every line of dough tells alike. */
export function doughTold(
  run: RunContext,
  line: PopLine | CakesicleLine,
  { table, dough, bakes }: Doughed,
  piece: { readonly coated: boolean; readonly mould: boolean; readonly stick: boolean },
): Pick<Planned, 'formula' | 'batches' | 'contents' | 'tests' | 'facts'> & {
  readonly materials: Planned['materials'];
  readonly preparations: Planned['preparations'];
} {
  const baked = line.crumb.find(isBaked);
  const formula = baked ? run.formula(baked.formulaId) : null;
  const batches = bakes.map(({ batch }) => batch);
  return {
    formula: formula?.doc ?? null,
    batches,
    contents: doughContents(line.crumb, line.binder, line.addIns),
    tests: () =>
      formula && baked
        ? doneTests(formula.read.lines, METHODS[formula.doc.method], baked.from === 'microwave')
        : [],
    materials: () => doughMaterials(line.binder, line.addIns, table, dough),
    preparations: () => [...thawPreparations(batches), ...crumbPreparations(bakes)],
    facts: (allergens: readonly Allergen[]): Facts =>
      factsOf({
        family: line.family,
        lines: bakes.flatMap((bake) => bake.formula.read.lines),
        allergens,
        words: [...line.addIns.map(({ what }) => what), ...toppingWords(line.lots)],
        frosting: null,
        coat: piece.coated,
        oven: line.crumb.some((part) => part.from === 'bake'),
        microwave: line.crumb.some((part) => part.from === 'microwave'),
        mould: piece.mould,
        stick: piece.stick,
        leftovers: line.crumb.some((part) => part.from === 'leftovers'),
        softCheese: line.binder.kind === 'soft-cheese frosting',
      }),
  };
}

/** The chain of a dough, from its bowl to its finished pieces. */
export function doughStrata(
  { dough, bakes }: Doughed,
  portions: PortionsPart,
  pots: readonly Pot[],
  shells: Ref<'g'> | null,
  finished: Ref<'g'>,
) {
  const bands: Band[] = [
    ['mixed', BANDS.mixed, 'ingredient', bakes[0]?.prefix === '' ? bakes[0].bowl.mixed : null],
    ['crumb', BANDS.crumb, 'crumb', dough.crumbTotal],
    ['frosting', BANDS.ownFrosting, 'topping', dough.ownFrosting],
    ['binder', BANDS.binder, 'topping', dough.added],
    ['dough', BANDS.dough, 'dough', dough.total],
    ['hands', BANDS.hands, 'loss', dough.lost],
    ['portions', BANDS.portions, 'dough', portions.total],
    ['over', BANDS.doughOver, 'left', portions.left],
    ['coat', BANDS.coatOn, 'coat', pots[0]?.coat],
    ['shell', BANDS.shell, 'coat', shells],
    ['finished', BANDS.finished, 'dough', finished],
  ];
  return bandsOf(bands);
}

/** Oven and microwave of the first bake for crumb. */
export function crumbBakeSections([first]: readonly CrumbBake[]) {
  if (!first) return [];
  const { sheet, microwave, cool } = first;
  if (sheet)
    return [
      SECTIONS.oven(
        [sheet.bake.firstLook, sheet.bake.oven.setting, sheet.count, sheet.mass, sheet.bake.loads, cool.time],
        sheet.bake.time,
      ),
    ];
  return microwave
    ? [SECTIONS.microwave(microwave.micro, [microwave.bowls, microwave.inABowl], [cool.time])]
    : [];
}
