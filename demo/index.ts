import { FAMILY_FORMULAS } from './familyFormulas';
import { DEMO_FORMULAS as BATTERS } from './formulas';

/** All formulas that the demo lays out. */
export const DEMO_FORMULAS = [...BATTERS, ...FAMILY_FORMULAS];
export { DEMO_KITCHEN, EMPTY_KITCHEN } from './kitchen';
export { demoDay, demoRuns, nextSaturdayAtFour } from './runs';
