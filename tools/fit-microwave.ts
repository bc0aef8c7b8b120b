/**
 * How near the sum of the microwave comes to typical times, those that its constants were fitted to and those held back.
 * The constants stand in `core/process/microwave.table.ts`.
 */
import { couplingShare, coreWaitS, middleMm, steamShare } from '../core/process/microwave';
import { MICROWAVE } from '../core/process/microwave.table';
import { TYPICAL_MICROWAVE, type TypicalMicrowave } from '../core/process/typicalMicrowave.table';

const START_C = 21;
const DENSITY = 1.05;

function secondsOf({ vessel, massG, widthMm, count, ratedW }: TypicalMicrowave): number {
  const eachJ = MICROWAVE.heatCapacity * (MICROWAVE.doneC - START_C) + steamShare(massG) * MICROWAVE.latent;
  const heating = (massG * count * eachJ) / (ratedW * couplingShare(massG * count));
  return heating + coreWaitS(middleMm(vessel, massG / DENSITY, widthMm), 1);
}

const middle = ([least, most]: readonly [number, number]) => (least + most) / 2;
for (const row of TYPICAL_MICROWAVE) {
  const s = secondsOf(row);
  const off = s / middle(row.timeS) - 1;
  process.stdout.write(
    `${row.held ? 'held back' : 'fitted   '}  ${row.what}, ${row.massG} g at ${row.ratedW} W: typical ${row.timeS.join(' to ')} s, ${s.toFixed(0)} s, ${(off * 100).toFixed(0)} %\n`,
  );
}
