import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { shareLots } from '../line';
import { planRun } from '../plan/plan';
import { bringIn } from '../exchange/bringIn';
import type { Line, RunFile } from './documents';
import { readDocument } from '../exchange/migrate';
import { lineFromPiece, pieceOf } from './pieceDoc';

const EVENING = FAMILY_FILES.evening as RunFile;
const lines = EVENING.run.lines;
const named = { id: 'piece-1', name: 'As we like them' };

describe('a whole piece', () => {
  it.each(lines.map((line) => [line.id, line] as const))(
    'of %s starts a line whose sums are those of the line it was kept from',
    (_, line) => {
      const plain: Line = { ...line, measured: {}, ticks: [] };
      const again = lineFromPiece(pieceOf(line, named), 'line-9', line.count);
      const figures = (one: Line) => {
        const [plan] = planRun({ ...EVENING, run: { ...EVENING.run, lines: [one] } });
        if (!plan?.planned) throw new Error('the demo can be planned');
        return plan.figures.map(({ id, value, low, high }) => [id, value, low, high]);
      };
      expect(figures(again)).toEqual(figures(plain));
      expect(again.id).toBe('line-9');
    },
  );

  it('keeps nothing of what was weighed or ticked in its run', () => {
    const [line] = lines;
    if (!line) throw new Error('the evening has lines');
    const worked: Line = { ...line, measured: { 'batter.mixed': 900 }, ticks: ['flour'] };
    const piece = pieceOf(worked, named);
    expect(piece.line.measured).toEqual({});
    expect(piece.line.ticks).toEqual([]);
    expect(lineFromPiece(piece, 'x', 12).measured).toEqual({});
  });

  it('goes out as text and comes in as it was, whatever its count', () => {
    fc.assert(
      fc.property(fc.nat(lines.length - 1), fc.integer({ min: 1, max: 5000 }), (at, count) => {
        const line = lines[at];
        if (!line) throw new Error('in range');
        const piece = pieceOf(shareLots({ ...line, count }), named);
        const text = JSON.stringify(piece);
        expect(readDocument(JSON.parse(text))).toEqual({ ok: true, value: piece });
        expect(bringIn(text)).toEqual({ ok: true, what: 'piece', piece });
        const fewer = shareLots(lineFromPiece(piece, 'y', Math.max(1, Math.floor(count / 2))));
        const promised = (fewer.lots ?? []).reduce((sum, lot) => sum + lot.count, 0);
        expect(promised).toBeLessThanOrEqual(fewer.count);
      }),
      { numRuns: 60 },
    );
  });

  it('is refused with field and mend where it is none', () => {
    const [line] = lines;
    const broken = { kind: 'piece', version: 1, id: 'p', name: '', line: { ...line, count: 0 } };
    const read = readDocument(broken);
    if (read.ok) throw new Error('a nameless piece of none');
    expect(read.faults.map(({ field }) => field)).toEqual(expect.arrayContaining(['name', 'line.count']));
    expect(readDocument({ ...broken, version: 2 })).toMatchObject({ ok: false });
  });
});
