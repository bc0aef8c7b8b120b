import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { dropFile, expect, openApp, test } from './fixtures';

interface RunText {
  run: { id: string; name: string; readyAt: string };
  kitchen: { ovens: { id: string }[]; tins: { owned: number }[] };
}

/** A run of the demo, changed and dropped on to the page. */
async function dropRun(page: Page, file: string, change: (text: RunText) => void): Promise<void> {
  const text = JSON.parse(readFileSync(`demo/${file}.run.json`, 'utf8')) as RunText;
  change(text);
  await dropFile(page, JSON.stringify(text), `${file}.json`);
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.getByRole('button', { name: 'Look at it' }).click();
}

async function dayThere(page: Page): Promise<void> {
  await expect(page.getByText('Latest safe start')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^(Working the day out|A day that works)/)).toHaveCount(0, { timeout: 60_000 });
}

test('two runs over each other are one day: each says so, and shows the other', async ({ page }) => {
  await openApp(page, '/runs/run-lantern-evening/day');
  await dayThere(page);
  await expect(page.getByText(/^Planned together with “Lantern evening, the table”/)).toBeVisible();
  const own = await page
    .getByText(/^Saturday \d\d:\d\d$/)
    .first()
    .innerText();
  await page.getByRole('radio', { name: 'In order' }).click();
  const other = page.getByRole('button', { name: /For “Lantern evening, the table”/ }).first();
  await expect(other).toBeVisible();
  await other.click();
  await page.getByRole('dialog').getByRole('button', { name: 'To its day' }).click();
  await expect(page.getByRole('heading', { name: 'Lantern evening, the table' })).toBeVisible();
  await dayThere(page);
  await expect(page.getByText(/^Planned together with “Lantern evening”/)).toBeVisible();
  // Back in the first, nothing has moved.
  await page.goto('/runs/run-lantern-evening/day');
  await dayThere(page);
  await expect(page.getByText(own, { exact: true }).first()).toBeVisible();
});

test('ready in the past says by how much, and what would have given time', async ({ page }) => {
  await openApp(page);
  await dropRun(page, 'cupcakes', ({ run }) => {
    run.name = 'Yesterday’s bake';
    run.readyAt = '2026-11-24T16:00';
  });
  await page.getByRole('tab', { name: 'Day', exact: true }).click();
  await dayThere(page);
  await expect(page.getByText(/^That is .* ago: begun now/)).toBeVisible();
  await expect(page.getByText('What would give time')).toBeVisible();
});

test('a night on which the clocks are put forward has its hour less', async ({ page }) => {
  await openApp(page, '/kitchen');
  // Somebody who works at any hour, so that it is the clock that leaves the hour out and not the kitchen.
  await page.getByRole('button', { name: /^Evening/ }).click();
  await page.getByRole('dialog').getByText('At any hour').click();
  const hoursOf = async (name: string, readyAt: string): Promise<string[]> => {
    await dropRun(page, 'evening', ({ run }) => {
      run.id = `run-${readyAt}`;
      run.name = name;
      run.readyAt = readyAt;
    });
    await page.getByRole('tab', { name: 'Day', exact: true }).click();
    await dayThere(page);
    await page.getByRole('radio', { name: 'In order' }).click();
    return page
      .getByRole('list', { name: 'The day in order' })
      .getByRole('button')
      .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')?.slice(0, 5) ?? ''));
  };
  const between = (hours: readonly string[], from: string, until: string) =>
    hours.filter((hour) => hour >= from && hour < until).length;
  const plain = await hoursOf('Lanterns, the week before', '2027-03-21T06:00');
  expect(between(plain, '00:00', '01:00')).toBeGreaterThan(0);
  expect(between(plain, '01:00', '02:00')).toBeGreaterThan(0);
  const spring = await hoursOf('Lanterns in spring', '2027-03-28T06:00');
  expect(spring.length).toBe(plain.length);
  expect(between(spring, '00:00', '01:00')).toBeGreaterThan(0);
  // From one to two o'clock there is no such night: what would be done then is done an hour of the clock sooner.
  expect(between(spring, '01:00', '02:00')).toBe(0);
  expect(between(spring, '02:00', '06:00')).toBeGreaterThan(0);
});

test('five thousand cupcakes: more than a day’s work is told, and the count stays as written', async ({
  page,
}) => {
  await openApp(page, '/runs/run-lantern-evening/pieces');
  await page.getByTestId('value-count').click();
  await page.getByRole('dialog').getByRole('textbox').fill('5000');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Day', exact: true }).click();
  await expect(page.getByText(/more work than one day can be put in order for/)).toBeVisible({
    timeout: 30_000,
  });
  await page.getByRole('tab', { name: 'Pieces', exact: true }).click();
  await expect(page.getByTestId('value-count')).toHaveText('5000');
});
