import fc from 'fast-check';
import {
  ball,
  box,
  halfSphereCavity,
  narrowerSavesG,
  planDip,
  planShell,
  shellMassG,
  stadiumCavity,
} from './test-utils/coat';
import { cutSheet, portionOffers, scoopMl } from './portion';
import { ballMassG } from './test-utils/portion';

const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('balls and scoops', () => {
  it.each([
    [30, 16],
    [32, 19],
    [35, 25],
    [40, 38],
  ])('%d mm of dough is about %d g', (mm, g) => expect(Math.round(ballMassG(mm, 1.12))).toBe(g));

  it('takes a scoop’s number for its share of a quart', () => {
    expect(scoopMl(40)).toBeCloseTo(23.65, 2);
    expect(() => scoopMl(0)).toThrow(/numbered/);
  });
});

describe('sharing dough out', () => {
  it('offers 41 × 22.4 g and 40 × 23 g of 920 g at 23 g', () => {
    const offers = portionOffers(920, 23, 0.1);
    expect(offers[0]).toMatchObject({ count: 40, eachG: 23 });
    expect(offers.some(({ count, eachG }) => count === 41 && Math.abs(eachG - 22.4) < 1e-9)).toBe(true);
  });

  it('never gives out more than there is, nor leaves a step of the scale a piece', () => {
    fc.assert(
      fc.property(positive(100, 5000), positive(8, 60), fc.constantFrom(0.1, 1), (dough, aim, step) => {
        const offers = portionOffers(dough, aim, step);
        const sound = offers.every(
          ({ count, eachG, leftG }) => Math.abs(count * eachG + leftG - dough) < 1e-6 && leftG >= -1e-6,
        );
        const best = offers[0];
        return sound && (dough < aim || !best || best.leftG <= Math.max(best.count * step, aim));
      }),
    );
  });
});

describe('a sheet cut up', () => {
  it('makes 30 cubes of a 230 × 190 mm sheet, by hand', () => {
    // (230 − 10 − 5 × 1) ÷ 6 = 35.83; (190 − 10 − 4 × 1) ÷ 5 = 35.2.
    const plan = cutSheet(230, 190, 6, 5, 5, 1);
    expect(plan.count).toBe(30);
    expect(plan.pieceMm.map((mm) => Number(mm.toFixed(2)))).toEqual([35.83, 35.2]);
    // The first cut along six columns goes through the middle.
    expect(plan.cutsAcrossMm[0]).toBeCloseTo((230 - 10) / 2, 9);
    expect(plan.cutsAcrossMm).toHaveLength(5);
    expect(() => cutSheet(100, 100, 50, 1, 10, 2)).toThrow(/leave/);
  });
});

describe('coats', () => {
  it('weighs 6.3 g on a 35 mm ball at 1.2 mm, by hand: 1.28 × π/6 × (37.4³ − 35³)', () => {
    expect(shellMassG(ball(35), 1.2)).toBeCloseTo((1.28 * Math.PI * (37.4 ** 3 - 35 ** 3)) / 6000, 9);
    expect(shellMassG(ball(35), 1.2)).toBeCloseTo(6.33, 1);
  });

  it('is never lighter where it is thicker, and nears area × thickness as it gets thin', () => {
    fc.assert(
      fc.property(positive(15, 60), positive(0.2, 3), fc.boolean(), (mm, t, round) => {
        const solid = round ? ball(mm) : box(mm, mm * 0.8, mm * 0.6);
        const thin = (1.28 * solid.areaCm2 * 0.001) / 10;
        return (
          shellMassG(solid, t * 1.1) > shellMassG(solid, t) &&
          Math.abs(shellMassG(solid, 0.001) / thin - 1) < 1e-3
        );
      }),
    );
  });

  it('melts what goes on the pieces and what the pool strands, and a narrower vessel strands less', () => {
    const plan = planDip(ball(35), 36, 1.2, 80, true);
    expect(plan.coatG).toBeCloseTo(36 * shellMassG(ball(35), 1.2), 9);
    expect(plan.anchorG).toBeCloseTo(14.4, 9);
    expect(plan.meltG).toBeCloseTo(plan.coatG + plan.anchorG + plan.dripG + plan.strandedG, 9);
    // π/4 × 8² × 4.5 cm = 226 ml, less a ball of 22.4 ml: 261 g at 1.28.
    expect(plan.strandedG).toBeCloseTo((226.19 - 22.45) * 1.28, 0);
    expect(narrowerSavesG(ball(35), 36, 80, 60)).toBeGreaterThan(100);
    expect(planDip(ball(35), 0, 1.2, 80, true).meltG).toBe(0);
  });
});

describe('moulded shells', () => {
  const classic = stadiumCavity(70, 39, 20);
  it('finds a classic cavity of about 48 ml, a half-sphere by π·d³/12', () => {
    expect(classic.volumeMl).toBeGreaterThan(45);
    expect(classic.volumeMl).toBeLessThan(51);
    expect(halfSphereCavity(60).volumeMl).toBeCloseTo((Math.PI * 216) / 12, 9);
  });

  it('keeps every millilitre: shell, back plate, filling and stick fill the cavity', () => {
    fc.assert(
      fc.property(positive(0.8, 3), positive(0, 1.5), (shellMm, stickMl) => {
        const plan = planShell(classic, shellMm, 1.12, stickMl);
        const ml =
          (plan.firstCoatG + plan.secondCoatG + plan.backPlateG) / 1.28 + plan.fillingG / 1.12 + stickMl;
        return Math.abs(ml - classic.volumeMl) < 1e-9 * classic.volumeMl;
      }),
    );
  });

  it('says when a shell will crack or cloy, and holds less filling the thicker it is', () => {
    expect(planShell(classic, 1, 1.12, 0.8).verdict).toBe('too thin');
    expect(planShell(classic, 1.8, 1.12, 0.8).verdict).toBe('sound');
    expect(planShell(classic, 2.8, 1.12, 0.8).verdict).toBe('too thick');
    expect(planShell(classic, 2.4, 1.12, 0.8).fillingG).toBeLessThan(
      planShell(classic, 1.8, 1.12, 0.8).fillingG,
    );
    expect(() => planShell(classic, 12, 1.12, 0.8)).toThrow(/room/);
  });
});
