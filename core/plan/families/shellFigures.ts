import type { CakesicleLine, MouldDoc } from '../../model/documents';
import { COAT, PATCH } from '../../process/coat.table';
import { addCoatDensity, addDripShare, addPotCount, addThinner, potsOf, type Pot } from '../links/coat';
import type { Supplied } from '../links/count';
import type { CountedLot } from '../links/lots';
import { type Figures } from '../figures';

/** Volume, wall and opening of a cavity, from its measures. */
export function addCavity(
  ledger: Figures,
  { name, shape, lengthMm, widthMm, depthMm, stickMl }: MouldDoc,
): void {
  for (const [side, label, value] of [
    ['length', 'Cavity, long', lengthMm],
    ['width', 'Cavity, wide', widthMm],
    ['depth', 'Cavity, deep', depthMm],
  ] as const) {
    ledger.root(`cavity.${side}`, label, 'mm', value, 0.5, 'geometry', `Measured on "${name}" in Kitchen.`);
  }
  const r = COAT.edgeMm;
  const [L, W, D] = ['{cavity.length}', '{cavity.width}', '{cavity.depth}'];
  const stadiumOpening = `(({L} − {W}) × {W} + π × {W}² ÷ 4)`.replaceAll('{L}', L).replaceAll('{W}', W);
  const girth = `(2 × (${L} − ${W}) + π × ${W})`;
  const opening = (l: number, w: number) =>
    shape === 'stadium'
      ? (l - w) * w + (Math.PI * w * w) / 4
      : shape === 'box'
        ? l * w
        : (Math.PI * l * w) / 4;
  const round = (l: number, w: number) => 2 * (l - w) + Math.PI * w;
  const words = 'Fill one with water and weigh it to know better: {100 ml} of it weigh {100 g}.';
  const sums = {
    stadium: {
      opening: stadiumOpening,
      volume: `(${stadiumOpening} × ${D} − ${girth} × (1 − π ÷ 4) × ${r * r}) ÷ 1000`,
      ml: (l: number, w: number, d: number) =>
        (opening(l, w) * d - round(l, w) * (1 - Math.PI / 4) * r * r) / 1000,
      wall: `(${stadiumOpening} + ${girth} × ${D} − ${girth} × (2 − π ÷ 2) × ${r}) ÷ 100`,
      cm2: (l: number, w: number, d: number) =>
        (opening(l, w) + round(l, w) * d - round(l, w) * (2 - Math.PI / 2) * r) / 100,
    },
    box: {
      opening: `${L} × ${W}`,
      volume: `${L} × ${W} × ${D} ÷ 1000`,
      ml: (l: number, w: number, d: number) => (l * w * d) / 1000,
      wall: `(${L} × ${W} + 2 × (${L} + ${W}) × ${D}) ÷ 100`,
      cm2: (l: number, w: number, d: number) => (l * w + 2 * (l + w) * d) / 100,
    },
    'half-ellipsoid': {
      opening: `π × ${L} × ${W} ÷ 4`,
      volume: `π × ${L} × ${W} × ${D} ÷ 6 ÷ 1000`,
      ml: (l: number, w: number, d: number) => (Math.PI * l * w * d) / 6000,
      // Half of an ellipsoid's surface, by the usual approximation with the power 1.6075: within 1.1 %.
      wall: `2 × π × (((${L} × ${W} ÷ 4) ^ 1.6075 + (${L} × ${D} ÷ 2) ^ 1.6075 + (${W} × ${D} ÷ 2) ^ 1.6075) ÷ 3) ^ (1 ÷ 1.6075) ÷ 100`,
      cm2: (l: number, w: number, d: number) => {
        const p = 1.6075;
        const mean = (((l * w) / 4) ** p + ((l * d) / 2) ** p + ((w * d) / 2) ** p) / 3;
        return (2 * Math.PI * mean ** (1 / p)) / 100;
      },
    },
  }[shape];
  ledger.calc(
    'cavity.volume',
    'A cavity to the brim',
    'ml',
    sums.volume,
    sums.ml,
    `By its measures. ${words}`,
    { pin: { min: 1, max: 500 } },
  );
  ledger.calc(
    'cavity.wall',
    'Wall of a cavity',
    'cm²',
    sums.wall,
    sums.cm2,
    'What a shell lines: floor and sides.',
  );
  ledger.calc(
    'cavity.opening',
    'Opening of a cavity',
    'cm²',
    `${sums.opening} ÷ 100`,
    (l = 0, w = 0) => opening(l, w) / 100,
    'What the back plate closes.',
  );
  if (stickMl > 0) {
    ledger.given(
      'stick.volume',
      'Stick inside',
      'ml',
      stickMl,
      'geometry',
      'Room that the stick takes from the filling.',
    );
  }
}

/** Shell in two coats, back plate, drips, and what a piece takes of the chocolate. */
export function addShell(ledger: Figures, line: CakesicleLine, mould: MouldDoc): void {
  addCoatDensity(ledger);
  ledger.start(
    'shell.mm',
    'Shell, thick',
    'mm',
    { value: line.shellMm, spread: line.shellMm * COAT.thicknessSpread, basis: 'stated' },
    'Both coats together, as chosen; a brush does not lay it even.',
    { min: 0.3, max: 8 },
  );
  ledger.calc(
    'shell.volume',
    'Shell of a piece',
    'ml',
    '{cavity.wall} × {shell.mm} ÷ 10',
    (wall = 0, mm = 0) => (wall * mm) / 10,
    'Wall times thickness.',
  );
  ledger.calc(
    'back.volume',
    'Back plate of a piece',
    'ml',
    `{cavity.opening} × ${COAT.backMm} ÷ 10`,
    (opening = 0) => (opening * COAT.backMm) / 10,
    `The opening, {${COAT.backMm} mm} thick.`,
  );
  const [first, second] = COAT.shellCoats;
  for (const [id, label, share, sentence] of [
    ['shell.first', 'First coat', first, 'Brushed or poured all over, then set in the cold.'],
    [
      'shell.second',
      'Second coat',
      second,
      'On thin spots, rims and the stick’s slot: hold it to the light.',
    ],
  ] as const) {
    ledger.calc(
      id,
      `${label} of a piece`,
      'g',
      `{shell.volume} × {coat.density} × ${share}`,
      (ml = 0, density = 0) => ml * density * share,
      sentence,
    );
  }
  ledger.calc(
    'shell.back',
    'Back plate of a piece',
    'g',
    '{back.volume} × {coat.density}',
    (ml = 0, density = 0) => ml * density,
    'Spread over the filling and scraped level.',
  );
  ledger.total(
    'shell.taken',
    'Chocolate on a piece',
    'g',
    ['shell.first', 'shell.second', 'shell.back'],
    'Both coats and the back plate. Weigh an empty shell to know yours.',
    { min: 0.5, max: 300 },
  );
  addDripShare(ledger, 'Scrapings and film', 'What is scraped off the mould and clings to bowl and brush.');
  ledger.start(
    'patch.share',
    'Pieces to patch',
    'share',
    { value: PATCH.share, spread: PATCH.spread, basis: 'typical' },
    'Shells that crack or show a hole when they come out.',
    { min: 0, max: 1 },
  );
  ledger.calc(
    'shell.perPiece',
    'Chocolate that a piece takes from the pot',
    'g',
    '({shell.taken} + {patch.share} × {shell.second}) × (1 + {coat.dripShare})',
    (taken = 0, patch = 0, second_ = 0, drips = 0) => (taken + patch * second_) * (1 + drips),
    'With what is scraped off, and its share of the patching.',
  );
  const cavities = mould.cavities * mould.owned;
  ledger.given(
    'cavities.all',
    'Cavities in a round',
    'pieces',
    cavities,
    'counted',
    `${mould.owned} of "${mould.name}" with ${mould.cavities} each.`,
  );
  const pour = line.shellBy === 'pour';
  ledger.calc(
    'pour.round',
    pour ? 'Poured out again each round' : 'Poured out again',
    'g',
    pour
      ? '{cavities.all} × ({cavity.volume} × {coat.density} − {shell.first}), at least 0'
      : '0 × {cavities.all}',
    pour ? (all = 0, ml = 0, density = 0, first_ = 0) => all * Math.max(ml * density - first_, 0) : () => 0,
    pour
      ? 'The cavities are filled to the brim and emptied: all but the first coat comes back to the pot, and must be melted all the same.'
      : 'Brushed in, nothing has to be poured out.',
  );
}

/** Rounds of the mould. */
export function cavityLimit(
  ledger: Figures,
  line: CakesicleLine,
  mould: MouldDoc,
  cavities: number,
): Supplied {
  const rounds = line.maxRounds ?? Math.ceil(line.count / cavities);
  ledger.given(
    'rounds.allowed',
    line.maxRounds === null ? 'Rounds that the order needs' : 'Rounds at most',
    'loads',
    rounds,
    line.maxRounds === null ? 'counted' : 'stated',
    line.maxRounds === null ? 'No bound was set, so as many as the order needs.' : 'As chosen.',
  );
  ledger.calc(
    'count.cavities',
    'The cavities allow',
    'pieces',
    '{cavities.all} × {rounds.allowed}',
    (all = 0, n = 0) => all * n,
    `Cavities of "${mould.name}", times the rounds.`,
  );
  return { supply: 'cavities', figureId: 'count.cavities', words: 'cavities and rounds' };
}

/** What to melt, by kind, and what of it comes back. */
export function addMelts(ledger: Figures, line: CakesicleLine, lots: readonly CountedLot[]): Pot[] {
  ledger.calc(
    'shell.total',
    'Shells and back plates',
    'g',
    '{count.made} × {shell.taken}',
    (count = 0, each = 0) => count * each,
    'On all pieces.',
  );
  ledger.calc(
    'patch.needed',
    'For patching',
    'g',
    '{count.made} × {patch.share} × {shell.second}',
    (count = 0, share = 0, each = 0) => count * share * each,
    'Brushed over cracks, about as much as a second coat.',
  );
  const pots = potsOf(lots, line.kind);
  for (const { kind, p } of pots) {
    addPotCount(ledger, lots, line.kind, { kind, p }, 'All lots of this chocolate.');
    ledger.calc(
      `${p}melt`,
      `To melt, ${kind}`,
      'g',
      `{${p}count} × {shell.perPiece} + {pour.round}`,
      (count = 0, each = 0, poured = 0) => count * each + poured,
      'For the pieces, with scrapings and patching, and what must be in the mould to be poured out again.',
      { pin: { min: 0, max: 1_000_000 } },
    );
    addThinner(ledger, p, kind, line.thinnedShare);
  }
  return pots;
}
