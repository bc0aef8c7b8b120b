const percent = (share: number): string => `${Math.abs(Math.round(share * 100))} %`;
const g = (value: number): string => `{${Math.abs(value).toFixed(1)} g}`;
const batches = (n: number): string => (n === 1 ? 'The last batch' : `The last ${n} batches`);

/** Under this nobody needs to do anything. */
const LITTLE = 0.05;

/** Titles and sentences of the charts: what is seen, and what to do about it. Measures in braces, for `inStyle`. */
export const CHART = {
  planned: 'What its clock said',
  took: 'Took',
  first: 'As planned',
  time: {
    title: 'Baking time',
    load: (name: string, load: number | null, tookMin: number, clockMin: number) =>
      `${name}${load === null ? '' : `, load ${load}`}: ${tookMin.toFixed(1)} min for ${clockMin.toFixed(1)}`,
    says: (n: number, factor: number) => {
      const off = factor - 1;
      return Math.abs(off) < LITTLE
        ? `The last ${n} loads were done when their clocks said so, give or take ${percent(LITTLE)}: trust the first look.`
        : `The last ${n} loads took ${percent(off)} ${off > 0 ? 'longer' : 'less'} than their clocks said. Take their lessons to heart, or look at the door’s seal and the oven’s air.`;
    },
  },
  even: {
    title: (name: string) => `Evenness, ${name}`,
    piece: 'Piece',
    least: 'Least by chance',
    middle: 'Middle',
    most: 'Most by chance',
    says: ({
      n,
      outside,
      drifts,
      driftG,
    }: {
      readonly n: number;
      readonly outside: number;
      readonly drifts: boolean;
      readonly driftG: number;
    }) => {
      if (drifts)
        return `The hand drifted: the last five of ${n} are ${g(driftG)} ${driftG > 0 ? 'heavier' : 'lighter'} than the first five. Put every sixth piece on the scale.`;
      return outside > 0
        ? `${outside} of ${n} lie further off than chance has it. Weigh those again: ${outside === 1 ? 'it bakes and coats' : 'they bake and coat'} unlike the rest.`
        : `${n} pieces, all within what chance does. The scale can rest after the first three.`;
    },
  },
  binder: {
    title: 'Binder',
    says: (n: number, factor: number) =>
      Math.abs(factor - 1) < LITTLE
        ? `${batches(n)} took the binder that was planned.`
        : `${batches(n)} took ${percent(factor - 1)} ${factor > 1 ? 'more' : 'less'} binder than was planned. ${factor > 1 ? 'Have the planned amount made, and a spoon over.' : 'Hold a third back, and squeeze early.'}`,
  },
  coat: {
    title: 'Coat on a piece',
    says: (n: number, factor: number) =>
      Math.abs(factor - 1) < LITTLE
        ? `${batches(n)} took the coat that was planned.`
        : `${batches(n)} took ${percent(factor - 1)} ${factor > 1 ? 'more' : 'less'} coat than was planned. ${factor > 1 ? 'A warmer pot, or pieces less cold, run thinner.' : 'Look for thin places before it sets.'}`,
  },
  yield: {
    title: 'Good ones of those wanted',
    value: 'Good ones',
    wanted: 'All that were wanted',
    says: (n: number, share: number) => {
      const over = Math.ceil(36 / Math.min(1, share)) - 36;
      return over <= 0
        ? `${batches(n)} gave all that were wanted.`
        : `${batches(n)} gave ${percent(share)} of what was wanted. Where every one is promised, plan ${36 + over} for 36.`;
    },
  },
  hours: {
    title: 'What eats the day',
    value: 'A batch',
    says: (n: number, stage: string, share: number) =>
      `${stage} took ${percent(share)} of the work in the last ${n === 1 ? 'batch' : `${n} batches`}, by the taps at the bench: a second pair of hands gains most there.`,
  },
  sure: {
    title: 'How sure the kitchen has become',
    now: 'Now',
    start: 'At first',
    narrow: {
      'bake.factor': 'Tell every look at its next load.',
      'micro.factor': 'Tell every look at its next mug.',
      'bind.factor': 'Squeeze, and tell what it took, in the next batch.',
      'coat.mm': 'Weigh three coated pieces of the next batch.',
      'bake.lossShare': 'Weigh the next bowl, and its crumb.',
      'cake.density': 'Say how high the next ones end as the run is closed.',
      'set.usual': 'Look at the next ones a little sooner, and tell it.',
      'work.pace': 'Tap every step as it is done.',
      'portion.scatter': 'Weigh the next portions one by one.',
      'scoop.fill': 'Weigh three level scoops.',
      'oven.racks': 'Give the two tins of the next load a clock each.',
      'frosting.style': 'Weigh one piece before and after it is frosted.',
    },
    other: 'Measure it once in the next batch.',
    says: (label: string, width: number, mend: string) =>
      `Least sure is ${label}: ${Math.round(width)} % to either side. ${mend}`,
  },
} as const;

/** What two batches are compared by. */
export const COMPARE = {
  wanted: { what: 'Wanted', unit: 'pieces' },
  made: { what: 'Good ones', unit: 'pieces' },
  took: { what: 'A load took', unit: 'min' },
  planned: { what: 'Its clock said', unit: 'min' },
  looks: { what: 'Looks at a load', unit: 'pieces' },
  portion: { what: 'A portion, in the middle', unit: 'g' },
  scatter: { what: 'Portions scatter by', unit: 'g' },
  binder: { what: 'Binder that it took', unit: 'g' },
  coat: { what: 'Coat on a piece', unit: 'g' },
  crumb: { what: 'Crumb from the bowl', unit: 'g' },
  work: { what: 'Work, by the taps', unit: 'min' },
} as const;
