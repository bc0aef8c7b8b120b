import type { LinePlan } from './plan';
import {
  ballSection,
  cubeSection,
  fingerSection,
  mouldedSection,
  mugSection,
  onCake,
  pairSection,
  type CavityCut,
  type CutPoint,
  type Patch,
  type Section,
} from '../piece';

/** A figure's value where the plan has it. */
function valueIn(plan: LinePlan, id: string, otherwise = 0): number {
  return plan.has(id) ? plan.figure(id).value : otherwise;
}

/**
 * A piece of a line cut through, from its figures; null for a cake that is drawn in its well.
 * @param cavity the mould's shape, for moulded pieces
 */
export function sectionOf(plan: LinePlan, cavity: CavityCut['shape'] = 'stadium'): Section | null {
  const v = (id: string, otherwise = 0) => valueIn(plan, id, otherwise);
  switch (plan.family) {
    case 'pop':
      return ballSection(v('ball.diameter'), v('coat.mm'), plan.line.stick);
    case 'cakesicle':
      return mouldedSection(
        { shape: cavity, lengthMm: v('cavity.length'), depthMm: v('cavity.depth') },
        v('shell.mm'),
        (10 * v('back.volume')) / v('cavity.opening', 1),
        plan.has('stick.volume'),
      );
    case 'mug':
      return mugSection(
        v('mug.volume'),
        v('fill.share'),
        v('finish.share'),
        v('frosting.each') / v('frosting.density', 1),
      );
    case 'cupcake':
      return null;
    case 'mini':
      if (plan.line.style === 'cubes') return cubeSection(v('piece.length'), v('piece.height'), v('coat.mm'));
      if (plan.line.style === 'paired') return pairSection(v('ball.diameter'), v('filling.mm'), v('coat.mm'));
      if (plan.line.style === 'fingers') {
        return fingerSection(
          v('well.length'),
          v('piece.height'),
          v('filling.channels'),
          v('filling.channel') / v('filling.density', 1),
        );
      }
      return 'cut' in plan && plan.cut ? null : ballSection(v('well.top'), v('coat.mm'), false);
  }
}

/** What stands in and on a cake that is drawn in its well. `cake` is its outline from the axis at the top outwards. */
export function patchesOnCake(plan: LinePlan, cake: readonly CutPoint[]): readonly Patch[] {
  const v = (id: string, otherwise = 0) => valueIn(plan, id, otherwise);
  const top = cake[0]?.y ?? 0;
  const half = Math.max(...cake.map(({ x }) => x));
  const base = v('well.base') / 2;
  const layerMl = plan.has('layer.mass') ? v('layer.mass') / v('layer.density', 1) : 0;
  return onCake(top, half, {
    layerMm: base > 0 ? (1000 * layerMl) / (Math.PI * base * base) : 0,
    layerHalfMm: base,
    core: plan.has('core.diameter') ? { diameterMm: v('core.diameter'), depthMm: v('core.depth') } : null,
    frostingMl: v('frosting.each') / v('frosting.density', 1),
  });
}
