import { useBenchLook } from '../../state/benchView';
import { useDocuments } from '../../state/store';
import { BakeScreen } from '../runs/BakeScreen';
import { ClockStrip } from '../shell/ClockStrip';
import { act, layOutDemo, open, run, screen, tap, waitFor, words } from '../test-utils/open';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});
jest.mock('expo-keep-awake', () => ({ useKeepAwake: () => undefined }));

const RUN = 'run-lantern-evening';
const log = () => run(RUN).log ?? [];

/** On the day itself, so many minutes after the hour at which its first step begins. */
const at = (minutes: number) =>
  jest.spyOn(Date, 'now').mockReturnValue(new Date(2026, 10, 28, 13, 0).getTime() + minutes * 60_000);

beforeEach(async () => {
  await layOutDemo();
  act(() => useDocuments.getState().change('Alone', { [`run/${RUN}`]: { ...run(RUN), byItself: true } }));
  useBenchLook.setState({ chosen: {}, large: false, aloud: false });
  at(0);
});

const main = async () => {
  await waitFor(() => expect(screen.getByText(/^(In time|Late): ready about/)).toBeTruthy());
};
const step = () => words(screen.getAllByRole('heading', { level: 2 })[0] as HTMLElement);

describe('the bench', () => {
  it('has one step in hand with its amounts, and goes on as it is done', async () => {
    open(<BakeScreen id={RUN} />);
    await main();
    const first = step();
    tap('button', new RegExp(`^(Done: )?${first}(: begun)?$`));
    expect(log().length).toBeGreaterThan(0);
    expect(step()).not.toBe(first);
  });

  it('goes a step back, and the log keeps both', async () => {
    open(<BakeScreen id={RUN} />);
    await main();
    const first = step();
    tap('button', new RegExp(`^(Done: )?${first}(: begun)?$`));
    tap('button', 'A step back');
    await waitFor(() => expect(step()).toBe(first));
    expect(log().map(({ what }) => what)).toContain('undone');
  });

  it('pauses, and goes on where it was', async () => {
    open(<BakeScreen id={RUN} />);
    await main();
    const first = step();
    tap('button', 'Pause');
    expect(screen.queryByRole('button', { name: /^Done: / })).toBeNull();
    tap('button', 'Go on');
    expect(step()).toBe(first);
  });

  it('reads from two metres when asked', async () => {
    open(<BakeScreen id={RUN} />);
    await main();
    const size = () =>
      Number.parseFloat(
        (screen.getAllByRole('heading', { level: 2 })[0] as HTMLElement).style.fontSize || '0',
      );
    tap('checkbox', 'From two metres');
    expect(useBenchLook.getState().large).toBe(true);
    expect(size() === 0 || size() >= 50).toBe(true);
  });
});

describe('the strip of clocks', () => {
  it('shows what runs, soonest first, and says plainly what is due', () => {
    const now = Date.now();
    const begun = (id: string, label: string, ago: number, expectedS: number) => ({
      id,
      at: now - ago * 60_000,
      what: 'begun' as const,
      chore: `x/${id}`,
      clock: { label, of: '24 cupcakes', expectedS, latestS: expectedS },
    });
    act(() =>
      useDocuments.getState().change('Clocks', {
        [`run/${RUN}`]: {
          ...run(RUN),
          log: [begun('cool', 'Cool', 10, 1800), begun('set', 'Coat sets', 12, 600)],
        },
      }),
    );
    open(<ClockStrip />);
    const all = screen.getAllByRole('button').map((one) => one.getAttribute('aria-label') ?? '');
    expect(all).toHaveLength(2);
    expect(all[0]).toMatch(/^Coat sets, 24 cupcakes: ready \d\d:\d\d$/);
    expect(all[1]).toMatch(/^Cool, 24 cupcakes: (20:00|19:\d\d)$/);
  });

  it('is not there where nothing runs', () => {
    open(<ClockStrip />);
    expect(screen.queryByRole('region', { name: 'Clocks that run' })).toBeNull();
  });
});
