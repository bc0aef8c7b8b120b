export { DEMO_FORMULAS } from './formulas';
export { DEMO_KITCHEN, EMPTY_KITCHEN } from './kitchen';
export { demoRuns, nextSaturdayAtFour } from './runs';
