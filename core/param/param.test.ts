import fc from 'fast-check';
import { Beliefs, KITCHEN, PARAMS, believe, paramOf, scopeOf, scopeParts, withBelief } from '.';

const usual = { value: 1, spread: 0.1, basis: 'typical' } as const;
const kept = (param: string, of: string, mean: number) => ({
  param,
  of,
  mean,
  spread: 0,
  seen: 1,
  since: null,
});
const OVEN = scopeOf('oven', 'main');
const FORMULA = scopeOf('formula', 'rye');

describe('what a kitchen believes', () => {
  it('is the usual figure until something is known, and then what belongs to the thing', () => {
    const ask = (...beliefs: ReturnType<typeof kept>[]) =>
      believe(PARAMS.bakeFactor, [OVEN, FORMULA], new Beliefs(beliefs), usual);
    expect(ask()).toMatchObject({ value: 1, spread: 0.1, basis: 'typical', belief: null });
    expect(ask(kept('bake.factor', KITCHEN, 1.2))).toMatchObject({
      value: 1.2,
      spread: 0,
      basis: 'measured here',
    });
    expect(ask(kept('bake.factor', KITCHEN, 1.2), kept('bake.factor', OVEN, 1.1)).value).toBe(1.1);
    expect(ask(kept('bake.factor', FORMULA, 1.3), kept('bake.factor', OVEN, 1.1)).value).toBe(1.1);
    // Another oven’s, and another parameter’s, are nothing to it.
    expect(ask(kept('bake.factor', 'oven:other', 1.4), kept('cake.density', OVEN, 0.4)).value).toBe(1);
  });

  it('goes by one key wherever it stands: what shares the thing moves together', () => {
    const ask = (...of: Parameters<typeof believe>[1]) =>
      believe(PARAMS.bakeFactor, of, new Beliefs([]), usual).key;
    expect(ask(OVEN)).toBe(ask(OVEN, FORMULA));
    expect(ask(OVEN)).not.toBe(ask(scopeOf('oven', 'fan')));
    expect(ask()).toBe('bake.factor@kitchen');
  });

  it('is put in and taken back, and leaves all else', () => {
    const one = fc.record({
      param: fc.constantFrom('bake.factor', 'cake.density', 'egg.mass'),
      of: fc.constantFrom('kitchen', 'oven:main', 'formula:rye'),
      mean: fc.double({ min: 0.5, max: 2, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 8 }), one, (before, { param, of, mean }) => {
        const start = before.reduce(
          (all, b) => withBelief(all, b.param, b.of, { mean: b.mean, spread: 0, seen: 1, since: null }),
          withBelief([], '', '', null),
        );
        const put = withBelief(start, param, of, { mean, spread: 0, seen: 1, since: null });
        const others = start.filter((b) => b.param !== param || b.of !== of);
        expect(put.filter((b) => b.param === param && b.of === of)).toMatchObject([{ mean }]);
        expect(withBelief(put, param, of, null)).toEqual(others);
      }),
    );
  });

  it('knows each parameter once, with bounds, by the key that files keep', () => {
    const all = Object.values(PARAMS);
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
    for (const param of all) {
      expect(param.min).toBeLessThan(param.max);
      expect(paramOf(param.key)).toBe(param);
    }
    expect(paramOf('leftover.mass')?.keep).toBe(false);
    expect(paramOf('no.such')).toBeNull();
    expect([scopeParts('kitchen'), scopeParts('oven:a:b')]).toEqual([
      { kind: 'kitchen', id: null },
      { kind: 'oven', id: 'a:b' },
    ]);
  });
});
