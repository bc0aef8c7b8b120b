import type { Limit, Supply } from '../chain';
import { type Figures } from '../figures';

/** A supply before it is known which one is the smallest. */
export interface Supplied {
  readonly supply: Supply;
  readonly figureId: string;
  readonly words: string;
}

/**
 * Pieces that a supply on the table allows: what there is, less what stays over in any case, over what one piece takes.
 * Nothing where no amount is stated.
 */
export function supplied(
  ledger: Figures,
  supply: Supply,
  name: string,
  onHandG: number | null | undefined,
  each: { readonly figureId: string; readonly over?: string },
  words: string,
): Supplied[] {
  if (onHandG === null || onHandG === undefined) return [];
  ledger.given(
    `${supply}.onHand`,
    `${name} on the table`,
    'g',
    onHandG,
    'stated',
    'As much as there is, as stated for this run.',
  );
  const figureId = `count.${supply}`;
  const over = each.over;
  ledger.calc(
    figureId,
    `The ${name.toLowerCase()} allows`,
    'pieces',
    over
      ? `({${supply}.onHand} − {${over}}) ÷ {${each.figureId}}, at least 0, whole ones`
      : `{${supply}.onHand} ÷ {${each.figureId}}, whole ones`,
    over
      ? (there = 0, lost = 0, one = 1) => Math.max(there - lost, 0) / one
      : (there = 0, one = 1) => there / one,
    'What is on the table, over what one piece takes.',
    { whole: 'floor' },
  );
  return [{ supply, figureId, words }];
}

/** Pieces that a counted supply allows: one to a piece. */
export function counted(
  ledger: Figures,
  supply: Supply,
  name: string,
  there: number | null | undefined,
  words: string,
): Supplied[] {
  if (there === null || there === undefined) return [];
  const figureId = `count.${supply}`;
  ledger.given(
    figureId,
    `The ${name} allow`,
    'pieces',
    there,
    'counted',
    `One ${name.replace(/s$/, '')} to a piece, as many as there are.`,
  );
  return [{ supply, figureId, words }];
}

/** How many are wanted. */
export function addWanted(ledger: Figures, count: number, many: string): void {
  ledger.given(
    'count.wanted',
    `${many} wanted`,
    'pieces',
    count,
    'stated',
    'As many as this run was asked for.',
  );
}

/** How many are made: the smallest of what was wanted and what every supply allows; names the one that limits. */
export function addMade(ledger: Figures, supplies: readonly Supplied[], many: string): Limit[] {
  ledger.smallest(
    'count.made',
    `${many} made`,
    'pieces',
    ['count.wanted', ...supplies.map(({ figureId }) => figureId)],
    'The smallest of what was wanted and what every supply allows.',
    'floor',
  );
  const wanted = ledger.value('count.wanted');
  const all = supplies.map((supply) => ({ ...supply, pieces: ledger.value(supply.figureId) }));
  const fewest = Math.min(...all.map(({ pieces }) => pieces));
  return all.map((supply) => ({
    ...supply,
    limiting: supply.pieces === fewest,
    short: supply.pieces < wanted,
  }));
}
