import { batterWaitMin, type LinePlan } from '../../plan';
import { METHODS } from '../../process/batter.table';
import { byFigure, type ChoreGap } from './chore';
import { HANDS, batterMl, mixing, one, taskIn, tasksOf, within, type Beside, type Work } from './lineWork';
import { HANDS_S } from './chores.table';
import { CHORE } from './chores.words';
import { sheetLoads } from './sheetLoads';

/** Baked, cooled, crumbled and bound: what portioning waits for. */
export function crumbWork(
  work: Work,
  plan: LinePlan,
  binderId: string | null,
  perRack: (ovenId: string) => number,
  beside: Beside,
  mixableMl: number,
): string {
  const tasks = tasksOf(plan);
  const cooled = plan.parts.crumbBakes.flatMap(({ prefix, formula, microwave, bowl }): string[] => {
    const { method } = formula.doc;
    const ml = batterMl(bowl.own.value, method);
    const waitS = batterWaitMin(formula.read.lines, method) * 60;
    if (!microwave)
      return sheetLoads(work, plan, {
        bake: prefix,
        method,
        ml,
        waitS,
        mixableMl,
        perRack,
        fresh: 0,
        cool: CHORE.coolToCrumble,
      });
    const mix = work.add('mix', {
      bake: prefix,
      kind: 'hands',
      ...CHORE.lineSheet,
      uses: ['batter', 'set out'],
      detail: METHODS[method].meaning,
      ...mixing(taskIn(tasks, `${prefix}mix`).takes, method, ml, mixableMl),
    });
    const task = taskIn(tasks, `${prefix}bake`);
    const bake = work.add('bake', {
      bake: prefix,
      kind: 'oven',
      label: CHORE.microBowls,
      takes: byFigure(task.takes, 'microwave', task.times),
      holds: [one({ kind: 'microwave', id: microwave.id })],
      after: [within(mix, waitS)],
    });
    const cool = work.add('cool', {
      bake: prefix,
      kind: 'wait',
      ...CHORE.coolToCrumble,
      takes: byFigure(taskIn(tasks, `${prefix}cool`).takes, 'room'),
      holds: [one({ kind: 'bench' }, 1)],
      after: [bake],
    });
    return [cool];
  });
  const bowls = Math.max(1, plan.parts.table?.sources.length ?? 1);
  const crumbled = work.hands('crumble', CHORE.crumble.label, HANDS_S.crumble * bowls, CHORE.crumbleBasis, {
    detail: CHORE.crumble.detail,
    after: cooled,
  });
  const binder = beside.made(binderId);
  const after: (string | ChoreGap)[] = [crumbled, ...(binder ? [binder] : [])];
  return work.hands('bind', CHORE.bind.label, HANDS_S.bindBowl, CHORE.bindBasis, {
    detail: CHORE.bind.detail,
    uses: ['crumb', 'shared'],
    holds: [HANDS, one({ kind: 'bowl' })],
    after,
  });
}
