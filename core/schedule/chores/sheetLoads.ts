import type { LinePlan, Task } from '../../plan';
import { METHODS } from '../../process/batter.table';
import type { Method } from '../../model/documents';
import { byFigure, byHand, fixedTime } from './chore';
import { mixing, one, tasksOf, taskIn, within, type Work } from './lineWork';
import { HANDS_S, IN_TIN } from './chores.table';
import { CHORE } from './chores.words';

interface Sheets {
  /** Which bake of crumb it is, by its `prefix`; empty where a line has only one of them. */
  readonly bake: string;
  readonly method: Method;
  /** All of the batter, ml. */
  readonly ml: number;
  /** For how long batter may wait for its oven, s. */
  readonly waitS: number;
  readonly mixableMl: number;
  /** Places that so many racks of an oven are. */
  readonly perRack: (ovenId: string) => number;
  readonly fresh: number;
  readonly cool: { readonly label: string; readonly detail: string };
}

/**
 * A batter baked on sheets, a load at a time where there are fewer sheets or racks than it fills: the sheet is turned out
 * and filled again before the next goes in, and what would wait too long for that is mixed in a bowl of its own. Hands back
 * what all of it has cooled after.
 */
export function sheetLoads(work: Work, plan: LinePlan, sheets: Sheets): string[] {
  const { bake: prefix, method, fresh } = sheets;
  const tasks = tasksOf(plan);
  const task = taskIn(tasks, `${prefix}bake`);
  const loads = task.times;
  const { oven, sheet } = heldBy(task);
  const turnS = (HANDS_S.turnOutTin + HANDS_S.relineTin) * sheet.n;
  const together = Math.floor(sheets.waitS / (task.takes.value + IN_TIN.standS + turnS)) + 1;
  const bowls = Math.ceil(loads / together);
  const each = Math.ceil(loads / bowls);
  const nth = (k: number) => (loads > 1 ? k : null);
  const cooled: string[] = [];
  let mix = '';
  for (let k = 1; k <= loads; k += 1) {
    const first = (k - 1) % each === 0;
    if (first) {
      const b = (k - 1) / each + 1;
      const share = Math.min(each, loads - k + 1) / loads;
      const mixed = mixing(taskIn(tasks, `${prefix}mix`).takes, method, sheets.ml * share, sheets.mixableMl);
      mix = work.add('mix', {
        bake: prefix,
        nth: bowls > 1 ? b : null,
        kind: 'hands',
        ...(b === 1 ? CHORE.lineSheet : CHORE.mix(b, bowls, mixed.bowls)),
        uses: b === 1 ? ['batter', 'set out'] : [],
        detail: METHODS[method].meaning,
        takes: mixed.takes,
        holds: mixed.holds ?? [],
      });
    }
    const again = k < loads;
    const refill = work.idOf('refill', k, prefix);
    const bake = work.add('bake', {
      bake: prefix,
      nth: nth(k),
      kind: 'oven',
      label: CHORE.bake(k, loads),
      takes: byFigure(task.takes, `oven:${oven.of.id}`),
      holds: [
        {
          of: { kind: 'oven', id: oven.of.id },
          units: oven.n * sheets.perRack(oven.of.id),
          settingC: oven.of.settingC,
          sets: 1,
        },
        { of: { kind: 'sheet', id: sheet.of.id }, units: sheet.n, ...(again ? { until: refill } : {}) },
      ],
      // Batter does not wait for its oven, least of all over night.
      after: [within(mix, sheets.waitS), ...(k > 1 ? [work.idOf('refill', k - 1, prefix)] : [])],
      load: nth(k),
      fresh,
    });
    const turned = again ? turnedOut(work, { bake: prefix, k, after: bake, turnS, sheets: sheet.n }) : bake;
    cooled.push(
      work.add('cool', {
        bake: prefix,
        nth: nth(k),
        kind: 'wait',
        ...sheets.cool,
        takes: byFigure(taskIn(tasks, `${prefix}cool`).takes, 'room'),
        holds: [one({ kind: 'bench' }, sheet.n)],
        after: [turned],
        load: nth(k),
      }),
    );
  }
  return cooled;
}

/** Stood, turned out and filled again: what the next load goes in after. */
function turnedOut(
  work: Work,
  {
    bake,
    k,
    after,
    turnS,
    sheets,
  }: {
    readonly bake: string;
    readonly k: number;
    readonly after: string;
    readonly turnS: number;
    readonly sheets: number;
  },
): string {
  const stand = work.add('stand', {
    bake,
    nth: k,
    kind: 'wait',
    ...CHORE.stand,
    takes: fixedTime(IN_TIN.standS, CHORE.standBasis),
    after: [within(after, 60)],
    load: k,
  });
  return work.add('refill', {
    bake,
    nth: k,
    kind: 'hands',
    ...CHORE.outOfSheet,
    takes: byHand(turnS, CHORE.outBasis(sheets, true)),
    after: [within(stand, IN_TIN.mostS)],
    load: k,
  });
}

function heldBy({ holds }: Task) {
  const oven = holds.find(({ of }) => of.kind === 'oven');
  const sheet = holds.find(({ of }) => of.kind === 'sheet');
  if (oven?.of.kind !== 'oven' || sheet?.of.kind !== 'sheet')
    throw new Error('invariant: a sheet bakes in an oven');
  return { oven: { of: oven.of, n: oven.n }, sheet: { of: sheet.of, n: sheet.n } };
}
