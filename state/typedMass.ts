import { formatNumber, fromShown, readNumberField, toShown, typedUnit } from '../core/quantity';
import { useNumberStyle } from './store';

/** Masses typed into a field in the person's unit. */
export interface TypedMass {
  /** "g" or "oz", for the label. */
  readonly unit: string;
  /** What stands in the field for so many grams; empty for none. */
  readonly write: (massG: number | null | undefined) => string;
  /**
   * Grams of what was typed: null for an empty field, NaN for what is no number. A field that still says what `was`
   * is written as keeps it to the last decimal, however coarse the field.
   */
  readonly read: (text: string, was?: number | null) => number | null;
}

export function useTypedMass(): TypedMass {
  const style = useNumberStyle();
  const write = (massG: number | null | undefined) => {
    if (massG === null || massG === undefined) return '';
    const shown = toShown(massG, 'g', style);
    return formatNumber(shown, Number.isInteger(shown) ? 0 : 2, style.decimal).replace(/\u202f/g, '');
  };
  const read = (text: string, was?: number | null) => {
    if (text.trim() === '') return null;
    if (was !== null && was !== undefined && text === write(was)) return was;
    const n = readNumberField(text);
    return n === null ? NaN : fromShown(n, 'g', style);
  };
  return { unit: typedUnit('g', style), write, read };
}
