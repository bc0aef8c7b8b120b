import { useEffect, useRef } from 'react';
import type { Running } from '../../core/bench/clocks';

/** Three short notes, made here: nothing has to be fetched for them. */
function sound(): void {
  try {
    const context = new AudioContext();
    [0, 0.25, 0.5].forEach((at) => {
      const note = context.createOscillator();
      const volume = context.createGain();
      note.frequency.value = 880;
      volume.gain.setValueAtTime(0.0001, context.currentTime + at);
      volume.gain.exponentialRampToValueAtTime(0.4, context.currentTime + at + 0.02);
      volume.gain.exponentialRampToValueAtTime(0.0001, context.currentTime + at + 0.2);
      note.connect(volume).connect(context.destination);
      note.start(context.currentTime + at);
      note.stop(context.currentTime + at + 0.22);
    });
    setTimeout(() => void context.close(), 1500);
  } catch {
    // A browser without sound shows it: the strip and the title say the same.
  }
}

function note(words: string): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
  try {
    new Notification(words, { tag: 'carnelian-clock' });
  } catch {
    // Some browsers let only a service worker do this.
  }
}

/** Says once, by all that the browser allows, that a clock is due; the title says it for as long as it is. */
export function useAlarm(clocks: readonly Running[], now: number): void {
  const told = useRef<ReadonlySet<string> | null>(null);
  const due = clocks.filter(({ dueAt }) => dueAt <= now);
  const key = due.map((one) => `${one.key}@${one.dueAt}`).join('|');
  const words = due.map(({ label, look }) => (look ? `Look: ${label}` : `${label}: ready`)).join(', ');
  useEffect(() => {
    const all = key === '' ? [] : key.split('|');
    // What was due before the page was opened is shown, not rung.
    const fresh = told.current === null ? [] : all.filter((one) => !told.current?.has(one));
    told.current = new Set(all);
    if (fresh.length === 0) return;
    sound();
    navigator.vibrate?.([200, 100, 200]);
    if (document.visibilityState === 'hidden') note(words);
  }, [key, words]);
  useEffect(() => {
    if (words === '') return undefined;
    const plain = document.title;
    document.title = words;
    return () => {
      document.title = plain;
    };
  }, [words]);
}
