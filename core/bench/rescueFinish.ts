import type { CupcakeLine, Line, MiniWellsLine, PopLine } from '../model/documents';
import type { LinePlan } from '../plan';
import { mendFrosting } from '../process/frost';
import { CREAM_SHARE, THIN } from './rescue.table';

/** What went wrong, with what somebody weighed or counted of it. */
export type Trouble =
  | {
      readonly kind: 'stuck' | 'broken';
      readonly pieces: number;
      readonly crumbG: number;
      readonly vesselId: string;
    }
  | { readonly kind: 'batter short' | 'batter over'; readonly bowlG: number }
  | { readonly kind: 'binder overdone'; readonly addedG: number; readonly mend: 'crumb' | 'biscuit' }
  | { readonly kind: 'binder short'; readonly addedG: number }
  | { readonly kind: 'coat thick' | 'coat seized' | 'coat cracked' | 'coat dull' }
  | { readonly kind: 'coat short'; readonly leftG: number }
  | {
      readonly kind: 'frosting runny' | 'frosting stiff' | 'frosting curdled';
      readonly bowlG: number;
      readonly roomC: number;
    }
  | { readonly kind: 'frosting short'; readonly leftG: number }
  | { readonly kind: 'domed'; readonly trimmedG: number }
  | { readonly kind: 'sunk' | 'overflowed' }
  | { readonly kind: 'raw inside'; readonly load: number }
  | { readonly kind: 'shell cracked' | 'lost in the mould'; readonly pieces: number };

export interface RescueSum {
  readonly what: string;
  readonly massG: number;
}

/** The way out of a trouble: the line changed, lines added, what to do, and its sums. */
export interface Out {
  readonly line: Line;
  readonly added?: readonly Line[];
  readonly words: readonly string[];
  readonly sums: readonly RescueSum[];
}

/** A mass inside a sentence, for the reader's own units. */
export const grams = (massG: number) => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;

export const v = (plan: LinePlan, id: string): number => plan.figure(id).value;
export const has = (plan: LinePlan, id: string): boolean => plan.figures.some((figure) => figure.id === id);

type Coated = PopLine | MiniWellsLine;

export function stating(line: Line, id: string, value: number): { line: Line } {
  return { line: { ...line, stated: { ...line.stated, [id]: value } } };
}

export function notHere(line: Line, what: string): Out {
  return { line, words: [`This line has no ${what}.`], sums: [] };
}

export function coatTrouble(
  line: Line,
  plan: LinePlan,
  kind: 'coat thick' | 'coat seized' | 'coat cracked' | 'coat dull',
): Out {
  const pot = has(plan, 'pot.1.melt') ? v(plan, 'pot.1.melt') : 0;
  const coat = line.family === 'pop' || line.family === 'mini' ? (line.coat ?? null) : null;
  const thinned = line.family === 'cakesicle' ? line.thinnedShare : (coat?.thinnedShare ?? null);
  if (thinned === null) return notHere(line, 'coat');
  const put = (over: Partial<NonNullable<Coated['coat']>>): Line =>
    line.family === 'cakesicle'
      ? { ...line, thinnedShare: over.thinnedShare ?? line.thinnedShare }
      : ({ ...line, coat: { ...coat, ...over } } as Line);
  switch (kind) {
    case 'coat thick': {
      const next = Math.min(thinned + THIN.step, THIN.most);
      const fatG = pot * (next - thinned);
      return {
        line: put({ thinnedShare: next }),
        words:
          fatG < 0.1
            ? ['It holds as much fat as it should. Warm it gently, a burst at a time, and never with water.']
            : [`Warm it first. Then stir in ${grams(fatG)} of coconut oil or cocoa butter, never water.`],
        sums: [{ what: 'Fat to stir in', massG: fatG }],
      };
    }
    case 'coat seized':
      return {
        line,
        words: [
          `Water got in: it will not coat again. With ${grams(pot * CREAM_SHARE)} of warm cream it is a ganache that binds or fills. Melt ${grams(pot)} anew, in a dry bowl.`,
        ],
        sums: [
          { what: 'Cream for a ganache', massG: pot * CREAM_SHARE },
          { what: 'To melt anew', massG: pot },
        ],
      };
    case 'coat cracked':
      return {
        line: put({ school: 'fridge-firm' }),
        words: [
          'The piece was colder than its coat and grew as it warmed. Leave the rest out for a few minutes before they are dipped; a second thin dip or a drizzle covers the cracks.',
        ],
        sums: [],
      };
    case 'coat dull':
      return {
        line,
        words: [
          'Cocoa butter has set in its own way: safe, only dull. Dust or drizzle over it. Temper the next pot, or use compound; keep what is dipped dry and under {20 °C}.',
        ],
        sums: [],
      };
  }
}

export function coatShort(line: Line, plan: LinePlan, leftG: number): Out {
  if (!has(plan, 'pot.1.melt')) return notHere(line, 'coat');
  const needG = v(plan, 'pot.1.melt');
  const next: Line =
    line.family === 'cakesicle'
      ? { ...line, coatOnHandG: leftG }
      : line.family === 'pop' || line.family === 'mini'
        ? ({ ...line, coat: line.coat && { ...line.coat, onHandG: leftG } } as Line)
        : line;
  return {
    line: next,
    words: [
      'A narrower vessel leaves less in the pool; tilt it and spoon for the last ones. The count follows what is left.',
    ],
    sums: [{ what: 'Missing for all', massG: Math.max(needG - leftG, 0) }],
  };
}

export function frostingTrouble(
  line: Line,
  {
    kind,
    bowlG,
    roomC,
  }: Extract<Trouble, { kind: 'frosting runny' | 'frosting stiff' | 'frosting curdled' }>,
): Out {
  if (kind === 'frosting curdled') {
    return {
      line,
      words: [
        'Too cold, most often: warm a third of it until soft, not melted, and beat it back in. If it is warm and soupy, chill the bowl for ten minutes and beat again.',
      ],
      sums: [{ what: 'To warm and beat back in', massG: bowlG / 3 }],
    };
  }
  const mend = mendFrosting(kind === 'frosting runny' ? 'runny' : 'stiff', bowlG, roomC);
  if (mend.kind === 'chill') {
    return {
      line,
      words: [`The kitchen is warm: chill the bowl for ${mend.minutes} minutes before anything goes in.`],
      sums: [],
    };
  }
  const sugar = mend.kind === 'sugar';
  return {
    line,
    words: [
      `${grams(mend.stepG)} of ${sugar ? 'icing sugar' : 'milk'}, beat, and look again. Then as much once more.`,
    ],
    sums: [{ what: sugar ? 'Icing sugar, each time' : 'Milk, each time', massG: mend.stepG }],
  };
}

export function frostingShort(line: Line, plan: LinePlan, leftG: number): Out {
  if (!('frosting' in line) || !has(plan, 'frosting.needed')) return notHere(line, 'frosting');
  const wells = line as CupcakeLine;
  const needG = v(plan, 'frosting.needed');
  return {
    line: { ...wells, frosting: wells.frosting && { ...wells.frosting, onHandG: leftG } },
    words: ['Make the rest, or pipe a flatter style on all of them. The count follows what is left.'],
    sums: [{ what: 'Missing for all', massG: Math.max(needG - leftG, 0) }],
  };
}

export function patched(line: Line, plan: LinePlan, pieces: number): Out {
  if (line.family !== 'cakesicle') return notHere(line, 'shell');
  const each = v(plan, 'shell.second');
  return {
    ...stating(line, 'patch.share', Math.min(pieces / Math.max(v(plan, 'count.made'), 1), 1)),
    words: [
      `Brush coat over the cracks: ${grams(pieces * each)} for ${pieces}. Two minutes in the cold, then once more where it shows.`,
    ],
    sums: [{ what: 'Coat for patching', massG: pieces * each }],
  };
}

/** Pieces that stay in the mould are made again: their dough is pressed back, their shell is melted with the rest. */
export function lost(line: Line, plan: LinePlan, pieces: number): Out {
  if (line.family !== 'cakesicle') return notHere(line, 'mould');
  const doughG = pieces * v(plan, 'portion.mass');
  const shellG = pieces * v(plan, 'shell.taken');
  return {
    line,
    words: [
      `Freeze the mould for ten minutes more and press from behind. What breaks goes back into the dough, chocolate and all: ${grams(doughG + shellG)}. For ${pieces} more, ${grams(shellG)} of coat.`,
    ],
    sums: [
      { what: 'Back into the dough', massG: doughG + shellG },
      { what: 'Coat for as many again', massG: shellG },
    ],
  };
}
