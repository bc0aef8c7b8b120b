import type { Page } from '@playwright/test';
import { ACTION, benchThere, bringIn } from './benchSteps';
import { expect, openApp, test } from './fixtures';

/** What the keyboard is on. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const one = document.activeElement;
    return one?.getAttribute('role') === 'button' || one?.tagName === 'BUTTON'
      ? (one.getAttribute('aria-label') ?? one.textContent ?? '')
      : '';
  });

/** Goes through the page by Tab until it is on a button of that name; false where there is none. */
async function tabTo(page: Page, name: RegExp): Promise<boolean> {
  for (let i = 0; i < 90; i += 1) {
    if (name.test(await focused(page))) return true;
    await page.keyboard.press('Tab');
  }
  return false;
}

test('a run of pops is baked to its end at the desk, by the keyboard alone', async ({ page }) => {
  test.setTimeout(180_000);
  await openApp(page);
  await bringIn(page, 'pops', { 'balls-leftover': 12 }, 'By keys');
  await benchThere(page);
  await page.clock.setSystemTime(new Date('2026-11-28T12:30:00'));
  await page.reload();
  await benchThere(page);
  const done: string[] = [];
  for (let i = 0; i < 60; i += 1) {
    if (await page.getByText('All is done', { exact: true }).isVisible()) break;
    const early = page.getByRole('button', { name: /^Begin now: / });
    const action = page.getByRole('button', { name: ACTION }).last();
    if (await early.isVisible()) {
      // Its hour may come on the way to it: then it is in hand by itself.
      if (await tabTo(page, /^Begin now: /)) await page.keyboard.press('Enter');
      await expect(early).toHaveCount(0);
    } else if (await action.isVisible()) {
      const words = await action.innerText();
      expect(await tabTo(page, ACTION)).toBe(true);
      // A judgement on the way is answered by keys as well.
      if (/Bind/.test(words) && !done.includes('squeezed')) {
        expect(await tabTo(page, /^It holds$/)).toBe(true);
        await page.keyboard.press('Enter');
        await expect(page.getByText(/it took/)).toBeVisible();
        done.push('squeezed');
        continue;
      }
      await page.keyboard.press('Enter');
      await expect(page.getByRole('button', { name: words, exact: true })).toHaveCount(0);
      done.push(words);
    } else await page.clock.fastForward('10:00');
    await page.waitForTimeout(100);
  }
  expect(done).toContain('squeezed');
  expect(done.some((words) => /Portion and roll/.test(words))).toBe(true);
  expect(done.at(-1)).toMatch(/Pack/);
  expect(await tabTo(page, /^Close the run$/)).toBe(true);
  await page.keyboard.press('Enter');
  expect(await tabTo(page, /^Into the logbook$/)).toBe(true);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
});
