import { describe, expect, it } from 'vitest';
import { addMonths, isoDay, sayDay, sayMinutes, sayTime } from './dates';

describe('days and hours in the shop’s words', () => {
  it.each([
    [0, '0 min'],
    [45, '45 min'],
    [60, '1 h'],
    [160, '2 h 40'],
    [125, '2 h 05'],
    [600, '10 h'],
  ])('%d minutes: %s', (minutes, words) => {
    expect(sayMinutes(minutes)).toBe(words);
  });
  it('a day of this year has no year, another has', () => {
    const year = new Date().getFullYear();
    expect(sayDay(`${year}-12-03`)).toMatch(/^[A-Z][a-z]{2},? 3 Dec$/);
    expect(sayDay('2019-12-03')).toMatch(/3 Dec 2019/);
  });
  it('a month on, the last days of a month stay in it', () => {
    expect(isoDay(addMonths(new Date(2026, 0, 31), 1))).toBe('2026-02-28');
    expect(isoDay(addMonths(new Date(2026, 11, 15), 3))).toBe('2027-03-15');
  });
  it('a time is the clock’s', () => {
    expect(sayTime('2026-03-01T09:42:10')).toBe('09:42');
  });
});
