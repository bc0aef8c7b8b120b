import type { AddIn, BinderChoice, CrumbPart, PortionSize } from '../../model/documents';
import {
  BINDER_FACTOR,
  BIND_MODEL,
  BIND_SCHOOLS,
  CRUMB_FACTOR,
  DOUGH_DENSITY,
  FROSTING_SHARE_SPREAD,
  SCRAPED_KEEPS,
} from '../../process/bind.table';
import { HAND_LOSS, scoopMl } from '../../process/portion';
import { type Figures, toScale } from '../figures';

/** Parts whose crumb has to be baked first, with the number that they bear in figures' ids. */
export type BakedPart = Extract<CrumbPart, { from: 'bake' | 'microwave' }>;
export const isBaked = (part: CrumbPart): part is BakedPart =>
  part.from === 'bake' || part.from === 'microwave';
export const kindOf = (part: CrumbPart) => (part.from === 'biscuit' ? 'biscuit' : part.crumb);

export interface DoughLine {
  readonly crumb: readonly CrumbPart[];
  readonly addIns: readonly AddIn[];
  readonly binder: BinderChoice;
}

/** Density of the dough, and what one portion weighs. */
export function addDoughDensity(ledger: Figures, line: DoughLine): void {
  const bakedAt = line.crumb.some((part) => part.from !== 'biscuit');
  const kind = bakedAt ? 'baked' : 'no-bake';
  ledger.start(
    'dough.density',
    'Dough density',
    'g/ml',
    DOUGH_DENSITY[kind],
    `Usual for ${bakedAt ? 'crumb of cake' : 'a no-bake mix'} pressed together.`,
    { min: 0.6, max: 1.6 },
  );
  ledger.start(
    'hand.lossShare',
    'Left on hands and bench',
    'share',
    { ...HAND_LOSS, basis: 'typical' },
    'What sticks while it is portioned and rolled.',
    { min: 0, max: 0.2 },
  );
}

/** A portion by its diameter, by a scoop's number or by its grams. */
export function addPortion(ledger: Figures, size: PortionSize, stepG: number): void {
  const decided = { decide: toScale(stepG), pin: { min: 1, max: 2000 } };
  const sentence = 'What to weigh for each, to the step of the scale.';
  switch (size.by) {
    case 'diameter':
      ledger.given('size.diameter', 'Ball wanted, across', 'mm', size.mm, 'stated', 'As chosen.');
      ledger.calc(
        'portion.mass',
        'Dough in a portion',
        'g',
        'π × {size.diameter}³ ÷ 6000 × {dough.density}, rounded',
        (d = 0, density = 0) => ((Math.PI * d ** 3) / 6000) * density,
        `The ball of that width. ${sentence}`,
        decided,
      );
      return;
    case 'scoop':
      ledger.given(
        'size.scoop',
        `Scoop ${size.number}, level`,
        'ml',
        scoopMl(size.number),
        'geometry',
        'So many level scoops of that number make a quart of {946 ml}.',
      );
      ledger.calc(
        'portion.mass',
        'Dough in a portion',
        'g',
        '{size.scoop} × {dough.density}, rounded',
        (ml = 0, density = 0) => ml * density,
        `A level scoop of dough. ${sentence}`,
        decided,
      );
      return;
    case 'mass':
      ledger.given('size.mass', 'Portion, as chosen', 'g', size.massG, 'stated', 'As chosen.');
      ledger.calc('portion.mass', 'Dough in a portion', 'g', '{size.mass}', (g = 0) => g, sentence, {
        decide: { step: 0, how: 'nearest' },
        pin: { min: 1, max: 2000 },
      });
  }
}

/** How much binder a gram of moist crumb takes, and what is on the table before anything is baked. */
export function addOnTheTable(ledger: Figures, { crumb, addIns, binder }: DoughLine): void {
  const school = BIND_SCHOOLS[binder.school];
  ledger.given(
    'binder.school',
    `Bound ${school.name}`,
    'share',
    school.share,
    'typical',
    `${school.meaning} Grams of buttercream to a gram of moist crumb.`,
  );
  ledger.given(
    'binder.kind',
    `${binder.kind} against buttercream`,
    'times',
    BINDER_FACTOR[binder.kind],
    'typical',
    'How much of it does the work of a gram of buttercream.',
  );
  ledger.start(
    'bind.factor',
    'This crumb against the usual',
    'times',
    BIND_MODEL,
    'Crumbs differ by a third. What was really added at the last batch, over what was reckoned, is yours.',
    { min: 0.2, max: 4 },
  );
  ledger.calc(
    'binder.share',
    'Binder to a gram of moist crumb',
    'share',
    '{binder.school} × {binder.kind} × {bind.factor}',
    (s = 0, kind = 0, factor = 0) => s * kind * factor,
    'The school’s share, for this binder and this kitchen’s crumb.',
  );
  crumb.forEach((part, i) => {
    const kind = kindOf(part);
    ledger.given(
      `crumb.${i + 1}.thirst`,
      `Thirst of ${kind} crumb`,
      'times',
      CRUMB_FACTOR[kind],
      'typical',
      'Against crumb of an average moist cake: dry crumb drinks more binder.',
    );
    if (!isBaked(part)) addStanding(ledger, part, `crumb.${i + 1}`);
  });
  addIns.forEach(({ what, massG, wet }, i) =>
    ledger.given(
      `addin.${i + 1}`,
      what,
      'g',
      massG,
      'stated',
      wet ? 'It wets the crumb and stands in for binder.' : 'It is dry and drinks binder as biscuit does.',
      { min: 0, max: 20_000 },
    ),
  );
}

/** Crumb that is there already: leftovers with their frosting, trimmings, biscuit. */
function addStanding(ledger: Figures, part: Exclude<CrumbPart, BakedPart>, id: string): void {
  if (part.from !== 'leftovers') {
    ledger.given(
      id,
      part.from === 'biscuit' ? 'Biscuit, crushed' : 'Trimmings, crumbled',
      'g',
      part.massG,
      'stated',
      'Weighed, or as stated for this run.',
      { min: 0, max: 100_000 },
    );
    return;
  }
  ledger.given(`${id}.cake`, 'Leftover cake', 'g', part.massG, 'stated', 'With its frosting, as it stands.', {
    min: 1,
    max: 100_000,
  });
  ledger.start(
    `${id}.frostingShare`,
    'Frosting on it',
    'share',
    {
      value: part.frostingShare,
      spread: part.frostingShare * FROSTING_SHARE_SPREAD,
      basis: 'stated',
    },
    'Judged by eye. Scrape one piece and weigh both to know better.',
    { min: 0, max: 0.9 },
  );
  ledger.calc(
    id,
    'Crumb of leftover cake',
    'g',
    `{${id}.cake} × (1 − {${id}.frostingShare})`,
    (cake = 0, share = 0) => cake * (1 - share),
    'The cake without its frosting.',
    { pin: { min: 0, max: ledger.value(`${id}.cake`) } },
  );
  const keeps = part.scraped ? SCRAPED_KEEPS : 1;
  ledger.calc(
    `${id}.frosting`,
    'Frosting that stays in the crumb',
    'g',
    keeps === 1 ? `{${id}.cake} × {${id}.frostingShare}` : `{${id}.cake} × {${id}.frostingShare} × ${keeps}`,
    (cake = 0, share = 0) => cake * share * keeps,
    keeps === 1
      ? 'All of it goes in and binds.'
      : 'Half is scraped off first, as a rule: more makes a paste.',
    { pin: { min: 0, max: ledger.value(`${id}.cake`) } },
  );
}

/** Dough for all pieces wanted. */
export function addDoughNeeded(ledger: Figures): void {
  ledger.calc(
    'dough.needed',
    'Dough needed',
    'g',
    '{count.wanted} × {portion.mass} ÷ (1 − {hand.lossShare})',
    (count = 0, portion = 0, lost = 0) => (count * portion) / (1 - lost),
    'For every piece, and what stays on hands and bench.',
  );
}
