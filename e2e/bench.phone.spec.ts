import { ACTION, benchThere, bringIn, nextStep } from './benchSteps';
import { expect, openApp, test } from './fixtures';

test('a cake-pop run from its first step to the closed log: a late step, a reload among clocks, a step taken back', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await openApp(page);
  await page.getByRole('button', { name: /^Cake pops/ }).click();
  await page.getByRole('radio', { name: 'Pumpkin and oat' }).click();
  await page.getByRole('radio', { name: '24', exact: true }).click();
  await page.getByRole('radio', { name: /16:00, Saturday/ }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  // On the day itself, in good time.
  await page.clock.setSystemTime(new Date('2026-11-28T09:00:00'));
  await page.getByRole('tab', { name: 'Bench' }).click();
  await benchThere(page);
  // The first step tells what is weighed.
  await expect(page.getByRole('heading', { name: /Weigh out/ })).toBeVisible();
  await expect(page.getByText('plain flour').first()).toBeVisible();
  const done: string[] = [];
  const step = async () => {
    const words = await nextStep(page);
    if (words) done.push(words);
    return words;
  };
  await step();
  // Taken back, it is in hand again.
  await page.getByRole('button', { name: 'A step back' }).click();
  await expect(page.getByRole('button', { name: done[0], exact: true })).toBeVisible();
  // Until a clock runs: it is seen on every screen, and a reload leaves it alone.
  const strip = page.getByRole('region', { name: 'Clocks that run' });
  while (!(await strip.isVisible()) && done.length < 8) await step();
  const before = await strip.getByRole('button').first().innerText();
  await page.goto('/kitchen');
  await expect(strip).toBeVisible();
  await page.goBack();
  await benchThere(page);
  expect((await strip.getByRole('button').first().innerText()).split('\n')[0]).toBe(before.split('\n')[0]);
  while ((await step()) !== null) if (done.length > 40) break;
  expect(done.some((words) => /Portion and roll/.test(words))).toBe(true);
  expect(done.some((words) => /Dip/.test(words))).toBe(true);
  expect(done.at(-1)).toMatch(/Pack/);
  // Closed in four taps at most.
  await page.getByRole('button', { name: 'Close the run' }).click();
  await page.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
});

test('a late step is told, what follows moves, and a line goes to somebody else', async ({ page }) => {
  await openApp(page, '/runs/run-lantern-table/bake');
  await page.clock.setSystemTime(new Date('2026-11-28T07:30:00'));
  await page.reload();
  await benchThere(page);
  await expect(page.getByText(/^In time/)).toBeVisible();
  await page.getByRole('button', { name: ACTION }).last().click();
  await page.clock.setSystemTime(new Date('2026-11-28T13:30:00'));
  await page.reload();
  await expect(page.getByText(/^Late: ready about .* after the hour/)).toBeVisible({ timeout: 30_000 });
  // Two lines may have a step of one name: what was told is there to be taken back.
  await expect(page.getByRole('button', { name: 'A step back' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'What would give time?' })).toBeVisible();
  const away = page.getByRole('button', { name: 'Somebody else does this line' });
  const was = await page.getByRole('button', { name: ACTION }).last().innerText();
  await away.click();
  await expect(page.getByText('With somebody else')).toBeVisible();
  await page.getByRole('button', { name: /^Take .* back$/ }).click();
  await expect(page.getByText('With somebody else')).toHaveCount(0);
  // The day is found anew with the line in it: its step is there again, in hand or next.
  const [step = was] = was.split(': ').map((part) => part.trim());
  await expect(page.getByRole('button', { name: new RegExp(step) }).first()).toBeVisible();
});

test('went wrong: what fits the step stands first, and nothing is in hand before its day', async ({
  page,
}) => {
  await openApp(page, '/runs/run-lantern-table/bake');
  await benchThere(page);
  await expect(page.getByText('Nothing in hand', { exact: true })).toBeVisible();
  // Something can be begun before its hour, by the thumb or out of what comes next.
  await expect(page.getByRole('button', { name: /^Begin now: / })).toBeVisible();
  await page
    .getByRole('button', { name: /Weigh out.*Take it in hand now/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  const kinds = page.getByRole('dialog', { name: 'What went wrong' }).getByRole('radio');
  await expect(kinds.first()).toHaveText(/^The batter is short/);
});

test('clocks are right after an hour of reloads and of a tab that slept', async ({ page }) => {
  await openApp(page, '/runs/run-lantern-table/bake', { past: false });
  await benchThere(page);
  const ahead = page.getByRole('button', { name: /Butter out.*Take it in hand now/ }).first();
  await page
    .getByRole('button', { name: /^Begin now: / })
    .or(ahead)
    .first()
    .waitFor();
  if (await ahead.isVisible()) await ahead.click();
  else await page.getByRole('button', { name: /^Begin now: Butter/ }).click();
  const earliest = await page.evaluate(() => Date.now());
  await page.getByRole('button', { name: 'Butter out: begun' }).click();
  const latest = await page.evaluate(() => Date.now());
  const load = page.getByRole('button', { name: /^Load 1 in: start its clock/ });
  await load.first().click();
  await load.first().click();
  const strip = page.getByRole('region', { name: 'Clocks that run' });
  await expect(strip.getByRole('button')).toHaveCount(3);
  /** How far off a clock is from what it ought to show, s: it was begun between the two moments about its tap. */
  const off = async (name: RegExp, lasts: number): Promise<number> => {
    const shown = strip.getByRole('button', { name }).first();
    const [text, now] = await shown.evaluate((one) => [one.textContent ?? '', Date.now()] as const);
    const [minutes, seconds] = (/(\d+):(\d\d)$/.exec(text) ?? []).slice(1).map(Number);
    const left = (minutes ?? NaN) * 60 + (seconds ?? NaN);
    const [least, most] = [lasts - (now - earliest) / 1000, lasts - (now - latest) / 1000];
    return left < least ? least - left : Math.max(0, left - most);
  };
  // Ten turns of some minutes each, well within the hour of the butter.
  for (const [i, away] of [
    '03:17',
    '07:41',
    '00:59',
    '11:03',
    '02:30',
    '09:59',
    '04:44',
    '06:21',
    '05:05',
    '03:33',
  ].entries()) {
    await page.clock.fastForward(away);
    if (i % 2 === 0) await page.reload();
    await expect(strip).toBeVisible();
    await expect.poll(() => off(/^Butter out/, 3600), { timeout: 10_000 }).toBeLessThan(1);
  }
  // What ran out while nobody looked is told with its hour.
  await page.clock.fastForward('20:00');
  await page.reload();
  await expect(strip.getByRole('button', { name: /look \d\d:\d\d/ }).first()).toBeVisible();
});

test('a rehearsal is played to its end by good answers and by bad ones, left in between, and the difference told', async ({
  page,
}) => {
  await openApp(page, '/runs/run-lantern-table/bake');
  await benchThere(page);
  await page.getByRole('button', { name: 'Rehearse it first, without flour' }).click();
  await page.getByRole('radio', { name: 'Usual' }).click();
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  const over = page.getByText('Baked through', { exact: true });
  const on = page.getByRole('button', { name: 'On to the next judgement', exact: true });
  /** Plays to the end: for each look of a thing, what is answered to it. */
  const play = async (answers: readonly (readonly [RegExp, string])[]): Promise<string> => {
    for (let i = 0; i < 120; i += 1) {
      const options = new RegExp(`^(${answers.map(([, option]) => option).join('|')})$`);
      await on
        .or(over)
        .or(page.getByRole('button', { name: options }))
        .first()
        .waitFor();
      if (await over.isVisible()) break;
      if (await on.isVisible()) {
        // It may be on its way out, from the tap before: then there is nothing to tap.
        await on.click({ timeout: 2000 }).catch(() => undefined);
        continue;
      }
      const text = await page.getByRole('main').or(page.locator('body')).first().innerText();
      const [, option] = answers.find(([shown]) => shown.test(text)) ?? [];
      // Between two scenes there is nothing to answer.
      if (!option) continue;
      await page
        .getByRole('button', { name: option, exact: true })
        .click({ timeout: 2000 })
        .catch(() => undefined);
    }
    await expect(over).toBeVisible();
    return page.getByText(/^(Other answers would have kept|Nothing could have been done better)/).innerText();
  };
  // One step by hand, and the page left in the middle of it: it is taken up where it was.
  await page.getByRole('button', { name: /^Done: / }).click();
  await expect(page.getByText(/step 2 of/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/step 2 of/)).toBeVisible({ timeout: 30_000 });
  const good = await play([
    [/comes out wet/, 'In again, 4 min'],
    [/damp crumbs/, 'In again, 2 min'],
    [/The skewer is clean|Dark at the rim/, 'Out with it'],
    [/falls apart in crumbs/, 'Another spoon, 15 g'],
    [/just holds, and cracks/, 'A teaspoon, 5 g'],
    [/palm is dry/, 'Good: roll them'],
    [/palm shines/, 'Half an hour in the fridge, and crumb by the spoon'],
    [/Ridges down the side/, 'Warm it gently, and stir'],
    [/smooth all round/, 'Go on dipping'],
    [/clings to its well|still hard to the tin/, 'Let it stand another five minutes'],
    [/a little warm underneath/, 'Ten minutes in the fridge'],
    [/Somebody at the door/, 'Yes: each a little smaller'],
  ]);
  await page.getByRole('button', { name: 'The same day once more', exact: true }).click();
  const bad = await play([
    [/comes out wet|damp crumbs|The skewer is clean|Dark at the rim/, 'Out with it'],
    [/falls apart|just holds|palm is dry|palm shines/, 'Good: roll them'],
    [/Ridges down|smooth all round/, 'Go on dipping'],
    [/clings to its well|still hard to the tin/, 'Turn them out now'],
    [/a little warm underneath/, 'Frost them now'],
    [/Somebody at the door/, 'No, not today'],
  ]);
  const pieces = (words: string) => Number(/(\d+) pieces?/.exec(words)?.[1] ?? 0);
  expect(pieces(bad)).toBeGreaterThan(pieces(good) + 10);
  await expect(page.getByText(/the best answer: /).first()).toBeVisible();
  // Nothing of it is in the run itself.
  await page.getByRole('button', { name: 'To the bench itself' }).click();
  await benchThere(page);
  await expect(page.getByRole('button', { name: 'On with the rehearsal' })).toBeVisible();
});

test('pieces are weighed by a tap on the scale; lost, it is said to be, and hands go on', async ({
  page,
}) => {
  await openApp(page);
  // Pops alone, bound and ready to be rolled.
  await bringIn(page, 'pops', { 'pops-fresh': 40 }, 'Rolling', [
    { id: 'e1', at: Date.parse('2026-11-25T09:00:00'), what: 'done', chore: 'pops-fresh/bind' },
  ]);
  await benchThere(page);
  const roll = page.getByRole('button', {
    name: /^(Begin now: Portion and roll|.*Portion and roll.*Take it in hand now)/,
  });
  await roll
    .or(page.getByText(/^Next: \d/))
    .first()
    .waitFor();
  if (!(await page.getByText(/^Next: \d/).isVisible())) await roll.first().click();
  const stream = page.waitForRequest(/\/api\/instruments\/stream/);
  await page.getByRole('button', { name: 'Practise with a scale and probes' }).click();
  const session = new URL((await stream).url()).searchParams.get('session') ?? '';
  const spoil = (how: string) =>
    page.request.get(`/api/instruments/do?session=${session}&do=spoil&id=scale&how=${how}`);
  await page.getByRole('button', { name: 'Put a piece on' }).click();
  const scale = page.getByRole('button', { name: /^On the scale .*: take it$/ });
  // The page's clock stands still for nobody here: readings come by the server's.
  await scale.click({ timeout: 20_000 });
  await expect(page.getByText(/^1 weighed/)).toBeVisible();
  // The scale is gone: that is said, and a tap on a key does as well.
  await spoil('lost');
  await expect(page.getByText(/Weigh by hand, and tap what it showed/)).toBeVisible({ timeout: 20_000 });
  await page
    .getByRole('button', { name: /^\d+ g on the scale$/ })
    .nth(2)
    .click();
  await expect(page.getByText(/^2 weighed/)).toBeVisible();
  // It lies, and is not believed; mended, it is there again.
  await spoil('lying');
  await expect(page.getByText(/cannot be: not believed/)).toBeVisible({ timeout: 20_000 });
  await spoil('none');
  await expect(scale).toBeVisible({ timeout: 20_000 });
});
