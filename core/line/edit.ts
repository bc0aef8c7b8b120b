import type { Line } from '../model/documents';
import { diesWith } from './dies';
import { shareLots } from './lots';

type ChoiceOf<L> = L extends Line ? Partial<Omit<L, 'id' | 'family' | 'measured' | 'ticks'>> : never;
/** What a person can choose of a line, of whatever family. */
export type Choice = ChoiceOf<Line>;

/** Everything that can happen to a line. */
export type LineAction =
  /** Other choices: a count, a tin, a fill, lots. */
  | { readonly do: 'choose'; readonly over: Choice }
  /** Something weighed or measured in this run, by the id of its figure; null takes it back. */
  | { readonly do: 'measure'; readonly figureId: string; readonly value: number | null }
  /** Another kind of the same: made anew, with its count and its lots. */
  | { readonly do: 'remake'; readonly as: Line }
  /** Several at once, in their order. */
  | { readonly do: 'all'; readonly actions: readonly LineAction[] };

/** Choices that keep the line as it is but for these. */
export const choose = (over: Choice): LineAction => ({ do: 'choose', over });
export const measure = (figureId: string, value: number | null): LineAction => ({
  do: 'measure',
  figureId,
  value,
});
export const remake = (as: Line): LineAction => ({ do: 'remake', as });
export const all = (...actions: readonly LineAction[]): LineAction => ({ do: 'all', actions });

/**
 * The one way in which a line changes. Lots never promise more than the line has; what was measured of something that
 * is no longer there is let go, and everything else is kept.
 */
export function edit(line: Line, action: LineAction): Line {
  switch (action.do) {
    case 'choose':
      return chosen(line, action.over);
    case 'measure': {
      const { [action.figureId]: _, ...others } = line.measured;
      return {
        ...line,
        measured: action.value === null ? others : { ...others, [action.figureId]: action.value },
      };
    }
    case 'remake':
      return shareLots({ ...action.as, id: line.id, count: line.count, lots: line.lots ?? [] });
    case 'all':
      return action.actions.reduce(edit, line);
  }
}

/** The same line once more, under an id of its own: nothing of it weighed, nothing ticked off, its bowl shared again. */
export function copyOf({ apart: _, ...line }: Line, id: string): Line {
  return { ...line, id, measured: {}, ticks: [] };
}

/** So many more of a line that is in work already: mixed in a bowl of their own, as nothing is left of the first. */
export const moreOf = (line: Line, id: string, count: number): Line => ({
  ...copyOf(line, id),
  count,
  lots: [],
  apart: true,
});

/** An id that no line of a run has, made of another one. */
export function freeId(lines: readonly Pick<Line, 'id'>[], wanted: string): string {
  const taken = new Set(lines.map(({ id }) => id));
  for (let i = 1; ; i += 1) {
    const id = i === 1 ? wanted : `${wanted}-${i}`;
    if (!taken.has(id)) return id;
  }
}

function chosen(line: Line, over: Choice): Line {
  // A choice is made where its field stands: what a family does not have is not offered.
  const next = { ...line, ...over };
  const dead = diesWith(line, next);
  const measured = Object.entries(line.measured).filter(([id]) => !dead(id));
  const kept =
    measured.length === Object.keys(line.measured).length
      ? next
      : { ...next, measured: Object.fromEntries(measured) };
  const anew = 'formulaId' in next && 'formulaId' in line && next.formulaId !== line.formulaId;
  return shareLots(anew ? { ...kept, ticks: [] } : kept);
}
