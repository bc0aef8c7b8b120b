import { FAMILY_FILES } from '../demo/families';
import type { RunDoc } from '../core/model/documents';
import { runKey, type Docs } from '../state/documents';
import { bring } from '../state/exchange';
import { useDocuments } from '../state/store';
import { KitchenScreen } from './kitchen/KitchenScreen';
import { FromScreen } from './runs/FromScreen';
import { PiecesScreen } from './runs/PiecesScreen';
import { act, fireEvent, layOutDemo, open, tap, undo } from './test-utils/open';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('./test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});

const docs = (): Docs => useDocuments.getState().docs;
// Asked for by what they bear: by role, a screen of sixty values is worked out anew for each of some hundred choices.
const all = (selector: string, root: ParentNode = document) => [
  ...root.querySelectorAll<HTMLElement>(selector),
];
const values = () => all('button[aria-label$=". Change"]');
const sheets = () => all('[role="dialog"]');
const sheet = () => sheets().at(-1) as HTMLElement;
const close = () => fireEvent.click(all('button[aria-label="Close"]', sheet())[0] as HTMLElement);

/** What no field for a number takes, with what it answers. */
const ABSURD: readonly (readonly [string, RegExp])[] = [
  ['', /^Write a number\.$/],
  ['three', /^That is not a number\. Write it like 12/],
  ['99999999', /^At most [\d \u202f.]+/],
  ['-99999999', /^At least /],
];

/** Opens every value of the screen, one after another, and says of each what is wrong with it. */
function everyValue(of: (opener: HTMLElement, label: string) => string[]): string[] {
  const odd: string[] = [];
  const seen = new Set<string>();
  for (let i = 0; i < values().length; i += 1) {
    const opener = values()[i];
    const label = opener?.getAttribute('aria-label') ?? '';
    if (!opener || seen.has(label)) continue;
    seen.add(label);
    fireEvent.click(opener);
    odd.push(...of(opener, label).map((words) => `${label} ${words}`));
    if (sheets().length > 0) close();
  }
  return odd;
}

/** A field that asks for one number refuses all that is absurd, says why, and keeps nothing of it. */
function refusals(): string[] {
  const before = docs();
  const [field] = all('input#keyed', sheet()) as HTMLInputElement[];
  if (!field) return [];
  const save = all('button', sheet()).find(({ textContent }) => textContent === 'Save') as HTMLElement;
  const odd = ABSURD.flatMap(([text, words]) => {
    fireEvent.change(field, { target: { value: text } });
    fireEvent.click(save);
    const fault = all('[role="alert"]', sheet())[0]?.textContent ?? '';
    return words.test(fault) && field.getAttribute('aria-invalid') === 'true' && field.value === text
      ? []
      : [`"${text}" was answered with "${fault}"`];
  });
  if (docs() !== before) odd.push('kept something of it');
  return odd;
}

/** One choice of each value, of one line of each family: all of all lines take six minutes, `EVERY_CHOICE=1` asks for them. */
const EVERY = process.env.EVERY_CHOICE === '1';

/** A choice of the sheet is kept as one step when it is taken, and that step taken back leaves all as it was. */
function choices(label: string): string[] {
  // A lot is a form of its own, kept as a whole.
  if (all('input', sheet()).length > 0) return [];
  const radios = () => all('[role="radio"]', sheet());
  const count = radios().length;
  const odd: string[] = [];
  for (let i = count - 1; i >= 0; i -= 1) {
    const radio = radios()[i];
    if (!radio || radio.getAttribute('aria-checked') === 'true') continue;
    const title = radio.getAttribute('aria-label') ?? '';
    const before = docs();
    const steps = useDocuments.getState().undoable.length;
    fireEvent.click(radio);
    // Some choices ask for a number of one's own first.
    if (sheets().length > 0) {
      close();
    } else {
      if (docs() === before) odd.push(`"${title}" changed nothing`);
      if (useDocuments.getState().undoable.length - steps > 1) odd.push(`"${title}" took more than one step`);
      undo();
      if (JSON.stringify(docs()) !== JSON.stringify(before)) odd.push(`"${title}" was not taken back`);
    }
    const again = values().find((one) => one.getAttribute('aria-label') === label);
    if (!again) {
      odd.push(`is gone after "${title}" was taken back`);
      return odd;
    }
    if (!EVERY) return odd;
    fireEvent.click(again);
  }
  return odd;
}

beforeEach(layOutDemo);

const evening = FAMILY_FILES.evening?.run.lines ?? [];
const lines = EVERY
  ? evening
  : evening.filter((line, i) => evening.findIndex(({ family }) => family === line.family) === i);

describe('every value of a line', () => {
  it.each(lines.map((line) => [line.id, line] as const))(
    'refuses what is absurd, and takes each choice as one step: %s',
    (_, line) => {
      bring(JSON.stringify(FAMILY_FILES.evening));
      const id = FAMILY_FILES.evening?.run.id ?? '';
      const only = { ...(docs()[runKey(id)] as RunDoc), lines: [line] };
      act(() => useDocuments.getState().change('One line', { [runKey(id)]: only }));
      open(<PiecesScreen id={id} />);
      expect(values().length).toBeGreaterThan(4);
      expect(everyValue((_opener, label) => [...refusals(), ...choices(label)])).toEqual([]);
    },
  );
});

describe('every value of the kitchen and of what is there', () => {
  it.each(['Numbers', 'To bake in', 'To mould and dip', 'Cupboard'])(
    'refuses what is absurd, and takes each choice as one step: %s',
    (part) => {
      open(<KitchenScreen />);
      tap('radio', part);
      expect(everyValue((_opener, label) => [...refusals(), ...choices(label)])).toEqual([]);
    },
  );

  it('refuses what is absurd on the table of leftovers', () => {
    open(<FromScreen />);
    expect(values().length).toBeGreaterThan(4);
    expect(everyValue(refusals)).toEqual([]);
  });
});
