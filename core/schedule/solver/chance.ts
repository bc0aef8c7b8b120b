/** Numbers that look drawn, the same ones for the same seed. Source: a 32-bit counter, mixed by multiply and shift. */
export interface Chance {
  /** 0 to 1, without 1. */
  readonly next: () => number;
  /** 0 to n − 1. */
  readonly below: (n: number) => number;
  /** Of the normal distribution with mean 0 and spread 1. Source: Box and Muller (1958). */
  readonly normal: () => number;
}

export function chanceOf(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  return {
    next,
    below: (n) => Math.floor(next() * n),
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
  };
}
