import { batterWaitMin, type LinePlan } from '../../plan';
import { METHODS } from '../../process/batter.table';
import { byFigure, type ChoreGap } from './chore';
import { HANDS, batterMl, mixing, one, taskIn, tasksOf, within, type Beside, type Work } from './lineWork';
import { HANDS_S } from './chores.table';
import { CHORE } from './chores.words';

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
  const cooled = plan.parts.crumbBakes.map(({ prefix, sheet, formula, microwave, bowl }) => {
    const { method } = formula.doc;
    const ml = batterMl(bowl.own.value, method);
    const { takes, holds } = mixing(taskIn(tasks, `${prefix}mix`).takes, method, ml, mixableMl);
    const mix = work.add('mix', {
      bake: prefix,
      kind: 'hands',
      ...CHORE.lineSheet,
      uses: ['batter', 'set out'],
      detail: METHODS[method].meaning,
      takes,
      holds,
    });
    const task = taskIn(tasks, `${prefix}bake`);
    const oven = task.holds.find(({ of }) => of.kind === 'oven');
    const on = task.holds.find(({ of }) => of.kind === 'sheet');
    const bake = work.add('bake', {
      bake: prefix,
      kind: 'oven',
      label: microwave ? CHORE.microBowls : CHORE.bake(1, 1),
      takes: byFigure(task.takes, sheet ? `oven:${sheet.spec.oven.id}` : 'microwave', task.times),
      holds: [
        ...(oven?.of.kind === 'oven'
          ? [
              {
                of: { kind: 'oven', id: oven.of.id } as const,
                units: oven.n * perRack(oven.of.id),
                settingC: oven.of.settingC,
                sets: task.times,
              },
            ]
          : []),
        ...(on?.of.kind === 'sheet' ? [one({ kind: 'sheet', id: on.of.id }, on.n)] : []),
        ...(microwave ? [one({ kind: 'microwave', id: microwave.id })] : []),
      ],
      // Batter does not wait for its oven, least of all over night.
      after: [within(mix, batterWaitMin(formula.read.lines, method) * 60)],
    });
    return work.add('cool', {
      bake: prefix,
      kind: 'wait',
      ...CHORE.coolToCrumble,
      takes: byFigure(taskIn(tasks, `${prefix}cool`).takes, 'room'),
      holds: [one({ kind: 'bench' }, on?.n ?? 1)],
      after: [bake],
    });
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
