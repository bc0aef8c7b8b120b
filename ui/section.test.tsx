import { cleanup, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import {
  ballSection,
  boxSection,
  cubeSection,
  mouldedSection,
  mugSection,
  type Section,
} from '../core/piece';
import { SectionDrawing, materialColor } from './section';
import { DARK, LIGHT } from './theme';

afterEach(cleanup);

function draw(section: Section, over: Partial<Parameters<typeof SectionDrawing>[0]> = {}): void {
  cleanup();
  render(
    <PaperProvider settings={{ icon: () => null }}>
      <SectionDrawing section={section} width={360} height={220} label="The piece" {...over} />
    </PaperProvider>,
  );
}

interface Box {
  readonly width: number;
  readonly height: number;
}

/** Extent of the i-th outline of the drawing, px. */
function outline(i: number): Box {
  const d = document.querySelectorAll('path')[i]?.getAttribute('d') ?? '';
  const points = [...d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((match) => [
    Number(match[1]),
    Number(match[2]),
  ]);
  const extent = (values: number[]) => Math.max(...values) - Math.min(...values);
  return { width: extent(points.map(([x = 0]) => x)), height: extent(points.map(([, y = 0]) => y)) };
}

describe('a section as drawn', () => {
  it('is to scale in both directions', () => {
    draw(ballSection(36, 2, true));
    const coat = outline(0);
    const dough = outline(1);
    expect(coat.width).toBeCloseTo(coat.height, 1);
    expect(coat.width / dough.width).toBeCloseTo(40 / 36, 2);
    draw(cubeSection(40, 25, 0));
    const cube = outline(0);
    expect(cube.width / cube.height).toBeCloseTo(40 / 25, 2);
  });

  it('stays inside its frame, with and without words', () => {
    const sections = [
      ballSection(50, 3, true),
      mouldedSection({ shape: 'stadium', lengthMm: 90, depthMm: 20 }, 2, 2, true),
      mugSection(320, 0.42, 0.9, 60),
      boxSection(330, 50),
    ];
    for (const section of sections) {
      for (const bare of [false, true]) {
        draw(section, { bare, width: 200, height: 120 });
        const points = [...document.querySelectorAll('path')].flatMap((path) =>
          [...(path.getAttribute('d') ?? '').matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((match) => [
            Number(match[1]),
            Number(match[2]),
          ]),
        );
        for (const [x = NaN, y = NaN] of points) {
          expect(x).toBeGreaterThanOrEqual(-0.5);
          expect(x).toBeLessThanOrEqual(200.5);
          expect(y).toBeGreaterThanOrEqual(-0.5);
          expect(y).toBeLessThanOrEqual(120.5);
        }
      }
    }
  });

  it('names each material beside it, and is told to those who hear the page', () => {
    draw(mouldedSection({ shape: 'half-ellipsoid', lengthMm: 60, depthMm: 26 }, 1.8, 1.8, false));
    expect(screen.getByRole('img', { name: 'The piece' })).toBeTruthy();
    const words = [...document.querySelectorAll('text')].map((text) => text.textContent);
    expect(words).toEqual(expect.arrayContaining(['back plate', 'filling']));
    expect(words.some((text) => /^\d+ mm$/.test(text ?? ''))).toBe(true);
    draw(ballSection(36, 0, false), { bare: true, label: '' });
    expect(document.querySelectorAll('text')).toHaveLength(0);
    expect(screen.queryByRole('img', { name: 'The piece' })).toBeNull();
  });

  it('gives every material a tint of its own in either light', () => {
    const materials = ['crumb', 'batter', 'coat', 'frosting', 'filling', 'layer', 'stick', 'vessel'] as const;
    for (const tokens of [LIGHT, DARK]) {
      const colors = materials.map((material) => materialColor(tokens, material));
      expect(new Set(colors).size).toBe(materials.length);
    }
  });
});
