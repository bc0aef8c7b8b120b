import { taskWords, type LinePlan } from '../../plan';
import { firmFatG } from '../../plan/tasks';
import { METHODS } from '../../process/batter.table';
import { byFigure, byHand, byHandFigure, fixedTime, type ChoreGap } from './chore';
import type { Finishing } from './finish';
import { finishWork } from './finish';
import {
  HANDS,
  batterMl,
  mixing,
  onBench,
  taskIn,
  tasksOf,
  within,
  type Beside,
  type Work,
} from './lineWork';
import { HANDS_S, IN_TIN } from './chores.table';
import { CHORE, PART } from './chores.words';

/** Pieces that bake in the wells of tins, load by load, and are finished. */
export function wellsWork(
  work: Work,
  plan: LinePlan,
  {
    finishing,
    tinId,
    ovenId,
    beside,
    mixableMl,
    grouped,
  }: {
    readonly finishing: Finishing;
    readonly tinId: string;
    readonly ovenId: string;
    readonly beside: Beside;
    readonly mixableMl: number;
    /** Pieces by load, where they are grouped otherwise than the plan has them. */
    readonly grouped: readonly number[] | undefined;
  },
): (string | ChoreGap)[] {
  const tasks = tasksOf(plan);
  const sizes = grouped ?? plan.loads.sizes;
  const loads = sizes.length;
  if (loads === 0) return [];
  const { bake, cool, loadPlan, wellsOfTin, clocked } = plan.parts;
  if (!bake || !cool || !loadPlan || !clocked) throw new Error('invariant: what bakes in wells has loads');
  work.part = PART.cake(work.partOf('cake'), plan.formula?.name ?? '');
  const settingC = bake.oven.setting.value;
  const { bowl } = plan.parts;
  const butterG = bowl ? firmFatG(bowl.ingredients) * (bowl.own.value / bowl.mixed.value) : 0;
  const ahead = (['butter-out', 'eggs-out'] as const).flatMap((id) => {
    const task = tasks.get(id);
    return task
      ? [
          work.add(id, {
            kind: 'ahead',
            ...(id === 'butter-out' ? CHORE.butterOut(butterG, plan.formula?.name ?? '') : taskWords(task)),
            takes: { ...fixedTime(task.takes.value, ''), figureId: task.takes.id },
          }),
        ]
      : [];
  });
  const weigh = work.add('weigh-out', {
    kind: 'hands',
    ...CHORE.line,
    uses: ['set out', 'batter'],
    takes: byHandFigure(taskIn(tasks, 'weigh-out').takes),
  });
  const waitS = taskIn(tasks, 'fill').after[0]?.mostS ?? METHODS.creamed.waitMin * 60;
  const method = plan.formula?.method ?? 'creamed';
  const all = sizes.reduce((sum, one) => sum + one, 0);
  const pieceMl = batterMl((plan.parts.bowl?.own.value ?? 0) / all, method, plan.parts.batterDensity);
  const bowls = bowlsOfLoads(sizes, plan, { waitS, mixableMl, pieceMl });
  const fillWell = taskIn(tasks, 'fill').takes;
  const turns: { readonly pieces: number; readonly after: readonly (string | ChoreGap)[] }[] = [];
  let before = 0;
  bowls.forEach((group, b) => {
    const lastFill = work.idOf('fill', before + group.length);
    const ml = pieceMl * group.reduce((sum, one) => sum + one, 0);
    const mixed = mixing(taskIn(tasks, 'mix').takes, method, ml, mixableMl);
    const mix = work.add('mix', {
      nth: bowls.length > 1 ? b + 1 : null,
      kind: 'hands',
      label: CHORE.mix(b + 1, bowls.length, mixed.bowls).label,
      detail: METHODS[method].meaning,
      takes: mixed.takes,
      holds: mixed.holds?.map((one) => (one.of.kind === 'bowl' ? { ...one, until: lastFill } : one)) ?? [],
      after: [weigh, ...ahead],
    });
    for (const pieces of group) {
      before += 1;
      const k = before;
      const tins = Math.ceil(pieces / (wellsOfTin ?? pieces));
      const again = k + loadPlan.tins - 1 < loads && k < loads;
      const out = work.idOf('out', k);
      const fill = work.add('fill', {
        nth: k,
        kind: 'hands',
        label: CHORE.fillTins(k, loads),
        detail: CHORE.fillTinsDetail,
        takes: byHandFigure(fillWell, pieces),
        holds: [HANDS, { of: { kind: 'tin', id: tinId }, units: tins, until: out }],
        after: [within(mix, waitS), ...(k > 1 ? [work.idOf('fill', k - 1)] : [])],
        pieces,
        load: k,
      });
      const last = k === loads && clocked.last ? clocked.last : clocked;
      const load = work.add('load', {
        nth: k,
        kind: 'oven',
        label: CHORE.bake(k, loads),
        detail: CHORE.bakeDetail(pieces, Math.round(last.firstLook.value / 60)),
        takes: byFigure(last.time, `oven:${ovenId}`),
        holds: [{ of: { kind: 'oven', id: ovenId }, units: tins, settingC, sets: 1 }],
        after: [within(fill, waitS), within(mix, waitS + fillWell.value * pieces)],
        pieces,
        load: k,
        fresh: 1,
      });
      const stand = work.add('stand', {
        nth: k,
        kind: 'wait',
        ...CHORE.stand,
        takes: fixedTime(IN_TIN.standS, CHORE.standBasis),
        after: [within(load, 60)],
        load: k,
      });
      const turnS = (HANDS_S.turnOutTin + (again ? HANDS_S.relineTin : 0)) * tins;
      const turned = work.add('out', {
        nth: k,
        kind: 'hands',
        ...CHORE.out(again),
        takes: byHand(turnS, CHORE.outBasis(tins, again)),
        after: [within(stand, IN_TIN.mostS)],
        pieces,
        load: k,
      });
      // It has cooled in its tin for a while by then.
      const cooling = byFigure(cool.time, 'room');
      const cooled = work.add('cool', {
        nth: k,
        kind: 'wait',
        ...CHORE.cool,
        takes: { ...cooling, lengthS: Math.max(0, cooling.lengthS - IN_TIN.standS - turnS) },
        holds: [onBench(pieces)],
        after: [turned],
        load: k,
      });
      turns.push({ pieces, after: [cooled] });
    }
  });
  work.part = null;
  return finishWork(work, { plan, finishing, loads: turns, beside });
}

/** Loads by the bowl that they are filled from: batter that would wait too long for its oven, or that no bowl holds, is mixed in another. */
function bowlsOfLoads(
  sizes: readonly number[],
  plan: LinePlan,
  {
    waitS,
    mixableMl,
    pieceMl,
  }: { readonly waitS: number; readonly mixableMl: number; readonly pieceMl: number },
): number[][] {
  const { bake, loadPlan } = plan.parts;
  const cycleS =
    (bake?.time.value ?? 0) +
    IN_TIN.standS +
    (HANDS_S.turnOutTin + HANDS_S.relineTin) * (loadPlan?.tins ?? 1);
  const held = Math.floor(mixableMl / (pieceMl * Math.max(...sizes)) + 1e-9);
  const together = Math.max(1, Math.min(Math.floor(waitS / cycleS) + 1, held));
  const bowls = Math.ceil(sizes.length / together);
  const each = Math.ceil(sizes.length / bowls);
  return Array.from({ length: bowls }, (_, b) => sizes.slice(b * each, (b + 1) * each)).filter(
    (group) => group.length > 0,
  );
}
