import { FAMILY_FILES } from '../../demo/families';
import type { Line, RunFile } from '../model/documents';
import { boundsOf } from '../piece';
import { planRun, type LinePlan } from '.';

const EVENING = FAMILY_FILES.evening as RunFile;
const MINIS = FAMILY_FILES.minis as RunFile;

function planOf(file: RunFile, id: string, over: (line: Line) => Line = (line) => line): LinePlan {
  const lines = file.run.lines.map((line) => (line.id === id ? over(line) : line));
  const found = planRun({ ...file, run: { ...file.run, lines } }).find((one) => one.line.id === id);
  if (!found?.planned) throw new Error(found?.fault.fault ?? id);
  return found;
}
const sectionOf = ({ drawing }: LinePlan) => (drawing.is === 'section' ? drawing.section : null);
const v = (plan: LinePlan, id: string) => plan.figure(id).value;
const materials = (plan: LinePlan) => (sectionOf(plan)?.patches ?? []).map(({ material }) => material);

describe('the section of a line', () => {
  it('of a pop is as wide as its ball and its coat', () => {
    const plan = planOf(EVENING, 'pops-fresh');
    const coat = sectionOf(plan)?.patches.filter(({ material }) => material === 'coat') ?? [];
    const { left, right } = boundsOf(coat);
    expect(right - left).toBeCloseTo(v(plan, 'ball.diameter') + 2 * v(plan, 'coat.mm'), 6);
  });

  it('of a bare ball has neither coat nor stick', () => {
    expect(materials(planOf(EVENING, 'balls-leftover'))).toEqual(['crumb']);
  });

  it('of a moulded piece is as long as its cavity, and thinner inside by its shell', () => {
    const plan = planOf(EVENING, 'sicles-plum');
    const section = sectionOf(plan);
    const inside = boundsOf((section?.patches ?? []).filter(({ material }) => material === 'crumb'));
    expect(inside.right - inside.left).toBeCloseTo(v(plan, 'cavity.length') - 2 * v(plan, 'shell.mm'), 6);
    expect(materials(plan)).toContain('stick');
    expect(materials(planOf(EVENING, 'lanterns-nobake'))).not.toContain('stick');
  });

  it('of a mug shows the batter at its share, and frosting only where there is some', () => {
    const plan = planOf(EVENING, 'mugs-apple');
    const section = sectionOf(plan);
    const rim = section?.marks.find(({ words }) => words === 'rim')?.y ?? 0;
    expect((section?.fill?.y ?? 0) / rim).toBeCloseTo(v(plan, 'fill.share'), 9);
    expect(materials(plan)).toContain('frosting');
    const bare = planOf(EVENING, 'mugs-apple', (line) => ({ ...line, frosting: null }));
    expect(materials(bare)).not.toContain('frosting');
  });

  it('of mini cakes follows their kind', () => {
    expect(materials(planOf(MINIS, 'moons-paired'))).toEqual(['coat', 'crumb', 'crumb', 'filling']);
    expect(materials(planOf(MINIS, 'fingers-quince')).filter((one) => one === 'filling')).toHaveLength(3);
    expect(materials(planOf(MINIS, 'cubes-dipped'))).toEqual(['coat', 'crumb']);
    // A cake in a cone is drawn in its well instead.
    expect(sectionOf(planOf(MINIS, 'plums-below'))).toBeNull();
  });
});

describe('what stands in and on a cake in its well', () => {
  const patchesOf = ({ drawing }: LinePlan) => (drawing.is === 'in its well' ? drawing.patches : []);

  it('is the core and the frosting of a cupcake, to scale', () => {
    const plan = planOf(EVENING, 'cupcakes-frosted');
    const patches = patchesOf(plan);
    const core = boundsOf(patches.filter(({ material }) => material === 'filling'));
    expect(core.right - core.left).toBeCloseTo(v(plan, 'core.diameter'), 6);
    expect(patches.map(({ material }) => material)).toEqual(['filling', 'frosting']);
  });

  it('is the fruit below the batter, as high as it lies', () => {
    const plan = planOf(MINIS, 'plums-below');
    const [layer] = patchesOf(plan);
    const base = v(plan, 'well.base');
    const ml = v(plan, 'layer.mass') / v(plan, 'layer.density');
    expect(layer?.material).toBe('layer');
    expect(boundsOf(layer ? [layer] : []).top).toBeCloseTo((4000 * ml) / (Math.PI * base * base), 6);
  });

  it('is nothing on a plain one', () => {
    const plan = planOf(EVENING, 'cupcakes-plain');
    expect(patchesOf(plan)).toEqual([]);
  });
});
