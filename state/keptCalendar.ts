import ical, { ICalAlarmType } from 'ical-generator';
import { bestBy, byDay, dayAfter } from '../core/logbook';
import type { Kept } from '../core/model/documents';
import { onOneLine } from '../core/model/fields';
import { withNames } from './dayCalendar';
import { dateOf } from './time';

/** In the evening before, somebody can still eat it or carry it on. */
const EVENING_BEFORE_S = 6 * 3600;

/** What stands in fridge and freezer as iCalendar (RFC 5545): a day for each, with an alarm on the evening before. */
export function keptCalendarText(all: readonly Kept[]): string {
  withNames();
  const calendar = ical({
    name: 'To be eaten',
    prodId: { company: 'Carnelian', product: 'Keeping', language: 'EN' },
  });
  for (const kept of byDay(all)) {
    const by = bestBy(kept);
    if (by === null) continue;
    const words = onOneLine(`${kept.left} ${kept.name}: best by today`);
    const event = calendar.createEvent({
      id: `${encodeURIComponent(kept.id)}@carnelian`,
      start: dateOf(`${by}T00:00`),
      end: dateOf(`${dayAfter(by, 1)}T00:00`),
      allDay: true,
      // The day on the wall, wherever the file is opened.
      floating: true,
      summary: words,
    });
    event.createAlarm({ type: ICalAlarmType.display, triggerBefore: EVENING_BEFORE_S, description: words });
  }
  return calendar.toString();
}
