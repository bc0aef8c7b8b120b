import { readNumber, singular, type ReadLine } from '../quantity';
import { MINUTES_OF, SHARES, STEP_NUMBERS, SUMMED } from './steps.table';

/** What a step takes of a line. */
export interface StepUse {
  readonly line: ReadLine;
  /** Share of the line's amount, 0 to 1. */
  readonly share: number;
  /** Parts that it is added in. */
  readonly parts: number;
}

/** A step of a formula with what it tells besides its words. */
export interface ReadStep {
  readonly text: string;
  /** Temperatures, °C. */
  readonly tempsC: readonly number[];
  /** How long, min; null where it does not say. */
  readonly minutes: { readonly low: number; readonly high: number } | null;
  /** The test that ends it: "until pale". */
  readonly until: string | null;
  readonly uses: readonly StepUse[];
}

const TEMPERATURE = /(\d{2,3})\s*(?:°\s*|º\s*|degrees?\s+|deg\.?\s+)?(C|F|celsius|fahrenheit)\b/gi;
const TIME =
  /(\d+(?:[.,]\d+)?|½|an?|one|two|three|four|five|ten|half an)\s*(?:(?:-|–|to|or)\s*(\d+(?:[.,]\d+)?)\s*)?(seconds?|secs?|minutes?|mins?|hours?|hrs?|h)\b/i;
const UNTIL = /\b(?:until|till|til)\s+([^.;]{3,140})/i;
const PARTS =
  /\bin\s+(two|three|four|five|six|\d)\s+(?:(?:equal|even)\s+)?(?:parts|additions|batches|goes|lots|portions|stages|times)\b|\bin\s+(halves|thirds|quarters)\b/i;

/** The steps of a formula, one a line, with temperatures, times, tests and what each takes of the lines. */
export function readSteps(steps: string, lines: readonly ReadLine[]): readonly ReadStep[] {
  /** What of each line earlier steps have left. */
  const left = new Map(lines.filter(({ status }) => status === 'read').map((line) => [line, 1]));
  return steps
    .split(/\r?\n/)
    .map((text) => text.trim())
    .filter(Boolean)
    .slice(0, 100)
    .map((text) => {
      const uses = usesIn(text, left);
      return { text, tempsC: tempsIn(text), minutes: minutesIn(text), until: untilIn(text), uses };
    });
}

const tempsIn = (text: string): number[] =>
  [...text.matchAll(TEMPERATURE)].map(([, n, scale]) =>
    /^f/i.test(scale ?? '') ? Math.round((Number(n) - 32) / 1.8) : Number(n),
  );

const numberOf = (text: string): number => STEP_NUMBERS[text.toLowerCase()] ?? readNumber(text)?.value ?? NaN;

function minutesIn(text: string): ReadStep['minutes'] {
  const found = TIME.exec(text);
  if (!found) return null;
  const [, low = '', high, unit = ''] = found;
  const of = MINUTES_OF[unit[0]?.toLowerCase() ?? 'm'] ?? 1;
  const from = numberOf(low) * of;
  const to = high === undefined ? from : numberOf(high) * of;
  return Number.isFinite(from) && from > 0 && to >= from ? { low: from, high: to } : null;
}

const untilIn = (text: string): string | null => {
  const test = UNTIL.exec(text)?.[1]?.trim();
  return test ? `until ${test.replace(/[,:]$/, '')}` : null;
};

const words = (text: string): string =>
  ` ${text
    .normalize('NFD')
    .replace(/[\u0300-\u036f’']/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()} `;

/** How a step may call a line: by all its words, by its name in the table, by its last word. */
function callsOf({ called, ingredient, name }: ReadLine): string[] {
  const calls = [called, name, ...(ingredient?.names ?? [])].map((call) => words(call).trim());
  const heads = [called, name].map((call) => words(call).trim().split(' ').at(-1) ?? '');
  const all = [...new Set([...calls, ...heads])].filter((call) => call.length > 2);
  return all.flatMap((call) => [call, singular(call), `${singular(call)}s`]);
}

function usesIn(text: string, left: Map<ReadLine, number>): StepUse[] {
  let hay = words(text);
  const found = PARTS.exec(text);
  const whole = found ? numberOf(found[1] ?? found[2] ?? '') || 1 : 1;
  const partsAt = found ? words(text.slice(0, found.index)).length - 1 : -1;
  const took: StepUse[] = [];
  const take = (line: ReadLine, share: number | 'rest', at: number) => {
    const there = left.get(line) ?? 0;
    const taken = share === 'rest' ? there : Math.min(share, there);
    if (taken <= 1e-9 || took.some((use) => use.line === line)) return;
    left.set(line, there - taken);
    // "In three parts, the milk between them": what comes between goes in one part less.
    const parts = at < partsAt ? whole : whole > 1 && /\bbetween\b/i.test(text) ? whole - 1 : 1;
    took.push({ line, share: taken, parts });
  };
  const calls = [...left.keys()]
    .flatMap((line) => callsOf(line).map((call) => ({ line, call })))
    .sort((a, b) => b.call.length - a.call.length);
  for (const call of new Set(calls.map((one) => one.call))) {
    const at = hay.indexOf(` ${call} `);
    if (at < 0) continue;
    const before = hay.slice(Math.max(0, at - 24), at + 1);
    const share = SHARES.find(([pattern]) => pattern.test(before))?.[1] ?? 'rest';
    for (const one of calls) if (one.call === call) take(one.line, share, at);
    // As long as it was, so that places stay where they are; and no shorter name is found within it.
    hay = hay.replace(` ${call} `, ` ${'|'.repeat(call.length)} `);
  }
  for (const { pattern, roles } of SUMMED) {
    const at = hay.search(pattern);
    if (at < 0) continue;
    for (const line of left.keys())
      if (line.ingredient && roles.has(line.ingredient.role)) take(line, 'rest', at);
  }
  return took.sort((a, b) => [...left.keys()].indexOf(a.line) - [...left.keys()].indexOf(b.line));
}
