import type { Ref } from '../figure';
import type { OvenDoc, PopLine, SheetDoc, TinDoc } from '../model/documents';
import { METHODS, type MethodDef } from '../process/batter.table';
import { CUBE_HANDS_S, POP_HANDS_S, SHELL_HANDS_S, WEIGH_MIN } from '../process/hands.table';
import { HANDS } from '../process/oven.table';
import type { Hold, Task, TaskDoes } from './emitted';
import type { PlanFigures } from './figures';
import type { BakePart } from './stations/bake';
import type { CoolPart } from './stations/cool';
import type { CrumbBake } from './stations/crumb';
import type { LoadPlan } from './stations/loads';
import type { MicroPart } from './stations/microwave';
import type { SheetBakePart } from './stations/sheet';
import { TIMES } from './tasks.words';

const MIN_S = 60;

const HAND: Hold = { of: { kind: 'hands' }, n: 1 };
const BOWL: Hold = { of: { kind: 'bowl' }, n: 1 };

/** A task as its station says it; what it comes after follows from where it stands, unless it says so itself. */
type Said = Pick<Task, 'id' | 'kind' | 'takes'> & { readonly what: TaskDoes } & Partial<
    Pick<Task, 'times' | 'holds' | 'after' | 'batchId' | 'load' | 'pieces' | 'done'>
  >;

const NO_HOLDS: readonly Hold[] = [];
const AFTER_NONE: Task['after'] = [];

/** Field by field: while a count is typed, a plan makes some two hundred of them. */
const taskAfter = (said: Said, follows: Task['after']): Task => ({
  id: said.id,
  what: said.what,
  kind: said.kind,
  takes: said.takes,
  times: said.times ?? 1,
  holds: said.holds ?? NO_HOLDS,
  after: said.after ?? follows,
  batchId: said.batchId ?? null,
  load: said.load ?? null,
  pieces: said.pieces ?? null,
  done: said.done ?? 'clock',
});
const task = (said: Said): Task => taskAfter(said, AFTER_NONE);

/** Comes after another task, with at least so many seconds between. */
const after = (id: string, leastS = 0, mostS: number | null = null): Task['after'][number] => ({
  task: id,
  leastS,
  mostS,
});

/** Tasks one after another. */
export function inTurn(said: readonly Said[]): Task[] {
  return said.map((one, i) => {
    const before = said[i - 1];
    return taskAfter(one, before ? [after(before.id)] : AFTER_NONE);
  });
}

const wholeMinutes = (seconds: Ref<'s'>): number => Math.round(seconds.value / MIN_S);

/** The hands-on and waiting times that a day with wells is reckoned with. */
export interface WellTimes {
  readonly weighOut: Ref<'s'>;
  readonly mix: Ref<'s'>;
  readonly fillWell: Ref<'s'>;
  readonly ovenWarms: Ref<'s'>;
  readonly butterOut: Ref<'s'>;
  readonly eggsOut: Ref<'s'>;
}

export function addWellTimes(f: PlanFigures, method: MethodDef): WellTimes {
  return {
    weighOut: f.given('day.weighOut', TIMES.weighOut, 's', HANDS.weighOutMin * MIN_S, 'typical'),
    mix: f.given('day.mix', TIMES.mix(method), 's', method.mixMin * MIN_S, 'typical'),
    fillWell: f.given('day.fillWell', TIMES.fillWell, 's', HANDS.fillWellS, 'typical'),
    ovenWarms: f.given('day.ovenWarms', TIMES.ovenWarms, 's', HANDS.ovenWarmsMin * MIN_S, 'typical'),
    butterOut: f.given('day.butterOut', TIMES.butterOut, 's', method.butterOutMin * MIN_S, 'typical'),
    eggsOut: f.given('day.eggsOut', TIMES.eggsOut, 's', HANDS.eggsOutMin * MIN_S, 'typical'),
  };
}

export interface WellDay {
  readonly times: WellTimes;
  readonly method: MethodDef;
  readonly loads: LoadPlan;
  readonly bake: BakePart;
  readonly cool: CoolPart;
  readonly tin: TinDoc;
  readonly oven: OvenDoc;
}

/** From butter out to the last load cooled: one oven load after another. */
export function wellTasks({ times, method, loads, bake, cool, tin, oven }: WellDay): Task[] {
  const { sizes } = loads;
  if (sizes.length === 0) return [];
  const settingC = bake.oven.setting.value;
  const batch = 'batter';
  const inOven = (pieces: number): Hold[] => {
    const tins = Math.ceil(pieces / tin.wells);
    return [
      { of: { kind: 'oven', id: oven.id, settingC }, n: tins },
      { of: { kind: 'tin', id: tin.id }, n: tins },
    ];
  };
  const turnaroundS = bake.turnaround.value;
  // Batter that has been mixed waits for no more than it may.
  const waitsS = method.waitMin * MIN_S;
  return [
    ...(times.butterOut.value > 0
      ? [task({ id: 'butter-out', kind: 'ahead', what: { does: 'butter out' }, takes: times.butterOut })]
      : []),
    task({ id: 'eggs-out', kind: 'ahead', what: { does: 'eggs out' }, takes: times.eggsOut }),
    task({
      id: 'weigh-out',
      kind: 'hands',
      what: { does: 'weigh out and line' },
      takes: times.weighOut,
      holds: [HAND],
      batchId: batch,
    }),
    task({
      id: 'oven-on',
      kind: 'ahead',
      what: { does: 'oven on', settingC },
      takes: times.ovenWarms,
      holds: [{ of: { kind: 'oven', id: oven.id, settingC }, n: 0 }],
    }),
    task({
      id: 'mix',
      kind: 'hands',
      what: { does: 'mix', meaning: method.meaning },
      takes: times.mix,
      holds: [HAND, BOWL],
      batchId: batch,
      after: [
        ...(times.butterOut.value > 0 ? [after('butter-out')] : []),
        after('eggs-out'),
        after('weigh-out'),
      ],
    }),
    task({
      id: 'fill',
      kind: 'hands',
      what: { does: 'fill wells' },
      takes: times.fillWell,
      times: sizes[0] ?? 0,
      holds: [HAND, { of: { kind: 'tin', id: tin.id }, n: Math.ceil((sizes[0] ?? 0) / tin.wells) }],
      batchId: batch,
      load: 1,
      pieces: sizes[0] ?? 0,
      after: [after('mix', 0, waitsS)],
    }),
    ...sizes.map((pieces, k) =>
      task({
        id: `load-${k + 1}`,
        kind: 'oven',
        what: { does: 'bake load', loads: sizes.length, firstLookMin: wholeMinutes(bake.firstLook) },
        takes: bake.time,
        holds: inOven(pieces),
        batchId: batch,
        load: k + 1,
        pieces,
        done: 'doneness',
        after: k === 0 ? [after('fill', 0, waitsS), after('oven-on')] : [after(`load-${k}`, turnaroundS)],
      }),
    ),
    task({
      id: 'cool',
      kind: 'wait',
      what: { does: 'cool load', loads: sizes.length },
      takes: cool.time,
      batchId: batch,
      load: sizes.length,
      done: 'cool',
      after: [after(`load-${sizes.length}`)],
    }),
  ];
}

/** Every bake for its crumb, from the bowl until it can be crumbled. */
export function crumbTasks(bakes: readonly CrumbBake[]): Said[] {
  return bakes.flatMap(({ prefix, formula, batch, mixing, sheet, microwave, cool }): Said[] => {
    const of = { batchId: batch.id };
    const bake: Said = sheet
      ? {
          id: `${prefix}bake`,
          kind: 'oven',
          what: { does: 'bake', firstLookMin: wholeMinutes(sheet.bake.firstLook) },
          takes: sheet.bake.time,
          times: sheet.bake.loads.value,
          holds: sheetHolds(sheet.spec.oven, sheet.spec.sheet, sheet.bake, sheet.count),
          done: 'doneness',
          ...of,
        }
      : bowlsTask(prefix, microwave, of);
    return [
      {
        id: `${prefix}mix`,
        kind: 'hands',
        what: { does: 'weigh out and mix', meaning: METHODS[formula.doc.method].meaning },
        takes: mixing,
        holds: [HAND, BOWL],
        ...of,
      },
      bake,
      {
        id: `${prefix}cool`,
        kind: 'wait',
        what: { does: 'cool to crumble' },
        takes: cool.time,
        done: 'cool',
        ...of,
      },
    ];
  });
}

function bowlsTask(prefix: string, microwave: CrumbBake['microwave'], of: Pick<Task, 'batchId'>): Said {
  if (!microwave) throw new Error('invariant: crumb is baked in an oven or in a microwave');
  const { id, micro, bowls } = microwave;
  return {
    id: `${prefix}bake`,
    kind: 'oven',
    what: { does: 'microwave bowls', firstLookMin: wholeMinutes(micro.firstLook) },
    takes: micro.time,
    times: bowls.value,
    holds: [{ of: { kind: 'microwave', id }, n: 1 }],
    done: 'doneness',
    ...of,
  };
}

function sheetHolds(
  oven: OvenDoc,
  sheet: SheetDoc,
  { oven: inOven, atOnce }: SheetBakePart,
  count: Ref<'pieces'>,
): Hold[] {
  const n = Math.min(atOnce.value, count.value);
  return [
    { of: { kind: 'oven', id: oven.id, settingC: inOven.setting.value }, n },
    { of: { kind: 'sheet', id: sheet.id }, n },
  ];
}

const handsTask = (
  f: PlanFigures,
  id: string,
  label: string,
  figureId: string,
  eachS: number,
  pieces: number,
  what: TaskDoes,
): Said => ({
  id,
  kind: 'hands',
  what,
  takes: f.given(figureId, TIMES.each(label, eachS), 's', eachS * pieces, 'typical'),
  holds: [HAND],
  pieces,
});

/** What of a pop firms and sets, whatever their number. */
export interface PopWaits {
  readonly firm: Ref<'s'>;
  readonly anchor: Ref<'s'> | null;
  readonly coat: Ref<'s'> | null;
}

/** Seconds of hands that one pop takes. */
export const popHandsS = ({ stick, coat }: PopLine): number =>
  POP_HANDS_S.roll + (coat ? POP_HANDS_S.dip + POP_HANDS_S.garnish + (stick ? POP_HANDS_S.stick : 0) : 0);

/** Bind, chill, stick, dip, set. */
export function popTasks(f: PlanFigures, line: PopLine, made: number, waits: PopWaits): Said[] {
  const frozen = line.coat?.school === 'frozen';
  const cold: Hold = { of: { kind: frozen ? 'freezer' : 'fridge' }, n: 1 };
  const tasks: Said[] = [
    {
      ...handsTask(f, 'roll', TIMES.rolling, 'day.roll', POP_HANDS_S.roll, made, { does: 'bind and roll' }),
      done: 'squeeze',
    },
    {
      id: 'firm',
      kind: 'wait',
      what: { does: 'firm', frozen },
      takes: waits.firm,
      holds: [cold],
      done: 'firm',
    },
  ];
  if (waits.anchor)
    tasks.push(
      handsTask(f, 'stick', TIMES.sticks, 'day.stick', POP_HANDS_S.stick, made, { does: 'sticks in' }),
      {
        id: 'anchor',
        kind: 'wait',
        what: { does: 'sticks set' },
        takes: waits.anchor,
        holds: [cold],
        done: 'set',
      },
    );
  if (waits.coat && line.coat) {
    const eachS = POP_HANDS_S.dip + POP_HANDS_S.garnish;
    const dip = handsTask(f, 'dip', TIMES.dipGarnish, 'day.dip', eachS, made, { does: 'dip', garnish: true });
    tasks.push(
      { ...dip, holds: [HAND, { of: { kind: 'vessel', id: line.coat.vesselId }, n: 1 }] },
      { id: 'set', kind: 'wait', what: { does: 'coat sets', onRack: false }, takes: waits.coat, done: 'set' },
    );
  }
  return tasks;
}

/** Seconds of hands that one moulded piece takes. */
export const shellHandsS = (): number =>
  Object.values(SHELL_HANDS_S).reduce<number>((sum, seconds) => sum + seconds, 0);

/** Rounds of a mould: two coats, fill, back plate, freeze, turn out. */
export function shellTasks(
  f: PlanFigures,
  mouldId: string,
  sizes: readonly number[],
  made: number,
  sets: { readonly shell: Ref<'s'>; readonly filled: Ref<'s'> },
): Said[] {
  const rounds = sizes.length;
  const each = Math.ceil(made / Math.max(rounds, 1));
  const hands = (id: string, label: string, eachS: number) =>
    f.given(id, TIMES.each(label, eachS), 's', eachS * each, 'typical');
  const takes = {
    coats: hands('day.coats', TIMES.coats, SHELL_HANDS_S.coats),
    fill: hands('day.fill', TIMES.filling, SHELL_HANDS_S.fill),
    back: hands('day.back', TIMES.backs, SHELL_HANDS_S.back),
    out: hands('day.turnOut', TIMES.turningOut, SHELL_HANDS_S.turnOut),
  };
  const mould: Hold = { of: { kind: 'mould', id: mouldId }, n: 1 };
  const cold: Hold = { of: { kind: 'freezer' }, n: 1 };
  return sizes.flatMap((pieces, i): Said[] => {
    const of = { load: i + 1, pieces };
    const held = { ...of, holds: [HAND, mould] };
    const waits = { ...of, kind: 'wait' as const, holds: [mould, cold], done: 'set' as const };
    const k = i + 1;
    return [
      { ...held, id: `coats-${k}`, kind: 'hands', what: { does: 'shell coats', rounds }, takes: takes.coats },
      { ...waits, id: `shell-${k}`, what: { does: 'shell sets', rounds }, takes: sets.shell, times: 2 },
      { ...held, id: `fill-${k}`, kind: 'hands', what: { does: 'fill shells', rounds }, takes: takes.fill },
      { ...held, id: `back-${k}`, kind: 'hands', what: { does: 'back plates', rounds }, takes: takes.back },
      { ...waits, id: `freeze-${k}`, what: { does: 'freeze shells', rounds }, takes: sets.filled },
      { ...held, id: `turn-out-${k}`, kind: 'hands', what: { does: 'turn out', rounds }, takes: takes.out },
    ];
  });
}

export interface CutDay {
  readonly method: MethodDef;
  readonly oven: OvenDoc;
  readonly sheet: SheetDoc;
  readonly bake: SheetBakePart;
  readonly sheets: Ref<'pieces'>;
  readonly made: number;
  /** Whether pieces are filled or frosted. */
  readonly worked: boolean;
  /** What the coat takes to set, and where it is dipped; null without a coat. */
  readonly coat: { readonly sets: Ref<'s'>; readonly vesselId: string } | null;
}

/** Seconds of hands that one cut piece takes. */
export const cutHandsS = (worked: boolean, coated: boolean): number =>
  CUBE_HANDS_S.cut + (worked ? CUBE_HANDS_S.frost : 0) + (coated ? CUBE_HANDS_S.dip : 0);

/** From the bowl to the coat. */
export function cutTasks(f: PlanFigures, day: CutDay): Said[] {
  const { method, bake, made, worked, coat } = day;
  const hands = (figureId: string, label: string, seconds: number) =>
    f.given(figureId, TIMES.household(label), 's', seconds, 'typical');
  const batch = { batchId: 'batter' };
  const tasks: Said[] = [
    {
      id: 'mix',
      kind: 'hands',
      what: { does: 'weigh out and mix', meaning: method.meaning },
      takes: hands('day.mix', TIMES.weighAndMix, (method.mixMin + WEIGH_MIN) * MIN_S),
      holds: [HAND, BOWL],
      ...batch,
    },
    {
      id: 'bake',
      kind: 'oven',
      what: { does: 'bake', firstLookMin: wholeMinutes(bake.firstLook) },
      takes: bake.time,
      times: bake.loads.value,
      holds: sheetHolds(day.oven, day.sheet, bake, day.sheets),
      done: 'doneness',
      ...batch,
    },
    {
      id: 'cool',
      kind: 'wait',
      what: { does: 'cool to cut' },
      takes: bake.cool.time,
      done: 'cool',
      ...batch,
    },
    {
      id: 'cut',
      kind: 'hands',
      what: { does: 'cut' },
      takes: hands('day.cut', TIMES.cutting, made * CUBE_HANDS_S.cut),
      holds: [HAND],
      pieces: made,
    },
  ];
  if (worked)
    tasks.push({
      id: 'frost',
      kind: 'hands',
      what: { does: 'fill and frost' },
      takes: hands('day.frost', TIMES.frosting, made * CUBE_HANDS_S.frost),
      holds: [HAND],
      pieces: made,
    });
  if (coat)
    tasks.push(
      {
        id: 'dip',
        kind: 'hands',
        what: { does: 'dip', garnish: false },
        takes: hands('day.dip', TIMES.dipping, made * CUBE_HANDS_S.dip),
        holds: [HAND, { of: { kind: 'vessel', id: coat.vesselId }, n: 1 }],
        pieces: made,
      },
      { id: 'set', kind: 'wait', what: { does: 'coat sets', onRack: true }, takes: coat.sets, done: 'set' },
    );
  return tasks;
}

export interface MugDay {
  readonly method: MethodDef;
  readonly mix: Ref<'s'>;
  readonly groups: readonly number[];
  readonly micro: MicroPart;
  readonly microwaveId: string;
  readonly mugId: string;
  /** Cooling before anything that melts goes on; null where nothing does. */
  readonly cool: CoolPart | null;
}

/** Stir, one group after another, stand, cool. */
export function mugTasks({ method, mix, groups, micro, microwaveId, mugId, cool }: MugDay): Said[] {
  return [
    {
      id: 'mix',
      kind: 'hands',
      what: { does: 'stir', meaning: method.meaning },
      takes: mix,
      holds: [HAND],
      batchId: 'batter',
    },
    ...groups.map((pieces, k): Said => ({
      id: `group-${k + 1}`,
      kind: 'oven',
      what: {
        does: 'microwave group',
        groups: groups.length,
        firstLookS: Math.round(micro.firstLook.value),
      },
      takes: micro.time,
      holds: [
        { of: { kind: 'microwave', id: microwaveId }, n: 1 },
        { of: { kind: 'mug', id: mugId }, n: pieces },
      ],
      batchId: 'batter',
      load: k + 1,
      pieces,
      done: 'doneness',
    })),
    { id: 'stand', kind: 'wait', what: { does: 'stand' }, takes: micro.stand, done: 'clock' },
    ...(cool
      ? [
          {
            id: 'cool',
            kind: 'wait',
            what: { does: 'cool to frost' },
            takes: cool.time,
            done: 'cool',
          } as const,
        ]
      : []),
  ];
}
