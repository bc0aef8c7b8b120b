import { cautionsFor, type Caution, type Facts } from '../../caution/cautions';
import { keepingOf, type Keeping } from '../../caution/keeping';
import type { DeriveSpec, Figure, RangeCause } from '../../figure';
import type { Allergen, Fault } from '../../quantity';
import { minutesOf } from '../../model/localTime';
import type { Need, Stratum, TimedStep } from '../chain';
import type { RunContext } from '../lookup';
import type { Remainder } from '../remainder';
import { lateFault } from '../warnings';
import { bandsOf, type Band } from './bands';
import { type Figures } from '../figures';

/** What is told of a plan, each told only when somebody asks: while a count is typed, hardly any of it is. */
export interface Told {
  readonly needs: () => readonly Need[];
  readonly remainder: () => Remainder;
  readonly bands: readonly Band[];
  readonly day: () => readonly TimedStep[];
  /** Warnings beyond a latest start that has gone by. */
  readonly warnings: (day: readonly TimedStep[]) => readonly Fault[];
  readonly facts: () => Facts;
  readonly allergens: () => readonly Allergen[];
  readonly tests: () => readonly string[];
  readonly notes: () => readonly string[];
}

/** Room for which keeping is told where the plan has none of its own, °C. Basis: a cool room. */
const ROOM_C = 20;

/** The parts of a plan that all families have, on top of the figures of its ledger. */
export class ToldPlan {
  readonly planned = true as const;
  private keptDay: readonly TimedStep[] | null = null;
  private keptFacts: Facts | null = null;
  private keptRemainder: Remainder | null = null;

  constructor(
    private readonly ledger: Figures,
    private readonly run: RunContext,
    private readonly told: Told,
  ) {}

  get figures(): readonly Figure[] {
    return this.ledger.figures();
  }
  readonly figure = (id: string): Figure => this.ledger.figure(id);
  readonly has = (id: string): boolean => this.ledger.has(id);
  readonly causes = (id: string): readonly RangeCause[] => this.ledger.causes(id);
  readonly sums = (): readonly DeriveSpec[] => this.ledger.sums();

  get needs(): readonly Need[] {
    return this.told.needs();
  }
  get remainder(): Remainder {
    return (this.keptRemainder ??= this.told.remainder());
  }
  get strata(): readonly Stratum[] {
    return bandsOf(this.ledger, this.told.bands);
  }
  get day(): readonly TimedStep[] {
    return (this.keptDay ??= this.told.day());
  }
  get startBy(): string | null {
    return this.day[0]?.startAt ?? null;
  }
  get warnings(): readonly Fault[] {
    const first = this.day[0];
    const late = first ? lateFault(this.run, minutesOf(first.startAt)) : [];
    return [...this.told.warnings(this.day), ...late];
  }
  get cautions(): readonly Caution[] {
    return cautionsFor(this.facts());
  }
  get keeping(): Keeping {
    const room = this.ledger.has('room.temperature') ? this.ledger.value('room.temperature') : ROOM_C;
    return keepingOf(this.facts().keeps, room);
  }
  get allergens(): readonly Allergen[] {
    return this.told.allergens();
  }
  get tests(): readonly string[] {
    return this.told.tests();
  }
  get notes(): readonly string[] {
    return this.told.notes();
  }

  private facts(): Facts {
    return (this.keptFacts ??= this.told.facts());
  }
}

/** A plan of a line: what its family adds, on what all have. */
export function toldPlan<Own extends object>(
  ledger: Figures,
  run: RunContext,
  told: Told,
  own: Own,
): Omit<ToldPlan, 'keptDay'> & Own {
  return Object.assign(new ToldPlan(ledger, run, told), own);
}
