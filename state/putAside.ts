import type { AnyDoc } from '../core/model/documents';
import { sameJson, type Json } from '../core/exchange/threeWay';
import type { Aside } from './documentState';
import { readText } from './reading';
import { waitAfter } from './retries';
import type { DocStorage } from './storage';

/** Texts that are no documents are moved out of the way before anything can be written over them. */
export async function setAside(storage: DocStorage, odd: readonly Omit<Aside, 'key'>[]): Promise<Aside[]> {
  if (odd.length === 0) return [];
  try {
    const names = await storage.setAside(Object.fromEntries(odd.map(({ from, text }) => [from, text])));
    return odd.map((one) => ({ ...one, key: names[one.from] ?? one.from }));
  } catch {
    // No room: they stay where they are, and a change that would fall on one sets it aside itself.
    return odd.map((one) => ({ ...one, key: one.from }));
  }
}

/** How often it is looked whether a document that was put back is kept, before its old text is left where it is. */
const PUT_BACK_TRIES = 20;

/** Whether a document that was put back has been read back from the store: before that its old text is left where it is. */
export async function onceKept(
  storage: DocStorage,
  from: string,
  doc: AnyDoc,
  onItsWay: (key: string) => boolean,
): Promise<boolean> {
  for (let tries = 0; tries < PUT_BACK_TRIES; tries += 1) {
    await waitAfter(tries);
    if (onItsWay(from)) continue;
    const text = await storage.textOf(from).catch(() => null);
    const kept = text === null ? null : readText(from, text);
    if (kept?.ok && sameJson(kept.doc as unknown as Json, doc as unknown as Json)) return true;
  }
  return false;
}
