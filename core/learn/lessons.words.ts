/** Whole per cent of a factor against 1: "6 %". */
const percent = (factor: number): string => `${Math.abs(Math.round((factor - 1) * 100))} %`;

/** As a sentence begins. */
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What a run taught, with the figure that goes with it. Measures in braces, for `inStyle`. */
export const LESSON = {
  oven: (name: string, factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? `${name} bakes this as first reckoned.`
      : `${name} takes ${percent(factor)} ${factor > 1 ? 'longer' : 'less'} for this than first reckoned.`,
  from: (time: string, first: string, look: string) =>
    `From now on ${time}${time === first ? '' : ` instead of ${first}`}, look at ${look}.`,
  air: (name: string, byK: number) =>
    Math.abs(byK) < 1
      ? `${name} gives what its dial says.`
      : `${name} runs {${Math.round(Math.abs(byK))} K} ${byK > 0 ? 'hotter' : 'cooler'} than its dial says.`,
  airFrom: (setC: number) => `From now on set it to {${setC} °C}.`,
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
  rises: (factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? 'The batter rises as reckoned.'
      : `The batter rises ${percent(factor)} ${factor > 1 ? 'more' : 'less'} than reckoned.`,
  portionFrom: (portionG: string) => `From now on ${portionG} to a well.`,
  sets: (stage: string, factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? `${capital(stage)}: ready when reckoned.`
      : `${capital(stage)}: ready ${percent(factor)} ${factor > 1 ? 'later' : 'sooner'} than reckoned.`,
  setsFrom: (time: string) => `From now on about ${time}.`,
  pace: (stage: string, factor: number) =>
    Math.abs(factor - 1) < 0.03
      ? `${stage}: as long as reckoned.`
      : `${stage} ${factor > 1 ? `took ${percent(factor)} longer` : `went ${percent(factor)} faster`} than reckoned.`,
  paceFrom: 'Days are planned by that from now on.',
  scoop: (number: string, givesG: string, saidG: string) =>
    givesG === saidG
      ? `Scoop ${number} gives ${givesG} here, as its number says.`
      : `Scoop ${number} gives ${givesG} here, not ${saidG}.`,
  scoopFrom: (fewer: number) =>
    `Of as much dough that is ${Math.abs(fewer)} ${Math.abs(fewer) === 1 ? 'piece' : 'pieces'} ${fewer > 0 ? 'fewer' : 'more'}.`,
  scatter: (share: number, factor: number) =>
    `Eight in ten pieces lie within ${Math.round(share * 100)} % of their middle${factor > 1.25 ? ': more apart than weighed ones usually do' : factor < 0.8 ? ': closer than usual' : ''}.`,
  racks: (name: string, ratio: number) =>
    Math.abs(ratio - 1) < 0.02
      ? `${name}: top and bottom are done together.`
      : `${name}: the top is done ${percent(ratio)} ${ratio < 1 ? 'sooner' : 'later'} than the bottom.`,
  racksFrom: 'Clocks go by that from now on. Or change the tins round at two thirds of the time.',
  frosting: (factor: number) =>
    Math.abs(factor - 1) < 0.01
      ? 'Pieces take as much frosting as reckoned.'
      : `Pieces take ${percent(factor)} ${factor > 1 ? 'more' : 'less'} frosting than reckoned.`,
  frostingFrom: (eachG: string) => `From now on ${eachG} on each.`,
  other: (label: string, factor: number) =>
    `${label}: ${percent(factor)} ${factor > 1 ? 'more' : 'less'} than reckoned.`,
  surer: 'Nothing new, but surer.',
  changed: 'The last ones lie so far from those before that this may be another one. It is learned afresh.',
} as const;
