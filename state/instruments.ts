import { create } from 'zustand';
import type { Deed } from '../core/instruments/littleKitchen';
import { heard, looked, readReading, type Instrument } from '../core/instruments/reading';
import { newId } from './ids';

/** Where readings come from: the server's simulated kitchen here; a real device would be another of these. */
export interface Source {
  /** Begins to listen; hands back how to stop. */
  readonly listen: (told: (text: string) => void, broken: () => void) => () => void;
  readonly deed: (deed: Deed) => void;
}

interface Instruments {
  /** Null where none are wanted. */
  readonly source: Source | null;
  readonly all: ReadonlyMap<string, Instrument>;
  /** The source itself is gone: nothing of it is to be believed. */
  readonly broken: boolean;
}

export const useInstruments = create<Instruments>(() => ({ source: null, all: new Map(), broken: false }));

/** Readings are put on the screen no more often, ms: a scale speaks ten times a second, and fifty would do no harm. */
const SHOWN_EVERY_MS = 200;

let stop: (() => void) | null = null;

export function connect(source: Source): void {
  disconnect();
  // What comes in is kept here and shown now and then: a busy stream costs no pictures.
  const all = new Map<string, Instrument>();
  const listening = source.listen(
    (text) => {
      const reading = readReading(text);
      // Nobody has more instruments than that: the rest is noise.
      if (!reading || (all.size >= 12 && !all.has(reading.id))) return;
      all.set(reading.id, heard(all.get(reading.id), reading, performance.now()));
      if (useInstruments.getState().broken) useInstruments.setState({ broken: false });
    },
    () => useInstruments.setState({ broken: true }),
  );
  const timer = setInterval(() => {
    const at = performance.now();
    for (const [id, one] of all) all.set(id, looked(one, at));
    useInstruments.setState({ all: new Map(all) });
  }, SHOWN_EVERY_MS);
  stop = () => {
    listening();
    clearInterval(timer);
  };
  useInstruments.setState({ source, all: new Map(), broken: false });
}

export function disconnect(): void {
  stop?.();
  stop = null;
  useInstruments.setState({ source: null, all: new Map(), broken: false });
}

/** A server that refuses, because too many listen, is asked again after so long, ms: as its answer says. */
const ASKED_AGAIN_MS = 5000;

/** The simulated kitchen of this app's own server, for practice. */
export function practiceKitchen(session: string = newId('practice')): Source {
  return {
    listen: (told, broken) => {
      let stream: EventSource | null = null;
      let again: ReturnType<typeof setTimeout> | null = null;
      const open = () => {
        stream = new EventSource(`/api/instruments/stream?session=${encodeURIComponent(session)}`);
        stream.onmessage = ({ data }: MessageEvent<unknown>) => {
          if (typeof data === 'string') told(data);
        };
        stream.onerror = () => {
          broken();
          // A browser asks again by itself where the line broke, but never where it was refused.
          if (stream?.readyState === EventSource.CLOSED) again = setTimeout(open, ASKED_AGAIN_MS);
        };
      };
      open();
      return () => {
        if (again) clearTimeout(again);
        stream?.close();
      };
    },
    deed: (deed) => {
      const query = new URLSearchParams({ session, ...(deed as Record<string, string>) });
      // Where it does not arrive, the instruments show it by staying as they are.
      fetch(`/api/instruments/do?${query.toString()}`).catch(() => undefined);
    },
  };
}
