import fc from 'fast-check';
import { readFormula } from './read';
import { readSteps } from './steps';

const linesOf = (text: string) => readFormula({ text, measures: 'metric', takenFor: {} }, null).lines;
const CAKE = linesOf(
  '190 g plain flour\n7 g baking powder\n1 g salt\n113 g butter\n100 g caster sugar\n60 g honey\n2 eggs\n100 ml milk\n40 g stem ginger\n4 g ground ginger',
);
const uses = (step: string, lines = CAKE) =>
  readSteps(step, lines).map((one) =>
    one.uses.map(({ line, share, parts }) => [line.name, Math.round(line.massG * share), parts]),
  );

describe('the steps of a formula', () => {
  it('take what they name, each once, with what is left of it', () => {
    expect(
      uses(
        'Beat butter, sugar and honey until pale.\nFold in half of the flour.\nAdd the rest of the flour.',
      ),
    ).toEqual([
      [
        ['butter', 113, 1],
        ['caster sugar', 100, 1],
        ['honey', 60, 1],
      ],
      [['plain flour', 95, 1]],
      [['plain flour', 95, 1]],
    ]);
    // What was all used is not weighed again.
    expect(uses('Beat the butter.\nPour the butter over it.')[1]).toEqual([]);
  });

  it('say in how many parts, and what comes between them', () => {
    expect(uses('Fold in flour, powder and salt in three parts, the milk between them.')[0]).toEqual([
      ['plain flour', 190, 3],
      ['baking powder', 7, 3],
      ['salt', 1, 3],
      ['milk', 103, 2],
    ]);
  });

  it('mean the longest name: stem ginger is not ground ginger', () => {
    expect(uses('Fold in the stem ginger.')[0]).toEqual([['stem ginger', 40, 1]]);
    expect(uses('Sift the dry ingredients.')[0]?.map(([name]) => name)).toEqual([
      'plain flour',
      'baking powder',
      'salt',
    ]);
  });

  it.each([
    [
      'Bake at 180 °C for 20 to 25 minutes, until a skewer comes out clean.',
      [180],
      [20, 25],
      'until a skewer comes out clean',
    ],
    ['Heat the oven to 350F.', [177], null, null],
    ['Whisk for 30 seconds.', [], [0.5, 0.5], null],
    ['Chill for an hour.', [], [60, 60], null],
    ['Stir.', [], null, null],
  ] as const)('%s', (text, temps, minutes, until) => {
    const [step] = readSteps(text, []);
    expect(step?.tempsC).toEqual(temps);
    expect(step?.minutes).toEqual(minutes && { low: minutes[0], high: minutes[1] });
    expect(step?.until).toBe(until);
  });

  it('never take more of a line than there is, whatever they say', () => {
    const said = fc.constantFrom(
      'Add half of the flour.',
      'Add a third of the flour and the sugar.',
      'Beat the butter.',
      'Add the rest of the milk.',
      'Stir in the dry ingredients in three parts.',
      'Take two thirds of the sugar.',
      'Wait.',
    );
    fc.assert(
      fc.property(fc.array(said, { maxLength: 12 }), (steps) => {
        const taken = new Map<string, number>();
        for (const step of readSteps(steps.join('\n'), CAKE))
          for (const { line, share } of step.uses) taken.set(line.raw, (taken.get(line.raw) ?? 0) + share);
        expect(Math.max(0, ...taken.values())).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { numRuns: 200 },
    );
  });
});

describe('the oven of the steps', () => {
  const checks = (steps: string, ovenC: number) =>
    readFormula(
      {
        text: '200 g flour\n100 g butter\n150 g sugar\n3 eggs',
        measures: 'metric',
        takenFor: {},
        steps,
        ovenC,
      },
      null,
    ).checks.map(({ fault }) => fault);
  it('is told where it is not the formula’s, and not for a fan oven beside it', () => {
    expect(checks('Bake at 200 °C.', 175)).toContain(
      'The steps bake at {200 °C}, the formula stands at {175 °C}.',
    );
    expect(checks('Bake at 180 °C.', 175).join()).not.toMatch(/steps bake/);
    expect(checks('Heat the oven to 195 C, 175 C with a fan.', 175).join()).not.toMatch(/steps bake/);
    expect(checks('Heat the milk to 60 °C.', 175).join()).not.toMatch(/steps bake/);
  });
});
