import type { Figure } from '../../figure';
import type { DayStep } from '../../schedule/day';
import { localOf } from '../../model/localTime';
import type { TimedStep } from '../chain';

/** A step that follows the one before it. Its length is a figure's: the longer end of its range for what is waited for. */
export interface SequenceStep {
  readonly id: string;
  readonly label: string;
  readonly detail: string;
  readonly kind: DayStep['kind'];
  readonly length: Figure;
  /** How often it is done, one after another. */
  readonly times?: number;
}

/** Steps one after another, reckoned backwards from when the run must be ready. */
export function sequenceDay(steps: readonly SequenceStep[], readyMin: number): TimedStep[] {
  let end = 0;
  const out: TimedStep[] = [];
  for (const { id, label, detail, kind, length, times } of [...steps].reverse()) {
    const seconds = (kind === 'hands' ? length.value : length.high) * (times ?? 1);
    const start = end + seconds / 60;
    if (seconds > 0) {
      out.push({
        id,
        label,
        detail,
        kind,
        figureId: length.id,
        startMin: start,
        endMin: end,
        startAt: localOf(readyMin - start),
        endAt: localOf(readyMin - end),
      });
    }
    end = start;
  }
  return out.reverse();
}
