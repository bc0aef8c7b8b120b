import type { EggMode, FormulaDoc } from '../../model/documents';
import { AS_IT_IS } from '../../figure';
import type { ReadFormula } from '../../formula';
import { BOWL_LOSS, type MethodDef } from '../../process/batter.table';
import { PIECE_SPREAD_SHARE } from '../../quantity/ingredients.table';
import type { ReadLine } from '../../quantity';
import type { Batch, BatchIngredient, BatterPlan, EggChoice } from '../chain';
import { type Figures } from '../figures';

export interface BatchSpec {
  /** Put before every id, so that several batches fit one ledger: empty for the first. */
  readonly p: string;
  readonly formula: FormulaDoc;
  readonly read: ReadFormula;
  readonly eggs: EggMode;
  /** Figure of the grams that this line needs in the bowl. */
  readonly neededId: string;
  /** What other lines of the run take from the same bowl, g; 0 where there are none. */
  readonly othersG: number;
  /** What it is called in the bowl: "Batter in the bowl". */
  readonly mixedId: string;
  readonly mixedLabel: string;
}

/** Where the line goes on from: the bowl, or this line's part of a bowl that others share. */
export interface AddedBatch extends BatterPlan {
  readonly ownId: string;
}

/** Scaling with eggs kept whole, the grams of every ingredient, and the bowl that they make. */
export function addBatch(ledger: Figures, spec: BatchSpec): AddedBatch {
  const { p, formula, read, eggs, neededId, othersG, mixedId, mixedLabel } = spec;
  const parts = formula.parts ?? [];
  ledger.root(
    `${p}formula.mass`,
    `One batch of ${formula.name} as written`,
    'g',
    read.massG + parts.reduce((sum, part) => sum + part.massG, 0),
    read.spreadG,
    weighedOf(read).basis,
    'All lines of the formula that could be read, added up. Cups and spoons widen it; weighed lines hardly.',
  );
  if (othersG > 0) {
    ledger.given(
      `${p}batter.others`,
      'For other lines of this run',
      'g',
      othersG,
      'stated',
      'The same formula is asked for elsewhere in this run: it is mixed once, and eggs are rounded once.',
    );
  }
  const wantedIds = othersG > 0 ? [neededId, `${p}batter.others`] : [neededId];
  ledger.calc(
    `${p}scale.exact`,
    'Scale, exactly',
    'times',
    othersG > 0
      ? `({${neededId}} + {${p}batter.others}) ÷ {${p}formula.mass}`
      : `{${neededId}} ÷ {${p}formula.mass}`,
    othersG > 0
      ? (needed = 0, others = 0, batch = 1) => (needed + others) / batch
      : (needed = 0, batch = 1) => needed / batch,
    'How many times the formula as written this run needs.',
    { decide: AS_IT_IS },
  );
  const weighed = weighedOf(read);
  const { choice, pieceG } = addScale(ledger, p, eggs, weighed.eggLine);
  const ingredients = weighed.items.map((item) => addIngredient(ledger, p, item, eggs, pieceG));
  const partIds = parts.map((part, i) => {
    const id = `${p}part.${i + 1}`;
    ledger.given(
      `${id}.written`,
      'A part, as written',
      'g',
      part.massG,
      'stated',
      'What one batch takes of another formula, as its writer says.',
    );
    ledger.calc(
      id,
      'Of another formula',
      'g',
      `{${id}.written} × {${p}scale.used}`,
      (grams = 0, factor = 0) => grams * factor,
      'Scaled with the rest; the run makes it once for all that need it.',
    );
    return id;
  });
  ledger.total(
    mixedId,
    mixedLabel,
    'g',
    [...ingredients.map(({ figureId }) => figureId), ...partIds],
    'All that is weighed into the bowl. Weigh the full bowl, less the empty one, and the plan goes on from there.',
    { min: 1, max: 1_000_000 },
  );
  let ownId = mixedId;
  if (othersG > 0) {
    ownId = `${p}batter.own`;
    ledger.calc(
      ownId,
      'This line’s part of the bowl',
      'g',
      `{${mixedId}} × {${neededId}} ÷ (${wantedIds.map((id) => `{${id}}`).join(' + ')})`,
      (mixed = 0, needed = 0, others = 0) => (mixed * needed) / (needed + others),
      'The bowl is shared out by what each line needs. Weigh the part and the plan takes it.',
      { pin: { min: 1, max: 1_000_000 } },
    );
  }
  return { ingredients, eggs: choice, toTaste: weighed.toTaste, ownId };
}

/** A line that is weighed out, with what is said of it. */
interface Weighed {
  readonly l: ReadLine;
  readonly index: number;
  /** As the person wrote it, and how it was read. */
  readonly written: string;
  readonly sentence: string;
}

interface WeighedLines {
  readonly items: readonly Weighed[];
  readonly eggLine: ReadLine | null;
  readonly toTaste: readonly ReadLine[];
  readonly basis: 'typical' | 'stated';
}

const weighedKept = new WeakMap<ReadFormula, WeighedLines>();

/** What a formula as read has to be weighed out: the same for every plan of it, so made once. */
function weighedOf(read: ReadFormula): WeighedLines {
  const known = weighedKept.get(read);
  if (known) return known;
  const items = read.lines.flatMap((l, index): Weighed[] => {
    const written = l.raw.trim();
    const sentence = l.reading ? `"${written}" read as ${l.reading}.` : `"${written}".`;
    return l.status === 'read' ? [{ l, index, written, sentence }] : [];
  });
  const lines = items.map(({ l }) => l);
  const made: WeighedLines = {
    items,
    eggLine: lines.find((l) => l.whole && l.ingredient?.key === 'egg') ?? lines.find((l) => l.whole) ?? null,
    toTaste: read.lines.filter((l) => l.status === 'no amount'),
    basis: lines.some((l) => l.basis === 'typical') ? 'typical' : 'stated',
  };
  weighedKept.set(read, made);
  return made;
}

interface Scaled {
  readonly choice: EggChoice | null;
  /** What `egg.mass` starts from, g; 0 where nothing is whole. */
  readonly pieceG: number;
}

function addScale(ledger: Figures, p: string, mode: EggMode, eggLine: ReadLine | null): Scaled {
  const exactly = (sentence: string) =>
    ledger.calc(`${p}scale.used`, 'Scale', 'times', `{${p}scale.exact}`, (exact = 0) => exact, sentence);
  if (!eggLine?.whole) {
    exactly('The formula has nothing that must stay whole, so it is scaled exactly.');
    return { choice: null, pieceG: 0 };
  }
  const { count } = eggLine.whole;
  ledger.given(
    `${p}eggs.formula`,
    'Eggs in the formula',
    'eggs',
    count,
    'stated',
    `From the line "${eggLine.raw.trim()}".`,
  );
  const exact = ledger.calc(
    `${p}eggs.exact`,
    'Eggs, exactly',
    'eggs',
    `{${p}scale.exact} × {${p}eggs.formula}`,
    (factor = 0, eggs = 0) => factor * eggs,
    'Eggs at the exact scale, before they are kept whole.',
  );
  const words: Readonly<Record<EggMode, string>> = {
    follow:
      'Eggs stay whole, rounded up, and everything else follows them, so the formula keeps its proportions.',
    nearest: 'Eggs go to the nearest whole one and the rest keeps to the exact scale.',
    weigh: 'Eggs are beaten and weighed, so nothing is rounded.',
  };
  const used = ledger.calc(
    `${p}eggs.used`,
    'Eggs to use',
    'eggs',
    `{${p}eggs.exact}${{ follow: ', rounded up', nearest: ', to the nearest whole', weigh: '' }[mode]}`,
    (n = 0) => n,
    words[mode],
    {
      decide: mode === 'weigh' ? AS_IT_IS : { step: 1, how: mode === 'follow' ? 'up' : 'nearest', least: 1 },
    },
  );
  if (mode === 'follow') {
    ledger.calc(
      `${p}scale.used`,
      'Scale',
      'times',
      `{${p}eggs.used} ÷ {${p}eggs.formula}`,
      (eggs = 0, inFormula = 1) => eggs / inFormula,
      words.follow,
    );
  } else exactly(words[mode]);
  ledger.root(
    `${p}egg.mass`,
    'One egg without its shell',
    'g',
    eggLine.whole.pieceG,
    eggLine.whole.pieceG * PIECE_SPREAD_SHARE.egg,
    'typical',
    'Usual for the size written. Weigh a few of yours without the shell to know better.',
    { min: 5, max: 150 },
  );
  return { choice: { mode, inFormula: count, exact, used }, pieceG: eggLine.whole.pieceG };
}

interface Names {
  readonly key: string;
  readonly figureId: string;
  readonly written: string;
  readonly counted: string;
  readonly scaled: string;
}
const names = new Map<string, Names[]>();

/** Ids of an ingredient's figures. Made once: the same strings are looked up sooner than equal ones. */
function namesOf(p: string, index: number): Names {
  let list = names.get(p);
  if (!list) names.set(p, (list = []));
  const figureId = `${p}ingredient.${index + 1}`;
  return (list[index] ??= {
    key: `${p}${index + 1}`,
    figureId,
    written: `${figureId}.written`,
    counted: `${figureId}.count`,
    scaled: `{${figureId}.written} × {${p}scale.used}`,
  });
}

function addIngredient(
  ledger: Figures,
  p: string,
  { l, index, written: raw, sentence }: Weighed,
  mode: EggMode,
  pieceG: number,
): BatchIngredient {
  const { key, figureId, written, counted, scaled } = namesOf(p, index);
  if (l.whole && ledger.has(`${p}egg.mass`) && mode !== 'weigh') {
    // Whites and yolks weigh their own part of the egg that the run is planned with.
    const ownPart = Number((l.whole.pieceG / pieceG).toFixed(4));
    const { count } = l.whole;
    const wholeFigureId = counted;
    ledger.calc(
      wholeFigureId,
      `${l.name}, how many`,
      'eggs',
      `{${p}scale.used} × ${count}, kept whole`,
      (factor = 0) => factor * count,
      'Kept whole.',
      { decide: { step: 1, how: 'nearest', least: 1 } },
    );
    ledger.calc(
      figureId,
      l.name,
      'g',
      `{${wholeFigureId}} × {${p}egg.mass}${ownPart === 1 ? '' : ` × ${ownPart}`}`,
      (n = 0, each = 0) => n * each * ownPart,
      'Whole ones, at the mass of one without its shell.',
    );
    return { key, name: l.called, written: raw, line: l, figureId, wholeFigureId };
  }
  ledger.root(written, `${l.name}, as written`, 'g', l.massG, (l.highG - l.lowG) / 2, l.basis, sentence);
  ledger.calc(
    figureId,
    l.name,
    'g',
    scaled,
    (grams = 0, factor = 0) => grams * factor,
    'The formula as written, scaled for this run. Weigh it out and it is this, however a cup would have been filled.',
    // What is put on the scale is these grams, however the formula's cup was filled.
    { decide: AS_IT_IS },
  );
  return { key, name: l.called, written: raw, line: l, figureId, wholeFigureId: null };
}

/** The bowl of a line that has one: scaled to `batter.needed`, and shared with what others take of the formula. */
export function addLineBatch(
  ledger: Figures,
  { doc, read }: { readonly doc: FormulaDoc; readonly read: ReadFormula },
  eggs: EggMode,
  others: ReadonlyMap<string, number>,
): AddedBatch {
  return addBatch(ledger, {
    p: '',
    formula: doc,
    read,
    eggs,
    neededId: 'batter.needed',
    othersG: others.get(doc.id) ?? 0,
    mixedId: 'batter.mixed',
    mixedLabel: 'Batter in the bowl',
  });
}

/** The same as a batch of the plan. */
export function lineBatches(batch: AddedBatch, formula: FormulaDoc, lineId: string): readonly Batch[] {
  return [{ ...batch, id: 'batter', makes: 'batter', formula, mixedId: 'batter.mixed', lineIds: [lineId] }];
}

/** What stays on bowl and spoon, as a share of what is mixed. */
export function addBowlLoss(ledger: Figures, p: string): void {
  ledger.start(
    `${p}bowl.lossShare`,
    'Left on bowl and spoon',
    'share',
    BOWL_LOSS,
    'About 2 % where the bowl is scraped well, 5 % where it is not.',
    { min: 0, max: 0.3 },
  );
}

/** Batter as it goes in, and cake as it comes out. */
export function addDensities(ledger: Figures, p: string, method: MethodDef): void {
  ledger.start(
    `${p}batter.density`,
    'Batter density',
    'g/ml',
    method.batterDensity,
    `Usual for a ${method.name} batter. To measure yours: weigh a level cup of batter, then the same cup of water, and divide.`,
    { min: 0.2, max: 1.5 },
  );
  ledger.start(
    `${p}cake.density`,
    'Cake density',
    'g/ml',
    method.cakeDensity,
    `Usual for the cake of a ${method.name} batter, crust and all.`,
    { min: 0.1, max: 1.2 },
  );
}
