import { eventsOf } from '../bench/test-utils/loads';
import { readFileSync } from 'node:fs';
import type { PastFile } from '../../demo/past';
import type { RunDoc } from '../model/documents';
import { chartsOf, longestRun, median, minutesByStage } from './charts';
import { comparedRuns } from './compare';
import { sortsOf } from './sorts';

const PAST = JSON.parse(readFileSync('public/demo-past.json', 'utf8')) as PastFile;
const NOW = Date.UTC(2026, 10, 28, 16);
const charts = (runs: readonly RunDoc[]) => chartsOf(runs, { ovens: [] }, (_, of) => of, NOW);
const chart = (runs: readonly RunDoc[], id: string) => charts(runs).find((one) => one.id === id);
const [FIRST] = PAST.runs;
if (!FIRST?.closed) throw new Error('the past has runs');

/** A closed run of which this was told. */
const closed = (id: string, over: Partial<RunDoc>, made = 24): RunDoc => ({
  ...FIRST,
  id,
  name: id,
  log: [],
  closed: { at: NOW, made, finish: 'gentle', note: '' },
  ...over,
});
const weighed = (...masses: readonly number[]): RunDoc['log'] =>
  masses.map((massG, i) => ({
    id: `w${i}`,
    at: NOW + i,
    what: 'weighed',
    chore: 'line-1/roll',
    does: 'roll',
    lineIds: ['line-1'],
    of: 'portion',
    massG,
  }));
const load = (tookMin: number, expectedMin: number) => ({
  id: 'c',
  lineId: 'line-1',
  load: 1,
  pieces: 12,
  startedAt: NOW,
  firstLookS: expectedMin * 50,
  expectedS: expectedMin * 60,
  latestS: expectedMin * 80,
  looks: [],
  places: [],
  endedAt: NOW + tookMin * 60_000,
});

describe('charts', () => {
  it('wait until there is enough to see', () => {
    expect(charts([])).toEqual([]);
    expect(charts([closed('a', {})]).map(({ id }) => id)).toEqual([]);
  });

  it('are all there for the demo kitchen, each with its sentence and as many rows as it draws', () => {
    const all = charts(PAST.runs);
    expect(all.map(({ id }) => id)).toEqual(['time', 'even', 'binder', 'coat', 'yield', 'hours', 'sure']);
    for (const { says, points } of all) {
      expect(says).toMatch(/[.]$/);
      expect(points.length).toBeGreaterThan(1);
      for (const { value } of points) expect(Number.isFinite(value)).toBe(true);
    }
  });

  it('take no notice of the order in which runs are kept, nor of open ones', () => {
    const open = { ...FIRST, id: 'open', closed: null };
    expect(charts([open, ...PAST.runs].reverse())).toEqual(charts(PAST.runs));
  });

  it('say of loads how far off their clocks were, in the middle of the last five', () => {
    // 24 min for 20: a fifth longer. By hand.
    const runs = [1, 2, 3].map((i) => closed(`r${i}`, { log: eventsOf(load(24, 20)) }));
    expect(chart(runs, 'time')?.points.map(({ value }) => value)).toEqual([120, 120, 120]);
    expect(chart(runs, 'time')?.says).toContain('20 % longer');
    const right = [1, 2, 3].map((i) => closed(`r${i}`, { log: eventsOf(load(20.5, 20)) }));
    expect(chart(right, 'time')?.says).toContain('trust the first look');
    // One slip does not speak for the rest.
    const slip = [...right, closed('slip', { log: eventsOf(load(31, 20)) })];
    expect(chart(slip, 'time')?.says).toContain('trust the first look');
  });

  it('draw the limits of a control chart: 2.66 mean moving ranges about the middle', () => {
    // By hand: middle 25, moving ranges 2, 2, 2, 2, 2: limits 25 ± 5.32.
    const even = chart([closed('a', { log: weighed(24, 26, 24, 26, 24, 26) })], 'even');
    expect(even?.marks.map(({ value }) => Math.round(value * 100) / 100)).toEqual([19.68, 25, 30.32]);
    expect(even?.says).toContain('all within what chance does');
    const off = chart(
      [closed('a', { log: weighed(25, 25, 25.2, 25, 25, 31, 25, 25, 25.2, 25, 25, 25) })],
      'even',
    );
    expect(off?.says).toMatch(/^1 of 12 lie/);
    const drift = chart(
      [closed('a', { log: weighed(23, 23, 23, 23, 23, 23, 23, 27, 27, 27, 27, 27, 27, 27) })],
      'even',
    );
    expect(drift?.says).toMatch(/heavier than the first five/);
  });

  it('hold pieces of one size against each other: of the line of which most were weighed', () => {
    const [line] = FIRST.lines;
    if (!line) throw new Error('it has a line');
    const balls = (weighed(50, 50, 50) ?? []).map((event) => ({
      ...event,
      id: `b${event.id}`,
      chore: 'line-2/roll',
      lineIds: ['line-2'],
    }));
    const log = [...(weighed(24, 26, 24, 26, 24, 26) ?? []), ...balls] as RunDoc['log'];
    const even = chart([closed('a', { log, lines: [line, { ...line, id: 'line-2' }] })], 'even');
    expect(even?.points).toHaveLength(6);
    expect(even?.marks[1]?.value).toBe(25);
    expect(even?.title).toContain('line 1');
  });

  it('say how many to plan for all that are promised', () => {
    // 18 of 24 is three quarters: 48 for 36. By hand.
    const runs = ['a', 'b'].map((id) =>
      closed(id, { lines: FIRST.lines.map((line) => ({ ...line, count: 24 })) }, 18),
    );
    expect(chart(runs, 'yield')?.says).toContain('plan 48 for 36');
  });

  it('count the work between two taps, and not what was an absence', () => {
    const at = (min: number) => NOW + min * 60_000;
    const log: RunDoc['log'] = [
      { id: '1', at: at(0), what: 'done', chore: 'a', does: 'butter-out' },
      { id: '2', at: at(10), what: 'done', chore: 'b', does: 'mix' },
      { id: '3', at: at(80), what: 'done', chore: 'c', does: 'load' },
      { id: '4', at: at(95), what: 'done', chore: 'd', does: 'load' },
    ];
    expect([...minutesByStage({ log })]).toEqual([
      ['weigh', 10],
      ['oven', 15],
    ]);
  });

  it('know the middle of a few, and the longest run to one side', () => {
    expect([median([3, 1, 2]), median([4, 1, 2, 3])]).toEqual([2, 2.5]);
    expect(longestRun([1, 1, -1, -1, -1, 0, -1])).toBe(3);
  });
});

describe('two runs beside each other', () => {
  it('differ most first, and say what neither told not at all', () => {
    const a = closed('a', { log: eventsOf(load(20, 20)) }, 24);
    const b = closed('b', { log: [...eventsOf(load(30, 20)), ...(weighed(20, 22, 21) ?? [])] }, 23);
    const rows = comparedRuns(a, b);
    expect(rows[0]).toMatchObject({ what: 'A load took', a: 20, b: 30 });
    expect(rows.find(({ what }) => /^A portion/.test(what))).toMatchObject({ a: null, b: 21, off: 0 });
    expect(rows.some(({ what }) => /Binder/.test(what))).toBe(false);
    for (const [i, { off }] of rows.entries()) expect(off).toBeLessThanOrEqual(rows[i - 1]?.off ?? 1);
  });
  it('are the same as themselves', () => {
    for (const run of PAST.runs) for (const { off } of comparedRuns(run, run)) expect(off).toBe(0);
  });
});

describe('what a run is found by', () => {
  it('is its pieces, its formulas, what it was baked in, and how it came out', () => {
    expect(sortsOf(FIRST)).toEqual({
      pieces: ['pop'],
      formulas: ['formula-pumpkin-oat', 'formula-malt-buttercream'],
      ovens: ['oven-main'],
      outcomes: ['gentle', (FIRST.closed?.made ?? 0) < (FIRST.lines[0]?.count ?? 0) ? 'fewer' : 'all'],
    });
    expect(sortsOf(closed('few', {}, 1)).outcomes).toContain('fewer');
    const mugs = PAST.runs.find(({ lines }) => lines[0]?.family === 'mug');
    expect(mugs && sortsOf(mugs).ovens).toEqual(['microwave-hall']);
  });
});
