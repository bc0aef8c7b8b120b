import type { CoatChoice, Lot, VesselDoc } from '../../model/documents';
import { COAT } from '../../process/coat.table';
import { meltingBursts, type ChocolateKind } from '../../process/microwave';
import { DIP_SCHOOLS } from '../../process/set.table';
import type { RunContext } from '../lookup';
import type { CountedLot } from './lots';
import { type Figures, gramsText } from '../figures';
import { MICROWAVE } from '../../process/microwave.table';

/** A convex piece as a coat sees it: figures of its surface, of its mean width's integral, and of its height. */
export interface CoatedSolid {
  /** cm². */
  readonly areaId: string;
  /** Integral of mean curvature, mm: 2π·d for a ball, π·(a + b + c) for a box. */
  readonly curveId: string;
  readonly volumeId: string;
  readonly heightId: string;
}

/** A ball of some mass and density: its diameter, surface and volume. */
export function addBall(ledger: Figures, massId: string, densityId: string): CoatedSolid {
  ledger.calc(
    'ball.volume',
    'One ball',
    'ml',
    `{${massId}} ÷ {${densityId}}`,
    (mass = 0, density = 1) => mass / density,
    'Mass over density.',
  );
  return addBallOf(ledger, 'ball.volume');
}

/** The ball of some volume: its diameter and surface. */
export function addBallOf(ledger: Figures, volumeId: string): CoatedSolid {
  ledger.calc(
    'ball.diameter',
    'Ball, across',
    'mm',
    `∛(6000 × {${volumeId}} ÷ π)`,
    (ml = 0) => Math.cbrt((6000 * ml) / Math.PI),
    'The ball that holds so much.',
  );
  ledger.calc(
    'piece.area',
    'Surface of a piece',
    'cm²',
    'π × {ball.diameter}² ÷ 100',
    (d = 0) => (Math.PI * d * d) / 100,
    'Geometry of a ball.',
  );
  ledger.calc(
    'piece.curve',
    'Roundness of a piece',
    'mm',
    '2 × π × {ball.diameter}',
    (d = 0) => 2 * Math.PI * d,
    'How much a coat’s surface grows as it gets thicker: for a ball, 2π times its diameter.',
  );
  return {
    areaId: 'piece.area',
    curveId: 'piece.curve',
    volumeId,
    heightId: 'ball.diameter',
  };
}

/** A box of three sides, given by their figures: surface, volume, height. */
export function addBox(
  ledger: Figures,
  a: string,
  b: string,
  c: string,
  volume: string | null = null,
): CoatedSolid {
  ledger.calc(
    'piece.area',
    'Surface of a piece',
    'cm²',
    `2 × ({${a}} × {${b}} + {${b}} × {${c}} + {${a}} × {${c}}) ÷ 100`,
    (x = 0, y = 0, z = 0) => (2 * (x * y + y * z + x * z)) / 100,
    'Six sides.',
  );
  ledger.calc(
    'piece.curve',
    'Roundness of a piece',
    'mm',
    `π × ({${a}} + {${b}} + {${c}})`,
    (x = 0, y = 0, z = 0) => Math.PI * (x + y + z),
    'How much a coat’s surface grows as it rounds the edges.',
  );
  if (volume === null) {
    ledger.calc(
      'piece.volume',
      'One piece',
      'ml',
      `{${a}} × {${b}} × {${c}} ÷ 1000`,
      (x = 0, y = 0, z = 0) => (x * y * z) / 1000,
      'Length by width by height.',
    );
  }
  return { areaId: 'piece.area', curveId: 'piece.curve', volumeId: volume ?? 'piece.volume', heightId: c };
}

/** A round piece as a short cylinder of its mean width and its height. */
export function addDrum(ledger: Figures, widthId: string, volumeId: string): CoatedSolid {
  ledger.calc(
    'piece.height',
    'Piece, high',
    'mm',
    `4000 × {${volumeId}} ÷ (π × {${widthId}}²)`,
    (ml = 0, d = 1) => (4000 * ml) / (Math.PI * d * d),
    'The height of a round piece of that volume and mean width.',
  );
  ledger.calc(
    'piece.area',
    'Surface of a piece',
    'cm²',
    `(π × {${widthId}}² ÷ 2 + π × {${widthId}} × {piece.height}) ÷ 100`,
    (d = 0, h = 0) => ((Math.PI * d * d) / 2 + Math.PI * d * h) / 100,
    'Top, bottom and side of a round piece of its mean width.',
  );
  ledger.calc(
    'piece.curve',
    'Roundness of a piece',
    'mm',
    `π × {piece.height} + π² × {${widthId}} ÷ 2`,
    (h = 0, d = 0) => Math.PI * h + (Math.PI * Math.PI * d) / 2,
    'How much a coat’s surface grows as it rounds the edges.',
  );
  return { areaId: 'piece.area', curveId: 'piece.curve', volumeId, heightId: 'piece.height' };
}

/** Density of what is melted. */
export function addCoatDensity(ledger: Figures): void {
  ledger.start(
    'coat.density',
    'Melted coat, density',
    'g/ml',
    { ...COAT.density, basis: 'typical' },
    'Usual for melted chocolate and compound.',
    { min: 0.9, max: 1.6 },
  );
}

/** What is lost between pot and piece, as a share of what is on the piece. */
export function addDripShare(ledger: Figures, label: string, sentence: string): void {
  ledger.start(
    'coat.dripShare',
    label,
    'share',
    { value: COAT.dripShare, spread: 0.04, basis: 'typical' },
    sentence,
    { min: 0, max: 0.6 },
  );
}

/** Pieces of the lots that take their coat from a pot. */
export function addPotCount(
  ledger: Figures,
  lots: readonly CountedLot[],
  own: ChocolateKind,
  { kind, p }: Pick<Pot, 'kind' | 'p'>,
  sentence: string,
): void {
  const counts = lots.filter(({ lot, count }) => count > 0 && (lot?.coat ?? own) === kind);
  ledger.total(
    `${p}count`,
    `Pieces in ${kind}`,
    'pieces',
    counts.length > 0 ? counts.map(({ countId }) => countId) : ['count.made'],
    sentence,
  );
}

/** Fat that thins a pot; nothing where none is chosen. */
export function addThinner(ledger: Figures, p: string, kind: ChocolateKind, share: number): void {
  if (share <= 0) return;
  ledger.calc(
    `${p}thinner`,
    `Coconut oil or cocoa butter, ${kind}`,
    'g',
    `{${p}melt} × ${share}`,
    (melt = 0) => melt * share,
    'Stirred into the melted chocolate. It softens the set, and above {24 °C} it stays tacky.',
  );
}

/** What one piece takes on: its coat, and the anchor of its stick. */
export function addCoatEach(ledger: Figures, coat: CoatChoice, solid: CoatedSolid, stick: boolean): void {
  addCoatDensity(ledger);
  const frozen = coat.school === 'frozen';
  const mm = COAT.dipMm[frozen ? 'thick' : coat.thickness];
  ledger.start(
    'coat.mm',
    'Coat, thick',
    'mm',
    { value: mm, spread: mm * COAT.thicknessSpread, basis: 'typical' },
    frozen
      ? 'On a frozen piece the coat sets before it has run off, so it stays thick.'
      : { thin: 'Thinned and warm.', usual: 'As it usually falls.', thick: 'Cool or unthinned.' }[
          coat.thickness
        ],
    { min: 0.2, max: 6 },
  );
  ledger.calc(
    'coat.each',
    'Coat on a piece',
    'g',
    `{coat.density} × ({${solid.areaId}} × {coat.mm} ÷ 10 + {${solid.curveId}} × {coat.mm}² ÷ 1000 + 4 ÷ 3 × π × {coat.mm}³ ÷ 1000)`,
    (density = 0, area = 0, t = 0, curve = 0) =>
      density * ((area * t) / 10 + (curve * t * t) / 1000 + ((4 / 3) * Math.PI * t ** 3) / 1000),
    'The piece grown by the coat all round, less the piece. Weigh one before and after its dip.',
    { pin: { min: 0.05, max: 500 } },
  );
  if (stick) {
    ledger.start(
      'anchor.each',
      'Coat that anchors a stick',
      'g',
      { value: COAT.anchorG, spread: 0.15, basis: 'typical' },
      'What the stick carries into the ball.',
      { min: 0, max: 10 },
    );
  }
  addDripShare(ledger, 'Drips and film', 'What runs off and what clings to vessel and spoon.');
  ledger.total(
    'coat.taken',
    'Coat that goes with a piece',
    'g',
    stick ? ['coat.each', 'anchor.each'] : ['coat.each'],
    'On the piece and its stick.',
  );
  ledger.calc(
    'coat.perPiece',
    'Coat that a piece takes from the pot',
    'g',
    '{coat.taken} × (1 + {coat.dripShare})',
    (grams = 0, drips = 0) => grams * (1 + drips),
    'With its drips.',
  );
}

/** The pool that the vessel needs however few are dipped. Returns its figure. */
export function addPool(ledger: Figures, vessel: VesselDoc, solid: CoatedSolid): string {
  ledger.given(
    'vessel.diameter',
    `"${vessel.name}", across`,
    'mm',
    vessel.diameterMm,
    'geometry',
    'Measured inside, as kept in Kitchen.',
  );
  ledger.calc(
    'pool.depth',
    'Working depth',
    'mm',
    `{${solid.heightId}} + ${COAT.dipClearanceMm}`,
    (height = 0) => height + COAT.dipClearanceMm,
    'The piece and a centimetre: shallower than that it cannot be dipped whole.',
  );
  ledger.calc(
    'pool.stranded',
    'Pool left in the vessel',
    'g',
    `{coat.density} × (π ÷ 4 × {vessel.diameter}² × {pool.depth} ÷ 1000 − {${solid.volumeId}}), at least 0`,
    (density = 0, d = 0, depth = 0, piece = 0) =>
      density * Math.max(((Math.PI / 4) * d * d * depth) / 1000 - piece, 0),
    'What must stay deep enough for the last piece and cannot be used. While that piece is under, it takes up its own room.',
  );
  return 'pool.stranded';
}

export interface Pot {
  readonly kind: ChocolateKind;
  readonly lotNames: readonly string[];
  readonly p: string;
}

/** A pot for each kind of coat, in the order of the lots. */
export function potsOf(lots: readonly CountedLot[], kind: ChocolateKind): Pot[] {
  const kinds = new Map<ChocolateKind, string[]>();
  for (const { lot, name, count } of lots) {
    if (count === 0) continue;
    const own = lot?.coat ?? kind;
    kinds.set(own, [...(kinds.get(own) ?? []), name]);
  }
  if (kinds.size === 0) kinds.set(kind, []);
  return [...kinds].map(([own, lotNames], i) => ({ kind: own, lotNames, p: `pot.${i + 1}.` }));
}

/** Figure of what is melted of one kind; undefined where none of it is. */
export function meltIdOf(pots: readonly Pot[], kind: ChocolateKind | undefined): string | undefined {
  const pot = pots.find((one) => one.kind === kind);
  return pot && `${pot.p}melt`;
}

/** How many pots a line will want, before it is known how many pieces are made. */
export const potsWanted = (lots: readonly Lot[], kind: ChocolateKind): number =>
  new Set([kind, ...lots.map((lot) => lot.coat ?? kind)]).size;

/** What to melt in every pot: on the pieces, drips, the pool; what of it is saved; the fat that thins it. */
export function addPots(ledger: Figures, lots: readonly CountedLot[], coat: CoatChoice): Pot[] {
  const pots = potsOf(lots, coat.kind);
  for (const { kind, p } of pots) {
    addPotCount(ledger, lots, coat.kind, { kind, p }, 'All lots that are dipped in this pot.');
    ledger.calc(
      `${p}coat`,
      `Coat on the pieces, ${kind}`,
      'g',
      `{${p}count} × {coat.taken}`,
      (count = 0, each = 0) => count * each,
      'With the anchors of the sticks.',
    );
    ledger.calc(
      `${p}drips`,
      `Drips and film, ${kind}`,
      'g',
      `{${p}coat} × {coat.dripShare}`,
      (grams = 0, share = 0) => grams * share,
      'Lost to paper, vessel and spoon.',
    );
    ledger.calc(
      `${p}melt`,
      `To melt, ${kind}`,
      'g',
      `{${p}coat} + {${p}drips} + {pool.stranded}`,
      (on = 0, drips = 0, pool = 0) => on + drips + pool,
      'On the pieces, drips, and the pool that the vessel needs to the last.',
      { pin: { min: 0, max: 1_000_000 } },
    );
    ledger.calc(
      `${p}saved`,
      `Saved from the pool, ${kind}`,
      'g',
      `{pool.stranded} × ${COAT.savedShare}`,
      (pool = 0) => pool * COAT.savedShare,
      'Tilt the vessel and spoon for the last ones: about half of the pool. The rest keeps for another day.',
    );
    addThinner(ledger, p, kind, coat.thinnedShare);
  }
  return pots;
}

/** How to melt, what the school asks for, and what a narrower vessel would save: sentences with measures in braces. */
export function coatNotes(
  ledger: Figures,
  run: RunContext,
  pots: readonly Pot[],
  coat: CoatChoice,
): string[] {
  const school = DIP_SCHOOLS[coat.school];
  const notes = [`Dipped ${coat.school}. ${school.meaning} ${school.watch}`];
  for (const { kind, p } of pots) notes.push(meltNote(run, kind, ledger.value(`${p}melt`)));
  if (coat.thinnedShare > 0)
    notes.push('Thin with coconut oil or cocoa butter, never with water: a drop of it seizes the pot.');
  notes.push(
    'Take 3 to 6 at a time from the cold. Warm the pot again after 8 to 15 pieces, or when it falls to {34 °C}.',
  );
  const depth = ledger.value('pool.depth');
  const wide = ledger.value('vessel.diameter');
  const narrower = (run.kitchen.vessels ?? [])
    .filter(
      ({ diameterMm, depthMm }) =>
        diameterMm < wide && depthMm >= depth && diameterMm > ledger.value('pool.depth') * 0.9,
    )
    .sort((a, b) => a.diameterMm - b.diameterMm)[0];
  if (narrower) {
    const saves =
      ((Math.PI / 4) * (wide ** 2 - narrower.diameterMm ** 2) * depth * ledger.value('coat.density')) / 1000;
    notes.push(`"${narrower.name}" is narrower: it would leave ${gramsText(saves)} less in the pool.`);
  }
  return notes;
}

/** Melting in bursts, and the temperatures of its kind. */
export function meltNote(run: RunContext, kind: ChocolateKind, massG: number): string {
  const ratedW = run.kitchen.microwaves?.[0]?.ratedW ?? MICROWAVE.usualW;
  const { setting, burstS, count, lowCount, highCount, ceilingC } = meltingBursts(
    Math.max(massG, 1),
    kind,
    ratedW,
  );
  const temper =
    kind === 'compound'
      ? 'Compound needs no temper.'
      : `Couverture wants tempering: work at ${{ dark: '{31 °C} to {32 °C}', milk: '{29 °C} to {30 °C}', white: '{28 °C} to {29 °C}' }[kind]}, seeded with 25 to 30 % of unmelted; or melt it gently and keep it under {34 °C} all the way.`;
  return `Melt ${gramsText(massG)} of ${kind} in about ${count} bursts of ${burstS} s (${lowCount} to ${highCount}) at ${Math.round(setting * 100)} % power, stirring between; stop with a quarter still solid. Never above {${ceilingC[0]} °C} to {${ceilingC[1]} °C}. A water bath is slower and stays warm longer: bowl above the water, no steam on the chocolate. ${temper}`;
}
