import type { CrumbPart } from '../../model/documents';
import { planBind } from '../../process/bind';
import { ADD_IN, BIND_SCHOOLS, FIRST_ADDITION } from '../../process/bind.table';
import { supplied, type Supplied } from './count';
import { isBaked, kindOf, type DoughLine } from './dough';
import { type Figures, gramsText } from '../figures';

/** Less binder than this is none, g. */
const LEAST_BINDER_G = 1;

interface DoughIds {
  readonly standing: readonly string[];
  readonly frosting: readonly string[];
  readonly dry: readonly string[];
  readonly wet: readonly string[];
}

const numbered = (items: readonly unknown[], keep: (i: number) => boolean, id: string) =>
  items.flatMap((_, i) => (keep(i) ? [`${id}.${i + 1}`] : []));

function idsOf({ crumb, addIns }: DoughLine): DoughIds {
  return {
    standing: numbered(crumb, (i) => !isBaked(crumb[i] as CrumbPart), 'crumb'),
    frosting: crumb.flatMap((part, i) => (part.from === 'leftovers' ? [`crumb.${i + 1}.frosting`] : [])),
    dry: numbered(addIns, (i) => addIns[i]?.wet === false, 'addin'),
    wet: numbered(addIns, (i) => addIns[i]?.wet === true, 'addin'),
  };
}

/** Signed terms of binder that given crumb takes: thirst drinks, frosting and liquor give. */
function binderSum(
  line: DoughLine,
  crumbIds: readonly string[],
): { sum: string; f: (v: readonly number[]) => number; from: string[] } {
  const { frosting, dry, wet } = idsOf(line);
  const from: string[] = ['binder.share'];
  const drinks: string[] = [];
  crumbIds.forEach((id) => {
    from.push(id, `${id}.thirst`);
    drinks.push(`{${id}} × {${id}.thirst}`);
  });
  dry.forEach((id) => {
    from.push(id);
    drinks.push(`{${id}} × ${ADD_IN.dryFactor}`);
  });
  const gives = [...frosting.map((id) => `{${id}} × {binder.kind}`), ...wet.map((id) => `{${id}}`)];
  if (frosting.length > 0) from.push('binder.kind');
  from.push(...frosting, ...wet);
  const [nCrumb, nDry, nFrosting, nWet] = [crumbIds.length, dry.length, frosting.length, wet.length];
  return {
    from,
    sum: `{binder.share} × (${drinks.length > 0 ? drinks.join(' + ') : '0'})${gives.map((one) => ` − ${one}`).join('')}`,
    f: (v) => {
      let at = 1;
      let thirst = 0;
      for (let i = 0; i < nCrumb; i += 1, at += 2) thirst += (v[at] as number) * (v[at + 1] as number);
      for (let i = 0; i < nDry; i += 1, at += 1) thirst += (v[at] as number) * ADD_IN.dryFactor;
      let out = (v[0] as number) * thirst;
      if (nFrosting > 0) {
        const kind = v[at] as number;
        at += 1;
        for (let i = 0; i < nFrosting; i += 1, at += 1) out -= (v[at] as number) * kind;
      }
      for (let i = 0; i < nWet; i += 1, at += 1) out -= v[at] as number;
      return out;
    },
  };
}

/**
 * Crumb that has to be baked for a dough of so much: what the crumb on the table, its frosting, the add-ins and the
 * binder that all of it takes leave open. `x · (1 + share · thirst) = dough − standing − its binder`.
 * Returns the figure of one baked part's crumb; several share the need alike.
 */
export function addCrumbNeeded(ledger: Figures, line: DoughLine, neededId: string): string | null {
  const { standing, frosting, dry, wet } = idsOf(line);
  const { crumb } = line;
  const baked = crumb.flatMap((part, i) => (isBaked(part) ? [`crumb.${i + 1}`] : []));
  if (baked.length === 0) return null;
  const fixed = binderSum(line, standing);
  ledger.listed(
    'binder.fixed',
    'Binder for what is on the table',
    'g',
    fixed.from,
    fixed.f,
    'What it drinks, less what its frosting and liquor give; below zero where it brings more than it takes.',
    fixed.sum,
  );
  const there = [...standing, ...frosting, ...dry, ...wet];
  const first = baked[0] as string;
  const n = baked.length;
  const taken = there.length > 0 ? ` − ${there.map((id) => `{${id}}`).join(' − ')}` : '';
  const count = there.length;
  ledger.listed(
    'crumb.needed',
    'Crumb to bake',
    'g',
    [neededId, ...there, 'binder.fixed', 'binder.share', `${first}.thirst`],
    (v) => {
      let open = v[0] as number;
      for (let i = 1; i <= count + 1; i += 1) open -= v[i] as number;
      return Math.max(open, 0) / (1 + (v[count + 2] as number) * (v[count + 3] as number)) / n;
    },
    n === 1
      ? 'The dough wanted, less all that is there, leaving room for the binder that the new crumb takes.'
      : 'The dough wanted, less all that is there, leaving room for binder; the bakes share it alike.',
    `({${neededId}}${taken} − {binder.fixed}) ÷ (1 + {binder.share} × {${first}.thirst})${n === 1 ? '' : ` ÷ ${n}`}, at least 0`,
  );
  return 'crumb.needed';
}

/** Crumb of all parts, the binder it takes, and the dough that comes of it. */
export function addDough(ledger: Figures, line: DoughLine): Supplied[] {
  const { frosting, dry, wet } = idsOf(line);
  const crumbIds = line.crumb.map((_, i) => `crumb.${i + 1}`);
  ledger.total('crumb.total', 'Crumb in the bowl', 'g', crumbIds, 'From all that it comes from.');
  if (frosting.length > 0)
    ledger.total('frosting.own', 'Frosting that came with it', 'g', frosting, 'It binds as well.');
  const need = binderSum(line, crumbIds);
  ledger.listed(
    'binder.need',
    'Binder needed',
    'g',
    need.from,
    (v) => Math.max(need.f(v), 0),
    'An estimate, and a third off either way: add the first part, then stop by the squeeze, not by the figure.',
    `${need.sum}, at least 0`,
  );
  ledger.calc(
    'binder.first',
    'First addition',
    'g',
    `{binder.need} × ${FIRST_ADDITION}, to the gram`,
    (g = 0) => g * FIRST_ADDITION,
    'Three fifths of it cannot be too much. Then a spoonful at a time.',
    { decide: { step: 1, how: 'down' } },
  );
  ledger.calc(
    'binder.added',
    'Binder added',
    'g',
    '{binder.need}',
    (g = 0) => g,
    'As reckoned, until somebody says what really went in.',
    { pin: { min: 0, max: 100_000 } },
  );
  ledger.total(
    'dough.total',
    'Dough in the bowl',
    'g',
    [...crumbIds, ...frosting, ...dry, ...wet, 'binder.added'],
    'All that is in it. Weigh the full bowl, less the empty one, and the plan goes on from there.',
    { min: 1, max: 1_000_000 },
  );
  ledger.calc(
    'dough.lost',
    'Left on hands and bench',
    'g',
    '{dough.total} × {hand.lossShare}',
    (dough = 0, lost = 0) => dough * lost,
    'Scraped together, it makes one to taste.',
  );
  ledger.calc(
    'dough.ready',
    'Dough to portion',
    'g',
    '{dough.total} − {dough.lost}',
    (dough = 0, lost = 0) => dough - lost,
    'What becomes portions.',
  );
  ledger.calc(
    'count.dough',
    'The dough allows',
    'pieces',
    '{dough.ready} ÷ {portion.mass}, whole ones',
    (ready = 0, portion = 1) => ready / portion,
    'As many whole portions as it makes.',
    { whole: 'floor' },
  );
  ledger.calc(
    'binder.each',
    'Binder in a portion',
    'g',
    '{binder.need} × {portion.mass} ÷ {dough.ready}, at least 0.001',
    (need_ = 0, portion = 0, ready = 1) => Math.max((need_ * portion) / ready, 0.001),
    'What a piece takes of the binder, losses and all.',
  );
  return [
    { supply: 'dough', figureId: 'count.dough', words: 'the dough' },
    // Crumb that brings its own binder is not limited by what stands beside it.
    ...(ledger.value('binder.need') < LEAST_BINDER_G
      ? []
      : supplied(ledger, 'binder', 'Binder', line.binder.onHandG, { figureId: 'binder.each' }, 'the binder')),
  ];
}

/** How to bind: first addition, steps, when to stop, and the ways out. */
export function bindNotes(ledger: Figures, line: DoughLine): string[] {
  const { binder } = line;
  const plan = planBind({
    crumb: line.crumb.map((part, i) => ({ kind: kindOf(part), massG: ledger.value(`crumb.${i + 1}`) })),
    alreadyG: ledger.has('frosting.own') ? ledger.value('frosting.own') : 0,
    binder: binder.kind,
    school: binder.school,
    learned: ledger.value('bind.factor'),
  });
  const spoons = plan.stepsG.filter((g) => g > 10).length;
  const small = plan.stepsG.length - spoons;
  const steps = [
    spoons > 0 ? `${spoons} by the tablespoon ({15 g})` : '',
    small > 0 ? `${small} by the teaspoon ({5 g})` : '',
  ].filter(Boolean);
  return [
    `Bound ${BIND_SCHOOLS[binder.school].name}, with ${binder.kind}. ${BIND_SCHOOLS[binder.school].meaning}`,
    ledger.value('binder.need') < LEAST_BINDER_G
      ? 'The crumb brings all the binder it takes: squeeze it before anything is added.'
      : `Add ${gramsText(ledger.value('binder.first'))} first, then at most ${steps.join(' and ') || 'a little more'}. Stop as soon as a squeezed handful holds, no crumbs fall and the palm does not shine.`,
    'Too wet: crumb, or biscuit crumb, or half an hour in the fridge. Too dry: the next spoonful.',
  ];
}
