import { describe, expect, it } from 'vitest';
import { keyName } from './keys';

describe('the name of a key, as it stands on a button', () => {
  it.each([
    [' ', 'Space'],
    ['enter', 'Enter'],
    ['escape', 'Esc'],
    ['a', 'A'],
    ['/', '/'],
    ['?', '?'],
  ])('%j is %s', (key, name) => {
    expect(keyName(key)).toBe(name);
  });
});
