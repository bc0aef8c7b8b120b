import fc from 'fast-check';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../demo';
import { PiecesBroken, SnapshotPieces } from './pieces';
import { readSnapshot } from './snapshot';

const docs = [...DEMO_FORMULAS, DEMO_KITCHEN, ...demoRuns('2026-11-25T10:00')];
const text = JSON.stringify({ kind: 'snapshot', version: 1, at: '2026-11-25T10:00', why: 'by hand', docs });

/** Reads a text cut at these places. */
function readIn(whole: string, cuts: readonly number[]) {
  const pieces = new SnapshotPieces();
  const at = [0, ...[...cuts].sort((a, b) => a - b), whole.length];
  const found = at.slice(1).flatMap((to, i) => pieces.push(whole.slice(at[i], to)));
  pieces.end();
  return { found, at: pieces.at, unread: pieces.unread };
}
const why = (whole: string): string => {
  try {
    readIn(whole, []);
    return 'read';
  } catch (fault) {
    return fault instanceof PiecesBroken ? fault.why : String(fault);
  }
};

describe('a file of everything that is read in pieces', () => {
  it('gives the same documents wherever it is cut, as when it is read whole', () => {
    const whole = readSnapshot(JSON.parse(text));
    if (!whole.ok) throw new Error('it reads');
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: text.length }), { maxLength: 12 }), (cuts) => {
        expect(readIn(text, cuts)).toEqual({ found: whole.value.docs, at: '2026-11-25T10:00', unread: 0 });
      }),
      { numRuns: 30 },
    );
    expect(readIn(JSON.stringify(JSON.parse(text), null, 2), [900]).found).toEqual(whole.value.docs);
  });

  it('counts what cannot be read of it, and goes on', () => {
    const odd = text.replace(
      '"docs":[',
      '"docs":[{"kind":"run","version":3},{"kind":"formula"},[1,{"a":"]}"}],',
    );
    expect(readIn(odd, [700])).toMatchObject({ unread: 3 });
    expect(readIn(odd, [700]).found).toHaveLength(docs.length);
  });

  it('says what is wrong with a file that is none, is broken off, or has a document without end', () => {
    expect(why('{"kind":"run file","docs":[]}')).toBe('no file of everything');
    expect(why('x'.repeat(5000))).toBe('no file of everything');
    expect(why(text.slice(0, -40))).toBe('broken off');
    expect(why(`{"kind":"snapshot","docs":[{"a":"${'b'.repeat(5_000_100)}`)).toBe('document too long');
  });
});
