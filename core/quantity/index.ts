export {
  formatDuration,
  formatNumber,
  fromShown,
  inStyle,
  join,
  show,
  showFine,
  showText,
  spoons,
  toShown,
  typedUnit,
  PLAIN_STYLE,
} from './format';
export type { NumberStyle, Shown } from './format';
export { ingredientsNamedIn } from './ingredientName';
// What things hold stands in `./allergens`, which whoever needs it loads by itself: the first screen goes without its tables.
export type { Holds, Packet, Told } from './allergens';
export { COLLECTIVE, INGREDIENTS, ingredientOf } from './ingredients.table';
export type { Allergen, Ingredient, Role } from './ingredients.table';
export { kindOfLine } from './reading/kind';
export { A_NOTE, isLedByVerb, readLine, weighedInStep } from './line';
export { toldOf, unitAsked, waysIn } from './asked';
export type { AskedUnit } from './asked';
export { likelyIngredients } from './likely';
export { compositionOf, heldIn } from './composition';
export type { Fault } from './fault';
export type { OwnKitchen, OwnThing } from './own';
export type { LineStatus, ReadLine, WholeSort, WholeThing } from './line';
export { readNumber, readNumberField } from './number';
export { counted, plural, singular } from './plural';
export { TABLE_CUP_ML, TABLE_TSP_ML } from './units.table';
export type { Measures } from './units.table';
