import { create } from 'zustand';
import { whenLost } from '../workers/hand';

/** Sums that no worker answered, twice: told once for all places that wait for them, with a way to ask again. */
export const useSumsLost = create<{ readonly lost: boolean; readonly asks: number }>(() => ({
  lost: false,
  asks: 0,
}));

whenLost(() => useSumsLost.setState({ lost: true }));

/** Whoever waited asks again. */
export const askSumsAgain = (): void => useSumsLost.setState(({ asks }) => ({ lost: false, asks: asks + 1 }));

/** Changes whenever somebody has asked again: part of what an effect that asks a worker follows from. */
export const useAsks = (): number => useSumsLost(({ asks }) => asks);
