import type { KitchenDoc, Liner, OvenDoc } from '../../model/documents';
import type { Dial, TinMaterial } from '../../model/kinds';
import { calls, measure, minus, says, times, type Ref } from '../../figure';
import { PARAMS, scopeOf, type Scope } from '../../param';
import { boilingShiftK } from '../../process/altitude';
import { METHODS, ROOM, type Start } from '../../process/batter.table';
import { DIAL_STEP, nearestSetting } from '../../process/dial';
import {
  BAKE_MODEL,
  FAN_C,
  FAN_FACTOR,
  FIRST_LOOK_SHARE,
  LINER_FACTOR,
  airKnown,
  SECOND_RACK_FACTOR,
  TIN_FACTOR,
  TIN_SPREAD,
  TURNAROUND,
} from '../../process/oven.table';
import type { KnownFormula } from '../context';
import type { PlanFigures } from '../figures';
import { batterScopes } from './batch';
import { OVEN } from './oven.words';

export interface OvenSpec {
  readonly oven: OvenDoc;
  readonly formula: KnownFormula;
  /** The run's still-oven setting, °C; null follows the formula. */
  readonly ovenC: number | null;
  readonly kitchen: KitchenDoc;
  /** What it bakes in. */
  readonly inTin: Scope;
  readonly material: TinMaterial;
  /** Two racks are in use. */
  readonly racks: boolean;
  readonly liner: Liner | undefined;
}

/** What every baking time rests on. */
export interface OvenPart {
  /** Of still air, as the formula or the run says. */
  readonly wanted: Ref<'°C'>;
  readonly dial: Dial;
  /** What the dial is set to: the air that is wanted, less what this oven is off, less the fan's share, to its step. */
  readonly setting: Ref<'°C'>;
  readonly offset: Ref<'K'>;
  readonly fan: Ref<'times'>;
  readonly batter: Ref<'°C'>;
  readonly done: Ref<'°C'>;
  readonly boiling: Ref<'K'>;
  readonly tin: Ref<'times'>;
  /** This tin against others of its kind. */
  readonly ownTin: Ref<'times'>;
  readonly factor: Ref<'times'>;
}

/** What a dial is marked in: as kept of the oven, or as the person reads degrees. */
export const dialOf = (oven: OvenDoc, kitchen: KitchenDoc): Dial => oven.dial ?? kitchen.prefs.temperature;

type HeatKey = Exclude<keyof OvenPart, 'wanted' | 'dial'>;
export type HeatValues = { readonly [K in HeatKey]: number };

/** The figures that a baking time rests on. */
export function heatIn({ wanted, dial, ...heat }: OvenPart): Omit<OvenPart, 'wanted' | 'dial'> {
  void wanted;
  void dial;
  return heat;
}

/** What the oven does, from the values of an `OvenPart`. */
export function heatOf(v: HeatValues) {
  // Up high, all that water does happens so many degrees lower: the same as an oven and a batter warmer by as much.
  const shift = v.boiling;
  return {
    airC: v.setting + v.offset + shift,
    coefficientFactor: v.fan,
    batterC: v.batter + shift,
    doneC: v.done + shift,
    factor: v.tin * v.ownTin * v.factor,
  };
}

/** The oven, the tin and what they leave open. What belongs to the oven is the same in every bake in it. */
export function addOven(f: PlanFigures, spec: OvenSpec): OvenPart {
  const { oven, formula, kitchen, inTin, material, racks, liner } = spec;
  const method = METHODS[formula.doc.method];
  const inOven = scopeOf('oven', oven.id);
  // What thermometers in it have read, held against what Kitchen says of it.
  const read = f.beliefs.find(PARAMS.ovenOffset.key, [inOven]);
  const known: Start = read
    ? { value: read.mean, spread: read.spread, basis: 'measured here' }
    : airKnown(oven);
  const measured = read !== null || oven.offsetC !== null;
  const shift = boilingShiftK(kitchen.altitudeM ?? 0);
  const high = Math.abs(shift) >= 0.5;
  const slower = LINER_FACTOR[liner ?? 'paper'];
  const offset = f.root({
    id: 'oven.offset',
    words: read ? OVEN.offsetRead : OVEN.offset(measured),
    unit: 'K',
    value: known.value,
    spread: known.spread,
    basis: known.basis,
    known: { param: PARAMS.ovenOffset.key, of: [inOven], keep: PARAMS.ovenOffset.keep },
    key: `${PARAMS.ovenOffset.key}@${inOven}`,
    ties: read?.ties,
  });
  const dial = dialOf(oven, kitchen);
  const wanted = f.given('oven.wanted', OVEN.wanted, '°C', spec.ovenC ?? formula.doc.ovenC, 'stated');
  const less = oven.fan ? minus(minus(wanted, offset), measure(FAN_C, 'K')) : minus(wanted, offset);
  return {
    wanted,
    dial,
    setting: f.sum(
      'oven.setting',
      OVEN.setting(oven.fan, measured),
      '°C',
      // Steps of °C count from nought; those of other dials do not.
      dial === 'C'
        ? less
        : calls(
            '°C',
            (v) => nearestSetting(v.less, dial),
            { less },
            says`the step of the dial nearest to ${less}`,
          ),
      { decide: { step: dial === 'C' ? DIAL_STEP : 0, how: 'nearest', said: OVEN.toDial } },
    ),
    offset,
    fan: oven.fan
      ? f.believe(PARAMS.fanFactor, {
          label: OVEN.fan(true).label,
          of: [inOven],
          start: FAN_FACTOR,
          sentence: OVEN.fan(true).sentence,
        })
      : f.given('oven.fan', OVEN.fan(false), 'times', 1, 'physics'),
    batter: f.believe(PARAMS.batterTemperature, { of: [], start: ROOM, sentence: OVEN.batterTemperature }),
    done: f.believe(PARAMS.doneAt, {
      of: batterScopes(formula),
      start: { ...method.doneC, value: method.doneC.value - shift },
      sentence: OVEN.done(method.name, high),
    }),
    boiling: f.root({
      id: 'altitude.boiling',
      words: OVEN.boiling(high),
      unit: 'K',
      value: shift,
      spread: 0,
      basis: 'physics',
      key: 'altitude.boiling@kitchen',
    }),
    tin: f.given(
      'tin.factor',
      OVEN.tin(material, racks, slower),
      'times',
      TIN_FACTOR[material] * (racks ? SECOND_RACK_FACTOR : 1) * slower,
      'typical',
    ),
    ownTin: f.believe(PARAMS.tinOwn, {
      of: [inTin],
      start: { value: 1, spread: TIN_SPREAD, basis: 'typical' },
      sentence: OVEN.ownTin,
    }),
    factor: f.believe(PARAMS.bakeFactor, { of: [inOven], start: BAKE_MODEL, sentence: OVEN.factor }),
  };
}

/** When to look first, from the baking time and its range. */
export function addFirstLook(f: PlanFigures, time: Ref<'s'>): Ref<'s'> {
  const share = Number(Math.min(FIRST_LOOK_SHARE, time.low / time.value).toFixed(4));
  return f.sum('bake.firstLook', OVEN.firstLook, 's', times(time, share), {
    decide: { step: 30, how: 'down', said: 'to the half minute below' },
  });
}

export const addTurnaround = (f: PlanFigures, oven: OvenDoc): Ref<'s'> =>
  f.believe(PARAMS.turnaround, {
    of: [scopeOf('oven', oven.id)],
    start: TURNAROUND,
    sentence: OVEN.turnaround,
  });
