import { expect, openApp, spoken, test } from './fixtures';
import { headless, runIdOf, sameAsHeadless } from './headless';

test('cake pops at the desk by keyboard alone, and the same sums as the headless command', async ({
  page,
}) => {
  await openApp(page);
  const press = async (role: 'button' | 'radio' | 'tab' | 'checkbox', name: string | RegExp) => {
    await page.getByRole(role, { name }).first().focus();
    await page.keyboard.press('Enter');
  };
  await press('button', /^Cake pops and balls/);
  await press('radio', 'Pumpkin and oat');
  await press('radio', '48');
  await press('radio', /16:00, Saturday/);
  await press('button', 'Start');
  await expect(page.getByRole('tab', { name: 'Sums', selected: true })).toBeVisible();
  const id = runIdOf(page);
  // What if, taken and taken back by key.
  const thick = await spoken(page, 'coat.mm');
  await press('button', 'What if it were made otherwise');
  await press('radio', 'Another thickness');
  await press('button', /^Take thick/);
  await expect.poll(() => spoken(page, 'coat.mm')).toContain('1.8 mm');
  await page.keyboard.press('u');
  await expect.poll(() => spoken(page, 'coat.mm')).toBe(thick);
  // A weigh-in by key.
  await press('button', 'Weighed the dough');
  await expect(page.getByRole('dialog').getByRole('textbox')).toBeFocused();
  await page.keyboard.type('1000');
  await page.keyboard.press('Enter');
  // 1000 × 0.985 ÷ 25 = 39.
  await expect.poll(() => spoken(page, 'count.made')).toContain(': 39');
  await page.keyboard.press('u');
  await expect.poll(() => spoken(page, 'count.made')).toContain(': 48');
  await press('tab', 'Gather');
  await press('checkbox', /plain flour/);
  await expect(page.getByRole('checkbox', { name: /plain flour/, checked: true })).toBeVisible();
  const [line] = await headless(page, id);
  if (!line) throw new Error('a line');
  await page.goto(`/runs/${id}/sums`);
  await expect(page.getByTestId('figure-count.made').first()).toBeVisible();
  expect(await sameAsHeadless(page, line)).toBeGreaterThan(30);
});
