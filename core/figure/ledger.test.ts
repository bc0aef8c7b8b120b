import fc from 'fast-check';
import { basisText, hasRange } from './figure';
import { Ledger } from './ledger';

const input = (ledger: Ledger, id: string, value: number, spread: number) =>
  ledger.input({
    id,
    label: id,
    unit: 'g',
    value,
    spread,
    basis: 'typical',
    sentence: id,
    replace: { min: 0, max: 1e6 },
  });

const sum = (ledger: Ledger, id: string, from: string[], f: (...v: number[]) => number, pin = false) =>
  ledger.derive({
    id,
    label: id,
    unit: 'g',
    from,
    f,
    sentence: id,
    sum: from.map((name) => `{${name}}`).join(' + '),
    ...(pin ? { pin: { min: 0, max: 1e6 } } : {}),
  });

/** A small repeatable generator, so that the sampled check never depends on luck. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
}

function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
}

describe('Ledger', () => {
  it('adds independent spreads as the root of the sum of squares', () => {
    const ledger = new Ledger({});
    input(ledger, 'a', 100, 3);
    input(ledger, 'b', 50, 4);
    sum(ledger, 'total', ['a', 'b'], (a, b) => (a ?? 0) + (b ?? 0));
    const total = ledger.figure('total');
    expect(total.value).toBe(150);
    expect(total.high - total.value).toBeCloseTo(5, 9);
    expect(total.value - total.low).toBeCloseTo(5, 9);
  });

  it('moves a root in every place where it stands, so what cancels has no range', () => {
    const ledger = new Ledger({});
    input(ledger, 'a', 100, 10);
    sum(ledger, 'double', ['a'], (a) => 2 * (a ?? 0));
    sum(ledger, 'nothing', ['double', 'a'], (d, a) => (d ?? 0) - 2 * (a ?? 0));
    expect(hasRange(ledger.figure('double'))).toBe(true);
    expect(ledger.figure('nothing').high).toBeCloseTo(0, 9);
    expect(ledger.figure('nothing').low).toBeCloseTo(0, 9);
  });

  it('puts a measured value in the place of an input and drops its range', () => {
    const ledger = new Ledger({ a: 120 });
    input(ledger, 'a', 100, 10);
    const a = ledger.figure('a');
    expect([a.value, a.low, a.high]).toEqual([120, 120, 120]);
    expect(a.bases).toEqual(['measured here']);
    expect(a.expected).toEqual({ value: 100, low: 90, high: 110 });
  });

  it('lets a pin replace a sum, keeps what was expected, and computes on from the pin', () => {
    const ledger = new Ledger({ mixed: 812 });
    input(ledger, 'a', 700, 7);
    sum(ledger, 'mixed', ['a'], (a) => a ?? 0, true);
    sum(ledger, 'half', ['mixed'], (m) => (m ?? 0) / 2);
    expect(ledger.figure('mixed').kind).toBe('pinned');
    expect(ledger.figure('mixed').expected?.value).toBe(700);
    expect(ledger.value('half')).toBe(406);
    expect(hasRange(ledger.figure('half'))).toBe(false);
    expect(basisText(ledger.figure('half'))).toBe('computed from measured here');
  });

  it('ignores a stated value for a figure that may not be replaced', () => {
    const ledger = new Ledger({ fixed: 1 });
    ledger.input({ id: 'fixed', label: '', unit: 'g', value: 5, spread: 0, basis: 'physics', sentence: '' });
    expect(ledger.value('fixed')).toBe(5);
  });

  it('keeps whole things whole, and their range too', () => {
    const ledger = new Ledger({});
    input(ledger, 'batter', 650, 30);
    ledger.derive({
      id: 'count',
      label: 'count',
      unit: 'pieces',
      from: ['batter'],
      f: (batter) => (batter ?? 0) / 54,
      sentence: '',
      sum: '',
      whole: 'floor',
    });
    const { value, low, high } = ledger.figure('count');
    expect([value, low, high]).toEqual([12, 11, 12]);
  });

  it('names what widens the range, largest first', () => {
    const ledger = new Ledger({});
    input(ledger, 'small', 100, 1);
    input(ledger, 'large', 100, 3);
    sum(ledger, 'total', ['small', 'large'], (a, b) => (a ?? 0) + (b ?? 0));
    expect(ledger.causes('total').map((cause) => cause.id)).toEqual(['large', 'small']);
    expect(ledger.causes('total')[0]?.share).toBeCloseTo(0.9, 9);
  });

  it('throws where a sum comes to no number or an id is unknown or repeated', () => {
    const ledger = new Ledger({});
    input(ledger, 'zero', 0, 0);
    expect(() => sum(ledger, 'bad', ['zero'], (z) => 1 / (z ?? 0))).toThrow(/bad/);
    expect(() => ledger.figure('missing')).toThrow(/missing/);
    expect(() => input(ledger, 'zero', 1, 0)).toThrow(/twice/);
  });

  it('agrees with sampling within a tenth of the spread', () => {
    const ledger = new Ledger({});
    const roots: [string, number, number][] = [
      ['volume', 105, 3],
      ['density', 0.9, 0.05],
      ['loss', 0.1, 0.02],
      ['cake', 0.43, 0.03],
    ];
    for (const [id, value, spread] of roots) input(ledger, id, value, spread);
    const f = (v = 0, d = 0, l = 0, c = 0) => (1.08 / (((1 - l) * d) / c)) * v * d;
    sum(
      ledger,
      'portion',
      roots.map(([id]) => id),
      f,
    );
    const random = seeded(7);
    const samples = Array.from({ length: 20000 }, () =>
      f(...roots.map(([, value, spread]) => value + (spread / 1.2816) * normal(random))),
    ).sort((a, b) => a - b);
    const { low, high } = ledger.figure('portion');
    const width = high - low;
    expect(Math.abs((samples[2000] ?? 0) - low)).toBeLessThan(0.1 * width);
    expect(Math.abs((samples[18000] ?? 0) - high)).toBeLessThan(0.1 * width);
  });

  it('always holds the value between the ends of its range', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 1, max: 1000, noNaN: true }),
            fc.double({ min: 0, max: 0.5, noNaN: true }),
          ),
          {
            minLength: 1,
            maxLength: 6,
          },
        ),
        (roots) => {
          const ledger = new Ledger({});
          roots.forEach(([value, share], i) => input(ledger, `r${i}`, value, value * share));
          const ids = roots.map((_, i) => `r${i}`);
          sum(ledger, 'f', ids, (...v) => v.reduce((a, b) => a * 0.5 + Math.sqrt(b), 1));
          const { low, value, high } = ledger.figure('f');
          return low <= value + 1e-9 && value <= high + 1e-9;
        },
      ),
    );
  });
});
