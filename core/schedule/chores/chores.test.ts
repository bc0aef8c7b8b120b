import {
  dayOfFile,
  dayOfRun,
  keptTooLong,
  nightsBefore,
  waysOut,
  workOf,
  type DayFile,
  type RunDay,
} from '.';
import { FAMILY_FILES } from '../../../demo/families';
import { planWhole } from '../../plan';
import { minutesOf } from '../../model/localTime';
import { toEnd } from '../solver';
import { dayOf as foundDay, file, inKitchen } from './test-utils/days';
import { lanesByLine, lanesByThing, timelineOf } from './lanes';

const FEW = 16;
const dayOf = (of: DayFile, tries = FEW): RunDay => foundDay(of, tries);
/** The evening's, once: it has twelve lines. */
const EVENING = dayOf(file('evening'), 8);
const labels = (day: RunDay, lineId: string) =>
  day.chores.filter(({ chore }) => chore.lineIds.includes(lineId)).map(({ chore }) => chore.label);
describe('the work of a run', () => {
  it.each(Object.keys(FAMILY_FILES))(
    'of %s comes after itself in no ring and names what it waits for',
    (name) => {
      const whole = planWhole(file(name));
      const chores = workOf(whole, file(name).kitchen);
      const ids = new Set(chores.map(({ id }) => id));
      expect(ids.size).toBe(chores.length);
      for (const { after } of chores) for (const { chore } of after) expect(ids).toContain(chore);
      for (const { takes, label } of chores) {
        expect(takes.lengthS).toBeGreaterThanOrEqual(0);
        expect(takes.figureId !== null || takes.basis !== '').toBe(true);
        expect(label).not.toBe('');
      }
    },
  );

  it('ends every line packed', () => {
    const { run } = file('evening');
    const day = EVENING;
    for (const { id } of run.lines) expect(labels(day, id)).toContain('Pack, label, put away');
  });

  it('takes a cake pop through all its steps', () => {
    const day = dayOf(file('pops'));
    const line = file('pops').run.lines.find(({ id }) => id === 'pops-fresh');
    const own = labels(day, line?.id ?? '');
    const at = (label: string) => own.indexOf(label);
    const order = [
      'Crumble',
      'Bind',
      'Portion and roll',
      'Chill',
      'Sticks in',
      'Sticks set',
      'Dip and garnish',
      'Coat sets',
    ];
    for (const label of order) expect(at(label)).toBeGreaterThanOrEqual(0);
    expect(order.map(at)).toEqual([...order.map(at)].sort((a, b) => a - b));
  });

  it('rolls by hand what the table says: 40 s a piece', () => {
    const whole = planWhole(file('pops'));
    const roll = workOf(whole, file('pops').kitchen).find(({ id }) => id === 'pops-fresh/roll');
    expect(roll?.takes.lengthS).toBe(40 * (roll?.pieces ?? 0));
  });
});

describe('the day of a run', () => {
  it.each(['pops', 'cakesicles', 'mugs', 'minis', 'evening'])('of %s can be worked', (name) => {
    const day = name === 'evening' ? EVENING : dayOf(file(name), 8);
    expect(day.breaches).toEqual([]);
    expect(day.lacking).toEqual([]);
    expect(day.chores.every(({ endMin }) => endMin >= -0.01)).toBe(true);
  });

  it('begins at the latest safe start and keeps its margin in hand', () => {
    const day = dayOf(file('minis'));
    const { readyAt } = file('minis').run;
    const first = Math.max(
      ...day.chores.map(({ startMin }) => startMin),
      ...day.turns.map(({ atMin }) => atMin),
    );
    expect(minutesOf(readyAt) - minutesOf(day.safeStartAt ?? '')).toBe(Math.ceil(first));
    expect(Math.min(...day.chores.map(({ endMin }) => endMin))).toBeGreaterThanOrEqual(day.inHandMin - 0.01);
    expect(day.bareChance).toBeLessThan(0.9);
  });

  it('is the same for the same run', () => {
    expect(dayOf(file('pops'))).toEqual(dayOf(file('pops')));
  });

  it('gives one pair of hands one thing at a time, and begins no sooner with two', () => {
    const day = dayOf(file('minis'));
    const hands = day.chores
      .filter(({ chore }) => chore.kind === 'hands')
      .sort((a, b) => b.startMin - a.startMin);
    hands
      .slice(1)
      .forEach((one, i) => expect(one.startMin).toBeLessThanOrEqual((hands[i]?.endMin ?? 0) + 0.02));
    const two = dayOf(inKitchen(file('minis'), { hands: 2 }));
    expect((two.safeStartAt ?? '') >= (day.safeStartAt ?? '')).toBe(true);
  });

  it('keeps one tin from two fillings at once', () => {
    const of = file('minis');
    const tins = of.kitchen.tins.map((tin) => ({ ...tin, owned: 1 }));
    const day = toEnd(dayOfFile(inKitchen(of, { tins }), 8));
    expect(day?.breaches).toEqual([]);
  });

  it('turns the oven on so that it is hot, and to another heat in between', () => {
    const day = EVENING;
    expect(day.turns.filter(({ first }) => first).length).toBeGreaterThan(0);
    for (const turn of day.turns) {
      const fed = day.chores.filter(({ chore }) =>
        chore.holds.some(
          ({ of, settingC }) => of.kind === 'oven' && of.id === turn.ovenId && settingC === turn.settingC,
        ),
      );
      expect(fed.some(({ startMin }) => startMin <= turn.atMin)).toBe(true);
    }
  });

  it('leaves nights alone, and begins the day before where it must', () => {
    const of = file('evening');
    const day = EVENING;
    const nights = nightsBefore(of.kitchen, minutesOf(of.run.readyAt), undefined).map(
      ([a, b]) => [-a / 60, -b / 60] as const,
    );
    for (const { chore, startMin, endMin } of day.chores)
      if (chore.kind === 'hands' && startMin - endMin > 0.1)
        for (const [from, until] of nights)
          expect(Math.min(startMin, from) - Math.max(endMin, until)).toBeLessThanOrEqual(0.1);
  });

  it('makes ahead what is chosen, the evening before at the latest', () => {
    const of = file('pops');
    const part = dayOf(of).chores.find(({ chore }) => chore.part?.id === 'pops-fresh/dough')?.chore.part;
    const day = dayOf({ ...of, run: { ...of.run, ahead: { [part?.id ?? '']: 1 } } });
    const date = of.run.readyAt.slice(0, 10);
    const own = day.chores.filter(({ chore }) => chore.part?.id === part?.id);
    expect(own.length).toBeGreaterThan(3);
    for (const { endAt } of own) expect(endAt.slice(0, 10) < date).toBe(true);
    expect(day.breaches).toEqual([]);
  });

  it('holds a chore where somebody holds it', () => {
    const of = file('pops');
    const id = 'balls-leftover/roll';
    const before = dayOf(of).chores.find(({ chore }) => chore.id === id);
    const at = Math.round((before?.startMin ?? 0) + 20);
    const day = dayOf({ ...of, run: { ...of.run, held: { [id]: at } } });
    expect(day.chores.find(({ chore }) => chore.id === id)?.startMin).toBeCloseTo(at, 0);
    expect(day.breaches).toEqual([]);
  });

  it('says what would be made longer before than it keeps', () => {
    expect(keptTooLong(dayOf(file('pops')))).toEqual([]);
    // An hour's work a day: four hours of it begin days before.
    const late = keptTooLong(dayOf(inKitchen(file('pops'), { restFrom: '12:00', restUntil: '11:00' }), 4));
    for (const { chore, endMin } of late) expect(endMin / 1440).toBeGreaterThan(chore.part?.keepsDays ?? 1);
    expect(late.length).toBeGreaterThan(0);
  });

  it('says what is lacking instead of a day that cannot be', () => {
    const of = file('mugs');
    const line = of.run.lines[0];
    const whole = planWhole(of);
    const day = dayOfRun({ whole, kitchen: { ...of.kitchen, microwaves: [] }, readyAt: of.run.readyAt });
    expect(line?.family).toBe('mug');
    expect(day?.lacking.length).toBeGreaterThan(0);
    expect(day?.chores).toEqual([]);
  });

  it('goes across a change of the clocks', () => {
    const of = file('pops');
    const changes = [{ at: '2026-03-29T01:00', byMin: 60 }];
    const run = { ...of.run, readyAt: '2026-03-29T09:00' };
    const day = dayOf({ ...of, run, changes });
    const plain = dayOf({ ...of, run });
    const span = (one: RunDay) => one.chores[0]?.startMin;
    expect(day.breaches).toEqual([]);
    expect(Math.abs((span(day) ?? 0) - (span(plain) ?? 0))).toBeLessThan(120);
  });

  it('tells the ways out by what each gives, and keeps its promise', () => {
    const of = file('pops');
    const ways = toEnd(waysOut(of, dayOf(of), null, FEW));
    expect(ways.length).toBeGreaterThan(0);
    expect(ways.map(({ gainsMin }) => gainsMin)).toEqual(
      [...ways.map(({ gainsMin }) => gainsMin)].sort((a, b) => b - a),
    );
    const hands = ways.find(({ id }) => id === 'hands');
    if (hands?.change.of !== 'kitchen') throw new Error('another pair of hands helps here');
    const then = dayOf({ ...of, kitchen: hands.change.kitchen });
    expect((then.safeStartAt ?? '') > (dayOf(of).safeStartAt ?? '')).toBe(true);
  });
});

describe('nights', () => {
  it('come before the hour, and are none where nobody rests', () => {
    const { kitchen } = file('pops');
    const [first] = nightsBefore(kitchen, minutesOf('2026-11-28T16:00'), undefined);
    // From 22:00 the day before to 06:30: 18 h and 9.5 h before four o'clock.
    expect(first).toEqual([-18 * 3600, -9.5 * 3600]);
    expect(
      nightsBefore(
        { ...kitchen, restFrom: '00:00', restUntil: '00:00' },
        minutesOf('2026-11-28T16:00'),
        undefined,
      ),
    ).toEqual([]);
  });
});

describe('lanes', () => {
  const day = EVENING;
  const lineIds = file('evening').run.lines.map(({ id }) => id);

  it('show every chore of every line once by line', () => {
    const shown = lanesByLine(day, lineIds).flatMap(({ chores }) =>
      chores.map(({ timed }) => timed.chore.id),
    );
    expect(new Set(shown).size).toBe(shown.length);
    expect(shown.length).toBe(day.chores.length);
  });

  it('give what happens at one time rows of its own', () => {
    for (const { chores, rows } of [...lanesByThing(day), ...lanesByLine(day, lineIds)]) {
      for (let row = 0; row < rows; row += 1) {
        const own = chores
          .filter((one) => one.row === row)
          .sort((a, b) => b.timed.startMin - a.timed.startMin);
        own
          .slice(1)
          .forEach(({ timed }, i) =>
            expect(timed.startMin).toBeLessThanOrEqual((own[i]?.timed.endMin ?? 0) + 0.02),
          );
      }
    }
  });

  it('lay clock time in order, and find the minute of a place again', () => {
    const line = timelineOf(day, minutesOf('2026-11-28T16:00'), 4);
    const starts = day.chores.map(({ startMin }) => startMin);
    const places = starts.map(line.at);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    for (const min of starts) expect(line.minutesAt(line.at(min))).toBeCloseTo(min, 3);
    for (const mark of line.marks) expect((minutesOf('2026-11-28T16:00') - mark) % 60).toBe(0);
  });
});
