/**
 * Time for a piece to cool from one temperature to another at rest in air, s: an exponential approach,
 * t = τ · ln((from − room) / (to − room)). All temperatures in °C; `to` must lie above the room.
 * Basis: physics (lumped cooling); the constant is typical.
 */
export function coolTimeS(constantS: number, fromC: number, toC: number, roomC: number): number {
  if (toC <= roomC) throw new Error('invariant: nothing cools below its room');
  return toC >= fromC ? 0 : constantS * Math.log((fromC - roomC) / (toC - roomC));
}
