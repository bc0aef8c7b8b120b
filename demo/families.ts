import {
  newCupcakeLine,
  type BinderChoice,
  type CakesicleLine,
  type CoatChoice,
  type CubeLine,
  type Line,
  type Lot,
  type MiniWellsLine,
  type MugLine,
  type PopLine,
  type RunFile,
} from '../core/model/documents';
import { FAMILY_FORMULAS } from './familyFormulas';
import { DEMO_FORMULAS } from './formulas';
import { DEMO_KITCHEN } from './kitchen';

const base = { measured: {}, ticks: [] };
const malt: BinderChoice = {
  kind: 'buttercream',
  school: 'classic',
  formulaId: 'formula-malt-buttercream',
  onHandG: null,
};
const jug: CoatChoice = {
  kind: 'dark',
  thickness: 'usual',
  vesselId: 'vessel-jug',
  thinnedShare: 0.03,
  school: 'fridge-firm',
  onHandG: null,
};
const lot = (over: Partial<Lot> & Pick<Lot, 'id' | 'name' | 'count'>): Lot => ({
  colour: null,
  coat: null,
  toppings: [],
  ...over,
});

export const POPS: readonly PopLine[] = [
  {
    ...base,
    id: 'pops-fresh',
    family: 'pop',
    count: 40,
    stick: true,
    size: { by: 'mass', massG: 25 },
    crumb: [
      {
        from: 'bake',
        formulaId: 'formula-pumpkin-oat',
        sheetId: 'sheet-tray',
        ovenId: 'oven-main',
        ovenC: null,
        crumb: 'moist',
        trimShare: 0.08,
        eggs: 'follow',
      },
    ],
    addIns: [],
    binder: malt,
    coat: jug,
    sticksOnHand: 50,
    lots: [
      lot({
        id: 'lot-seeds',
        name: 'Pumpkin seeds',
        count: 16,
        toppings: [{ by: 'each', what: 'pumpkin seeds', eachG: 1.2 }],
      }),
      lot({
        id: 'lot-white',
        name: 'White with pearl sugar',
        count: 12,
        coat: 'white',
        freeFrom: ['nuts', 'peanut'],
        packetsRead: ['white chocolate'],
        toppings: [{ by: 'cover', what: 'pearl sugar', cover: 'sprinkles', share: 0.4 }],
      }),
    ],
  },
  {
    ...base,
    id: 'balls-leftover',
    family: 'pop',
    count: 24,
    stick: false,
    size: { by: 'diameter', mm: 32 },
    crumb: [
      { from: 'leftovers', massG: 380, frostingShare: 0.15, scraped: true, crumb: 'average' },
      { from: 'biscuit', massG: 60 },
      { from: 'trimmings', massG: 90, crumb: 'dry' },
    ],
    addIns: [
      { what: 'rolled oats', massG: 20, wet: false },
      { what: 'apple juice', massG: 15, wet: true },
    ],
    binder: { kind: 'soft-cheese frosting', school: 'classic', formulaId: null, onHandG: 200 },
    coat: null,
    lots: [
      lot({
        id: 'lot-crumbs',
        name: 'In crumbs',
        count: 24,
        toppings: [{ by: 'cover', what: 'biscuit crumbs', cover: 'crumbs', share: 1 }],
      }),
    ],
  },
  {
    ...base,
    id: 'pops-microwave',
    family: 'pop',
    count: 12,
    stick: true,
    size: { by: 'scoop', number: 40 },
    crumb: [
      {
        from: 'microwave',
        formulaId: 'formula-apple-mug',
        microwaveId: 'microwave-hall',
        crumb: 'very moist',
        trimShare: 0,
        eggs: 'follow',
      },
    ],
    addIns: [],
    binder: { kind: 'ganache', school: 'fudge', formulaId: null, onHandG: null },
    coat: {
      ...jug,
      kind: 'compound',
      school: 'frozen',
      vesselId: 'vessel-glass',
      thinnedShare: 0,
      onHandG: 900,
    },
    sticksOnHand: null,
    lots: [],
  },
];

export const CAKESICLES: readonly CakesicleLine[] = [
  {
    ...base,
    id: 'sicles-plum',
    family: 'cakesicle',
    count: 20,
    mouldId: 'mould-bar',
    kind: 'milk',
    shellMm: 1.8,
    shellBy: 'brush',
    thinnedShare: 0.02,
    maxRounds: null,
    coatOnHandG: 800,
    sticksOnHand: 24,
    crumb: [
      {
        from: 'bake',
        formulaId: 'formula-plum-rye',
        sheetId: 'sheet-tray',
        ovenId: 'oven-main',
        ovenC: null,
        crumb: 'average',
        trimShare: 0.05,
        eggs: 'follow',
      },
    ],
    addIns: [],
    binder: malt,
    lots: [
      lot({
        id: 'lot-drizzle',
        name: 'Drizzled',
        count: 10,
        toppings: [{ by: 'each', what: 'white chocolate drizzle', eachG: 0.6 }],
      }),
    ],
  },
  {
    ...base,
    id: 'lanterns-nobake',
    family: 'cakesicle',
    count: 14,
    mouldId: 'mould-lantern',
    kind: 'white',
    shellMm: 1.6,
    shellBy: 'pour',
    thinnedShare: 0,
    maxRounds: 2,
    crumb: [{ from: 'biscuit', massG: 260 }],
    addIns: [],
    binder: { kind: 'condensed milk', school: 'fudge', formulaId: null, onHandG: 397 },
    lots: [],
  },
];

export const MUGS: readonly MugLine[] = [
  {
    ...base,
    id: 'mugs-apple',
    family: 'mug',
    count: 8,
    formulaId: 'formula-apple-mug',
    mugId: 'mug-hall',
    microwaveId: 'microwave-hall',
    eggs: 'follow',
    fill: { by: 'share', share: 0.42 },
    atOnce: null,
    setting: 1,
    filling: null,
    frosting: { kind: 'whipped cream', style: 'dollop', formulaId: null, onHandG: 300 },
    lots: [],
  },
];

const wells = {
  ...base,
  family: 'mini' as const,
  ovenId: 'oven-main',
  ovenC: null,
  fill: { by: 'finish', finish: 'flat' } as const,
  eggs: 'follow' as const,
  maxLoads: null,
  spareHalves: 0,
  lots: [],
};

export const MINIS: readonly MiniWellsLine[] = [
  {
    ...wells,
    id: 'moons-paired',
    style: 'paired',
    count: 10,
    spareHalves: 2,
    formulaId: 'formula-elderflower-pound',
    tinId: 'tin-half-ball',
    filling: {
      how: 'between',
      what: 'Malt buttercream',
      formulaId: 'formula-malt-buttercream',
      eachG: null,
      channels: 1,
      coreDiameterMm: 22,
      coreDepthMm: 25,
      onHandG: null,
    },
    coat: { ...jug, kind: 'white', thinnedShare: 0, vesselId: 'vessel-jug' },
  },
  {
    ...wells,
    id: 'fingers-quince',
    style: 'fingers',
    count: 16,
    formulaId: 'formula-plum-rye',
    tinId: 'tin-finger',
    filling: {
      how: 'inject',
      what: 'Quince butter',
      formulaId: 'formula-quince-butter',
      eachG: null,
      channels: 3,
      coreDiameterMm: 22,
      coreDepthMm: 25,
      onHandG: null,
    },
  },
  {
    ...wells,
    id: 'plums-below',
    style: 'base-layer',
    count: 12,
    formulaId: 'formula-plum-rye',
    tinId: 'tin-standard',
    baseLayer: { what: 'Plum slices and syrup', massG: 18, density: 1.1 },
  },
  {
    ...wells,
    id: 'hats-fondant',
    style: 'moulded',
    count: 6,
    formulaId: 'formula-elderflower-pound',
    tinId: 'tin-large',
    fondant: true,
  },
];

export const CUBES: readonly CubeLine[] = [
  {
    ...base,
    id: 'cubes-dipped',
    family: 'mini',
    style: 'cubes',
    count: 44,
    formulaId: 'formula-pumpkin-oat',
    sheetId: 'sheet-tray',
    ovenId: 'oven-main',
    ovenC: null,
    eggs: 'follow',
    columns: 8,
    rows: 6,
    heightMm: 30,
    trimMm: 6,
    kerfMm: 1,
    coat: { ...jug, kind: 'compound', vesselId: 'vessel-jug', onHandG: 1500 },
    lots: [
      lot({
        id: 'lot-nuts',
        name: 'Hazelnuts',
        count: 20,
        toppings: [{ by: 'cover', what: 'chopped hazelnuts', cover: 'chopped nuts', share: 0.25 }],
      }),
    ],
  },
];

export const CUPCAKES: readonly Line[] = [
  newCupcakeLine({
    id: 'cupcakes-frosted',
    formulaId: 'formula-honey-thyme',
    count: 24,
    tinId: 'tin-standard',
    ovenId: 'oven-main',
    liner: 'paper',
    linersOnHand: 60,
    filling: {
      how: 'core',
      what: 'Quince butter',
      formulaId: 'formula-quince-butter',
      eachG: null,
      channels: 1,
      coreDiameterMm: 22,
      coreDepthMm: 25,
      onHandG: null,
    },
    frosting: { kind: 'buttercream', style: 'swirl', formulaId: 'formula-malt-buttercream', onHandG: null },
    lots: [
      lot({ id: 'lot-amber', name: 'Amber', count: 8, colour: { name: 'amber', depth: 'mid' } }),
      lot({ id: 'lot-ember', name: 'Ember', count: 6, colour: { name: 'ember', depth: 'deep' } }),
    ],
  }),
  newCupcakeLine({
    id: 'cupcakes-plain',
    formulaId: 'formula-plum-rye',
    count: 18,
    tinId: 'tin-standard',
    ovenId: 'oven-main',
  }),
];

const file = (id: string, name: string, lines: readonly Line[]): RunFile => {
  const formulas = [...DEMO_FORMULAS, ...FAMILY_FORMULAS];
  return {
    kind: 'run file',
    version: 4,
    run: {
      kind: 'run',
      version: 4,
      id,
      name,
      createdAt: 0,
      readyAt: '2026-11-28T16:00',
      lines: [...lines],
      closed: null,
    },
    formulas,
    kitchen: DEMO_KITCHEN,
  };
};

/** An example of each family, and the whole lantern evening: twelve lines of all of them. */
export const FAMILY_FILES: Readonly<Record<string, RunFile>> = {
  pops: file('run-pops', 'Pops for the lantern walk', POPS),
  cakesicles: file('run-cakesicles', 'Lanterns on sticks', CAKESICLES),
  mugs: file('run-mugs', 'Mugs for the stewards', MUGS),
  minis: file('run-minis', 'Small cakes for the table', [...MINIS, ...CUBES]),
  evening: file('run-evening', 'Lantern evening, whole', [
    ...CUPCAKES,
    ...POPS,
    ...CAKESICLES,
    ...MUGS,
    ...MINIS.slice(0, 3),
    ...CUBES,
  ]),
};
