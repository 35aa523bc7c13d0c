import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { readWeek, weekFile, type Week } from '..';
import { placingOf } from '../answer';
import { instanceOf } from '../instance';
import { instant, NO_CLOCK } from '../engine/instant';
import { chanceBy, promise } from './promise';

const budget = { ...NO_CLOCK, puts: 20_000 };
const operation = (minutes: number) => ({ id: 'turn', minutes, place: 'lathe' });
const week: Week = must(
  readWeek({
    places: [{ id: 'lathe' }],
    people: [],
    jobs: [{ id: 'a', due: 120, operations: [operation(100)] }],
  }),
);
const stood = must(instant(must(instanceOf(week)), budget)).plan.map(placingOf);
const [fresh] = weekFile.parse({
  places: [],
  people: [],
  jobs: [{ id: 'new', operations: [operation(60)] }],
}).jobs;
if (!fresh) throw new Error('no job');

describe('when a new job can be promised by', () => {
  it('is its place in the plan where all goes as planned, and nobody is later for it', () => {
    const asked = must(promise(week, stood, fresh, () => [1], { budget, weeks: 10 }));
    expect(new Set(asked.ends)).toEqual(new Set([160]));
  });
  it('is a day of weeks that go as weeks went: a sum of two is drawn, not of medians', () => {
    const asked = must(promise(week, stood, fresh, () => [0.5, 1, 2], { budget, weeks: 3000 }));
    // Of nine equal chances of (100, 60) times (½, 1, 2) the sums are 80, 110, 130, 160, 170, 220, 230, 260, 320.
    expect(chanceBy(asked, 160)).toBeCloseTo(4 / 9, 1);
    expect(chanceBy(asked, 170)).toBeCloseTo(5 / 9, 1);
    expect(chanceBy(asked, 260)).toBeCloseTo(8 / 9, 1);
    expect(chanceBy(asked, 319)).toBeLessThan(1);
    expect(chanceBy(asked, 320)).toBe(1);
    expect(chanceBy(asked, 79)).toBe(0);
  });
  it('comes out the same for the same seed', () => {
    const once = () => must(promise(week, stood, fresh, () => [0.8, 1.3], { budget, weeks: 50 })).ends;
    expect(once()).toEqual(once());
  });
});
