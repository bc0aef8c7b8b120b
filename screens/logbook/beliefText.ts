import type { Unit } from '../../core/figure';
import type { Belief } from '../../core/model/documents';
import { paramOf } from '../../core/param';
import { formatNumber, showText, type NumberStyle } from '../../core/quantity';

/** A belief as it is told: "1.13, give or take 8 %", "9.4 g ± 0.8 g"; factors and times by their share. */
export const beliefText = (
  { param, mean, spread }: Pick<Belief, 'param' | 'mean' | 'spread'>,
  style: NumberStyle,
): string => amountText({ mean, spread }, paramOf(param)?.unit ?? 'times', style);

/** The same of any unit. */
export function amountText(
  { mean, spread }: Pick<Belief, 'mean' | 'spread'>,
  unit: Unit,
  style: NumberStyle,
): string {
  if (unit === 'times') {
    const share = mean === 0 ? 0 : Math.round((spread / mean) * 100);
    return `×${formatNumber(mean, 2, style.decimal)}, give or take ${share} %`;
  }
  // A coat is a millimetre thick: its tenths are what it is about.
  if (unit === 'mm' && mean < 10)
    return `${formatNumber(mean, 2, style.decimal)} ± ${formatNumber(spread, 2, style.decimal)} mm`;
  return `${showText(mean, unit, style)} ± ${showText(spread, unit === '°C' ? 'K' : unit, style)}`;
}
