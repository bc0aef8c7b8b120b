import fc from 'fast-check';
import { bakeTimeS } from './bakeTime';
import { coolTimeS, scaleConstantS } from './cool';
import { evenLoads, fullLoads } from './loads';
import { TYPICAL_TIMES } from './typicalTimes.table';

const usual = { batterC: 21, doneC: 97 };

describe('bakeTimeS', () => {
  it.each(TYPICAL_TIMES)('comes within 10 % of the typical time: $what', ({ massG, ovenC, minutes }) => {
    const time = bakeTimeS({ ...usual, massG, airC: ovenC }) / 60;
    expect(Math.abs(time / minutes - 1)).toBeLessThan(0.1);
  });

  it('grows with mass, falls with a hotter oven and with warmer batter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 130, max: 230, noNaN: true }),
        (massG, airC) => {
          const time = bakeTimeS({ ...usual, massG, airC });
          return (
            bakeTimeS({ ...usual, massG: massG * 1.1, airC }) > time &&
            bakeTimeS({ ...usual, massG, airC: airC + 10 }) < time &&
            bakeTimeS({ massG, airC, doneC: 97, batterC: 30 }) < time
          );
        },
      ),
    );
  });
});

describe('cooling', () => {
  it('takes 47 min from 95 to 25 °C at 21 °C with a constant of 16 min, by hand: 16·ln(74/4)', () => {
    expect(coolTimeS(960, 95, 25, 21) / 60).toBeCloseTo(46.68, 1);
  });

  it('takes no time where it is cool already, and is not asked to cool below the room', () => {
    expect(coolTimeS(960, 24, 25, 21)).toBe(0);
    expect(() => coolTimeS(960, 95, 20, 21)).toThrow(/room/);
  });

  it('takes eight times the mass four times as long', () => {
    expect(scaleConstantS(960, 48, 384)).toBeCloseTo(3840, 6);
  });
});

describe('loads', () => {
  it('evens out the last load', () => {
    expect(evenLoads(30, 12)).toEqual([10, 10, 10]);
    expect(fullLoads(30, 12)).toEqual([12, 12, 6]);
    expect(evenLoads(25, 12)).toEqual([9, 8, 8]);
    expect(evenLoads(0, 12)).toEqual([]);
  });

  it('loses no piece, overfills no tin and needs no more loads than full ones would', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 96 }), (pieces, wells) => {
        const loads = evenLoads(pieces, wells);
        return (
          loads.reduce((a, b) => a + b, 0) === pieces &&
          Math.max(...loads) <= wells &&
          Math.max(...loads) - Math.min(...loads) <= 1 &&
          loads.length === fullLoads(pieces, wells).length
        );
      }),
    );
  });
});
