import { useCallback, useState } from 'react';
import { storage, useDocuments } from './store';

/** What is being typed into a field, what its document says there, and when it was typed. */
interface Draft {
  readonly text: string;
  readonly base: string;
  readonly at: number;
}

const PREFIX = 'carnelian-draft/';
/** How long a letter may wait for the browser's database, ms: what a crash can cost. */
const WAIT_MS = 150;

function read(text: string | null | undefined): Draft | null {
  try {
    const data = JSON.parse(text ?? 'null') as Partial<Draft> | null;
    return typeof data?.text === 'string' && typeof data.base === 'string' && typeof data.at === 'number'
      ? (data as Draft)
      : null;
  } catch {
    return null;
  }
}

function quick(field: string): string | null {
  try {
    return localStorage.getItem(PREFIX + field);
  } catch {
    return null;
  }
}

/** What was last typed into a field and not kept, of the two places where it is put down. */
function draftOf(field: string): Draft | null {
  const found = [read(quick(field)), read(useDocuments.getState().drafts[field])];
  return found.reduce((a, b) => (b !== null && (a === null || b.at > a.at) ? b : a), null);
}

const waiting = new Map<string, string | null>();
let timer: ReturnType<typeof setTimeout> | null = null;

function flush(): void {
  timer = null;
  for (const [field, text] of waiting) void storage.draft(field, text).catch(() => undefined);
  waiting.clear();
}

/**
 * Puts a draft down twice: where it stands at once, which a crash may bring back older, and in the browser's database,
 * which a crash leaves whole.
 */
function putDown(field: string, draft: Draft | null): void {
  const text = draft === null ? null : JSON.stringify(draft);
  try {
    if (text === null) localStorage.removeItem(PREFIX + field);
    else localStorage.setItem(PREFIX + field, text);
  } catch {
    // The database has it a moment later.
  }
  const { [field]: _, ...others } = useDocuments.getState().drafts;
  useDocuments.setState({ drafts: text === null ? others : { ...others, [field]: text } });
  waiting.set(field, text);
  timer ??= setTimeout(flush, WAIT_MS);
}

/** Lets go of what was typed into a field: it is in its document now, or was thought better of. */
export const dropDraft = (field: string): void => putDown(field, null);

/**
 * What stands in a field: what was typed and is not kept yet, or what its document says. What was typed survives the page.
 * @param field its name: the document's key and the field's
 * @param kept what the document says
 */
export function useDraft(field: string, kept: string) {
  const [typed, setTyped] = useState<string | null>(() => {
    const draft = draftOf(field);
    // Typed over a text that has changed since: it is no draft of this one.
    return draft && draft.base === kept && draft.text !== kept ? draft.text : null;
  });
  const put = useCallback(
    (text: string) => {
      setTyped(text);
      putDown(field, { text, base: kept, at: Date.now() });
    },
    [field, kept],
  );
  const drop = useCallback(() => {
    setTyped(null);
    dropDraft(field);
  }, [field]);
  return { text: typed ?? kept, typed, put, drop };
}
