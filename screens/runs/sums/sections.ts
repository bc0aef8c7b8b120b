import type { LinePlan } from '../../../core/plan';

/** A part of the work with its figures, the main one large. Figures that a plan does not have are left out. */
export interface SumsSection {
  readonly id: string;
  readonly title: string;
  readonly hero: string;
  readonly heroLabel?: string;
  /** Figures that stand side by side under the main one. */
  readonly few?: readonly string[];
  readonly rows: readonly string[];
  /** A figure that is weighed at this link, with what to call it. */
  readonly weigh?: { readonly figureId: string; readonly title: string; readonly hint: string };
}

const many = (plan: LinePlan, pattern: RegExp): string[] =>
  plan.figures.map(({ id }) => id).filter((id) => pattern.test(id));

const WELL: SumsSection = {
  id: 'well',
  title: 'A well',
  hero: 'portion.mass',
  heroLabel: 'Batter, weighed into each',
  few: ['fill.share', 'fill.belowRim', 'rise', 'finish.share'],
  rows: ['scoop.mass', 'layer.mass', 'well.volume'],
};

const OVEN: SumsSection = {
  id: 'oven',
  title: 'The oven',
  hero: 'bake.time',
  heroLabel: 'Baking time',
  rows: [
    'bake.firstLook',
    'oven.setting',
    'sheet.count',
    'sheet.mass',
    'loads.count',
    'cool.time',
    'cake.mass',
  ],
};

const MICROWAVE: SumsSection = {
  id: 'microwave',
  title: 'The microwave',
  hero: 'micro.time',
  rows: [
    'micro.firstLook',
    'micro.stand',
    'mugs.atOnce',
    'micro.load',
    'micro.bowls',
    'bowl.mass',
    'micro.rated',
    'micro.setting',
    'cool.time',
    'cake.mass',
  ],
};

const MUG: SumsSection = {
  id: 'mug',
  title: 'A mug',
  hero: 'portion.mass',
  heroLabel: 'Batter, weighed into each',
  few: ['fill.share', 'finish.share'],
  rows: ['scoop.mass', 'mug.volume'],
};

const CUT: SumsSection = {
  id: 'cut',
  title: 'Cut',
  hero: 'cut.perSheet',
  heroLabel: 'Pieces of a sheet',
  few: ['piece.length', 'piece.width', 'piece.height'],
  rows: ['cake.mass', 'sheet.cake', 'cut.trim', 'cut.kerf', 'trimmings'],
};

function crumb(plan: LinePlan): SumsSection {
  return {
    id: 'crumb',
    title: 'Crumb and binder',
    hero: 'binder.need',
    heroLabel: 'Binder it will likely take',
    few: ['binder.first', 'crumb.total'],
    rows: [
      ...many(plan, /^crumb\.\d+(\.cake|\.frosting)?$/),
      ...many(plan, /^addin\.\d+$/),
      'frosting.own',
      'binder.share',
      'binder.added',
      'dough.total',
    ],
    weigh: {
      figureId: 'binder.added',
      title: 'Weighed the binder',
      hint: 'All that went in, the first addition and every spoon after it.',
    },
  };
}

const PORTIONS: SumsSection = {
  id: 'portions',
  title: 'Portions',
  hero: 'portion.mass',
  heroLabel: 'Dough, weighed for each',
  few: ['ball.diameter', 'binder.each'],
  rows: ['dough.density', 'dough.ready', 'portions.total', 'dough.left', 'set.firm', 'set.anchor'],
  weigh: {
    figureId: 'dough.total',
    title: 'Weighed the dough',
    hint: 'The full bowl less the empty one. Portions and coat are planned anew from it.',
  },
};

function shell(plan: LinePlan): SumsSection {
  return {
    id: 'shell',
    title: 'Shell and back plate',
    hero: 'shell.taken',
    heroLabel: 'Chocolate on a piece',
    few: ['shell.first', 'shell.second', 'shell.back'],
    rows: [
      'shell.mm',
      'cavity.volume',
      'cavity.room',
      'cavities.all',
      'rounds.count',
      'set.shell',
      'set.filled',
      'patch.needed',
      ...many(plan, /^pot\.\d+\.(melt|thinner)$/),
    ],
  };
}

function coat(plan: LinePlan): SumsSection {
  return {
    id: 'coat',
    title: 'The coat',
    hero: 'coat.each',
    heroLabel: 'Coat on a piece',
    few: ['coat.mm', 'coat.taken'],
    rows: [
      ...many(plan, /^pot\.\d+\.(count|melt|saved|thinner)$/),
      'pool.depth',
      'pool.stranded',
      'coat.dripShare',
      'set.coat',
    ],
  };
}

const FILLING: SumsSection = {
  id: 'filling',
  title: 'Filling',
  hero: 'filling.each',
  rows: ['filling.needed', 'core.removed', 'core.kept', 'cake.cored', 'filling.channel', 'filling.mm'],
};

function frosting(plan: LinePlan): SumsSection {
  return {
    id: 'frosting',
    title: 'Frosting',
    hero: 'frosting.each',
    rows: [
      'frosting.needed',
      'frosting.bags',
      'frosting.bagLoss',
      ...many(plan, /^lot\.(\d+|rest)\.(frosting|gel|drops)$/),
    ],
  };
}

function lots(plan: LinePlan): SumsSection {
  return {
    id: 'lots',
    title: 'Lots and toppings',
    hero: 'piece.mass',
    heroLabel: 'One piece, before toppings',
    rows: [...many(plan, /^lot\.(\d+|rest)\.(count|topping\.\d+\.(each|total)|finished)$/), 'finished.total'],
  };
}

/** The sums after the batter, in the order of the work. */
export function sectionsOf(plan: LinePlan): SumsSection[] {
  const all: SumsSection[] = [];
  if (plan.family === 'mug') all.push(MUG, MICROWAVE);
  if (plan.has('bake.time')) all.push(OVEN);
  if (plan.has('micro.time') && plan.family !== 'mug') all.push(MICROWAVE);
  all.push(CUT, crumb(plan), shell(plan));
  if (plan.has('dough.total')) all.push(PORTIONS);
  all.push(coat(plan), FILLING, frosting(plan));
  const plain = plan.lots.length === 1 && !plan.has('lot.1.count');
  if (!plain) all.push(lots(plan));
  return all.filter((section) => plan.has(section.hero));
}

/** A well comes before its batter. */
export const wellOf = (plan: LinePlan): SumsSection | null => (plan.has('fill.belowRim') ? WELL : null);
