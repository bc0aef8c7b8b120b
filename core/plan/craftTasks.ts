import type { Ref } from '../figure';
import type { OvenDoc, PopLine, SheetDoc } from '../model/documents';
import { type MethodDef } from '../process/batter.table';
import { CUBE_HANDS_S, POP_HANDS_S, SHELL_HANDS_S, WEIGH_MIN } from '../process/hands.table';
import type { Hold } from './emitted';
import type { PlanFigures } from './figures';
import type { SheetBakePart } from './stations/sheet';
import { TIMES } from './tasks.words';
import { BOWL, HAND, MIN_S, handsTask, wholeMinutes, type Said, sheetHolds } from './taskSaid';

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
  const hands: Hands = (figureId, label, seconds) =>
    f.given(figureId, TIMES.household(label), 's', seconds, 'typical');
  return [...sheetTasks(hands, day), ...pieceTasks(hands, day)];
}

type Hands = (figureId: string, label: string, seconds: number) => Ref<'s'>;

/** Mixed, baked and cooled. */
function sheetTasks(hands: Hands, { method, bake, oven, sheet, sheets }: CutDay): Said[] {
  const batch = { batchId: 'batter' };
  return [
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
      holds: sheetHolds(oven, sheet, bake, sheets),
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
  ];
}

/** Cut, filled and frosted, dipped. */
function pieceTasks(hands: Hands, { made, worked, coat }: CutDay): Said[] {
  const tasks: Said[] = [
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
