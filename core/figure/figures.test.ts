import fc from 'fast-check';
import {
  Figures,
  basisText,
  hasRange,
  minus,
  over,
  plus,
  power,
  resultWith,
  says,
  calls,
  sumText,
  times,
  toScale,
  words,
  writeFormula,
  writeSum,
  type Expr,
  type Ref,
} from '.';

const root = (f: Figures, id: string, value: number, spread: number, key?: string) =>
  f.root({
    id,
    words: words(id, id),
    unit: 'g',
    value,
    spread,
    basis: 'typical',
    replace: { min: 0, max: 1e6 },
    key,
  });
const say = (id: string) => words(id, id);
const NAMED = {
  ref: (id: string) => id,
  number: String,
  measure: (n: number, unit: string) => `${n} ${unit}`,
};

/** A small repeatable generator, so that the sampled check never depends on luck. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
}
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());

describe('figures', () => {
  it('add independent spreads as the root of the sum of squares, by hand: √(3² + 4²)', () => {
    const f = new Figures('l', {});
    const total = f.sum('total', say('total'), 'g', plus(root(f, 'a', 100, 3), root(f, 'b', 50, 4)));
    expect([total.value, total.low, total.high].map((n) => Number(n.toFixed(9)))).toEqual([150, 145, 155]);
  });

  it('move a root in every place where it stands, so what cancels has no range', () => {
    const f = new Figures('l', {});
    const a = root(f, 'a', 100, 10);
    const double = f.sum('double', say('double'), 'g', times(2, a));
    f.sum('nothing', say('nothing'), 'g', minus(double, a, a), { signed: true });
    expect(hasRange(f.figure('double'))).toBe(true);
    expect(f.figure('nothing').low).toBeCloseTo(0, 9);
    expect(f.figure('nothing').high).toBeCloseTo(0, 9);
  });

  it('move all that rests on one key together, whatever line or bake it stands in', () => {
    const apart = new Figures('l', {});
    const [a, b] = [root(apart, 'a', 10, 3), root(apart, 'b', 20, 6)];
    const one = new Figures('l', {});
    const [c, d] = [root(one, 'a', 10, 3, 'oven'), root(one, 'b', 20, 6, 'oven')];
    const wide = (f: Figures, x: Ref<'g'>, y: Ref<'g'>) => {
      const { low, high } = f.sum('sum', say('sum'), 'g', plus(x, y));
      return high - low;
    };
    expect(wide(apart, a, b)).toBeCloseTo(2 * Math.hypot(3, 6), 9);
    expect(wide(one, c, d)).toBeCloseTo(2 * 9, 9);
    // At the same size it is one and the same figure.
    expect(root(one, 'again', 10, 3, 'oven')).toBe(c);
  });

  it('bring a figure of another line with its causes: what both rest on is not counted twice', () => {
    const line = new Figures('line', {});
    const theirs = line.sum('need', say('need'), 'g', times(3, root(line, 'a', 10, 1, 'kitchen')));
    const shared = new Figures('shared', {});
    const here = root(shared, 'mine', 10, 1, 'kitchen');
    const brought = shared.bring('need.1', say('need.1'), line, theirs);
    const sum = shared.sum('sum', say('sum'), 'g', plus(brought, here));
    expect(sum.high - sum.value).toBeCloseTo(4, 9);
    expect(shared.causes('sum')).toHaveLength(1);
  });

  it('take a measured value in place of a start or of a sum, keep what was expected, and reckon on from it', () => {
    const f = new Figures('l', { a: 120, mixed: 812 });
    const a = root(f, 'a', 100, 10);
    expect([a.value, a.low, a.high]).toEqual([120, 120, 120]);
    expect(f.figure('a')).toMatchObject({
      bases: ['measured here'],
      expected: { value: 100, low: 90, high: 110 },
    });
    const mixed = f.sum('mixed', say('mixed'), 'g', times(7, a), { pin: { min: 0, max: 1e6 } });
    const half = f.sum('half', say('half'), 'g', over(mixed, 2));
    expect(f.figure('mixed')).toMatchObject({ kind: 'pinned', value: 812, expected: { value: 840 } });
    expect([half.value, hasRange(f.figure('half'))]).toEqual([406, false]);
    expect(basisText(f.figure('half'))).toBe('computed from measured here');
    expect(f.untaken()).toEqual([]);
  });

  it('say which measurements no figure took', () => {
    const f = new Figures('l', { a: 120, 'no.such': 3 });
    root(f, 'a', 100, 1);
    expect(f.untaken()).toEqual(['no.such']);
  });

  it('keep whole things whole and their range too, and let no range end below nought', () => {
    const f = new Figures('l', {});
    const batter = root(f, 'batter', 650, 30);
    f.sum('count', say('count'), 'pieces', over(batter, root(f, 'each', 54, 0)), { whole: 'floor' });
    expect(f.figure('count')).toMatchObject({ value: 12, low: 11, high: 12 });
    const left = minus(batter, root(f, 'used', 640, 0));
    expect(f.sum('left', say('left'), 'g', left)).toMatchObject({ value: 10, low: 0, high: 40 });
    expect(f.sum('change', say('change'), 'g', left, { signed: true }).low).toBeCloseTo(-20, 9);
  });

  it('decide to the step of the scale, and pass on no range', () => {
    const f = new Figures('l', {});
    const each = f.sum('each', say('each'), 'g', times(root(f, 'a', 54.6, 4), 1), { decide: toScale(1) });
    expect([each.value, each.low, each.high]).toEqual([55, 55, 55]);
    expect(f.sum('all', say('all'), 'g', times(24, each)).high).toBe(24 * 55);
  });

  it('name what widens the range, largest first', () => {
    const f = new Figures('l', {});
    f.sum('total', say('total'), 'g', plus(root(f, 'small', 100, 1), root(f, 'large', 100, 3)));
    expect(f.causes('total').map(({ id }) => id)).toEqual(['large', 'small']);
    expect(f.causes('total')[0]?.share).toBeCloseTo(0.9, 9);
  });

  it('throw where a sum comes to no number, an id is unknown or repeated, or one is written out whole', () => {
    const f = new Figures('l', {});
    const zero = root(f, 'zero', 0, 0);
    expect(() => f.sum('bad', say('bad'), 'times', over(zero, zero))).toThrow(/bad/);
    expect(() => f.figure('missing')).toThrow(/missing/);
    expect(() => root(f, 'zero', 1, 0)).toThrow(/twice/);
    expect(() => JSON.stringify(zero)).toThrow(/not written out/);
  });

  it('agree with sampling within a tenth of the spread', () => {
    const f = new Figures('l', {});
    const share = (id: string, value: number, spread: number) =>
      f.root({ id, words: say(id), unit: 'share', value, spread, basis: 'typical' });
    const [volume, density, loss, cake] = [
      share('volume', 105, 3),
      share('density', 0.9, 0.05),
      share('loss', 0.1, 0.02),
      share('cake', 0.43, 0.03),
    ] as const;
    const portion = (v: Expr<'1'>, d: Expr<'1'>, l: Expr<'1'>, c: Expr<'1'>) =>
      times(over(1.08, over(times(minus(1, l), d), c)), v, d);
    const { low, high } = f.sum('portion', say('portion'), 'times', portion(volume, density, loss, cake));
    const random = seeded(7);
    const draw = (value: number, spread: number) => value + (spread / 1.2816) * normal(random);
    const samples = Array.from({ length: 20000 }, () => {
      const [v, d, l, c] = [draw(105, 3), draw(0.9, 0.05), draw(0.1, 0.02), draw(0.43, 0.03)] as const;
      return (1.08 / (((1 - l) * d) / c)) * v * d;
    }).sort((a, b) => a - b);
    expect(Math.abs((samples[2000] ?? 0) - low)).toBeLessThan(0.1 * (high - low));
    expect(Math.abs((samples[18000] ?? 0) - high)).toBeLessThan(0.1 * (high - low));
  });

  it('always hold the value between the ends of the range', () => {
    const some = fc.tuple(
      fc.double({ min: 1, max: 1000, noNaN: true }),
      fc.double({ min: 0, max: 0.5, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 6 }), (starts) => {
        const f = new Figures('l', {});
        const refs = starts.map(([value, share], i) => root(f, `r${i}`, value, value * share));
        const bent = refs.reduce<Expr<'1'>>(
          (sum, ref) => plus(over(sum, 2), power(over(ref, root1(f)), 0.5)),
          over(root1(f), root1(f)),
        );
        const { low, value, high } = f.sum('f', say('f'), 'times', bent);
        return low <= value + 1e-9 && value <= high + 1e-9;
      }),
    );
  });
});

/** One gram, exactly. */
const root1 = (f: Figures): Ref<'g'> => root(f, 'one', 1, 0, 'one');

describe('one expression', () => {
  const f = new Figures('l', {});
  const [a, b, c] = [root(f, 'a', 7, 1), root(f, 'b', 2, 0), root(f, 'c', 3, 1)];

  it.each<[string, Expr<'g'> | Expr<'1'>, string, string]>([
    ['brackets where they are needed', over(minus(a, b), c), '(a − b) ÷ c', '((A-B)/C)'],
    ['none where they are not', plus(a, times(2, b)), 'a + 2 × b', '(A+(2*B))'],
    ['a quotient of a product', over(times(3, a), times(2, c)), '3 × a ÷ (2 × c)', '((3*A)/(2*C))'],
  ])('is told with %s, and laid out as it is reckoned', (_, sum, told, cell) => {
    expect(writeSum(sum, NAMED)).toBe(told);
    const call = (): string => {
      throw new Error('nothing is called');
    };
    expect(writeFormula(sum, (id) => id.toUpperCase(), call)).toBe(cell);
  });

  it('calls the physics by the names of its inputs, whatever their order', () => {
    const called = (inputs: { from: Ref<'g'>; to: Ref<'g'> }) =>
      f.sum(
        `span.${Object.keys(inputs).join('')}`,
        say('span'),
        'g',
        calls(
          'g',
          (v: { from: number; to: number }) => v.to - v.from,
          inputs,
          says`from ${inputs.from} to ${inputs.to}`,
        ),
        { signed: true },
      );
    expect(called({ from: b, to: a }).value).toBe(5);
    expect(called({ to: a, from: b }).value).toBe(5);
    const laid = f.laidOut('span.fromto');
    expect(laid && sumText(laid, NAMED)).toBe('from b to a');
  });

  it('comes to what other numbers in its place would come to, and leaves the figures as they are', () => {
    f.sum('sum', say('sum'), 'g', plus(a, b));
    const laid = f.laidOut('sum');
    if (!laid) throw new Error('a sum');
    expect(resultWith(laid, (id) => (id === 'a' ? 100 : 1))).toBe(101);
    expect(f.value('a')).toBe(7);
  });
});

describe('units', () => {
  const f = new Figures('l', {});
  const of = <U extends 'g' | 'ml' | 'mm' | 'share' | '°C' | 'g/ml' | 's'>(unit: U): Ref<U> =>
    f.given(unit, words(unit, unit), unit, 2, 'stated');
  const [g, ml, mm, share, celsius, density, s] = [
    of('g'),
    of('ml'),
    of('mm'),
    of('share'),
    of('°C'),
    of('g/ml'),
    of('s'),
  ] as const;

  it('that fit are reckoned with', () => {
    expect(f.sum('mass', words('', ''), 'g', times(ml, density)).value).toBe(4);
    expect(f.sum('volume', words('', ''), 'ml', over(g, density)).value).toBe(1);
    expect(f.sum('of it', words('', ''), 'g', times(share, g)).value).toBe(4);
    expect(f.sum('apart', words('', ''), 'K', minus(celsius, celsius)).value).toBe(0);
  });

  /** Never run: the compiler reads it, and an error that is expected and does not come fails the check of types. */
  function doesNotCompile(): void {
    // @ts-expect-error grams and millilitres are not added
    plus(g, ml);
    // @ts-expect-error temperatures are not added
    f.sum('hot', words('', ''), '°C', plus(celsius, celsius));
    // @ts-expect-error grams times grams are no grams
    f.sum('square', words('', ''), 'g', times(g, g));
    // @ts-expect-error a mass is not a volume
    f.sum('filled', words('', ''), 'ml', times(ml, density));
    // @ts-expect-error seconds are no length
    minus(mm, s);
    const shareOf = (v: { massG: number; shareOfIt: number }) => v.massG * v.shareOfIt;
    // @ts-expect-error a function of the physics gets the inputs that it names
    calls('g', shareOf, { massG: g }, says`of ${g}`);
    // @ts-expect-error a figure is asked for by what it is, and not by its name
    plus(g, 'batter.mixed');
  }

  it('that do not fit do not compile', () => expect(doesNotCompile).toBeInstanceOf(Function));
});
