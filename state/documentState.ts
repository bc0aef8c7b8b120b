import type { StoreApi, UseBoundStore } from 'zustand';
import type { Past } from '../demo/past';
import { NoAnswer } from './database';
import type { Change, Docs } from './docs';
import type { Crossed } from './landing';
import type { UndoStep } from './reading';

/** Why changes are not kept: no room, refused, or the browser never answers. */
export type Refusal = 'full' | 'blocked' | 'silent';

/** A kept text that is no document that can be read: damaged, or of a newer version. */
export interface Aside {
  /** The name that it has now. */
  readonly key: string;
  /** The name that it had. */
  readonly from: string;
  readonly text: string;
  readonly fault: string;
}

/** What both this window and another one changed, to be chosen from. */
export type Crossing = Crossed & { readonly id: number };

export interface DocumentState {
  /** Whether the documents are in. */
  readonly ready: boolean;
  /** All documents are in, closed runs too; before that whoever needs them asks by `whenWhole`. */
  readonly whole: boolean;
  /** Why nothing could be read yet: nothing is changed until it could. */
  readonly unread: Refusal | null;
  readonly docs: Docs;
  /** Documents as they stood when this window read them. */
  readonly docsAtStart: Docs;
  readonly undoable: readonly UndoStep[];
  readonly aside: readonly Aside[];
  /** Changes that the browser has not kept, and why not; null where all are kept or on their way. */
  readonly unsaved: { readonly count: number; readonly cause: Refusal } | null;
  readonly crossings: readonly Crossing[];
  /** What happened to the store, to be told once. */
  readonly lost: 'let go' | 'written again' | null;
  /** What was being typed when the page went, by field. */
  readonly drafts: Readonly<Record<string, string>>;
  /** A newer version of the app has changed what is kept: this window writes nothing more until it is loaded again. */
  readonly newer: boolean;
  /** Documents that would not open at the next start, by what is wrong with them. */
  readonly doubtful: Readonly<Record<string, string>>;
  /** Documents of an older version, as they were kept: to be kept once more before they are written anew. */
  readonly older: readonly unknown[];
  /** @param past of the demo kitchen, asked for where the demo is laid out */
  readonly hydrate: (now: string, past?: () => Promise<Past | null>) => Promise<void>;
  /** Reads the closed runs now, where they are not in yet. */
  readonly askWhole: () => void;
  /** Writes documents as one step that can be undone. The label says what was done: "Count 36". */
  readonly change: (label: string, change: Change) => void;
  readonly undo: () => void;
  readonly startEmpty: () => void;
  readonly loadDemo: (now: string, past?: Past | null) => void;
  /** Settles what crossed: leaves it as it stands, or takes the other of the two. */
  readonly settle: (id: number, take: 'as it stands' | 'the other') => void;
  /** Reads a text that was set aside once more; its faults, or null once it is a document again. */
  readonly tryAside: (key: string) => string | null;
  readonly letGoAside: (key: string) => void;
  readonly toldLost: () => void;
}

export type DocumentStore = UseBoundStore<StoreApi<DocumentState>>;

/** Why the store would not take or give something. */
export const refusalOf = (fault: unknown): Refusal =>
  fault instanceof NoAnswer
    ? 'silent'
    : (fault as { readonly name?: unknown } | null)?.name === 'QuotaExceededError'
      ? 'full'
      : 'blocked';
