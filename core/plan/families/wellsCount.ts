import { evenLoads, fullLoads } from '../../process/loads';
import type { Limit } from '../chain';
import { addMade, counted, type Supplied } from '../links/count';
import { tinsAtOnce, type WellsContext } from './wellsContext';
import { type Figures } from '../figures';

export interface LoadPlan {
  readonly sizes: readonly number[];
  /** The same pieces with all loads but the last full; equal to `sizes` where that is even already. */
  readonly unevened: readonly number[];
  readonly wellsPerLoad: number;
  readonly tins: number;
}

export interface LoadMinutes {
  readonly free: number;
  readonly perLoad: number;
}

/** Wells that are filled for the pieces wanted, and with the halves that are spare. Returns the figure of it. */
export function addWellsWanted(ledger: Figures, { line, wellsEach }: WellsContext): string {
  if (wellsEach === 1) return 'count.wanted';
  const spare = line.family === 'mini' ? line.spareHalves : 0;
  ledger.given(
    'halves.spare',
    'Spare halves',
    'pieces',
    spare,
    'stated',
    'Baked beyond the pairs, for those that break, as chosen.',
  );
  ledger.calc(
    'wells.wanted',
    'Halves wanted',
    'pieces',
    '2 × {count.wanted} + {halves.spare}',
    (count = 0, more = 0) => 2 * count + more,
    'Two to a piece, and the spares.',
  );
  return 'wells.wanted';
}

/** What the bowl gives, what tins, liners and time allow, how many are made and in how many loads. */
export function addCount(
  ledger: Figures,
  context: WellsContext,
  bowl: string,
  minutes: LoadMinutes | null,
  more: readonly Supplied[],
): { limits: Limit[]; loads: LoadPlan; wellsId: string } {
  const { line, tin, oven, wellsEach, many } = context;
  ledger.calc(
    'batter.bowlLoss',
    'Left on bowl and spoon',
    'g',
    `{${bowl}} × {bowl.lossShare}`,
    (mixed = 0, lost = 0) => mixed * lost,
    'What no spatula gets out.',
  );
  ledger.calc(
    'batter.ready',
    'Batter to portion',
    'g',
    `{${bowl}} − {batter.bowlLoss}`,
    (mixed = 0, lost = 0) => mixed - lost,
    'What is left to fill wells with.',
  );
  ledger.calc(
    'count.batter',
    'The batter allows',
    'pieces',
    wellsEach === 2
      ? '{batter.ready} ÷ {portion.mass} ÷ 2, whole ones'
      : '{batter.ready} ÷ {portion.mass}, whole ones',
    (ready = 0, portion = 1) => ready / portion / wellsEach,
    'As many full wells as the batter fills.',
    { whole: 'floor' },
  );
  const tins = tinsAtOnce(tin, oven);
  ledger.given(
    'tin.wells',
    'Wells in a tin',
    'pieces',
    tin.wells,
    'counted',
    `As many as "${tin.name}" has.`,
  );
  ledger.given(
    'tin.atOnce',
    'Tins in the oven at once',
    'pieces',
    tins,
    'counted',
    `${tin.owned} owned; "${oven.name}" holds ${oven.racks * oven.tinsPerRack}.`,
  );
  const perLoad = ledger.calc(
    'wells.perLoad',
    'Wells in one load',
    'pieces',
    '{tin.wells} × {tin.atOnce}',
    (wells = 0, n = 0) => wells * n,
    'Wells that go into the oven together.',
  );
  const limits = addMade(
    ledger,
    [
      { supply: 'batter', figureId: 'count.batter', words: 'what is in the bowl' },
      loadsLimit(ledger, context, perLoad),
      ...minutesLimit(ledger, minutes, wellsEach),
      ...(line.family === 'cupcake'
        ? counted(ledger, 'liners', 'liners', line.linersOnHand, 'paper cases')
        : []),
      ...more,
    ],
    many,
  );
  const made = ledger.value('count.made');
  let wellsId = 'count.made';
  if (wellsEach === 2) {
    wellsId = 'wells.made';
    ledger.calc(
      wellsId,
      'Halves baked',
      'pieces',
      'the smallest of 2 × {count.made} + {halves.spare} and {batter.ready} ÷ {portion.mass}, whole ones',
      (count = 0, more = 0, ready = 0, portion = 1) => Math.min(2 * count + more, ready / portion),
      'The pairs, and as many spares as the batter fills.',
      { whole: 'floor' },
    );
  }
  const wells = wellsEach === 2 ? ledger.value(wellsId) : made;
  ledger.calc(
    'loads.count',
    'Loads',
    'loads',
    `{${wellsId}} ÷ {wells.perLoad}, rounded up`,
    (count = 0, each = 1) => count / each,
    'As few as the wells allow, evened out so that all bake alike.',
    { whole: 'ceil' },
  );
  return {
    limits,
    wellsId,
    loads: {
      sizes: evenLoads(wells, perLoad),
      unevened: fullLoads(wells, perLoad),
      wellsPerLoad: perLoad,
      tins,
    },
  };
}

/** Without a bound on loads the tins allow as many loads as the order needs; with one, that many. */
function loadsLimit(ledger: Figures, { line, wellsEach }: WellsContext, perLoad: number): Supplied {
  const { maxLoads } = line;
  const wanted = ledger.value(wellsEach === 2 ? 'wells.wanted' : 'count.wanted');
  ledger.given(
    'loads.allowed',
    maxLoads === null ? 'Loads that the order needs' : 'Loads at most',
    'loads',
    maxLoads ?? Math.ceil(wanted / perLoad),
    maxLoads === null ? 'counted' : 'stated',
    maxLoads === null
      ? 'No bound was set, so as many loads as the order needs. Set one in Pieces.'
      : 'The most loads this run may take, as chosen.',
  );
  ledger.calc(
    'count.tins',
    'The tins allow',
    'pieces',
    wellsEach === 2
      ? '{wells.perLoad} × {loads.allowed} ÷ 2, whole ones'
      : '{wells.perLoad} × {loads.allowed}',
    (wells = 0, n = 0) => (wells * n) / wellsEach,
    'Wells in one load, times the loads.',
    wellsEach === 2 ? { whole: 'floor' } : {},
  );
  return {
    supply: maxLoads === null ? 'tins' : 'loads',
    figureId: 'count.tins',
    words: 'wells and loads',
  };
}

function minutesLimit(ledger: Figures, minutes: LoadMinutes | null, wellsEach: number): Supplied[] {
  if (!minutes) return [];
  ledger.given(
    'minutes.free',
    'Left for loads in the oven',
    's',
    minutes.free * 60,
    'counted',
    'From now until it must be ready, less weighing, mixing and filling. Cooling is not counted: they would be warm.',
  );
  ledger.given(
    'load.minutes',
    'One load and its turnaround',
    's',
    minutes.perLoad * 60,
    'typical',
    'The longer end of the baking time, and the door open between two loads.',
  );
  ledger.calc(
    'count.minutes',
    'The clock allows',
    'pieces',
    `whole loads of ({minutes.free} ÷ {load.minutes}) × {wells.perLoad}${wellsEach === 2 ? ' ÷ 2' : ''}, whole ones`,
    (free = 0, each = 1, wells = 0) => (Math.floor(free / each + 1e-9) * wells) / wellsEach,
    'Whole loads that still fit before it must be ready.',
    { whole: 'floor' },
  );
  return [{ supply: 'minutes', figureId: 'count.minutes', words: 'the time left' }];
}
