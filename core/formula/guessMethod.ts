import type { Method } from '../model/documents';
import type { ReadLine } from '../quantity';

/** How a batter is taken to be mixed, and by what it was told; null where nothing tells and the usual is taken. */
export interface GuessedMethod {
  readonly method: Method;
  readonly because: string | null;
}

/** Pastes and pots that hold fat, and are none that a batter is made with. */
const NO_FAT = new Set(['buttercream', 'frosting', 'mayonnaise']);
const MELTED = /\b(melted|browned?)\b/i;
/** Shares of the flour. Basis: typical of published formulas of each kind. */
const SHARE = { creamsFrom: 0.2, whiskedEgg: 0.9, whiskedFat: 0.45, pound: 0.75 } as const;

/** What steps say of mixing; none of it goes over the end of a sentence. */
const STEPS = {
  mug: /\bmugs?\b/i,
  microwave: /\bmicrowave/i,
  folds: /\bfold\w*[^.\n]*\b(whites?|meringue)\b|\b(whites?|meringue)\b[^.\n]*\bfold/i,
  creams:
    /\bcream(ed|ing)?\s+(together|the|butter|margarine|until|well)\b(?!\s+(cheese|of))|\bbeat(en|ing)?\b(?![^.\n]*\bmelted\b)[^.\n]{0,40}\b(butter|margarine|spread)\b|\b(pale|light) and fluffy\b/i,
  whisks:
    /\b(whisk|beat)\w*[^.\n]*\beggs?\b[^.\n]*\b(thick|ribbons?|trail|tripled?|doubled?|foam\w*|mousse|pale)\b/i,
  melts:
    /\bmelt\w*[^.\n]{0,30}\b(butter|margarine|fat)\b|\b(butter|margarine)\b[^.\n]{0,30}\bmelt|\bmelted (butter|margarine)\b/i,
} as const;

/**
 * How a batter is mixed, by what its steps say and then by what it is made of: oil takes in no air, and what has no fat is not
 * creamed. It decides how heavy the batter is and how long it waits, so nobody should have to know that it is asked.
 * @param lines of the formula, each thing of a line by itself
 * @param steps as written; may be empty
 */
export function guessMethod(lines: readonly ReadLine[], steps: string): GuessedMethod {
  const grams = (of: (line: ReadLine) => boolean) =>
    lines.reduce((sum, line) => sum + (line.ingredient && of(line) ? line.massG : 0), 0);
  const role = (...roles: readonly string[]) =>
    grams(({ ingredient }) => roles.includes(ingredient?.role ?? ''));
  const isFat = ({ ingredient }: ReadLine) => ingredient?.role === 'fat' && !NO_FAT.has(ingredient.key);
  const isOil = ({ ingredient }: ReadLine) => /\boil$|^ghee$/.test(ingredient?.key ?? '');
  const flour = role('flour', 'starch');
  const fat = grams(isFat);
  const oil = grams((line) => isFat(line) && isOil(line));
  const liquid = oil + grams((line) => isFat(line) && !isOil(line) && MELTED.test(line.raw));
  const egg = role('egg');
  const raised =
    role('powder', 'bicarbonate') > 0 ||
    lines.some(({ ingredient }) => ingredient?.key === 'self-raising flour');

  if (STEPS.mug.test(steps) && STEPS.microwave.test(steps))
    return { method: 'mug', because: 'its steps put it into a mug and the microwave' };
  if (STEPS.folds.test(steps)) return { method: 'folded', because: 'its steps fold beaten whites in' };
  if (STEPS.whisks.test(steps) && fat < SHARE.whiskedFat * flour)
    return { method: 'whisked', because: 'its steps whisk the eggs to a foam' };
  const creams = STEPS.creams.test(steps);
  if (!creams) {
    if (STEPS.melts.test(steps)) return { method: 'melted', because: 'its steps melt the butter' };
    if (fat > 0 && liquid >= fat / 2)
      return {
        method: 'melted',
        because: oil >= liquid / 2 ? 'its fat is oil' : 'its butter goes in melted',
      };
    if (flour > 0 && fat < SHARE.creamsFrom * flour)
      return egg >= SHARE.whiskedEgg * flour
        ? { method: 'whisked', because: 'it is eggs with hardly any fat' }
        : { method: 'melted', because: 'it has no fat to cream' };
  }
  if (flour > 0 && !raised && fat >= SHARE.pound * flour && egg >= SHARE.pound * flour)
    return {
      method: 'rich',
      because: 'it has as much butter and egg as flour, and nothing else to raise it',
    };
  return { method: 'creamed', because: creams ? 'its steps cream the butter' : null };
}

/** Whether a formula may well be mixed so, whatever its lines tell: a mug's batter is stirred with melted fat too, and pound cake is creamed. */
export const mayMix = (method: Method, guessed: Method): boolean =>
  method === guessed || LIKE.some((pair) => pair.has(method) && pair.has(guessed));
const LIKE: readonly ReadonlySet<Method>[] = [new Set(['mug', 'melted']), new Set(['rich', 'creamed'])];
