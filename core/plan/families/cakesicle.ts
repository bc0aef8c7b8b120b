import type { CakesicleLine } from '../../model/documents';
import { type Sampling } from '../../figure';
import { COAT } from '../../process/coat.table';
import { evenLoads } from '../../process/loads';
import type { Fault } from '../../quantity';
import type { ChainPlan } from '../chain';
import { meltIdOf, meltNote, type Pot } from '../links/coat';
import { addMade, addWanted, counted, supplied, type Supplied } from '../links/count';
import { addBatterNeeded, addCrumbBakes } from '../links/crumbBakes';
import { addCrumbNeeded, addDough, bindNotes } from '../links/bindCrumb';
import { addDoughNeeded, addDoughDensity, addOnTheTable } from '../links/dough';
import { addFinishedTotal, addLots, addToppings, checkLots } from '../links/lots';
import { addMinutes, longestS } from '../links/minutes';
import { statedIn, Unplannable, type RunContext } from '../lookup';
import { doughAllergens, doughPlan } from './doughPlan';
import type { Planning } from './planning';
import { addPortionTotals, addSetting } from './pop';
import type { SequenceStep } from './sequence';
import { addCavity, addMelts, addShell, cavityLimit } from './shellFigures';
import { Figures, gramsText, toScale } from '../figures';
import { SHELL_HANDS_S } from '../../process/hands.table';
import { formulaAllergens } from '../links/finish';

export interface CakesiclePlan extends ChainPlan {
  readonly family: 'cakesicle';
  readonly line: CakesicleLine;
}

/** Plans moulded pieces: shell in two coats, dough pressed in, back plate, rounds of the mould, patching. */
export function* planCakesicle(
  run: RunContext,
  line: CakesicleLine,
  sampling: Sampling | null,
): Planning<CakesiclePlan> {
  checkLots(line.lots, line.count);
  const ledger = new Figures(statedIn(line, run.kitchen), sampling);
  const mould = run.thing('mould', line.mouldId);
  addWanted(ledger, line.count, 'Moulded pieces');
  addCavity(ledger, mould);
  addShell(ledger, line, mould);
  addDoughDensity(ledger, line);
  const room = ledger.calc(
    'cavity.room',
    'Room for the filling',
    'ml',
    mould.stickMl > 0
      ? '{cavity.volume} − {shell.volume} − {back.volume} − {stick.volume}'
      : '{cavity.volume} − {shell.volume} − {back.volume}',
    (cavity = 0, shell = 0, back = 0, stick = 0) => cavity - shell - back - stick,
    'The cavity, less shell, back plate and the stick inside.',
  );
  if (room <= 0) {
    throw new Unplannable({
      field: 'mould',
      fault: `A shell of ${line.shellMm} mm leaves no room in "${mould.name}".`,
      mend: 'Make the shell thinner, or take a larger mould.',
    });
  }
  ledger.calc(
    'portion.mass',
    'Dough in a cavity',
    'g',
    `{cavity.room} × {dough.density} × ${COAT.pressFactor}, rounded`,
    (ml = 0, density = 0) => ml * density * COAT.pressFactor,
    'Pressed in, it packs a little closer. What to weigh for each, to the step of the scale.',
    { decide: toScale(run.kitchen.scaleStepG), pin: { min: 1, max: 500 } },
  );
  addDoughNeeded(ledger);
  addOnTheTable(ledger, line);
  const crumbNeeded = addCrumbNeeded(ledger, line, 'dough.needed');
  const { others } = yield crumbNeeded ? addBatterNeeded(ledger, run, line.crumb, crumbNeeded) : [];
  const { batches, steps: bakeSteps } = addCrumbBakes(ledger, run, line.crumb, line.id, others);
  const cavities = mould.cavities * mould.owned;
  const supplies: Supplied[] = [
    ...addDough(ledger, line),
    cavityLimit(ledger, line, mould, cavities),
    ...counted(ledger, 'sticks', 'sticks', mould.stickMl > 0 ? line.sticksOnHand : null, 'the sticks'),
    ...supplied(
      ledger,
      'coat',
      'Coat',
      line.coatOnHandG,
      { figureId: 'shell.perPiece', over: 'pour.round' },
      'the chocolate',
    ),
  ];
  ledger.total(
    'piece.mass',
    'One piece, before toppings',
    'g',
    ['portion.mass', 'shell.taken'],
    'Dough, shell and back plate.',
  );
  addShellWaits(ledger);
  const high = (id: string) => ledger.figure(id).high;
  supplies.push(
    ...addMinutes(ledger, run, {
      fixedS: longestS(bakeSteps),
      roundS:
        cavities * Object.values(SHELL_HANDS_S).reduce((sum, seconds) => sum + seconds, 0) +
        2 * high('set.shell') +
        high('set.filled'),
      pieces: cavities,
      what: 'One round of the mould',
    }),
  );
  const limits = addMade(ledger, supplies, 'Moulded pieces');
  const made = ledger.value('count.made');
  addPortionTotals(ledger);
  ledger.calc(
    'rounds.count',
    'Rounds of the mould',
    'loads',
    '{count.made} ÷ {cavities.all}, rounded up',
    (count = 0, all = 1) => count / all,
    'As few as the cavities allow, evened out.',
    { whole: 'ceil' },
  );
  const rounds = evenLoads(made, cavities);
  const lots = addLots(ledger, line.lots);
  const pots = addMelts(ledger, line, lots);
  const planned = addToppings(ledger, lots, {
    pieceId: 'piece.mass',
    areaId: 'cavity.wall',
    allergens: () => doughAllergens(run, line),
    coat: line.kind,
    coatFormulaId: line.coatFormulaId,
    ofFormula: (id) => formulaAllergens(run, id),
  });
  addFinishedTotal(ledger, planned);
  return Object.assign(
    doughPlan(ledger, run, line, {
      batches,
      limits,
      lots: planned,
      steps: [...bakeSteps, ...shellSteps(ledger, rounds.length)],
      notes: () => [...bindNotes(ledger, line), ...shellNotes(ledger, run, line, pots)],
      warnings: () => shellWarnings(line),
      loads: rounds,
      coatFormulaId: line.coatFormulaId,
      coatId: meltIdOf(pots, line.kind),
      coated: false,
      mould: true,
      stick: mould.stickMl > 0,
    }),
    { family: 'cakesicle' as const },
  );
}

/** What has to set in a round. */
function addShellWaits(ledger: Figures): void {
  addSetting(
    ledger,
    'set.shell',
    'shell coat in a cold cavity',
    'shell.taken',
    'A shell coat sets',
    'Thin, against a cold mould: minutes.',
  );
  addSetting(
    ledger,
    'set.filled',
    'filled and backed, freezer',
    'piece.mass',
    'Filled piece sets, frozen',
    'Until it lets go of the mould by itself.',
  );
}

function shellSteps(ledger: Figures, rounds: number): SequenceStep[] {
  const made = ledger.value('count.made');
  const each = Math.ceil(made / Math.max(rounds, 1));
  const hands = (id: string, label: string, seconds: number) => {
    ledger.given(id, label, 's', seconds * each, 'typical', `About ${seconds} s a piece.`);
    return ledger.figure(id);
  };
  const coats = hands('day.coats', 'Both coats of a round', SHELL_HANDS_S.coats);
  const fill = hands('day.fill', 'Filling a round', SHELL_HANDS_S.fill);
  const back = hands('day.back', 'Back plates of a round', SHELL_HANDS_S.back);
  const out = hands('day.turnOut', 'Turning out a round', SHELL_HANDS_S.turnOut);
  const step = (
    k: number,
    id: string,
    label: string,
    detail: string,
    kind: SequenceStep['kind'],
    length: SequenceStep['length'],
    times = 1,
  ): SequenceStep => ({
    id: `${id}-${k}`,
    label: rounds > 1 ? `${label}, round ${k}` : label,
    detail,
    kind,
    length,
    times,
  });
  return Array.from({ length: rounds }, (_, i) => i + 1).flatMap((k) => [
    step(
      k,
      'coats',
      'Two shell coats',
      'Clean, dry, cold mould; the rims and the slot twice.',
      'hands',
      coats,
    ),
    step(
      k,
      'shell',
      'Coats set',
      'In the freezer, after each of the two.',
      'wait',
      ledger.figure('set.shell'),
      2,
    ),
    step(k, 'fill', 'Fill and press', 'To {2 mm} below the rim, stick in first.', 'hands', fill),
    step(k, 'back', 'Back plates', 'Spread, and scrape level once.', 'hands', back),
    step(
      k,
      'freeze',
      'Set in the freezer',
      'Straight from there out of the mould.',
      'wait',
      ledger.figure('set.filled'),
    ),
    step(k, 'turn-out', 'Turn out and patch', 'Press from behind; brush over cracks.', 'hands', out),
  ]);
}

function shellNotes(ledger: Figures, run: RunContext, line: CakesicleLine, pots: readonly Pot[]): string[] {
  return [
    ...pots.map(({ kind, p }) => meltNote(run, kind, ledger.value(`${p}melt`))),
    `First coat ${gramsText(ledger.value('shell.first'))}, second ${gramsText(ledger.value('shell.second'))}, back plate ${gramsText(ledger.value('shell.back'))} a piece.`,
    line.shellBy === 'pour'
      ? `Poured in and out: ${gramsText(ledger.value('pour.round'))} come back each round. Tap out the air before it is emptied.`
      : 'Brushed in: hold the shell against the light and go over thin spots.',
    'Crack at turning out: brush coat over it from the outside, or from inside before the filling. One that is lost in the mould goes back into the dough bowl, chocolate and all.',
  ];
}

function shellWarnings({ shellMm }: CakesicleLine): Fault[] {
  if (shellMm < COAT.shellTooThinMm) {
    return [
      {
        fault: `A shell of {${shellMm} mm} is likely to crack when it comes out.`,
        mend: `Make it at least {${COAT.shellTooThinMm} mm}; about {${COAT.shellMm} mm} is usual.`,
      },
    ];
  }
  if (shellMm > COAT.shellTooThickMm) {
    return [
      {
        fault: `A shell of {${shellMm} mm} is hard to bite through.`,
        mend: `Stay under {${COAT.shellTooThickMm} mm}; about {${COAT.shellMm} mm} is usual.`,
      },
    ];
  }
  return [];
}
