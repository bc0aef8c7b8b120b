/** How a sum of the explanations is written as a formula of a workbook. */

/** Ways of rounding that the sums name; the workbook rounds by the figure's own rule instead. */
const ROUNDINGS =
  /, (?:whole ones|rounded up|rounded|kept whole|to the nearest whole|to the gram|to the half minute below|to five seconds below)$/;

/** Words left once all that is arithmetic is taken out. */
const ARITHMETIC = /^[\d.\s()*/+\-^,]*$/;

/**
 * A sum in the words of the app as a formula, or null where it is told in words only: the heat of an oven, the height
 * of a dome.
 * @param cell the reference that stands for a figure
 */
export function formulaOf(sum: string, cell: (id: string) => string): string | null {
  // A measure that stands in it as such is its number, in the units that are reckoned in.
  let text = sum.replace(/\{(-?[\d.]+) [^}]+\}/g, '$1');
  const least: string[] = [];
  for (;;) {
    const bare = text.replace(ROUNDINGS, '');
    const floor = /, at least ([^,]+)$/.exec(bare);
    if (floor) least.push(floor[1] ?? '');
    const next = floor ? bare.slice(0, floor.index) : bare;
    if (next === text) break;
    text = next;
  }
  const smallest = /^the smallest of (.+)$/.exec(text);
  const items = smallest ? (smallest[1] ?? '').split(/, | and /) : [text];
  const parts = items.map(arithmetic);
  const floors = least.map(arithmetic);
  if ([...parts, ...floors].some((part) => part === null)) return null;
  const body = smallest ? `MIN(${parts.join(',')})` : (parts[0] ?? '');
  const bounded = floors.length > 0 ? `MAX(${body},${floors.join(',')})` : body;
  return bounded.replace(/\{([^}]+)\}/g, (_, id: string) => cell(id));
}

function arithmetic(text: string): string | null {
  const out = text
    .replace(/\(the larger of (.+) and (.+?)\)/g, '(MAX($1,$2))')
    .replace(/whole loads of \(/g, 'INT(')
    .replaceAll('×', '*')
    .replaceAll('÷', '/')
    .replaceAll('−', '-')
    .replaceAll('²', '^2')
    .replaceAll('³', '^3')
    .replaceAll('π', 'PI()')
    .replaceAll('√(', 'SQRT(')
    .replaceAll('∛(', 'CUBEROOT(')
    .replace(/\bln\(/g, 'LN(')
    .replace(/\bexp\(/g, 'EXP(');
  const rest = out.replace(/\{[^}]+\}/g, '').replace(/PI|SQRT|CUBEROOT|LN|EXP|MAX|MIN|INT/g, '');
  return ARITHMETIC.test(rest) ? out : null;
}
