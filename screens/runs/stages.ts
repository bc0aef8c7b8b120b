import type { Href } from 'expo-router';

export type Stage = 'pieces' | 'sums' | 'gather' | 'bake';

/** The stages of a run, in the order of the work. */
export const STAGES: readonly { readonly stage: Stage; readonly name: string }[] = [
  { stage: 'pieces', name: 'Pieces' },
  { stage: 'sums', name: 'Sums' },
  { stage: 'gather', name: 'Gather' },
  { stage: 'bake', name: 'Bake' },
];

export const stageHref = (id: string, stage: Stage): Href => ({
  pathname: `/runs/[id]/${stage}`,
  params: { id },
});
