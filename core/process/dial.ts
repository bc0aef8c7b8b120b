import type { Dial } from '../model/kinds';

/** Between two settings of a dial in degrees, in its own. Basis: typical. */
export const DIAL_STEP = 5;

const fahrenheit = (celsius: number) => (celsius * 9) / 5 + 32;
const celsius = (f: number) => ((f - 32) * 5) / 9;

/** Gas mark 1 is 275 °F, and every mark 25 °F more; below it there are a half and a quarter. */
const LOW_MARKS = [
  { mark: 0.25, f: 225, said: '¼' },
  { mark: 0.5, f: 250, said: '½' },
] as const;
const HIGHEST_MARK = 9;
const markF = (mark: number) => 250 + 25 * mark;

/** The gas mark nearest to a temperature. */
function gasMark(c: number): { readonly said: string; readonly f: number } {
  const f = fahrenheit(c);
  const whole = Math.min(Math.max(Math.round((f - 250) / 25), 1), HIGHEST_MARK);
  const marks = [...LOW_MARKS, { said: String(whole), f: markF(whole) }];
  return marks.reduce((best, mark) => (Math.abs(mark.f - f) < Math.abs(best.f - f) ? mark : best));
}

/** The setting of a dial nearest to a temperature, °C. */
export function nearestSetting(c: number, dial: Dial): number {
  if (dial === 'gas') return celsius(gasMark(c).f);
  const toStep = (degrees: number) => Math.round(degrees / DIAL_STEP) * DIAL_STEP;
  return dial === 'C' ? toStep(c) : celsius(toStep(fahrenheit(c)));
}

/** A setting as the dial says it, with the degrees in braces for the person's own units: "gas mark 4 ({177 °C})". */
export function dialWords(settingC: number, dial: Dial): string {
  const degrees = `{${Number(settingC.toFixed(1))} °C}`;
  return dial === 'gas' ? `gas mark ${gasMark(settingC).said} (${degrees})` : degrees;
}
