import fc from 'fast-check';
import { sameJson, threeWay, type Json } from './threeWay';

const RUN = {
  name: 'Evening',
  readyAt: '2026-12-05T16:00',
  lines: [
    { id: 'a', count: 12 },
    { id: 'b', count: 24 },
  ],
  ticks: ['x'],
};

describe('two changes of one document', () => {
  it('of different lines stand both', () => {
    const theirs = { ...RUN, lines: [RUN.lines[0]!, { id: 'b', count: 30 }] };
    const mine = { ...RUN, lines: [{ id: 'a', count: 13 }, RUN.lines[1]!] };
    const { value, clashes } = threeWay(RUN, theirs, mine);
    expect(value).toEqual({
      ...RUN,
      lines: [
        { id: 'a', count: 13 },
        { id: 'b', count: 30 },
      ],
    });
    expect(clashes).toEqual([]);
  });

  it('of the same count hold mine, and tell of theirs', () => {
    const with_ = (count: number) => ({ ...RUN, lines: [{ id: 'a', count }, RUN.lines[1]!] });
    const { value, clashes } = threeWay(RUN, with_(48), with_(36));
    expect(value).toEqual(with_(36));
    expect(clashes).toEqual([{ path: ['lines', '#a', 'count'], mine: 36, theirs: 48 }]);
  });

  it('keep lines that either added, where it added them, and ticks of both', () => {
    const theirs = {
      ...RUN,
      lines: [RUN.lines[0]!, { id: 'c', count: 1 }, RUN.lines[1]!],
      ticks: ['x', 'y'],
    };
    const mine = { ...RUN, lines: [...RUN.lines, { id: 'd', count: 2 }], ticks: ['x', 'z'] };
    const { value } = threeWay(RUN, theirs, mine);
    expect((value as unknown as typeof RUN).lines.map(({ id }) => id)).toEqual(['a', 'c', 'b', 'd']);
    expect((value as unknown as typeof RUN).ticks).toEqual(['x', 'y', 'z']);
  });

  it('leave out what either took out', () => {
    const { value, clashes } = threeWay(RUN, { ...RUN, lines: [RUN.lines[1]!] }, { ...RUN, name: 'Tea' });
    expect(value).toEqual({ ...RUN, name: 'Tea', lines: [RUN.lines[1]] });
    expect(clashes).toEqual([]);
  });
});

const json = fc.letrec<{ value: Json; thing: Json }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 3 },
    fc.integer({ min: 0, max: 3 }),
    fc.constantFrom('x', 'y', null),
    tie('thing'),
    fc.uniqueArray(fc.integer({ min: 0, max: 5 }), { maxLength: 4 }),
    fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c'), n: tie('value') }), {
      selector: ({ id }) => id,
      maxLength: 3,
    }) as fc.Arbitrary<Json>,
  ),
  thing: fc.dictionary(fc.constantFrom('p', 'q', 'r'), tie('value')),
})).thing;

describe('laws of merging', () => {
  it('a side that changed nothing takes the other’s change', () => {
    fc.assert(
      fc.property(json, json, (base, mine) => {
        expect(sameJson(threeWay(base, base, mine).value, mine)).toBe(true);
        expect(sameJson(threeWay(base, mine, base).value, mine)).toBe(true);
      }),
    );
  });

  it('what both changed alike stands, and nothing clashes', () => {
    fc.assert(
      fc.property(json, json, (base, both) => {
        const { value, clashes } = threeWay(base, both, both);
        expect(sameJson(value, both) && clashes.length === 0).toBe(true);
      }),
    );
  });

  it('without a clash it does not matter which side is mine, but for the order in lists', () => {
    const sorted = (value: Json | undefined): unknown =>
      Array.isArray(value)
        ? value.map(sorted).sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1))
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, sorted(one)]))
          : value;
    fc.assert(
      fc.property(json, json, json, (base, a, b) => {
        const one = threeWay(base, a, b);
        const other = threeWay(base, b, a);
        if (one.clashes.length > 0 || other.clashes.length > 0) return;
        expect(sorted(one.value)).toEqual(sorted(other.value));
      }),
    );
  });
});
