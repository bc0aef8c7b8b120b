import { CUPCAKE, EVENING, whole } from '../plan/test-utils/lines';
import type { FormulaDoc } from '../model/documents';
import { bowlsOf } from '../plan';
import { sharedPromiseWarnings } from '../schedule/gather';
import { without } from './without';

const NUTTY: FormulaDoc = {
  kind: 'formula',
  version: 1,
  id: 'formula-nutty',
  name: 'Walnut and pear',
  measures: 'metric',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  text: '200 g plain flour\n8 g baking powder\n160 g caster sugar\n160 g butter\n3 eggs\n80 ml milk\n90 g walnuts, chopped',
  steps: 'Beat butter and sugar.\nFold in the walnuts.',
};
const line = { ...CUPCAKE, formulaId: NUTTY.id, count: 30, lots: [], frosting: null };
const ask = {
  at: 6,
  what: 'walnuts',
  count: 12,
  free: [] as const,
  formulaId: 'formula-free',
  lineId: 'free',
};

describe('some pieces without an ingredient', () => {
  const split = without(line, NUTTY, ask);
  if (!split) throw new Error('12 of 30 can be made without');
  const formulas = [...EVENING.formulas, NUTTY, split.formula];
  const [free, rest] = whole([split.first, split.rest], { formulas }).lines;
  if (!free?.planned || !rest?.planned) throw new Error('both are planned');

  const v = (plan: typeof free, id: string) => plan.figure(id).value;

  it('mixes one base for 12 and 18, and parts it before the walnuts go in', () => {
    expect([free.parts.count.made.value, rest.parts.count.made.value]).toEqual([12, 18]);
    // Eggs are broken once, for both.
    expect(v(free, 'eggs.used')).toBe(v(rest, 'eggs.used'));
    expect(v(free, 'batter.mixed')).toBeCloseTo(v(rest, 'base.mixed'), 6);
    expect(v(free, 'batter.own') + v(rest, 'batter.own')).toBeCloseTo(v(free, 'batter.mixed'), 6);
    // 90 g of walnuts to 720 g or so of base, scaled to this part of it.
    const walnuts = v(rest, 'extra.7');
    expect(walnuts).toBeCloseTo((90 * v(rest, 'batter.own')) / v(rest, 'formula.mass'), 6);
    expect(v(rest, 'batter.mixed')).toBeCloseTo(v(rest, 'batter.own') + walnuts, 6);
    expect(v(rest, 'batter.mixed')).toBeGreaterThan(0.97 * v(rest, 'batter.needed'));
  });

  it('weighs out the base once, then the rest’s part of it with the walnuts; and says which comes first', () => {
    const run = { ...EVENING.run, lines: [split.first, split.rest] };
    const all = whole([split.first, split.rest], { formulas });
    const bowls = bowlsOf(run, all);
    expect(bowls.map(({ batch }) => batch.formula.id)).toEqual(['formula-free', 'formula-nutty']);
    expect(bowls[0]?.batch.lineIds).toEqual([split.first.id, split.rest.id]);
    expect(bowls[0]?.batch.ingredients.map(({ name }) => name).join()).not.toMatch(/walnut/);
    expect(bowls[1]?.batch.ingredients.map(({ name }) => name)).toEqual(['walnuts']);
    expect(bowls[1]?.batch.parts).toMatchObject([{ formulaId: 'formula-free' }]);
    expect(free.notes[0]).toMatch(/take \{\d+ g\} into a clean bowl before that is anywhere near it/);
    expect(rest.notes[0]).toMatch(/stir \{[\d.]+ g\} of walnuts into what is left/);
  });

  it('shares the bowl whichever of them weighed it, and parts it again where one line is gone', () => {
    const weighed = { ...split.rest, measured: { 'base.mixed': 2000 } };
    const [one, other] = whole([split.first, weighed], { formulas }).lines;
    if (!one?.planned || !other?.planned) throw new Error('both are planned');
    expect(v(one, 'batter.mixed')).toBe(2000);
    expect(v(other, 'base.mixed')).toBe(2000);
    const [alone] = whole([split.rest], { formulas }).lines;
    if (!alone?.planned) throw new Error('it is planned');
    expect(alone.has('base.mixed')).toBe(false);
    expect(alone.batches[0]?.ingredients.map(({ name }) => name).join()).toMatch(/walnut/);
  });

  it('shares what is stirred in among all lines that take it, too', () => {
    const twin = { ...split.rest, id: 'twin' };
    const [a, b, c] = whole([split.first, split.rest, twin], { formulas }).lines;
    if (!a?.planned || !b?.planned || !c?.planned) throw new Error('all are planned');
    expect(v(b, 'base.mixed')).toBeCloseTo(v(a, 'batter.mixed'), 6);
    expect(v(b, 'batter.mixed')).toBeCloseTo(v(c, 'batter.mixed'), 6);
    expect(v(b, 'stirred.own')).toBeCloseTo(v(b, 'batter.mixed') / 2, 6);
    expect(v(a, 'batter.own') + v(b, 'batter.own')).toBeCloseTo(v(a, 'batter.mixed'), 6);
  });

  it('mixes apart what has no common base any more', () => {
    const changed = { ...split.formula, text: split.formula.text.replace('160 g butter', '120 g oil') };
    const [, other] = whole([split.first, split.rest], {
      formulas: [...EVENING.formulas, NUTTY, changed],
    }).lines;
    expect(other?.planned && other.has('base.mixed')).toBe(false);
  });

  it('mixes what is promised free apart, in its own bowl, and keeps the promise', () => {
    const promised = without(line, NUTTY, { ...ask, free: ['nuts'] });
    if (!promised) throw new Error('12 of 30 can be made without');
    const lines = [promised.first, promised.rest];
    const all = whole(lines, { formulas: [...EVENING.formulas, NUTTY, promised.formula] });
    const [one, other] = all.lines;
    if (!one?.planned || !other?.planned) throw new Error('both are planned');
    expect(one.line.freeFrom).toEqual(['nuts']);
    expect(one.holds.allergens).not.toContain('nuts');
    expect(other.holds.allergens).toContain('nuts');
    expect(one.promises[0]).toMatchObject({ broken: [], toRead: [] });
    const run = { ...EVENING.run, lines };
    expect(bowlsOf(run, all).map(({ batch }) => batch.lineIds)).toEqual([['free'], [line.id]]);
    expect(other.has('base.mixed')).toBe(false);
    expect(sharedPromiseWarnings(run, all)).toEqual([]);
    expect(promised.formula.steps).toMatch(/^Mix, fill and bake these first.+out of its packet: walnuts/);
  });

  it('is nothing where all or none would be without, or the line is of another formula', () => {
    expect(without(line, NUTTY, { ...ask, count: 30 })).toBeNull();
    expect(without(line, NUTTY, { ...ask, count: 0 })).toBeNull();
    expect(without({ ...line, formulaId: 'other' }, NUTTY, ask)).toBeNull();
  });
});
