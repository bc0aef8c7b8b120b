/**
 * Remakes `public/fonts/` from the packages that the fonts come in: each cut down to the letters that the app and the
 * languages of Europe write, as woff2. `npm run fonts`; run it when a font's package moves or a sign is missing.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const range = (from: number, to: number): string =>
  Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)).join('');

/** Latin with its accents, dashes, quotes, fractions, and the signs of sums, units and arrows. */
const LETTERS = [
  range(0x20, 0x7e),
  range(0xa0, 0x17f),
  range(0x2010, 0x2027),
  range(0x202f, 0x203a),
  range(0x2070, 0x208e),
  range(0x2150, 0x215e),
  range(0x2190, 0x2195),
  '⁄€№™ΩΔ∂∏∑−√∞∫≈≠≤≥◊↳→',
].join('');

const FONTS = {
  'atkinson-400': 'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  'atkinson-600': 'atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf',
  'bitter-600': 'bitter/600SemiBold/Bitter_600SemiBold.ttf',
} as const;

async function main(): Promise<void> {
  mkdirSync('public/fonts', { recursive: true });
  for (const [name, path] of Object.entries(FONTS)) {
    const whole = readFileSync(`node_modules/@expo-google-fonts/${path}`);
    const part = await subsetFont(whole, LETTERS, { targetFormat: 'woff2' });
    writeFileSync(`public/fonts/${name}.woff2`, part);
    process.stdout.write(`${name}: ${whole.length} bytes as it comes, ${part.length} as it ships\n`);
  }
}

void main();
