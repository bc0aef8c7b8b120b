/** What is done in a step of a day. Whoever adds one is led by the compiler to every place that has to know it. */
export const CHORE_DOES = [
  // Left alone to come to a warmth.
  'butter-out',
  'eggs-out',
  'frosting-out',
  // Batter, and what the run makes besides.
  'weigh-out',
  'mix',
  'make',
  'rests',
  // Into the heat, out of it, and what cake waits for.
  'fill',
  'load',
  'bake',
  'group',
  'stand',
  'out',
  'cool',
  // Crumb.
  'crumble',
  'bind',
  'roll',
  'firm',
  'stick',
  'anchor',
  // Coats and moulds.
  'melt',
  'warm',
  'dip',
  'coat-sets',
  'wash-mould',
  'mould-dries',
  'coat-a',
  'set-a',
  'coat-b',
  'set-b',
  'back',
  'freeze',
  'wash',
  // Finishing.
  'cut',
  'fill-in',
  'soak',
  'frosting',
  'soften',
  'colour',
  'frost',
  'cover',
  'top',
  'top-sets',
  'pack',
] as const;
export type ChoreDoes = (typeof CHORE_DOES)[number];
