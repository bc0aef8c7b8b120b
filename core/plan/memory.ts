import { Readings } from '../formula';
import type { FormulaDoc, KitchenDoc, Line } from '../model/documents';
import { splitsIn, type PlanFile } from './context';
import type { BatterNeed } from './emitted';
import type { PlannedLine } from './planned';

/** A line as it was planned, and from what of the other lines. */
interface Remembered {
  /** What was weighed of a bowl that it shares, as another line states it. */
  readonly pin: number | undefined;
  readonly needs: readonly BatterNeed[];
  /** What the others needed of the same batters, g by formula. */
  readonly others: ReadonlyMap<string, number>;
  readonly result: PlannedLine;
}

interface Base {
  readonly kitchen: KitchenDoc;
  readonly formulas: readonly FormulaDoc[];
  readonly measured: string;
  readonly asOf: string | undefined;
  readonly readyAt: string;
  /** Formulas that are parted from one base. */
  readonly splits: string;
}

/**
 * Lines planned before, so that a change of one line plans that line anew, with those that share its batter, and no
 * other; and formulas read before. Documents are told apart as objects: they are replaced, never changed. Holds no line
 * alive. What it hands back is what planning anew would give.
 */
export class PlanMemory {
  readonly readings = new Readings();
  private base: Base | null = null;
  private lines = new WeakMap<Line, Remembered>();

  /** To be called before a run is planned: forgets all where what every line rests on has changed. */
  open({ run, formulas, kitchen, asOf }: PlanFile): void {
    const next: Base = {
      kitchen,
      formulas,
      measured: JSON.stringify(run.measured ?? {}),
      asOf,
      readyAt: run.readyAt,
      splits: splitsIn(run, formulas),
    };
    const was = this.base;
    const holds =
      was !== null &&
      was.kitchen === next.kitchen &&
      was.measured === next.measured &&
      was.asOf === next.asOf &&
      was.readyAt === next.readyAt &&
      was.splits === next.splits &&
      was.formulas.length === formulas.length &&
      was.formulas.every((doc) => formulas.includes(doc));
    if (!holds) this.lines = new WeakMap();
    this.base = next;
  }

  recall(line: Line, pin: number | undefined): Remembered | null {
    const known = this.lines.get(line);
    return known && known.pin === pin ? known : null;
  }

  keep(line: Line, remembered: Remembered): void {
    this.lines.set(line, remembered);
  }
}

export const sameNeeds = (a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): boolean =>
  a.size === b.size && [...a].every(([id, massG]) => b.get(id) === massG);
