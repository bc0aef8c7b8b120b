import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import type { Page } from '@playwright/test';
import { expect, openApp, test } from './fixtures';

/** The day has been worked out, and nothing is being reckoned any more. */
async function dayThere(page: Page): Promise<void> {
  await expect(page.getByText('Latest safe start')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/^(Working the day out|A day that works)/)).toHaveCount(0, { timeout: 30_000 });
}

const stage = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();

/** "12:37 Butter out, 60 min. Begun ahead" as its hour, in minutes of the day. */
async function hourOf(page: Page, label: RegExp): Promise<number> {
  const words =
    (await page
      .getByRole('list', { name: 'The day in order' })
      .getByRole('button', { name: label })
      // Other runs of the same day stand in it too.
      .filter({ hasNotText: 'For “' })
      .first()
      .getAttribute('aria-label')) ?? '';
  const [, hours = NaN, minutes = NaN] = /^(\d\d):(\d\d)/.exec(words) ?? [];
  return Number(hours) * 60 + Number(minutes);
}

test('the first screen says the next thing of the nearest run, and its latest safe start', async ({
  page,
}) => {
  await openApp(page);
  await expect(page.getByText('Next', { exact: true })).toBeVisible();
  await expect(page.getByText(/^Latest safe start Friday \d\d:\d\d: of days begun by then/)).toBeVisible({
    timeout: 30_000,
  });
});

test('the two-product day: from the wish to its order, a way out, and another pair of hands', async ({
  page,
}) => {
  await openApp(page);
  await page.getByRole('button', { name: /^Cupcakes/ }).click();
  await page
    .getByRole('radio', { name: 'Plum and rye' })
    .or(page.getByRole('radio', { name: 'Honey and thyme' }))
    .first()
    .click();
  await page.getByRole('radio', { name: '24', exact: true }).click();
  await page.getByRole('radio', { name: /16:00, Saturday/ }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await stage(page, 'Pieces');
  // A frosting of boiled syrup does not wait.
  await page.getByTestId('value-frosting').first().click();
  await page
    .getByRole('dialog')
    .getByRole('radio', { name: /^swirl/ })
    .click();
  await page
    .getByRole('button', { name: /^Kind of frosting/ })
    .first()
    .click();
  await page
    .getByRole('dialog')
    .getByRole('radio', { name: /^cooked meringue/ })
    .click();
  await page.getByRole('button', { name: 'Another line' }).click();
  await page
    .getByRole('dialog')
    .getByRole('radio', { name: /^Moulded pieces/ })
    .click();
  await stage(page, 'Day');
  await dayThere(page);
  // The lantern evening has the kitchen on that day as well: it is said, and this one can be planned by itself.
  await page.getByRole('button', { name: 'Plan this one by itself' }).click();
  await dayThere(page);
  await expect(page.getByText('Planned as if no other run shared its day.')).toBeVisible();
  await page.getByRole('radio', { name: 'In order' }).click();
  const made = await hourOf(page, /Make the cooked meringue/);
  const frosted = await hourOf(page, /Frost/);
  expect(frosted - made).toBeGreaterThanOrEqual(20);
  expect(frosted - made).toBeLessThanOrEqual(36);
  // Rounds of the one mould follow each other, washed between.
  const [first, washed, second] = [
    await hourOf(page, /Turn out and patch, round 1/),
    await hourOf(page, /Wash and dry the mould, round 1/),
    await hourOf(page, /First shell coat, round 2/),
  ];
  expect(washed).toBeGreaterThanOrEqual(first);
  expect(second).toBeGreaterThanOrEqual(washed);
  // Another pair of hands gives time, and is taken by a tap.
  const before = await page
    .getByText(/^(Friday|Saturday) \d\d:\d\d$/)
    .first()
    .innerText();
  await page.getByRole('button', { name: 'What would give more time?' }).click();
  const way = page.getByRole('button', { name: /^Another pair of hands: .*more/ });
  await expect(way).toBeVisible({ timeout: 40_000 });
  await way.click();
  await dayThere(page);
  await expect(page.getByText(before, { exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo: Another pair of hands/ }).click();
});

test('a day that cannot be done says by how much, and the calendar file is read by another reader', async ({
  page,
}) => {
  await openApp(page, '/runs/run-lantern-table/day');
  await dayThere(page);
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Into a calendar' }).click(),
  ]);
  const calendar = new ICAL.Component(ICAL.parse(readFileSync(await saved.path(), 'utf8')) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  expect(events.some(({ summary }) => summary === 'Lantern evening, the table is to be ready')).toBe(true);
  expect(events.every(({ component }) => component.getAllSubcomponents('valarm').length === 1)).toBe(true);
  // At two on the day itself it is too late.
  await page.clock.setFixedTime(new Date('2026-11-28T14:00:00'));
  await page.goto('/runs/run-lantern-table');
  await dayThere(page);
  await expect(page.getByText(/^That is .* ago: begun now/)).toBeVisible();
  await expect(page.getByText('What would give time')).toBeVisible();
  await expect(page.getByRole('button', { name: /min more|h .*more/ }).first()).toBeVisible({
    timeout: 60_000,
  });
});

test('a part made the day before stands on its own day, and the day is on paper', async ({ page }) => {
  await openApp(page, '/runs/run-lantern-evening/day');
  await dayThere(page);
  await page.getByRole('radio', { name: 'Day before' }).first().click();
  await page.getByRole('radio', { name: 'In order' }).click();
  await expect(page.getByRole('heading', { name: 'Friday' })).toBeVisible({ timeout: 30_000 });
  await page.goto('/runs/run-lantern-evening/print');
  await expect(page.getByTestId('sheet-day')).toBeVisible({ timeout: 30_000 });
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByTestId('sheet-day').getByText(/Bake load 1/)).toBeVisible();
});
