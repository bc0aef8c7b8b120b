export { chartsOf } from './charts';
export type { Chart, ChartPoint } from './charts';
export { comparedRuns } from './compare';
export { gatherCsv } from './gatherCsv';
export type { Compared } from './compare';
export { sortsOf } from './sorts';
export type { Sorts } from './sorts';
export { bestBy, byDay, dayAfter, daysBetween, daysOf, mayGo, movedTo, takenOut, usedBy } from './keeping';
export {
  LABEL_EDGE_MM,
  LABEL_SHEETS,
  LAWFUL_MM,
  labelIngredients,
  labelsSvg,
  lettersFor,
  placesOn,
} from './label';
export type { LabelIngredient, LabelParagraph, LabelSheet, LabelText } from './label';
export { energyOf, handsOf, priceOf, roundPrice } from './price';
export type { Price } from './price';
