import { expect, hand, keyIn, openApp, spoken, test } from './fixtures';

const PASTED = [
  '1 1/2 cups (190 g) plain flour',
  '2½ tsp baking powder',
  '1 stick butter',
  '2 dl milk',
  '3 large eggs',
  'a pinch of salt',
  '120g caster sugar',
  '62,5 g honey',
  '1 cup (180 g) rye flour',
  'two lots of something',
].join('\n');

test('a tray of cupcakes, from a pasted formula to a baked and undone batch', async ({ page, context }) => {
  await openApp(page, '/', { past: false });

  await test.step('2. paste a formula as people write one; it is read back in grams, line by line', async () => {
    await page.getByRole('link', { name: 'Formulas' }).click();
    await page.getByRole('button', { name: 'New formula' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Rye and honey');
    await page.getByLabel('Ingredients, one a line').fill(PASTED);
    const lines = page.getByTestId('line-read');
    await expect(lines).toHaveCount(9);
    await expect(lines.nth(0)).toContainText('190 g');
    await expect(lines.nth(1)).toContainText('baking powder');
    await expect(lines.nth(1)).toContainText('11.5 g');
    await expect(lines.nth(2)).toContainText('113 g');
    await expect(lines.nth(3)).toContainText('206 g');
    await expect(lines.nth(4)).toContainText('150 g');
    await expect(lines.nth(7)).toContainText('63 g');
    // 1 cup of rye is 105 g: 180 g beside it is 42 % apart, and the line says so.
    await expect(lines.nth(8)).toContainText('42 % apart');
    const unread = page.getByTestId('line-unread');
    await expect(unread).toHaveCount(1);
    await expect(unread).toContainText('two lots of something');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('heading', { name: 'Rye and honey' })).toBeVisible();
  });

  await test.step('1. start a run in five taps, without typing', async () => {
    await page.getByRole('link', { name: 'Runs', exact: true }).click();
    const { tap, taps } = hand();
    await tap(page.getByRole('button', { name: /^Cupcakes/ }));
    await tap(page.getByRole('radio', { name: 'Rye and honey' }));
    await tap(page.getByRole('radio', { name: '24', exact: true }));
    await tap(page.getByRole('radio', { name: /16:00, Saturday/ }));
    await tap(page.getByRole('button', { name: 'Start' }));
    expect(taps()).toBeLessThanOrEqual(5);
    await expect(page.getByRole('tab', { name: 'Sums', selected: true })).toBeVisible();
  });

  await test.step('3. the sums: by hand, 1.08 ÷ 1.884 × 106 × 0.90 is 55 g a well', async () => {
    await expect.poll(() => spoken(page, 'portion.mass')).toContain('55 g');
    await expect.poll(() => spoken(page, 'fill.share')).toMatch(/58 %, likely 54–61 %/);
    await expect.poll(() => spoken(page, 'fill.belowRim')).toContain('13 mm');
    // Formula: 190 + 11.5 + 113.4 + 206.2 + 150 + 0.3 + 120 + 62.5 + 180 = 1033.9 g. 24 × 55 ÷ 0.97 = 1360.8 g,
    // ×1.316, 3.95 eggs, so 4: ×1.333 and 1378.5 g in the bowl, which fills 24 (1337.2 ÷ 55 = 24.3).
    await expect.poll(() => spoken(page, 'batter.mixed')).toMatch(/137[89] g/);
    await expect.poll(() => spoken(page, 'scale.used')).toContain('×1.33');
    await expect.poll(() => spoken(page, 'count.made')).toContain(': 24');
    await expect.poll(() => spoken(page, 'count.batter')).toContain(': 24');
    await expect.poll(() => spoken(page, 'count.tins')).toContain(': 24');
    await expect.poll(() => spoken(page, 'bake.time')).toMatch(/2[0-5] min, likely/);
    await expect(page.getByText(/become 4 eggs, and everything else goes up 1\.3 %/)).toBeVisible();
    await expect(page.getByText('One load of 24')).toBeVisible();
    await expect(page.getByText(/^In at \d\d:\d\d by this plan: first look \d\d:\d\d/)).toBeVisible();
    await expect(page.getByText(/^1 line of .+ could not be read/)).toBeVisible();
  });

  await test.step('4. the cut changes with the figures', async () => {
    const cut = page.getByRole('img', { name: /^Cupcake cut through/ }).first();
    // The first path of the drawing is the outline of the cake.
    const outline = () => cut.locator('path').first().getAttribute('d');
    await expect(cut).toHaveAttribute('aria-label', /gently domed/);
    const before = await outline();
    await page.getByRole('tab', { name: 'Pieces' }).click();
    await page.getByTestId('value-fill').click();
    await page.getByRole('radio', { name: /^flat/ }).click();
    await page.getByRole('tab', { name: 'Sums' }).click();
    await expect(cut).toHaveAttribute('aria-label', /Comes out flat/);
    expect(await outline()).not.toBe(before);
    await expect.poll(() => spoken(page, 'portion.mass')).toContain('48 g');
    await page.getByRole('button', { name: 'Undo: Finish' }).click();
    await expect(cut).toHaveAttribute('aria-label', /gently domed/);
  });

  await test.step('5. ask why, and follow it to what it rests on', async () => {
    await page.getByTestId('figure-fill.share').click();
    const sheet = page.getByRole('dialog');
    await expect(sheet).toContainText('55 g ÷ (106 ml × 0.90 g/ml) = 58 %');
    await sheet.getByRole('button', { name: /^Batter density/ }).click();
    await expect(page.getByRole('dialog')).toContainText('usual figure');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  });

  await test.step('6. weigh the bowl at 812 g: all after it is planned anew', async () => {
    await page.getByRole('button', { name: 'Weighed the bowl' }).click();
    await keyIn(page, '812');
    await page.getByRole('button', { name: 'Plan on from this' }).click();
    // 812 × 0.97 = 787.6 g; ÷ 55 = 14 pieces; 24 × 55 − 787.6 = 532.4 g short.
    await expect(page.getByTestId('pin-words')).toContainText('532 g short for 24: it fills 14, 10 fewer');
    await expect.poll(() => spoken(page, 'count.made')).toContain('14');
    await expect(page.getByText('This limits the run: what is in the bowl.')).toBeVisible();
    await page.getByRole('button', { name: 'Back to the computed weight' }).click();
    await expect(page.getByTestId('pin-words')).toHaveCount(0);
  });

  await test.step('7. gather: grams, spoons where the scale is too coarse, ticked off', async () => {
    await page.getByRole('tab', { name: 'Gather' }).click();
    await expect(page.getByTestId(/^weigh-/)).toHaveCount(9);
    await expect(page.getByTestId('weigh-6')).toContainText('a pinch');
    await expect(page.getByTestId('weigh-5')).toContainText(/large eggs.*4.*200 g without shell/);
    await expect(page.getByTestId('weigh-1')).toContainText('253 g');
    await page.getByRole('checkbox', { name: /plain flour/ }).click();
    await page.getByRole('checkbox', { name: /butter/ }).click();
    await expect(page.getByText(/^2 of 9 weighed/)).toBeVisible();
  });

  await test.step('8. bake: the clock shows its three times, survives a reload, keeps each look', async () => {
    await page.getByRole('tab', { name: 'Bench' }).click();
    // What is in hand stands above the loads, and comes once the day is worked out.
    await expect(page.getByText(/^In time/)).toBeVisible({ timeout: 30_000 });
    await page.getByRole('button', { name: /^Load 1 in/ }).click();
    const timer = page.getByRole('timer');
    await expect(timer).toContainText(/1[5-9]:\d\d|2[0-2]:\d\d/);
    await expect(page.getByText('First look', { exact: true })).toBeVisible();
    await expect(page.getByText('Expected', { exact: true })).toBeVisible();
    await expect(page.getByText('Latest', { exact: true })).toBeVisible();
    await page.clock.fastForward('05:00');
    await page.reload();
    await expect(timer).toContainText(/1[0-7]:\d\d/);
    await page.clock.fastForward('18:00');
    await expect(timer).toContainText('Look now');
    await page.getByRole('button', { name: 'Wet in the middle' }).click();
    // A wet middle is some minutes away from done.
    await expect(timer).toContainText(/[3-6]:\d\d/);
    await page.clock.fastForward('06:30');
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect(page.getByText(/^Out after (2\d|3\d) min/)).toBeVisible();
    await expect(page.getByText(/wet in the middle, \d\d:\d\d clean/)).toBeVisible();
  });

  await test.step('9. close and come back: all is there, and the last change can be undone', async () => {
    const address = page.url();
    await page.close();
    const again = await context.newPage();
    await again.goto(address);
    await expect(again.getByText(/^Out after (2\d|3\d) min/)).toBeVisible();
    await again.getByRole('button', { name: 'Undo: Look at load 1: clean' }).click();
    await expect(again.getByRole('timer')).toBeVisible();
    await again.getByRole('tab', { name: 'Gather' }).click();
    await expect(again.getByText(/^2 of 9 weighed/)).toBeVisible();
  });
});
