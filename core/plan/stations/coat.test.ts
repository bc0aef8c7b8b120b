import fc from 'fast-check';
import type { CoatChoice, PopLine } from '../../model/documents';
import {
  ball,
  box,
  narrowerSavesG,
  planDip,
  planShell,
  shellMassG,
  stadiumCavity,
} from '../../process/test-utils/coat';
import { meltingBursts, ratingFromTestW } from '../../process/microwave';
import { CUBE, MINI, POP, SICLE, has, plan, v } from '../test-utils/lines';

const coated = (over: Partial<NonNullable<PopLine['coat']>>, line: PopLine = POP): PopLine => ({
  ...line,
  coat: line.coat && { ...line.coat, ...over },
});
const PLAIN: PopLine = { ...POP, lots: [] };

describe('a dipped coat', () => {
  it('is the exact shell of a ball, for any ball and any coat', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 60 }),
        fc.double({ min: 0.3, max: 4, noNaN: true }),
        (massG, mm) => {
          const one = plan({ ...PLAIN, count: 10, size: { by: 'mass', massG }, measured: { 'coat.mm': mm } });
          const exact = shellMassG(ball(v(one, 'ball.diameter')), mm);
          return Math.abs(v(one, 'coat.each') - exact) < 1e-6 * exact;
        },
      ),
      { numRuns: 25 },
    );
  });

  it('is the exact shell of a cube with rounded edges', () => {
    const cube = plan({ ...CUBE, lots: [] });
    const solid = box(v(cube, 'piece.length'), v(cube, 'piece.width'), v(cube, 'piece.height'));
    expect(v(cube, 'coat.each')).toBeCloseTo(shellMassG(solid, v(cube, 'coat.mm')), 6);
    expect(v(cube, 'piece.area')).toBeCloseTo(solid.areaCm2, 9);
  });

  it('is that of a ball for a pair of half-balls', () => {
    const moons = plan(MINI);
    expect(v(moons, 'coat.each')).toBeCloseTo(
      shellMassG(ball(v(moons, 'ball.diameter')), v(moons, 'coat.mm')),
      6,
    );
  });

  it('adds up as a plain sum of the dip does: coat, anchors, drips, pool, what is saved', () => {
    const one = plan(PLAIN);
    const dip = planDip(ball(v(one, 'ball.diameter')), 40, v(one, 'coat.mm'), 95, true);
    expect(v(one, 'pot.1.coat')).toBeCloseTo(dip.coatG + dip.anchorG, 6);
    expect(v(one, 'pot.1.drips')).toBeCloseTo(dip.dripG, 6);
    expect(v(one, 'pool.stranded')).toBeCloseTo(dip.strandedG, 6);
    expect(v(one, 'pot.1.saved')).toBeCloseTo(dip.savedG, 6);
    expect(v(one, 'pot.1.melt')).toBeCloseTo(dip.meltG, 6);
  });

  it('has no anchor without a stick', () => {
    const without = plan({ ...PLAIN, stick: false });
    expect(has(without, 'anchor.each')).toBe(false);
    expect(v(without, 'coat.taken')).toBeCloseTo(v(without, 'coat.each'), 9);
  });

  it.each([
    ['thin', 0.9],
    ['usual', 1.2],
    ['thick', 1.8],
  ] as const)(
    '%s is %d mm in dark chocolate without fat, half as much again on a frozen ball',
    (thickness, mm) => {
      const of = (over: Partial<CoatChoice>) =>
        v(plan(coated({ thickness, kind: 'dark', thinnedShare: 0, ...over })), 'coat.mm');
      expect(of({})).toBeCloseTo(mm, 9);
      expect(of({ school: 'frozen' })).toBeCloseTo(1.5 * mm, 9);
      expect(of({ kind: 'white' })).toBeGreaterThan(of({}));
    },
  );

  it('takes four times its fat off the thickness: 1.2 mm with 4 % is 1.01, and thin has it already', () => {
    const of = (thickness: CoatChoice['thickness']) =>
      v(plan(coated({ thickness, kind: 'dark', thinnedShare: 0.04 })), 'coat.mm');
    expect(of('usual')).toBeCloseTo(1.2 * 0.84, 9);
    expect(of('thin')).toBeCloseTo(0.9, 9);
  });

  it('is spooned over eight pops rather than melting a pool of many times their need', () => {
    const eight = plan({ ...PLAIN, count: 8 });
    const net = v(eight, 'pot.1.coat') + v(eight, 'pot.1.drips');
    expect(v(eight, 'pot.1.melt')).toBeCloseTo(1.2 * net, 6);
    expect(v(eight, 'pot.1.melt')).toBeLessThan(80);
    const dipped = plan({ ...coated({ by: 'dip' }, PLAIN), count: 8 });
    expect(v(dipped, 'pot.1.melt')).toBeCloseTo(net + v(dipped, 'pool.stranded'), 6);
  });

  it('leaves less in a narrower vessel, by what a plain sum says', () => {
    const [jug, glass] = ['vessel-jug', 'vessel-glass'].map((vesselId) => plan(coated({ vesselId }, PLAIN)));
    if (!jug || !glass) throw new Error('two vessels');
    const saves = v(jug, 'pot.1.melt') - v(glass, 'pot.1.melt');
    expect(saves).toBeCloseTo(narrowerSavesG(ball(v(jug, 'ball.diameter')), 40, 95, 68), 6);
    expect(glass.notes.join()).not.toMatch(/is narrower/);
  });

  it('counts a pool for each kind before it says how many a stock covers', () => {
    const one = plan(coated({ onHandG: 1000 }, POP));
    expect(v(one, 'pool.all')).toBeCloseTo(2 * v(one, 'pool.stranded'), 9);
    const each = v(one, 'coat.perPiece');
    const dipped = Math.floor((1000 - v(one, 'pool.all')) / each);
    expect(v(one, 'count.dipped')).toBe(dipped);
    // What is left too shallow to dip in is spooned over the last ones, a fifth more on each.
    expect(v(one, 'count.coat')).toBe(Math.floor(dipped + (1000 - dipped * each) / (1.2 * each)));
    expect(v(plan(coated({ onHandG: 100 })), 'count.coat')).toBe(Math.floor(100 / (1.2 * each)));
  });

  it('is thinned by its share, and says what that does', () => {
    const thinned = plan(coated({ thinnedShare: 0.04 }, PLAIN));
    expect(v(thinned, 'pot.1.thinner')).toBeCloseTo(0.04 * v(thinned, 'pot.1.chocolate'), 9);
    expect(v(thinned, 'pot.1.thinner') + v(thinned, 'pot.1.chocolate')).toBeCloseTo(
      v(thinned, 'pot.1.melt'),
      9,
    );
    expect(thinned.notes.join()).toMatch(/never with water/);
    expect(has(plan(coated({ thinnedShare: 0 }, PLAIN)), 'pot.1.thinner')).toBe(false);
  });

  it('is melted in bursts by mass and oven, with the ceiling and the temper of its kind', () => {
    const one = plan(PLAIN);
    const { count, burstS } = meltingBursts(v(one, 'pot.1.chocolate'), 'dark', ratingFromTestW(560));
    expect(one.notes.join()).toMatch(new RegExp(`in about ${count} bursts of ${burstS} s`));
    const notes = one.notes.filter((note) => note.includes('dark'));
    expect(notes.find((note) => note.startsWith('To temper'))).toMatch(
      /down to \{28 °C\}.+\{31 °C\} to \{32 °C\}/,
    );
    // No school’s figure stands beside the other’s.
    expect(notes.filter((note) => note.includes('{34 °C}')).join()).not.toMatch(/31 °C/);
    expect(plan(coated({ kind: 'compound' }, PLAIN)).notes.join()).toMatch(/Compound needs no temper/);
  });

  it('warns of a vessel too shallow or too narrow, and of balls that slide', () => {
    const vessels = [
      { id: 'vessel-jug', name: 'Saucer', diameterMm: 95, depthMm: 30 },
      { id: 'vessel-glass', name: 'Egg cup', diameterMm: 36, depthMm: 130 },
    ];
    const faults = (vesselId: string) =>
      plan(coated({ vesselId }), { kitchen: { vessels } })
        .warnings.map(({ fault }) => fault)
        .join();
    expect(faults('vessel-jug')).toMatch(/"Saucer" is \{30 mm\} deep; these need \{45 mm\}/);
    expect(faults('vessel-glass')).toMatch(/"Egg cup" is too narrow/);
    expect(
      plan({ ...PLAIN, size: { by: 'mass', massG: 50 } })
        .warnings.map(({ fault }) => fault)
        .join(),
    ).toMatch(/slide down a stick/);
  });
});

describe('a moulded shell', () => {
  it('agrees with the plain sum of the cavity, for any thickness', () => {
    const cavity = stadiumCavity(70, 39, 20);
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 3, noNaN: true }), (shellMm) => {
        const one = plan({ ...SICLE, shellMm });
        const shell = planShell(cavity, shellMm, 1.12, 1);
        return (
          Math.abs(v(one, 'cavity.volume') - cavity.volumeMl) < 1e-9 &&
          Math.abs(v(one, 'cavity.wall') - cavity.wallCm2) < 1e-9 &&
          Math.abs(v(one, 'shell.first') - shell.firstCoatG) < 1e-9 &&
          Math.abs(v(one, 'shell.back') - shell.backPlateG) < 1e-9 &&
          Math.abs(v(one, 'cavity.room') * 1.12 - shell.fillingG) < 1e-9
        );
      }),
      { numRuns: 25 },
    );
  });

  it.each([
    ['box', 48, (2 * (60 + 40) * 20 + 60 * 40) / 100],
    ['half-ellipsoid', (Math.PI * 60 * 40 * 20) / 6000, null],
  ] as const)('fits a %s: %d ml', (shape, ml, wall) => {
    const moulds = [
      {
        id: 'mould-bar',
        name: 'Own',
        owned: 1,
        cavities: 6,
        shape,
        lengthMm: 60,
        widthMm: 40,
        depthMm: 20,
        stickMl: 0,
      },
    ];
    const one = plan({ ...SICLE, sticksOnHand: null }, { kitchen: { moulds } });
    expect(v(one, 'cavity.volume')).toBeCloseTo(ml, 9);
    if (wall !== null) expect(v(one, 'cavity.wall')).toBeCloseTo(wall, 9);
  });

  it('lines half a ball with half its surface, within the approximation’s per cent', () => {
    const moulds = [
      {
        id: 'mould-bar',
        name: 'Half-balls',
        owned: 1,
        cavities: 6,
        shape: 'half-ellipsoid' as const,
        lengthMm: 60,
        widthMm: 60,
        depthMm: 30,
        stickMl: 0,
      },
    ];
    const one = plan({ ...SICLE, sticksOnHand: null }, { kitchen: { moulds } });
    expect(v(one, 'cavity.wall') / ((Math.PI * 36) / 2)).toBeCloseTo(1, 2);
  });

  it('takes a cavity that was filled with water, and a shell that was weighed', () => {
    expect(v(plan({ ...SICLE, measured: { 'cavity.volume': 55 } }), 'portion.mass')).toBeGreaterThan(
      v(plan(SICLE), 'portion.mass'),
    );
    const weighed = plan({ ...SICLE, measured: { 'shell.taken': 22 } });
    expect(v(weighed, 'shell.total')).toBe(22 * 20);
  });

  it('makes as many as the rounds allow, evenly', () => {
    const bound = plan({ ...SICLE, maxRounds: 2 });
    expect(v(bound, 'count.made')).toBe(16);
    expect(bound.limits.find(({ limiting }) => limiting)).toMatchObject({ supply: 'cavities', short: true });
    expect(bound.loads.sizes).toEqual([8, 8]);
  });
});
