import fc from 'fast-check';
import { CAKESICLES, CUBES, FAMILY_FILES, MINIS, MUGS, POPS } from '../../../demo/families';
import { DEMO_KITCHEN } from '../../../demo/kitchen';
import { FAMILY_FORMULAS } from '../../../demo/familyFormulas';
import { DEMO_FORMULAS } from '../../../demo';
import type { KitchenDoc, Line, PopLine } from '../../model/documents';
import { ball, shellMassG } from '../../process/test-utils/coat';
import { planRun, planWhole, type LinePlan } from '..';

const formulas = [...DEMO_FORMULAS, ...FAMILY_FORMULAS];
const EVENING = FAMILY_FILES.evening;
if (!EVENING) throw new Error('the demo has an evening');
const pick = <T>(list: readonly T[], i: number): T => {
  const found = list[i];
  if (!found) throw new Error('the demo has it');
  return found;
};

function planAll(lines: readonly Line[], kitchen: Partial<KitchenDoc> = {}) {
  return planRun({
    run: { ...EVENING!.run, lines: [...lines] },
    formulas,
    kitchen: { ...DEMO_KITCHEN, ...kitchen },
  }).map((line): LinePlan => {
    if (!line.planned) throw new Error(line.fault.fault);
    return line;
  });
}
const plan = (line: Line, kitchen: Partial<KitchenDoc> = {}) => pick(planAll([line], kitchen), 0);
const v = (one: LinePlan, id: string) => one.figure(id).value;
const ids = (one: LinePlan, pattern: RegExp) => one.figures.filter(({ id }) => pattern.test(id));

const POP = pick(POPS, 0);
const BALLS = pick(POPS, 1);
const SICLE = pick(CAKESICLES, 0);
const MUG = pick(MUGS, 0);

describe('worked example: 40 pops of 25 g from a fresh bake', () => {
  const pops = plan(POP);
  it('needs 887 g of crumb, by hand: 40 × 25 ÷ 0.985 = 1015.2; ÷ (1 + 0.18 × 0.8) = 887.4', () => {
    expect(v(pops, 'dough.needed')).toBeCloseTo(1015.23, 1);
    expect(v(pops, 'crumb.needed')).toBeCloseTo(887.44, 1);
  });
  it('needs 1104 g of batter for it: ÷ (0.92 × 0.99 × 0.91 × 0.97)', () => {
    expect(v(pops, 'batter.needed')).toBeCloseTo(887.44 / (0.92 * 0.99 * 0.91 * 0.97), 1);
  });
  it('coats each with the exact shell of its ball', () => {
    const exact = shellMassG(ball(v(pops, 'ball.diameter')), v(pops, 'coat.mm'));
    expect(v(pops, 'coat.each')).toBeCloseTo(exact, 6);
    expect(exact).toBeCloseTo(5.5, 0);
  });
  it('strands 379 g in a jug of 95 mm, by hand: 1.28 × (π ÷ 4 × 9.5² × 4.493 − 22.3)', () => {
    expect(v(pops, 'pool.stranded')).toBeCloseTo(
      1.28 * ((Math.PI / 4) * 9.5 ** 2 * (v(pops, 'ball.diameter') / 10 + 1) - v(pops, 'ball.volume')),
      6,
    );
    expect(v(pops, 'pool.stranded')).toBeCloseTo(379, -1);
    expect(pops.notes.join(' ')).toMatch(/"Tall glass" is narrower/);
  });
  it('makes a pot for each kind of coat', () => {
    expect([v(pops, 'pot.1.count'), v(pops, 'pot.2.count')]).toEqual([28, 12]);
  });
  it('keeps the lot that is promised free of nuts apart from one that is not', () => {
    const nutty = {
      ...POP,
      lots: POP.lots.map((lot, i) =>
        i === 0 ? { ...lot, toppings: [{ by: 'each' as const, what: 'chopped hazelnuts', eachG: 1 }] } : lot,
      ),
    };
    expect(
      plan(nutty)
        .warnings.map(({ fault }) => fault)
        .join(' '),
    ).toMatch(/"White with pearl sugar" is promised free of nuts; other pieces of this line have it/);
    expect(pops.warnings).toEqual([]);
  });
  it('coats a frozen ball thicker', () => {
    const frozen = plan({ ...POP, coat: POP.coat && { ...POP.coat, school: 'frozen' } });
    expect(v(frozen, 'coat.mm')).toBeCloseTo(1.5 * v(pops, 'coat.mm'), 9);
    expect(v(frozen, 'pot.1.melt')).toBeGreaterThan(v(pops, 'pot.1.melt'));
  });
});

describe('worked example: balls from leftovers, biscuit and trimmings', () => {
  const balls = plan(BALLS);
  // 380 g with 15 % of frosting: 323 g of crumb, half of 57 g stays: 28.5 g. Share 0.18 × 0.85 = 0.153.
  // Thirst: 323 + 60 × 1.7 + 90 × 1.35 + 20 × 1.7 of oats = 580.5; × 0.153 = 88.8; − 28.5 × 0.85 − 15 = 49.6.
  it('takes 49.6 g more binder, since frosting and juice bind too', () => {
    expect(v(balls, 'crumb.1')).toBeCloseTo(323, 6);
    expect(v(balls, 'frosting.own')).toBeCloseTo(28.5, 6);
    expect(v(balls, 'binder.need')).toBeCloseTo(49.6, 1);
    expect(v(balls, 'binder.first')).toBe(29);
  });
  it('warns of the age of leftovers and keeps as soft cheese does', () => {
    expect(balls.cautions.map(({ id }) => id)).toContain('leftovers');
    expect(balls.keeping).toMatchObject({ roomDays: null, fridgeDays: 2, outHours: 2 });
  });
});

describe('worked example: moulded pieces', () => {
  const sicles = plan(SICLE);
  it('lines a cavity of 70 × 39 × 20 mm, by hand: opening 24.0 cm², shell 10.4 ml, room 31.7 ml', () => {
    expect(v(sicles, 'cavity.opening')).toBeCloseTo((31 * 39 + (Math.PI * 39 ** 2) / 4) / 100, 6);
    expect(v(sicles, 'cavity.volume')).toBeCloseTo(47.4, 1);
    expect(v(sicles, 'shell.first') / v(sicles, 'shell.second')).toBeCloseTo(65 / 35, 6);
    expect(v(sicles, 'shell.volume')).toBeCloseTo(v(sicles, 'cavity.wall') * 0.18, 6);
    expect(v(sicles, 'cavity.room')).toBeCloseTo(47.44 - 10.4 - 4.33 - 1, 1);
    expect(v(sicles, 'portion.mass')).toBe(37);
  });
  it('goes round the mould three times, evenly', () => expect(sicles.loads.sizes).toEqual([7, 7, 6]));
  it('pours out and gets back all but the first coat', () => {
    const poured = plan(pick(CAKESICLES, 1));
    const each = v(poured, 'cavity.volume') * 1.28 - v(poured, 'shell.first');
    expect(v(poured, 'pour.round')).toBeCloseTo(6 * each, 6);
  });
  it('says when a shell is too thin, too thick, or leaves no room', () => {
    const faults = (shellMm: number) =>
      plan({ ...SICLE, shellMm })
        .warnings.map(({ fault }) => fault)
        .join();
    expect(faults(1)).toMatch(/crack/);
    expect(faults(2.8)).toMatch(/hard to bite/);
    expect(faults(1.8)).toBe('');
    const flat = {
      ...DEMO_KITCHEN,
      moulds: DEMO_KITCHEN.moulds?.map((mould) => ({ ...mould, depthMm: 6 })),
    };
    const [none] = planRun({
      run: { ...EVENING.run, lines: [{ ...SICLE, shellMm: 5 }] },
      formulas,
      kitchen: flat,
    });
    expect(none).toMatchObject({ planned: false, fault: { field: 'mould' } });
  });
});

describe('worked example: mugs', () => {
  const mugs = plan(MUG);
  it('turns 3 at once for 297 s, by hand: 423 × (2.8 × 75 + 0.0805 × 2257) ÷ (611 × 0.912)', () => {
    expect(v(mugs, 'portion.mass')).toBe(141);
    expect(v(mugs, 'micro.coupling')).toBeCloseTo(0.92 * (1 - Math.exp(-423 / 90)), 9);
    expect(v(mugs, 'micro.time')).toBeCloseTo(297.2, 0);
    expect(mugs.loads.sizes).toEqual([3, 3, 2]);
  });
  it('takes longer for two than for one, and less than twice as long', () => {
    const time = (atOnce: number) => v(plan({ ...MUG, count: 6, atOnce }), 'micro.time');
    expect(time(2)).toBeGreaterThan(time(1));
    expect(time(2)).toBeLessThan(2 * time(1));
  });
  it('warns above half full, and makes no more than there are mugs', () => {
    expect(plan({ ...MUG, fill: { by: 'share', share: 0.7 } }).warnings[0]?.fault).toMatch(/70 % full/);
    expect(v(plan({ ...MUG, count: 40 }), 'count.made')).toBe(11);
    expect(v(plan({ ...MUG, count: 40, frosting: null }), 'count.made')).toBe(12);
  });
});

describe('worked example: minis', () => {
  it('pairs halves and bakes the spares: 2 × 10 + 2 = 22', () => {
    const moons = plan(pick(MINIS, 0));
    expect(v(moons, 'wells.made')).toBe(22);
    expect(v(moons, 'well.volume')).toBeCloseTo((Math.PI * 70 ** 2 * 35) / 6000, 6);
    expect(v(moons, 'pair.mass')).toBeCloseTo(2 * v(moons, 'cake.mass'), 9);
  });
  it('gives a base layer its room and its heat', () => {
    const layered = pick(MINIS, 2);
    const plums = plan(layered);
    expect(v(plums, 'well.free')).toBeCloseTo(v(plums, 'well.volume') - 18 / 1.1, 6);
    const bare = plan({ ...layered, baseLayer: null, fill: { by: 'mass', massG: v(plums, 'portion.mass') } });
    expect(v(plums, 'bake.time')).toBeGreaterThan(v(bare, 'bake.time'));
    expect(plums.notes.join()).toMatch(/while warm/);
  });
  it('cuts a sheet of 330 × 230 into 8 × 6 of 38.9 × 35.5 mm', () => {
    const cubes = plan(pick(CUBES, 0));
    expect(v(cubes, 'piece.length')).toBeCloseTo((330 - 12 - 7) / 8, 9);
    expect(v(cubes, 'piece.width')).toBeCloseTo((230 - 12 - 5) / 6, 9);
    expect(v(cubes, 'cakes.total') + v(cubes, 'trimmings')).toBeCloseTo(
      v(cubes, 'sheet.count') * v(cubes, 'sheet.cake'),
      6,
    );
  });
  it('fills fingers by the channel and covers hats in fondant', () => {
    expect(v(plan(pick(MINIS, 1)), 'filling.each')).toBeCloseTo(11.5, 9);
    const hats = plan(pick(MINIS, 3));
    expect(v(hats, 'fondant.rolled')).toBeGreaterThan(v(hats, 'fondant.needed'));
  });
});

describe('one bowl for several lines', () => {
  const whole = planWhole(EVENING);
  it('rounds eggs once and shares the bowl out whole', () => {
    const shared = whole.lines.filter(
      (line) => line.planned && line.batches.some(({ formula }) => formula.id === 'formula-plum-rye'),
    );
    expect(shared.length).toBeGreaterThan(2);
    const eggs = shared.map((line) => (line.planned ? line.figure('eggs.used').value : NaN));
    expect(new Set(eggs).size).toBe(1);
    expect(Number.isInteger(eggs[0])).toBe(true);
    const own = shared.reduce((sum, line) => sum + (line.planned ? line.figure('batter.own').value : 0), 0);
    const [first] = shared;
    expect(own).toBeCloseTo(first?.planned ? first.figure('batter.mixed').value : NaN, 6);
  });
  it('makes fillings, frostings, binders and their parts once, for all that ask', () => {
    const { components } = whole;
    const butter = components?.batches.find(({ id }) => id === 'formula-malt-buttercream');
    expect(butter?.lineIds).toEqual(['cupcakes-frosted', 'pops-fresh', 'sicles-plum', 'moons-paired']);
    const asked = components?.figure('formula-malt-buttercream/asked').value ?? 0;
    const needs = whole.lines.flatMap((line) => (line.planned ? line.needs : []));
    const sum = needs
      .filter(({ formulaId }) => formulaId === butter?.id)
      .reduce((g, need) => g + need.mass.value, 0);
    expect(asked).toBeCloseTo(sum, 6);
    // The syrup in it: 60 g to 575.5 g.
    const syrup = components?.figure('formula-barley-syrup/asked').value ?? 0;
    const mixed = components?.figure('formula-malt-buttercream/mixed').value ?? 0;
    expect(syrup / mixed).toBeCloseTo(60 / 575.47, 4);
  });
  it('takes one weighing of a shared bowl for all lines', () => {
    const lines = EVENING.run.lines.map((line) =>
      line.id === 'plums-below' ? { ...line, measured: { 'batter.mixed': 900 } } : line,
    );
    for (const line of planAll(lines).filter(({ formula }) => formula?.id === 'formula-plum-rye'))
      expect(v(line, 'batter.mixed')).toBe(900);
  });
});

/** Grams in, less grams out, at every link of a chain that has it. */
function unaccounted(one: LinePlan): Record<string, number> {
  const has = (id: string) => one.figures.some((figure) => figure.id === id);
  const sum = (pattern: RegExp) => ids(one, pattern).reduce((g, figure) => g + figure.value, 0);
  const out: Record<string, number> = {};
  const link = (name: string, into: number, ...from: number[]) => {
    out[name] = into - from.reduce((a, b) => a + b, 0);
  };
  if (has('batter.mixed') && one.figure('batter.mixed').kind === 'derived')
    link('bowl', v(one, 'batter.mixed'), sum(/^ingredient\.\d+$/), sum(/^part\.\d+$/));
  if (has('batter.bowlLoss'))
    link(
      'out of the bowl',
      v(one, has('batter.own') ? 'batter.own' : 'batter.mixed'),
      v(one, 'batter.bowlLoss'),
      v(one, 'batter.ready'),
    );
  if (has('crumb.1.aside')) link('crumb', v(one, 'crumb.1.cake'), v(one, 'crumb.1'), v(one, 'crumb.1.aside'));
  if (has('dough.total')) {
    if (one.figure('dough.total').kind === 'derived') {
      link(
        'dough',
        v(one, 'dough.total'),
        v(one, 'crumb.total'),
        sum(/^crumb\.\d\.frosting$/),
        sum(/^addin\.\d$/),
        v(one, 'binder.added'),
      );
    }
    link(
      'portions',
      v(one, 'dough.total'),
      v(one, 'dough.lost'),
      v(one, 'portions.total'),
      v(one, 'dough.left'),
    );
  }
  if (has('finished.total') && has('portions.total')) {
    const coat = has('shell.total') ? v(one, 'shell.total') : sum(/^pot\.\d\.coat$/);
    link(
      'finished',
      v(one, 'finished.total'),
      v(one, 'portions.total'),
      coat,
      sum(/^lot\.\w+\.topping\.\d\.total$/),
    );
  }
  if (has('pot.1.drips'))
    link('pot', v(one, 'pot.1.melt'), v(one, 'pot.1.coat'), v(one, 'pot.1.drips'), v(one, 'pot.1.pool'));
  return out;
}

describe('laws', () => {
  const pops = fc.record({
    count: fc.integer({ min: 1, max: 800 }),
    massG: fc.integer({ min: 8, max: 60 }),
    school: fc.constantFrom<PopLine['binder']['school']>('lean', 'classic', 'fudge'),
    kind: fc.constantFrom<PopLine['binder']['kind']>('buttercream', 'ganache', 'jam', 'spread'),
    from: fc.constantFrom(...POPS.map((_, i) => i)),
    pin: fc.option(fc.integer({ min: 50, max: 5000 })),
  });
  type Drawn = typeof pops extends fc.Arbitrary<infer R> ? R : never;
  const lineOf = (r: Drawn): PopLine => {
    const base = pick(POPS, r.from);
    return {
      ...base,
      count: r.count,
      size: { by: 'mass', massG: r.massG },
      binder: { ...base.binder, school: r.school, kind: r.kind, onHandG: null },
      sticksOnHand: null,
      coat: base.coat && { ...base.coat, onHandG: null },
      lots: [],
      measured: r.pin === null ? {} : { 'dough.total': r.pin },
    };
  };

  it('conserves mass at every link, pinned or not', () => {
    fc.assert(
      fc.property(pops, (r) => {
        const off = unaccounted(plan(lineOf(r)));
        return Object.values(off).every((g) => Math.abs(g) < 1e-6 * 5000);
      }),
      { numRuns: 80 },
    );
    for (const line of EVENING.run.lines)
      for (const [link, g] of Object.entries(unaccounted(plan(line))))
        expect([line.id, link, Math.abs(g) < 1e-6]).toEqual([line.id, link, true]);
  });

  it('never makes more when a supply falls', () => {
    const supplies: ((line: PopLine, g: number) => PopLine)[] = [
      (line, g) => ({ ...line, binder: { ...line.binder, onHandG: g } }),
      (line, g) => ({ ...line, coat: line.coat && { ...line.coat, onHandG: g } }),
      (line, g) => ({ ...line, sticksOnHand: Math.round(g / 20) }),
      (line, g) => ({ ...line, measured: { 'dough.total': Math.max(g, 1) } }),
    ];
    fc.assert(
      fc.property(pops, fc.nat(supplies.length - 1), fc.integer({ min: 1, max: 3000 }), (r, which, g) => {
        const base = lineOf({ ...r, pin: null });
        const made = (there: number) => v(plan(pick(supplies, which)(base, there)), 'count.made');
        return made(g * 0.8) <= made(g);
      }),
      { numRuns: 60 },
    );
  });

  it('plans enough, and with eggs weighed exactly enough: forward then backward is where it began', () => {
    fc.assert(
      fc.property(pops, (r) => {
        const base = lineOf({ ...r, from: 0, pin: null });
        const weighed = {
          ...base,
          crumb: base.crumb.map((part) =>
            part.from === 'bake' ? { ...part, eggs: 'weigh' as const } : part,
          ),
        };
        const [rounded, exact] = [plan(base), plan(weighed)];
        return (
          v(rounded, 'count.dough') >= base.count &&
          v(exact, 'count.dough') === base.count &&
          Math.abs(v(exact, 'dough.total') / v(exact, 'dough.needed') - 1) < 1e-9
        );
      }),
      { numRuns: 60 },
    );
  });

  it('never dries a dough by more binder, nor lightens a piece by a thicker coat or shell', () => {
    const added = (g: number) => plan({ ...POP, measured: { 'binder.added': g } });
    const wet = (one: LinePlan) => v(one, 'binder.added') / v(one, 'crumb.total');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 1, max: 200 }), (g, more) => {
        const [less, most] = [added(g), added(g + more)];
        return wet(most) > wet(less) && v(most, 'dough.total') > v(less, 'dough.total');
      }),
      { numRuns: 30 },
    );
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 4, noNaN: true }), (mm) => {
        const coat = (t: number) => v(plan({ ...POP, measured: { 'coat.mm': t } }), 'coat.each');
        const shell = (t: number) => v(plan({ ...SICLE, shellMm: t }), 'shell.taken');
        return coat(mm * 1.1) > coat(mm) && shell(Math.max(mm, 0.6) * 1.1) > shell(Math.max(mm, 0.6));
      }),
      { numRuns: 30 },
    );
  });

  it('is done at a lower temperature up high, where water boils cooler', () => {
    const done = plan(pick(MINIS, 3), { altitudeM: 1500 });
    const low = plan(pick(MINIS, 3));
    expect(v(done, 'cake.done')).toBeCloseTo(v(low, 'cake.done') - 5, 9);
    expect(v(done, 'bake.time')).toBeLessThan(v(low, 'bake.time') * 1.05);
  });

  it('explains every figure of every family, and keeps its value within its range', () => {
    for (const line of planAll(EVENING.run.lines)) {
      for (const figure of line.figures) {
        expect(figure.sentence).toMatch(/\S.*[.”"]$/);
        expect(figure.low).toBeLessThanOrEqual(figure.value + 1e-9);
        expect(figure.high).toBeGreaterThanOrEqual(figure.value - 1e-9);
        for (const id of figure.inputs) expect(line.figure(id).id).toBe(id);
      }
    }
  });
});
