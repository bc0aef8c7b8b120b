import { waitFor } from '@testing-library/react';
import { kitchenIn } from '../../state/documents';
import { changeKitchen, useDocuments } from '../../state/store';
import {
  act,
  fireEvent,
  layOutDemo,
  open,
  router,
  run,
  screen,
  tap,
  undo,
  within,
  words,
} from '../test-utils/open';
import { DayScreen } from './DayScreen';
import { GlanceScreen } from './GlanceScreen';
import { spanText } from './day.words';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/runs' };
});

const TABLE = 'run-lantern-table';

beforeEach(layOutDemo);

const dayThere = () =>
  waitFor(() => expect(screen.getByText('Latest safe start')).toBeTruthy(), { timeout: 20_000 });
const kitchen = () => kitchenIn(useDocuments.getState().docs);
const inOrder = () => screen.getByRole('list', { name: 'The day in order' });

describe('the occasion at a glance', () => {
  it('says when to begin, what comes first, and every line with its hours', async () => {
    open(<GlanceScreen id={TABLE} />);
    await dayThere();
    expect(words(document.body)).toMatch(/Begun by then, nine days in ten are ready by 16:00/);
    for (const name of [/^36 cake pops/, /^24 cupcakes/, /^16 moulded pieces/, /^12 mug cakes/, /^30 cubes/])
      expect(screen.getByRole('button', { name }).getAttribute('aria-label')).toMatch(
        /\d\d:\d\d to \d\d:\d\d/,
      );
    tap('button', 'To the day');
    expect(router.navigate).toHaveBeenCalled();
  });

  it('says so where the start is past, and what would give time', async () => {
    jest.spyOn(Date, 'now').mockReturnValue(new Date(2026, 10, 28, 13, 0).getTime());
    open(<GlanceScreen id={TABLE} />);
    await dayThere();
    expect(words(document.body)).toMatch(/ago: begun now, the chance .* is less than nine in ten/);
    expect(screen.getByText('What would give time')).toBeTruthy();
  });
});

describe('the day', () => {
  it('stands in order, and tells of a chore why then and what it takes', async () => {
    open(<DayScreen id={TABLE} />);
    await dayThere();
    const rows = within(inOrder()).getAllByRole('button');
    const hours = rows.map((row) => (row.getAttribute('aria-label') ?? '').slice(0, 5));
    expect(hours.length).toBeGreaterThan(60);
    expect(hours).toEqual([...hours].sort());
    fireEvent.click(within(inOrder()).getByRole('button', { name: /Portion and roll/ }));
    const sheet = words(screen.getByRole('dialog'));
    // 36 pops at 40 s: 24 min.
    expect(sheet).toMatch(/Hands at work, 24 min, for 36 cake pops/);
    expect(sheet).toMatch(/About 40 s a piece/);
    expect(sheet).toMatch(/It takes hands\./);
  });

  it('shows what a chore at another time pushes, holds it there, and lets it go', async () => {
    open(<DayScreen id={TABLE} />);
    await dayThere();
    const [wash] = within(inOrder()).getAllByRole('button', { name: /Wash and dry the mould/ });
    fireEvent.click(wash as HTMLElement);
    for (let i = 0; i < 4; i += 1) tap('button', '15 min earlier');
    await waitFor(() => expect(screen.getByRole('button', { name: /^Hold it at/ })).toBeTruthy(), {
      timeout: 20_000,
    });
    expect(words(screen.getByRole('dialog'))).toMatch(/The day begins/);
    tap('button', /^Hold it at/);
    expect(Object.keys(run(TABLE).held ?? {})).toHaveLength(1);
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Let the held chore move again' })).toBeTruthy(),
    );
    tap('button', 'Let the held chore move again');
    expect(run(TABLE).held).toEqual({});
    undo();
    expect(Object.keys(run(TABLE).held ?? {})).toHaveLength(1);
  });

  it('takes a part ahead, and a way out into the kitchen', async () => {
    open(<DayScreen id={TABLE} />);
    await dayThere();
    act(() => {
      fireEvent.click(screen.getAllByRole('radio', { name: 'Day before' })[0] as HTMLElement);
    });
    expect(Object.values(run(TABLE).ahead ?? {})).toEqual([1]);
    await waitFor(() => expect(screen.getByText('Friday')).toBeTruthy(), { timeout: 20_000 });
    tap('button', 'What would give more time?');
    const way = await waitFor(() => screen.getByRole('button', { name: /^Another pair of hands: / }), {
      timeout: 20_000,
    });
    fireEvent.click(way);
    expect(kitchen().hands).toBe(2);
    undo();
    expect(kitchen().hands).toBeUndefined();
  });

  it('shows lanes by what is held and by line', async () => {
    open(<DayScreen id={TABLE} />);
    await dayThere();
    tap('radio', 'By what is held');
    const lanes = screen.getByRole('region', { name: 'Lanes of the day' });
    expect(within(lanes).getByText('Hands')).toBeTruthy();
    expect(
      within(lanes).getAllByRole('button', { name: /Hands at work, begins \d\d:\d\d/ }).length,
    ).toBeGreaterThan(30);
    tap('radio', 'By line');
    expect(
      within(screen.getByRole('region', { name: 'Lanes of the day' })).getByText('12 mug cakes'),
    ).toBeTruthy();
  });

  it('says what is missing from the kitchen instead of a day', async () => {
    act(() => changeKitchen('No room', { ...kitchen(), freezerTrays: 0 }));
    open(<DayScreen id={TABLE} />);
    await waitFor(
      () => expect(screen.getAllByText(/of “Freezer”, and there are 0/).length).toBeGreaterThan(0),
      {
        timeout: 20_000,
      },
    );
  });
});

describe('minutes', () => {
  it.each([
    [0.4, '0 min'],
    [99, '99 min'],
    [120, '2 h'],
    [200, '3 h 20 min'],
  ])('%s are said "%s"', (minutes, text) => {
    expect(spanText(minutes)).toBe(text);
  });
});
