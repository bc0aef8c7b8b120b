import type { ChoreDoes } from '../model/choreDoes';

/** Stages of a day that hands are at. */
export const STAGES = ['weigh', 'oven', 'dough', 'coat', 'finish', 'clear'] as const;
export type Stage = (typeof STAGES)[number];

/** The stage that each kind of step belongs to; null for what is nobody's work. */
const STAGE_OF: Readonly<Record<ChoreDoes, Stage | null>> = {
  'butter-out': 'weigh',
  'eggs-out': 'weigh',
  'frosting-out': null,
  'weigh-out': 'weigh',
  mix: 'weigh',
  make: 'weigh',
  rests: null,
  fill: 'oven',
  load: 'oven',
  bake: 'oven',
  group: 'oven',
  stand: null,
  out: 'oven',
  refill: 'oven',
  cool: null,
  crumble: 'dough',
  bind: 'dough',
  roll: 'dough',
  firm: null,
  stick: 'dough',
  anchor: 'coat',
  melt: 'coat',
  warm: 'coat',
  dip: 'coat',
  'coat-sets': null,
  'wash-mould': 'clear',
  'mould-dries': null,
  'coat-a': 'coat',
  'set-a': null,
  'coat-b': 'coat',
  'set-b': null,
  back: 'coat',
  freeze: null,
  wash: 'clear',
  cut: 'finish',
  'fill-in': 'finish',
  soak: 'finish',
  frosting: 'finish',
  soften: 'finish',
  colour: 'finish',
  frost: 'finish',
  cover: 'finish',
  top: 'finish',
  'top-sets': null,
  pack: 'clear',
};

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

/** The stage that a step belongs to; null for what is nobody's work, and where nobody knows what was done. */
export const stageOf = ({ does }: { readonly does?: ChoreDoes | undefined }): Stage | null =>
  does === undefined ? null : STAGE_OF[does];

/** Whether a step is of one line alone. */
export const isOfLine = (
  { lineIds }: { readonly lineIds?: readonly string[] | undefined },
  lineId: string,
): boolean => lineIds?.length === 1 && lineIds[0] === lineId;
