import { batterWaitMin } from '../batterWait';
import { bladeOf, type Ways } from '../../caution/facts';
import { doneTests } from '../../caution/doneTests';
import { checkStated } from '../../formula/checks';
import type { CupcakeLine, MiniWellsLine } from '../../model/documents';
import { cupcakeCut, fingerSection, onCake, pairSection, type Section, sidesOf } from '../../piece';
import type { CutSays, Material, Stratum, SumsSection } from '../emitted';
import { type Drawing, NO_PARTS, type Parts, type Planned } from '../linePlan';
import {
  boardMaterials,
  caseMaterials,
  coldBowl,
  finishMaterials,
  finishNeeds,
  thawPreparations,
  boughtFilling,
  boughtToppings,
  toppingWords,
} from '../materials';
import { coatNotes } from '../notes';
import { NOTES } from '../notes.words';
import { wellRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { batchesOf } from '../stations/lineBatch';
import type { FinishEach } from '../stations/finish';
import { type Heights, wellAsItHolds, type WellPart } from '../stations/well';
import { bandsOf } from '../strata';
import { BANDS } from '../strata.words';
import { wellTasks } from '../tasks';
import { bowlWarnings, finishWarnings, ovenWarnings, scaleWarnings, waitWarnings } from '../warnings';
import { type Warning, warning } from '../warnings.words';
import type { WellsMade } from './wellsMade';

/** What a line of pieces in wells tells, from what its stations made. */
export function wellsTold(made: WellsMade): Planned {
  const { line, how, run, formula, method, loads, bake, cakes, all, each, well, tin, oven } = made;
  const batches = batchesOf(made.bowl, formula, line.id);
  return {
    formula: formula.doc,
    count: loads.count,
    parts: () => partsOf(made),
    batches,
    pots: all.pots,
    sizes: loads.plan.sizes,
    lots: all.lots,
    contents: {
      formulaIds: [line.formulaId],
      filling: line.filling,
      frosting: line.frosting,
      words: line.baseLayer ? [line.baseLayer.what] : [],
      fondant: how.fondant,
    },
    ownCoat: how.coat ? { kind: how.coat.kind, formulaId: how.coat.formulaId } : null,
    tasks: () =>
      wellTasks({
        times: made.times,
        method,
        waitMin: batterWaitMin(formula.read.lines, formula.doc.method),
        loads: loads.plan,
        bake,
        cool: cakes.cool,
        tin,
        oven,
      }),
    needs: () => finishNeeds(each, all),
    materials: () => materialsOf(made),
    preparations: () => [...thawPreparations(batches), how.prepares(tin.name), ...coldBowl(line.frosting)],
    cold: () => null,
    remainder: () =>
      wellRemainder({
        kitchen: run.kitchen,
        formula,
        well,
        loads,
        left: cakes.left,
        bowlLoss: made.bowlLoss,
        wellsEach: made.paired ? 2 : 1,
        wanted: line.count,
      }),
    strata: () => strataOf(made),
    sections: () => sectionsOf(made),
    drawing: () => drawingOf(line, well, each, made.heights),
    cutSays: () => cutSaysOf(made),
    warnings: () => warningsOf(made),
    ways: () => waysOf(made),
    tests: () => doneTests(formula.read.lines, bake.oven.done.value),
    notes: () => notesOf(made),
  };
}

function partsOf({ loads, well, bowl, bake, cakes, each, all, paired, tin, finish }: WellsMade): Parts {
  return {
    ...NO_PARTS,
    count: loads.count,
    portion: well.portion,
    filled: well.filled,
    batterDensity: well.densities.batter,
    bowl,
    byBatter: loads.byBatter,
    clocked: {
      sizes: loads.plan.sizes,
      of: 'well',
      each: well.portion,
      inLoad: null,
      time: bake.time,
      firstLook: bake.firstLook,
      last: null,
      shows: [well.portion, bake.oven.setting, bake.time],
    },
    well,
    finish,
    bake,
    ovenQuestion: bake.question,
    wells: paired ? loads.wells : null,
    wellsOfTin: tin.wells,
    loads: loads.loads,
    loadPlan: loads.plan,
    cake: bake.cake,
    cool: cakes.cool,
    batterLeft: cakes.left,
    coat: each.coat,
    frostingNeeded: all.frostingTotal?.needed ?? null,
    piece: all.piece,
  };
}

const strataOf = ({ bowl, loads, cakes, all }: WellsMade): Stratum[] =>
  bandsOf([
    ['mixed', BANDS.mixed, 'ingredient', bowl.own],
    ['bowl', BANDS.bowl, 'loss', loads.bowlLost],
    ['over', BANDS.over, 'left', cakes.left],
    ['wells', BANDS.wells, 'batter', cakes.used],
    ['steam', BANDS.steam, 'loss', cakes.lost],
    ['cakes', BANDS.cakes, 'crumb', cakes.total],
    ['filling', BANDS.filling, 'topping', all.fillingNeeded],
    ['frosting', BANDS.frosting, 'topping', all.frostingTotal?.needed],
    ['coat', BANDS.coat, 'coat', all.pots[0]?.coat],
  ]);

function materialsOf({ how, loads, well, each, all }: WellsMade): Material[] {
  const layer: Material[] = well.layer
    ? [
        {
          what: { is: 'base layer', what: well.layer.what },
          use: 'fill',
          amount: well.layer.mass,
          times: loads.count.made,
        },
      ]
    : [];
  return [
    ...caseMaterials(how.liner, loads.count.made, well.tin.name, how.linersOnHand),
    ...boardMaterials(loads.count.made, how.boards),
    ...layer,
    ...finishMaterials(each, all),
  ];
}

const sectionsOf = ({ well, heights, scoop, bake, loads, cakes, each, all }: WellsMade): SumsSection[] => [
  SECTIONS.well(well, heights, scoop),
  SECTIONS.oven(
    [bake.firstLook, ...bake.tests, bake.oven.setting, loads.loads, cakes.cool.time, bake.cake],
    bake.time,
  ),
  ...SECTIONS.coat(each, all, null),
  ...SECTIONS.filling(each, all),
  ...SECTIONS.frosting(each, all),
  ...SECTIONS.lots(all, null),
];

function warningsOf({
  run,
  formula,
  method,
  well,
  bowl,
  bowlLoss,
  bake,
  loads,
  finish,
}: WellsMade): Warning[] {
  const { doc } = formula;
  const stated = checkStated({
    statedPieces: doc.statedPieces ?? null,
    statedMin: doc.statedMin ?? null,
    batterG: bowl.formulaMass.value * (1 - bowlLoss.value),
    portionG: well.portion.value,
    lowMin: bake.time.low / 60,
    highMin: bake.time.high / 60,
  });
  return [
    ...ovenWarnings(bake.oven),
    ...finishWarnings(finish),
    ...stated.map((said) => warning({ code: 'formula says otherwise', said })),
    ...waitWarnings(formula, loads.plan, bake),
    ...scaleWarnings(well.portion, run.kitchen),
    ...bowlWarnings(bowl.mixed, well.densities.batter, run.kitchen),
  ];
}

const waysOf = ({ line, how }: WellsMade): Ways => ({
  family: line.family,
  words: [line.filling?.what ?? '', line.baseLayer?.what ?? '', ...toppingWords(line.lots ?? [])],
  boughtWords: [...boughtFilling(line.filling), ...boughtToppings(line.lots ?? [])],
  frosting: line.frosting?.kind ?? null,
  coat: Boolean(how.coat),
  oven: true,
  blade: bladeOf(line.filling),
});

const notesOf = ({ run, line, how, well, each, all }: WellsMade): string[] => [
  ...(line.baseLayer ? [NOTES.turnOutWarm] : []),
  ...(well.shape.turningOut === 'grease corners' ? [NOTES.greaseCorners] : []),
  ...how.notes,
  ...(each.filling?.core ? [NOTES.keepCores] : []),
  ...(line.frosting ? [NOTES.frostCool] : []),
  ...(each.coat ? coatNotes(run.kitchen, all.pots, each.coat) : []),
];

const cutSaysOf = ({ well, heights, finish, all }: WellsMade): CutSays =>
  heights
    ? {
        is: 'well',
        filled: well.filled,
        belowRim: heights.belowRim,
        aboveRim: heights.aboveRim,
        finish: finish.name,
      }
    : { is: 'piece', mass: all.piece };

/** A cone is drawn in its well; a pair, a finger and a moulded piece as they are eaten. */
function drawingOf(
  line: CupcakeLine | MiniWellsLine,
  well: WellPart,
  each: FinishEach,
  heights: Heights | null,
): Drawing {
  const { top, base, depth, length } = well.sides;
  const coatMm = each.coat?.thickness.value ?? 0;
  const section = (one: Section): Drawing => ({ is: 'section', section: one });
  if (line.family === 'mini' && line.style === 'paired')
    return section(pairSection(each.solid.height.value, each.filling?.thickness?.value ?? 0, coatMm));
  if (line.family === 'mini' && line.style === 'fingers' && length) {
    const channels = each.filling?.channels;
    const ml = channels ? channels.each.value / (each.filling?.density?.value ?? 1) : 0;
    return section(fingerSection(length.value, each.solid.height.value, channels?.count.value ?? 0, ml));
  }
  if (!heights || !top || !base || !depth)
    return section(well.shape.piece(sidesOf(well.tin), each.solid.height.value, coatMm));
  const volume = well.volume.value;
  // A water test says how much the well really holds: the drawn well is made that much deeper or shallower.
  const hollow = wellAsItHolds(volume, top.value, base.value, depth.value);
  const cut = cupcakeCut(hollow, well.filled.value * volume, well.finish.value * volume);
  const half = base.value / 2;
  const layerMl = well.layer ? well.layer.mass.value / well.layer.density.value : 0;
  const core = each.filling?.core;
  const patches = onCake(cut.cake[0]?.y ?? 0, Math.max(...cut.cake.map(({ x }) => x)), {
    layerMm: half > 0 ? (1000 * layerMl) / (Math.PI * half * half) : 0,
    layerHalfMm: half,
    core: core ? { diameterMm: core.diameter.value, depthMm: core.depth.value } : null,
    frostingMl: each.frosting ? each.frosting.each.value / each.frosting.density.value : 0,
  });
  return { is: 'in its well', cut, patches };
}
