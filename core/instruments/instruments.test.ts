import fc from 'fast-check';
import { littleKitchen } from './littleKitchen';
import { driftOf, heard, looked, readReading, type Instrument, type Reading } from './reading';

/** Listens to a kitchen for a while, ten times a second. */
function listened(
  kitchen: ReturnType<typeof littleKitchen>,
  seconds: number,
  before: ReadonlyMap<string, Instrument> = new Map(),
  from = 0,
): Map<string, Instrument> {
  const all = new Map(before);
  for (let i = 1; i <= seconds * 10; i += 1) {
    kitchen.step(0.1);
    const at = from + i * 100;
    for (const reading of kitchen.readings()) all.set(reading.id, heard(all.get(reading.id), reading, at));
    for (const [id, one] of all) all.set(id, looked(one, at));
  }
  return all;
}
const of = (all: ReadonlyMap<string, Instrument>, id: string): Instrument => {
  const one = all.get(id);
  if (!one) throw new Error(`"${id}" was heard`);
  return one;
};

describe('a simulated kitchen', () => {
  it('is the same for the same seed', () => {
    const said = (seed: number) => {
      const kitchen = littleKitchen(seed);
      kitchen.deed({ do: 'oven to', settingC: 175 });
      for (let i = 0; i < 100; i += 1) kitchen.step(1);
      return kitchen.readings();
    };
    expect(said(4)).toEqual(said(4));
    expect(said(4)).not.toEqual(said(5));
  });

  it('weighs what is put on it, once it has settled, less what was tared', () => {
    const kitchen = littleKitchen(2);
    kitchen.deed({ do: 'put on', massG: 412 });
    let all = listened(kitchen, 3);
    expect(of(all, 'scale').settled).toBeCloseTo(412, 0);
    kitchen.deed({ do: 'tare' });
    kitchen.deed({ do: 'put on', massG: 190 });
    // Just put on, it moves.
    all = listened(kitchen, 0.2, all, 3000);
    expect(of(all, 'scale').settled).toBeNull();
    all = listened(kitchen, 3, all, 3200);
    expect(of(all, 'scale').settled).toBeCloseTo(190, 0);
  });

  it('warms its oven to about what was set, and a piece in it up to the boil and no further', () => {
    const kitchen = littleKitchen(3);
    kitchen.deed({ do: 'oven to', settingC: 175 });
    for (let i = 0; i < 2400; i += 1) kitchen.step(1);
    const air = kitchen.readings().find(({ id }) => id === 'oven')?.value ?? 0;
    expect(Math.abs(air - 175)).toBeLessThan(30);
    kitchen.deed({ do: 'put in', massG: 50 });
    let last = 0;
    for (let i = 0; i < 60; i += 1) {
      for (let k = 0; k < 60; k += 1) kitchen.step(1);
      const core = kitchen.readings().find(({ id }) => id === 'core')?.value ?? 0;
      expect(core).toBeGreaterThan(last - 1);
      expect(core).toBeLessThan(101);
      last = core;
    }
    expect(last).toBeGreaterThan(95);
  });
});

describe('its microwave', () => {
  /** How warm a mug is after a burst, and what the display shows in the middle of it. */
  const after = (watts: number, seconds: number, massG = 100) => {
    const kitchen = littleKitchen(9);
    const core = () => kitchen.readings().find(({ id }) => id === 'core')?.value ?? 0;
    const left = () => kitchen.readings().find(({ id }) => id === 'microwave')?.value ?? NaN;
    const before = core();
    kitchen.deed({ do: 'burst', massG, watts, seconds });
    for (let i = 0; i < seconds * 5; i += 1) kitchen.step(0.1);
    const half = left();
    for (let i = 0; i < seconds * 5; i += 1) kitchen.step(0.1);
    return { rise: core() - before, half, over: left() };
  };

  it('counts its burst down, and warms a mug by its power, its length and the mass', () => {
    const one = after(800, 20);
    expect(one.half).toBeCloseTo(10, 0);
    expect(one.over).toBe(0);
    expect(one.rise).toBeGreaterThan(15);
    expect(after(800, 20, 200).rise).toBeLessThan(one.rise * 0.6);
    expect(after(400, 20).rise).toBeLessThan(one.rise * 0.6);
    expect(after(800, 30).rise).toBeGreaterThan(one.rise * 1.3);
  });

  it('boils no mug past the boil', () => {
    expect(after(1000, 300).rise).toBeLessThan(100);
  });
});

describe('a scale that drifts', () => {
  it('says so while nothing is on it, and is right again once it is tared', () => {
    const kitchen = littleKitchen(5);
    let all = listened(kitchen, 30);
    expect(driftOf(of(all, 'scale'))).toBeNull();
    for (let i = 0; i < 600; i += 1) kitchen.step(1);
    all = listened(kitchen, 3, all, 700_000);
    expect(driftOf(of(all, 'scale'))).toBeGreaterThan(1);
    kitchen.deed({ do: 'tare' });
    all = listened(kitchen, 3, all, 710_000);
    expect(driftOf(of(all, 'scale'))).toBeNull();
    // A piece on it is no drift.
    kitchen.deed({ do: 'put on', massG: 24 });
    expect(driftOf(of(listened(kitchen, 3, all, 720_000), 'scale'))).toBeNull();
  });
});

describe('an instrument', () => {
  it.each([
    ['lost', 'lost'],
    ['lying', 'lying'],
  ] as const)('that is %s is told as that, and its weight is not taken', (how, health) => {
    const kitchen = littleKitchen(6);
    kitchen.deed({ do: 'put on', massG: 100 });
    const before = listened(kitchen, 3);
    kitchen.deed({ do: 'spoil', id: 'scale', how });
    const all = listened(kitchen, 8, before, 3000);
    expect(of(all, 'scale').health).toBe(health);
    expect(of(all, 'scale').settled).toBeNull();
    // The others go on as they were.
    expect(of(all, 'oven').health).toBe('good');
    kitchen.deed({ do: 'spoil', id: 'scale', how: 'none' });
    expect(of(listened(kitchen, 8, all, 11_000), 'scale').health).toBe('good');
  });

  it('that shows the same tenth for a minute is frozen; a scale may', () => {
    const kitchen = littleKitchen(7);
    kitchen.deed({ do: 'spoil', id: 'oven', how: 'frozen' });
    kitchen.deed({ do: 'spoil', id: 'scale', how: 'frozen' });
    const all = listened(kitchen, 60);
    expect(of(all, 'oven').health).toBe('frozen');
    expect(of(all, 'scale').health).toBe('good');
  });

  it('is stale before it is lost', () => {
    const kitchen = littleKitchen(8);
    const one = of(listened(kitchen, 2), 'core');
    expect(looked(one, one.heardAt + 2000).health).toBe('stale');
    expect(looked(one, one.heardAt + 7000).health).toBe('lost');
  });

  it('is not told twice, nor out of its order, and is believed anew where it begins anew', () => {
    const reading = (seq: number, value: number): Reading => ({ id: 'scale', kind: 'scale', seq, value });
    const first = heard(undefined, reading(40, 10), 0);
    expect(heard(first, reading(40, 99), 100)).toBe(first);
    expect(heard(first, reading(39, 99), 100)).toBe(first);
    expect(heard(first, reading(1, 20), 100).value).toBe(20);
  });
});

describe('a stream', () => {
  it('of garbage never throws and says nothing', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json(), fc.constant('x'.repeat(5000))), (text) => {
        const reading = readReading(text);
        if (reading) expect(Number.isFinite(reading.value)).toBe(true);
      }),
    );
    expect(readReading('{"id":"scale","kind":"scale","seq":1,"value":1e999}')).toBeNull();
    expect(readReading('{"id":"scale","kind":"spoon","seq":1,"value":1}')).toBeNull();
  });

  it('of fifty readings a second for an hour keeps no more than at its beginning', () => {
    let one: Instrument | undefined;
    for (let i = 0; i < 180_000; i += 1)
      one = heard(one, { id: 'core', kind: 'core', seq: i, value: 20 + (i % 7) * 0.1 }, i * 20);
    expect(one?.recent.length).toBeLessThanOrEqual(40);
    expect(one?.health).toBe('good');
  });

  it('with gaps, doubles and turns comes to what the newest of it says', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 30, max: 80 }), { minLength: 1, maxLength: 60 }), (seqs) => {
        let one: Instrument | undefined;
        seqs.forEach((seq, i) => {
          one = heard(one, { id: 'scale', kind: 'scale', seq, value: seq }, i * 100);
        });
        expect(one?.value).toBe(Math.max(...seqs));
      }),
    );
  });
});
