import { DARK, LIGHT, paperTheme, type Tokens } from './theme';

/** Relative luminance and contrast as WCAG 2 defines them. */
function luminance(hex: string): number {
  const channel = (at: number) => {
    const c = parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
}

describe.each<[string, Tokens]>([
  ['light', LIGHT],
  ['dark', DARK],
])('%s', (_, t) => {
  it('reads black on white and itself as the standard says', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9);
    expect(contrast('#777777', '#777777')).toBe(1);
  });

  it('sets what is read at the bench at 7:1 and better', () => {
    for (const ground of [t.ground, t.raised, t.sunk, t.carnelianSoft]) {
      expect(contrast(t.ink, ground)).toBeGreaterThanOrEqual(7);
    }
  });

  it('sets everything else at 4.5:1 and better', () => {
    const pairs: [string, string][] = [
      [t.inkSoft, t.ground],
      [t.inkSoft, t.raised],
      [t.inkSoft, t.sunk],
      [t.onCarnelian, t.carnelian],
      [t.carnelian, t.raised],
      [t.carnelian, t.ground],
      [t.carnelian, t.carnelianSoft],
      [t.warn, t.warnSoft],
      [t.good, t.goodSoft],
    ];
    const weak = pairs.filter(([text, ground]) => contrast(text, ground) < 4.5);
    expect(weak).toEqual([]);
  });

  it('keeps words on every material readable', () => {
    const { ingredient, batter, crumb, loss, left } = t.material;
    for (const band of [ingredient, batter, crumb, loss, left])
      expect(contrast(t.ink, band)).toBeGreaterThanOrEqual(3);
  });

  it('gives Paper the same colours', () => {
    expect(paperTheme(t).colors).toMatchObject({ primary: t.carnelian, surface: t.raised, onSurface: t.ink });
    expect(paperTheme(t).dark).toBe(t.dark);
  });
});
