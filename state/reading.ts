import { readDocument } from '../core/exchange/migrate';
import type { AnyDoc } from '../core/model/documents';
import { NOT_TEXT } from './database';
import { keyOf, type Change } from './docs';
import type { Step } from './landing';

/** A step of the history with what takes it back. */
export interface UndoStep {
  readonly id: string;
  readonly label: string;
  readonly before: Change;
}

let steps = 0;
export const newStepId = (): string =>
  `${Date.now().toString(36)}-${(steps += 1).toString(36)}-${Math.random().toString(36).slice(2, 6)}`;

const versionOf = (data: unknown): number => Number((data as { readonly version?: unknown } | null)?.version);

/** A kept text as a document, or what is wrong with it. */
export function readText(
  key: string,
  text: string,
):
  | { readonly ok: true; readonly doc: AnyDoc; readonly older: unknown }
  | { readonly ok: false; readonly fault: string } {
  if (text.startsWith(NOT_TEXT))
    return { ok: false, fault: 'It is no text: something else than Carnelian has put it here.' };
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, fault: 'It is broken off, or was written over.' };
  }
  const read = readDocument(data);
  if (!read.ok) {
    const [first] = read.faults;
    return { ok: false, fault: `${first?.fault ?? ''} ${first?.mend ?? ''}`.trim() };
  }
  return keyOf(read.value) === key
    ? { ok: true, doc: read.value, older: versionOf(data) < versionOf(read.value) ? data : null }
    : { ok: false, fault: 'It stands under a name that is not its own.' };
}

/** A step of the history as it can be taken back; null where something of it cannot be read. */
export function readStep(data: unknown): UndoStep | null {
  const step = data as Partial<Step> | null;
  if (typeof step !== 'object' || step === null) return null;
  if (typeof step.label !== 'string' || typeof step.before !== 'object') return null;
  const before: Record<string, AnyDoc | null> = {};
  for (const [key, doc] of Object.entries(step.before)) {
    if (doc === null) before[key] = null;
    else {
      const read = readDocument(doc);
      if (!read.ok || keyOf(read.value) !== key) return null;
      before[key] = read.value;
    }
  }
  return { id: typeof step.id === 'string' ? step.id : newStepId(), label: step.label, before };
}

export function readSteps(texts: readonly string[]): UndoStep[] {
  const steps = texts.map((text) => {
    try {
      return readStep(JSON.parse(text));
    } catch {
      return null;
    }
  });
  // What came before a step that cannot be taken back cannot be either.
  const broken = steps.lastIndexOf(null);
  return steps.slice(broken + 1).filter((step): step is UndoStep => step !== null);
}

/** The history as the first versions kept it, in one text. */
export function oldSteps(text: string | undefined): UndoStep[] {
  if (text === undefined) return [];
  try {
    const data: unknown = JSON.parse(text);
    return Array.isArray(data) ? readSteps(data.map((step) => JSON.stringify(step))) : [];
  } catch {
    return [];
  }
}

/** A text that this build has read whole before. */
export const sealedText = (text: string) => ({
  ok: true as const,
  doc: JSON.parse(text) as AnyDoc,
  older: null,
});
