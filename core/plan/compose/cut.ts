import { factsOf } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import type { CubeLine } from '../../model/documents';
import { cm2, over, times, without, type Sampling } from '../../figure';
import { cubeSection } from '../../piece';
import { METHODS } from '../../process/batter.table';
import { COOLING } from '../../process/oven.table';
import { WEIGH_MIN } from '../../process/hands.table';
import type { RunContext } from '../context';
import { LinePlan, NO_PARTS, type Parts, type Planning } from '../linePlan';
import { finishMaterials, finishNeeds, stickMaterials, thawPreparations, toppingWords } from '../materials';
import { coatNotes } from '../notes';
import { NOTES } from '../notes.words';
import { cutRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { addBowlLoss, addLineBatch, batchOf } from '../stations/batch';
import { addBox } from '../stations/coat';
import { addMade, addMinutes, addWanted, counted, type Supplied } from '../stations/count';
import { addCutBatter, addCutCake, addCutLimit, addCuts, addCutTotals, checkCuts } from '../stations/cut';
import { CUT } from '../stations/cut.words';
import { addFinishAll, addFinishEach, addPiece } from '../stations/finish';
import { addFinishedTotal, checkLots } from '../stations/lots';
import { addSetting } from '../stations/set';
import { SET } from '../stations/set.words';
import { addSheet, addSheetBake } from '../stations/sheet';
import { bandsOf, type Band } from '../strata';
import { BANDS } from '../strata.words';
import { cutHandsS, cutTasks } from '../craftTasks';
import { inTurn } from '../taskSaid';
import { ROUND_WORDS } from '../tasks.words';
import { bowlWarnings, sheetWarnings } from '../warnings';
import { lineFigures } from './measured';

/** Plans pieces cut from a sheet, filled, frosted, covered or dipped. */
export function* planCut(run: RunContext, line: CubeLine, many: string, sampling: Sampling | null): Planning {
  const { kitchen } = run;
  checkLots(line.lots, line.count);
  const formula = run.formula(line.formulaId);
  const method = METHODS[formula.doc.method];
  const sheet = run.thing('sheet', line.sheetId);
  const oven = run.thing('oven', line.ovenId);
  checkCuts(line, sheet);
  const f = lineFigures(run, line, {}, sampling);
  const wanted = addWanted(f, line.count, many);
  const spec = { sheet, oven, ovenC: line.ovenC, formula };
  const part = addSheet(f, spec);
  const cut = addCuts(f, line, sheet, part);
  const bowlLoss = addBowlLoss(f);
  const batter = addCutBatter(f, line, cut, part, bowlLoss);
  const { others } = yield [{ formulaId: formula.doc.id, massG: batter.needed.value }];
  const bowl = addLineBatch(f, formula, line.eggs, batter.needed, others);
  const ready = f.sum('batter.ready', CUT.ready, 'g', times(bowl.own, without(bowlLoss)));
  const mass = f.sum('sheet.mass', CUT.mass, 'g', over(ready, batter.count), {
    pin: { min: 10, max: 20_000 },
  });
  const sheets = { count: batter.count, mass };
  const bake = addSheetBake(f, run, spec, part, sheets, COOLING.frostC, CUT.untilCut);
  const cake = addCutCake(f, cut, part, mass);
  const stick = typeof line.stickOnHand === 'number';
  const each = addFinishEach(
    f,
    run,
    {
      filling: line.filling,
      frosting: line.frosting,
      fondant: line.fondant ?? false,
      coat: line.coat,
      lots: line.lots,
      count: line.count,
    },
    {
      top: cake.top,
      cake: cake.cake,
      crumbDensity: part.densities.cake,
      body: {
        narrowestMm: Math.min(cut.length.value, cut.width.value),
        heightMm: cake.height.value,
      },
      solid: () => addBox(f, cut.length, cut.width, cake.height),
      foot: () => cm2(times(cut.length, cut.width)),
      box: true,
      stick,
    },
  );
  const piece = addPiece(f, each);
  const frozen = line.coat?.school === 'frozen';
  const sets = line.coat
    ? addSetting(f, 'set.coat', frozen ? 'coat on a frozen piece' : 'coat, room', piece, SET.coatOnRack)
    : null;
  const { perSheet, allows } = addCutLimit(f, cut, batter.count);
  const worked = Boolean(line.frosting) || Boolean(line.filling);
  const supplies: Supplied[] = [
    { supply: 'pieces', pieces: allows },
    ...counted(f, 'sticks', line.stickOnHand),
    ...each.supplies,
    ...addMinutes(f, run, {
      fixedS:
        (method.mixMin + WEIGH_MIN) * 60 +
        bake.time.high * bake.loads.value +
        bake.cool.time.high +
        (sets?.high ?? 0),
      roundS: cutHandsS(worked, sets !== null),
      pieces: 1,
      what: ROUND_WORDS.piece,
    }),
  ];
  const count = addMade(f, wanted, supplies, many);
  const totals = addCutTotals(f, cake, batter.count, count.made);
  const all = addFinishAll(f, each, line.lots, count.made, cake.cake, piece);
  const finished = addFinishedTotal(f, all.lots);
  const batch = batchOf(bowl, formula, line.id);
  const parts: Parts = {
    ...NO_PARTS,
    count,
    bowl,
    clocked: {
      sizes: Array.from({ length: bake.loads.value }, () => cut.plan.count),
      of: 'sheet',
      each: mass,
      inLoad: batter.count.value,
      time: bake.time,
      firstLook: bake.firstLook,
      shows: [mass, bake.oven.setting, bake.time],
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
  const bands: Band[] = [
    ['mixed', BANDS.mixed, 'ingredient', bowl.own],
    ['cakes', BANDS.cut, 'crumb', totals.cakes],
    ['trimmings', BANDS.trimmings, 'left', totals.trimmings],
    ['frosting', BANDS.frosting, 'topping', all.frostingTotal?.needed],
    ['coat', BANDS.coatOn, 'coat', all.pots[0]?.coat],
    ['finished', BANDS.finished, 'dough', finished],
  ];
  const { read, doc } = formula;
  const tasks = inTurn(
    cutTasks(f, {
      method,
      oven,
      sheet,
      bake,
      sheets: batter.count,
      made: count.made.value,
      worked,
      coat: sets && line.coat ? { sets, vesselId: line.coat.vesselId } : null,
    }),
  );
  return new LinePlan(f, run, line, {
    formula: doc,
    parts,
    batches: [batch],
    pots: all.pots,
    sizes: Array.from({ length: bake.loads.value }, () => cut.plan.count),
    lots: all.lots,
    contents: { formulaIds: [line.formulaId], filling: line.filling, frosting: line.frosting },
    ownCoat: line.coat ? { kind: line.coat.kind, formulaId: line.coat.formulaId } : null,
    tasks,
    needs: () => finishNeeds(each, all),
    materials: () => [...(stick ? stickMaterials(count.made) : []), ...finishMaterials(each, all)],
    preparations: () => [
      ...thawPreparations([batch]),
      { do: 'line sheets', sheets: batter.count.value },
      ...(line.frosting?.kind === 'whipped cream' ? [{ do: 'cold bowl for cream' } as const] : []),
    ],
    cold: () => null,
    remainder: () => cutRemainder(count, cut, allows, totals),
    strata: () => bandsOf(bands),
    sections: () => [
      SECTIONS.oven(
        [bake.firstLook, bake.oven.setting, batter.count, mass, bake.loads, bake.cool.time, cake.cake],
        bake.time,
      ),
      SECTIONS.cut(perSheet, cut, cake, totals),
      ...SECTIONS.coat(each, all, sets),
      ...SECTIONS.filling(each, all),
      ...SECTIONS.frosting(each, all),
      ...SECTIONS.lots(all, finished),
    ],
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
      ...sheetWarnings(cake.height, sheet.depthMm),
      ...bowlWarnings(bowl.mixed, part.densities.batter, kitchen),
    ],
    facts: (allergens) =>
      factsOf({
        family: line.family,
        lines: read.lines,
        allergens,
        words: [line.filling?.what ?? '', ...toppingWords(line.lots)],
        frosting: line.frosting?.kind ?? null,
        coat: Boolean(line.coat),
        oven: true,
        stick,
        core: true,
      }),
    tests: () => doneTests(read.lines, method),
    notes: () => [
      NOTES.cuts(cut.plan.cutsAcrossMm, cut.plan.cutsAlongMm),
      ...(each.coat ? coatNotes(kitchen, all.pots, each.coat) : []),
    ],
  });
}
