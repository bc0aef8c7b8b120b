import type { Ref } from '../figure';
import type { OvenDoc, SheetDoc } from '../model/documents';
import type { SheetBakePart } from './stations/sheet';
import type { Hold, Task, TaskDoes } from './emitted';
import type { PlanFigures } from './figures';
import { TIMES } from './tasks.words';

export const MIN_S = 60;

export const HAND: Hold = { of: { kind: 'hands' }, n: 1 };
export const BOWL: Hold = { of: { kind: 'bowl' }, n: 1 };

/** A task as its station says it; what it comes after follows from where it stands, unless it says so itself. */
export type Said = Pick<Task, 'id' | 'kind' | 'takes'> & { readonly what: TaskDoes } & Partial<
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
export const task = (said: Said): Task => taskAfter(said, AFTER_NONE);

/** Comes after another task, with at least so many seconds between. */
export const after = (id: string, leastS = 0, mostS: number | null = null): Task['after'][number] => ({
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

export const wholeMinutes = (seconds: Ref<'s'>): number => Math.round(seconds.value / MIN_S);

export const handsTask = (
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

export function sheetHolds(
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
