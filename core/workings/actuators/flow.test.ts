import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('flow.liquid (IEC 60534-2-1, worked examples of its annex, from memory)', () => {
  const water = {
    flow: '360 m³/h',
    inletPressure: '6.8 bar a',
    outletPressure: '2.2 bar a',
    density: '965.4 kg/m³',
    vapourPressure: '0.701 bar a',
    criticalPressure: '221.2 bar a',
  };
  it('example 1, not choked: Kv 165', () => {
    const asked = ask('flow.liquid', { ...water, FL: 0.9 });
    expect(asked.in('Kv', 'Kv')).toBeCloseTo(165, 0);
    expect(asked.result['choked']).toBe(false);
  });
  it('example 2, choked: Kv 238', () => {
    const asked = ask('flow.liquid', { ...water, FL: 0.6 });
    expect(asked.in('Kv', 'Kv')).toBeCloseTo(238, 0);
    expect(asked.result['choked']).toBe(true);
    expect(asked.in('chokedDifference', 'kPa')).toBeCloseTo(221, 0);
  });
  it('Kv 1 passes 1 m³/h of water at 1 bar, Cv 1 one gpm at 1 psi (definitions)', () => {
    expect(
      ask('flow.liquid', { Kv: 1, inletPressure: '10 bar', outletPressure: '9 bar' }).in('flow', 'm³/h'),
    ).toBeCloseTo(1, 9);
    expect(
      ask('flow.liquid', { Cv: 1, inletPressure: '100 psig', outletPressure: '99 psig' }).in('flow', 'gpm'),
    ).toBeCloseTo(1, 9);
  });
  it('Cv is 1.156 Kv (IEC 60534-1)', () => {
    const asked = ask('flow.liquid', { ...water, FL: 0.9 });
    expect(asked.in('Cv', 'Cv') / asked.in('Kv', 'Kv')).toBeCloseTo(1.156, 3);
  });
  it('the flow back from the coefficient is the flow it was found from (inverse)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (flow, fall, FL) => {
          const service = {
            inletPressure: '25 bar a',
            outletPressure: { value: 25 - fall, unit: 'bar a' },
            FL,
          };
          const found = ask('flow.liquid', { ...service, flow: { value: flow, unit: 'm³/h' } });
          const back = ask('flow.liquid', {
            ...service,
            coefficient: { value: found.in('Cv', 'Cv'), unit: 'Cv' },
          });
          expect(back.in('flow', 'm³/h')).toBeCloseTo(flow, 6);
        },
      ),
      { seed: 61 },
    );
  });
  it('once choked, a lower outlet pressure passes no more', () => {
    const flow = (outletPressure: string) =>
      ask('flow.liquid', {
        Cv: 50,
        inletPressure: '100 psia',
        outletPressure,
        vapourPressure: '20 psia',
        FL: 0.7,
      }).in('flow', 'gpm');
    expect(flow('40 psia')).toBeCloseTo(flow('20 psia'), 9);
    expect(flow('90 psia')).toBeLessThan(flow('60 psia'));
  });
  it.each([
    [{ ...water, coefficient: '10 Cv' }, 'input.conflict'],
    [{ inletPressure: '10 bar', outletPressure: '5 bar' }, 'input.conflict'],
    [{ ...water, outletPressure: '7 bar a' }, 'input.conflict'],
    [{ ...water, vapourPressure: '8 bar a' }, 'input.out-of-range'],
    [{ ...water, flow: '360 kg' }, 'input.invalid'],
    [{ ...water, FL: 3 }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('flow.liquid', raw).code).toBe(code);
  });
});

describe('flow.gas (IEC 60534-2-1)', () => {
  const carbonDioxide = {
    flow: '3800 Nm³/h',
    inletPressure: '6.8 bar a',
    outletPressure: '3.1 bar a',
    temperature: '433 K',
    molarMass: 44.01,
    heatRatio: 1.3,
    xT: 0.6,
    compressibility: 0.991,
  };
  it('example 3 of its annex, not choked: Kv 62.7 (from memory)', () => {
    const asked = ask('flow.gas', carbonDioxide);
    expect(asked.in('Kv', 'Kv')).toBeCloseTo(62.7, 0);
    expect(asked.result['choked']).toBe(false);
  });
  it('agrees with N9 = 2.46 × 10³ (0 °C, bar) within its rounding', () => {
    const [x, chokedAt] = [3.7 / 6.8, (1.3 / 1.4) * 0.6];
    const Y = 1 - x / (3 * chokedAt);
    const kv = (3800 / (2460 * 6.8 * Y)) * Math.sqrt((44.01 * 433 * 0.991) / x);
    expect(ask('flow.gas', carbonDioxide).in('Kv', 'Kv') / kv).toBeCloseTo(1, 2);
  });
  it('chokes at x = Fγ·xT and then passes no more', () => {
    const flow = (outletPressure: string) =>
      ask('flow.gas', { Cv: 10, inletPressure: '100 psia', outletPressure, temperature: '60 °F', xT: 0.7 });
    expect(flow('31 psia').result['choked']).toBe(false);
    expect(flow('29 psia').result['choked']).toBe(true);
    expect(flow('10 psia').in('flow', 'scfh')).toBeCloseTo(flow('25 psia').in('flow', 'scfh'), 6);
  });
  it('a specific gravity is a molar mass over that of air', () => {
    const by = (gas: object) =>
      ask('flow.gas', {
        Kv: 40,
        inletPressure: '5 bar',
        outletPressure: '4 bar',
        temperature: '20 °C',
        ...gas,
      }).in('flow', 'Nm³/h');
    expect(by({ specificGravity: 0.6 })).toBeCloseTo(by({ molarMass: 0.6 * 28.96 }), 9);
    expect(by({})).toBeCloseTo(by({ molarMass: 28.96 }), 9);
  });
  it('the coefficient back from the flow (inverse), in any unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 0.01, max: 0.95, noNaN: true }),
        fc.constantFrom('scfh', 'Nm³/h', 'Sm³/h', 'scfm'),
        (kv, share, unit) => {
          const service = {
            inletPressure: '10 bar a',
            outletPressure: { value: 10 * (1 - share), unit: 'bar a' },
            temperature: '15 °C',
          };
          const flow = ask('flow.gas', { ...service, Kv: kv });
          const back = ask('flow.gas', { ...service, flow: { value: flow.in('flow', unit), unit } });
          expect(back.in('Kv', 'Kv') / kv).toBeCloseTo(1, 9);
        },
      ),
      { seed: 62 },
    );
  });
  it.each([
    [{ ...carbonDioxide, Cv: 10 }, 'input.conflict'],
    [{ ...carbonDioxide, specificGravity: 1.5 }, 'input.conflict'],
    [{ ...carbonDioxide, temperature: '1 K' }, 'input.conflict'],
    [{ ...carbonDioxide, outletPressure: '6.8 bar a' }, 'input.conflict'],
    [{ ...carbonDioxide, heatRatio: 3 }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('flow.gas', raw).code).toBe(code);
  });
});
