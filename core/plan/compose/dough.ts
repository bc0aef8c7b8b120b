import type { Ways } from '../../caution/facts';
import { doneTests } from '../../caution/doneTests';
import type { Ref } from '../../figure';
import type { CakesicleLine, CrumbPart, PopLine } from '../../model/documents';
import { doughContents } from '../holds';
import type { RunContext } from '../context';
import type { BatterNeed, Pot, Preparation } from '../emitted';
import type { PlanFigures } from '../figures';
import { NO_PARTS, type Parts } from '../linePlan';
import {
  binderNeeds,
  crumbPreparations,
  doughMaterials,
  potMaterials,
  potNeeds,
  stickMaterials,
  thawPreparations,
  toppingMaterials,
  toppingNeeds,
  boughtToppings,
  toppingWords,
} from '../materials';
import { doughRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import {
  addCrumbNeeded,
  addDough,
  addTable,
  type DoughKind,
  type DoughPart,
  doughSupplies,
  isBaked,
  type Table,
} from '../stations/bind';
import type { CountPart, Supplied } from '../stations/count';
import { addBatterNeeded, addCrumbBakes, type CrumbBake } from '../stations/crumb';
import type { FinishedLot } from '../stations/lots';
import { addDoughNeeded, type PortionsPart } from '../stations/portion';
import { type Band, bandsOf } from '../strata';
import { BANDS } from '../strata.words';
import { excessWarnings, ovenWarnings } from '../warnings';
import type { Warning } from '../warnings.words';

/** A dough, from crumb of whatever source to portions. */
export interface Doughed {
  readonly table: Table;
  readonly dough: DoughPart;
  readonly bakes: readonly CrumbBake[];
  readonly supplies: readonly Supplied[];
}

/** Figures of the chain up to the dough: what has been weighed of it stands. */
const ofDough = (id: string): boolean => /^(batter|crumb|binder|dough|portion)\b/.test(id);

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
  const given =
    bakes.some(({ bowl }) => bowl.give !== null) && Object.keys(line.measured).every((id) => !ofDough(id));
  const dough = addDough(f, table, crumb, kind, { portion, wanted, given });
  return { table, dough, bakes, supplies: doughSupplies(f, dough, line.binder) };
}

/** What a line of dough comes to beyond its dough. */
export interface Finished extends Omit<Doughed, 'supplies'> {
  readonly run: RunContext;
  readonly line: PopLine | CakesicleLine;
  readonly count: CountPart;
  readonly portion: Ref<'g'>;
  readonly portions: PortionsPart;
  readonly pots: readonly Pot[];
  readonly lots: readonly FinishedLot[];
  readonly piece: Ref<'g'>;
}

/** Figures that every line of dough has, by the station that they come from. */
export function doughParts({ bakes, table, dough, portions, count, portion, piece }: Finished): Parts {
  const [first] = bakes;
  return {
    ...NO_PARTS,
    count,
    portion,
    bowl: first?.prefix === '' ? first.bowl : null,
    bake: first?.sheet?.bake ?? null,
    loads: first?.sheet?.bake.loads ?? null,
    sheets: first?.sheet ?? null,
    micro: first?.microwave?.micro ?? null,
    cool: first?.cool ?? null,
    table,
    dough,
    doughLeft: portions.left,
    crumbBakes: bakes,
    piece,
  };
}

/** What every line of dough tells alike. */
export function doughTold(
  made: Finished,
  piece: {
    readonly coated: boolean;
    readonly mould: boolean;
    readonly stick: boolean;
    readonly coatOnHandG: number | null | undefined;
  },
) {
  const { run, line, table, dough, bakes, count, portion, pots, lots } = made;
  const baked = line.crumb.find(isBaked);
  const formula = baked ? run.formula(baked.formulaId) : null;
  const batches = bakes.map(({ batch }) => batch);
  return {
    formula: formula?.doc ?? null,
    batches,
    pots,
    lots,
    contents: doughContents(line.crumb, line.binder, line.addIns),
    needs: () => [...binderNeeds(line.binder, dough), ...potNeeds(pots), ...toppingNeeds(lots)],
    materials: () => [
      ...(piece.stick ? stickMaterials(count.made, piece.mould, line.sticksOnHand) : []),
      ...doughMaterials(line.binder, line.addIns, table, dough),
      ...potMaterials(pots, piece.coatOnHandG),
      ...toppingMaterials(lots),
    ],
    preparations: (): Preparation[] => [...thawPreparations(batches), ...crumbPreparations(bakes)],
    remainder: () => doughRemainder(count, dough, portion, run.kitchen.scaleStepG),
    tests: () =>
      bakes.slice(0, 1).flatMap(({ formula: of, sheet, microwave }) => {
        const oven = sheet?.bake.oven ?? microwave?.micro.oven;
        return oven ? doneTests(of.read.lines, oven.done.value, microwave !== null) : [];
      }),
    warnings: (): Warning[] => [
      ...excessWarnings(dough, line.crumb),
      ...bakes.flatMap(({ sheet }) => (sheet ? ovenWarnings(sheet.bake.oven) : [])),
    ],
    ways: (): Ways => ({
      family: line.family,
      words: [...line.addIns.map(({ what }) => what), ...toppingWords(line.lots)],
      boughtWords: [...line.addIns.map(({ what }) => what), ...boughtToppings(line.lots)],
      frosting: null,
      coat: piece.coated,
      oven: line.crumb.some((part) => part.from === 'bake'),
      microwave: line.crumb.some((part) => part.from === 'microwave'),
      mould: piece.mould,
      stick: piece.stick,
      leftovers: line.crumb.some((part) => part.from === 'leftovers'),
      ageDays: oldestOf(line.crumb),
      softCheese: line.binder.kind === 'soft-cheese frosting',
    }),
  };
}

/** Days that the oldest cake in it has behind it. */
const oldestOf = (crumb: readonly CrumbPart[]): number =>
  Math.max(0, ...crumb.map((part) => ('ageDays' in part ? (part.ageDays ?? 0) : 0)));

/** The chain of a dough, from its bowl to its finished pieces. */
export function doughStrata(
  { dough, bakes }: Pick<Doughed, 'dough' | 'bakes'>,
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
        [
          sheet.bake.firstLook,
          ...sheet.bake.tests,
          sheet.bake.oven.setting,
          sheet.count,
          sheet.mass,
          sheet.bake.loads,
          cool.time,
        ],
        sheet.bake.time,
      ),
    ];
  return microwave
    ? [SECTIONS.microwave(microwave.micro, [microwave.bowls, microwave.inABowl], [cool.time])]
    : [];
}
