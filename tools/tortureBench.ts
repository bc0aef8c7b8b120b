/**
 * A session at the bench, killed at moments that nobody chose: whatever the bench had answered with its next step is there
 * after reopening. Part of `npm run torture`.
 */
import type { BrowserContext, Locator, Page } from '@playwright/test';
import { chanceOf } from '../core/schedule/solver';
import type { RunDoc } from '../core/model/documents';

const RUN_ID = 'run-lantern-table';
const PATH = `/runs/${RUN_ID}/bake`;
/** What tells an event at once. */
const TOLD = /^(Done: |Load \d+ in: start|In: start|(?!Undo).+: begun$)/;

export interface BenchTools {
  readonly open: () => Promise<BrowserContext>;
  readonly kill: () => void;
  readonly base: string;
  readonly texts: (page: Page) => Promise<Record<string, string>>;
  readonly note: (what: string, came: string) => void;
}

/** All that the bench was told: events, loads, looks at them and their ends. */
async function kept(page: Page, texts: BenchTools['texts']): Promise<string[]> {
  const text = Object.entries(await texts(page)).find(([key]) => key.includes(RUN_ID))?.[1];
  const run = JSON.parse(text ?? '{}') as Partial<RunDoc>;
  return [...(run.log ?? []).map(({ id }) => id)];
}

const there = (page: Page) =>
  page
    .getByText(/^(In time|Late): ready about|^All is done/)
    .first()
    .waitFor({ timeout: 60_000 });

const written = () => document.body.innerText.replace(/\d+(:\d\d| min| h)/g, '');

/** Taps, and waits until all that is written there, without its hours, is something else: two steps may have one name. */
async function tapped(page: Page, button: Locator): Promise<void> {
  // A card out of sight is not laid out, and has no text yet: it comes into sight first, as under a thumb.
  await button.scrollIntoViewIfNeeded();
  await page.waitForTimeout(80);
  const before = await page.evaluate(written);
  await button.click();
  await page.waitForFunction(
    (was) => document.body.innerText.replace(/\d+(:\d\d| min| h)/g, '') !== was,
    before,
  );
}

/** One tap that tells something, and the bench's answer to it; false where nothing can be told. */
async function tap(page: Page, chance: () => number, what: string[]): Promise<boolean> {
  const early = page.getByRole('button', { name: /^Begin now: / });
  const told = page.getByRole('button', { name: TOLD }).last();
  // What runs is over, whatever its clock says: nobody waits for real cakes here.
  const over = page
    .getByRole('button', { name: /^(It is ready|Out: it is done|Done, out it comes)$/ })
    .first();
  const back = page.getByRole('button', { name: 'A step back', exact: true }).first();
  await told.or(early).or(over).or(back).first().waitFor();
  if ((await told.count()) === 0 && (await early.count()) > 0) await early.click();
  const weighed = page.getByRole('button', { name: /on the scale$/ });
  const judged = page.getByRole('button', { name: 'Crumbs fall' });
  // Some taps are answers and weights: the bench stays at its step, and says something else.
  if (chance() < 0.5 && (await weighed.count()) > 0) {
    const count = async () =>
      Number(/^\d+/.exec((await page.getByText(/^\d+ weighed/).allInnerTexts())[0] ?? '0')?.[0]);
    const before = await count();
    await weighed.nth(Math.floor(chance() * 5)).click();
    await page.getByText(new RegExp(`^${before + 1} weighed`)).waitFor();
    what.push('weighed');
    return true;
  }
  if (chance() < 0.4 && (await judged.count()) > 0) {
    what.push('judged');
    await tapped(page, judged);
    return true;
  }
  for (const button of [told, over, back])
    if ((await button.count()) > 0) {
      what.push(await button.innerText());
      await tapped(page, button);
      return true;
    }
  return false;
}

/** What a browser that was killed may never answer: waited for so long and no longer, ms. */
const WAITED_MS = 45_000;

async function within<T>(what: string, work: Promise<T>, ms: number = WAITED_MS): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error(`${what}: nothing for ${ms / 1000} s`)), ms);
  });
  // It may still fail when nobody waits for it any more.
  work.catch(() => undefined);
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
}

export async function benchKills(
  kills: number,
  { open, kill, base, texts, note }: BenchTools,
): Promise<void> {
  const chance = chanceOf(17);
  /** A browser that has the bench, and what is kept in it; one that does not answer is killed and opened once more. */
  const reopened = async (): Promise<readonly [BrowserContext, Page, string[]]> => {
    for (let tries = 0; ; tries += 1) {
      let seen: Page | null = null;
      try {
        const own = await within('opening', open());
        const shown = own.pages()[0] ?? (await within('a page', own.newPage()));
        seen = shown;
        await within('going there', shown.goto(base + PATH));
        await within('the bench', there(shown));
        return [own, shown, await within('reading what is kept', kept(shown, texts))];
      } catch (fault) {
        process.stdout.write(`  ${String(fault).split('\n')[0] ?? ''}\n`);
        // What stands there instead tells whether the browser or the app is at fault.
        const instead = seen && (await within('reading', seen.innerText('body'), 5000).catch(() => ''));
        process.stdout.write(`  there stands: ${(instead ?? '').replace(/\s+/g, ' ').slice(0, 600)}\n`);
        note('browsers that did not answer and were opened once more', 'seen');
        kill();
        if (tries >= 3) throw fault;
      }
    }
  };
  let [context, page, before] = await reopened();
  for (let i = 0; i < kills; i += 1) {
    if ((await page.getByText('All is done', { exact: true }).count()) > 0) {
      // The day is through: the next kills are on one that begins.
      note('days baked through', 'seen');
      await page.goto(`${base}/kitchen`);
      await page.getByRole('button', { name: 'Lay out the demo' }).click();
      await page.waitForTimeout(500);
      await page.goto(base + PATH);
      await there(page);
      before = await kept(page, texts);
    }
    const taps = 1 + chance.below(3);
    let answered = 0;
    const told: string[] = [];
    for (let k = 0; k < taps; k += 1)
      try {
        if (
          await within(
            'a tap',
            tap(page, () => chance.next(), told),
          )
        )
          answered += 1;
      } catch {
        // A tap without an answer is no promise.
        note('taps that nothing answered to', 'seen');
      }
    await new Promise((done) => setTimeout(done, chance.below(90)));
    kill();
    await within('closing', context.close(), 5000).catch(() => undefined);
    let after: string[];
    [context, page, after] = await reopened();
    const whole = before.every((id) => after.includes(id)) && after.length >= before.length + answered;
    note(
      `killed at the bench, ${taps === 1 ? 'one tap' : 'some taps'} after reopening`,
      whole ? 'kept' : 'lost',
    );
    if (!whole) {
      const gone = before.filter((id) => !after.includes(id));
      process.stdout.write(
        `  kill ${i + 1}: ${answered} of ${taps} taps answered (${told.join('; ')}), ${after.length - before.length} more kept, ${gone.length} gone\n`,
      );
    }
    if (i % 20 === 19) process.stdout.write(`  ${i + 1} kills\n`);
    before = after;
  }
  await context.close();
}
