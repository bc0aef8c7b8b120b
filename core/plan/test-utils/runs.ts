import fc from 'fast-check';
import { DEMO_FORMULAS, DEMO_KITCHEN } from '../../../demo';
import { FAMILY_FORMULAS } from '../../../demo/familyFormulas';
import { kitchenSchema, runSchema, type FormulaDoc, type KitchenDoc } from '../../model/documents';
import { lineSchema, type Line } from '../../model/lines';
import { fromSchema } from '../../model/test-utils/fromSchema';
import type { PlanFile } from '../context';

const FORMULAS: readonly FormulaDoc[] = [...DEMO_FORMULAS, ...FAMILY_FORMULAS];
const idsThat = (fits: (doc: FormulaDoc) => boolean): string[] => FORMULAS.filter(fits).map(({ id }) => id);

const text = fc.constantFrom('oats', 'cocoa', 'plum jam', 'brandy', 'hazelnuts', 'lemon glaze');
const ids = (list: readonly { readonly id: string }[] | undefined) =>
  fc.constantFrom(...(list ?? []).map(({ id }) => id));

/** A kitchen of whatever things the schema lets through, each with an id of its own. */
export const someKitchen: fc.Arbitrary<KitchenDoc> = fromSchema(kitchenSchema, {
  beliefs: fc.constant([]),
  stated: fc.constant(undefined),
  ownMeasures: fc.constant(undefined),
  // What is put away is no matter of a plan, and its days are no texts that chance would ever write.
  kept: fc.constant(undefined),
}).map((made) => {
  const kitchen = made as KitchenDoc;
  const filled = <T extends { readonly id: string }>(
    kind: string,
    list: readonly T[] | undefined,
    own: readonly T[] | undefined,
  ) => (list && list.length > 0 ? list : (own ?? [])).map((thing, i) => ({ ...thing, id: `${kind}-${i}` }));
  return {
    ...kitchen,
    tins: filled('tin', kitchen.tins, DEMO_KITCHEN.tins),
    ovens: filled('oven', kitchen.ovens, DEMO_KITCHEN.ovens),
    sheets: filled('sheet', kitchen.sheets, DEMO_KITCHEN.sheets),
    moulds: filled('mould', kitchen.moulds, DEMO_KITCHEN.moulds),
    mugs: filled('mug', kitchen.mugs, DEMO_KITCHEN.mugs),
    microwaves: filled('microwave', kitchen.microwaves, DEMO_KITCHEN.microwaves),
    vessels: filled('vessel', kitchen.vessels, DEMO_KITCHEN.vessels),
    scoops: filled('scoop', kitchen.scoops, DEMO_KITCHEN.scoops),
    bowls: filled('bowl', kitchen.bowls, DEMO_KITCHEN.bowls),
  };
});

/** Lines of every family that fit the schema, on things that the kitchen has. */
export function someLines(kitchen: KitchenDoc): fc.Arbitrary<Line[]> {
  const batter = fc.constantFrom(...idsThat(({ makes }) => makes === undefined || makes === 'batter'));
  const other = fc.option(
    fc.constantFrom(...idsThat(({ makes }) => makes !== undefined && makes !== 'batter')),
    { nil: null },
  );
  const line = fromSchema(lineSchema, {
    measured: fc.constant({}),
    ticks: fc.constant([]),
    what: text,
    tinId: ids(kitchen.tins),
    ovenId: ids(kitchen.ovens),
    sheetId: ids(kitchen.sheets),
    mouldId: ids(kitchen.moulds),
    mugId: ids(kitchen.mugs),
    microwaveId: ids(kitchen.microwaves),
    vesselId: ids(kitchen.vessels),
    coatFormulaId: other,
    formulaId: fc.oneof(
      batter,
      other.filter((id) => id !== null),
    ),
  }) as fc.Arbitrary<Line>;
  return fc
    .array(line, { minLength: 1, maxLength: 3 })
    .map((lines) => lines.map((one, i) => ({ ...one, id: `line-${i}`, ...lotsThatFit(one) })));
}

/** Lots that promise more than the line has are a fault that is told; most lines are to be planned. */
function lotsThatFit({ lots, count }: Line) {
  let left = count;
  return {
    lots: (lots ?? []).flatMap((lot, i) => {
      const part = Math.min(lot.count, left);
      left -= part;
      return part > 0 ? [{ ...lot, id: `lot-${i}`, count: part }] : [];
    }),
  };
}

/** Any run that can be kept and opened, with the kitchen and the formulas that it rests on. */
export const someFile: fc.Arbitrary<PlanFile> = fc
  .oneof({ weight: 2, arbitrary: someKitchen }, { weight: 1, arbitrary: fc.constant(DEMO_KITCHEN) })
  .chain((kitchen) =>
    someLines(kitchen).map((lines) => ({
      kitchen,
      formulas: [...FORMULAS],
      run: runSchema.parse({
        kind: 'run',
        version: 4,
        id: 'run',
        name: 'Any',
        createdAt: 0,
        readyAt: '2026-12-05T16:00',
        lines,
      }),
    })),
  );
