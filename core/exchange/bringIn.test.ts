import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { EMPTY_KITCHEN } from '../../demo/kitchen';
import { planRun } from '../plan';
import { bringIn, minutesOfDuration, ovenIn } from './bringIn';
import { MOST_LETTERS } from './limits';
import type { RunFile } from '../model/documents';
import { mergeRunFile } from './merge';
import { readRunFile } from './read';

const RECIPE = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name: 'Rye &amp; honey <b>cakes</b>',
  recipeYield: ['18 cakes'],
  cookTime: 'PT22M',
  recipeIngredient: ['200 g plain flour', '1&frac12; tsp baking powder', '<i>3 eggs</i>', '150 g butter'],
  recipeInstructions: [
    { '@type': 'HowToStep', text: 'Beat the butter with the sugar.' },
    { '@type': 'HowToSection', itemListElement: [{ '@type': 'HowToStep', text: 'Bake at 350 °F.' }] },
  ],
};
const page = (block: string) =>
  `<!doctype html><html><head><script type="application/ld+json">${block}</script></head><body>x</body></html>`;

describe('bringing in a formula', () => {
  it.each([
    ['a file', JSON.stringify(RECIPE)],
    ['a graph', JSON.stringify({ '@context': 'x', '@graph': [{ '@type': 'WebPage' }, RECIPE] })],
    ['a list', JSON.stringify([RECIPE])],
    ['a page', page(JSON.stringify(RECIPE))],
  ])('reads a schema.org Recipe in %s', (_, text) => {
    const read = bringIn(text);
    expect(read).toMatchObject({
      ok: true,
      what: 'formulas',
      formulas: [
        {
          name: 'Rye & honey cakes',
          text: '200 g plain flour\n1½ tsp baking powder\n3 eggs\n150 g butter',
          steps: 'Beat the butter with the sugar.\nBake at 350 °F.',
          ovenC: 175,
          statedPieces: 18,
          statedMin: 22,
          method: 'creamed',
        },
      ],
    });
  });

  it('reads plain text: its name, its ingredients, and what to do below them', () => {
    const text =
      'Damson loaf cakes\n\n200 g plain flour\n150g sugar\n3 eggs\n\nMelt the butter and stir it in. Bake for 20 minutes.';
    const read = bringIn(text);
    expect(read).toMatchObject({
      ok: true,
      formulas: [
        { name: 'Damson loaf cakes', text: '200 g plain flour\n150g sugar\n3 eggs', method: 'melted' },
      ],
    });
    expect(bringIn('200 g flour\n2 eggs')).toMatchObject({ formulas: [{ text: '200 g flour\n2 eggs' }] });
  });

  it('reads durations and ovens as they are written', () => {
    expect([minutesOfDuration('PT1H20M'), minutesOfDuration('P1DT2M'), minutesOfDuration('soon')]).toEqual([
      80,
      1442,
      null,
    ]);
    expect([
      ovenIn('at 180 C'),
      ovenIn('350°F'),
      ovenIn('400 degrees F'),
      ovenIn('bake it'),
      ovenIn('20 C'),
    ]).toEqual([180, 175, 205, null, null]);
  });
});

describe('what cannot be brought in', () => {
  it.each<[string, string, RegExp]>([
    ['nothing', '  \n', /nothing in it/],
    ['broken JSON', '{"kind": "run file", ', /broken/],
    ['a picture', '\u0000\u0001PNG', /no text/],
    ['another JSON', '{"hello": 1}', /No run, formula/],
    ['a page without a recipe', '<html><p>Hello</p></html>', /No recipe/],
    ['prose', 'Dear all, the hall is closed on Friday.', /reads as an ingredient/],
    ['brackets without end', '['.repeat(100_000), /deeper/],
    ['nested objects', '{"a":'.repeat(5000) + '1' + '}'.repeat(5000), /deeper/],
    ['20 MB', `{"kind":"run file","x":"${'a'.repeat(20_000_000)}"}`, /million/],
    ['a newer version', JSON.stringify({ kind: 'formula', version: 99 }), /newer/],
  ])('says what is wrong with %s', (_, text, words) => {
    const read = bringIn(text);
    expect(read.ok ? '' : `${read.faults[0]?.fault} ${read.faults[0]?.mend}`).toMatch(words);
  });

  it('lets no key reach into what all objects share', () => {
    const hostile = JSON.stringify({ ...RECIPE, name: 'x' }).replace(
      '"name"',
      '"__proto__":{"polluted":1},"constructor":{"prototype":{"polluted":1}},"name"',
    );
    expect(bringIn(hostile).ok).toBe(true);
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
    const file = JSON.parse(JSON.stringify(FAMILY_FILES.pops)) as Record<string, unknown>;
    const read = bringIn(JSON.stringify(file).replace('"kind"', '"__proto__":{"polluted":1},"kind"'));
    expect(read.ok).toBe(true);
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.json().map(page),
          fc.object().map((o) => JSON.stringify({ ...o, '@type': 'Recipe' })),
        ),
        (text) => typeof bringIn(text).ok === 'boolean',
      ),
      { numRuns: 300 },
    );
    expect(MOST_LETTERS).toBeGreaterThan(JSON.stringify(FAMILY_FILES.evening).length * 10);
  });
});

const counts = (file: RunFile, lines = file.run.lines) =>
  planRun({ ...file, run: { ...file.run, lines } }).map((line) =>
    line.planned ? line.figures.map(({ id, value }) => [id, value]) : line.fault,
  );

describe('a run file', () => {
  it.each(Object.entries(FAMILY_FILES))('of %s comes back as it was', (_, file) => {
    const read = bringIn(JSON.stringify(file));
    expect(read).toEqual({ ok: true, what: 'run', file });
  });

  it('comes into another kitchen with what it needs, and its sums stay the same', () => {
    const file = FAMILY_FILES.evening as RunFile;
    let n = 0;
    const newId = (kind: string) => `${kind}-new-${(n += 1)}`;
    // A tin and a formula there bear the same ids and are others.
    const [formula] = file.formulas;
    const has = {
      kitchen: EMPTY_KITCHEN,
      formulas: formula ? [{ ...formula, name: 'Another of that id' }] : [],
      ids: new Set([file.run.id]),
    };
    const merged = mergeRunFile(file, has, newId);
    expect(merged.run.id).not.toBe(file.run.id);
    expect(merged.kitchen.tins.slice(0, EMPTY_KITCHEN.tins.length)).toEqual(EMPTY_KITCHEN.tins);
    const all: RunFile = {
      ...file,
      run: merged.run,
      formulas: [...has.formulas, ...merged.formulas],
      kitchen: { ...merged.kitchen, ownMeasures: file.kitchen.ownMeasures },
    };
    expect(readRunFile(all).ok).toBe(true);
    const plain = (text: unknown) =>
      JSON.parse(JSON.stringify(text).replace(/[a-z]+-new-\d+/g, '')) as unknown;
    const values = (some: ReturnType<typeof counts>) =>
      (plain(some) as [string, number][][]).map((figures) => figures.map(([, value]) => value));
    expect(values(counts(all))).toEqual(values(counts(file)));
  });

  it('adds nothing where what is there was written with its fields in another order', () => {
    const file = FAMILY_FILES.evening as RunFile;
    const turned = <T extends object>(doc: T): T => Object.fromEntries(Object.entries(doc).reverse()) as T;
    const has = {
      kitchen: { ...file.kitchen, tins: file.kitchen.tins.map(turned) },
      formulas: file.formulas.map(turned),
      ids: new Set<string>(),
    };
    const merged = mergeRunFile(file, has, (kind) => `new-${kind}`);
    expect(merged.added).toEqual([]);
    expect(merged.kitchen).toBe(has.kitchen);
  });

  it('adds nothing where all of it is there', () => {
    const file = FAMILY_FILES.pops as RunFile;
    const merged = mergeRunFile(
      file,
      { kitchen: file.kitchen, formulas: file.formulas, ids: new Set() },
      () => 'never',
    );
    expect(merged).toEqual({ run: file.run, formulas: [], kitchen: file.kitchen, added: [], went: false });
  });
});
