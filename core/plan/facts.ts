import { factsOf, type Facts, type Unbaked, type Ways } from '../caution/facts';
import { isBatter } from '../model/documents';
import type { Holds } from '../quantity';
import type { Contents, OwnCoat } from './holds';
import type { RunContext } from './context';
import type { FinishedLot } from './stations/lots';

/** Formulas that a line is made of, each once: what is baked, and what is eaten as it is made. */
export function formulasOf(
  run: RunContext,
  contents: Contents,
  own: OwnCoat | null,
  lots: readonly FinishedLot[],
): { readonly baked: readonly string[]; readonly unbaked: readonly string[] } {
  const { formulaIds, filling, frosting, binder } = contents;
  const all = (ids: readonly (string | null | undefined)[]) => [
    ...new Set(ids.flatMap((id) => (id ? [...run.madeOf(id)] : []))),
  ];
  const baked = all(formulaIds);
  const toppings = lots.flatMap(({ lot }) => (lot?.toppings ?? []).map(({ formulaId }) => formulaId));
  const unbaked = all([
    filling?.formulaId,
    frosting?.formulaId,
    binder?.formulaId,
    own?.formulaId,
    ...toppings,
  ]);
  return { baked, unbaked: unbaked.filter((id) => !baked.includes(id) && !isBatter(run.formula(id).doc)) };
}

/** What cautions and keeping of a line go by: its ways, and every line of every formula in it. */
export function lineFacts(
  run: RunContext,
  ways: Ways,
  formulas: ReturnType<typeof formulasOf>,
  holds: Holds,
): Facts {
  const unbaked = formulas.unbaked.map((id): Unbaked => {
    const { doc, read } = run.formula(id);
    return { name: doc.name, lines: read.lines, steps: doc.steps };
  });
  const baked = formulas.baked.flatMap((id) => run.formula(id).read.lines);
  const bakedSteps = formulas.baked.map((id) => run.formula(id).doc.steps);
  return factsOf({ ...ways, baked, unbaked, bakedSteps, holds, heightM: run.kitchen.altitudeM ?? 0 });
}
