import { INGREDIENTS, type Ingredient } from './ingredients.table';
import { HARMLESS } from './nameWords.table';
import { wordsOf } from './own';

/** Slips between two words of so many letters in the mean: none in short ones, where another letter is another word. */
const slipsIn = (a: string, b: string): number => {
  const letters = (a.length + b.length) / 2;
  return letters < 4 ? 0 : letters < 5.5 ? 1 : 2;
};

/** Letters to change, put in, take out or swap with the next to make one word of another; more than `most` is `most` + 1. */
export function slips(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let [before, last] = [[] as number[], Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i += 1) {
    const now = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let least = Math.min((last[j] ?? 0) + 1, (now[j - 1] ?? 0) + 1, (last[j - 1] ?? 0) + same);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, (before[j - 2] ?? 0) + 1);
      now.push(least);
    }
    [before, last] = [last, now];
  }
  return Math.min(last[b.length] ?? most + 1, most + 1);
}

/** How near a word of a name comes to a word of a text: 1 the same, less for each slip, 0 another word. */
function nearness(word: string, other: string): number {
  if (word === other || word === `${other}s` || `${word}s` === other) return 1;
  const most = slipsIn(word, other);
  // Slips seldom fall on the first letter and on the last.
  if (most === 0 || (word[0] !== other[0] && word.at(-1) !== other.at(-1))) return 0;
  const found = slips(word, other, most);
  return found > most ? 0 : 1 - found / (word.length + 1);
}

/** Words behind which another thing of the same kind may be found: a paste is like a paste. */
const KIND_WORTH = 0.5;
/** What a word that says nothing of a thing takes off its likeness. */
const LEFT_COST = 0.02;
/** Below this two names have too little in common to be offered. */
const LEAST = 0.45;

/** The words of a name that tell what it is; all of them where none does. */
function telling(name: string): readonly string[] {
  const all = wordsOf(name).split(' ');
  const some = all.filter((word) => word.length > 1 && !HARMLESS.has(word));
  return some.length > 0 ? some : all;
}

interface Alias {
  readonly ingredient: Ingredient;
  readonly words: readonly string[];
  /** Words of the name that say nothing of what it is; of two names the one without them is meant. */
  readonly left: number;
}

let aliases: readonly Alias[] | null = null;

/** Made when a name is first not known: most formulas never ask. */
const allAliases = (): readonly Alias[] =>
  (aliases ??= INGREDIENTS.flatMap((ingredient) =>
    [ingredient.name, ...ingredient.names].map((name) => {
      const words = telling(name);
      return { ingredient, words, left: wordsOf(name).split(' ').length - words.length };
    }),
  ));

/** An ingredient that a name may mean. */
export interface Likely {
  readonly ingredient: Ingredient;
  /** The name is another spelling of it; otherwise it is only of its kind. */
  readonly same: boolean;
}

/** From this on two names are spellings of one thing. */
const SAME = 0.65;

const RECENT = new Map<string, readonly Likely[]>();
const RECENT_KEPT = 200;

/**
 * The ingredients that a name may mean where the table does not know it, the likeliest first, three at most: slips of the
 * finger, other spellings, and things whose last word is the same. In English the last word says what it is, so that it
 * counts most.
 */
export function likelyIngredients(name: string): readonly Likely[] {
  const known = RECENT.get(name);
  if (known) return known;
  if (RECENT.size >= RECENT_KEPT) RECENT.clear();
  const found = likely(wordsOf(name).slice(0, 60));
  RECENT.set(name, found);
  return found;
}

function likely(name: string): readonly Likely[] {
  const written = name.split(' ').filter((word) => word.length > 1 && !HARMLESS.has(word));
  if (written.length === 0) return [];
  const near = new Map<string, number>();
  const nearest = (word: string): number => {
    const worth = near.get(word) ?? Math.max(...written.map((other) => nearness(word, other)));
    near.set(word, worth);
    return worth;
  };
  const best = new Map<Ingredient, number>();
  for (const { ingredient, words, left } of allAliases()) {
    const covered =
      words.reduce((sum, word) => sum + nearest(word), 0) / Math.max(words.length, written.length);
    const heads = nearness(words.at(-1) ?? '', written.at(-1) ?? '');
    const likeness = Math.max(covered, KIND_WORTH * heads * (0.9 + 0.1 * covered));
    const worth = likeness - LEFT_COST * left;
    if (worth >= LEAST && worth > (best.get(ingredient) ?? 0)) best.set(ingredient, worth);
  }
  return [...best]
    .sort(([, a], [, b]) => b - a)
    .slice(0, 3)
    .map(([ingredient, worth]) => ({ ingredient, same: worth >= SAME }));
}
