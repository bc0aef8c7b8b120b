import type { KitchenDoc, MicrowaveDoc } from '../../model/documents';
import {
  atLeast,
  calls,
  exp,
  measure,
  minus,
  over,
  plus,
  says,
  times,
  type Expr,
  type Ref,
  type Words,
} from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { boilingShiftK } from '../../process/altitude';
import { METHODS, ROOM } from '../../process/batter.table';
import { coreWaitS, middleMm, ratingFromTestW, steamShare, type MicroVessel } from '../../process/microwave';
import { MICROWAVE } from '../../process/microwave.table';
import type { PlanFigures } from '../figures';
import { MICRO } from './microwave.words';

const { couplingG, leastG, bestShare, heatCapacity, latent, timeSpread, firstLookShare, evaporated } =
  MICROWAVE;

/** What the batter turns in. */
export interface MicroLoad {
  readonly vessel: MicroVessel;
  /** Batter in one of them, and its volume. */
  readonly mass: Ref<'g'>;
  readonly density: Ref<'g/ml'>;
  /** Inside a mug, mm. */
  readonly widthMm: number;
}

/** The microwave and what it does to batter, before it is known how much of it turns at once. */
export interface MicroOven {
  readonly rated: Ref<'W'>;
  readonly setting: Ref<'share'>;
  readonly start: Ref<'°C'>;
  readonly done: Ref<'°C'>;
  readonly steam: Ref<'share'>;
  readonly factor: Ref<'times'>;
  /** How far the middle lies from where waves get in, and how long it waits for conduction. */
  readonly middle: Ref<'mm'>;
  readonly core: Ref<'s'>;
}

export function addMicroOven(
  f: PlanFigures,
  microwave: MicrowaveDoc,
  kitchen: KitchenDoc,
  setting: number,
  { vessel, mass, density, widthMm }: MicroLoad,
): MicroOven {
  const tested = microwave.absorbedW !== null;
  const inIt = scopeOf('microwave', microwave.id);
  const shiftK = boilingShiftK(kitchen.altitudeM ?? 0);
  const power = f.given('micro.setting', MICRO.setting, 'share', setting, 'stated');
  const middle = f.sum(
    'micro.middle',
    MICRO.middle(vessel),
    'mm',
    calls(
      'mm',
      (v) => middleMm(vessel, v.mass / v.density, widthMm),
      { mass, density },
      says`the way to the middle of ${mass}`,
    ),
  );
  const core = f.sum(
    'micro.core',
    MICRO.core,
    's',
    calls(
      's',
      (v) => coreWaitS(v.middle, v.power),
      { middle, power },
      says`what lies deeper than waves get of ${middle}`,
    ),
  );
  return {
    middle,
    core,
    rated: f.root({
      id: 'micro.rated',
      words: MICRO.rated(microwave.name, tested),
      unit: 'W',
      value: microwave.absorbedW === null ? microwave.ratedW : ratingFromTestW(microwave.absorbedW),
      spread: 0,
      basis: tested ? 'measured here' : 'stated',
    }),
    setting: power,
    start: f.believe(PARAMS.microStart, { of: [], start: ROOM, sentence: MICRO.start }),
    done: f.believe(PARAMS.microDone, {
      of: [],
      start: { ...METHODS.mug.doneC, value: MICROWAVE.doneC - shiftK },
      sentence: MICRO.done,
    }),
    steam: f.believe(PARAMS.microSteam, {
      of: [inIt],
      start: { value: steamShare(mass.value), spread: evaporated.spread, basis: 'typical' },
      sentence: MICRO.steam,
    }),
    factor: f.believe(PARAMS.microFactor, {
      of: [inIt],
      start: { value: 1, spread: timeSpread, basis: 'typical' },
      sentence: MICRO.factor,
    }),
  };
}

/** The share of the power that a load takes up; of a load whose range begins at nothing as well, some of it. */
const couplingOf = (load: Expr<'g'>): Expr<'1'> =>
  times(
    bestShare,
    minus(1, exp(minus(0, over(atLeast(load, measure(leastG, 'g')), measure(couplingG, 'g'))))),
  );

/** Heat to warm a load through and to drive off its steam, over the power that it takes up. */
function timeOf(
  { rated, setting, start, done, steam, factor, core }: MicroOven,
  load: Expr<'g'>,
  coupling: Expr<'1'>,
) {
  const each = plus(
    times(measure(heatCapacity, 'J/g K'), minus(done, start)),
    times(steam, measure(latent, 'J/g')),
  );
  const heating = over(times(load, each), times(times(rated, setting), coupling));
  return times(plus(heating, core), factor);
}

/**
 * How long some load takes in that oven, as a figure by the side: one mug alone, a full group. By the same sum as the
 * load of the plan, so that whatever is measured of the oven moves both.
 */
export const addTimeAlone = (
  f: PlanFigures,
  id: string,
  oven: MicroOven,
  load: Expr<'g'>,
  said: Words = MICRO.alone,
): Ref<'s'> => f.sum(id, said, 's', timeOf(oven, load, couplingOf(load)));

export interface MicroPart {
  readonly oven: MicroOven;
  readonly time: Ref<'s'>;
  readonly firstLook: Ref<'s'>;
  readonly stand: Ref<'s'>;
}

/** The first look at a load that turns for some time. */
export const addMicroLook = (f: PlanFigures, id: string, time: Ref<'s'>): Ref<'s'> =>
  f.sum(id, MICRO.firstLook, 's', times(time, firstLookShare), {
    decide: { step: 5, how: 'down', least: 5, said: 'to five seconds below' },
  });

/** Time in the microwave for a load of so many grams that turn at once. */
export function addMicrowave(f: PlanFigures, oven: MicroOven, load: Ref<'g'>): MicroPart {
  const coupling = f.sum('micro.coupling', MICRO.coupling, 'share', couplingOf(load));
  const time = f.sum('micro.time', MICRO.time, 's', timeOf(oven, load, coupling));
  return {
    oven,
    time,
    firstLook: addMicroLook(f, 'micro.firstLook', time),
    stand: f.given(
      'micro.stand',
      MICRO.stand(oven.core.value > 0),
      's',
      (oven.core.value > 0 ? MICROWAVE.deepStandMin : MICROWAVE.standMin) * 60,
      'typical',
    ),
  };
}
