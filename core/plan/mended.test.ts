/** Faults that a baker met once, each as it showed itself. */
import { FAMILY_FILES } from '../../demo/families';
import { readRunFile } from '../exchange/read';
import { hasRange } from '../figure';
import { edit, choose, measure } from '../line';
import type { Belief } from '../model/belief';
import type { Line, MiniWellsLine, RunFile } from '../model/documents';
import { wellMlOf } from '../piece';
import { inStyle } from '../quantity';
import { warningsOf } from '../schedule';
import {
  BALLS,
  CUBE,
  CUPCAKE,
  EVENING,
  MINI,
  MUG,
  POP,
  SICLE,
  faultOf,
  has,
  plan,
  v,
  whole,
} from './test-utils/lines';
import { questionsOf } from './whatIf';
import { planWhole, whyText, type LinePlan } from '.';

const known = (param: string, of: string, mean: number): Belief => ({
  param,
  of,
  mean,
  spread: 0,
  seen: 1,
  since: '2026-11-20',
});
const believing = (...beliefs: Belief[]) => ({ kitchen: { beliefs } });

describe('what is kept always', () => {
  it('of a leftover is of that one alone: it does not shrink another line’s fresh bake', () => {
    // A file of the first version in which somebody kept "300 g of leftover cake" for good.
    const old = JSON.parse(JSON.stringify(FAMILY_FILES.pops)) as Record<'run' | 'kitchen', object>;
    const file = {
      ...old,
      version: 1,
      run: { ...old.run, version: 1 },
      kitchen: {
        ...old.kitchen,
        version: 1,
        beliefs: undefined,
        stated: { 'crumb.1.cake': 300, 'leftover.mass': 300, 'egg.mass': 54 },
      },
    };
    const read = readRunFile(file);
    if (!read.ok) throw new Error(read.faults[0]?.fault);
    const lines = planWhole(read.value).lines.filter((line) => line.planned);
    const fresh = lines.find((line) => line.line.id === POP.id);
    expect(fresh?.planned && fresh.figure('count.made').value).toBe(v(plan(POP), 'count.made'));
    // What does hold for the kitchen still holds.
    expect(read.value.kitchen.beliefs).toEqual([
      { param: 'egg.mass', of: 'kitchen', mean: 54, spread: 0, seen: 1, since: null },
    ]);
    for (const figure of ['crumb.1.cake', 'crumb.1'])
      expect(plan(BALLS).figure(figure).known?.keep ?? false).toBe(false);
  });

  it('of an oven holds for the second bake of a line and for every line in that oven, and for no other', () => {
    if (POP.crumb[0]?.from !== 'bake') throw new Error('the pops are baked for');
    const twice: Line = { ...POP, lots: [], crumb: [POP.crumb[0], { ...POP.crumb[0] }] };
    const times = (one: LinePlan) =>
      one.figures.filter(({ id }) => /(^|\.)bake\.time$/.test(id)).map(({ value }) => value);
    const oven = believing(known('bake.factor', 'oven:oven-main', 1.2));
    const [usual, slow] = [times(plan(twice)), times(plan(twice, oven))];
    expect(usual).toHaveLength(2);
    slow.forEach((time, i) => expect(time / (usual[i] ?? NaN)).toBeCloseTo(1.2, 6));
    expect(v(plan(CUPCAKE, oven), 'bake.time') / v(plan(CUPCAKE), 'bake.time')).toBeCloseTo(1.2, 6);
    const fan = { ...CUPCAKE, ovenId: 'oven-fan' };
    expect(v(plan(fan, oven), 'bake.time')).toBe(v(plan(fan), 'bake.time'));
  });

  it('of the bowl reaches frostings and binders too', () => {
    const mixed = (having: Parameters<typeof whole>[1]) => {
      const { components } = whole(EVENING.run.lines, having);
      if (!components) throw new Error('the evening shares things');
      const { id } = components.batches.find((batch) => batch.makes === 'frosting') ?? { id: '' };
      return components.figure(`${id}/needed`).value / components.figure(`${id}/asked`).value;
    };
    const clean = mixed(believing(known('bowl.lossShare', 'kitchen', 0)));
    expect(clean).toBe(1);
    expect(mixed(believing(known('bowl.lossShare', 'kitchen', 0.2)))).toBeCloseTo(1 / 0.8, 9);
    expect(mixed({})).toBeGreaterThan(clean);
  });

  it('of how a cupcake cools is no matter of a sheet', () => {
    const slow = v(plan(CUPCAKE), 'cool.constant') * 2;
    const having = believing(known('cool.constant', 'size:well', slow));
    expect(v(plan(CUPCAKE, having), 'cool.time')).toBeGreaterThan(1.5 * v(plan(CUPCAKE), 'cool.time'));
    expect(v(plan(CUBE, having), 'cool.time')).toBe(v(plan(CUBE), 'cool.time'));
  });
});

describe('what was measured goes with what it was measured of', () => {
  it('leaves with the mould, whoever changes it', () => {
    const weighed = edit(SICLE, measure('cavity.volume', 64));
    expect(v(plan(weighed), 'cavity.volume')).toBe(64);
    const moved = edit(weighed, choose({ mouldId: 'mould-lantern' }));
    expect(moved.measured).toEqual({});
    expect(v(plan(moved), 'cavity.volume')).toBe(
      v(plan({ ...SICLE, mouldId: 'mould-lantern' }), 'cavity.volume'),
    );
  });

  it('leaves with the tin, and what is the kitchen’s stays', () => {
    const weighed = { ...CUPCAKE, measured: { 'cake.mass': 48, 'portion.mass': 55, 'egg.mass': 53 } };
    const moved = edit(weighed, choose({ tinId: 'tin-mini' }));
    expect(moved.measured).toEqual({ 'egg.mass': 53 });
    expect(v(plan(moved), 'cake.mass')).toBeLessThan(30);
  });

  it('shrinks the lots of small cakes with their count, so that they can be planned', () => {
    const [lot] = POP.lots ?? [];
    if (!lot) throw new Error('the pops have lots');
    const plain = { ...lot, coat: null };
    const line: Line = {
      ...MINI,
      count: 40,
      lots: [
        { ...plain, count: 20 },
        { ...plain, id: 'b', count: 20 },
      ],
    };
    const fewer = edit(line, choose({ count: 25 }));
    expect(faultOf({ ...line, count: 25 })).not.toBeNull();
    expect(faultOf(fewer)).toBeNull();
    expect(fewer.lots?.map(({ count }) => count)).toEqual([20, 5]);
  });
});

describe('a microwave against the sum', () => {
  it('is in the note about several mugs and in the clock’s limit as in the time itself', () => {
    const READY = Date.UTC(2026, 10, 28, 16);
    const asOf = new Date(READY - 40 * 60_000).toISOString().slice(0, 16);
    const kitchen = { mugs: [{ id: 'mug-hall', name: 'Hall mug', owned: 50, volumeMl: 320 }] };
    const line: Line = { ...MUG, count: 40, frosting: null };
    const at = (factor: number) => plan({ ...line, measured: { 'micro.factor': factor } }, { kitchen, asOf });
    const [usual, fast] = [at(1), at(0.5)];
    const note = (one: LinePlan) => one.notes.find((words) => /One alone/.test(words)) ?? '';
    expect(v(fast, 'micro.time')).toBeLessThan(0.7 * v(usual, 'micro.time'));
    expect(note(fast)).not.toBe(note(usual));
    expect(note(fast).length).toBeGreaterThan(0);
    expect(v(fast, 'count.minutes')).toBeGreaterThan(v(usual, 'count.minutes'));
  });
});

describe('a well', () => {
  it('of a bar without a length holds the same in the plan and in the kitchen', () => {
    const [bar] = EVENING.kitchen.tins.filter(({ shape }) => shape === 'bar');
    if (!bar) throw new Error('there is a finger tin');
    const { lengthMm: _length, ...short } = bar;
    const line: MiniWellsLine = {
      ...MINI,
      style: 'fingers',
      tinId: bar.id,
      filling: null,
      coat: null,
      spareHalves: 0,
    };
    const one = plan(line, { kitchen: { tins: [short] } });
    expect(v(one, 'well.volume')).toBeCloseTo(wellMlOf(short), 9);
    expect(v(one, 'well.length')).toBe(3 * bar.topMm);
  });

  it('takes no core that is larger than the cake in it', () => {
    const cored = (coreDiameterMm: number, coreDepthMm: number): Line => ({
      ...CUPCAKE,
      filling: {
        how: 'core',
        what: 'plum jam',
        formulaId: null,
        eachG: null,
        channels: 1,
        coreDiameterMm,
        coreDepthMm,
        onHandG: null,
      },
    });
    const refused = faultOf(cored(60, 80));
    expect(refused?.fault).toMatch(/core/i);
    expect(refused?.mend).toMatch(/\d/);
    expect(faultOf(cored(22, 25))).toBeNull();
  });
});

describe('a run of bought things', () => {
  it('that needs no formula goes out and comes in again', () => {
    const line: Line = {
      ...BALLS,
      binder: { ...BALLS.binder, formulaId: null },
      lots: [],
    };
    const file: RunFile = { ...EVENING, run: { ...EVENING.run, lines: [line] }, formulas: [] };
    const read = readRunFile(JSON.parse(JSON.stringify(file)));
    if (!read.ok) throw new Error(read.faults[0]?.fault);
    expect(planWhole(read.value).lines.every(({ planned }) => planned)).toBe(true);
  });
});

describe('what is said', () => {
  it('of a value out of bounds names the bound', () => {
    const faults = (over: object) => {
      const read = readRunFile({ ...EVENING, run: { ...EVENING.run, lines: [{ ...CUPCAKE, ...over }] } });
      return read.ok ? [] : read.faults.map(({ mend }) => mend);
    };
    const mends = [...faults({ count: 0 }), ...faults({ count: 9999 }), ...faults({ ovenC: 999 })];
    expect(mends).toHaveLength(3);
    for (const mend of mends) {
      expect(mend).toMatch(/\d/);
      expect(mend).not.toMatch(/bound/);
    }
  });

  it('of a measurement that nothing takes is that nothing takes it', () => {
    const odd = warningsOf(plan({ ...CUPCAKE, measured: { 'batter.mixd': 900 } }));
    expect(odd.map(({ fault }) => fault).join()).toMatch(/batter\.mixd/);
    expect(
      warningsOf(plan({ ...CUPCAKE, measured: { 'batter.mixed': 900 } }))
        .map(({ fault }) => fault)
        .join(),
    ).not.toMatch(/batter\./);
  });

  it('of offers bears no braces once it is in a person’s units', () => {
    const offers = planWhole(EVENING).lines.flatMap((line) => (line.planned ? line.remainder.offers : []));
    const questions = EVENING.run.lines.flatMap((line) =>
      questionsOf(line, EVENING.kitchen).flatMap(({ alternatives }) => alternatives),
    );
    for (const { title } of questions) expect(inStyle(title)).not.toMatch(/[{}]/);
    for (const { title, detail } of offers) expect(inStyle(`${title} ${detail}`)).not.toMatch(/[{}]/);
  });

  it('of a large batter in a small bowl says that the day mixes it in several', () => {
    const large: Line = { ...CUPCAKE, count: 120 };
    const of = (volumeMl: number) => ({
      kitchen: { bowls: [{ id: 'b', name: 'Bowl', owned: 1, volumeMl }] },
    });
    const said = (volumeMl: number) =>
      warningsOf(plan(large, of(volumeMl))).filter(({ fault }) => /mixes at once/.test(fault));
    expect(said(2000)).toHaveLength(1);
    expect(said(40_000)).toEqual([]);
  });
});

const SIGNED = /^finish\.aboveRim$|oven\.offset$/;
const EVERY = planWhole(EVENING).lines.flatMap((line) => (line.planned ? [line] : []));

describe('figures on the page', () => {
  it('show no range below nought for what cannot be less', () => {
    const below = EVERY.flatMap(({ line, figures }) =>
      figures
        // A top may lie below the rim, and an oven may be cooler than its setting.
        .filter((figure) => !SIGNED.test(figure.id) && hasRange(figure) && figure.low < 0)
        .map(({ id, unit }) => `${line.id} ${id} ${unit}`),
    );
    expect(below).toEqual([]);
  });

  it('multiply and add up to what is shown: anybody with a pencil comes to the same', () => {
    const off: string[] = [];
    let checked = 0;
    for (const plan of EVERY)
      for (const figure of plan.figures) {
        const { filled } = whyText(plan, figure);
        const [sum, shown] = filled.split(' = ');
        if (
          !sum ||
          !shown ||
          /round|whole|larger|smallest|√|∛|ln|exp|min|\bh\b|larger|\^|²|³|at least|π/.test(filled)
        )
          continue;
        const [result, decimals] = numberOf(shown);
        const reckoned = byPencil(sum);
        if (reckoned === null) continue;
        checked += 1;
        if (Math.abs(reckoned - result) > 1.01 * 10 ** -decimals)
          off.push(`${plan.line.id} ${figure.id}: ${filled}`);
      }
    expect(off).toEqual([]);
    expect(checked).toBeGreaterThan(150);
  });
});

/** A shown number, a share as a part of one, and how many decimals it is shown with. */
function numberOf(text: string): [number, number] {
  const digits = /-?−?\d[\d\u202f]*(?:\.(\d+))?/.exec(text);
  if (!digits) return [NaN, 0];
  const value = Number(digits[0].replace('−', '-').replace(/\u202f/g, ''));
  const decimals = digits[1]?.length ?? 0;
  return text.includes('%') ? [value / 100, decimals + 2] : [value, decimals];
}

/** Plain arithmetic with brackets. */
function arithmetic(text: string): number {
  let rest = text.replace(/\s/g, '');
  const take = (sign: string) => rest.startsWith(sign) && ((rest = rest.slice(1)), true);
  const factor = (): number => {
    if (take('-')) return -factor();
    if (take('(')) {
      const inner = sum();
      take(')');
      return inner;
    }
    const number = /^[\d.]+/.exec(rest)?.[0] ?? '';
    rest = rest.slice(number.length);
    return number === '' ? NaN : Number(number);
  };
  const product = (): number => {
    let value = factor();
    for (;;) {
      if (take('*')) value *= factor();
      else if (take('/')) value /= factor();
      else return value;
    }
  };
  const sum = (): number => {
    let value = product();
    for (;;) {
      if (take('+')) value += product();
      else if (take('-')) value -= product();
      else return value;
    }
  };
  return sum();
}

/** What a sum with its units taken off comes to; null where it is more than arithmetic. */
function byPencil(sum: string): number | null {
  const bare = sum
    .replace(/[\u00a0]/g, ' ')
    .replace(/(\d)\u202f(?=\d)/g, '$1')
    .replace(/×(?=\d)/g, '')
    .replace(/(\d[\d.]*)\s?%/g, '($1/100)')
    .replace(/(\d)\s?(?:g\/ml|g\/cm²|cm²|ml|mm|°C|pieces?|loads?|eggs?|wells?|g|W|s|K)(?![a-z])/g, '$1')
    .replace(/×/g, '*')
    .replace(/÷/g, '/')
    .replace(/−/g, '-');
  if (!/^[\d.\s()*/+-]+$/.test(bare)) return null;
  return arithmetic(bare);
}

it('has a line of each family to look at', () => expect(has(plan(CUPCAKE), 'portion.mass')).toBe(true));
