import type { CoatChoice, Lot, VesselDoc } from '../../model/documents';
import type { ChocolateKind } from '../../model/kinds';
import {
  PI,
  atLeast,
  cube,
  largerOf,
  layerMl,
  measure,
  minus,
  ml,
  over,
  plus,
  smallestOf,
  square,
  times,
  type Ref,
} from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { ballDiameter, ballSolid, boxSolid, sheetVolume, type Surface } from '../../piece';
import { COAT } from '../../process/coat.table';
import type { Pot } from '../emitted';
import type { RunContext } from '../context';
import type { PlanFigures } from '../figures';
import { COATED, COAT_WORDS } from './coat.words';
import { TRACE_G, type Supplied } from './count';
import type { CountedLot } from './lots';

/** A piece as its coat sees it. */
export interface CoatedSolid {
  readonly area: Ref<'cm²'>;
  readonly curve: Ref<'mm'>;
  readonly volume: Ref<'ml'>;
  readonly height: Ref<'mm'>;
}

/** A ball of some mass and density. */
export const addBall = (f: PlanFigures, mass: Ref<'g'>, density: Ref<'g/ml'>): CoatedSolid =>
  addBallOf(f, f.sum('ball.volume', COATED.ball, 'ml', over(mass, density)));

/** The ball of some volume: its diameter and surface. */
export function addBallOf(f: PlanFigures, volume: Ref<'ml'>): CoatedSolid {
  const diameter = f.sum('ball.diameter', COATED.diameter, 'mm', ballDiameter(volume));
  const { area, curve } = ballSolid(diameter);
  return {
    volume,
    height: diameter,
    area: f.sum('piece.area', COATED.ballArea, 'cm²', area),
    curve: f.sum('piece.curve', COATED.ballCurve, 'mm', curve),
  };
}

/** A box of three sides. */
export function addBox(f: PlanFigures, a: Ref<'mm'>, b: Ref<'mm'>, c: Ref<'mm'>): CoatedSolid {
  const { area, curve } = boxSolid(a, b, c);
  return {
    height: c,
    area: f.sum('piece.area', COATED.area('Six sides.'), 'cm²', area),
    curve: f.sum('piece.curve', COATED.curve, 'mm', curve),
    volume: f.sum('piece.volume', COATED.box, 'ml', sheetVolume(a, b, c)),
  };
}

/** A piece out of a well, as its shape has it. */
export function addSurface(f: PlanFigures, volume: Ref<'ml'>, surface: Surface): CoatedSolid {
  const height = f.sum('piece.height', COATED.height(surface.heightSays), 'mm', surface.height);
  return {
    volume,
    height,
    area: f.sum('piece.area', COATED.area(surface.areaSays), 'cm²', surface.area(height)),
    curve: f.sum('piece.curve', COATED.curve, 'mm', surface.curve(height)),
  };
}

/** Density of what is melted. */
export const addCoatDensity = (f: PlanFigures): Ref<'g/ml'> =>
  f.believe(PARAMS.coatDensity, {
    of: [],
    start: { ...COAT.density, basis: 'typical' },
    sentence: COAT_WORDS.density,
  });

/** What is lost between pot and piece, as a share of what is on the piece. */
export const addDripShare = (
  f: PlanFigures,
  kind: ChocolateKind,
  said: { readonly label: string; readonly sentence: string },
): Ref<'share'> =>
  f.believe(PARAMS.coatDrips, {
    ...said,
    of: [scopeOf('coat', kind)],
    start: { value: COAT.dripShare, spread: 0.04, basis: 'typical' },
  });

/** What one dipped piece takes on, and the pool that its vessel needs. */
export interface CoatPart {
  readonly choice: CoatChoice;
  readonly solid: CoatedSolid;
  readonly density: Ref<'g/ml'>;
  readonly thickness: Ref<'mm'>;
  readonly each: Ref<'g'>;
  /** What its stick carries; null where it has none. */
  readonly anchor: Ref<'g'> | null;
  readonly drips: Ref<'share'>;
  /** On the piece and its stick. */
  readonly taken: Ref<'g'>;
  readonly perPiece: Ref<'g'>;
  readonly vessel: VesselDoc;
  readonly vesselAcross: Ref<'mm'>;
  readonly depth: Ref<'mm'>;
  readonly stranded: Ref<'g'>;
  readonly supplies: readonly Supplied[];
  /** Coat on the table, where somebody has said how much. */
  readonly onHand: Ref<'g'> | null;
}

/** Coat, anchor and pool of a dipped piece, and what is on the table of it. */
export function addCoat(
  f: PlanFigures,
  run: RunContext,
  coat: CoatChoice,
  solid: CoatedSolid,
  stick: boolean,
  lots: readonly Lot[],
): CoatPart {
  const density = addCoatDensity(f);
  const mm = dippedMm(coat);
  const thickness = f.believe(PARAMS.coatThickness, {
    of: [
      scopeOf('coat', `${coat.kind} ${coat.thickness} ${coat.school}`),
      scopeOf('coat', `${coat.thickness} ${coat.school}`),
    ],
    start: { value: mm, spread: mm * COAT.thicknessSpread, basis: 'typical' },
    sentence: COAT_WORDS.thickness(coat),
  });
  // The piece grown by the coat all round, less the piece: area·t + curve·t² + 4/3·π·t³. Exact for a convex body.
  const grown = plus(
    layerMl(times(solid.area, thickness)),
    ml(times(solid.curve, square(thickness))),
    ml(times(over(4, 3), PI, cube(thickness))),
  );
  const each = f.sum('coat.each', COAT_WORDS.each, 'g', times(density, grown), {
    pin: { min: 0.05, max: 500 },
  });
  const anchor = stick
    ? f.believe(PARAMS.anchor, {
        of: [],
        start: { value: COAT.anchorG, spread: 0.15, basis: 'typical' },
        sentence: COAT_WORDS.anchor,
      })
    : null;
  const drips = addDripShare(f, coat.kind, COAT_WORDS.drips);
  const taken = f.total('coat.taken', COAT_WORDS.taken, 'g', anchor ? [each, anchor] : [each]);
  const perPiece = f.sum('coat.perPiece', COAT_WORDS.perPiece, 'g', times(taken, plus(1, drips)));
  const pool = addPool(f, run.thing('vessel', coat.vesselId), solid, density);
  const pots = potsWanted(lots, coat.kind);
  const pools = f.sum('pool.all', COAT_WORDS.pools, 'g', times(pots, pool.stranded));
  const onHand =
    typeof coat.onHandG === 'number'
      ? f.given('coat.onHand', COAT_WORDS.onHand, 'g', coat.onHandG, 'stated')
      : null;
  const supplies = coatSupply(f, coat, onHand, perPiece, pools);
  return {
    choice: coat,
    solid,
    density,
    thickness,
    each,
    anchor,
    drips,
    taken,
    perPiece,
    ...pool,
    supplies,
    onHand,
  };
}

/** How thick such a coat usually falls, mm: kind, thinning and the piece's coldness move it together. */
export function dippedMm({ kind, thickness, school, thinnedShare }: CoatChoice): number {
  const thinned = thickness === 'thin' ? 1 : 1 - COAT.thinnedTakes * thinnedShare;
  const frozen = school === 'frozen' ? COAT.frozenFactor : 1;
  return Number((COAT.dipMm[thickness] * COAT.kindFactor[kind] * thinned * frozen).toFixed(4));
}

/** Pieces that a coat on hand covers: dipped while the vessel is deep enough, and what is left spooned over the last ones. */
function coatSupply(
  f: PlanFigures,
  coat: CoatChoice,
  there: Ref<'g'> | null,
  perPiece: Ref<'g'>,
  pools: Ref<'g'>,
): Supplied[] {
  if (there === null || perPiece.value < TRACE_G) return [];
  const dipped = f.sum(
    'count.dipped',
    COAT_WORDS.dipped,
    'pieces',
    coat.by === 'spoon' ? times(0, over(there, perPiece)) : over(atLeast(minus(there, pools), 0), perPiece),
    { whole: 'floor' },
  );
  const spooned = over(
    atLeast(minus(there, times(dipped, perPiece)), 0),
    times(1 + COAT.spoonedMore, perPiece),
  );
  const pieces = f.sum('count.coat', COAT_WORDS.covers, 'pieces', plus(dipped, spooned), { whole: 'floor' });
  return [{ supply: 'coat', pieces }];
}

/** The pool that the vessel needs however few are dipped. */
function addPool(
  f: PlanFigures,
  vessel: VesselDoc,
  solid: CoatedSolid,
  density: Ref<'g/ml'>,
): Pick<CoatPart, 'vessel' | 'vesselAcross' | 'depth' | 'stranded'> {
  const across = f.given(
    'vessel.diameter',
    COAT_WORDS.vessel(vessel.name),
    'mm',
    vessel.diameterMm,
    'geometry',
  );
  const depth = f.sum(
    'pool.depth',
    COAT_WORDS.depth,
    'mm',
    plus(solid.height, measure(COAT.dipClearanceMm, 'mm')),
  );
  const pool = ml(times(times(over(PI, 4), square(across)), depth));
  const stranded = f.sum(
    'pool.stranded',
    COAT_WORDS.stranded,
    'g',
    atLeast(times(density, minus(pool, solid.volume)), 0),
  );
  return { vessel, vesselAcross: across, depth, stranded };
}

/** How many pots a line will want, before it is known how many pieces are made. */
export const potsWanted = (lots: readonly Lot[], kind: ChocolateKind): number =>
  new Set([kind, ...lots.map((lot) => lot.coat ?? kind)]).size;

/** A pot before its grams: its kind, and the lots that take from it. */
export interface PotLots {
  readonly prefix: string;
  readonly kind: ChocolateKind;
  readonly lots: readonly CountedLot[];
}

/** A pot for each kind of coat, in the order of the lots. */
export function potsOf(lots: readonly CountedLot[], own: ChocolateKind): PotLots[] {
  const kinds = new Map<ChocolateKind, CountedLot[]>();
  for (const lot of lots) {
    if (lot.count.value === 0) continue;
    const kind = lot.lot?.coat ?? own;
    kinds.set(kind, [...(kinds.get(kind) ?? []), lot]);
  }
  if (kinds.size === 0) kinds.set(own, []);
  return [...kinds].map(([kind, its], i) => ({ prefix: `pot.${i + 1}.`, kind, lots: its }));
}

/** Pieces of the lots that take their coat from a pot. */
export const addPotCount = (
  f: PlanFigures,
  { prefix, kind, lots }: PotLots,
  made: Ref<'pieces'>,
  dipped: boolean,
): Ref<'pieces'> =>
  f.total(
    `${prefix}count`,
    COAT_WORDS.potCount(kind, dipped),
    'pieces',
    lots.length > 0 ? lots.map(({ count }) => count) : [made],
  );

/** Fat that thins a pot; null where none is chosen. */
export const addThinner = (
  f: PlanFigures,
  { prefix, kind }: PotLots,
  melt: Ref<'g'>,
  share: number,
): Ref<'g'> | null =>
  share <= 0
    ? null
    : f.sum(`${prefix}thinner`, COAT_WORDS.thinner(kind), 'g', times(melt, over(share, plus(1, share))));

/** Chocolate in a pot: what the fat leaves of it. */
export const addChocolate = (
  f: PlanFigures,
  { prefix, kind }: PotLots,
  melt: Ref<'g'>,
  thinner: Ref<'g'> | null,
): Ref<'g'> =>
  thinner ? f.sum(`${prefix}chocolate`, COAT_WORDS.chocolate(kind), 'g', minus(melt, thinner)) : melt;

/** What to melt in every pot: on the pieces, drips, the pool; what of it is saved; the fat that thins it. */
export function addPots(
  f: PlanFigures,
  lots: readonly CountedLot[],
  part: CoatPart,
  made: Ref<'pieces'>,
): Pot[] {
  const { choice, taken, drips, stranded, onHand } = part;
  return potsOf(lots, choice.kind).map((pot): Pot => {
    const { kind, prefix } = pot;
    const count = addPotCount(f, pot, made, true);
    const coat = f.sum(`${prefix}coat`, COAT_WORDS.potCoat(kind), 'g', times(count, taken));
    const lost = f.sum(`${prefix}drips`, COAT_WORDS.potDrips(kind), 'g', times(coat, drips));
    const net = plus(coat, lost);
    const netG = coat.value + lost.value;
    const spooned = choice.by
      ? choice.by === 'spoon'
      : stranded.value > COAT.poolAtMost * netG && COAT.spoonedMore * netG < stranded.value;
    const whole = spooned ? times(1 + COAT.spoonedMore, net) : plus(net, stranded);
    const melt = f.sum(
      `${prefix}melt`,
      spooned ? COAT_WORDS.meltToSpoon(kind) : COAT_WORDS.melt(kind),
      'g',
      // No more is melted than there is: the last ones are spooned over.
      onHand && kind === choice.kind ? largerOf<'g'>(net, smallestOf([whole, onHand])) : whole,
      { pin: { min: 0, max: 1_000_000 } },
    );
    const pool = f.sum(`${prefix}pool`, COAT_WORDS.pool(kind, spooned), 'g', atLeast(minus(melt, net), 0));
    const saved = f.sum(`${prefix}saved`, COAT_WORDS.saved(kind), 'g', times(pool, COAT.savedShare));
    const thinner = addThinner(f, pot, melt, choice.thinnedShare);
    return {
      kind,
      formulaId: kind === choice.kind ? (choice.formulaId ?? null) : null,
      vesselId: choice.vesselId,
      lotNames: pot.lots.map(({ name }) => name),
      count,
      coat,
      melt,
      spooned,
      saved,
      thinner,
      chocolate: addChocolate(f, pot, melt, thinner),
    };
  });
}
