import { SETTING, type SettingStage } from './set.table';

export interface MinuteRange {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Minutes until something has set, scaled from the mass it is known for by mass^(2/3). Basis: typical. */
export function settingMinutes(stage: SettingStage, massG: number = SETTING[stage].massG): MinuteRange {
  if (massG <= 0) throw new Error('invariant: what sets has mass');
  const { massG: known, time } = SETTING[stage];
  const scale = (massG / known) ** (2 / 3);
  return {
    value: time.value * scale,
    low: (time.value - time.spread) * scale,
    high: (time.value + time.spread) * scale,
  };
}

/**
 * How many pieces to garnish in one lot while the coat is wet: half of the setting time at its shorter end, over the
 * seconds a piece takes. At least one.
 */
export function wetLot(setting: MinuteRange, secondsAPiece: number): number {
  if (secondsAPiece <= 0) throw new Error('invariant: a garnish takes time');
  return Math.max(1, Math.floor((setting.low * 60) / 2 / secondsAPiece));
}
