import { allergensIn } from './allergens';

describe('allergens by words', () => {
  it.each([
    ['plain flour', ['gluten', 'wheat']],
    ['gluten-free flour', []],
    ['rye flour', ['gluten']],
    ['barley malt extract', ['gluten']],
    ['semolina', ['gluten', 'wheat']],
    ['lemon curd', ['egg', 'milk']],
    ['custard powder', ['unknown']],
    ['marzipan', ['nuts']],
    ['praline paste', ['milk', 'nuts', 'soya']],
    ['peanut flour', ['peanut']],
    ['peanut butter', ['peanut']],
    ['coconut milk', []],
    ['cocoa butter', []],
    ['oat milk', ['gluten']],
    ['almond milk', ['nuts']],
    ['soy milk', ['soya']],
    ['flax eggs', []],
    ['egg white', ['egg']],
    ['butternut squash', []],
    ['nutmeg', []],
    ['cream of tartar', []],
    ['dried apricots, chopped', ['sulphite']],
    ['white wine', ['sulphite']],
    ['dairy-free margarine', []],
    ['lactose-free milk', ['milk']],
    ['vegan butter', ['unknown']],
    ['tahini', ['sesame']],
    ['lupin flour', ['lupin']],
    ['rainbow sprinkles', ['unknown']],
    ['dark chocolate chips', ['milk', 'soya']],
    ['dairy-free dark chocolate', ['soya']],
    ['cornflour', []],
    ['buckwheat flour', []],
    ['caster sugar', []],
    ['granulated sugar', []],
    ['buttermilk', ['milk']],
    ['crème fraîche', ['milk']],
    ['mustard powder', ['mustard']],
    ['digestive biscuits', ['gluten', 'wheat', 'milk', 'unknown']],
    ['nut-free chocolate spread', ['milk', 'soya', 'unknown']],
  ] as const)('%s', (words, expected) => {
    expect(allergensIn(words)).toEqual(expected);
  });

  it('says nothing of nothing, and ends on the longest of texts', () => {
    expect(allergensIn('')).toEqual([]);
    const from = performance.now();
    allergensIn('egg '.repeat(100_000));
    allergensIn('a'.repeat(100_000));
    expect(performance.now() - from).toBeLessThan(500);
  });
});
