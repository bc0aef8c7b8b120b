import type { Ref } from '../../figure';
import type { ChoreDoes } from '../../model/choreDoes';
import type { Line, Method } from '../../model/documents';
import { METHODS } from '../../process/batter.table';
import type { ReadLine } from '../../quantity';
import type { LinePlan, Task } from '../../plan';
import {
  byHand,
  byHandFigure,
  type Chore,
  type ChoreGap,
  type ChoreHold,
  type Part,
  type Takes,
  type Thing,
} from './chore';
import { SKILL_OF } from './chores.table';

/** A chore as a station says it. */
export type Told = Pick<Chore, 'kind' | 'label' | 'takes'> &
  Partial<Pick<Chore, 'detail' | 'holds' | 'skill' | 'pieces' | 'load' | 'fresh' | 'uses'>> & {
    readonly after?: readonly (string | ChoreGap)[];
    /** Which of several of its kind it is, from 1; left out for the only one. */
    readonly nth?: number | null;
    readonly bake?: string;
  };

export const HANDS: ChoreHold = { of: { kind: 'hands' }, units: 1 };
/** Trays and racks on the bench for so many pieces. Basis: some two dozen small pieces stand on one. */
const ON_A_TRAY = 24;
export const onBench = (pieces: number): ChoreHold => ({
  of: { kind: 'bench' },
  units: Math.max(1, Math.ceil(pieces / ON_A_TRAY)),
});
export const one = (of: Thing, units = 1): ChoreHold => ({ of, units });

/** So much batter by its method, or by its density where the plan has one, ml; 0 where none is mixed. */
export const batterMl = (massG: number, method: Method, density: Ref<'g/ml'> | null = null): number =>
  massG / (density?.value ?? METHODS[method].batterDensity.value);

/** Batters that are stirred: no mixer is wanted for them. */
const STIRRED: ReadonlySet<Method> = new Set(['melted', 'mug']);

/** Mixing so much: as often as the largest bowl makes it, one bowl after the other. */
export function mixing(
  takes: Ref<'s'>,
  method: Method,
  ml: number,
  mixableMl: number,
): Pick<Told, 'takes' | 'holds'> & { readonly bowls: number } {
  const bowls = Math.max(1, Math.ceil(ml / mixableMl - 1e-9));
  return {
    bowls,
    takes: byHandFigure(takes, bowls),
    holds: [
      HANDS,
      { of: { kind: 'bowl' }, units: 1, ml: ml / bowls, ...(bowls > 1 ? { times: bowls } : {}) },
      ...(STIRRED.has(method) ? [] : [one({ kind: 'mixer' })]),
    ],
  };
}

/** Lines of the formula that a line's batter is mixed by. */
export const batterLines = ({ batches, formula }: LinePlan): readonly ReadLine[] =>
  batches
    .filter((batch) => batch.formula.id === formula?.id)
    .flatMap(({ ingredients }) => ingredients.map(({ line }) => line));

/** A gap with a limit. */
export const within = (chore: string, mostS: number | null, leastS = 0): ChoreGap => ({
  chore,
  leastS,
  mostS,
});

/** Chores of one line, or of what lines share, as they are told. */
export class Work {
  readonly chores: Chore[] = [];
  /** What the chores that are told from now on are steps towards. */
  part: Part | null = null;

  constructor(
    private readonly prefix: string,
    private readonly lineIds: readonly string[],
    private readonly makes: string | null = null,
  ) {}

  /** What a step of it is called in the day; of something that keeps by itself, the same without saying what is done. */
  readonly idOf = (does: ChoreDoes, nth: number | null = null, bake = ''): string =>
    `${this.prefix}/${bake}${does}${nth === null ? '' : `-${nth}`}`;
  readonly partOf = (name: string): string => `${this.prefix}/${name}`;

  /** Takes a chore in; hands back its id in the day. */
  add(does: ChoreDoes, told: Told): string {
    const id = this.idOf(does, told.nth ?? null, told.bake);
    this.chores.push({
      id,
      does,
      bake: told.bake === '' ? null : (told.bake ?? null),
      makes: this.makes,
      lineIds: this.lineIds,
      label: told.label,
      detail: told.detail ?? '',
      kind: told.kind,
      skill: told.skill ?? SKILL_OF[does] ?? 'plain',
      takes: told.takes,
      holds: told.holds ?? (told.kind === 'hands' ? [HANDS] : []),
      after: (told.after ?? []).map((gap) =>
        typeof gap === 'string' ? { chore: gap, leastS: 0, mostS: null } : gap,
      ),
      pieces: told.pieces ?? null,
      load: told.load ?? null,
      uses: told.uses ?? [],
      part: this.part,
      fresh: told.fresh ?? 0,
    });
    return id;
  }

  /** Somebody's hands for so many seconds. */
  hands(does: ChoreDoes, label: string, lengthS: number, basis: string, told: Partial<Told> = {}): string {
    return this.add(does, { kind: 'hands', label, takes: byHand(lengthS, basis), ...told });
  }
}

/** What a line's own plan says of its tasks, by id. */
export const tasksOf = (plan: LinePlan): ReadonlyMap<string, Task> =>
  new Map(plan.tasks.map((task) => [task.id, task]));

/** A task that the plan of this family always has. */
export function taskIn(tasks: ReadonlyMap<string, Task>, id: string): Task {
  const task = tasks.get(id);
  if (!task) throw new Error(`invariant: the plan has a task "${id}"`);
  return task;
}

/** What else of the run a line's chores wait for. */
export interface Beside {
  /** The chore after which something made by that formula is ready; null where none makes it. */
  readonly made: (formulaId: string | null | undefined) => ChoreGap | null;
  /** For how long after it something made can be spread, s; null where it stays as it is. */
  readonly softS: (formulaId: string | null | undefined) => number | null;
}

export type LineOf<F extends Line['family']> = Extract<Line, { readonly family: F }>;
export type { Takes };
