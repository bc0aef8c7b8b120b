import fc from 'fast-check';
import { mergeDocuments } from './mergeDocuments';
import { nameOf, type Json } from './threeWay';

describe('two windows that both learn', () => {
  const belief = (mean: number, seen: number, of = 'oven:hall') => ({
    param: 'oven.factor',
    of,
    mean,
    spread: 0.05,
    seen,
    since: '2026-11-20',
    learned: true,
  });
  const said = { param: 'mix.loss', of: 'kitchen', mean: 12, spread: 0, seen: 1, since: '2026-11-01' };
  const kitchen = (...beliefs: Json[]): Json => ({ kind: 'kitchen', name: 'Hall', beliefs });

  it('leave one belief of one oven, from the more outcomes, and nobody is asked', () => {
    const base = kitchen(said, belief(1.05, 3));
    const merged = mergeDocuments(base, kitchen(said, belief(1.08, 4)), kitchen(said, belief(1.11, 5)));
    expect(merged).toEqual({ value: kitchen(said, belief(1.11, 5)), clashes: [] });
  });

  it('keep what one of them let go, where the other learned nothing meanwhile', () => {
    const base = kitchen(said, belief(1.05, 3));
    const renamed = { kind: 'kitchen', name: 'Chapel', beliefs: [said, belief(1.05, 3)] };
    expect(mergeDocuments(base, renamed, kitchen(said)).value).toEqual({
      kind: 'kitchen',
      name: 'Chapel',
      beliefs: [said],
    });
  });

  it('never hold two of one thing, and end alike whichever is asked first', () => {
    const some = fc
      .array(
        fc.record({
          of: fc.constantFrom('oven:a', 'oven:b', 'oven:c'),
          seen: fc.integer({ min: 1, max: 5 }),
        }),
        { maxLength: 5 },
      )
      .map((all) => [...new Map(all.map(({ of, seen }) => [of, belief(1 + seen / 100, seen, of)])).values()]);
    fc.assert(
      fc.property(some, some, some, (old, theirs, mine) => {
        const [base, a, b] = [kitchen(said, ...old), kitchen(said, ...theirs), kitchen(said, ...mine)];
        const beliefs = (doc: Json | undefined) => (doc as { beliefs: Json[] }).beliefs;
        const one = beliefs(mergeDocuments(base, a, b).value).map(nameOf);
        expect(new Set(one).size).toBe(one.length);
        expect([...one].sort()).toEqual(
          beliefs(mergeDocuments(base, b, a).value)
            .map(nameOf)
            .sort(),
        );
      }),
    );
  });
});
