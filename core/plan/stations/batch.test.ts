import { CUPCAKE, plan, v, whole } from '../test-utils/lines';

describe('a bowl scaled to a need', () => {
  it('rounds eggs up, to the nearest, or not at all', () => {
    const eggs = (mode: 'follow' | 'nearest' | 'weigh') => plan({ ...CUPCAKE, eggs: mode });
    const exact = v(eggs('weigh'), 'eggs.exact');
    expect(v(eggs('follow'), 'eggs.used')).toBe(Math.ceil(exact));
    expect(v(eggs('nearest'), 'eggs.used')).toBe(Math.round(exact));
    expect(v(eggs('weigh'), 'eggs.used')).toBeCloseTo(exact, 9);
  });

  it('lets everything follow the eggs, or keeps the rest exact', () => {
    const [follow, nearest] = (['follow', 'nearest'] as const).map((eggs) => plan({ ...CUPCAKE, eggs }));
    if (!follow || !nearest) throw new Error('two plans');
    expect(v(follow, 'scale.used')).toBeCloseTo(v(follow, 'eggs.used') / v(follow, 'eggs.formula'), 9);
    expect(v(nearest, 'scale.used')).toBeCloseTo(v(nearest, 'scale.exact'), 9);
  });

  it('takes for a line its part of a bowl that others share, by what each needs', () => {
    const [a, b] = whole([CUPCAKE, { ...CUPCAKE, id: 'b', count: 12 }]).lines;
    if (!a?.planned || !b?.planned) throw new Error('both can be planned');
    expect(v(a, 'batter.own') / v(b, 'batter.own')).toBeCloseTo(2, 9);
    expect(v(a, 'batter.others')).toBeCloseTo(v(b, 'batter.needed'), 9);
    expect(v(a, 'batter.own') + v(b, 'batter.own')).toBeCloseTo(v(a, 'batter.mixed'), 6);
  });
});
