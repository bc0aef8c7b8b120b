import { smallestOf, totalOf, type Expr, type Ref } from './expr';
import {
  BASES,
  type Basis,
  type Bounds,
  type Figure,
  type Known,
  type RangeCause,
  type Words,
} from './figure';
import { STRIDE, addMoves, carryMoves } from './moves';
import { Ledger, OwnRoot } from './ledger';
import type { Root } from './root';
import { tie, tiedShares } from './ties';
import type { Term } from './term';
import { OP, evaluate, gatherLeaves } from './term';
import type { Dimension, DimensionOf, Unit } from './unit';

import {
  NONE,
  PLAIN,
  Cell,
  figureOf,
  finite,
  measuredCell,
  lowEnd,
  rangeOf,
  refOf,
  stand,
  type More,
  type Sampling,
} from './cell';

export interface RootSpec<U extends Unit> {
  readonly id: string;
  readonly words: Words;
  readonly unit: U;
  readonly value: number;
  /** Half the width from the 10th to the 90th percentile, in the unit of the value. 0 for an exact value. */
  readonly spread: number;
  readonly basis: Basis;
  /** Bounds of a value that a person may put in its place; left out where it cannot be replaced. */
  readonly replace?: Bounds | undefined;
  readonly known?: Known | undefined;
  /**
   * What it is whichever line it stands in, `bake.factor@oven:oven-main`: figures that rest on the same key move
   * together. Left out, it is this line's alone.
   */
  readonly key?: string | undefined;
  /** How its doubt is tied to others', by their keys, as correlations. */
  readonly ties?: Readonly<Record<string, number>> | undefined;
  /** The key by which ties name it, where its value is another's: that of all things of its kind. */
  readonly tiedAs?: string | undefined;
  /** What would have stood here had nobody measured it before. */
  readonly expected?: { readonly value: number; readonly spread: number } | undefined;
}
/** A measured value that cannot be: below or above what the figure may come to. Caught at the edge and said as a fault. */
export class OutOfBounds extends Error {
  constructor(
    readonly at: {
      readonly id: string;
      readonly label: string;
      readonly unit: Unit;
      readonly value: number;
      readonly min: number;
      readonly max: number;
    },
  ) {
    super(`"${at.id}" is measured as ${at.value}, outside ${at.min} to ${at.max}`);
  }
}
/** A sum as it is laid out elsewhere, to check that what is said is what is reckoned. */
export interface LaidOut {
  readonly id: string;
  readonly sum: Expr<Dimension>;
  readonly inputs: readonly string[];
  readonly more: More;
}

/** How far one root moves a figure, down and up. */
export interface Move {
  readonly key: string;
  readonly down: number;
  readonly up: number;
}

/**
 * The figures of a plan, added one after another, each with the range that its roots' spreads carry into it.
 *
 * Ranges: each root is moved to its 10th and its 90th percentile on its own, every figure is computed again along that
 * move, and the moves are combined as independent ones (root of the sum of squares). A root that enters a sum twice is
 * moved in both places at once, so correlations are kept; roots that were learned together are tied as their joint belief
 * has it. Exact for linear sums of normal roots; first order otherwise.
 *
 * What people measured, by figure id, takes the place of a starting value, or of the sum of a figure that may be pinned.
 * Either way it carries no range.
 */
export class Figures {
  protected readonly ledger: Ledger;

  /**
   * @param owner whose figures they are: roots without a key of their own are this owner's alone
   * @param measured figure id → what was measured in this run
   */
  constructor(
    owner: string,
    measured: Readonly<Record<string, number>>,
    sampling: Sampling | null = null,
    protected readonly prefix = '',
    ledger?: Ledger,
  ) {
    this.ledger = ledger ?? new Ledger(owner, measured, sampling);
  }

  /** The same ledger, with a prefix before every id: for the second bake of a line, for a formula among others. */
  within(prefix: string): Figures {
    const { owner, measured, sampling } = this.ledger;
    return prefix === ''
      ? this
      : new Figures(owner, measured, sampling, `${this.prefix}${prefix}`, this.ledger);
  }

  /** Adds a starting value; or hands back the figure that stands for the same thing already. */
  root<U extends Unit>(spec: RootSpec<U>): Ref<U> {
    const { ledger } = this;
    const { words, unit, value, spread, basis, replace, known } = spec;
    const id = this.prefix + spec.id;
    const same = spec.key === undefined ? undefined : ledger.standing.get(spec.key);
    // The same thing at the same size: one figure. At another size it is a figure of its own that moves with the first.
    if (same && same.value === value && same.spread === spread && !(id in ledger.measured))
      return refOf(same.cell);
    const cell = new Cell(id, words, unit, null, NONE, replace ? { pin: replace } : PLAIN, known ?? null);
    const given = replace ? this.measuredOf(cell, replace) : undefined;
    if (spec.expected) {
      const was = spec.expected;
      cell.expected = rangeOf(was.value, was.spread, unit);
    }
    if (given !== undefined) {
      cell.expected ??= rangeOf(value, spread, unit);
      return this.put(measuredCell(cell, given), spec);
    }
    cell.at = cell.value =
      ledger.sampling && spread > 0 ? ledger.sampling.root(this.keyOf(spec, id), value, spread) : value;
    cell.low = lowEnd(value, spread, unit);
    cell.high = value + spread;
    cell.bases = 1 << BASES.indexOf(basis);
    if (spread !== 0) {
      cell.own = cell.start = ledger.moves.length;
      const { key } = spec;
      // A root of this owner alone is met once, here: its key is never looked up.
      const number =
        key === undefined
          ? ledger.roots.push(new OwnRoot(id, words, ledger.owner)) - 1
          : this.rootNumber({ key, id, label: words.label, ties: spec.ties, tiedAs: spec.tiedAs });
      ledger.moves.push(number, -spread, spread);
      cell.end = ledger.moves.length;
    }
    return this.put(cell, spec);
  }

  /** Adds a value that holds exactly: counted, chosen, or a definition. */
  given<U extends Unit>(
    id: string,
    words: Words,
    unit: U,
    value: number,
    basis: Basis,
    replace?: Bounds,
  ): Ref<U> {
    return this.root({ id, words, unit, value, spread: 0, basis, replace });
  }

  /** Adds a sum of figures already in the ledger. */
  sum<U extends Unit>(
    id: string,
    words: Words,
    unit: U,
    expr: Expr<DimensionOf<NoInfer<U>>>,
    more: More = PLAIN,
  ): Ref<U> {
    const { ledger } = this;
    const { moves } = ledger;
    const sum = expr as unknown as Term;
    const leaves: Term[] = [];
    gatherLeaves(sum, leaves);
    const inputs = leaves as unknown as readonly Cell[];
    const cell = new Cell(this.prefix + id, words, unit, sum, inputs, more, null);
    const raw = finite(cell.id, evaluate(sum));
    cell.own = cell.start = moves.length;
    // A decided figure has no range of its own: there is nothing to carry.
    if (!more.decide) {
      if (
        sum.op === OP.total &&
        sum.list?.every(({ op }) => op === OP.ref) &&
        sum.list.length === inputs.length
      )
        addMoves(moves, inputs, ledger.scratch);
      else if (!carryMoves(moves, sum, inputs, raw, ledger.scratch))
        throw new Error(`invariant: figure "${cell.id}" has no end to its range`);
    }
    cell.end = moves.length;
    cell.kind = 'derived';
    for (let i = 0; i < inputs.length; i += 1) cell.bases |= (inputs[i] as Cell).bases;
    stand(cell, raw, moves, ledger.sampling, ledger.ties);
    const pinned = more.pin ? this.measuredOf(cell, more.pin) : undefined;
    if (pinned !== undefined) {
      cell.expected = { value: cell.value, low: cell.low, high: cell.high };
      cell.kind = 'pinned';
      moves.length = cell.start;
      return this.put(measuredCell(cell, pinned));
    }
    if (more.whole !== undefined) cell.start = cell.end;
    return this.put(cell);
  }

  /** Adds up figures of one unit. */
  total<U extends Unit>(id: string, words: Words, unit: U, of: readonly Ref<U>[], pin?: Bounds): Ref<U> {
    const sum = totalOf(of as unknown as readonly Expr<DimensionOf<U>>[]);
    return this.sum(id, words, unit, sum, pin ? { pin } : PLAIN);
  }

  /** The smallest of several figures. */
  smallest<U extends Unit>(
    id: string,
    words: Words,
    unit: U,
    of: readonly Ref<U>[],
    whole?: 'floor',
  ): Ref<U> {
    const sum = smallestOf(of as unknown as readonly Expr<DimensionOf<U>>[]);
    return this.sum(id, words, unit, sum, whole ? { whole, said: '' } : PLAIN);
  }

  /** Adds a figure of another ledger as it stands there, range, roots and all: what both rest on moves both. */
  bring<U extends Unit>(id: string, words: Words, from: Figures, of: Ref<U>): Ref<U> {
    const { moves } = this.ledger;
    const theirs = of as unknown as Cell;
    const cell = new Cell(this.prefix + id, words, of.unit, null, NONE, PLAIN, null);
    cell.at = cell.value = theirs.value;
    cell.low = theirs.low;
    cell.high = theirs.high;
    cell.bases = 1 << BASES.indexOf('counted');
    const mine: [number, number, number][] = [];
    for (let i = theirs.start; i < theirs.end; i += STRIDE) {
      const root = from.ledger.roots[from.ledger.moves[i] as number] as Root;
      mine.push([
        this.rootNumber(root),
        from.ledger.moves[i + 1] as number,
        from.ledger.moves[i + 2] as number,
      ]);
    }
    cell.own = cell.start = moves.length;
    for (const [root, down, up] of mine.sort(([a], [b]) => a - b)) moves.push(root, down, up);
    cell.end = moves.length;
    return this.put(cell);
  }

  /** What widens a figure's range, largest first, with the share of the squared width; what adds under 2 % is left out. */
  causes(id: string): (RangeCause & { readonly label: string })[] {
    const { moves, roots, ties } = this.ledger;
    const { own, end } = this.cell(id);
    const shares = tiedShares(moves, { start: own, end }, ties);
    const total = [...shares.values()].reduce((sum, share) => sum + share, 0);
    if (total === 0) return [];
    return [...shares]
      .map(([number, share]) => {
        const root = roots[number] as Root;
        return { id: root.id, label: root.label, share: share / total };
      })
      .filter(({ share }) => share > 0.02)
      .sort((x, y) => y.share - x.share);
  }

  /** The figure of that id. Throws where the plan never made it. */
  figure(id: string): Figure {
    const cell = this.cell(id);
    cell.figure ??= figureOf(cell);
    return cell.figure;
  }

  value(id: string): number {
    return this.cell(id).value;
  }

  has(id: string): boolean {
    return this.ledger.cells.has(this.prefix + id);
  }

  /** All figures in the order in which they were added. */
  figures(): Figure[] {
    return [...this.ledger.cells.keys()].map((id) => this.figure(id));
  }

  /** How a figure is reckoned; null for a starting value. */
  laidOut(id: string): LaidOut | null {
    const { sum, inputs, more } = this.cell(id);
    return sum && { id, sum: sum as unknown as Expr<Dimension>, inputs: inputs.map((one) => one.id), more };
  }

  /** The sums behind the derived figures, in order: for laying them out elsewhere and checking that both agree. */
  sums(): LaidOut[] {
    return [...this.ledger.cells.values()].flatMap((cell) => {
      const laid = cell.kind === 'derived' ? this.laidOut(cell.id) : null;
      return laid ? [laid] : [];
    });
  }

  /** How far each root moves a figure where it is used. */
  movesOf(id: string): Move[] {
    const { moves, roots } = this.ledger;
    const { start, end } = this.cell(id);
    const out: Move[] = [];
    for (let i = start; i < end; i += STRIDE)
      out.push({
        key: (roots[moves[i] as number] as Root).key,
        down: moves[i + 1] as number,
        up: moves[i + 2] as number,
      });
    return out;
  }

  /** Ids under which something was measured that no figure of the plan took. */
  untaken(): string[] {
    const { measured, taken } = this.ledger;
    return Object.keys(measured).filter((id) => !taken.has(id));
  }

  private measuredOf(cell: Cell, { min, max }: Bounds): number | undefined {
    const { measured, taken } = this.ledger;
    if (!Object.prototype.hasOwnProperty.call(measured, cell.id)) return undefined;
    taken.add(cell.id);
    const value = measured[cell.id] as number;
    // Written this way round, NaN falls out of bounds too.
    if (!(value >= min && value <= max))
      throw new OutOfBounds({ id: cell.id, label: cell.label, unit: cell.unit, value, min, max });
    return value;
  }

  private keyOf({ key }: { readonly key?: string | undefined }, id: string): string {
    return key ?? `${id}@${this.ledger.owner}`;
  }

  private rootNumber(root: Root): number {
    const { roots, rootByKey, rootByName, tied, ties } = this.ledger;
    const known = rootByKey.get(root.key);
    if (known !== undefined) return known;
    const number = roots.push(root) - 1;
    rootByKey.set(root.key, number);
    const name = root.tiedAs ?? root.key;
    if (!rootByName.has(name)) rootByName.set(name, number);
    if (root.ties) tied.push(number);
    if (tied.length > 0) tie(ties, roots, tied, rootByName, number);
    return number;
  }

  private cell(id: string): Cell {
    const cell = this.ledger.cells.get(this.prefix + id);
    if (!cell) throw new Error(`invariant: no figure "${this.prefix}${id}" in this plan`);
    return cell;
  }

  private put<U extends Unit>(
    cell: Cell,
    root?: { readonly key?: string | undefined; readonly value: number; readonly spread: number },
  ): Ref<U> {
    const { cells, standing } = this.ledger;
    const { size } = cells;
    cells.set(cell.id, cell);
    if (cells.size === size) throw new Error(`invariant: figure "${cell.id}" twice in a plan`);
    if (root?.key !== undefined && !standing.has(root.key))
      standing.set(root.key, { cell, value: root.value, spread: root.spread });
    return refOf(cell);
  }
}
