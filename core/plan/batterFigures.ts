import type { EggMode } from '../exchange/documents';
import { AS_IT_IS, type Ledger } from '../figure';
import type { ReadLine } from '../quantity';
import { BOWL_LOSS } from '../process/batter.table';
import { PIECE_SPREAD_SHARE } from '../quantity/ingredients.table';
import type { LineContext } from './context';
import { start } from './fillFigures';

/** An ingredient of this batch: which line it comes from and the figure that holds its grams. */
export interface BatchIngredient {
  readonly key: string;
  /** In the writer's own words. */
  readonly name: string;
  /** The line as written in the formula. */
  readonly written: string;
  readonly line: ReadLine;
  readonly figureId: string;
  /** How many whole ones, for eggs and the like; null for what is weighed. */
  readonly wholeFigureId: string | null;
}

/** What keeping eggs whole did. */
export interface EggChoice {
  readonly mode: EggMode;
  readonly inFormula: number;
  readonly exact: number;
  readonly used: number;
}

export interface BatterPlan {
  readonly ingredients: readonly BatchIngredient[];
  readonly eggs: EggChoice | null;
  /** Lines that ask for "some": shown when weighing out, without grams. */
  readonly toTaste: readonly ReadLine[];
}

/** Whole eggs for an exact number, by the way chosen. At least one wherever the formula has eggs. */
function wholeEggs(exact: number, mode: EggMode): number {
  switch (mode) {
    case 'follow':
      return Math.max(1, Math.ceil(exact - 1e-9));
    case 'nearest':
      return Math.max(1, Math.round(exact));
    case 'weigh':
      return exact;
  }
}

/** Scaling with eggs kept whole, the grams of every ingredient, and the bowl of batter that they make. */
export function addBatter(ledger: Ledger, { line, read, formula }: LineContext): BatterPlan {
  ledger.input({
    id: 'count.wanted',
    label: 'Cupcakes wanted',
    unit: 'pieces',
    value: line.count,
    spread: 0,
    basis: 'stated',
    sentence: 'As many as this run was asked for.',
  });
  start(
    ledger,
    'bowl.lossShare',
    'Left on bowl and spoon',
    'share',
    BOWL_LOSS,
    'About 2 % where the bowl is scraped well, 5 % where it is not.',
    { min: 0, max: 0.3 },
  );
  ledger.derive({
    id: 'batter.needed',
    label: 'Batter needed',
    unit: 'g',
    from: ['count.wanted', 'portion.mass', 'bowl.lossShare'],
    f: (count = 0, portion = 0, lost = 0) => (count * portion) / (1 - lost),
    sentence: 'Enough for every cupcake wanted, and for what the bowl keeps.',
    sum: '{count.wanted} × {portion.mass} ÷ (1 − {bowl.lossShare})',
  });
  ledger.input({
    id: 'formula.mass',
    label: `One batch of ${formula.name} as written`,
    unit: 'g',
    value: read.massG,
    spread: read.spreadG,
    basis: read.lines.some((l) => l.status === 'read' && l.basis === 'typical') ? 'typical' : 'stated',
    sentence:
      'All lines of the formula that could be read, added up. Cups and spoons widen it; weighed lines hardly.',
  });
  ledger.derive({
    id: 'scale.exact',
    label: 'Scale, exactly',
    unit: 'times',
    from: ['batter.needed', 'formula.mass'],
    f: (needed = 0, batch = 1) => needed / batch,
    decide: AS_IT_IS,
    sentence: 'How many times the formula as written this run needs.',
    sum: '{batter.needed} ÷ {formula.mass}',
  });
  const readLines = read.lines.map((l, index) => ({ l, index })).filter(({ l }) => l.status === 'read');
  const eggs = addScale(
    ledger,
    line.eggs,
    readLines.map(({ l }) => l),
  );
  const ingredients = readLines.map(({ l, index }) => addIngredient(ledger, l, index, line.eggs));
  ledger.derive({
    id: 'batter.mixed',
    label: 'Batter in the bowl',
    unit: 'g',
    from: ingredients.map(({ figureId }) => figureId),
    f: (...grams) => grams.reduce((sum, g) => sum + g, 0),
    sentence:
      'All that is weighed into the bowl. Weigh the full bowl, less the empty one, and the plan goes on from there.',
    sum: ingredients.map(({ figureId }) => `{${figureId}}`).join(' + '),
    pin: { min: 1, max: 1_000_000 },
  });
  return { ingredients, eggs, toTaste: read.lines.filter((l) => l.status === 'no amount') };
}

function addScale(ledger: Ledger, mode: EggMode, lines: readonly ReadLine[]): EggChoice | null {
  const eggLine = lines.find((l) => l.whole && l.ingredient?.key === 'egg') ?? lines.find((l) => l.whole);
  if (!eggLine?.whole) {
    ledger.derive({
      id: 'scale.used',
      label: 'Scale',
      unit: 'times',
      from: ['scale.exact'],
      f: (exact = 0) => exact,
      sentence: 'The formula has nothing that must stay whole, so it is scaled exactly.',
      sum: '{scale.exact}',
    });
    return null;
  }
  const { count } = eggLine.whole;
  ledger.input({
    id: 'eggs.formula',
    label: 'Eggs in the formula',
    unit: 'eggs',
    value: count,
    spread: 0,
    basis: 'stated',
    sentence: `From the line "${eggLine.raw.trim()}".`,
  });
  ledger.derive({
    id: 'eggs.exact',
    label: 'Eggs, exactly',
    unit: 'eggs',
    from: ['scale.exact', 'eggs.formula'],
    f: (factor = 0, eggs = 0) => factor * eggs,
    sentence: 'Eggs at the exact scale, before they are kept whole.',
    sum: '{scale.exact} × {eggs.formula}',
  });
  const exact = ledger.value('eggs.exact');
  const used = wholeEggs(exact, mode);
  const words: Readonly<Record<EggMode, string>> = {
    follow:
      'Eggs stay whole, rounded up, and everything else follows them, so the formula keeps its proportions.',
    nearest: 'Eggs go to the nearest whole one and the rest keeps to the exact scale.',
    weigh: 'Eggs are beaten and weighed, so nothing is rounded.',
  };
  ledger.derive({
    id: 'eggs.used',
    label: 'Eggs to use',
    unit: 'eggs',
    from: ['eggs.exact'],
    f: () => used,
    sentence: words[mode],
    sum:
      mode === 'weigh'
        ? '{eggs.exact}'
        : `{eggs.exact}, ${mode === 'follow' ? 'rounded up' : 'to the nearest whole'}`,
  });
  ledger.derive({
    id: 'scale.used',
    label: 'Scale',
    unit: 'times',
    from: mode === 'follow' ? ['eggs.used', 'eggs.formula'] : ['scale.exact'],
    f: mode === 'follow' ? (eggs = 0, inFormula = 1) => eggs / inFormula : (factor = 0) => factor,
    sentence: words[mode],
    sum: mode === 'follow' ? '{eggs.used} ÷ {eggs.formula}' : '{scale.exact}',
  });
  ledger.input({
    id: 'egg.mass',
    label: 'One egg without its shell',
    unit: 'g',
    value: eggLine.whole.pieceG,
    spread: eggLine.whole.pieceG * PIECE_SPREAD_SHARE.egg,
    basis: 'typical',
    sentence: 'Usual for the size written. Weigh a few of yours without the shell to know better.',
    replace: { min: 5, max: 150 },
  });
  return { mode, inFormula: count, exact, used };
}

function addIngredient(ledger: Ledger, l: ReadLine, index: number, mode: EggMode): BatchIngredient {
  const figureId = `ingredient.${index + 1}`;
  const written = `${figureId}.written`;
  const base = { key: String(index + 1), name: l.called, written: l.raw.trim(), line: l, figureId };
  if (l.whole && ledger.has('egg.mass') && mode !== 'weigh') {
    // Whites and yolks weigh their own part of the egg that the run is planned with.
    const ownPart = l.whole.pieceG / mainPiece(ledger);
    const wholeFigureId = `${figureId}.count`;
    ledger.derive({
      id: wholeFigureId,
      label: `${l.name}, how many`,
      unit: 'eggs',
      from: ['scale.used'],
      f: (factor = 0) => factor * (l.whole?.count ?? 0),
      decide: { step: 1, how: 'nearest', least: 1 },
      sentence: 'Kept whole.',
      sum: `{scale.used} × ${l.whole.count}, kept whole`,
    });
    ledger.derive({
      id: figureId,
      label: l.name,
      unit: 'g',
      from: [wholeFigureId, 'egg.mass'],
      f: (n = 0, each = 0) => n * each * ownPart,
      sentence: 'Whole ones, at the mass of one without its shell.',
      sum:
        ownPart === 1
          ? `{${wholeFigureId}} × {egg.mass}`
          : `{${wholeFigureId}} × {egg.mass} × ${ownPart.toFixed(2)}`,
    });
    return { ...base, wholeFigureId };
  }
  ledger.input({
    id: written,
    label: `${l.name}, as written`,
    unit: 'g',
    value: l.massG,
    spread: (l.highG - l.lowG) / 2,
    basis: l.basis,
    sentence: l.reading ? `"${l.raw.trim()}" read as ${l.reading}.` : `"${l.raw.trim()}".`,
  });
  ledger.derive({
    id: figureId,
    label: l.name,
    unit: 'g',
    from: [written, 'scale.used'],
    f: (grams = 0, factor = 0) => grams * factor,
    // What is put on the scale is these grams, however the formula's cup was filled.
    decide: AS_IT_IS,
    sentence:
      'The formula as written, scaled for this run. Weigh it out and it is this, however a cup would have been filled.',
    sum: `{${written}} × {scale.used}`,
  });
  return { ...base, wholeFigureId: null };
}

/** Mass of the piece that `egg.mass` started from: what it was before anybody weighed theirs. */
function mainPiece(ledger: Ledger): number {
  const egg = ledger.figure('egg.mass');
  return egg.expected?.value ?? egg.value;
}
