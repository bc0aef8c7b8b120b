import { narrowestFor } from '../model/vessel';
import type {
  CakesicleLine,
  CoatChoice,
  CubeLine,
  Family,
  FormulaDoc,
  KitchenDoc,
  Line,
  MiniWellsLine,
  MugLine,
  PopLine,
} from '../model/documents';
import { newCupcakeLine } from '../model/lines';
import type { RefKind } from '../model/references';
import type { BinderChoice, CrumbPart, FillingChoice } from '../model/pieceFields';

/** What a person starts a line of: a family, and of the mini cakes which kind. */
export type MiniStyle = MiniWellsLine['style'] | CubeLine['style'];

/** What the crumb of pops and moulded pieces comes from, for a start. */
export type CrumbStart =
  | { readonly from: 'formula'; readonly formula: FormulaDoc }
  | { readonly from: 'leftovers'; readonly massG: number }
  | { readonly from: 'biscuit'; readonly massG: number };

export interface LineAsk {
  readonly id: string;
  readonly family: Family;
  readonly count: number;
  readonly crumb: CrumbStart;
  readonly kitchen: KitchenDoc;
  /** Of mini cakes; cubes where nothing is said. */
  readonly style?: MiniStyle;
}

/** A line that can be planned at once, or the thing of the kitchen that it wants and that is not there. */
export type NewLine =
  | { readonly ok: true; readonly line: Line }
  | { readonly ok: false; readonly missing: Exclude<RefKind, 'formula'> };

/** As a pop usually is: 25 g of dough. Basis: typical. */
const POP = { by: 'mass', massG: 25 } as const;
/** A classic bind with buttercream as made without a formula. */
export const USUAL_BINDER: BinderChoice = {
  kind: 'buttercream',
  school: 'classic',
  formulaId: null,
  onHandG: null,
};

/** Working depth where no piece has been chosen yet, mm: a cube of 4 cm and a centimetre. Basis: geometry. */
const USUAL_DEPTH_MM = 50;

/** The vessel that leaves the smallest pool; any, where a piece fits none. */
const vesselFor = (kitchen: KitchenDoc, deepMm: number) =>
  narrowestFor(kitchen.vessels ?? [], deepMm) ?? first(kitchen.vessels, 'vessel');

export const usualCoat = (vesselId: string): CoatChoice => ({
  kind: 'dark',
  thickness: 'usual',
  vesselId,
  thinnedShare: 0,
  school: 'fridge-firm',
  onHandG: null,
});

export const usualFilling = (how: FillingChoice['how'], what: string): FillingChoice => ({
  how,
  what,
  formulaId: null,
  eachG: null,
  channels: how === 'inject' ? 3 : 1,
  coreDiameterMm: 22,
  coreDepthMm: 25,
  onHandG: null,
});

class Missing extends Error {
  constructor(readonly kind: Exclude<RefKind, 'formula'>) {
    super(kind);
  }
}

function first<T>(things: readonly T[] | undefined, kind: Exclude<RefKind, 'formula'>): T {
  const [thing] = things ?? [];
  if (!thing) throw new Missing(kind);
  return thing;
}

/** A line of a family as it starts: the usual school of everything, nothing measured, lots none. */
export function newLine(ask: LineAsk): NewLine {
  try {
    return { ok: true, line: started(ask) };
  } catch (error) {
    if (error instanceof Missing) return { ok: false, missing: error.kind };
    throw error;
  }
}

function started(ask: LineAsk): Line {
  switch (ask.family) {
    case 'cupcake':
      return newCupcakeLine({
        id: ask.id,
        count: ask.count,
        formulaId: formulaOf(ask).id,
        tinId: tinFor(ask.kitchen, 'cupcake').id,
        ovenId: first(ask.kitchen.ovens, 'oven').id,
      });
    case 'pop':
      return newPop(ask);
    case 'cakesicle':
      return newCakesicle(ask);
    case 'mug':
      return newMug(ask);
    case 'mini':
      return newMini(ask, ask.style ?? 'cubes');
  }
}

function formulaOf({ crumb }: LineAsk): FormulaDoc {
  if (crumb.from !== 'formula') throw new Error('invariant: this family is baked from a formula');
  return crumb.formula;
}

const common = ({ id, count }: LineAsk) => ({ id, count, measured: {}, ticks: [] });

/** Where the crumb comes from: a sheet baked for it, or what is on the table. */
export function crumbStart(start: CrumbStart, kitchen: KitchenDoc): CrumbPart {
  switch (start.from) {
    case 'formula':
      return {
        from: 'bake',
        formulaId: start.formula.id,
        sheetId: first(kitchen.sheets, 'sheet').id,
        ovenId: first(kitchen.ovens, 'oven').id,
        ovenC: null,
        crumb: 'average',
        trimShare: 0.05,
        eggs: 'follow',
      };
    case 'leftovers':
      return { from: 'leftovers', massG: start.massG, frostingShare: 0.15, scraped: false, crumb: 'average' };
    case 'biscuit':
      return { from: 'biscuit', massG: start.massG };
  }
}

function newPop(ask: LineAsk): PopLine {
  return {
    ...common(ask),
    family: 'pop',
    stick: true,
    size: POP,
    crumb: [crumbStart(ask.crumb, ask.kitchen)],
    addIns: [],
    binder: USUAL_BINDER,
    coat: usualCoat(vesselFor(ask.kitchen, USUAL_DEPTH_MM).id),
    sticksOnHand: ask.kitchen.sticks ?? null,
    lots: [],
  };
}

function newCakesicle(ask: LineAsk): CakesicleLine {
  return {
    ...common(ask),
    family: 'cakesicle',
    mouldId: first(ask.kitchen.moulds, 'mould').id,
    kind: 'milk',
    shellMm: 1.8,
    shellBy: 'brush',
    thinnedShare: 0,
    maxRounds: null,
    crumb: [crumbStart(ask.crumb, ask.kitchen)],
    addIns: [],
    binder: USUAL_BINDER,
    sticksOnHand: ask.kitchen.sticks ?? null,
    lots: [],
  };
}

function newMug(ask: LineAsk): MugLine {
  return {
    ...common(ask),
    family: 'mug',
    formulaId: formulaOf(ask).id,
    mugId: first(ask.kitchen.mugs, 'mug').id,
    microwaveId: first(ask.kitchen.microwaves, 'microwave').id,
    eggs: 'follow',
    fill: { by: 'share', share: 0.42 },
    atOnce: null,
    setting: 1,
    lots: [],
  };
}

/** The tin that a kind of mini cake is baked in: bowls for halves and moulded ones, bars for fingers, cones else. */
export function tinFor(kitchen: KitchenDoc, style: MiniStyle | 'cupcake') {
  const wanted = style === 'paired' || style === 'moulded' ? 'bowl' : style === 'fingers' ? 'bar' : 'frustum';
  const fits = kitchen.tins.find((tin) => (tin.shape ?? 'frustum') === wanted);
  return fits ?? first(kitchen.tins, 'tin');
}

function newMini(ask: LineAsk, style: MiniStyle): CubeLine | MiniWellsLine {
  const formulaId = formulaOf(ask).id;
  const ovenId = first(ask.kitchen.ovens, 'oven').id;
  if (style === 'cubes') {
    return {
      ...common(ask),
      family: 'mini',
      style,
      formulaId,
      ovenId,
      sheetId: first(ask.kitchen.sheets, 'sheet').id,
      ovenC: null,
      eggs: 'follow',
      columns: 8,
      rows: 6,
      heightMm: 30,
      trimMm: 6,
      kerfMm: 1,
      coat: usualCoat(vesselFor(ask.kitchen, USUAL_DEPTH_MM).id),
      lots: [],
    };
  }
  return {
    ...common(ask),
    family: 'mini',
    style,
    formulaId,
    ovenId,
    tinId: tinFor(ask.kitchen, style).id,
    ovenC: null,
    fill: { by: 'finish', finish: 'flat' },
    eggs: 'follow',
    maxLoads: null,
    spareHalves: style === 'paired' ? 2 : 0,
    baseLayer: style === 'base-layer' ? { what: 'Fruit and syrup', massG: 18, density: 1.1 } : null,
    filling:
      style === 'paired'
        ? usualFilling('between', 'Buttercream')
        : style === 'fingers'
          ? usualFilling('inject', 'Jam')
          : null,
    lots: [],
  };
}
