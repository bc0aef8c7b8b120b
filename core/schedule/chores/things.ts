import type { KitchenDoc } from '../../model/documents';
import type { JobResource } from '../solver';
import { thingKey, type Thing } from './chore';
import { OVEN_CHANGES_S, OVEN_WARMS_S } from './chores.table';

/** What a kitchen has where nobody has said otherwise. Basis: one person, two bowls, one mixer, somewhere to put a tray. */
const USUAL = { hands: 1, bowls: 2, mixers: 1 } as const;

/** How many there are of a thing; null where nobody has counted and it limits nothing. */
export function unitsOf(kitchen: KitchenDoc, thing: Thing): number | null {
  const by = <T extends { readonly id: string }>(list: readonly T[] | undefined, id: string) =>
    list?.find((one) => one.id === id);
  switch (thing.kind) {
    case 'hands':
      return kitchen.hands ?? USUAL.hands;
    case 'oven': {
      const oven = by(kitchen.ovens, thing.id);
      return oven ? oven.racks * oven.tinsPerRack : 0;
    }
    case 'microwave':
      return by(kitchen.microwaves, thing.id) ? 1 : 0;
    case 'tin':
      return by(kitchen.tins, thing.id)?.owned ?? 0;
    case 'sheet':
      return by(kitchen.sheets, thing.id)?.owned ?? 0;
    case 'mould':
      return by(kitchen.moulds, thing.id)?.owned ?? 0;
    case 'mug':
      return by(kitchen.mugs, thing.id)?.owned ?? 0;
    case 'vessel':
      return 1;
    case 'bowl': {
      const bowls = kitchen.bowls ?? [];
      return bowls.length > 0 ? bowls.reduce((sum, { owned }) => sum + owned, 0) : USUAL.bowls;
    }
    case 'mixer': {
      const { mixers = USUAL.mixers } = kitchen;
      // Where all is beaten by hand, hands are what there is too little of.
      return mixers === 0 ? null : mixers;
    }
    case 'fridge':
      return kitchen.fridgeTrays ?? null;
    case 'freezer':
      return kitchen.freezerTrays ?? null;
    case 'bench':
      return kitchen.benchTrays ?? null;
  }
}

/** A thing in a kitchen's words. */
export function thingName(kitchen: KitchenDoc, thing: Thing): string {
  const named = (list: readonly { readonly id: string; readonly name: string }[] | undefined, id: string) =>
    list?.find((one) => one.id === id)?.name ?? id;
  switch (thing.kind) {
    case 'hands':
      return 'Hands';
    case 'oven':
      return named(kitchen.ovens, thing.id);
    case 'microwave':
      return named(kitchen.microwaves, thing.id);
    case 'tin':
      return named(kitchen.tins, thing.id);
    case 'sheet':
      return named(kitchen.sheets, thing.id);
    case 'mould':
      return named(kitchen.moulds, thing.id);
    case 'mug':
      return named(kitchen.mugs, thing.id);
    case 'vessel':
      return named(kitchen.vessels, thing.id);
    case 'bowl':
      return 'Bowls';
    case 'mixer':
      return 'Mixer';
    case 'fridge':
      return 'Fridge';
    case 'freezer':
      return 'Freezer';
    case 'bench':
      return 'Bench room';
  }
}

/** A thing as the solver has it. */
export const resourceOf = (
  thing: Thing,
  units: number,
  closed: readonly (readonly [number, number])[],
): JobResource => ({
  id: thingKey(thing),
  units,
  changeS: thing.kind === 'oven' ? OVEN_CHANGES_S : 0,
  closed: closedOf(thing, closed),
});

/** Nobody works at night, and nobody leaves an oven on alone: it is turned on when somebody is up again. */
function closedOf({ kind }: Thing, nights: readonly (readonly [number, number])[]): JobResource['closed'] {
  if (kind === 'oven') return nights.map(([from, until]) => [from, until + OVEN_WARMS_S] as const);
  return kind === 'hands' || kind === 'microwave' ? nights : [];
}
