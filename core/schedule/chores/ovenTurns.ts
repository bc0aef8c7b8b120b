import type { KitchenDoc } from '../../model/documents';
import { thingKey } from './chore';
import { OVEN_STAYS_ON_S, OVEN_WARMS_S } from './chores.table';
import type { Timed } from './timed';

/** An oven turned on, or from one heat to another. */
export interface OvenTurn {
  readonly ovenId: string;
  readonly settingC: number;
  /** It is cold before: for the first time, or after a long while. */
  readonly first: boolean;
  /** For the run that is asked about. */
  readonly own: boolean;
  readonly at: string;
  readonly atMin: number;
}

/** When ovens are turned on and turned to another heat: hot when the first that needs it goes in. */
export function turnsOf(
  timed: readonly Timed[],
  { ovens }: KitchenDoc,
  at: (seconds: number) => string,
  {
    minutesBefore,
    secondsAt,
  }: { readonly minutesBefore: (s: number) => number; readonly secondsAt: (min: number) => number },
): OvenTurn[] {
  return ovens.flatMap(({ id }) => {
    const uses = timed
      .flatMap((one) =>
        one.chore.holds
          .filter(({ of }) => thingKey(of) === `oven:${id}`)
          .map(({ settingC }) => ({
            own: one.chore.ofRun === undefined,
            from: secondsAt(one.startMin),
            until: secondsAt(one.endMin),
            settingC: settingC ?? 0,
          })),
      )
      .sort((a, b) => a.from - b.from);
    let until = -Infinity;
    let hot: number | null = null;
    return uses.flatMap(({ own, ...use }): OvenTurn[] => {
      const before = until;
      until = Math.max(until, use.until);
      // Left alone for long it is turned off: nobody heats an empty oven for hours.
      const cold = hot === null || use.from - before > OVEN_STAYS_ON_S;
      if (!cold && use.settingC === hot) return [];
      hot = use.settingC;
      const turned = Math.max(use.from - OVEN_WARMS_S, before);
      return [
        {
          ovenId: id,
          settingC: use.settingC,
          first: cold,
          own,
          at: at(turned),
          atMin: minutesBefore(turned),
        },
      ];
    });
  });
}
