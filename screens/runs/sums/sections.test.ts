import { FAMILY_FILES } from '../../../demo/families';
import { planRun, type LinePlan } from '../../../core/plan';
import { sectionsOf, wellOf } from './sections';

const plans: LinePlan[] = Object.values(FAMILY_FILES).flatMap((file) =>
  planRun(file).flatMap((line) => (line.planned ? [line] : [])),
);
const of = (id: string): LinePlan => {
  const found = plans.find((plan) => plan.line.id === id);
  if (!found) throw new Error(id);
  return found;
};
const titles = (id: string) => sectionsOf(of(id)).map(({ id: section }) => section);

describe('sections of the sums', () => {
  it('stand in the order of the work, each once', () => {
    const order = [
      'mug',
      'microwave',
      'oven',
      'cut',
      'crumb',
      'shell',
      'portions',
      'coat',
      'filling',
      'frosting',
      'lots',
    ];
    for (const plan of plans) {
      const ids = sectionsOf(plan).map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      const places = ids.filter((id) => id !== 'microwave').map((id) => order.indexOf(id));
      expect([...places].sort((a, b) => a - b)).toEqual(places);
    }
  });

  it('are those that a family has', () => {
    expect(titles('pops-fresh')).toEqual(['oven', 'crumb', 'portions', 'coat', 'lots']);
    expect(titles('sicles-plum')).toEqual(['oven', 'crumb', 'shell', 'portions', 'lots']);
    expect(titles('mugs-apple')).toEqual(['mug', 'microwave', 'frosting']);
    expect(titles('cubes-dipped')).toEqual(['oven', 'cut', 'coat', 'lots']);
    expect(titles('fingers-quince')).toEqual(['oven', 'filling']);
    expect(titles('cupcakes-frosted')).toEqual(['oven', 'filling', 'frosting', 'lots']);
    expect(titles('balls-leftover')).toEqual(['crumb', 'portions', 'lots']);
  });

  it('begin with a figure that the plan has, and weigh only what may be weighed', () => {
    for (const plan of plans) {
      const well = wellOf(plan);
      for (const { hero, weigh } of [...(well ? [well] : []), ...sectionsOf(plan)]) {
        expect([plan.line.id, hero, plan.has(hero)]).toEqual([plan.line.id, hero, true]);
        if (weigh && plan.has(weigh.figureId)) expect(plan.figure(weigh.figureId).replace).not.toBeNull();
      }
    }
  });

  it('show every pot to melt and every lot of a line', () => {
    for (const plan of plans) {
      const rows = sectionsOf(plan).flatMap((section) => section.rows);
      const pots = plan.figures.filter(({ id }) => /^pot\.\d+\.melt$/.test(id)).map(({ id }) => id);
      // Halves that are dipped show their coat too.
      expect(rows).toEqual(expect.arrayContaining(pots));
      const lots = plan.figures.filter(({ id }) => /^lot\.\d+\.count$/.test(id)).map(({ id }) => id);
      if (lots.length > 0) expect(rows).toEqual(expect.arrayContaining(lots));
    }
  });

  it('draw a well only for what bakes in one', () => {
    expect(wellOf(of('cupcakes-plain'))?.hero).toBe('portion.mass');
    expect(wellOf(of('pops-fresh'))).toBeNull();
    expect(wellOf(of('cubes-dipped'))).toBeNull();
  });
});
