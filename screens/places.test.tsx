import { eventsOf } from '../core/bench/test-utils/loads';
import { kitchenIn } from '../state/documents';
import { readFormula } from '../core/formula';
import { useDocuments } from '../state/store';
import { BenchScreen } from './bench/BenchScreen';
import { FormulaScreen } from './formulas/FormulaScreen';
import { FormulasScreen } from './formulas/FormulasScreen';
import { NewFormulaScreen } from './formulas/NewFormulaScreen';
import { KitchenScreen } from './kitchen/KitchenScreen';
import { LogbookScreen } from './logbook/LogbookScreen';
import { SaveFault } from './shell/SaveFault';
import {
  RUN,
  act,
  choose,
  fireEvent,
  formula,
  layOutDemo,
  open,
  put,
  router,
  run,
  screen,
  tap,
  undo,
  waitFor,
  within,
  words,
} from './test-utils/open';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('./test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});
jest.mock('expo-keep-awake', () => ({ useKeepAwake: () => undefined }));

beforeEach(layOutDemo);

const kitchen = () => kitchenIn(useDocuments.getState().docs);
const HONEY = 'formula-honey-thyme';
const field = () => screen.getByLabelText('Ingredients, one a line');

describe('a formula', () => {
  it('is kept when the field is left, as one step', () => {
    open(<FormulaScreen id={HONEY} />);
    fireEvent.change(field(), { target: { value: '100 g flour\n50 g butter' } });
    expect(formula(HONEY).text).toMatch(/^1 1\/2 cups/);
    fireEvent.blur(field());
    expect(formula(HONEY).text).toBe('100 g flour\n50 g butter');
    undo();
    expect(formula(HONEY).text).toMatch(/^1 1\/2 cups/);
  });

  it('reads a line as what the person says it is', () => {
    open(<FormulaScreen id={HONEY} />);
    tap('button', /^3 tbsp honey: taken for honey/);
    const sheet = within(screen.getByRole('dialog'));
    fireEvent.change(sheet.getByLabelText('Find an ingredient'), { target: { value: 'maple' } });
    fireEvent.click(sheet.getByRole('button', { name: 'maple syrup' }));
    expect(formula(HONEY).takenFor).toEqual({ '3 tbsp honey': 'maple syrup' });
    tap('button', /^3 tbsp honey: taken for maple syrup/);
    tap('button', 'As its name says');
    expect(formula(HONEY).takenFor).toEqual({});
  });

  it('changes its method and measures, which changes what is read', () => {
    open(<FormulaScreen id={HONEY} />);
    tap('button', /^Method: creamed/);
    choose(/^whisked sponge/);
    expect(formula(HONEY).method).toBe('whisked');
    tap('button', /^Measures: US/);
    choose(/^metric/);
    expect(screen.getByText(/^2 at 57 g each/)).toBeTruthy();
  });

  it('is renamed, duplicated and taken out', () => {
    open(<FormulaScreen id={HONEY} />);
    tap('button', 'Rename');
    put('  ', 'Save');
    expect(words(screen.getByRole('alert'))).toBe('Give it a name.');
    put('Thyme and honey', 'Save');
    expect(formula(HONEY).name).toBe('Thyme and honey');
    tap('button', 'Duplicate');
    expect(
      Object.values(useDocuments.getState().docs).some(
        (doc) => doc.kind === 'formula' && doc.name === 'Thyme and honey, varied',
      ),
    ).toBe(true);
    tap('button', /^Take it out \(2 open runs use it\)/);
    expect(formula(HONEY)).toBeUndefined();
  });

  it('is listed with what it is made of', () => {
    open(<FormulasScreen />);
    expect(screen.getByText(/^flour 28 %, sugar 24 %, fat 17 %/)).toBeTruthy();
    tap('link', 'Honey and thyme');
    expect(router.navigate).toHaveBeenCalledWith({ pathname: '/formulas/[id]', params: { id: HONEY } });
  });
});

describe('a new formula', () => {
  it('guesses the measures until somebody says, and is kept with a name and a line', () => {
    open(<NewFormulaScreen />);
    fireEvent.change(field(), { target: { value: '1 stick butter\n2 cups flour' } });
    expect(screen.getByRole('button', { name: /^Measures: US/ })).toBeTruthy();
    tap('button', /^Measures: US/);
    choose(/^Australian/);
    fireEvent.change(field(), { target: { value: '1 stick butter\n1 cup flour' } });
    expect(screen.getByRole('button', { name: /^Measures: Australian/ })).toBeTruthy();
    tap('button', 'Keep it');
    expect(screen.getByText('Give it a name.')).toBeTruthy();
    expect(router.replace).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Plain' } });
    tap('button', 'Keep it');
    expect(router.replace).toHaveBeenCalledTimes(1);
    const kept = Object.values(useDocuments.getState().docs).find(
      (doc) => doc.kind === 'formula' && doc.name === 'Plain',
    );
    expect(kept).toMatchObject({ measures: 'australian', text: '1 stick butter\n1 cup flour' });
  });
});

describe('a formula, varied', () => {
  const HONEY = 'formula-honey-thyme';
  beforeEach(() => open(<FormulaScreen id={HONEY} />));

  it('is scaled to what there is of one thing, and written so', () => {
    tap('radio', 'to what there is');
    tap('radio', 'plain flour');
    fireEvent.change(screen.getByLabelText('There is, g'), { target: { value: 'much' } });
    expect(words(screen.getByRole('alert'))).toMatch(/not a number/);
    // 190 g as written.
    fireEvent.change(screen.getByLabelText('There is, g'), { target: { value: '380' } });
    expect(screen.getByText('2.00 times as written')).toBeTruthy();
    tap('button', 'Write it so');
    expect(formula(HONEY).text).toMatch(/^380 g plain flour/);
    undo();
    expect(formula(HONEY).text).not.toMatch(/^380 g/);
  });

  it('says where it cannot be scaled by pieces', () => {
    tap('radio', 'to pieces');
    fireEvent.change(screen.getByLabelText('Pieces'), { target: { value: '18' } });
    expect(words(screen.getByRole('alert'))).toMatch(/does not say how many it makes/);
  });

  it('gets something else in the place of a line, with its sum and its allergens', () => {
    fireEvent.click(screen.getAllByRole('button', { name: /butter.*taken for butter/ })[0] as HTMLElement);
    const other = screen.getAllByRole('button', { name: /: put it in its place$/ })[0] as HTMLElement;
    expect(words(other)).toMatch(/ g × .* = .* g of /);
    const before = formula(HONEY).text;
    fireEvent.click(other);
    const after = formula(HONEY).text;
    expect(after).not.toBe(before);
    // Only that line is another one.
    expect(after.split('\n').filter((one) => !before.includes(one)).length).toBeLessThanOrEqual(2);
    expect(readFormula({ ...formula(HONEY), text: after }, null).unread).toBe(0);
  });

  it('stands beside another, share by share', () => {
    tap('button', 'Put another beside it');
    choose(/^Beetroot and ginger/);
    expect(screen.getByText('batter, g a ml')).toBeTruthy();
    expect(screen.getByText('0.90')).toBeTruthy();
    act(() =>
      useDocuments
        .getState()
        .change('Comma', { kitchen: { ...kitchen(), prefs: { ...kitchen().prefs, decimal: ',' } } }),
    );
    expect(screen.getByText('0,90')).toBeTruthy();
    expect(screen.getAllByText(/^\d+ %$/).length).toBeGreaterThanOrEqual(6);
  });

  it('takes of another formula, but never of itself', () => {
    tap('button', 'A part');
    choose(/^Barley syrup/);
    tap('button', /^How much of it, part 1: 50.g/);
    put('75', 'Save');
    expect(formula(HONEY).parts).toEqual([{ formulaId: 'formula-barley-syrup', massG: 75 }]);
    act(() =>
      useDocuments.getState().change('Ring', {
        'formula/formula-quince-butter': {
          ...formula('formula-quince-butter'),
          parts: [{ formulaId: HONEY, massG: 10 }],
        },
      }),
    );
    tap('button', 'A part');
    choose(/^Quince butter/);
    expect(words(screen.getByRole('alert'))).toMatch(/made of itself/);
    expect(formula(HONEY).parts).toHaveLength(1);
    tap('button', 'Take part 1 out');
    expect(formula(HONEY).parts).toEqual([]);
    tap('button', /^What it makes: batter/);
    choose(/^frosting/);
    expect(formula(HONEY).makes).toBe('frosting');
  });
});

describe('the kitchen', () => {
  beforeEach(() => open(<KitchenScreen />));

  it('takes a tin’s measures, and another tin, but never the last one away', () => {
    const before = kitchen().tins.length;
    tap('radio', 'To bake in');
    fireEvent.click(screen.getAllByRole('button', { name: /^Wells: 12 wells/ })[0] as HTMLElement);
    put('0', 'Save');
    expect(words(screen.getByRole('alert'))).toBe('At least 1.');
    put('6', 'Save');
    expect(kitchen().tins[0]?.wells).toBe(6);
    tap('button', 'Another tin');
    const more = kitchen().tins.length;
    expect(more).toBe(before + 1);
    for (let i = 1; i < more; i += 1)
      fireEvent.click(screen.getAllByRole('button', { name: 'Take this tin out' })[0] as HTMLElement);
    expect(kitchen().tins).toHaveLength(1);
    expect(screen.queryByRole('button', { name: 'Take this tin out' })).toBeNull();
  });

  it('takes an oven that runs cold, in the person’s degrees', () => {
    tap('button', /^Heat: Celsius/);
    choose('Fahrenheit');
    tap('radio', 'To bake in');
    tap('button', /^Oven against its dial: −9 °F/);
    put('-18', 'Save');
    expect(kitchen().ovens[0]?.offsetC).toBeCloseTo(-10, 9);
    tap('button', 'Not measured any more');
    expect(kitchen().ovens[0]?.offsetC).toBeNull();
  });

  it('takes a mould by one half of its ball and by the water test, longer side first', () => {
    tap('radio', 'To mould and dip');
    const first = () => kitchen().moulds?.[0];
    fireEvent.click(screen.getAllByRole('button', { name: 'One half of a ball' })[0] as HTMLElement);
    put('60', 'Save');
    expect(first()).toMatchObject({ shape: 'half-ellipsoid', lengthMm: 60, widthMm: 60, depthMm: 30 });
    fireEvent.click(screen.getAllByRole('button', { name: 'By the water test' })[0] as HTMLElement);
    put('54', 'Save');
    expect(first()?.cavityMl).toBe(54);
    fireEvent.click(screen.getAllByRole('button', { name: /^Long: 60 mm/ })[0] as HTMLElement);
    put('40', 'Save');
    expect(first()).toMatchObject({ lengthMm: 60, widthMm: 40 });
    tap('button', 'A scoop');
    expect(kitchen().scoops).toHaveLength(1);
  });

  it('walks through the water test: 500 g warmed by 16 K in a minute took up 558 W', () => {
    tap('radio', 'To bake in');
    const buttons = screen.getAllByRole('button', { name: 'By the water test' });
    fireEvent.click(buttons.at(-1) as HTMLElement);
    const sheet = within(screen.getByRole('dialog'));
    const type = (label: RegExp, text: string) =>
      fireEvent.change(sheet.getByLabelText(label), { target: { value: text } });
    type(/^Before/, '15');
    type(/^After/, '14');
    fireEvent.click(sheet.getByRole('button', { name: 'Reckon the power' }));
    expect(words(sheet.getByRole('alert'))).toMatch(/Warmer than before/);
    type(/^After/, '31');
    fireEvent.click(sheet.getByRole('button', { name: 'Reckon the power' }));
    // 500 × 4.186 × 16 ÷ 60.
    expect(kitchen().microwaves?.[0]?.absorbedW).toBe(558);
  });

  it('keeps a measure of one’s own and what is in the cupboard', async () => {
    tap('radio', 'Cupboard');
    tap('button', 'Another measure');
    const sheet = () => within(screen.getByRole('dialog'));
    const type = (label: RegExp, text: string) =>
      fireEvent.change(sheet().getByLabelText(label), { target: { value: text } });
    type(/^Weighs/, '0');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    expect(words(sheet().getByRole('alert'))).toMatch(/Write the word/);
    type(/^The word/, 'Ladle');
    type(/^Weighs/, '85');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    expect(kitchen().ownMeasures).toMatchObject({ ladle: 85 });
    tap('button', 'Something else');
    type(/^What it is/, 'Plain flour');
    type(/^Left/, 'lots');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    expect(words(await sheet().findByRole('alert'))).toMatch(/not a number/);
    type(/^Left/, '750');
    type(/^A packet holds/, '1500');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(kitchen().store).toHaveLength(1));
    expect(kitchen().store).toMatchObject([{ name: 'Plain flour', left: 750, packet: 1500, price: null }]);
  });

  it('lists what always holds here, and lets go of it', () => {
    act(() =>
      useDocuments.getState().change('Density', {
        kitchen: {
          ...kitchen(),
          beliefs: [
            { param: 'batter.density', of: `formula:${HONEY}`, mean: 0.87, spread: 0, seen: 1, since: null },
            {
              param: 'bake.factor',
              of: 'oven:oven-main',
              mean: 1.08,
              spread: 0.03,
              seen: 4,
              since: '2026-11-02',
            },
          ],
        },
      }),
    );
    expect(screen.getByText('Hall oven, seen 4 times, since Mon 2 Nov')).toBeTruthy();
    expect(words(screen.getByText(/×.*±/))).toBe('×1.08 ± ×0.03');
    tap('button', 'Back to the usual figure: Batter density, Honey and thyme');
    expect(kitchen().beliefs).toHaveLength(1);
  });

  it('starts empty, and lays the demo out again', async () => {
    tap('button', 'Clear all and start empty');
    await waitFor(() => expect(run()).toBeUndefined());
    expect(kitchen().name).toBe('My kitchen');
    tap('button', 'Lay out the demo');
    await waitFor(() => expect(run().name).toBe('Lantern evening'));
  });
});

describe('bench and logbook', () => {
  const clock = {
    id: 'c',
    lineId: 'line-1',
    load: 1,
    pieces: 18,
    firstLookS: 900,
    expectedS: 1200,
    latestS: 1400,
    looks: [],
    places: [],
  };
  const startedAt = new Date(2026, 10, 25, 9, 20).getTime();

  it('say in a sentence what they hold while they are empty', () => {
    open(<BenchScreen />);
    expect(screen.getByText('No clock is running')).toBeTruthy();
    open(<LogbookScreen />);
    expect(screen.getByText('No run is closed yet')).toBeTruthy();
  });

  it('show running clocks of any run', () => {
    act(() =>
      useDocuments.getState().change('In', {
        [`run/${RUN}`]: { ...run(), log: eventsOf({ ...clock, startedAt, endedAt: null }) },
      }),
    );
    open(<BenchScreen />);
    expect(words(screen.getByRole('timer'))).toMatch(/5:00/);
  });

  it('show what was planned beside what happened', () => {
    const closed = { at: startedAt, made: 35, finish: 'flat' as const, note: 'One stuck.' };
    const log = eventsOf({ ...clock, startedAt, endedAt: startedAt + 1_320_000 });
    act(() => useDocuments.getState().change('Close', { [`run/${RUN}`]: { ...run(), closed, log } }));
    open(<LogbookScreen />);
    for (const words of ['planned 36', '35', 'flat', 'planned 20 min', '22 min (×1.10)', 'One stuck.']) {
      expect(screen.getByText(words)).toBeTruthy();
    }
  });

  it('say when nothing is kept, or something kept cannot be read', () => {
    const aside = [{ key: '~aside/1/run/broken', from: 'run/broken', text: '{', fault: 'It is broken off.' }];
    act(() => useDocuments.setState({ unsaved: { count: 3, cause: 'full' }, aside }));
    open(<SaveFault />);
    expect(screen.getByText('3 changes not kept yet.')).toBeTruthy();
    expect(screen.getByText(/no room left/)).toBeTruthy();
    expect(screen.getByText('1 kept document could not be read.')).toBeTruthy();
  });
});
