import type { Holds } from '../quantity';
import { holdsOfLine, togetherHold } from '../quantity/allergens';
import type { RunDoc } from '../model/documents';
import { materialHolds, type RunPlan } from '../plan';
import { bowlsOf } from '../plan/bowls';
import { materialWords } from '../schedule/gather.words';

/** Something that is eaten of a piece. */
export interface LabelIngredient {
  readonly name: string;
  /** In the whole batch as it is weighed out, g. */
  readonly massG: number;
  readonly holds: Holds;
}

/**
 * What pieces of a run are made of, by descending mass as it is weighed out: so labels have it in most places.
 * @param whole the plan of a run that has these pieces alone
 */
export function labelIngredients(run: Pick<RunDoc, 'lines'>, whole: RunPlan): LabelIngredient[] {
  const out = new Map<string, LabelIngredient>();
  const add = (written: string, massG: number, holds: Holds) => {
    const name = (written.split(',')[0] ?? written).trim().toLowerCase();
    if (!name) return;
    const before = out.get(name);
    const all = togetherHold([...(before ? [before.holds] : []), holds]);
    out.set(name, { name, massG: (before?.massG ?? 0) + massG, holds: all });
  };
  for (const { batch } of bowlsOf(run, whole)) {
    // A formula that goes into another is weighed out in a bowl of its own.
    for (const { name, mass, line } of batch.ingredients)
      if (mass.value > 0) add(name, mass.value, holdsOfLine(line));
    // What goes in to taste has no grams, and is eaten all the same.
    for (const line of batch.toTaste) add(line.called || line.name, 0, holdsOfLine(line));
  }
  for (const plan of whole.lines) {
    if (!plan.planned) continue;
    for (const { what, amount, times } of plan.materials) {
      if (NO_FOOD.has(what.is) || amount.unit === 'pieces') continue;
      const massG = amount.value * (times?.value ?? 1);
      if (massG > 0) add(materialWords(what).what, massG, materialHolds(what));
    }
  }
  return [...out.values()].sort((a, b) => b.massG - a.massG || (a.name < b.name ? -1 : 1));
}

/** What holds a piece, and is not eaten. */
const NO_FOOD = new Set(['sticks', 'cases', 'boards']);

/** A sheet of labels, mm. */
export interface LabelSheet {
  readonly id: string;
  readonly name: string;
  readonly pageWide: number;
  readonly pageHigh: number;
  readonly columns: number;
  readonly rows: number;
  readonly wide: number;
  readonly high: number;
  readonly left: number;
  readonly top: number;
  /** From one label to the next, between their edges. */
  readonly gapX: number;
  readonly gapY: number;
}

const a4 = (
  columns: number,
  rows: number,
  wide: number,
  high: number,
  gapX = 0,
  left = (210 - columns * wide - (columns - 1) * gapX) / 2,
): LabelSheet => ({
  id: `a4-${columns * rows}`,
  name: `A4, ${columns * rows} of ${wide} × ${high} mm`,
  pageWide: 210,
  pageHigh: 297,
  columns,
  rows,
  wide,
  high,
  left,
  top: (297 - rows * high) / 2,
  gapX,
  gapY: 0,
});

const letter = (columns: number, rows: number, wide: number, high: number, gapX: number): LabelSheet => ({
  id: `letter-${columns * rows}`,
  name: `Letter, ${columns * rows} of ${wide} × ${high} mm`,
  pageWide: 215.9,
  pageHigh: 279.4,
  columns,
  rows,
  wide,
  high,
  left: (215.9 - columns * wide - (columns - 1) * gapX) / 2,
  top: (279.4 - rows * high) / 2,
  gapX,
  gapY: 0,
});

/** Sizes that are sold everywhere, the largest labels first; centred on their sheet. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  a4(2, 4, 99.1, 67.7, 2.5),
  a4(2, 6, 105, 48),
  a4(2, 7, 99.1, 38.1, 2.5),
  a4(3, 7, 63.5, 38.1, 2.5),
  a4(3, 8, 70, 37),
  letter(2, 5, 101.6, 50.8, 4),
  letter(3, 10, 66.7, 25.4, 3),
];

/** Upper left corners of all labels of a sheet, mm, row by row. */
export function placesOn({ columns, rows, wide, high, left, top, gapX, gapY }: LabelSheet): {
  readonly x: number;
  readonly y: number;
}[] {
  return Array.from({ length: columns * rows }, (_, i) => ({
    x: left + (i % columns) * (wide + gapX),
    y: top + Math.floor(i / columns) * (high + gapY),
  }));
}

/** Words of one look. */
export interface LabelRun {
  readonly text: string;
  readonly strong?: boolean;
}
export interface LabelParagraph {
  readonly runs: readonly LabelRun[];
  /** How much larger its letters are than the rest. */
  readonly times?: number;
}

/** How wide a letter is, as a share of its height. Basis: the shipped sans, in four classes, on the wide side. */
function letterWide(letter: string, strong: boolean): number {
  const plain = /[ijl.,:;'’|!()\[\] ]/.test(letter)
    ? 0.3
    : /[mwMW%@—]/.test(letter)
      ? 0.86
      : /[A-Z0-9×]/.test(letter)
        ? 0.63
        : 0.54;
  return plain * (strong ? 1.06 : 1);
}
const wideOf = (text: string, strong: boolean): number =>
  [...text].reduce((sum, letter) => sum + letterWide(letter, strong), 0);

/** From one baseline to the next. */
export const LEADING = 1.22;
/** Left free at the edge of a label, mm: cutters wander. */
export const LABEL_EDGE_MM = 2.5;
/** The largest and the least letters that are printed, mm. */
export const LETTERS_MM = { most: 4.2, least: 1.8 } as const;
/** An x-height of 1.2 mm, which many food laws ask for, is letters of this height. */
export const LAWFUL_MM = 2.4;

/**
 * Breaks a paragraph into lines between its words; a word that is longer than a line stands alone.
 * @param wideMm of a line
 * @param mm height of letters
 */
export function brokenInto({ runs }: LabelParagraph, wideMm: number, mm: number): LabelRun[][] {
  const lines: LabelRun[][] = [];
  let line: LabelRun[] = [];
  let used = 0;
  for (const { text, strong = false } of runs) {
    // A word keeps the mark that stands behind it.
    for (const word of text.split(/(?<= )/)) {
      const wide = wideOf(word.trimEnd(), strong) * mm;
      if (used > 0 && used + wide > wideMm) {
        lines.push(line);
        [line, used] = [[], 0];
      }
      if (used === 0 && word.trim() === '') continue;
      const last = line.at(-1);
      if (last && (last.strong ?? false) === strong)
        line[line.length - 1] = { text: last.text + word, strong };
      else line.push({ text: word, strong });
      used += wideOf(word, strong) * mm;
    }
  }
  return line.length > 0 ? [...lines, line] : lines;
}

/** How high letters can be so that all paragraphs fit on a label, mm, to a tenth; null where the least do not. */
export function lettersFor(
  paragraphs: readonly LabelParagraph[],
  { wide, high }: Pick<LabelSheet, 'wide' | 'high'>,
): number | null {
  const [w, h] = [wide - 2 * LABEL_EDGE_MM, high - 2 * LABEL_EDGE_MM];
  const fits = (mm: number) => {
    let down = 0;
    for (const paragraph of paragraphs) {
      const size = mm * (paragraph.times ?? 1);
      const lines = brokenInto(paragraph, w, size);
      if (
        lines.some(
          (line) =>
            line.reduce((sum, one) => sum + wideOf(one.text.trimEnd(), one.strong ?? false) * size, 0) >
            w * 1.001,
        )
      )
        return false;
      down += lines.length * size * LEADING;
    }
    return down <= h;
  };
  for (let tenths = LETTERS_MM.most * 10; tenths >= LETTERS_MM.least * 10 - 1e-9; tenths -= 1)
    if (fits(tenths / 10)) return Math.round(tenths) / 10;
  return null;
}

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (one) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[one] ?? one);

/** A label and how often it is printed. */
export interface LabelText {
  readonly paragraphs: readonly LabelParagraph[];
  readonly mm: number;
}

/**
 * A page of labels as SVG, drawn to scale in millimetres. Where there are fewer labels than places, the rest stays empty.
 * @param edges whether the cuts are drawn: on the screen, not on paper
 */
export function labelsSvg(
  sheet: LabelSheet,
  labels: readonly LabelText[],
  { edges = false, family = 'sans-serif' } = {},
): string {
  const body = placesOn(sheet).map(({ x, y }, i) => {
    const label = labels[i];
    const edge = edges
      ? `<rect x="${n(x)}" y="${n(y)}" width="${n(sheet.wide)}" height="${n(sheet.high)}" fill="none" stroke="#a79c90" stroke-width="0.25"/>`
      : '';
    return edge + (label ? words(label, x, y, sheet) : '');
  });
  const { pageWide, pageHigh } = sheet;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${pageWide}mm" height="${pageHigh}mm" viewBox="0 0 ${pageWide} ${pageHigh}" font-family="${escaped(family)}" fill="#000">${body.join('')}</svg>`;
}

const n = (value: number): string => String(Math.round(value * 100) / 100);

function words({ paragraphs, mm }: LabelText, x: number, y: number, { wide }: LabelSheet): string {
  let down = y + LABEL_EDGE_MM;
  return paragraphs
    .flatMap((paragraph) => {
      const size = mm * (paragraph.times ?? 1);
      return brokenInto(paragraph, wide - 2 * LABEL_EDGE_MM, size).map((line) => {
        down += size * LEADING;
        const spans = line
          .map(({ text, strong }) => `<tspan${strong ? ' font-weight="700"' : ''}>${escaped(text)}</tspan>`)
          .join('');
        return `<text xml:space="preserve" x="${n(x + LABEL_EDGE_MM)}" y="${n(down - size * (LEADING - 1))}" font-size="${n(size)}">${spans}</text>`;
      });
    })
    .join('');
}
