import { expect, openApp, spoken, test } from './fixtures';

test('a whole batch at the desk by keyboard, from the wish to the closed log', async ({ page }) => {
  await openApp(page, '/', { past: false });
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  for (const name of ['Honey and thyme', '36']) {
    await page.getByRole('radio', { name, exact: true }).focus();
    await page.keyboard.press('Enter');
  }
  await page.getByRole('radio', { name: /16:00, Saturday/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Start' }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => spoken(page, 'count.made')).toContain(': 36');
  await page.getByRole('tab', { name: 'Bench' }).focus();
  await page.keyboard.press('Enter');
  for (const load of [1, 2]) {
    await page.getByRole('button', { name: new RegExp(`^Load ${load} in`) }).focus();
    await page.keyboard.press('Enter');
    await page.clock.fastForward('21:30');
    await page.getByRole('button', { name: 'Done, out it comes' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Out after 2\d min/)).toHaveCount(load);
  }
  await page.getByRole('button', { name: 'Close the run' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Good ones that came out').fill('none');
  await page.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByRole('alert')).toHaveText(/whole number of pieces/);
  await page.getByLabel('Good ones that came out').fill('35');
  await page.getByLabel('Anything to remember').fill('One stuck.');
  await page.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
  await expect(page.getByText('One stuck.')).toBeVisible();
  await expect(page.getByText('planned 36').first()).toBeVisible();
});

test('a key pressed before the app stands is answered once it does', async ({ page }) => {
  // The app's own scripts come late: so there is a moment in which only the served page stands.
  await page.route(/\.js$/, async (route) => {
    await new Promise((done) => setTimeout(done, 2000));
    await route.continue();
  });
  await page.goto('/', { waitUntil: 'commit' });
  await page.locator('#shell-places').waitFor();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/bench/);
});
