import type { Basis, Figure, RangeCause } from '../figure';
import { PLAIN_STYLE, inStyle, showText, type NumberStyle } from '../quantity';

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
}

interface Holds {
  readonly figure: (id: string) => Figure;
  readonly causes: (id: string) => readonly RangeCause[];
}

/** Fills a figure's explanation with the numbers of its plan. */
export function whyText(plan: Holds, figure: Figure, style: NumberStyle = PLAIN_STYLE): WhyText {
  const { why } = figure;
  const fill = (words: (input: Figure) => string) =>
    inStyle(
      // The sum's own numbers stand outside of braces.
      why.sum.replace(/(\d)\.(\d)(?![^{]*\})/g, `$1${style.decimal}$2`),
      style,
    ).replace(/\{([^} ]+)\}/g, (_, id: string) => words(plan.figure(id)));
  // The sum brings its own × where a factor stands.
  const bare = (item: Figure) => showText(item.value, item.unit, style).replace(/^×/, '');
  const shown = (item: Figure) => showText(item.value, item.unit, style);
  const result = figure.expected && figure.kind === 'pinned' ? figure.expected.value : figure.value;
  return {
    sentence: inStyle(why.sentence, style),
    sum: fill((input) => input.label.toLowerCase()),
    filled: why.sum === '' ? '' : `${fill(bare)} = ${showText(result, figure.unit, style)}`,
    inputs: why.inputs.map((id) => {
      const input = plan.figure(id);
      return { id, label: input.label, shown: shown(input), bases: input.bases };
    }),
    causes: plan.causes(figure.id).map(({ id, share }) => ({
      id,
      label: plan.figure(id).label,
      percent: Math.round(share * 100),
    })),
  };
}
