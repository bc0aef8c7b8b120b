import type { KitchenDoc, Line, OvenDoc, Place, RunDoc } from '../model/documents';
import { doughIn } from '../model/references';
import { Beliefs, PARAMS, scopeOf } from '../param';
import type { LoadTimes } from './clock';
import { clocksIn, type BakeClock } from './clocksIn';

const RACKS: Readonly<Record<number, readonly string[]>> = {
  1: [''],
  2: ['upper rack', 'lower rack'],
  3: ['top rack', 'middle rack', 'bottom rack'],
};
const TINS: Readonly<Record<number, readonly string[]>> = {
  1: [''],
  2: ['left', 'right'],
  3: ['left', 'middle', 'right'],
};

const isSame = (a: Place, b: Place): boolean => a.rack === b.rack && a.tin === b.tin;

/** The places of an oven, from the top and from the left; none where there is only one. */
export function placesOf({ racks, tinsPerRack: tins }: Pick<OvenDoc, 'racks' | 'tinsPerRack'>): Place[] {
  if (racks * tins <= 1) return [];
  return Array.from({ length: racks * tins }, (_, i) => ({
    rack: Math.floor(i / tins) + 1,
    racks,
    tin: (i % tins) + 1,
    tins,
  }));
}

const placeWord = ({ rack, racks, tin, tins }: Place): string =>
  [RACKS[racks]?.[rack - 1] ?? `rack ${rack}`, TINS[tins]?.[tin - 1] ?? `tin ${tin}`]
    .filter(Boolean)
    .join(', ');

/** "upper rack, left and upper rack, right"; empty where there is one place only. */
export const placeWords = (places: readonly Place[]): string => places.map(placeWord).join(' and ');

/** The oven that a line bakes in; undefined where it bakes in none, or in several. */
export function ovenOf(line: Line, { ovens }: Pick<KitchenDoc, 'ovens'>): OvenDoc | undefined {
  const baked = (doughIn(line)?.crumb ?? []).flatMap((part) => (part.from === 'bake' ? [part.ovenId] : []));
  const ids = new Set('ovenId' in line ? [line.ovenId] : baked);
  return ids.size === 1 ? ovens.find(({ id }) => ids.has(id)) : undefined;
}

/** Tins that a load of so many pieces stands in. */
function tinsOf(line: Line, pieces: number, { tins }: Pick<KitchenDoc, 'tins'>): number {
  const tin = 'tinId' in line ? tins.find(({ id }) => id === line.tinId) : undefined;
  return tin ? Math.max(1, Math.ceil(pieces / tin.wells)) : 1;
}

/**
 * Where a load goes that is put in now: the first free places of its oven, from the top. Nothing where the oven has one
 * place only, where the load fills it, or where no place is free.
 */
export function placeFor(
  run: Pick<RunDoc, 'log' | 'lines'>,
  { lineId, pieces }: Pick<BakeClock, 'lineId' | 'pieces'>,
  kitchen: Pick<KitchenDoc, 'ovens' | 'tins'>,
): readonly Place[] {
  const { lines } = run;
  const line = lines.find(({ id }) => id === lineId);
  const oven = line && ovenOf(line, kitchen);
  if (!line || !oven) return [];
  const all = placesOf(oven);
  const own = tinsOf(line, pieces, kitchen);
  if (own >= all.length) return [];
  const taken = clocksIn(run).flatMap(({ endedAt, places, lineId: other }) => {
    const beside = lines.find(({ id }) => id === other);
    return endedAt === null && beside && ovenOf(beside, kitchen)?.id === oven.id ? places : [];
  });
  return all.filter((one) => !taken.some((other) => isSame(one, other))).slice(0, own);
}

/** A rack above others, or below them; null for one between, or for the only one. */
export const levelOf = ({ rack, racks }: Place): 'above' | 'below' | null =>
  racks < 2 ? null : rack === 1 ? 'above' : rack === racks ? 'below' : null;

/** What the times of a load are multiplied by where it stands: of an oven whose top and bottom differ. */
function shareAt(
  places: readonly Place[],
  oven: OvenDoc | undefined,
  { beliefs }: Pick<KitchenDoc, 'beliefs'>,
): number {
  const [level = null, ...others] = new Set(places.map(levelOf));
  // A load on both racks goes by neither.
  if (!oven || level === null || others.length > 0) return 1;
  const found = new Beliefs(beliefs).find(PARAMS.rackRatio.key, [scopeOf('oven', oven.id)]);
  if (!found || found.mean <= 0) return 1;
  return Math.sqrt(level === 'above' ? found.mean : 1 / found.mean);
}

/** Times of a load that is moved from one place to another; from none for one that stood in none. */
export function timesAt(
  { firstLookS, expectedS, latestS }: LoadTimes,
  from: readonly Place[],
  to: readonly Place[],
  oven: OvenDoc | undefined,
  kitchen: Pick<KitchenDoc, 'beliefs'>,
): LoadTimes {
  const share = shareAt(to, oven, kitchen) / shareAt(from, oven, kitchen);
  return { firstLookS: firstLookS * share, expectedS: expectedS * share, latestS: latestS * share };
}

/** The place after this one, for a load that was put elsewhere; null where it has none of its own. */
export function nextPlace(places: readonly Place[], oven: OvenDoc | undefined): Place | null {
  const all = oven ? placesOf(oven) : [];
  const [own, ...others] = places;
  const at = own && others.length === 0 ? all.findIndex((one) => isSame(one, own)) : -1;
  return at < 0 ? null : (all[(at + 1) % all.length] ?? null);
}
