import { clocksIn } from '../bench/clocksIn';
import { hurried } from '../bench/clock';
import { counted } from '../bench/log';
import { PORTION } from '../bench/portioningOf';
import type { RunDoc } from '../model/documents';
import { PARAMS } from '../param';
import { minutesByStage } from './charts';
import { COMPARE } from './charts.words';

/** One thing of two closed runs, side by side; null where it was not told. */
export interface Compared {
  readonly what: string;
  readonly unit: 'g' | 'min' | 'pieces' | '%';
  readonly a: number | null;
  readonly b: number | null;
  /** By how much they differ, as a share of the larger; 0 where one is not known. */
  readonly off: number;
}

const mean = (some: readonly number[]): number | null =>
  some.length === 0 ? null : some.reduce((sum, one) => sum + one, 0) / some.length;

function facts(run: RunDoc): Readonly<Record<keyof typeof COMPARE, number | null>> {
  const loads = clocksIn(run).filter((clock) => clock.endedAt !== null && !hurried(clock));
  const pieces = counted(run.log ?? []).flatMap((event) =>
    event.what === 'weighed' && event.of === PORTION && event.practice !== true ? [event.massG] : [],
  );
  const middle = mean(pieces);
  const spread =
    middle === null || pieces.length < 3
      ? null
      : Math.sqrt(pieces.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (pieces.length - 1));
  const came = (param: string) =>
    mean(
      (run.closed?.evidence ?? []).flatMap((one) => (one.param === param && one.seen ? [one.seen.came] : [])),
    );
  const worked = [...minutesByStage(run).values()];
  return {
    wanted: run.lines.reduce((sum, { count }) => sum + count, 0),
    made: run.closed?.made ?? null,
    took: mean(loads.map(({ endedAt, startedAt }) => ((endedAt ?? startedAt) - startedAt) / 60_000)),
    planned: mean(loads.map(({ expectedS }) => expectedS / 60)),
    looks: mean(loads.map(({ looks }) => looks.length)),
    portion: middle,
    scatter: spread,
    binder: came(PARAMS.bindFactor.key),
    coat: came(PARAMS.coatThickness.key),
    crumb: came(PARAMS.bakeLoss.key),
    work: worked.length === 0 ? null : worked.reduce((sum, one) => sum + one, 0),
  };
}

/** Two closed runs side by side, what differs most first; what neither told is left out. */
export function comparedRuns(a: RunDoc, b: RunDoc): Compared[] {
  const [of, to] = [facts(a), facts(b)];
  return (Object.keys(COMPARE) as (keyof typeof COMPARE)[])
    .flatMap((key): Compared[] => {
      const [x, y] = [of[key], to[key]];
      if (x === null && y === null) return [];
      const most = Math.max(Math.abs(x ?? 0), Math.abs(y ?? 0));
      const off = x === null || y === null || most === 0 ? 0 : Math.abs(x - y) / most;
      return [{ ...COMPARE[key], a: x, b: y, off }];
    })
    .sort((one, other) => other.off - one.off);
}
