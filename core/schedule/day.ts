import type { Figure } from '../figure';
import { HANDS } from '../process/oven.table';
import type { MethodDef } from '../process/batter.table';

/** One thing to do or to wait for. Times are minutes before the run must be ready (positive = earlier). */
export interface DayStep {
  readonly id: string;
  readonly label: string;
  /** May hold measures in braces, `{175 °C}`, for `inStyle` to put in the reader's units. */
  readonly detail: string;
  readonly startMin: number;
  readonly endMin: number;
  readonly kind: 'prompt' | 'hands' | 'oven' | 'wait';
  /** The figure that the step's length comes from. */
  readonly figureId: string;
}

export interface DayInput {
  readonly loads: readonly number[];
  readonly bakeTime: Figure;
  readonly firstLook: Figure;
  readonly coolTime: Figure;
  readonly turnaroundS: number;
  readonly method: MethodDef;
  readonly ovenSettingC: number;
}

/** What stands before the first load goes in, min. */
export function minutesBeforeOven(method: MethodDef, firstLoad: number): number {
  return HANDS.weighOutMin + method.mixMin + fillMin(firstLoad);
}

const fillMin = (pieces: number) => (pieces * HANDS.fillWellS) / 60;

/**
 * Reckons a day backwards from when the run must be ready: the latest safe start, taking the longer end of the likely
 * baking and cooling times, one oven load after another, and what has to be brought out or switched on before.
 */
export function planDay({
  loads,
  bakeTime,
  firstLook,
  coolTime,
  turnaroundS,
  method,
  ovenSettingC,
}: DayInput): DayStep[] {
  const bake = bakeTime.high / 60;
  const cool = coolTime.high / 60;
  const turn = turnaroundS / 60;
  const n = loads.length;
  if (n === 0) return [];
  const into = (k: number) => cool + (n - k) * bake + (n - 1 - k) * turn;
  const firstIn = into(0);
  const fillStart = firstIn + fillMin(loads[0] ?? 0);
  const mixStart = fillStart + method.mixMin;
  const weighStart = mixStart + HANDS.weighOutMin;
  const steps: DayStep[] = [
    ...(method.butterOutMin > 0
      ? [
          {
            id: 'butter-out',
            figureId: 'day.butterOut',
            label: 'Butter out',
            detail: 'Soft at {18 °C} to {20 °C}: a finger leaves a dent and does not slide through.',
            startMin: Math.max(mixStart + method.butterOutMin, weighStart),
            endMin: mixStart,
            kind: 'prompt' as const,
          },
        ]
      : []),
    {
      id: 'eggs-out',
      figureId: 'day.eggsOut',
      label: 'Eggs and milk out',
      detail: 'At room temperature they blend without curdling the batter.',
      startMin: mixStart + HANDS.eggsOutMin,
      endMin: mixStart,
      kind: 'prompt',
    },
    {
      id: 'weigh-out',
      figureId: 'day.weighOut',
      label: 'Weigh out, line the tins',
      detail: 'Everything ready before the mixer starts.',
      startMin: weighStart,
      endMin: mixStart,
      kind: 'hands',
    },
    {
      id: 'oven-on',
      figureId: 'day.ovenWarms',
      label: 'Oven on',
      detail: `At {${Math.round(ovenSettingC)} °C}.`,
      startMin: firstIn + HANDS.ovenWarmsMin,
      endMin: firstIn,
      kind: 'prompt',
    },
    {
      id: 'mix',
      figureId: 'day.mix',
      label: 'Mix',
      detail: method.meaning,
      startMin: mixStart,
      endMin: fillStart,
      kind: 'hands',
    },
    {
      id: 'fill',
      figureId: 'day.fillWell',
      label: 'Fill the first load',
      detail: 'Weigh each well, then tap the tin level.',
      startMin: fillStart,
      endMin: firstIn,
      kind: 'hands',
    },
    ...loads.map((pieces, k): DayStep => ({
      id: `load-${k + 1}`,
      figureId: 'bake.time',
      label: n === 1 ? 'Bake' : `Bake load ${k + 1}`,
      detail: `${pieces} in. First look ${Math.round(firstLook.value / 60)} min after it goes in.`,
      startMin: into(k),
      endMin: into(k) - bake,
      kind: 'oven',
    })),
    {
      id: 'cool',
      figureId: 'cool.time',
      label: n === 1 ? 'Cool' : 'Cool the last load',
      detail: 'Five to ten minutes in the tin, then on a rack.',
      startMin: cool,
      endMin: 0,
      kind: 'wait',
    },
  ];
  return steps.sort((a, b) => b.startMin - a.startMin);
}

/** Minutes that the last load's batter waits between mixing and the oven. */
export function lastLoadWaitsMin(loads: readonly number[], bakeTimeS: number, turnaroundS: number): number {
  return loads.length <= 1
    ? 0
    : ((loads.length - 1) * (bakeTimeS + turnaroundS)) / 60 + fillMin(loads[0] ?? 0);
}
