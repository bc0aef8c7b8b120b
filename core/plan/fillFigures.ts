import { AS_IT_IS, type Decision, type Ledger } from '../figure';
import { BAKE_LOSS, FINISHES, TIN_RULER_MM, type Start } from '../process/batter.table';
import { wellVolumeMl } from '../piece';
import type { LineContext } from './context';

/** Adds a starting value from a table. */
export function start(
  ledger: Ledger,
  id: string,
  label: string,
  unit: Parameters<Ledger['input']>[0]['unit'],
  from: Start,
  sentence: string,
  replace?: { min: number; max: number },
): void {
  ledger.input({ id, label, unit, ...from, sentence, ...(replace ? { replace } : {}) });
}

/** To the step of the scale, g. */
export function toScale(stepG: number): Decision {
  return { step: stepG, how: 'nearest', least: stepG };
}

/** The well, how the batter rises in it, and what goes into one. */
export function addFill(ledger: Ledger, { line, tin, method, formula, kitchen }: LineContext): void {
  const sides = [
    ['top', 'Top of the well', tin.topMm],
    ['base', 'Base of the well', tin.baseMm],
    ['depth', 'Depth of the well', tin.depthMm],
  ] as const;
  for (const [side, label, value] of sides) {
    ledger.input({
      id: `well.${side}`,
      label,
      unit: 'mm',
      value,
      spread: TIN_RULER_MM,
      basis: 'geometry',
      sentence: `Measured on the tin "${tin.name}" in Kitchen; a ruler across rounded corners is a little off.`,
    });
  }
  ledger.derive({
    id: 'well.volume',
    label: 'A well to the brim',
    unit: 'ml',
    from: ['well.top', 'well.base', 'well.depth'],
    f: (top = 0, base = 0, depth = 0) => wellVolumeMl(top, base, depth),
    sentence:
      'A well is a cone with its point cut off. Fill one with water and weigh it to know better: 1 g is 1 ml.',
    sum: 'π × {well.depth} ÷ 12 × ({well.top}² + {well.top} × {well.base} + {well.base}²)',
    pin: { min: 5, max: 5000 },
  });
  const volume = ledger.value('well.volume');
  start(
    ledger,
    'batter.density',
    'Batter density',
    'g/ml',
    method.batterDensity,
    `Usual for a ${method.name} batter. To measure yours: weigh a level cup of batter, then the same cup of water, and divide.`,
    { min: 0.2, max: 1.5 },
  );
  start(
    ledger,
    'cake.density',
    'Cake density',
    'g/ml',
    method.cakeDensity,
    `Usual for the cake of a ${method.name} batter, crust and all.`,
    { min: 0.1, max: 1.2 },
  );
  const loss = BAKE_LOSS.find(({ belowMl }) => volume < belowMl);
  if (!loss) throw new Error('invariant: the last class of wells has no end');
  start(
    ledger,
    'bake.lossShare',
    'Lost in baking',
    'share',
    loss.loss,
    `Water that a ${loss.name} piece loses in the oven. Weigh a filled well, then the cake, to know yours.`,
    { min: 0, max: 0.5 },
  );
  ledger.derive({
    id: 'rise',
    label: 'Rise',
    unit: 'times',
    from: ['bake.lossShare', 'batter.density', 'cake.density'],
    f: (lost = 0, batter = 0, cake = 1) => ((1 - lost) * batter) / cake,
    sentence:
      'How many times its own volume the batter takes up as cake: what is left after baking, at the density of cake.',
    sum: '(1 − {bake.lossShare}) × {batter.density} ÷ {cake.density}',
  });
  addPortion(ledger, line.fill, kitchen.scaleStepG, formula.name);
  ledger.derive({
    id: 'fill.share',
    label: 'Filled',
    unit: 'share',
    from: ['portion.mass', 'well.volume', 'batter.density'],
    f: (portion = 0, well = 1, density = 1) => portion / (well * density),
    sentence: 'The share of the well that the weighed batter takes up before baking.',
    sum: '{portion.mass} ÷ ({well.volume} × {batter.density})',
  });
  ledger.derive({
    id: 'finish.share',
    label: 'Cake against the well',
    unit: 'share',
    from: ['portion.mass', 'well.volume', 'cake.density', 'bake.lossShare'],
    f: (portion = 0, well = 1, density = 1, lost = 0) => (portion * (1 - lost)) / (density * well),
    sentence:
      'The volume of the baked cake against the well to its brim: 95 % is flat, 108 % a gentle dome, over 130 % runs over.',
    sum: '{portion.mass} × (1 − {bake.lossShare}) ÷ ({cake.density} × {well.volume})',
  });
}

function addPortion(ledger: Ledger, fill: LineContext['line']['fill'], stepG: number, formula: string): void {
  const decided = {
    id: 'portion.mass',
    label: 'Batter in a well',
    unit: 'g' as const,
    decide: toScale(stepG),
    pin: { min: 1, max: 5000 },
  };
  switch (fill.by) {
    case 'finish': {
      const finish = FINISHES[fill.finish];
      ledger.input({
        id: 'finish.aim',
        label: `Finish wanted: ${finish.name}`,
        unit: 'share',
        value: finish.share,
        spread: 0,
        basis: 'stated',
        sentence: `${finish.meaning} Chosen for this run.`,
      });
      ledger.derive({
        id: 'portion.aim',
        label: 'Batter for that finish',
        unit: 'g',
        from: ['finish.aim', 'rise', 'well.volume', 'batter.density'],
        f: (aim = 0, rise = 1, well = 0, density = 0) => (aim / rise) * well * density,
        sentence: 'What a well needs so that the cake, once risen, ends where it should.',
        sum: '{finish.aim} ÷ {rise} × {well.volume} × {batter.density}',
      });
      ledger.derive({
        ...decided,
        from: ['portion.aim'],
        f: (aim = 0) => aim,
        sentence: `What to weigh into each well: the batter for a ${finish.name} cake, to the step of the scale.`,
        sum: '{portion.aim}, rounded',
      });
      return;
    }
    case 'share':
      ledger.input({
        id: 'fill.rule',
        label: 'Filled by rule of thumb',
        unit: 'share',
        value: fill.share,
        spread: 0,
        basis: 'stated',
        sentence: 'The share of the well that this run fills, as chosen.',
      });
      ledger.derive({
        ...decided,
        from: ['fill.rule', 'well.volume', 'batter.density'],
        f: (share = 0, well = 0, density = 0) => share * well * density,
        sentence: 'What to weigh into each well to fill it to that share.',
        sum: '{fill.rule} × {well.volume} × {batter.density}, rounded',
      });
      return;
    case 'mass':
      ledger.input({
        id: 'portion.stated',
        label: 'Batter in a well, as chosen',
        unit: 'g',
        value: fill.massG,
        spread: 0,
        basis: 'stated',
        sentence: `The weight chosen for each well of ${formula}.`,
      });
      ledger.derive({
        ...decided,
        from: ['portion.stated'],
        f: (mass = 0) => mass,
        decide: AS_IT_IS,
        sentence: 'What to weigh into each well, as chosen for this run.',
        sum: '{portion.stated}',
      });
  }
}
