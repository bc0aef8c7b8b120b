/** Whole per cent of a factor against 1: "6 %". */
const percent = (factor: number): string => `${Math.abs(Math.round((factor - 1) * 100))} %`;

/** What a run taught, with the figure that goes with it. Measures in braces, for `inStyle`. */
export const LESSON = {
  oven: (name: string, factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? `${name} bakes as reckoned.`
      : `${name} runs ${percent(factor)} ${factor > 1 ? 'slow' : 'fast'}.`,
  from: (time: string, look: string) => `From now on ${time}, look at ${look}.`,
  binder: (factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? 'The crumb takes as much binder as reckoned.'
      : `The crumb takes ${percent(factor)} ${factor > 1 ? 'more' : 'less'} binder than reckoned.`,
  binderFrom: (grams: string, pieces: number) => `From now on ${grams} for ${pieces}.`,
  coat: (factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? 'The coat comes out as thick as reckoned.'
      : `The coat comes out ${percent(factor)} ${factor > 1 ? 'thicker' : 'thinner'} than reckoned.`,
  coatFrom: (eachG: string, meltG: string) => `From now on ${eachG} on a piece, ${meltG} to melt.`,
  other: (label: string, factor: number) =>
    `${label}: ${percent(factor)} ${factor > 1 ? 'more' : 'less'} than reckoned.`,
  surer: 'Nothing new, but surer.',
  changed: 'The last ones lie so far from those before that this may be another one. It is learned afresh.',
} as const;
