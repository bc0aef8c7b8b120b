import type { ClockDoc, KitchenDoc, Line, OvenDoc, RunDoc } from '../model/documents';
import { doughIn } from '../model/references';
import { Beliefs, PARAMS, scopeOf } from '../param';
import type { LoadTimes } from './clock';

const RACKS: Readonly<Record<number, readonly string[]>> = {
  2: ['upper rack', 'lower rack'],
  3: ['top rack', 'middle rack', 'bottom rack'],
};
const TINS: Readonly<Record<number, readonly string[]>> = {
  2: ['left', 'right'],
  3: ['left', 'middle', 'right'],
};
const counted = (n: number, one: string): string[] => Array.from({ length: n }, (_, i) => `${one} ${i + 1}`);

/** The places of an oven, from the top and from the left; none where there is only one. */
export function placesOf({ racks, tinsPerRack }: Pick<OvenDoc, 'racks' | 'tinsPerRack'>): string[] {
  if (racks * tinsPerRack <= 1) return [];
  const upper = racks === 1 ? [''] : (RACKS[racks] ?? counted(racks, 'rack'));
  const across = tinsPerRack === 1 ? [''] : (TINS[tinsPerRack] ?? counted(tinsPerRack, 'tin'));
  return upper.flatMap((rack) => across.map((tin) => [rack, tin].filter(Boolean).join(', ')));
}

/** Between two places of one load. */
const AND = ' and ';

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
  { clocks, lines }: Pick<RunDoc, 'clocks' | 'lines'>,
  { lineId, pieces }: Pick<ClockDoc, 'lineId' | 'pieces'>,
  kitchen: Pick<KitchenDoc, 'ovens' | 'tins'>,
): { readonly place?: string } {
  const line = lines.find(({ id }) => id === lineId);
  const oven = line && ovenOf(line, kitchen);
  if (!line || !oven) return {};
  const places = placesOf(oven);
  const own = tinsOf(line, pieces, kitchen);
  if (own >= places.length) return {};
  const taken = new Set(
    clocks.flatMap(({ endedAt, place, lineId: other }) => {
      const beside = lines.find(({ id }) => id === other);
      if (endedAt !== null || !place || !beside || ovenOf(beside, kitchen)?.id !== oven.id) return [];
      return place.split(AND);
    }),
  );
  const free = places.filter((one) => !taken.has(one)).slice(0, own);
  return free.length === 0 ? {} : { place: free.join(AND) };
}

/** What the times of a load are multiplied by where it stands: of an oven whose top and bottom differ. */
function shareAt(
  place: string | undefined,
  oven: OvenDoc | undefined,
  { beliefs }: Pick<KitchenDoc, 'beliefs'>,
): number {
  const above = /^(upper|top) rack/.test(place ?? '');
  const below = /^(lower|bottom) rack/.test(place ?? '');
  // A load on both racks goes by neither.
  if (!oven || above === below || (place ?? '').includes(AND)) return 1;
  const found = new Beliefs(beliefs).find(PARAMS.rackRatio.key, [scopeOf('oven', oven.id)]);
  if (!found || found.mean <= 0) return 1;
  return Math.sqrt(above ? found.mean : 1 / found.mean);
}

/** Times of a load that is moved from one place to another; undefined where it stood in none. */
export function timesAt<T extends LoadTimes>(
  times: T,
  from: string | undefined,
  to: string | undefined,
  oven: OvenDoc | undefined,
  kitchen: Pick<KitchenDoc, 'beliefs'>,
): T {
  const share = shareAt(to, oven, kitchen) / shareAt(from, oven, kitchen);
  if (share === 1) return times;
  const { firstLookS, expectedS, latestS } = times;
  return { ...times, firstLookS: firstLookS * share, expectedS: expectedS * share, latestS: latestS * share };
}

/** The place after this one, for a load that was put elsewhere; null where it has none of its own. */
export function nextPlace(place: string | undefined, oven: OvenDoc | undefined): string | null {
  const places = oven ? placesOf(oven) : [];
  const at = places.indexOf(place ?? '');
  return at < 0 ? null : (places[(at + 1) % places.length] ?? null);
}
