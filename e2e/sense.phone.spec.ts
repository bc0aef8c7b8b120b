import { expect, keyIn, openApp, spoken, test } from './fixtures';
import type { Page } from '@playwright/test';

/** From the first screen to the sums of a run of its own. */
async function newRun(page: Page, family: RegExp, formula: string, count: string): Promise<void> {
  await openApp(page);
  await page.getByRole('button', { name: family }).click();
  await page.getByRole('radio', { name: formula }).click();
  await page.getByRole('radio', { name: count, exact: true }).click();
  await page.getByRole('radio', { name: /16:00, Saturday/ }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect.poll(() => spoken(page, 'count.made')).toContain(`: ${count}`);
}
const cupcakes = (page: Page, count: string) => newRun(page, /^Cupcakes/, 'Honey and thyme', count);

test('a batch as written: once, as many as come of it, then to a count again', async ({ page }) => {
  await cupcakes(page, '24');
  await page.getByRole('tab', { name: 'Pieces', exact: true }).click();
  await page.getByTestId('value-batches').click();
  await page.getByRole('radio', { name: /as the formula once/ }).click();
  await page.getByRole('tab', { name: 'Sums', exact: true }).click();
  await expect.poll(() => spoken(page, 'scale.used')).toContain('×1');
  await expect(page.getByText('Come of it')).toBeVisible();
});

test('some pieces without an ingredient: their own line and bowl, first, and the allergens follow', async ({
  page,
}) => {
  await cupcakes(page, '24');
  await page.getByRole('tab', { name: 'Pieces', exact: true }).click();
  await page.getByRole('button', { name: 'Some without an ingredient' }).click();
  await page.getByRole('dialog').getByRole('radio', { name: /thyme/ }).click();
  await keyIn(page, '8');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByTestId('value-count')).toHaveText(['8', '16']);
  await page.getByRole('tab', { name: 'Gather', exact: true }).click();
  await expect(page.getByText(/Honey and thyme, without thyme/).first()).toBeVisible();
  // One base for all 24, its eggs broken once; the thyme goes into what is left of it.
  await expect(page.getByText('Weigh out: Honey and thyme, without thyme leaves')).toBeVisible();
  await expect(page.getByText('Weigh out: Honey and thyme', { exact: true })).toBeVisible();
  await expect(page.getByTestId('part-1')).toContainText('Honey and thyme, without thyme');
});

test('a formula for a high kitchen: its changes with their sums, taken by choice', async ({ page }) => {
  await openApp(page);
  await page.getByRole('link', { name: 'Kitchen' }).click();
  await page.getByRole('button', { name: /^Metres above the sea/ }).click();
  await keyIn(page, '1900');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: 'Formulas' }).click();
  await page.getByRole('link', { name: /^Honey and thyme/ }).click();
  await expect(page.getByRole('heading', { name: 'At 1900 m' })).toBeVisible();
  // Two steps of 500 m above 900: a fifth of the powder less, 8 K more in the oven.
  await expect(page.getByRole('row', { name: /baking powder/ })).toContainText('−20 %');
  await expect(page.getByRole('row', { name: /still oven/ })).toContainText('183 °C');
  await page.getByRole('button', { name: 'Write it so' }).click();
  await expect(page.getByRole('heading', { name: 'At 1900 m' })).toHaveCount(0);
});

test('a hot fan oven, told in three taps, moves the dial', async ({ page }) => {
  await cupcakes(page, '12');
  await page.getByRole('tab', { name: 'Pieces', exact: true }).click();
  await page.getByRole('radio', { name: 'It has a fan' }).click();
  await page.getByRole('radio', { name: /^Hot, by some/ }).click();
  await page.getByRole('button', { name: 'That will do' }).click();
  await expect(page.getByText('Whose kitchen?')).toHaveCount(0);
  await page.getByRole('tab', { name: 'Sums', exact: true }).click();
  // 175 wanted, 10 hot, 20 for the fan.
  await expect.poll(() => spoken(page, 'oven.setting')).toContain('145 °C');
});

test('four of a batch lost and baked again as a line of their own', async ({ page }) => {
  await cupcakes(page, '24');
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  await page.getByRole('radio', { name: 'Not all came out: bake those again' }).click();
  await page.getByRole('dialog').getByLabel('How many').fill('4');
  await page.getByRole('button', { name: 'The way out' }).click();
  await page.getByRole('button', { name: 'Go on so' }).click();
  await page.getByRole('tab', { name: 'Pieces', exact: true }).click();
  await expect(page.getByTestId('value-count')).toHaveText(['20', '4']);
});

const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();

test('pops of 30 g with 300 g of coating on the table: dipped while it is deep, the last ones spooned over', async ({
  page,
}) => {
  await newRun(page, /^Cake pops and balls/, 'Pumpkin and oat', '36');
  await tab(page, 'Pieces');
  await page.getByTestId('value-size').click();
  await page.getByRole('radio', { name: /^by a weight of your own/ }).click();
  await keyIn(page, '30');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: /^Chocolate on the table/ }).click();
  await page.getByRole('radio', { name: /what is/ }).click();
  await keyIn(page, '300');
  await page.getByRole('button', { name: 'Save' }).click();
  await tab(page, 'Sums');
  // A gram lighter where whole eggs give so much dough: nobody breaks another for it.
  await expect(page.getByRole('button', { name: /^Dough, weighed for each: (29|30) g/ })).toBeVisible();
  const made = Number(/: (\d+)/.exec(await spoken(page, 'count.made'))?.[1]);
  // Some 8 g a piece with its drips: dipped alone, the pool would leave next to none.
  expect(made).toBeGreaterThan(20);
  expect(made).toBeLessThan(36);
});

test('a sheet cut into cubes of 45 mm: the cuts follow, and as many as it gives', async ({ page }) => {
  await openApp(page);
  await page.getByRole('button', { name: /^Mini cakes/ }).click();
  await page.getByRole('radio', { name: 'Beetroot and ginger' }).click();
  await page.getByRole('radio', { name: '24', exact: true }).click();
  await page.getByRole('radio', { name: /16:00, Saturday/ }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('tab', { name: 'Sums', selected: true })).toBeVisible();
  await tab(page, 'Pieces');
  await page.getByTestId('value-style').click();
  await page.getByRole('radio', { name: /cubes/i }).first().click();
  await page.getByRole('button', { name: /^Size of a piece/ }).click();
  await keyIn(page, '45');
  await page.getByRole('button', { name: 'Save' }).click();
  // 330 and 230 mm less what is trimmed: 7 along, 4 across.
  await expect(page.getByTestId('value-count')).toHaveText('28');
});
