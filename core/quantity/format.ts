import { plural } from './plural';
import type { Unit } from '../figure';

/** How one person wants to read figures. */
export interface NumberStyle {
  readonly mass: 'g' | 'oz';
  readonly temperature: 'C' | 'F';
  readonly decimal: '.' | ',';
}

export const PLAIN_STYLE: NumberStyle = { mass: 'g', temperature: 'C', decimal: '.' };

export interface Shown {
  readonly number: string;
  /** Empty where the number says it all. */
  readonly unit: string;
}

const G_PER_OZ = 28.35;

/** A number with fixed decimals, thousands parted by a narrow space, in the person's decimal mark. */
export function formatNumber(value: number, decimals: number, decimal: '.' | ',' = '.'): string {
  const fixed = Math.abs(value).toFixed(decimals);
  const [whole = '0', part] = fixed.split('.');
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole;
  const sign = value < 0 && Number(fixed) !== 0 ? '−' : '';
  return sign + grouped + (part ? decimal + part : '');
}

/** Only as many decimals as a kitchen scale reads: whole grams from 20 g on, tenths below. */
function massDecimals(value: number): number {
  return Math.abs(value) >= 20 || value === 0 ? 0 : 1;
}

/** Seconds as people say them: `45 s`, `19 min`, `1 h 35`. */
export function formatDuration(seconds: number): Shown {
  const size = Math.abs(seconds);
  const sign = seconds < 0 ? '−' : '';
  if (size < 90) return { number: `${sign}${Math.round(size)}`, unit: 's' };
  const minutes = Math.round(size / 60);
  if (minutes < 100) return { number: `${sign}${minutes}`, unit: 'min' };
  return {
    number: `${sign}${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`,
    unit: '',
  };
}

/** A value of the core in the person's units. `like` sets the decimals, so that the ends of a range match its value. */
export function show(value: number, unit: Unit, style: NumberStyle = PLAIN_STYLE, like = value): Shown {
  const n = (v: number, decimals: number) => formatNumber(v, decimals, style.decimal);
  switch (unit) {
    case 'g':
      if (style.mass === 'oz')
        return { number: n(value / G_PER_OZ, Math.abs(like) >= 280 ? 1 : 2), unit: 'oz' };
      return { number: n(value, massDecimals(like)), unit: 'g' };
    case 'ml':
      return { number: n(value, Math.abs(like) >= 20 ? 0 : 1), unit: 'ml' };
    case 'mm':
      return { number: n(value, Math.abs(like) >= 10 ? 0 : 1), unit: 'mm' };
    case 'cm²':
      return { number: n(value, Math.abs(like) >= 20 ? 0 : 1), unit: 'cm²' };
    case 'g/cm²':
      return { number: n(value, 2), unit: 'g/cm²' };
    case 'W':
      return { number: n(value, 0), unit: 'W' };
    case '°C':
      return style.temperature === 'F'
        ? { number: n((value * 9) / 5 + 32, 0), unit: '°F' }
        : { number: n(value, 0), unit: '°C' };
    case 'K':
      return style.temperature === 'F'
        ? { number: n((value * 9) / 5, 0), unit: '°F' }
        : { number: n(value, 0), unit: '°C' };
    case 's':
      return formatDuration(value);
    case 'g/ml':
      return { number: n(value, 2), unit: 'g/ml' };
    case 'share':
      return { number: n(value * 100, Math.abs(like) < 0.1 ? 1 : 0), unit: '%' };
    case 'times':
      return { number: `×${n(value, like >= 10 ? 1 : 2)}`, unit: '' };
    case 'pieces':
      return { number: n(value, 0), unit: '' };
    case 'loads':
      return { number: n(value, 0), unit: plural('load', Math.round(value)) };
    case 'wholes':
      return { number: n(value, Number.isInteger(value) ? 0 : 1), unit: '' };
  }
}

/** A value with more decimals than it is usually shown with, and what a number so written stands for, in the core's unit. */
export function showFine(
  value: number,
  unit: Unit,
  style: NumberStyle,
  extra: number,
): Shown & { readonly reads: number } {
  const rounded = (n: number, decimals: number) => Number(n.toFixed(decimals));
  if (unit === 's') {
    const seconds = Math.abs(value) < 90;
    const by = seconds ? 1 : 60;
    const reads = rounded(value / by, extra) * by;
    if (extra === 0) return { ...formatDuration(value), reads };
    return { number: formatNumber(value / by, extra, style.decimal), unit: seconds ? 's' : 'min', reads };
  }
  const plain = show(value, unit, style);
  const decimals = (plain.number.split(style.decimal)[1] ?? '').length + extra;
  const number = toShown(value, unit, style);
  const sign = unit === 'times' ? '×' : '';
  return {
    number: `${sign}${formatNumber(number, decimals, style.decimal)}`,
    unit: plain.unit,
    reads: fromShown(rounded(number, decimals), unit, style),
  };
}

/** Value and unit in one text: `54 g`. */
export function showText(value: number, unit: Unit, style: NumberStyle = PLAIN_STYLE): string {
  const shown = show(value, unit, style);
  return join(shown);
}

export function join({ number, unit }: Shown): string {
  if (unit === '') return number;
  return unit === '%' ? `${number} %` : `${number} ${unit}`;
}

/** Words with measures in braces, `{54 g}` or `{175 °C}`, with each measure in the person's units; `{1.5 K}` is a difference. */
export function inStyle(text: string, style: NumberStyle = PLAIN_STYLE): string {
  return text.replace(
    /\{(-?[\d.]+) (g\/ml|g|°C|K|mm|ml|J\/g K|J\/g)\}/g,
    (_, value: string, unit: string) => {
      const decimals = value.split('.')[1]?.length ?? 0;
      const written = (n: number) => formatNumber(n, decimals, style.decimal);
      if (unit === 'g' && style.mass === 'oz') return showText(Number(value), 'g', style);
      if (unit === '°C' && style.temperature === 'F') return showText(Number(value), '°C', style);
      if (unit === 'K')
        return style.temperature === 'F'
          ? `${written(Number(value) * 1.8)} °F`
          : `${written(Number(value))} °C`;
      // What keeps its unit stays as finely written as it is: "{15 g}" is a spoon, not 15.0 g.
      return `${written(Number(value))} ${unit}`;
    },
  );
}

/** A value that a person typed, in their units, brought to the unit of the core. */
export function fromShown(value: number, unit: Unit, style: NumberStyle): number {
  switch (unit) {
    case 'g':
      return style.mass === 'oz' ? value * G_PER_OZ : value;
    case '°C':
      return style.temperature === 'F' ? ((value - 32) * 5) / 9 : value;
    case 'K':
      return style.temperature === 'F' ? (value * 5) / 9 : value;
    case 's':
      return value * 60;
    case 'share':
      return value / 100;
    default:
      return value;
  }
}

/** A value of the core as the number that a person would type for it: the inverse of `fromShown`. */
export function toShown(value: number, unit: Unit, style: NumberStyle): number {
  switch (unit) {
    case 'g':
      return style.mass === 'oz' ? value / G_PER_OZ : value;
    case '°C':
      return style.temperature === 'F' ? (value * 9) / 5 + 32 : value;
    case 'K':
      return style.temperature === 'F' ? (value * 9) / 5 : value;
    case 's':
      return value / 60;
    case 'share':
      return value * 100;
    default:
      return value;
  }
}

/** The unit that a person types a value of the core in. */
export function typedUnit(unit: Unit, style: NumberStyle): string {
  if (unit === 's') return 'min';
  if (unit === 'times') return '×';
  return show(1, unit, style).unit;
}

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'] as const;

/**
 * Grams of something measured by the spoon, as spoons to the nearest eighth of a teaspoon. Tablespoons from 3 tsp on.
 * @param gPerTsp grams in a level teaspoon
 */
export function spoons(massG: number, gPerTsp: number): string {
  const eighths = Math.round((massG / gPerTsp) * 8);
  if (eighths === 0) return 'a pinch';
  const whole = Math.floor(eighths / 24);
  const rest = eighths - whole * 24;
  const tsp = `${rest >= 8 ? Math.floor(rest / 8) : ''}${EIGHTHS[rest % 8] ?? ''}`;
  const parts = [whole > 0 ? `${whole} tbsp` : '', rest > 0 ? `${tsp} tsp` : ''];
  return parts.filter(Boolean).join(' + ');
}
