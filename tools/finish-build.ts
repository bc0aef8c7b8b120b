/**
 * What the bundler leaves to do: the entry cut into parts, everything kept for use without a network,
 * and each text compressed once, here, rather than at every request.
 */
import { createHash } from 'node:crypto';
import { appendFileSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { generateSW } from 'workbox-build';

const DIST = process.argv[2] ?? 'dist';
const SCRIPTS = '_expo/static/js/web';

/**
 * About so many characters a part: a browser compiles one while the next still comes, and a server sends each to five
 * hundred a second.
 */
const PART = 250_000;

/**
 * A script as several that are run in their order. The bundler writes one module a line, each taken note of as the script
 * runs and run itself only by the last lines: so it may be cut between any two.
 */
function partsOf(text: string): string[] {
  const parts: string[] = [];
  let part = '';
  for (const line of text.split('\n')) {
    if (part.length > PART && line.startsWith('__d(')) {
      parts.push(part);
      part = '';
    }
    part += `${line}\n`;
  }
  return [...parts, part];
}

/** Writes a part under a name that tells what it holds; hands back its address. */
function written(of: string, part: string, i: number): string {
  const name = `${of}-${i + 1}-${createHash('md5').update(part).digest('hex')}.js`;
  writeFileSync(join(DIST, SCRIPTS, name), part);
  return `/${SCRIPTS}/${name}`;
}

const scriptNamed = (name: string): string => {
  const found = readdirSync(join(DIST, SCRIPTS)).find((file) =>
    new RegExp(`^${name}-[0-9a-f]{32}\\.js$`).test(file),
  );
  if (!found) throw new Error(`the build has a script "${name}"`);
  return join(DIST, SCRIPTS, found);
};

/**
 * What comes after the first picture keeps its name for its last part. All parts are told to the entry: the bundler's own
 * loader fetches none where one of the modules is there already.
 */
function cutLater(): string[] {
  const path = scriptNamed('laterScreens');
  const parts = partsOf(readFileSync(path, 'utf8'));
  writeFileSync(path, parts.at(-1) ?? '');
  const before = parts.slice(0, -1).map((part, i) => written('laterScreens', part, i));
  return [...before, `/${SCRIPTS}/${basename(path)}`];
}

/** A worker fetches its own parts: the first holds what takes note of modules, the last runs them. */
function cutWorker(name: string): void {
  const path = scriptNamed(name);
  const parts = partsOf(readFileSync(path, 'utf8'));
  if (parts.length < 2) return;
  const addresses = parts.map((part, i) => JSON.stringify(written(name, part, i)));
  writeFileSync(path, `importScripts(${addresses.join()});\n`);
}

function cutEntry(before: readonly string[]): void {
  const page = join(DIST, 'index.html');
  const html = readFileSync(page, 'utf8');
  const tag = /<script src="\/[^"]*\/(entry-[0-9a-f]{32}\.js)" defer><\/script>/.exec(html);
  if (!tag?.[1]) throw new Error('the page asks for its entry');
  const path = join(DIST, SCRIPTS, tag[1]);
  const text = `globalThis.carnelianParts=${JSON.stringify(before)};\n${readFileSync(path, 'utf8')}`;
  const tags = partsOf(text).map((part, i) => `<script src="${written('entry', part, i)}" defer></script>`);
  rmSync(path);
  writeFileSync(page, html.replace(tag[0], tags.join('')));
}

/** Where the browser can, it takes scripts and fonts from what is kept without waking the worker to ask. */
const ROUTES = `
self.addEventListener('install', (event) => {
  const kept = (urlPattern) => ({ condition: { urlPattern }, source: 'cache' });
  if (event.addRoutes) event.waitUntil(event.addRoutes([kept('/_expo/*'), kept('/fonts/*')]).catch(() => undefined));
});
`;

/** Every file of the build, kept by the browser after the first visit; a new build waits until it is taken. */
async function keepAll(): Promise<void> {
  const { count, size, warnings } = await generateSW({
    globDirectory: DIST,
    globPatterns: ['**/*.{js,html,woff2,svg,png,webmanifest}'],
    globIgnores: ['sw.js'],
    swDest: join(DIST, 'sw.js'),
    inlineWorkboxRuntime: true,
    mode: 'production',
    sourcemap: false,
    skipWaiting: false,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
    maximumFileSizeToCacheInBytes: 6_000_000,
  });
  appendFileSync(join(DIST, 'sw.js'), ROUTES);
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
  process.stdout.write(`kept for use without a network: ${count} files, ${(size / 1e6).toFixed(1)} MB\n`);
}

const TEXT = /\.(js|html|css|svg|json|webmanifest|txt)$/;
/** Below this a compressed copy saves less than its headers. */
const WORTH = 1024;

function compress(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) compress(path);
    else if (TEXT.test(entry.name) && statSync(path).size >= WORTH) {
      const whole = readFileSync(path);
      const params = {
        [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
        [constants.BROTLI_PARAM_SIZE_HINT]: whole.length,
      };
      writeFileSync(`${path}.br`, brotliCompressSync(whole, { params }));
      writeFileSync(`${path}.gz`, gzipSync(whole, { level: 9 }));
    }
  }
}

async function main(): Promise<void> {
  for (const worker of ['planning', 'ovenModel', 'dayPlanner']) cutWorker(worker);
  cutEntry(cutLater());
  await keepAll();
  compress(DIST);
}

main().catch((fault: unknown) => {
  process.stderr.write(`${fault instanceof Error ? fault.message : String(fault)}\n`);
  process.exit(1);
});
