/** A cell of a table. */
export type Cell = string | number | boolean | null;

/** What a spreadsheet would take for a sum and carry out. */
const SUM = /^\s*[=+\-@\t\r＝＋－﹣−＠]/;

function cell(value: Cell): string {
  if (value === null) return '';
  if (typeof value !== 'string') return String(value);
  // Text that came from somebody else's file is never run by a spreadsheet: each of its
  // lines opens with an apostrophe, which that hides.
  const text = value
    .split('\n')
    .map((line) => (SUM.test(line) ? `'${line}` : line))
    .join('\n');
  return /[",\r\n]|^\s|\s$/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}

/** A table as RFC 4180 has it: a comma between cells, CR LF after each row, quotes where a cell needs them. */
export const csvText = (head: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  [head, ...rows].map((row) => `${row.map(cell).join(',')}\r\n`).join('');
