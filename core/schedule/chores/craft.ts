import { sheetLoads } from './sheetLoads';
import type { ChoreDoes } from '../../model/choreDoes';
import type { CakesicleLine, CubeLine, MugLine, PopLine } from '../../model/documents';
import { batterWaitMin, type LinePlan } from '../../plan';
import { byFigure, byHand, byUsual, type ChoreGap, type ChoreHold } from './chore';
import { crumbWork } from './crumb';
import { dipWork, finishWork, fromTheCold, meltWork, warmWork } from './finish';
import {
  HANDS,
  batterLines,
  batterMl,
  mixing,
  one,
  taskIn,
  tasksOf,
  within,
  type Beside,
  type Work,
} from './lineWork';
import {
  EATEN_WARM,
  HANDS_S,
  MOULD_DRIES_S,
  PATCHED_SHARE,
  SHELL_WITHIN_S,
  UNMOULD_WITHIN_S,
} from './chores.table';
import { CHORE, PART, each } from './chores.words';

export interface CraftThings {
  readonly beside: Beside;
  /** Tins that an oven's rack takes: a sheet takes their room. */
  readonly perRack: (ovenId: string) => number;
  /** Pieces by load or round, where they are grouped otherwise than the plan has them. */
  readonly grouped: readonly number[] | undefined;
  /** What the largest bowl mixes at once, ml. */
  readonly mixableMl: number;
  /** Trays or moulds of the line that lie in the cold at once. */
  readonly coldUnits: number;
}

/** Balls bound, firmed, on sticks, dipped. */
export function popWork(
  work: Work,
  plan: LinePlan,
  line: PopLine,
  things: CraftThings,
): (string | ChoreGap)[] {
  const { beside, perRack, coldUnits, mixableMl } = things;
  const tasks = tasksOf(plan);
  const made = plan.parts.count.made.value;
  work.part = PART.dough(work.partOf('dough'), plan.formula?.name ?? '', line.coat?.school === 'frozen');
  const bound = crumbWork(work, plan, line.binder.formulaId, perRack, beside, mixableMl);
  const frozen = line.coat?.school === 'frozen';
  const cold: ChoreHold = one({ kind: frozen ? 'freezer' : 'fridge' }, coldUnits);
  const roll = work.hands('roll', CHORE.roll.label, HANDS_S.roll * made, each(HANDS_S.roll), {
    detail: CHORE.roll.detail,
    uses: ['set out'],
    pieces: made,
    after: [within(bound, 3600)],
  });
  const firm = work.add('firm', {
    kind: 'wait',
    ...CHORE.firm(frozen),
    takes: byFigure(taskIn(tasks, 'firm').takes, 'cold'),
    holds: [cold],
    after: [within(roll, 1800)],
  });
  work.part = null;
  if (!line.coat) return [firm];
  let last: ChoreGap = within(firm, null);
  if (tasks.has('stick')) {
    const stick = work.hands(
      'stick',
      CHORE.sticks.label,
      HANDS_S.stick * made + HANDS_S.melt,
      each(HANDS_S.stick),
      {
        detail: CHORE.sticks.detail,
        pieces: made,
        after: [last],
      },
    );
    last = within(
      work.add('anchor', {
        kind: 'wait',
        ...CHORE.anchor,
        takes: byFigure(taskIn(tasks, 'anchor').takes, 'cold'),
        holds: [cold],
        after: [within(stick, 600)],
      }),
      null,
    );
  }
  return [dipWork(work, plan, line.coat, line.lots, [fromTheCold(last.chore)], beside)];
}

/** Shells in rounds of the mould: two coats, filling, back, freezer, out. */
export function cakesicleWork(
  work: Work,
  plan: LinePlan,
  line: CakesicleLine,
  things: CraftThings,
): (string | ChoreGap)[] {
  const { beside, perRack, mixableMl } = things;
  const tasks = tasksOf(plan);
  const sizes = things.grouped ?? plan.loads.sizes;
  const rounds = sizes.length;
  work.part = PART.dough(work.partOf('dough'), plan.formula?.name ?? '', false);
  const bound = crumbWork(work, plan, line.binder.formulaId, perRack, beside, mixableMl);
  work.part = null;
  const melted = meltWork(work, plan, line.kind !== 'compound', beside.made(line.coatFormulaId));
  const cavities = plan.cold?.on.what === 'mould' ? plan.cold.on.cavities : 1;
  /** Moulds that a round fills. */
  const mouldsOf = (pieces: number) => Math.max(1, Math.ceil(pieces / cavities));
  const moulds = mouldsOf(Math.max(...sizes, 1));
  const topped = line.lots.some(({ toppings }) => toppings.length > 0);
  const wash = work.hands('wash-mould', CHORE.washMould.label, HANDS_S.washMould * moulds, CHORE.washBasis, {
    detail: CHORE.washMould.detail,
    uses: ['set out'],
  });
  const dry = work.add('mould-dries', {
    kind: 'wait',
    label: CHORE.dries.label,
    takes: byUsual(MOULD_DRIES_S, 'room', CHORE.dries.basis),
    after: [wash],
  });
  return sizes.flatMap((pieces, i) => {
    const k = i + 1;
    const last = k === rounds;
    const told = (label: string) => ({ label: CHORE.round(label, k, rounds), pieces, load: k });
    const hands = (
      does: ChoreDoes,
      label: string,
      eachS: number,
      detail: string,
      after: readonly (string | ChoreGap)[],
      holds: readonly ChoreHold[] = [HANDS],
    ) =>
      work.add(does, {
        nth: k,
        kind: 'hands',
        skill: 'chocolate',
        ...told(label),
        detail,
        takes: byHand(eachS * pieces, each(eachS)),
        holds,
        after,
      });
    // Grouped into more rounds than the plan has, each sets as its rounds do.
    const roundTask = (of: string) => tasks.get(`${of}-${k}`) ?? taskIn(tasks, `${of}-1`);
    const inMould: ChoreHold = {
      of: { kind: 'mould', id: line.mouldId },
      units: mouldsOf(pieces),
      until: work.idOf(last ? 'out' : 'wash', k),
    };
    const freezer = one({ kind: 'freezer' }, things.coldUnits);
    const shell = (does: ChoreDoes, after: string) =>
      work.add(does, {
        nth: k,
        kind: 'wait',
        ...told(CHORE.shellSets),
        takes: byFigure(roundTask('shell').takes, 'cold'),
        holds: [freezer],
        after: [within(after, 600)],
      });
    const first = hands(
      'coat-a',
      CHORE.shellCoat[0],
      HANDS_S.brushCavity,
      CHORE.shellCoatDetail,
      [
        dry,
        ...(k === 1
          ? [melted]
          : [warmWork(work, plan, line.kind !== 'compound', melted, k), work.idOf('coat-a', i)]),
      ],
      [HANDS, inMould],
    );
    const firstSet = shell('set-a', first);
    const second = hands('coat-b', CHORE.shellCoat[1], HANDS_S.brushCavity, CHORE.shellCoatDetail, [
      within(firstSet, SHELL_WITHIN_S),
    ]);
    const secondSet = shell('set-b', second);
    const fill = hands('fill', CHORE.fillShell.label, HANDS_S.fillCavity, CHORE.fillShell.detail, [
      secondSet,
      bound,
      ...(k > 1 ? [work.idOf('fill', i)] : []),
    ]);
    const back = hands('back', CHORE.back.label, HANDS_S.backCavity, CHORE.back.detail, [fill]);
    const freeze = work.add('freeze', {
      nth: k,
      kind: 'wait',
      ...told(CHORE.freeze.label),
      detail: CHORE.freeze.detail,
      takes: byFigure(roundTask('freeze').takes, 'cold'),
      holds: [freezer],
      after: [within(back, 600)],
    });
    const outS = HANDS_S.unmould + HANDS_S.patch * PATCHED_SHARE;
    const out = work.add('out', {
      nth: k,
      kind: 'hands',
      skill: 'chocolate',
      ...told(CHORE.unmould.label),
      detail: CHORE.unmould.detail,
      takes: byHand(outS * pieces, CHORE.unmouldBasis),
      holds: [HANDS],
      after: [within(freeze, UNMOULD_WITHIN_S)],
      fresh: 1,
    });
    if (!last)
      work.add('wash', {
        nth: k,
        kind: 'hands',
        ...told(CHORE.washMould.label),
        detail: CHORE.washMould.detail,
        takes: byHand(HANDS_S.washMould * mouldsOf(pieces), CHORE.washBasis),
        after: [out],
      });
    if (!topped) return [out];
    return [
      hands('top', CHORE.topMoulded.label, HANDS_S.garnish, CHORE.topMoulded.detail, [within(out, 1800)]),
    ];
  });
}

/** A sheet baked, cut and finished. */
export function cutWork(
  work: Work,
  plan: LinePlan,
  line: CubeLine,
  things: CraftThings,
): (string | ChoreGap)[] {
  const tasks = tasksOf(plan);
  const made = plan.parts.count.made.value;
  work.part = PART.cake(work.partOf('cake'), plan.formula?.name ?? '');
  const method = plan.formula?.method ?? 'creamed';
  const ml = batterMl(plan.parts.bowl?.own.value ?? 0, method);
  const cooled = sheetLoads(work, plan, {
    bake: '',
    method,
    ml,
    waitS: batterWaitMin(batterLines(plan), method) * 60,
    mixableMl: things.mixableMl,
    perRack: things.perRack,
    fresh: 1,
    cool: CHORE.coolToCut,
  });
  const task = taskIn(tasks, 'bake');
  const on = task.holds.find(({ of }) => of.kind === 'sheet');
  work.part = null;
  const sheets = (on?.n ?? 1) * task.times;
  const cut = work.hands(
    'cut',
    CHORE.cut.label,
    HANDS_S.cutSheet * sheets + HANDS_S.cutEach * made,
    CHORE.cutBasis,
    {
      detail: CHORE.cut.detail,
      pieces: made,
      after: cooled,
    },
  );
  return finishWork(work, {
    plan,
    finishing: line,
    loads: [{ pieces: made, after: [cut] }],
    beside: things.beside,
  });
}

/** Stirred, a group at a time in the microwave, stood, cooled, finished. */
export function mugWork(
  work: Work,
  plan: LinePlan,
  line: MugLine,
  things: CraftThings,
): (string | ChoreGap)[] {
  const tasks = tasksOf(plan);
  const groups = plan.loads.sizes;
  const ml = batterMl(
    plan.parts.bowl?.own.value ?? 0,
    plan.formula?.method ?? 'melted',
    plan.parts.batterDensity,
  );
  const { takes, holds } = mixing(taskIn(tasks, 'mix').takes, 'mug', ml, things.mixableMl);
  const stir = work.add('mix', {
    kind: 'hands',
    label: CHORE.stir,
    uses: ['batter', 'set out'],
    takes,
    holds,
  });
  const loads = groups.map((pieces, i) => {
    const task = taskIn(tasks, `group-${i + 1}`);
    const lookS = task.what.does === 'microwave group' ? task.what.firstLookS : 0;
    const turned = work.add('group', {
      nth: i + 1,
      kind: 'oven',
      label: CHORE.micro(i + 1, groups.length),
      detail: CHORE.microDetail(pieces, lookS),
      takes: byFigure(task.takes, `microwave:${line.microwaveId}`),
      holds: [HANDS, one({ kind: 'microwave', id: line.microwaveId })],
      after: [within(stir, 1800), ...(i > 0 ? [work.idOf('group', i)] : [])],
      pieces,
      load: i + 1,
      fresh: EATEN_WARM,
    });
    const stood = work.add('stand', {
      nth: i + 1,
      kind: 'wait',
      ...CHORE.mugStand,
      takes: byFigure(taskIn(tasks, 'stand').takes, null),
      after: [within(turned, 0)],
      load: i + 1,
    });
    const cool = tasks.get('cool');
    const after = cool
      ? work.add('cool', {
          nth: i + 1,
          kind: 'wait',
          ...CHORE.coolMug,
          takes: byFigure(cool.takes, 'room'),
          after: [stood],
          load: i + 1,
        })
      : stood;
    return { pieces, after: [after] };
  });
  return finishWork(work, { plan, finishing: line, loads, beside: things.beside });
}
