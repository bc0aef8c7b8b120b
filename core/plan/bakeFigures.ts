import type { Ledger } from '../figure';
import { wellVolumeMl } from '../piece';
import { ROOM } from '../process/batter.table';
import { BAKE_MODEL_RESIDUALS } from '../process/bakeModel.table';
import { bakeSurrogateS } from '../process/bakeSurrogate';
import { SURROGATE } from '../process/bakeSurrogate.table';
import { coolTimeS, scaleConstantS } from '../process/cool';
import {
  BAKE_MODEL,
  COOLING,
  FAN_C,
  FAN_FACTOR,
  FIRST_LOOK_SHARE,
  HANDS,
  OVEN_OFFSET,
  SECOND_RACK_FACTOR,
  TIN_FACTOR,
  TURNAROUND,
} from '../process/oven.table';
import { TYPICAL_TIMES } from '../process/typicalTimes.table';
import { tinsAtOnce, type LineContext } from './context';
import { start } from './fillFigures';

const WORST_PIECE = Math.max(
  ...BAKE_MODEL_RESIDUALS.filter((_, i) => TYPICAL_TIMES[i]?.kind === 'piece').map(({ off }) =>
    Math.abs(off),
  ),
);
const percent = (share: number) => `${Math.max(1, Math.round(share * 100))} %`;

const BAKE_INPUTS = [
  'portion.mass',
  'well.top',
  'well.base',
  'well.depth',
  'well.volume',
  'batter.density',
  'cake.density',
  'bake.lossShare',
  'oven.setting',
  'oven.offset',
  'oven.fan',
  'batter.temperature',
  'cake.done',
  'tin.factor',
  'bake.factor',
] as const;

/** The quick form of the baking model, s, of the figures in `BAKE_INPUTS`, in their order. */
function bakeTimeOf(v: readonly number[]): number {
  const [
    massG = 1,
    topMm = 1,
    baseMm = 1,
    depthMm = 1,
    volumeMl = 1,
    batterDensity = 1,
    cakeDensity = 1,
    lossShare = 0,
  ] = v;
  const [setC = 0, offsetC = 0, coefficientFactor = 1, batterC = 0, doneC = 0, tinFactor = 1, factor = 1] =
    v.slice(8);
  // A water test says how deep the well really is.
  const depth = (depthMm * volumeMl) / wellVolumeMl(topMm, baseMm, depthMm);
  const pan = { baseRadiusM: baseMm / 2000, topRadiusM: topMm / 2000, depthM: depth / 1000 };
  const airC = setC + offsetC;
  const input = {
    pan,
    massG,
    batterDensity,
    cakeDensity,
    lossShare,
    airC,
    batterC,
    doneC,
    coefficientFactor,
  };
  return bakeSurrogateS(input) * tinFactor * factor;
}

/** The temperature to set, °C: the formula's or the run's still-oven figure, 20 lower with the fan on. */
export function ovenSettingC({
  line,
  formula,
  oven,
}: Pick<LineContext, 'line' | 'formula' | 'oven'>): number {
  return (line.ovenC ?? formula.ovenC) - (oven.fan ? FAN_C : 0);
}

/** Oven and cooling times of one load. */
export function addBake(ledger: Ledger, context: LineContext): void {
  const { oven, tin, method } = context;
  ledger.input({
    id: 'oven.setting',
    label: 'Oven set to',
    unit: '°C',
    value: ovenSettingC(context),
    spread: 0,
    basis: 'stated',
    sentence: oven.fan
      ? 'The formula is for a still oven; with the fan on the dial goes 20 °C lower.'
      : 'As the formula or this run says, for a still oven.',
  });
  const measured = oven.offsetC !== null;
  const offset = measured ? OVEN_OFFSET.measured : OVEN_OFFSET.unmeasured;
  ledger.input({
    id: 'oven.offset',
    label: 'Oven above its setting',
    unit: 'K',
    ...offset,
    value: oven.offsetC ?? 0,
    sentence: measured
      ? 'What the oven thermometer read above the dial, as kept in Kitchen.'
      : 'Nobody has measured this oven yet. Stand a thermometer in it and write the difference in Kitchen.',
  });
  ledger.input({
    id: 'oven.fan',
    label: 'Heat through the air',
    unit: 'times',
    value: oven.fan ? FAN_FACTOR.value : 1,
    spread: oven.fan ? FAN_FACTOR.spread : 0,
    basis: oven.fan ? FAN_FACTOR.basis : 'physics',
    sentence: oven.fan
      ? 'A fan brings heat to the tin so many times faster than still air.'
      : 'Still air is the reference.',
  });
  start(ledger, 'batter.temperature', 'Batter as it goes in', '°C', ROOM, 'The warmth of a usual kitchen.', {
    min: 0,
    max: 60,
  });
  start(
    ledger,
    'cake.done',
    'Done at the centre',
    '°C',
    method.doneC,
    `Where the crumb of a ${method.name} cake has set.`,
    { min: 60, max: 105 },
  );
  const racks = tinsAtOnce(tin, oven) > oven.tinsPerRack;
  ledger.input({
    id: 'tin.factor',
    label: racks ? 'Tin and second rack' : 'Tin',
    unit: 'times',
    value: TIN_FACTOR[tin.material] * (racks ? SECOND_RACK_FACTOR : 1),
    spread: 0.02,
    basis: 'typical',
    sentence: `${tin.material === 'light metal' ? 'Light metal is the reference.' : tin.material === 'silicone' ? 'Silicone passes heat on slowly.' : 'Dark metal takes heat up faster.'}${racks ? ' A second rack slows both; swap them half-way.' : ''}`,
  });
  start(
    ledger,
    'bake.factor',
    'This oven and batter against the usual',
    'times',
    BAKE_MODEL,
    'Typical times differ by some 8 % from kitchen to kitchen. Time a load and divide by what was expected.',
    { min: 0.5, max: 2 },
  );
  ledger.derive({
    id: 'bake.time',
    label: 'Baking time',
    unit: 's',
    from: BAKE_INPUTS,
    asList: bakeTimeOf,
    sentence: `Until the coldest place is done: heat conducted into a piece of this shape, and the steam it gives off. The model comes within ${percent(WORST_PIECE)} of typical times of single pieces; the quick form of it used here within ${percent(SURROGATE.rms)} of the model, ${percent(SURROGATE.worst)} at worst.`,
    sum: 'warming {portion.mass} ({well.top} × {well.depth}) from {batter.temperature} to {cake.done} at {oven.setting} + {oven.offset}, then × {tin.factor} × {bake.factor}',
  });
  const { value, low } = ledger.figure('bake.time');
  const share = Math.min(FIRST_LOOK_SHARE, low / value);
  ledger.derive({
    id: 'bake.firstLook',
    label: 'First look',
    unit: 's',
    from: ['bake.time'],
    f: (time = 0) => time * share,
    decide: { step: 30, how: 'down' },
    sentence:
      'At 85 % of the expected time, or where the likely range begins if that is earlier. Then every 2 minutes.',
    sum: `{bake.time} × ${share.toFixed(2)}, to the half minute below`,
  });
  ledger.derive({
    id: 'cake.mass',
    label: 'One cake, baked',
    unit: 'g',
    from: ['portion.mass', 'bake.lossShare'],
    f: (portion = 0, lost = 0) => portion * (1 - lost),
    sentence: 'What is left of a well of batter after the oven. Weigh one and the plan takes it.',
    sum: '{portion.mass} × (1 − {bake.lossShare})',
    pin: { min: 0.5, max: 5000 },
  });
}

/** What leaves as steam, what comes out of the tins, and how long it cools. */
export function addCakes(ledger: Ledger): void {
  ledger.derive({
    id: 'batter.used',
    label: 'Batter in wells',
    unit: 'g',
    from: ['count.made', 'portion.mass'],
    f: (count = 0, portion = 0) => count * portion,
    sentence: 'Batter that goes into the oven.',
    sum: '{count.made} × {portion.mass}',
  });
  ledger.derive({
    id: 'batter.left',
    label: 'Batter left over',
    unit: 'g',
    from: ['batter.ready', 'batter.used'],
    f: (ready = 0, used = 0) => ready - used,
    sentence: 'What remains in the bowl once every well has its portion.',
    sum: '{batter.ready} − {batter.used}',
  });
  ledger.derive({
    id: 'bake.lost',
    label: 'Lost as steam',
    unit: 'g',
    from: ['count.made', 'portion.mass', 'cake.mass'],
    f: (count = 0, portion = 0, cake = 0) => count * (portion - cake),
    sentence: 'Water that leaves in the oven.',
    sum: '{count.made} × ({portion.mass} − {cake.mass})',
  });
  ledger.derive({
    id: 'cakes.total',
    label: 'Cakes in all',
    unit: 'g',
    from: ['count.made', 'cake.mass'],
    f: (count = 0, cake = 0) => count * cake,
    sentence: 'All cupcakes together, baked.',
    sum: '{count.made} × {cake.mass}',
  });
  start(
    ledger,
    'room.temperature',
    'Room',
    '°C',
    ROOM,
    'A usual kitchen. Warmer rooms cool cakes more slowly.',
    {
      min: 0,
      max: 24,
    },
  );
  start(
    ledger,
    'cool.constant',
    'Cooling constant',
    's',
    {
      ...COOLING.constant,
      value: scaleConstantS(COOLING.constant.value, COOLING.referenceG, ledger.value('cake.mass')),
      spread: scaleConstantS(COOLING.constant.spread, COOLING.referenceG, ledger.value('cake.mass')),
    },
    'How long a cake of this size takes to lose some two thirds of its warmth, out of the tin at rest in air.',
    { min: 60, max: 14400 },
  );
  ledger.derive({
    id: 'cool.time',
    label: 'Cooling until it can be frosted',
    unit: 's',
    from: ['cool.constant', 'room.temperature'],
    // Nobody waits for the last degree: within 1.5 °C of a warm room the cake is as cool as it gets there.
    f: (constant = 0, room = 0) =>
      coolTimeS(constant, COOLING.fromC, Math.max(COOLING.frostC, room + 1.5), room),
    sentence: `From about ${COOLING.fromC} °C out of the oven to ${COOLING.frostC} °C, when buttercream keeps its shape.`,
    sum: `{cool.constant} × ln((${COOLING.fromC} − {room.temperature}) ÷ (${COOLING.frostC} − {room.temperature}))`,
  });
  start(
    ledger,
    'turnaround',
    'Between two loads',
    's',
    TURNAROUND,
    'Out, in, door shut, and the oven back up to heat.',
    { min: 0, max: 3600 },
  );
}

/** The hands-on and waiting times that the day is reckoned with, so that each of its hours can say why. */
export function addHands(ledger: Ledger, { method }: LineContext): void {
  const hands = [
    ['day.weighOut', 'Weighing out and lining tins', HANDS.weighOutMin, 'Usual for a formula of ten lines.'],
    ['day.mix', 'Mixing', method.mixMin, `Usual for a ${method.name} batter in a bowl of household size.`],
    [
      'day.fillWell',
      'Filling one well',
      HANDS.fillWellS / 60,
      'Scooped and weighed, one well after another.',
    ],
    [
      'day.ovenWarms',
      'Warming the oven',
      HANDS.ovenWarmsMin,
      'Most ovens need 15 to 20 minutes until air and walls are hot.',
    ],
    [
      'day.butterOut',
      'Butter softening',
      method.butterOutMin,
      'From the fridge to creaming softness in a usual kitchen.',
    ],
    ['day.eggsOut', 'Eggs and milk warming up', HANDS.eggsOutMin, 'From the fridge to room temperature.'],
  ] as const;
  for (const [id, label, minutes, sentence] of hands) {
    ledger.input({ id, label, unit: 's', value: minutes * 60, spread: 0, basis: 'typical', sentence });
  }
}
