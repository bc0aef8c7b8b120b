import type { Page } from '@playwright/test';
import { benchThere, bringIn } from './benchSteps';
import { expect, openApp, test } from './fixtures';

/** How long the next run bakes, min, with its likely range, as the sheet behind the figure says it. */
async function bakingTime(
  page: Page,
): Promise<{ readonly low: number; readonly high: number; readonly words: string }> {
  await page.goto('/runs/run-lantern-evening/sums');
  await page.getByTestId('figure-bake.time').first().click();
  const sheet = page.getByRole('dialog').last();
  const range = await sheet.getByText(/^likely .*8 times in 10/).innerText();
  const [low = NaN, high = NaN] = (/([\d.]+)\D+([\d.]+)/.exec(range) ?? []).slice(1).map(Number);
  const words = await sheet.innerText();
  await page.keyboard.press('Escape');
  return { low, high, words };
}

test('a run closed at the bench teaches its oven: the lesson is told, the next plan is longer and surer, and a refusal takes it back', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openApp(page);
  const before = await bakingTime(page);
  await page.goto('/');
  await bringIn(page, 'evening', { 'cupcakes-plain': 12 }, 'A slow oven');
  await benchThere(page);
  await page
    .getByRole('button', { name: /^Load 1 in: start its clock/ })
    .first()
    .click();
  // Wet at twenty minutes, crumbs at twenty-three, clean at twenty-five.
  await page.clock.fastForward('20:00');
  await page.getByRole('button', { name: 'Wet in the middle' }).click();
  await page.clock.fastForward('03:00');
  await page.getByRole('button', { name: 'A few crumbs' }).click();
  await page.clock.fastForward('02:00');
  await page.getByRole('button', { name: 'Done, out it comes' }).click();
  await page.getByRole('button', { name: 'Close the run' }).click();
  await page.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByText('What it taught')).toBeVisible();
  await expect(page.getByText(/^Hall oven runs \d+ % slow\. From now on .*, look at /)).toBeVisible();
  await expect(page.getByText(/, was .+ ± .+; from one batch\.$/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What this kitchen has learned' })).toBeVisible();
  const after = await bakingTime(page);
  expect((after.low + after.high) / 2).toBeGreaterThan((before.low + before.high) / 2);
  expect((after.high - after.low) / (after.high + after.low)).toBeLessThan(
    (before.high - before.low) / (before.high + before.low),
  );
  // Refused, the kitchen is as it was; and undo takes the refusal back.
  await page.goto('/logbook');
  await page.getByRole('radio', { name: 'No, a slip' }).first().click();
  await expect(page.getByRole('heading', { name: 'What this kitchen has learned' })).toHaveCount(0);
  expect((await bakingTime(page)).low).toBe(before.low);
  await page.goto('/logbook');
  await page.getByRole('radio', { name: 'From now on' }).first().click();
  await expect(page.getByRole('heading', { name: 'What this kitchen has learned' })).toBeVisible();
  await page.getByRole('button', { name: /^Begin afresh: .*Hall oven/ }).click();
  expect((await bakingTime(page)).low).toBe(before.low);
});
