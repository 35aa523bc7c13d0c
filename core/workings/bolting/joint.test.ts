import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('bolting.stretch (statics)', () => {
  it('3/4-10, 5 in at 50 ksi: 8.33 thou, 30° of nut', () => {
    const asked = ask('bolting.stretch', { thread: '3/4-10', length: '5 in', stress: '50 ksi' });
    expect(asked.in('stretch', 'thou')).toBeCloseTo((50e3 * 5) / 30e6 / 0.001, 6);
    expect(asked.in('nutTurn', '°')).toBeCloseTo((8.33333 / 100) * 360, 3);
    expect(asked.in('stiffness', 'lbf/in') / ((0.33446 * 30e6) / 5)).toBeCloseTo(1, 4);
  });
  it('a preload over the tensile area is that stress', () => {
    const given = { thread: 'M20', length: '100 mm', modulus: '205 GPa' };
    const byForce = ask('bolting.stretch', { ...given, preload: '100 kN' });
    // ISO 898-1: 244.8 mm² for M20.
    expect(byForce.in('stretch', 'mm')).toBeCloseTo((100e3 / 244.79 / 205e3) * 100, 5);
    expect(byForce.quantity('stretch').unit).toBe('mm');
  });
  it.each([
    { thread: '3/4-10', length: '5 in' },
    { thread: '3/4-10', length: '5 in', stress: '50 ksi', preload: '1 kN' },
  ])('refuses %j', (raw) => {
    expect(refusal('bolting.stretch', raw).code).toBe('input.conflict');
  });
});

describe('bolting.joint (ASME B16.5 studs, ASTM A193 yield, ASME VIII-1 Appendix 2)', () => {
  const gasket = {
    insideDiameter: '5 in',
    outsideDiameter: '5.88 in',
    factor: 3,
    seatingStress: '10000 psi',
  };
  const joint = {
    size: 'NPS 4',
    class: 150,
    gasket,
    pressure: '150 psig',
    material: 'B7',
    nutFactor: 0.16,
  };
  /** NPS 4 class 150: eight 5/8-11 of 0.226 in². */
  const STUD = (Math.PI / 4) * (0.625 - 0.9743 / 11) ** 2;
  it('load, stress and torque of eight studs at half of 105 ksi', () => {
    const asked = ask('bolting.joint', joint);
    expect(asked.in('boltStress', 'ksi')).toBeCloseTo(52.5, 6);
    expect(asked.in('appliedLoad', 'lbf') / (8 * 52_500 * STUD)).toBeCloseTo(1, 6);
    expect(asked.in('torque', 'lbf·ft') / ((0.16 * 0.625 * 52_500 * STUD) / 12)).toBeCloseTo(1, 6);
    const ring = (Math.PI / 4) * (5.88 ** 2 - 5 ** 2);
    expect(asked.in('gasketStress', 'psi') / ((8 * 52_500 * STUD) / ring)).toBeCloseTo(1, 6);
  });
  it('what the gasket needs is that of gasket.load, and the margin is over it', () => {
    const asked = ask('bolting.joint', joint);
    const { class: _class, size: _size, material: _material, nutFactor: _factor, ...rest } = joint;
    const { gasket: ring, ...pressure } = rest;
    const needs = ask('gasket.load', { ...ring, ...pressure }).in('requiredLoad', 'lbf');
    expect(asked.in('requiredLoad', 'lbf')).toBeCloseTo(needs, 3);
    expect(asked.in('margin', '%')).toBeCloseTo((asked.in('appliedLoad', 'lbf') / needs - 1) * 100, 6);
    expect(asked.result['verdict']).toBe('fit');
  });
  it('a gasket over what it stands, and studs too weak, are not fit', () => {
    expect(
      ask('bolting.joint', { ...joint, gasket: { ...gasket, maxStress: '5000 psi' } }).result['verdict'],
    ).toBe('not fit');
    const weak = ask('bolting.joint', { ...joint, material: 'B8 class 1', percentYield: '30 %' });
    expect(weak.in('margin', '%')).toBeLessThan(0);
    expect(weak.result['verdict']).toBe('not fit');
  });
  it.each([
    [{ size: 'NPS 14', class: 2500 }, 'table.no-entry'],
    [{ percentYield: '0.5' }, 'input.conflict'],
    [{ gasket: { ...gasket, outsideDiameter: '4 in' } }, 'input.out-of-range'],
    [{ gasket: { insideDiameter: '4 in' } }, 'input.invalid'],
  ])('refuses %j', (change, code) => {
    expect(refusal('bolting.joint', { ...joint, ...change }).code).toBe(code);
  });
});
