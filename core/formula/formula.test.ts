import { cautionsFor } from '../caution/cautions';
import { factsOf } from '../caution/facts';
import { bakersPercent, guessMeasures, massOf, readFormula } from '.';

const read = (text: string) => readFormula({ text, measures: 'us', takenFor: {} }, null);
const faults = (text: string) => read(text).checks.map((check) => check.fault);

describe('a formula read back', () => {
  it('adds up what was read and counts what was not', () => {
    const formula = read('For the batter:\n200 g flour\n\n2 lots of oil\n100 g sugar');
    expect(formula.massG).toBe(300);
    expect(formula.unread).toBe(1);
    expect(formula.lines.map((line) => line.status)).toEqual(['heading', 'read', 'blank', 'unread', 'read']);
    expect(massOf(formula.lines, 'flour', 'sugar')).toBe(300);
  });

  it('names the allergens that its lines bring', () => {
    expect([...read('100 g flour\n2 eggs\n1 dl milk\n50 g walnuts').holds.allergens].sort()).toEqual([
      'egg',
      'gluten',
      'milk',
      'nuts',
      'wheat',
    ]);
  });

  it('takes a line for what the person says, and only that line', () => {
    const formula = readFormula(
      {
        text: '100 g crumbs\n50 g flour',
        measures: 'us',
        takenFor: { '100 g crumbs': 'biscuit crumb', __proto__x: 'salt' },
      },
      null,
    );
    expect(formula.lines[0]?.name).toBe('biscuit crumb');
    expect(formula.lines[1]?.name).toBe('plain flour');
  });

  it('keeps lines past the limit out of the sums and says so', () => {
    const formula = read(Array.from({ length: 205 }, () => '1 g flour').join('\n'));
    expect(formula.massG).toBe(200);
    expect(formula.checks[0]?.fault).toMatch(/^5 lines past line 200/);
  });

  it('guesses the measures from the words', () => {
    expect(guessMeasures('1 stick butter')).toBe('us');
    expect(guessMeasures('2 cups flour')).toBe('us');
    expect(guessMeasures('120 g caster sugar\n3 eggs')).toBe('metric');
  });
});

describe('checks on proportions', () => {
  const SOUND = '200 g flour\n9 g baking powder\n180 g sugar\n2 g salt';
  it('leaves a sound batter alone', () => expect(faults(SOUND)).toEqual([]));

  it.each([
    ['too little powder', SOUND.replace('9 g baking', '4 g baking'), /Baking powder: 2 to 100 of flour/],
    ['too much powder', SOUND.replace('9 g baking', '16 g baking'), /Baking powder: 8 to/],
    ['little sugar', SOUND.replace('180 g sugar', '60 g sugar'), /Sugar: 30 to/],
    ['much sugar', SOUND.replace('180 g sugar', '400 g sugar'), /Sugar: 200 to/],
    ['a tablespoon of salt', SOUND.replace('2 g salt', '1 tbsp salt'), /Salt: 9 to/],
    ['bicarbonate without an acid', `${SOUND}\n2 g bicarbonate of soda`, /nothing sour/],
    [
      'a spoonful of bicarbonate',
      `${SOUND}\n2 tsp bicarbonate of soda\n1 tbsp lemon juice`,
      /Bicarbonate: 5/,
    ],
    ['no flour at all', '200 g sugar\n2 eggs', /No flour/],
  ])('points out %s', (_, text, words) => expect(faults(text).join('\n')).toMatch(words));

  it('asks for no powder where the flour has it', () => {
    expect(faults('200 g self-raising flour\n150 g sugar')).toEqual([]);
  });
});

describe('cautions', () => {
  const cautions = (text: string) => {
    const { lines, holds } = read(text);
    return cautionsFor(
      factsOf({
        family: 'cupcake',
        baked: lines,
        unbaked: [],
        holds,
        words: [],
        frosting: null,
        coat: false,
        oven: true,
      }),
    );
  };
  const places = (text: string) => cautions(text).map((caution) => caution.id);
  it('warns of raw egg and flour while mixing, of allergens while gathering, of heat while baking', () => {
    expect(places('100 g flour\n1 egg')).toEqual(['allergens', 'raw', 'hot-tin', 'selling']);
    expect(cautions('100 g flour\n1 egg')[1]?.words).toMatch(/^Raw egg and raw flour/);
    expect(cautions('100 g flour')[1]?.words).toMatch(/^Raw flour can/);
  });
  it('names alcohol where there is some', () => {
    expect(places('100 g flour\n2 tbsp brandy')).toContain('alcohol');
  });
});

describe('balance by kind of batter', () => {
  const checks = (text: string, method: 'creamed' | 'whisked' | 'melted' = 'creamed') =>
    readFormula({ text, measures: 'metric', takenFor: {}, method }, null)
      .checks.map(({ fault }) => fault)
      .join(' ');

  it('finds nothing wrong with a pound cake’s lighter kin, by hand: 100 flour, 75 sugar, 75 fat, 75 egg, 5 powder', () => {
    expect(
      checks('200 g plain flour\n150 g caster sugar\n150 g butter\n3 eggs\n10 g baking powder\n50 g milk'),
    ).toBe('');
  });
  it('says what is off: fat, egg, moisture and sugar, each by its kind', () => {
    expect(checks('200 g flour\n150 g sugar\n300 g butter\n3 eggs\n10 g baking powder\n80 g milk')).toMatch(
      /Fat: 150/,
    );
    expect(
      checks('200 g flour\n150 g sugar\n150 g butter\n10 g baking powder\n150 g milk\n10 g egg'),
    ).toMatch(/Egg: 5/);
    expect(checks('200 g flour\n150 g sugar\n100 g butter\n2 eggs\n10 g baking powder\n500 g milk')).toMatch(
      /Moisture/,
    );
    expect(checks('100 g flour\n100 g sugar\n4 eggs', 'whisked')).toBe('');
  });
  it('holds bicarbonate against the acid that is there: 5 g want some 230 g of buttermilk', () => {
    const with_ = (buttermilkG: number) =>
      checks(
        `300 g flour\n200 g sugar\n150 g butter\n3 eggs\n5 g bicarbonate of soda\n${buttermilkG} g buttermilk`,
        'melted',
      );
    expect(with_(240)).toBe('');
    expect(with_(60)).toMatch(/uses some \{1\.\d g\}/);
  });
  it('gives baker’s percentages', () => {
    const { lines } = readFormula(
      { text: '250 g flour\n150 g sugar\nsome salt', measures: 'metric', takenFor: {} },
      null,
    );
    expect(bakersPercent(lines).map((one) => one && Math.round(one))).toEqual([100, 60, null]);
  });
});

describe('steps among the lines', () => {
  it('are not weighed twice, and what only they weigh is asked about', () => {
    const twice = read(
      '200 g plain flour\n3 eggs\n100 g butter\n100 g caster sugar\nBeat 3 eggs\nFold in 200 g flour',
    );
    expect(twice.massG).toBe(550);
    expect(twice.lines.slice(4).map(({ status }) => status)).toEqual(['note', 'note']);
    const only = read('200 g plain flour\n100 g butter\nWhisk 4 egg whites until stiff');
    expect(only.lines[2]).toMatchObject({ status: 'unread', ingredient: { key: 'egg white' } });
    expect(only.lines[2]?.fault?.fault).toMatch(/reads as a step, and it weighs egg white/);
    const said = readFormula(
      {
        text: '200 g plain flour\nWhisk 4 egg whites until stiff',
        measures: 'us',
        takenFor: { 'Whisk 4 egg whites until stiff': 'a note' },
      },
      null,
    );
    expect(said.lines[1]?.status).toBe('note');
  });

  it.each([
    ['100 g butter\n100 g caster sugar\n2 eggs', 'creamed', ['flour']],
    ['100 g plain flour\n100 g caster sugar\n2 eggs', 'creamed', ['fat']],
    ['100 g plain flour\n100 g caster sugar', 'whisked', ['egg']],
    ['100 g plain flour\n100 g caster sugar\n100 g oil', 'melted', ['liquid']],
    ['100 g ground almonds\n100 g butter\n2 eggs', 'creamed', []],
    ['100 g plain flour\n80 g oil\n120 ml oat milk\n80 g sugar', 'melted', []],
  ] as const)('say what a batter lacks: %s', (text, method, lacks) =>
    expect(readFormula({ text, method, measures: 'metric', takenFor: {} }, null).lacks).toEqual(lacks),
  );
});
