import { sayDay } from '../quantity';
import { describe, expect, it } from 'vitest';
import { workingDaysBefore, workingDaysBetween, workingDaysFrom } from '.';

// 27 November 2026 is a Friday (calendar).
describe('days from now', () => {
  it.each([
    ['2026-11-27', '2026-11-27', 0],
    ['2026-11-27', '2026-11-30', 1],
    ['2026-11-27', '2026-12-04', 5],
    ['2026-12-04', '2026-11-27', -5],
  ])('%s to %s is %i working days', (from, to, days) => expect(workingDaysBetween(from, to)).toBe(days));

  it.each(['2026-11-25', '2026-11-27', '2026-11-28', '2026-11-29', '2026-11-30'])(
    'so many on from %s, a day of rest too, are so many between',
    (from) => {
      for (let days = 1; days < 25; days++)
        expect(workingDaysBetween(from, workingDaysFrom(`${from}T10:00:00Z`, days)), String(days)).toBe(days);
    },
  );

  it('counts as the last day to order is reckoned back', () => {
    for (let days = 1; days < 40; days++)
      expect(workingDaysBetween(workingDaysBefore('2026-12-31', days), '2026-12-31')).toBe(days);
  });

  it('a day is said with its weekday, the year where it is another one', () => {
    expect(sayDay('2026-11-27')).toBe('Fri 27 Nov 2026');
    expect(sayDay('2026-11-27T23:59:00Z', 2026)).toBe('Fri 27 Nov');
  });
});
