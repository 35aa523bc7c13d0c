import { describe, expect, it } from 'vitest';
import { nextNumber } from '.';

describe('the next lock of a set', () => {
  it.each([
    ['PS 11', 'PS 12'],
    ['T-009', 'T-010'],
    ['99', '100'],
    ['L 7 ', 'L 8'],
  ])('%j is followed by %j', (last, next) => expect(nextNumber(last)).toBe(next));
  it.each(['red', '', '7b'])('%j has none', (last) => expect(nextNumber(last)).toBeUndefined());
});
