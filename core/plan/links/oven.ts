import type { FormulaDoc, KitchenDoc, Liner, OvenDoc } from '../../model/documents';
import { boilingShiftK } from '../../process/altitude';
import { ROOM, type MethodDef } from '../../process/batter.table';
import { coolTimeS, scaleConstantS } from '../../process/cool';
import {
  BAKE_MODEL,
  COOLING,
  FAN_C,
  FAN_FACTOR,
  FIRST_LOOK_SHARE,
  HANDS,
  LINER_FACTOR,
  OVEN_OFFSET,
  SECOND_RACK_FACTOR,
  TIN_FACTOR,
  TURNAROUND,
} from '../../process/oven.table';
import { type Figures } from '../figures';

export interface OvenSpec {
  /** Put before every id: empty for the first bake of a line. */
  readonly p: string;
  readonly oven: OvenDoc;
  readonly formula: FormulaDoc;
  /** The run's still-oven setting, °C; null follows the formula. */
  readonly ovenC: number | null;
  readonly method: MethodDef;
  readonly kitchen: KitchenDoc;
  readonly material: keyof typeof TIN_FACTOR;
  /** Two racks are in use. */
  readonly racks: boolean;
  readonly liner: Liner | undefined;
}

/** The temperature to set, °C: the formula's or the run's still-oven figure, 20 lower with the fan on. */
export function ovenSettingC({ ovenC, formula, oven }: Pick<OvenSpec, 'ovenC' | 'formula' | 'oven'>): number {
  return (ovenC ?? formula.ovenC) - (oven.fan ? FAN_C : 0);
}

/** Ids that every baking time rests on, in the order in which `ovenOf` reads them. */
const OVEN_INPUTS = [
  'oven.setting',
  'oven.offset',
  'oven.fan',
  'batter.temperature',
  'cake.done',
  'altitude.boiling',
  'tin.factor',
  'bake.factor',
] as const;
export const ovenInputs = (p: string): readonly string[] => OVEN_INPUTS.map((id) => p + id);

/** What the oven does, from the values of `OVEN_INPUTS` that start at `from` in a list. */
export function ovenOf(v: readonly number[], from: number) {
  const at = (i: number) => v[from + i] as number;
  // Up high, all that water does happens so many degrees lower: the same as an oven and a batter warmer by as much.
  const shift = at(5);
  return {
    airC: at(0) + at(1) + shift,
    coefficientFactor: at(2),
    batterC: at(3) + shift,
    doneC: at(4) + shift,
    factor: at(6) * at(7),
  };
}

/** The oven, the tin and what they leave open. */
export function addOven(ledger: Figures, spec: OvenSpec): void {
  const { p, oven, method, kitchen, material, racks, liner } = spec;
  ledger.given(
    `${p}oven.setting`,
    'Oven set to',
    '°C',
    ovenSettingC(spec),
    'stated',
    oven.fan
      ? 'The formula is for a still oven; with the fan on the dial goes 20 °C lower.'
      : 'As the formula or this run says, for a still oven.',
  );
  const measured = oven.offsetC !== null;
  ledger.root(
    `${p}oven.offset`,
    'Oven above its setting',
    'K',
    oven.offsetC ?? 0,
    (measured ? OVEN_OFFSET.measured : OVEN_OFFSET.unmeasured).spread,
    (measured ? OVEN_OFFSET.measured : OVEN_OFFSET.unmeasured).basis,
    measured
      ? 'What the oven thermometer read above the dial, as kept in Kitchen.'
      : 'Nobody has measured this oven yet. Stand a thermometer in it and write the difference in Kitchen.',
  );
  ledger.root(
    `${p}oven.fan`,
    'Heat through the air',
    'times',
    oven.fan ? FAN_FACTOR.value : 1,
    oven.fan ? FAN_FACTOR.spread : 0,
    oven.fan ? FAN_FACTOR.basis : 'physics',
    oven.fan
      ? 'A fan brings heat to the tin so many times faster than still air.'
      : 'Still air is the reference.',
  );
  ledger.start(
    `${p}batter.temperature`,
    'Batter as it goes in',
    '°C',
    ROOM,
    'The warmth of a usual kitchen.',
    { min: 0, max: 60 },
  );
  const shift = boilingShiftK(kitchen.altitudeM ?? 0);
  const high = Math.abs(shift) >= 0.5;
  ledger.given(
    `${p}altitude.boiling`,
    'Water boils lower by',
    'K',
    shift,
    'physics',
    high
      ? 'One degree for every 300 m above the sea, as kept in Kitchen.'
      : 'At the sea’s height, or near it: nothing to speak of.',
  );
  ledger.start(
    `${p}cake.done`,
    'Done at the centre',
    '°C',
    { ...method.doneC, value: method.doneC.value - shift },
    `Where the crumb of a ${method.name} cake has set${high ? ', less what water boils lower up here' : ''}.`,
    { min: 60, max: 105 },
  );
  const slower = LINER_FACTOR[liner ?? 'paper'];
  ledger.root(
    `${p}tin.factor`,
    racks ? 'Tin and second rack' : 'Tin',
    'times',
    TIN_FACTOR[material] * (racks ? SECOND_RACK_FACTOR : 1) * slower,
    0.02,
    'typical',
    `${material === 'light metal' ? 'Light metal is the reference.' : material === 'silicone' ? 'Silicone passes heat on slowly.' : 'Dark metal takes heat up faster.'}${racks ? ' A second rack slows both; swap them half-way.' : ''}${slower === 1 ? '' : slower < 1 ? ' Without paper the tin’s heat gets through sooner.' : ' Two liners hold heat off.'}`,
  );
  ledger.start(
    `${p}bake.factor`,
    'This oven and batter against the usual',
    'times',
    BAKE_MODEL,
    'Typical times differ by some 8 % from kitchen to kitchen. Time a load and divide by what was expected.',
    { min: 0.5, max: 2 },
  );
}

/** When to look first, from the baking time and its range. */
export function addFirstLook(ledger: Figures, p: string): void {
  const { value, low } = ledger.figure(`${p}bake.time`);
  const share = Number(Math.min(FIRST_LOOK_SHARE, low / value).toFixed(4));
  ledger.calc(
    `${p}bake.firstLook`,
    'First look',
    's',
    `{${p}bake.time} × ${share}, to the half minute below`,
    (time = 0) => time * share,
    'At 85 % of the expected time, or where the likely range begins if that is earlier. Then every 2 minutes.',
    { decide: { step: 30, how: 'down' } },
  );
}

/** How long something cools from the oven until it can be worked on. */
export function addCooling(
  ledger: Figures,
  p: string,
  massG: number,
  constant: { readonly referenceG: number; readonly constant: { value: number; spread: number } },
  toC: number,
  until: string,
): void {
  if (!ledger.has('room.temperature')) {
    ledger.start(
      'room.temperature',
      'Room',
      '°C',
      ROOM,
      'A usual kitchen. Warmer rooms cool cakes more slowly.',
      { min: 0, max: 45 },
    );
  }
  const scaled = (seconds: number) => scaleConstantS(seconds, constant.referenceG, massG);
  ledger.start(
    `${p}cool.constant`,
    'Cooling constant',
    's',
    {
      value: scaled(constant.constant.value),
      spread: scaled(constant.constant.spread),
      basis: 'typical',
    },
    'How long a piece of this size takes to lose some two thirds of its warmth, out of the tin at rest in air.',
    { min: 60, max: 14400 },
  );
  const { fromC } = COOLING;
  ledger.calc(
    `${p}cool.time`,
    until,
    's',
    `{${p}cool.constant} × ln(({${fromC} °C} − {room.temperature}) ÷ (the larger of {${toC} °C} − {room.temperature} and {1.5 K}))`,
    // Nobody waits for the last degree: within 1.5 °C of a warm room the cake is as cool as it gets there.
    (seconds = 0, room = 0) => coolTimeS(seconds, fromC, Math.max(toC, room + 1.5), room),
    `From about {${fromC} °C} out of the oven to {${toC} °C}.`,
  );
}

export function addTurnaround(ledger: Figures): void {
  ledger.start(
    'turnaround',
    'Between two loads',
    's',
    TURNAROUND,
    'Out, in, door shut, and the oven back up to heat.',
    { min: 0, max: 3600 },
  );
}

/** The hands-on and waiting times that the day is reckoned with, so that each of its hours can say why. */
export function addHands(ledger: Figures, method: MethodDef): void {
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
    ledger.given(id, label, 's', minutes * 60, 'typical', sentence);
  }
}
