import { dayOfFile, nightsBefore, workOf, type Chore, type DayFile, type RunDay } from '.';
import { DEMO_FORMULAS } from '../../../demo';
import { FAMILY_FILES } from '../../../demo/families';
import { minutesOf } from '../../model/localTime';
import { planWhole } from '../../plan';
import { CUPCAKE } from '../../plan/test-utils/lines';
import { METHODS } from '../../process/batter.table';
import { toEnd } from '../solver';
import { OVEN_DOOR } from './chores.table';
import { dayOf, file, inKitchen } from './test-utils/days';

const choresOf = (of: DayFile, ahead = {}): Chore[] => workOf(planWhole(of), of.kitchen, undefined, ahead);
const LONGEST_WAIT_S = Math.max(...Object.values(METHODS).map(({ waitMin }) => waitMin * 60));

describe('what does not wait', () => {
  it.each(Object.keys(FAMILY_FILES))('in %s: no batter stands longer than it may before its heat', (name) => {
    const chores = choresOf(file(name));
    const baked = chores.filter(({ kind }) => kind === 'oven');
    expect(baked.length).toBeGreaterThan(0);
    for (const { after } of baked) {
      const mixes = after.filter(({ chore }) => /\/(bake\d+\.)?mix(-\d+)?$/.test(chore));
      expect(mixes.length).toBeGreaterThan(0);
      // Filling its wells is part of the wait.
      for (const { mostS } of mixes) expect(mostS ?? Infinity).toBeLessThanOrEqual(LONGEST_WAIT_S + 1200);
    }
  });

  it('a coat for rounds: each later round has it brought back first', () => {
    const chores = choresOf(file('cakesicles'));
    const later = chores.filter(({ id }) => /coat-a-[2-9]$/.test(id));
    expect(later.length).toBeGreaterThan(1);
    for (const { after } of later) {
      const warm = after.find(({ chore }) => chore.includes('/warm-'));
      expect(warm?.mostS).not.toBeNull();
      expect(warm).toBeDefined();
    }
  });

  it('a frosting that fills as well is spread while it is soft', () => {
    const spread = choresOf(file('evening')).filter(({ id }) => id.startsWith('moons-paired/fill-in'));
    expect(spread.length).toBeGreaterThan(0);
    for (const { after } of spread)
      expect(after.find(({ chore }) => chore.startsWith('made:'))?.mostS).toBe(3 * 3600);
  });

  it('a frosting made days before stands out of the fridge and is beaten soft on the day', () => {
    const of = file('evening');
    const part = choresOf(of).find(({ id }) => id === 'made:formula-malt-buttercream/make')?.part;
    if (!part) throw new Error('the buttercream keeps');
    const ahead = { [part.id]: 1 };
    const chores = choresOf(of, ahead);
    const soften = chores.find(({ id }) => id === 'made:formula-malt-buttercream/soften');
    expect(soften?.part).toBeNull();
    expect(chores.find(({ id }) => id.endsWith('/frosting-out'))?.takes.lengthS).toBe(3600);
    const day = dayOf({ ...of, run: { ...of.run, ahead } }, 8);
    const at = (id: string) => day.chores.find(({ chore }) => chore.id === id);
    const made = at('made:formula-malt-buttercream/make');
    const beaten = at('made:formula-malt-buttercream/soften');
    expect((made?.endAt ?? '') < of.run.readyAt.slice(0, 10)).toBe(true);
    const frost = at('cupcakes-frosted/colour');
    expect((beaten?.endMin ?? 0) - (frost?.startMin ?? 0)).toBeLessThanOrEqual(180 + 0.1);
    expect(day.breaches).toEqual([]);
  });

  it('an oven is not left on at night', () => {
    const of = file('evening');
    const day = dayOf(of, 8);
    const nights = nightsBefore(of.kitchen, minutesOf(of.run.readyAt), undefined);
    const baked = day.chores.filter(({ chore }) => chore.holds.some(({ of: on }) => on.kind === 'oven'));
    for (const { startMin, endMin } of baked)
      for (const [from, until] of nights)
        expect(-startMin * 60 >= until - 1 || -endMin * 60 <= from + 1).toBe(true);
    for (const { atMin } of day.turns)
      for (const [from, until] of nights) expect(-atMin * 60 >= until - 61 || -atMin * 60 <= from).toBe(true);
  });
});

describe('an oven that two formulas share', () => {
  const bakesOf = (day: RunDay) =>
    day.chores.flatMap(({ chore, startMin, endMin }) =>
      chore.holds
        .filter(({ of, sets }) => of.kind === 'oven' && sets !== undefined)
        .map(() => ({ from: -startMin, until: -endMin })),
    );

  it('bakes them in one load where heat and time agree', () => {
    const of = file('minis');
    const line = { ...CUPCAKE, count: 10, lots: [] };
    const lines = [
      { ...line, id: 'one' },
      { ...line, id: 'two', formulaId: 'formula-beetroot-ginger' },
    ];
    const day = dayOf(
      inKitchen(
        { ...of, run: { ...of.run, lines }, formulas: [...DEMO_FORMULAS, ...of.formulas] },
        { hands: 2 },
      ),
      40,
    );
    const [one, two] = bakesOf(day);
    if (!one || !two) throw new Error('each is one load');
    expect(Math.abs(one.from - two.from) * 60).toBeLessThanOrEqual(OVEN_DOOR.togetherS + 1);
  });

  it('is opened on neither before it has set', () => {
    for (const name of ['minis', 'evening']) {
      const bakes = bakesOf(dayOf(file(name), 8));
      expect(bakes.length).toBeGreaterThan(4);
      for (const shut of bakes)
        for (const other of bakes) {
          if (other === shut) continue;
          for (const opened of [other.from, other.until]) {
            const share = (opened - shut.from) / (shut.until - shut.from);
            const soon = (opened - shut.from) * 60 <= OVEN_DOOR.togetherS + 1;
            expect(soon || share >= OVEN_DOOR.setShare - 0.01).toBe(true);
          }
        }
    }
  });
});

describe('a day that is found again', () => {
  const found = (of: DayFile, known?: DayFile['known']): RunDay => {
    const day = toEnd(dayOfFile({ ...of, known }, 12, 200));
    if (!day) throw new Error('a day comes together');
    return day;
  };
  const begins = ({ chores, turns }: RunDay) =>
    Math.max(...chores.map(({ startMin }) => startMin), ...turns.map(({ atMin }) => atMin));

  it.each(['pops', 'cakesicles', 'minis', 'evening'])('is the same %s, written down and read', (name) => {
    const before = found(file(name));
    if (!before.known) throw new Error('a day can be written down');
    const text = JSON.stringify(before.known);
    const again = found(file(name), { day: JSON.parse(text) as typeof before.known, same: true });
    expect(again.chores.map(({ startAt }) => startAt)).toEqual(before.chores.map(({ startAt }) => startAt));
    expect(again.safeStartAt).toBe(before.safeStartAt);
  });

  it.each(['pops', 'cakesicles', 'minis'])('never begins sooner with more of something: %s', (name) => {
    const of = file(name);
    const { kitchen } = of;
    const before = found(of);
    if (!before.known) throw new Error('a day can be written down');
    const more: Partial<DayFile['kitchen']>[] = [
      { hands: 2 },
      { hands: 3 },
      { bowls: (kitchen.bowls ?? []).map((one) => ({ ...one, owned: one.owned + 1 })) },
      { fridgeTrays: (kitchen.fridgeTrays ?? 4) + 2, freezerTrays: (kitchen.freezerTrays ?? 4) + 2 },
      { sheets: (kitchen.sheets ?? []).map((one) => ({ ...one, owned: one.owned + 1 })) },
      { restFrom: '23:00', restUntil: '06:00' },
      { moulds: (kitchen.moulds ?? []).map((one) => ({ ...one, owned: one.owned + 1 })) },
    ];
    const pieces = ({ chores }: RunDay) =>
      chores.reduce((sum, { chore }) => sum + (chore.id.endsWith('/pack') ? (chore.pieces ?? 0) : 0), 0);
    for (const change of more) {
      const after = found(inKitchen(of, change), { day: before.known, same: false });
      expect(after.breaches).toEqual([]);
      // With another mould a last round that is fuller may be of more pieces: that is more work.
      if (pieces(after) <= pieces(before)) expect(begins(after)).toBeLessThanOrEqual(begins(before) + 0.05);
    }
  });

  it('is sought anew where it cannot be worked any more', () => {
    const of = inKitchen(file('minis'), { hands: 2 });
    const two = found(of);
    if (!two.known) throw new Error('a day can be written down');
    // What says that nothing has changed is not believed either.
    const one = found(file('minis'), { day: two.known, same: true });
    expect(one.breaches).toEqual([]);
    expect(begins(one)).toBeGreaterThan(begins(two));
  });
});
