import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Runs what the served page runs before any script has come. */
export function openPage(): void {
  const html = readFileSync(join(__dirname, '../../public/index.html'), 'utf8');
  const script = /<script>([\s\S]*?)<\/script>/.exec(html)?.[1] ?? '';
  // eslint-disable-next-line @typescript-eslint/no-implied-eval -- the page's own script, as the browser runs it
  (new Function(script) as () => void)();
}

/** Lets go of all that the served page has put beside the app. */
export function closePage(): void {
  const page = globalThis as Record<string, unknown>;
  for (const name of Object.keys(page).filter((one) => one.startsWith('carnelian'))) delete page[name];
}
