import { kitchenIn } from '../../state/documents';
import { change, useDocuments } from '../../state/store';
import {
  act,
  choose,
  layOutDemo,
  open,
  put,
  router,
  run,
  screen,
  setNow,
  tap,
  undo,
  words,
  NOW,
} from '../test-utils/open';
import { LabelsScreen } from '../labels/LabelsScreen';
import { KeepingScreen } from './KeepingScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});

const RUN = 'run-lantern-evening';
const TABLE = 'run-lantern-table';
const kept = () => kitchenIn(useDocuments.getState().docs).kept ?? [];
const close = (id: string, made: number) =>
  act(() =>
    change('Closed', {
      [`run/${id}`]: { ...run(id), closed: { at: NOW, made, finish: 'gentle', note: '' } },
    }),
  );

beforeEach(layOutDemo);

describe('what is put away', () => {
  it('stands with its last day, is taken out by a tap, carried on, and let go', () => {
    close(RUN, 34);
    open(<KeepingScreen />);
    tap('button', 'Put a batch away');
    tap('radio', 'Freezer');
    tap('button', 'Into the freezer');
    expect(kept()).toMatchObject([
      { made: 34, left: 34, place: 'freezer', madeOn: '2026-11-25', runId: RUN },
    ]);
    expect(screen.getByText(/^of 34 left, in the freezer$/)).toBeTruthy();
    tap('button', /: one out$/);
    tap('button', /: some out$/);
    put('40', 'Save');
    expect(words(screen.getByRole('alert'))).toMatch(/33/);
    put('13', 'Save');
    expect(kept()[0]?.left).toBe(20);
    tap('button', /: Into the fridge$/);
    expect(kept()[0]).toMatchObject({ place: 'fridge', since: '2026-11-25' });
    tap('button', /: let the rest go$/);
    expect(kept()).toEqual([]);
    undo();
    expect(kept()[0]?.left).toBe(20);
  });

  it('says when its day is over', () => {
    close(RUN, 34);
    open(<KeepingScreen />);
    tap('button', 'Put a batch away');
    tap('button', 'Into the fridge');
    const days = kept()[0]?.days.fridge ?? 0;
    act(() => setNow(NOW + (days + 1) * 86_400_000));
    open(<KeepingScreen />);
    expect(screen.getAllByText(/^Its last day was/).length).toBeGreaterThan(0);
  });

  it('of a run of several lines asks which of them', () => {
    close(TABLE, 100);
    open(<KeepingScreen />);
    tap('button', 'Put a batch away');
    tap('button', /^Which of them/);
    choose(/mug cakes$/);
    tap('button', /^Into the /);
    expect(kept()).toMatchObject([{ lineId: run(TABLE).lines[3]?.id }]);
  });
});

describe('labels', () => {
  const label = () => screen.getAllByRole('img')[0]?.getAttribute('aria-label') ?? '';

  it('name the piece, its ingredients by mass with what is allergenic, its days and its weight', () => {
    open(<LabelsScreen id={RUN} />);
    expect(label()).toMatch(
      /^Honey and thyme cupcakes Ingredients: plain flour, butter, .*Contains gluten \(wheat\), egg, milk\. Made Saturday 28 November\. Best by .*About \d+ g each\.$/,
    );
    const bold = [...(screen.getAllByRole('img')[0]?.querySelectorAll('tspan[font-weight]') ?? [])].map(
      (one) => one.textContent,
    );
    expect(bold.join(' ')).toMatch(/butter/);
    expect(bold.join(' ')).not.toMatch(/honey/);
  });

  it('of a lot have what is in and on that lot, and nothing of the others', () => {
    open(<LabelsScreen id={TABLE} />);
    tap('button', /^Of which line: /);
    choose(/pumpkin seeds$/);
    expect(label()).toMatch(/^Pumpkin and oat cake pops, pumpkin seeds Ingredients: .*pumpkin seeds/);
    expect(label()).not.toMatch(/pearl sugar|white chocolate/);
    tap('button', /^Of which line: /);
    choose(/white with pearl sugar$/);
    expect(label()).toMatch(/white chocolate.*pearl sugar|pearl sugar.*white chocolate/);
    expect(label()).not.toMatch(/pumpkin seeds|dark chocolate/);
  });

  it('fit on the sheet that is chosen or say which one they fit on', () => {
    open(<LabelsScreen id={TABLE} />);
    tap('button', /^Sheet: /);
    choose('Letter, 30 of 66.7 × 25.4 mm');
    const alert = screen.queryByText(/does not fit on labels of this size/);
    if (alert) {
      tap('button', /^Take /);
      expect(screen.queryByText(/does not fit/)).toBeNull();
    }
    expect(label()).toMatch(/Ingredients/);
    tap('button', /^Labels: /);
    put('70', 'Save');
    expect(screen.getByRole('button', { name: /^Print \d+ pages$/ })).toBeTruthy();
  });

  it('know a price once an hour of work is worth something', async () => {
    open(<LabelsScreen id={RUN} />);
    expect(screen.getByText(/^Say what an hour of work is worth/)).toBeTruthy();
    tap('button', /^An hour of work: /);
    put('15', 'Save');
    expect(kitchenIn(useDocuments.getState().docs).money).toMatchObject({ hour: 15, margin: 0.3 });
    expect(await screen.findByText(/^a piece, at a cost of about/)).toBeTruthy();
    expect(screen.getByText(/^Not in it: .*current/)).toBeTruthy();
  });

  it('of a run that is gone say so', () => {
    open(<LabelsScreen id="nobody" />);
    expect(screen.getByText('This run is not in this browser.')).toBeTruthy();
    tap('button', 'Back');
    expect(router.navigate).toHaveBeenCalledWith('/');
  });
});
