import fc from 'fast-check';
import { newBand, solveBand } from './band';
import { cutBody, cylinder, frustum, halfEllipsoid, sphere, type Profile } from './body';
import { solveHeat, type HeatProblem, type Material } from './conduction';

const K = 0.3;
const RHO_C = 1.5e6;
const PLAIN: Material = { enthalpy: (t) => RHO_C * t, capacity: () => RHO_C, conductivity: () => K };
const SHUT = { airC: 0, coefficient: 0 };
const HOT = 100;

/** Unaccomplished temperature change at the centre, 1 at the start and 0 at the end, after a time. */
function centreAfter(
  profile: Profile,
  coefficient: number,
  open: readonly ('top' | 'side' | 'bottom')[],
  timeS: number,
  n: number,
  steps: number,
): number {
  const face = (name: 'top' | 'side' | 'bottom') => (open.includes(name) ? { airC: HOT, coefficient } : SHUT);
  const { moments } = solveHeat({
    body: cutBody(profile, n, n),
    material: PLAIN,
    faces: { top: face('top'), side: face('side'), bottom: face('bottom') },
    startC: 0,
    stepS: timeS / steps,
    until: () => false,
    mostS: timeS * 0.999,
  });
  return 1 - (moments.at(-1)?.coldestC ?? NaN) / HOT;
}

/** Root of a rising-through-nought function between two bounds. */
function root(f: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 200; i += 1) {
    const m = (a + b) / 2;
    if (f(a) * f(m) <= 0) b = m;
    else a = m;
  }
  return (a + b) / 2;
}

function besselJ(order: 0 | 1, x: number): number {
  // Integral form; over a whole period the plain sum is as exact as doubles are.
  const n = 64;
  let sum = 0;
  for (let i = 0; i < n; i += 1) {
    const t = (2 * Math.PI * i) / n;
    sum += Math.cos(order * t - x * Math.sin(t));
  }
  return sum / n;
}

/** The analytic series for the centre of a slab, a long cylinder and a sphere, Biot number and Fourier number given. */
const SERIES = {
  slab(biot: number, fourier: number): number {
    let sum = 0;
    for (let i = 0; i < 12; i += 1) {
      const z = root((x) => x * Math.sin(x) - biot * Math.cos(x), i * Math.PI, i * Math.PI + Math.PI / 2);
      sum += ((4 * Math.sin(z)) / (2 * z + Math.sin(2 * z))) * Math.exp(-z * z * fourier);
    }
    return sum;
  },
  cylinder(biot: number, fourier: number): number {
    let sum = 0;
    const f = (x: number) => x * besselJ(1, x) - biot * besselJ(0, x);
    for (let x = 0.02; x < 20; x += 0.05) {
      if (f(x) * f(x + 0.05) > 0) continue;
      const z = root(f, x, x + 0.05);
      const [j0, j1] = [besselJ(0, z), besselJ(1, z)];
      sum += (2 / z) * (j1 / (j0 * j0 + j1 * j1)) * Math.exp(-z * z * fourier);
    }
    return sum;
  },
  sphere(biot: number, fourier: number): number {
    let sum = 0;
    const f = (x: number) => Math.sin(x) - x * Math.cos(x) - biot * Math.sin(x);
    for (let x = 0.01; x < 40; x += 0.02) {
      if (f(x) * f(x + 0.02) > 0) continue;
      const z = root(f, x, x + 0.02);
      sum += ((4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z))) * Math.exp(-z * z * fourier);
    }
    return sum;
  },
} as const;

describe('finite volumes against the analytic series', () => {
  const radius = 0.03;
  const cases = (['slab', 'cylinder', 'sphere'] as const).flatMap((shape) =>
    [0.5, 2, 8].flatMap((biot) => [0.2, 0.5, 1].map((fourier) => ({ shape, biot, fourier }))),
  );
  const solve = (shape: 'slab' | 'cylinder' | 'sphere', biot: number, fourier: number, n: number) => {
    const coefficient = (biot * K) / radius;
    const timeS = (fourier * radius * radius * RHO_C) / K;
    const steps = 8 * n;
    if (shape === 'slab')
      return centreAfter(cylinder(0.02, 2 * radius), coefficient, ['top', 'bottom'], timeS, n, steps);
    if (shape === 'cylinder')
      return centreAfter(cylinder(radius, 0.02), coefficient, ['side'], timeS, n, steps);
    return centreAfter(sphere(radius), coefficient, ['side', 'top', 'bottom'], timeS, n, steps);
  };

  it.each(cases)(
    '$shape, Biot $biot, Fourier $fourier: within 1 % of the temperature change',
    ({ shape, biot, fourier }) => {
      const exact = SERIES[shape](biot, fourier);
      expect(Math.abs(solve(shape, biot, fourier, 20) - exact)).toBeLessThan(0.01);
    },
  );

  it.each(['slab', 'cylinder', 'sphere'] as const)('%s: halving the cells brings it nearer', (shape) => {
    const exact = SERIES[shape](2, 0.5);
    const off = [5, 10, 20].map((n) => Math.abs(solve(shape, 2, 0.5, n) - exact));
    expect(off[1]).toBeLessThan((off[0] ?? 0) * 0.75);
    expect(off[2]).toBeLessThan((off[1] ?? 0) * 0.75);
  });
});

describe('bodies cut into rings', () => {
  it('keep the volume of what they are cut from', () => {
    const near = (profile: Profile, volume: number, n = 12) =>
      expect(Math.abs(cutBody(profile, n, n).totalM3 / volume - 1)).toBeLessThan(2e-3);
    near(cylinder(0.03, 0.05), Math.PI * 0.03 ** 2 * 0.05);
    near(frustum(0.026, 0.035, 0.036), ((Math.PI * 0.036) / 3) * (0.026 ** 2 + 0.026 * 0.035 + 0.035 ** 2));
    near(sphere(0.02), (4 / 3) * Math.PI * 0.02 ** 3);
    near(halfEllipsoid(0.03, 0.025), (2 / 3) * Math.PI * 0.03 ** 2 * 0.025);
  });

  it('keep the surface of a sphere', () => {
    const area = cutBody(sphere(0.02), 16, 16).patchM2.reduce((sum, patch) => sum + patch, 0);
    expect(Math.abs(area / (4 * Math.PI * 0.02 ** 2) - 1)).toBeLessThan(0.02);
  });
});

describe('the solver', () => {
  /** Latent heat around 90 °C, conductivity that doubles on the way. */
  const WET: Material = {
    enthalpy: (t) => RHO_C * t + 2e8 / (1 + Math.exp(-(t - 90) / 3)),
    capacity: (t) => {
      const e = Math.exp(-(t - 90) / 3);
      return RHO_C + (2e8 * e) / (3 * (1 + e) ** 2);
    },
    conductivity: (t) => K * (1 + Math.min(Math.max((t - 60) / 35, 0), 1)),
  };
  const problem = (over: Partial<HeatProblem>): HeatProblem => ({
    body: cutBody(frustum(0.026, 0.035, 0.03), 10, 10),
    material: WET,
    faces: {
      top: { airC: 175, coefficient: 20 },
      side: { airC: 175, coefficient: 15 },
      bottom: { airC: 175, coefficient: 15 },
    },
    startC: 21,
    stepS: 10,
    until: ({ coldestC }) => coldestC >= 97,
    mostS: 7200,
    ...over,
  });

  it('conserves energy to 0.1 %, latent heat and all', () => {
    const { inJ, gainedJ, moments } = solveHeat(problem({}));
    expect(moments.at(-1)?.coldestC).toBeGreaterThanOrEqual(97);
    expect(Math.abs(inJ / gainedJ - 1)).toBeLessThan(1e-3);
  });

  it('warms the coldest place without ever cooling it, and never past the air', () => {
    const { moments, cellsC } = solveHeat(problem({ mostS: 3000, until: () => false }));
    moments
      .slice(1)
      .forEach((moment, i) =>
        expect(moment.coldestC).toBeGreaterThanOrEqual((moments[i]?.coldestC ?? 0) - 1e-6),
      );
    expect(Math.max(...cellsC)).toBeLessThan(175);
  });

  it('solves banded systems as written: A·x comes back to b', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer(),
        (rows, width, seed) => {
          let state = seed >>> 0;
          const random = () => {
            state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
            return state / 4294967296;
          };
          const full = Array.from({ length: rows }, () => new Array<number>(rows).fill(0));
          for (let i = 0; i < rows; i += 1) {
            for (let j = Math.max(0, i - width); j < i; j += 1) {
              const value = random() - 0.5;
              (full[i] as number[])[j] = value;
              (full[j] as number[])[i] = value;
            }
          }
          full.forEach((row, i) => (row[i] = 1 + row.reduce((sum, value) => sum + Math.abs(value), 0)));
          const band = newBand(rows, width);
          full.forEach((row, i) =>
            row.forEach((value, j) => {
              if (j <= i && i - j <= width) band.cells[j * (width + 1) + i - j] = value;
            }),
          );
          const b = new Float64Array(rows + width);
          for (let i = 0; i < rows; i += 1) b[i] = random();
          const x = b.slice();
          solveBand(band, x);
          return full.every(
            (row, i) =>
              Math.abs(row.reduce((sum, value, j) => sum + value * (x[j] ?? 0), 0) - (b[i] ?? 0)) < 1e-9,
          );
        },
      ),
    );
  });
});
