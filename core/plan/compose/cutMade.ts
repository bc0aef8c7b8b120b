import { cm2, over, type Sampling, times, without } from '../../figure';
import type { CubeLine } from '../../model/documents';
import { METHODS } from '../../process/batter.table';
import { WEIGH_MIN } from '../../process/hands.table';
import { COOLING } from '../../process/oven.table';
import type { RunContext } from '../context';
import { cutHandsS, cutTasks } from '../craftTasks';
import type { Shared } from '../linePlan';
import { addBowlLoss } from '../stations/batch';
import { addLineBatch } from '../stations/lineBatch';
import { addBox } from '../stations/coat';
import { addMade, addMinutes, addWanted, counted, type Supplied } from '../stations/count';
import { addCutBatter, addCutCake, addCutLimit, addCuts, addCutTotals, checkCuts } from '../stations/cut';
import { CUT } from '../stations/cut.words';
import { addFinishAll, addFinishEach, addPiece } from '../stations/finish';
import { addFinishedTotal } from '../stations/lots';
import { addCoatSetting } from '../stations/set';
import { SET } from '../stations/set.words';
import { addSheet, addSheetBake } from '../stations/sheet';
import { inTurn } from '../taskSaid';
import { ROUND_WORDS } from '../tasks.words';
import { lineFigures } from './measured';

/** What pieces cut from sheets come to, station by station. */
export type CutMade = ReturnType<typeof toPieces>;

/** The sheet, how it is cut, and the batter that all of them need. */
export function toBatter(run: RunContext, line: CubeLine, many: string, sampling: Sampling | null) {
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
  return { run, line, many, ...spec, method, f, wanted, spec, part, cut, bowlLoss, batter };
}

/** From the bowl to a cut cake, and what it is finished with. */
export function toCakes(start: ReturnType<typeof toBatter>, others: Shared['others']) {
  const { run, line, formula, f, spec, part, cut, bowlLoss, batter } = start;
  const bowl = addLineBatch(f, run, formula, line.eggs, batter.needed, others);
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
  return { ...start, bowl, sheets, bake, cake, stick, each };
}

/** How many there will be, and what all of them take. */
export function toPieces(baked: ReturnType<typeof toCakes>) {
  const { run, line, many, f, method, wanted, cut, batter, bake, cake, each, oven, sheet } = baked;
  const piece = addPiece(f, each);
  const frozen = line.coat?.school === 'frozen';
  const sets = line.coat
    ? each.coat
      ? addCoatSetting(
          f,
          'set.coat',
          frozen ? 'coat on a frozen piece' : 'coat, room',
          each.coat.thickness,
          SET.coatOnRack,
        )
      : null
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
  return { ...baked, piece, sets, perSheet, allows, count, totals, all, finished, tasks };
}
