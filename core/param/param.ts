import type { Unit } from '../figure';

/** What a measurement belongs to. */
export type ScopeKind =
  | 'kitchen'
  | 'oven'
  | 'microwave'
  | 'tin'
  | 'sheet'
  | 'mould'
  | 'mug'
  | 'formula'
  | 'method'
  | 'binder'
  | 'coat'
  | 'frosting'
  | 'filling'
  | 'cover'
  | 'stage'
  | 'step'
  | 'scoop'
  | 'portioning'
  | 'size';

/** One such thing: `oven:oven-main`, `method:creamed`; `kitchen` for what holds for all of them here. */
export type Scope = 'kitchen' | `${Exclude<ScopeKind, 'kitchen'>}:${string}`;
export const KITCHEN: Scope = 'kitchen';
export const scopeOf = (kind: Exclude<ScopeKind, 'kitchen'>, id: string): Scope => `${kind}:${id}`;

/** A scope taken apart: its kind, and the id of the thing; null for the kitchen as a whole. */
export function scopeParts(scope: string): { readonly kind: string; readonly id: string | null } {
  const at = scope.indexOf(':');
  return at < 0 ? { kind: scope, id: null } : { kind: scope.slice(0, at), id: scope.slice(at + 1) };
}

/** Something that a kitchen can measure or learn. */
export interface Param<U extends Unit = Unit> {
  readonly key: string;
  readonly unit: U;
  /** What it is called wherever it is shown. */
  readonly label: string;
  /** Bounds of a value that a person may state, in its unit. */
  readonly min: number;
  readonly max: number;
  /** What it belongs to by itself. */
  readonly of: ScopeKind;
  /** Whether it says something about the next run as well. */
  readonly keep: boolean;
}
