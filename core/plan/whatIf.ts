import type { KitchenDoc, Line } from '../model/documents';
import { BINDER_FACTOR, BIND_SCHOOLS } from '../process/bind.table';
import { FINISHES } from '../process/batter.table';
import { COAT } from '../process/coat.table';
import { TOP_STYLES } from '../process/frost.table';
import { DIP_SCHOOLS } from '../process/set.table';
import type { Figure } from '../figure';
import type { LinePlan } from './plan';
import { scoopMl } from '../process/portion';
import { scoopings } from './links/scoops';
import { scoopsOf } from './scoops';

/** One way in which a line could be made otherwise. */
export interface Alternative {
  readonly id: string;
  /** Measures stand in braces, as `{25 g}`, here and in the detail. */
  readonly title: string;
  /** What it means, in a sentence; empty where the title says it. */
  readonly detail: string;
  /** Whether the line is made so now. */
  readonly now: boolean;
  readonly line: Line;
}

/** A choice with its alternatives: which tin, which school. */
export interface Question {
  readonly id: string;
  readonly title: string;
  readonly alternatives: readonly Alternative[];
}

const without = (stated: Readonly<Record<string, number>>, ...ids: readonly string[]) =>
  Object.fromEntries(Object.entries(stated).filter(([id]) => !ids.includes(id)));

const keys = <K extends string>(table: Readonly<Record<K, unknown>>): K[] => Object.keys(table) as K[];

/** All that can be asked of a line: another tin, vessel, mould, mug, thickness, school. One alternative is no question. */
export function questionsOf(line: Line, kitchen: KitchenDoc, plan?: LinePlan): Question[] {
  const all = [
    ...ofVessels(line, kitchen),
    ...ofFinish(line),
    ...(plan ? ofScoops(line, kitchen, plan) : []),
    ...ofDough(line, kitchen),
    ...ofCoat(line, kitchen),
    ...ofTop(line),
  ];
  return all.filter(({ alternatives }) => alternatives.length > 1);
}

function ofVessels(line: Line, kitchen: KitchenDoc): Question[] {
  switch (line.family) {
    case 'cupcake':
      return [
        tins(kitchen, line.tinId, (tinId) => ({ ...line, tinId, stated: noWell(line) })),
        ovens(kitchen, line),
      ];
    case 'mini':
      return line.style === 'cubes'
        ? [
            {
              id: 'sheet',
              title: 'Another sheet',
              alternatives: (kitchen.sheets ?? []).map(({ id, name, lengthMm, widthMm }) => ({
                id,
                title: name,
                detail: `{${lengthMm} mm} by {${widthMm} mm}`,
                now: id === line.sheetId,
                line: { ...line, sheetId: id },
              })),
            },
            ovens(kitchen, line),
          ]
        : [
            tins(kitchen, line.tinId, (tinId) => ({ ...line, tinId, stated: noWell(line) })),
            ovens(kitchen, line),
          ];
    case 'cakesicle':
      return [
        {
          id: 'mould',
          title: 'Another mould',
          alternatives: (kitchen.moulds ?? []).map(({ id, name, owned, cavities }) => ({
            id,
            title: name,
            detail: `${owned} × ${cavities} cavities`,
            now: id === line.mouldId,
            line: { ...line, mouldId: id, stated: without(line.stated, 'portion.mass', 'cavity.volume') },
          })),
        },
      ];
    case 'mug':
      return [
        {
          id: 'mug',
          title: 'Another mug',
          alternatives: (kitchen.mugs ?? []).map(({ id, name, volumeMl }) => ({
            id,
            title: name,
            detail: `{${volumeMl} ml}`,
            now: id === line.mugId,
            line: { ...line, mugId: id, stated: without(line.stated, 'portion.mass', 'mug.volume') },
          })),
        },
        {
          id: 'power',
          title: 'Another power',
          alternatives: [1, 0.7, 0.5].map((setting) => ({
            id: String(setting),
            title: `${Math.round(setting * 100)} % power`,
            detail: setting === 1 ? 'Fast; the edge is done first.' : 'Slower and more even.',
            now: setting === line.setting,
            line: { ...line, setting },
          })),
        },
      ];
    case 'pop':
      return [];
  }
}

const noWell = (line: Line) => without(line.stated, 'well.volume', 'portion.mass');

function tins(kitchen: KitchenDoc, now: string, to: (id: string) => Line): Question {
  return {
    id: 'tin',
    title: 'Another tin',
    alternatives: kitchen.tins.map(({ id, name, owned, wells, topMm }) => ({
      id,
      title: name,
      detail: `${owned} × ${wells} wells, {${topMm} mm} across`,
      now: id === now,
      line: to(id),
    })),
  };
}

function ovens(kitchen: KitchenDoc, line: Line & { readonly ovenId: string }): Question {
  return {
    id: 'oven',
    title: 'Another oven',
    alternatives: kitchen.ovens.map(({ id, name, fan, racks, tinsPerRack }) => ({
      id,
      title: name,
      detail: `${fan ? 'With a fan' : 'Still'}, ${racks * tinsPerRack} at once`,
      now: id === line.ovenId,
      line: { ...line, ovenId: id },
    })),
  };
}

/** How full, and how it ends: the school of doneness of what bakes in wells. */
function ofFinish(line: Line): Question[] {
  if (line.family !== 'cupcake' && (line.family !== 'mini' || line.style === 'cubes')) return [];
  const { fill } = line;
  return [
    {
      id: 'finish',
      title: 'Another finish',
      alternatives: keys(FINISHES).map((finish) => ({
        id: finish,
        title: FINISHES[finish].name,
        detail: FINISHES[finish].meaning,
        now: fill.by === 'finish' && fill.finish === finish,
        line: { ...line, fill: { by: 'finish', finish }, stated: without(line.stated, 'portion.mass') },
      })),
    },
  ];
}

/** Batter by the scoop in place of the scale, as near to the portion of now as each scoop comes. */
function ofScoops(line: Line, kitchen: KitchenDoc, plan: LinePlan): Question[] {
  if (line.family === 'pop' || line.family === 'cakesicle') return [];
  if (line.family === 'mini' && line.style === 'cubes') return [];
  const { fill } = line;
  const density = plan.figure('batter.density').value;
  const portionG = plan.figure('portion.mass').value;
  const scooped = scoopings(portionG / density, kitchen).map(({ number, name, count }) => {
    const exact = count * scoopMl(number) * density;
    const massG = Math.max(1, Math.round(exact / kitchen.scaleStepG) * kitchen.scaleStepG);
    return {
      id: `scoop ${number}`,
      title: count === 1 ? name : `${count} × ${name.replace(/^A /, '')}`,
      detail: `About {${Number(massG.toPrecision(4))} g} in each.`,
      now: fill.by === 'mass' && fill.massG === massG,
      line: { ...line, fill: { by: 'mass' as const, massG }, stated: without(line.stated, 'portion.mass') },
    };
  });
  const weighed = { id: 'weighed', title: 'Weighed', detail: 'As it is chosen.', now: true, line };
  return [
    {
      id: 'scoops',
      title: 'By the scoop',
      alternatives: scooped.some(({ now }) => now) ? scooped : [weighed, ...scooped],
    },
  ];
}

/** Portion and scoop, school of binder, binder, and for moulded pieces the shell. */
function ofDough(line: Line, kitchen: KitchenDoc): Question[] {
  if (line.family !== 'pop' && line.family !== 'cakesicle') return [];
  const { binder } = line;
  const school: Question = {
    id: 'bind-school',
    title: 'Another school of binder',
    alternatives: keys(BIND_SCHOOLS).map((key) => ({
      id: key,
      title: BIND_SCHOOLS[key].name,
      detail: BIND_SCHOOLS[key].meaning,
      now: key === binder.school,
      line: { ...line, binder: { ...binder, school: key } },
    })),
  };
  const kind: Question = {
    id: 'binder',
    title: 'Another binder',
    alternatives: keys(BINDER_FACTOR).map((key) => ({
      id: key,
      title: key,
      detail: '',
      now: key === binder.kind,
      line: {
        ...line,
        binder: { ...binder, kind: key, formulaId: key === binder.kind ? binder.formulaId : null },
      },
    })),
  };
  if (line.family === 'pop') {
    const { size } = line;
    const sizes = [
      { id: 'small', title: 'Small: {15 g}', size: { by: 'mass', massG: 15 } },
      { id: 'usual', title: 'Usual: {25 g}', size: { by: 'mass', massG: 25 } },
      { id: 'large', title: 'Large: {35 g}', size: { by: 'mass', massG: 35 } },
      ...scoopsOf(kitchen).map(({ number, name }) => ({
        id: `scoop-${number}`,
        title: name,
        size: { by: 'scoop', number } as const,
      })),
    ] as const;
    return [
      {
        id: 'size',
        title: 'Another size or scoop',
        alternatives: sizes.map((one) => ({
          id: one.id,
          title: one.title,
          detail: '',
          now: JSON.stringify(one.size) === JSON.stringify(size),
          line: { ...line, size: one.size, stated: without(line.stated, 'portion.mass') },
        })),
      },
      school,
      kind,
    ];
  }
  return [
    {
      id: 'shell',
      title: 'Another shell',
      alternatives: [1.2, 1.5, COAT.shellMm, 2.2, 2.5].map((shellMm) => ({
        id: String(shellMm),
        title: `{${shellMm} mm} thick`,
        detail: shellMm === COAT.shellMm ? 'As it usually is.' : '',
        now: shellMm === line.shellMm,
        line: { ...line, shellMm, stated: without(line.stated, 'portion.mass') },
      })),
    },
    {
      id: 'shell-by',
      title: 'Another way to lay the shell',
      alternatives: [
        { key: 'brush', title: 'brushed in', detail: 'Sparing, and thin spots are seen.' } as const,
        { key: 'pour', title: 'poured in and out', detail: 'Even and quick; far more is melted.' } as const,
      ].map(({ key, title, detail }) => ({
        id: key,
        title,
        detail,
        now: key === line.shellBy,
        line: { ...line, shellBy: key },
      })),
    },
    school,
    kind,
  ];
}

function ofCoat(line: Line, kitchen: KitchenDoc): Question[] {
  if (line.family !== 'pop' && line.family !== 'mini') return [];
  const { coat } = line;
  if (!coat) return [];
  const put = (over: Partial<typeof coat>): Line => ({ ...line, coat: { ...coat, ...over } });
  return [
    {
      id: 'vessel',
      title: 'Another vessel',
      alternatives: (kitchen.vessels ?? []).map(({ id, name, diameterMm, depthMm }) => ({
        id,
        title: name,
        detail: `{${diameterMm} mm} across, {${depthMm} mm} deep`,
        now: id === coat.vesselId,
        line: put({ vesselId: id }),
      })),
    },
    {
      id: 'thickness',
      title: 'Another thickness',
      alternatives: keys(COAT.dipMm).map((thickness) => ({
        id: thickness,
        title: thickness,
        detail: `About {${COAT.dipMm[thickness]} mm}.`,
        now: thickness === coat.thickness,
        line: put({ thickness }),
      })),
    },
    {
      id: 'dip-school',
      title: 'Another school of dipping',
      alternatives: keys(DIP_SCHOOLS).map((key) => ({
        id: key,
        title: key,
        detail: `${DIP_SCHOOLS[key].meaning} ${DIP_SCHOOLS[key].watch}`,
        now: key === coat.school,
        line: put({ school: key }),
      })),
    },
  ];
}

function ofTop(line: Line): Question[] {
  if (line.family === 'pop' || line.family === 'cakesicle' || !line.frosting) return [];
  const { frosting } = line;
  return [
    {
      id: 'frosting',
      title: 'Another school of frosting',
      alternatives: keys(TOP_STYLES).map((style) => ({
        id: style,
        title: TOP_STYLES[style].name,
        detail: TOP_STYLES[style].meaning,
        now: style === frosting.style,
        line: { ...line, frosting: { ...frosting, style } },
      })),
    },
  ];
}

/** A figure before and after. */
export interface Difference {
  readonly before: Figure;
  readonly after: Figure;
}

/** What a baker would look at first. */
const TELLING: readonly string[] = [
  'count.made',
  'portion.mass',
  'fill.share',
  'batter.mixed',
  'binder.need',
  'dough.left',
  'coat.each',
  'shell.taken',
  'pot.1.melt',
  'pot.2.melt',
  'pool.depth',
  'frosting.needed',
  'rounds.count',
  'loads.count',
  'bake.time',
  'micro.time',
  'piece.mass',
];

/** Less than this share apart is the same to a baker. */
const SAME = 0.004;

/** How the telling figures of a line change: those that both plans have and that move. */
export function differencesOf(before: LinePlan, after: LinePlan): Difference[] {
  return TELLING.flatMap((id) => {
    if (!before.has(id) || !after.has(id)) return [];
    const pair = { before: before.figure(id), after: after.figure(id) };
    const gap = Math.abs(pair.after.value - pair.before.value);
    return gap > SAME * Math.max(Math.abs(pair.before.value), 1e-9) ? [pair] : [];
  });
}
