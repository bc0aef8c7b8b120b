import fc from 'fast-check';
import type { CupcakeLine, FillingChoice, Lot } from '../../model/documents';
import { coreMasses, fondantMasses, splitColours, topMassG } from '../../process/test-utils/frost';
import { FROSTING_DENSITY, TOP_STYLES, type Frosting, type TopStyle } from '../../process/frost.table';
import { CUBE, CUPCAKE, MINI, MUG, faultOf, has, plan, v } from '../test-utils/lines';

const filling = (over: Partial<FillingChoice> = {}): FillingChoice => ({
  how: 'core',
  what: 'Quince butter',
  formulaId: null,
  eachG: null,
  channels: 1,
  coreDiameterMm: 22,
  coreDepthMm: 25,
  onHandG: null,
  ...over,
});
const frosting = (over: Partial<NonNullable<CupcakeLine['frosting']>> = {}) => ({
  kind: 'buttercream' as Frosting,
  style: 'swirl' as TopStyle,
  formulaId: null,
  onHandG: null,
  ...over,
});
const lot = (id: string, count: number, over: Partial<Lot> = {}): Lot => ({
  id,
  name: id,
  count,
  colour: null,
  coat: null,
  toppings: [],
  ...over,
});

describe('fillings', () => {
  it('cuts a core of 22 × 25 mm, by hand: 9.5 ml, 4.1 g out, 30 % back as a lid, 8.8 g of jam', () => {
    const cored = plan({ ...CUPCAKE, filling: filling() });
    const { crumbG, fillingG } = coreMasses();
    expect(v(cored, 'core.removed')).toBeCloseTo(crumbG, 6);
    expect(v(cored, 'filling.each')).toBeCloseTo(fillingG, 6);
    expect(v(cored, 'cake.cored')).toBeCloseTo(v(cored, 'cake.mass') - crumbG * 0.7, 6);
    expect(v(cored, 'filling.needed')).toBeCloseTo(24 * fillingG, 6);
    expect(v(cored, 'piece.mass')).toBeCloseTo(v(cored, 'cake.cored') + fillingG, 6);
    expect(cored.notes.join()).toMatch(/crumb of the cores/);
  });

  it('injects what a piece takes, over its channels, or what was chosen for each', () => {
    const injected = (over: Partial<FillingChoice>) =>
      plan({ ...CUPCAKE, filling: filling({ how: 'inject', ...over }) });
    expect(v(injected({ channels: 1 }), 'filling.each')).toBeCloseTo(11.5, 9);
    expect(v(injected({ channels: 3 }), 'filling.each')).toBeCloseTo(11.5, 9);
    expect(v(injected({ channels: 3 }), 'filling.channel')).toBeCloseTo(11.5 / 3, 9);
    expect(v(injected({ channels: 2, eachG: 7 }), 'filling.each')).toBe(14);
    expect(has(injected({}), 'core.removed')).toBe(false);
  });

  it('spreads between halves as wide as they are, by hand: π ÷ 4 × 7² × 0.35 × 0.85 = 11.4 g', () => {
    const moons = plan({ ...MINI, filling: filling({ how: 'between' }) });
    expect(v(moons, 'filling.each')).toBeCloseTo((Math.PI / 4) * 49 * 0.35 * 0.85, 6);
    expect(v(plan({ ...MINI, filling: filling({ how: 'between', eachG: 20 }) }), 'filling.each')).toBe(20);
  });

  it('limits the count by what there is', () => {
    const short = plan({ ...CUPCAKE, filling: filling({ onHandG: 100 }) });
    expect(v(short, 'count.made')).toBe(Math.floor(100 / v(short, 'filling.each')));
    expect(short.limits.find(({ limiting }) => limiting)).toMatchObject({ supply: 'filling', short: true });
  });

  it('takes a filled piece that was weighed, in place of the sum', () => {
    const weighed = plan({ ...CUPCAKE, filling: filling(), measured: { 'filling.each': 12 } });
    expect(v(weighed, 'filling.needed')).toBe(288);
    expect(weighed.figure('filling.each').expected?.value).toBeCloseTo(8.8, 0);
  });
});

describe('frostings', () => {
  it('follows style, top and density, whatever they are', () => {
    const styles = fc.constantFrom(...(Object.keys(TOP_STYLES) as TopStyle[]));
    const kinds = fc.constantFrom(...(Object.keys(FROSTING_DENSITY) as Frosting[]));
    fc.assert(
      fc.property(styles, kinds, (style, kind) => {
        const each = v(plan({ ...CUPCAKE, frosting: frosting({ style, kind }) }), 'frosting.each');
        return Math.abs(each - topMassG(style, 70, kind)) < 1e-6;
      }),
      { numRuns: 30 },
    );
  });

  const lots = [
    lot('amber', 8, { colour: { name: 'amber', depth: 'mid' } }),
    lot('ember', 6, { colour: { name: 'ember', depth: 'deep' } }),
  ];

  it('shares one bag by stripes where a swirl has several colours', () => {
    const [first] = lots;
    if (!first) throw new Error('a lot');
    const striped = {
      ...first,
      colour: { name: 'green', depth: 'deep' as const },
      stripes: [null, { name: 'gold', depth: 'mid' as const }],
    };
    const one = plan({ ...CUPCAKE, frosting: frosting(), lots: [striped] });
    const third = v(one, 'lot.1.frosting') / 3;
    expect(v(one, 'lot.1.stripe.2')).toBeCloseTo(third, 6);
    // Deep green 1 % of its third, mid gold 0.4 % of its own; the plain stripe takes none; one bag all the same.
    expect(v(one, 'lot.1.gel')).toBeCloseTo(0.01 * third, 6);
    expect(v(one, 'lot.1.gel.3')).toBeCloseTo(0.004 * third, 6);
    expect(one.has('lot.1.gel.2')).toBe(false);
    const plain = plan({ ...CUPCAKE, frosting: frosting(), lots: [{ ...striped, stripes: [] }] });
    expect(v(one, 'frosting.needed')).toBeCloseTo(v(plain, 'frosting.needed'), 6);
    const colours = one.materials.flatMap(({ what }) => (what.is === 'gel' ? [what.colour] : []));
    expect(colours).toEqual(['green', 'gold']);
  });

  it('splits one bowl into colours with their bags, gel and drops', () => {
    const coloured = plan({ ...CUPCAKE, frosting: frosting(), lots });
    const each = v(coloured, 'frosting.each');
    const shares = splitColours(
      [
        { name: 'amber', pieces: 8, depth: 'mid' },
        { name: 'ember', pieces: 6, depth: 'deep' },
        { name: 'rest', pieces: 10, depth: 'none' },
      ],
      each,
    );
    shares.forEach(({ massG, gelG, drops }, i) => {
      const p = i < 2 ? `lot.${i + 1}.` : 'lot.rest.';
      expect(v(coloured, `${p}frosting`)).toBeCloseTo(massG, 6);
      if (gelG > 0) {
        expect(v(coloured, `${p}gel`)).toBeCloseTo(gelG, 6);
        expect(v(coloured, `${p}drops`)).toBe(drops);
      }
    });
    expect(v(coloured, 'frosting.needed')).toBeCloseTo(24 * each + 3 * 15, 6);
  });

  it('takes no bag for what is spread', () => {
    const spread = plan({ ...CUPCAKE, frosting: frosting({ style: 'spread' }), lots });
    expect(has(spread, 'frosting.bags')).toBe(false);
    expect(v(spread, 'frosting.needed')).toBeCloseTo(24 * v(spread, 'frosting.each'), 6);
  });

  it('counts what bags keep before it says how many a bowl frosts', () => {
    const piped = plan({ ...CUPCAKE, frosting: frosting({ onHandG: 500 }), lots });
    expect(v(piped, 'count.frosting')).toBe(Math.floor((500 - 3 * 15) / v(piped, 'frosting.each')));
  });

  it('goes on mugs and cubes by the width of their tops', () => {
    expect(v(plan({ ...MUG, frosting: frosting({ style: 'dollop' }) }), 'frosting.each')).toBeCloseTo(
      topMassG('dollop', 80, 'buttercream'),
      6,
    );
    const cube = plan({ ...CUBE, frosting: frosting({ style: 'rosette' }) });
    expect(v(cube, 'piece.top')).toBeCloseTo(
      Math.sqrt((4 / Math.PI) * v(cube, 'piece.length') * v(cube, 'piece.width')),
      6,
    );
  });
});

describe('fondant', () => {
  it('covers top and side, rolls half as much again, and loses a tenth', () => {
    const hats = plan({
      ...MINI,
      style: 'moulded',
      tinId: 'tin-large',
      filling: null,
      coat: null,
      fondant: true,
    });
    const area = v(hats, 'piece.area') - (Math.PI * 89 ** 2) / 400;
    const { onPieceG, rolledG, lostG } = fondantMasses(area);
    expect(v(hats, 'fondant.each')).toBeCloseTo(onPieceG, 6);
    expect(v(hats, 'fondant.rolled')).toBeCloseTo(10 * rolledG, 5);
    expect(v(hats, 'fondant.needed')).toBeCloseTo(10 * (onPieceG + lostG), 5);
    const cubes = plan({ ...CUBE, coat: null, fondant: true });
    expect(v(cubes, 'piece.mass')).toBeCloseTo(v(cubes, 'cake.mass') + v(cubes, 'fondant.each'), 6);
  });
});

describe('lots', () => {
  it('part the pieces made, in their order, and leave the rest plain', () => {
    const three = plan({ ...CUPCAKE, lots: [lot('a', 8), lot('b', 6)] });
    expect(three.lots.map(({ name, count }) => [name, count])).toEqual([
      ['a', 8],
      ['b', 6],
      ['The rest', 10],
    ]);
  });

  it('shrink from the last one on where fewer are made', () => {
    const short = plan({ ...CUPCAKE, lots: [lot('a', 8), lot('b', 16)], measured: { 'batter.mixed': 700 } });
    const made = v(short, 'count.made');
    expect(made).toBeLessThan(24);
    expect(short.lots.map(({ count }) => count)).toEqual([8, made - 8]);
  });

  it('never hold more than the line, and say by how much they would', () => {
    expect(faultOf({ ...CUPCAKE, lots: [lot('a', 20), lot('b', 9)] })).toMatchObject({
      field: 'lots',
      fault: 'The lots come to 29 pieces, and the line has 24.',
      mend: expect.stringMatching(/smaller by 5/) as string,
    });
  });

  it('cover a share of the piece, by the five faces that take it, and weigh more for it', () => {
    const nuts = plan({
      ...CUBE,
      lots: [
        lot('n', 10, {
          toppings: [{ by: 'cover', what: 'chopped hazelnuts', cover: 'chopped nuts', share: 0.5 }],
        }),
      ],
    });
    const foot = (v(nuts, 'piece.length') * v(nuts, 'piece.width')) / 100;
    expect(v(nuts, 'topping.area')).toBeCloseTo(v(nuts, 'piece.area') - foot, 6);
    expect(v(nuts, 'lot.1.topping.1.each')).toBeCloseTo(0.12 * v(nuts, 'topping.area') * 0.5, 6);
    expect(v(nuts, 'lot.1.finished')).toBeCloseTo(v(nuts, 'piece.mass') + v(nuts, 'lot.1.topping.1.each'), 6);
    expect(nuts.lots[0]?.holds.allergens).toContain('nuts');
    expect(nuts.lots[1]?.holds.allergens).not.toContain('nuts');
    expect(nuts.holds.allergens).toContain('nuts');
  });

  it('are warned where one that is promised free of nuts holds them itself', () => {
    const broken = plan({
      ...CUPCAKE,
      lots: [
        lot('kids', 6, {
          freeFrom: ['nuts', 'peanut'],
          toppings: [{ by: 'each', what: 'peanut brittle', eachG: 3 }],
        }),
      ],
    });
    expect(broken.warnings.map(({ fault }) => fault).join()).toMatch(
      /"kids" is promised free of peanut, but it holds peanut \(peanut brittle\)/,
    );
  });

  it('are limited by paper cases', () => {
    const few = plan({ ...CUPCAKE, linersOnHand: 20 });
    expect(v(few, 'count.made')).toBe(20);
    expect(few.limits.find(({ limiting }) => limiting)?.supply).toBe('liners');
  });
});
