/** What a page shows, out of the tags that it is written in. Each is gone through once, whatever it is. */

/** Whether a text is a page: it has a tag near its beginning. Looked for step by step, since a pattern would go back and forth. */
export function isPage(text: string): boolean {
  const last = Math.min(text.lastIndexOf('>'), 20_000);
  for (let at = text.indexOf('<'); at >= 0 && at < last; at = text.indexOf('<', at + 1)) {
    if (/[a-z!]/i.test(text[at + 1] ?? '')) return true;
  }
  return false;
}

/** Letters of a page that are read: a long story with its recipe has a tenth of them. */
export const MOST_OF_A_PAGE = 400_000;

/** A page without what it does not show. Gone through once: a pattern would look for each end from each beginning. */
function withoutUnseen(page: string): string {
  const low = page.toLowerCase();
  const begins = /<(script|style|noscript|svg|head)\b/g;
  const endless = new Set<string>();
  let shown = '';
  let from = 0;
  for (let found = begins.exec(low); found; found = begins.exec(low)) {
    const tag = found[1] ?? '';
    if (endless.has(tag)) continue;
    const end = low.indexOf(`</${tag}`, begins.lastIndex);
    if (end < 0) {
      endless.add(tag);
      continue;
    }
    shown += `${page.slice(from, found.index)} `;
    const closed = low.indexOf('>', end);
    from = closed < 0 ? page.length : closed + 1;
    begins.lastIndex = from;
  }
  return shown + page.slice(from);
}

/** What was brought in as a person sees it: a page without its tags, anything else as it is. */
export function shownText(text: string): string {
  const trimmed = text.replace(/^\uFEFF/, '').trim();
  return isPage(trimmed) ? textOfPage(trimmed) : trimmed;
}

/** What a page shows, a line for each block or row of a table. */
export function textOfPage(page: string): string {
  return withoutUnseen(page)
    .slice(0, MOST_OF_A_PAGE)
    .replace(/<\/t[dh]>/gi, ' ')
    .replace(/<(?:\/(?:p|div|li|tr|h[1-6]|section|article|table|ul|ol|dd|dt)|br\b[^>]*)>/gi, '\n')
    .split('\n')
    .map((row) => words(row, 1000))
    .filter(Boolean)
    .join('\n');
}

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  deg: '°',
};

/** Words alone: tags out, character references as what they stand for, spaces single. */
export function words(value: unknown, most: number): string {
  if (typeof value !== 'string' && typeof value !== 'number') return '';
  // Many times what is kept of it, so that a text without end is not gone through.
  return String(value)
    .slice(0, 20 * most + 2000)
    .replace(/<[^<>]*>/g, ' ')
    .replace(/&(#x?[0-9a-f]+|[a-z0-9]+);/gi, (whole, name: string) => {
      if (name.startsWith('#')) {
        const code = /^#x/i.test(name) ? parseInt(name.slice(2), 16) : parseInt(name.slice(1), 10);
        return code > 31 && code < 0x110000 ? String.fromCodePoint(code) : ' ';
      }
      return ENTITIES[name.toLowerCase()] ?? whole;
    })
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, most);
}
