import { readFileSync } from 'node:fs';
import { benchThere } from './benchSteps';
import { expect, keyIn, openApp, test } from './fixtures';

const RUN = '/runs/run-lantern-evening';

test('labels are chosen, priced and printed to scale, nothing else on the paper', async ({ page }) => {
  test.setTimeout(90_000);
  await openApp(page, `${RUN}/print`);
  await page.getByRole('button', { name: 'Labels', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Labels', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: /^Sheet: / }).click();
  await page.getByRole('radio', { name: 'A4, 21 of 63.5 × 38.1 mm' }).click();
  await page.getByRole('button', { name: /^Places used already: / }).click();
  await keyIn(page, '3');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const said = (await page.getByRole('img').first().getAttribute('aria-label')) ?? '';
  expect(said).toMatch(
    /^Honey and thyme cupcakes Ingredients: .*butter.*Contains gluten \(wheat\), egg, milk\./,
  );
  // An hour of work and a kilowatt hour are said once; the price follows.
  await page.getByRole('button', { name: /^An hour of work: / }).click();
  await keyIn(page, '12');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/a piece, at a cost of about/)).toBeVisible();
  await expect(page.getByText(/^Not in it: .*current/)).toBeVisible();
  // 36 labels from the fourth place on, 21 to a page: two pages.
  await page.evaluate(() => {
    window.print = () => undefined;
  });
  await page.getByRole('button', { name: 'Print 2 pages' }).click();
  await page.emulateMedia({ media: 'print' });
  const sheets = page.locator('#label-pages svg');
  await expect(sheets).toHaveCount(2);
  const box = await sheets.first().boundingBox();
  // 210 and 297 mm, at 96 points to the inch.
  expect(box?.width).toBeCloseTo((210 / 25.4) * 96, 0);
  expect(box?.height).toBeCloseTo((297 / 25.4) * 96, 0);
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  // The first label begins 2.5 mm within the fourth place: the first of the second row.
  const first = await sheets.first().locator('text').first().boundingBox();
  const mm = (px: number | undefined) => ((px ?? NaN) / 96) * 25.4;
  expect(mm((first?.x ?? NaN) - (box?.x ?? NaN))).toBeCloseTo(7.25 + 2.5, 0);
  expect(mm((first?.y ?? NaN) - (box?.y ?? NaN))).toBeGreaterThan(15.15 + 38.1);
  expect(mm((first?.y ?? NaN) - (box?.y ?? NaN))).toBeLessThan(15.15 + 38.1 + 8);
  // No word leaves its label.
  const outside = await sheets.evaluateAll(
    (all) =>
      all.flatMap((svg) =>
        [...svg.querySelectorAll('text')].filter((text) => {
          const { x, width } = text.getBBox();
          const column = [0, 1, 2].find((i) => x >= 7.25 + i * 66 && x < 7.25 + i * 66 + 63.5) ?? 0;
          return x + width > 7.25 + column * 66 + 63.5;
        }),
      ).length,
  );
  expect(outside).toBe(0);
  const pdf = await page.pdf({ preferCSSPageSize: true });
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(sheets).toHaveCount(0);
});

test('a batch is closed with a photo, put away, taken out by taps, and its last day goes into a calendar', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await openApp(page, `${RUN}/bake`, { past: false });
  await benchThere(page);
  await page.getByRole('button', { name: 'It is baked already: log it' }).click();
  const sheet = page.getByRole('dialog', { name: 'Baked without the app' });
  await sheet.getByLabel('Good ones that came out').fill('35');
  const chooser = page.waitForEvent('filechooser');
  await sheet.getByRole('button', { name: 'A small photo' }).click();
  await (await chooser).setFiles('docs/screenshots/runs.png');
  await expect(sheet.getByLabel('The photo as it is kept')).toBeVisible();
  await sheet.getByRole('button', { name: 'Into the logbook' }).click();
  await expect(page.getByLabel('Photo of Lantern evening')).toBeVisible();
  await page.getByRole('button', { name: 'Put Lantern evening away' }).click();
  await page.getByRole('radio', { name: 'Freezer' }).click();
  await expect(page.getByText(/^Best by .*\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Into the freezer' }).click();
  await page.getByRole('tab', { name: 'Keeping' }).click();
  await expect(page.getByText('of 35 left, in the freezer')).toBeVisible();
  await page.getByRole('button', { name: /: one out$/ }).click();
  await page.getByRole('button', { name: /: Into the fridge$/ }).click();
  await page.reload();
  await expect(page.getByText('of 35 left, in the fridge')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Days for a calendar' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('best-by.ics');
  expect(readFileSync(await file.path(), 'utf8')).toMatch(
    /SUMMARY:34 Honey and thyme cupcakes: best by today/,
  );
});

test('a line is closed while the others go on', async ({ page }) => {
  test.setTimeout(90_000);
  await openApp(page, '/runs/run-lantern-table/bake', { past: false });
  await benchThere(page);
  await page
    .getByRole('button', { name: /^Load 1 in: start its clock/ })
    .first()
    .click();
  await page.clock.fastForward('24:00');
  await page
    .getByRole('button', { name: /^Done, out it comes/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Close a line' }).click();
  const sheet = page.getByRole('dialog', { name: 'Close the run' });
  await sheet.getByLabel('Good ones that came out').fill('half');
  await sheet.getByRole('button', { name: /: done$/ }).click();
  await expect(sheet.getByRole('alert')).toHaveText(/whole number of pieces/);
  await sheet.getByLabel('Good ones that came out').fill('22');
  await sheet.getByRole('button', { name: /: done$/ }).click();
  await expect(sheet).toBeHidden();
  // The run goes on, and its day has less left to do; a step back opens the line again.
  await expect(page.getByRole('button', { name: 'Close a line' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(page.getByRole('button', { name: 'Close a line' })).toBeVisible();
});

test('everything moves to a fresh browser by one file, which shows first what it would change', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(120_000);
  await openApp(page, '/kitchen?part=kept');
  // Something of one’s own, besides the past.
  await page.goto('/logbook/learned');
  await page.getByRole('button', { name: /Hall oven.*Open it/ }).click();
  await page.getByRole('button', { name: 'Say it by hand' }).click();
  await page.getByRole('textbox').last().fill('1.25');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.goto('/kitchen?part=kept');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save everything as a file' }).click();
  const path = await (await download).path();
  const before = await page.evaluate(() => document.title);
  expect(before).not.toBe('');

  const fresh = await browser.newContext({ baseURL: baseURL ?? '', viewport: { width: 390, height: 844 } });
  const other = await fresh.newPage();
  await openApp(other, '/', { past: false });
  await other.goto('/logbook');
  await expect(other.getByText('No run is closed yet')).toBeVisible();
  await other.goto('/');
  await other.getByRole('button', { name: 'Bring in a run or a formula' }).click();
  const chooser = other.waitForEvent('filechooser');
  await other.getByRole('button', { name: 'Pick a file' }).click();
  await (await chooser).setFiles(path);
  // Nothing has changed yet: it is told what would.
  await expect(other.getByText('12 documents new here')).toBeVisible();
  await expect(other.getByText(/^Different: .*what is known and learned/)).toBeVisible();
  await other.getByRole('button', { name: /^Bring in \d+ documents$/ }).click();
  await expect(other.getByText(/came in\. Undo takes all of it back\.$/)).toBeVisible();
  await other.goto('/logbook');
  await expect(other.getByRole('heading', { name: 'Lantern making' })).toBeVisible();
  await other.goto('/kitchen');
  await expect(other.getByText('Always in this kitchen')).toBeVisible();
  // Both browsers hold the same: the file of the second is that of the first.
  await other.goto('/kitchen?part=kept');
  const again = other.waitForEvent('download');
  await other.getByRole('button', { name: 'Save everything as a file' }).click();
  const docsOf = (file: string) => {
    const { docs } = JSON.parse(readFileSync(file, 'utf8')) as { docs: { kind: string; id: string }[] };
    return docs.sort((a, b) => (`${a.kind}${a.id}` < `${b.kind}${b.id}` ? -1 : 1));
  };
  expect(docsOf(await (await again).path())).toEqual(docsOf(path));
  await other.getByRole('button', { name: /^Undo/ }).first().click();
  await other.goto('/logbook');
  await expect(other.getByText('No run is closed yet')).toBeVisible();
  await fresh.close();
});
