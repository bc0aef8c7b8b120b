import type { Unit } from '../figure';
import type { Param, ScopeKind } from './param';

function param<U extends Unit>(
  key: string,
  unit: U,
  label: string,
  [min, max]: readonly [number, number],
  of: ScopeKind,
  keep: 'keep' | 'this run only' = 'keep',
): Param<U> {
  return { key, unit, label, min, max, of, keep: keep === 'keep' };
}

/**
 * Whatever a kitchen can measure or learn, each with its unit, its bounds and what it belongs to. What it starts from
 * stands in the tables of `process/`, since it goes by the kind of the thing.
 */
export const PARAMS = {
  batterDensity: param('batter.density', 'g/ml', 'Batter density', [0.2, 1.5], 'formula'),
  cakeDensity: param('cake.density', 'g/ml', 'Cake density', [0.1, 1.2], 'formula'),
  bakeLoss: param('bake.lossShare', 'share', 'Lost in baking', [0, 0.5], 'tin'),
  scoopFill: param('scoop.fill', 'times', 'A level scoop against its number', [0.4, 2], 'scoop'),
  portionScatter: param('portion.scatter', 'share', 'Portions scatter by', [0, 0.4], 'portioning'),
  workPace: param('work.pace', 'times', 'Hands against the usual', [0.2, 5], 'step'),
  rackRatio: param('oven.racks', 'times', 'Top of the oven against the bottom', [0.5, 2], 'oven'),
  bowlLoss: param('bowl.lossShare', 'share', 'Left on bowl and spoon', [0, 0.3], 'kitchen'),
  eggMass: param('egg.mass', 'g', 'One egg without its shell', [5, 150], 'kitchen'),
  batterTemperature: param('batter.temperature', '°C', 'Batter as it goes in', [0, 60], 'kitchen'),
  doneAt: param('cake.done', '°C', 'Done at the centre', [60, 105], 'formula'),
  bakeFactor: param('bake.factor', 'times', 'This oven and batter against the usual', [0.5, 2], 'oven'),
  fanFactor: param('oven.fan', 'times', 'What the fan does', [0.8, 2.5], 'oven'),
  tinOwn: param('tin.own', 'times', 'This tin against its kind', [0.5, 2], 'tin'),
  turnaround: param('turnaround', 's', 'Between two loads', [0, 3600], 'oven'),
  roomTemperature: param('room.temperature', '°C', 'Room', [0, 45], 'kitchen'),
  coolConstant: param('cool.constant', 's', 'Cooling constant', [60, 14400], 'size'),
  ovenOffset: param('oven.offset', 'K', 'Oven above its setting', [-60, 60], 'oven', 'this run only'),

  mugVolume: param('mug.volume', 'ml', 'A mug to the brim', [60, 3000], 'mug'),
  mugTop: param('piece.top', 'mm', 'Top of a mug', [30, 200], 'mug'),
  microStart: param('micro.start', '°C', 'Batter as it goes in', [0, 60], 'kitchen'),
  microDone: param('micro.done', '°C', 'Done at', [60, 105], 'kitchen'),
  microSteam: param('micro.steam', 'share', 'Steams away', [0, 0.4], 'microwave'),
  microFactor: param('micro.factor', 'times', 'This oven against the sum', [0.3, 3], 'microwave'),

  doughDensity: param('dough.density', 'g/ml', 'Dough density', [0.6, 1.6], 'kitchen'),
  handLoss: param('hand.lossShare', 'share', 'Left on hands and bench', [0, 0.2], 'kitchen'),
  bindFactor: param('bind.factor', 'times', 'This crumb against the usual', [0.2, 4], 'binder'),
  trimShare: param('trim.share', 'share', 'Crust trimmed off', [0, 0.6], 'kitchen', 'this run only'),
  breakage: param('breakage', 'share', 'Falls aside', [0, 0.3], 'kitchen'),
  crumbMass: param('crumb.mass', 'g', 'Crumb on the table', [0, 100_000], 'kitchen', 'this run only'),
  leftoverMass: param('leftover.mass', 'g', 'Leftover cake', [1, 100_000], 'kitchen', 'this run only'),
  leftoverFrosting: param(
    'leftover.frosting',
    'share',
    'Frosting on it',
    [0, 0.9],
    'kitchen',
    'this run only',
  ),
  addIn: param('addin.mass', 'g', 'Added to the dough', [0, 20_000], 'kitchen', 'this run only'),

  coatDensity: param('coat.density', 'g/ml', 'Melted coat, density', [0.9, 1.6], 'kitchen'),
  coatThickness: param('coat.mm', 'mm', 'Coat, thick', [0.2, 6], 'coat'),
  coatDrips: param('coat.dripShare', 'share', 'Drips and film', [0, 0.6], 'coat'),
  anchor: param('anchor.each', 'g', 'Coat that anchors a stick', [0, 10], 'kitchen'),
  shellThickness: param('shell.mm', 'mm', 'Shell, thick', [0.3, 8], 'mould', 'this run only'),
  patchShare: param('patch.share', 'share', 'Pieces to patch', [0, 1], 'mould'),
  setting: param('set.usual', 's', 'Sets, usual', [1, 86_400], 'stage'),

  corePlug: param('core.plug', 'share', 'Plug that goes back', [0, 0.9], 'kitchen'),
  fillingDensity: param('filling.density', 'g/ml', 'Filling, density', [0.2, 1.6], 'filling'),
  fillingEach: param('filling.each', 'g', 'Filling in a piece', [0, 300], 'filling', 'this run only'),
  fillingChannel: param('filling.channel', 'g', 'In one channel', [0.5, 100], 'filling', 'this run only'),
  fillingThickness: param('filling.mm', 'mm', 'Filling, thick', [0.5, 20], 'filling'),
  frostingStyle: param('frosting.style', 'g', 'Frosting on a standard top', [1, 300], 'frosting'),
  frostingDensity: param('frosting.density', 'g/ml', 'Density of a frosting', [0.1, 1.6], 'frosting'),
  bagLoss: param('bag.loss', 'g', 'Left in a bag', [0, 100], 'kitchen'),
  coverMass: param('cover.mass', 'g/cm²', 'Topping on a cm²', [0, 3], 'cover'),
  toppingEach: param('topping.each', 'g', 'Topping on a piece', [0, 200], 'kitchen', 'this run only'),
  soakShare: param(
    'soak.share',
    'share',
    'Soaked in, share of the cake',
    [0.02, 0.6],
    'kitchen',
    'this run only',
  ),
} as const;

const BY_KEY: ReadonlyMap<string, Param> = new Map(Object.values<Param>(PARAMS).map((one) => [one.key, one]));

/** The parameter of that key; null where there is none. */
export const paramOf = (key: string): Param | null => BY_KEY.get(key) ?? null;
