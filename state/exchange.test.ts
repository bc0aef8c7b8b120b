import { bringIn } from '../core/exchange/bringIn';
import type { RunDoc } from '../core/model/documents';
import { FAMILY_FILES } from '../demo/families';
import { pieceOf } from '../core/model/pieceDoc';
import { formulasIn, kitchenIn, piecesIn, runIn, runsIn } from './documents';
import { bring, pieceFileText, runFileText } from './exchange';
import { fileName } from './saveFile';
import { loadPlanner } from './plans';
import { changeLines, useDocuments } from './store';
import * as planning from '../workers/planning';

const docs = () => useDocuments.getState().docs;

beforeEach(async () => {
  await loadPlanner(() => Promise.resolve(planning));
  await useDocuments.getState().hydrate('2026-11-25T09:30');
  useDocuments.getState().loadDemo('2026-11-25T09:30');
});

describe('what is brought in', () => {
  it('comes as one step: a run with its formulas and the things that it needs', () => {
    const steps = useDocuments.getState().undoable.length;
    const kitchen = kitchenIn(docs());
    const outcome = bring(JSON.stringify(FAMILY_FILES.cakesicles));
    expect(outcome).toMatchObject({ ok: true, go: { run: 'run-cakesicles' } });
    expect(runIn(docs(), 'run-cakesicles')?.lines).toHaveLength(2);
    // All of it was there: nothing is doubled.
    expect(kitchenIn(docs())).toEqual(kitchen);
    expect(useDocuments.getState().undoable.length).toBe(Math.min(steps + 1, 40));
    useDocuments.getState().undo();
    expect(runIn(docs(), 'run-cakesicles')).toBeNull();
  });

  it('takes a whole piece, under an id of its own where one is there, and undoes it', () => {
    const [line] = FAMILY_FILES.cakesicles?.run.lines ?? [];
    if (!line) throw new Error('the demo has moulded pieces');
    const piece = pieceOf(line, { id: 'piece-1', name: 'For the gate' });
    const outcome = bring(pieceFileText(piece));
    expect(outcome).toMatchObject({ ok: true, words: '“For the gate” is in, under Formulas.' });
    bring(pieceFileText({ ...piece, name: 'Another' }));
    expect(piecesIn(docs()).map(({ name }) => name)).toEqual(['Another', 'For the gate']);
    expect(piecesIn(docs()).find(({ name }) => name === 'For the gate')).toEqual(piece);
    useDocuments.getState().undo();
    useDocuments.getState().undo();
    expect(piecesIn(docs())).toEqual([]);
    expect(fileName(piece.name, 'piece')).toBe('For-the-gate.piece.json');
  });

  it('takes a piece with what it is made of into a kitchen that has nothing of it', () => {
    const line = FAMILY_FILES.evening?.run.lines.find(({ family }) => family === 'cupcake');
    if (!line || !('formulaId' in line)) throw new Error('the demo has cupcakes');
    const text = pieceFileText(pieceOf(line, { id: 'piece-2', name: 'For the gate' }));
    useDocuments.getState().startEmpty();
    expect(formulasIn(docs())).toEqual([]);
    const outcome = bring(text);
    expect(outcome.ok && outcome.words).toMatch(/^“For the gate” is in, under Formulas\. With it came .+\.$/);
    expect(formulasIn(docs()).some(({ id }) => id === line.formulaId)).toBe(true);
    expect(kitchenIn(docs()).tins.some(({ id }) => id === line.tinId)).toBe(true);
    // One step: all of it goes back together.
    useDocuments.getState().undo();
    expect(formulasIn(docs())).toEqual([]);
    expect(piecesIn(docs())).toEqual([]);
  });

  it('takes a piece of before, that came without what it is made of', () => {
    const [line] = FAMILY_FILES.mugs?.run.lines ?? [];
    if (!line) throw new Error('the demo has mugs');
    const bare = pieceOf(line, { id: 'piece-3', name: 'Alone' });
    expect(bring(JSON.stringify(bare))).toMatchObject({ ok: true, words: '“Alone” is in, under Formulas.' });
    expect(piecesIn(docs())).toEqual([bare]);
  });

  it('stands beside a run of the same id', () => {
    bring(JSON.stringify(FAMILY_FILES.mugs));
    const before = runsIn(docs()).length;
    const again = bring(JSON.stringify(FAMILY_FILES.mugs));
    expect(runsIn(docs())).toHaveLength(before + 1);
    expect(again.ok && again.go.run).not.toBe('run-mugs');
  });

  it('is a formula of plain text, or several of a page', () => {
    const text = bring('Sloe cakes\n200 g plain flour\n3 eggs');
    expect(text).toMatchObject({ ok: true, words: '“Sloe cakes” is in.' });
    const recipe = (name: string) => ({ '@type': 'Recipe', name, recipeIngredient: ['100 g butter'] });
    expect(bring(JSON.stringify([recipe('One'), recipe('Two')]))).toMatchObject({
      ok: true,
      words: '2 formulas are in.',
    });
  });

  it('is a kitchen in place of the one that is there', () => {
    const other = { ...kitchenIn(docs()), name: 'Another kitchen' };
    expect(bring(JSON.stringify(other))).toMatchObject({ ok: true });
    expect(kitchenIn(docs()).name).toBe('Another kitchen');
  });

  it('changes nothing where it cannot be read', () => {
    const before = docs();
    for (const text of ['', '{', '[1,2]', 'nothing to bake here.', '{"kind":"run","version":1}']) {
      const outcome = bring(text);
      expect(outcome.ok).toBe(false);
      expect(outcome.ok ? '' : `${outcome.faults[0]?.fault}${outcome.faults[0]?.mend}`).not.toBe('');
    }
    expect(docs()).toBe(before);
  });
});

describe('a run as a file', () => {
  it.each(['run-lantern-evening', 'run-lantern-table'])('holds all of %s that it rests on', (id) => {
    const run = runIn(docs(), id) as RunDoc;
    const read = bringIn(runFileText(run));
    expect(read).toMatchObject({ ok: true, what: 'run', file: { run: { id, lines: run.lines } } });
  });

  it('gets a name that any disk takes', () => {
    expect(fileName('Lantern evening, the table')).toBe('Lantern-evening-the-table.run.json');
    expect(fileName('../../etc/passwd')).toBe('etc-passwd.run.json');
    expect(fileName('<>:"|?*')).toBe('run.run.json');
    expect(fileName('Gâteaux d’été')).toMatch(/^[\p{L}\p{M}\p{N}-]+\.run\.json$/u);
    expect(fileName('x'.repeat(500)).length).toBeLessThan(80);
  });
});

describe('lines changed from an older drawing', () => {
  it('are changed in the run as it stands now, so that no other change is lost', () => {
    const stale = runIn(docs(), 'run-lantern-table') as RunDoc;
    changeLines('One', stale.id, (lines) =>
      lines.map((line, i) => (i === 0 ? { ...line, count: 11 } : line)),
    );
    changeLines('Two', stale.id, (lines) =>
      lines.map((line, i) => (i === 1 ? { ...line, count: 13 } : line)),
    );
    const now = runIn(docs(), stale.id);
    expect(now?.lines.slice(0, 2).map(({ count }) => count)).toEqual([11, 13]);
    changeLines('Nowhere', 'run-that-is-gone', () => []);
    expect(runIn(docs(), stale.id)).toBe(now);
  });
});
