/** Stages of a day that hands are at, each with the steps that belong to it by the stem of their name. */
export const STAGE_STEMS = {
  weigh: /^(weigh-out|mix|make|butter-out|eggs-out|portion)$/,
  oven: /^(load|bake|group|out|fill|preheat)$/,
  dough: /^(crumble|bind|roll|stick)$/,
  coat: /^(melt|warm|dip|anchor|coat-a|coat-b|back|unmould)$/,
  finish: /^(cut|fill-in|soak|colour|frosting|soften|frost|cover|top|assemble|pair|drape)$/,
  clear: /^(wash.*|pack)$/,
} as const;
export type Stage = keyof typeof STAGE_STEMS;
export const STAGES = Object.keys(STAGE_STEMS) as readonly Stage[];

/** What each is called, as a sentence begins. */
const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  weigh: 'Weighing and mixing',
  oven: 'Filling and baking',
  dough: 'Crumb and dough',
  coat: 'Coating',
  finish: 'Finishing',
  clear: 'Packing and washing',
};

/** What a stage is called; of one that a later version knows, the work as a whole. */
export const stageWords = (stage: string): string =>
  (STAGE_WORDS as Readonly<Record<string, string>>)[stage] ?? 'The work';

/** A step's stem: `lanterns/bake1.fill-2` is "fill". */
export const stemOf = ({ id }: { readonly id: string }): string =>
  (id.split('/').at(-1) ?? '').replace(/^bake\d+\./, '').replace(/-\d+$/, '');

/** Whether a step is one of that line's own. */
export const isOfLine = ({ id }: { readonly id: string }, lineId: string): boolean =>
  id.startsWith(`${lineId}/`);

/** The stage that a step belongs to; null for what is nobody's work. */
export const stageOf = (step: { readonly id: string }): Stage | null => {
  const stem = stemOf(step);
  return STAGES.find((stage) => STAGE_STEMS[stage].test(stem)) ?? null;
};
