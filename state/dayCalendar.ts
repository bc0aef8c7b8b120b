import ical, { ICalAlarmType } from 'ical-generator';
import type { KitchenDoc, RunDoc } from '../core/model/documents';
import { onOneLine } from '../core/model/fields';
import type { RunDay } from '../core/schedule/chores';
import { newId } from './ids';
import { dateOf } from './time';

/** The package wants a random name for each event before it is given one; over plain http a browser has none to give. */
export function withNames(): void {
  const own = crypto as { randomUUID?: () => string };
  own.randomUUID ??= () => newId('event');
}

/** What of a day is worth an alarm. */
interface Turn {
  readonly id: string;
  readonly at: string;
  readonly until: string;
  readonly words: string;
  readonly alarmMin: number;
}

/** Turning points of a day: its beginning on each date, ovens, what comes out of the heat, and when it must be ready. */
function turnsOf(run: RunDoc, day: RunDay, kitchen: KitchenDoc): Turn[] {
  const firsts = new Map<string, RunDay['chores'][number]>();
  for (const timed of day.chores) {
    const date = timed.startAt.slice(0, 10);
    if (!firsts.has(date)) firsts.set(date, timed);
  }
  return [
    ...[...firsts.entries()].map(([date, { chore, startAt, endAt }]): Turn => ({
      id: `begin-${date}`,
      at: startAt,
      until: endAt,
      words: `${run.name} begins: ${chore.label}`,
      alarmMin: 15,
    })),
    ...day.turns.map(({ ovenId, at, first }): Turn => ({
      id: `oven-${ovenId}-${at}`,
      at,
      until: at,
      words: `${kitchen.ovens.find(({ id }) => id === ovenId)?.name ?? 'Oven'} ${first ? 'on' : 'to another heat'}`,
      alarmMin: 0,
    })),
    ...day.chores
      .filter(({ chore }) => chore.kind === 'oven')
      .map(({ chore, startAt, endAt }): Turn => ({
        id: chore.id,
        at: startAt,
        until: endAt,
        words: chore.label,
        alarmMin: 0,
      })),
    { id: 'ready', at: run.readyAt, until: run.readyAt, words: `${run.name} is to be ready`, alarmMin: 60 },
  ];
}

/** A run's day as iCalendar (RFC 5545): its turning points with alarms, in the hours of this place. */
export function calendarText(run: RunDoc, day: RunDay, kitchen: KitchenDoc): string {
  withNames();
  const calendar = ical({
    name: onOneLine(run.name),
    prodId: { company: 'Carnelian', product: 'Day', language: 'EN' },
  });
  for (const { id, at, until, words, alarmMin } of turnsOf(run, day, kitchen)) {
    const event = calendar.createEvent({
      id: `${encodeURIComponent(`${run.id}/${id}`)}@carnelian`,
      start: dateOf(at),
      end: dateOf(until),
      summary: onOneLine(words),
      // No zone: the hour of the clock on the wall, wherever the file is opened.
      floating: true,
    });
    event.createAlarm({
      type: ICalAlarmType.display,
      triggerBefore: alarmMin * 60,
      description: onOneLine(words),
    });
  }
  return calendar.toString();
}
