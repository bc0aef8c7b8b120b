import {
  PLAIN_STYLE,
  TABLE_TSP_ML,
  TABLE_CUP_ML,
  formatNumber,
  plural,
  showText,
  spoons,
  type Ingredient,
  type NumberStyle,
  type WholeThing,
} from '../quantity';
import type { BatchIngredient } from './emitted';

/** How to measure out one ingredient: what the hand does, and the same said another way. */
export interface WeighOut {
  readonly main: string;
  readonly beside: string | null;
}

/** A scale reads an amount well enough from this many of its steps on: within 5 %. */
const STEPS_TO_TRUST = 10;

/** g in a level teaspoon, where spoons make sense for the ingredient. */
function spoonG(ingredient: Ingredient | null): number | null {
  if (ingredient?.tspG !== undefined) return ingredient.tspG;
  if (ingredient?.cupG !== undefined) return (ingredient.cupG / TABLE_CUP_ML) * TABLE_TSP_ML;
  return null;
}

/** Grams as this scale can show them; below one of its steps, as a fine scale would. */
function onScale(massG: number, stepG: number, style: NumberStyle): string {
  if (style.mass === 'oz' || massG < stepG * STEPS_TO_TRUST) return showText(massG, 'g', style);
  const decimals = stepG >= 1 ? 0 : stepG >= 0.1 ? 1 : 2;
  return `${formatNumber(Math.round(massG / stepG) * stepG, decimals, style.decimal)} g`;
}

/** Zest of two oranges is weighed by the orange. */
const PART_OF_FRUIT = /\b(?:zest|juice|peel)$/;

/** So many of what is called by its pack or by its own name: "2 tins", "1½ pods". */
const named = (many: string, count: number, one: string, name: string) =>
  PART_OF_FRUIT.test(name) ? `of ${many}` : one === name ? many : `${many} ${plural(one, Math.ceil(count))}`;

/** How to come by a weighed part of things that come whole: "2 whole and 14 g of another, beaten". */
function inParts(
  massG: number,
  { pieceG, one, sort }: WholeThing,
  { name }: BatchIngredient['line'],
  style: NumberStyle,
): string {
  const egg = sort === 'egg';
  const how = egg ? ', beaten' : '';
  const whole = Math.floor(massG / pieceG + 1e-6);
  const thing = egg || one === name ? '' : ` ${plural(one, whole)}`;
  const rest = massG - whole * pieceG;
  if (rest < 0.5 || rest < pieceG * NOTHING_OVER) return `${whole}${thing || ' whole'}${how}`;
  const part = showText(rest, 'g', style);
  return whole === 0 ? `of one ${one}${how}` : `${whole}${thing || ' whole'} and ${part} of another${how}`;
}

/** So little of another one is not worth opening it, as a share of it. */
const NOTHING_OVER = 0.01;

/**
 * The amount of an ingredient as it is measured out: whole eggs by count with their grams beside, weights by the
 * scale, and spoons first where the scale is too coarse to tell.
 */
export function weighOut(
  item: BatchIngredient,
  scaleStepG: number,
  style: NumberStyle = PLAIN_STYLE,
): WeighOut {
  const massG = item.mass.value;
  const grams = onScale(massG, scaleStepG, style);
  if (item.whole) {
    const many = formatNumber(item.whole.value, Number.isInteger(item.whole.value) ? 0 : 1, style.decimal);
    const egg = item.line.whole?.sort === 'egg';
    const one = item.line.whole?.one ?? '';
    return egg
      ? { main: many, beside: `${grams} without shell` }
      : { main: named(many, item.whole.value, one, item.line.name), beside: grams };
  }
  const broken = item.line.whole;
  if (broken) return { main: grams, beside: inParts(massG, broken, item.line, style) };
  const perSpoon = spoonG(item.line.ingredient);
  if (massG < STEPS_TO_TRUST * scaleStepG) {
    if (perSpoon !== null) return { main: spoons(massG, perSpoon), beside: grams };
    if (massG < scaleStepG) return { main: 'a pinch', beside: grams };
  }
  const byTheSpoon = item.line.ingredient?.tspG;
  return { main: grams, beside: byTheSpoon === undefined ? null : spoons(massG, byTheSpoon) };
}
