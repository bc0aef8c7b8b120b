import { lineSchema } from '../model/documents';
import type {
  CakesicleLine,
  CoatChoice,
  CubeLine,
  CupcakeLine,
  Fill,
  FrostingChoice,
  KitchenDoc,
  Line,
  MiniWellsLine,
  MugLine,
  PopLine,
} from '../model/documents';
import { edit, choose, type Choice, type LineAction } from '../line';
import type { AnyRef, Figure } from '../figure';
import { FINISHES } from '../process/batter.table';
import { BINDER_FACTOR, BIND_SCHOOLS } from '../process/bind.table';
import { COAT } from '../process/coat.table';
import { TOP_STYLES } from '../process/frost.table';
import { scoopMl } from '../process/portion';
import { DIP_SCHOOLS } from '../process/set.table';
import type { LinePlan } from './linePlan';
import { scoopings, scoopsOf } from './stations/scoop';
import { ASK } from './whatIf.words';

/** One way in which a line could be made otherwise. */
export interface Alternative {
  readonly id: string;
  /** Measures stand in braces, as `{25 g}`, here and in the detail. */
  readonly title: string;
  /** What it means, in a sentence; empty where the title says it. */
  readonly detail: string;
  /** Whether the line is made so now. */
  readonly now: boolean;
  readonly action: LineAction;
}

/** A choice with its alternatives: which tin, which school. */
export interface Question {
  readonly id: string;
  readonly title: string;
  readonly alternatives: readonly Alternative[];
}

const keys = <K extends string>(table: Readonly<Record<K, unknown>>): K[] => Object.keys(table) as K[];

/** One alternative: what it says, and what it chooses. */
type Way = Omit<Alternative, 'action'> & { readonly over: Choice };

const ask = (id: string, title: string, ways: readonly Way[]): Question => ({
  id,
  title,
  alternatives: ways.map(({ over, ...way }) => ({ ...way, action: choose(over) })),
});

/** All that can be asked of a line: another tin, vessel, mould, mug, thickness, school. One alternative is no question. */
export const questionsOf = (line: Line, kitchen: KitchenDoc, plan?: LinePlan): Question[] =>
  ofFamily(line, kitchen, plan ?? null)
    .map((question) => ({
      ...question,
      // What a line cannot be is not thought of.
      alternatives: question.alternatives.filter(
        ({ now, action }) => now || lineSchema.safeParse(edit(line, action)).success,
      ),
    }))
    .filter(({ alternatives }) => alternatives.length > 1);

/** The questions of a line by its family, in the order of the work. */
function ofFamily(line: Line, kitchen: KitchenDoc, plan: LinePlan | null): Question[] {
  switch (line.family) {
    case 'cupcake':
      return [...ofWells(line, kitchen, plan), ...ofFrosting(line.frosting)];
    case 'mini':
      return line.style === 'cubes'
        ? [
            ofSheets(line, kitchen),
            ofOvens(line, kitchen),
            ...ofCoat(line.coat, kitchen),
            ...ofFrosting(line.frosting),
          ]
        : [...ofWells(line, kitchen, plan), ...ofCoat(line.coat, kitchen), ...ofFrosting(line.frosting)];
    case 'pop':
      return [ofSizes(line, kitchen), ...ofBinder(line), ...ofCoat(line.coat, kitchen)];
    case 'cakesicle':
      return [ofMoulds(line, kitchen), ...ofShell(line), ...ofBinder(line)];
    case 'mug':
      return [
        ofMugs(line, kitchen),
        ofPower(line),
        ...ofScoops(line.fill, kitchen, plan),
        ...ofFrosting(line.frosting),
      ];
  }
}

const ofWells = (
  line: CupcakeLine | MiniWellsLine,
  kitchen: KitchenDoc,
  plan: LinePlan | null,
): Question[] => [
  ask(
    'tin',
    ASK.tin.title,
    kitchen.tins.map(({ id, name, owned, wells, topMm }) => ({
      id,
      title: name,
      detail: ASK.tin.detail(owned, wells, topMm),
      now: id === line.tinId,
      over: { tinId: id },
    })),
  ),
  ofOvens(line, kitchen),
  ask(
    'finish',
    ASK.finish.title,
    keys(FINISHES).map((finish) => ({
      id: finish,
      title: FINISHES[finish].name,
      detail: FINISHES[finish].meaning,
      now: line.fill.by === 'finish' && line.fill.finish === finish,
      over: { fill: { by: 'finish', finish } },
    })),
  ),
  ...ofScoops(line.fill, kitchen, plan),
];

const ofOvens = (line: CupcakeLine | MiniWellsLine | CubeLine, kitchen: KitchenDoc): Question =>
  ask(
    'oven',
    ASK.oven.title,
    kitchen.ovens.map(({ id, name, fan, racks, tinsPerRack }) => ({
      id,
      title: name,
      detail: ASK.oven.detail(fan, racks * tinsPerRack),
      now: id === line.ovenId,
      over: { ovenId: id },
    })),
  );

const ofSheets = (line: CubeLine, kitchen: KitchenDoc): Question =>
  ask(
    'sheet',
    ASK.sheet.title,
    (kitchen.sheets ?? []).map(({ id, name, lengthMm, widthMm }) => ({
      id,
      title: name,
      detail: ASK.sheet.detail(lengthMm, widthMm),
      now: id === line.sheetId,
      over: { sheetId: id },
    })),
  );

const ofMoulds = (line: CakesicleLine, kitchen: KitchenDoc): Question =>
  ask(
    'mould',
    ASK.mould.title,
    (kitchen.moulds ?? []).map(({ id, name, owned, cavities }) => ({
      id,
      title: name,
      detail: ASK.mould.detail(owned, cavities),
      now: id === line.mouldId,
      over: { mouldId: id },
    })),
  );

const ofMugs = (line: MugLine, kitchen: KitchenDoc): Question =>
  ask(
    'mug',
    ASK.mug.title,
    (kitchen.mugs ?? []).map(({ id, name, volumeMl }) => ({
      id,
      title: name,
      detail: ASK.mug.detail(volumeMl),
      now: id === line.mugId,
      over: { mugId: id },
    })),
  );

const ofPower = (line: MugLine): Question =>
  ask(
    'power',
    ASK.power.title,
    [1, 0.7, 0.5].map((setting) => ({
      id: String(setting),
      title: ASK.power.name(setting),
      detail: ASK.power.detail(setting),
      now: setting === line.setting,
      over: { setting },
    })),
  );

/** Batter by the scoop in place of the scale, as near to the portion of now as each scoop comes. */
function ofScoops(fill: Fill | MugLine['fill'], kitchen: KitchenDoc, plan: LinePlan | null): Question[] {
  const portion = plan?.parts.portion;
  const density = plan?.parts.batterDensity;
  if (!portion || !density) return [];
  const scooped = scoopings(portion.value / density.value, kitchen).map(({ number, name, count }): Way => {
    const exact = count * scoopMl(number) * density.value;
    const massG = Math.max(1, Math.round(exact / kitchen.scaleStepG) * kitchen.scaleStepG);
    return {
      id: `scoop ${number}`,
      title: ASK.scoops.name(count, { name }),
      detail: ASK.scoops.detail(massG),
      now: fill.by === 'mass' && fill.massG === massG,
      over: { fill: { by: 'mass', massG } },
    };
  });
  const weighed: Way = {
    id: 'weighed',
    title: ASK.scoops.weighed,
    detail: ASK.scoops.asChosen,
    now: true,
    over: {},
  };
  const ways = scooped.some(({ now }) => now) ? scooped : [weighed, ...scooped];
  return [ask('scoops', ASK.scoops.title, ways)];
}

const ofBinder = (line: PopLine | CakesicleLine): Question[] => {
  const { binder } = line;
  return [
    ask(
      'bind-school',
      ASK.bindSchool.title,
      keys(BIND_SCHOOLS).map((school) => ({
        id: school,
        title: BIND_SCHOOLS[school].name,
        detail: BIND_SCHOOLS[school].meaning,
        now: school === binder.school,
        over: { binder: { ...binder, school } },
      })),
    ),
    ask(
      'binder',
      ASK.binder.title,
      keys(BINDER_FACTOR).map((kind) => ({
        id: kind,
        title: kind,
        detail: '',
        now: kind === binder.kind,
        over: { binder: { ...binder, kind, formulaId: kind === binder.kind ? binder.formulaId : null } },
      })),
    ),
  ];
};

const ofSizes = (line: PopLine, kitchen: KitchenDoc): Question => {
  const weighed = (id: 'small' | 'usual' | 'large', massG: number) => ({
    id,
    title: ASK.size[id],
    size: { by: 'mass', massG } as const,
  });
  const sizes = [
    weighed('small', 15),
    weighed('usual', 25),
    weighed('large', 35),
    ...scoopsOf(kitchen).map(({ number, name }) => ({
      id: `scoop-${number}`,
      title: name,
      size: { by: 'scoop', number } as const,
    })),
  ];
  return ask(
    'size',
    ASK.size.title,
    sizes.map(({ id, title, size }) => ({
      id,
      title,
      detail: '',
      now: JSON.stringify(size) === JSON.stringify(line.size),
      over: { size },
    })),
  );
};

const ofShell = (line: CakesicleLine): Question[] => [
  ask(
    'shell',
    ASK.shell.title,
    [1.2, 1.5, COAT.shellMm, 2.2, 2.5].map((shellMm) => ({
      id: String(shellMm),
      title: ASK.shell.name(shellMm),
      detail: shellMm === COAT.shellMm ? ASK.shell.usual : '',
      now: shellMm === line.shellMm,
      over: { shellMm },
    })),
  ),
  ask(
    'shell-by',
    ASK.shellBy.title,
    (['brush', 'pour'] as const).map((shellBy) => ({
      id: shellBy,
      ...ASK.shellBy[shellBy],
      now: shellBy === line.shellBy,
      over: { shellBy },
    })),
  ),
];

function ofCoat(coat: CoatChoice | null | undefined, kitchen: KitchenDoc): Question[] {
  if (!coat) return [];
  return [
    ask(
      'vessel',
      ASK.vessel.title,
      (kitchen.vessels ?? []).map(({ id, name, diameterMm, depthMm }) => ({
        id,
        title: name,
        detail: ASK.vessel.detail(diameterMm, depthMm),
        now: id === coat.vesselId,
        over: { coat: { ...coat, vesselId: id } },
      })),
    ),
    ask(
      'thickness',
      ASK.thickness.title,
      keys(COAT.dipMm).map((thickness) => ({
        id: thickness,
        title: thickness,
        detail: ASK.thickness.detail(COAT.dipMm[thickness]),
        now: thickness === coat.thickness,
        over: { coat: { ...coat, thickness } },
      })),
    ),
    ask(
      'dip-school',
      ASK.dipSchool.title,
      keys(DIP_SCHOOLS).map((school) => ({
        id: school,
        title: school,
        detail: `${DIP_SCHOOLS[school].meaning} ${DIP_SCHOOLS[school].watch}`,
        now: school === coat.school,
        over: { coat: { ...coat, school } },
      })),
    ),
  ];
}

const ofFrosting = (frosting: FrostingChoice | null | undefined): Question[] =>
  frosting
    ? [
        ask(
          'frosting',
          ASK.frosting.title,
          keys(TOP_STYLES).map((style) => ({
            id: style,
            title: TOP_STYLES[style].name,
            detail: TOP_STYLES[style].meaning,
            now: style === frosting.style,
            over: { frosting: { ...frosting, style } },
          })),
        ),
      ]
    : [];

/** A figure before and after. */
export interface Difference {
  readonly before: Figure;
  readonly after: Figure;
}

/** What a baker would look at first. */
function tellingOf({ parts, pots }: LinePlan): AnyRef[] {
  const all: readonly (AnyRef | null | undefined)[] = [
    parts.count.made,
    parts.portion,
    parts.filled,
    parts.bowl?.mixed,
    parts.dough?.need,
    parts.doughLeft,
    parts.coat?.each,
    parts.shell?.taken,
    ...pots.slice(0, 2).map(({ melt }) => melt),
    parts.coat?.depth,
    parts.frostingNeeded,
    parts.rounds,
    parts.loads,
    parts.bake?.time,
    parts.micro?.time,
    parts.piece,
  ];
  return all.flatMap((one) => (one ? [one] : []));
}

/** Less than this share apart is the same to a baker. */
const SAME = 0.004;

/** How the telling figures of a line change: those that both plans have and that move. */
export function differencesOf(before: LinePlan, after: LinePlan): Difference[] {
  const theirs = new Set(tellingOf(after).map(({ id }) => id));
  return tellingOf(before).flatMap(({ id, value }) => {
    if (!theirs.has(id)) return [];
    const gap = Math.abs(after.figure(id).value - value);
    return gap > SAME * Math.max(Math.abs(value), 1e-9)
      ? [{ before: before.figure(id), after: after.figure(id) }]
      : [];
  });
}
