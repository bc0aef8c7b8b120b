import type {
  CakesicleLine,
  CupcakeLine,
  FormulaDoc,
  KitchenDoc,
  Line,
  MiniWellsLine,
  PopLine,
} from './documents';
import type { CoatChoice, CrumbPart, FillingChoice, FrostingChoice, Lot } from './pieceFields';

/** What a line names by its id: formulas, and things of the kitchen. */
export type RefKind = 'formula' | 'tin' | 'oven' | 'sheet' | 'mould' | 'mug' | 'microwave' | 'vessel';

export interface Reference {
  readonly kind: RefKind;
  readonly id: string;
  /** Where it stands in the line: `crumb[0].formulaId`. */
  readonly field: string;
}

/** The things of a kitchen by kind. */
export function kitchenHolds(
  kitchen: KitchenDoc,
): Readonly<Record<Exclude<RefKind, 'formula'>, readonly { readonly id: string; readonly name: string }[]>> {
  return {
    tin: kitchen.tins,
    oven: kitchen.ovens,
    sheet: kitchen.sheets ?? [],
    mould: kitchen.moulds ?? [],
    mug: kitchen.mugs ?? [],
    microwave: kitchen.microwaves ?? [],
    vessel: kitchen.vessels ?? [],
  };
}

const ref = (kind: RefKind, id: string, field: string): Reference => ({ kind, id, field });

function ofCrumb(parts: readonly CrumbPart[]): Reference[] {
  return parts.flatMap((part, i) => {
    const at = `crumb[${i}]`;
    switch (part.from) {
      case 'bake':
        return [
          ref('formula', part.formulaId, `${at}.formulaId`),
          ref('sheet', part.sheetId, `${at}.sheetId`),
          ref('oven', part.ovenId, `${at}.ovenId`),
        ];
      case 'microwave':
        return [
          ref('formula', part.formulaId, `${at}.formulaId`),
          ref('microwave', part.microwaveId, `${at}.microwaveId`),
        ];
      case 'leftovers':
      case 'trimmings':
      case 'biscuit':
        return [];
    }
  });
}

interface Finished {
  readonly lots?: readonly Lot[] | undefined;
  readonly filling?: FillingChoice | null | undefined;
  readonly frosting?: FrostingChoice | null | undefined;
  readonly coat?: CoatChoice | null | undefined;
}

function ofFinish({ filling, frosting, coat, lots }: Finished): Reference[] {
  const formulas = [
    ['filling.formulaId', filling?.formulaId],
    ['frosting.formulaId', frosting?.formulaId],
    ['coat.formulaId', coat?.formulaId],
    ...(lots ?? []).flatMap((lot, i) =>
      lot.toppings.map(({ formulaId }, k) => [`lots[${i}].toppings[${k}].formulaId`, formulaId] as const),
    ),
  ] as const;
  return [
    ...formulas.flatMap(([field, id]) => (id ? [ref('formula', id, field)] : [])),
    ...(coat ? [ref('vessel', coat.vesselId, 'coat.vesselId')] : []),
  ];
}

function ofDough({ crumb, binder }: PopLine | CakesicleLine): Reference[] {
  return [
    ...ofCrumb(crumb),
    ...(binder.formulaId === null ? [] : [ref('formula', binder.formulaId, 'binder.formulaId')]),
  ];
}

/** All that a line rests on, in the order in which a person would look for it. */
export function referencesOf(line: Line): Reference[] {
  switch (line.family) {
    case 'cupcake':
      return [
        ref('formula', line.formulaId, 'formulaId'),
        ref('tin', line.tinId, 'tinId'),
        ref('oven', line.ovenId, 'ovenId'),
        ...ofFinish(line),
      ];
    case 'mini':
      return [
        ref('formula', line.formulaId, 'formulaId'),
        line.style === 'cubes' ? ref('sheet', line.sheetId, 'sheetId') : ref('tin', line.tinId, 'tinId'),
        ref('oven', line.ovenId, 'ovenId'),
        ...ofFinish(line),
      ];
    case 'mug':
      return [
        ref('formula', line.formulaId, 'formulaId'),
        ref('mug', line.mugId, 'mugId'),
        ref('microwave', line.microwaveId, 'microwaveId'),
        ...ofFinish(line),
      ];
    case 'pop':
      return [...ofDough(line), ...ofFinish({ coat: line.coat, lots: line.lots })];
    case 'cakesicle':
      return [
        ...ofDough(line),
        ref('mould', line.mouldId, 'mouldId'),
        ...(line.coatFormulaId ? [ref('formula', line.coatFormulaId, 'coatFormulaId')] : []),
        ...ofFinish({ lots: line.lots }),
      ];
  }
}

/** Ids of the formulas that lines name, without those that these are made of. */
export function formulasNamed(lines: readonly Line[]): Set<string> {
  return new Set(lines.flatMap(referencesOf).flatMap(({ kind, id }) => (kind === 'formula' ? [id] : [])));
}

/** Names along the way from a formula back to itself, or null where its parts come to an end. */
export function cycleFrom(formula: FormulaDoc, all: readonly FormulaDoc[]): string[] | null {
  const byId = new Map(all.map((doc) => [doc.id, doc]));
  // A formula from which no ring was found is not gone through again, however many others take it.
  const clear = new Set<FormulaDoc>();
  const path: FormulaDoc[] = [];
  const walk = (at: FormulaDoc): string[] | null => {
    if (clear.has(at)) return null;
    if (path.includes(at)) return [...path.slice(path.indexOf(at)), at].map((doc) => doc.name);
    path.push(at);
    for (const part of at.parts ?? []) {
      const next = byId.get(part.formulaId);
      const found = next ? walk(next) : null;
      if (found) return found;
    }
    path.pop();
    clear.add(at);
    return null;
  };
  return walk(formula);
}

/** The formula whose bowl bears the id `batter.mixed` in a line's plan. */
export function plainFormulaId(line: Line): string | null {
  if (line.family === 'pop' || line.family === 'cakesicle') {
    for (const part of line.crumb)
      if (part.from === 'bake' || part.from === 'microwave') return part.formulaId;
    return null;
  }
  return line.formulaId;
}

/** A line of dough: what its crumb comes from, and what holds it together; null for lines without. */
export function doughIn(line: Line): PopLine | CakesicleLine | null {
  switch (line.family) {
    case 'pop':
    case 'cakesicle':
      return line;
    case 'cupcake':
    case 'mini':
    case 'mug':
      return null;
  }
}

/** A line of pieces that bake in the wells of a tin; null for lines without. */
export function inWells(line: Line): CupcakeLine | MiniWellsLine | null {
  switch (line.family) {
    case 'cupcake':
      return line;
    case 'mini':
      return line.style === 'cubes' ? null : line;
    case 'pop':
    case 'cakesicle':
    case 'mug':
      return null;
  }
}

/** What a line is filled with, topped with and dipped in; null for what it has none of. */
export function finishing(line: Line): {
  readonly filling: FillingChoice | null;
  readonly frosting: FrostingChoice | null;
  readonly coat: CoatChoice | null;
} {
  const none = { filling: null, frosting: null, coat: null };
  switch (line.family) {
    case 'cupcake':
    case 'mug':
      return { ...none, filling: line.filling ?? null, frosting: line.frosting ?? null };
    case 'mini':
      return {
        filling: line.filling ?? null,
        frosting: line.frosting ?? null,
        coat: line.coat ?? null,
      };
    case 'pop':
      return { ...none, coat: line.coat };
    case 'cakesicle':
      return none;
  }
}
