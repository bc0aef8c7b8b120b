import { cautionsFor, type Caution } from '../caution/cautions';
import type { CupcakeLine, FormulaDoc, KitchenDoc, RunFile } from '../exchange/documents';
import { Ledger, type Figure, type RangeCause } from '../figure';
import { cakeAboveRimMm, cupcakeCut, heightForVolumeMm, wellVolumeMl, type CupcakeCut } from '../piece';
import { BICARBONATE_WAIT_MIN } from '../process/batter.table';
import type { Fault } from '../quantity';
import { lastLoadWaitsMin, minutesBeforeOven, planDay, type DayStep } from '../schedule/day';
import { localOf, minutesOf } from '../schedule/localTime';
import { addBake, addCakes, addHands, ovenSettingC } from './bakeFigures';
import { addBatter, type BatterPlan } from './batterFigures';
import { methodOf, readOnce, tinsAtOnce, type LineContext } from './context';
import { addCount, type Limit, type LoadPlan } from './countFigures';
import { addFill } from './fillFigures';
import { finishOf, type FinishWords } from './finish';
import { remainderOf, type Remainder } from './remainder';

/** A step of the day with its local time. */
export interface TimedStep extends DayStep {
  readonly startAt: string;
  readonly endAt: string;
}

/** One band of the chain of grams: what it holds, what is lost on the way to the next, what stays over. */
export interface Stratum {
  readonly id: string;
  readonly label: string;
  readonly material: 'ingredient' | 'batter' | 'crumb' | 'loss' | 'left';
  readonly figureId: string;
  readonly massG: number;
  readonly pinned: boolean;
}

export interface LinePlan {
  readonly line: CupcakeLine;
  readonly formula: FormulaDoc;
  readonly figures: readonly Figure[];
  readonly figure: (id: string) => Figure;
  /** What widens the range of a figure most. */
  readonly causes: (id: string) => readonly RangeCause[];
  readonly batter: BatterPlan;
  readonly limits: readonly Limit[];
  readonly loads: LoadPlan;
  readonly remainder: Remainder;
  readonly finish: FinishWords;
  readonly cut: CupcakeCut;
  readonly strata: readonly Stratum[];
  readonly day: readonly TimedStep[];
  /** Local time of the latest safe start. */
  readonly startBy: string | null;
  readonly warnings: readonly Fault[];
  readonly cautions: readonly Caution[];
}

/** A line that cannot be planned, and what would mend it. */
export interface Unplanned {
  readonly line: CupcakeLine;
  readonly formula: FormulaDoc | null;
  readonly fault: Fault & { readonly field: 'formula' | 'tin' | 'oven' };
}

export type PlannedLine = ({ readonly planned: true } & LinePlan) | ({ readonly planned: false } & Unplanned);

/** Plans every line of a run. */
export function planRun(file: Pick<RunFile, 'run' | 'formulas' | 'kitchen' | 'asOf'>): PlannedLine[] {
  return file.run.lines.map((line) => planLine(line, file));
}

function planLine(
  line: CupcakeLine,
  { run, formulas, kitchen, asOf }: Pick<RunFile, 'run' | 'formulas' | 'kitchen' | 'asOf'>,
): PlannedLine {
  const formula = formulas.find((doc) => doc.id === line.formulaId) ?? null;
  const stop = (field: Unplanned['fault']['field'], fault: string, mend: string): PlannedLine => ({
    planned: false,
    line,
    formula,
    fault: { field, fault, mend },
  });
  if (!formula) return stop('formula', 'The formula of this run is gone.', 'Choose another formula.');
  const tin = kitchen.tins.find((item) => item.id === line.tinId);
  if (!tin) return stop('tin', 'The tin of this run is gone from the kitchen.', 'Choose another tin.');
  const oven = kitchen.ovens.find((item) => item.id === line.ovenId);
  if (!oven) return stop('oven', 'The oven of this run is gone from the kitchen.', 'Choose another oven.');
  const read = readOnce(formula);
  if (read.massG <= 0) {
    return stop(
      'formula',
      `"${formula.name}" has no line with an amount that can be read.`,
      'Open the formula and write its ingredients, one a line.',
    );
  }
  const context: LineContext = {
    line,
    formula,
    read,
    method: methodOf(formula),
    tin,
    oven,
    kitchen,
    asOfMin: asOf ? minutesOf(asOf) : null,
    readyMin: minutesOf(run.readyAt),
  };
  return { planned: true, ...plan(context) };
}

/** What was measured in this run comes before what always holds in this kitchen. */
function statedIn({ line, kitchen }: LineContext): Record<string, number> {
  return { ...kitchen.stated, ...line.stated };
}

function plan(context: LineContext): LinePlan {
  const { line, formula, read, method, tin, kitchen } = context;
  const ledger = new Ledger(statedIn(context));
  addFill(ledger, context);
  const batter = addBatter(ledger, context);
  addBake(ledger, context);
  const { limits, loads } = addCount(ledger, context, minutesForLoads(ledger, context));
  addCakes(ledger);
  addHands(ledger, context);
  const fig = (id: string) => ledger.figure(id);
  const volume = ledger.value('well.volume');
  // A water test says how much the well really holds: the drawn well is made that much deeper or shallower.
  const measured = volume / wellVolumeMl(tin.topMm, tin.baseMm, tin.depthMm);
  const well = { topMm: tin.topMm, baseMm: tin.baseMm, depthMm: tin.depthMm * measured };
  const cut = cupcakeCut(well, ledger.value('fill.share') * volume, ledger.value('finish.share') * volume);
  addHeights(ledger, cut);
  const day = planDay({
    loads: loads.sizes,
    bakeTime: fig('bake.time'),
    firstLook: fig('bake.firstLook'),
    coolTime: fig('cool.time'),
    turnaroundS: ledger.value('turnaround'),
    method,
    ovenSettingC: ovenSettingC(context),
  }).map((step) => ({
    ...step,
    startAt: localOf(context.readyMin - step.startMin),
    endAt: localOf(context.readyMin - step.endMin),
  }));
  const finish = finishOf(ledger.value('finish.share'));
  return {
    line,
    formula,
    figures: ledger.figures(),
    figure: fig,
    causes: (id) => ledger.causes(id),
    batter,
    limits,
    loads,
    remainder: remainderOf(ledger, context, limits),
    finish,
    cut,
    strata: strataOf(ledger),
    day,
    startBy: day[0]?.startAt ?? null,
    warnings: warningsFor(ledger, context, loads, finish, day, kitchen),
    cautions: cautionsFor(read),
  };
}

/** Further off than this, the clock is no supply that anybody reckons with. */
const CLOCK_LIMITS_WITHIN_MIN = 24 * 60;

/** Minutes between the earliest first load and the end of baking, and what one load takes of them. */
function minutesForLoads(ledger: Ledger, context: LineContext): { free: number; perLoad: number } | null {
  if (context.asOfMin === null) return null;
  const perLoad = ledger.figure('bake.time').high / 60 + 4;
  const firstLoad = Math.min(context.line.count, context.tin.wells * tinsAtOnce(context.tin, context.oven));
  const before = minutesBeforeOven(context.method, firstLoad);
  // Cooling is left out here: the pieces exist, if warm; the day says when to start so that they are cool.
  const free = context.readyMin - context.asOfMin - before;
  // With no time for a single load there is nothing to plan by; the late start is said as a warning.
  return free < perLoad || free > CLOCK_LIMITS_WITHIN_MIN ? null : { free, perLoad };
}

function addHeights(ledger: Ledger, cut: CupcakeCut): void {
  ledger.derive({
    id: 'fill.belowRim',
    label: 'Batter below the rim',
    unit: 'mm',
    from: ['fill.share', 'well.volume'],
    f: (share = 0, volume = 0) => cut.well.depthMm - heightForVolumeMm(cut.well, share * volume),
    sentence: 'How far down from the rim the batter stands in a well of this shape.',
    sum: 'height of {fill.share} of {well.volume} in the well, from the rim down',
  });
  ledger.derive({
    id: 'finish.aboveRim',
    label: 'Cake against the rim',
    unit: 'mm',
    from: ['finish.share', 'well.volume'],
    f: (share = 0, volume = 0) => cakeAboveRimMm(cut.well, share * volume),
    sentence:
      'The top of the dome against the rim: a cake larger than its well stands on it as a dome of that volume.',
    sum: 'height of {finish.share} of {well.volume} as a dome on the well',
  });
}

function strataOf(ledger: Ledger): Stratum[] {
  const band = (id: string, label: string, material: Stratum['material'], figureId: string): Stratum => {
    const figure = ledger.figure(figureId);
    return { id, label, material, figureId, massG: figure.value, pinned: figure.kind === 'pinned' };
  };
  return [
    band('mixed', 'Batter in the bowl', 'ingredient', 'batter.mixed'),
    band('bowl', 'Left on bowl and spoon', 'loss', 'batter.bowlLoss'),
    band('over', 'Batter left over', 'left', 'batter.left'),
    band('wells', 'Batter in wells', 'batter', 'batter.used'),
    band('steam', 'Lost as steam', 'loss', 'bake.lost'),
    band('cakes', 'Cakes', 'crumb', 'cakes.total'),
  ].filter(({ massG }) => massG > 0.05);
}

function warningsFor(
  ledger: Ledger,
  context: LineContext,
  loads: LoadPlan,
  finish: FinishWords,
  day: readonly TimedStep[],
  kitchen: KitchenDoc,
): Fault[] {
  const { read, method, asOfMin } = context;
  const out: Fault[] = [];
  if (finish.warning) out.push({ fault: `These come out ${finish.name}.`, mend: finish.warning });
  if (read.unread > 0) {
    out.push({
      fault: `${read.unread} ${read.unread === 1 ? 'line' : 'lines'} of the formula could not be read and ${read.unread === 1 ? 'is' : 'are'} left out of these sums.`,
      mend: 'Open the formula and mend what is marked.',
    });
  }
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
  const first = day[0];
  if (asOfMin !== null && first && minutesOf(first.startAt) < asOfMin) {
    const late = Math.round(asOfMin - minutesOf(first.startAt));
    out.push({
      fault: `The latest safe start was ${late} min ago.`,
      mend: 'Move the hour it must be ready, make fewer, or leave out softening by hand: cut butter small, warm eggs in water.',
    });
  }
  if (ledger.value('portion.mass') < kitchen.scaleStepG * 5) {
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
