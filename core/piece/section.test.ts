import fc from 'fast-check';
import {
  ballSection,
  boundsOf,
  cubeSection,
  fingerSection,
  mouldedSection,
  mugSection,
  scoopSection,
  onCake,
  pairSection,
} from '.';
import type { Patch } from '.';

/** Area of a closed outline, mm², by the shoelace formula. */
function area({ points }: Patch): number {
  return Math.abs(
    points.reduce((sum, { x, y }, i) => {
      const next = points[(i + 1) % points.length] ?? { x: 0, y: 0 };
      return sum + x * next.y - next.x * y;
    }, 0) / 2,
  );
}
const of = (patches: readonly Patch[], material: Patch['material']) =>
  patches.filter((patch) => patch.material === material);
const areaOf = (patches: readonly Patch[], material: Patch['material']) =>
  of(patches, material).reduce((sum, patch) => sum + area(patch), 0);
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('a piece cut through', () => {
  it('shows a ball of 36 mm under 2 mm of coat as 40 mm across, its stick half-way in', () => {
    const { patches } = ballSection(36, 2, true);
    const { left, right, top } = boundsOf(of(patches, 'coat'));
    expect(right - left).toBeCloseTo(40, 6);
    expect(area(of(patches, 'crumb')[0] as Patch)).toBeCloseTo(Math.PI * 18 * 18, -1);
    expect(boundsOf(of(patches, 'stick')).top).toBeCloseTo(top - 20, 6);
    expect(ballSection(36, 0, false).patches.map(({ material }) => material)).toEqual(['crumb']);
  });

  it('shows a coat that grows with its thickness round the same cake', () => {
    fc.assert(
      fc.property(mm(20, 60), mm(15, 50), mm(0.5, 2), mm(0.1, 2), (length, height, coat, more) => {
        const thin = cubeSection(length, height, coat);
        const thick = cubeSection(length, height, coat + more);
        return (
          areaOf(thick.patches, 'coat') > areaOf(thin.patches, 'coat') &&
          Math.abs(areaOf(thin.patches, 'crumb') - length * height) < 1e-6
        );
      }),
    );
  });

  it.each(['stadium', 'half-ellipsoid', 'box'] as const)(
    'keeps the filling of a %s inside its shell',
    (shape) => {
      fc.assert(
        fc.property(mm(40, 90), mm(16, 40), mm(0.8, 3), mm(0.8, 3), (lengthMm, depthMm, shell, back) => {
          const { patches } = mouldedSection({ shape, lengthMm, depthMm }, shell, back, false);
          const inner = boundsOf(of(patches, 'crumb'));
          return (
            inner.right <= lengthMm / 2 - shell + 1e-6 &&
            inner.top <= depthMm - back + 1e-6 &&
            areaOf(patches, 'crumb') < areaOf(patches, 'coat')
          );
        }),
      );
    },
  );

  it('fills a mug of 320 ml to its share, by hand: ∛(4000 × 320 ÷ (π × 1.15)) is 70.8 mm', () => {
    const { fill, marks } = mugSection(320, 0.42, 0.8, 60);
    const rim = marks.find(({ words }) => words === 'rim')?.y ?? 0;
    expect(rim).toBeCloseTo(70.8 * 1.15, 0);
    expect((fill?.y ?? 0) / rim).toBeCloseTo(0.42, 6);
    expect((Math.PI * 70.8 ** 2 * rim) / 4000).toBeCloseTo(320, -1);
  });

  it('puts two halves round their filling, and a coat round both', () => {
    const { patches } = pairSection(70, 4, 1.2);
    const { bottom, top } = boundsOf(patches);
    expect(top - bottom).toBeCloseTo(70 + 4 + 2.4, 6);
    expect(areaOf(patches, 'filling')).toBeCloseTo(280, 6);
  });

  it('shows as many channels as a finger has, none once they hold nothing', () => {
    expect(of(fingerSection(100, 30, 3, 4).patches, 'filling')).toHaveLength(3);
    expect(of(fingerSection(100, 30, 3, 0).patches, 'filling')).toHaveLength(0);
  });

  it('stands frosting on the cake and sinks the core into it', () => {
    const patches = onCake(40, 35, {
      layerMm: 5,
      layerHalfMm: 25,
      core: { diameterMm: 22, depthMm: 25 },
      frostingMl: 50,
    });
    expect(boundsOf(of(patches, 'filling')).top).toBe(40);
    expect(Math.min(...(of(patches, 'filling')[0]?.points.map(({ y }) => y) ?? []))).toBe(15);
    expect(boundsOf(of(patches, 'frosting')).top).toBeGreaterThan(48);
    expect(areaOf(patches, 'layer')).toBe(250);
    expect(onCake(40, 35, { layerMm: 0, layerHalfMm: 25, core: null, frostingMl: 0 })).toEqual([]);
  });
});

describe('a scoop', () => {
  it('of number 40 holds 23.65 ml: half a ball of 22.4 mm', () => {
    // ³√(3 × 23650 ÷ 2π) = 22.43.
    const { patches, marks } = scoopSection(946 / 40);
    const filled = patches.find(({ material }) => material === 'batter')?.points ?? [];
    expect(Math.max(...filled.map(({ x }) => x))).toBeCloseTo(22.43, 2);
    expect(Math.min(...filled.map(({ y }) => y))).toBeCloseTo(0, 6);
    expect(marks[0]?.y).toBeCloseTo(22.43, 2);
  });

  it('is drawn half as wide for an eighth of the volume', () => {
    const width = (ml: number) => Math.max(...(scoopSection(ml).patches[1]?.points.map(({ x }) => x) ?? []));
    expect(width(80) / width(10)).toBeCloseTo(2, 9);
  });
});
