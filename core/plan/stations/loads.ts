import { minus, over, plus, smallestOf, times, wholeOf, type Ref } from '../../figure';
import type { OvenDoc, TinDoc } from '../../model/documents';
import { HANDS } from '../../process/oven.table';
import type { MethodDef } from '../../process/batter.table';
import { evenLoads, fullLoads } from '../../process/loads';
import type { RunContext } from '../context';
import type { PlanFigures } from '../figures';
import { LOADS } from './bake.words';
import type { BowlPart } from './batch';
import { BATCH } from './batch.words';
import { addMade, CLOCK_LIMITS_WITHIN_MIN, type CountPart, type Supplied } from './count';

export interface LoadPlan {
  readonly sizes: readonly number[];
  /** The same pieces with all loads but the last full; equal to `sizes` where that is even already. */
  readonly unevened: readonly number[];
  readonly wellsPerLoad: number;
  readonly tins: number;
}

/** Tins of that kind that go into the oven at once. */
export const tinsAtOnce = (tin: TinDoc, oven: OvenDoc): number =>
  Math.min(tin.owned, oven.racks * oven.tinsPerRack);

/** Wells that are filled for the pieces wanted. */
export interface WantedWells {
  readonly wells: Ref<'pieces'>;
  /** Halves baked beyond the pairs; null where a piece is one well. */
  readonly spare: Ref<'pieces'> | null;
}

/** Two wells a piece and the halves that are spare, or one a piece. */
export function addWellsWanted(
  f: PlanFigures,
  wanted: Ref<'pieces'>,
  spareHalves: number | null,
): WantedWells {
  if (spareHalves === null) return { wells: wanted, spare: null };
  const spare = f.given('halves.spare', LOADS.spare, 'pieces', spareHalves, 'stated');
  const wells = f.sum('wells.wanted', LOADS.halvesWanted, 'pieces', plus(times(2, wanted), spare));
  return { wells, spare };
}

export interface LoadSpec {
  readonly wanted: Ref<'pieces'>;
  readonly wantedWells: WantedWells;
  readonly portion: Ref<'g'>;
  readonly bowlLoss: Ref<'share'>;
  readonly bowl: BowlPart;
  readonly bakeTime: Ref<'s'>;
  readonly tin: TinDoc;
  readonly oven: OvenDoc;
  readonly method: MethodDef;
  readonly maxLoads: number | null;
  readonly many: string;
  readonly supplies: readonly Supplied[];
}

export interface LoadsPart {
  readonly count: CountPart;
  readonly bowlLost: Ref<'g'>;
  readonly ready: Ref<'g'>;
  readonly byBatter: Ref<'pieces'>;
  readonly perLoad: Ref<'pieces'>;
  /** Wells that are baked: the pieces made, or their halves and the spares. */
  readonly wells: Ref<'pieces'>;
  readonly loads: Ref<'loads'>;
  readonly plan: LoadPlan;
}

/** What the bowl gives, what tins, liners and time allow, how many are made and in how many loads. */
export function addLoads(f: PlanFigures, run: RunContext, spec: LoadSpec): LoadsPart {
  const { bowl, bowlLoss, portion, tin, oven, wantedWells, many } = spec;
  const { spare } = wantedWells;
  const bowlLost = f.sum('batter.bowlLoss', BATCH.lost, 'g', times(bowl.own, bowlLoss));
  const ready = f.sum('batter.ready', LOADS.ready, 'g', minus(bowl.own, bowlLost));
  const fills = over(ready, portion);
  const byBatter = f.sum('count.batter', LOADS.allows, 'pieces', spare ? over(fills, 2) : fills, {
    whole: 'floor',
  });
  const tins = tinsAtOnce(tin, oven);
  const wellsOfTin = f.given('tin.wells', LOADS.wells(tin.name), 'pieces', tin.wells, 'counted');
  const atOnce = f.given(
    'tin.atOnce',
    LOADS.atOnce(tin.owned, oven.name, oven.racks * oven.tinsPerRack),
    'pieces',
    tins,
    'counted',
  );
  const perLoad = f.sum('wells.perLoad', LOADS.perLoad, 'pieces', times(wellsOfTin, atOnce));
  const supplies: Supplied[] = [
    { supply: 'batter', pieces: byBatter },
    loadsLimit(f, spec, perLoad),
    ...minutesLimit(f, run, spec, perLoad),
    ...spec.supplies,
  ];
  const count = addMade(f, spec.wanted, supplies, many);
  const wells = spare
    ? f.sum(
        'wells.made',
        LOADS.halvesMade,
        'pieces',
        smallestOf([plus(times(2, count.made), spare), over(ready, portion)]),
        { whole: 'floor' },
      )
    : count.made;
  const loads = f.sum('loads.count', LOADS.count, 'loads', over(wells, perLoad), { whole: 'ceil' });
  return {
    count,
    bowlLost,
    ready,
    byBatter,
    perLoad,
    wells,
    loads,
    plan: {
      sizes: evenLoads(wells.value, perLoad.value),
      unevened: fullLoads(wells.value, perLoad.value),
      wellsPerLoad: perLoad.value,
      tins,
    },
  };
}

/** Without a bound on loads the tins allow as many loads as the order needs; with one, that many. */
function loadsLimit(f: PlanFigures, { maxLoads, wantedWells }: LoadSpec, perLoad: Ref<'pieces'>): Supplied {
  const needed = Math.ceil(wantedWells.wells.value / perLoad.value);
  const allowed = f.given(
    'loads.allowed',
    LOADS.allowed(maxLoads),
    'loads',
    maxLoads ?? needed,
    maxLoads === null ? 'counted' : 'stated',
  );
  const all = times(perLoad, allowed);
  const pieces = wantedWells.spare
    ? f.sum('count.tins', LOADS.tins, 'pieces', over(all, 2), { whole: 'floor' })
    : f.sum('count.tins', LOADS.tins, 'pieces', all);
  return { supply: maxLoads === null ? 'tins' : 'loads', pieces };
}

/** Seconds at which the door stands open between two loads, as the clock's limit reckons it. */
const DOOR_S = 240;

/** Minutes between the earliest first load and the end of baking, and what one load takes of them. */
function minutesLimit(f: PlanFigures, run: RunContext, spec: LoadSpec, perLoad: Ref<'pieces'>): Supplied[] {
  if (run.asOfMin === null) return [];
  const { tin, oven, method, bakeTime, wanted, wantedWells } = spec;
  const loadS = bakeTime.high + DOOR_S;
  const firstLoad = Math.min(wanted.value * (wantedWells.spare ? 2 : 1), tin.wells * tinsAtOnce(tin, oven));
  // Cooling is left out here: the pieces exist, if warm; the day says when to start so that they are cool.
  const freeMin =
    run.readyMin - run.asOfMin - HANDS.weighOutMin - method.mixMin - (firstLoad * HANDS.fillWellS) / 60;
  // With no time for a single load there is nothing to plan by; the late start is said as a warning.
  if (freeMin * 60 < loadS || freeMin > CLOCK_LIMITS_WITHIN_MIN) return [];
  const free = f.given('minutes.free', LOADS.free, 's', freeMin * 60, 'counted');
  const each = f.given('load.minutes', LOADS.minutes, 's', loadS, 'typical');
  const wells = times(wholeOf(over(free, each)), perLoad);
  const pieces = f.sum('count.minutes', LOADS.clock, 'pieces', wantedWells.spare ? over(wells, 2) : wells, {
    whole: 'floor',
  });
  return [{ supply: 'minutes', pieces }];
}
