import type { Page } from '@playwright/test';
import { expect, openApp, test } from './fixtures';

/** The day has been worked out, and nothing is being reckoned any more. */
async function dayThere(page: Page): Promise<void> {
  await expect(page.getByText('Latest safe start')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/^(Working the day out|A day that works)/)).toHaveCount(0, { timeout: 30_000 });
}

test('lanes: a band is drawn to another time, what it pushes is told, held there and let go', async ({
  page,
}, info) => {
  await openApp(page, '/runs/run-lantern-table/day');
  await dayThere(page);
  await page.getByRole('radio', { name: 'By what is held' }).click();
  const lanes = page.getByRole('region', { name: 'Lanes of the day' });
  const band = lanes.getByRole('button', { name: /^Trim and cut/ }).first();
  await band.scrollIntoViewIfNeeded();
  const box = await band.boundingBox();
  if (!box) throw new Error('a band is drawn');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const along = info.project.name === 'wide';
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(along ? x - 60 : x, along ? y : y - 60, { steps: 4 });
  await page.mouse.move(along ? x - 120 : x, along ? y : y - 120, { steps: 4 });
  await page.mouse.up();
  const sheet = page.getByRole('dialog', { name: 'Trim and cut' });
  await expect(sheet).toBeVisible();
  // By keys as well: five minutes at a time.
  await sheet.getByRole('button', { name: '5 min earlier', exact: true }).focus();
  await page.keyboard.press('Enter');
  const hold = sheet.getByRole('button', { name: /^Hold it at/ });
  const none = sheet.getByText('The day cannot be worked with it there.');
  await expect(hold.or(none)).toBeVisible({ timeout: 30_000 });
  while (await none.isVisible()) {
    await sheet.getByRole('button', { name: '5 min later', exact: true }).click();
    await expect(sheet.getByText('Trying what it pushes.')).toHaveCount(0, { timeout: 30_000 });
  }
  await expect(sheet.getByText(/^The day begins/)).toBeVisible();
  const at = /Hold it at (\d\d:\d\d)/.exec((await hold.innerText()) ?? '')?.[1] ?? '';
  await hold.click();
  await dayThere(page);
  await expect(lanes.getByRole('button', { name: new RegExp(`^Trim and cut.*begins ${at}`) })).toBeVisible();
  await page.getByRole('button', { name: 'Let the held chore move again' }).click();
  await dayThere(page);
  await expect(page.getByRole('button', { name: /^Undo: Nothing held/ })).toBeVisible();
});
