import fc from 'fast-check';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoRuns } from '../../demo';
import {
  formulaSchema,
  kitchenSchema,
  pieceSchema,
  runSchema,
  type AnyDoc,
  type KitchenDoc,
  type RunDoc,
} from '../model/documents';
import { FIELD_WORDS } from './incoming.words';
import { choicesFor, chosen, incomingOf, kitchensTogether, same } from './incoming';

const RUNS = demoRuns('2026-11-25T09:30');
const DOCS: AnyDoc[] = [DEMO_KITCHEN, ...DEMO_FORMULAS, ...RUNS];
const keyOf = (doc: AnyDoc) => (doc.kind === 'kitchen' ? 'kitchen' : `${doc.kind}/${doc.id}`);
const here = (docs: readonly AnyDoc[]) => Object.fromEntries(docs.map((doc) => [keyOf(doc), doc]));
const [RUN] = RUNS;
if (!RUN) throw new Error('the demo has runs');

describe('what a file would change', () => {
  it('is nothing where all is there as it is', () => {
    expect(incomingOf(DOCS, here(DOCS), keyOf).every(({ is }) => is === 'same')).toBe(true);
  });

  it('is told by what is new, and by what differs in what is there', () => {
    const changed: RunDoc = { ...RUN, name: 'Lanterns', readyAt: '2026-12-01T10:00' };
    const all = incomingOf([changed, ...DEMO_FORMULAS], here([RUN]), keyOf);
    expect(all[0]).toMatchObject({ is: 'differs', fields: ['name', 'when it is to be ready'] });
    expect(all.filter(({ is }) => is === 'new')).toHaveLength(DEMO_FORMULAS.length);
  });

  it('names the things that differ, and what becomes of a count', () => {
    const [line] = RUN.lines;
    if (!line) throw new Error('the run has a line');
    const more: RunDoc = { ...RUN, lines: [{ ...line, count: line.count + 12 }, ...RUN.lines.slice(1)] };
    const ovens = DEMO_KITCHEN.ovens.map((one, i) => (i === 0 ? { ...one, name: 'The left one' } : one));
    const tins = DEMO_KITCHEN.tins.slice(1);
    const all = incomingOf([more, { ...DEMO_KITCHEN, ovens, tins }], here([RUN, DEMO_KITCHEN]), keyOf);
    const [first, second] = all.map(({ fields }) => fields);
    expect(first).toEqual([`what is made (${line.count} pieces here, ${line.count + 12} in the file)`]);
    expect(second).toEqual([`tins (${DEMO_KITCHEN.tins[0]?.name})`, 'ovens (The left one)']);
  });

  it('has a word for every field that a document has', () => {
    for (const schema of [kitchenSchema, runSchema, formulaSchema, pieceSchema])
      for (const field of Object.keys(schema.shape))
        if (!['kind', 'version', 'id'].includes(field))
          expect([field, FIELD_WORDS[field]]).not.toContain(undefined);
  });

  it('takes no notice of the order in which fields were written', () => {
    const turned = Object.fromEntries(Object.entries(RUN).reverse()) as unknown as RunDoc;
    expect(same(turned, RUN)).toBe(true);
  });
});

describe('two of one name', () => {
  it('stand as somebody chooses: that of here, that of the file', () => {
    const changed: RunDoc = { ...RUN, name: 'Lanterns' };
    expect(choicesFor(RUN, { ...changed, id: 'other' })).not.toContain('both');
    expect(chosen(RUN, changed, 'here')).toBe(RUN);
    expect(chosen(RUN, changed, 'file')).toBe(changed);
    expect(chosen(undefined, changed, 'here')).toBe(changed);
  });

  const some = <T>(all: readonly T[]) => fc.subarray([...all]);
  const kitchen: fc.Arbitrary<KitchenDoc> = fc
    .record({
      tins: some(DEMO_KITCHEN.tins),
      mugs: some(DEMO_KITCHEN.mugs ?? []),
      spoon: fc.integer({ min: 1, max: 40 }),
    })
    .map(({ tins, mugs, spoon }) => ({
      ...DEMO_KITCHEN,
      tins: tins.length > 0 ? tins : DEMO_KITCHEN.tins.slice(0, 1),
      mugs,
      ownMeasures: { [`spoon ${spoon % 3}`]: spoon },
      beliefs: [
        {
          param: 'bake.factor',
          of: `oven:${spoon % 2}`,
          mean: 1 + spoon / 100,
          spread: 0,
          seen: 1,
          since: null,
        },
      ],
    }));

  it('of kitchens come together: nothing of here is lost or changed, nothing of the file is left out, twice is once', () => {
    fc.assert(
      fc.property(kitchen, kitchen, (a, b) => {
        const both = kitchensTogether(a, b);
        expect(kitchenSchema.safeParse(both).success).toBe(true);
        expect(both.tins.slice(0, a.tins.length)).toEqual(a.tins);
        for (const { id } of b.tins) expect(both.tins.some((tin) => tin.id === id)).toBe(true);
        for (const [word, g] of Object.entries(a.ownMeasures ?? {})) expect(both.ownMeasures?.[word]).toBe(g);
        for (const word of Object.keys(b.ownMeasures ?? {})) expect(both.ownMeasures).toHaveProperty([word]);
        for (const one of a.beliefs) expect(both.beliefs).toContainEqual(one);
        expect(kitchensTogether(both, b)).toEqual(both);
        expect(kitchensTogether(a, a)).toEqual(a);
      }),
    );
  });
});
