import type { ScoopDoc } from '../model/documents';

const power = (setting: number) => `${Math.round(setting * 100)} % power`;

/** What can be asked of a line: each question's title, and what its alternatives say. Measures in braces. */
export const ASK = {
  tin: {
    title: 'Another tin',
    detail: (owned: number, wells: number, topMm: number) =>
      `${owned} × ${wells} wells, {${topMm} mm} across`,
  },
  oven: {
    title: 'Another oven',
    detail: (fan: boolean, atOnce: number) => `${fan ? 'With a fan' : 'Still'}, ${atOnce} at once`,
  },
  sheet: {
    title: 'Another sheet',
    detail: (lengthMm: number, widthMm: number) => `{${lengthMm} mm} by {${widthMm} mm}`,
  },
  mould: {
    title: 'Another mould',
    detail: (owned: number, cavities: number) => `${owned} × ${cavities} cavities`,
  },
  mug: { title: 'Another mug', detail: (volumeMl: number) => `{${volumeMl} ml}` },
  power: {
    title: 'Another power',
    name: power,
    detail: (setting: number) => (setting === 1 ? 'Fast; the edge is done first.' : 'Slower and more even.'),
  },
  finish: { title: 'Another finish' },
  scoops: {
    title: 'By the scoop',
    name: (count: number, { name }: Pick<ScoopDoc, 'name'>) =>
      count === 1 ? name : `${count} × ${name.replace(/^A /, '')}`,
    detail: (massG: number) => `About {${Number(massG.toPrecision(4))} g} in each.`,
    weighed: 'Weighed',
    asChosen: 'As it is chosen.',
  },
  bindSchool: { title: 'Another school of binder' },
  binder: { title: 'Another binder' },
  size: {
    title: 'Another size or scoop',
    small: 'Small: {15 g}',
    usual: 'Usual: {25 g}',
    large: 'Large: {35 g}',
  },
  shell: {
    title: 'Another shell',
    name: (mm: number) => `{${mm} mm} thick`,
    usual: 'As it usually is.',
  },
  shellBy: {
    title: 'Another way to lay the shell',
    brush: { title: 'brushed in', detail: 'Sparing, and thin spots are seen.' },
    pour: { title: 'poured in and out', detail: 'Even and quick; far more is melted.' },
  },
  vessel: {
    title: 'Another vessel',
    detail: (acrossMm: number, deepMm: number) => `{${acrossMm} mm} across, {${deepMm} mm} deep`,
  },
  thickness: { title: 'Another thickness', detail: (mm: number) => `About {${mm} mm}.` },
  dipSchool: { title: 'Another school of dipping' },
  frosting: { title: 'Another school of frosting' },
} as const;
