import type { WellField } from './wellShape';

/** Measures that several shapes of wells ask for in the same words. */
export const ACROSS_TOP: WellField = {
  side: 'top',
  label: 'Top of the well',
  ask: 'Across the top',
  after: 'across the top,',
  min: 10,
  max: 300,
};
export const ACROSS_BASE: WellField = {
  side: 'base',
  label: 'Base of the well',
  ask: 'Across the base',
  after: 'across the base and',
  min: 5,
  max: 300,
};
export const DEPTH: WellField = {
  side: 'depth',
  label: 'Depth of the well',
  ask: 'Depth',
  after: 'deep, of',
  min: 5,
  max: 200,
};
