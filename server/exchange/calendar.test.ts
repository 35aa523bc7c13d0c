import ICAL from 'ical.js';
import { expect, it } from 'vitest';
import { toCalendar } from './calendar';

/** Read by another library than the one that wrote it, which keeps to RFC 5545. */
function readBack(file: string) {
  const root = new ICAL.Component(ICAL.parse(file));
  return root.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    const alarm = component.getFirstSubcomponent('valarm');
    return {
      uid: event.uid,
      day: event.startDate.toString(),
      isDay: event.startDate.isDate,
      title: event.summary,
      body: event.description,
      reminds: String(alarm?.getFirstPropertyValue('trigger')),
    };
  });
}

const due = {
  uid: 'gauge-3@dusk-wren',
  day: '2026-12-31',
  title: 'Gauge 3; calibration due, at last',
  body: 'gauge, serial G 77\nreads 0 to 600 psig, “ß”, and a line that is longer than the seventy-five octets of one',
  remindDays: 28,
};

it('a day is a whole day in every time zone, with its reminder (RFC 5545, 3.6.1 and 3.6.6)', () => {
  const file = toCalendar('Calibrations due', [due], new Date('2026-11-28T23:30:00Z'));
  const { uid, day, title, body } = due;
  expect(readBack(file)).toEqual([{ uid, day, isDay: true, title, body, reminds: '-P28D' }]);
});

it('lines end with CRLF and are folded at 75 octets (RFC 5545, 3.1)', () => {
  const lines = toCalendar('Calibrations due', [due], new Date()).split('\r\n');
  expect(lines.some((line) => line.startsWith(' '))).toBe(true);
  expect(Math.max(...lines.map((line) => Buffer.byteLength(line)))).toBeLessThanOrEqual(75);
  expect(lines.join('')).not.toContain('\n');
});

it('nothing due is a calendar with nothing in it', () => {
  expect(readBack(toCalendar('Calibrations due', [], new Date()))).toEqual([]);
});
