import { factsOf } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import { checkStated } from '../../formula/checks';
import type { CupcakeLine, Liner, MiniWellsLine } from '../../model/documents';
import { over, times, without, type Ref, type Sampling } from '../../figure';
import { cupcakeCut, fingerSection, onCake, pairSection, type Section } from '../../piece';
import { METHODS } from '../../process/batter.table';
import type { RunContext } from '../context';
import type { CutSays, Preparation, SumsSection } from '../emitted';
import type { PlanFigures } from '../figures';
import { finishOf } from '../finish';
import { LinePlan, NO_PARTS, type Drawing, type Parts, type Planning } from '../linePlan';
import { caseMaterials, finishMaterials, finishNeeds, thawPreparations, toppingWords } from '../materials';
import { coatNotes } from '../notes';
import { NOTES } from '../notes.words';
import { wellRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { addBake, addCakes } from '../stations/bake';
import { addBowlLoss, addLineBatch, batchOf } from '../stations/batch';
import { BATCH } from '../stations/batch.words';
import { addBallOf, addSurface } from '../stations/coat';
import { addWanted, type Supplied } from '../stations/count';
import { addFinishAll, addFinishEach, type FinishAll, type FinishEach } from '../stations/finish';
import { addLoads, addWellsWanted, tinsAtOnce } from '../stations/loads';
import { checkLots } from '../stations/lots';
import { addScoops } from '../stations/scoop';
import { addHeights, addWell, sidesFor, wellAsItHolds, type Heights, type WellPart } from '../stations/well';
import { sidesOf } from '../../piece';
import { bandsOf, type Band } from '../strata';
import { BANDS } from '../strata.words';
import { addWellTimes, wellTasks } from '../tasks';
import { bowlWarnings, finishWarnings, scaleWarnings, unreadWarnings, waitWarnings } from '../warnings';
import { warning } from '../warnings.words';
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
  readonly supplies: (f: PlanFigures) => readonly Supplied[];
  readonly prepares: (tin: string) => Preparation;
  /** A syrup soaks into the pair where there is one. */
  readonly notes: readonly string[];
}

/** Plans pieces that bake in wells: well, batter, loads, core, filling, frosting, coat, lots. */
export function* planInWells(
  run: RunContext,
  line: CupcakeLine | MiniWellsLine,
  how: InWells,
  sampling: Sampling | null,
): Planning {
  const { kitchen } = run;
  const lots = line.lots ?? [];
  checkLots(lots, line.count);
  const formula = run.formula(line.formulaId);
  const method = METHODS[formula.doc.method];
  const tin = run.thing('tin', line.tinId);
  const oven = run.thing('oven', line.ovenId);
  const f = lineFigures(run, line, { 'well.volume': tin.wellMl }, sampling);
  const well = addWell(f, tin, formula, line.fill, line.baseLayer ?? null, kitchen.scaleStepG);
  const scoop = addScoops(f, kitchen, 'a well', method, well.portion, well.densities.batter);
  const wanted = addWanted(f, line.count, how.many);
  const wantedWells = addWellsWanted(f, wanted, how.spareHalves);
  const bowlLoss = addBowlLoss(f);
  const needed = f.sum(
    'batter.needed',
    BATCH.needed(how.many.toLowerCase()),
    'g',
    over(times(wantedWells.wells, well.portion), without(bowlLoss)),
  );
  const { others } = yield [{ formulaId: formula.doc.id, massG: needed.value }];
  const bowl = addLineBatch(f, formula, line.eggs, needed, others);
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
  const dayTimes = addWellTimes(f, method);
  const all = addFinishAll(f, each, lots, loads.count.made, whole);
  const finish = finishOf(well.finish.value);
  const heights = addHeights(f, well);
  const batch = batchOf(bowl, formula, line.id);
  const parts: Parts = {
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
  const bands: Band[] = [
    ['mixed', BANDS.mixed, 'ingredient', bowl.own],
    ['bowl', BANDS.bowl, 'loss', loads.bowlLost],
    ['over', BANDS.over, 'left', cakes.left],
    ['wells', BANDS.wells, 'batter', cakes.used],
    ['steam', BANDS.steam, 'loss', cakes.lost],
    ['cakes', BANDS.cakes, 'crumb', cakes.total],
    ['filling', BANDS.filling, 'topping', all.fillingNeeded],
    ['frosting', BANDS.frosting, 'topping', all.frostingTotal?.needed],
    ['coat', BANDS.coat, 'coat', all.pots[0]?.coat],
  ];
  const { read, doc } = formula;
  return new LinePlan(f, run, line, {
    formula: doc,
    parts,
    batches: [batch],
    pots: all.pots,
    sizes: loads.plan.sizes,
    lots: all.lots,
    contents: {
      formulaIds: [line.formulaId],
      filling: line.filling,
      frosting: line.frosting,
      words: line.baseLayer ? [line.baseLayer.what] : [],
    },
    ownCoat: how.coat ? { kind: how.coat.kind, formulaId: how.coat.formulaId } : null,
    tasks: wellTasks({ times: dayTimes, method, loads: loads.plan, bake, cool: cakes.cool, tin, oven }),
    needs: () => finishNeeds(each, all),
    materials: () => [
      ...caseMaterials(how.liner, loads.count.made),
      ...(well.layer
        ? [
            {
              what: { is: 'base layer', what: well.layer.what },
              use: 'fill',
              amount: well.layer.mass,
              times: loads.count.made,
            } as const,
          ]
        : []),
      ...finishMaterials(each, all),
    ],
    preparations: () => [
      ...thawPreparations([batch]),
      how.prepares(tin.name),
      ...(line.frosting?.kind === 'whipped cream' ? [{ do: 'cold bowl for cream' } as const] : []),
    ],
    cold: () => null,
    remainder: () =>
      wellRemainder({
        kitchen,
        formula,
        well,
        loads,
        left: cakes.left,
        bowlLoss,
        wellsEach: paired ? 2 : 1,
        wanted: line.count,
      }),
    strata: () => bandsOf(bands),
    sections: () => [
      SECTIONS.well(well, heights, scoop),
      SECTIONS.oven([bake.firstLook, bake.oven.setting, loads.loads, cakes.cool.time, bake.cake], bake.time),
      ...finishSections(each, all),
    ],
    drawing: () => drawingOf(line, well, each, heights),
    cutSays: () => cutSaysOf(well, heights, finish.name, all.piece),
    warnings: () => [
      ...finishWarnings(finish),
      ...unreadWarnings(formula),
      ...checkStated({
        statedPieces: doc.statedPieces ?? null,
        statedMin: doc.statedMin ?? null,
        batterG: bowl.formulaMass.value * (1 - bowlLoss.value),
        portionG: well.portion.value,
        lowMin: bake.time.low / 60,
        highMin: bake.time.high / 60,
      }).map((said) => warning({ code: 'formula says otherwise', said })),
      ...waitWarnings(formula, method, loads.plan, bake),
      ...scaleWarnings(well.portion, kitchen),
      ...bowlWarnings(bowl.mixed, well.densities.batter, kitchen),
    ],
    facts: (allergens) =>
      factsOf({
        family: line.family,
        lines: read.lines,
        allergens,
        words: [line.filling?.what ?? '', line.baseLayer?.what ?? '', ...toppingWords(lots)],
        frosting: line.frosting?.kind ?? null,
        coat: Boolean(how.coat),
        oven: true,
        core: line.filling?.how === 'core',
      }),
    tests: () => doneTests(read.lines, method),
    notes: () => [
      ...(line.baseLayer ? [NOTES.turnOutWarm] : []),
      ...(well.shape.turningOut === 'grease corners' ? [NOTES.greaseCorners] : []),
      ...how.notes,
      ...(each.filling?.core ? [NOTES.keepCores] : []),
      ...(line.frosting ? [NOTES.frostCool] : []),
      ...(each.coat ? coatNotes(kitchen, all.pots, each.coat) : []),
    ],
  });
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

const finishSections = (each: FinishEach, all: FinishAll): SumsSection[] => [
  ...SECTIONS.coat(each, all, null),
  ...SECTIONS.filling(each, all),
  ...SECTIONS.frosting(each, all),
  ...SECTIONS.lots(all, null),
];

function cutSaysOf(well: WellPart, heights: Heights | null, finish: string, piece: Ref<'g'>): CutSays {
  return heights
    ? { is: 'well', filled: well.filled, belowRim: heights.belowRim, aboveRim: heights.aboveRim, finish }
    : { is: 'piece', mass: piece };
}

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
