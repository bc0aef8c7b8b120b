import { finishedTold } from './finishedTold';
import type { Ways } from '../../caution/facts';
import { doneTests } from '../../caution/doneTests';
import { cubeSection } from '../../piece';
import type { Stratum, SumsSection } from '../emitted';
import { NO_PARTS, type Parts, type Planned } from '../linePlan';
import {
  boardMaterials,
  finishMaterials,
  stickMaterials,
  toppingWords,
  boughtFilling,
  boughtToppings,
} from '../materials';
import { coatNotes } from '../notes';
import { NOTES } from '../notes.words';
import { cutRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { bandsOf } from '../strata';
import { BANDS } from '../strata.words';
import { bowlWarnings, ovenWarnings, sheetWarnings } from '../warnings';
import type { CutMade } from './cutMade';

/** What a line of cut pieces tells, from what its stations made. */
export function cutTold(made: CutMade): Planned {
  const { run, line, formula, cut, count, all, each, totals, sheets, cake } = made;
  const told = finishedTold(made);
  return {
    ...told,
    parts: () => partsOf(made),
    pots: all.pots,
    sizes: sizesOf(made),
    ownCoat: line.coat ? { kind: line.coat.kind, formulaId: line.coat.formulaId } : null,
    tasks: () => made.tasks,
    materials: () => [
      ...(made.stick ? stickMaterials(count.made, false, line.stickOnHand) : []),
      ...boardMaterials(count.made, line.boards),
      ...finishMaterials(each, all),
    ],
    preparations: () => [...told.preparations(), { do: 'line sheets', sheets: sheets.count.value }],
    remainder: () => cutRemainder(count, cut, made.allows, totals),
    strata: () => strataOf(made),
    sections: () => sectionsOf(made),
    drawing: () => ({
      is: 'section',
      section: cubeSection(cut.length.value, cake.height.value, each.coat?.thickness.value ?? 0),
    }),
    cutSays: () => ({
      is: 'cut',
      length: cut.length,
      width: cut.width,
      height: cake.height,
      cake: cake.cake,
    }),
    warnings: () => [
      ...ovenWarnings(made.bake.oven),
      ...sheetWarnings(cake.height, made.sheet.depthMm),
      ...bowlWarnings(made.bowl.mixed, made.part.densities.batter, run.kitchen),
    ],
    ways: () => waysOf(made),
    tests: () => doneTests(formula.read.lines, made.bake.oven.done.value),
    notes: () => [
      NOTES.cuts(cut.plan.cutsAcrossMm, cut.plan.cutsAlongMm),
      ...(each.coat ? coatNotes(run.kitchen, all.pots, each.coat) : []),
    ],
  };
}

const sizesOf = ({ bake, cut }: CutMade): number[] =>
  Array.from({ length: bake.loads.value }, () => cut.plan.count);

function partsOf(made: CutMade): Parts {
  const { count, bowl, sheets, bake, cake, cut, totals, each, all, piece } = made;
  return {
    ...NO_PARTS,
    count,
    bowl,
    clocked: {
      sizes: sizesOf(made),
      of: 'sheet',
      each: sheets.mass,
      inLoad: sheets.count.value,
      time: bake.time,
      firstLook: bake.firstLook,
      last: null,
      shows: [sheets.mass, bake.oven.setting, bake.time],
    },
    bake,
    loads: bake.loads,
    cake: cake.cake,
    sheets,
    cut,
    trimmings: totals.trimmings,
    cool: bake.cool,
    coat: each.coat,
    frostingNeeded: all.frostingTotal?.needed ?? null,
    piece,
  };
}

const strataOf = ({ bowl, totals, all, finished }: CutMade): Stratum[] =>
  bandsOf([
    ['mixed', BANDS.mixed, 'ingredient', bowl.own],
    ['cakes', BANDS.cut, 'crumb', totals.cakes],
    ['trimmings', BANDS.trimmings, 'left', totals.trimmings],
    ['frosting', BANDS.frosting, 'topping', all.frostingTotal?.needed],
    ['coat', BANDS.coatOn, 'coat', all.pots[0]?.coat],
    ['finished', BANDS.finished, 'dough', finished],
  ]);

function sectionsOf(made: CutMade): SumsSection[] {
  const { bake, sheets, cake, perSheet, cut, totals, each, all, sets, finished } = made;
  return [
    SECTIONS.oven(
      [
        bake.firstLook,
        ...bake.tests,
        bake.oven.setting,
        sheets.count,
        sheets.mass,
        bake.loads,
        bake.cool.time,
        cake.cake,
      ],
      bake.time,
    ),
    SECTIONS.cut(perSheet, cut, cake, totals),
    ...SECTIONS.coat(each, all, sets),
    ...SECTIONS.filling(each, all),
    ...SECTIONS.frosting(each, all),
    ...SECTIONS.lots(all, finished),
  ];
}

const waysOf = ({ line, stick }: CutMade): Ways => ({
  family: line.family,
  words: [line.filling?.what ?? '', ...toppingWords(line.lots)],
  boughtWords: [...boughtFilling(line.filling), ...boughtToppings(line.lots)],
  frosting: line.frosting?.kind ?? null,
  coat: Boolean(line.coat),
  oven: true,
  stick,
  blade: 'cut',
});
