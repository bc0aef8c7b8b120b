import { factsOf } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import type { CubeLine } from '../../model/documents';
import { type Sampling } from '../../figure';
import { METHODS } from '../../process/batter.table';
import { COOLING } from '../../process/oven.table';
import type { CutPlan } from '../../process/portion';
import type { Fault } from '../../quantity';
import type { ChainPlan } from '../chain';
import { addLineBatch, addBowlLoss, lineBatches } from '../links/batch';
import { addPots, coatNotes, meltIdOf } from '../links/coat';
import { addMade, addWanted, counted } from '../links/count';
import { finishNeeds, formulaAllergens, partAllergens } from '../links/finish';
import { addFillingTotal, addFrostingTotal } from '../links/frosting';
import {
  addFinishedTotal,
  addLots,
  addToppings,
  allAllergens,
  checkLots,
  nutFaults,
  toppingWords,
} from '../links/lots';
import { addSheet, addSheetBake, type SheetSpec } from '../links/sheet';
import { statedIn, Unplannable, type RunContext } from '../lookup';
import {
  addCubeWait,
  addCuts,
  CUBE_BANDS,
  cubeEach,
  cubeMinutes,
  cubeRemainder,
  cubeSteps,
  cutLimit,
} from './cubeFigures';
import { toldPlan } from './linePlan';
import type { Planning } from './planning';
import { sequenceDay } from './sequence';
import { addFondantTotal } from './wellsFinish';
import { Figures } from '../figures';

export interface CubePlan extends ChainPlan {
  readonly family: 'mini';
  readonly line: CubeLine;
  readonly cuts: CutPlan;
}

/** Plans mini cakes cut from a sheet, filled, frosted, covered or dipped. */
export function* planCubes(run: RunContext, line: CubeLine, sampling: Sampling | null): Planning<CubePlan> {
  checkLots(line.lots, line.count);
  const { doc, read } = run.formula(line.formulaId);
  const method = METHODS[doc.method];
  const sheet = run.thing('sheet', line.sheetId);
  const spec: SheetSpec = {
    p: '',
    sheet,
    oven: run.thing('oven', line.ovenId),
    ovenC: line.ovenC,
    formula: doc,
    kitchen: run.kitchen,
  };
  const side = (mm: number, n: number) => (mm - 2 * line.trimMm - (n - 1) * line.kerfMm) / n;
  if (Math.min(side(sheet.lengthMm, line.columns), side(sheet.widthMm, line.rows)) < 5) {
    throw new Unplannable({
      field: 'sheet',
      fault: `${line.columns} × ${line.rows} leaves pieces under 5 mm on "${sheet.name}".`,
      mend: 'Cut it into fewer, trim less, or take a larger sheet.',
    });
  }
  const ledger = new Figures(statedIn(line, run.kitchen), sampling);
  addWanted(ledger, line.count, 'Mini cakes');
  addSheet(ledger, spec);
  const cuts = addCuts(ledger, line, sheet.lengthMm, sheet.widthMm);
  addBowlLoss(ledger, '');
  const wanted = Math.ceil(line.count / cuts.count);
  ledger.given(
    'sheet.count',
    'Sheets',
    'pieces',
    wanted,
    'counted',
    `${cuts.count} pieces a sheet, and ${line.count} wanted.`,
  );
  ledger.given(
    'cake.height',
    'Height wanted',
    'mm',
    line.heightMm,
    'stated',
    'Of the baked sheet, as chosen.',
  );
  ledger.calc(
    'batter.needed',
    'Batter needed',
    'g',
    '{sheet.count} × {sheet.length} × {sheet.width} × {cake.height} ÷ 1000 × {cake.density} ÷ (1 − {bake.lossShare}) ÷ (1 − {bowl.lossShare})',
    (n = 0, length = 0, width = 0, height = 0, density = 0, lost = 0, bowl = 0) =>
      (n * length * width * height * density) / 1000 / (1 - lost) / (1 - bowl),
    'A sheet of that height, baked, and what is lost on the way.',
  );
  const { others } = yield [{ formulaId: doc.id, massG: ledger.value('batter.needed') }];
  const batch = addLineBatch(ledger, { doc, read }, line.eggs, others);
  ledger.calc(
    'batter.ready',
    'Batter for the sheets',
    'g',
    `{${batch.ownId}} × (1 − {bowl.lossShare})`,
    (mixed = 0, lost = 0) => mixed * (1 - lost),
    'What goes into them: all of it, so that eggs kept whole make them a little higher.',
  );
  ledger.calc(
    'sheet.mass',
    'Batter in a sheet',
    'g',
    '{batter.ready} ÷ {sheet.count}',
    (ready = 0, n = 1) => ready / n,
    'The same in each.',
    { pin: { min: 10, max: 20_000 } },
  );
  addSheetBake(ledger, spec, COOLING.frostC, 'Cooling until it can be cut');
  ledger.calc(
    'sheet.cake',
    'A sheet, baked',
    'g',
    '{sheet.mass} × (1 − {bake.lossShare})',
    (batter = 0, lost = 0) => batter * (1 - lost),
    'Weigh it and the plan goes on from there.',
    { pin: { min: 5, max: ledger.figure('sheet.mass').high } },
  );
  ledger.calc(
    'piece.height',
    'Piece, high',
    'mm',
    '1000 × {sheet.cake} ÷ ({cake.density} × {sheet.length} × {sheet.width})',
    (cake = 0, density = 1, length = 1, width = 1) => (1000 * cake) / (density * length * width),
    'What the sheet comes to, spread over its area.',
  );
  ledger.calc(
    'cake.mass',
    'One piece of cake',
    'g',
    '{sheet.cake} × {piece.length} × {piece.width} ÷ ({sheet.length} × {sheet.width})',
    (cake = 0, l = 0, w = 0, length = 1, width = 1) => (cake * l * w) / (length * width),
    'Its part of the sheet, less what knife and trimming take.',
    { pin: { min: 0.5, max: 2000 } },
  );
  const each = cubeEach(ledger, run, line);
  ledger.total(
    'piece.mass',
    'One piece, before toppings',
    'g',
    each.pieceIds,
    'Cake and all that goes in and on it.',
  );
  if (line.coat) addCubeWait(ledger, line.coat.school);
  const limits = addMade(
    ledger,
    [
      cutLimit(ledger, cuts.count),
      ...counted(ledger, 'sticks', 'sticks', line.stickOnHand, 'the sticks'),
      ...each.supplies,
      ...cubeMinutes(ledger, run, line, method.mixMin),
    ],
    'Mini cakes',
  );
  ledger.calc(
    'cakes.total',
    'Pieces of cake in all',
    'g',
    '{count.made} × {cake.mass}',
    (count = 0, cake = 0) => count * cake,
    'Cut, before anything goes on.',
  );
  ledger.calc(
    'trimmings',
    'Trimmings and spare pieces',
    'g',
    '{sheet.count} × {sheet.cake} − {cakes.total}, at least 0',
    (n = 0, cake = 0, used = 0) => Math.max(n * cake - used, 0),
    'Edges, kerf and what is over: good crumb for pops.',
  );
  const lots = addLots(ledger, line.lots);
  if (ledger.has('fondant.each')) addFondantTotal(ledger);
  if (line.filling) addFillingTotal(ledger, line.filling);
  if (line.frosting) addFrostingTotal(ledger, lots, each.bags);
  const coat = line.coat ?? null;
  const pots = coat ? addPots(ledger, lots, coat) : [];
  const allergens = () =>
    partAllergens(run, {
      formulaIds: [line.formulaId],
      filling: line.filling,
      frosting: line.frosting,
    });
  const planned = addToppings(ledger, lots, {
    pieceId: 'piece.mass',
    areaId: 'piece.area',
    allergens,
    coat: coat?.kind ?? null,
    coatFormulaId: coat?.formulaId,
    ofFormula: (id) => formulaAllergens(run, id),
  });
  addFinishedTotal(ledger, planned);
  const all = () => allAllergens(allergens(), planned);
  const steps = cubeSteps(ledger, line, method.mixMin, method.meaning);
  const places = (mm: readonly number[]) => mm.map((one) => Math.round(one)).join(', ') || 'nothing';
  return toldPlan(
    ledger,
    run,
    {
      needs: () => finishNeeds(ledger, line, coat?.formulaId, meltIdOf(pots, coat?.kind)),
      remainder: () => cubeRemainder(ledger, cuts.count),
      bands: [['mixed', 'Batter in the bowl', 'ingredient', batch.ownId], ...CUBE_BANDS],
      day: () => sequenceDay(steps, run.readyMin),
      warnings: () => [...heightFault(ledger, sheet.depthMm), ...nutFaults(line.lots, planned)],
      facts: () =>
        factsOf({
          family: 'mini',
          lines: read.lines,
          allergens: all(),
          words: [line.filling?.what ?? '', ...toppingWords(line.lots)],
          frosting: line.frosting?.kind ?? null,
          coat: coat !== null,
          oven: true,
          stick: typeof line.stickOnHand === 'number',
          core: true,
        }),
      allergens: all,
      tests: () => doneTests(read.lines, method),
      notes: () => [
        `Chill the sheet before it is cut. Cut from the centre outwards: across at ${places(cuts.cutsAcrossMm)}, along at ${places(cuts.cutsAlongMm)} mm from the trimmed edge. Wipe the knife each time.`,
        ...(coat ? coatNotes(ledger, run, pots, coat) : []),
      ],
    },
    {
      family: 'mini' as const,
      line,
      cuts,
      formula: doc,
      batches: lineBatches(batch, doc, line.id),
      limits,
      loads: { sizes: Array.from({ length: ledger.value('loads.count') }, () => cuts.count) },
      lots: planned,
    },
  );
}

/** A cake that would stand too high for its tin. */
function heightFault(ledger: Figures, depthMm: number): Fault[] {
  const high = ledger.value('piece.height');
  if (high <= depthMm * OVER_RIM) return [];
  return [
    {
      fault: `The cake would stand {${Math.round(high)} mm} high in a sheet {${depthMm} mm} deep: it runs over.`,
      mend: 'Bake it lower, or in a deeper tin.',
    },
  ];
}

/** A sheet may rise this much over its rim before it runs. Basis: as for wells. */
const OVER_RIM = 1.3;
