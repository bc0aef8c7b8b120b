import type { Page } from '@playwright/test';
import { expect, keyIn, openApp, spoken, test } from './fixtures';

const run = '/runs/run-lantern-evening';

async function refuse(page: Page, digits: string, words: RegExp): Promise<void> {
  const field = page.getByRole('dialog').getByRole('textbox');
  await field.fill(digits);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog').getByRole('alert')).toHaveText(words);
  await expect(field).toHaveValue(digits);
}

test('a count of nought, of a hundred thousand, of nothing and of letters', async ({ page }) => {
  await openApp(page, `${run}/pieces`);
  await page.getByTestId('value-count').click();
  await refuse(page, '0', /At least 1/);
  await refuse(page, '100000', /At most 5000/);
  await refuse(page, '2.5', /Whole numbers only/);
  await refuse(page, '-12', /At least 1/);
  await refuse(page, '', /Write a number/);
  await refuse(page, 'a lot', /not a number/);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('value-count')).toHaveText('36');

  await page.getByTestId('value-count').click();
  await keyIn(page, '5000');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('tab', { name: 'Sums' }).click();
  await expect.poll(() => spoken(page, 'count.made')).toContain('5000');
  await expect(page.getByText(/209 loads of up to 24/).first()).toBeVisible();
});

test('a tin without wells, and one that is no tin', async ({ page }) => {
  await openApp(page, '/kitchen');
  await page.getByRole('radio', { name: 'To bake in' }).click();
  await page
    .getByRole('button', { name: /^Wells: 12 wells/ })
    .first()
    .click();
  await refuse(page, '0', /At least 1/);
  await refuse(page, '-3', /At least 1/);
  await refuse(page, '900', /At most 96/);
  await page.keyboard.press('Escape');
  await page
    .getByRole('button', { name: /^Depth: 36 mm/ })
    .first()
    .click();
  await refuse(page, '0', /At least 5 mm/);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Wells: 12 wells/ }).first()).toBeVisible();
});

test('a weight no bowl has', async ({ page }) => {
  await openApp(page, `${run}/sums`);
  await page.getByRole('button', { name: 'Weighed the bowl' }).click();
  await refuse(page, '0', /At least 1 g/);
  await refuse(page, '99999999', /At most 1000000 g/);
  await page.getByRole('dialog').getByRole('textbox').fill('1');
  await page.keyboard.press('Enter');
  // One gram of batter makes nothing, and the plan says so instead of breaking.
  await expect.poll(() => spoken(page, 'count.made')).toContain(': 0');
  await page.getByRole('tab', { name: 'Bench' }).click();
  await expect(page.getByText('There is not enough for a single piece. Look at the sums.')).toBeVisible();
});

test('an empty formula, negative and absurd amounts, and a thousand lines', async ({ page }) => {
  await openApp(page, '/formulas/new');
  const lines = page.getByLabel('Ingredients, one a line');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await expect(page.getByText(/No line with an amount yet/)).toBeVisible();

  await page.getByLabel('Name', { exact: true }).fill('<b>Odd</b> & "long" '.repeat(4));
  await lines.fill('-200 g flour\n999999 kg sugar\n0 g butter\n100 g flour');
  await expect(page.getByTestId('line-unread')).toHaveCount(3);
  await expect(page.getByTestId('line-unread').nth(0)).toContainText('cannot be below zero');
  await expect(page.getByTestId('line-unread').nth(1)).toContainText('over 100 kg');
  await expect(page.getByTestId('line-unread').nth(2)).toContainText('comes to nothing');
  await expect(page.getByTestId('line-read')).toHaveCount(1);

  const thousand = Array.from({ length: 1000 }, (_, i) => `${i + 1} g flour`).join('\n');
  await lines.fill(thousand);
  await expect(page.getByText('800 lines past line 200 are kept as written but not read.')).toBeVisible();
  await expect(page.getByTestId('line-read')).toHaveCount(200);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('<b>Odd</b>');
  await page.reload();
  await expect(page.getByLabel('Ingredients, one a line')).toHaveValue(thousand);
});

test('a formula emptied under a run: the run says so and offers the way out', async ({ page }) => {
  await openApp(page, '/formulas/formula-honey-thyme', { past: false });
  await page.getByLabel('Ingredients, one a line').fill('');
  await page.getByLabel('Ingredients, one a line').blur();
  await page.goto(`${run}/sums`);
  await expect(page.getByText(/has no line with an amount that can be read/)).toBeVisible();
  await page.getByRole('button', { name: 'Open the formula' }).click();
  await page.getByRole('button', { name: /^Undo: Lines/ }).click();
  await page.goto(`${run}/sums`);
  await expect.poll(() => spoken(page, 'portion.mass')).toContain('55 g');
});

test('an address of nothing, of a run that is gone, and of a formula that is gone', async ({ page }) => {
  await openApp(page, '/runs/run-nowhere/sums');
  await expect(page.getByText('This run is not in this browser.')).toBeVisible();
  await page.goto('/formulas/nowhere');
  await expect(page.getByText('This formula is not in this browser.')).toBeVisible();
  await page.goto('/no/such/place');
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
});
