import { COAT } from '../../process/coat.table';
import type { Sampling } from '../../figure';
import type { CakesicleLine } from '../../model/documents';
import { evenLoads } from '../../process/loads';
import { type RunContext, Unplannable } from '../context';
import { shellHandsS, shellTasks } from '../craftTasks';
import { addDoughKind } from '../stations/bind';
import { addMade, addMinutes, addWanted, counted, supplied } from '../stations/count';
import { addFinishedTotal, addLots, addToppings } from '../stations/lots';
import { LOT } from '../stations/lots.words';
import { addPortionTotals } from '../stations/portion';
import { addCoatSetting, addSetting } from '../stations/set';
import { SET } from '../stations/set.words';
import {
  addCavity,
  addMelts,
  addPressed,
  addRoomInside,
  addRounds,
  addShell,
  cavityLimit,
} from '../stations/shell';
import { togetherS } from '../task';
import { inTurn } from '../taskSaid';
import { crumbTasks } from '../tasks';
import { ROUND_WORDS } from '../tasks.words';
import type { Doughed } from './dough';
import { lineFigures } from './measured';
import { MANY } from './pieces.words';

/** What moulded pieces come to, station by station. */
export type CakesicleMade = ReturnType<typeof toRounds>;

/** The shell of a cavity, and how much dough is pressed into the room that it leaves. */
export function toPressed(run: RunContext, line: CakesicleLine, sampling: Sampling | null) {
  const mould = run.thing('mould', line.mouldId);
  const f = lineFigures(run, line, { 'cavity.volume': mould.cavityMl }, sampling);
  const wanted = addWanted(f, line.count, MANY.cakesicle);
  const cavity = addCavity(f, mould);
  const shell = addShell(f, line, mould, cavity);
  const kind = addDoughKind(f, line);
  const room = addRoomInside(f, cavity, shell);
  if (room.value <= 0)
    throw new Unplannable('mould', { code: 'shell too thick', shellMm: line.shellMm, mould: mould.name });
  const portion = addPressed(f, room, kind.density, run.kitchen.scaleStepG);
  return { run, line, mould, f, wanted, cavity, shell, kind, room, portion };
}

/** From the dough to filled and backed shells, by the round of the mould. */
export function toRounds(start: ReturnType<typeof toPressed>, made: Doughed) {
  const { table, dough, bakes } = made;
  const { run, line, mould, f, cavity, shell } = start;
  const { portion } = made.dough;
  const piece = f.total('piece.mass', LOT.moulded, 'g', [portion, shell.taken]);
  const sets = {
    shell: addCoatSetting(
      f,
      'set.shell',
      'shell coat in a cold cavity',
      shell.thickness,
      SET.shell,
      COAT.shellCoats[0],
    ),
    filled: addSetting(f, 'set.filled', 'filled and backed, freezer', piece, SET.filled),
  };
  const bakeTasks = crumbTasks(bakes);
  const cavities = shell.cavities.value;
  const supplies = [
    ...made.supplies,
    cavityLimit(f, line, mould, shell.cavities),
    ...counted(f, 'sticks', cavity.stick ? line.sticksOnHand : null),
    ...supplied(f, 'coat', line.coatOnHandG, shell.perPiece, shell.poured),
    ...addMinutes(f, run, {
      fixedS: togetherS(inTurn(bakeTasks)),
      roundS: cavities * shellHandsS() + 2 * sets.shell.high + sets.filled.high,
      pieces: cavities,
      what: ROUND_WORDS.mould,
    }),
  ];
  const count = addMade(f, start.wanted, supplies, MANY.cakesicle);
  const portions = addPortionTotals(f, count.made, portion, dough.ready);
  const rounds = addRounds(f, count.made, shell.cavities);
  const sizes = evenLoads(count.made.value, cavities);
  const plain = addLots(f, line.lots, count.made);
  const melts = addMelts(f, line, shell, plain, count.made);
  const lots = addToppings(f, plain, { piece, cake: piece, area: cavity.wall });
  const finished = addFinishedTotal(f, lots);
  const tasks = inTurn([...bakeTasks, ...shellTasks(f, mould.id, sizes, count.made.value, sets)]);
  const { pots } = melts;
  return {
    ...start,
    table,
    dough,
    bakes,
    portion,
    piece,
    sets,
    count,
    portions,
    rounds,
    sizes,
    melts,
    pots,
    lots,
    finished,
    tasks,
  };
}
