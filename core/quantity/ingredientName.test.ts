import { findIngredient, ingredientsNamedIn } from './ingredientName';
import { INGREDIENTS } from './ingredients.table';

describe('naming an ingredient', () => {
  it.each([
    ['vanilla sugar', 'vanilla sugar'],
    ['peanut butter', 'peanut butter'],
    ['butter', 'butter'],
    ['brown butter', 'butter'],
    ['milk chocolate', 'milk chocolate'],
    ['Crème Fraîche', 'sour cream'],
    ['CONFECTIONERS’ SUGAR', 'icing sugar'],
    ['egg yolks', 'egg yolk'],
    ['buttermilk', 'buttermilk'],
    ['self-raising flour', 'self-raising flour'],
  ])('%s is %s', (text, name) => expect(findIngredient(text)?.name).toBe(name));

  it.each([
    'chocolate milk',
    'rice noodles',
    'almond milk chocolate bar cake',
    'lemon sponge biscuits mix',
    'coffee liqueur sauce',
    'strawberry milk',
  ])('does not take %s for what only flavours it', (text) => expect(findIngredient(text)).toBeNull());

  it('finds no ingredient inside another word, or in nothing', () => {
    for (const text of ['', 'saltire', 'eggplant', 'mealy', '12 345'])
      expect(findIngredient(text)).toBeNull();
  });

  it('knows every name in its own table for what it is, however it is dressed', () => {
    const names = INGREDIENTS.flatMap((item) =>
      [item.name, ...item.names].map((name) => ({ name, key: item.key })),
    );
    // What is another thing with that word before it is that thing: fresh ginger is no ground ginger.
    const keyOf = new Map(names.map(({ name, key }) => [name.toLowerCase(), key]));
    for (const before of ['', 'fresh ', '  good, '])
      for (const { name, key } of names)
        expect([name, findIngredient(`${before}${name.toUpperCase()}`)?.key]).toEqual([
          name,
          keyOf.get(`${before}${name}`.toLowerCase()) ?? key,
        ]);
  });

  it('has no two ingredients of one key or one name', () => {
    const keys = INGREDIENTS.map((item) => item.key);
    expect(new Set(keys).size).toBe(keys.length);
    const names = INGREDIENTS.flatMap((item) => [...new Set([item.name, ...item.names])]);
    const twice = names.filter((name, i) => names.indexOf(name) !== i);
    expect(twice).toEqual([]);
  });

  it('weighs everything it knows by some measure, within what food weighs', () => {
    for (const { key, cupG, tspG, pieceG } of INGREDIENTS) {
      expect([key, cupG ?? tspG ?? pieceG]).not.toEqual([key, undefined]);
      if (cupG !== undefined) expect([key, cupG >= 8 && cupG < 360]).toEqual([key, true]);
      if (tspG !== undefined) expect([key, tspG > 0.4 && tspG < 8]).toEqual([key, true]);
    }
  });
});

describe('all things that a text names', () => {
  const keys = (text: string) => ingredientsNamedIn(text).map(({ ingredient }) => ingredient.key);
  it.each<[string, string[]]>([
    ['Rub the butter into the flour.', ['butter', 'plain flour']],
    ['Fold in the peanut butter.', ['peanut butter']],
    ['Beat in the eggs one at a time, then the milk.', ['egg', 'milk']],
    ['Bake until done.', []],
    ['chopped hazelnuts', ['chopped nuts']],
  ])('%s', (text, found) => expect(keys(text).sort()).toEqual([...found].sort()));
});
