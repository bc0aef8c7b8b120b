import type { FrostingChoice } from '../../model/documents';
import {
  layerMl,
  measure,
  minus,
  over,
  plus,
  squared,
  times,
  type Expr,
  type Ref,
  type Words,
  largerOf,
} from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import {
  BAG_LOSS_G,
  COLOUR_DEPTH,
  FONDANT,
  FROSTING_DENSITY,
  GEL_DROP_G,
  PIPED,
  STANDARD_TOP_MM,
  STYLE_FROSTING,
  STYLE_SPREAD,
  TOP_STYLES,
} from '../../process/frost.table';
import type { PlanFigures } from '../figures';
import { supplied, type Supplied } from './count';
import { FONDANT_WORDS, FROSTING } from './fill.words';
import type { CountedLot } from './lots';

export interface FrostingPart {
  readonly choice: FrostingChoice;
  readonly each: Ref<'g'>;
  readonly density: Ref<'g/ml'>;
  /** What piping takes; null where nothing is piped. */
  readonly bags: { readonly count: Ref<'pieces'>; readonly loss: Ref<'g'>; readonly lost: Ref<'g'> } | null;
  readonly supplies: readonly Supplied[];
}

/** Frosting on one top, from the style, the top's width and the frosting's density, and the bags that piping takes. */
export function addFrosting(
  f: PlanFigures,
  choice: FrostingChoice,
  top: Ref<'mm'>,
  colours: number,
): FrostingPart {
  const { kind, style } = choice;
  const usual = TOP_STYLES[style];
  const onTop = f.believe(PARAMS.frostingStyle, {
    label: FROSTING.styleLabel(style),
    of: [scopeOf('frosting', `${kind} ${style}`), scopeOf('frosting', style)],
    start: { value: usual.massG, spread: usual.massG * STYLE_SPREAD, basis: 'typical' },
    sentence: FROSTING.style(style),
  });
  const density = f.believe(PARAMS.frostingDensity, {
    label: FROSTING.densityLabel(kind),
    of: [scopeOf('frosting', kind)],
    start: { value: FROSTING_DENSITY[kind], spread: FROSTING_DENSITY[kind] * 0.06, basis: 'typical' },
    sentence: FROSTING.density,
  });
  const area = squared(over(top, measure(STANDARD_TOP_MM, 'mm')));
  const against = measure(FROSTING_DENSITY[STYLE_FROSTING], 'g/ml');
  const each = f.sum('frosting.each', FROSTING.each, 'g', times(times(onTop, area), over(density, against)), {
    pin: { min: 0.5, max: 500 },
  });
  const bags = PIPED.has(style) ? addBags(f, colours) : null;
  return {
    choice,
    each,
    density,
    bags,
    supplies: supplied(f, 'frosting', choice.onHandG, each, bags?.lost ?? null),
  };
}

/** Bags that piping takes, one a colour, and what they keep. */
function addBags(f: PlanFigures, colours: number): NonNullable<FrostingPart['bags']> {
  const count = f.given('frosting.bags', FROSTING.bags, 'pieces', colours, 'counted');
  const loss = f.believe(PARAMS.bagLoss, {
    of: [],
    start: { value: BAG_LOSS_G, spread: 5, basis: 'typical' },
    sentence: FROSTING.bagLoss,
  });
  return { count, loss, lost: f.sum('frosting.bagLoss', FROSTING.bagsLost, 'g', times(count, loss)) };
}

/** What one lot takes of the frosting, with its gel. */
export interface Coloured {
  readonly lot: CountedLot;
  readonly mass: Ref<'g'>;
  /** Stripes of one swirl, where it has several: what each takes of the lot's frosting. */
  readonly stripes: readonly Ref<'g'>[];
  readonly gels: readonly Gel[];
}

interface Gel {
  readonly colour: string;
  readonly mass: Ref<'g'>;
  readonly drops: Ref<'pieces'>;
}

/** Gel for one lot: of its colour, or of each stripe that is coloured. Stripes share the bag alike. */
function addGels(
  f: PlanFigures,
  { lot, prefix }: CountedLot,
  mass: Ref<'g'>,
): Pick<Coloured, 'stripes' | 'gels'> {
  const colours = [lot?.colour ?? null, ...(lot?.stripes ?? [])];
  const many = colours.length;
  const stripes = colours.map((colour, i) =>
    many === 1
      ? mass
      : f.sum(`${prefix}stripe.${i + 1}`, FROSTING.stripe(colour?.name ?? null, many), 'g', over(mass, many)),
  );
  const gels = colours.flatMap((colour, i): Gel[] => {
    const of = stripes[i];
    if (!colour || !of) return [];
    const nth = i === 0 ? '' : `.${i + 1}`;
    const { name, depth } = colour;
    const gel = f.sum(`${prefix}gel${nth}`, FROSTING.gel(name, depth), 'g', times(of, COLOUR_DEPTH[depth]));
    const drops = f.sum(
      `${prefix}drops${nth}`,
      FROSTING.drops(name),
      'pieces',
      over(gel, measure(GEL_DROP_G, 'g')),
      { whole: 'ceil' },
    );
    return [{ colour: name, mass: gel, drops }];
  });
  return { stripes: many === 1 ? [] : stripes, gels };
}

export interface FrostingTotal {
  /** Null where no piece is made. */
  readonly needed: Ref<'g'> | null;
  readonly coloured: readonly Coloured[];
}

/** Frosting for all pieces: what each colour needs with its gel, and the whole. */
export function addFrostingTotal(
  f: PlanFigures,
  { each, bags }: FrostingPart,
  lots: readonly CountedLot[],
): FrostingTotal {
  const coloured = lots
    .filter(({ count }) => count.value > 0)
    .map((lot): Coloured => {
      const pieces: Expr<'g'> = times(lot.count, each);
      const mass = f.sum(
        `${lot.prefix}frosting`,
        FROSTING.ofLot(lot.name, bags !== null),
        'g',
        bags ? plus(pieces, bags.loss) : pieces,
      );
      return { lot, mass, ...addGels(f, lot, mass) };
    });
  const masses = coloured.map(({ mass }) => mass);
  return {
    coloured,
    needed: masses.length > 0 ? f.total('frosting.needed', FROSTING.total, 'g', masses) : null,
  };
}

/** Fondant on a piece: its surface less what it stands on. */
export const addFondantEach = (
  f: PlanFigures,
  area: Ref<'cm²'>,
  foot: Expr<'cm²'>,
  box: boolean,
): Ref<'g'> => {
  const said: Words = box ? FONDANT_WORDS.eachOfBox : FONDANT_WORDS.each;
  // A piece baked low in its well stands on less than the well's foot; half of any piece is covered.
  const covered = largerOf(minus(area, foot), over(area, 2));
  const layer = layerMl(times(covered, measure(FONDANT.thicknessMm, 'mm')));
  return f.sum('fondant.each', said, 'g', times(layer, measure(FONDANT.density, 'g/ml')));
};

/** What to roll out, and what to have, where fondant covers the pieces. Returns the latter. */
export function addFondantTotal(f: PlanFigures, made: Ref<'pieces'>, each: Ref<'g'>): Ref<'g'> {
  const { beyond, rerolled } = FONDANT;
  const all = times(made, each);
  f.sum('fondant.rolled', FONDANT_WORDS.rolled, 'g', times(all, 1 + beyond));
  return f.sum('fondant.needed', FONDANT_WORDS.needed, 'g', times(all, 1 + beyond * (1 - rerolled)));
}
