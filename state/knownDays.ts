import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { z } from 'zod';
import type { KnownDay } from '../core/schedule/chores';

/**
 * The days that were found last, kept over a reload: a day comes back as it was, and a change begins from it. They follow
 * from the documents and can be lost without harm.
 */
const store = createAsyncStorage('carnelian-days');
const KEY = 'known';
/** Days that are kept: what is undone comes back as it was. */
const MOST = 12;

const known = z.object({
  startS: z.record(z.string(), z.number()),
  grouped: z.record(
    z.string(),
    z.object({
      sizes: z.record(z.string(), z.array(z.number().int().positive())),
      mixed: z.array(z.string()),
    }),
  ),
});
const keptDays = z.array(z.object({ runs: z.array(z.string()), sum: z.string(), day: known }));

interface Kept {
  /** Runs of the day. */
  readonly runs: readonly string[];
  /** The sum of what it follows from. */
  readonly sum: string;
  readonly day: KnownDay;
}

/** The newest first; null until they have been read. */
let kept: readonly Kept[] | null = null;

async function read(): Promise<readonly Kept[]> {
  if (kept) return kept;
  let before: readonly Kept[] = [];
  try {
    before = keptDays.parse(JSON.parse((await store.getItem(KEY)) ?? '[]'));
  } catch {
    // What cannot be read is found anew.
  }
  return (kept ??= before);
}

/** The last day that a run was part of, and whether it follows from the same. */
export async function knownDay(
  runId: string,
  sum: string,
): Promise<{ readonly day: KnownDay; readonly same: boolean } | undefined> {
  const own = (await read()).filter(({ runs }) => runs.includes(runId));
  const same = own.find((one) => one.sum === sum);
  const found = same ?? own[0];
  return found && { day: found.day, same: found === same };
}

/** Keeps a day as the last one of its runs. */
export function keepKnown(one: Kept): void {
  kept = [one, ...(kept ?? []).filter(({ sum }) => sum !== one.sum)].slice(0, MOST);
  store.setItem(KEY, JSON.stringify(kept)).catch(() => undefined);
}
