import { z } from 'zod';
import { id, name } from './fields';
import { lineSchema, type Line } from './lines';

/**
 * A whole piece: all that is chosen for one kind of piece — batter, tin, filling, frosting, coat, lots — kept under a
 * name, to start lines from. Of a count it keeps the last, of what was weighed nothing.
 */
export const pieceSchema = z.looseObject({
  kind: z.literal('piece'),
  version: z.literal(3),
  id,
  name,
  line: lineSchema,
});
export type PieceDoc = z.infer<typeof pieceSchema>;

/** A line as it is kept for the next time: without what was weighed, cooked or ticked in this run. */
export function pieceOf(line: Line, as: Pick<PieceDoc, 'id' | 'name'>): PieceDoc {
  return {
    kind: 'piece',
    version: 3,
    ...as,
    line: { ...line, id: 'line-1', measured: {}, ticks: [] },
  };
}

/** A line made as a piece was: so many of them, under an id of its own. Lots are for the caller to fit to the count. */
export function lineFromPiece(piece: PieceDoc, lineId: string, count: number): Line {
  return { ...piece.line, id: lineId, count, measured: {}, ticks: [] };
}
