import type { Href } from 'expo-router';

export type Stage = 'glance' | 'pieces' | 'sums' | 'gather' | 'day' | 'bake';

/** The stages of a run, in the order of the work. */
export const STAGES: readonly { readonly stage: Stage; readonly name: string }[] = [
  { stage: 'glance', name: 'Glance' },
  { stage: 'pieces', name: 'Pieces' },
  { stage: 'sums', name: 'Sums' },
  { stage: 'gather', name: 'Gather' },
  { stage: 'day', name: 'Day' },
  { stage: 'bake', name: 'Bench' },
];

export const stageHref = (id: string, stage: Stage): Href => ({
  pathname: stage === 'glance' ? '/runs/[id]' : `/runs/[id]/${stage}`,
  params: { id },
});
