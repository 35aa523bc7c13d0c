import { describe, expect, it } from 'vitest';
import { dayIn, isTimeZone, minuteIn, startOfDay } from './day';

describe('a moment by the clocks of a shop', () => {
  // IANA time zone database: Auckland 13 h before Greenwich in its summer, Denver 7 h behind in its winter.
  it('falls on the day that its zone has then', () => {
    const late = '2026-11-27T23:30:00.000Z';
    expect(dayIn(late, 'UTC')).toBe('2026-11-27');
    expect(dayIn(late, 'Pacific/Auckland')).toBe('2026-11-28');
    expect(dayIn('2026-11-27T06:59:00Z', 'America/Denver')).toBe('2026-11-26');
  });
  it('goes over to summer time as the zone does', () => {
    // European Union, directive 2000/84/EC: the last Sunday of March, 01:00 UTC.
    expect(minuteIn('2026-03-29T00:59:00Z', 'Europe/Berlin')).toBe('Sun 29 Mar 2026 01:59');
    expect(minuteIn('2026-03-29T01:00:00Z', 'Europe/Berlin')).toBe('Sun 29 Mar 2026 03:00');
  });
  it('midnight begins its day', () => {
    expect(minuteIn('2026-12-31T00:00:00Z', 'UTC')).toBe('Thu 31 Dec 2026 00:00');
  });
  it('a day begins at its midnight there, on the days too on which the clocks are put on', () => {
    const begins = (day: string, zone: string) => new Date(startOfDay(day, zone)).toISOString();
    expect(begins('2026-11-27', 'UTC')).toBe('2026-11-27T00:00:00.000Z');
    expect(begins('2026-11-28', 'Pacific/Auckland')).toBe('2026-11-27T11:00:00.000Z');
    expect(begins('2026-11-26', 'America/Denver')).toBe('2026-11-26T07:00:00.000Z');
    expect(begins('2026-03-29', 'Europe/Berlin')).toBe('2026-03-28T23:00:00.000Z');
    expect(begins('2026-03-30', 'Europe/Berlin')).toBe('2026-03-29T22:00:00.000Z');
  });
  it('a zone is one that the database of zones knows', () => {
    expect(['UTC', 'Europe/London', 'Asia/Kolkata'].map(isTimeZone)).toEqual([true, true, true]);
    expect(['', 'Mars/Olympus', 'half past'].map(isTimeZone)).toEqual([false, false, false]);
  });
});
