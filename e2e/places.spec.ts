import { AxeBuilder } from '@axe-core/playwright';
import { expect, openApp, spoken, test } from './fixtures';

const RUN = '/runs/run-lantern-evening';
const VIEWS: readonly string[] = [
  '/',
  '/runs/new',
  RUN,
  `${RUN}/pieces`,
  `${RUN}/sums`,
  `${RUN}/gather`,
  `${RUN}/bake`,
  '/runs/from',
  '/runs/run-lantern-table/pieces',
  '/runs/run-lantern-table/sums',
  '/runs/run-lantern-table/gather',
  '/runs/run-lantern-table/day',
  '/runs/run-lantern-table/print',
  '/formulas',
  '/formulas/new',
  '/formulas/formula-honey-thyme',
  '/bench',
  '/logbook',
  '/logbook/charts',
  '/logbook/learned',
  '/logbook/keeping',
  `${RUN}/labels`,
  '/kitchen',
];

/** In two halves: looking at every element of every view takes a slow machine a while. */
const HALVES = [VIEWS.slice(0, 11), VIEWS.slice(11)] as const;

for (const [i, views] of HALVES.entries())
  test(`every view can be read and reached by everyone, half ${i + 1}`, async ({ page }, info) => {
    test.setTimeout(150_000);
    // Light on the phone, dark at the desk: contrast does not depend on the size of the screen.
    await page.emulateMedia({ colorScheme: info.project.name === 'phone' ? 'light' : 'dark' });
    await openApp(page);
    const found: string[] = [];
    for (const view of views) {
      await page.goto(view);
      await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      // There are no frames, so they need not be looked for: a quarter of the time.
      const { violations } = await new AxeBuilder({ page })
        .setLegacyMode()
        .options({ resultTypes: ['violations'], iframes: false })
        .analyze();
      found.push(...violations.map(({ id, nodes }) => `${view}: ${id}: ${nodes[0]?.html.slice(0, 160)}`));
      const wider = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
      expect(wider, `${view} is wider than the screen`).toBe(false);
    }
    expect(found).toEqual([]);
  });

test('ounces, Fahrenheit and a decimal comma reach every figure', async ({ page }) => {
  await openApp(page, '/kitchen', { past: false });
  for (const [value, choice] of [
    ['Weights: grams', 'ounces'],
    ['Heat: Celsius', 'Fahrenheit'],
    ['Decimal mark: point', /^comma/],
  ] as const) {
    await page.getByRole('button', { name: value }).click();
    await page.getByRole('radio', { name: choice }).click();
  }
  await page.goto(`${RUN}/sums`);
  await expect.poll(() => spoken(page, 'portion.mass')).toContain('1,94 oz');
  await expect.poll(() => spoken(page, 'oven.setting')).toContain('355 °F');
  await expect.poll(() => spoken(page, 'rise')).toContain('×1,89');
  await page.getByTestId('figure-oven.setting').click();
  await expect(page.getByRole('dialog')).toContainText('355 °F');
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: 'Gather' }).click();
  await expect(page.getByText('Soft at 64 °F to 68 °F', { exact: false })).toBeVisible();
});

test('clear the demo, start empty, and think better of it', async ({ page }) => {
  await openApp(page, '/kitchen');
  await page.getByRole('button', { name: 'Clear all and start empty' }).click();
  await page.getByRole('link', { name: 'Runs', exact: true }).click();
  await expect(page.getByText('Nothing planned')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Nothing planned')).toBeVisible();
  await page.getByRole('button', { name: /^Cupcakes/ }).click();
  await expect(page.getByText('There is no formula yet.', { exact: false })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Undo: Start empty' }).click();
  await expect(page.getByText('Lantern evening', { exact: true })).toBeVisible();
});
