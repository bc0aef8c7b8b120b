import { over, type Ref, type Sampling, times, without } from '../../figure';
import type { CupcakeLine, Liner, MiniWellsLine } from '../../model/documents';
import { sidesOf } from '../../piece';
import { METHODS } from '../../process/batter.table';
import type { RunContext } from '../context';
import type { Preparation } from '../emitted';
import type { PlanFigures } from '../figures';
import { finishOf } from '../finish';
import type { Shared } from '../linePlan';
import { addBake, addCakes } from '../stations/bake';
import { addAsWritten, addBowlLoss, portionAsEggsHaveIt } from '../stations/batch';
import { addLineBatch } from '../stations/lineBatch';
import { BATCH } from '../stations/batch.words';
import { addBallOf, addSurface } from '../stations/coat';
import { addWanted, type Supplied } from '../stations/count';
import { addFinishAll, addFinishEach, type FinishEach } from '../stations/finish';
import { addLoads, addWellsWanted, tinsAtOnce } from '../stations/loads';
import { addScoops } from '../stations/scoop';
import { addHeights, addWell, sidesFor, type WellPart } from '../stations/well';
import { addWellTimes } from '../tasks';
import { lineFigures } from './measured';
import { PIECES } from './pieces.words';

/** What a family says of pieces that bake in wells. */
export interface InWells {
  /** What the pieces are called: "Cupcakes". */
  readonly many: string;
  /** What the tin is lined with; none for moulds that are greased. */
  readonly liner: Liner | undefined;
  /** Halves baked beyond the pairs; null where a piece is one well. */
  readonly spareHalves: number | null;
  readonly coat: MiniWellsLine['coat'];
  readonly fondant: boolean;
  /** Whether each stands on a board. */
  readonly boards?: boolean | undefined;
  /** Cases that are there, where somebody counted them. */
  readonly linersOnHand?: number | null | undefined;
  readonly supplies: (f: PlanFigures) => readonly Supplied[];
  readonly prepares: (tin: string) => Preparation;
  /** A syrup soaks into the pair where there is one. */
  readonly notes: readonly string[];
}

/** What pieces in wells come to, station by station. */
export type WellsMade = ReturnType<typeof toFinish>;

/** The well, what goes into it, and the batter that all of them need. */
export function toBatter(
  run: RunContext,
  line: CupcakeLine | MiniWellsLine,
  how: InWells,
  sampling: Sampling | null,
) {
  const { kitchen } = run;
  const formula = run.formula(line.formulaId);
  const method = METHODS[formula.doc.method];
  const tin = run.thing('tin', line.tinId);
  const oven = run.thing('oven', line.ovenId);
  const f = lineFigures(run, line, { 'well.volume': tin.wellMl }, sampling);
  const well = addWell(f, tin, formula, line.fill, line.baseLayer ?? null, kitchen.scaleStepG);
  const scoop = addScoops(f, kitchen, 'a well', method, well.portion, well.densities.batter);
  const bowlLoss = addBowlLoss(f);
  const asWritten = line.batches
    ? addAsWritten(f, formula, line.batches, bowlLoss, well.portion, how.spareHalves === null ? 1 : 2)
    : null;
  const wanted = asWritten?.comes ?? addWanted(f, line.count, how.many);
  const wantedWells = addWellsWanted(f, wanted, asWritten && how.spareHalves !== null ? 0 : how.spareHalves);
  const needed =
    asWritten?.needed ??
    f.sum(
      'batter.needed',
      BATCH.needed(how.many.toLowerCase()),
      'g',
      over(times(wantedWells.wells, well.portion), without(bowlLoss)),
    );
  return {
    run,
    line,
    how,
    formula,
    method,
    tin,
    oven,
    f,
    well,
    scoop,
    wanted,
    wantedWells,
    bowlLoss,
    needed,
  };
}

/** From the bowl through oven and loads to what each piece and all of them are finished with. */
export function toFinish(start: ReturnType<typeof toBatter>, others: Shared['others']) {
  const { run, line, how, formula, method, tin, oven, f, wanted, wantedWells, bowlLoss, needed } = start;
  const bowl = addLineBatch(f, run, formula, line.eggs, needed, others);
  const well = { ...start.well, portion: portionAsEggsHaveIt(f, line, bowl, start.well.portion) };
  const paired = how.spareHalves !== null;
  const bake = addBake(f, run, well, {
    oven,
    formula,
    ovenC: line.ovenC,
    liner: how.liner,
    racks: tinsAtOnce(tin, oven) > oven.tinsPerRack,
    half: paired,
  });
  const { each, whole } = addFinishing(f, run, line, how, well, bake.cake);
  const loads = addLoads(f, run, {
    wanted,
    wantedWells,
    portion: well.portion,
    bowlLoss,
    bowl,
    bakeTime: bake.time,
    tin,
    oven,
    method,
    maxLoads: line.maxLoads,
    many: how.many,
    supplies: [...how.supplies(f), ...each.supplies],
  });
  const cakes = addCakes(f, well, bake.cake, loads.ready, loads.wells, how.many);
  const times = addWellTimes(f, method, formula.read.lines);
  const all = addFinishAll(f, each, line.lots ?? [], loads.count.made, whole);
  const heights = addHeights(f, well);
  const finish = finishOf(well.finish.value);
  return { ...start, well, bowl, paired, bake, each, loads, cakes, times, all, heights, finish };
}

/** What one piece takes beyond its cake: two halves put together, the layer below, the inside and the outside. */
function addFinishing(
  f: PlanFigures,
  run: RunContext,
  line: CupcakeLine | MiniWellsLine,
  how: InWells,
  well: WellPart,
  cake: Ref<'g'>,
): { readonly each: FinishEach; readonly whole: Ref<'g'> } {
  const paired = how.spareHalves !== null;
  const whole = paired ? f.sum('pair.mass', PIECES.pair, 'g', times(2, cake)) : cake;
  const layered = well.layer ? f.total('layered.mass', PIECES.layered, 'g', [whole, well.layer.mass]) : whole;
  const { top } = well.sides;
  if (!top) throw new Error('invariant: every well has a top');
  const { densities, shape, volume: brim } = well;
  const mm = sidesOf(well.tin);
  const each = addFinishEach(
    f,
    run,
    {
      filling: line.filling,
      frosting: line.frosting,
      fondant: how.fondant,
      coat: how.coat,
      lots: line.lots ?? [],
      count: line.count,
    },
    {
      top,
      cake: layered,
      crumbDensity: densities.cake,
      // Paired halves are spread, not cored; all else is cored as it stood in its well.
      body: paired ? null : { narrowestMm: shape.narrowestMm(mm), heightMm: mm.depth },
      solid: () => {
        const one = over(cake, densities.cake);
        const volume = f.sum(
          'cake.volume',
          PIECES.volume,
          'ml',
          paired ? over(times(2, cake), densities.cake) : one,
        );
        return paired && shape.pairsToBall
          ? addBallOf(f, volume)
          : addSurface(f, volume, shape.surface(sidesFor(well), volume));
      },
      foot: () => shape.surface(sidesFor(well), brim).foot,
      box: false,
      stick: false,
    },
  );
  return { each, whole };
}
