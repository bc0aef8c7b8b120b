import { FAMILY_FILES } from '../../demo/families';
import type { Place, RunFile } from '../model/documents';
import type { BakeClock } from './clocksIn';
import { nextPlace, ovenOf, placeFor, placeWords, placesOf } from './places';
import { eventsOf } from './test-utils/loads';

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
const words = (places: readonly Place[]) => places.map((one) => placeWords([one]));
const clock = (places: readonly Place[], over: Partial<BakeClock> = {}): BakeClock => ({
  id: `c${places.map(({ rack, tin }) => `${rack}${tin}`).join('')}`,
  lineId: line.id,
  load: 1,
  pieces: wells,
  startedAt: 0,
  firstLookS: 900,
  expectedS: 1100,
  latestS: 1300,
  looks: [],
  endedAt: null,
  places,
  ...over,
});
const put = (clocks: readonly BakeClock[], racks: number, tinsPerRack: number, pieces = wells) =>
  words(
    placeFor(
      { lines: run.lines, log: eventsOf(...clocks) },
      { lineId: line.id, pieces },
      racked(racks, tinsPerRack),
    ),
  );

describe('places in an oven', () => {
  it('are named from the top and from the left, and not at all where there is one', () => {
    expect(placesOf({ racks: 1, tinsPerRack: 1 })).toEqual([]);
    expect(words(placesOf({ racks: 2, tinsPerRack: 1 }))).toEqual(['upper rack', 'lower rack']);
    expect(words(placesOf({ racks: 1, tinsPerRack: 2 }))).toEqual(['left', 'right']);
    expect(words(placesOf({ racks: 2, tinsPerRack: 2 }))[2]).toBe('lower rack, left');
    expect(new Set(words(placesOf({ racks: 5, tinsPerRack: 4 }))).size).toBe(20);
  });

  const [upper, lower] = placesOf({ racks: 2, tinsPerRack: 1 }) as [Place, Place];
  const four = placesOf({ racks: 2, tinsPerRack: 2 });

  it('go to a load in their order, those that are taken left out; what is out leaves its place', () => {
    expect(put([], 2, 1)).toEqual(['upper rack']);
    expect(put([clock([upper])], 2, 1)).toEqual(['lower rack']);
    expect(put([clock([upper], { endedAt: 5 })], 2, 1)).toEqual(['upper rack']);
    expect(put([clock([upper]), clock([lower])], 2, 1)).toEqual([]);
  });

  it('are several for a load of several tins, and need no name where it fills the oven', () => {
    expect(put([], 2, 2, wells * 2)).toEqual(['upper rack, left', 'upper rack, right']);
    expect(placeWords(four.slice(0, 2))).toBe('upper rack, left and upper rack, right');
    expect(put([clock(four.slice(0, 2))], 2, 2)).toEqual(['lower rack, left']);
    expect(put([], 2, 1, wells * 2)).toEqual([]);
    expect(put([], 1, 1)).toEqual([]);
  });

  it('follow one another when a load was put elsewhere', () => {
    const [two] = racked(2, 1).ovens.filter(({ id }) => id === oven.id);
    expect(nextPlace([upper], two)).toEqual(lower);
    expect(nextPlace([lower], two)).toEqual(upper);
    expect(nextPlace([], two)).toBeNull();
  });
});
