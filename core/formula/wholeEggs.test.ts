import fc from 'fast-check';
import { LEAST_LOSS, MOST_SURPLUS, settleEggs } from './wholeEggs';

describe('eggs', () => {
  it.each([
    [8.02, 8, 'down'],
    [3.08, 3, 'down'],
    [0.2, 0.2, 'weighed'],
    [5.386, 5.386, 'weighed'],
    [2.8, 3, 'up'],
    [2.95, 3, 'up'],
    [4, 4, 'even'],
    [0.96, 1, 'up'],
  ] as const)('%d are %d: %s', (exact, used, how) => {
    expect(settleEggs(exact, 'follow')).toMatchObject({ used, how });
  });

  it('cost no portion more than 3 % of itself, leave no more than 8 % over, and bend no proportion', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 200, noNaN: true }), (exact) => {
        const { used, how } = settleEggs(exact, 'follow');
        if (how === 'weighed') return used === exact;
        return (
          Number.isInteger(used) && used >= exact * (1 - LEAST_LOSS) && used <= exact * (1 + MOST_SURPLUS)
        );
      }),
    );
  });

  it('go as somebody chose, and never to none', () => {
    expect(settleEggs(2.4, 'up')).toMatchObject({ used: 3, rest: 'follows' });
    expect(settleEggs(2.9, 'down')).toMatchObject({ used: 2, rest: 'follows' });
    expect(settleEggs(0.3, 'down')).toMatchObject({ used: 1 });
    expect(settleEggs(2.4, 'nearest')).toMatchObject({ used: 2, rest: 'exact' });
  });
});
