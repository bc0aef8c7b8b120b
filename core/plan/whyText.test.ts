import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { writeSum } from '../figure';
import { planWhole } from './plan';
import { showText, type NumberStyle } from '../quantity';
import { whyText } from './whyText';

const ABROAD: NumberStyle = { mass: 'oz', temperature: 'F', decimal: ',' };
const whole = planWhole(FAMILY_FILES.evening as RunFile);
const holders = [
  ...whole.lines.flatMap((line) => (line.planned ? [{ name: line.line.id, holder: line }] : [])),
  ...(whole.components ? [{ name: 'what lines share', holder: whole.components }] : []),
];

/** All that a why-sheet says of a figure, but for what the person or the book has written. */
function told(text: ReturnType<typeof whyText>): string {
  return [
    text.sentence.replace(/"[^"]*"|“[^”]*”/g, ''),
    text.sum,
    text.filled,
    ...text.inputs.map(({ label, shown }) => `${label}: ${shown}`),
  ].join('\n');
}

describe('why a figure is what it is', () => {
  it.each(holders.map(({ name, holder }) => [name, holder] as const))(
    'is told in the person’s own units and numbers: %s',
    (_, holder) => {
      const odd = holder.figures.flatMap((figure) => {
        const words = told(whyText(holder, figure, ABROAD)).replace(/\u00a0|\u202f/g, ' ');
        const foreign = /\d ?g\b(?!\/(?:ml|cm²))|\d ?°C|\d\.\d|[{}]/.exec(words);
        return foreign ? [`${figure.id}: ${words}`] : [];
      });
      expect(odd).toEqual([]);
    },
  );

  it('leaves no braces in plain units either, and keeps measures as finely written as they are', () => {
    for (const { holder } of holders)
      for (const figure of holder.figures) expect(whyText(holder, figure).sentence).not.toMatch(/[{}]/);
    const cupcakes = holders.find(({ holder }) => holder.has('well.volume'))?.holder;
    if (!cupcakes) throw new Error('the evening has cupcakes');
    expect(whyText(cupcakes, cupcakes.figure('well.volume')).sentence).toMatch(/100 ml of it weigh 100 g\.$/);
    expect(whyText(cupcakes, cupcakes.figure('well.volume'), ABROAD).sentence).toMatch(
      /100 ml of it weigh 3,53 oz\.$/,
    );
  });

  it('names the sum’s figures in words and then with their values, ending in the figure itself', () => {
    const plan = holders[0]?.holder;
    if (!plan) throw new Error('the evening has lines');
    for (const figure of plan.figures) {
      const { sum, filled } = whyText(plan, figure);
      const laid = plan.laidOut(figure.id);
      const named = laid
        ? writeSum(laid.sum, { ref: (id) => `{${id}}`, number: String, measure: String })
        : '';
      expect(sum === '').toBe(filled === '');
      if (filled === '') continue;
      expect(filled).toContain(' = ');
      for (const id of figure.inputs)
        if (named.includes(`{${id}}`)) expect(sum).toContain(plan.figure(id).label.toLowerCase());
    }
  });
});

describe('what would narrow a range', () => {
  const [plan] = whole.lines;
  if (!plan?.planned) throw new Error('the evening can be planned');
  const of = (id: string) => whyText(plan, plan.figure(id)).narrow;
  it('is one measurement, with how to make it and what it would leave', () => {
    for (const id of ['bake.time', 'finish.share', 'batter.needed']) {
      const narrow = of(id);
      const figure = plan.figure(id);
      if (!narrow) throw new Error(`nothing narrows ${id}`);
      const share = plan.causes(id).find((cause) => cause.id === narrow.id)?.share ?? 0;
      // Independent causes add up in squares: without a share of it, the width is √(1 − share) of itself.
      const low = figure.value - (figure.value - figure.low) * Math.sqrt(1 - share);
      expect(narrow.left).toMatch(new RegExp(`^${showText(low, figure.unit)} to `.replace(/[.]/g, '\\.')));
    }
    expect(of('bake.time')?.how).toMatch(/oven/);
  });
  it('is none where a range has no cause that anybody can measure', () => {
    expect(of('tin.factor')).toBeNull();
  });
});
