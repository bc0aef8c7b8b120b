import { breath } from './breath';
import type { AnyDoc } from '../core/model/documents';
import { isNewerText } from './landing';
import { readText } from './reading';
import { waitAfter } from './retries';
import { readSeals, sumOf } from './seals';
import type { DocStorage } from './storage';

/** So many documents at a stretch: between stretches the page answers. */
const AT_A_STRETCH = 80;

/** What came of documents that were read later. */
export interface ReadLater {
  readonly docs: Readonly<Record<string, AnyDoc>>;
  /** By key, texts that are no documents, with what is wrong. */
  readonly odd: readonly { readonly from: string; readonly text: string; readonly fault: string }[];
  /** Documents of an older version, as they were kept. */
  readonly older: readonly unknown[];
  /** Texts that have to be sealed. */
  readonly unsealed: Readonly<Record<string, string>>;
  /** Texts of a newer version are among them. */
  readonly newer: boolean;
}

/**
 * Reads documents in stretches, none of which is long enough to be noticed.
 * @param hurried whether somebody waits for them by now
 */
async function readLater(
  storage: DocStorage,
  keys: readonly string[],
  hurried: () => boolean,
): Promise<ReadLater> {
  const seals = readSeals();
  const docs: Record<string, AnyDoc> = {};
  const odd: { from: string; text: string; fault: string }[] = [];
  const older: unknown[] = [];
  const unsealed: Record<string, string> = {};
  let newer = false;
  for (let at = 0; at < keys.length; at += AT_A_STRETCH) {
    const texts = await storage.readLater(keys.slice(at, at + AT_A_STRETCH));
    for (const [key, text] of Object.entries(texts)) {
      if (seals[key] === sumOf(text)) {
        docs[key] = JSON.parse(text) as AnyDoc;
        continue;
      }
      unsealed[key] = text;
      const read = readText(key, text);
      if (read.ok) {
        docs[key] = read.doc;
        if (read.older !== null) older.push(read.older);
      } else if (isNewerText(text)) newer = true;
      else odd.push({ from: key, text, fault: read.fault });
    }
    if (!hurried()) await breath();
  }
  return { docs, odd, older, unsealed, newer };
}

/** Closed runs that nobody asks for are read so long after the rest, ms: the first picture and its scripts come before. */
const LATER_MS = 4000;

/** Closed runs that are left for later, and come once: when somebody asks, or after a while. */
export class LaterRuns {
  private rest: readonly string[] = [];
  private hurried = false;

  /** @param took takes in what came; what it throws is tried again */
  constructor(
    private readonly storage: DocStorage,
    private readonly took: (came: ReadLater) => Promise<void>,
  ) {}

  leave(keys: readonly string[]): void {
    this.rest = keys;
    setTimeout(() => void this.take(), LATER_MS);
  }

  /** Somebody waits for them. */
  hurry(): void {
    this.hurried = true;
    void this.take();
  }

  private async take(): Promise<void> {
    const keys = this.rest;
    this.rest = [];
    if (keys.length === 0) return;
    for (let tries = 0; ; tries += 1) {
      try {
        await this.took(await readLater(this.storage, keys, () => this.hurried));
        return;
      } catch {
        await waitAfter(tries);
      }
    }
  }
}
