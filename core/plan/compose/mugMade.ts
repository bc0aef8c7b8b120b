import { minus, over, type Ref, type Sampling, times, without } from '../../figure';
import type { PlanFigures } from '../figures';
import type { MugLine } from '../../model/documents';
import { scopeOf } from '../../param';
import { mugWidthMm } from '../../piece';
import { METHODS } from '../../process/batter.table';
import { MUG_WEIGH_MIN } from '../../process/hands.table';
import { evenLoads } from '../../process/loads';
import { MICROWAVE } from '../../process/microwave.table';
import { COOLING, COOLING_MUG } from '../../process/oven.table';
import type { RunContext } from '../context';
import type { Shared } from '../linePlan';
import { BAKE } from '../stations/bake.words';
import { addAsWritten, addBowlLoss, portionAsEggsHaveIt } from '../stations/batch';
import { addLineBatch } from '../stations/lineBatch';
import { addCooling } from '../stations/cool';
import { addMade, addMinutes, addWanted, counted, type Supplied } from '../stations/count';
import { addFinishAll, addFinishEach } from '../stations/finish';
import {
  addMicroLook,
  addMicroOven,
  addMicrowave,
  addTimeAlone,
  type MicroOven,
} from '../stations/microwave';
import { MUG } from '../stations/microwave.words';
import { addMug, addMugArea, addMugTop } from '../stations/mug';
import { addScoops } from '../stations/scoop';
import { ROUND_WORDS, TIMES } from '../tasks.words';
import { lineFigures } from './measured';
import { MANY } from './pieces.words';

/** What mug cakes come to, station by station. */
export type MugMade = ReturnType<typeof toGroups>;

/** The mug, what goes into it, and the batter that all of them need. */
export function toBatter(run: RunContext, line: MugLine, sampling: Sampling | null) {
  const { kitchen } = run;
  const formula = run.formula(line.formulaId);
  const method = METHODS[formula.doc.method];
  const mug = run.thing('mug', line.mugId);
  const microwave = run.thing('microwave', line.microwaveId);
  const f = lineFigures(run, line, {}, sampling);
  const part = addMug(f, mug, formula, line.fill, kitchen.scaleStepG);
  const scoop = addScoops(f, kitchen, 'a mug', method, part.portion, part.densities.batter);
  const bowlLoss = addBowlLoss(f);
  const asWritten = line.batches ? addAsWritten(f, formula, line.batches, bowlLoss, part.portion, 1) : null;
  const wanted = asWritten?.comes ?? addWanted(f, line.count, MANY.mug);
  const needed =
    asWritten?.needed ??
    f.sum('batter.needed', MUG.needed, 'g', over(times(wanted, part.portion), without(bowlLoss)));
  return {
    run,
    line,
    formula,
    method,
    mug,
    microwave,
    f,
    wanted,
    part,
    portion: part.portion,
    scoop,
    bowlLoss,
    needed,
  };
}

/** From the bowl to one cake and what goes in and on it. */
export function toCakes(start: ReturnType<typeof toBatter>, others: Shared['others']) {
  const { run, line, formula, mug, f, part, bowlLoss, needed } = start;
  const bowl = addLineBatch(f, run, formula, line.eggs, needed, others);
  const portion = portionAsEggsHaveIt(f, line, bowl, start.portion);
  const ready = f.sum('batter.ready', MUG.ready, 'g', times(bowl.own, without(bowlLoss)));
  const byBatter = f.sum('count.batter', MUG.allows, 'pieces', over(ready, portion), { whole: 'floor' });
  const cake = f.sum('cake.mass', MUG.cake, 'g', times(portion, without(part.loss)), {
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
      crumbDensity: part.densities.cake,
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
  return { ...start, portion, bowl, ready, byBatter, cake, each, cool };
}

/** How many there will be, how many turn at once, and what all of them take. */
export function toGroups(baked: ReturnType<typeof toCakes>) {
  const { run, line, method, mug, microwave, f, wanted, portion, byBatter, ready, cake, each, cool } = baked;
  const mix = f.given('day.mix', TIMES.stir, 's', (method.mixMin + MUG_WEIGH_MIN) * 60, 'typical');
  const oven = addMicroOven(f, microwave, run.kitchen, line.setting, {
    vessel: 'mug',
    mass: portion,
    density: baked.part.densities.batter,
    widthMm: mugWidthMm(mug.volumeMl),
  });
  const most = line.atOnce ?? microwave.mugsAtOnce;
  const alone = addTimeAlone(f, 'micro.alone', oven, portion);
  const full = most === 1 ? alone : addTimeAlone(f, 'micro.group', oven, times(most, portion));
  const supplies: Supplied[] = [
    { supply: 'batter', pieces: byBatter },
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
  const last = addLastGroup(f, oven, groups, portion);
  const portions = f.sum('portions.total', MUG.portions, 'g', times(count.made, portion));
  const left = f.sum('batter.left', MUG.left, 'g', minus(ready, portions));
  const cakes = f.sum('cakes.total', MUG.cakes, 'g', times(count.made, cake));
  const all = addFinishAll(f, each, line.lots, count.made, cake);
  return { ...baked, last, mix, alone, count, groups, atOnce, load, micro, portions, left, cakes, all };
}

/** The time of a last group that is smaller than the others, and its first look. */
function addLastGroup(f: PlanFigures, oven: MicroOven, groups: readonly number[], portion: Ref<'g'>) {
  const n = groups.at(-1) ?? 0;
  if (n === 0 || n === groups[0]) return null;
  const time = addTimeAlone(f, 'micro.last', oven, times(n, portion), MUG.last(n));
  return { time, firstLook: addMicroLook(f, 'micro.last.firstLook', time) };
}
