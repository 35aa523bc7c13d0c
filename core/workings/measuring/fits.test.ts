import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('fit.interference (Lamé)', () => {
  const fit = {
    diameter: '2 in',
    outside: '3 in',
    length: '1 in',
    interference: '2 thou',
    modulus: '30 Mpsi',
    friction: 0.12,
  };
  it('a solid shaft in a 3 in hub: p = δ/d · E · (D² − d²)/(2 D²)', () => {
    const asked = ask('fit.interference', fit);
    expect(asked.in('pressure', 'psi')).toBeCloseTo((0.001 * 30e6 * (9 - 4)) / 18, 3);
    expect(asked.in('pressForce', 'lbf')).toBeCloseTo(asked.in('pressure', 'psi') * Math.PI * 2 * 0.12, 3);
  });
  it('a thick body presses most: p = δ/d · E / 2, whatever Poisson’s ratio', () => {
    const { outside: _outside, ...thick } = fit;
    expect(ask('fit.interference', { ...thick, poisson: 0.25 }).in('pressure', 'psi')).toBeCloseTo(15_000, 3);
  });
  it('heats by (interference + clearance)/(expansion · d)', () => {
    const heated = { ...fit, clearance: '2 thou', expansion: '6.5e-6 /°F', ambient: '70 °F' };
    expect(ask('fit.interference', heated).in('heatTo', '°F')).toBeCloseTo(70 + 0.004 / (6.5e-6 * 2), 4);
    const metric = { ...fit, expansion: 11.7e-6 };
    expect(ask('fit.interference', metric).in('heatTo', '°C')).toBeCloseTo(20 + 0.002 / (11.7e-6 * 2), 4);
  });
  it.each([{ outside: '2 in' }, { inside: '2 in' }, { interference: '0.1 in' }])('refuses %j', (more) => {
    expect(refusal('fit.interference', { ...fit, ...more }).code).toBe('input.conflict');
  });
});

describe('hardness.convert (ASTM E140; ISO 18265; NACE MR0175/ISO 15156)', () => {
  it.each([
    [22, 'HRC', 237, 22, 248, 'within'],
    [23, 'HRC', 243, 23, 254, 'over'],
    [30, 'HRC', 286, 30, 302, 'over'],
    [40, 'HRC', 371, 40, 392, 'over'],
    [248, 'HV', 237, 22, 248, 'within'],
    [302, 'HV', 286, 30, 302, 'over'],
    [371, 'HB', 371, 40, 392, 'over'],
  ])('%d %s: HB %d, HRC %d, HV %d, %s', (value, scale, HB, HRC, HV, sourLimit) => {
    const { result } = ask('hardness.convert', { value, scale });
    expect(result['HB']).toBeCloseTo(HB, 0);
    expect(result['HRC']).toBeCloseTo(HRC, 1);
    expect(result['HV']).toBeCloseTo(HV, 0);
    expect(result['sourLimit']).toBe(sourLimit);
  });
  it('under Rockwell C 20 there is none, and Brinell is 0.95 of Vickers', () => {
    const { result } = ask('hardness.convert', { value: 190, scale: 'HB' });
    expect(result['HRC']).toBeUndefined();
    expect(result['HV']).toBeCloseTo(200, 6);
    expect(result['sourLimit']).toBe('within');
  });
  it.each([
    [15, 'HRC'],
    [70, 'HRC'],
    [900, 'HV'],
    [50, 'HB'],
  ])('%d %s is outside the table', (value, scale) => {
    expect(refusal('hardness.convert', { value, scale }).code).toBe('input.out-of-range');
  });
});

describe('lifting.sling (statics)', () => {
  it.each([
    [1, '0°', 1, 'fit'],
    [2, '0°', 1 / 2, 'fit'],
    [2, '60°', 1 / 2 / Math.cos(Math.PI / 6), 'fit'],
    [2, '90°', 1 / 2 / Math.cos(Math.PI / 4), 'fit'],
    [2, '120°', 1, 'ask'],
    [2, '121°', 1 / 2 / Math.cos((121 * Math.PI) / 360), 'stop'],
    [3, '60°', 1 / 3 / Math.cos(Math.PI / 6), 'fit'],
    [4, '60°', 1 / 2 / Math.cos(Math.PI / 6), 'fit'],
  ])('%d legs at %s: %d of the weight a leg, %s', (legs, angle, share, verdict) => {
    const asked = ask('lifting.sling', { mass: '1000 lb', legs, angle });
    expect(asked.in('tension', 'lbf')).toBeCloseTo(1000 * share, 3);
    expect(asked.result['verdict']).toBe(verdict);
  });
  it('at 180° nothing is lifted', () => {
    expect(refusal('lifting.sling', { mass: '1 kg', legs: 2, angle: '180°' }).code).toBe('input.conflict');
  });
});

describe('hydrotest.trapped (Kell 1975)', () => {
  it('5 K from 20 °C: water expands 2.07e-4 and gives 4.59e-10, steel takes 3.5e-5 off', () => {
    const slope = (2.32e-4 - 3 * 11.7e-6) / 4.53e-10;
    expect(ask('hydrotest.trapped', { temperatureRise: '5 °C' }).in('pressureRise', 'bar')).toBeCloseTo(
      (slope * 5) / 1e5,
      -0.5,
    );
    const small = ask('hydrotest.trapped', { temperatureRise: '0.01 °C' }).in('pressureRise', 'bar') / 0.01;
    expect(small).toBeCloseTo((2.068e-4 - 3.51e-5) / 4.589e-10 / 1e5, 1);
  });
  it('in Fahrenheit the same', () => {
    const us = ask('hydrotest.trapped', { temperatureRise: '9 °F', temperature: '68 °F' });
    const metric = ask('hydrotest.trapped', { temperatureRise: '5 °C', temperature: '20 °C' });
    expect(us.in('pressureRise', 'bar')).toBeCloseTo(metric.in('pressureRise', 'bar'), 6);
    expect(us.quantity('pressureRise').unit).toBe('psi');
  });
  it('near freezing it falls first', () => {
    expect(
      ask('hydrotest.trapped', { temperatureRise: '1 °C', temperature: '1 °C' }).in('pressureRise', 'bar'),
    ).toBeLessThan(0);
  });
  it.each([{ temperatureRise: '200 °C' }, { temperatureRise: '1 °C', temperature: '-5 °C' }])(
    'refuses %j',
    (raw) => {
      expect(refusal('hydrotest.trapped', raw).code).toBe('input.conflict');
    },
  );
});
