import { barVolumeMl, bowlVolumeMl, wellVolumeMl } from '../../piece';
import { barAs, type BakeModelInput, type PanShape } from '../../process/bakeQuestion';
import { BAKE_MODEL_RESIDUALS } from '../../process/bakeModel.table';
import { bakeSurrogateS } from '../../process/bakeSurrogate';
import { SURROGATE } from '../../process/bakeSurrogate.table';
import { COOLING } from '../../process/oven.table';
import { TYPICAL_TIMES } from '../../process/typicalTimes.table';
import { addCooling, addFirstLook, addOven, addTurnaround, ovenInputs, ovenOf } from '../links/oven';
import { tinsAtOnce, type WellsContext } from './wellsContext';
import { type Figures } from '../figures';

const WORST_PIECE = Math.max(
  ...BAKE_MODEL_RESIDUALS.filter((_, i) => TYPICAL_TIMES[i]?.kind === 'piece').map(({ off }) =>
    Math.abs(off),
  ),
);
const percent = (share: number) => `${Math.max(1, Math.round(share * 100))} %`;

const PIECE_INPUTS = [
  'portion.mass',
  'well.top',
  'well.depth',
  'well.volume',
  'batter.density',
  'cake.density',
  'bake.lossShare',
] as const;
const OVEN_AT = PIECE_INPUTS.length;
const SHAPE_AT = OVEN_AT + 8;

/** The pan that the model bakes in, m, from measures in mm; and the share of the piece that it stands for. */
function panOf(
  shape: 'frustum' | 'bowl' | 'bar',
  topMm: number,
  baseMm: number,
  lengthMm: number,
  depthMm: number,
  volumeMl: number,
): { pan: PanShape; share: number } {
  const measured =
    shape === 'bowl'
      ? bowlVolumeMl(topMm, depthMm)
      : shape === 'bar'
        ? barVolumeMl(lengthMm, topMm, baseMm, depthMm)
        : wellVolumeMl(topMm, baseMm, depthMm);
  // A water test says how deep the well really is.
  const depthM = (depthMm * volumeMl) / measured / 1000;
  switch (shape) {
    case 'frustum':
      return { pan: { baseRadiusM: baseMm / 2000, topRadiusM: topMm / 2000, depthM }, share: 1 };
    case 'bowl':
      return { pan: { bowl: true, baseRadiusM: 0, topRadiusM: topMm / 2000, depthM }, share: 1 };
    case 'bar': {
      const narrower = topMm - baseMm;
      const top = barAs(lengthMm / 1000, topMm / 1000);
      const base = barAs((lengthMm - narrower) / 1000, baseMm / 1000);
      return {
        pan: { baseRadiusM: base.radiusM, topRadiusM: top.radiusM, depthM },
        share: (top.share + base.share) / 2,
      };
    }
  }
}

/** What the baking model is asked for one well, and the factor of tin and kitchen on its answer. */
export interface OvenQuestion {
  readonly input: BakeModelInput;
  readonly factor: number;
}

/** Figures that a well's baking time rests on, in the order in which `questionOf` reads them. */
function bakeInputs({ line, tin }: WellsContext): string[] {
  const shape = tin.shape ?? 'frustum';
  return [
    ...PIECE_INPUTS,
    ...ovenInputs(''),
    ...(line.baseLayer ? ['layer.mass', 'layer.density'] : []),
    ...(shape === 'bowl' ? [] : ['well.base']),
    ...(shape === 'bar' ? ['well.length'] : []),
  ];
}

/** The same question with a plan's figures: for the model itself, which draws the curve of the coldest place. */
export function ovenQuestion(ledger: Figures, context: WellsContext): OvenQuestion {
  return questionOf(context)(bakeInputs(context).map((id) => ledger.value(id)));
}

function questionOf(context: WellsContext): (v: readonly number[]) => OvenQuestion {
  const { line, tin } = context;
  const shape = tin.shape ?? 'frustum';
  const layered = Boolean(line.baseLayer);
  return (v) => {
    const [mass = 1, top = 1, depth = 1, volume = 1, batterDensity = 1, cakeDensity = 1, loss = 0] = v;
    const next = SHAPE_AT + (layered ? 2 : 0);
    const [layerG = 0, layerDensity = 1] = layered ? v.slice(SHAPE_AT) : [];
    const base = shape === 'bowl' ? 0 : (v[next] as number);
    const length = shape === 'bar' ? (v[next + 1] as number) : 0;
    const { pan, share } = panOf(shape, top, base, length, depth, volume);
    const all = mass + layerG;
    const layerMl = layerG / layerDensity;
    const lost = mass * loss;
    const { factor, ...oven } = ovenOf(v, OVEN_AT);
    return {
      factor,
      input: {
        pan,
        massG: all * share,
        batterDensity: all / (mass / batterDensity + layerMl),
        cakeDensity: (all - lost) / ((mass - lost) / cakeDensity + layerMl),
        lossShare: lost / all,
        ...oven,
      },
    };
  };
}

/** Oven and cooling times of one load, and the cake that comes out. */
export function addBake(ledger: Figures, context: WellsContext): void {
  const { oven, tin, method, line, formula, run } = context;
  addOven(ledger, {
    p: '',
    oven,
    formula,
    ovenC: line.ovenC,
    method,
    kitchen: run.kitchen,
    material: tin.material,
    racks: tinsAtOnce(tin, oven) > oven.tinsPerRack,
    liner: line.family === 'cupcake' ? line.liner : 'none',
  });
  const question = questionOf(context);
  ledger.listed(
    'bake.time',
    'Baking time',
    's',
    bakeInputs(context),
    (v) => {
      const { input, factor } = question(v);
      return bakeSurrogateS(input) * factor;
    },
    `Until the coldest place is done: heat conducted into a piece of this shape, and the steam it gives off. The model comes within ${percent(WORST_PIECE)} of typical times of single pieces; the quick form of it used here within ${percent(SURROGATE.rms)} of the model, ${percent(SURROGATE.worst)} at worst.`,
    `warming {portion.mass} ({well.top} × {well.depth})${line.baseLayer ? ' on {layer.mass}' : ''} from {batter.temperature} to {cake.done} at {oven.setting} + {oven.offset}, then × {tin.factor} × {bake.factor}`,
  );
  addFirstLook(ledger, '');
  ledger.calc(
    'cake.mass',
    context.wellsEach === 2 ? 'One half, baked' : 'One cake, baked',
    'g',
    '{portion.mass} × (1 − {bake.lossShare})',
    (portion = 0, lost = 0) => portion * (1 - lost),
    'What is left of a well of batter after the oven. Weigh one and the plan takes it.',
    { pin: { min: 0.5, max: ledger.value('portion.mass') } },
  );
}

/** What leaves as steam, what comes out of the tins, and how long it cools. `wells` is the figure of wells baked. */
export function addCakes(ledger: Figures, { many }: WellsContext, wells: string): void {
  ledger.calc(
    'batter.used',
    'Batter in wells',
    'g',
    `{${wells}} × {portion.mass}`,
    (count = 0, portion = 0) => count * portion,
    'Batter that goes into the oven.',
  );
  ledger.calc(
    'batter.left',
    'Batter left over',
    'g',
    '{batter.ready} − {batter.used}',
    (ready = 0, used = 0) => ready - used,
    'What remains in the bowl once every well has its portion.',
  );
  ledger.calc(
    'bake.lost',
    'Lost as steam',
    'g',
    `{${wells}} × ({portion.mass} − {cake.mass})`,
    (count = 0, portion = 0, cake = 0) => count * (portion - cake),
    'Water that leaves in the oven.',
  );
  ledger.calc(
    'cakes.total',
    'Cakes in all',
    'g',
    `{${wells}} × {cake.mass}`,
    (count = 0, cake = 0) => count * cake,
    `All ${many.toLowerCase()} together, baked.`,
  );
  addCooling(
    ledger,
    '',
    ledger.value('cake.mass'),
    COOLING,
    COOLING.frostC,
    'Cooling until it can be frosted',
  );
  addTurnaround(ledger);
}
