import type { EggMode, Line } from '../../model/documents';
import { AS_IT_IS, over, plus, times, totalOf, type Ref, without } from '../../figure';
import type { WeighedLine } from '../../formula';
import { settleEggs } from '../../formula/wholeEggs';
import { PARAMS, scopeOf, type Scope } from '../../param';
import { BOWL_LOSS, METHODS, type MethodDef } from '../../process/batter.table';
import { PIECE_SPREAD_SHARE } from '../../quantity/ingredients.table';
import type { Batch, BatchIngredient, BatchPart, EggChoice } from '../emitted';
import type { KnownFormula } from '../context';
import type { PlanFigures } from '../figures';
import { BATCH, DENSITY } from './batch.words';

export interface BatchSpec {
  readonly formula: KnownFormula;
  readonly eggs: EggMode;
  /** Grams that this line needs in the bowl. */
  readonly needed: Ref<'g'>;
  /** What other lines of the run take from the same bowl, g; 0 where there are none. */
  readonly othersG: number;
  readonly mixed: { readonly id: string; readonly label: string };
}

/** Where the line goes on from: the bowl, or this line's part of a bowl that others share. */
export interface BowlPart {
  readonly mixed: Ref<'g'>;
  readonly own: Ref<'g'>;
  readonly formulaMass: Ref<'g'>;
  readonly scale: Ref<'times'>;
  readonly eggsUsed: Ref<'wholes'> | null;
  readonly ingredients: readonly BatchIngredient[];
  readonly parts: readonly BatchPart[];
  readonly eggs: EggChoice | null;
  /** What each portion keeps of itself where an egg fewer is broken than its scale would ask for. */
  readonly give: Ref<'times'> | null;
  /** Whether other lines take from it. */
  readonly shared: boolean;
  readonly split: BowlSplit | null;
}

/** A bowl that is parted before some of the formula goes in. */
export interface BowlSplit {
  /** The base as a bowl that lines share. */
  readonly base: BowlPart;
  readonly formula: KnownFormula;
  /** What goes into this line's part of it. */
  readonly extras: readonly BatchIngredient[];
}

/** Scaling with eggs kept whole, the grams of every ingredient, and the bowl that they make. */
export function addBatch(f: PlanFigures, { formula, eggs, needed, othersG, mixed }: BatchSpec): BowlPart {
  const { doc, read } = formula;
  const written = doc.parts ?? [];
  const formulaMass = f.root({
    id: 'formula.mass',
    words: BATCH.formula(doc.name),
    unit: 'g',
    value: read.massG + written.reduce((sum, part) => sum + part.massG, 0),
    spread: read.spreadG,
    basis: read.weighed.basis,
  });
  const others = othersG > 0 ? f.given('batter.others', BATCH.others, 'g', othersG, 'stated') : null;
  const wanted = others ? plus(needed, others) : needed;
  const exact = f.sum('scale.exact', BATCH.exact, 'times', over(wanted, formulaMass), { decide: AS_IT_IS });
  const scaled = addScale(f, eggs, read.weighed.wholeLine, exact);
  const ingredients = read.weighed.items.map((item) => addIngredient(f, item, scaled));
  const parts = written.map((part, i): BatchPart => {
    const id = `part.${i + 1}`;
    const asWritten = f.given(`${id}.written`, BATCH.partWritten, 'g', part.massG, 'stated');
    const mass = f.sum(id, BATCH.part, 'g', times(asWritten, scaled.used));
    return { formulaId: part.formulaId, mass };
  });
  const all = [...ingredients.map(({ mass }) => mass), ...parts.map(({ mass }) => mass)];
  // Whole things below the exact scale: each portion gives up its share of what is missing.
  const fewer = ingredients.some(
    ({ whole, line: { whole: one } }) =>
      whole && one?.sort === 'pack' && whole.value < one.count * scaled.used.value * (1 - HAIR),
  );
  const give =
    fewer || scaled.choice?.how === 'down'
      ? f.sum('eggs.give', BATCH.give, 'times', over(totalOf(all), wanted))
      : null;
  const bowl = f.total(mixed.id, BATCH.mixed(mixed.label), 'g', all, { min: 1, max: 1_000_000 });
  const own = others
    ? f.sum('batter.own', BATCH.own, 'g', times(bowl, over(needed, totalOf([needed, others]))), {
        pin: { min: 1, max: 1_000_000 },
      })
    : bowl;
  return {
    mixed: bowl,
    own,
    formulaMass,
    scale: scaled.used,
    eggsUsed: scaled.eggs,
    ingredients,
    parts,
    eggs: scaled.choice,
    give,
    shared: others !== null,
    split: null,
  };
}

export interface Scaled {
  readonly used: Ref<'times'>;
  readonly eggs: Ref<'wholes'> | null;
  readonly egg: Ref<'g'> | null;
  readonly choice: EggChoice | null;
  /** What the mass of an egg starts from, g; 0 where nothing is whole. */
  readonly pieceG: number;
}

function addScale(
  f: PlanFigures,
  mode: EggMode,
  wholeLine: KnownFormula['read']['weighed']['wholeLine'],
  exact: Ref<'times'>,
): Scaled {
  if (!wholeLine?.whole) {
    const used = f.sum('scale.used', BATCH.scale(null, ''), 'times', exact);
    return { used, eggs: null, egg: null, choice: null, pieceG: 0 };
  }
  const { count, pieceG, one } = wholeLine.whole;
  const inFormula = f.given(
    'eggs.formula',
    BATCH.inFormula(one, wholeLine.raw.trim()),
    'wholes',
    count,
    'stated',
  );
  const eggsExact = f.sum('eggs.exact', BATCH.wholesExact(one), 'wholes', times(exact, inFormula));
  const settled = settleEggs(eggsExact.value, mode);
  const eggs = f.sum('eggs.used', BATCH.wholesUsed(one, settled.how), 'wholes', eggsExact, {
    decide: EGGS_DECIDED[settled.how],
  });
  const used = f.sum(
    'scale.used',
    BATCH.scale(settled.how, one),
    'times',
    settled.rest === 'follows' ? over(eggs, inFormula) : exact,
  );
  const choice = { one, mode, inFormula: count, exact: eggsExact.value, used: eggs.value, how: settled.how };
  if (wholeLine.whole.sort !== 'egg') return { used, eggs, egg: null, pieceG: 0, choice };
  // An egg is an egg in every bowl of this size.
  const egg = f.believe(PARAMS.eggMass, {
    of: [scopeOf('size', `egg ${pieceG}`)],
    start: { value: pieceG, spread: pieceG * PIECE_SPREAD_SHARE.egg, basis: 'typical' },
    sentence: BATCH.eggSentence,
  });
  return {
    used,
    eggs,
    egg,
    pieceG,
    choice,
  };
}

/** How the whole ones beside the eggs that decide are counted out: the figure is decided, whatever rounded it. */
const EGGS_DECIDED = {
  even: { step: 1, how: 'nearest', least: 1, said: '' },
  down: { step: 1, how: 'down', least: 1, said: 'to the whole one below' },
  up: { step: 1, how: 'up', least: 1 },
  nearest: { step: 1, how: 'nearest', least: 1, said: 'to the nearest whole' },
  weighed: AS_IT_IS,
} as const;

/** Portions run on the heavy or the light side by so much, as a share. Basis: typical of a scoop or a spoon. */
const UNEVEN = 0.04;

/** Floating point leaves a hair. */
const HAIR = 1e-9;

/** A pod only flavours: halves are near enough. */
const POD_STEP = 0.5;

/** Further than this from a whole one, as a share, and a yolk or a white is weighed, however the eggs themselves go. */
const WHOLE_ENOUGH = 0.05;

/** Whether so many are broken whole rather than beaten and weighed. */
function keptWhole(exact: number, choice: EggChoice | null): boolean {
  if (choice === null || choice.how === 'weighed') return false;
  if (choice.how === 'nearest') return true;
  const whole = Math.max(1, Math.round(exact));
  return Math.abs(whole / exact - 1) <= WHOLE_ENOUGH;
}

export function addIngredient(
  f: PlanFigures,
  { line, index, id, writtenId, written, sentence }: WeighedLine,
  { used, egg, pieceG, choice }: Scaled,
): BatchIngredient {
  const named = { place: index + 1, name: line.called, written, line };
  if (line.whole && line.whole.sort === 'egg' && egg && keptWhole(line.whole.count * used.value, choice)) {
    // Whites and yolks weigh their own part of the egg that the run is planned with.
    const ownPart = Number((line.whole.pieceG / pieceG).toFixed(4));
    const whole = f.sum(`${id}.count`, BATCH.howMany(line.name), 'wholes', times(used, line.whole.count), {
      decide: { step: 1, how: 'nearest', least: 1, said: 'kept whole' },
    });
    const each = times(whole, egg);
    const mass = f.sum(id, BATCH.whole(line.name), 'g', ownPart === 1 ? each : times(each, ownPart));
    return { ...named, mass, whole };
  }
  const asWritten = f.root({
    id: writtenId,
    words: BATCH.written(line.name, sentence),
    unit: 'g',
    value: line.massG,
    spread: (line.highG - line.lowG) / 2,
    basis: line.basis,
  });
  const { whole: one } = line;
  if (one && (one.sort === 'pod' || one.sort === 'pack')) {
    const pod = one.sort === 'pod';
    const exact = one.count * used.value;
    const near = Math.abs(Math.max(1, Math.round(exact)) / exact - 1) <= WHOLE_ENOUGH;
    if (pod || near) {
      const step = pod ? POD_STEP : 1;
      const whole = f.sum(`${id}.count`, BATCH.howMany(line.name), 'wholes', times(used, one.count), {
        decide: { step, how: 'nearest', least: step, said: 'kept whole' },
      });
      // A pod is scraped for its flavour: what it weighs is what was written, scaled.
      const mass = pod
        ? f.sum(id, BATCH.scaled(line.name), 'g', times(asWritten, used), { decide: AS_IT_IS })
        : f.sum(id, BATCH.whole(line.name), 'g', times(whole, over(asWritten, one.count)), {
            decide: AS_IT_IS,
          });
      return { ...named, mass, whole };
    }
  }
  const mass = f.sum(id, BATCH.scaled(line.name), 'g', times(asWritten, used), {
    // What is put on the scale is these grams, however the formula's cup was filled.
    decide: AS_IT_IS,
  });
  return { ...named, mass, whole: null };
}

/** A bowl that is made as written so many times, and how many pieces come of it. */
export interface AsWritten {
  readonly needed: Ref<'g'>;
  readonly comes: Ref<'pieces'>;
}

/**
 * The formula made so many times as it is written. What comes of it has a range from how even the portions are.
 * @param wellsEach wells or mugs that a piece takes
 */
export function addAsWritten(
  f: PlanFigures,
  { doc, read }: KnownFormula,
  times_: number,
  bowlLoss: Ref<'share'>,
  portion: Ref<'g'>,
  wellsEach: number,
): AsWritten {
  const massG = read.massG + (doc.parts ?? []).reduce((sum, part) => sum + part.massG, 0);
  const one = f.root({
    id: 'batches.each',
    words: BATCH.formula(doc.name),
    unit: 'g',
    value: massG,
    spread: read.spreadG,
    basis: read.weighed.basis,
  });
  const batches = f.given('batches', BATCH.batches, 'times', times_, 'stated');
  const needed = f.sum('batter.needed', BATCH.asWritten, 'g', times(batches, one), { decide: AS_IT_IS });
  const even = f.root({
    id: 'portion.evenness',
    words: BATCH.evenness,
    unit: 'times',
    value: 1,
    // Pieces that were weighed say how even this hand is.
    spread: f.beliefs.find(PARAMS.portionScatter.key, [scopeOf('portioning', 'weighed')])?.mean ?? UNEVEN,
    basis: 'typical',
  });
  const each = times(wellsEach, times(portion, even));
  const comes = f.sum('count.wanted', BATCH.comes, 'pieces', over(times(needed, without(bowlLoss)), each), {
    whole: 'floor',
  });
  return { needed, comes };
}

/** What goes into a well or a mug once it is known how many eggs are broken; what somebody has weighed stands. */
export function portionAsEggsHaveIt(
  f: PlanFigures,
  { measured }: Pick<Line, 'measured'>,
  { give }: BowlPart,
  portion: Ref<'g'>,
): Ref<'g'> {
  return give === null || measured[portion.id] !== undefined
    ? portion
    : f.sum('portion.given', BATCH.portion, 'g', times(portion, give));
}

/** The same as a batch of the plan. */
export function batchOf(bowl: BowlPart, { doc, read }: KnownFormula, lineId: string, tickPrefix = ''): Batch {
  return {
    id: `${tickPrefix}batter`,
    makes: 'batter',
    formula: doc,
    tickPrefix,
    mixed: bowl.mixed,
    ingredients: bowl.ingredients,
    parts: bowl.parts,
    eggs: bowl.eggs,
    toTaste: read.weighed.toTaste,
    lineIds: [lineId],
  };
}

/** What stays on bowl and spoon, as a share of what is mixed: a matter of the hand that scrapes it. */
export const addBowlLoss = (f: PlanFigures): Ref<'share'> =>
  f.believe(PARAMS.bowlLoss, { of: [], start: BOWL_LOSS, sentence: BATCH.bowlLossSentence });

/** What a batter is of, the most specific first. */
export const batterScopes = ({ doc }: KnownFormula): readonly Scope[] => [
  scopeOf('formula', doc.id),
  scopeOf('method', doc.method),
];

/** Batter as it goes in, and cake as it comes out. */
export interface Densities {
  readonly batter: Ref<'g/ml'>;
  readonly cake: Ref<'g/ml'>;
}

export function addDensities(f: PlanFigures, formula: KnownFormula): Densities {
  const method: MethodDef = METHODS[formula.doc.method];
  const of = batterScopes(formula);
  return {
    batter: f.believe(PARAMS.batterDensity, {
      of,
      start: method.batterDensity,
      sentence: DENSITY.batter(method.name),
    }),
    cake: f.believe(PARAMS.cakeDensity, {
      of,
      start: method.cakeDensity,
      sentence: DENSITY.cake(method.name),
    }),
  };
}
