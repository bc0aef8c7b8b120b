import type { KitchenDoc, MugLine } from '../../model/documents';
import type { MethodDef } from '../../process/batter.table';
import { microwaveTime } from '../../process/microwave';
import { MICROWAVE } from '../../process/microwave.table';
import type { Fault } from '../../quantity';
import type { Remainder } from '../remainder';
import type { Band } from './bands';
import { type Figures, gramsText, toScale } from '../figures';
import { addScoops } from '../links/scoops';

/** The chain of a mug cake, after its bowl. */
export const MUG_BANDS: readonly Band[] = [
  ['over', 'Batter left over', 'left', 'batter.left'],
  ['mugs', 'Batter in mugs', 'batter', 'portions.total'],
  ['cakes', 'Cakes', 'crumb', 'cakes.total'],
];

/** What goes into a mug, and how full it gets. */
export function addMugPortion(
  ledger: Figures,
  { fill }: MugLine,
  kitchen: KitchenDoc,
  method: MethodDef,
): void {
  const more = { decide: toScale(kitchen.scaleStepG), pin: { min: 1, max: 3000 } };
  if (fill.by === 'share') {
    ledger.given(
      'fill.rule',
      'Filled',
      'share',
      fill.share,
      'stated',
      'The share of the mug, as chosen. Half is the most: it doubles.',
    );
    ledger.calc(
      'portion.mass',
      'Batter in a mug',
      'g',
      '{fill.rule} × {mug.volume} × {batter.density}, rounded',
      (share = 0, ml = 0, density = 0) => share * ml * density,
      'What to weigh into each, to the step of the scale.',
      more,
    );
  } else {
    ledger.given('portion.stated', 'Batter in a mug, as chosen', 'g', fill.massG, 'stated', 'As chosen.');
    ledger.calc(
      'portion.mass',
      'Batter in a mug',
      'g',
      '{portion.stated}',
      (g = 0) => g,
      'What to weigh into each, as chosen.',
      { ...more, decide: { step: 0, how: 'nearest' } },
    );
  }
  addScoops(ledger, kitchen, 'a mug', method);
  ledger.calc(
    'fill.share',
    'Filled',
    'share',
    '{portion.mass} ÷ ({mug.volume} × {batter.density})',
    (portion = 0, ml = 1, density = 1) => portion / (ml * density),
    'The share of the mug that the batter takes up.',
  );
  ledger.calc(
    'finish.share',
    'Cake against the mug',
    'share',
    '{portion.mass} × (1 − {bake.lossShare}) ÷ ({cake.density} × {mug.volume})',
    (portion = 0, lost = 0, density = 1, ml = 1) => (portion * (1 - lost)) / (density * ml),
    'Once risen; it stands higher still while it cooks, and sinks back.',
  );
}

/** Batter over or short. */
export function mugRemainder(ledger: Figures): Remainder {
  const made = ledger.value('count.made');
  const wanted = ledger.value('count.wanted');
  const leftG = ledger.value('batter.left');
  const portion = ledger.value('portion.mass');
  const shortPieces = wanted - made;
  const shortG = Math.max(wanted * portion - ledger.value('batter.ready'), 0);
  if (shortPieces > 0) {
    return {
      leftG,
      shortPieces,
      shortG,
      offers:
        made > 0
          ? [
              {
                id: 'fewer',
                title: `Make ${made}`,
                detail: `${shortPieces} fewer than asked for.`,
                change: { count: made },
              },
            ]
          : [],
    };
  }
  const offers =
    leftG > 0.3 * portion
      ? [
          {
            id: 'one-more',
            title: 'One more, smaller',
            detail: `${gramsText(leftG)} in another mug. It is done sooner: look after half the time.`,
            change: null,
          },
        ]
      : [];
  return { leftG, shortPieces, shortG: 0, offers };
}

/** What is likely to go wrong. */
export function mugWarnings(ledger: Figures, line: MugLine, groups: readonly number[]): Fault[] {
  const out: Fault[] = [];
  const share = ledger.value('fill.share');
  if (share > MICROWAVE.mugFullest + 0.02) {
    out.push({
      fault: `The mugs are ${Math.round(share * 100)} % full: it is likely to climb over the rim.`,
      mend: 'Fill them to half at most, or take larger mugs and stand them on a plate.',
    });
  }
  if (ledger.value('micro.time') > 600) {
    out.push({
      fault: 'That is long for a microwave: the rim dries before the middle is done.',
      mend: 'Turn fewer at once, or use full power.',
    });
  }
  if (new Set(groups).size > 1) {
    out.push({
      fault: `The groups are ${groups.join(' and ')}: the smaller one is done sooner.`,
      mend: 'Look at it earlier, by its share of the grams.',
    });
  }
  if (line.setting < 0.5) {
    out.push({
      fault: 'At a low setting most ovens switch on and off: it rises and falls in turns.',
      mend: 'Half power or more makes a more even crumb.',
    });
  }
  return out;
}

/** What helps. */
export function mugNotes(
  ledger: Figures,
  line: MugLine,
  groups: readonly number[],
  ratedW: number,
  absorbedW: number | null,
): string[] {
  const group = groups[0] ?? 1;
  const alone = microwaveTime({
    massG: ledger.value('portion.mass'),
    count: 1,
    ratedW,
    absorbedW,
    setting: line.setting,
    startC: ledger.value('micro.start'),
  });
  return [
    ...(group > 1
      ? [
          `One alone would take about ${Math.round(alone.timeS)} s; ${group} together take about ${Math.round(ledger.value('micro.time'))} s.`,
        ]
      : []),
    'A thick mug and the side with the handle heat late: turn it half-way.',
  ];
}
