import ICAL from 'ical.js';
import type { Kept } from '../core/model/documents';
import { keptCalendarText } from './keptCalendar';

const KEPT: Kept = {
  id: 'kept-1',
  name: 'Pumpkin and oat cake pops',
  runId: null,
  lineId: null,
  madeOn: '2026-11-28',
  place: 'fridge',
  since: '2026-11-28',
  used: 0,
  days: { room: 2, fridge: 6, freezer: null },
  made: 24,
  left: 18,
};

describe('what is to be eaten, as a calendar', () => {
  it('has a whole day for each, with an alarm on the evening before, for an independent reader', () => {
    const text = keptCalendarText([
      KEPT,
      { ...KEPT, id: 'kept-2', left: 0 },
      { ...KEPT, id: 'kept-3', place: 'freezer' },
    ]);
    const events = new ICAL.Component(ICAL.parse(text) as string).getAllSubcomponents('vevent');
    // What is gone, and what should not stand where it stands, has no day.
    expect(events).toHaveLength(1);
    const [component] = events;
    if (!component) throw new Error('an event');
    const event = new ICAL.Event(component);
    expect(event.summary).toBe('18 Pumpkin and oat cake pops: best by today');
    expect(event.startDate.isDate).toBe(true);
    expect(event.startDate.toString()).toBe('2026-12-04');
    const alarm = component.getFirstSubcomponent('valarm');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT6H');
  });
});
