import { clocksIn, type BakeClock } from '../../core/bench/clocksIn';
import { eventsOf } from '../../core/bench/test-utils/loads';
import { benchStateOf } from '../../core/bench/log';
import { useDocuments } from '../../state/store';
import { usePlanOf } from '../../state/plans';
import {
  act,
  fireEvent,
  layOutDemo,
  NOW,
  open,
  run,
  screen,
  tap,
  undo,
  waitFor,
  words,
} from '../test-utils/open';
import { CloseSheet } from './CloseSheet';
import { smallPicture } from './PhotoField';
import { RunsScreen } from './RunsScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});

const TABLE = 'run-lantern-table';
const closed = () => benchStateOf(run(TABLE).log ?? []).closedLines;

/** A load of a line that is out, or still in the heat. */
const load = (line: number, out: boolean): BakeClock => ({
  id: `clock-${line}`,
  lineId: run(TABLE).lines[line]?.id ?? '',
  load: 1,
  pieces: 12,
  startedAt: NOW - 1_800_000,
  firstLookS: 900,
  expectedS: 1200,
  latestS: 1500,
  looks: [],
  places: [],
  endedAt: out ? NOW - 300_000 : null,
});

const put = (clocks: readonly BakeClock[]) =>
  act(() =>
    useDocuments.getState().change('In', { [`run/${TABLE}`]: { ...run(TABLE), log: eventsOf(...clocks) } }),
  );

function Sheet({ oneLine = false }: { readonly oneLine?: boolean }) {
  const now = run(TABLE);
  const whole = usePlanOf(now);
  return whole ? (
    <CloseSheet run={now} whole={whole} visible oneLine={oneLine} onClose={() => undefined} />
  ) : null;
}

beforeEach(layOutDemo);

describe('a run of several lines', () => {
  it('closes the line that is out, while what has not been in the heat goes on', () => {
    put([load(1, true)]);
    open(<Sheet oneLine />);
    expect(screen.getByRole('radio', { name: '24 cupcakes' }).getAttribute('aria-checked')).toBe('true');
    const made = screen.getByLabelText('Good ones that came out');
    fireEvent.change(made, { target: { value: '-3' } });
    tap('button', '24 cupcakes: done');
    expect(words(screen.getByRole('alert'))).toMatch(/whole number of pieces/);
    fireEvent.change(made, { target: { value: '22' } });
    tap('radio', 'a little dry');
    tap('button', '24 cupcakes: done');
    expect([...closed().values()]).toMatchObject([{ made: 22 }]);
    expect(clocksIn(run(TABLE))[0]?.inside).toBe('dry');
    expect(run(TABLE).closed).toBeNull();
    undo();
    expect(closed().size).toBe(0);
    expect(clocksIn(run(TABLE))[0]?.inside).toBeUndefined();
  });

  it('does not offer what still bakes, and so not the whole run', () => {
    put([load(1, true), load(3, false)]);
    open(<Sheet />);
    expect(screen.queryByRole('radio', { name: '12 mug cakes' })).toBeNull();
    expect(screen.queryByRole('radio', { name: 'The whole run' })).toBeNull();
    expect(screen.getByRole('radio', { name: '24 cupcakes' })).toBeTruthy();
  });

  it('is closed whole with what its lines came to before', () => {
    put([load(1, true)]);
    act(() =>
      useDocuments.getState().change('Line', {
        [`run/${TABLE}`]: {
          ...run(TABLE),
          log: [{ id: 'a', at: NOW, what: 'line closed', lineId: run(TABLE).lines[1]?.id ?? '', made: 20 }],
        },
      }),
    );
    open(<Sheet />);
    // 36 pops, 16 moulded pieces, 12 mugs and 30 cubes as planned, and the 20 that are closed. By hand: 114.
    expect(screen.queryByRole('radio', { name: '24 cupcakes' })).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>('Good ones that came out').value).toBe('114');
    tap('button', 'Into the logbook');
    expect(run(TABLE).closed).toMatchObject({ made: 114 });
  });
});

describe('a photo', () => {
  it('that no browser can read is refused, and nothing is kept', async () => {
    const before = globalThis.createImageBitmap;
    globalThis.createImageBitmap = () => Promise.reject(new Error('no picture'));
    await expect(smallPicture(new Blob(['nothing']))).rejects.toThrow();
    globalThis.createImageBitmap = before;
  });
});

describe('the first screen', () => {
  it('shows the last closed runs, and the way to all of them', async () => {
    const first = run(TABLE);
    act(() =>
      useDocuments.getState().change(
        'Many',
        Object.fromEntries(
          [1, 2, 3, 4, 5].map((i) => [
            `run/old-${i}`,
            {
              ...first,
              id: `old-${i}`,
              name: `Old ${i}`,
              closed: { at: NOW - i * 86_400_000, made: 9, finish: 'flat' as const, note: '' },
            },
          ]),
        ),
      ),
    );
    open(<RunsScreen />);
    await waitFor(() => expect(screen.getByText('Old 1')).toBeTruthy());
    expect(screen.queryByText('Old 4')).toBeNull();
    expect(screen.getByRole('button', { name: 'All 5 in the logbook' })).toBeTruthy();
  });
});
