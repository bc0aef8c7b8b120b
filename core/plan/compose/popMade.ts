import type { Ref, Sampling } from '../../figure';
import type { PopLine } from '../../model/documents';
import type { RunContext } from '../context';
import { popHandsS, popTasks, type PopWaits } from '../craftTasks';
import type { PlanFigures } from '../figures';
import { addDoughKind } from '../stations/bind';
import { addBall, addCoat, addPots, type CoatPart } from '../stations/coat';
import { addMade, addMinutes, addWanted, counted } from '../stations/count';
import { addFinishedTotal, addLots, addToppings } from '../stations/lots';
import { LOT } from '../stations/lots.words';
import { addPortion, addPortionTotals } from '../stations/portion';
import { addAnchorSetting, addCoatSetting, addSetting } from '../stations/set';
import { SET } from '../stations/set.words';
import { togetherS } from '../task';
import { inTurn } from '../taskSaid';
import { crumbTasks } from '../tasks';
import { ROUND_WORDS } from '../tasks.words';
import type { Doughed } from './dough';
import { lineFigures } from './measured';
import { MANY } from './pieces.words';

/** What pops and balls come to, station by station. */
export type PopMade = ReturnType<typeof toPots>;

/** How many are wanted, and how much dough one takes. */
export function toPortion(run: RunContext, line: PopLine, sampling: Sampling | null) {
  const f = lineFigures(run, line, {}, sampling);
  const wanted = addWanted(f, line.count, manyOf(line));
  const kind = addDoughKind(f, line);
  const portion = addPortion(f, line.size, kind.density, run.kitchen.scaleStepG);
  return { run, line, f, wanted, kind, portion };
}

const manyOf = (line: PopLine): string => (line.stick ? MANY.pop : MANY.ball);

/** From the dough to balls on their sticks, coated by the pot and finished by the lot. */
export function toPots(start: ReturnType<typeof toPortion>, made: Doughed) {
  const { table, dough, bakes } = made;
  const { run, line, f, kind } = start;
  const { portion } = dough;
  const solid = addBall(f, portion, kind.density);
  const sticks = counted(f, 'sticks', line.stick ? line.sticksOnHand : null);
  const coat = line.coat ? addCoat(f, run, line.coat, solid, line.stick, line.lots) : null;
  const piece = f.total('piece.mass', LOT.piece(true), 'g', coat ? [portion, coat.taken] : [portion]);
  const waits = addWaits(f, line, portion, coat);
  const bakeTasks = crumbTasks(bakes);
  const supplies = [
    ...made.supplies,
    ...sticks,
    ...(coat?.supplies ?? []),
    ...addMinutes(f, run, {
      fixedS:
        togetherS(inTurn(bakeTasks)) + waits.firm.high + (waits.anchor?.high ?? 0) + (waits.coat?.high ?? 0),
      roundS: popHandsS(line),
      pieces: 1,
      what: ROUND_WORDS.piece,
    }),
  ];
  const count = addMade(f, start.wanted, supplies, manyOf(line));
  const portions = addPortionTotals(f, count.made, portion, dough.ready);
  const plain = addLots(f, line.lots, count.made);
  const pots = coat ? addPots(f, plain, coat, count.made) : [];
  const lots = addToppings(f, plain, { piece, cake: piece, area: solid.area });
  const finished = addFinishedTotal(f, lots);
  const tasks = inTurn([...bakeTasks, ...popTasks(f, line, count.made.value, waits)]);
  return {
    ...start,
    table,
    dough,
    bakes,
    portion,
    solid,
    coat,
    piece,
    waits,
    count,
    portions,
    pots,
    lots,
    finished,
    tasks,
  };
}

/** What has to firm and set, whatever their number. */
function addWaits(f: PlanFigures, line: PopLine, portion: Ref<'g'>, coat: CoatPart | null): PopWaits {
  const frozen = line.coat?.school === 'frozen';
  return {
    firm: addSetting(
      f,
      'set.firm',
      frozen ? 'dough ball frozen through' : 'dough ball firm, fridge',
      portion,
      SET.firm(frozen),
    ),
    anchor: line.stick && line.coat ? addAnchorSetting(f, 'set.anchor', SET.anchor) : null,
    coat: coat
      ? addCoatSetting(
          f,
          'set.coat',
          frozen ? 'coat on a frozen piece' : 'coat, room',
          coat.thickness,
          SET.coat(frozen),
        )
      : null,
  };
}
