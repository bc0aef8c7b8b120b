import type { Ledger } from '../figure';
import { evenLoads, fullLoads } from '../process/loads';
import { tinsAtOnce, type LineContext } from './context';

export type Supply = 'batter' | 'tins' | 'loads' | 'minutes';

/** What one supply allows. */
export interface Limit {
  readonly supply: Supply;
  readonly figureId: string;
  readonly pieces: number;
  /** One sentence that says how. */
  readonly words: string;
  /** The smallest of all limits. */
  readonly limiting: boolean;
  /** Fewer than were wanted. */
  readonly short: boolean;
}

export interface LoadPlan {
  readonly sizes: readonly number[];
  /** The same pieces with all loads but the last full; equal to `sizes` where that is even already. */
  readonly unevened: readonly number[];
  readonly wellsPerLoad: number;
  readonly tins: number;
}

/** What the bowl gives, what tins and time allow, and how many are made. */
export function addCount(
  ledger: Ledger,
  context: LineContext,
  minutesForLoads: { readonly free: number; readonly perLoad: number } | null,
): { limits: Limit[]; loads: LoadPlan } {
  const { line, tin, oven } = context;
  ledger.derive({
    id: 'batter.bowlLoss',
    label: 'Left on bowl and spoon',
    unit: 'g',
    from: ['batter.mixed', 'bowl.lossShare'],
    f: (mixed = 0, lost = 0) => mixed * lost,
    sentence: 'What no spatula gets out.',
    sum: '{batter.mixed} × {bowl.lossShare}',
  });
  ledger.derive({
    id: 'batter.ready',
    label: 'Batter to portion',
    unit: 'g',
    from: ['batter.mixed', 'batter.bowlLoss'],
    f: (mixed = 0, lost = 0) => mixed - lost,
    sentence: 'What is left to fill wells with.',
    sum: '{batter.mixed} − {batter.bowlLoss}',
  });
  ledger.derive({
    id: 'count.batter',
    label: 'The batter allows',
    unit: 'pieces',
    from: ['batter.ready', 'portion.mass'],
    f: (ready = 0, portion = 1) => ready / portion,
    whole: 'floor',
    sentence: 'As many full wells as the batter fills.',
    sum: '{batter.ready} ÷ {portion.mass}, whole ones',
  });
  const tins = tinsAtOnce(tin, oven);
  for (const [id, label, value, sentence] of [
    ['tin.wells', 'Wells in a tin', tin.wells, `As many as "${tin.name}" has.`],
    [
      'tin.atOnce',
      'Tins in the oven at once',
      tins,
      `${tin.owned} owned; "${oven.name}" holds ${oven.racks * oven.tinsPerRack}.`,
    ],
  ] as const) {
    ledger.input({ id, label, unit: 'pieces', value, spread: 0, basis: 'counted', sentence });
  }
  ledger.derive({
    id: 'wells.perLoad',
    label: 'Wells in one load',
    unit: 'pieces',
    from: ['tin.wells', 'tin.atOnce'],
    f: (wells = 0, n = 0) => wells * n,
    sentence: 'Wells that go into the oven together.',
    sum: '{tin.wells} × {tin.atOnce}',
  });
  const perLoad = ledger.value('wells.perLoad');
  const limits = [
    { supply: 'batter' as const, figureId: 'count.batter', words: 'what is in the bowl' },
    loadsLimit(ledger, line.maxLoads, perLoad),
    ...minutesLimit(ledger, minutesForLoads),
  ].map((limit) => ({ ...limit, pieces: ledger.value(limit.figureId) }));
  ledger.derive({
    id: 'count.made',
    label: 'Cupcakes made',
    unit: 'pieces',
    from: ['count.wanted', ...limits.map(({ figureId }) => figureId)],
    f: (...counts) => Math.max(0, Math.min(...counts)),
    whole: 'floor',
    sentence: 'The smallest of what was wanted and what every supply allows.',
    sum: ['{count.wanted}', ...limits.map(({ figureId }) => `{${figureId}}`)].join(' or ') + ', the smallest',
  });
  const made = ledger.value('count.made');
  const fewest = Math.min(...limits.map(({ pieces }) => pieces));
  const sizes = evenLoads(made, perLoad);
  ledger.derive({
    id: 'loads.count',
    label: 'Loads',
    unit: 'loads',
    from: ['count.made', 'wells.perLoad'],
    f: (count = 0, wells = 1) => count / wells,
    whole: 'ceil',
    sentence: 'As few as the wells allow, evened out so that all bake alike.',
    sum: '{count.made} ÷ {wells.perLoad}, rounded up',
  });
  return {
    limits: limits.map((limit) => ({
      ...limit,
      limiting: limit.pieces === fewest,
      short: limit.pieces < line.count,
    })),
    loads: { sizes, unevened: fullLoads(made, perLoad), wellsPerLoad: perLoad, tins },
  };
}

/** Without a bound on loads the tins allow as many loads as the order needs; with one, that many. */
function loadsLimit(ledger: Ledger, maxLoads: number | null, perLoad: number) {
  const wanted = ledger.value('count.wanted');
  const loads = maxLoads ?? Math.ceil(wanted / perLoad);
  ledger.input({
    id: 'loads.allowed',
    label: maxLoads === null ? 'Loads that the order needs' : 'Loads at most',
    unit: 'loads',
    value: loads,
    spread: 0,
    basis: maxLoads === null ? 'counted' : 'stated',
    sentence:
      maxLoads === null
        ? 'No bound was set, so as many loads as the order needs. Set one in Pieces.'
        : 'The most loads this run may take, as chosen.',
  });
  ledger.derive({
    id: 'count.tins',
    label: 'The tins allow',
    unit: 'pieces',
    from: ['wells.perLoad', 'loads.allowed'],
    f: (wells = 0, n = 0) => wells * n,
    sentence: 'Wells in one load, times the loads.',
    sum: '{wells.perLoad} × {loads.allowed}',
  });
  return {
    supply: maxLoads === null ? ('tins' as const) : ('loads' as const),
    figureId: 'count.tins',
    words: 'wells and loads',
  };
}

function minutesLimit(ledger: Ledger, minutes: { readonly free: number; readonly perLoad: number } | null) {
  if (!minutes) return [];
  ledger.input({
    id: 'minutes.free',
    label: 'Left for loads in the oven',
    unit: 's',
    value: minutes.free * 60,
    spread: 0,
    basis: 'counted',
    sentence:
      'From now until it must be ready, less weighing, mixing and filling. Cooling is not counted: they would be warm.',
  });
  ledger.input({
    id: 'load.minutes',
    label: 'One load and its turnaround',
    unit: 's',
    value: minutes.perLoad * 60,
    spread: 0,
    basis: 'typical',
    sentence: 'The longer end of the baking time, and the door open between two loads.',
  });
  ledger.derive({
    id: 'count.minutes',
    label: 'The clock allows',
    unit: 'pieces',
    from: ['minutes.free', 'load.minutes', 'wells.perLoad'],
    f: (free = 0, each = 1, wells = 0) => Math.floor(free / each + 1e-9) * wells,
    sentence: 'Whole loads that still fit before it must be ready.',
    sum: '{minutes.free} ÷ {load.minutes}, whole loads, × {wells.perLoad}',
  });
  return [{ supply: 'minutes' as const, figureId: 'count.minutes', words: 'the time left' }];
}
