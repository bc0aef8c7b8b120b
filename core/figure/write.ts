import { OP, type Called, type Term } from './term';
import type { Expr } from './expr';
import type { Dimension } from './unit';

/** How the leaves of a sum are written: a figure by its name, by its value or as a cell; numbers and measures likewise. */
export interface Writer {
  readonly ref: (id: string) => string;
  readonly number: (value: number) => string;
  readonly measure: (value: number, unit: string) => string;
}

const SUM = 1;
const PRODUCT = 2;
const POWER = 3;
const LEAF = 4;

const RANK: Readonly<Record<number, number>> = {
  [OP.plus]: SUM,
  [OP.minus]: SUM,
  [OP.total]: SUM,
  [OP.atLeast]: 0,
  [OP.least]: 0,
  [OP.times]: PRODUCT,
  [OP.over]: PRODUCT,
  [OP.power]: POWER,
};
const rankOf = ({ op }: Term): number => RANK[op] ?? LEAF;

interface Identified {
  readonly id: string;
}

/** A sum in words: "A well to the brim × Filled", "106 ml × 57 %", with what stands outside of arithmetic said. */
export function writeSum(sum: Expr<Dimension>, writer: Writer): string {
  const term = sum as unknown as Term;
  // By itself it needs no brackets round it.
  return term.op === OP.larger ? largerOf(term, writer) : said(term, writer);
}

const largerOf = ({ a, b }: Term, writer: Writer): string =>
  `the larger of ${within(a as Term, SUM, writer)} and ${within(b as Term, SUM, writer)}`;

const within = (term: Term, rank: number, writer: Writer): string => {
  if (term.op === OP.atLeast) return `(${largerOf(term, writer)})`;
  const text = said(term, writer);
  return rankOf(term) < rank ? `(${text})` : text;
};

const SUPERSCRIPT: Readonly<Record<number, string>> = { 2: '²', 3: '³' };

function said(term: Term, writer: Writer): string {
  const a = (rank: number) => within(term.a as Term, rank, writer);
  const b = (rank: number) => within(term.b as Term, rank, writer);
  switch (term.op) {
    case OP.ref:
      return writer.ref((term as unknown as Identified).id);
    case OP.number:
      return writer.number(term.at);
    case OP.measure:
      return writer.measure(term.at, term.unitText);
    case OP.pi:
      return 'π';
    case OP.plus:
      return `${a(SUM)} + ${b(SUM)}`;
    case OP.minus:
      return `${a(SUM)} − ${b(PRODUCT)}`;
    case OP.total:
      return (term.list ?? []).map((item) => within(item, SUM, writer)).join(' + ');
    case OP.times:
      return `${a(PRODUCT)} × ${b(PRODUCT)}`;
    case OP.over:
      return `${a(PRODUCT)} ÷ ${b(POWER)}`;
    case OP.power: {
      const exponent = term.b as Term;
      const small = exponent.op === OP.number ? SUPERSCRIPT[exponent.at] : undefined;
      return small ? `${a(LEAF)}${small}` : `${a(LEAF)} ^ ${b(LEAF)}`;
    }
    case OP.least: {
      const items = (term.list ?? []).map((item) => within(item, SUM, writer));
      return items.length < 2
        ? (items[0] ?? '')
        : `the ${items.length === 2 ? 'smaller' : 'smallest'} of ${items.slice(0, -1).join(', ')} and ${items.at(-1)}`;
    }
    case OP.larger:
      return `(${largerOf(term, writer)})`;
    case OP.atLeast:
      return `${a(SUM)}, at least ${b(SUM)}`;
    case OP.sqrt:
      return `√(${a(0)})`;
    case OP.cbrt:
      return `∛(${a(0)})`;
    case OP.ln:
      return `ln(${a(0)})`;
    case OP.exp:
      return `exp(${a(0)})`;
    case OP.wholeOf:
      return `whole loads of (${a(0)})`;
    case OP.call: {
      const { strings, said: inputs } = term.called as Called;
      return strings.map((text, i) => `${text}${inputs[i] ? within(inputs[i], SUM, writer) : ''}`).join('');
    }
    default:
      throw new Error(`invariant: no words for operation ${term.op}`);
  }
}

/**
 * The same sum as a formula of a workbook.
 * @param call what stands for a function of the physics, which no workbook knows
 */
export function writeFormula(
  sum: Expr<Dimension>,
  cell: (id: string) => string,
  call: (inputs: readonly string[], f: (...values: number[]) => number) => string,
): string {
  const write = (term: Term): string => {
    const a = () => write(term.a as Term);
    const b = () => write(term.b as Term);
    switch (term.op) {
      case OP.ref:
        return cell((term as unknown as Identified).id);
      case OP.number:
      case OP.measure:
        return term.at < 0 ? `(${term.at})` : String(term.at);
      case OP.pi:
        return 'PI()';
      case OP.plus:
        return `(${a()}+${b()})`;
      case OP.minus:
        return `(${a()}-${b()})`;
      case OP.total:
        return `(${(term.list ?? []).map(write).join('+')})`;
      case OP.times:
        return `(${a()}*${b()})`;
      case OP.over:
        return `(${a()}/${b()})`;
      case OP.power:
        return `(${a()}^${b()})`;
      case OP.least:
        return `MIN(${(term.list ?? []).map(write).join(',')})`;
      case OP.larger:
      case OP.atLeast:
        return `MAX(${a()},${b()})`;
      case OP.sqrt:
        return `SQRT(${a()})`;
      case OP.cbrt:
        return `CUBEROOT(${a()})`;
      case OP.ln:
        return `LN(${a()})`;
      case OP.exp:
        return `EXP(${a()})`;
      case OP.wholeOf:
        return `INT(${a()}+0.000000001)`;
      case OP.call: {
        const { f, keys } = term.called as Called;
        return call((term.list ?? []).map(write), (...values) =>
          f(Object.fromEntries(keys.map((key, i) => [key, values[i] as number]))),
        );
      }
      default:
        throw new Error(`invariant: no formula for operation ${term.op}`);
    }
  };
  return write(sum as unknown as Term);
}
