import { clocksIn } from '../../core/bench/clocksIn';
import { waitFor } from '@testing-library/react';
import { useDocuments } from '../../state/store';
import { kitchenIn } from '../../state/documents';
import {
  RUN,
  act,
  choose,
  fireEvent,
  layOutDemo,
  line,
  open,
  put,
  router,
  run,
  screen,
  tap,
  undo,
  words,
} from '../test-utils/open';
import { BakeScreen } from './BakeScreen';
import { GatherScreen } from './GatherScreen';
import { NewRunScreen } from './NewRunScreen';
import { PiecesScreen } from './PiecesScreen';
import { RunsScreen } from './RunsScreen';
import { SumsScreen } from './SumsScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/runs' };
});
jest.mock('expo-keep-awake', () => ({ useKeepAwake: () => undefined }));

beforeEach(layOutDemo);

const figure = (id: string) => screen.getAllByTestId(`figure-${id}`)[0]?.getAttribute('aria-label') ?? '';

describe('pieces', () => {
  beforeEach(() => open(<PiecesScreen id={RUN} />));

  it('says the whole run in a sentence and changes any value in place', () => {
    tap('button', /^How many: 36/);
    put('20', 'Save');
    expect(line().count).toBe(20);
    tap('button', /^Finish: gently domed/);
    choose(/^flat/);
    expect(line().fill).toEqual({ by: 'finish', finish: 'flat' });
    tap('button', /^Eggs: /);
    choose(/^beaten and weighed/);
    expect(line().eggs).toBe('weigh');
    tap('button', /^Loads: /);
    choose('at most 2');
    expect(line().maxLoads).toBe(2);
  });

  it('takes a weight of one’s own for a well, in grams', () => {
    tap('button', /^Finish: /);
    choose(/^by a weight of your own/);
    put('50', 'Save');
    expect(line().fill).toEqual({ by: 'mass', massG: 50 });
    expect(screen.getByRole('button', { name: /^Finish: 50 g each/ })).toBeTruthy();
  });

  it('drops what was measured of another tin when the tin changes', () => {
    act(() => {
      const { change } = useDocuments.getState();
      change('Water test', {
        [`run/${RUN}`]: { ...run(), lines: [{ ...line(), measured: { 'well.volume': 99, 'egg.mass': 52 } }] },
      });
    });
    tap('button', /^Tin: Twelve-hole tin/);
    choose(/^Mini tin/);
    expect(line()).toMatchObject({ tinId: 'tin-mini', measured: { 'egg.mass': 52 } });
  });

  it('moves the hour, but not into the past', () => {
    tap('button', /^Ready when: Saturday 16:00/);
    tap('radio', 'Wednesday 25 November');
    tap('radio', '8 hours');
    tap('button', 'Save');
    expect(words(screen.getByRole('alert'))).toMatch(/passed/);
    tap('radio', '18 hours');
    tap('button', 'Save');
    expect(run().readyAt).toBe('2026-11-25T18:00');
  });

  it('takes a run out, and undo brings it back', () => {
    tap('button', 'Take this run out');
    expect(run()).toBeUndefined();
    undo();
    expect(run().name).toBe('Lantern evening');
  });
});

describe('sums', () => {
  beforeEach(() => open(<SumsScreen id={RUN} />));

  it('shows what a well takes, how it ends and what limits, each with its why', () => {
    expect(figure('portion.mass')).toBe('Batter, weighed into each: 55 g. Why?');
    expect(figure('finish.share')).toMatch(/109 %, likely 97–124 %/);
    expect(figure('count.batter')).toMatch(/: 36.*likely 35–36/);
    expect(screen.getByText('This would limit first: what is in the bowl.')).toBeTruthy();
    expect(screen.getByText('2 loads: 18 + 18')).toBeTruthy();
  });

  it('plans on from a weighed bowl and says what is short', () => {
    tap('button', 'Weighed the bowl');
    put('1500', 'Plan on from this');
    // 1500 × 0.97 ÷ 55 = 26; 36 × 55 − 1455 = 525 g.
    expect(line().measured).toEqual({ 'batter.mixed': 1500 });
    expect(words(screen.getByTestId('pin-words'))).toMatch(/525 g short for 36: it fills 26, 10 fewer/);
    tap('button', /^Make 26/);
    expect(line().count).toBe(26);
    tap('button', 'Back to the computed weight');
    expect(line().measured).toEqual({});
  });

  it('offers to share a short bowl out, and does it', () => {
    tap('button', 'Weighed the bowl');
    put('1800', 'Plan on from this');
    tap('button', /^Fill all 36 lighter/);
    expect(line().fill).toEqual({ by: 'mass', massG: 48 });
    expect(figure('portion.mass')).toContain('48 g');
    expect(figure('count.made')).toContain(': 36');
  });

  it('asks why, goes down to a starting value and replaces it, here or for good', () => {
    fireEvent.click(screen.getByTestId('figure-fill.share'));
    tap('button', /^Batter density: 0.90 g\/ml, usual figure/);
    tap('button', 'Put in what was measured');
    put('0.85', 'Use it in this run');
    expect(line().measured).toEqual({ 'batter.density': 0.85 });
    expect(screen.getByText('The plan expected 0.90 g/ml.')).toBeTruthy();
    tap('button', 'Back to the computed figure');
    expect(line().measured).toEqual({});
    tap('button', 'Put in what was measured');
    put('0.95', 'Always with this formula');
    expect(kitchenIn(useDocuments.getState().docs).beliefs).toMatchObject([
      { param: 'batter.density', of: 'formula:formula-honey-thyme', mean: 0.95, spread: 0, seen: 1 },
    ]);
    tap('button', 'Back to the computed figure');
    expect(kitchenIn(useDocuments.getState().docs).beliefs).toEqual([]);
  });

  it('says why of the loads, the batter left and the eggs', () => {
    const because = (name: RegExp, expected: RegExp) => {
      tap('button', name);
      expect(words(screen.getByRole('dialog'))).toMatch(expected);
      tap('button', 'Close');
    };
    because(/^2 loads: 18 \+ 18. Why/, /36 ÷ 24, rounded up = 2 loads/);
    because(/^14.3 g of batter over/, /1994.3 g − 1980(?:.0)? g = 14.3 g/);
    because(/^Kept whole: eggs/, /rounded up = 6|6.0, rounded up/);
  });

  it('refuses a measured value that cannot be, and keeps it in the field', () => {
    fireEvent.click(screen.getByTestId('figure-well.volume'));
    tap('button', 'Put in what was measured');
    put('99999', 'Use it in this run');
    expect(words(screen.getByRole('alert'))).toBe('At most 5000 ml.');
    expect(line().measured).toEqual({});
  });
});

describe('gather', () => {
  it('ticks off, counts the grams, and begins again', () => {
    open(<GatherScreen id={RUN} />);
    tap('checkbox', /plain flour/);
    tap('checkbox', /butter/);
    expect(run().ticks).toEqual(['formula-honey-thyme:1', 'formula-honey-thyme:4']);
    expect(screen.getByText('2 of 10 weighed, 910 g of 2056 g')).toBeTruthy();
    tap('checkbox', /butter/);
    expect(run().ticks).toEqual(['formula-honey-thyme:1']);
    tap('button', 'Begin the list again');
    expect(run().ticks).toEqual([]);
  });

  it('says spoons where the scale is coarse and grams where it is fine', () => {
    open(<GatherScreen id={RUN} />);
    expect(words(screen.getByTestId('weigh-3'))).toMatch(/⅛ tsp.*0.9 g/);
    act(() => {
      const kitchen = kitchenIn(useDocuments.getState().docs);
      useDocuments.getState().change('Scale', { kitchen: { ...kitchen, scaleStepG: 0.05 } });
    });
    expect(words(screen.getByTestId('weigh-3'))).toMatch(/0.90 g.*⅛ tsp/);
  });

  it('warns where it applies: allergens, raw egg and flour', () => {
    open(<GatherScreen id={RUN} />);
    expect(screen.getByText(/^Contains gluten \(wheat\), .*egg/)).toBeTruthy();
    expect(screen.getByText(/^Raw egg and raw flour can carry germs/)).toBeTruthy();
  });

  it('tells why of an amount without ticking it', () => {
    open(<GatherScreen id={RUN} />);
    tap('button', /^570 g, plain flour. Why/);
    expect(words(screen.getByRole('dialog'))).toMatch(/190 g × 3.00 = 570 g/);
    expect(run().ticks ?? []).toEqual([]);
  });
});

describe('bake', () => {
  const at = (minutes: number) =>
    jest.spyOn(Date, 'now').mockReturnValue(new Date(2026, 10, 25, 9, 30).getTime() + minutes * 60_000);

  it('draws how the coldest place warms, in words as well, once the oven model has answered', async () => {
    open(<BakeScreen id={RUN} />);
    expect(
      await screen.findByText(/coldest place passes 65 °C, the dotted line, after about \d+ min/),
    ).toBeTruthy();
    expect(
      screen.getByRole('img', {
        name: /done at 97 °C, the dashed one, after about [12]\d min.*likely 1\d to 2\d min in all/,
      }),
    ).toBeTruthy();
  });

  it('starts a clock a load, keeps the looks, and ends with the run in the logbook', () => {
    open(<BakeScreen id={RUN} />);
    tap('button', 'Load 1 in: start its clock');
    expect(clocksIn(run())[0]).toMatchObject({ load: 1, pieces: 18, endedAt: null });
    at(18);
    tap('button', 'Wet in the middle');
    at(20);
    tap('button', 'Done, out it comes');
    expect(clocksIn(run())[0]?.looks.map((look) => look.result)).toEqual(['not yet', 'done']);
    tap('button', 'Load 2 in: start its clock');
    at(41);
    tap('button', 'Done, out it comes');
    tap('button', 'Close the run');
    fireEvent.change(screen.getByLabelText('Good ones that came out'), { target: { value: '3.5' } });
    tap('button', 'Into the logbook');
    expect(words(screen.getByRole('alert'))).toMatch(/whole number/);
    fireEvent.change(screen.getByLabelText('Good ones that came out'), { target: { value: '34' } });
    tap('radio', 'flat');
    tap('button', 'Into the logbook');
    expect(run().closed).toMatchObject({ made: 34, finish: 'flat' });
    expect(router.navigate).toHaveBeenCalledWith('/logbook');
  });

  it('keeps the times a load went in with, whatever the plan does later', () => {
    open(<BakeScreen id={RUN} />);
    tap('button', 'Load 1 in: start its clock');
    const before = clocksIn(run())[0]?.expectedS;
    act(() =>
      useDocuments
        .getState()
        .change('Oven', { [`run/${RUN}`]: { ...run(), lines: [{ ...line(), ovenC: 200 }] } }),
    );
    expect(clocksIn(run())[0]?.expectedS).toBe(before);
  });
});

describe('a run begun and found again', () => {
  it('starts from four choices and nothing less', () => {
    open(<NewRunScreen />);
    tap('button', 'Choose a formula');
    expect(router.replace).not.toHaveBeenCalled();
    tap('radio', 'Honey and thyme');
    tap('radio', '24');
    tap('radio', /16:00, Saturday/);
    tap('button', 'Start');
    expect(router.replace).toHaveBeenCalledTimes(1);
    const made = Object.values(useDocuments.getState().docs).find(
      (doc) => doc.kind === 'run' && doc.name.startsWith('Honey'),
    );
    expect(made).toMatchObject({
      readyAt: '2026-11-28T16:00',
      lines: [{ count: 24, formulaId: 'formula-honey-thyme' }],
    });
  });

  it('says the very next thing of the nearest run, and lists the others', async () => {
    open(<RunsScreen />);
    await waitFor(() => expect(screen.getByText('Eggs out')).toBeTruthy(), { timeout: 10_000 });
    expect(screen.getByText(/^Latest safe start Friday \d\d:\d\d/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /^Lantern evening, 36 Honey and thyme/ })).toBeTruthy();
  });

  it('says so where a run, its tin or its formula is gone', () => {
    open(<SumsScreen id="nowhere" />);
    expect(screen.getByText('This run is not in this browser.')).toBeTruthy();
    act(() => useDocuments.getState().change('Gone', { 'formula/formula-honey-thyme': null }));
    open(<PiecesScreen id={RUN} />);
    expect(screen.getByText('Its formula is gone.')).toBeTruthy();
    tap('button', /^Formula: a formula that is gone/);
    choose(/^Beetroot and ginger/);
    expect(line().formulaId).toBe('formula-beetroot-ginger');
  });
});
