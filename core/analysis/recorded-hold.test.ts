import { describe, expect, it } from 'vitest';
import { psig, seconds, valueIn } from '../quantity';
import { recordedHold } from './recorded-hold';

// API 598, 6.3 and table 5: the whole of the duration at the test pressure; a seat of NPS 2 and less 15 s.
const asked = { pressure: psig(300), hold: seconds(15), most: psig(330) };
const held = (pressures: readonly number[], apart = 1) => {
  const hold = recordedHold({ seconds: pressures.map((_, i) => i * apart), psig: pressures }, asked);
  return [valueIn(hold.held, 's'), Math.round(valueIn(hold.pressure, 'psig') * 10) / 10];
};
const stretch = (count: number, at: number) => Array.from({ length: count }, () => at);

describe('a hold out of a recording', () => {
  it('is the first that is whole, at the lowest that it saw', () => {
    expect(held([0, 150, 305, 304, ...stretch(20, 302), 0])).toEqual([15, 302]);
  });
  it('is the longest there is where none is whole', () => {
    expect(held([0, ...stretch(5, 310), 299, ...stretch(9, 305), 0])).toEqual([8, 305]);
  });
  it('that never held is judged by the highest that it came to', () => {
    expect(held([0, 150, 280, 299, 100])).toEqual([0, 299]);
  });
  it('that went over what the test may have is judged by how high', () => {
    expect(held([0, 305, 335, ...stretch(20, 305)])).toEqual([15, 335]);
  });
  it('of several stages in one recording is the one that is within what is asked', () => {
    // The shell first, half again as high, let go; then the seat.
    expect(held([0, ...stretch(30, 450), 0, 0, ...stretch(20, 305), 0])).toEqual([15, 305]);
    expect(held([0, ...stretch(30, 450), 0])).toEqual([15, 450]);
  });
  it('rows that lie too far apart to tell what was between them are no hold', () => {
    expect(held(stretch(10, 305), 5)).toEqual([15, 305]);
    expect(held(stretch(10, 305), 11)[0]).toBe(0);
  });
});
