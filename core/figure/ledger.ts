import type { Words } from './figure';
import type { Cell, Sampling } from './cell';
import type { Moves, Scratch } from './moves';
import type { Root } from './root';
import type { Ties } from './ties';

/** A root that moves figures of its own ledger only. Its key is written when somebody asks: most never do. */
export class OwnRoot implements Root {
  constructor(
    readonly id: string,
    private readonly words: Words,
    private readonly owner: string,
  ) {}

  get key(): string {
    return `${this.id}@${this.owner}`;
  }
  get label(): string {
    return this.words.label;
  }
}

/** What a line's figures, or what lines share, stand in: shared by all that write to it under their own prefix. */
export class Ledger {
  readonly cells = new Map<string, Cell>();
  readonly roots: Root[] = [];
  readonly rootByKey = new Map<string, number>();
  /** What stands for a key, and from what it started. */
  readonly standing = new Map<
    string,
    { readonly cell: Cell; readonly value: number; readonly spread: number }
  >();
  /** Numbers of roots by the names that ties have for them. */
  readonly rootByName = new Map<string, number>();
  /** Numbers of the roots that say what they are tied to, and how which are tied. */
  readonly tied: number[] = [];
  readonly ties: Ties = new Map();
  readonly moves: Moves = [];
  readonly scratch: Scratch = { roots: [], fingers: [], slopes: [] };
  readonly taken = new Set<string>();

  constructor(
    readonly owner: string,
    readonly measured: Readonly<Record<string, number>>,
    readonly sampling: Sampling | null,
  ) {}
}
