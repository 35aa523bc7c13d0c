import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';

/** A day on which something is due, and how long before it somebody wants to be told. */
export interface DueDay {
  /** Names it for good: brought in again, it stands where it stood before. */
  readonly uid: string;
  readonly day: string;
  readonly title: string;
  readonly body: string;
  readonly remindDays: number;
}

const DAY_SECONDS = 86_400;

/** Something from one moment to another. */
export interface Appointment {
  /** Names it for good. */
  readonly uid: string;
  readonly start: Date;
  readonly end: Date;
  readonly title: string;
  readonly body: string;
  readonly place: string;
}

/** What is done when, as an iCalendar file. */
export function toTimetable(name: string, all: readonly Appointment[], now: Date): string {
  const calendar = ical({ name, method: ICalCalendarMethod.PUBLISH, prodId: '-//Dusk Wren//week//EN' });
  for (const { uid, start, end, title, body, place } of all)
    calendar.createEvent({
      ...{ id: uid, stamp: now, start, end, summary: title, description: body },
      ...(place === '' ? {} : { location: place }),
    });
  return calendar.toString();
}

/** Days that things are due on, as an iCalendar file (RFC 5545): a whole day each, with its reminder. */
export function toCalendar(name: string, days: readonly DueDay[], now: Date): string {
  const calendar = ical({ name, method: ICalCalendarMethod.PUBLISH, prodId: '-//Dusk Wren//due//EN' });
  for (const { uid, day, title, body, remindDays } of days)
    calendar.createEvent({
      ...{ id: uid, stamp: now, summary: title, description: body },
      ...{ start: new Date(`${day}T00:00:00Z`), allDay: true },
      alarms: [{ type: ICalAlarmType.display, trigger: remindDays * DAY_SECONDS, description: title }],
    });
  return calendar.toString();
}
