import { sameJson, type Json } from '../core/exchange/threeWay';
import { readText } from './reading';

/**
 * Which kept texts this very build has once read whole. Reading a document against its schema costs a slow phone a tenth of
 * a second before the first picture; a text that is letter for letter the one that was read needs it once. What was
 * changed by anything, in any way, has another sum and is read whole again.
 */
const KEY = 'carnelian-seals';
/** So long after the last change, ms: never beside a tap. */
const SOON_MS = 2000;

interface Seals {
  readonly build: string;
  /** By document, the sum of its text. */
  readonly sums: Readonly<Record<string, string>>;
}

/** Two 32-bit multiply-and-shift sums of a text with its length: against accident, not against intent. */
export function sumOf(text: string): string {
  let [a, b] = [0xdeadbeef, 0x41c6ce57];
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return `${text.length}-${(a >>> 0).toString(36)}-${(b >>> 0).toString(36)}`;
}

/** The build by the names of its scripts, each of which names what it holds; empty where it cannot be told. */
export const buildName = (): string =>
  typeof document === 'undefined'
    ? ''
    : [...document.scripts]
        .map(({ src }) => /entry-[^/]*\.js$/.exec(src)?.[0] ?? '')
        .filter((name) => name !== '')
        .join();

/** The seals of this build; none where another build wrote them. */
export function readSeals(): Readonly<Record<string, string>> {
  try {
    const data = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<Seals> | null;
    const sums = data?.build !== '' && data?.build === buildName() ? data.sums : null;
    return typeof sums === 'object' && sums !== null ? sums : {};
  } catch {
    return {};
  }
}

let waiting: Record<string, string | null> = {};
let timer: ReturnType<typeof setTimeout> | null = null;

/** Reads texts whole and seals them, a little later; null takes a document's seal away. */
export function sealSoon(
  texts: Readonly<Record<string, string | null>>,
  /** Hears of each text what is wrong with it; null where it reads. */
  told: (faults: Readonly<Record<string, string | null>>) => void = () => undefined,
): void {
  waiting = { ...waiting, ...texts };
  if (timer) clearTimeout(timer);
  timer = setTimeout(() => seal(told), SOON_MS);
}

function seal(told: (faults: Readonly<Record<string, string | null>>) => void): void {
  const sums = { ...readSeals() };
  const faults: Record<string, string | null> = {};
  for (const [key, text] of Object.entries(waiting)) {
    const read = text === null ? null : readText(key, text);
    faults[key] = read && !read.ok ? read.fault : null;
    // What the reading adds or leaves out is missing from the text alone.
    if (
      text !== null &&
      read?.ok &&
      read.older === null &&
      sameJson(JSON.parse(text) as Json, read.doc as unknown as Json)
    )
      sums[key] = sumOf(text);
    else delete sums[key];
  }
  waiting = {};
  told(faults);
  if (buildName() === '') return;
  try {
    localStorage.setItem(KEY, JSON.stringify({ build: buildName(), sums } satisfies Seals));
  } catch {
    // Then everything is read whole at the next start.
  }
}
