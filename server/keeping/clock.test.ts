import { describe, expect, it } from 'vitest';
import { ClockWatch } from './clock';

describe('a clock that is watched', () => {
  const at = Date.parse('2026-11-27T08:00:00Z');
  const watched = () => {
    const time = { wall: at, steady: 5000 };
    const clock = new ClockWatch(
      () => time.wall,
      () => time.steady,
    );
    const pass = (seconds: number, jump = 0) => {
      time.steady += seconds * 1000;
      time.wall += (seconds + jump) * 1000;
      return clock.look();
    };
    return { clock, pass };
  };
  it('that runs on, set by a second now and then, is no news', () => {
    const { clock, pass } = watched();
    for (const slip of [0, 1, -2, 40]) expect(pass(30, slip)).toBeUndefined();
    expect(clock.jump).toBeUndefined();
  });
  it.each([
    [3600, '2026-11-27T09:00:30.000Z'],
    [-86_400, '2026-11-26T08:00:30.000Z'],
  ])('put on by %i seconds is said once, and remembered', (bySeconds, seenAt) => {
    const { clock, pass } = watched();
    expect(pass(30, bySeconds)).toEqual({ at: seenAt, bySeconds });
    expect(pass(30)).toBeUndefined();
    expect(clock.jump).toEqual({ at: seenAt, bySeconds });
  });
});
