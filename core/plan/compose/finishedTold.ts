import type { CubeLine, MugLine } from '../../model/documents';
import type { KnownFormula } from '../context';
import type { Planned } from '../linePlan';
import { coldBowl, finishNeeds, thawPreparations } from '../materials';
import { type BowlPart } from '../stations/batch';
import { batchesOf } from '../stations/lineBatch';
import type { CountPart } from '../stations/count';
import type { FinishAll, FinishEach } from '../stations/finish';

/** What cut pieces and mugs tell alike: one batter, a filling, a frosting, lots. */
export function finishedTold(made: {
  readonly line: CubeLine | MugLine;
  readonly formula: KnownFormula;
  readonly bowl: BowlPart;
  readonly count: CountPart;
  readonly each: FinishEach;
  readonly all: FinishAll;
}) {
  const { line, formula, count, each, all } = made;
  const batches = batchesOf(made.bowl, formula, line.id);
  return {
    formula: formula.doc,
    count,
    batches,
    lots: all.lots,
    contents: {
      formulaIds: [line.formulaId],
      filling: line.filling,
      frosting: line.frosting,
      fondant: 'fondant' in line && line.fondant === true,
    },
    needs: () => finishNeeds(each, all),
    cold: () => null,
    preparations: () => [...thawPreparations(batches), ...coldBowl(line.frosting)],
  } satisfies Partial<Planned>;
}
