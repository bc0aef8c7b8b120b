import { FAMILY_FILES } from '../../../../demo/families';
import { toEnd } from '../../solver';
import { dayOfFile, type DayFile, type RunDay } from '..';

/** A file of the demo by its name. */
export function file(name: string): DayFile {
  const found = FAMILY_FILES[name];
  if (!found) throw new Error(`the demo has a file "${name}"`);
  return found;
}

/** Its day by so many orders; that none comes together fails the test. */
export function dayOf(of: DayFile, tries: number, days?: number): RunDay {
  const day = toEnd(dayOfFile(of, tries, days));
  if (!day) throw new Error('a day comes together');
  return day;
}

export const inKitchen = (of: DayFile, over: Partial<DayFile['kitchen']>): DayFile => ({
  ...of,
  kitchen: { ...of.kitchen, ...over },
});
