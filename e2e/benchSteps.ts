import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { dropFile, expect } from './fixtures';

export const ACTION = /^(Done: |Load \d+ in: start its clock$|In: start|.+: begun$)/;

/** The bench has its day and says how it stands. */
export async function benchThere(page: Page): Promise<void> {
  await expect(page.getByText(/^(In time|Late): ready about/)).toBeVisible({ timeout: 30_000 });
}

/** Does the step in hand, or lets time go by until there is one; hands back what was done, null once all is. What is met at a step is dealt with first. */
export async function nextStep(
  page: Page,
  meets: (step: string) => Promise<boolean> = () => Promise.resolve(false),
): Promise<string | null> {
  for (let waited = 0; waited < 60; waited += 1) {
    const look = page.getByRole('button', { name: 'Done, out it comes' }).first();
    if (await page.getByText('Look now').first().isVisible()) {
      await look.click();
      return 'a look';
    }
    const out = page.getByRole('button', { name: 'Out: it is done' }).first();
    const action = page.getByRole('button', { name: ACTION }).last();
    if (await action.isVisible()) {
      const words = await action.innerText();
      if (await meets(words)) continue;
      // Two lines may each have a step of that name: all that is written, without its hours, has to be something else.
      const written = async () => (await page.locator('body').innerText()).replace(/\d+(:\d\d| min| h)/g, '');
      const before = await written();
      await action.click();
      await expect.poll(written, { timeout: 10_000 }).not.toBe(before);
      return words;
    }
    if (await page.getByText('All is done', { exact: true }).isVisible()) return null;
    if (await out.isVisible()) {
      await page.clock.fastForward('20:00');
      await out.click();
      return 'out';
    }
    await page.clock.fastForward('10:00');
    await page.waitForTimeout(150);
  }
  throw new Error('the bench came to a stand');
}

interface LineOfFile {
  readonly id: string;
  count: number;
}

/** Brings in a run of some lines of a demo file, by itself, and opens its bench. */
export async function bringIn(
  page: Page,
  file: string,
  lines: Readonly<Record<string, number>>,
  name: string,
  log: readonly unknown[] = [],
): Promise<void> {
  const text = JSON.parse(readFileSync(`demo/${file}.run.json`, 'utf8')) as {
    run: { id: string; name: string; byItself?: boolean; lines: LineOfFile[]; log?: readonly unknown[] };
  };
  text.run = {
    ...text.run,
    id: `run-${name.toLowerCase().replace(/\W/g, '-')}`,
    name,
    byItself: true,
    lines: text.run.lines
      .filter(({ id }) => id in lines)
      .map((line) => ({ ...line, count: lines[line.id] ?? line.count, lots: [] })),
    log,
  };
  await dropFile(page, JSON.stringify(text), 'run.json');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('tab', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}
