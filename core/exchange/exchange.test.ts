import fc from 'fast-check';
import { formulaSchema, pieceCount } from '../model/documents';
import { readDocument } from './migrate';
import { readRunFile } from './read';
import { readWith } from './readWith';

const formula = {
  kind: 'formula',
  version: 1,
  id: 'f',
  name: 'Cake',
  text: '100 g flour',
  measures: 'us',
  method: 'creamed',
  ovenC: 175,
};

describe('documents at the edge', () => {
  it('fills in what may be left out and lets unknown fields through', () => {
    const read = readWith(formulaSchema, { ...formula, colourOfTheBowl: 'blue' });
    expect(read).toMatchObject({ ok: true, value: { takenFor: {}, steps: '', colourOfTheBowl: 'blue' } });
  });

  it.each([
    [0, /at least 1/i],
    [-4, /at least 1/i],
    [2.5, /whole/],
    [100_000, /5000/],
    [NaN, /number/],
    ['many', /number/],
  ])('refuses %s pieces and says why', (count, fault) => {
    const read = readWith(pieceCount, count);
    expect(read.ok ? '' : read.faults[0]?.fault).toMatch(fault);
  });

  it('names the field, the fault and the mend', () => {
    const read = readRunFile({
      kind: 'run file',
      version: 1,
      run: { kind: 'run' },
      formulas: [],
      kitchen: {},
    });
    if (read.ok) throw new Error('it should not fit');
    expect(read.faults.map((fault) => fault.field)).toEqual(
      expect.arrayContaining(['run.lines', 'kitchen.tins']),
    );
    for (const { fault, mend } of read.faults) expect(fault.length * mend.length).toBeGreaterThan(0);
  });

  it('refuses anything else with nothing but such a fault', () => {
    fc.assert(
      fc.property(fc.anything({ maxDepth: 4 }), (data) => {
        const [file, doc] = [readRunFile(data), readDocument(data)];
        return !file.ok && !doc.ok && file.faults.length > 0 && doc.faults.length > 0;
      }),
    );
  });
});

describe('versions', () => {
  it('reads today’s, refuses tomorrow’s and those without one', () => {
    expect(readDocument(formula).ok).toBe(true);
    expect(readDocument({ ...formula, version: 9 })).toMatchObject({
      ok: false,
      faults: [{ field: 'version' }],
    });
    expect(readDocument({ ...formula, version: undefined }).ok).toBe(false);
    expect(readDocument({ ...formula, kind: '__proto__' }).ok).toBe(false);
  });

  it('brings an older document up to date step by step', () => {
    const steps = {
      formula: [(doc: Record<string, unknown>) => ({ ...doc, version: 1, name: `${String(doc.title)}` })],
    };
    const old = { ...formula, name: undefined, title: 'From before' };
    const read = readDocument(old, steps);
    expect(read).toMatchObject({ ok: true, value: { name: 'From before' } });
  });
});
