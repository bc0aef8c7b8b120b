import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, keyIn, openApp, spoken, test } from './fixtures';

const LONG = 'Quitten-und-Malz-Herzchen mit einem sehr langen Namen für die Laternenwanderung';
const TITLE = 'Forty lines for the lantern evening of the whole allotment society and all of its guests';

interface Named {
  readonly id: string;
  readonly name: string;
}
interface File {
  readonly run: { readonly lines: readonly { readonly id: string; readonly lots?: unknown }[] };
  readonly formulas: readonly Named[];
  readonly kitchen: { readonly tins: readonly Named[] };
}

/** The demo's evening forty times as long, with names as long as people give. */
function fortyLines(): string {
  const file = JSON.parse(readFileSync('demo/evening.run.json', 'utf8')) as File;
  const longer = (named: Named, i: number) =>
    i === 0 ? { ...named, id: `${named.id}-long`, name: LONG } : named;
  const text = JSON.stringify({
    ...file,
    run: {
      ...file.run,
      id: 'run-forty',
      name: TITLE,
      lines: Array.from({ length: 40 }, (_, i) => ({
        ...file.run.lines[i % file.run.lines.length],
        id: `line-${i}`,
        count: 60 + i,
      })),
    },
    formulas: file.formulas.map(longer),
    kitchen: { ...file.kitchen, tins: file.kitchen.tins.map(longer) },
  });
  // Lines name the long ones too.
  return [file.formulas[0], file.kitchen.tins[0]].reduce(
    (all, named) => all.replaceAll(`"${named?.id}"`, `"${named?.id}-long"`),
    text,
  );
}

async function drop(page: Page, text: string): Promise<void> {
  const data = await page.evaluateHandle((words) => {
    const transfer = new DataTransfer();
    transfer.setData('text/plain', words);
    return transfer;
  }, text);
  await page.dispatchEvent('body', 'drop', { dataTransfer: data });
  await page.getByRole('button', { name: 'Bring it in' }).click();
}

/** What sticks out at the right of what holds it: text that is cut or lies over something else. */
const sticking = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('[role=main] button, [role=main] h1, [role=main] [dir=auto]')]
      .filter((one) => {
        // What scrolls sideways may be wider than what shows of it.
        if (one.closest('[role=tablist]')) return false;
        const { right, width } = one.getBoundingClientRect();
        return width > 0 && right > window.innerWidth + 1;
      })
      .map((one) => one.textContent?.slice(0, 60) ?? ''),
  );

test('a run of forty lines with long names: all of it there, none of it cut, and a change answered', async ({
  page,
}) => {
  await openApp(page);
  await drop(page, fortyLines());
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByRole('heading', { name: TITLE })).toBeVisible();
  await expect(page.getByRole('tablist', { name: 'Lines of the run' }).getByRole('tab')).toHaveCount(40);
  expect(await sticking(page)).toEqual([]);
  await page.getByRole('tab', { name: 'Pieces', exact: true }).click();
  const counts = page.getByTestId('value-count');
  await expect(counts).toHaveCount(40);
  expect(await sticking(page)).toEqual([]);
  // The last of them, far down: only it changes.
  await counts.nth(39).click();
  await keyIn(page, '108');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(counts.nth(39)).toHaveText('108');
  await expect(counts.nth(38)).toHaveText('98');
  await page.getByRole('tab', { name: 'Sums', exact: true }).click();
  await page.getByRole('tab', { name: /^108 / }).click();
  await expect.poll(() => spoken(page, 'count.made')).toMatch(/: \d+/);
  for (const stage of ['Gather', 'Bench']) {
    await page.getByRole('tab', { name: stage, exact: true }).click();
    await expect(page.getByRole('tab', { name: stage, exact: true, selected: true })).toBeVisible();
    expect(await sticking(page)).toEqual([]);
  }
  await page.getByRole('link', { name: 'Runs' }).click();
  await expect(page.getByText(TITLE).first()).toBeVisible();
  expect(await sticking(page)).toEqual([]);
});

test('a whole piece: kept from a line, found under Formulas, started again with all that was chosen', async ({
  page,
}) => {
  await openApp(page, '/runs/run-lantern-table/pieces');
  await page.getByRole('button', { name: 'Keep as a piece' }).nth(2).click();
  await page.getByRole('dialog').getByRole('textbox').fill('Gate pieces');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: 'Formulas' }).click();
  await page.getByRole('button', { name: 'Gate pieces. Open' }).click();
  await page.getByRole('button', { name: 'Start a run of it' }).click();
  await expect(page.getByRole('radio', { name: /^Gate pieces/, checked: true })).toBeVisible();
  await page.getByRole('radio', { name: '24' }).click();
  await page.getByRole('radio', { name: /16:00, Saturday/ }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('tab', { name: 'Sums', selected: true })).toBeVisible();
  // The shell as it was chosen in the line that it was kept from; eight cavities a round.
  await expect.poll(() => spoken(page, 'shell.mm')).toContain('1.8 mm');
  await expect.poll(() => spoken(page, 'rounds.count')).toContain(': 3');
  await page.keyboard.press('u');
  await page.goto('/formulas');
  await expect(page.getByRole('button', { name: 'Gate pieces. Open' })).toBeVisible();
});
