import { counted, plural } from '../quantity';
import type { FrostingKind } from '../model/kinds';
import type { MaterialIs, Preparation } from '../plan';
import type { ColdRoom } from './coldRoom';
import type { Mix } from './mixes';

const capital = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;

/** Frostings that a shop has ready to spread; the others are made, and stand for no more than minutes or hours. */
export const BOUGHT_READY: ReadonlySet<FrostingKind> = new Set<FrostingKind>([
  'buttercream',
  'meringue buttercream',
  'ganache',
  'soft cheese',
  'glaze',
]);

export const GATHER_TITLES = {
  'set out': 'Set out',
  crumb: 'Into the crumb',
  melt: 'To melt',
  fill: 'To fill and to frost',
  finish: 'To finish with',
} as const;

export interface MaterialWords {
  readonly what: string;
  /** A word on it, such as how it is treated. */
  readonly note: string;
  /** What it is called in a shop; null for what nobody buys. */
  readonly shop: string | null;
}

/** A thing that no bowl of a formula holds, in words. */
export function materialWords(material: MaterialIs): MaterialWords {
  const say = (what: string, note = '', shop: string | null = what): MaterialWords => ({ what, note, shop });
  switch (material.is) {
    case 'sticks':
      return say(material.flat ? 'Flat sticks' : 'Sticks', 'One a piece; have some to spare.');
    case 'cases': {
      const twice = material.liner === 'double paper';
      const cases = material.liner === 'foil' ? 'foil cases' : 'paper cases';
      return say(
        `Cases: ${material.liner}`,
        `For ${material.tin}.${twice ? ' Two a piece.' : ''}`,
        `${cases} for ${material.tin}`,
      );
    }
    case 'boards':
      return say('Boards', 'One a piece. Wiped, and sold for food.', 'cake boards');
    case 'biscuit':
      return say('Biscuit', 'Crushed fine.');
    case 'trimmings':
      return say('Cake trimmings', 'Crumbled.', null);
    case 'leftovers':
      return say('Leftover cake', 'Crumbled.', null);
    case 'add-in':
      return say(material.what);
    case 'binder':
      return say(`Binder: ${material.kind}`, 'Hold back; add by the spoon at the end.', material.kind);
    case 'base layer':
      return say(material.what, 'In each well.');
    case 'filling':
      return say(material.what);
    case 'frosting':
      return say(
        capital(material.kind),
        BOUGHT_READY.has(material.kind)
          ? 'Bought, or by a formula that this run does not know.'
          : 'By a formula that this run does not know.',
        BOUGHT_READY.has(material.kind)
          ? `${material.kind}, bought or made`
          : `what goes into the ${material.kind}`,
      );
    case 'fondant':
      return say('Fondant', 'Covered until it is rolled.');
    case 'chocolate':
      return say(material.kind === 'compound' ? 'Compound coating' : `${capital(material.kind)} chocolate`);
    case 'thinner':
      return say('Coconut oil or cocoa butter', `Stirred into the ${material.kind}.`);
    case 'topping':
      return say(material.what, `For ${material.lot}.`);
    case 'gel':
      return say(`Gel colour, ${material.colour}`, `For ${material.lot}.`);
  }
}

export function preparationWords(preparation: Preparation): string {
  switch (preparation.do) {
    case 'thaw':
      return `${preparation.what}: overnight in the fridge, in a bowl.`;
    case 'wash mould':
      return `${preparation.mould}: warm water, no abrasive, dried and polished with a soft cloth.`;
    case 'line trays':
      return 'A tray lined with paper for the portions, and one for the finished pieces.';
    case 'cases into tin':
      return `Cases into ${preparation.tin}.`;
    case 'grease and flour':
      return `Grease and flour ${preparation.tin}.`;
    case 'grease well':
      return `Grease ${preparation.tin} well, into every curve.`;
    case 'line sheets':
      return `Line the ${plural('sheet', preparation.sheets)} with paper.`;
    case 'cold bowl for cream':
      return 'Bowl and whisk cold for the cream.';
  }
}

/** "Room in the fridge for 2 trays of {300 mm} by {200 mm}, 24 on each." */
export function coldWords({ where, what, needed, each, tray, measured }: ColdRoom): string {
  return what === 'mould'
    ? `Room in the ${where} for ${counted(needed, 'mould')}, level.`
    : `Room in the ${where} for ${counted(needed, 'tray')} of ${measured ? '' : 'about '}{${tray.lengthMm} mm} by {${tray.widthMm} mm}, ${each} on each.`;
}

/** What could be done so that less has to go into the cold at once. */
const otherwise = ({ what }: ColdRoom): string =>
  what === 'tray' ? 'choose another school of dipping' : 'make fewer a round';

export const COLD_FAULTS = {
  noRoom: (cold: ColdRoom) => ({
    fault: `${counted(cold.needed, cold.what)} must go into the ${cold.where}, and the kitchen has no room in it.`,
    mend: `Make room, and count it under Kitchen, In stock; or ${otherwise(cold)}.`,
  }),
  inGoes: (cold: ColdRoom, room: number) => {
    const first = Math.min(cold.pieces, room * cold.each);
    return {
      fault: `${counted(cold.needed, cold.what)} for the ${cold.where} at once, and it takes ${room}: ${cold.goes} goes.`,
      mend:
        cold.what === 'mould'
          ? `Fill ${counted(room, 'mould')} a round, ${first} pieces, and the next when they are out.`
          : `Chill ${first} first and the rest while these are dipped; or ${otherwise(cold)}.`,
    };
  },
  together: (where: ColdRoom['where'], trays: number, moulds: number, room: number) => {
    const what = [
      ...(trays > 0 ? [counted(trays, 'tray')] : []),
      ...(moulds > 0 ? [counted(moulds, 'mould')] : []),
    ];
    return {
      fault: `Together the lines put ${what.join(' and ')} into the ${where}, and it takes ${room}.`,
      mend: 'Chill one line after another: finish the first before the next goes in; or make room.',
    };
  },
} as const;

/** How the day mixes what one list weighs out; null where it is one bowl for all. @param when a local time in words */
export function mixesWords(
  mixes: readonly Mix[],
  when: (at: string) => string,
  forWords: (lineIds: readonly string[]) => string,
): { readonly head: string; readonly each: readonly string[] } | null {
  const bowls = mixes.reduce((sum, one) => sum + one.bowls, 0);
  if (bowls < 2) return null;
  return {
    head: `The day mixes it in ${bowls} bowls. This list is all of them together; at the bench each step has its own amounts.`,
    each: mixes.map(({ startAt, lineIds, massG, bowls: n }) =>
      [
        `${when(startAt)}: ${n > 1 ? `${n} bowls of {${Math.round(massG / n)} g}` : `{${Math.round(massG)} g}`}`,
        forWords(lineIds),
      ]
        .filter(Boolean)
        .join(', '),
    ),
  };
}
