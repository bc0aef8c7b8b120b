import { factsOf } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import type { MugLine } from '../../model/documents';
import { minus, over, times, without, type Sampling } from '../../figure';
import { scopeOf } from '../../param';
import { mugSection, mugWidthMm } from '../../piece';
import { METHODS } from '../../process/batter.table';
import { MUG_WEIGH_MIN } from '../../process/hands.table';
import { evenLoads } from '../../process/loads';
import { MICROWAVE } from '../../process/microwave.table';
import { COOLING, COOLING_MUG } from '../../process/oven.table';
import { MANY } from '../compose/pieces.words';
import { lineFigures } from '../compose/measured';
import type { RunContext } from '../context';
import { LinePlan, NO_PARTS, type Planning } from '../linePlan';
import { finishMaterials, finishNeeds, thawPreparations, toppingWords } from '../materials';
import { NOTES } from '../notes.words';
import { mugRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { BAKE } from '../stations/bake.words';
import { addBowlLoss, addLineBatch, batchOf } from '../stations/batch';
import { addCooling } from '../stations/cool';
import { addMade, addMinutes, addWanted, counted } from '../stations/count';
import { addFinishAll, addFinishEach } from '../stations/finish';
import { checkLots } from '../stations/lots';
import { addMicrowave, addMicroOven, addTimeAlone } from '../stations/microwave';
import { MUG } from '../stations/microwave.words';
import { addMug, addMugArea, addMugTop } from '../stations/mug';
import { addScoops } from '../stations/scoop';
import { bandsOf } from '../strata';
import { BANDS } from '../strata.words';
import { inTurn } from '../taskSaid';
import { mugTasks } from '../tasks';
import { ROUND_WORDS, TIMES } from '../tasks.words';
import { bowlWarnings, mugWarnings } from '../warnings';

/** Mug cakes: how full, how many turn at once, how long, standing, what goes in and on. */
export function* planMug(run: RunContext, line: MugLine, sampling: Sampling | null): Planning {
  const { kitchen } = run;
  checkLots(line.lots, line.count);
  const formula = run.formula(line.formulaId);
  const method = METHODS[formula.doc.method];
  const mug = run.thing('mug', line.mugId);
  const microwave = run.thing('microwave', line.microwaveId);
  const f = lineFigures(run, line, {}, sampling);
  const wanted = addWanted(f, line.count, MANY.mug);
  const part = addMug(f, mug, formula, line.fill, kitchen.scaleStepG);
  const { portion, densities, loss } = part;
  const scoop = addScoops(f, kitchen, 'a mug', method, portion, densities.batter);
  const bowlLoss = addBowlLoss(f);
  const needed = f.sum('batter.needed', MUG.needed, 'g', over(times(wanted, portion), without(bowlLoss)));
  const { others } = yield [{ formulaId: formula.doc.id, massG: needed.value }];
  const bowl = addLineBatch(f, formula, line.eggs, needed, others);
  const ready = f.sum('batter.ready', MUG.ready, 'g', times(bowl.own, without(bowlLoss)));
  const byBatter = f.sum('count.batter', MUG.allows, 'pieces', over(ready, portion), { whole: 'floor' });
  const cake = f.sum('cake.mass', MUG.cake, 'g', times(portion, without(loss)), {
    pin: { min: 0.5, max: portion.value },
  });
  const top = addMugTop(f, mug);
  const area = addMugArea(f, top);
  const widthMm = mugWidthMm(mug.volumeMl);
  const each = addFinishEach(
    f,
    run,
    {
      filling: line.filling,
      frosting: line.frosting,
      fondant: false,
      coat: null,
      lots: line.lots,
      count: line.count,
    },
    {
      top,
      cake,
      crumbDensity: densities.cake,
      body: { narrowestMm: widthMm, heightMm: widthMm },
      // A mug is topped where it is open; nothing is dipped.
      solid: () => ({ area, curve: top, volume: part.volume, height: top }),
      foot: () => area,
      box: false,
      stick: false,
    },
  );
  const cool = addCooling(f, {
    kind: 'mug',
    thing: scopeOf('mug', mug.id),
    massG: cake.value,
    constant: COOLING_MUG,
    toC: COOLING.frostC,
    until: BAKE.untilFrosted,
  });
  const mix = f.given('day.mix', TIMES.stir, 's', (method.mixMin + MUG_WEIGH_MIN) * 60, 'typical');
  const oven = addMicroOven(f, microwave, kitchen, line.setting);
  const most = line.atOnce ?? microwave.mugsAtOnce;
  const alone = addTimeAlone(f, 'micro.alone', oven, portion);
  const full = most === 1 ? alone : addTimeAlone(f, 'micro.group', oven, times(most, portion));
  const supplies = [
    { supply: 'batter', pieces: byBatter } as const,
    ...counted(f, 'mugs', mug.owned),
    ...each.supplies,
    ...addMinutes(f, run, {
      fixedS: mix.value + MICROWAVE.standMin * 60 + (line.frosting ? cool.time.high : 0),
      roundS: full.high,
      pieces: most,
      what: ROUND_WORDS.group,
    }),
  ];
  const count = addMade(f, wanted, supplies, MANY.mug);
  const groups = evenLoads(count.made.value, most);
  const atOnce = f.given(
    'mugs.atOnce',
    MUG.atOnce(microwave.name, most),
    'pieces',
    groups[0] ?? 1,
    'counted',
  );
  const load = f.sum('micro.load', MUG.load, 'g', times(atOnce, portion));
  const micro = addMicrowave(f, oven, load);
  const portions = f.sum('portions.total', MUG.portions, 'g', times(count.made, portion));
  const left = f.sum('batter.left', MUG.left, 'g', minus(ready, portions));
  const cakes = f.sum('cakes.total', MUG.cakes, 'g', times(count.made, cake));
  const all = addFinishAll(f, each, line.lots, count.made, cake);
  const batch = batchOf(bowl, formula, line.id);
  const { read, doc } = formula;
  return new LinePlan(f, run, line, {
    formula: doc,
    parts: {
      ...NO_PARTS,
      count,
      portion,
      filled: part.filled,
      batterDensity: densities.batter,
      bowl,
      byBatter,
      clocked: {
        sizes: groups,
        of: 'mug',
        each: portion,
        inLoad: null,
        time: micro.time,
        firstLook: micro.firstLook,
        shows: [portion, micro.time, micro.stand],
      },
      cake,
      micro,
      cool,
      batterLeft: left,
      frostingNeeded: all.frostingTotal?.needed ?? null,
      piece: all.piece,
    },
    batches: [batch],
    pots: [],
    sizes: groups,
    lots: all.lots,
    contents: { formulaIds: [line.formulaId], filling: line.filling, frosting: line.frosting },
    ownCoat: null,
    tasks: inTurn(
      mugTasks({
        method,
        mix,
        groups,
        micro,
        microwaveId: microwave.id,
        mugId: mug.id,
        cool: line.frosting ? cool : null,
      }),
    ),
    needs: () => finishNeeds(each, all),
    materials: () => finishMaterials(each, all),
    preparations: () => [
      ...thawPreparations([batch]),
      ...(line.frosting?.kind === 'whipped cream' ? [{ do: 'cold bowl for cream' } as const] : []),
    ],
    cold: () => null,
    remainder: () => mugRemainder(count, portion, ready, left),
    strata: () =>
      bandsOf([
        ['mixed', BANDS.mixed, 'ingredient', bowl.own],
        ['over', BANDS.over, 'left', left],
        ['mugs', BANDS.mugs, 'batter', portions],
        ['cakes', BANDS.cakes, 'crumb', cakes],
      ]),
    sections: () => [
      SECTIONS.mug(portion, part.filled, part.finish, scoop, part.volume),
      SECTIONS.microwave(micro, [atOnce, load], [cool.time, cake]),
      ...SECTIONS.filling(each, all),
      ...SECTIONS.frosting(each, all),
      ...SECTIONS.lots(all, null),
    ],
    drawing: () => ({
      is: 'section',
      section: mugSection(
        part.volume.value,
        part.filled.value,
        part.finish.value,
        each.frosting ? each.frosting.each.value / each.frosting.density.value : 0,
      ),
    }),
    cutSays: () => ({ is: 'mug', filled: part.filled, risen: part.finish, portion }),
    warnings: () => [
      ...mugWarnings(part.filled, micro.time, groups, line.setting),
      ...bowlWarnings(bowl.mixed, densities.batter, kitchen),
    ],
    facts: (allergens) =>
      factsOf({
        family: line.family,
        lines: read.lines,
        allergens,
        words: [line.filling?.what ?? '', ...toppingWords(line.lots)],
        frosting: line.frosting?.kind ?? null,
        coat: false,
        oven: false,
        microwave: true,
      }),
    tests: () => doneTests(read.lines, method, true),
    notes: () => [
      ...(atOnce.value > 1 ? [NOTES.aloneAndTogether(alone.value, atOnce.value, micro.time.value)] : []),
      NOTES.thickMug,
    ],
  });
}
