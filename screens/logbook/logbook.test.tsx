import { fireEvent } from '@testing-library/react';
import type { Evidence, RunDoc } from '../../core/model/documents';
import { kitchenIn } from '../../state/documents';
import { closeRun } from '../../state/learned';
import { useDocuments } from '../../state/store';
import { act, layOutDemo, open, run, screen, tap, undo, words } from '../test-utils/open';
import { LogbookScreen } from './LogbookScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});

const RUN = 'run-lantern-evening';
const MINUTE = 60_000;
const put = (docs: Record<string, RunDoc>) => act(() => useDocuments.getState().change('In', docs));
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
  };
  put({ [`run/${RUN}`]: { ...now, clocks: [clock] } });
  act(() => closeRun('Close', RUN, { at, made: 36, finish: 'gentle', note: '' }));
}

beforeEach(layOutDemo);

describe('a closed run', () => {
  it('teaches: the lesson is told, can be refused, and undo takes the closing back with all it taught', () => {
    bakeIn(25);
    expect(beliefs().length).toBeGreaterThan(0);
    open(<LogbookScreen />);
    expect(words(screen.getByText(/runs \d+ % slow/))).toMatch(/From now on \d+.*min, look at/);
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
    open(<LogbookScreen />);
    fireEvent.click(screen.getAllByRole('button', { name: /^Begin afresh: .*oven/ })[0] as HTMLElement);
    expect(beliefs()).toEqual([]);
    expect(run(RUN).closed?.evidence?.length).toBeGreaterThan(0);
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
        doc.clocks.length === 0,
    );
    expect(again.length).toBeGreaterThan(0);
  });
});

describe('many batches', () => {
  it('stand twenty at a time, the last first, and are found by their words', () => {
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
    put(docs);
    open(<LogbookScreen />);
    const shown = () =>
      screen
        .getAllByRole('heading')
        .map(words)
        .filter((one) => /^Batch \d+$/.test(one));
    expect(shown()).toEqual(Array.from({ length: 20 }, (_, i) => `Batch ${i}`));
    tap('button', '20 more of 25');
    expect(shown()).toHaveLength(40);
    fireEvent.change(screen.getByLabelText('Look for a batch'), { target: { value: 'quince' } });
    expect(shown()).toEqual(['Batch 44']);
    fireEvent.change(screen.getByLabelText('Look for a batch'), { target: { value: 'no such' } });
    expect(screen.getByText(/^No batch has that/)).toBeTruthy();
  });

  it('keep what each of them taught behind a tap', () => {
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
    put(docs);
    open(<LogbookScreen />);
    expect(screen.getAllByText('What it taught')).toHaveLength(4);
    expect(screen.getAllByRole('button', { name: 'What it taught' })).toHaveLength(2);
    fireEvent.click(screen.getAllByRole('button', { name: 'What it taught' })[0] as HTMLElement);
    expect(screen.getAllByText(/runs \d+ % slow/)).toHaveLength(3);
  });
});
