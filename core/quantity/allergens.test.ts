import { allergensIn, holdsOf, holdsOfColour, holdsOfLine } from './allergens';
import { ALLERGENS, NAMED } from './allergens.table';
import { INGREDIENTS } from './ingredients.table';
import { readLine } from './line';
import { wordsOf } from './own';

const of = (text: string) => [...holdsOf(text).allergens].sort();
const doubts = (text: string) =>
  holdsOf(text)
    .packets.filter(({ known }) => !known)
    .map(({ name }) => name);

describe('the tables of allergens', () => {
  const rows = INGREDIENTS.flatMap((row) => [row.name, ...row.names].map((name) => ({ name, row })));
  const named = NAMED.flatMap((one) => one.names.split('|').map((name) => ({ name, one })));

  it('answer no name twice: not in two rows, nor in a row and among the names without one', () => {
    const seen = new Map<string, string>();
    const twice: string[] = [];
    for (const { name, row } of rows) {
      const key = wordsOf(name);
      if (seen.has(key) && seen.get(key) !== row.key) twice.push(`${name}: ${seen.get(key)}, ${row.key}`);
      seen.set(key, row.key);
    }
    const apart = new Set<string>();
    for (const { name } of named) {
      if (seen.has(wordsOf(name)) || apart.has(wordsOf(name))) twice.push(name);
      apart.add(wordsOf(name));
    }
    expect(twice).toEqual([]);
  });

  it('answer each of their names by its own row, whatever shorter name is in it', () => {
    const wrong = rows.filter(({ name, row }) => {
      if (/less\b/.test(name)) return false;
      const found = holdsOf(name);
      const same = [...found.allergens].sort().join() === [...(row.allergens ?? [])].sort().join();
      return !same || (row.more === true) !== found.packets.length > 0;
    });
    expect(wrong.map(({ name }) => name)).toEqual([]);
    const odd = named.filter(
      ({ name, one }) => of(name).join() !== [...one.of].sort().join() || doubts(name).length > 0,
    );
    expect(odd.map(({ name }) => name)).toEqual([]);
  });

  it('have wheat in what is made of wheat, and gluten wherever wheat is', () => {
    for (const { name, allergens = [] } of INGREDIENTS)
      if (allergens.includes('wheat')) expect([name, allergens.includes('gluten')]).toEqual([name, true]);
  });
});

describe('allergens by names', () => {
  it.each([
    ['plain flour', ['gluten', 'wheat']],
    ['gluten-free flour', []],
    ['rye flour', ['gluten']],
    ['barley malt extract', ['gluten']],
    ['semolina', ['gluten', 'wheat']],
    ['cake flour', ['gluten', 'wheat']],
    ['lemon curd', ['egg', 'milk']],
    ['marzipan', ['nuts']],
    ['pine nuts', ['nuts']],
    ['peanut flour', ['peanut']],
    ['mixed nuts', ['nuts', 'peanut']],
    ['hazelnut spread', ['milk', 'nuts', 'soya']],
    ['coconut milk', []],
    ['cocoa butter', []],
    ['oat milk', ['gluten']],
    ['soy milk', ['soya']],
    ['flax eggs', []],
    ['butternut squash', []],
    ['nutmeg', []],
    ['cream of tartar', []],
    ['celeriac', ['celery']],
    ['suet', ['gluten', 'wheat']],
    ['dried apricots, chopped', ['sulphite']],
    ['white wine', ['sulphite']],
    ['lactose-free milk', ['milk']],
    ['cornflour', []],
    ['buttermilk', ['milk']],
    ['crème fraîche', ['milk']],
    ['trail mix', ['nuts', 'peanut', 'sulphite']],
    ['baklava crumbs', ['gluten', 'milk', 'nuts', 'wheat']],
    ['satay crumble', ['peanut', 'soya']],
    ['prawn mayonnaise', ['crustaceans', 'egg', 'mustard']],
    ['peanut butter cookies', ['gluten', 'milk', 'peanut', 'wheat']],
    ['chopped walnuts and sesame', ['nuts', 'sesame']],
  ])('%s', (name, expected) => {
    expect(of(name)).toEqual(expected);
    expect(doubts(name)).toEqual([]);
  });

  it.each([
    ['dairy-free dark chocolate', ['soya']],
    ['nut-free chocolate spread', ['milk', 'soya']],
    ['egg-free mayonnaise', ['mustard']],
    ['eggless sponge', ['gluten', 'milk', 'wheat']],
    ['vegan chocolate cake', ['gluten', 'soya', 'wheat']],
    ['flour, gluten-free and dairy-free', []],
    ['oats (gluten-free), 200 g', []],
    ['granola without nuts', ['gluten', 'milk', 'sulphite', 'wheat']],
    // What frees one thing frees no other.
    ['gluten-free flour, 200 g wheat flour', ['gluten', 'wheat']],
    ['gluten-free oats and rye flour', ['gluten']],
    ['not gluten-free oats', ['gluten']],
    ['no. 2 eggs', ['egg']],
  ])('believes words that free for what they free: %s', (name, expected) =>
    expect(of(name)).toEqual(expected),
  );

  it.each([
    'zorble',
    'caramel zingers',
    'unicorn butter',
    'mystery box',
    'golden moon crunch',
    'zorble glaze',
  ])('says that it does not know what %s is', (name) => expect(doubts(name)).toEqual([name.toLowerCase()]));

  it('knows what it knows by the last word, whatever stands before it', () => {
    for (const name of ['granny smith apples', 'best dark chocolate', 'a handful of fresh raspberries'])
      expect([name, doubts(name)]).toEqual([name, []]);
  });

  it('tells of bought things that their packets may say more', () => {
    expect(holdsOf('dark chocolate').packets).toEqual([{ name: 'dark chocolate', known: true }]);
    expect(allergensIn('rainbow sprinkles')).toEqual(['unknown']);
    expect(allergensIn('caster sugar')).toEqual([]);
  });

  it('says nothing of nothing, and ends on the longest of texts', () => {
    expect(allergensIn('')).toEqual([]);
    expect(allergensIn('egg '.repeat(20_000)).includes('egg')).toBe(true);
    expect(allergensIn('a'.repeat(20_000))).toEqual(['unknown']);
  });

  it('takes a colour for a colour, and its name for a thing where it is one', () => {
    expect(holdsOfColour('dusky leaf green').packets).toEqual([]);
    expect(holdsOfColour('crushed hazelnut').allergens).toEqual(['nuts']);
    expect(holdsOfColour('zorblite').packets).toEqual([{ name: 'zorblite', known: false }]);
  });
});

describe('allergens of a line', () => {
  const line = (raw: string, takenFor?: string) => {
    const { allergens, packets } = holdsOfLine(readLine(raw, 'metric', takenFor));
    return { allergens: [...allergens].sort(), notKnown: packets.filter(({ known }) => !known).length };
  };
  it.each([
    ['200 g plain flour', ['gluten', 'wheat']],
    ['200 g oats (gluten-free)', []],
    ['50 g dark chocolate (may hold hazelnuts)', ['milk', 'nuts', 'soya']],
    ['3 large eggs, beaten', ['egg']],
    ['1 tbsp vinegar', []],
  ])('%s', (raw, expected) => expect(line(raw)).toEqual({ allergens: expected, notKnown: 0 }));

  it('is what somebody said it is, and not known where nobody knows', () => {
    expect(line('200 g crumbs', 'biscuit crumb').allergens).toEqual(['gluten', 'milk', 'wheat']);
    expect(line('20 g zorble')).toEqual({ allergens: [], notKnown: 1 });
    for (const one of ALLERGENS) expect(line('20 g caster sugar').allergens).not.toContain(one);
  });
});
