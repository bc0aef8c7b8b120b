import { readNumber } from './number';
import { MODIFIERS, findUnit, type UnitDef } from './units.table';

/** One amount as written: how many of which unit. `unit` null means pieces. */
export interface Amount {
  readonly text: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly unit: UnitDef | null;
  /** From words like scant and heaped. */
  readonly factor: number;
  /** How many packs of which kind it says, where it gives the size of one beside them. */
  readonly packs: { readonly count: number; readonly one: string } | null;
  readonly length: number;
}

const MODIFIER = new RegExp(
  `^(?:(${Object.keys(MODIFIERS)
    .map((word) => word.replace('.', '\\.'))
    .join('|')})(?=\\s)|[~≈])\\s*`,
  'i',
);
/** Eggs are large in another way than handfuls are. */
const SIZED = /^(?:small|big|large)\s+(?!handful|pinch|knob|dollop|splash|glug|sprig)/i;

function takeModifiers(text: string): { factor: number; length: number } {
  let factor = 1;
  let at = 0;
  for (let match = MODIFIER.exec(text); match; match = MODIFIER.exec(text.slice(at))) {
    if (SIZED.test(text.slice(at))) break;
    factor *= MODIFIERS[match[1]?.toLowerCase() ?? ''] ?? 1;
    at += match[0].length;
  }
  return { factor, length: at };
}

/** The unit at the start of a text: two words first ("fl oz"), then one. */
function takeUnit(text: string): { unit: UnitDef; length: number } | null {
  const match = /^[\s-]*([a-z]+(?:-sized)?\.?(?:\s*[a-z]+)?)/i.exec(text);
  if (!match) return null;
  const lead = match[0].length - (match[1]?.length ?? 0);
  const both = match[1] ?? '';
  const one = /^[a-z]+(?:-sized)?\.?/i.exec(both)?.[0] ?? '';
  for (const name of [both, one]) {
    const unit = findUnit(name);
    if (unit) return { unit, length: lead + name.length };
  }
  return null;
}

/** The pack that a size belongs to, where one stands behind it: "400 g tins". */
function packWordIn(text: string): string | null {
  const size = /^[\d.,½¼¾]+\s*[a-z]+\s+/i.exec(text);
  const unit = size ? takeUnit(text.slice(size[0].length)) : null;
  return unit?.unit.kind === 'pack' ? unit.unit.key : null;
}

const spaces = (text: string) => /^\s*/.exec(text)?.[0].length ?? 0;

/** "2 x 400 g", "1 (14 oz) tin": an amount within an amount, and no deeper. */
const MOST_NESTED = 1;

/**
 * Reads the amount at the start of a text: modifiers, a number or a number word, and a unit. Packs take their size
 * from beside them ("half a tin (400 g)", "2 x 400 g tins", "a 14 oz can"). Returns null where none stands there.
 */
export function takeAmount(text: string, depth = 0): Amount | null {
  if (depth > MOST_NESTED) return null;
  const before = takeModifiers(text);
  let at = before.length;
  const number = readNumber(text.slice(at));
  if (!number) {
    // "pinch of salt", "knob of butter": the measure alone means one of it.
    const bare = takeUnit(text.slice(at));
    if (!bare || (bare.unit.kind !== 'personal' && bare.unit.kind !== 'pack')) return null;
    return finish(text, at + bare.length, 1, 1, 1, bare.unit, before.factor);
  }
  at += number.length;
  const times = (number.word ? /^\s*(?:[x×*]\s*)?(?=\d)/i : /^(?:\s*[x×*]\s*|\s+)(?=\d)/i).exec(
    text.slice(at),
  );
  if (times) {
    const inner = takeAmount(text.slice(at + times[0].length), depth + 1);
    if (inner?.unit) {
      const factor = inner.factor * before.factor;
      const scaled = [number.value * inner.value, number.low * inner.low, number.high * inner.high] as const;
      const one = packWordIn(text.slice(at + times[0].length));
      const packs = one === null ? null : { count: number.value, one };
      return { ...finish(text, at + times[0].length + inner.length, ...scaled, inner.unit, factor), packs };
    }
  }
  const between = takeModifiers(text.slice(at + spaces(text.slice(at))));
  const gap = between.length > 0 ? spaces(text.slice(at)) + between.length : 0;
  const factor = before.factor * between.factor;
  const sized = /^\s*[([]([^)\]]+)[)\]]\s*/.exec(text.slice(at + gap));
  if (sized) {
    // "1 (400 g) tin": the size stands before the pack.
    const size = takeAmount(sized[1] ?? '', depth + 1);
    const pack = takeUnit(text.slice(at + gap + sized[0].length));
    if (size?.unit && pack?.unit.kind === 'pack') {
      const value = [number.value, number.low, number.high].map((n) => n * size.value) as [
        number,
        number,
        number,
      ];
      const end = at + gap + sized[0].length + pack.length;
      const packs = { count: number.value, one: pack.unit.key };
      return { ...finish(text, end, ...value, size.unit, factor), packs };
    }
  }
  const unit = takeUnit(text.slice(at + gap));
  if (!unit) return finish(text, at + gap, number.value, number.low, number.high, null, factor);
  const end = at + gap + unit.length;
  if (unit.unit.kind === 'pack') {
    const size = /^\s*[([]([^)\]]+)[)\]]/.exec(text.slice(end));
    const inner = size ? takeAmount(size[1] ?? '', depth + 1) : null;
    if (size && inner?.unit && inner.unit.kind !== 'pack') {
      const value = [number.value, number.low, number.high].map((n) => n * inner.value) as [
        number,
        number,
        number,
      ];
      const packs = { count: number.value, one: unit.unit.key };
      return { ...finish(text, end + size[0].length, ...value, inner.unit, factor), packs };
    }
  }
  // "400 g tin of ...": the pack word behind a weight adds nothing.
  const trailing =
    unit.unit.kind === 'mass' || unit.unit.kind === 'volume' ? takeUnit(text.slice(end)) : null;
  const length = trailing?.unit.kind === 'pack' ? end + trailing.length : end;
  return finish(text, length, number.value, number.low, number.high, unit.unit, factor);
}

function finish(
  text: string,
  length: number,
  value: number,
  low: number,
  high: number,
  unit: UnitDef | null,
  factor: number,
): Amount {
  return { text: text.slice(0, length).trim(), value, low, high, unit, factor, packs: null, length };
}
