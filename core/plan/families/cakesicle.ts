import type { CakesicleLine } from '../../model/documents';
import type { Sampling } from '../../figure';
import { mouldedSection } from '../../piece';
import { evenLoads } from '../../process/loads';
import { addDoughFrom, crumbBakeSections, doughStrata, doughTold } from '../compose/dough';
import { MANY } from '../compose/pieces.words';
import { lineFigures } from '../compose/measured';
import { Unplannable, type RunContext } from '../context';
import { LinePlan, NO_PARTS, type Planning } from '../linePlan';
import {
  binderNeeds,
  potMaterials,
  potNeeds,
  stickMaterials,
  toppingMaterials,
  toppingNeeds,
} from '../materials';
import { bindNotes, shellNotes } from '../notes';
import { doughRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { addDoughKind } from '../stations/bind';
import { addMade, addMinutes, addWanted, counted, supplied } from '../stations/count';
import { LOT } from '../stations/lots.words';
import { addFinishedTotal, addLots, addToppings, checkLots } from '../stations/lots';
import { addPortionTotals } from '../stations/portion';
import { addSetting } from '../stations/set';
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
import { shellHandsS, shellTasks } from '../craftTasks';
import { inTurn } from '../taskSaid';
import { crumbTasks } from '../tasks';
import { togetherS } from '../task';
import { ROUND_WORDS } from '../tasks.words';
import { shellWarnings } from '../warnings';

/** Moulded pieces: shell in two coats, dough pressed in, back plate, rounds of the mould, patching. */
export function* planCakesicle(run: RunContext, line: CakesicleLine, sampling: Sampling | null): Planning {
  const { kitchen } = run;
  checkLots(line.lots, line.count);
  const mould = run.thing('mould', line.mouldId);
  const f = lineFigures(run, line, { 'cavity.volume': mould.cavityMl }, sampling);
  const wanted = addWanted(f, line.count, MANY.cakesicle);
  const cavity = addCavity(f, mould);
  const shell = addShell(f, line, mould, cavity);
  const kind = addDoughKind(f, line);
  const room = addRoomInside(f, cavity, shell);
  if (room.value <= 0)
    throw new Unplannable('mould', { code: 'shell too thick', shellMm: line.shellMm, mould: mould.name });
  const portion = addPressed(f, room, kind.density, kitchen.scaleStepG);
  const made = yield* addDoughFrom(f, run, line, wanted, kind, portion);
  const { dough, table, bakes } = made;
  const piece = f.total('piece.mass', LOT.moulded, 'g', [portion, shell.taken]);
  const sets = {
    shell: addSetting(f, 'set.shell', 'shell coat in a cold cavity', shell.taken, SET.shell),
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
  const count = addMade(f, wanted, supplies, MANY.cakesicle);
  const portions = addPortionTotals(f, count.made, portion, dough.ready);
  const rounds = addRounds(f, count.made, shell.cavities);
  const sizes = evenLoads(count.made.value, cavities);
  const lots = addLots(f, line.lots, count.made);
  const melts = addMelts(f, line, shell, lots, count.made);
  const { pots } = melts;
  const topped = addToppings(f, lots, { piece, cake: piece, area: cavity.wall });
  const finished = addFinishedTotal(f, topped);
  const told = doughTold(run, line, made, {
    coated: false,
    mould: true,
    stick: cavity.stick !== null,
  });
  const [first] = bakes;
  return new LinePlan(f, run, line, {
    ...told,
    parts: {
      ...NO_PARTS,
      count,
      portion,
      bowl: first?.prefix === '' ? first.bowl : null,
      bake: first?.sheet?.bake ?? null,
      loads: first?.sheet?.bake.loads ?? null,
      sheets: first?.sheet ?? null,
      micro: first?.microwave?.micro ?? null,
      cool: first?.cool ?? null,
      table,
      dough,
      doughLeft: portions.left,
      crumbBakes: bakes,
      shell,
      rounds,
      piece,
    },
    pots,
    sizes,
    lots: topped,
    ownCoat: { kind: line.kind, formulaId: line.coatFormulaId },
    tasks: inTurn([...bakeTasks, ...shellTasks(f, mould.id, sizes, count.made.value, sets)]),
    needs: () => [...binderNeeds(line.binder, dough), ...potNeeds(pots), ...toppingNeeds(topped)],
    materials: () => [
      ...(cavity.stick ? stickMaterials(count.made) : []),
      ...told.materials(),
      ...potMaterials(pots),
      ...toppingMaterials(topped),
    ],
    preparations: () => [...told.preparations(), { do: 'wash mould', mould: mould.name }],
    cold: () => ({
      where: 'freezer',
      pieces: count.made,
      on: { what: 'mould', cavities: mould.cavities, owned: mould.owned },
    }),
    remainder: () => doughRemainder(count, dough, portion, kitchen.scaleStepG),
    strata: () => doughStrata(made, portions, pots, melts.total, finished),
    sections: () => [
      ...crumbBakeSections(bakes),
      SECTIONS.crumb(table, dough, bakes),
      SECTIONS.shell(shell, cavity, room, rounds, [sets.shell, sets.filled], melts),
      SECTIONS.portions(portion, null, dough, kind, portions, []),
      ...SECTIONS.lots({ piece, lots: topped }, finished),
    ],
    drawing: () => ({
      is: 'section',
      section: mouldedSection(
        { shape: mould.shape, lengthMm: cavity.length.value, depthMm: cavity.depth.value },
        shell.thickness.value,
        (10 * shell.backVolume.value) / cavity.opening.value,
        cavity.stick !== null,
      ),
    }),
    cutSays: () => ({ is: 'moulded', shell: shell.thickness, chocolate: shell.taken, portion }),
    warnings: () => shellWarnings(line.shellMm),
    notes: () => [...bindNotes(line.binder, table, dough), ...shellNotes(kitchen, line, pots, shell)],
  });
}
