import type { Line } from '../model/documents';
import type { AllergenKind } from '../model/kinds';
import type { Holds } from '../quantity';
import type { LotPlan } from './emitted';

/** Pieces that are promised to be free of something, held against what they are made of. */
export interface Promised {
  /** The lot; null for the whole line. */
  readonly lotId: string | null;
  readonly name: string;
  readonly count: number;
  readonly of: readonly AllergenKind[];
  /** What of it they hold all the same, each with the things that bring it. */
  readonly broken: readonly { readonly allergen: AllergenKind; readonly by: readonly string[] }[];
  /** Things whose packets nobody has read for it yet, as far as they may hold it. */
  readonly toRead: readonly string[];
  /** What of it other pieces of the same line hold, or may hold. */
  readonly beside: readonly AllergenKind[];
}

/** One thing in a piece, by the name that somebody wrote. */
export interface Source {
  readonly name: string;
  readonly holds: Holds;
}

type Planned = {
  readonly line: Line;
  readonly formula: { readonly name: string } | null;
  readonly lots: readonly LotPlan[];
  readonly holds: Holds;
  /** All that is in the pieces of a lot, or of the whole line where it is null. */
  readonly sourcesOf: (lotId: string | null) => readonly Source[];
};

/** Whether something holds, or may hold, what is promised to be absent. */
export const mayHold = ({ allergens, packets }: Holds, one: AllergenKind): boolean =>
  allergens.includes(one) || packets.length > 0;

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Promises of a line and of its lots, in their order. */
export function promisesOf(plan: Planned): Promised[] {
  const { line, lots, holds } = plan;
  const promised = (
    lotId: string | null,
    name: string,
    count: number,
    own: Holds,
    { freeFrom = [], packetsRead = [] }: Pick<Line, 'freeFrom' | 'packetsRead'>,
  ): Promised[] => {
    if (freeFrom.length === 0) return [];
    const others = lots.filter(({ id }) => id !== lotId && lotId !== null);
    const held = freeFrom.filter((one) => own.allergens.includes(one));
    const sources = held.length === 0 ? [] : plan.sourcesOf(lotId);
    return [
      {
        lotId,
        name,
        count,
        of: freeFrom,
        broken: held.map((allergen) => ({
          allergen,
          by: [
            ...new Set(sources.filter(({ holds: of }) => of.allergens.includes(allergen)).map((s) => s.name)),
          ],
        })),
        toRead: own.packets
          .map((one) => one.name)
          .filter((one) => !packetsRead.some((r) => sameName(r, one))),
        beside: freeFrom.filter((one) => others.some((other) => other.holds.allergens.includes(one))),
      },
    ];
  };
  return [
    ...promised(null, plan.formula?.name ?? 'These pieces', line.count, holds, line),
    ...(line.lots ?? []).flatMap((lot) => {
      const planned = lots.find(({ id }) => id === lot.id);
      return planned ? promised(lot.id, lot.name, lot.count, planned.holds, lot) : [];
    }),
  ];
}

/** What all pieces of a line are promised to be free of: by the line, or by every one of its lots. */
export function promisedOfAll({ freeFrom = [], lots = [], count }: Line): readonly AllergenKind[] {
  const inLots = lots.reduce((sum, lot) => sum + lot.count, 0);
  const every =
    lots.length > 0 && inLots >= count
      ? (lots[0]?.freeFrom ?? []).filter((one) => lots.every((lot) => lot.freeFrom?.includes(one) === true))
      : [];
  return [...new Set([...freeFrom, ...every])];
}

/** Whether a line is mixed in a bowl of its own: somebody said so, or its pieces are promised free of something. */
export const isApart = (line: Line): boolean => line.apart === true || promisedOfAll(line).length > 0;

/** What a line holds, or may, that another line's pieces are all promised to be free of; empty where nothing. */
export function againstPromise(
  free: { readonly line: Line },
  other: { readonly line: Line; readonly holds: Holds },
): readonly AllergenKind[] {
  const too = promisedOfAll(other.line);
  return promisedOfAll(free.line).filter((one) => !too.includes(one) && mayHold(other.holds, one));
}
