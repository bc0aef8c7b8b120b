import type { BinderChoice, CakesicleLine, KitchenDoc } from '../model/documents';
import type { ChocolateKind } from '../model/kinds';
import type { Ref } from '../figure';
import { planBind } from '../process/bind';
import { meltingBursts } from '../process/microwave';
import { MICROWAVE } from '../process/microwave.table';
import { POP_HANDS_S } from '../process/hands.table';
import { wetLot } from '../process/set';
import type { Pot } from './emitted';
import { NOTES } from './notes.words';
import { kindOf, LEAST_BINDER_G, type DoughPart, type Table } from './stations/bind';
import type { CoatPart } from './stations/coat';
import type { ShellPart } from './stations/shell';

/** Steps of binder larger than this are spooned with a tablespoon, g. */
const SPOON_FROM_G = 10;

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

/** Melting in bursts, and the temperatures of its kind. */
export function meltNote(kitchen: KitchenDoc, kind: ChocolateKind, massG: number): string {
  const ratedW = kitchen.microwaves?.[0]?.ratedW ?? MICROWAVE.usualW;
  return NOTES.melt(kind, massG, meltingBursts(Math.max(massG, 1), kind, ratedW));
}

/** A vessel narrower than this share of the working depth holds no piece. */
const NARROWEST = 0.9;

/** How to melt, what the school asks for, and what a narrower vessel would save. */
export function coatNotes(kitchen: KitchenDoc, pots: readonly Pot[], coat: CoatPart): string[] {
  const { choice, depth, vesselAcross, density } = coat;
  const notes = [
    NOTES.dipped(choice.school),
    ...pots.map(({ kind, melt }) => meltNote(kitchen, kind, melt.value)),
  ];
  if (choice.thinnedShare > 0) notes.push(NOTES.thin);
  notes.push(NOTES.lots);
  const wide = vesselAcross.value;
  const [narrower] = (kitchen.vessels ?? [])
    .filter(
      ({ diameterMm, depthMm }) =>
        diameterMm < wide && depthMm >= depth.value && diameterMm > depth.value * NARROWEST,
    )
    .sort((a, b) => a.diameterMm - b.diameterMm);
  if (narrower) {
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
  ...pots.map(({ kind, melt }) => meltNote(kitchen, kind, melt.value)),
  NOTES.shells(shell.first.value, shell.second.value, shell.back.value),
  line.shellBy === 'pour' ? NOTES.poured(shell.poured.value) : NOTES.brushed,
  NOTES.patch,
];
