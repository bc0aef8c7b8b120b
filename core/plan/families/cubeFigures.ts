import type { CoatChoice, CubeLine } from '../../model/documents';
import { FONDANT } from '../../process/frost.table';
import { cutSheet, type CutPlan } from '../../process/portion';
import { addBox } from '../links/coat';
import type { Supplied } from '../links/count';
import { addDipEach, addFinishEach, type FinishedEach } from '../links/each';
import { addMinutes } from '../links/minutes';
import type { RunContext } from '../lookup';
import type { Offer, Remainder } from '../remainder';
import type { Band } from './bands';
import { addSetting } from './pop';
import type { SequenceStep } from './sequence';
import { type Figures, gramsText } from '../figures';
import { CUBE_HANDS_S, WEIGH_MIN } from '../../process/hands.table';

/** The chain of a cut sheet, after its bowl. */
export const CUBE_BANDS: readonly Band[] = [
  ['cakes', 'Pieces of cake', 'crumb', 'cakes.total'],
  ['trimmings', 'Trimmings', 'left', 'trimmings'],
  ['frosting', 'Frosting', 'topping', 'frosting.needed'],
  ['coat', 'Coat on the pieces', 'coat', 'pot.1.coat'],
  ['finished', 'Pieces finished', 'dough', 'finished.total'],
];

/** The cuts, and what they leave of the sheet. */
export function addCuts(ledger: Figures, line: CubeLine, lengthMm: number, widthMm: number): CutPlan {
  const cuts = cutSheet(lengthMm, widthMm, line.columns, line.rows, line.trimMm, line.kerfMm);
  ledger.given('cut.trim', 'Trimmed off each edge', 'mm', line.trimMm, 'stated', 'As chosen.');
  ledger.given(
    'cut.kerf',
    'Lost at each cut',
    'mm',
    line.kerfMm,
    'stated',
    'The knife’s width and its crumbs, as chosen.',
  );
  for (const [id, label, from, n] of [
    ['piece.length', 'Piece, long', 'sheet.length', line.columns],
    ['piece.width', 'Piece, wide', 'sheet.width', line.rows],
  ] as const) {
    ledger.calc(
      id,
      label,
      'mm',
      `({${from}} − 2 × {cut.trim} − ${n - 1} × {cut.kerf}) ÷ ${n}`,
      (mm = 0, trim = 0, kerf = 0) => (mm - 2 * trim - (n - 1) * kerf) / n,
      'The trimmed sheet, less the cuts, parted evenly.',
    );
  }
  return cuts;
}

/** Pieces that the sheets give. */
export function cutLimit(ledger: Figures, perSheet: number): Supplied {
  ledger.given('cut.perSheet', 'Pieces of a sheet', 'pieces', perSheet, 'counted', 'Columns times rows.');
  ledger.calc(
    'count.pieces',
    'The sheets allow',
    'pieces',
    '{sheet.count} × {cut.perSheet}',
    (n = 0, each = 0) => n * each,
    'Pieces that can be cut.',
  );
  return { supply: 'pieces', figureId: 'count.pieces', words: 'the sheets as cut' };
}

/** What goes into, on and round one piece. */
export function cubeEach(ledger: Figures, run: RunContext, line: CubeLine): FinishedEach {
  ledger.calc(
    'piece.top',
    'Top of a piece, as a round one',
    'mm',
    '√(4 ÷ π × {piece.length} × {piece.width})',
    (l = 0, w = 0) => Math.sqrt((4 / Math.PI) * l * w),
    'The round top of the same area: what frosting is reckoned by.',
  );
  const { filling, frosting, lots, count } = line;
  const each = addFinishEach(ledger, {
    filling,
    frosting,
    topId: 'piece.top',
    cakeId: 'cake.mass',
    lots,
    count,
  });
  const pieceIds = [...each.pieceIds];
  const supplies = [...each.supplies];
  const solid = addBox(ledger, 'piece.length', 'piece.width', 'piece.height');
  if (line.fondant) {
    ledger.calc(
      'fondant.each',
      'Fondant on a piece',
      'g',
      `({piece.area} − {piece.length} × {piece.width} ÷ 100) × {${FONDANT.thicknessMm} mm} × {${FONDANT.density} g/ml} ÷ 10`,
      (area = 0, l = 0, w = 0) => ((area - (l * w) / 100) * FONDANT.thicknessMm * FONDANT.density) / 10,
      'Top and sides, not the base, {3 mm} thick at {1.4 g/ml}.',
    );
    pieceIds.push('fondant.each');
  }
  if (line.coat) {
    supplies.push(...addDipEach(ledger, run, line.coat, solid, typeof line.stickOnHand === 'number', lots));
    pieceIds.push('coat.taken');
  }
  return { pieceIds, supplies, bags: each.bags };
}

/** What the coat takes to set. */
export function addCubeWait(ledger: Figures, school: CoatChoice['school']): void {
  addSetting(
    ledger,
    'set.coat',
    school === 'frozen' ? 'coat on a frozen piece' : 'coat, room',
    'piece.mass',
    'Coat sets',
    'On a rack, over paper.',
  );
}

/** Pieces that can still be cut, frosted and dipped before the run must be ready. */
export function cubeMinutes(ledger: Figures, run: RunContext, line: CubeLine, mixMin: number): Supplied[] {
  const high = (id: string) => ledger.figure(id).high;
  const worked = Boolean(line.frosting) || Boolean(line.filling);
  return addMinutes(ledger, run, {
    fixedS:
      (mixMin + WEIGH_MIN) * 60 +
      high('bake.time') * ledger.value('loads.count') +
      high('cool.time') +
      (line.coat ? high('set.coat') : 0),
    roundS: CUBE_HANDS_S.cut + (worked ? CUBE_HANDS_S.frost : 0) + (line.coat ? CUBE_HANDS_S.dip : 0),
    pieces: 1,
    what: 'One piece in the hand',
  });
}

/** From the bowl to the coat, one after another. */
export function cubeSteps(ledger: Figures, line: CubeLine, mixMin: number, meaning: string): SequenceStep[] {
  const made = ledger.value('count.made');
  const hands = (id: string, label: string, seconds: number) => {
    ledger.given(id, label, 's', seconds, 'typical', 'Usual for a household kitchen.');
    return ledger.figure(id);
  };
  const steps: SequenceStep[] = [
    {
      id: 'mix',
      label: 'Weigh out and mix',
      detail: meaning,
      kind: 'hands',
      length: hands('day.mix', 'Weighing out and mixing', (mixMin + WEIGH_MIN) * 60),
    },
    {
      id: 'bake',
      label: 'Bake',
      detail: `First look ${Math.round(ledger.value('bake.firstLook') / 60)} min after it goes in.`,
      kind: 'oven',
      length: ledger.figure('bake.time'),
      times: ledger.value('loads.count'),
    },
    {
      id: 'cool',
      label: 'Cool',
      detail: 'In the tin, then chilled: a cold sheet cuts clean.',
      kind: 'wait',
      length: ledger.figure('cool.time'),
    },
    {
      id: 'cut',
      label: 'Trim and cut',
      detail: 'From the centre outwards.',
      kind: 'hands',
      length: hands('day.cut', 'Cutting', made * CUBE_HANDS_S.cut),
    },
  ];
  if (line.frosting || line.filling)
    steps.push({
      id: 'frost',
      label: 'Fill and frost',
      detail: 'A piece at a time.',
      kind: 'hands',
      length: hands('day.frost', 'Filling and frosting', made * CUBE_HANDS_S.frost),
    });
  if (line.coat) {
    steps.push(
      {
        id: 'dip',
        label: 'Dip',
        detail: 'A few at a time from the cold.',
        kind: 'hands',
        length: hands('day.dip', 'Dipping', made * CUBE_HANDS_S.dip),
      },
      {
        id: 'set',
        label: 'Coat sets',
        detail: 'On a rack, over paper.',
        kind: 'wait',
        length: ledger.figure('set.coat'),
      },
    );
  }
  return steps;
}

/** Pieces over or short, and trimmings. */
export function cubeRemainder(ledger: Figures, perSheet: number): Remainder {
  const made = ledger.value('count.made');
  const wanted = ledger.value('count.wanted');
  const spare = ledger.value('count.pieces') - made;
  const offers: Offer[] = [];
  if (made < wanted && made > 0) {
    offers.push({
      id: 'fewer',
      title: `Make ${made}`,
      detail: `${wanted - made} fewer than asked for.`,
      change: { count: made },
    });
  } else if (spare > 0 && spare < perSheet) {
    offers.push({
      id: 'more',
      title: `Make ${spare} more`,
      detail: 'They are cut from the same sheets.',
      change: { count: made + spare },
    });
  }
  const trimmings = ledger.value('trimmings');
  if (trimmings > 40) {
    offers.push({
      id: 'pops',
      title: 'Into pops',
      detail: `${gramsText(trimmings)} of trimmings: crumb for a small batch of pops.`,
      change: null,
    });
  }
  return { leftG: trimmings, shortPieces: wanted - made, shortG: 0, offers };
}
