import { FAMILY_FILES } from '../../demo/families';
import type { ClockDoc, RunFile } from '../model/documents';
import { nextPlace, ovenOf, placeFor, placesOf } from './places';

const { run, kitchen } = FAMILY_FILES.evening as RunFile;
const line = run.lines.find(({ family }) => family === 'cupcake');
if (line?.family !== 'cupcake') throw new Error('there are cupcakes');
const wells = kitchen.tins.find(({ id }) => id === line.tinId)?.wells ?? 12;
const oven = ovenOf(line, kitchen);
if (!oven) throw new Error('they bake in an oven');
const racked = (racks: number, tinsPerRack: number) => ({
  ...kitchen,
  ovens: kitchen.ovens.map((one) => (one.id === oven.id ? { ...one, racks, tinsPerRack } : one)),
});
const clock = (place: string | undefined, over: Partial<ClockDoc> = {}): ClockDoc => ({
  id: 'c',
  lineId: line.id,
  load: 1,
  pieces: wells,
  startedAt: 0,
  firstLookS: 900,
  expectedS: 1100,
  latestS: 1300,
  looks: [],
  endedAt: null,
  ...(place === undefined ? {} : { place }),
  ...over,
});
const put = (clocks: ClockDoc[], racks: number, tinsPerRack: number, pieces = wells) =>
  placeFor({ lines: run.lines, clocks }, { lineId: line.id, pieces }, racked(racks, tinsPerRack)).place;

describe('places in an oven', () => {
  it('are named from the top and from the left, and not at all where there is one', () => {
    expect(placesOf({ racks: 1, tinsPerRack: 1 })).toEqual([]);
    expect(placesOf({ racks: 2, tinsPerRack: 1 })).toEqual(['upper rack', 'lower rack']);
    expect(placesOf({ racks: 1, tinsPerRack: 2 })).toEqual(['left', 'right']);
    expect(placesOf({ racks: 2, tinsPerRack: 2 })[2]).toBe('lower rack, left');
    expect(new Set(placesOf({ racks: 5, tinsPerRack: 4 })).size).toBe(20);
  });

  it('go to a load in their order, those that are taken left out; what is out leaves its place', () => {
    expect(put([], 2, 1)).toBe('upper rack');
    expect(put([clock('upper rack')], 2, 1)).toBe('lower rack');
    expect(put([clock('upper rack', { endedAt: 5 })], 2, 1)).toBe('upper rack');
    expect(put([clock('upper rack'), clock('lower rack')], 2, 1)).toBeUndefined();
  });

  it('are several for a load of several tins, and need no name where it fills the oven', () => {
    expect(put([], 2, 2, wells * 2)).toBe('upper rack, left and upper rack, right');
    expect(put([clock('upper rack, left and upper rack, right')], 2, 2)).toBe('lower rack, left');
    expect(put([], 2, 1, wells * 2)).toBeUndefined();
    expect(put([], 1, 1)).toBeUndefined();
  });

  it('follow one another when a load was put elsewhere', () => {
    const [two] = racked(2, 1).ovens.filter(({ id }) => id === oven.id);
    expect(nextPlace('upper rack', two)).toBe('lower rack');
    expect(nextPlace('lower rack', two)).toBe('upper rack');
    expect(nextPlace(undefined, two)).toBeNull();
  });
});
