import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { benchThere, bringIn } from './benchSteps';
import { expect, keyIn, openApp, spoken, test } from './fixtures';

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
  await openApp(page, '/', { past: false });
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
  await expect(
    page.getByText(/^Hall oven takes \d+ % longer for this than first reckoned\. From now on .*, look at /),
  ).toBeVisible();
  await expect(page.getByText(/min.*, at first .*min.*; from one batch\.$/)).toBeVisible();
  await page.getByRole('tab', { name: 'Learned' }).click();
  await expect(
    page.getByRole('button', { name: /Hall oven, baking time: .*at first ×1\.00.*from one batch/ }),
  ).toBeVisible();
  const after = await bakingTime(page);
  expect((after.low + after.high) / 2).toBeGreaterThan((before.low + before.high) / 2);
  expect((after.high - after.low) / (after.high + after.low)).toBeLessThan(
    (before.high - before.low) / (before.high + before.low),
  );
  // Refused, the kitchen is as it was; and undo takes the refusal back.
  await page.goto('/logbook');
  await page.getByRole('radio', { name: 'No, a slip' }).first().click();
  await page.getByRole('tab', { name: 'Learned' }).click();
  await expect(
    page.getByRole('button', { name: /Hall oven, baking time: .*all its batches left out/ }),
  ).toBeVisible();
  expect((await bakingTime(page)).low).toBe(before.low);
  await page.goto('/logbook');
  await page.getByRole('radio', { name: 'From now on' }).first().click();
  await page.getByRole('tab', { name: 'Learned' }).click();
  await page.getByRole('button', { name: /Hall oven, baking time: .*from one batch/ }).click();
  await page.getByRole('button', { name: /^Begin afresh: .*Hall oven/ }).click();
  expect((await bakingTime(page)).low).toBe(before.low);
});

test('a run that was baked without the app is logged in a minute, and teaches as much', async ({ page }) => {
  await openApp(page, '/', { past: false });
  const before = await bakingTime(page);
  await page.goto('/runs/run-lantern-makers-tea/bake');
  await benchThere(page);
  await page.getByRole('button', { name: 'It is baked already: log it' }).click();
  const sheet = page.getByRole('dialog', { name: 'Baked without the app' });
  await sheet.getByLabel('Good ones that came out').fill('19.5');
  await sheet.getByLabel('In the oven, a load').fill('28');
  await sheet.getByRole('radio', { name: 'just right' }).click();
  await sheet.getByRole('button', { name: 'Into the logbook' }).click();
  // A fault is told at its field, and nothing is lost.
  await expect(sheet.getByText('Whole pieces only.')).toBeVisible();
  await expect(sheet.getByLabel('In the oven, a load')).toHaveValue('28');
  await sheet.getByLabel('Good ones that came out').fill('19');
  await sheet.getByLabel('Anything to remember').fill('By the old oven.');
  await sheet.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
  await expect(page.getByText('By the old oven.')).toBeVisible();
  await expect(page.getByText(/takes \d+ % longer/).first()).toBeVisible();
  // What happened goes out as a table.
  await page.getByRole('tab', { name: 'Learned' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Expected and came' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('outcomes.csv');
  expect(readFileSync(await file.path(), 'utf8')).toMatch(/\r\nrun-lantern-makers-tea,.*bake\.factor,oven:/);
  const after = await bakingTime(page);
  expect(after.low + after.high).toBeGreaterThan(before.low + before.high);
});

test('how high they ended and what frosting was left change the next fill and the next bowl of frosting', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openApp(page, '/', { past: false });
  await bringIn(page, 'evening', { 'cupcakes-frosted': 12 }, 'High ones');
  await benchThere(page);
  const bench = page.url();
  const grams = async (figure: string) => {
    await page.goto(bench.replace('/bake', '/sums'));
    const label = (await page.getByTestId(`figure-${figure}`).first().getAttribute('aria-label')) ?? '';
    return Number(/: (?:about )?([\d.]+)/.exec(label)?.[1] ?? NaN);
  };
  const fill = await grams('portion.mass');
  await page.goto(bench);
  await page.getByRole('button', { name: 'It is baked already: log it' }).waitFor();
  await page
    .getByRole('button', { name: /^Load 1 in: start its clock/ })
    .first()
    .click();
  await page.clock.fastForward('24:00');
  await page.getByRole('button', { name: 'Done, out it comes' }).click();
  await page.getByRole('button', { name: 'Close the run' }).click();
  const sheet = page.getByRole('dialog', { name: 'Close the run' });
  await sheet.getByRole('radio', { name: 'high-domed' }).click();
  // More is left than can be: said at the field, and nothing is lost.
  const left = sheet.getByLabel('Frosting left in bowl and bags, g');
  await left.fill('9000');
  await sheet.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(sheet.getByRole('alert')).toHaveText(/^Less is left than was made/);
  await left.fill('0');
  await sheet.getByLabel('Good ones that came out').fill('12');
  await sheet.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(
    page.getByText(/^The batter rises \d+ % more than reckoned\. From now on \d+ g to a well\.$/),
  ).toBeVisible();
  await page.getByRole('tab', { name: 'Learned' }).click();
  await expect(
    page.getByRole('button', { name: /^Honey and thyme, how light it bakes.*from one batch/ }),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: /, frosting: .*from one batch/ }).first()).toBeVisible();
  // The same run planned anew has less batter in a well.
  await page.goto('/logbook');
  await page.getByRole('button', { name: 'Bake High ones again, on another date' }).click();
  await page.getByRole('dialog', { name: 'Ready when' }).getByRole('button', { name: 'Save' }).click();
  await expect(page).toHaveURL(/\/runs\/run-/);
  const again = page.url().replace(/\/runs\/([^/]+).*/, '/runs/$1/sums');
  await page.goto(again);
  await expect
    .poll(async () => {
      const label = (await page.getByTestId('figure-portion.mass').first().getAttribute('aria-label')) ?? '';
      return Number(/: (?:about )?([\d.]+)/.exec(label)?.[1] ?? NaN);
    })
    .toBeLessThan(fill);
});

test('a batch that was never planned is logged from the logbook, for the day that it was baked', async ({
  page,
}) => {
  await openApp(page, '/logbook', { past: false });
  await page.getByRole('button', { name: 'Log a batch that is baked already' }).click();
  await page
    .getByRole('dialog', { name: 'Which batch was it?' })
    .getByRole('button', { name: 'Cupcakes', exact: true })
    .click();
  await page.getByRole('radio', { name: 'Plum and rye' }).click();
  await page.getByRole('radio', { name: '24', exact: true }).click();
  await page.getByRole('radio', { name: /16:00.*yesterday/ }).click();
  await page.getByRole('button', { name: 'Say what came' }).click();
  const sheet = page.getByRole('dialog', { name: 'Baked without the app' });
  await sheet.getByLabel('Good ones that came out').fill('23');
  await sheet.getByLabel('In the oven, a load').fill('26');
  await sheet.getByRole('radio', { name: 'just right' }).click();
  await sheet.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByText(/^Tuesday 24 November 2026, 16:00\. 24 Plum and rye\.$/)).toBeVisible();
  await expect(
    page.getByText(/oven takes \d+ % longer for this than first reckoned\. From now on/),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(page.getByText('No run is closed yet')).toBeVisible();
});

test('a thermometer that is read in the oven sets the dial of the next plan', async ({ page }) => {
  await openApp(page, '/runs/run-lantern-evening/pieces', { past: false });
  await page.getByRole('button', { name: /^Oven: / }).click();
  await page.getByRole('radio', { name: 'Small fan oven' }).click();
  const dial = async () => {
    await page.goto('/runs/run-lantern-evening/sums');
    await expect.poll(() => spoken(page, 'oven.setting')).toContain('°C');
    return Number(/(\d+)\s°C/.exec(await spoken(page, 'oven.setting'))?.[1]);
  };
  // A formula for 175 °C, and 20 less for the fan.
  const before = await dial();
  expect(before).toBe(155);
  await page.goto('/runs/run-lantern-makers-tea/bake');
  await benchThere(page);
  await page
    .getByRole('button', { name: /^Load 1 in: start its clock/ })
    .first()
    .click();
  await page.clock.fastForward('12:00');
  await page.getByRole('button', { name: 'A thermometer in it reads' }).click();
  await keyIn(page, '175');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Thermometer in it: 175 °C')).toBeVisible();
  await page.clock.fastForward('06:00');
  await page.getByRole('button', { name: 'Done, out it comes' }).click();
  await page
    .getByRole('button', { name: /^Load 2 in: start its clock/ })
    .first()
    .click();
  await page.clock.fastForward('18:00');
  await page.getByRole('button', { name: 'Done, out it comes' }).click();
  await page.getByRole('button', { name: 'Close the run' }).click();
  await page.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(
    page.getByText(/^Small fan oven runs \d+ °C hotter than its dial says\. From now on set it to \d+ °C\.$/),
  ).toBeVisible();
  await page.getByRole('tab', { name: 'Learned' }).click();
  await expect(
    page.getByRole('button', { name: /^Small fan oven, above its dial: .*from one batch/ }),
  ).toBeVisible();
  expect(await dial()).toBeLessThan(before);
});
