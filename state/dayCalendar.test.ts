import ICAL from 'ical.js';
import { toEnd } from '../core/schedule/solver';
import { dayOfFile } from '../core/schedule/chores';
import { FAMILY_FILES } from '../demo/families';
import { calendarText } from './dayCalendar';

describe('a day as iCalendar', () => {
  const file = FAMILY_FILES['minis'];
  const day = file && toEnd(dayOfFile(file, 24));
  if (!file || !day) throw new Error('the demo has mini cakes and their day');
  const text = calendarText({ ...file.run, name: 'Evening; lanterns, “all”' }, day, file.kitchen);
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));

  it('is read by another reader, with an alarm for each turning point', () => {
    const bakes = day.chores.filter(({ chore }) => chore.kind === 'oven').length;
    // Each bake, each turn of an oven, the beginning, and the hour by which it must be ready.
    expect(events).toHaveLength(bakes + day.turns.length + 2);
    for (const event of events) expect(event.component.getAllSubcomponents('valarm')).toHaveLength(1);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  });

  it('says the hours of the clock on the wall', () => {
    const ready = events.find(({ summary }) => summary.endsWith('is to be ready'));
    expect(ready?.summary).toBe('Evening; lanterns, “all” is to be ready');
    expect(ready?.startDate.toString()).toBe(`${file.run.readyAt}:00`);
    const [first] = day.chores;
    const begin = events.find(({ summary }) => summary.includes('begins'));
    expect(begin?.startDate.toString()).toBe(`${first?.startAt ?? ''}:00`);
  });
});
