import type { PopLine } from '../../model/documents';
import type { Ref, Sampling } from '../../figure';
import { ballSection } from '../../piece';
import { MANY } from '../compose/pieces.words';
import { addDoughFrom, crumbBakeSections, doughStrata, doughTold } from '../compose/dough';
import { lineFigures } from '../compose/measured';
import type { RunContext } from '../context';
import { LinePlan, NO_PARTS, type Clocked, type Planning } from '../linePlan';
import {
  binderNeeds,
  potMaterials,
  potNeeds,
  stickMaterials,
  toppingMaterials,
  toppingNeeds,
} from '../materials';
import { bindNotes, coatNotes, garnishNote } from '../notes';
import { doughRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { addDoughKind } from '../stations/bind';
import { addBall, addCoat, addPots } from '../stations/coat';
import { addMade, addMinutes, addWanted, counted } from '../stations/count';
import { LOT } from '../stations/lots.words';
import { addFinishedTotal, addLots, addToppings, checkLots } from '../stations/lots';
import { addPortion, addPortionTotals } from '../stations/portion';
import type { CrumbBake } from '../stations/crumb';
import { addSetting } from '../stations/set';
import { SET } from '../stations/set.words';
import { popHandsS, popTasks, type PopWaits } from '../craftTasks';
import { inTurn } from '../taskSaid';
import { crumbTasks } from '../tasks';
import { togetherS } from '../task';
import { ROUND_WORDS } from '../tasks.words';
import { dipWarnings } from '../warnings';
import type { PlanFigures } from '../figures';

/** Cake pops and balls: crumb, binder, dough, portions, sticks, coat by pots, toppings by lots. */
export function* planPop(run: RunContext, line: PopLine, sampling: Sampling | null): Planning {
  const { kitchen } = run;
  checkLots(line.lots, line.count);
  const f = lineFigures(run, line, {}, sampling);
  const many = line.stick ? MANY.pop : MANY.ball;
  const wanted = addWanted(f, line.count, many);
  const kind = addDoughKind(f, line);
  const portion = addPortion(f, line.size, kind.density, kitchen.scaleStepG);
  const made = yield* addDoughFrom(f, run, line, wanted, kind, portion);
  const { dough, table, bakes } = made;
  const solid = addBall(f, portion, kind.density);
  const sticks = counted(f, 'sticks', line.stick ? line.sticksOnHand : null);
  const coat = line.coat ? addCoat(f, run, line.coat, solid, line.stick, line.lots) : null;
  const piece = f.total('piece.mass', LOT.piece(true), 'g', coat ? [portion, coat.taken] : [portion]);
  const waits = addWaits(f, line, portion, piece);
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
  const count = addMade(f, wanted, supplies, many);
  const portions = addPortionTotals(f, count.made, portion, dough.ready);
  const lots = addLots(f, line.lots, count.made);
  const pots = coat ? addPots(f, lots, coat, count.made) : [];
  const topped = addToppings(f, lots, { piece, cake: piece, area: solid.area });
  const finished = addFinishedTotal(f, topped);
  const tasks = inTurn([...bakeTasks, ...popTasks(f, line, count.made.value, waits)]);
  const told = doughTold(run, line, made, { coated: coat !== null, mould: false, stick: line.stick });
  const [first] = bakes;
  return new LinePlan(f, run, line, {
    ...told,
    parts: {
      ...NO_PARTS,
      count,
      portion,
      bowl: first?.prefix === '' ? first.bowl : null,
      clocked: first?.sheet ? sheetsClocked(first.sheet) : null,
      bake: first?.sheet?.bake ?? null,
      loads: first?.sheet?.bake.loads ?? null,
      sheets: first?.sheet ?? null,
      micro: first?.microwave?.micro ?? null,
      cool: first?.cool ?? null,
      table,
      dough,
      doughLeft: portions.left,
      crumbBakes: bakes,
      coat,
      piece,
    },
    pots,
    sizes: [],
    lots: topped,
    ownCoat: line.coat ? { kind: line.coat.kind, formulaId: line.coat.formulaId } : null,
    tasks,
    needs: () => [...binderNeeds(line.binder, dough), ...potNeeds(pots), ...toppingNeeds(topped)],
    materials: () => [
      ...(line.stick ? stickMaterials(count.made) : []),
      ...told.materials(),
      ...potMaterials(pots),
      ...toppingMaterials(topped),
    ],
    preparations: () => [...told.preparations(), { do: 'line trays' }],
    cold: () => ({
      where: line.coat?.school === 'frozen' ? 'freezer' : 'fridge',
      pieces: count.made,
      on: { what: 'tray', acrossMm: solid.height.value },
    }),
    remainder: () => doughRemainder(count, dough, portion, kitchen.scaleStepG),
    strata: () => doughStrata(made, portions, pots, null, finished),
    sections: () => [
      ...crumbBakeSections(bakes),
      SECTIONS.crumb(table, dough, bakes),
      SECTIONS.portions(portion, solid.height, dough, kind, portions, [waits.firm, waits.anchor]),
      ...SECTIONS.coat(
        { filling: null, frosting: null, fondant: null, coat, solid, adds: [], supplies: [] },
        { pots },
        waits.coat,
      ),
      ...SECTIONS.lots({ piece, lots: topped }, finished),
    ],
    drawing: () => ({
      is: 'section',
      section: ballSection(solid.height.value, coat?.thickness.value ?? 0, line.stick),
    }),
    cutSays: () => ({ is: 'ball', across: solid.height, portion }),
    warnings: () => (coat ? dipWarnings(coat, portion, line.stick) : []),
    notes: () => [
      ...bindNotes(line.binder, table, dough),
      ...(coat ? coatNotes(kitchen, pots, coat) : []),
      ...(coat && waits.coat ? [garnishNote(waits.coat)] : []),
    ],
  });
}

/** The sheets of the first bake for crumb: one load after another, told as one. */
const sheetsClocked = ({ count, mass, bake }: NonNullable<CrumbBake['sheet']>): Clocked => ({
  sizes: [count.value],
  of: 'sheet',
  each: mass,
  inLoad: count.value,
  time: bake.time,
  firstLook: bake.firstLook,
  shows: [mass, bake.oven.setting, bake.time],
});

/** What has to firm and set, whatever their number. */
function addWaits(f: PlanFigures, line: PopLine, portion: Ref<'g'>, piece: Ref<'g'>): PopWaits {
  const frozen = line.coat?.school === 'frozen';
  return {
    firm: addSetting(
      f,
      'set.firm',
      frozen ? 'dough ball frozen through' : 'dough ball firm, fridge',
      portion,
      SET.firm(frozen),
    ),
    anchor:
      line.stick && line.coat
        ? addSetting(f, 'set.anchor', 'stick anchored, cold', portion, SET.anchor)
        : null,
    coat: line.coat
      ? addSetting(f, 'set.coat', frozen ? 'coat on a frozen piece' : 'coat, room', piece, SET.coat(frozen))
      : null,
  };
}
