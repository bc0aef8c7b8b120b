import { PAGES } from '../core/exchange/test-utils/pages';
import { dropFile, expect, keyIn, openApp, test } from './fixtures';

test('twelve pages in twelve layouts come in whole, looked at beside the page before they are kept', async ({
  page,
}) => {
  await openApp(page, '/formulas');
  for (const { layout, text, names, lines } of PAGES) {
    await test.step(layout, async () => {
      await dropFile(page, text, 'page.txt');
      await page.getByRole('button', { name: 'Bring it in' }).click();
      const sheet = page.getByRole('dialog', { name: 'Bring in' });
      await expect(sheet.getByLabel('The page as it was brought in')).toBeVisible();
      await expect(sheet.getByTestId('line-read')).toHaveCount(lines.reduce((sum, n) => sum + n, 0));
      await expect(sheet.getByTestId('line-unread')).toHaveCount(0);
      for (const [i, name] of names.entries())
        await expect(sheet.getByLabel('Name', { exact: true }).nth(i)).toHaveValue(name);
      await sheet.getByRole('button', { name: /^Keep (it|\d+ formulas)$/ }).click();
      await sheet.getByRole('button', { name: 'Close', exact: true }).click();
      for (const name of names)
        await expect(page.getByRole('link', { name, exact: true }).first()).toBeVisible();
    });
  }
});

const LEAFLET = `Medlar crumb cakes
Makes 12

1 1/2 cups all-purpose flour
1 stick butter
Sugar: 150
2 eggs
1 cup medlar cheese
2 tsp. baking powder

Cream the butter and sugar, beat in the eggs, fold in the rest. Bake at 180 C for 20 minutes.`;

test('a run from a pasted page: what is unsure is settled by taps, a thing is asked about once, and the run goes on', async ({
  page,
}) => {
  await openApp(page);
  await page.getByRole('button', { name: /^Cupcakes/ }).click();
  await page.getByRole('button', { name: 'Write, paste or drop another' }).click();
  await page.getByLabel('Paste it here').fill(LEAFLET);
  // What was pasted outlives the page.
  await page.waitForTimeout(400);
  await page.reload();
  await page.getByRole('button', { name: 'Write, paste or drop another' }).click();
  await expect(page.getByLabel('Paste it here')).toHaveValue(LEAFLET);
  await page.getByRole('button', { name: 'Bring it in' }).click();
  const settle = page.getByRole('region', { name: 'To settle' });
  await expect(settle).toContainText('2 lines to settle');
  await settle.getByRole('button', { name: '150 g', exact: true }).click();
  await settle.getByRole('button', { name: 'Weigh a cup' }).click();
  await keyIn(page, '280');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(settle).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('radio', { name: 'Medlar crumb cakes' })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await page.getByRole('radio', { name: '12', exact: true }).click();
  await page
    .getByRole('radio', { name: /tomorrow/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByTestId('figure-count.made')).toBeVisible();
  // Another formula names the same thing: nothing is asked, and half a cup of it is 140 g.
  await page.goto('/formulas/new');
  await page.getByLabel('Ingredients, one a line').fill('1/2 cup medlar cheese\n120 g butter');
  await expect(page.getByTestId('line-read').filter({ hasText: 'medlar cheese' })).toContainText('140 g');
  await expect(page.getByRole('region', { name: 'To settle' })).toHaveCount(0);
});
