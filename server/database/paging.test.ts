import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { decodeCursor, encodeCursor, likePrefix } from './paging';

describe('a place in a list', () => {
  it('goes out and comes back (property)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.uuid(), (key, id) => {
        expect(decodeCursor(encodeCursor(key, id))).toEqual({ key, id });
      }),
      { seed: 1 },
    );
  });
  it('anything else is refused, never guessed at (property)', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        try {
          const { key, id } = decodeCursor(text);
          expect(encodeCursor(key, id).length).toBeGreaterThan(0);
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal);
        }
      }),
      { seed: 2 },
    );
  });
  it('is not read past its limits', () => {
    const long = Buffer.from(
      JSON.stringify(['x'.repeat(121), '00000000-0000-4000-8000-000000000000']),
    ).toString('base64url');
    expect(() => decodeCursor(long)).toThrow(Refusal);
  });
});

describe('the beginning of a word', () => {
  it.each([
    ['HV-1', 'HV-1%'],
    ['50%', '50\\%%'],
    ['a_b', 'a\\_b%'],
    ['c\\d', 'c\\\\d%'],
    ['', '%'],
  ])('%j is searched as %j: no wildcard of the person’s own', (text, pattern) => {
    expect(likePrefix(text)).toBe(pattern);
  });
});
