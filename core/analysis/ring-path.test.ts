import { describe, expect, it } from 'vitest';
import { ringPoint, ringSpan, ringStretch } from '.';

describe('a stretch of a ring', () => {
  it('is reckoned clockwise from 12 o’clock', () => {
    expect(ringPoint(100, 0, 50)).toBe('100.00 50.00');
    expect(ringPoint(100, 90, 50)).toBe('150.00 100.00');
  });
  it('goes past 12, and a whole turn stays open by a hair', () => {
    expect(ringSpan(350, 10)).toBe(20);
    expect(ringSpan(0, 360)).toBe(359.99);
  });
  it('takes the long way where it is more than half', () => {
    expect(ringStretch(100, 50, 0, 300)).toContain('A50 50 0 1 1');
    expect(ringStretch(100, 50, 0, 90)).toContain('A50 50 0 0 1');
  });
});
