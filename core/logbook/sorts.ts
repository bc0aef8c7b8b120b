import type { Line, RunDoc } from '../model/documents';

/** By what a closed run is found again. */
export interface Sorts {
  readonly pieces: readonly string[];
  readonly formulas: readonly string[];
  /** Ovens and microwaves. */
  readonly ovens: readonly string[];
  /** How it ended, and whether all that were wanted came out. */
  readonly outcomes: readonly string[];
}

const known = new WeakMap<RunDoc, Sorts>();

/** The sorts of a run. Reckoned once for a run as it stands: a list of thousands asks on every letter that is typed. */
export function sortsOf(run: RunDoc): Sorts {
  const before = known.get(run);
  if (before) return before;
  const parts = run.lines.map(partsOf);
  const wanted = run.lines.reduce((sum, { count }) => sum + count, 0);
  const sorts: Sorts = {
    pieces: unique(run.lines.map(({ family }) => family)),
    formulas: unique(parts.flatMap(({ formulas }) => formulas)),
    ovens: unique(parts.flatMap(({ ovens }) => ovens)),
    outcomes: run.closed ? [run.closed.finish, run.closed.made < wanted ? 'fewer' : 'all'] : [],
  };
  known.set(run, sorts);
  return sorts;
}

const unique = (some: readonly string[]): string[] => [...new Set(some)];

/** Ids of formulas, and of what heats, wherever a line names them. */
function partsOf(line: Line): { readonly formulas: string[]; readonly ovens: string[] } {
  const formulas: string[] = [];
  const ovens: string[] = [];
  const walk = (value: unknown): void => {
    if (value === null || typeof value !== 'object') return;
    for (const [key, one] of Object.entries(value)) {
      if (typeof one !== 'string') walk(one);
      else if (key === 'formulaId') formulas.push(one);
      else if (key === 'ovenId' || key === 'microwaveId') ovens.push(one);
    }
  };
  walk(line);
  return { formulas, ovens };
}
