import type { KitchenDoc, RunDoc } from '../../core/model/documents';
import type { Fault } from '../../core/quantity';
import type { Blocked, DayLeft, RunDay, Timed } from '../../core/schedule/chores';
// By file: the first screen names things without the weight of all that plans them.
import { thingName } from '../../core/schedule/chores/things';
import type { Lane } from '../../core/schedule/chores/lanes';
import type { Skill } from '../../core/model/kinds';
import { clockText, whenText } from '../../state/time';
import { pieceWords } from '../runs/words';

/** Minutes as they are said: "25 min", "3 h 20 min". */
export function spanText(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  if (whole < 100) return `${whole} min`;
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** A line in a few words: "24 cake pops". */
export function lineName(run: RunDoc, lineId: string): string {
  const line = run.lines.find(({ id }) => id === lineId);
  return line ? `${line.count} ${pieceWords(line)}` : '';
}

export const laneName = (lane: Lane, run: RunDoc, kitchen: KitchenDoc): string => {
  switch (lane.about.of) {
    case 'thing':
      return thingName(kitchen, lane.about.thing);
    case 'waits':
      return 'Waiting';
    case 'line':
      return lineName(run, lane.about.lineId);
    case 'shared':
      return 'For several lines';
  }
};

/** What a cause of doubt is called. */
export function causeName(of: string, day: RunDay, kitchen: KitchenDoc): string {
  if (of === 'hands') return 'the pace of hands';
  if (of === 'cold') return 'how fast the cold works';
  if (of === 'room') return 'how fast things cool and set';
  const oven = kitchen.ovens.find(({ id }) => of === `oven:${id}`);
  if (oven) return `the heat of “${oven.name}”`;
  if (of.startsWith('microwave')) return 'the microwave';
  const chore = [...day.chores, ...day.beside].find((timed) => timed.chore.id === of)?.chore;
  return chore ? `“${chore.label}”` : of;
}

/** What somebody at work does, by skill. */
export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  bake: 'weigh, mix and bake',
  finish: 'fill, frost and cover',
  chocolate: 'melt, temper and dip',
  plain: 'roll, wash and pack',
};

export const KIND_WORDS: Readonly<Record<Timed['chore']['kind'], string>> = {
  hands: 'Hands at work',
  oven: 'In the heat',
  wait: 'Waiting',
  ahead: 'Begun ahead',
};

/** Why no day comes together, and what would mend it. */
export const BLOCKED: Readonly<Record<Blocked, Fault>> = {
  held: {
    fault: 'No day fits while these steps stay fixed at their hours.',
    mend: 'Undo the last one, or let fixed steps move again.',
  },
  'made ahead': {
    fault: 'No day fits while these parts are made on days before.',
    mend: 'Make them on the day, or move them to another one.',
  },
  waits: {
    fault: 'Some steps must follow each other sooner than these hands, ovens and tins allow.',
    mend: 'Make fewer, add a tin or a pair of hands under Kitchen, or split the run.',
  },
  'too much': {
    fault: 'This is more work than one day can be put in order for: over 300 steps.',
    mend: 'Make fewer, use larger tins, or split it into runs on different days.',
  },
  unknown: {
    fault: 'No day was found for all of this together.',
    mend: 'Make fewer, or plan some lines in a run of their own.',
  },
};

/** The same beside the hour itself. */
export function heldWords({ readyAt, lateMin }: DayLeft, run: RunDoc): string {
  const late = Math.round(lateMin);
  if (late > 0) return `Late: ${spanText(late)} after the hour.`;
  return run.readyAt.slice(0, 10) === readyAt.slice(0, 10)
    ? `In time, ${spanText(-late)} in hand.`
    : 'In time.';
}

/** Whether a day that has begun still holds, in a sentence. */
export function leftWords({ readyAt, lateMin }: DayLeft, run: RunDoc, now: number): string {
  const late = Math.round(lateMin);
  const own = run.readyAt.slice(0, 10) === readyAt.slice(0, 10);
  const at = own ? clockText(readyAt) : whenText(readyAt, now);
  return late > 0
    ? `Late: ready about ${at}, ${spanText(late)} after the hour.`
    : `In time: ready about ${at}${own ? `, ${spanText(-late)} in hand` : ''}.`;
}
