import { benchThere, bringIn, nextStep } from './benchSteps';
import { expect, openApp, test } from './fixtures';

test('a day of two products from its first step to the last piece: late, reloaded among three clocks, a stuck cake, six more, a lost scale', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await openApp(page, '/', { past: false });
  await bringIn(page, 'evening', { 'cupcakes-plain': 18, 'pops-fresh': 24 }, 'Two products');
  await benchThere(page);
  await page.clock.setSystemTime(new Date('2026-11-28T10:30:00'));
  await page.reload();
  await benchThere(page);
  const strip = page.getByRole('region', { name: 'Clocks that run' });
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  const seen = { clocks: 0, late: false, stuck: false, scale: false, more: false };
  const done: string[] = [];
  // Out of the tin four of them stick: what is left goes on, and their crumb becomes pops.
  const sticks = async (step: string): Promise<boolean> => {
    if (seen.stuck || !/Turn out/.test(step)) return false;
    await button('Something went wrong').first().click();
    const wrong = page.getByRole('dialog', { name: 'What went wrong' });
    await wrong.getByRole('radio', { name: /^They stuck to the tin/ }).click();
    await wrong.getByLabel('How many').fill('4');
    await wrong.getByLabel('Crumb saved').fill('150');
    await wrong.getByRole('button', { name: 'The way out' }).click();
    await expect(wrong.getByText(/crumb makes \d+ pops/)).toBeVisible();
    await wrong.getByRole('button', { name: 'Go on so' }).click();
    await expect(wrong).toHaveCount(0);
    await benchThere(page);
    seen.stuck = true;
    return true;
  };
  for (let i = 0; i < 90; i += 1) {
    // What can be begun before its hour is.
    const early = button(/^Begin now: /);
    if (await early.isVisible()) {
      // Its hour may come as it is tapped: then it is in hand by itself.
      await early.click({ timeout: 3000 }).catch(() => undefined);
      await expect(early).toHaveCount(0);
    }
    // Three clocks, or as many as the day has: a reload, and each is where it was.
    const running = await strip.getByRole('button').count();
    if (running >= 3 && seen.clocks < 3) {
      const names = async () =>
        (await strip.getByRole('button').allInnerTexts()).map((text) => text.split('\n')[0]).sort();
      const before = await names();
      await page.reload();
      await benchThere(page);
      expect(await names()).toEqual(before);
      seen.clocks = running;
    }
    // A step that takes an hour and a half too long is told.
    if (seen.stuck && !seen.late && (await page.getByText(/^In time/).isVisible())) {
      await page.clock.fastForward('04:30:00');
      await page.reload();
      await expect(page.getByText(/^Late: ready about .* after the hour/)).toBeVisible({ timeout: 30_000 });
      seen.late = true;
      continue;
    }
    if (!seen.scale && (await page.getByText(/^Next: \d/).isVisible())) {
      const stream = page.waitForRequest(/\/api\/instruments\/stream/);
      await button('Practise with a scale and probes').click();
      const session = new URL((await stream).url()).searchParams.get('session') ?? '';
      await button('Put a piece on').click();
      await button(/^On the scale .*: take it$/).click({ timeout: 20_000 });
      await expect(page.getByText(/^1 weighed/)).toBeVisible();
      await page.request.get(`/api/instruments/do?session=${session}&do=spoil&id=scale&how=lost`);
      await expect(page.getByText(/Weigh by hand, and tap what it showed/)).toBeVisible({ timeout: 20_000 });
      await button(/^\d+ g on the scale$/)
        .nth(2)
        .click();
      await expect(page.getByText(/^2 weighed/)).toBeVisible();
      await button('Put them away').click();
      seen.scale = true;
      // Somebody at the door wants six more.
      await button('More are wanted').click();
      await button('Save').click();
      const ways = page.getByRole('button', { name: /Take it$/ });
      await expect(ways.first()).toHaveAccessibleName(/Ready about/, { timeout: 30_000 });
      await ways.first().click();
      await expect(ways).toHaveCount(0);
      await benchThere(page);
      seen.more = true;
      continue;
    }
    const words = await nextStep(page, sticks);
    if (words === null) break;
    done.push(words);
  }
  expect(seen).toMatchObject({ late: true, stuck: true, scale: true, more: true });
  expect(seen.clocks).toBeGreaterThanOrEqual(3);
  await expect(page.getByText('All is done', { exact: true })).toBeVisible();
  expect(done.at(-1)).toMatch(/Pack/);
  await button('Close the run').click();
  // Eighteen and twenty-four, four stuck and their crumb made into pops, six more.
  const came = Number(await page.getByLabel('Good ones that came out').inputValue());
  expect(came).toBeGreaterThanOrEqual(18 - 4 + 24 + 6);
  await button('Into the logbook').click();
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
});
