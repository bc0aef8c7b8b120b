import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import type { KitchenDoc, Line, RunFile } from '../model/documents';
import { planRun, type LinePlan } from '../plan';
import { coldWords } from './gather.words';
import { ballsOnTray, coldFault, coldFaults, coldRoomOf, trayOf } from './cold';

const EVENING = FAMILY_FILES.evening as RunFile;
const { kitchen } = EVENING;

function planned(family: Line['family'], over: object = {}): LinePlan {
  const line = EVENING.run.lines.find((one) => one.family === family);
  if (!line) throw new Error(`the evening has a ${family}`);
  const lines = [{ ...line, lots: [], ...over } as Line];
  const [plan] = planRun({ ...EVENING, run: { ...EVENING.run, lines } });
  if (!plan?.planned) throw new Error('the demo can be planned');
  return plan;
}
const withRoom = (fridgeTrays?: number, freezerTrays?: number): KitchenDoc => ({
  ...kitchen,
  fridgeTrays,
  freezerTrays,
});

describe('room in the cold', () => {
  it('takes balls of 35 mm in six rows of four: 24 on a tray, 36 on two', () => {
    // 300 ÷ 45 = 6.7 and 200 ÷ 45 = 4.4.
    expect(ballsOnTray(35)).toBe(24);
    const room = coldRoomOf(planned('pop', { count: 36, size: { by: 'diameter', mm: 35 } }), withRoom(2));
    expect(room).toMatchObject({ where: 'fridge', what: 'tray', each: 24, needed: 2, room: 2, goes: 1 });
    expect(room && coldWords(room)).toBe(
      'Room in the fridge for 2 trays of about {300 mm} by {200 mm}, 24 on each.',
    );
  });

  it('never takes fewer than one, nor more of what is larger', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (d, more) => {
          expect(ballsOnTray(d)).toBeGreaterThanOrEqual(1);
          expect(ballsOnTray(d + more)).toBeLessThanOrEqual(ballsOnTray(d));
        },
      ),
    );
  });

  it('is said to be short only where somebody has counted it', () => {
    const pops = planned('pop', { count: 60, size: { by: 'diameter', mm: 35 } });
    expect(coldFault(pops, withRoom())).toBeNull();
    expect(coldFault(pops, withRoom(3))).toBeNull();
    // 60 on trays of 24 are 3; two at a time are 2 goes, 48 first.
    expect(coldFault(pops, withRoom(2))).toEqual({
      fault: '3 trays for the fridge at once, and it takes 2: 2 goes.',
      mend: 'Chill 48 first and the rest while these are dipped; or choose another school of dipping.',
    });
    expect(coldFault(pops, withRoom(0))?.fault).toMatch(/no room in it/);
  });

  it('is the freezer’s for balls frozen through and for filled moulds', () => {
    const pops = planned('pop', { count: 12 });
    if (pops.family !== 'pop' || !pops.line.coat) throw new Error('pops are dipped');
    const frozen = planned('pop', { count: 12, coat: { ...pops.line.coat, school: 'frozen' } });
    expect(coldRoomOf(frozen, withRoom(9, 1))).toMatchObject({ where: 'freezer', room: 1 });
    const moulded = planned('cakesicle', { count: 16 });
    const mould = kitchen.moulds?.find(
      ({ id }) => moulded.family === 'cakesicle' && id === moulded.line.mouldId,
    );
    if (!mould) throw new Error('the demo has the mould');
    const two: KitchenDoc = {
      ...withRoom(0, 1),
      moulds: kitchen.moulds?.map((one) => (one.id === mould.id ? { ...one, owned: 2 } : one)),
    };
    expect(coldRoomOf(moulded, two)).toMatchObject({ where: 'freezer', what: 'mould', each: mould.cavities });
    expect(coldFault(moulded, two)?.mend).toBe(
      `Fill 1 mould a round, ${mould.cavities} pieces, and the next when they are out.`,
    );
  });

  it('is nothing that cupcakes, mugs and cubes ask for', () => {
    for (const family of ['cupcake', 'mug', 'mini'] as const)
      expect(coldRoomOf(planned(family), withRoom(0, 0))).toBeNull();
  });

  it('goes by the tray that somebody has measured, and no longer says about', () => {
    const measured: KitchenDoc = { ...withRoom(2), trayLengthMm: 400, trayWidthMm: 260 };
    expect(trayOf(measured)).toEqual({ lengthMm: 400, widthMm: 260 });
    // 400 ÷ 45 = 8.9 and 260 ÷ 45 = 5.8: 40 a tray, so 36 go on one.
    const room = coldRoomOf(planned('pop', { count: 36, size: { by: 'diameter', mm: 35 } }), measured);
    expect(room).toMatchObject({ each: 40, needed: 1, measured: true });
    expect(room && coldWords(room)).toBe(
      'Room in the fridge for 1 tray of {400 mm} by {260 mm}, 40 on each.',
    );
    // Half a measure is none: the other side would be a guess.
    expect(coldRoomOf(planned('pop'), { ...withRoom(2), trayLengthMm: 400 })?.measured).toBe(false);
  });

  it('that each line has by itself may still be short for all of them together', () => {
    const size = { by: 'diameter', mm: 35 };
    const lines = [planned('pop', { count: 36, size }), planned('pop', { count: 24, size })];
    // 36 take two trays and 24 one: three in all.
    expect(coldFaults(lines, withRoom(3))).toEqual([]);
    expect(coldFaults(lines, withRoom())).toEqual([]);
    expect(coldFaults(lines, withRoom(2))).toEqual([
      {
        fault: 'Together the lines put 3 trays into the fridge, and it takes 2.',
        mend: 'Chill one line after another: finish the first before the next goes in; or make room.',
      },
    ]);
    // What is said of a line already is not said again of all.
    expect(coldFaults(lines, withRoom(1)).map(({ fault }) => fault)).toEqual([
      '2 trays for the fridge at once, and it takes 1: 2 goes.',
    ]);
  });
});
