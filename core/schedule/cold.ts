import type { KitchenDoc } from '../model/documents';
import type { LinePlan } from '../plan';
import type { Fault } from '../quantity';
import type { ColdRoom, Tray } from './coldRoom';
import { COLD_FAULTS } from './gather.words';

/** A tray that goes into a household fridge or freezer drawer, mm, where none is measured. Basis: assumption. */
export const COLD_TRAY = { lengthMm: 300, widthMm: 200 } as const;

/** The tray that goes into this kitchen's cold. */
export const trayOf = ({ trayLengthMm, trayWidthMm }: KitchenDoc): Tray => ({
  lengthMm: trayLengthMm ?? COLD_TRAY.lengthMm,
  widthMm: trayWidthMm ?? COLD_TRAY.widthMm,
});
/** Between pieces that must not touch while they set, mm. Basis: assumption. */
export const APART_MM = 10;

/** Balls of a diameter (mm) on one tray, in rows and apart; at least 1. */
export const ballsOnTray = (diameterMm: number, tray: Tray = COLD_TRAY): number =>
  Math.max(
    1,
    Math.floor(tray.lengthMm / (diameterMm + APART_MM)) * Math.floor(tray.widthMm / (diameterMm + APART_MM)),
  );

/** The room in the cold that a line takes; null for what needs none before it is finished. */
export function coldRoomOf({ cold }: Pick<LinePlan, 'cold'>, kitchen: KitchenDoc): ColdRoom | null {
  if (!cold) return null;
  const { where, on } = cold;
  const tray = trayOf(kitchen);
  const pieces = Math.round(cold.pieces.value);
  const each = on.what === 'tray' ? ballsOnTray(on.acrossMm, tray) : on.cavities;
  const all = Math.ceil(pieces / each);
  const needed = on.what === 'tray' ? all : Math.min(on.owned, all);
  const room = (where === 'fridge' ? kitchen.fridgeTrays : kitchen.freezerTrays) ?? null;
  return {
    where,
    what: on.what,
    pieces,
    each,
    tray,
    measured: kitchen.trayLengthMm !== undefined && kitchen.trayWidthMm !== undefined,
    needed,
    room,
    goes: room === null ? 1 : room === 0 ? 0 : Math.max(1, Math.ceil(needed / room)),
  };
}

/** What does not go into the cold at once; null where all does, or where nobody has counted the room. */
export function coldFault(plan: Pick<LinePlan, 'cold'>, kitchen: KitchenDoc): Fault | null {
  const cold = coldRoomOf(plan, kitchen);
  if (!cold || cold.room === null || cold.goes === 1) return null;
  return cold.goes === 0 ? COLD_FAULTS.noRoom(cold) : COLD_FAULTS.inGoes(cold, cold.room);
}

/** What does not go into the cold, of each line, or of lines that do so each by itself but not together. */
export function coldFaults(plans: readonly LinePlan[], kitchen: KitchenDoc): Fault[] {
  const each = plans.flatMap((plan) => coldFault(plan, kitchen) ?? []);
  const rooms = plans.flatMap((plan) => coldRoomOf(plan, kitchen) ?? []);
  const together = (['fridge', 'freezer'] as const).flatMap((where): Fault[] => {
    const here = rooms.filter((one) => one.where === where && one.room !== null && one.goes === 1);
    const room = here[0]?.room ?? null;
    const of = (what: ColdRoom['what']) =>
      here.reduce((sum, one) => sum + (one.what === what ? one.needed : 0), 0);
    const [trays, moulds] = [of('tray'), of('mould')];
    if (room === null || here.length < 2 || trays + moulds <= room) return [];
    return [COLD_FAULTS.together(where, trays, moulds, room)];
  });
  return [...each, ...together];
}
