import { AS_IT_IS } from '../../figure';
import { barVolumeMl, bowlVolumeMl, wellVolumeMl } from '../../piece';
import { BAKE_LOSS, FINISHES, TIN_RULER_MM } from '../../process/batter.table';
import { barLengthMm, type WellsContext } from './wellsContext';
import { type Figures, toScale } from '../figures';
import { addDensities } from '../links/batch';
import { addScoops } from '../links/scoops';

/** The well, how the batter rises in it, and what goes into one. */
export function addFill(ledger: Figures, context: WellsContext): void {
  const { line, method, formula, run } = context;
  addWell(ledger, context);
  const volume = ledger.value('well.volume');
  addDensities(ledger, '', method);
  const loss = BAKE_LOSS.find(({ belowMl }) => volume < belowMl);
  if (!loss) throw new Error('invariant: the last class of wells has no end');
  ledger.start(
    'bake.lossShare',
    'Lost in baking',
    'share',
    loss.loss,
    `Water that a ${loss.name} piece loses in the oven. Weigh a filled well, then the cake, to know yours.`,
    { min: 0, max: 0.5 },
  );
  ledger.calc(
    'rise',
    'Rise',
    'times',
    '(1 − {bake.lossShare}) × {batter.density} ÷ {cake.density}',
    (lost = 0, batter = 0, cake = 1) => ((1 - lost) * batter) / cake,
    'How many times its own volume the batter takes up as cake: what is left after baking, at the density of cake.',
  );
  const room = line.baseLayer ? addLayer(ledger, line.baseLayer) : 'well.volume';
  addPortion(ledger, line.fill, run.kitchen.scaleStepG, formula.name, room);
  addScoops(ledger, run.kitchen, 'a well', method);
  ledger.calc(
    'fill.share',
    'Filled',
    'share',
    `{portion.mass} ÷ ({${room}} × {batter.density})`,
    (portion = 0, well = 1, density = 1) => portion / (well * density),
    'The share of the well that the weighed batter takes up before baking.',
  );
  ledger.calc(
    'finish.share',
    'Cake against the well',
    'share',
    `{portion.mass} × (1 − {bake.lossShare}) ÷ ({cake.density} × {${room}})`,
    (portion = 0, lost = 0, density = 1, well = 1) => (portion * (1 - lost)) / (density * well),
    'The volume of the baked cake against the well to its brim: 95 % is flat, 108 % a gentle dome, over 130 % runs over.',
  );
}

function addWell(ledger: Figures, { tin }: WellsContext): void {
  const shape = tin.shape ?? 'frustum';
  const side = (id: string, label: string, value: number) =>
    ledger.root(
      id,
      label,
      'mm',
      value,
      TIN_RULER_MM,
      'geometry',
      `Measured on the tin "${tin.name}" in Kitchen; a ruler across rounded corners is a little off.`,
    );
  if (shape === 'bar') side('well.length', 'Length of the well', barLengthMm(tin));
  side('well.top', shape === 'bar' ? 'Width of the well' : 'Top of the well', tin.topMm);
  if (shape !== 'bowl') side('well.base', 'Base of the well', tin.baseMm);
  side('well.depth', 'Depth of the well', tin.depthMm);
  const pin = { pin: { min: 5, max: 5000 } };
  const label = 'A well to the brim';
  const water = 'Fill one with water and weigh it to know better: {100 ml} of it weigh {100 g}.';
  switch (shape) {
    case 'frustum':
      ledger.calc(
        'well.volume',
        label,
        'ml',
        'π × {well.depth} ÷ 12 × ({well.top}² + {well.top} × {well.base} + {well.base}²) ÷ 1000',
        (depth = 0, top = 0, base = 0) => wellVolumeMl(top, base, depth),
        `A well is a cone with its point cut off. ${water}`,
        pin,
      );
      return;
    case 'bowl':
      ledger.calc(
        'well.volume',
        label,
        'ml',
        'π × {well.top}² × {well.depth} ÷ 6 ÷ 1000',
        bowlVolumeMl,
        `A bowl is half a ball, or half an egg where it is deeper or flatter. ${water}`,
        pin,
      );
      return;
    case 'bar':
      ledger.calc(
        'well.volume',
        label,
        'ml',
        '{well.depth} ÷ 6 × ({well.length} × {well.top} + ({well.length} − {well.top} + {well.base}) × {well.base} + (2 × {well.length} − {well.top} + {well.base}) × ({well.top} + {well.base})) ÷ 1000',
        (depth = 0, length = 0, top = 0, base = 0) => barVolumeMl(length, top, base, depth),
        `A bar with sloping sides, narrower at its base on every side by the same. ${water}`,
        pin,
      );
  }
}

function addLayer(
  ledger: Figures,
  layer: { readonly what: string; readonly massG: number; readonly density: number },
): string {
  ledger.given(
    'layer.mass',
    `${layer.what} in a well`,
    'g',
    layer.massG,
    'stated',
    'It goes in first, as chosen.',
  );
  ledger.given(
    'layer.density',
    `${layer.what}, density`,
    'g/ml',
    layer.density,
    'stated',
    'As stated for it; 1 is that of water.',
  );
  ledger.calc(
    'well.free',
    'Room above the base layer',
    'ml',
    '{well.volume} − {layer.mass} ÷ {layer.density}, at least 0.05 × {well.volume}',
    // Never less than a twentieth of the well: a layer that fills it is told by the finish, not by a failure.
    (well = 0, mass = 0, density = 1) => Math.max(well - mass / density, well * 0.05),
    'What lies below takes room from the batter.',
  );
  return 'well.free';
}

function addPortion(
  ledger: Figures,
  fill: WellsContext['line']['fill'],
  stepG: number,
  formula: string,
  room: string,
): void {
  const decided = { decide: toScale(stepG), pin: { min: 1, max: 5000 } };
  const portion = (sum: string, f: (...v: number[]) => number, sentence: string, more = decided) =>
    ledger.calc('portion.mass', 'Batter in a well', 'g', sum, f, sentence, more);
  switch (fill.by) {
    case 'finish': {
      const finish = FINISHES[fill.finish];
      ledger.given(
        'finish.aim',
        `Finish wanted: ${finish.name}`,
        'share',
        finish.share,
        'stated',
        `${finish.meaning} Chosen for this run.`,
      );
      ledger.calc(
        'portion.aim',
        'Batter for that finish',
        'g',
        `{finish.aim} ÷ {rise} × {${room}} × {batter.density}`,
        (aim = 0, rise = 1, well = 0, density = 0) => (aim / rise) * well * density,
        'What a well needs so that the cake, once risen, ends where it should.',
      );
      portion(
        '{portion.aim}, rounded',
        (aim = 0) => aim,
        `What to weigh into each well: the batter for a ${finish.name} cake, to the step of the scale.`,
      );
      return;
    }
    case 'share':
      ledger.given(
        'fill.rule',
        'Filled by rule of thumb',
        'share',
        fill.share,
        'stated',
        'The share of the well that this run fills, as chosen.',
      );
      portion(
        `{fill.rule} × {${room}} × {batter.density}, rounded`,
        (share = 0, well = 0, density = 0) => share * well * density,
        'What to weigh into each well to fill it to that share.',
      );
      return;
    case 'mass':
      ledger.given(
        'portion.stated',
        'Batter in a well, as chosen',
        'g',
        fill.massG,
        'stated',
        `The weight chosen for each well of ${formula}.`,
      );
      portion(
        '{portion.stated}',
        (mass = 0) => mass,
        'What to weigh into each well, as chosen for this run.',
        { ...decided, decide: AS_IT_IS },
      );
  }
}
