import { describe, expect, it } from 'vitest';
import {
  dueToday,
  nextLevel,
  practiceOf,
  roundOf,
  ROUND_MINUTES,
  skillIn,
  skillsOf,
  DRILLS,
  type Done,
} from '..';

const DAY = 24 * 3600 * 1000;
const START = new Date('2026-11-02T08:00:00Z');
const after = (days: number) => new Date(START.getTime() + days * DAY);
const did = (
  score: number,
  day: number,
  drill: Done['drill'] = 'bolt-it',
  level: Done['level'] = 1,
): Done => ({
  drill,
  level,
  score,
  at: after(day),
});

describe('when to practise again (FSRS, as published)', () => {
  it('stability is the time after which it still sits with nine in ten', () => {
    const practice = practiceOf([did(0.95, 0)]);
    if (!practice) throw new Error('none');
    expect(practice.sits(practice.due)).toBeCloseTo(0.9, 1);
    expect(practice.sits(after(0))).toBeCloseTo(1);
  });
  it('each success at its day puts the next further off, a failure brings it back', () => {
    const days: number[] = [];
    let done: Done[] = [did(0.95, 0)];
    for (let i = 0; i < 4; i++) {
      const due = practiceOf(done)?.due ?? START;
      days.push((due.getTime() - (done.at(-1)?.at.getTime() ?? 0)) / DAY);
      done = [...done, { ...did(0.95, 0), at: due }];
    }
    expect(days).toEqual([...days].sort((a, b) => a - b));
    expect(new Set(days).size).toBe(days.length);
    const failed = practiceOf([...done, { ...did(0.3, 0), at: practiceOf(done)?.due ?? START }]);
    const last = practiceOf(done)?.due.getTime() ?? 0;
    expect(((failed?.due.getTime() ?? 0) - last) / DAY).toBeLessThan(days.at(-1) ?? 0);
  });
  it('an easy one waits longer than a hard one', () => {
    const due = (score: number) => practiceOf([did(score, 0)])?.due.getTime() ?? 0;
    expect(due(1)).toBeGreaterThan(due(0.92));
    expect(due(0.92)).toBeGreaterThan(due(0.82));
    expect(due(0.82)).toBeGreaterThanOrEqual(due(0.4));
  });
});

describe('level', () => {
  const at = (level: Done['level'], ...scores: number[]) => scores.map((score) => ({ level, score }));
  it('rises after three passed in a row, falls after two that were not, and stays between one and four', () => {
    expect(nextLevel([])).toBe(1);
    expect(nextLevel(at(1, 0.9, 0.9))).toBe(1);
    expect(nextLevel(at(1, 0.9, 0.9, 0.8))).toBe(2);
    expect(nextLevel(at(1, 0.9, 0.9, 0.7))).toBe(1);
    expect(nextLevel([...at(1, 1, 1, 1), ...at(2, 0.2, 0.3)])).toBe(1);
    expect(nextLevel(at(1, 0, 0, 0, 0))).toBe(1);
    expect(nextLevel([1, 2, 3, 4, 4].flatMap((level) => at(level as Done['level'], 1, 1, 1)))).toBe(4);
  });
  it('what a teacher sent of another level moves nobody', () => {
    expect(nextLevel(at(4, 1, 1, 1))).toBe(1);
  });
});

describe('a skill (handbook part 7: 80 % over the last five, with its date and its decay)', () => {
  const five = (score: number) => [0, 1, 2, 3, 4].map((day) => did(score, day));
  it('wants five; four are learning still', () => {
    expect(skillIn('bolt-it', five(0.9).slice(0, 4), after(4)).standing).toBe('learning');
    expect(skillIn('bolt-it', five(0.9), after(4)).standing).toBe('holds');
    expect(skillIn('bolt-it', five(0.79), after(4)).standing).toBe('learning');
    expect(skillIn('bolt-it', [], after(4)).standing).toBe('not begun');
  });
  it('only the last five count', () => {
    const poor = [did(0, -3), did(0.1, -2)];
    expect(skillIn('bolt-it', [...poor, ...five(0.9)], after(4)).mean).toBeCloseTo(0.9);
  });
  it('fades on the day that it says, and one more exercise brings it back', () => {
    const held = skillIn('bolt-it', five(0.9), after(5));
    if (!held.fades) throw new Error('does not hold');
    const day = (held.fades.getTime() - START.getTime()) / DAY;
    expect(skillIn('bolt-it', five(0.9), after(day - 1.5)).standing).toBe('holds');
    expect(skillIn('bolt-it', five(0.9), after(day + 1)).standing).toBe('faded');
    expect(skillIn('bolt-it', [...five(0.9), did(0.9, day + 1)], after(day + 1)).standing).toBe('holds');
  });
  it('other subjects do not count', () => {
    expect(skillIn('set-it', five(1), after(5)).standing).toBe('not begun');
  });
});

describe('today', () => {
  it('the longest due first, then two that are new', () => {
    const skills = skillsOf([did(0.4, 0), did(0.4, 1, 'set-it')], after(9));
    const due = dueToday(skills, after(10));
    expect(due.slice(0, 2).map(({ drill, because }) => [drill, because])).toEqual([
      ['bolt-it', 'due again'],
      ['set-it', 'due again'],
    ]);
    expect(due.filter(({ because }) => because === 'new')).toHaveLength(2);
    expect(dueToday(skills, after(10), 2).filter(({ because }) => because === 'new')).toHaveLength(0);
  });
  it('a round is about ten minutes, of subjects that differ', () => {
    const round = roundOf(
      [did(0.4, 0), did(0.9, 1, 'set-it'), did(1, 1, 'fit-or-not')],
      after(3),
      after(4),
      7,
    );
    const minutes = round.reduce((sum, { drill }) => sum + DRILLS[drill].minutes, 0);
    expect(minutes).toBeLessThanOrEqual(ROUND_MINUTES);
    expect(minutes).toBeGreaterThan(ROUND_MINUTES / 2);
    expect(new Set(round.map(({ drill }) => drill)).size).toBe(round.length);
    for (const ticket of round) expect(DRILLS[ticket.drill].sit(ticket).ok).toBe(true);
  });
});
