import { cleanup, waitFor } from '@testing-library/react';
import { useDocuments, useScreen } from '../../state/store';
import type { CubeLine, MugLine, PieceDoc, PopLine, RunDoc } from '../../core/model/documents';
import { FAMILY_FILES } from '../../demo/families';
import { BringIn } from '../exchange/BringIn';
import {
  act,
  choose,
  fireEvent,
  layOutDemo,
  open,
  put,
  router,
  run,
  screen,
  tap,
  undo,
  within,
  words,
} from '../test-utils/open';
import { FromScreen } from './FromScreen';
import { GatherScreen } from './GatherScreen';
import { NewRunScreen } from './NewRunScreen';
import { PiecesScreen } from './PiecesScreen';
import { PrintScreen } from './PrintScreen';
import { RunsScreen } from './RunsScreen';
import { SumsScreen } from './SumsScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/runs' };
});

const TABLE = 'run-lantern-table';
const table = () => run(TABLE);
const line = <L,>(i: number) => table().lines[i] as L;
const figure = (id: string) => screen.getAllByTestId(`figure-${id}`)[0]?.getAttribute('aria-label') ?? '';
const first = (role: string, name: RegExp | string) => screen.getAllByRole(role, { name })[0] as HTMLElement;
const dialog = () => within(screen.getAllByRole('dialog').at(-1) as HTMLElement);

beforeEach(layOutDemo);

/** The run with that line alone, so that its sentence is the only one. */
function only(i: number): void {
  act(() =>
    useDocuments.getState().change('Only one', { [`run/${TABLE}`]: { ...table(), lines: [line(i)] } }),
  );
}

describe('the sentence of a line', () => {
  it('of pops changes stick, size, crumb, binder and coat in place', () => {
    only(0);
    open(<PiecesScreen id={TABLE} />);
    tap('button', /^On a stick: pops on sticks/);
    choose(/^balls/);
    tap('button', /^Size: 25 g/);
    choose('A level scoop 50');
    tap('button', /^School of binder: classic/);
    choose(/^lean/);
    tap('button', /^Where the crumb comes from: baked for it/);
    choose(/^leftover cake/);
    fireEvent.click(screen.getByTestId('value-crumbMass'));
    put('640', 'Save');
    tap('button', /^Coat: dark chocolate/);
    choose(/^nothing/);
    expect(line<PopLine>(0)).toMatchObject({
      stick: false,
      size: { by: 'scoop', number: 50 },
      crumb: [{ from: 'leftovers', massG: 640 }],
      binder: { school: 'lean' },
      coat: null,
    });
    tap('button', 'Bake the rest');
    tap('button', 'Something else in it');
    expect(line<PopLine>(0).crumb.map(({ from }) => from)).toEqual(['leftovers', 'bake']);
    expect(line<PopLine>(0).addIns).toHaveLength(1);
    tap('button', 'Take this add-in out');
    expect(line<PopLine>(0).addIns).toEqual([]);
  });

  it('of moulded pieces refuses a shell that no mould has, and keeps what was typed', () => {
    only(2);
    open(<PiecesScreen id={TABLE} />);
    fireEvent.click(screen.getByTestId('value-shell'));
    put('9', 'Save');
    expect(words(screen.getByRole('alert'))).toBe('At most 5 mm.');
    put('1.5', 'Save');
    tap('button', /^School of the shell: brushed in/);
    choose(/^poured/);
    expect(line(0)).toMatchObject({ shellMm: 1.5, shellBy: 'pour' });
  });

  it('of mugs changes fill and power', () => {
    only(3);
    open(<PiecesScreen id={TABLE} />);
    tap('button', /^Filled: two fifths full/);
    choose(/^half full/);
    tap('button', /^Power: full power/);
    choose(/^half power/);
    expect(line<MugLine>(0)).toMatchObject({ fill: { by: 'share', share: 0.5 }, setting: 0.5 });
  });

  it('of mini cakes changes kind and cut', () => {
    only(4);
    open(<PiecesScreen id={TABLE} />);
    tap('button', /^Pieces along: 6/);
    choose('5');
    expect(line<CubeLine>(0).columns).toBe(5);
    tap('button', /^Kind: cubes/);
    choose(/^filled fingers/);
    expect(line(0)).toMatchObject({ style: 'fingers', count: 30, tinId: 'tin-finger' });
    undo();
    expect(line<CubeLine>(0).style).toBe('cubes');
  });

  it('adds another line, the same again, and takes one out', () => {
    only(4);
    open(<PiecesScreen id={TABLE} />);
    tap('button', 'Another line');
    choose(/^Mug cakes/);
    expect(table().lines).toHaveLength(2);
    expect(line<MugLine>(1)).toMatchObject({ family: 'mug', formulaId: 'formula-apple-mug' });
    fireEvent.click(first('button', 'The same again'));
    expect(
      table()
        .lines.map(({ family }) => family)
        .slice(0, 2),
    ).toEqual(['mini', 'mini']);
    expect(new Set(table().lines.map(({ id }) => id)).size).toBe(3);
    fireEvent.click(first('button', 'Take this line out'));
    expect(table().lines).toHaveLength(2);
  });

  it('keeps lots within the count, and the count above no lot', () => {
    only(0);
    open(<PiecesScreen id={TABLE} />);
    tap('button', /^16 Pumpkin seeds/);
    fireEvent.change(dialog().getByLabelText('How many in this lot'), { target: { value: '30' } });
    fireEvent.click(dialog().getByRole('button', { name: 'Keep this lot' }));
    expect(words(dialog().getByRole('alert'))).toBe('Only 24 are in no other lot.');
    fireEvent.change(dialog().getByLabelText('What they are called'), { target: { value: ' ' } });
    fireEvent.change(dialog().getByLabelText('How many in this lot'), { target: { value: '10' } });
    fireEvent.click(dialog().getByRole('button', { name: 'Keep this lot' }));
    expect(words(dialog().getByRole('alert'))).toBe('Give it a name.');
    fireEvent.change(dialog().getByLabelText('What they are called'), { target: { value: 'Seeds' } });
    fireEvent.click(dialog().getByRole('button', { name: 'Keep this lot' }));
    tap('button', /^How many: 36/);
    put('15', 'Save');
    // The first keeps its ten, the second gives way.
    expect(line<PopLine>(0).lots.map(({ name, count }) => [name, count])).toEqual([
      ['Seeds', 10],
      ['White with pearl sugar', 5],
    ]);
  });
});

describe('sums of a family', () => {
  it('show the line that is looked at, and plan on from what was weighed', () => {
    open(<SumsScreen id={TABLE} />);
    expect(figure('count.made')).toMatch(/: 36/);
    tap('button', 'Weighed the dough');
    put('500', 'Plan on from this');
    // 500 × 0.985 ÷ 25 = 19.7.
    expect(figure('count.made')).toMatch(/: 19/);
    expect(line<PopLine>(0).measured).toEqual({ 'dough.total': 500 });
    fireEvent.click(first('button', /^All 36, lighter/));
    expect(line<PopLine>(0).size).toEqual({ by: 'mass', massG: 13 });
    tap('tab', /^16 moulded pieces/);
    expect(figure('rounds.count')).toMatch(/: 2/);
  });

  it('try another way before it is taken, and say what it breaks', async () => {
    open(<SumsScreen id={TABLE} />);
    tap('button', 'What if it were made otherwise');
    fireEvent.click(dialog().getByRole('radio', { name: 'Another thickness' }));
    const thick = await dialog().findByRole('button', { name: /^Take thick/ });
    await dialog().findAllByText('Coat all round');
    const [table_] = await dialog().findAllByRole('table');
    if (!table_) throw new Error('a table');
    expect(words(table_)).toMatch(/nowthenby.*Coat all round\d/);
    expect(line<PopLine>(0).coat?.thickness).toBe('usual');
    fireEvent.click(thick);
    expect(line<PopLine>(0).coat?.thickness).toBe('thick');
  });

  it('find a way out of a trouble, asking for what it needs', () => {
    open(<SumsScreen id={TABLE} />);
    tap('button', 'Something went wrong');
    fireEvent.click(dialog().getByRole('radio', { name: 'The coat runs short' }));
    fireEvent.click(dialog().getByRole('button', { name: 'The way out' }));
    expect(words(dialog().getByRole('alert'))).toBe('Write a number.');
    fireEvent.change(dialog().getByLabelText('Chocolate there is'), { target: { value: '700' } });
    fireEvent.click(dialog().getByRole('button', { name: 'The way out' }));
    fireEvent.click(dialog().getByRole('button', { name: 'Go on so' }));
    expect(table().events?.[0]).toMatchObject({ kind: 'coat short' });
    expect(line<PopLine>(0).coat?.onHandG).toBe(700);
  });
});

describe('gathering all lines', () => {
  it('has each bowl once, loose things by their time, and what is shared with its why', () => {
    open(<GatherScreen id={TABLE} />);
    expect(screen.getAllByText('Weigh out: Pumpkin and oat')).toHaveLength(1);
    expect(screen.getByText(/^Stick mould: warm water/)).toBeTruthy();
    fireEvent.click(first('checkbox', /Dark chocolate/));
    expect(table().ticks?.[0]).toMatch(/^pops-fresh:pot\.\d\.chocolate$/);
    fireEvent.click(first('button', /icing sugar. Why/));
    expect(words(screen.getByRole('dialog'))).toMatch(/300 g ×/);
  });

  it('takes prices and packets where they are asked for', async () => {
    open(<GatherScreen id={TABLE} />);
    tap('radio', 'Shopping');
    fireEvent.click(screen.getByTestId('buy-butter'));
    const type = (label: string, text: string) =>
      fireEvent.change(dialog().getByLabelText(label), { target: { value: text } });
    type('A packet holds, g', 'a lot');
    fireEvent.click(dialog().getByRole('button', { name: 'Keep it' }));
    expect(words(await dialog().findByRole('alert'))).toMatch(/not a number/);
    type('In the cupboard, g', '100');
    type('A packet holds, g', '250');
    type('A packet costs', '2.5');
    fireEvent.click(dialog().getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByRole('checkbox', { name: /^\d × 250.g, butter/ })).toBeTruthy();
    expect(screen.getByText(/for the packets/)).toBeTruthy();
  });
});

describe('starting and bringing in', () => {
  it('offers what leftovers make, and starts it', async () => {
    open(<FromScreen />);
    fireEvent.click(await screen.findByTestId('offer-bare-balls'));
    await waitFor(() => expect(router.replace).toHaveBeenCalled());
    const made = Object.values(useDocuments.getState().docs).find(
      (doc) => doc.kind === 'run' && doc.name.startsWith('Rolled balls'),
    );
    expect(made).toMatchObject({ lines: [{ family: 'pop', coat: null, count: 16 }] });
  });

  it('starts pops without baking, and says what the kitchen lacks', () => {
    open(<NewRunScreen piece="cakesicle" />);
    tap('radio', 'Biscuit, no baking');
    tap('radio', '12');
    tap('radio', /16:00, Saturday/);
    act(() => {
      const kitchen = useDocuments.getState().docs.kitchen;
      if (kitchen?.kind === 'kitchen')
        useDocuments.getState().change('No moulds', { kitchen: { ...kitchen, moulds: [] } });
    });
    tap('button', 'Start');
    expect(words(screen.getByRole('alert'))).toMatch(/no mould yet/);
    undo();
    tap('button', 'Start');
    expect(router.replace).toHaveBeenCalledTimes(1);
  });

  it('keeps a line as a whole piece, and starts runs and lines of it with all that was chosen', () => {
    open(<PiecesScreen id={TABLE} />);
    const before = table().lines[0];
    fireEvent.click(first('button', 'Keep as a piece'));
    put('', 'Save');
    expect(words(dialog().getByRole('alert'))).toMatch(/name/i);
    put('Pops for the gate', 'Save');
    const piece = () =>
      Object.values(useDocuments.getState().docs).find((doc): doc is PieceDoc => doc.kind === 'piece');
    expect(piece()).toMatchObject({ name: 'Pops for the gate', line: { family: 'pop', measured: {} } });
    // Another line of it, in the same run.
    tap('button', 'Another line');
    choose(/^Pops for the gate/);
    const added = table().lines.at(-1);
    expect({ ...added, id: '' }).toEqual({ ...before, id: '', measured: {}, ticks: [] });
    undo();
    cleanup();
    // A run of fewer: its lots give way.
    open(<NewRunScreen piece="pop" formula={piece()?.id} />);
    tap('radio', '12');
    tap('radio', /16:00, Saturday/);
    tap('button', 'Start');
    const started = Object.values(useDocuments.getState().docs).find(
      (doc): doc is RunDoc => doc.kind === 'run' && doc.name.startsWith('Pops for the gate'),
    );
    const [line] = started?.lines ?? [];
    expect(line).toMatchObject({ family: 'pop', count: 12 });
    expect((line?.lots ?? []).reduce((sum, lot) => sum + lot.count, 0)).toBeLessThanOrEqual(12);
  });

  it('says where the fridge is too small for a tray of pops', () => {
    act(() => {
      const { docs, change } = useDocuments.getState();
      const kitchen = docs.kitchen;
      if (kitchen?.kind === 'kitchen') change('Room', { kitchen: { ...kitchen, fridgeTrays: 1 } });
    });
    open(<SumsScreen id={TABLE} />);
    // 36 pops of 25 g are 35 mm across: 24 on a tray.
    expect(screen.getByText('2 trays for the fridge at once, and it takes 1: 2 goes.')).toBeTruthy();
    cleanup();
    open(<GatherScreen id={TABLE} />);
    expect(
      screen.getByText(/^Room in the fridge for 2 trays of about 300 mm by 200 mm, 24 on each/),
    ).toBeTruthy();
  });

  it('lists a tile for every family', () => {
    open(<RunsScreen />);
    expect(screen.getAllByRole('button', { name: /: start a run$/ })).toHaveLength(5);
  });

  it('brings a run in beside what is there, and refuses what is broken', async () => {
    open(<BringIn />);
    act(() => useScreen.getState().setBringing(true));
    // The form comes in a script of its own.
    await screen.findByLabelText('Paste it here');
    const field = () => dialog().getByLabelText('Paste it here');
    fireEvent.change(field(), { target: { value: '{"kind":' } });
    fireEvent.click(dialog().getByRole('button', { name: 'Bring it in' }));
    expect(screen.getByText('This file is broken: it is no whole JSON.')).toBeTruthy();
    expect((field() as HTMLTextAreaElement).value).toBe('{"kind":');
    fireEvent.change(field(), { target: { value: JSON.stringify(FAMILY_FILES.mugs) } });
    fireEvent.click(dialog().getByRole('button', { name: 'Bring it in' }));
    expect(screen.getByText(/^“Mugs for the stewards” is in./)).toBeTruthy();
    fireEvent.click(dialog().getByRole('button', { name: 'Look at it' }));
    expect(run('run-mugs').lines).toHaveLength(1);
    act(() => useScreen.getState().setBringing(false));
    undo();
    expect(run('run-mugs')).toBeUndefined();
  });

  it('puts every line and the list on paper', () => {
    open(<PrintScreen id={TABLE} />);
    expect(screen.getAllByTestId('sheet-batch')).toHaveLength(5);
    expect(words(screen.getByTestId('sheet-gather'))).toMatch(/☐ {2}plain flour/);
  });
});
