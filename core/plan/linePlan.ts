import { cautionsFor, type Caution } from '../caution/cautions';
import type { Facts, Ways } from '../caution/facts';
import { keepingOf, type Keeping } from '../caution/keeping';
import type { AnyRef, Explained, Figure, LaidOut, Move, Ref } from '../figure';
import { edit, takeOffer } from '../line';
import type { ClockChange } from '../model/localTime';
import { lineSchema, type Family, type FormulaDoc, type Line } from '../model/documents';
import type { CupcakeCut, Patch, Section } from '../piece';
import type { Holds } from '../quantity';
import { togetherHold } from '../quantity/allergens';
import { contentHolds, lotHolds, sourcesOf, type Contents, type OwnCoat } from './holds';
import type { RunContext } from './context';
import type {
  Batch,
  BatterNeed,
  ColdNeed,
  CutSays,
  Limit,
  LotPlan,
  Material,
  Need,
  Pot,
  Preparation,
  Stratum,
  SumsSection,
  Task,
} from './emitted';
import type { PlanFigures } from './figures';
import type { FinishWords } from './finish';
import type { Remainder } from './remainder';
import type { BakePart, OvenQuestion } from './stations/bake';
import type { BowlPart } from './stations/batch';
import type { DoughPart, Table } from './stations/bind';
import type { CoatPart } from './stations/coat';
import type { CoolPart } from './stations/cool';
import type { CountPart } from './stations/count';
import type { CrumbBake } from './stations/crumb';
import type { CutPart } from './stations/cut';
import type { LoadPlan } from './stations/loads';
import type { FinishedLot } from './stations/lots';
import type { MicroPart } from './stations/microwave';
import type { ShellPart } from './stations/shell';
import type { WellPart } from './stations/well';
import { formulaWarnings, oldWarnings, promiseWarnings } from './warnings';
import { promisesOf, type Promised, type Source } from './promise';
import { formulasOf, lineFacts } from './facts';
import { splitNotes } from './notes';
import { warning, type Warning } from './warnings.words';

/** What other lines of the run take of the same formulas, g by formula id. */
export interface Shared {
  readonly others: ReadonlyMap<string, number>;
}

/**
 * A line being planned: it says once what batter it needs, is told what the others take of the same bowls, and goes on.
 * So each shared bowl is scaled, and its eggs rounded, for all lines together.
 */
export type Planning = Generator<readonly BatterNeed[], LinePlan, Shared>;

/** What goes into an oven or a microwave by the load, each load with a clock of its own. */
export interface Clocked {
  /** Pieces of each load; sheets, where what is baked is cut or crumbled afterwards. */
  readonly sizes: readonly number[];
  readonly of: 'well' | 'sheet' | 'mug';
  /** Batter in one of them. */
  readonly each: Ref<'g'>;
  /** How many of them there are in a load, where it is not its pieces. */
  readonly inLoad: number | null;
  readonly time: Ref<'s'>;
  readonly firstLook: Ref<'s'>;
  /** The same of the last load, where it is smaller and takes another time. */
  readonly last: { readonly time: Ref<'s'>; readonly firstLook: Ref<'s'> } | null;
  /** What to know while they are filled. */
  readonly shows: readonly AnyRef[];
}

/** Figures of a line by the station that they come from; null for stations that it does not pass. */
export interface Parts {
  readonly count: CountPart;
  /** Batter, dough or filling in one piece. */
  readonly portion: Ref<'g'> | null;
  /** How full the well or the mug gets. */
  readonly filled: Ref<'share'> | null;
  readonly batterDensity: Ref<'g/ml'> | null;
  readonly bowl: BowlPart | null;
  /** Pieces that the bowl allows. */
  readonly byBatter: Ref<'pieces'> | null;
  readonly clocked: Clocked | null;
  readonly well: WellPart | null;
  readonly finish: FinishWords | null;
  readonly bake: BakePart | null;
  readonly ovenQuestion: (() => OvenQuestion) | null;
  /** Pieces baked in wells: two to a piece where halves are paired. */
  readonly wells: Ref<'pieces'> | null;
  readonly wellsOfTin: number | null;
  readonly loads: Ref<'loads'> | null;
  readonly loadPlan: LoadPlan | null;
  /** One cake, as it comes out of its well, its mug or off the sheet. */
  readonly cake: Ref<'g'> | null;
  readonly sheets: { readonly count: Ref<'pieces'>; readonly mass: Ref<'g'> } | null;
  readonly cut: CutPart | null;
  readonly trimmings: Ref<'g'> | null;
  readonly micro: MicroPart | null;
  readonly cool: CoolPart | null;
  readonly table: Table | null;
  readonly dough: DoughPart | null;
  readonly doughLeft: Ref<'g'> | null;
  readonly batterLeft: Ref<'g'> | null;
  readonly crumbBakes: readonly CrumbBake[];
  readonly shell: ShellPart | null;
  readonly rounds: Ref<'loads'> | null;
  readonly coat: CoatPart | null;
  readonly frostingNeeded: Ref<'g'> | null;
  readonly piece: Ref<'g'>;
}

export const NO_PARTS = {
  portion: null,
  filled: null,
  batterDensity: null,
  bowl: null,
  byBatter: null,
  clocked: null,
  well: null,
  finish: null,
  bake: null,
  ovenQuestion: null,
  wells: null,
  wellsOfTin: null,
  loads: null,
  loadPlan: null,
  cake: null,
  sheets: null,
  cut: null,
  trimmings: null,
  micro: null,
  cool: null,
  table: null,
  dough: null,
  doughLeft: null,
  batterLeft: null,
  crumbBakes: [],
  shell: null,
  rounds: null,
  coat: null,
  frostingNeeded: null,
} as const satisfies Omit<Parts, 'count' | 'piece'>;

/** A piece as it is drawn: a cake in its well with what stands in and on it, or a section of its own. */
export type Drawing =
  | { readonly is: 'in its well'; readonly cut: CupcakeCut; readonly patches: readonly Patch[] }
  | { readonly is: 'section'; readonly section: Section };

/** What a family makes of a line. What is only told when somebody asks comes as a function. */
export interface Planned {
  readonly formula: FormulaDoc | null;
  readonly count: CountPart;
  readonly parts: () => Parts;
  readonly batches: readonly Batch[];
  readonly pots: readonly Pot[];
  /** Pieces of each load of an oven or a microwave, or of each round of a mould. */
  readonly sizes: readonly number[];
  readonly lots: readonly FinishedLot[];
  readonly contents: Contents;
  readonly ownCoat: OwnCoat | null;
  readonly tasks: () => readonly Task[];
  readonly needs: () => readonly Need[];
  readonly materials: () => readonly Material[];
  readonly preparations: () => readonly Preparation[];
  readonly cold: () => ColdNeed | null;
  readonly remainder: () => Remainder;
  readonly strata: () => readonly Stratum[];
  readonly sections: () => readonly SumsSection[];
  readonly drawing: () => Drawing;
  readonly cutSays: () => CutSays;
  readonly warnings: () => readonly Warning[];
  readonly ways: () => Ways;
  readonly tests: () => readonly string[];
  readonly notes: () => readonly string[];
}

/** Room for which keeping is told where the plan has none of its own, °C. Basis: a cool room. */
const ROOM_C = 20;

/** A line as planned, or that it could not be. */
type PlannedOr = LinePlan | { readonly planned: false };

/**
 * What a line comes to, whatever its family. A class with getters: while a count is typed hardly any of what is told is
 * asked for, and getters written in a literal would give each plan a hidden layout of its own, which the engine keeps,
 * with all that hangs on it, far longer than the plan.
 */
export class LinePlan implements Explained {
  readonly planned = true as const;
  readonly family: Family;
  readonly formula: FormulaDoc | null;
  readonly batches: readonly Batch[];
  readonly pots: readonly Pot[];
  readonly limits: readonly Limit[];
  readonly loads: { readonly sizes: readonly number[] };
  readonly lots: readonly LotPlan[];
  /** When the run must be ready, and for which time it is planned; minutes since the epoch, local. */
  readonly readyMin: number;
  readonly asOfMin: number | null;
  readonly changes: readonly ClockChange[] | undefined;
  private tried: ((line: Line) => PlannedOr) | null = null;
  private keptFacts: Facts | null = null;
  private keptHolds: Holds | null = null;
  private keptRemainder: Remainder | null = null;
  private keptTasks: readonly Task[] | null = null;
  private keptParts: Parts | null = null;

  constructor(
    readonly ledger: PlanFigures,
    private readonly run: RunContext,
    readonly line: Line,
    private readonly told: Planned,
  ) {
    this.family = line.family;
    this.formula = told.formula;
    this.batches = told.batches;
    this.pots = told.pots;
    this.limits = told.count.limits;
    this.loads = { sizes: told.sizes };
    this.lots = told.lots.map((lot) => new ToldLot(lot, run, told));
    this.readyMin = run.readyMin;
    this.asOfMin = run.asOfMin;
    this.changes = run.changes;
  }

  /** How a change of this line is planned beside the others: nothing is offered that does not keep its promise. */
  triedBy(tried: (line: Line) => PlannedOr): void {
    this.tried = tried;
  }

  get figures(): readonly Figure[] {
    return this.ledger.figures();
  }
  readonly figure = (id: string): Figure => this.ledger.figure(id);
  readonly has = (id: string): boolean => this.ledger.has(id);
  readonly causes: Explained['causes'] = (id) => this.ledger.causes(id);
  readonly laidOut = (id: string): LaidOut | null => this.ledger.laidOut(id);
  readonly sums = (): readonly LaidOut[] => this.ledger.sums();
  readonly movesOf = (id: string): readonly Move[] => this.ledger.movesOf(id);

  /** Something of a formula that the run makes once for all its lines. */
  get needs(): readonly Need[] {
    return this.told.needs();
  }
  get materials(): readonly Material[] {
    return this.told.materials();
  }
  get preparations(): readonly Preparation[] {
    return this.told.preparations();
  }
  get cold(): ColdNeed | null {
    return this.told.cold();
  }
  get parts(): Parts {
    return (this.keptParts ??= this.told.parts());
  }
  get tasks(): readonly Task[] {
    return (this.keptTasks ??= this.told.tasks());
  }
  get remainder(): Remainder {
    return (this.keptRemainder ??= this.keptOffers(this.told.remainder()));
  }
  get strata(): readonly Stratum[] {
    return this.told.strata();
  }
  get sections(): readonly SumsSection[] {
    return this.told.sections();
  }
  get drawing(): Drawing {
    return this.told.drawing();
  }
  get cutSays(): CutSays {
    return this.told.cutSays();
  }
  get warnings(): readonly Warning[] {
    const unused = this.ledger.untaken();
    return [
      ...formulaWarnings(this.run, this.formulas()),
      ...oldWarnings(this.told.ways().ageDays ?? 0),
      ...this.told.warnings(),
      ...promiseWarnings(this),
      ...(unused.length > 0 ? [warning({ code: 'measured and not used', ids: unused })] : []),
    ];
  }
  /** What is promised of the whole line, and of its lots. */
  get promises(): readonly Promised[] {
    return promisesOf(this);
  }
  get cautions(): readonly Caution[] {
    return cautionsFor(this.facts());
  }
  get keeping(): Keeping {
    const { keeps, ageDays, notKnown } = this.facts();
    return keepingOf(keeps, this.parts.cool?.room.value ?? ROOM_C, ageDays, notKnown);
  }
  /** What a piece and all its lots hold together. */
  get holds(): Holds {
    return (this.keptHolds ??= togetherHold([
      contentHolds(this.run, this.told.contents),
      ...this.lots.map(({ holds }) => holds),
    ]));
  }
  /** How to tell that it is done, in the order in which a baker looks. */
  get tests(): readonly string[] {
    return this.told.tests();
  }
  /** Which schools the sums follow, and what to watch for. Measures in braces, for `inStyle`. */
  get notes(): readonly string[] {
    return [...splitNotes(this.run, this.line, this.parts.bowl), ...this.told.notes()];
  }

  private keptOffers(remainder: Remainder): Remainder {
    const { tried } = this;
    if (!tried) return remainder;
    const offers = remainder.offers.filter(({ change }) => {
      if (change === null) return true;
      const next = edit(this.line, takeOffer(this.line, change));
      if (!lineSchema.safeParse(next).success) return false;
      const plan = tried(next);
      return plan.planned && plan.parts.count.made.value >= (change.count ?? this.line.count);
    });
    return { ...remainder, offers };
  }

  /** All that is in the pieces of a lot, or of the whole line where it is null. */
  readonly sourcesOf = (lotId: string | null): readonly Source[] => {
    const { contents, ownCoat, lots } = this.told;
    const of = lots.filter(({ lot }) => lotId === null || lot?.id === lotId);
    return sourcesOf(this.run, contents, ownCoat, of);
  };

  /** Formulas that the line is made of. */
  private formulas(): ReturnType<typeof formulasOf> {
    const { contents, ownCoat, lots } = this.told;
    return formulasOf(this.run, contents, ownCoat, lots);
  }

  private facts(): Facts {
    return (this.keptFacts ??= lineFacts(this.run, this.told.ways(), this.formulas(), this.holds));
  }
}

/** A lot with what it holds told when somebody asks. */
class ToldLot implements LotPlan {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly pieces: Ref<'pieces'>;
  readonly finished: Ref<'g'>;
  readonly #lot: FinishedLot;
  readonly #run: RunContext;
  readonly #told: Planned;

  constructor(lot: FinishedLot, run: RunContext, told: Planned) {
    this.id = lot.lot?.id ?? 'rest';
    this.name = lot.name;
    this.count = lot.count.value;
    this.pieces = lot.count;
    this.finished = lot.finished;
    this.#lot = lot;
    this.#run = run;
    this.#told = told;
  }

  get holds(): Holds {
    return lotHolds(this.#run, this.#told.contents, this.#told.ownCoat, this.#lot);
  }
}
