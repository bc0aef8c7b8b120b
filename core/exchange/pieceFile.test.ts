import { EMPTY_KITCHEN } from '../../demo/kitchen';
import { FAMILY_FILES } from '../../demo/families';
import { planRun } from '../plan/plan';
import { bringIn } from './bringIn';
import type { FormulaDoc, KitchenDoc, Line, PieceFile, RunFile } from '../model/documents';
import { mergePieceFile } from './merge';
import { pieceOf } from '../model/pieceDoc';
import { formulasNamed } from '../model/references';

const EVENING = FAMILY_FILES.evening as RunFile;
const lines = EVENING.run.lines;

/** The line as a file: with the formulas that it names, and those that these are made of. */
function fileOf(line: Line): PieceFile {
  const reached = new Set(formulasNamed([line]));
  for (const id of reached)
    for (const part of EVENING.formulas.find((doc) => doc.id === id)?.parts ?? [])
      reached.add(part.formulaId);
  return {
    kind: 'piece file',
    version: 3,
    piece: pieceOf(line, { id: 'piece-1', name: 'As we like them' }),
    formulas: EVENING.formulas.filter(({ id }) => reached.has(id)),
    kitchen: EVENING.kitchen,
  };
}

const newIds = () => {
  let n = 0;
  return (kind: string) => `${kind}-new-${(n += 1)}`;
};

function values(line: Line, formulas: readonly FormulaDoc[], kitchen: KitchenDoc): number[] {
  const [plan] = planRun({
    ...EVENING,
    kitchen,
    formulas: [...formulas],
    run: { ...EVENING.run, lines: [line] },
  });
  if (!plan?.planned) throw new Error(plan ? plan.fault.fault : 'no plan');
  return plan.figures.map(({ value }) => value);
}

describe('the file of a whole piece', () => {
  it.each(lines.map((line) => [line.id, line] as const))(
    'of %s comes in as it went out, and into an empty kitchen with all that its sums rest on',
    (_, line) => {
      const file = fileOf(line);
      const read = bringIn(JSON.stringify(file));
      expect(read).toEqual({ ok: true, what: 'piece file', file });
      // Scoops and measures of one's own are no part of a piece: they are the kitchen's that bakes it.
      const bare: KitchenDoc = {
        ...EMPTY_KITCHEN,
        scoops: EVENING.kitchen.scoops,
        ownMeasures: EVENING.kitchen.ownMeasures,
        measured: EVENING.kitchen.measured,
        scaleStepG: EVENING.kitchen.scaleStepG,
        altitudeM: EVENING.kitchen.altitudeM,
      };
      const merged = mergePieceFile(file, { kitchen: bare, formulas: [], ids: new Set() }, newIds());
      expect(merged.piece.id).toBe('piece-1');
      const same = values(file.piece.line, EVENING.formulas, EVENING.kitchen);
      expect(values(merged.piece.line, merged.formulas, merged.kitchen)).toEqual(same);
    },
  );

  it('adds nothing where all of it is there, and stands beside a piece of the same id', () => {
    const [line] = lines;
    if (!line) throw new Error('the evening has lines');
    const file = fileOf(line);
    const has = { kitchen: EVENING.kitchen, formulas: EVENING.formulas, ids: new Set(['piece-1']) };
    const merged = mergePieceFile(file, has, newIds());
    expect(merged).toEqual({
      piece: { ...file.piece, id: 'piece-new-1' },
      formulas: [],
      kitchen: EVENING.kitchen,
      added: [],
    });
  });

  it('names what is missing in it, and where', () => {
    const line = lines.find(({ family }) => family === 'cupcake');
    if (!line) throw new Error('the evening has cupcakes');
    const read = bringIn(JSON.stringify({ ...fileOf(line), formulas: [] }));
    if (read.ok) throw new Error('it lacks its formula');
    expect(read.faults[0]).toMatchObject({
      field: 'piece.line.formulaId',
      mend: 'Add the formula to the file.',
    });
    const tinless = { ...fileOf(line), kitchen: { ...EVENING.kitchen, tins: [EMPTY_KITCHEN.tins[0]] } };
    const other = bringIn(JSON.stringify(tinless));
    const wants = 'tinId' in line ? line.tinId : '';
    expect(other.ok).toBe(wants === EMPTY_KITCHEN.tins[0]?.id);
  });

  it('is refused whole where a formula of it is made of itself', () => {
    const line = lines.find(({ family }) => family === 'cupcake');
    if (!line) throw new Error('the evening has cupcakes');
    const file = fileOf(line);
    const [first] = file.formulas;
    if (!first) throw new Error('it has a formula');
    const turning = { ...first, parts: [{ formulaId: first.id, massG: 20 }] };
    const read = bringIn(JSON.stringify({ ...file, formulas: [turning, ...file.formulas.slice(1)] }));
    if (read.ok) throw new Error('it goes round in a circle');
    expect(read.faults.some(({ fault }) => /is made of itself/.test(fault))).toBe(true);
  });
});
