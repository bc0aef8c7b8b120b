import type { ChoreDoes } from '../../core/model/choreDoes';
import { fireEvent } from '@testing-library/react';
import { useBenchLook } from '../../state/benchView';
import { useDocuments } from '../../state/store';
import { BakeScreen } from '../runs/BakeScreen';
import { ClockStrip } from '../shell/ClockStrip';
import { act, layOutDemo, open, run, screen, setNow, tap, waitFor, words } from '../test-utils/open';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});
jest.mock('expo-keep-awake', () => ({ useKeepAwake: () => undefined }));

const RUN = 'run-lantern-evening';
const log = () => run(RUN).log ?? [];

/** On the day itself, so many minutes after the hour at which its first step begins. */
const at = (minutes: number) => setNow(new Date(2026, 10, 28, 13, 0).getTime() + minutes * 60_000);

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

/** A step of the fresh pops, taken in hand. */
const inHand = (does: ChoreDoes, id = `pops-fresh/${does}`) => ({ id, does, lineIds: ['pops-fresh'] });

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

describe('judging and weighing at the step', () => {
  const POPS = 'run-lantern-table';
  const choose = (...done: string[]) => {
    act(() => {
      const now = run(POPS);
      // Pops alone, and everything before the step is done.
      const lines = now.lines.filter(({ id }) => id === 'pops-fresh');
      useDocuments.getState().change('Alone', {
        [`run/${POPS}`]: {
          ...now,
          byItself: true,
          lines,
          log: done.map((chore, i) => ({ id: `e${i}`, at: Date.now() - 60_000, what: 'done', chore })),
        },
      });
    });
  };

  it('says the next spoon of binder, and plans on from what it took', async () => {
    choose('pops-fresh/crumble', 'made:formula-malt-buttercream/make');
    open(<BakeScreen id={POPS} />);
    await main();
    act(() => useBenchLook.setState({ chosen: { [POPS]: inHand('bind', 'as another day names it') } }));
    await waitFor(() => expect(step()).toBe('Bind'));
    expect(words(screen.getByText(/first, then squeeze/))).toMatch(/^\d+ g first/);
    tap('button', 'Crumbs fall');
    expect(screen.getByText(/more, a (table|tea)spoon/)).toBeTruthy();
    tap('button', 'It holds');
    expect(screen.getByText(/it took/)).toBeTruthy();
    tap('button', 'Plan on from this');
    expect(
      (run(POPS).lines[0] as { measured?: Record<string, number> }).measured?.['binder.added'],
    ).toBeGreaterThan(0);
    expect((run(POPS).log ?? []).filter(({ what }) => what === 'answered')).toHaveLength(2);
  });

  it('weighs pieces by taps, and says what the heavy ones come to', async () => {
    choose('pops-fresh/bind');
    open(<BakeScreen id={POPS} />);
    await main();
    act(() => useBenchLook.setState({ chosen: { [POPS]: inHand('roll') } }));
    await waitFor(() => expect(step()).toBe('Portion and roll'));
    expect(screen.getByText('Next: 25 g')).toBeTruthy();
    for (let i = 0; i < 6; i += 1) tap('button', '27 g on the scale');
    expect(screen.getByText(/^This one 27 g: trim 2 g/)).toBeTruthy();
    expect(screen.getByText(/At this pace the bowl makes \d+/)).toBeTruthy();
    tap('button', 'Some are lost');
    tap('button', 'Save');
    expect(screen.getByText(/: 1 lost\. The rest goes on/)).toBeTruthy();
    // One tap, and the day is for what the bowl comes to.
    const onWith = screen.getByRole('button', { name: /^Go on with \d+$/ });
    const pieces = Number(/\d+/.exec(words(onWith))?.[0]);
    fireEvent.click(onWith);
    expect(run(POPS).log?.at(-1)).toMatchObject({ what: 'counted', lineId: 'pops-fresh', pieces });
    expect(screen.getByText(new RegExp(`the bowl came to ${pieces}, 1 lost`))).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Go on with \d+$/ })).toBeNull();
  });

  it('weighs a bowl in, running on, and says what is too much of a thing', async () => {
    choose();
    open(<BakeScreen id={POPS} />);
    await main();
    act(() => useBenchLook.setState({ chosen: { [POPS]: inHand('weigh-out') } }));
    await waitFor(() => expect(step()).toMatch(/^Weigh out/));
    tap('button', 'Weigh it in, one after another');
    const into = () => words(screen.getByRole('heading', { name: /^Into the bowl: / }));
    const first = into().replace('Into the bowl: ', '');
    tap('button', `In: ${first}`);
    expect(into()).not.toContain(first);
    const [told] = (run(POPS).log ?? []).filter(({ what }) => what === 'weighed');
    expect(run(POPS).ticks).toContain((told as { of: string }).of);
    // The next one is 20 g over: the scale has not been tared.
    const second = into().replace('Into the bowl: ', '');
    tap('radio', 'Running on');
    const [, from = 0, to = 0] = (
      /from ([\d.]+) g on the scale to ([\d.]+) g/.exec(words(screen.getByText(/^Without taring/))) ?? []
    ).map(Number);
    expect(to).toBeGreaterThan(from);
    tap('button', 'It shows another weight');
    fireEvent.change(screen.getByRole('textbox'), { target: { value: String(to + 20) } });
    tap('button', 'Save');
    expect(words(screen.getByText(/too much/))).toMatch(new RegExp(`^${second}: 20 g too much`));
    expect((run(POPS).log?.at(-1) as { massG: number }).massG - (to + 20 - from)).toBeLessThan(0.6);
  });

  it('takes more pieces while the day is on, each way tried', async () => {
    choose('pops-fresh/bind');
    open(<BakeScreen id={POPS} />);
    await main();
    act(() => useBenchLook.setState({ chosen: { [POPS]: inHand('roll') } }));
    await waitFor(() => expect(step()).toBe('Portion and roll'));
    const before = run(POPS).lines[0]?.count ?? 0;
    tap('button', 'More are wanted');
    tap('button', 'Save');
    const way = await screen.findByRole('button', { name: /^6 more of the same bowl, each .* Take it$/ });
    await waitFor(() => expect(words(way)).toMatch(/Ready about \d\d:\d\d/));
    fireEvent.click(way);
    expect(run(POPS).lines[0]?.count).toBe(before + 6);
    // The step in hand is still the same one, now for smaller pieces.
    await waitFor(() => expect(words(screen.getByText(/^Next: /))).toMatch(/^Next: 2[0-4]/));
  });
});
