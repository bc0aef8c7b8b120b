import { largerOf, ln, measure, minus, over, times, type Ref } from '../../figure';
import { PARAMS, scopeOf, type Scope } from '../../param';
import { ROOM } from '../../process/batter.table';
import { scaleConstantS } from '../../process/cool';
import { COOLING } from '../../process/oven.table';
import type { PlanFigures } from '../figures';
import { COOL } from './oven.words';

export interface CoolPart {
  readonly room: Ref<'°C'>;
  readonly constant: Ref<'s'>;
  readonly time: Ref<'s'>;
}

export interface CoolSpec {
  /** What cools: pieces out of wells, sheets, mugs; what is known of one says nothing of another. */
  readonly kind: 'well' | 'sheet' | 'mug';
  /** The thing that gives it its size. */
  readonly thing: Scope;
  readonly massG: number;
  readonly constant: { readonly referenceG: number; readonly constant: { value: number; spread: number } };
  readonly toC: number;
  readonly until: string;
}

/** The kitchen's own warmth. */
export const addRoom = (f: PlanFigures): Ref<'°C'> =>
  f.believe(PARAMS.roomTemperature, { of: [], start: ROOM, sentence: COOL.room });

/** How long something cools from the oven until it can be worked on. */
export function addCooling(f: PlanFigures, { kind, thing, massG, constant, toC, until }: CoolSpec): CoolPart {
  const room = addRoom(f);
  const scaled = (seconds: number) => scaleConstantS(seconds, constant.referenceG, massG);
  const tau = f.believe(PARAMS.coolConstant, {
    of: [thing, scopeOf('size', kind)],
    start: {
      value: scaled(constant.constant.value),
      spread: scaled(constant.constant.spread),
      basis: 'typical',
    },
    sentence: COOL.constant,
  });
  const { fromC } = COOLING;
  // Nobody waits for the last degree: within 1.5 °C of a warm room the cake is as cool as it gets there.
  const above = largerOf(minus(measure(toC, '°C'), room), measure(1.5, 'K'));
  const time = f.sum(
    'cool.time',
    COOL.time(until, fromC, toC),
    's',
    times(tau, ln(over(minus(measure(fromC, '°C'), room), above))),
  );
  return { room, constant: tau, time };
}
