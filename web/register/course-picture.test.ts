import { jobId, type Course } from '@dusk-wren/core/job';
import { quantity } from '@dusk-wren/core/quantity';
import { describe, expect, it } from 'vitest';
import { byMonth } from './due';
import { meetsWords, pictureOf, sorted, wearCalls } from './course-picture';

const job = jobId.parse('00000000-0000-4000-8000-000000000001');
const inch = (value: number) => quantity('length', value, 'in');
const day = (days: number) => new Date(Date.UTC(2018, 0, 1 + days)).toISOString().slice(0, 10);

/** The seat of handbook part 7.1, which meets its limit after 3 236 days, at the earliest after 3 050. */
const seat = (more: Partial<Course> = {}): Course => ({
  ...{ what: 'stock of the seat', part: 'seat', kind: 'used up', direction: 'falling', limit: inch(0.03) },
  points: [0.06, 0.0565, 0.0525, 0.0485, 0.0455].map((value, i) => ({
    ...{ job, at: day(400 * i), found: inch(value) },
  })),
  ...more,
});
const standing = seat({ what: 'wear', part: 'stem', points: [{ job, at: day(0), found: inch(0.06) }] });

describe('a measure along the years', () => {
  it('is drawn until it meets its limit, the line through what was read', () => {
    const picture = pictureOf(seat());
    expect(picture?.dots).toHaveLength(5);
    expect(picture?.to).toBe(3236);
    const [from, to] = picture?.lines[0] ?? [];
    expect(from?.[1]).toBeCloseTo(0.06, 3);
    expect(to?.[1]).toBeCloseTo(0.03, 4);
  });
  it('of which nothing was read has no picture; read once it has no line', () => {
    expect(pictureOf(seat({ points: [] }))).toBeUndefined();
    expect(pictureOf(standing)?.lines).toEqual([]);
  });
  it('that goes towards its limit comes before one that stands', () => {
    const { going, standing: still } = sorted([standing, seat()]);
    expect([going, still].map((list) => list.map(({ what }) => what))).toEqual([
      ['stock of the seat'],
      ['wear'],
    ]);
  });
  it('colours its part: time to go, there within a year, over', () => {
    const on = (today: string, course = seat()) => wearCalls([course], today).get('seat')?.verdict;
    expect(on(day(1700))).toBe('fit');
    expect(on(day(2900))).toBe('rework');
    expect(on(day(1700), seat({ limit: inch(0.05) }))).toBe('renew');
  });
  it('says when in words', () => {
    expect(meetsWords({ kind: 'date', at: day(9), early: day(8), late: 'beyond' }, String)).toMatch(
      /meets it 2018-01-10, at the earliest 2018-01-09, at the latest none in sight/,
    );
  });
});

describe('the recall list', () => {
  it('is told month by month, what is over by itself', () => {
    const on = (at: string) => ({ due: { at } }) as Parameters<typeof byMonth>[0][number];
    const months = byMonth(['2026-10-01', '2026-11-28', '2026-11-30', '2026-12-01'].map(on), '2026-11-28');
    expect(months.map(({ name, valves }) => [name, valves.length])).toEqual([
      ['Over already', 1],
      ['November 2026', 2],
      ['December 2026', 1],
    ]);
  });
});
