import type { BinderChoice, CakesicleLine, KitchenDoc, Line } from '../model/documents';
import { plainFormulaId } from '../model/references';
import type { RunContext } from './context';
import type { BowlPart } from './stations/batch';
import type { Ref } from '../figure';
import { planBind } from '../process/bind';
import { meltingBursts, ratingFromTestW } from '../process/microwave';
import { narrowestFor } from '../model/vessel';
import { MICROWAVE } from '../process/microwave.table';
import { TEMPERING } from '../process/temper.table';
import { POP_HANDS_S } from '../process/hands.table';
import { wetLot } from '../process/set';
import type { Pot } from './emitted';
import { NOTES } from './notes.words';
import { kindOf, LEAST_BINDER_G, type DoughPart, type Table } from './stations/bind';
import type { CoatPart } from './stations/coat';
import type { ShellPart } from './stations/shell';

/** Steps of binder larger than this are spooned with a tablespoon, g. */
const SPOON_FROM_G = 10;

/** Where a bowl is parted before some of a formula goes in: what to take out first, and what to stir into the rest. */
export function splitNotes(run: RunContext, line: Line, bowl: BowlPart | null): string[] {
  if (!bowl) return [];
  const formulaId = plainFormulaId(line);
  if (bowl.split)
    return bowl.split.extras.length === 0
      ? []
      : [NOTES.stirredIn(bowl.split.extras.map(({ name, mass }) => ({ name, massG: mass.value })))];
  const others = run.formulas.filter(({ id }) => run.splitOf(id)?.base.doc.id === formulaId);
  if (others.length === 0 || !bowl.shared) return [];
  const names = others.flatMap(({ id }) => run.splitOf(id)?.extras.map(({ line: one }) => one.called) ?? []);
  return [NOTES.partedFirst(bowl.own.value, [...new Set(names)])];
}

/** How to bind: first addition, steps, when to stop, and the ways out. */
export function bindNotes(binder: BinderChoice, table: Table, dough: DoughPart): string[] {
  const { stepsG } = planBind({
    crumb: table.sources.map(({ part }, i) => ({ kind: kindOf(part), massG: dough.crumb[i]?.value ?? 0 })),
    alreadyG: dough.ownFrosting?.value ?? 0,
    binder: binder.kind,
    school: binder.school,
    learned: table.factor.value,
  });
  const spoons = stepsG.filter((g) => g > SPOON_FROM_G).length;
  return [
    NOTES.bound(binder.school, binder.kind),
    dough.need.value < LEAST_BINDER_G
      ? NOTES.noBinder
      : NOTES.addBinder(dough.first.value, spoons, stepsG.length - spoons),
    NOTES.wetOrDry,
  ];
}

/** What a microwave is rated at, W: as its water test amounts to, where somebody ran one. */
function ratedOf(kitchen: KitchenDoc): number {
  const [microwave] = kitchen.microwaves ?? [];
  if (!microwave) return MICROWAVE.usualW;
  return microwave.absorbedW === null ? microwave.ratedW : ratingFromTestW(microwave.absorbedW);
}

/** Melting in bursts, and how a real chocolate is tempered. */
function meltNotes(kitchen: KitchenDoc, { kind, chocolate }: Pot): string[] {
  const massG = Math.max(chocolate.value, 1);
  const bursts = meltingBursts(massG, kind, ratedOf(kitchen));
  if (kind === 'compound') return [NOTES.melt(kind, massG, bursts), NOTES.noTemper];
  const seedG = massG * TEMPERING.seedShare;
  return [
    NOTES.melt(kind, massG - seedG, bursts),
    NOTES.temper(kind, { seedG, meltC: bursts.ceilingC, ...TEMPERING.of[kind] }),
    NOTES.gentle(kind, massG, TEMPERING.gentleC[kind]),
  ];
}

/** How to melt, what the school asks for, and what a narrower vessel would save. */
export function coatNotes(kitchen: KitchenDoc, pots: readonly Pot[], coat: CoatPart): string[] {
  const { choice, depth, vesselAcross, density } = coat;
  const notes = [NOTES.dipped(choice.school), ...pots.flatMap((pot) => meltNotes(kitchen, pot))];
  if (pots.some(({ spooned }) => spooned)) notes.push(NOTES.spooned);
  if (choice.thinnedShare > 0) notes.push(NOTES.thin);
  notes.push(...[...new Set(pots.map(({ kind }) => kind))].map((kind) => NOTES.lots(kind)));
  const wide = vesselAcross.value;
  const narrower = narrowestFor(kitchen.vessels ?? [], depth.value);
  if (narrower && narrower.diameterMm < wide && pots.some(({ spooned }) => !spooned)) {
    const savesMl = ((Math.PI / 4) * (wide ** 2 - narrower.diameterMm ** 2) * depth.value) / 1000;
    notes.push(NOTES.narrower(narrower.name, savesMl * density.value));
  }
  return notes;
}

/** How many to dip before the first gets its topping. */
export const garnishNote = (sets: Ref<'s'>): string =>
  NOTES.garnish(
    wetLot(
      { value: sets.value / 60, low: sets.low / 60, high: sets.high / 60 },
      POP_HANDS_S.dip + POP_HANDS_S.garnish,
    ),
  );

export const shellNotes = (
  kitchen: KitchenDoc,
  line: CakesicleLine,
  pots: readonly Pot[],
  shell: ShellPart,
): string[] => [
  ...pots.flatMap((pot) => meltNotes(kitchen, pot)),
  NOTES.shells(shell.first.value, shell.second.value, shell.back.value),
  line.shellBy === 'pour' ? NOTES.poured(shell.poured.value) : NOTES.brushed,
  NOTES.patch,
];
