import { factsOf } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import type { MugLine } from '../../model/documents';
import { type Sampling } from '../../figure';
import { boilingShiftK } from '../../process/altitude';
import { METHODS, MUG_LOSS, ROOM } from '../../process/batter.table';
import { evenLoads } from '../../process/loads';
import { microwaveTime } from '../../process/microwave';
import { MICROWAVE } from '../../process/microwave.table';
import { COOLING, COOLING_MUG } from '../../process/oven.table';
import type { ChainPlan } from '../chain';
import { addLineBatch, addBowlLoss, addDensities, lineBatches } from '../links/batch';
import { addMade, addWanted, counted, type Supplied } from '../links/count';
import { addFinishEach } from '../links/each';
import { finishNeeds, formulaAllergens, partAllergens } from '../links/finish';
import { addFillingTotal, addFrostingTotal } from '../links/frosting';
import { addLots, addToppings, allAllergens, checkLots, nutFaults, toppingWords } from '../links/lots';
import { addMicrowave } from '../links/microwave';
import { addMinutes } from '../links/minutes';
import { addCooling } from '../links/oven';
import { statedIn, type RunContext } from '../lookup';
import { addMugPortion, MUG_BANDS, mugNotes, mugRemainder, mugWarnings } from './mugFigures';
import { toldPlan } from './linePlan';
import type { Planning } from './planning';
import { sequenceDay, type SequenceStep } from './sequence';
import { Figures } from '../figures';
import { MUG_WEIGH_MIN } from '../../process/hands.table';
import { MUG_TOP_MM } from '../../process/frost.table';

export interface MugPlan extends ChainPlan {
  readonly family: 'mug';
  readonly line: MugLine;
}

/** Plans mug cakes: how full, how many turn at once, how long, standing, what goes in and on. */
export function* planMug(run: RunContext, line: MugLine, sampling: Sampling | null): Planning<MugPlan> {
  checkLots(line.lots, line.count);
  const { doc, read } = run.formula(line.formulaId);
  const method = METHODS[doc.method];
  const mug = run.thing('mug', line.mugId);
  const microwave = run.thing('microwave', line.microwaveId);
  const { kitchen } = run;
  const ledger = new Figures(statedIn(line, kitchen), sampling);
  addWanted(ledger, line.count, 'Mug cakes');
  ledger.given(
    'mug.volume',
    'A mug to the brim',
    'ml',
    mug.volumeMl,
    'stated',
    `"${mug.name}", as kept in Kitchen. Fill it with water and weigh it: {100 ml} of it weigh {100 g}.`,
    { min: 60, max: 3000 },
  );
  addDensities(ledger, '', method);
  ledger.start(
    'bake.lossShare',
    'Lost as steam',
    'share',
    MUG_LOSS,
    'Water that leaves in the microwave. Weigh a full mug before and after to know yours.',
    { min: 0, max: 0.5 },
  );
  addMugPortion(ledger, line, kitchen, method);
  addBowlLoss(ledger, '');
  ledger.calc(
    'batter.needed',
    'Batter needed',
    'g',
    '{count.wanted} × {portion.mass} ÷ (1 − {bowl.lossShare})',
    (count = 0, portion = 0, lost = 0) => (count * portion) / (1 - lost),
    'For every mug, and what the bowl keeps.',
  );
  const { others } = yield [{ formulaId: doc.id, massG: ledger.value('batter.needed') }];
  const batch = addLineBatch(ledger, { doc, read }, line.eggs, others);
  ledger.calc(
    'batter.ready',
    'Batter to portion',
    'g',
    `{${batch.ownId}} × (1 − {bowl.lossShare})`,
    (mixed = 0, lost = 0) => mixed * (1 - lost),
    'What goes into mugs.',
  );
  ledger.calc(
    'count.batter',
    'The batter allows',
    'pieces',
    '{batter.ready} ÷ {portion.mass}, whole ones',
    (ready = 0, portion = 1) => ready / portion,
    'As many mugs as it fills.',
    { whole: 'floor' },
  );
  ledger.calc(
    'cake.mass',
    'One cake',
    'g',
    '{portion.mass} × (1 − {bake.lossShare})',
    (portion = 0, lost = 0) => portion * (1 - lost),
    'What is left in the mug once the steam is gone.',
    { pin: { min: 0.5, max: ledger.value('portion.mass') } },
  );
  ledger.given('piece.top', 'Top of a mug', 'mm', MUG_TOP_MM, 'typical', 'Usual for a mug, inside.', {
    min: 30,
    max: 200,
  });
  const supplies: Supplied[] = [
    { supply: 'batter', figureId: 'count.batter', words: 'what is in the bowl' },
    ...counted(ledger, 'mugs', 'mugs', mug.owned, 'the mugs: each is eaten from its own'),
  ];
  const { filling, frosting } = line;
  const each = addFinishEach(ledger, {
    filling,
    frosting,
    topId: 'piece.top',
    cakeId: 'cake.mass',
    lots: line.lots,
    count: line.count,
  });
  supplies.push(...each.supplies);
  addCooling(
    ledger,
    '',
    ledger.value('cake.mass'),
    COOLING_MUG,
    COOLING.frostC,
    'Cooling until it can be frosted',
  );
  ledger.given(
    'day.mix',
    'Weighing and stirring',
    's',
    (method.mixMin + MUG_WEIGH_MIN) * 60,
    'typical',
    'Usual for a few mugs.',
  );
  const most = line.atOnce ?? microwave.mugsAtOnce;
  const group = microwaveTime({
    massG: ledger.value('portion.mass'),
    count: most,
    ratedW: microwave.ratedW,
    absorbedW: microwave.absorbedW,
    setting: line.setting,
    startC: ROOM.value,
  });
  supplies.push(
    ...addMinutes(ledger, run, {
      fixedS:
        ledger.value('day.mix') + MICROWAVE.standMin * 60 + (frosting ? ledger.figure('cool.time').high : 0),
      roundS: group.highS,
      pieces: most,
      what: 'One group in the microwave',
    }),
  );
  const limits = addMade(ledger, supplies, 'Mug cakes');
  const made = ledger.value('count.made');
  const groups = evenLoads(made, most);
  const inGroup = groups[0] ?? 1;
  ledger.given(
    'mugs.atOnce',
    'Mugs that turn together',
    'pieces',
    inGroup,
    'counted',
    `"${microwave.name}" takes ${most}; evened out so that all cook alike.`,
  );
  ledger.calc(
    'micro.load',
    'In the microwave at once',
    'g',
    '{mugs.atOnce} × {portion.mass}',
    (n = 0, portion = 0) => n * portion,
    'All mugs that turn together share the power.',
  );
  addMicrowave(
    ledger,
    '',
    microwave,
    method,
    line.setting,
    'micro.load',
    boilingShiftK(kitchen.altitudeM ?? 0),
  );
  ledger.calc(
    'portions.total',
    'Batter in mugs',
    'g',
    '{count.made} × {portion.mass}',
    (count = 0, portion = 0) => count * portion,
    'All mugs together.',
  );
  ledger.calc(
    'batter.left',
    'Batter left over',
    'g',
    '{batter.ready} − {portions.total}',
    (ready = 0, used = 0) => ready - used,
    'What remains in the bowl.',
  );
  ledger.calc(
    'cakes.total',
    'Cakes in all',
    'g',
    '{count.made} × {cake.mass}',
    (count = 0, cake = 0) => count * cake,
    'All mug cakes together.',
  );
  const lots = addLots(ledger, line.lots);
  if (filling) addFillingTotal(ledger, filling);
  if (frosting) addFrostingTotal(ledger, lots, each.bags);
  ledger.total(
    'piece.mass',
    'One piece, before toppings',
    'g',
    each.pieceIds,
    'Cake and all that goes in and on it.',
  );
  ledger.calc(
    'piece.area',
    'Top of a piece',
    'cm²',
    'π ÷ 4 × {piece.top}² ÷ 100',
    (d = 0) => ((Math.PI / 4) * d * d) / 100,
    'What a topping can cover.',
  );
  const allergens = () => partAllergens(run, { formulaIds: [line.formulaId], filling, frosting });
  const planned = addToppings(ledger, lots, {
    pieceId: 'piece.mass',
    areaId: 'piece.area',
    allergens,
    coat: null,
    coatFormulaId: null,
    ofFormula: (id) => formulaAllergens(run, id),
  });
  const all = () => allAllergens(allergens(), planned);
  const look = Math.round(ledger.value('micro.firstLook'));
  const steps: SequenceStep[] = [
    {
      id: 'mix',
      label: 'Weigh and stir',
      detail: method.meaning,
      kind: 'hands',
      length: ledger.figure('day.mix'),
    },
    ...groups.map((n, k) => ({
      id: `group-${k + 1}`,
      label: groups.length > 1 ? `Microwave, group ${k + 1}` : 'Microwave',
      detail: `${n} together. First look after ${look} s.`,
      kind: 'oven' as const,
      length: ledger.figure('micro.time'),
    })),
    {
      id: 'stand',
      label: 'Stand',
      detail: 'It goes on cooking. Then look again.',
      kind: 'wait' as const,
      length: ledger.figure('micro.stand'),
    },
    ...(frosting
      ? [
          {
            id: 'cool',
            label: 'Cool',
            detail: 'Before anything that melts goes on.',
            kind: 'wait' as const,
            length: ledger.figure('cool.time'),
          },
        ]
      : []),
  ];
  return toldPlan(
    ledger,
    run,
    {
      needs: () => finishNeeds(ledger, line),
      remainder: () => mugRemainder(ledger),
      bands: [['mixed', 'Batter in the bowl', 'ingredient', batch.ownId], ...MUG_BANDS],
      day: () => sequenceDay(steps, run.readyMin),
      warnings: () => [...mugWarnings(ledger, line, groups), ...nutFaults(line.lots, planned)],
      facts: () =>
        factsOf({
          family: 'mug',
          lines: read.lines,
          allergens: all(),
          words: [filling?.what ?? '', ...toppingWords(line.lots)],
          frosting: frosting?.kind ?? null,
          coat: false,
          oven: false,
          microwave: true,
        }),
      allergens: all,
      tests: () => doneTests(read.lines, method, true),
      notes: () => mugNotes(ledger, line, groups, microwave.ratedW, microwave.absorbedW),
    },
    {
      family: 'mug' as const,
      line,
      formula: doc,
      batches: lineBatches(batch, doc, line.id),
      limits,
      loads: { sizes: groups },
      lots: planned,
    },
  );
}
