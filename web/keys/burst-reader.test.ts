import { describe, expect, it } from 'vitest';
import { BurstReader } from './burst-reader';

/** Keys at a pace, milliseconds apart; the last thing that was heard. */
function typed(keys: readonly string[], apart: number, reader = new BurstReader(), from = 1000) {
  return keys.map((key, i) => reader.key(key, from + i * apart)).at(-1);
}
const line = (text: string, end = 'Enter') => [...text, end];

describe('what a gauge types', () => {
  // Common practice: a gauge types a character every few milliseconds; a fast typist one in 80 ms or more.
  it.each([2, 10, 30])('%i ms apart is a line', (apart) => {
    expect(typed(line('12.345'), apart)).toEqual({ is: 'line', line: '12.345' });
    expect(typed(line('+012.345 mm', 'Tab'), apart)).toEqual({ is: 'line', line: '+012.345 mm' });
  });
  it('is none where a hand types it', () => {
    expect(typed(line('12.345'), 80)).toEqual({ is: 'nothing' });
  });
  it('is none without a digit, or too short to be a reading', () => {
    expect(typed(line('hello'), 5)).toEqual({ is: 'nothing' });
    expect(typed(line('12'), 5)).toEqual({ is: 'nothing' });
  });
  it('begins with its own first character, whatever a hand typed before it', () => {
    const reader = new BurstReader();
    typed([...'a note 4'], 120, reader);
    expect(typed(line('0.120'), 4, reader, 10_000)).toEqual({ is: 'line', line: '0.120' });
  });
  it('is heard to go on, so that a first letter is no key of the page', () => {
    const reader = new BurstReader();
    expect(reader.key('D', 0)).toEqual({ is: 'first' });
    expect(reader.key('1', 5)).toEqual({ is: 'inside' });
  });
  it('Shift and the like are no characters of it', () => {
    expect(typed(['Shift', '+', '1', '.', '5', 'Enter'], 5)).toEqual({ is: 'line', line: '+1.5' });
  });
});
