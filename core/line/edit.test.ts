import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import type { Line } from '../model/documents';
import { all, choose, copyOf, edit, measure, remake } from '.';

const LINES = FAMILY_FILES.evening?.run.lines ?? [];
const some = fc.constantFrom(...LINES);
const figure = fc.constantFrom(
  'batter.mixed',
  'cake.mass',
  'egg.mass',
  'room.temperature',
  'coat.mm',
  'crumb.1.cake',
);

describe('what happens to a line', () => {
  it('is measured and taken back, and then it is as it was', () => {
    fc.assert(
      fc.property(some, figure, fc.double({ min: 1, max: 900, noNaN: true }), (line, id, value) => {
        const weighed = edit(line, measure(id, value));
        expect(weighed.measured[id]).toBe(value);
        const { [id]: _, ...others } = line.measured;
        expect(edit(weighed, measure(id, null))).toEqual({ ...line, measured: others });
      }),
    );
  });

  it('keeps every measurement with a choice that changes nothing', () => {
    fc.assert(
      fc.property(some, figure, (line, id) => {
        const weighed = edit(line, measure(id, 50));
        const { id: _id, family: _family, measured: _measured, ticks: _ticks, ...same } = weighed;
        expect(edit(weighed, choose(same as Parameters<typeof choose>[0])).measured).toEqual(
          weighed.measured,
        );
      }),
    );
  });

  it('never loses what is the kitchen’s, whatever else is chosen', () => {
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 200 }), (line, count) => {
        const weighed = edit(line, all(measure('egg.mass', 53), measure('room.temperature', 24)));
        const other = ['tinId', 'mouldId', 'mugId', 'sheetId', 'formulaId'].find((field) => field in line);
        const next = edit(weighed, choose({ count, ...(other ? { [other]: 'another' } : {}) }));
        expect(next.measured).toEqual({ 'egg.mass': 53, 'room.temperature': 24 });
      }),
    );
  });

  it('forgets the crumb that was weighed from the source on that is another one, and keeps those before it', () => {
    const pops = LINES.find((line) => line.family === 'pop');
    if (pops?.family !== 'pop') throw new Error('the evening has pops');
    const [first] = pops.crumb;
    if (!first) throw new Error('they are made of something');
    const two: Line = {
      ...pops,
      crumb: [first, { from: 'biscuit', what: 'oat biscuits', massG: 200 } as never],
    };
    const weighed = edit(
      two,
      all(measure('crumb.1', 700), measure('crumb.2', 200), measure('binder.added', 90)),
    );
    const next = edit(weighed, choose({ crumb: [first] }));
    expect(next.measured).toEqual({ 'crumb.1': 700, 'binder.added': 90 });
  });

  it('is made anew as another kind with its count and its lots, and nothing that was weighed of the old one', () => {
    const [line, other] = LINES;
    if (!line || !other) throw new Error('the evening has lines');
    const weighed = edit(line, measure('batter.mixed', 900));
    const anew = edit(weighed, remake({ ...other, measured: {} }));
    expect(anew).toMatchObject({ id: line.id, count: line.count, family: other.family, measured: {} });
  });

  it('is copied without what was weighed and ticked off', () => {
    const [line] = LINES;
    if (!line) throw new Error('the evening has lines');
    const copy = copyOf({ ...edit(line, measure('cake.mass', 44)), ticks: ['a'] }, 'copy');
    expect(copy).toEqual({ ...line, id: 'copy', measured: {}, ticks: [] });
  });
});
