import fc from 'fast-check';
import { readLine } from './line';
import { readNumber, readNumberField } from './number';

/** Line as written, what it should be taken for, grams by hand. */
const LINES: readonly (readonly [string, string, number])[] = [
  ['1 1/2 cups (190 g) plain flour', 'plain flour', 190],
  ['2½ tsp baking powder', 'baking powder', 11.5],
  ['1 stick butter', 'butter', 113.4],
  ['2 dl milk', 'milk', 206],
  ['3 large eggs', 'egg', 150],
  ['a pinch of salt', 'salt', 0.3],
  ['120g caster sugar', 'caster sugar', 120],
  ['62,5 g butter, melted', 'butter', 62.5],
  ['1,200 g strong flour', 'strong flour', 1200],
  ['½ cup sugar', 'granulated sugar', 100],
  ['2⁄3 cup honey', 'honey', 226.7],
  ['3–4 tbsp milk', 'milk', 53.4],
  ['3 to 4 tablespoons of milk', 'milk', 53.4],
  ['half a tin (400 g) condensed milk', 'condensed milk', 200],
  ['1 (14 oz) can condensed milk', 'condensed milk', 396.9],
  ['2 x 400 g tins evaporated milk', 'evaporated milk', 800],
  ['a 200 g bar dark chocolate, chopped', 'dark chocolate', 200],
  ['1 scant cup plain flour', 'plain flour', 116.3],
  ['1 heaped tsp cinnamon', 'cinnamon', 3.25],
  ['1 cup plus 2 tbsp plain flour', 'plain flour', 140.6],
  ['1 cup + 2 tbsp (141 g) flour', 'plain flour', 141],
  ['115 g or 1 stick unsalted butter', 'butter', 115],
  ['Butter, 120 g', 'butter', 120],
  ['flour: 2 cups', 'plain flour', 250],
  ['juice of half a lemon', 'lemon juice', 22.5],
  ['zest of 2 oranges', 'citrus zest', 12],
  ['• 1 kg icing sugar, plus more for dusting', 'icing sugar', 1000],
  ['- 4 oz soft brown sugar', 'brown sugar', 113.4],
  ['1 lb carrots, grated', 'carrot', 453.6],
  ['2 egg whites', 'egg white', 66],
  ['1 egg yolk', 'egg yolk', 17],
  ['100 ml oil or melted butter', 'oil', 92.1],
  ['1 T vanilla extract', 'vanilla extract', 12.6],
  ['1 t bicarbonate of soda', 'bicarbonate of soda', 5],
  ['1 cup spooned flour', 'plain flour', 120],
  ['2 tbsp peanut butter', 'peanut butter', 31.9],
  ['25 g vanilla sugar', 'vanilla sugar', 25],
  ['50 g almond butter', 'nut butter', 50],
  ['about 80 g raisins', 'raisins', 80],
  ['150 g natural yoghurt (full fat)', 'yoghurt', 150],
  ['1 tbsp poppy seeds', 'poppy seeds', 8.4],
  ['250 g cooked beetroot, puréed', 'beetroot', 250],
  ['one and a half cups sugar', 'granulated sugar', 300],
  ['3 eggs (150 g without shell)', 'egg', 150],
  ['2 knobs of butter', 'butter', 30],
  ['5 fl oz double cream', 'cream', 148.7],
  ['80 g zibble', 'zibble', 80],
];

describe('readLine', () => {
  it.each(LINES)('reads "%s" as %s, %d g', (raw, name, massG) => {
    const line = readLine(raw, 'us');
    expect(line.status).toBe('read');
    expect(line.name).toBe(name);
    expect(Math.abs(line.massG - massG)).toBeLessThan(Math.max(0.06, massG * 0.006));
    expect(line.raw).toBe(raw);
  });

  it('gives a cup a wider range than a weight, and a stated range its own', () => {
    const cup = readLine('1 cup flour', 'us');
    const grams = readLine('125 g flour', 'us');
    const span = readLine('100-140 g flour', 'us');
    expect(cup.highG - cup.lowG).toBeGreaterThan(15);
    expect(grams.highG - grams.lowG).toBeLessThan(2);
    expect(span.massG).toBe(120);
    expect(span.highG).toBeGreaterThan(139);
  });

  it('reads cups, spoons and eggs by the measures that the formula means', () => {
    expect(readLine('1 cup milk', 'metric').massG).toBeCloseTo((250 * 244) / 236.6, 3);
    expect(readLine('1 tbsp milk', 'australian').massG).toBeCloseTo((20 * 244) / 236.6, 3);
    expect(readLine('2 large eggs', 'metric').massG).toBe(114);
  });

  it('points out a cup and a weight that differ by more than 15 % and goes by the weight', () => {
    const line = readLine('1 cup (180 g) plain flour', 'us');
    expect(line.massG).toBe(180);
    expect(line.notices[0]?.fault).toMatch(/125 g.*31 % apart/);
    expect(readLine('1 1/2 cups (190 g) plain flour', 'us').notices).toEqual([]);
  });

  it('keeps eggs countable even where their weight is written too', () => {
    expect(readLine('3 eggs (150 g)', 'us').whole).toMatchObject({ count: 3, pieceG: 50 });
  });

  it.each([
    ['-200 g flour', /below zero/],
    ['−200 g flour', /below zero/],
    ['0 g flour', /nothing/],
    ['99999 kg flour', /100 kg/],
    ['2 cups zibble', /not known/],
    ['1 tin tomatoes', /tin holds/],
    ['4 zibbles', /not known/],
    ['200 g', /no ingredient/],
    ['???', /No amount/],
  ])('marks "%s" and says how to mend it', (raw, fault) => {
    const line = readLine(raw, 'us');
    expect(line.status).toBe('unread');
    expect(line.fault?.fault).toMatch(fault);
    expect(line.fault?.mend).not.toBe('');
    expect(line.massG).toBe(0);
    expect(line.raw).toBe(raw);
  });

  it('takes an ingredient without an amount, a heading and a blank for what they are', () => {
    expect(readLine('salt, to taste', 'us').status).toBe('no amount');
    expect(readLine('For the batter:', 'us').status).toBe('heading');
    expect(readLine('Stir well.', 'us').status).toBe('note');
    expect(readLine('   ', 'us').status).toBe('blank');
  });

  it('follows the person who says what a line is', () => {
    expect(readLine('100 g cake crumbs', 'us', 'biscuit crumb').name).toBe('biscuit crumb');
  });

  it('reads any text without throwing, keeps it as written and never weighs below zero', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (raw) => {
        const line = readLine(raw, 'us');
        return line.raw === raw && line.massG >= 0 && Number.isFinite(line.massG);
      }),
      { numRuns: 500 },
    );
  });

  it('weighs grow in proportion to the number written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.constantFrom('g', 'ml', 'tbsp', 'oz'), (n, unit) => {
        const one = readLine(`${n} ${unit} milk`, 'us').massG;
        const ten = readLine(`${n * 10} ${unit} milk`, 'us').massG;
        return Math.abs(ten - 10 * one) < 1e-6 * ten;
      }),
    );
  });
});

describe('numbers', () => {
  it.each([
    ['1 1/2', 1.5],
    ['2½', 2.5],
    ['1,5', 1.5],
    ['1,000', 1000],
    ['⅔', 2 / 3],
    ['.5', 0.5],
    ['half a', 0.5],
    ['a dozen', 12],
    ['1-1/2', 1.5],
    ['3–4', 3.5],
  ])('reads %s', (text, value) => expect(readNumber(text)?.value).toBeCloseTo(value, 9));

  it('takes a whole field or nothing', () => {
    expect(readNumberField(' 12,5 ')).toBe(12.5);
    expect(readNumberField('-3')).toBe(-3);
    expect(readNumberField('12 apples')).toBeNull();
    expect(readNumberField('')).toBeNull();
    expect(readNumberField('1/0')).toBeNull();
  });
});

describe('a line with an amount of something known', () => {
  it.each([
    ['flour, all-purpose, 1 1/2 cups', 'plain flour', 187.5],
    ['Butter, in small cubes, 100 g', 'butter', 100],
    ['cream, well chilled, 300 ml', 'cream', 301.8],
    ['then 50 g butter', 'butter', 50],
    ['Using 100 g butter', 'butter', 100],
    ['Finally, 1 tsp vanilla extract', 'vanilla extract', 4.2],
    ['add 200g flour', 'plain flour', 200],
    ['Melt 100 g dark chocolate', 'dark chocolate', 100],
    ['with 3 tbsp milk', 'milk', 45.8],
    ['Beat 3 eggs', 'egg', 150],
  ])('is that thing, whatever word begins it: %s', (raw, name, massG) => {
    const read = readLine(raw, 'us');
    expect([read.status, read.name]).toEqual(['read', name]);
    expect(read.massG).toBeCloseTo(massG, 0);
  });

  it.each([
    'Divide between 12 cases',
    'Bake for 20 minutes at 180 C',
    'Store for 3 days',
    'Makes 12 cupcakes',
  ])('is none where nothing of it is weighed: %s', (raw) => expect(readLine(raw, 'us').massG).toBe(0));
});
