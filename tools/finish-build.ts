/**
 * What the bundler leaves to do: the entry cut into parts, everything kept for use without a network,
 * and each text compressed once, here, rather than at every request.
 */
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { generateSW } from 'workbox-build';

const DIST = process.argv[2] ?? 'dist';
const SCRIPTS = '_expo/static/js/web';

/** About so many characters a part: a browser compiles one while the next still comes. */
const PART = 350_000;

/**
 * The entry as several scripts that run in their order. The bundler writes one module a line, each taken note of as the
 * script runs and run itself only by the last lines: so it may be cut between any two.
 */
function cutEntry(): void {
  const page = join(DIST, 'index.html');
  const html = readFileSync(page, 'utf8');
  const tag = /<script src="\/[^"]*\/(entry-[0-9a-f]{32}\.js)" defer><\/script>/.exec(html);
  if (!tag?.[1]) throw new Error('the page asks for its entry');
  const path = join(DIST, SCRIPTS, tag[1]);
  const parts: string[] = [];
  let part = '';
  for (const line of readFileSync(path, 'utf8').split('\n')) {
    if (part.length > PART && line.startsWith('__d(')) {
      parts.push(part);
      part = '';
    }
    part += `${line}\n`;
  }
  const names = [...parts, part].map((text, i) => {
    const name = `entry-${i + 1}-${createHash('md5').update(text).digest('hex')}.js`;
    writeFileSync(join(DIST, SCRIPTS, name), text);
    return name;
  });
  rmSync(path);
  const tags = names.map((name) => `<script src="/${SCRIPTS}/${name}" defer></script>`).join('');
  writeFileSync(page, html.replace(tag[0], tags));
}

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
  cutEntry();
  await keepAll();
  compress(DIST);
}

main().catch((fault: unknown) => {
  process.stderr.write(`${fault instanceof Error ? fault.message : String(fault)}\n`);
  process.exit(1);
});
