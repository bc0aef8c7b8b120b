import fc from 'fast-check';
import { bisect } from '../numeric/bisect';
import { leastSquares } from '../numeric/leastSquares';
import { barAs, roundAs } from '../piece';
import { bakeModel, type BakeModelInput } from './bakeModel';
import { BAKE_MODEL_RESIDUALS } from './bakeModel.table';
import { bakeSurrogateS, sheetSurrogateS } from './bakeSurrogate';
import { SHEET_SURROGATE, SURROGATE } from './bakeSurrogate.table';
import { scaleConstantS } from './cool';
import { coolTimeS } from './test-utils/cool';
import { evenLoads, fullLoads } from './loads';
import { LINER_FACTOR, TIN_FACTOR } from './oven.table';
import { HELD_OUT_TIMES, TYPICAL_TIMES, type TypicalTime } from './typicalTimes.table';

const STANDARD = TYPICAL_TIMES[1] as TypicalTime;
const inputOf = ({ pan, massG, lossShare, ovenC }: TypicalTime): BakeModelInput => ({
  pan,
  massG,
  batterDensity: 0.9,
  cakeDensity: 0.43,
  lossShare,
  airC: ovenC,
  batterC: 21,
  doneC: 97,
});

describe('the baking model', () => {
  it.each(TYPICAL_TIMES)('$what: within 10 % of the typical time of a piece, 20 % of a cake', (typical) => {
    const { timeS, energyError } = bakeModel(inputOf(typical));
    expect(Math.abs(timeS / 60 / typical.minutes - 1)).toBeLessThan(typical.kind === 'piece' ? 0.1 : 0.2);
    expect(Math.abs(energyError)).toBeLessThan(1e-3);
  });

  it.each(HELD_OUT_TIMES)('$what: within 10 % as well, though it was not fitted to it', (typical) => {
    const input = inputOf(typical);
    const { timeS, energyError } = bakeModel({ ...input, massG: input.massG * typical.share });
    expect(Math.abs(timeS / 60 / typical.minutes - 1)).toBeLessThan(0.1);
    expect(Math.abs(energyError)).toBeLessThan(1e-3);
  });

  it('takes a finger tin for the round one of area over half its girth, by hand: 100 × 40 mm is 28.6 mm', () => {
    const { radiusM, share } = barAs(0.1, 0.04);
    expect(radiusM).toBeCloseTo(0.02857, 5);
    expect(share).toBeCloseTo((Math.PI * 0.02857 ** 2) / 0.004, 3);
  });

  it('gives for the resistance of a wall what the factors of tins and liners say', () => {
    // Over that of a lined light metal tin, m²K/W: thickness over conductivity, with the air caught.
    const walls = { silicone: 0.007, doublePaper: 0.0035, none: -0.0018 };
    const usual = inputOf(STANDARD);
    const time = bakeModel(usual).timeS;
    const slower = (resistance: number) => bakeModel({ ...usual, wallResistance: resistance }).timeS / time;
    expect(Math.abs(slower(walls.silicone) / TIN_FACTOR.silicone - 1)).toBeLessThan(0.02);
    expect(Math.abs(slower(walls.doublePaper) / LINER_FACTOR['double paper'] - 1)).toBeLessThan(0.02);
    expect(Math.abs(slower(walls.none) / LINER_FACTOR.none - 1)).toBeLessThan(0.02);
  });

  it('draws a curve that starts at the batter and ends done, never cooling', () => {
    const { curve, timeS } = bakeModel(inputOf(STANDARD));
    expect(curve[0]).toMatchObject({ timeS: 0, coldestC: 21 });
    expect(curve.at(-1)?.coldestC).toBeGreaterThanOrEqual(97);
    expect(Math.abs((curve.at(-1)?.timeS ?? 0) - timeS)).toBeLessThan(20);
    curve.slice(1).forEach(({ coldestC, meanC }, i) => {
      expect(coldestC).toBeGreaterThanOrEqual((curve[i]?.coldestC ?? 0) - 1e-6);
      expect(meanC).toBeGreaterThanOrEqual(coldestC - 1e-6);
    });
  });

  it('has residuals on record that are its own', () => {
    BAKE_MODEL_RESIDUALS.forEach((row, i) => {
      const typical = TYPICAL_TIMES[i] as TypicalTime;
      expect(row.what).toBe(typical.what);
      expect(Math.abs(bakeModel(inputOf(typical)).timeS / 60 / row.fitted - 1)).toBeLessThan(0.005);
    });
  });

  it('takes longer with more mass, a cooler oven, colder batter; less with a fan', () => {
    const usual = inputOf(STANDARD);
    const time = bakeModel(usual).timeS;
    const longer: Partial<BakeModelInput>[] = [
      { massG: 55 },
      { airC: 165 },
      { batterC: 8 },
      { wallResistance: 0.01 },
    ];
    for (const over of longer) expect(bakeModel({ ...usual, ...over }).timeS).toBeGreaterThan(time);
    expect(bakeModel({ ...usual, coefficientFactor: 1.4 }).timeS).toBeLessThan(time * 0.85);
    // Dialled 20 °C lower, a fan oven bakes about as a still one does: the kitchen rule holds within a tenth.
    expect(
      Math.abs(bakeModel({ ...usual, airC: 155, coefficientFactor: 1.4 }).timeS / time - 1),
    ).toBeLessThan(0.1);
  });

  it('hardly moves with a finer grid', () => {
    const [coarse, fine] = [9, 14].map((cells) => bakeModel(inputOf(STANDARD), undefined, cells).timeS);
    expect(Math.abs((coarse ?? 0) / (fine ?? 1) - 1)).toBeLessThan(0.005);
  });

  it('refuses what no oven does', () => {
    expect(() => bakeModel({ ...inputOf(STANDARD), massG: 0 })).toThrow(/mass/);
    expect(() => bakeModel({ ...inputOf(STANDARD), airC: 100 })).toThrow(/hotter/);
  });
});

describe('the quick form of it', () => {
  const pieces = TYPICAL_TIMES.filter(({ kind }) => kind === 'piece');
  it.each(pieces)('$what: follows the model', (typical) => {
    const input = inputOf(typical);
    expect(Math.abs(bakeSurrogateS(input) / bakeModel(input).timeS - 1)).toBeLessThan(0.03);
  });

  it('follows the model for bowls, from flat ones to deep ones, half to well full', () => {
    for (const topMm of [50, 70, 85]) {
      for (const [deep, full] of [
        [0.5, 0.5],
        [0.5, 0.62],
        [0.4, 0.55],
      ] as const) {
        const depthM = (topMm * deep) / 1000;
        const massG = ((Math.PI * topMm ** 2 * topMm * deep) / 6000) * full * 0.9;
        const pan = { shape: 'bowl' as const, baseRadiusM: 0, topRadiusM: topMm / 2000, depthM };
        const input = { ...inputOf(STANDARD), pan, massG };
        expect(Math.abs(bakeSurrogateS(input) / bakeModel(input).timeS - 1)).toBeLessThan(0.05);
      }
    }
  });

  it.each([
    [330, 230, 1150],
    [330, 230, 700],
    [200, 200, 450],
    [400, 300, 1600],
  ])('follows the model for a sheet of %d × %d mm with %d g', (length, width, massG) => {
    const pan = roundAs(length / 1000, width / 1000, 0.05);
    const input = { ...inputOf(STANDARD), pan, massG, lossShare: 0.09 };
    expect(Math.abs(sheetSurrogateS(input) / bakeModel(input).timeS - 1)).toBeLessThan(0.06);
    expect(SHEET_SURROGATE.rms).toBeLessThan(0.03);
  });

  it('keeps its error on record: 2 % in the mean, 5 % at worst', () => {
    expect(SURROGATE.rms).toBeLessThan(0.02);
    expect(SURROGATE.worst).toBeLessThan(0.05);
  });

  it('grows with mass, falls with a hotter oven and with warmer batter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 70, noNaN: true }),
        fc.double({ min: 152, max: 215, noNaN: true }),
        fc.double({ min: 10, max: 28, noNaN: true }),
        (massG, airC, batterC) => {
          const input = { ...inputOf(STANDARD), massG, airC, batterC };
          const time = bakeSurrogateS(input);
          return (
            bakeSurrogateS({ ...input, massG: massG * 1.05 }) > time &&
            bakeSurrogateS({ ...input, airC: airC + 4 }) < time &&
            bakeSurrogateS({ ...input, batterC: batterC + 3 }) < time
          );
        },
      ),
    );
  });
});

describe('numbers for fitting', () => {
  it('finds the weights of a plane, by hand: y = 2 + 3a − b', () => {
    const rows = [
      [1, 0, 0],
      [1, 1, 0],
      [1, 0, 1],
      [1, 2, 3],
    ];
    const weights = leastSquares(rows, [2, 5, 1, 5]);
    expect(weights.map((weight) => Number(weight.toFixed(6)))).toEqual([2, 3, -1]);
    expect(() => leastSquares([[1, 2]], [1])).toThrow(/fewer/);
  });
  it('finds where a rising function reaches a value', () => {
    expect(bisect((x) => x * x, 2, 0, 2)).toBeCloseTo(Math.SQRT2, 5);
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
