import { create } from 'zustand';
import type { AnyDoc } from '../core/model/documents';
import { readDocument } from '../core/exchange/migrate';
import { mergeDocuments } from '../core/exchange/mergeDocuments';
import { putAt, type Json } from '../core/exchange/threeWay';
import { EMPTY_KITCHEN } from '../demo';
import type { Past } from '../demo/past';
import type { Commit } from './ahead';
import { refusalOf, type Aside, type DocumentState, type DocumentStore } from './documentState';
import {
  OLD_UNDO_KEY,
  STEPS_KEPT,
  StoreGone,
  StoreNewer,
  isNewerText,
  type Landed,
  type Step,
} from './landing';
import { KITCHEN_KEY, applied, exchange, inverse, type Change } from './docs';
import { indexClosed } from './closedIndex';
import { LaterRuns } from './laterRuns';
import { demoDocs, byKey } from './demoDocs';
import { pause, waitAfter } from './retries';
import { onceKept, setAside } from './putAside';
import { newStepId, oldSteps, readStep, readSteps, readText, sealedText, type UndoStep } from './reading';
import { readSeals, sealSoon, sumOf } from './seals';
import type { DocStorage, Elsewhere } from './storage';

export * from './docs';
export * from './documentState';

const asJson = (doc: AnyDoc | null | undefined): Json => (doc ?? null) as unknown as Json;

/** The store of all documents over some storage. Writing follows every change; reading happens once. */
export function createDocumentStore(storage: DocStorage): DocumentStore {
  /** Changes on their way, oldest first: each stays until it is written. */
  const queue: Commit[] = [];
  let number = 0;
  let writing = false;
  /** Documents as the store is known to have them. */
  const known: Record<string, AnyDoc | null> = {};
  const texts = new WeakMap<AnyDoc, string>();
  const textOf = (doc: AnyDoc | null | undefined): string | null => {
    if (!doc) return null;
    const text = texts.get(doc) ?? JSON.stringify(doc);
    texts.set(doc, text);
    return text;
  };
  let crossings = 0;
  /** Steps that another window took back, perhaps before this one had read them. */
  const undoneSoon = new Set<string>();
  /** By key, the last change of the store that this window knows of. */
  const counts: Record<string, number> = {};
  /** What was heard of a document while changes of this window to it were on their way. */
  const heardOf: Record<string, { readonly text: string | null; readonly count: number }> = {};
  const onItsWay = (key: string): boolean => queue.some(({ texts: changed }) => key in changed);

  return create<DocumentState>((set, get) => {
    /** Puts what stands in the store now beneath what this window has changed meanwhile. */
    const rebase = (stands: Landed['texts'], base: (key: string) => AnyDoc | null) => {
      const next: Record<string, AnyDoc | null> = {};
      for (const [key, text] of Object.entries(stands)) {
        const mine = get().docs[key] ?? null;
        if (text === textOf(mine)) {
          known[key] = mine;
          continue;
        }
        const read = text === null ? null : readText(key, text);
        if (read && !read.ok) {
          if (isNewerText(text)) set({ newer: true });
          continue;
        }
        const theirs = read ? read.doc : null;
        const old = base(key);
        known[key] = theirs;
        if (text !== null && theirs) texts.set(theirs, text);
        if (textOf(mine) === textOf(old) || theirs === null) next[key] = theirs;
        else {
          const { value } = mergeDocuments(asJson(old) ?? undefined, asJson(theirs), asJson(mine));
          const merged = readDocument(value);
          if (merged.ok) next[key] = merged.value;
        }
      }
      if (Object.keys(next).length > 0) set({ docs: applied(get().docs, next) });
    };

    /** Takes in what was heard of a document, unless this window's own change came after it. */
    const takeHeard = (key: string) => {
      const news = heardOf[key];
      if (!news || onItsWay(key)) return;
      delete heardOf[key];
      if (news.count <= (counts[key] ?? 0)) return;
      counts[key] = news.count;
      rebase({ [key]: news.text }, (one) => known[one] ?? null);
    };

    const landed = (commit: Commit, result: Landed) => {
      rebase(result.texts, (key) => {
        const text = commit.texts[key]?.next ?? null;
        const read = text === null ? null : readText(key, text);
        return read?.ok ? read.doc : null;
      });
      for (const key of Object.keys(commit.texts)) {
        counts[key] = Math.max(counts[key] ?? 0, result.count);
        takeHeard(key);
      }
      const { step } = result;
      if (step && result.crossed.length > 0) {
        const read = readStep(step);
        if (read) set({ undoable: get().undoable.map((one) => (one.id === step.id ? read : one)) });
      }
      if (result.crossed.length > 0)
        set({
          crossings: [
            ...get().crossings,
            ...result.crossed.map((one) => ({ ...one, id: (crossings += 1) })),
          ].slice(-20),
        });
    };

    /** What was kept and would not open again is told while it can still be undone. */
    const doubted = (faults: Readonly<Record<string, string | null>>) => {
      const left = Object.entries({ ...get().doubtful, ...faults }).filter(
        (one): one is [string, string] => one[1] !== null && get().docs[one[0]] !== undefined,
      );
      set({ doubtful: Object.fromEntries(left) });
    };

    /** Writes what is on its way, one after another, and tries again what was refused. */
    const write = async () => {
      if (writing) return;
      writing = true;
      let refused = 0;
      // The picture first: it is safe already, and opening a transaction takes longer than the sums.
      await pause(0);
      for (let commit = queue[0]; commit; commit = queue[0]) {
        try {
          const result = await storage.commit(commit);
          queue.shift();
          storage.ahead(queue);
          landed(commit, result);
          sealSoon(result.texts, doubted);
          refused = 0;
          if (get().unsaved !== null && queue.length === 0) set({ unsaved: null });
        } catch (fault) {
          if (fault instanceof StoreGone && (await writeAgain())) continue;
          if (fault instanceof StoreNewer) {
            // It is written ahead: the newer version puts it in when this window is loaded again.
            set({ newer: true });
            break;
          }
          set({ unsaved: { count: queue.length, cause: refusalOf(fault) } });
          await waitAfter(refused);
          refused += 1;
        }
      }
      writing = false;
    };

    /** The browser let go of the store while this window had it open: all of it is written again. */
    const writeAgain = async (): Promise<boolean> => {
      const { docs, undoable } = get();
      const all = Object.fromEntries(Object.entries(docs).map(([key, doc]) => [key, textOf(doc) ?? '']));
      try {
        if (await storage.layOut(all, undoable as unknown as readonly Step[])) {
          queue.length = 0;
          storage.ahead(queue);
          set({ lost: 'written again', unsaved: null });
        }
        return true;
      } catch {
        return false;
      }
    };

    /**
     * What a change begins from, as the store has it or will have it: a document that stands in memory only, such as the
     * empty kitchen beside one that cannot be read, begins from nothing.
     */
    const baseOf = (key: string): string | null =>
      known[key] || onItsWay(key) ? textOf(get().docs[key]) : null;

    const commit = (change: Change, step: UndoStep | null, undoes: string | null) => {
      const changed = Object.entries(change).map(
        ([key, doc]) => [key, { base: baseOf(key), next: textOf(doc) }] as const,
      );
      queue.push({
        window: storage.window,
        number: (number += 1),
        texts: Object.fromEntries(changed),
        step: step && { id: step.id, label: step.label },
        undoes,
      });
      storage.ahead(queue);
      const { unsaved } = get();
      if (unsaved) set({ unsaved: { ...unsaved, count: queue.length } });
      void write();
    };

    const heard = ({ texts: stands, step, undone, count }: Elsewhere) => {
      for (const [key, text] of Object.entries(stands)) {
        if (count <= (heardOf[key]?.count ?? 0)) continue;
        heardOf[key] = { text, count };
        takeHeard(key);
      }
      const read = step && readStep(step);
      const { undoable } = get();
      if (read) set({ undoable: [...undoable, read].slice(-STEPS_KEPT) });
      if (undone !== null) undoneSoon.add(undone);
      if (undone !== null) set({ undoable: undoable.filter(({ id }) => id !== undone) });
    };

    const read = async (now: string, past: () => Promise<Past | null>): Promise<void> => {
      let found = await storage.read();
      if (!found.laid && Object.keys(found.documents).length === 0) {
        if (storage.wasKept()) {
          await storage.layOut({ [KITCHEN_KEY]: textOf(EMPTY_KITCHEN) ?? '' });
          set({ lost: 'let go' });
        } else {
          // Proved empty, and once more in the transaction that lays the demo out.
          const demo = Object.entries(demoDocs(now, await past())).map(([key, doc]) => [
            key,
            textOf(doc) ?? '',
          ]);
          await storage.layOut(Object.fromEntries(demo) as Record<string, string>);
        }
        found = await storage.read();
      }
      const { [OLD_UNDO_KEY]: old, ...documents } = found.documents;
      const seals = readSeals();
      const isSealed = ([key, text]: readonly [string, string]) => seals[key] === sumOf(text);
      // Where all is as it was, nothing has to be read against a schema before the first picture: the steps come after it.
      const atOnce = !found.laid || !Object.entries(documents).every(isSealed);
      const undoable = !found.laid ? oldSteps(old) : atOnce ? readSteps(found.steps) : [];
      if (!found.laid) await storage.adopt(undoable as unknown as readonly Step[]);
      const docs: Record<string, AnyDoc> = {};
      const odd: Omit<Aside, 'key'>[] = [];
      const older: unknown[] = [];
      for (const [key, text] of Object.entries(documents)) {
        const one = isSealed([key, text]) ? sealedText(text) : readText(key, text);
        if (one.ok && one.older !== null) older.push(one.older);
        if (one.ok) docs[key] = known[key] = one.doc;
        // What a newer version wrote stays where it is: that version will want it.
        else if (isNewerText(text)) set({ newer: true });
        else odd.push({ from: key, text, fault: one.fault });
      }
      const before = Object.entries(found.aside).map(([key, { from, text }]): Aside => {
        const one = readText(from, text);
        return { key, from, text, fault: one.ok ? 'It can be read again.' : one.fault };
      });
      const aside = [...before, ...(await setAside(storage, odd))];
      // The kitchen is what all plans stand on: without one, an empty one is laid beside whatever was found.
      const whole = docs[KITCHEN_KEY] ? docs : { ...docs, [KITCHEN_KEY]: EMPTY_KITCHEN };
      const { later } = found;
      set({
        ready: true,
        unread: null,
        docs: whole,
        docsAtStart: whole,
        undoable,
        aside,
        older,
        drafts: found.drafts,
      });
      if (later.length === 0) allIn();
      else laterRuns.leave(later);
      if (!atOnce) setTimeout(() => earlierSteps(found.steps), 0);
      sealSoon(Object.fromEntries(Object.entries(documents).filter((one) => !isSealed(one))), doubted);
    };

    const allIn = () => {
      set({ whole: true });
      indexClosed(get().docs);
    };

    /** Closed runs, after the first picture: what this window heard of or changed meanwhile stands as it is. */
    const laterRuns = new LaterRuns(storage, async (came) => {
      const mine = (key: string) => key in get().docs || key in counts || onItsWay(key);
      const fresh = Object.entries(came.docs).filter(([key]) => !mine(key));
      for (const [key, doc] of fresh) known[key] = doc;
      const aside = await setAside(
        storage,
        came.odd.filter(({ from }) => !mine(from)),
      );
      set({
        docs: { ...get().docs, ...Object.fromEntries(fresh) },
        docsAtStart: { ...get().docsAtStart, ...Object.fromEntries(fresh) },
        aside: [...get().aside, ...aside],
        older: [...get().older, ...came.older],
        ...(came.newer ? { newer: true } : {}),
      });
      sealSoon(came.unsealed, doubted);
      allIn();
    });

    /** Puts the steps that were kept before those that were made or heard of meanwhile. */
    const earlierSteps = (kept: readonly string[]) => {
      const { undoable } = get();
      const since = new Set(undoable.map(({ id }) => id));
      const earlier = readSteps(kept).filter(({ id }) => !since.has(id) && !undoneSoon.has(id));
      set({ undoable: [...earlier, ...undoable].slice(-STEPS_KEPT) });
    };

    const undoStep = (step: UndoStep) => {
      const { docs, undoable } = get();
      commit(step.before, null, step.id);
      set({ docs: applied(docs, step.before), undoable: undoable.filter((one) => one !== step) });
    };

    return {
      ready: false,
      whole: false,
      unread: null,
      docs: {},
      docsAtStart: {},
      undoable: [],
      aside: [],
      unsaved: null,
      crossings: [],
      lost: null,
      newer: false,
      doubtful: {},
      older: [],
      drafts: {},

      async hydrate(now, past = () => Promise.resolve(null)) {
        storage.listen(heard);
        for (let tries = 0; !get().ready; tries += 1) {
          try {
            await read(now, past);
          } catch (fault) {
            // Nothing is changed and nothing is laid out before it is known what is there.
            if (tries > 0) set({ unread: refusalOf(fault) });
            await waitAfter(tries);
          }
        }
      },

      askWhole() {
        laterRuns.hurry();
      },

      change(label, change) {
        const { docs, undoable } = get();
        const step: UndoStep = { id: newStepId(), label, before: inverse(docs, change) };
        commit(change, step, null);
        set({ docs: applied(docs, change), undoable: [...undoable, step].slice(-STEPS_KEPT) });
      },

      undo() {
        const step = get().undoable.at(-1);
        if (step) undoStep(step);
      },

      startEmpty() {
        get().change('Start empty', exchange(get().docs, byKey([EMPTY_KITCHEN])));
      },

      loadDemo(now, past = null) {
        get().change('Load the demo', exchange(get().docs, demoDocs(now, past)));
      },

      settle(id, take) {
        const crossing = get().crossings.find((one) => one.id === id);
        set({ crossings: get().crossings.filter((one) => one.id !== id) });
        if (!crossing) return;
        const { key, path, mine, theirs } = crossing;
        const gone = theirs === undefined && path.length === 0;
        if (take === 'as it stands') return;
        const whole = gone ? mine : path.length === 0 ? theirs : putAt(asJson(get().docs[key]), path, theirs);
        const read = readDocument(whole);
        if (read.ok) get().change(gone ? 'Put back' : 'Take the other window’s', { [key]: read.value });
      },

      tryAside(key) {
        const one = get().aside.find((item) => item.key === key);
        if (!one) return null;
        const read = readText(one.from, one.text);
        if (!read.ok) return read.fault;
        if (get().docs[one.from] && one.from !== KITCHEN_KEY)
          return 'Another document has its name now. Save this one as a file and bring it in.';
        get().change(`Put back ${one.from}`, { [one.from]: read.doc });
        void onceKept(storage, one.from, read.doc, onItsWay).then((kept) => kept && get().letGoAside(key));
        return null;
      },

      letGoAside(key) {
        set({ aside: get().aside.filter((one) => one.key !== key) });
        void storage.putAside(key, null).catch(() => undefined);
      },

      toldLost() {
        set({ lost: null });
      },
    };
  });
}
