import type { Page } from '@playwright/test';
import { dropFile, expect, hand, keyIn, openApp, spoken, test } from './fixtures';
import { headless, runIdOf, sameAsHeadless } from './headless';

/** Starts a run of a family in five taps, without typing. */
async function start(page: Page, family: RegExp, formula: string, count: string): Promise<string> {
  await openApp(page);
  const { tap, taps } = hand();
  await tap(page.getByRole('button', { name: family }));
  await tap(page.getByRole('radio', { name: formula }));
  await tap(page.getByRole('radio', { name: count, exact: true }));
  await tap(page.getByRole('radio', { name: /16:00, Saturday/ }));
  await tap(page.getByRole('button', { name: 'Start' }));
  expect(taps()).toBeLessThanOrEqual(5);
  await expect(page.getByRole('tab', { name: 'Sums', selected: true })).toBeVisible();
  return runIdOf(page);
}

async function choose(page: Page, field: string, option: RegExp): Promise<void> {
  await page.getByTestId(field).first().click();
  await page.getByRole('dialog').getByRole('radio', { name: option }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

async function stage(page: Page, name: 'Pieces' | 'Sums' | 'Gather' | 'Bench'): Promise<void> {
  await page.getByRole('tab', { name, exact: true }).click();
  await expect(page.getByRole('tab', { name, exact: true, selected: true })).toBeVisible();
}

/** The sums on screen are those of the headless command for the same run. */
async function compare(page: Page, id: string, least: number): Promise<void> {
  const [line] = await headless(page, id);
  if (!line) throw new Error('a line');
  await page.goto(`/runs/${id}/sums`);
  await expect(page.getByTestId('figure-count.made')).toBeVisible();
  expect(await sameAsHeadless(page, line)).toBeGreaterThan(least);
}

test('cake pops: from the wish to the dip, in two coats, the binder weighed in', async ({ page }) => {
  const id = await start(page, /^Cake pops and balls/, 'Pumpkin and oat', '36');
  // 36 × 25 g ÷ 0.985 = 914 g of dough wants 774 g of crumb; six whole eggs make some 890 g, and 0.18 of that binds it.
  await expect.poll(() => spoken(page, 'portion.mass')).toContain('25 g');
  await expect.poll(() => spoken(page, 'binder.need')).toMatch(/: 1[3-6]\d g/);
  await stage(page, 'Pieces');
  await choose(page, 'value-bindSchool', /^fudge/);
  await choose(page, 'value-thickness', /^thick/);
  await page.getByRole('button', { name: 'Finish some of them otherwise' }).click();
  await page.getByLabel('What they are called').fill('White ones');
  await page.getByLabel('How many in this lot').fill('40');
  await page.getByRole('radio', { name: 'white chocolate' }).click();
  await page.getByRole('button', { name: 'Keep this lot' }).click();
  await expect(page.getByRole('alert')).toHaveText('Only 36 are in no other lot.');
  await page.getByLabel('How many in this lot').fill('12');
  await page.getByRole('button', { name: 'Keep this lot' }).click();
  await stage(page, 'Sums');
  await expect.poll(() => spoken(page, 'pot.1.count')).toBe('Pieces in white: 12 . Why?');
  await expect.poll(() => spoken(page, 'pot.2.count')).toBe('Pieces in dark: 24 . Why?');
  await page.getByRole('button', { name: 'Weighed the binder' }).click();
  await keyIn(page, '260');
  await page.getByRole('button', { name: 'Plan on from this' }).click();
  await expect.poll(() => spoken(page, 'binder.added')).toMatch(/260 g, measured/);
  await page.getByRole('button', { name: 'Back to the computed weight' }).click();
  await compare(page, id, 30);
  await stage(page, 'Gather');
  await expect(page.getByText('Dark chocolate', { exact: true })).toBeVisible();
  await expect(page.getByText('White chocolate', { exact: true })).toBeVisible();
  await expect(page.getByText('Weigh out: Pumpkin and oat')).toBeVisible();
});

test('moulded pieces: shell, rounds of the mould, and another mould tried before it is taken', async ({
  page,
}) => {
  const id = await start(page, /^Moulded pieces/, 'Plum and rye', '24');
  // 2 moulds of 4 cavities: 24 in 3 rounds.
  await expect.poll(() => spoken(page, 'rounds.count')).toContain(': 3');
  await page.getByRole('button', { name: 'What if it were made otherwise' }).click();
  const lantern = page.getByRole('dialog').getByRole('button', { name: /^Take Lantern mould/ });
  await expect(
    page.getByRole('dialog').getByRole('row', { name: /^Rounds of the mould 3.* 4/ }),
  ).toBeVisible();
  await lantern.click();
  await expect.poll(() => spoken(page, 'rounds.count')).toContain(': 4');
  await page.getByRole('button', { name: /^Undo: Another mould/ }).click();
  await expect.poll(() => spoken(page, 'rounds.count')).toContain(': 3');
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  await page.getByRole('radio', { name: 'Shells cracked' }).click();
  await page.getByRole('dialog').getByLabel('How many').fill('4');
  await page.getByRole('button', { name: 'The way out' }).click();
  await page.getByRole('button', { name: 'Go on so' }).click();
  await expect.poll(() => spoken(page, 'patch.needed')).toMatch(/\d g/);
  await compare(page, id, 30);
  await stage(page, 'Gather');
  await expect(page.getByText(/Stick mould: warm water/)).toBeVisible();
});

test('mug cakes: several mugs at once, at half power', async ({ page }) => {
  const id = await start(page, /^Mug cakes/, 'Apple and cinnamon mug', '4');
  // 0.42 × 320 ml × 1.05 g/ml is 141 g.
  await expect.poll(() => spoken(page, 'portion.mass')).toMatch(/: 141 g/);
  const before = await spoken(page, 'micro.time');
  await stage(page, 'Pieces');
  await choose(page, 'value-power', /^half power/);
  await choose(page, 'value-atOnce', /^2 at once/);
  await stage(page, 'Sums');
  expect(await spoken(page, 'micro.time')).not.toBe(before);
  await expect(page.getByText('2 turns in the microwave: 2 + 2')).toBeVisible();
  await compare(page, id, 15);
  await stage(page, 'Bench');
  await page.getByRole('button', { name: /^Load 1 in/ }).click();
  await expect(page.getByRole('timer')).toBeVisible();
});

test('mini cakes: cubes cut and dipped, half of them with nuts, on paper at the end', async ({ page }) => {
  const id = await start(page, /^Mini cakes/, 'Pumpkin and oat', '36');
  // 8 by 6 pieces of a sheet: 48, for 36 wanted.
  await expect.poll(() => spoken(page, 'cut.perSheet')).toContain(': 48');
  await stage(page, 'Pieces');
  await page.getByRole('button', { name: 'Finish some of them otherwise' }).click();
  await page.getByLabel('What they are called').fill('With hazelnuts');
  await page.getByLabel('How many in this lot').fill('18');
  await page.getByRole('button', { name: 'A topping' }).click();
  await page.getByLabel('Topping', { exact: true }).fill('chopped hazelnuts');
  await page.getByRole('radio', { name: /chopped nuts/ }).click();
  await page.getByLabel('Per cent covered').fill('25');
  await page.getByRole('button', { name: 'Keep this lot' }).click();
  await expect(page.getByRole('button', { name: /^18 With hazelnuts/ })).toBeVisible();
  await stage(page, 'Gather');
  await expect(page.getByText(/^18 With hazelnuts: .*nuts/)).toBeVisible();
  await expect(page.getByText(/^18 The rest: (?!.*nuts)/)).toBeVisible();
  await page.getByRole('radio', { name: 'Shopping' }).click();
  await page
    .getByTestId('buy-plain flour')
    .or(page.getByTestId(/^buy-.*flour/))
    .first()
    .click();
  await page.getByLabel('In the cupboard, g').fill('100');
  await page.getByLabel('A packet holds, g').fill('500');
  await page.getByLabel('A packet costs').fill('1,20');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('checkbox', { name: /^1 × 500 g, .*flour/ })).toBeVisible();
  await expect(page.getByText(/^1.20 for the packets/)).toBeVisible();
  await compare(page, id, 25);
  await page.goto(`/runs/${id}/print`);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Gather' })).toBeVisible();
});

test('cupcakes in three colours with a core, and a line of pops beside them from the same buttercream', async ({
  page,
}) => {
  await openApp(page, '/runs/run-lantern-table/sums');
  await page.getByRole('tab', { name: /24 cupcakes/ }).click();
  // Amber 8, ember 6 and 10 as they are.
  await expect.poll(() => spoken(page, 'lot.1.count')).toContain(': 8');
  await expect.poll(() => spoken(page, 'lot.rest.count')).toContain(': 10');
  const lines = await headless(page, 'run-lantern-table');
  await page.goto('/runs/run-lantern-table/sums');
  for (const [i, name] of [
    /36 cake pops/,
    /24 cupcakes/,
    /16 moulded/,
    /12 mug cakes/,
    /30 cubes/,
  ].entries()) {
    await page.getByRole('tab', { name }).click();
    await expect(page.getByRole('tab', { name, selected: true })).toBeVisible();
    const line = lines[i];
    if (!line) throw new Error('five lines');
    expect(await sameAsHeadless(page, line)).toBeGreaterThan(15);
  }
  await stage(page, 'Gather');
  // One bowl of buttercream for cupcakes, pops and moulded pieces.
  await expect(page.getByText('Weigh out: Malt buttercream')).toHaveCount(1);
  await expect(page.getByText('For 36 cake pops, 24 cupcakes, 16 moulded pieces.').first()).toBeVisible();
});

test('from leftovers, backwards: 430 g of frosted cake, 180 g of white chocolate, 20 sticks', async ({
  page,
}) => {
  await openApp(page);
  await page.getByRole('button', { name: 'Start from what is there' }).click();
  // 344 g of crumb wants 62 g of binder and has 86 g of frosting: 430 × 0.985 ÷ 25 = 16 pops.
  const pops = page.getByTestId('offer-pops');
  const type = async (grams: string) => {
    await page.getByTestId('table-chocolate').click();
    await keyIn(page, grams);
    await page.getByRole('button', { name: 'Save' }).click();
  };
  // Of 60 g some are made with nothing missing; for all of the dough there is something to get.
  await type('60');
  await expect(page.getByTestId('offer-pops-bought')).toContainText(/16.*Missing: \d+ g of white chocolate/);
  await expect(pops).toContainText('Nothing is missing.');
  await expect(pops).not.toContainText('16');
  await type('900');
  await expect(pops).toContainText('16');
  await expect(pops).toContainText('Nothing is missing.');
  await pops.click();
  await expect.poll(() => spoken(page, 'count.made')).toContain(': 16');
});

test('a run goes out as a file and comes in again, dropped on the page', async ({ page }) => {
  await openApp(page, '/runs/run-lantern-table/print');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a file' }).click(),
  ]);
  const text = await (await import('node:fs/promises')).readFile(await download.path(), 'utf8');
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  const drop = (content: string) => dropFile(page, content, 'a.run.json');
  await drop('{"kind": "run file", "run"');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('This file is broken', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  const named = text.replace('Lantern evening, the table', '<img src=x onerror=alert(1)>');
  await drop(named);
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByRole('heading', { name: '<img src=x onerror=alert(1)>' })).toBeVisible();
  expect(runIdOf(page)).not.toBe('run-lantern-table');
  await expect(page.getByTestId('figure-count.made')).toBeVisible();
});
