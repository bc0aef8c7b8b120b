import { factsOf, type Facts } from '../../caution/cautions';
import { doneTests } from '../../caution/doneTests';
import type { CakesicleLine, PopLine } from '../../model/documents';
import { METHODS } from '../../process/batter.table';
import { portionOffers } from '../../process/portion';
import type { Allergen, Fault } from '../../quantity';
import type { Batch, Limit, LotPlan } from '../chain';
import { isBaked } from '../links/dough';
import { finishNeeds, needOf, partAllergens } from '../links/finish';
import { allAllergens, nutFaults, toppingWords } from '../links/lots';
import type { RunContext } from '../lookup';
import type { Offer, Remainder } from '../remainder';
import type { Band } from './bands';
import { toldPlan } from './linePlan';
import { sequenceDay, type SequenceStep } from './sequence';
import { type Figures, gramsText } from '../figures';

/** Allergens of what a dough is made of. */
export function doughAllergens(run: RunContext, line: PopLine | CakesicleLine) {
  const formulaIds = line.crumb.flatMap((part) => (isBaked(part) ? [part.formulaId] : []));
  const bought = line.crumb.some((part) => !isBaked(part));
  const out = partAllergens(run, {
    formulaIds,
    binder: line.binder,
    words: [...line.addIns.map(({ what }) => what), ...(bought ? ['plain flour', 'butter'] : [])],
  });
  return out;
}

interface DoughPlanned {
  readonly batches: readonly Batch[];
  readonly limits: readonly Limit[];
  readonly lots: readonly LotPlan[];
  readonly steps: readonly SequenceStep[];
  readonly notes: () => readonly string[];
  readonly warnings: () => readonly Fault[];
  readonly loads: readonly number[];
  readonly coatFormulaId: string | null | undefined;
  /** Figure of what is melted of the line's own coat. */
  readonly coatId: string | undefined;
  readonly coated: boolean;
  readonly mould: boolean;
  readonly stick: boolean;
}

/** The plan of a line of pops, balls or moulded pieces. */
export function doughPlan<L extends PopLine | CakesicleLine>(
  ledger: Figures,
  run: RunContext,
  line: L,
  planned: DoughPlanned,
) {
  const baked = line.crumb.find(isBaked);
  const allergens = () => allAllergens(doughAllergens(run, line), planned.lots);
  return toldPlan(
    ledger,
    run,
    {
      needs: () => [
        ...needOf(ledger, line.binder.formulaId, 'binder', 'binder.added'),
        ...finishNeeds(ledger, { lots: line.lots }, planned.coatFormulaId, planned.coatId),
      ],
      remainder: () => doughRemainder(ledger, run.kitchen.scaleStepG, planned.limits),
      bands: BANDS,
      day: () => sequenceDay(planned.steps, run.readyMin),
      warnings: () => [...planned.warnings(), ...nutFaults(line.lots, planned.lots)],
      facts: () => doughFacts(run, line, planned, allergens()),
      allergens,
      tests: () => {
        if (!baked) return [];
        const { doc, read } = run.formula(baked.formulaId);
        return doneTests(read.lines, METHODS[doc.method], baked.from === 'microwave');
      },
      notes: planned.notes,
    },
    {
      line,
      formula: baked ? run.formula(baked.formulaId).doc : null,
      batches: planned.batches,
      limits: planned.limits,
      loads: { sizes: planned.loads },
      lots: planned.lots,
    },
  );
}

function doughFacts(
  run: RunContext,
  line: PopLine | CakesicleLine,
  planned: DoughPlanned,
  allergens: readonly Allergen[],
): Facts {
  return factsOf({
    family: line.family,
    lines: planned.batches.flatMap((one) => run.formula(one.formula.id).read.lines),
    allergens,
    words: [...line.addIns.map(({ what }) => what), ...toppingWords(line.lots)],
    frosting: null,
    coat: planned.coated,
    oven: line.crumb.some((part) => part.from === 'bake'),
    microwave: line.crumb.some((part) => part.from === 'microwave'),
    mould: planned.mould,
    stick: planned.stick,
    leftovers: line.crumb.some((part) => part.from === 'leftovers'),
    softCheese: line.binder.kind === 'soft-cheese frosting',
  });
}

/** Dough over or short, and what to do about it. */
function doughRemainder(ledger: Figures, stepG: number, limits: readonly Limit[]): Remainder {
  const made = ledger.value('count.made');
  const wanted = ledger.value('count.wanted');
  const portion = ledger.value('portion.mass');
  const ready = ledger.value('dough.ready');
  const leftG = ready - made * portion;
  const shortPieces = wanted - made;
  const doughShort = limits.some(({ supply, short }) => supply === 'dough' && short);
  const shortG = doughShort ? Math.max(wanted * portion - ready, 0) : 0;
  const offers: Offer[] = [];
  if (shortPieces > 0) {
    if (doughShort) {
      const each = Math.floor(ready / wanted / stepG + 1e-9) * stepG;
      if (each > 0) {
        offers.push({
          id: 'lighter',
          title: `All ${wanted}, lighter`,
          detail: `${gramsText(each)} each in place of ${gramsText(portion)}.`,
          change: { portionG: each },
        });
      }
      offers.push({
        id: 'more-crumb',
        title: 'More crumb',
        detail: `${gramsText(shortG)} more dough makes the other ${shortPieces}: crumb of another cake, or biscuit with a little more binder.`,
        change: null,
      });
    }
    if (made > 0) {
      offers.push({
        id: 'fewer',
        title: `Make ${made}`,
        detail: `${shortPieces} fewer than asked for; nothing else changes.`,
        change: { count: made },
      });
    }
    return { leftG, shortPieces, shortG, offers };
  }
  if (leftG < 0.03 * portion) return { leftG, shortPieces, shortG, offers };
  const most = Math.min(...limits.map(({ pieces }) => pieces));
  const extra = Math.min(Math.floor(leftG / portion + 1e-9), most - made);
  if (extra > 0) {
    offers.push({
      id: 'more',
      title: `Make ${extra} more`,
      detail: `${made + extra} in all from the same dough.`,
      change: { count: made + extra },
    });
  }
  for (const offer of portionOffers(ready, portion, stepG).slice(0, 3)) {
    if (offer.count < made || offer.count > most || offer.eachG === portion) continue;
    offers.push({
      id: `even-${offer.count}`,
      title: `${offer.count} of ${gramsText(offer.eachG)}`,
      detail: offer.leftG < 1 ? 'Nothing left over.' : `${gramsText(offer.leftG)} over, to taste.`,
      change: { count: offer.count, portionG: offer.eachG },
    });
  }
  offers.push({
    id: 'keep',
    title: 'Keep it',
    detail: `${gramsText(leftG)} of dough: frozen in portions it keeps for two months.`,
    change: null,
  });
  return { leftG, shortPieces, shortG, offers };
}

const BANDS: readonly Band[] = [
  ['mixed', 'Batter in the bowl', 'ingredient', 'batter.mixed'],
  ['crumb', 'Crumb', 'crumb', 'crumb.total'],
  ['frosting', 'Frosting that came with it', 'topping', 'frosting.own'],
  ['binder', 'Binder', 'topping', 'binder.added'],
  ['dough', 'Dough', 'dough', 'dough.total'],
  ['hands', 'Left on hands and bench', 'loss', 'dough.lost'],
  ['portions', 'Portions', 'dough', 'portions.total'],
  ['over', 'Dough left over', 'left', 'dough.left'],
  ['coat', 'Coat on the pieces', 'coat', 'pot.1.coat'],
  ['shell', 'Shells and back plates', 'coat', 'shell.total'],
  ['finished', 'Pieces finished', 'dough', 'finished.total'],
];
