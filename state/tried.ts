import { useEffect, useMemo, useState } from 'react';
import type { LineAction } from '../core/line';
import type { FormulaDoc, KitchenDoc, RunDoc } from '../core/model/documents';
import type { BackwardsOffer, OnTheTable } from '../core/plan/backwards';
import type { LineCost } from '../core/schedule';
import { askPlanner } from '../workers/planner';
import type { Tried } from '../workers/tried';
import type { Docs } from './documents';
import { fileOf } from './plans';
import { useAsks } from './sumsLost';

export type { Change, Tried } from '../workers/tried';

/**
 * The answer to a question, once the worker has given it; null until then. Questions are told apart by what they are.
 * @param stands whether an answer to the first still stands while the second is reckoned: nothing is drawn away from a hand
 */
function useAnswer<Q, A>(
  question: Q,
  ask: (question: Q) => Promise<A>,
  stands: (before: Q, now: Q) => boolean = Object.is,
): A | null {
  const [last, setLast] = useState<{ readonly question: Q; readonly answer: A } | null>(null);
  const asks = useAsks();
  useEffect(() => {
    let wanted = true;
    ask(question).then(
      (answer) => {
        // An answer to a question of before is let go: the run has moved on.
        if (wanted) setLast({ question, answer });
      },
      () => {
        if (wanted) setLast(null);
      },
    );
    return () => {
      wanted = false;
    };
  }, [question, ask, asks]);
  return last && stands(last.question, question) ? last.answer : null;
}

interface Asked {
  readonly run: RunDoc;
  readonly docs: Docs;
  readonly now: number;
}

/** What each of several changes would make of a line; null until it is reckoned. */
export function useTried(
  { run, docs, now }: Asked,
  lineId: string,
  actions: readonly LineAction[],
): readonly Tried[] | null {
  const question = useMemo(
    () => ({ file: fileOf(run, docs, now), lineId, actions }),
    [run, docs, now, lineId, actions],
  );
  return useAnswer(question, askTried);
}
const askTried = ({
  file,
  lineId,
  actions,
}: {
  readonly file: ReturnType<typeof fileOf>;
  readonly lineId: string;
  readonly actions: readonly LineAction[];
}): Promise<Tried[]> => askPlanner().triedOn(file, lineId, actions);

/** What the pieces of each line cost; null until it is reckoned. */
export function useCosts({ run, docs, now }: Asked): readonly LineCost[] | null {
  const question = useMemo(() => fileOf(run, docs, now), [run, docs, now]);
  return useAnswer(question, askCosts);
}
const askCosts = (file: ReturnType<typeof fileOf>): Promise<LineCost[]> => askPlanner().costsOf(file);

/** What can be made of what is there; null until it is reckoned. */
export function useOffers(
  table: OnTheTable,
  kitchen: KitchenDoc,
  formulas: readonly FormulaDoc[],
): readonly BackwardsOffer[] | null {
  const question = useMemo(() => ({ table, kitchen, formulas }), [table, kitchen, formulas]);
  return useAnswer(question, askOffers, sameTable);
}
/** What is there is the same, whatever else was written down meanwhile. */
const sameTable = (before: { readonly table: OnTheTable }, now: { readonly table: OnTheTable }): boolean =>
  before.table === now.table;
const askOffers = ({
  table,
  kitchen,
  formulas,
}: {
  readonly table: OnTheTable;
  readonly kitchen: KitchenDoc;
  readonly formulas: readonly FormulaDoc[];
}): Promise<BackwardsOffer[]> => askPlanner().offersFrom(table, kitchen, formulas);
