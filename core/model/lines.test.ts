import { CAKESICLES, CUBES, MINIS, MUGS, POPS } from '../../demo/families';
import { FAMILY_FORMULAS } from '../../demo/familyFormulas';
import { DEMO_KITCHEN } from '../../demo/kitchen';
import { kitchenSchema, lineSchema, type FormulaDoc, type Line } from './documents';
import { readWith } from '../exchange/readWith';
import { cycleFrom, formulasNamed, kitchenHolds, referencesOf } from './references';

const ALL: readonly Line[] = [...POPS, ...CAKESICLES, ...MUGS, ...MINIS, ...CUBES];
const [POP] = POPS;
const [SICLE] = CAKESICLES;
const [MUG] = MUGS;
const [CUBE] = CUBES;

const faultsOf = (line: unknown) => {
  const read = readWith(lineSchema, line);
  return read.ok ? [] : read.faults.map(({ field, fault }) => `${field}: ${fault}`);
};

describe('lines of every family', () => {
  it.each(ALL.map((line) => [line.id, line] as const))('%s: comes back as it was', (_, line) => {
    const read = readWith(lineSchema, JSON.parse(JSON.stringify(line)));
    expect(read.ok ? JSON.parse(JSON.stringify(read.value)) : read.faults).toEqual(
      JSON.parse(JSON.stringify(line)),
    );
  });

  it('lets unknown fields through, so that a later version’s file survives', () => {
    const read = readWith(lineSchema, { ...POP, ribbon: 'red' });
    expect(read).toMatchObject({ ok: true, value: { ribbon: 'red' } });
  });

  it.each<[string, unknown, RegExp]>([
    ['a family that is none', { ...POP, family: 'loaf' }, /^family: /],
    ['a style that is none', { ...CUBE, style: 'towers' }, /^style: /],
    ['no crumb', { ...POP, crumb: [] }, /^crumb: Say where the crumb comes from/],
    ['a ball of 2 m', { ...POP, size: { by: 'diameter', mm: 2000 } }, /^size\.mm: At most/],
    ['a binder unheard of', { ...POP, binder: { ...POP?.binder, kind: 'glue' } }, /^binder\.kind: /],
    ['a school unheard of', { ...POP, binder: { ...POP?.binder, school: 'loose' } }, /^binder\.school: /],
    ['a tenth of thinner', { ...SICLE, thinnedShare: 0.1 }, /^thinnedShare: At most 6 %/],
    ['a shell of 9 mm', { ...SICLE, shellMm: 9 }, /^shellMm: At most 5 mm/],
    ['a mug over its brim', { ...MUG, fill: { by: 'share', share: 1.2 } }, /^fill\.share: At most 90 %/],
    ['no power', { ...MUG, setting: 0 }, /^setting: At least 10 %/],
    ['half a column', { ...CUBE, columns: 2.5 }, /^columns: Only whole columns/],
    ['a kerf of 3 cm', { ...CUBE, kerfMm: 30 }, /^kerfMm: At most 5 mm/],
    ['a negative amount', { ...SICLE, coatOnHandG: -5 }, /^coatOnHandG: At least 0 g/],
  ])('refuses %s at its field', (_, line, words) => expect(faultsOf(line).join('\n')).toMatch(words));
});

describe('kitchens', () => {
  const faults = (over: object) => {
    const read = readWith(kitchenSchema, { ...DEMO_KITCHEN, ...over });
    return read.ok ? [] : read.faults.map(({ field, fault }) => `${field}: ${fault}`);
  };
  const [mould] = DEMO_KITCHEN.moulds ?? [];
  it('holds tins, sheets, moulds, mugs, microwaves and vessels by their ids', () => {
    expect(faults({})).toEqual([]);
    const held = kitchenHolds(DEMO_KITCHEN);
    for (const things of Object.values(held)) expect(things.length).toBeGreaterThan(0);
    expect(kitchenHolds({ ...DEMO_KITCHEN, sheets: undefined }).sheet).toEqual([]);
  });
  it.each<[string, object, RegExp]>([
    ['a mould wider than long', { moulds: [{ ...mould, lengthMm: 20, widthMm: 39 }] }, /longer side/],
    ['a mould without cavities', { moulds: [{ ...mould, cavities: 0 }] }, /cavities/],
    [
      'a microwave of 30 W',
      { microwaves: [{ id: 'm', name: 'M', ratedW: 30, absorbedW: null, mugsAtOnce: 1 }] },
      /At least 300 W/,
    ],
    ['a handful of nothing', { ownMeasures: { handful: 0 } }, /ownMeasures/],
    ['a kitchen in the sky', { altitudeM: 9000 }, /At most 5000 m/],
  ])('refuses %s', (_, over, words) => expect(faults(over).join('\n')).toMatch(words));
});

describe('what a line rests on', () => {
  it('names formulas, binders, fillings and every thing of the kitchen, each at its field', () => {
    expect(referencesOf(POP as Line)).toEqual([
      { kind: 'formula', id: 'formula-pumpkin-oat', field: 'crumb[0].formulaId' },
      { kind: 'sheet', id: 'sheet-tray', field: 'crumb[0].sheetId' },
      { kind: 'oven', id: 'oven-main', field: 'crumb[0].ovenId' },
      { kind: 'formula', id: 'formula-malt-buttercream', field: 'binder.formulaId' },
      { kind: 'vessel', id: 'vessel-jug', field: 'coat.vesselId' },
    ]);
    const kinds = (line: Line) => referencesOf(line).map(({ kind }) => kind);
    expect(kinds(MUG as Line)).toEqual(['formula', 'mug', 'microwave']);
    expect(kinds(SICLE as Line)).toContain('mould');
    expect(kinds(CUBE as Line)).toEqual(['formula', 'sheet', 'oven', 'vessel']);
    expect(formulasNamed(MINIS)).toContain('formula-quince-butter');
  });

  it('finds a ring of formulas however long, and none where there is none', () => {
    const of = (id: string, ...parts: string[]): FormulaDoc => ({
      ...(FAMILY_FORMULAS[0] as FormulaDoc),
      id,
      name: id.toUpperCase(),
      parts: parts.map((formulaId) => ({ formulaId, massG: 10 })),
    });
    const ring = [of('a', 'b'), of('b', 'c', 'd'), of('c', 'a'), of('d')];
    expect(cycleFrom(ring[0] as FormulaDoc, ring)).toEqual(['A', 'B', 'C', 'A']);
    expect(cycleFrom(ring[3] as FormulaDoc, ring)).toBeNull();
    const tree = [of('a', 'b', 'c'), of('b', 'd'), of('c', 'd'), of('d')];
    for (const formula of tree) expect(cycleFrom(formula, tree)).toBeNull();
    expect(cycleFrom(of('x', 'x'), [of('x', 'x')])).toEqual(['X', 'X']);
  });
});
