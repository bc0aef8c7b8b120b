/**
 * Adds up the script that the first route loads, raw and gzipped, by opening the built app's own list of scripts and
 * the chunks that the first screen asks for. Fails above the limit.
 */
import { readFileSync, readdirSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const LIMIT_KB = 550;
const FOLDER = 'dist/_expo/static/js/web';

const html = readFileSync('dist/index.html', 'utf8');
const linked = [...html.matchAll(/src="\/_expo\/static\/js\/web\/([^"]+)"/g)].map((match) => match[1] ?? '');
// The first route also asks for its layout and for the screen at "/": the largest chunk named index stands for it.
const files = readdirSync(FOLDER).filter((file) => file.endsWith('.js'));
const sizeOf = (file: string) => readFileSync(`${FOLDER}/${file}`).length;
const largestIndex = files
  .filter((file) => file.startsWith('index-'))
  .sort((a, b) => sizeOf(b) - sizeOf(a))[0];
const loaded = [
  ...linked,
  ...files.filter((file) => file.startsWith('_layout-')),
  ...(largestIndex ? [largestIndex] : []),
];

let raw = 0;
let gzip = 0;
for (const file of loaded) {
  const content = readFileSync(`${FOLDER}/${file}`);
  raw += content.length;
  gzip += gzipSync(content, { level: 9 }).length;
}
const kb = (bytes: number) => (bytes / 1000).toFixed(0);
process.stdout.write(
  `first route: ${loaded.length} scripts, ${kb(raw)} KB raw, ${kb(gzip)} KB gzip (limit ${LIMIT_KB})\n`,
);
if (gzip > LIMIT_KB * 1000) {
  process.stderr.write(
    `The first route is over ${LIMIT_KB} KB gzip. Load something later, or leave it out.\n`,
  );
  process.exit(1);
}
