import fc from 'fast-check';
import type { CrumbPart, PopLine } from '../../model/documents';
import { BINDER_FACTOR, BIND_SCHOOLS, CRUMB_FACTOR } from '../../process/bind.table';
import { planBind } from '../../process/bind';
import { ballMassG } from '../../process/test-utils/portion';
import { BALLS, POP, SICLE, faultOf, plan, v } from '../test-utils/lines';

const keysOf = <K extends string>(table: Readonly<Record<K, unknown>>) => Object.keys(table) as K[];
const biscuit = (massG: number): CrumbPart => ({ from: 'biscuit', massG });
const bound = (over: Partial<PopLine['binder']>, line: PopLine = POP) => ({
  ...line,
  binder: { ...line.binder, formulaId: null, ...over },
});

describe('portions', () => {
  const portion = (size: PopLine['size'], over: Partial<PopLine> = {}) =>
    v(plan({ ...POP, ...over, size }), 'portion.mass');
  it.each([
    [30, 16],
    [32, 19],
    [35, 25],
    [40, 38],
  ])('of %d mm weigh %d g', (mm, g) => {
    expect(portion({ by: 'diameter', mm })).toBe(g);
    expect(Math.round(ballMassG(mm, 1.12))).toBe(g);
  });
  it('of a scoop 40 weigh 26 g, by hand: 946 ÷ 40 × 1.12', () =>
    expect(portion({ by: 'scoop', number: 40 })).toBe(26));
  it('of a mass weigh that mass, whatever the scale', () =>
    expect(portion({ by: 'mass', massG: 22.4 })).toBe(22.4));
  it('are denser where nothing is baked', () => {
    const bare = { crumb: [biscuit(500)] };
    expect(v(plan({ ...POP, ...bare }), 'dough.density')).toBe(1.2);
    expect(portion({ by: 'diameter', mm: 35 }, bare)).toBe(27);
  });
});

describe('binder', () => {
  it('follows school, crumb and kind for every one of them', () => {
    for (const school of keysOf(BIND_SCHOOLS)) {
      for (const kind of keysOf(BINDER_FACTOR)) {
        const one = plan(bound({ school, kind }));
        const share = BIND_SCHOOLS[school].share * BINDER_FACTOR[kind] * CRUMB_FACTOR.moist;
        expect(v(one, 'binder.need')).toBeCloseTo(v(one, 'crumb.1') * share, 6);
      }
    }
  });

  it('is too much where leftovers bring more than the crumb takes, with what takes it up, by hand', () => {
    const left: CrumbPart = {
      from: 'leftovers',
      massG: 600,
      frostingShare: 0.3,
      scraped: false,
      crumb: 'average',
    };
    const one = plan({ ...bound({ school: 'classic', kind: 'buttercream' }), crumb: [left], addIns: [] });
    // 420 g of crumb takes 75.6 g; 180 g came with it: 104.4 over. 580 g of plain crumb takes that, or 341 of biscuit.
    expect(v(one, 'binder.need')).toBe(0);
    expect(v(one, 'binder.excess')).toBeCloseTo(104.4, 6);
    expect(v(one, 'excess.cake')).toBeCloseTo(580, 6);
    expect(v(one, 'excess.biscuit')).toBeCloseTo(580 / 1.7, 6);
    const said = one.warnings.find(({ why }) => why.code === 'binder in excess');
    expect(said?.fault).toMatch(/\{104 g\} more binder/);
    expect(said?.mend).toMatch(/580 g\} more plain crumb.+341 g\} of crushed biscuit; or scrape/);
    const scraped = plan({
      ...bound({ kind: 'buttercream' }),
      crumb: [{ ...left, frostingShare: 0.1 }],
      addIns: [],
    });
    expect(scraped.warnings.some(({ why }) => why.code === 'binder in excess')).toBe(false);
  });

  it('agrees with the plain sum of a bowl that is there', () => {
    const balls = plan(BALLS);
    const simple = planBind({
      crumb: [
        { kind: 'average', massG: v(balls, 'crumb.1') },
        { kind: 'biscuit', massG: 60 + 20 },
        { kind: 'dry', massG: 90 },
      ],
      alreadyG: v(balls, 'frosting.own'),
      binder: 'soft-cheese frosting',
      school: 'classic',
      learned: 1,
    });
    // The juice stands in for 15 g of it; the oats were counted as biscuit above.
    expect(v(balls, 'binder.need')).toBeCloseTo(simple.needG - 15, 6);
  });

  it('takes what was learned here in the place of the usual', () => {
    const learned = plan({ ...POP, measured: { 'bind.factor': 1.2 } });
    expect(v(learned, 'binder.share')).toBeCloseTo(0.18 * 1.2, 9);
    expect(learned.figure('binder.need').high - learned.figure('binder.need').low).toBeLessThan(
      (plan(POP).figure('binder.need').high - plan(POP).figure('binder.need').low) / 3,
    );
  });

  it('needs none where leftovers bring enough, and says so', () => {
    const rich = plan({
      ...BALLS,
      crumb: [{ from: 'leftovers', massG: 400, frostingShare: 0.45, scraped: false, crumb: 'very moist' }],
      addIns: [],
    });
    expect(v(rich, 'binder.need')).toBe(0);
    expect(rich.notes.join()).toMatch(/brings all the binder it takes/);
    expect(rich.limits.map(({ supply }) => supply)).not.toContain('binder');
  });

  it('says the first addition, the steps, when to stop and the ways out', () => {
    const notes = plan(POP).notes.join(' ');
    expect(notes).toMatch(/Add \{\d+ g\} first, then at most \d+ by the tablespoon .+ teaspoon/);
    expect(notes).toMatch(/squeezed handful holds, no crumbs fall and the palm does not shine/);
    expect(notes).toMatch(/Too wet: .+ Too dry: /);
  });

  it('limits the count where it is short, and never by less than a whole piece', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), (onHandG) => {
        const one = plan(bound({ onHandG }));
        const made = v(one, 'count.made');
        return Number.isInteger(made) && made <= Math.floor(onHandG / v(one, 'binder.each') + 1e-9);
      }),
      { numRuns: 25 },
    );
  });
});

describe('crumb', () => {
  it('is scraped of half its frosting, or keeps all of it', () => {
    const of = (scraped: boolean) =>
      plan({
        ...BALLS,
        crumb: [{ from: 'leftovers', massG: 400, frostingShare: 0.2, scraped, crumb: 'average' }],
      });
    expect(v(of(true), 'frosting.own')).toBeCloseTo(40, 9);
    expect(v(of(false), 'frosting.own')).toBeCloseTo(80, 9);
    expect(v(of(false), 'binder.need')).toBeLessThan(v(of(true), 'binder.need'));
  });

  it('is baked for what the table leaves open, less of it the more there is', () => {
    const needed = (massG: number) =>
      v(plan({ ...POP, crumb: [...POP.crumb, biscuit(massG)] }), 'crumb.needed');
    const some = needed(100);
    // 1015.2 − 100 − 100 × 1.7 × 0.18 = 884.6; ÷ 1.144 = 773.3.
    expect(some).toBeCloseTo(773.3, 0);
    expect(needed(300)).toBeLessThan(some);
  });

  it('is not baked at all where there is enough', () => {
    const enough = plan({ ...POP, count: 10, lots: [], crumb: [...POP.crumb, biscuit(400)] });
    expect(v(enough, 'crumb.1')).toBe(0);
    expect(enough.batches).toEqual([]);
    expect(v(enough, 'count.made')).toBe(10);
  });

  it('comes from two bakes that share the need, each with its own figures', () => {
    const [fresh] = POP.crumb;
    if (!fresh) throw new Error('the demo bakes');
    const two = plan({ ...POP, crumb: [fresh, { ...fresh, formulaId: 'formula-plum-rye' } as CrumbPart] });
    expect(two.batches.map(({ id }) => id)).toEqual(['batter', 'bake2.batter']);
    expect(v(two, 'bake2.bake.time')).toBeGreaterThan(600);
    expect(v(two, 'crumb.total')).toBeCloseTo(v(two, 'crumb.1') + v(two, 'crumb.2'), 6);
    expect(v(two, 'count.dough')).toBeGreaterThanOrEqual(40);
  });

  it('goes on from a cake, a crumb and a dough that were weighed', () => {
    const weighed = plan({
      ...POP,
      measured: { 'crumb.1.cake': 950, 'crumb.1': 750, 'dough.total': 850 },
    });
    expect(v(weighed, 'crumb.1.aside')).toBe(200);
    expect(v(weighed, 'binder.need')).toBeCloseTo(750 * 0.18 * 0.8, 6);
    expect(v(weighed, 'count.dough')).toBe(Math.floor((850 * 0.985) / 25));
    expect(weighed.figure('dough.total').expected?.value).toBeCloseTo(750 * 1.144, 0);
  });

  it('cannot be more than the cake it is from, in pops and in moulds', () => {
    for (const line of [POP, SICLE])
      expect(faultOf({ ...line, measured: { 'crumb.1.cake': 300, 'crumb.1': 301 } })).toMatchObject({
        figureId: 'crumb.1',
      });
    expect(faultOf({ ...BALLS, measured: { 'crumb.1': 381 } })).toMatchObject({ figureId: 'crumb.1' });
  });
});
