import { test as base, expect, type Locator, type Page } from '@playwright/test';

/** A Wednesday morning in November, so that "Saturday" is three days off and nothing depends on the day of the run. */
export const NOW = new Date('2026-11-25T09:30:00');

interface Watched {
  /** Ends the test as failed if the page asked another host for anything or wrote an error to the console. */
  readonly watched: void;
}

export const test = base.extend<Watched>({
  watched: [
    async ({ page, baseURL }, use) => {
      const wrong: string[] = [];
      page.on('console', (message) => {
        if (message.type() === 'error') wrong.push(`console: ${message.text()}`);
      });
      page.on('pageerror', (error) => wrong.push(`error: ${error.message}`));
      page.on('request', (request) => {
        const url = request.url();
        if (!url.startsWith(baseURL ?? '') && !/^(data|blob):/.test(url)) wrong.push(`asked ${url}`);
      });
      await use();
      expect(wrong).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Drops a text anywhere on the page, as a file. */
export async function dropFile(page: Page, text: string, name: string): Promise<void> {
  const data = await page.evaluateHandle(
    ([words, called]) => {
      const transfer = new DataTransfer();
      transfer.items.add(new File([words], called));
      return transfer;
    },
    [text, name] as const,
  );
  await page.dispatchEvent('body', 'drop', { dataTransfer: data });
}

/**
 * Opens the app at a fixed time, with the demo laid out.
 * @param past of the demo kitchen: without it, it has baked nothing and learned nothing
 */
export async function openApp(page: Page, path = '/', { past = true } = {}): Promise<void> {
  await page.clock.install({ time: NOW });
  // The page's clock is made up here: the server's own would tell it so.
  await page.route('**/api/health', (route) => route.fulfill({ json: { ok: true } }));
  if (!past)
    await page.route('**/demo-past.json', (route) =>
      route.fulfill({ json: { saturday: '2026-11-28T16:00', runs: [], beliefs: [] } }),
    );
  await page.goto(path);
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** A hand that counts its taps. */
export function hand(): { tap: (target: Locator) => Promise<void>; taps: () => number } {
  let count = 0;
  return {
    tap: async (target) => {
      count += 1;
      await target.click();
    },
    taps: () => count,
  };
}

/** Puts a number in by the keys on the screen, as a knuckle would. */
export async function keyIn(page: Page, digits: string): Promise<void> {
  const sheet = page.getByRole('dialog').last();
  for (const digit of digits) await sheet.getByRole('button', { name: digit, exact: true }).click();
}

/** The words of a figure on screen, once it has followed what was changed: "Batter in a well: 55 g. Why?". */
export async function spoken(page: Page, id: string): Promise<string> {
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  return (await page.getByTestId(`figure-${id}`).first().getAttribute('aria-label')) ?? '';
}
