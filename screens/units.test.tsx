import type { KitchenDoc, RunDoc } from '../core/model/documents';
import { formulasIn, kitchenIn, runKey } from '../state/documents';
import { useDocuments } from '../state/store';
import { FormulaScreen } from './formulas/FormulaScreen';
import { FormulasScreen } from './formulas/FormulasScreen';
import { KitchenScreen } from './kitchen/KitchenScreen';
import { BakeScreen } from './runs/BakeScreen';
import { FromScreen } from './runs/FromScreen';
import { GatherScreen } from './runs/GatherScreen';
import { NewRunScreen } from './runs/NewRunScreen';
import { PiecesScreen } from './runs/PiecesScreen';
import { PrintScreen } from './runs/PrintScreen';
import { RunsScreen } from './runs/RunsScreen';
import { SumsScreen } from './runs/SumsScreen';
import {
  act,
  fireEvent,
  layOutDemo,
  open,
  put,
  run,
  screen,
  tap,
  waitFor,
  within,
  words,
} from './test-utils/open';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('./test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});
jest.mock('expo-keep-awake', () => ({ useKeepAwake: () => undefined }));

const TABLE = 'run-lantern-table';
const kitchen = (): KitchenDoc => kitchenIn(useDocuments.getState().docs);

/** As people measure in another country: ounces, Fahrenheit, and a comma before the decimals. */
beforeEach(async () => {
  await layOutDemo();
  act(() =>
    useDocuments.getState().change('Another country', {
      kitchen: {
        ...kitchen(),
        prefs: { ...kitchen().prefs, mass: 'oz', temperature: 'F', decimal: ',' },
      },
    }),
  );
});

/** What is shown in grams, Celsius or with a decimal point. Formulas stand as their books have them. */
function foreign(text: string): string[] {
  const shown = text.replace(/\u00a0|\u202f/g, ' ');
  return [
    ...(shown.match(/.{0,24}\d ?g\b(?! ?\/ml)(?! a ml).{0,12}/g) ?? []),
    ...(shown.match(/.{0,24}\d ?°C.{0,12}/g) ?? []),
    ...(shown.match(/.{0,24}\d\.\d.{0,12}/g) ?? []),
  ];
}

/** All that is read on the page or heard of it, but for what a person or a book has written. */
function told(root: Element = document.body): string {
  const found: string[] = [];
  const walk = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
  while (walk.nextNode()) found.push(walk.currentNode.textContent ?? '');
  for (const one of root.querySelectorAll('[aria-label]')) found.push(one.getAttribute('aria-label') ?? '');
  const written = new Set(
    formulasIn(useDocuments.getState().docs).flatMap(({ text }) => text.split('\n').map((one) => one.trim())),
  );
  // What a scale is made to show is said as the scale says it.
  return found
    .filter((one) => !written.has(one.trim()) && !/^(Scale: )?[\d,]+ g(\. Change)?$/.test(one))
    .join('\n');
}

const table = () => run(TABLE);

/** What is reckoned beside the page has answered. */
const reckoned = () => act(async () => await Promise.resolve());

describe('ounces, Fahrenheit and a decimal comma', () => {
  it.each([
    ['the runs', () => <RunsScreen />],
    ['the pieces', () => <PiecesScreen id={TABLE} />],
    ['the gathering', () => <GatherScreen id={TABLE} />],
    ['the day', () => <BakeScreen id={TABLE} />],
    ['the paper', () => <PrintScreen id={TABLE} />],
    ['what leftovers make', () => <FromScreen />],
    ['a new run', () => <NewRunScreen piece="pop" />],
  ])('reach every figure of %s', async (_, element) => {
    open(element());
    await reckoned();
    expect(foreign(told())).toEqual([]);
  });

  it.each([0, 1, 2, 3, 4])('reach every figure of the sums of line %d, and of what if', async (at) => {
    const one: RunDoc = { ...table(), lines: table().lines.slice(at, at + 1) };
    act(() => useDocuments.getState().change('One line', { [runKey(TABLE)]: one }));
    open(<SumsScreen id={TABLE} />);
    expect(foreign(told())).toEqual([]);
    tap('button', 'What if it were made otherwise');
    const sheet = within(screen.getByRole('dialog'));
    const questions = within(sheet.getByRole('radiogroup', { name: 'What to change' })).getAllByRole('radio');
    for (const question of questions) {
      fireEvent.click(question);
      await reckoned();
      expect(foreign(told())).toEqual([]);
    }
  });

  it.each(['Numbers', 'To bake in', 'To mould and dip', 'Cupboard'])('reach the kitchen: %s', (part) => {
    open(<KitchenScreen />);
    tap('radio', part);
    expect(foreign(told())).toEqual([]);
  });

  it.each(['To bake in', 'To mould and dip', 'Cupboard'])('reach every sheet of the kitchen: %s', (part) => {
    open(<KitchenScreen />);
    tap('radio', part);
    const openers = screen.getAllByRole('button', {
      name: /\. Change$|water test$|One half of a ball|Another measure/,
    });
    const odd: string[] = [];
    for (const one of openers) {
      fireEvent.click(one);
      const sheet = screen.queryByRole('dialog');
      if (!sheet) continue;
      odd.push(...foreign(told(sheet)));
      fireEvent.click(within(sheet).getByRole('button', { name: 'Close' }));
    }
    expect(odd).toEqual([]);
  });

  it('reach every choice of a sentence', () => {
    open(<PiecesScreen id={TABLE} />);
    const values = screen.getAllByRole('button', { name: /\. Change$/ });
    expect(values.length).toBeGreaterThan(60);
    const odd: string[] = [];
    for (const value of values) {
      fireEvent.click(value);
      const sheet = screen.queryByRole('dialog');
      if (!sheet) continue;
      odd.push(...foreign(told(sheet)));
      fireEvent.click(within(sheet).getByRole('button', { name: 'Close' }));
    }
    expect(odd).toEqual([]);
  });

  it('reach the formulas, beside what their books say', () => {
    open(<FormulasScreen />);
    expect(foreign(told())).toEqual([]);
    open(<FormulaScreen id="formula-honey-thyme" />);
    fireEvent.click(screen.getByTestId('value-method'));
    const sheet = screen.getByRole('dialog');
    expect(within(sheet).getAllByRole('radio').length).toBeGreaterThan(4);
    expect(foreign(told(sheet))).toEqual([]);
    expect(words(sheet)).toMatch(/this batch of [\d ,]+ oz would fill [\d ,]+ ml, then [\d ,]+ ml as cake/);
  });
});

describe('weights typed in ounces', () => {
  it('are kept in grams: a topping on each, a measure of one’s own, the cupboard, water in a mug', async () => {
    open(<KitchenScreen />);
    tap('radio', 'Cupboard');
    tap('button', 'Another measure');
    const sheet = () => within(screen.getByRole('dialog'));
    const type = (label: string, text: string) =>
      fireEvent.change(sheet().getByLabelText(label), { target: { value: text } });
    type('The word: handful, ladle', 'ladle');
    type('Weighs, oz', '400');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    expect(words(screen.getByRole('alert'))).toMatch(/from 0,00 oz to 176,4 oz|from [\d,]+ oz to [\d,]+ oz/);
    type('Weighs, oz', '3');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    expect(kitchen().ownMeasures?.ladle).toBeCloseTo(3 * 28.3495, 2);
    tap('button', 'Something else');
    type('What it is', 'Oat flakes');
    type('Left, oz', '8,5');
    type('A packet holds, oz', '17,6');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    const stored = () => kitchen().store?.find(({ name }) => name === 'Oat flakes');
    await waitFor(() => expect(stored()?.left).toBeCloseTo(8.5 * 28.3495, 2));
    // Opened and kept again it has not drifted, though the field shows two decimals only.
    const before = stored();
    tap('button', 'Oat flakes: change');
    fireEvent.click(sheet().getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(stored()).toEqual(before);
    tap('radio', 'To bake in');
    fireEvent.click(screen.getAllByRole('button', { name: 'By the water test' })[0] as HTMLElement);
    put('2,5', 'Save');
    const holds = [
      ...kitchen().tins.map(({ wellMl }) => wellMl),
      ...(kitchen().mugs ?? []).map((m) => m.volumeMl),
    ];
    expect(holds.some((ml) => ml !== undefined && Math.abs(ml - 2.5 * 28.3495) < 0.5)).toBe(true);
  });
});
