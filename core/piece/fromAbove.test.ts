import fc from 'fast-check';
import {
  WELL_APART_MM,
  mugOuterMm,
  mugsOnPlate,
  plateFromAbove,
  rackFromAbove,
  tinLayout,
  tinsOnRack,
  trayFromAbove,
} from './fromAbove';
import { boundsOf, type Patch } from './outline';
import { mugWidthMm } from './shape/mug';

const middle = ({ points }: Patch) => {
  const { left, right, bottom, top } = spanOf(points);
  return { x: (left + right) / 2, y: (bottom + top) / 2, across: right - left };
};
function spanOf(points: Patch['points']) {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) };
}

describe('a tin from above', () => {
  it('of twelve wells of 70 mm is four by three: 4 × 70 + 5 × 14 = 350 mm by 266', () => {
    expect(tinLayout(12, 70, 70)).toEqual({ columns: 4, rows: 3, acrossMm: 350, deepMm: 266 });
  });

  it('lays long wells side by side: eight bars of 100 by 40 mm', () => {
    // Two columns of four: 2 × 100 + 3 × 14 = 242 and 4 × 40 + 5 × 14 = 230; one of eight would be 128 by 446.
    expect(tinLayout(8, 100, 40)).toEqual({ columns: 2, rows: 4, acrossMm: 242, deepMm: 230 });
  });

  it('has room for every well, and no shape of the same wells has a shorter rim', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 96 }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        (wells, a, b) => {
          const [long, wide] = [Math.max(a, b), Math.min(a, b)];
          const tin = tinLayout(wells, long, wide);
          expect(tin.columns * tin.rows).toBe(wells);
          expect(tin.acrossMm * tin.deepMm).toBeGreaterThan(wells * long * wide);
          const row = wells * (long + WELL_APART_MM) + WELL_APART_MM + wide + 2 * WELL_APART_MM;
          expect(tin.acrossMm + tin.deepMm).toBeLessThanOrEqual(row + 1e-9);
        },
      ),
    );
  });
});

describe('a rack', () => {
  const tin = tinLayout(12, 70, 70);

  it('of 450 by 370 mm takes one such tin, of 560 by 370 two turned', () => {
    expect(tinsOnRack({ widthMm: 450, depthMm: 370 }, tin)).toEqual({ fit: 1, turned: false });
    // 560 ÷ 350 is one; 560 ÷ 266 is two, and 350 goes into 370.
    expect(tinsOnRack({ widthMm: 560, depthMm: 370 }, tin)).toEqual({ fit: 2, turned: true });
    expect(tinsOnRack({ widthMm: 300, depthMm: 260 }, tin).fit).toBe(0);
  });

  it('never takes fewer for being larger', () => {
    const side = fc.double({ min: 150, max: 1200, noNaN: true });
    fc.assert(
      fc.property(side, side, fc.double({ min: 0, max: 300, noNaN: true }), (widthMm, depthMm, more) => {
        const { fit } = tinsOnRack({ widthMm, depthMm }, tin);
        expect(tinsOnRack({ widthMm: widthMm + more, depthMm }, tin).fit).toBeGreaterThanOrEqual(fit);
        expect(tinsOnRack({ widthMm, depthMm: depthMm + more }, tin).fit).toBeGreaterThanOrEqual(fit);
      }),
    );
  });

  it('is drawn with its tins inside it, never over one another, each with all its wells', () => {
    const side = fc.double({ min: 150, max: 1200, noNaN: true });
    fc.assert(
      fc.property(side, side, fc.integer({ min: 1, max: 8 }), (widthMm, depthMm, wanted) => {
        const rack = { widthMm, depthMm };
        const { patches } = rackFromAbove(rack, tin, { longMm: 70, wideMm: 70 }, wanted);
        const [frame, ...rest] = patches;
        const tins = rest.filter(({ material }) => material === 'vessel').map(({ points }) => spanOf(points));
        expect(tins).toHaveLength(Math.min(wanted, tinsOnRack(rack, tin).fit));
        expect(rest.filter(({ material }) => material === 'batter')).toHaveLength(12 * tins.length);
        const inside = spanOf(frame?.points ?? []);
        for (const one of tins) {
          expect(one.left).toBeGreaterThanOrEqual(inside.left);
          expect(one.right).toBeLessThanOrEqual(inside.right);
          expect(one.bottom).toBeGreaterThanOrEqual(-1e-9);
          expect(one.top).toBeLessThanOrEqual(depthMm + 1e-9);
          for (const other of tins) {
            if (other === one) continue;
            const apart =
              other.left >= one.right - 1e-9 ||
              other.right <= one.left + 1e-9 ||
              other.bottom >= one.top - 1e-9 ||
              other.top <= one.bottom + 1e-9;
            expect(apart).toBe(true);
          }
        }
      }),
    );
  });
});

describe('a turning plate', () => {
  it('of 270 mm takes six mugs of 320 ml, whose outside is some 79 mm', () => {
    // The ring of their middles is (270 − 78.8) ÷ 2 = 95.6 mm: six stand 95.6 apart, seven 83.0, and 83.8 are wanted.
    expect(mugOuterMm(mugWidthMm(320))).toBeCloseTo(78.8, 0);
    expect(mugsOnPlate(270, 78.8)).toBe(6);
    expect(mugsOnPlate(100, 79)).toBe(1);
    expect(mugsOnPlate(78, 79)).toBe(0);
  });

  it('is drawn with its mugs on it and apart', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 500, noNaN: true }),
        fc.double({ min: 60, max: 3000, noNaN: true }),
        fc.integer({ min: 1, max: 12 }),
        (plateMm, volumeMl, wanted) => {
          const inside = mugWidthMm(volumeMl);
          const { patches } = plateFromAbove(plateMm, inside, wanted);
          const mugs = patches.filter(({ material }) => material === 'vessel').map(middle);
          expect(mugs).toHaveLength(Math.min(wanted, mugsOnPlate(plateMm, mugOuterMm(inside))));
          for (const mug of mugs) {
            const out = Math.hypot(mug.x, mug.y - plateMm / 2) + mug.across / 2;
            expect(out).toBeLessThanOrEqual(plateMm / 2 + 0.5);
            for (const other of mugs)
              if (other !== mug)
                expect(Math.hypot(mug.x - other.x, mug.y - other.y)).toBeGreaterThan(mugOuterMm(inside));
          }
        },
      ),
    );
  });
});

describe('a tray for the cold', () => {
  it('is drawn with as many balls as it takes, all on it', () => {
    const { patches } = trayFromAbove(300, 200, 35, 10);
    const [tray, ...balls] = patches;
    expect(balls).toHaveLength(24);
    expect(boundsOf(patches)).toEqual({ left: -150, right: 150, bottom: 0, top: 200 });
    expect(spanOf(tray?.points ?? [])).toEqual({ left: -150, right: 150, bottom: 0, top: 200 });
    for (const ball of balls) expect(middle(ball).across).toBeCloseTo(35, 6);
  });
});
