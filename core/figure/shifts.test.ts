import fc from 'fast-check';
import { Ledger, OutOfBounds } from '.';
import { Figures, gramsText, idsIn, percentText, toScale } from '../plan/figures';
import { addMoves, carryMoves, spanAbove, spanBelow, sumOf, type Moves, type Span } from './shifts';

/** Lists of moves laid one after another, as a plan keeps them. */
function laid(lists: readonly Moves[]): { moves: Moves; spans: Span[] } {
  const moves: Moves = [];
  const spans = lists.map((list) => ({ start: moves.length, end: moves.push(...list) }));
  return { moves, spans };
}

function addShifts(lists: readonly Moves[]): Moves {
  const { moves, spans } = laid(lists);
  const start = moves.length;
  addMoves(moves, spans);
  return moves.slice(start);
}

function carryShifts(
  spec: Parameters<typeof carryMoves>[1],
  lists: readonly Moves[],
  values: number[],
  raw: number,
) {
  const { moves, spans } = laid(lists);
  const start = moves.length;
  carryMoves(moves, spec, spans, values, raw);
  return moves.slice(start);
}

function spanOf(list: Moves) {
  const span = { start: 0, end: list.length };
  return { below: spanBelow(list, span), above: spanAbove(list, span) };
}

const some = fc.uniqueArray(fc.nat(12), { maxLength: 6 }).chain((roots) =>
  fc
    .array(
      fc.tuple(fc.double({ min: -9, max: 0, noNaN: true }), fc.double({ min: 0, max: 9, noNaN: true })),
      {
        minLength: roots.length,
        maxLength: roots.length,
      },
    )
    .map((moves): Moves =>
      [...roots].sort((a, b) => a - b).flatMap((root, i) => [root, ...(moves[i] ?? [0, 0])]),
    ),
);
const added = { id: 'sum', asList: (v: readonly number[]) => v.reduce((a, b) => a + b, 0) };

describe('moves of roots', () => {
  it('of an addition are the same whether added or reckoned anew', () => {
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 5 }), (moves) => {
        const values = moves.map((_, i) => 10 * (i + 1));
        const carried = carryShifts(added, moves, values, added.asList(values));
        const direct = addShifts(moves);
        return (
          carried.length === direct.length &&
          carried.every((value, i) => Math.abs(value - (direct[i] ?? NaN)) < 1e-9)
        );
      }),
    );
  });

  it('list every root once, upwards', () => {
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 5 }), (moves) => {
        const roots = addShifts(moves).filter((_, i) => i % 3 === 0);
        const all = new Set(moves.flatMap((move) => move.filter((_, i) => i % 3 === 0)));
        return roots.length === all.size && roots.every((root, i) => i === 0 || root > (roots[i - 1] ?? NaN));
      }),
    );
  });

  it('span to both sides whichever end of a root goes there, by hand: √(3² + 4²)', () => {
    expect(spanOf([0, -3, 3, 1, 4, -4])).toEqual({ below: 5, above: 5 });
    expect(spanOf([0, 2, 1])).toEqual({ below: 0, above: 2 });
    expect(spanOf([])).toEqual({ below: 0, above: 0 });
  });

  it('refuse a sum whose range has no end', () => {
    const inverse = { id: 'bad', f: (x = 0) => 1 / x };
    expect(() => carryShifts(inverse, [[0, -1, 1]], [1], 1)).toThrow(/no end/);
  });
});

describe('sums', () => {
  it('are called with as many inputs as they have', () => {
    for (let n = 1; n <= 12; n += 1) {
      const values = Array.from({ length: n }, (_, i) => i + 1);
      expect(sumOf({ id: 's', f: (...v) => v.length * 100 + (v.at(-1) ?? 0) }, values)).toBe(n * 100 + n);
    }
    expect(() => sumOf({ id: 's' }, [1])).toThrow(/how it is reckoned/);
  });

  it('name their inputs once each, in the order in which they stand', () => {
    expect(idsIn('{a.b} × ({c} − {a.b}) ÷ 2')).toEqual(['a.b', 'c']);
    expect(idsIn('no figure at all')).toEqual([]);
    expect(idsIn('{a.b} × ({c} − {a.b}) ÷ 2')).toBe(idsIn('{a.b} × ({c} − {a.b}) ÷ 2'));
  });
});

describe('the ledger of a plan', () => {
  const ledger = (stated: Record<string, number> = {}) => {
    const one = new Figures(stated);
    one.given('n', 'Pieces', 'pieces', 12, 'stated', 'As asked.');
    one.start('g', 'Each', 'g', { value: 50, spread: 2, basis: 'typical' }, 'Usual.', { min: 10, max: 90 });
    one.calc('all', 'All', 'g', '{n} × {g}', (n = 0, g = 0) => n * g, 'Each times pieces.', {
      pin: { min: 1, max: 9000 },
    });
    one.total('sum', 'Sum', 'g', ['all', 'g'], 'Both.');
    one.smallest('least', 'Least', 'pieces', ['n', 'g'], 'Whichever is less.', 'floor');
    return one;
  };

  it('reckons, ranges and explains', () => {
    const all = ledger().figure('all');
    expect([all.value, all.low, all.high]).toEqual([600, 576, 624]);
    expect(all.why).toEqual({ sentence: 'Each times pieces.', sum: '{n} × {g}', inputs: ['n', 'g'] });
    const sum = ledger().figure('sum');
    // The same root moves both terms: 12 × 2 + 2 to either side.
    expect([sum.value, sum.low, sum.high, sum.why.sum]).toEqual([650, 624, 676, '{all} + {g}']);
    expect(ledger().figure('least')).toMatchObject({
      value: 12,
      why: { sum: 'the smallest of {n} and {g}' },
    });
  });

  it('takes what was measured, within its bounds only', () => {
    expect(ledger({ g: 60 }).value('all')).toBe(720);
    expect(ledger({ all: 500 }).value('sum')).toBe(550);
    for (const [id, value] of [
      ['g', 5],
      ['g', NaN],
      ['all', 9001],
      ['all', -Infinity],
    ] as const) {
      let caught: unknown;
      try {
        ledger({ [id]: value });
      } catch (error) {
        caught = error;
      }
      expect(caught).toBeInstanceOf(OutOfBounds);
      expect((caught as OutOfBounds).at.id).toBe(id);
    }
  });

  it('draws roots anew and holds what was decided, for sampling', () => {
    const drawn = new Ledger({}, { root: (_, value, spread) => value + spread, held: () => 7 });
    const root = { label: '', unit: 'g', basis: 'typical', sentence: '' } as const;
    drawn.input({ ...root, id: 'a', value: 10, spread: 1 });
    drawn.input({ ...root, id: 'exact', value: 10, spread: 0 });
    const sum = { label: '', unit: 'g', from: ['a'], sentence: '', sum: '{a}', f: (a = 0) => a } as const;
    drawn.derive({ ...sum, id: 'free' });
    drawn.derive({ ...sum, id: 'decided', decide: { step: 5, how: 'nearest' } });
    expect(['a', 'exact', 'free', 'decided'].map((id) => drawn.value(id))).toEqual([11, 10, 11, 7]);
  });

  it('rounds as it was told, never below the least', () => {
    const of = (value: number, decide: Parameters<Figures['calc']>[6]) => {
      const one = new Figures({});
      one.given('x', 'X', 'g', value, 'stated', 'X.');
      return one.calc('y', 'Y', 'g', '{x}', (x = 0) => x, 'Y.', decide);
    };
    expect(of(54.4, { decide: toScale(1) })).toBe(54);
    expect(of(54.4, { decide: toScale(5) })).toBe(55);
    expect(of(0.2, { decide: toScale(1) })).toBe(1);
    expect(of(59, { decide: { step: 30, how: 'down' } })).toBe(30);
    expect(of(31, { decide: { step: 30, how: 'up' } })).toBe(60);
    expect(of(11.9999999999, { whole: 'floor' })).toBe(12);
    expect(of(12.0000000001, { whole: 'ceil' })).toBe(12);
  });

  it('writes measures for the reader’s own units', () => {
    expect([gramsText(5.44), gramsText(54.4)]).toEqual(['{5.4 g}', '{54 g}']);
    expect(percentText(0.1234)).toBe('12 %');
  });
});
