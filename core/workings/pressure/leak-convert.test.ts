import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('leak.convert (tubes of ANSI/FCI 70-2, API 527, ISO 5208; gas law)', () => {
  it.each([
    [undefined, 0.15],
    ['class-vi', 0.15],
    ['api-527', 0.295],
    ['iso-5208', 0.0654],
  ])('two bubbles a minute of %s: %d mL each', (tube, ml) => {
    const asked = ask('leak.convert', { bubblesPerMinute: 2, ...(tube ? { tube } : {}) });
    expect(asked.in('flow', 'mL/min')).toBeCloseTo(2 * ml, 9);
    expect(asked.in('timeForOne', 's')).toBeCloseTo(30, 9);
    expect(asked.result['dropsPerMinute']).toBeCloseTo((2 * ml) / 0.0625, 9);
  });
  it('sixteen drops are a millilitre, one in 3.75 s', () => {
    const asked = ask('leak.convert', { dropsPerMinute: 16 });
    expect(asked.in('flow', 'mL/min')).toBeCloseTo(1, 9);
    expect(asked.in('timeForOne', 's')).toBeCloseTo(3.75, 9);
  });
  it('1 bar lost out of 2 L in 10 min is 197.4 mL/min at 1.01325 bar', () => {
    const decay = { volume: '2 L', from: '7 bar g', to: '6 bar g', time: '10 min' };
    expect(ask('leak.convert', { decay }).in('flow', 'mL/min')).toBeCloseTo(200 / 1.01325, 6);
    expect(ask('leak.convert', { decay: [decay] }).in('flow', 'mL/min')).toBeCloseTo(200 / 1.01325, 6);
    const absolute = { ...decay, from: '8 bar a', to: '7 bar a' };
    expect(ask('leak.convert', { decay: absolute }).in('flow', 'mL/min')).toBeCloseTo(200 / 1.01325, 6);
  });
  it.each([
    [{}, 'input.conflict'],
    [{ bubblesPerMinute: 1, dropsPerMinute: 1 }, 'input.conflict'],
    [{ decay: { volume: '2 L', from: '6 bar g', to: '7 bar g', time: '10 min' } }, 'input.conflict'],
    [{ bubblesPerMinute: -1 }, 'input.invalid'],
    [{ decay: { volume: '2 L' } }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('leak.convert', raw).code).toBe(code);
  });
});
