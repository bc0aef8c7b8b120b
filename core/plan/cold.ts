import type { KitchenDoc, Line } from '../model/documents';
import type { Fault } from '../quantity';
import type { LinePlan } from './plan';

/** A tray that goes into a household fridge or freezer drawer, mm, where none is measured. Basis: assumption. */
export const COLD_TRAY = { lengthMm: 300, widthMm: 200 } as const;
export interface Tray {
  readonly lengthMm: number;
  readonly widthMm: number;
}

/** The tray that goes into this kitchen's cold. */
export const trayOf = ({ trayLengthMm, trayWidthMm }: KitchenDoc): Tray => ({
  lengthMm: trayLengthMm ?? COLD_TRAY.lengthMm,
  widthMm: trayWidthMm ?? COLD_TRAY.widthMm,
});
/** Between pieces that must not touch while they set, mm. Basis: assumption. */
export const APART_MM = 10;

/** How the pieces of a line lie in the cold before they are coated or turned out. */
export interface ColdRoom {
  readonly where: 'fridge' | 'freezer';
  /** What takes a place of its own: a tray of pieces, or a mould. */
  readonly what: 'tray' | 'mould';
  readonly pieces: number;
  /** Pieces that one tray or mould takes. */
  readonly each: number;
  readonly tray: Tray;
  /** Whether somebody has measured the tray. */
  readonly measured: boolean;
  /** Trays or moulds in the cold at once, if all are to be. */
  readonly needed: number;
  /** Room that the kitchen has counted; null where nobody has. */
  readonly room: number | null;
  /** Goes in which they fit; 1 where there is room or nobody has counted it; 0 where there is none at all. */
  readonly goes: number;
}

/** Balls of a diameter (mm) on one tray, in rows and apart; at least 1. */
export const ballsOnTray = (diameterMm: number, tray: Tray = COLD_TRAY): number =>
  Math.max(
    1,
    Math.floor(tray.lengthMm / (diameterMm + APART_MM)) * Math.floor(tray.widthMm / (diameterMm + APART_MM)),
  );

/** The room in the cold that a line takes; null for what needs none before it is finished. */
export function coldRoomOf(plan: LinePlan, kitchen: KitchenDoc): ColdRoom | null {
  const { line } = plan;
  const tray = trayOf(kitchen);
  const measured = kitchen.trayLengthMm !== undefined && kitchen.trayWidthMm !== undefined;
  if (line.family === 'pop' && plan.has('ball.diameter')) {
    const where = line.coat?.school === 'frozen' ? 'freezer' : 'fridge';
    const pieces = Math.round(plan.figure('count.made').value);
    const each = ballsOnTray(plan.figure('ball.diameter').value, tray);
    const needed = Math.ceil(pieces / each);
    return withRoom({ where, what: 'tray', pieces, each, needed, tray, measured }, kitchen);
  }
  if (line.family === 'cakesicle') {
    const mould = kitchen.moulds?.find(({ id }) => id === line.mouldId);
    if (!mould) return null;
    const pieces = Math.round(plan.figure('count.made').value);
    const needed = Math.min(mould.owned, Math.ceil(pieces / mould.cavities));
    return withRoom(
      { where: 'freezer', what: 'mould', pieces, each: mould.cavities, needed, tray, measured },
      kitchen,
    );
  }
  return null;
}

function withRoom(cold: Omit<ColdRoom, 'room' | 'goes'>, kitchen: KitchenDoc): ColdRoom {
  const room = (cold.where === 'fridge' ? kitchen.fridgeTrays : kitchen.freezerTrays) ?? null;
  const goes = room === null ? 1 : room === 0 ? 0 : Math.max(1, Math.ceil(cold.needed / room));
  return { ...cold, room, goes };
}

const many = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/** "Room in the fridge for 2 trays of {300 mm} by {200 mm}, 24 on each." */
export function coldWords({ where, what, needed, each, tray, measured }: ColdRoom): string {
  return what === 'mould'
    ? `Room in the ${where} for ${many(needed, 'mould')}, level.`
    : `Room in the ${where} for ${many(needed, 'tray')} of ${measured ? '' : 'about '}{${tray.lengthMm} mm} by {${tray.widthMm} mm}, ${each} on each.`;
}

/** What does not go into the cold at once; null where all does, or where nobody has counted the room. */
export function coldFault(plan: LinePlan, kitchen: KitchenDoc): Fault | null {
  const cold = coldRoomOf(plan, kitchen);
  if (!cold || cold.room === null || cold.goes === 1) return null;
  const { where, what, needed, room, goes, each, pieces } = cold;
  if (goes === 0) {
    return {
      fault: `${many(needed, what)} must go into the ${where}, and the kitchen has no room in it.`,
      mend: `Make room, and count it under Kitchen, In stock; or ${otherwise(plan.line)}.`,
    };
  }
  const first = Math.min(pieces, room * each);
  return {
    fault: `${many(needed, what)} for the ${where} at once, and it takes ${room}: ${goes} goes.`,
    mend:
      what === 'mould'
        ? `Fill ${many(room, 'mould')} a round, ${first} pieces, and the next when they are out.`
        : `Chill ${first} first and the rest while these are dipped; or ${otherwise(plan.line)}.`,
  };
}

/** What does not go into the cold, of each line, or of lines that do so each by itself but not together. */
export function coldFaults(plans: readonly LinePlan[], kitchen: KitchenDoc): Fault[] {
  const each = plans.flatMap((plan) => coldFault(plan, kitchen) ?? []);
  const rooms = plans.flatMap((plan) => coldRoomOf(plan, kitchen) ?? []);
  const together = (['fridge', 'freezer'] as const).flatMap((where): Fault[] => {
    const here = rooms.filter((one) => one.where === where && one.room !== null && one.goes === 1);
    const room = here[0]?.room ?? null;
    const needed = here.reduce((sum, one) => sum + one.needed, 0);
    if (room === null || here.length < 2 || needed <= room) return [];
    const what = (['tray', 'mould'] as const)
      .map((kind) => ({
        kind,
        n: here.filter((one) => one.what === kind).reduce((sum, one) => sum + one.needed, 0),
      }))
      .filter(({ n }) => n > 0)
      .map(({ kind, n }) => many(n, kind));
    return [
      {
        fault: `Together the lines put ${what.join(' and ')} into the ${where}, and it takes ${room}.`,
        mend: 'Chill one line after another: finish the first before the next goes in; or make room.',
      },
    ];
  });
  return [...each, ...together];
}

const otherwise = (line: Line): string =>
  line.family === 'pop' ? 'choose another school of dipping' : 'make fewer a round';
