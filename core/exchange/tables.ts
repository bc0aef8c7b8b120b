import type { KitchenDoc, RunDoc } from '../model/documents';
import { paramOf } from '../param';
import { INGREDIENTS } from '../quantity';
import { csvText } from './csv';

/** A moment as text that every program reads: 2026-11-28T16:00:00.000Z. */
export const iso = (at: number): string => new Date(at).toISOString();

/** What was expected and what came, an outcome a row. */
export const outcomesCsv = (runs: readonly RunDoc[]): string =>
  csvText(
    [
      'run',
      'name',
      'at',
      'line',
      'parameter',
      'of',
      'low',
      'high',
      'start',
      'start_spread',
      'figure',
      'expected',
      'came',
      'taken',
    ],
    runs.flatMap(({ id, name, closed }) =>
      (closed?.evidence ?? []).map((one) => [
        id,
        name,
        iso(one.at),
        one.lineId,
        one.param,
        one.of[0] ?? null,
        one.low,
        one.high,
        one.start.value,
        one.start.spread,
        one.seen?.figureId ?? null,
        one.seen?.expected ?? null,
        one.seen?.came ?? null,
        one.taken,
      ]),
    ),
  );

/** What the kitchen holds of its things, set by hand or learned. */
export const beliefsCsv = ({ beliefs }: Pick<KitchenDoc, 'beliefs'>): string =>
  csvText(
    ['parameter', 'label', 'unit', 'of', 'mean', 'spread', 'seen', 'since', 'learned'],
    beliefs.map(({ param, of, mean, spread, seen, since, learned }) => [
      param,
      paramOf(param)?.label ?? null,
      paramOf(param)?.unit ?? null,
      of,
      mean,
      spread,
      seen,
      since,
      learned === true,
    ]),
  );

/** What is known of ingredients: what a cup, a spoon or one of them weighs, what it is called, and what is allergenic in it. */
export const ingredientsCsv = ({ ownThings = [] }: Pick<KitchenDoc, 'ownThings'>): string =>
  csvText(
    ['key', 'name', 'also', 'kind', 'cup_g', 'teaspoon_g', 'one_g', 'packs_g', 'allergens', 'own'],
    [
      ...INGREDIENTS.map(({ key, name, names, role, cupG, tspG, pieceG, packG, allergens = [] }) => [
        key,
        name,
        names.filter((one) => one !== name).join('; '),
        role,
        cupG ?? null,
        tspG ?? null,
        pieceG ?? null,
        packsText(packG),
        allergens.join('; '),
        false,
      ]),
      ...ownThings.map(({ name, like, cupG, pieceG, packG }) => [
        like ?? '',
        name,
        '',
        '',
        cupG ?? null,
        null,
        pieceG ?? null,
        packsText(packG),
        '',
        true,
      ]),
    ],
  );

const packsText = (packG: Readonly<Record<string, number>> | undefined): string =>
  Object.entries(packG ?? {})
    .map(([pack, g]) => `${pack} ${g}`)
    .join('; ');
