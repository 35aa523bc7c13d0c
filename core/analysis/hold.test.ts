import { describe, expect, it } from 'vitest';
import { psig, seconds } from '../quantity';
import { heldOn, NOT_HELD, type Hold } from './hold';

// API 598, table 5: a seat of NPS 2 and less is held 15 s.
const asked = { pressure: psig(300), hold: seconds(15) };
const looks = (...pressures: number[]): Hold =>
  pressures.reduce(
    (hold, at) => heldOn(hold, { apart: 1, pressure: psig(at), leakPerMinute: 6 }, asked),
    NOT_HELD,
  );

describe('a hold', () => {
  it('begins as the pressure is there, and is over after its whole time', () => {
    expect(looks(100, 250, 299.9)).toEqual(NOT_HELD);
    expect(looks(100, 300)).toEqual({ phase: 'holding', held: 0, leaked: 0 });
    const over = looks(...Array.from({ length: 16 }, () => 305));
    expect(over).toMatchObject({ phase: 'done', held: 15 });
    // Six a minute for a quarter of one.
    expect(over.leaked).toBeCloseTo(1.5, 9);
  });
  it('begins anew where the pressure falls below what is asked', () => {
    expect(looks(301, 301, 301, 299)).toEqual(NOT_HELD);
    expect(looks(301, 301, 301, 299, 301, 301)).toMatchObject({ phase: 'holding', held: 1 });
  });
  it('begins anew where nobody looked for a while', () => {
    const before = looks(301, 301, 301);
    const look = { pressure: psig(301), leakPerMinute: 0 };
    expect(heldOn(before, { ...look, apart: 2.9 }, asked).held).toBeCloseTo(4.9, 9);
    expect(heldOn(before, { ...look, apart: 3.1 }, asked)).toMatchObject({ phase: 'holding', held: 0 });
  });
  it('that is over stays over, whatever comes after', () => {
    const over = looks(...Array.from({ length: 20 }, () => 305));
    expect(heldOn(over, { apart: 1, pressure: psig(0), leakPerMinute: 99 }, asked)).toBe(over);
  });
});
