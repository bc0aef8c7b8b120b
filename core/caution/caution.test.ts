import { readFormula } from '../formula';
import { cautionsFor } from './cautions';
import { keepingOf, keepingWords } from './keeping';
import { factsOf, type FactsOf, type Unbaked } from './facts';
import { doneTests } from './doneTests';

const linesOf = (text: string) => readFormula({ text, measures: 'metric', takenFor: {} }, null).lines;
const plain: FactsOf = {
  family: 'cupcake',
  baked: linesOf('100 g plain flour\n100 g caster sugar\n2 eggs'),
  unbaked: [],
  holds: { allergens: ['gluten', 'egg'], packets: [] },
  words: [],
  frosting: null,
  coat: false,
  oven: true,
};
const ids = (over: Partial<FactsOf>) => cautionsFor(factsOf({ ...plain, ...over })).map(({ id }) => id);
const words = (over: Partial<FactsOf>, id: string) =>
  cautionsFor(factsOf({ ...plain, ...over })).find((one) => one.id === id)?.words ?? '';

describe('cautions', () => {
  it('says of a plain cake what holds for every plain cake, in the order of the work', () => {
    expect(ids({})).toEqual(['allergens', 'raw', 'hot-tin', 'selling']);
  });

  it.each<[string, Partial<FactsOf>, string]>([
    ['a mug', { family: 'mug', oven: false, microwave: true }, 'hot-mug'],
    ['a stick', { family: 'pop', stick: true }, 'stick'],
    ['a coat', { family: 'pop', coat: true }, 'water-chocolate'],
    ['a mould', { family: 'cakesicle', mould: true }, 'food-moulds'],
    ['leftovers', { family: 'pop', leftovers: true }, 'leftovers'],
    ['a core', { blade: 'core' }, 'blade'],
    ['a sheet to cut', { blade: 'cut' }, 'blade'],
    ['cream', { frosting: 'whipped cream' }, 'cool-safely'],
    ['caramel', { words: ['salted caramel'] }, 'sugar-burns'],
    ['garden flowers', { words: ['pansies'] }, 'flowers'],
    ['wires', { words: ['stars on wires'] }, 'holds-only'],
    ['nuts left whole in the batter', { baked: linesOf('100 g flour\n50 g hazelnuts') }, 'choking'],
    ['blueberries', { words: ['blueberries'] }, 'choking'],
    ['jelly sweets', { words: ['jelly beans'] }, 'choking'],
    ['cooked meringue', { frosting: 'cooked meringue' }, 'syrup'],
    ['a syrup buttercream', { frosting: 'meringue buttercream' }, 'syrup'],
    ['glitter', { words: ['gold glitter'] }, 'not-food'],
    ['a mist', { words: ['pearl mist'] }, 'not-food'],
    ['cherries', { words: ['a whole cherry'] }, 'choking'],
    ['hard pearls', { words: ['silver pearls'] }, 'choking'],
    ['rum in the dough', { words: ['dark rum'] }, 'alcohol'],
    ['brandy in the batter', { baked: linesOf('100 g flour\n2 tbsp brandy') }, 'alcohol'],
    ['honey in the batter', { baked: linesOf('100 g flour\n50 g honey') }, 'honey'],
    ['raw dough', { words: ['raw cookie dough'] }, 'raw-flour-served'],
    ['herbs in oil', { words: ['basil oil'] }, 'herb-oil'],
    ['custard', { words: ['vanilla custard'] }, 'custard'],
    ['dry ice', { words: ['dry ice'] }, 'dry-ice'],
    ['sticks baked in', { bakedSteps: ['Push the wooden sticks in and bake for 10 min.'] }, 'not-in-oven'],
  ])('warns of %s', (_, over, id) => {
    expect(ids(over)).toContain(id);
    expect(ids({})).not.toContain(id);
  });

  it('says whether the oven has driven some of the alcohol off, and how to do without', () => {
    expect(words({ words: ['dark rum'] }, 'alcohol')).toMatch(/no oven drives off.+Apple juice/);
    expect(words({ baked: linesOf('100 g flour\n2 tbsp brandy') }, 'alcohol')).toMatch(
      /not drive all of it off/,
    );
  });

  it('warns of choking only where a whole one is met', () => {
    const muffin = linesOf('100 g plain flour\n80 g blueberries\n30 g mini marshmallows');
    expect(ids({ baked: muffin })).not.toContain('choking');
    expect(ids({ baked: muffin, words: ['blueberries'] })).toContain('choking');
    expect(ids({ bakedSteps: ['Bake until a skewer comes out clean.'] })).not.toContain('not-in-oven');
  });

  it('tells a syrup by the height of the kitchen', () => {
    // 118 and 121 °C less 8 K at 2,400 m. By hand.
    const high = words({ frosting: 'cooked meringue', heightM: 2400 }, 'syrup');
    expect(high).toMatch(/^Syrup at \{110 °C\} burns.+At 2400 m it is ready at \{110 °C\} to \{113 °C\}/);
    expect(words({ frosting: 'cooked meringue' }, 'syrup')).toMatch(
      /^Syrup at \{118 °C\} burns(?!.*ready at)/,
    );
  });

  it('lists allergens as people say them and leaves labels to the law', () => {
    expect(words({ holds: { allergens: ['gluten', 'egg', 'milk'], packets: [] } }, 'allergens')).toMatch(
      /^Contains gluten, egg and milk, .+Local food law/,
    );
    expect(ids({ holds: { allergens: [], packets: [] } })).not.toContain('allergens');
    const doubt = { allergens: [], packets: [{ name: 'moon dust', known: false }] };
    expect(words({ holds: doubt }, 'allergens')).toMatch(/^Not known: read the packet of "moon dust"\./);
  });

  it('says each thing once and briefly', () => {
    const all = cautionsFor(
      factsOf({
        ...plain,
        words: ['dark rum', 'gold glitter', 'cherries'],
        frosting: 'cooked meringue',
        coat: true,
        mould: true,
        stick: true,
        leftovers: true,
        blade: 'core',
        microwave: true,
      }),
    );
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    for (const caution of all) expect(caution.words.length).toBeLessThan(290);
  });
});

describe('how a piece keeps', () => {
  const keeps = (over: Partial<FactsOf>) => factsOf({ ...plain, ...over }).keeps;
  it.each<[string, Partial<FactsOf>, string]>([
    ['buttercream', { frosting: 'buttercream' }, 'buttercream'],
    ['whipped cream', { frosting: 'whipped cream' }, 'cream'],
    ['soft cheese', { frosting: 'soft cheese' }, 'soft cheese'],
    ['a soft-cheese binder', { softCheese: true }, 'soft cheese'],
    ['curd', { words: ['plum curd'] }, 'curd'],
    ['custard', { words: ['vanilla custard'] }, 'cream'],
    ['prawns in mayonnaise', { words: ['prawn mayonnaise'] }, 'savoury'],
    ['cheese and leek', { words: ['cheddar and leek'] }, 'savoury'],
    ['bacon in the batter', { baked: linesOf('100 g plain flour\n50 g bacon') }, 'savoury'],
    ['garlic in oil', { words: ['garlic oil'] }, 'herb oil'],
    ['cookie dough', { words: ['edible cookie dough'] }, 'raw dough'],
    ['what nobody knows', { words: ['zorble'], boughtWords: ['zorble'] }, 'not known'],
    ['a mug cake', { family: 'mug', oven: false, microwave: true }, 'mug cake'],
    [
      'a fruit cake',
      { baked: linesOf('100 g plain flour\n100 g butter\n2 eggs\n250 g sultanas\n50 g currants') },
      'fruit cake',
    ],
    ['a coat', { coat: true }, 'coated pop'],
  ])('%s', (_, over, part) => expect(keeps(over)).toContain(part));
  const made = (text: string, steps = ''): Unbaked[] => [{ name: 'It', lines: linesOf(text), steps }];
  it.each<[string, Unbaked[], string[]]>([
    [
      'a buttercream with a spoon of milk',
      made('200 g icing sugar\n100 g butter\n15 g milk'),
      ['plain cake'],
    ],
    ['a jam', made('200 g raspberry jam'), ['plain cake']],
    ['a filling of cream', made('200 g double cream\n20 g icing sugar'), ['plain cake', 'cream']],
    ['a ganache', made('200 g dark chocolate\n150 g double cream'), ['plain cake', 'buttercream']],
    [
      'a cooked egg filling',
      made('3 egg yolks\n100 g sugar\n50 g butter', 'Heat, stirring, until it thickens.'),
      ['plain cake', 'curd'],
    ],
    [
      'a mousse of raw egg',
      made('3 eggs\n150 g dark chocolate', 'Fold together.'),
      ['plain cake', 'raw egg'],
    ],
  ])('%s', (_, unbaked, parts) => expect(keeps({ unbaked })).toEqual(parts));
  it('says raw egg of what nothing heats, and only of that', () => {
    const icing = made('1 egg white\n200 g icing sugar', 'Beat until smooth.');
    expect(words({ unbaked: icing }, 'raw-egg-served')).toMatch(/No step of "It" cooks the egg/);
    const cooked = made('3 egg yolks\n100 g sugar', 'Cook over simmering water.');
    expect(ids({ unbaked: cooked })).not.toContain('raw-egg-served');
    expect(ids({ unbaked: icing })).toContain('cool-safely');
  });
  it('takes nothing for what it is not: chopped nuts, buttercream, flower water, vinegar', () => {
    const calm = [
      'chopped hazelnuts',
      'ground almonds',
      'orange flower water',
      'wine vinegar',
      'cherry jam',
      'gelatine leaves',
    ];
    for (const id of ['choking', 'flowers', 'alcohol']) expect(ids({ words: calm })).not.toContain(id);
    expect(keeps({ words: ['vanilla buttercream', 'cream of tartar'] })).toEqual(['plain cake']);
  });
  it('says what it does not know, and keeps it as what spoils soonest', () => {
    const facts = factsOf({ ...plain, words: ['zorble'], boughtWords: ['zorble'] });
    const keeping = keepingOf(facts.keeps, 20, 0, facts.notKnown);
    expect(keeping).toMatchObject({ roomDays: null, fridgeDays: 1, outHours: 2 });
    expect(keepingWords(keeping)).toMatch(/nobody here knows "zorble"/);
    const made = factsOf({ ...plain, unbaked: [{ name: 'It', lines: linesOf('50 g zorble'), steps: '' }] });
    expect(made.notKnown).toEqual(['zorble']);
    // A spoon of a spice that no table knows decides nothing.
    const spice = factsOf({ ...plain, baked: linesOf('200 g plain flour\n2 g zorble') });
    expect(spice.notKnown).toEqual([]);
  });
  it('never says cool room of prawns in mayonnaise', () => {
    const { keeps: parts } = factsOf({ ...plain, words: ['prawn mayonnaise'] });
    expect(keepingOf(parts, 20)).toMatchObject({ roomDays: null, fridgeDays: 1, outHours: 2 });
  });
  it('is a plain cake’s where nothing is in or on it', () => expect(keeps({})).toEqual(['plain cake']));
});

describe('how to tell that it is done', () => {
  const tests = (text: string, microwave = false) => doneTests(linesOf(text), 97, microwave).join(' ');
  it('goes by colour on an ordinary batter', () => {
    expect(tests('200 g plain flour\n150 g caster sugar\n3 eggs')).toMatch(/pale gold/);
  });
  it('leaves colour out where it misleads: on dark batters and on pale ones', () => {
    expect(tests('200 g plain flour\n150 g caster sugar\n40 g cocoa')).toMatch(/Colour tells little/);
    expect(tests('200 g plain flour\n20 g caster sugar\n200 g milk')).toMatch(/stays pale/);
  });
  it('looks at the shine in a microwave, and names a probe’s temperature either way', () => {
    expect(tests('200 g plain flour\n150 g caster sugar', true)).toMatch(/shine in the middle is raw/);
    expect(tests('200 g plain flour\n150 g caster sugar')).toMatch(/\{97 °C\}/);
  });
});
