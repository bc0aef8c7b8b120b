import {
  decided,
  resultWith,
  sumText,
  type Basis,
  type Explained,
  type Figure,
  type LaidOut,
  type Unit,
} from '../figure';
import { measuringWords } from '../param';
import { PLAIN_STYLE, inStyle, join, showFine, showText, type NumberStyle } from '../quantity';

export interface WhyInput {
  readonly id: string;
  readonly label: string;
  readonly shown: string;
  readonly bases: readonly Basis[];
}

export interface WhyText {
  readonly sentence: string;
  /** The sum in words: "A well to the brim × Filled". Empty for a starting value. */
  readonly sum: string;
  /** The same sum with this run's numbers: "106 ml × 57 % × 0.90 g/ml = 54 g". */
  readonly filled: string;
  readonly inputs: readonly WhyInput[];
  /** What widens the range most: label and per cent of it. */
  readonly causes: readonly { readonly id: string; readonly label: string; readonly percent: number }[];
  /** The one measurement that would narrow it most; null where nothing that widens it can be measured. */
  readonly narrow: Narrow | null;
}

export interface Narrow {
  readonly id: string;
  readonly label: string;
  /** How to measure it: "time one load of it in this oven". */
  readonly how: string | null;
  /** The range that would be left, in words: "18 to 22 min". */
  readonly left: string;
}

/** What most of the width comes from that a person can measure, and what would be left of the range. */
function narrowOf(plan: Explained, figure: Figure, style: NumberStyle): Narrow | null {
  const causes = plan.causes(figure.id).filter(({ id }) => id !== figure.id);
  for (const { id, label, share } of causes) {
    // What a shared bowl rests on stands in the line that it comes from.
    if (!plan.has(id)) continue;
    const { replace, known } = plan.figure(id);
    const key = known?.param ?? id;
    const how = measuringWords({ key });
    if (!replace && !how) continue;
    const kept = Math.sqrt(Math.max(1 - share, 0));
    const end = (value: number) => showText(figure.value + (value - figure.value) * kept, figure.unit, style);
    return { id, label, how, left: `${end(figure.low)} to ${end(figure.high)}` };
  }
  return null;
}

/** Fills a figure's explanation with the numbers of its plan. */
export function whyText(plan: Explained, figure: Figure, style: NumberStyle = PLAIN_STYLE): WhyText {
  const laid = plan.laidOut(figure.id);
  const shown = (item: Figure) => showText(item.value, item.unit, style);
  const result = figure.expected && figure.kind === 'pinned' ? figure.expected.value : figure.value;
  const number = (value: number) => String(value).replace('.', style.decimal);
  const measure = (value: number, unit: string) => inStyle(`{${value} ${unit}}`, style);
  return {
    sentence: inStyle(figure.sentence, style),
    sum: laid ? sumText(laid, { ref: (id) => plan.figure(id).label.toLowerCase(), number, measure }) : '',
    filled: laid
      ? `${sumText(laid, { ref: enoughDigits(plan, laid, result, figure.unit, style), number, measure })} = ${showText(result, figure.unit, style)}`
      : '',
    inputs: figure.inputs.map((id) => {
      const input = plan.figure(id);
      return { id, label: input.label, shown: shown(input), bases: input.bases };
    }),
    narrow: narrowOf(plan, figure, style),
    causes: plan.causes(figure.id).map(({ id, share, label }) => ({
      id,
      label,
      percent: Math.round(share * 100),
    })),
  };
}

/** The sum brings its own × where a factor stands. */
const bare = (text: string) => text.replace(/^×/, '');

/** More digits than this help nobody. */
const MOST_DIGITS = 6;

/**
 * Numbers of a sum with as many digits as it needs: as they are shown elsewhere where those multiply out to the result
 * that is shown, and with more where they do not.
 */
function enoughDigits(
  plan: Explained,
  laid: LaidOut,
  result: number,
  unit: Unit,
  style: NumberStyle,
): (id: string) => string {
  const wanted = showText(result, unit, style);
  const plain = (id: string) => {
    const { value, unit: of } = plan.figure(id);
    return bare(showText(value, of, style));
  };
  for (let digits = 0; digits <= MOST_DIGITS; digits += 1) {
    const text = new Map(laid.inputs.map((id) => [id, withDigits(plan.figure(id), digits, style)]));
    const value = resultWith(laid, (id) => text.get(id)?.value ?? 0);
    if (showText(rounded(value, laid.more), unit, style) === wanted)
      return (id) => {
        const found = text.get(id);
        return found ? bare(found.text) : plain(id);
      };
  }
  return plain;
}

/** A value as its figure is rounded. */
function rounded(value: number, { whole, decide }: LaidOut['more']): number {
  if (whole === 'floor') return Math.floor(value + 1e-9);
  if (whole === 'ceil') return Math.ceil(value - 1e-9);
  return decide ? decided(decide, value) : value;
}

/** A figure as it is shown, with so many digits more than usual, and the value that such a number stands for. */
function withDigits(
  { value, unit }: Figure,
  digits: number,
  style: NumberStyle,
): { readonly text: string; readonly value: number } {
  const plain = showFine(value, unit, style, 0);
  // What says it all needs no noughts behind it.
  const exact = Math.abs(plain.reads - value) <= 1e-9 * Math.max(Math.abs(value), 1);
  const shown = exact ? plain : showFine(value, unit, style, digits);
  return { text: join(shown), value: shown.reads };
}
