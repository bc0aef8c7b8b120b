import type { Ref } from '../figure';
import type { OvenDoc, TinDoc } from '../model/documents';
import { METHODS, type MethodDef } from '../process/batter.table';
import { HANDS } from '../process/oven.table';
import type { Task } from './emitted';
import type { PlanFigures } from './figures';
import type { BakePart } from './stations/bake';
import type { CoolPart } from './stations/cool';
import type { CrumbBake } from './stations/crumb';
import type { LoadPlan } from './stations/loads';
import type { MicroPart } from './stations/microwave';
import type { ReadLine } from '../quantity';
import { TIMES } from './tasks.words';
import { BOWL, HAND, MIN_S, after, task, wholeMinutes, type Said, sheetHolds } from './taskSaid';

/** The hands-on and waiting times that a day with wells is reckoned with. */
export interface WellTimes {
  readonly weighOut: Ref<'s'>;
  readonly mix: Ref<'s'>;
  readonly fillWell: Ref<'s'>;
  readonly ovenWarms: Ref<'s'>;
  readonly butterOut: Ref<'s'>;
  readonly eggsOut: Ref<'s'>;
  /** What of the formula comes out of the fridge; null where nothing does. */
  readonly cold: 'eggs' | 'milk' | 'both' | null;
}

/** Creamed with fat that is firm from the fridge; oil and soft spreads need no warming. */
const FIRM_FATS = new Set(['butter', 'lard']);

/** Butter and the like in a bowl, g. */
export const firmFatG = (
  ingredients: readonly { readonly line: ReadLine; readonly mass: { readonly value: number } }[],
): number =>
  ingredients.reduce(
    (sum, { line, mass }) => sum + (line.ingredient && FIRM_FATS.has(line.ingredient.key) ? mass.value : 0),
    0,
  );
const COLD_DAIRY = new Set(['milk', 'buttermilk', 'cream', 'yoghurt', 'sour cream', 'soft cheese']);

/** What a batter takes from the fridge. */
function coldIn(lines: readonly ReadLine[]): WellTimes['cold'] {
  const eggs = lines.some(({ ingredient }) => ingredient?.role === 'egg');
  const milk = lines.some(({ ingredient }) => ingredient && COLD_DAIRY.has(ingredient.key));
  if (eggs) return milk ? 'both' : 'eggs';
  return milk ? 'milk' : null;
}

export function addWellTimes(f: PlanFigures, method: MethodDef, lines: readonly ReadLine[]): WellTimes {
  const firm = lines.some(({ ingredient }) => ingredient && FIRM_FATS.has(ingredient.key));
  const cold = coldIn(lines);
  const butterOutS = firm ? method.butterOutMin * MIN_S : 0;
  const eggsOutS = cold ? HANDS.eggsOutMin * MIN_S : 0;
  return {
    cold,
    weighOut: f.given('day.weighOut', TIMES.weighOut, 's', HANDS.weighOutMin * MIN_S, 'typical'),
    mix: f.given('day.mix', TIMES.mix(method), 's', method.mixMin * MIN_S, 'typical'),
    fillWell: f.given('day.fillWell', TIMES.fillWell, 's', HANDS.fillWellS, 'typical'),
    ovenWarms: f.given('day.ovenWarms', TIMES.ovenWarms, 's', HANDS.ovenWarmsMin * MIN_S, 'typical'),
    butterOut: f.given('day.butterOut', TIMES.butterOut, 's', butterOutS, 'typical'),
    eggsOut: f.given('day.eggsOut', TIMES.eggsOut, 's', eggsOutS, 'typical'),
  };
}

export interface WellDay {
  readonly times: WellTimes;
  readonly method: MethodDef;
  /** Batter waits no longer, min. */
  readonly waitMin: number;
  readonly loads: LoadPlan;
  readonly bake: BakePart;
  readonly cool: CoolPart;
  readonly tin: TinDoc;
  readonly oven: OvenDoc;
}

/** From butter out to the last load cooled: one oven load after another. */
export function wellTasks(day: WellDay): Task[] {
  return day.loads.sizes.length === 0
    ? []
    : [...readyTasks(day), ...batterTasks(day), ...loadTasks(day), coolTask(day)];
}

const BATTER = 'batter';

/** What is ready before anything is mixed: butter and eggs out, all weighed, the oven on. */
function readyTasks({ times, bake, oven }: WellDay): Task[] {
  const settingC = bake.oven.setting.value;
  const butter = task({
    id: 'butter-out',
    kind: 'ahead',
    what: { does: 'butter out' },
    takes: times.butterOut,
  });
  return [
    ...(times.butterOut.value > 0 ? [butter] : []),
    ...(times.cold
      ? [
          task({
            id: 'eggs-out',
            kind: 'ahead',
            what: { does: 'eggs out', what: times.cold },
            takes: times.eggsOut,
          }),
        ]
      : []),
    task({
      id: 'weigh-out',
      kind: 'hands',
      what: { does: 'weigh out and line' },
      takes: times.weighOut,
      holds: [HAND],
      batchId: BATTER,
    }),
    task({
      id: 'oven-on',
      kind: 'ahead',
      what: { does: 'oven on', settingC, dial: bake.oven.dial },
      takes: times.ovenWarms,
      holds: [{ of: { kind: 'oven', id: oven.id, settingC }, n: 0 }],
    }),
  ];
}

/** Batter that has been mixed waits for no more than it may, s. */
const waitsS = ({ waitMin }: WellDay): number => waitMin * MIN_S;

function batterTasks(day: WellDay): Task[] {
  const { times, method, loads, tin } = day;
  const first = loads.sizes[0] ?? 0;
  return [
    task({
      id: 'mix',
      kind: 'hands',
      what: { does: 'mix', meaning: method.meaning },
      takes: times.mix,
      holds: [HAND, BOWL],
      batchId: BATTER,
      after: [
        ...(times.butterOut.value > 0 ? [after('butter-out')] : []),
        ...(times.cold ? [after('eggs-out')] : []),
        after('weigh-out'),
      ],
    }),
    task({
      id: 'fill',
      kind: 'hands',
      what: { does: 'fill wells' },
      takes: times.fillWell,
      times: first,
      holds: [HAND, { of: { kind: 'tin', id: tin.id }, n: Math.ceil(first / tin.wells) }],
      batchId: BATTER,
      load: 1,
      pieces: first,
      after: [after('mix', 0, waitsS(day))],
    }),
  ];
}

function loadTasks(day: WellDay): Task[] {
  const { loads, bake, oven, tin } = day;
  const { sizes } = loads;
  const settingC = bake.oven.setting.value;
  return sizes.map((pieces, k) => {
    const tins = Math.ceil(pieces / tin.wells);
    return task({
      id: `load-${k + 1}`,
      kind: 'oven',
      what: { does: 'bake load', loads: sizes.length, firstLookMin: wholeMinutes(bake.firstLook) },
      takes: bake.time,
      holds: [
        { of: { kind: 'oven', id: oven.id, settingC }, n: tins },
        { of: { kind: 'tin', id: tin.id }, n: tins },
      ],
      batchId: BATTER,
      load: k + 1,
      pieces,
      done: 'doneness',
      after:
        k === 0
          ? [after('fill', 0, waitsS(day)), after('oven-on')]
          : [after(`load-${k}`, bake.turnaround.value)],
    });
  });
}

function coolTask({ loads, cool }: WellDay): Task {
  const last = loads.sizes.length;
  return task({
    id: 'cool',
    kind: 'wait',
    what: { does: 'cool load', loads: last },
    takes: cool.time,
    batchId: BATTER,
    load: last,
    done: 'cool',
    after: [after(`load-${last}`)],
  });
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

export interface MugDay {
  readonly method: MethodDef;
  readonly mix: Ref<'s'>;
  readonly groups: readonly number[];
  readonly micro: MicroPart;
  /** The last group, where it is smaller than the others. */
  readonly last: { readonly time: Ref<'s'>; readonly firstLook: Ref<'s'> } | null;
  readonly microwaveId: string;
  readonly mugId: string;
  /** Cooling before anything that melts goes on; null where nothing does. */
  readonly cool: CoolPart | null;
}

/** Stir, one group after another, stand, cool. */
export function mugTasks({ method, mix, groups, micro, last, microwaveId, mugId, cool }: MugDay): Said[] {
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
        firstLookS: Math.round((k === groups.length - 1 && last ? last.firstLook : micro.firstLook).value),
      },
      takes: k === groups.length - 1 && last ? last.time : micro.time,
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
