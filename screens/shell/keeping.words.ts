import type { Json } from '../../core/exchange/threeWay';
import { KITCHEN_KEY, type Crossing, type Docs, type Refusal } from '../../state/documents';

/** Why the browser keeps nothing, and what helps. */
export const CAUSE_WORDS: Readonly<Record<Refusal, string>> = {
  full: 'The browser has no room left. Free some on this device; what waits is tried again by itself. Until then leave this window open.',
  blocked:
    'The browser does not let this page keep anything: a private window, or a setting. What waits is tried again by itself.',
  silent:
    'The browser’s database does not answer. Leave this window open: what waits is tried again by itself.',
};

/** Why nothing could be read, and what is done about it. */
export const UNREAD_WORDS: Readonly<Record<Refusal, string>> = {
  full: 'The browser has no room left and refuses even to read. Free some on this device.',
  blocked:
    'The browser refuses to hand it over: it may be busy with another window, or a setting forbids it.',
  silent: 'The browser’s database does not answer.',
};

/** Names of places in a document, where the field’s own name says too little. */
const PLACES: Readonly<Record<string, string>> = {
  readyAt: 'the hour',
  text: 'the lines',
  count: 'how many',
  tinId: 'the tin',
  ovenId: 'the oven',
  formulaId: 'the formula',
  measured: 'a measured value',
};

const valueWords = (value: Json | undefined): string | null =>
  typeof value === 'number' || (typeof value === 'string' && value.length < 40) ? String(value) : null;

/** What two windows changed, said with both values where they are short. */
export function crossingWords({ key, path, mine, theirs }: Crossing, docs: Docs) {
  const doc = docs[key] ?? (mine as { readonly name?: string } | null | undefined);
  const name = key === KITCHEN_KEY ? 'the kitchen' : `“${(doc as { name?: string } | null)?.name ?? key}”`;
  if (path.length === 0 && theirs === undefined)
    return {
      fault: `${name} was taken out in another window while it was changed here.`,
      mend: 'It stays out, unless you put it back as it stood here.',
      stays: 'Leave it out',
      other: 'Put it back',
    };
  const field = [...path].reverse().find((part) => !/^[#{[]/.test(part)) ?? '';
  const place = path.length === 0 ? 'all of it' : (PLACES[field] ?? field);
  const [here, there] = [valueWords(mine), valueWords(theirs)];
  return {
    fault: `Two windows changed ${place} of ${name} at once.`,
    mend: here && there ? `Here it is ${here}, there ${there}.` : 'What was changed here stands for now.',
    stays: here && there ? `Keep ${here}` : 'Keep this one',
    other: here && there ? `Take ${there}` : 'Take the other',
  };
}
