import type { Liner, OvenDoc } from '../../model/documents';
import {
  calls,
  largerOf,
  minus,
  over,
  smallestOf,
  says,
  saysAll,
  times,
  without,
  type Expr,
  type Ref,
  type Says,
} from '../../figure';
import { colourTells } from '../../caution/doneTests';
import { scopeOf } from '../../param';
import type { BakeModelInput } from '../../process/bakeQuestion';
import { bakeColourS, bakeInsideS } from '../../process/bakeSurrogate';
import { COOLING, WAITS_AT_MOST } from '../../process/oven.table';
import type { KnownFormula, RunContext } from '../context';
import type { PlanFigures } from '../figures';
import { BAKE } from './bake.words';
import { addCooling, type CoolPart } from './cool';
import { addFirstLook, addOven, heatIn, addTurnaround, heatOf, type HeatValues, type OvenPart } from './oven';
import { shapeVolumeMl, type SideMm } from '../../piece';
import type { WellPart } from './well';

/** What the baking model is asked for one well, and the factor of tin and kitchen on its answer. */
export interface OvenQuestion {
  readonly input: BakeModelInput;
  readonly factor: number;
}

/** When it is done: inside and, where that is a test, by its colour. */
export interface DonePart {
  /** The later of the tests. */
  readonly time: Ref<'s'>;
  /** Both tests, where there are two. */
  readonly tests: readonly Ref<'s'>[];
}

/** Oven and what comes out of it. */
export interface BakePart extends DonePart {
  readonly oven: OvenPart;
  readonly firstLook: Ref<'s'>;
  readonly turnaround: Ref<'s'>;
}

export interface WellBakePart extends BakePart {
  readonly cake: Ref<'g'>;
  /** The same question with the plan's figures: for the model itself, which draws the curve of the coldest place. */
  readonly question: () => OvenQuestion;
}

export interface WellBakeSpec {
  readonly oven: OvenDoc;
  readonly formula: KnownFormula;
  readonly ovenC: number | null;
  readonly liner: Liner | undefined;
  readonly racks: boolean;
  /** Whether two of them make a piece. */
  readonly half: boolean;
}

type Inputs = Readonly<Record<string, Expr<'g'> | Expr<'ml'> | Expr<'mm'> | Expr<'g/ml'> | Expr<'1'>>>;
type Values = Readonly<Record<string, number>>;

/**
 * What a well asks of the oven, from the values of its figures. Asked twice for every root of the range, most of which
 * leave the well as it is: its pan is reckoned once for the same measures.
 */
function questionerOf({ shape, layer }: WellPart): (v: Values) => OvenQuestion {
  const names = shape.fields.map(({ side }) => side);
  let sides = {} as SideMm;
  let brimMl = 0;
  const brimOf = (v: Values): SideMm => {
    if (names.every((side) => sides[side] === v[side])) return sides;
    sides = Object.fromEntries(names.map((side) => [side, v[side]])) as unknown as SideMm;
    brimMl = shapeVolumeMl(shape, sides);
    return sides;
  };
  return (v) => {
    const mm = brimOf(v);
    const at = v as { readonly [K in 'volume' | 'mass' | 'loss' | 'batterDensity' | 'cakeDensity']: number };
    // A water test says how deep the well really is.
    const { pan, share } = shape.pan(mm, (mm.depth * at.volume) / brimMl);
    const layerG = layer ? (v.layerMass as number) : 0;
    const layerMl = layer ? layerG / (v.layerDensity as number) : 0;
    const all = at.mass + layerG;
    const lost = at.mass * at.loss;
    const { factor, airC, batterC, doneC, coefficientFactor } = heatOf(v as HeatValues);
    return {
      factor,
      input: {
        pan,
        massG: all * share,
        batterDensity: all / (at.mass / at.batterDensity + layerMl),
        cakeDensity: (all - lost) / ((at.mass - lost) / at.cakeDensity + layerMl),
        lossShare: lost / all,
        airC,
        batterC,
        doneC,
        coefficientFactor,
      },
    };
  };
}

/** The time until a piece is done by all its tests, and the tests themselves where there are two. */
export function addDone(
  f: PlanFigures,
  said: Pick<typeof BAKE, 'time' | 'both' | 'inside' | 'colour'>,
  byColour: boolean,
  sums: { readonly inside: Expr<'s'>; readonly colour: Expr<'s'> },
): DonePart {
  if (!byColour) return { time: f.sum('bake.time', said.time, 's', sums.inside), tests: [] };
  const inside = f.sum('bake.inside', said.inside, 's', sums.inside);
  const colour = f.sum('bake.colour', said.colour, 's', sums.colour);
  const waits = colour.value > inside.value;
  const time = f.sum(
    'bake.time',
    said.both(waits),
    's',
    largerOf<'s'>(inside, smallestOf([colour, times(WAITS_AT_MOST, inside)])),
  );
  return { time, tests: [inside, colour] };
}

/** What really steams away: a piece that waits for its colour goes on losing water at the same pace. */
function addLossMade(f: PlanFigures, loss: Ref<'share'>, { time, tests: [inside] }: DonePart): Ref<'share'> {
  if (!inside) return loss;
  return f.sum('bake.loss', BAKE.loss, 'share', times(loss, over(time, inside)));
}

/** Oven and first look of one load, and the cake that comes out. */
export function addBake(f: PlanFigures, run: RunContext, well: WellPart, spec: WellBakeSpec): WellBakePart {
  const { oven, formula, ovenC, liner, racks, half } = spec;
  const { portion, volume, densities, loss, layer, sides } = well;
  const inOven = addOven(f, {
    oven,
    formula,
    ovenC,
    kitchen: run.kitchen,
    inTin: scopeOf('tin', well.tin.id),
    material: well.tin.material,
    racks,
    liner,
  });
  const piece: Inputs = {
    mass: portion,
    volume,
    batterDensity: densities.batter,
    cakeDensity: densities.cake,
    loss,
    ...sides,
    ...(layer ? { layerMass: layer.mass, layerDensity: layer.density } : {}),
  };
  const inputs = { ...piece, ...heatIn(inOven) };
  const questionOf = questionerOf(well);
  const { top, depth } = sides;
  if (!top || !depth) throw new Error('invariant: every well has a top and a depth');
  const asks = (reckoned: (input: BakeModelInput) => number, does: Says): Expr<'s'> =>
    calls(
      's',
      (v) => {
        const { input, factor } = questionOf(v);
        return reckoned(input) * factor;
      },
      inputs,
      saysAll(does, ...(layer ? [says` on ${layer.mass}`] : []), heatSays(inOven)),
    );
  const byColour = colourTells(formula.read.lines);
  const tests = addDone(f, BAKE, byColour, {
    inside: asks(bakeInsideS, says`warming ${portion} (${top} × ${depth})`),
    colour: asks((at) => bakeColourS(atSea(at, inOven)), says`browning ${portion} (${top} × ${depth})`),
  });
  const firstLook = addFirstLook(f, tests.time);
  const lost = addLossMade(f, loss, tests);
  const cake = f.sum('cake.mass', BAKE.cake(half), 'g', times(portion, without(lost)), {
    pin: { min: 0.5, max: portion.value },
  });
  return {
    oven: inOven,
    ...tests,
    firstLook,
    turnaround: addTurnaround(f, oven),
    cake,
    question: () => {
      const { input, factor } = questionOf(valuesOf(inputs));
      return { input: { ...input, byColour }, factor };
    },
  };
}

/** Colour goes by what the air and the surface really are, however low water boils. */
export const atSea = (input: BakeModelInput, { boiling }: OvenPart): BakeModelInput =>
  boiling.value === 0
    ? input
    : { ...input, airC: input.airC - boiling.value, batterC: input.batterC - boiling.value };

/** "from 21 °C to 97 °C at 175 °C + 0 K, then × 1 × 1". */
export const heatSays = ({ batter, done, setting, offset, tin, factor }: OvenPart) =>
  says` from ${batter} to ${done} at ${setting} + ${offset}, then × ${tin} × ${factor}`;

/** Values of figures as they stand, by the names that a sum knows them by. */
const valuesOf = (inputs: Readonly<Record<string, unknown>>): Values =>
  Object.fromEntries(
    Object.entries(inputs).map(([key, ref]) => [key, (ref as { readonly value: number }).value]),
  );

/** What leaves as steam, what comes out of the tins, and how long it cools. */
export interface CakesPart {
  readonly used: Ref<'g'>;
  readonly left: Ref<'g'>;
  readonly lost: Ref<'g'>;
  readonly total: Ref<'g'>;
  readonly cool: CoolPart;
}

export function addCakes(
  f: PlanFigures,
  well: WellPart,
  cake: Ref<'g'>,
  ready: Ref<'g'>,
  wells: Ref<'pieces'>,
  many: string,
): CakesPart {
  const { portion } = well;
  const used = f.sum('batter.used', BAKE.used, 'g', times(wells, portion));
  const left = f.sum('batter.left', BAKE.left, 'g', minus(ready, used));
  const lost = f.sum('bake.lost', BAKE.lost, 'g', times(wells, minus(portion, cake)));
  const total = f.sum('cakes.total', BAKE.cakes(many), 'g', times(wells, cake));
  const cool = addCooling(f, {
    kind: 'well',
    thing: scopeOf('tin', well.tin.id),
    massG: cake.value,
    constant: COOLING,
    toC: COOLING.frostC,
    until: BAKE.untilFrosted,
  });
  return { used, left, lost, total, cool };
}
