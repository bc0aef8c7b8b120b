import { clocksIn } from '../../core/bench/clocksIn';
import { eventsOf } from '../../core/bench/test-utils/loads';
import { fireEvent } from '@testing-library/react';
import type { Evidence, RunDoc } from '../../core/model/documents';
import { kitchenIn } from '../../state/documents';
import { closeRun, sayOfThing, takeOutRun } from '../../state/learned';
import { useDocuments } from '../../state/store';
import {
  act,
  choose,
  layOutDemo,
  open,
  put,
  run,
  screen,
  tap,
  undo,
  waitFor,
  within,
  words,
} from '../test-utils/open';
import { ChartsScreen } from './ChartsScreen';
import { LearnedScreen } from './LearnedScreen';
import { LogbookScreen } from './LogbookScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});

const RUN = 'run-lantern-evening';
const MINUTE = 60_000;
const bring = (docs: Record<string, RunDoc>) => act(() => useDocuments.getState().change('In', docs));
const beliefs = () => kitchenIn(useDocuments.getState().docs).beliefs.filter(({ learned }) => learned);

/** Closes the evening's run after a load that took so many minutes, wet at a look before. */
function bakeIn(minutes: number): void {
  const now = run(RUN);
  const [line] = now.lines;
  const at = Date.now();
  const startedAt = at - minutes * MINUTE;
  const clock = {
    id: 'clock-1',
    lineId: line?.id ?? '',
    load: 1,
    pieces: 18,
    startedAt,
    firstLookS: 1000,
    expectedS: 1200,
    latestS: 1400,
    looks: [
      { at: startedAt + (minutes - 3) * MINUTE, result: 'nearly' as const, saw: 'crumbs' as const },
      { at, result: 'done' as const, saw: 'clean' as const },
    ],
    endedAt: at,
    places: [],
  };
  bring({ [`run/${RUN}`]: { ...now, log: eventsOf(clock) } });
  act(() => closeRun('Close', RUN, { at, made: 36, finish: 'gentle', note: '' }));
}

beforeEach(layOutDemo);

describe('a closed run', () => {
  it('teaches: the lesson is told, can be refused, and undo takes the closing back with all it taught', async () => {
    bakeIn(25);
    expect(beliefs().length).toBeGreaterThan(0);
    open(<LogbookScreen />);
    expect(words(await screen.findByText(/takes \d+ % longer/))).toMatch(/From now on \d+.*min, look at/);
    tap('radio', 'No, a slip');
    expect(beliefs()).toEqual([]);
    tap('radio', 'Not yet');
    expect(beliefs()).toEqual([]);
    tap('radio', 'From now on');
    const [one] = beliefs();
    expect(one).toMatchObject({ param: 'bake.factor', seen: 1 });
    for (let i = 0; i < 4; i += 1) undo();
    expect(beliefs()).toEqual([]);
    expect(run(RUN).closed).toBeNull();
  });

  it('teaches nothing of a thing from before it was begun afresh', () => {
    bakeIn(25);
    open(<LearnedScreen />);
    fireEvent.click(screen.getAllByRole('button', { name: /Hall oven.*Open it/ })[0] as HTMLElement);
    tap('button', /^Begin afresh: .*oven/);
    expect(beliefs()).toEqual([]);
    expect(run(RUN).closed?.evidence?.length).toBeGreaterThan(0);
  });

  it('shows what a thing began with, leaves one batch out, and stands as it is said by hand', () => {
    bakeIn(25);
    open(<LearnedScreen />);
    const row = () => screen.getAllByRole('button', { name: /Hall oven.*Open it/ })[0] as HTMLElement;
    expect(row().getAttribute('aria-label')).toMatch(/×1\.\d\d.*at first ×1\.00.*from one batch/);
    fireEvent.click(row());
    tap('radio', 'Left out');
    expect(beliefs()).toEqual([]);
    // It stands there still, to be counted again.
    tap('radio', 'Counts');
    expect(beliefs().length).toBeGreaterThan(0);
    tap('button', 'Say it by hand');
    put('1.2', 'Save');
    const said = () => kitchenIn(useDocuments.getState().docs).beliefs.filter(({ learned }) => !learned);
    expect(said()).toMatchObject([{ param: 'bake.factor', of: 'oven:oven-main', mean: 1.2, spread: 0 }]);
    // Taken back, what the batches taught stands there again.
    act(() => sayOfThing('Back', 'bake.factor', 'oven:oven-main', null));
    expect(said()).toEqual([]);
    expect(beliefs()[0]).toMatchObject({ param: 'bake.factor', of: 'oven:oven-main' });
  });

  it('is let go with what it taught where the run is taken out', () => {
    bakeIn(25);
    act(() => takeOutRun(run(RUN)));
    expect(beliefs()).toEqual([]);
    undo();
    expect(beliefs().length).toBeGreaterThan(0);
  });

  it('is baked again on another date', () => {
    bakeIn(25);
    open(<LogbookScreen />);
    tap('button', /^Bake Lantern evening again/);
    tap('button', /^(That is it|Save|Ready then|Take it)/);
    const again = Object.values(useDocuments.getState().docs).filter(
      (doc) =>
        doc.kind === 'run' &&
        doc.closed === null &&
        /^Lantern evening, /.test(doc.name) &&
        (doc.log ?? []).length === 0,
    );
    expect(again.length).toBeGreaterThan(0);
  });
});

describe('many batches', () => {
  it('stand there as far as is looked, the last first, ten more by a tap, and are found by their words', () => {
    const first = run(RUN);
    const docs: Record<string, RunDoc> = {};
    for (let i = 0; i < 45; i += 1) {
      const closed = {
        at: Date.now() - i * 86_400_000,
        made: 30,
        finish: 'flat' as const,
        note: i === 44 ? 'The quince one.' : '',
      };
      docs[`run/old-${i}`] = { ...first, id: `old-${i}`, name: `Batch ${i}`, closed };
    }
    bring(docs);
    open(<LogbookScreen />);
    const shown = () =>
      screen
        .getAllByRole('heading')
        .map(words)
        .filter((one) => /^Batch \d+$/.test(one));
    expect(shown()).toEqual(Array.from({ length: 5 }, (_, i) => `Batch ${i}`));
    tap('button', '10 more of 40');
    expect(shown()).toHaveLength(15);
    fireEvent.change(screen.getByLabelText('Look for a batch'), { target: { value: 'quince' } });
    expect(shown()).toEqual(['Batch 44']);
    fireEvent.change(screen.getByLabelText('Look for a batch'), { target: { value: 'no such' } });
    expect(screen.getByText(/^No batch is like that/)).toBeTruthy();
  });

  it('keep what each of them taught behind a tap', async () => {
    const evidence: Evidence[] = [];
    bakeIn(25);
    const { closed } = run(RUN);
    evidence.push(...(closed?.evidence ?? []));
    const docs: Record<string, RunDoc> = {};
    for (let i = 1; i < 4; i += 1)
      docs[`run/old-${i}`] = {
        ...run(RUN),
        id: `old-${i}`,
        name: `Batch ${i}`,
        closed: closed && { ...closed, at: closed.at - i * 86_400_000, evidence },
      };
    bring(docs);
    open(<LogbookScreen />);
    await waitFor(() => expect(screen.getAllByText('What it taught')).toHaveLength(4));
    expect(screen.getAllByRole('button', { name: 'What it taught' })).toHaveLength(2);
    fireEvent.click(screen.getAllByRole('button', { name: 'What it taught' })[0] as HTMLElement);
    await waitFor(() => expect(screen.getAllByText(/takes \d+ % longer/)).toHaveLength(3));
  });
});

describe('batches side by side', () => {
  const bakeTwice = () => {
    bakeIn(25);
    const { closed } = run(RUN);
    bring({
      'run/other': {
        ...run(RUN),
        id: 'other',
        name: 'The other',
        log: [],
        closed: closed && { ...closed, at: closed.at - 86_400_000, made: 30, note: 'Windy.' },
      },
    });
  };

  const comparedRows = () => {
    open(<LogbookScreen />);
    tap('button', 'Compare Lantern evening with another');
    tap('button', 'Compare The other with another');
    tap('button', 'Compare Lantern evening and The other');
    const table = screen.getByRole('table', { name: 'Two batches side by side' });
    return within(table).getAllByRole('row').map(words);
  };

  it('are chosen by two taps and compared, what differs most first', () => {
    bakeTwice();
    const rows = comparedRows();
    expect(rows[1]).toMatch(/^Good ones3630−6$/);
    expect(rows.find((row) => /A load took/.test(row))).toMatch(/25 min.*not told/);
  });

  it('differ by what stands there, to the last place shown', () => {
    bakeTwice();
    const took = (id: string, ms: number) => {
      const one = run(id);
      const [clock] = clocksIn(run(RUN));
      if (!clock) throw new Error('it was baked by a clock');
      bring({
        [`run/${id}`]: { ...one, log: eventsOf({ ...clock, looks: [], endedAt: clock.startedAt + ms }) },
      });
    };
    // 39.6 and 24.4 minutes: 15.2 apart, and 40 less 24 is what a reader reckons.
    took(RUN, 39.6 * 60_000);
    took('other', 24.4 * 60_000);
    const rows = comparedRows();
    expect(rows.find((row) => /A load took/.test(row))).toMatch(/40 min\s*24 min\s*−16 min/);
  });

  it('are found by how they came out and by what they were baked in', () => {
    bakeTwice();
    bakeMore(5);
    open(<LogbookScreen />);
    tap('button', /^Outcome/);
    choose('with fewer than were wanted');
    const shown = screen.getAllByRole('heading').map(words);
    expect(shown).toContain('The other');
    expect(shown).not.toContain('Lantern evening');
  });

  it('draw their charts, each with a sentence and the table beside it', () => {
    bakeTwice();
    bakeMore(3);
    open(<ChartsScreen />);
    expect(screen.getByText(/^The last 4 loads took|^The last 4 loads were/)).toBeTruthy();
    tap('button', 'Baking time: as a table');
    const rows = within(screen.getByRole('table', { name: 'Baking time' })).getAllByRole('row');
    expect(rows.map(words)[1]).toMatch(/25\.0 min for 20\.0100 %125 %$/);
  });
});

/** So many batches more, each with its load. */
function bakeMore(n: number): void {
  const first = run(RUN);
  for (let i = 0; i < n; i += 1)
    bring({
      [`run/more-${i}`]: {
        ...first,
        id: `more-${i}`,
        name: `More ${i}`,
        closed: first.closed && { ...first.closed, at: first.closed.at - (i + 2) * 86_400_000 },
      },
    });
}
