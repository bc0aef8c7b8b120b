import { cleanup, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { planRun, type LinePlan } from '../core/plan';
import { cupcakeCut } from '../core/piece';
import { newCupcakeLine, type CupcakeLine } from '../core/model/documents';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../demo';
import { CutDrawing } from './cut';
import { BigNumber, FigureView, Whisker } from './figure';
import { Strata } from './strata';

const WELL = { topMm: 70, baseMm: 52, depthMm: 36 };

function plan(over: Partial<CupcakeLine> = {}): LinePlan {
  const [run] = demoRuns('2026-11-25T09:30');
  if (!run) throw new Error('the demo has a run');
  const line = newCupcakeLine({
    id: 'line-1',
    formulaId: 'formula-honey-thyme',
    count: 36,
    tinId: 'tin-standard',
    ovenId: 'oven-main',
    ...over,
  });
  const [planned] = planRun({
    run: { ...run, lines: [line] },
    formulas: [...DEMO_FORMULAS],
    kitchen: DEMO_KITCHEN,
  });
  if (!planned?.planned || planned.family !== 'cupcake') throw new Error('the demo can be planned');
  return planned;
}

const show = (element: React.ReactElement) =>
  render(<PaperProvider settings={{ icon: () => null }}>{element}</PaperProvider>);

/** Points of the first outline of a drawing, px. */
function outline(): { x: number; y: number }[] {
  const d = document.querySelector('path')?.getAttribute('d') ?? '';
  return [...d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((match) => ({
    x: Number(match[1]),
    y: Number(match[2]),
  }));
}

const extent = (values: number[]) => Math.max(...values) - Math.min(...values);

describe('the cut', () => {
  it('is to scale: width and height of the drawn cake are as its millimetres are', () => {
    const cut = cupcakeCut(WELL, 58, 114);
    show(<CutDrawing cut={cut} width={360} height={220} label="cake" />);
    const points = outline();
    const wide = extent(points.map((p) => p.x)) / 70;
    const high = extent(points.map((p) => p.y)) / (36 + cut.aboveRimMm);
    expect(wide).toBeCloseTo(high, 2);
  });

  it('draws two tins to one scale where it is asked to', () => {
    const widths = [WELL, { topMm: 46, baseMm: 32, depthMm: 23 }].map((well) => {
      show(
        <CutDrawing cut={cupcakeCut(well, 10, 30)} width={240} height={120} pxPerMm={2} bare label="tin" />,
      );
      const width = extent(outline().map((p) => p.x));
      cleanup();
      return width;
    });
    expect((widths[0] ?? 0) / (widths[1] ?? 1)).toBeGreaterThan(1.2);
  });

  it('grows with the cake, stays inside its picture even where it runs over, and says what it shows', () => {
    for (const finish of [0.7, 1, 1.2, 1.9]) {
      show(
        <CutDrawing
          cut={cupcakeCut(WELL, 50, finish * 106)}
          width={360}
          height={220}
          label={`finish ${finish}`}
        />,
      );
      for (const { x, y } of outline()) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(360);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(220);
      }
      expect(screen.getByRole('img', { name: `finish ${finish}` })).toBeTruthy();
      cleanup();
    }
  });
});

describe('the strata', () => {
  it('lists every band with its grams, which add up to the bowl', () => {
    const planned = plan();
    show(<Strata plan={planned} runId="run" />);
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
    expect(screen.getByRole('button', { name: 'Batter in the bowl: 2056 g. Why?' })).toBeTruthy();
    const of = (id: string) => planned.strata.find((band) => band.id === id)?.massG ?? 0;
    expect(of('bowl') + of('over') + of('wells')).toBeCloseTo(of('mixed'), 6);
    expect(of('steam') + of('cakes')).toBeCloseTo(of('wells'), 6);
  });

  it('marks a weighed band in words', () => {
    show(<Strata plan={plan({ measured: { 'batter.mixed': 1500 } })} runId="run" />);
    expect(screen.getByRole('button', { name: 'Batter in the bowl: 1500 g, weighed. Why?' })).toBeTruthy();
  });
});

describe('a figure', () => {
  it('says value, unit, range and that it may be asked about', () => {
    const planned = plan();
    show(<FigureView figure={planned.figure('bake.time')} runId="run" lineId="line-1" />);
    expect(screen.getByRole('button').getAttribute('aria-label')).toMatch(
      /^Baking time: \d+ min, likely \d+–\d+ min\. Why\?$/,
    );
  });

  it('shows no range once it is measured, and says that it is', () => {
    const planned = plan({ measured: { 'cake.mass': 51 } });
    show(<FigureView figure={planned.figure('cake.mass')} runId="run" lineId="line-1" />);
    expect(screen.getByRole('button').getAttribute('aria-label')).toBe(
      'One cake, baked: 51 g, measured. Why?',
    );
    expect(screen.getByText('measured here')).toBeTruthy();
  });

  it('puts the dot of its whisker where the value lies between the ends', () => {
    const figure = { ...plan().figure('bake.time'), low: 0, value: 25, high: 100 };
    show(<Whisker figure={figure} width={108} />);
    expect(Number(document.querySelector('circle')?.getAttribute('cx'))).toBeCloseTo(4 + 25, 6);
  });

  it('sets number and unit apart', () => {
    show(<BigNumber shown={{ number: '55', unit: 'g' }} />);
    expect(document.body.textContent).toContain('55\u2009g');
  });
});
