export interface MinuteRange {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/**
 * How many pieces to garnish in one lot while the coat is wet: half of the setting time at its shorter end, over the
 * seconds a piece takes. At least one.
 */
export function wetLot(setting: MinuteRange, secondsAPiece: number): number {
  if (secondsAPiece <= 0) throw new Error('invariant: a garnish takes time');
  return Math.max(1, Math.floor((setting.low * 60) / 2 / secondsAPiece));
}
