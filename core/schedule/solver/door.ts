/**
 * The door of an oven in the time of what bakes in it, s from its beginning: when it is opened, and the stretches in
 * which nobody opens it for anything else. What has not set yet sinks in the draught.
 */
export interface Door {
  readonly opens: readonly number[];
  /** From, until; at both of them it may be opened. */
  readonly quiet: readonly (readonly [number, number])[];
}

const EPS = 1e-6;

/** The same door with its time turned round. */
export const turnedDoor = ({ opens, quiet }: Door, lengthS: number): Door => ({
  opens: opens.map((at) => lengthS - at),
  quiet: quiet.map(([from, until]) => [lengthS - until, lengthS - from] as const),
});

/** The same door for what has been in for a while and has so long to go. */
export const doorFromNow = ({ quiet }: Door, agoS: number, leftS: number): Door => ({
  opens: [leftS],
  quiet: quiet.flatMap(([from, until]) =>
    until - agoS > EPS ? [[Math.max(0, from - agoS), Math.min(leftS, until - agoS)] as const] : [],
  ),
});

/**
 * From when on something would be out of another's way, where it now opens the door on it or has its own opened; −Infinity
 * where it is in nobody's way.
 */
export function doorClear(own: Door, at: number, other: Door, otherAt: number): number {
  return Math.max(openedOn(own, at, other, otherAt, true), openedOn(other, otherAt, own, at, false));
}

/** Where one opens the door on another: when it would be out of its way, moved itself or with the other moved. */
function openedOn({ opens }: Door, at: number, { quiet }: Door, quietAt: number, itself: boolean): number {
  let clear = -Infinity;
  // By index: a search asks this some million times.
  for (let q = 0; q < quiet.length; q += 1) {
    const stretch = quiet[q];
    if (!stretch) continue;
    const from = quietAt + stretch[0];
    const until = quietAt + stretch[1];
    for (let k = 0; k < opens.length; k += 1) {
      const opened = opens[k] ?? 0;
      if (at + opened <= from + EPS || at + opened >= until - EPS) continue;
      clear = Math.max(clear, itself ? until - opened : at + opened - stretch[0]);
    }
  }
  return clear;
}

/** How early something that is in nobody's way could be before it would be in that other's; −Infinity where however early. */
export function doorFloor(own: Door, at: number, other: Door, otherAt: number): number {
  let floor = -Infinity;
  for (const opened of own.opens)
    for (const [, until] of other.quiet)
      if (at + opened >= otherAt + until - EPS) floor = Math.max(floor, otherAt + until - opened);
  for (const opened of other.opens)
    for (const [from] of own.quiet)
      if (otherAt + opened <= at + from + EPS) floor = Math.max(floor, otherAt + opened - from);
  return floor;
}
