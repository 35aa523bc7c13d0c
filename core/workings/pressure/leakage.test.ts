import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

const leak = (raw: object) => ask('leak.allowance', raw);

describe('API 598 (handbook parts 3 and 5.5)', () => {
  const metal = { code: 'API 598', valve: 'gate', seat: 'metal', class: 300 };
  it.each([
    ['NPS 2', '9th', 0, 0, 15],
    ['NPS 2 1/2', '9th', 12, 24, 60],
    ['NPS 6', '2009', 12, 24, 60],
    ['NPS 8', '9th', 20, 40, 120],
    ['NPS 12', '9th', 20, 40, 120],
    ['NPS 14', '9th', 28, 56, 120],
    ['NPS 24', '9th', 48, 96, 120],
    ['NPS 24', 'older', 28, 56, 120],
    ['NPS 4', 'later', 8, 16, 60],
    ['NPS 16', 'later', 32, 64, 120],
  ])('%s, edition %s: %d drops or %d bubbles a minute, hold %d s', (size, edition, drops, bubbles, hold) => {
    const liquid = leak({ ...metal, size, edition, fluid: 'liquid' });
    expect(liquid.result['dropsPerMinute']).toBe(drops);
    expect(liquid.in('flow', 'mL/min')).toBeCloseTo(drops / 16, 9);
    expect(liquid.in('hold', 's')).toBe(hold);
    expect(leak({ ...metal, size, edition, fluid: 'gas' }).result['bubblesPerMinute']).toBe(bubbles);
  });
  it('unset, the stricter edition rules: NPS 24 takes the flat 28, NPS 4 the 8 of a later one', () => {
    expect(leak({ ...metal, size: 'NPS 24', fluid: 'liquid' }).result['dropsPerMinute']).toBe(28);
    expect(leak({ ...metal, size: 'NPS 4', fluid: 'liquid' }).result['dropsPerMinute']).toBe(8);
  });
  it.each([
    ['NPS 2', 6, 3],
    ['NPS 3', 9, 4.5],
    ['NPS 4', 12, 6],
    ['NPS 6', 18, 9],
    ['NPS 8', 24, 12],
    ['NPS 12', 36, 18],
  ])('metal check valve %s: %d mL/min or %d ft³/h (handbook part 5.5)', (size, liquid, gas) => {
    const check = { ...metal, valve: 'check', size };
    expect(leak({ ...check, fluid: 'liquid' }).in('flow', 'mL/min')).toBeCloseTo(liquid, 9);
    expect(leak({ ...check, fluid: 'gas' }).in('flow', 'ft³/h')).toBeCloseTo(gas, 9);
  });
  it.each([
    ['NPS 2', 60],
    ['NPS 6', 60],
    ['NPS 8', 120],
  ])('a check valve %s is held %d s', (size, hold) => {
    expect(leak({ ...metal, valve: 'check', size, fluid: 'liquid' }).in('hold', 's')).toBe(hold);
  });
  it('soft seats: none, gate or check', () => {
    for (const valve of ['gate', 'check', 'ball'])
      expect(
        leak({ ...metal, valve, seat: 'soft', size: 'NPS 10', fluid: 'liquid' }).in('flow', 'mL/min'),
      ).toBe(0);
  });
  it('gas needs no class; liquid goes by 1.1 × the rating', () => {
    const { class: _class, ...bare } = metal;
    expect(leak({ ...bare, size: 'NPS 3', fluid: 'gas' }).in('testPressure', 'psig')).toBe(60);
    expect(leak({ ...metal, size: 'NPS 3', fluid: 'liquid' }).in('testPressure', 'psig')).toBe(814);
    expect(refusal('leak.allowance', { ...bare, size: 'NPS 3', fluid: 'liquid' })).toMatchObject({
      code: 'input.out-of-range',
      field: 'class',
    });
  });
  it('a larger valve never takes a smaller share under one edition (property)', () => {
    const sizes = [2.5, 3, 4, 6, 8, 10, 12, 14, 16, 20, 24];
    fc.assert(
      fc.property(
        fc.constantFrom('flat-over-12', 'per-inch-over-12', 'per-inch-over-2'),
        fc.integer({ min: 0, max: 9 }),
        (edition, i) => {
          const at = (nps: number) =>
            Number(leak({ ...metal, edition, size: `NPS ${nps}`, fluid: 'liquid' }).result['dropsPerMinute']);
          expect(at(sizes[i + 1] ?? 24)).toBeGreaterThanOrEqual(at(sizes[i] ?? 24));
        },
      ),
      { seed: 51 },
    );
  });
});

describe('ISO 5208 (handbook parts 3 and 5.5)', () => {
  const drops = {
    AA: 0.0001,
    B: 0.00016,
    C: 0.0005,
    CC: 0.0013,
    D: 0.0016,
    E: 0.0048,
    EE: 0.0062,
    F: 0.016,
    G: 0.032,
  };
  const bubbles = { B: 0.0046, C: 0.0458, CC: 0.341, D: 0.458, E: 4.58, EE: 7.18, F: 45.8, G: 91.7 };
  it.each(Object.entries(drops))('rate %s: %d drops a second per mm of DN', (rate, perSecond) => {
    const asked = leak({ code: 'ISO 5208', rate, size: 'DN 100', fluid: 'liquid' });
    const found = Number(asked.result['dropsPerMinute']) / 60 / 100;
    expect(Math.abs(found / perSecond - 1)).toBeLessThan(0.05);
  });
  it.each(Object.entries(bubbles))('rate %s: %d bubbles a second per mm of DN', (rate, perSecond) => {
    const asked = leak({ code: 'ISO 5208', rate, size: 'DN 200', fluid: 'gas' });
    expect(Math.abs(Number(asked.result['bubblesPerMinute']) / 60 / 200 / perSecond - 1)).toBeLessThan(0.01);
  });
  it.each([
    ['D', 'DN 250', 'liquid', 25],
    ['D', 'DN 250', 'gas', 7500],
    ['A', 'DN 50', 'gas', 0],
    ['AA', 'DN 50', 'gas', 9],
    ['G', 'DN 25', 'liquid', 50],
  ])('rate %s, %s, %s: %d mm³/s', (rate, size, fluid, flow) => {
    expect(leak({ code: 'ISO 5208', rate, size, fluid }).in('flow', 'mm³/s')).toBeCloseTo(flow, 9);
  });
  it('takes NPS for DN, the letter as a class too, and gas at 6 bar', () => {
    const asked = leak({ code: 'ISO 5208', class: 'd', size: 'NPS 10', fluid: 'gas' });
    expect(asked.in('flow', 'mm³/s')).toBeCloseTo(7500, 9);
    expect(asked.in('testPressure', 'bar g')).toBeCloseTo(6, 9);
  });
  it('every rate is looser than the one before', () => {
    const flows = ['A', 'AA', 'B', 'C', 'CC', 'D', 'E', 'EE', 'F', 'G'].map((rate) =>
      leak({ code: 'ISO 5208', rate, size: 'DN 80', fluid: 'liquid' }).in('flow', 'mm³/s'),
    );
    expect([...flows].sort((a, b) => a - b)).toEqual(flows);
  });
});

describe('ANSI/FCI 70-2, IEC 60534-4 (handbook parts 3 and 5.6)', () => {
  const control = { code: 'FCI 70-2' };
  it.each([
    ['1 in', 0.15, 1],
    ['1 1/2 in', 0.3, 2],
    ['2 in', 0.45, 3],
    ['2 1/2 in', 0.6, 4],
    ['3 in', 0.9, 6],
    ['4 in', 1.7, 11],
    ['6 in', 4, 27],
    ['8 in', 6.75, 45],
    ['10 in', 11.1, 74],
    ['12 in', 16, 107],
    ['14 in', 21.6, 144],
    ['16 in', 28.4, 189],
    ['1/2 in', 0.15, 1],
  ])('class VI, port %s: %d mL/min, %d bubbles', (portDiameter, flow, bubbles) => {
    const asked = leak({ ...control, class: 'VI', portDiameter, fluid: 'gas' });
    expect(asked.in('flow', 'mL/min')).toBeCloseTo(flow, 9);
    expect(asked.result['bubblesPerMinute']).toBe(bubbles);
    expect(asked.in('testPressure', 'psig')).toBe(50);
  });
  it('between ports by the diameter squared: 5 in lies 9/20 of the way from 4 to 6', () => {
    expect(
      leak({ ...control, class: 'VI', portDiameter: '5 in', fluid: 'gas' }).in('flow', 'mL/min'),
    ).toBeCloseTo(1.7 + (4 - 1.7) * (9 / 20), 9);
  });
  it('a port within 2 mm of a listed one takes its row', () => {
    expect(
      leak({ ...control, class: 'VI', portDiameter: '52 mm', fluid: 'gas' }).in('flow', 'mL/min'),
    ).toBeCloseTo(0.45, 9);
  });
  it('class VI at the rated difference when that is lower', () => {
    expect(
      leak({ ...control, class: 'VI', portDiameter: '2 in', difference: '30 psi', fluid: 'gas' }).in(
        'testPressure',
        'psig',
      ),
    ).toBeCloseTo(30, 9);
  });
  it('class V: 2 in, 100 psi → 0.10 mL/min (handbook part 3)', () => {
    expect(
      leak({ ...control, class: 'V', portDiameter: '2 in', difference: '100 psi', fluid: 'liquid' }).in(
        'flow',
        'mL/min',
      ),
    ).toBeCloseTo(0.1, 9);
  });
  it.each([
    ['II', 0.005],
    ['III', 0.001],
    ['IV', 0.0001],
  ])('class %s is %d of rated capacity: Cv 100 at 25 psi water is 500 gpm', (leakClass, share) => {
    const asked = leak({ ...control, class: leakClass, ratedCv: 100, difference: '25 psi', fluid: 'liquid' });
    expect(asked.in('flow', 'gpm')).toBeCloseTo(500 * share, 6);
    expect(asked.in('testPressure', 'psig')).toBeCloseTo(25, 9);
  });
  it('a high operating difference is tested at 45 psi', () => {
    expect(
      leak({ ...control, class: 'IV', ratedCv: '100 Cv', difference: '600 psi', fluid: 'liquid' }).in(
        'testPressure',
        'psig',
      ),
    ).toBeCloseTo(45, 9);
  });
  it.each([
    [{ ...control, class: 'VI', fluid: 'gas' }, 'portDiameter'],
    [{ ...control, class: 'V', portDiameter: '2 in', fluid: 'liquid' }, 'difference'],
    [{ ...control, class: 'IV', fluid: 'liquid' }, 'ratedCv'],
    [{ ...control, fluid: 'liquid' }, 'class'],
  ])('%j says what it still needs', (raw, field) => {
    expect(refusal('leak.allowance', raw)).toMatchObject({ code: 'input.out-of-range', field });
  });
  it.each([
    [{ ...control, class: 'VI', portDiameter: '20 in', fluid: 'gas' }, 'table.no-entry'],
    [{ ...control, class: 'VII', fluid: 'gas' }, 'table.no-entry'],
    [{ ...control, class: 'VI', portDiameter: '2 in', fluid: 'liquid' }, 'input.conflict'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('leak.allowance', raw).code).toBe(code);
  });
});

describe('API 527 (handbook part 3, Relief seats)', () => {
  const relief = { code: 'API 527', seat: 'metal', fluid: 'gas' };
  it.each([
    ['F', '100 psig', 40, 90],
    ['G', '100 psig', 20, 90],
    ['D', '1000 psig', 40, 900],
    ['J', '1500 psig', 30, 1350],
    ['E', '2000 psig', 80, 1800],
    ['K', '2500 psig', 50, 2250],
    ['F', '3000 psig', 100, 2700],
    ['T', '4000 psig', 80, 3600],
    ['T', '6000 psig', 100, 5400],
    ['H', '50 psig', 20, 45],
    ['H', '30 psig', 20, 25],
  ])('orifice %s set %s: %d bubbles a minute at %d psig', (orifice, setPressure, bubbles, at) => {
    const asked = leak({ ...relief, orifice, setPressure });
    expect(asked.result['bubblesPerMinute']).toBe(bubbles);
    expect(asked.in('testPressure', 'psig')).toBeCloseTo(at, 6);
    expect(asked.in('flow', 'mL/min')).toBeCloseTo(bubbles * 0.295, 9);
  });
  it('between listed pressures the stricter row is taken, and said', () => {
    const asked = leak({ ...relief, orifice: 'F', setPressure: '1200 psig' });
    expect(asked.result['bubblesPerMinute']).toBe(40);
    expect(asked.notes).toContain('stricter row');
  });
  it.each([
    ['NPS 2', 60],
    ['NPS 3', 120],
    ['NPS 4', 120],
    ['NPS 6', 300],
  ])('inlet %s is held %d s before counting', (size, hold) => {
    expect(leak({ ...relief, orifice: 'F', setPressure: '100 psig', size }).in('hold', 's')).toBe(hold);
  });
  it('soft seats none; liquid 10 cm³/h per inch of inlet, at least 10', () => {
    expect(leak({ ...relief, seat: 'soft', setPressure: '100 psig' }).result['bubblesPerMinute']).toBe(0);
    expect(
      leak({ ...relief, fluid: 'liquid', setPressure: '100 psig', size: 'NPS 3' }).in('flow', 'mL/h'),
    ).toBeCloseTo(30, 9);
    expect(
      leak({ ...relief, fluid: 'liquid', setPressure: '100 psig', size: 'NPS 1/2' }).in('flow', 'mL/h'),
    ).toBeCloseTo(10, 9);
  });
  it.each([
    [{ ...relief, orifice: 'I', setPressure: '100 psig' }, 'input.invalid'],
    [{ ...relief, setPressure: '100 psig' }, 'input.out-of-range'],
    [{ ...relief, orifice: 'J' }, 'input.out-of-range'],
    [{ ...relief, orifice: 'J', setPressure: '5 psig' }, 'table.no-entry'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('leak.allowance', raw).code).toBe(code);
  });
});

describe('MSS SP-61 (handbook part 5.5)', () => {
  const gate = { code: 'MSS SP-61', valve: 'gate', seat: 'metal', class: 150 };
  it.each([
    ['NPS 2', 20, 0.2, 15],
    ['NPS 8', 80, 0.8, 30],
    ['NPS 10', 100, 1, 60],
    ['NPS 24', 240, 2.4, 120],
  ])('%s: %d mL/h or %d ft³/h, hold %d s', (size, liquid, gas, hold) => {
    expect(leak({ ...gate, size, fluid: 'liquid' }).in('flow', 'mL/h')).toBeCloseTo(liquid, 9);
    expect(leak({ ...gate, size, fluid: 'gas' }).in('flow', 'ft³/h')).toBeCloseTo(gas, 9);
    expect(leak({ ...gate, size, fluid: 'liquid' }).in('hold', 's')).toBe(hold);
  });
  it('check valves 40 mL/h per inch; soft seats none; gas at 80 psig', () => {
    expect(leak({ ...gate, valve: 'check', size: 'NPS 4', fluid: 'liquid' }).in('flow', 'mL/h')).toBeCloseTo(
      160,
      9,
    );
    expect(leak({ ...gate, seat: 'soft', size: 'NPS 4', fluid: 'liquid' }).in('flow', 'mL/h')).toBe(0);
    expect(leak({ ...gate, size: 'NPS 4', fluid: 'gas' }).in('testPressure', 'psig')).toBe(80);
  });
});

it('a bubble is not a bubble: 0.15, 0.295 and 0.065 mL by their tubes (handbook part 3)', () => {
  const perBubble = (raw: object) => {
    const asked = leak(raw);
    return asked.in('flow', 'mL/min') / Number(asked.result['bubblesPerMinute']);
  };
  expect(perBubble({ code: 'FCI 70-2', class: 'VI', portDiameter: '2 in', fluid: 'gas' })).toBeCloseTo(
    0.15,
    2,
  );
  expect(
    perBubble({ code: 'API 527', orifice: 'J', setPressure: '100 psig', fluid: 'gas', seat: 'metal' }),
  ).toBeCloseTo(0.295, 3);
  expect(perBubble({ code: 'ISO 5208', rate: 'D', size: 'DN 100', fluid: 'gas' })).toBeCloseTo(0.0654, 4);
});
