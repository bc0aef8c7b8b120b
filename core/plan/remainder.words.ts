import { gramsText } from './figures';

/** A mass that may be a fraction of a gram, for the reader's own units. */
const grams = (massG: number): string => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;
const whole = (value: number) => String(Math.round(value));

/** What can be done about what is over or short: a title, and a sentence with its measures in braces. */
export const OFFERS = {
  fillLighter: (count: number, massG: number, finish: string, sunk: boolean) => ({
    title: `Fill all ${count} lighter`,
    detail: `${grams(massG)} a well: they come out ${finish}${sunk ? ', too low to look right' : ''}.`,
  }),
  mixMore: (massG: number, pieces: number) => ({
    title: 'Mix the missing batter',
    detail: `${grams(massG)} more makes the other ${pieces}.`,
  }),
  fewer: (made: number, short: number, plain: boolean) => ({
    title: `Make ${made}`,
    detail: `${short} fewer than asked for${plain ? '; nothing else changes' : ''}.`,
  }),
  moreFromBowl: (extra: number, all: number, restG: number | null) => ({
    title: `Make ${extra} more`,
    detail: `${all} in all from the same bowl${restG === null ? '' : `, ${grams(restG)} over`}.`,
  }),
  oneMoreWell: (leftG: number, share: number) => ({
    title: 'One more, smaller',
    detail: `${grams(leftG)} fills one well to ${whole(100 * share)} % of the others. Take it out a little sooner.`,
  }),
  spread: (massG: number, wasG: number, finish: string, over: boolean) => ({
    title: 'Spread it over all',
    detail: `${grams(massG)} a well in place of ${grams(wasG)}: ${finish}${over ? ', and may run over' : ''}.`,
  }),
  intoMug: (leftG: number, mostG: number) => ({
    title: leftG > mostG ? 'Some into mugs' : 'Into a mug',
    detail: `${grams(Math.min(leftG, mostG))} in a mug of 300 ml or more, no more than half full, for the microwave.`,
  }),
  smallerTin: (tin: string, count: number, eachG: number) => ({
    title: `Into "${tin}"`,
    detail: `${count} of ${grams(eachG)}, gently domed. They bake faster: look first.`,
  }),
  oneMoreMug: (leftG: number) => ({
    title: 'One more, smaller',
    detail: `${gramsText(leftG)} in another mug. It is done sooner: look after half the time.`,
  }),
  lighterPortions: (count: number, eachG: number, wasG: number) => ({
    title: `All ${count}, lighter`,
    detail: `${gramsText(eachG)} each in place of ${gramsText(wasG)}.`,
  }),
  moreCrumb: (shortG: number, pieces: number) => ({
    title: 'More crumb',
    detail: `${gramsText(shortG)} more dough makes the other ${pieces}: crumb of another cake, or biscuit with a little more binder.`,
  }),
  moreFromDough: (extra: number, all: number) => ({
    title: `Make ${extra} more`,
    detail: `${all} in all from the same dough.`,
  }),
  even: (count: number, eachG: number, leftG: number) => ({
    title: `${count} of ${gramsText(eachG)}`,
    detail: leftG < 1 ? 'Nothing left over.' : `${gramsText(leftG)} over, to taste.`,
  }),
  keepDough: (leftG: number) => ({
    title: 'Keep it',
    detail: `${gramsText(leftG)} of dough: frozen in portions it keeps for two months.`,
  }),
  moreFromSheets: (spare: number) => ({
    title: `Make ${spare} more`,
    detail: 'They are cut from the same sheets.',
  }),
  trimmingsIntoPops: (massG: number) => ({
    title: 'Into pops',
    detail: `${gramsText(massG)} of trimmings: crumb for a small batch of pops.`,
  }),
} as const;
