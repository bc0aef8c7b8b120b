import type { PopLine } from '../../model/documents';
import { type Sampling } from '../../figure';
import { COAT } from '../../process/coat.table';
import { SETTING, type SettingStage } from '../../process/set.table';
import { wetLot } from '../../process/set';
import type { Fault } from '../../quantity';
import type { ChainPlan } from '../chain';
import { addBall, addPots, coatNotes, meltIdOf } from '../links/coat';
import { addMade, addWanted, counted, type Supplied } from '../links/count';
import { addDipEach } from '../links/each';
import { addBatterNeeded, addCrumbBakes } from '../links/crumbBakes';
import { addCrumbNeeded, addDough, bindNotes } from '../links/bindCrumb';
import { addDoughNeeded, addDoughDensity, addOnTheTable, addPortion } from '../links/dough';
import { addFinishedTotal, addLots, addToppings, checkLots } from '../links/lots';
import { addMinutes, longestS } from '../links/minutes';
import { statedIn, type RunContext } from '../lookup';
import { doughAllergens, doughPlan } from './doughPlan';
import type { Planning } from './planning';
import type { SequenceStep } from './sequence';
import { Figures } from '../figures';
import { POP_HANDS_S } from '../../process/hands.table';
import { formulaAllergens } from '../links/finish';

export interface PopPlan extends ChainPlan {
  readonly family: 'pop';
  readonly line: PopLine;
}

/** A waiting time that grows with mass^(2/3). */
export function addSetting(
  ledger: Figures,
  id: string,
  stage: SettingStage,
  massId: string,
  label: string,
  sentence: string,
): void {
  const { massG, time } = SETTING[stage];
  ledger.start(
    `${id}.usual`,
    `${label}, usual`,
    's',
    { value: time.value * 60, spread: time.spread * 60, basis: 'typical' },
    `For a piece of {${massG} g}.`,
    { min: 1, max: 86_400 },
  );
  ledger.calc(
    id,
    label,
    's',
    `{${id}.usual} × ({${massId}} ÷ {${massG} g}) ^ (2 ÷ 3)`,
    (usual = 0, mass = 1) => usual * (mass / massG) ** (2 / 3),
    sentence,
  );
}

/** Plans cake pops and balls: crumb, binder, dough, portions, sticks, coat by pots, toppings by lots. */
export function* planPop(run: RunContext, line: PopLine, sampling: Sampling | null): Planning<PopPlan> {
  checkLots(line.lots, line.count);
  const ledger = new Figures(statedIn(line, run.kitchen), sampling);
  const many = line.stick ? 'Pops' : 'Balls';
  addWanted(ledger, line.count, many);
  addDoughDensity(ledger, line);
  addPortion(ledger, line.size, run.kitchen.scaleStepG);
  addDoughNeeded(ledger);
  addOnTheTable(ledger, line);
  const crumbNeeded = addCrumbNeeded(ledger, line, 'dough.needed');
  const needs = crumbNeeded ? addBatterNeeded(ledger, run, line.crumb, crumbNeeded) : [];
  const { others } = yield needs;
  const { batches, steps: bakeSteps } = addCrumbBakes(ledger, run, line.crumb, line.id, others);
  const supplies: Supplied[] = [
    ...addDough(ledger, line),
    ...counted(ledger, 'sticks', 'sticks', line.stick ? line.sticksOnHand : null, 'the sticks'),
  ];
  const solid = addBall(ledger, 'portion.mass', 'dough.density');
  const { coat } = line;
  if (coat) {
    supplies.push(...addDipEach(ledger, run, coat, solid, line.stick, line.lots));
  }
  const pieceIds = ['portion.mass', ...(coat ? ['coat.taken'] : [])];
  ledger.total(
    'piece.mass',
    'One piece, before toppings',
    'g',
    pieceIds,
    'Dough, coat and the anchor of its stick.',
  );
  const waits = addWaits(ledger, line);
  supplies.push(
    ...addMinutes(ledger, run, {
      fixedS: longestS(bakeSteps) + waits.reduce((sum, id) => sum + ledger.figure(id).high, 0),
      roundS: handsS(line),
      pieces: 1,
      what: 'One piece in the hand',
    }),
  );
  const limits = addMade(ledger, supplies, many);
  addPortionTotals(ledger);
  const lots = addLots(ledger, line.lots);
  const pots = coat ? addPots(ledger, lots, coat) : [];
  const planned = addToppings(ledger, lots, {
    pieceId: 'piece.mass',
    areaId: 'piece.area',
    allergens: () => doughAllergens(run, line),
    coat: coat?.kind ?? null,
    coatFormulaId: coat?.formulaId,
    ofFormula: (id) => formulaAllergens(run, id),
  });
  addFinishedTotal(ledger, planned);
  const steps = [...bakeSteps, ...popSteps(ledger, line)];
  return Object.assign(
    doughPlan(ledger, run, line, {
      batches,
      limits,
      lots: planned,
      steps,
      notes: () => [
        ...bindNotes(ledger, line),
        ...(coat ? [...coatNotes(ledger, run, pots, coat), garnishNote(ledger)] : []),
      ],
      warnings: () => popWarnings(ledger, run, line),
      loads: [],
      coatFormulaId: coat?.formulaId,
      coatId: meltIdOf(pots, coat?.kind),
      coated: coat !== null,
      mould: false,
      stick: line.stick,
    }),
    { family: 'pop' as const },
  );
}

function garnishNote(ledger: Figures): string {
  const setting = ledger.figure('set.coat');
  const lot = wetLot(
    { value: setting.value / 60, low: setting.low / 60, high: setting.high / 60 },
    POP_HANDS_S.dip + POP_HANDS_S.garnish,
  );
  return `Garnish while the coat is wet: no more than ${lot} dipped before the first gets its topping.`;
}

/** Dough in portions and left over. */
export function addPortionTotals(ledger: Figures): void {
  ledger.calc(
    'portions.total',
    'Dough in portions',
    'g',
    '{count.made} × {portion.mass}',
    (count = 0, portion = 0) => count * portion,
    'All portions together.',
  );
  ledger.calc(
    'dough.left',
    'Dough left over',
    'g',
    '{dough.ready} − {portions.total}',
    (ready = 0, used = 0) => ready - used,
    'What remains once every piece has its portion.',
  );
}

/** Seconds of hands that one piece takes. */
function handsS({ stick, coat }: PopLine): number {
  return (
    POP_HANDS_S.roll + (coat ? POP_HANDS_S.dip + POP_HANDS_S.garnish + (stick ? POP_HANDS_S.stick : 0) : 0)
  );
}

/** What has to firm and set, whatever their number. Returns the figures of it. */
function addWaits(ledger: Figures, line: PopLine): string[] {
  const frozen = line.coat?.school === 'frozen';
  addSetting(
    ledger,
    'set.firm',
    frozen ? 'dough ball frozen through' : 'dough ball firm, fridge',
    'portion.mass',
    frozen ? 'Freezing through' : 'Firming in the fridge',
    frozen
      ? 'Hard to the middle.'
      : 'Firm all through, not frozen. In a freezer it takes about half as long.',
  );
  const waits = ['set.firm'];
  if (line.stick && line.coat) {
    addSetting(
      ledger,
      'set.anchor',
      'stick anchored, cold',
      'portion.mass',
      'Sticks set',
      'Until the dab of chocolate at the stick is hard.',
    );
    waits.push('set.anchor');
  }
  if (line.coat) {
    addSetting(
      ledger,
      'set.coat',
      frozen ? 'coat on a frozen piece' : 'coat, room',
      'piece.mass',
      'Coat sets',
      frozen ? 'At once, from the cold inside.' : 'In a cool room; some minutes less in the fridge.',
    );
    waits.push('set.coat');
  }
  return waits;
}

function popSteps(ledger: Figures, line: PopLine): SequenceStep[] {
  const made = ledger.value('count.made');
  const hands = (id: string, label: string, seconds: number) => {
    ledger.given(id, label, 's', seconds * made, 'typical', `About ${seconds} s a piece.`);
    return ledger.figure(id);
  };
  const steps: SequenceStep[] = [
    {
      id: 'roll',
      label: 'Bind, portion and roll',
      detail: 'First addition of binder, squeeze, a spoonful more if it crumbles. Weigh each portion.',
      kind: 'hands',
      length: hands('day.roll', 'Binding and rolling', POP_HANDS_S.roll),
    },
  ];
  const frozen = line.coat?.school === 'frozen';
  steps.push({
    id: 'firm',
    label: frozen ? 'Freeze' : 'Chill',
    detail: frozen ? 'Wipe off frost before dipping.' : 'Covered, on a lined tray.',
    kind: 'wait',
    length: ledger.figure('set.firm'),
  });
  if (line.stick && line.coat) {
    steps.push(
      {
        id: 'stick',
        label: 'Sticks in',
        detail: 'Dip the end of each in melted coat, half-way into the ball.',
        kind: 'hands',
        length: hands('day.stick', 'Sticks in', POP_HANDS_S.stick),
      },
      {
        id: 'anchor',
        label: 'Sticks set',
        detail: 'Back into the cold.',
        kind: 'wait',
        length: ledger.figure('set.anchor'),
      },
    );
  }
  if (line.coat) {
    steps.push(
      {
        id: 'dip',
        label: 'Dip and garnish',
        detail: 'A few at a time from the cold.',
        kind: 'hands',
        length: hands('day.dip', 'Dipping and garnish', POP_HANDS_S.dip + POP_HANDS_S.garnish),
      },
      {
        id: 'set',
        label: 'Coat sets',
        detail: 'Upright, or on their heads on a lined tray.',
        kind: 'wait',
        length: ledger.figure('set.coat'),
      },
    );
  }
  return steps;
}

/** A vessel shallower than what must stand in it cannot be dipped in. */
function popWarnings(ledger: Figures, run: RunContext, line: PopLine): Fault[] {
  const out: Fault[] = [];
  if (!line.coat) return out;
  const vessel = run.thing('vessel', line.coat.vesselId);
  const depth = ledger.value('pool.depth');
  if (vessel.depthMm < depth) {
    out.push({
      fault: `"${vessel.name}" is {${vessel.depthMm} mm} deep; these need {${Math.round(depth)} mm} of coat.`,
      mend: 'Take a deeper vessel, or spoon the coat over.',
    });
  }
  if (vessel.diameterMm < ledger.value('ball.diameter') + 6) {
    out.push({
      fault: `"${vessel.name}" is too narrow for a ball of {${Math.round(ledger.value('ball.diameter'))} mm}.`,
      mend: 'Take a wider vessel, or make them smaller.',
    });
  }
  const mm = ledger.value('coat.mm');
  if (mm > COAT.shellTooThickMm)
    out.push({ fault: `A coat of {${mm} mm} is thick to bite.`, mend: 'Warm it, or thin it a little.' });
  if (line.stick && ledger.value('portion.mass') > 45) {
    out.push({
      fault: 'Balls as heavy as these slide down a stick.',
      mend: 'Make them lighter, chill them hard, or serve them without a stick.',
    });
  }
  return out;
}
