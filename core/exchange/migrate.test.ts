import fc from 'fast-check';
import { readFileSync, readdirSync } from 'node:fs';
import { FAMILY_FILES } from '../../demo/families';
import { clocksIn } from '../bench/clocksIn';
import { placeWords } from '../bench/places';
import { planWhole } from '../plan';
import { readDocument, upToDate } from './migrate';
import { readRunFile } from './read';

const FOLDER = `${__dirname}/fixtures/v1`;
const fixture = (name: string) =>
  JSON.parse(readFileSync(`${FOLDER}/${name}.run.json`, 'utf8')) as Record<
    'run' | 'kitchen',
    Record<string, unknown>
  >;
const NAMES = readdirSync(FOLDER).map((file) => file.replace('.run.json', ''));

/** Every figure of a file with its range. */
function figuresOf(data: unknown): [string, number, number, number][] {
  const read = readRunFile(data);
  if (!read.ok) throw new Error(read.faults.map(({ field, fault }) => `${field}: ${fault}`).join());
  return planWhole(read.value).lines.flatMap((line) => {
    if (!line.planned) throw new Error(line.fault.fault);
    return line.figures.map(({ id, value, low, high }): [string, number, number, number] => [
      `${line.line.id} ${id}`,
      value,
      low,
      high,
    ]);
  });
}

describe('files of the first version', () => {
  it.each(NAMES)('%s: opens, and comes to what it does today', (name) => {
    expect(fixture(name)).toMatchObject({ version: 1, run: { version: 1 }, kitchen: { version: 1 } });
    const today = FAMILY_FILES[name] ?? null;
    // Today’s kitchen has counted its bowls; no figure of a line rests on them.
    const now = today ?? { ...fixture(name) };
    // The demo breaks eggs another way since.
    const old = JSON.parse(
      JSON.stringify(fixture(name)).replaceAll('"eggs":"nearest"', '"eggs":"follow"'),
    ) as typeof now;
    expect(figuresOf(old)).toEqual(figuresOf(now));
  });

  it('keep what was weighed in them, on lines and on the run', () => {
    const file = fixture('pops');
    const lines = file.run.lines as Record<string, unknown>[];
    file.run.lines = lines.map((line, i) => (i === 0 ? { ...line, stated: { 'dough.total': 900 } } : line));
    file.run.stated = { 'formula-malt-buttercream/mixed': 640 };
    const read = readRunFile(file);
    if (!read.ok) throw new Error(read.faults[0]?.fault);
    expect(read.value.run.lines[0]?.measured).toEqual({ 'dough.total': 900 });
    expect(read.value.run.measured).toEqual({ 'formula-malt-buttercream/mixed': 640 });
    expect(read.value.run).not.toHaveProperty('stated');
  });

  it('keep what held always as beliefs of the kitchen, and set aside what was one run’s alone', () => {
    const kitchen = {
      ...fixture('pops').kitchen,
      stated: { 'bake.factor': 1.1, 'cool.constant': 900, 'leftover.mass': 300, 'no.such': 4 },
    };
    const read = readDocument(kitchen);
    if (!read.ok) throw new Error(read.faults[0]?.fault);
    expect(read.value).toMatchObject({
      version: 2,
      beliefs: [
        { param: 'bake.factor', of: 'kitchen', mean: 1.1, spread: 0, seen: 1, since: null },
        { param: 'cool.constant', of: 'size:well', mean: 900 },
      ],
      setAside: { 'leftover.mass': 300, 'no.such': 4 },
    });
    expect(read.value).not.toHaveProperty('stated');
  });

  it('of the third version say what each step was, and keep their loads as what was told of them', () => {
    const old = JSON.parse(readFileSync(`${__dirname}/fixtures/v3/baked.run-doc.json`, 'utf8')) as {
      readonly clocks: readonly (Record<string, unknown> & { readonly looks: readonly object[] })[];
      readonly log: readonly { readonly id: string; readonly what: string }[];
    };
    const read = readDocument(old);
    if (!read.ok || read.value.kind !== 'run') throw new Error('it is a run');
    const { log = [] } = read.value;
    expect(read.value).not.toHaveProperty('clocks');
    const [was] = old.clocks;
    if (!was) throw new Error('it was baked by a clock');
    const { place, ...rest } = was;
    expect(place).toBe('upper rack, left and upper rack, right');
    const [clock, ...others] = clocksIn(read.value);
    expect(others).toHaveLength(old.clocks.length - 1);
    expect(clock).toMatchObject(rest);
    expect(placeWords(clock?.places ?? [])).toBe(place);
    // Nothing that was told is gone, and every step says what was done, for whom.
    const ids = log.map(({ id }) => id);
    for (const { id } of old.log) expect(ids).toContain(id);
    expect(new Set(ids).size).toBe(ids.length);
    const steps = log.flatMap((event) => ('chore' in event ? [event] : []));
    expect(steps.length).toBeGreaterThan(20);
    // What lines share never said whose it was.
    for (const { chore, does, lineIds } of steps)
      expect([typeof does, lineIds ?? null]).toEqual([
        'string',
        /^made:/.test(String(chore)) ? null : ['line-1'],
      ]);
    expect(log.map(({ at }) => at)).toEqual(log.map(({ at }) => at).sort((a, b) => a - b));
  });

  it('of the third version keep every load and every look, whatever its name and however many there are', () => {
    const at = fc.integer({ min: 1_000_000, max: 1_000_400 });
    const look = fc.record({ at, result: fc.constantFrom('not yet', 'nearly') });
    const clock = fc.record({
      id: fc.oneof(
        fc.constantFrom('c', 'a'.repeat(79), `${'a'.repeat(79)}b`),
        fc.stringMatching(/^[a-z]{1,80}$/),
      ),
      lineId: fc.constant('line-1'),
      load: fc.integer({ min: 1, max: 9 }),
      pieces: fc.integer({ min: 1, max: 99 }),
      startedAt: fc.constant(999_000),
      firstLookS: fc.constant(900),
      expectedS: fc.constant(1200),
      latestS: fc.constant(1500),
      looks: fc.array(look, { maxLength: 5 }),
      endedAt: fc.option(fc.constant(1_000_500)),
    });
    const old = JSON.parse(readFileSync(`${__dirname}/fixtures/v3/baked.run-doc.json`, 'utf8')) as object;
    fc.assert(
      fc.property(fc.array(clock, { maxLength: 6 }), (clocks) => {
        const read = readDocument({ ...old, clocks });
        if (!read.ok || read.value.kind !== 'run') throw new Error(JSON.stringify(read));
        const kept = (
          of: readonly Pick<(typeof clocks)[number], 'load' | 'pieces' | 'looks' | 'endedAt'>[],
        ) =>
          of.map(({ load, pieces, looks, endedAt }) =>
            [load, pieces, endedAt, ...looks.map((one) => one.at).sort((a, b) => a - b)].join(),
          );
        expect(kept(clocksIn(read.value) as never).sort()).toEqual(kept(clocks).sort());
      }),
    );
  });

  it.each(['evening', 'pops'])(
    'of the second version (%s) keep their promises, over all that a lot holds',
    (name) => {
      const text = readFileSync(`${__dirname}/fixtures/v2/${name}.run.json`, 'utf8');
      expect(text).toContain('"nutFree": true');
      const file = JSON.parse(text) as unknown;
      const read = readRunFile(file);
      if (!read.ok) throw new Error(read.faults[0]?.fault);
      const lots = read.value.run.lines.flatMap((line) => line.lots ?? []);
      const promised = lots.filter(({ freeFrom }) => freeFrom !== undefined);
      expect(promised.map(({ freeFrom }) => freeFrom)).toEqual([['nuts', 'peanut']]);
      for (const lot of lots) expect(lot).not.toHaveProperty('nutFree');
      expect(figuresOf(file)).toEqual(figuresOf(FAMILY_FILES[name]));
    },
  );

  it('are brought up to date once: what is of today stays the very same', () => {
    const brought = upToDate(fixture('evening'));
    if (!brought.ok) throw new Error('it opens');
    const again = upToDate(brought.value);
    expect(again.ok && again.value).toBe(brought.value);
  });
});
