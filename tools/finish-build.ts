/**
 * What the bundler leaves to do: the first route's scripts asked for at once, everything kept for use without a network,
 * and each text compressed once, here, rather than at every request.
 */
import { readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { generateSW } from 'workbox-build';

const DIST = process.argv[2] ?? 'dist';
const SCRIPTS = '_expo/static/js/web';

/** The route's layout and its screen are asked for by the entry once it runs: the page asks for them beside it. */
function askEarly(): void {
  const path = join(DIST, 'index.html');
  const html = readFileSync(path, 'utf8');
  const files = readdirSync(join(DIST, SCRIPTS)).filter((file) => file.endsWith('.js'));
  const size = (file: string) => statSync(join(DIST, SCRIPTS, file)).size;
  const [screen] = files.filter((file) => file.startsWith('index-')).sort((a, b) => size(b) - size(a));
  const early = [...files.filter((file) => file.startsWith('_layout-')), ...(screen ? [screen] : [])];
  const links = early.map((file) => `<link rel="preload" href="/${SCRIPTS}/${file}" as="script" />`).join('');
  writeFileSync(path, html.replace('</head>', `${links}</head>`));
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
  askEarly();
  await keepAll();
  compress(DIST);
}

main().catch((fault: unknown) => {
  process.stderr.write(`${fault instanceof Error ? fault.message : String(fault)}\n`);
  process.exit(1);
});
