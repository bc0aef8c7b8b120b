import { factsOf } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import { type Sampling } from '../../figure';
import type { CupcakeLine, MiniWellsLine } from '../../model/documents';
import { BICARBONATE_WAIT_MIN } from '../../process/batter.table';
import {
  cupcakeCut,
  wellVolumeMl,
  cakeAboveRimMm,
  heightForVolumeMm,
  type CupcakeCut,
  type Well,
} from '../../piece';
import { checkStated } from '../../formula/checks';
import type { Fault } from '../../quantity';
import { lastLoadWaitsMin, minutesBeforeOven, planDay } from '../../schedule/day';
import { localOf } from '../../model/localTime';
import type { BatterPlan, ChainPlan, TimedStep } from '../chain';
import { finishOf, type FinishWords } from '../finish';
import { addLineBatch, addBowlLoss, lineBatches } from '../links/batch';
import { addWanted } from '../links/count';
import { finishNeeds } from '../links/finish';
import { checkLots, nutFaults, toppingWords } from '../links/lots';
import { CLOCK_LIMITS_WITHIN_MIN } from '../links/minutes';
import { addHands, ovenSettingC } from '../links/oven';
import { statedIn, type RunContext } from '../lookup';
import { remainderOf } from '../remainder';
import { addBake, addCakes, ovenQuestion, type OvenQuestion } from './wellsBake';
import { tinsAtOnce, wellsContext, type WellsContext } from './wellsContext';
import { addCount, addWellsWanted, type LoadMinutes, type LoadPlan } from './wellsCount';
import { addFill } from './wellsFill';
import type { Band } from './bands';
import { ToldPlan, type Told } from './linePlan';
import type { Planning } from './planning';
import { finishAll, finishEach, wellNotes } from './wellsFinish';
import { Figures } from '../figures';

/** A line of cupcakes, or of mini cakes baked in wells. */
export interface WellsPlan extends ChainPlan {
  readonly batter: BatterPlan;
  readonly loads: LoadPlan;
  readonly finish: FinishWords;
  /** What the baking model is asked: it draws the curve of the coldest place. */
  readonly oven: OvenQuestion;
  /** Cross-section to scale; null for wells that are no cones. */
  readonly cut: CupcakeCut | null;
}

export interface CupcakePlan extends WellsPlan {
  readonly family: 'cupcake';
  readonly line: CupcakeLine;
  readonly formula: NonNullable<ChainPlan['formula']>;
  readonly cut: CupcakeCut;
}
export interface MiniWellsPlan extends WellsPlan {
  readonly family: 'mini';
  readonly line: MiniWellsLine;
}

const BANDS: readonly Band[] = [
  ['bowl', 'Left on bowl and spoon', 'loss', 'batter.bowlLoss'],
  ['over', 'Batter left over', 'left', 'batter.left'],
  ['wells', 'Batter in wells', 'batter', 'batter.used'],
  ['steam', 'Lost as steam', 'loss', 'bake.lost'],
  ['cakes', 'Cakes', 'crumb', 'cakes.total'],
  ['filling', 'Filling', 'topping', 'filling.needed'],
  ['frosting', 'Frosting', 'topping', 'frosting.needed'],
  ['coat', 'Coat', 'coat', 'pot.1.coat'],
];

/** Plans cupcakes or mini cakes in wells: well, batter, loads, core, filling, frosting, coat, lots. */
export function* planWells<P extends CupcakePlan | MiniWellsPlan>(
  run: RunContext,
  line: P['line'],
  sampling: Sampling | null,
): Planning<P> {
  const context = wellsContext(run, line);
  const { formula, read, method, tin } = context;
  checkLots(line.lots ?? [], line.count);
  const ledger = new Figures(statedIn(line, run.kitchen), sampling);
  addFill(ledger, context);
  addWanted(ledger, line.count, context.many);
  const wantedId = addWellsWanted(ledger, context);
  addBowlLoss(ledger, '');
  ledger.calc(
    'batter.needed',
    'Batter needed',
    'g',
    `{${wantedId}} × {portion.mass} ÷ (1 − {bowl.lossShare})`,
    (count = 0, portion = 0, lost = 0) => (count * portion) / (1 - lost),
    `Enough for all ${context.many.toLowerCase()} wanted, and for what the bowl keeps.`,
  );
  const { others } = yield [{ formulaId: formula.id, massG: ledger.value('batter.needed') }];
  const batter = addLineBatch(ledger, { doc: formula, read }, line.eggs, others);
  addBake(ledger, context);
  const finishing = finishEach(ledger, context);
  const { limits, loads, wellsId } = addCount(
    ledger,
    context,
    batter.ownId,
    minutesForLoads(ledger, context),
    finishing.supplies,
  );
  addCakes(ledger, context, wellsId);
  addHands(ledger, method);
  const done = finishAll(ledger, context, finishing);
  const finish = finishOf(ledger.value('finish.share'));
  const cone = tin.shape === undefined || tin.shape === 'frustum';
  if (cone) addHeights(ledger);
  const { lots } = done;
  return Object.assign(
    new DrawnWells(ledger, run, {
      needs: () => finishNeeds(ledger, line, done.coatFormulaId, done.coatId),
      remainder: () => remainderOf(ledger, context, limits),
      bands: [['mixed', 'Batter in the bowl', 'ingredient', batter.ownId], ...BANDS],
      day: () => dayOf(ledger, context, loads),
      warnings: () => [...warningsFor(ledger, context, loads, finish), ...nutFaults(line.lots ?? [], lots)],
      facts: () =>
        factsOf({
          family: line.family,
          lines: read.lines,
          allergens: done.allergens(),
          words: [line.filling?.what ?? '', line.baseLayer?.what ?? '', ...toppingWords(line.lots ?? [])],
          frosting: line.frosting?.kind ?? null,
          coat: line.family === 'mini' && Boolean(line.coat),
          oven: true,
          core: line.filling?.how === 'core',
        }),
      allergens: done.allergens,
      tests: () => doneTests(read.lines, method),
      notes: () => [...wellNotes(ledger, context), ...done.notes()],
      cut: () => (cone ? cutOf(ledger, context) : null),
      oven: () => ovenQuestion(ledger, context),
    }),
    {
      family: line.family,
      line,
      formula,
      batter,
      batches: lineBatches(batter, formula, line.id),
      limits,
      loads,
      lots,
      finish,
    },
  ) as unknown as P;
}

interface Drawn extends Told {
  readonly cut: () => CupcakeCut | null;
  readonly oven: () => ReturnType<typeof ovenQuestion>;
}

/**
 * A plan of pieces baked in wells, with what is drawn of it. Getters of the class: properties defined on each plan would
 * give each its own hidden layout, which the engine keeps, with all that hangs on it, far longer than the plan.
 */
class DrawnWells extends ToldPlan {
  private keptCut: CupcakeCut | null | undefined;
  private keptOven: ReturnType<typeof ovenQuestion> | undefined;

  constructor(
    ledger: Figures,
    run: RunContext,
    private readonly drawn: Drawn,
  ) {
    super(ledger, run, drawn);
  }

  get cut(): CupcakeCut | null {
    return (this.keptCut ??= this.drawn.cut());
  }
  get oven(): ReturnType<typeof ovenQuestion> {
    return (this.keptOven ??= this.drawn.oven());
  }
}

function cutOf(ledger: Figures, { tin }: WellsContext): CupcakeCut {
  const volume = ledger.value('well.volume');
  // A water test says how much the well really holds: the drawn well is made that much deeper or shallower.
  const well = wellOf(volume, tin.topMm, tin.baseMm, tin.depthMm);
  return cupcakeCut(well, ledger.value('fill.share') * volume, ledger.value('finish.share') * volume);
}

const IN_THE_WELL = '{well.volume} in the well ({well.top} × {well.base} × {well.depth})';

/** The well as a water test has it: as deep as it holds. */
function wellOf(volume: number, topMm: number, baseMm: number, depthMm: number): Well {
  return { topMm, baseMm, depthMm: (depthMm * volume) / wellVolumeMl(topMm, baseMm, depthMm) };
}

function addHeights(ledger: Figures): void {
  ledger.calc(
    'fill.belowRim',
    'Batter below the rim',
    'mm',
    `height of {fill.share} of ${IN_THE_WELL}, from the rim down`,
    (share = 0, volume = 0, top = 1, base = 1, depth = 1) => {
      const well = wellOf(volume, top, base, depth);
      return well.depthMm - heightForVolumeMm(well, share * volume);
    },
    'How far down from the rim the batter stands in a well of this shape.',
  );
  ledger.calc(
    'finish.aboveRim',
    'Cake against the rim',
    'mm',
    `height of {finish.share} of ${IN_THE_WELL}, as a dome`,
    (share = 0, volume = 0, top = 1, base = 1, depth = 1) =>
      cakeAboveRimMm(wellOf(volume, top, base, depth), share * volume),
    'The top of the dome against the rim: a cake larger than its well stands on it as a dome of that volume.',
  );
}

function dayOf(ledger: Figures, context: WellsContext, loads: LoadPlan): TimedStep[] {
  const { line, method, run } = context;
  return planDay({
    loads: loads.sizes,
    bakeTime: ledger.figure('bake.time'),
    firstLook: ledger.figure('bake.firstLook'),
    coolTime: ledger.figure('cool.time'),
    turnaroundS: ledger.value('turnaround'),
    method,
    ovenSettingC: ovenSettingC({ ...context, ovenC: line.ovenC }),
  }).map((step) => ({
    ...step,
    startAt: localOf(run.readyMin - step.startMin),
    endAt: localOf(run.readyMin - step.endMin),
  }));
}

/** Minutes between the earliest first load and the end of baking, and what one load takes of them. */
function minutesForLoads(
  ledger: Figures,
  { run, line, tin, oven, method, wellsEach }: WellsContext,
): LoadMinutes | null {
  if (run.asOfMin === null) return null;
  const perLoad = ledger.figure('bake.time').high / 60 + 4;
  const firstLoad = Math.min(line.count * wellsEach, tin.wells * tinsAtOnce(tin, oven));
  // Cooling is left out here: the pieces exist, if warm; the day says when to start so that they are cool.
  const free = run.readyMin - run.asOfMin - minutesBeforeOven(method, firstLoad);
  // With no time for a single load there is nothing to plan by; the late start is said as a warning.
  return free < perLoad || free > CLOCK_LIMITS_WITHIN_MIN ? null : { free, perLoad };
}

function warningsFor(
  ledger: Figures,
  { read, method, run, formula }: WellsContext,
  loads: LoadPlan,
  finish: FinishWords,
): Fault[] {
  const out: Fault[] = [];
  if (finish.warning) out.push({ fault: `These come out ${finish.name}.`, mend: finish.warning });
  if (read.unread > 0) {
    out.push({
      fault: `${read.unread} ${read.unread === 1 ? 'line' : 'lines'} of the formula could not be read and ${read.unread === 1 ? 'is' : 'are'} left out of these sums.`,
      mend: 'Open the formula and mend what is marked.',
    });
  }
  out.push(
    ...checkStated({
      statedPieces: formula.statedPieces ?? null,
      statedMin: formula.statedMin ?? null,
      batterG: ledger.value('formula.mass') * (1 - ledger.value('bowl.lossShare')),
      portionG: ledger.value('portion.mass'),
      lowMin: ledger.figure('bake.time').low / 60,
      highMin: ledger.figure('bake.time').high / 60,
    }),
  );
  const wait = lastLoadWaitsMin(loads.sizes, ledger.value('bake.time'), ledger.value('turnaround'));
  const hasPowder = read.lines.some((l) => l.ingredient?.role === 'powder');
  const hasBicarbonate = read.lines.some((l) => l.ingredient?.role === 'bicarbonate');
  const allowed =
    hasBicarbonate && !hasPowder ? Math.min(BICARBONATE_WAIT_MIN, method.waitMin) : method.waitMin;
  if (wait > allowed) {
    out.push({
      fault: `The last load's batter waits about ${Math.round(wait)} min; this one keeps its lift for about ${allowed}.`,
      mend: 'Mix it in two bowls, the second while the first bakes, or bake in more tins at once.',
    });
  }
  if (ledger.value('portion.mass') < run.kitchen.scaleStepG * 5) {
    out.push({
      fault: 'A well takes less than five steps of the scale.',
      mend: 'Weigh the whole tin as you fill it, or portion with a spoon.',
    });
  }
  if (ledger.value('scale.used') > 40) {
    out.push({
      fault: `That is ${Math.round(ledger.value('scale.used'))} times the formula: more than one bowl holds.`,
      mend: 'Mix it in several bowls of the same weight.',
    });
  }
  return out;
}
