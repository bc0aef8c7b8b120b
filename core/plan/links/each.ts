import type { CoatChoice, FillingChoice, FrostingChoice, Lot } from '../../model/documents';
import type { RunContext } from '../lookup';
import { addCoatEach, addPool, potsWanted, type CoatedSolid } from './coat';
import { supplied, type Supplied } from './count';
import { addBags, addFillingEach, addFrostingEach } from './frosting';
import { type Figures } from '../figures';

export interface FinishSpec {
  readonly filling: FillingChoice | null | undefined;
  readonly frosting: FrostingChoice | null | undefined;
  /** Figures of the cake's top, across, and of its mass. */
  readonly topId: string;
  readonly cakeId: string;
  readonly lots: readonly Lot[];
  readonly count: number;
}

export interface FinishedEach {
  /** Figures that add up to one piece. */
  readonly pieceIds: readonly string[];
  readonly supplies: readonly Supplied[];
  /** What the piping bags keep; null where nothing is piped. */
  readonly bags: string | null;
}

/** What goes into and on to one piece, and what is on the table of it. */
export function addFinishEach(ledger: Figures, spec: FinishSpec): FinishedEach {
  const { filling, frosting, topId, lots, count } = spec;
  const supplies: Supplied[] = [];
  const pieceIds: string[] = [];
  let { cakeId } = spec;
  if (filling) {
    const added = addFillingEach(ledger, filling, topId, cakeId);
    cakeId = added.cakeId;
    pieceIds.push(added.eachId);
    supplies.push(
      ...supplied(ledger, 'filling', 'Filling', filling.onHandG, { figureId: 'filling.each' }, 'the filling'),
    );
  }
  let bags: string | null = null;
  if (frosting) {
    pieceIds.push(addFrostingEach(ledger, frosting, topId));
    const rest = lots.reduce((sum, lot) => sum + lot.count, 0) < count ? 1 : 0;
    bags = addBags(ledger, frosting, lots.length + rest);
    const each = { figureId: 'frosting.each', ...(bags ? { over: bags } : {}) };
    supplies.push(...supplied(ledger, 'frosting', 'Frosting', frosting.onHandG, each, 'the frosting'));
  }
  return { pieceIds: [cakeId, ...pieceIds], supplies, bags };
}

/** Coat, anchor and pool of a dipped piece, and what is on the table of it. */
export function addDipEach(
  ledger: Figures,
  run: RunContext,
  coat: CoatChoice,
  solid: CoatedSolid,
  stick: boolean,
  lots: readonly Lot[],
): Supplied[] {
  addCoatEach(ledger, coat, solid, stick);
  addPool(ledger, run.thing('vessel', coat.vesselId), solid);
  const pots = potsWanted(lots, coat.kind);
  ledger.calc(
    'pool.all',
    'Pools of all pots',
    'g',
    `${pots} × {pool.stranded}`,
    (each = 0) => pots * each,
    'One for each kind of coat.',
  );
  const each = { figureId: 'coat.perPiece', over: 'pool.all' };
  return supplied(ledger, 'coat', 'Coat', coat.onHandG, each, 'the chocolate');
}
