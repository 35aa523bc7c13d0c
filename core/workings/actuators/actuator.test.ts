import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { ask, refusal } from '../../testing/ask';
import { findWorking } from '..';

describe('signal.travel', () => {
  it.each([
    ['3 psi', '15 psi', '6 psi', 'direct', 25],
    ['3 psi', '15 psi', '9 psi', 'direct', 50],
    ['3 psi', '15 psi', '6 psi', 'reverse', 75],
    ['4 mA', '20 mA', '12 mA', 'direct', 50],
    ['4 mA', '20 mA', '20 mA', 'reverse', 0],
    ['0.2 bar', '1.0 bar', '0.4 bar', 'direct', 25],
    ['0 %', '100 %', '37 %', 'direct', 37],
    ['9 psi', '15 psi', '12 psi', 'direct', 50],
  ])(
    '%s to %s, at %s, %s: %d %% (handbook part 3: 6 → 25 %%, 9 → 50 %%)',
    (low, high, signal, action, travel) => {
      expect(ask('signal.travel', { low, high, signal, action }).in('travel', '%')).toBeCloseTo(travel, 6);
    },
  );
  it('beyond the range the stem stands on its stop, and that is said', () => {
    const over = ask('signal.travel', { low: '3 psi', high: '15 psi', signal: '18 psi', action: 'direct' });
    expect(over.in('travel', '%')).toBe(100);
    expect(over.notes).toContain('outside its range');
  });
  it('a split range read backwards turns with its ends (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 3, max: 15, noNaN: true }), (psi) => {
        const signal = { value: psi, unit: 'psi' };
        const forward = ask('signal.travel', { low: '3 psi', high: '15 psi', signal, action: 'direct' }).in(
          'travel',
          '%',
        );
        const backward = ask('signal.travel', { low: '15 psi', high: '3 psi', signal, action: 'direct' }).in(
          'travel',
          '%',
        );
        expect(forward + backward).toBeCloseTo(100, 6);
      }),
      { seed: 71 },
    );
  });
  it.each([
    [{ low: '3 psi', high: '20 mA', signal: '9 psi', action: 'direct' }, 'input.conflict'],
    [{ low: '3 psi', high: '3 psi', signal: '9 psi', action: 'direct' }, 'input.conflict'],
    [{ low: '3 psi', high: '15 psi', signal: '9 in', action: 'direct' }, 'input.invalid'],
    [{ low: '3 psi', high: '15 psi', signal: '9 psi', action: 'sideways' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('signal.travel', raw).code).toBe(code);
  });
});

describe('actuator.balance (statics; spring rate 1 104 lbf/in from handbook part 3)', () => {
  const actuator = {
    area: '69 in²',
    springRate: '1104 lbf/in',
    benchLow: '3 psi',
    benchHigh: '15 psi',
    travel: '3/4 in',
    action: 'air-to-open',
    unbalanceArea: '1.5 in²',
    difference: '100 psi',
    packingFriction: '20 lbf',
    flow: 'under',
    supply: '20 psi',
  };
  it('air to open, flow under: 207 − 20 − 150 = 37 lbf on the seat', () => {
    const asked = ask('actuator.balance', actuator);
    expect(asked.in('seatLoad', 'lbf')).toBeCloseTo(37, 6);
    expect(asked.in('thrustClosed', 'lbf')).toBeCloseTo(207, 6);
    expect(asked.in('thrustOpen', 'lbf')).toBeCloseTo(345, 6);
    expect(asked.in('marginPercent', '%')).toBeCloseTo((37 / 170) * 100, 6);
    expect(asked.result['verdict']).toBe('shuts');
  });
  it('flow over the plug helps to shut and resists opening', () => {
    const over = ask('actuator.balance', { ...actuator, flow: 'over' });
    expect(over.in('seatLoad', 'lbf')).toBeCloseTo(207 - 20 + 150, 6);
    expect(over.result['verdict']).toBe('shuts');
  });
  it.each([
    [
      '300 psi holds the plug with 450 lbf: air lifts 69 × 17 = 1173 at the seat',
      '300 psi',
      '20 psi',
      'shuts',
    ],
    ['800 psi holds it with 1200 lbf', '800 psi', '20 psi', 'does not open'],
    ['at full travel 69 × 0.2 lbf are left against 20 of friction', '100 psi', '15.2 psi', 'does not open'],
  ])('%s: lifting and full travel each at its own place (statics)', (_, difference, supply, verdict) => {
    const asked = ask('actuator.balance', { ...actuator, flow: 'over', difference, supply });
    expect(asked.result['verdict']).toBe(verdict);
  });
  it('air to close: the compressed spring lifts off the seat, A · bench high', () => {
    const closing = { ...actuator, action: 'air to close', flow: 'over' };
    expect(ask('actuator.balance', closing).in('thrustOpenSeat', 'lbf')).toBeCloseTo(69 * 15, 6);
    const held = (difference: string) =>
      ask('actuator.balance', { ...closing, difference }).result['verdict'];
    expect([held('600 psi'), held('700 psi')]).toEqual(['shuts', 'does not open']);
  });
  it('its example on the screen is a sound valve', () => {
    const { fields } = must(findWorking('actuator.balance'));
    const example = Object.fromEntries(
      fields.map((field) => [field.name, field.kind === 'choice' ? field.choices[0] : field.example]),
    );
    expect(ask('actuator.balance', example).result['verdict']).toBe('shuts');
  });
  it('air to close: air less the end of the bench set shuts, the spring opens', () => {
    const asked = ask('actuator.balance', { ...actuator, action: 'air to close' });
    expect(asked.in('thrustClosed', 'lbf')).toBeCloseTo(69 * 5, 6);
    expect(asked.in('thrustOpen', 'lbf')).toBeCloseTo(207, 6);
    expect(asked.in('seatLoad', 'lbf')).toBeCloseTo(345 - 20 - 150, 6);
  });
  it('too much difference under the plug lifts it off', () => {
    expect(ask('actuator.balance', { ...actuator, difference: '150 psi' }).result['verdict']).toBe(
      'does not shut',
    );
  });
  it('a bench set that gives another rate than the spring is pointed out', () => {
    expect(ask('actuator.balance', actuator).notes).not.toContain('another spring');
    expect(ask('actuator.balance', { ...actuator, springRate: '800 lbf/in' }).notes).toContain('38 % above');
  });
  it('the same actuator in SI holds the same seat load (unit-independence)', () => {
    const metric = ask('actuator.balance', {
      ...actuator,
      area: { value: 69 * 645.16, unit: 'mm²' },
      springRate: { value: 1104 * 0.1751268, unit: 'N/mm' },
      benchLow: { value: 3 * 0.06894757293168, unit: 'bar g' },
      benchHigh: { value: 15 * 0.06894757293168, unit: 'bar g' },
      travel: '19.05 mm',
      unbalanceArea: { value: 1.5 * 645.16, unit: 'mm²' },
      difference: { value: 6.894757293168, unit: 'bar' },
      packingFriction: { value: 20 * 4.4482216152605, unit: 'N' },
      supply: { value: 20 * 0.06894757293168, unit: 'bar g' },
    });
    expect(metric.in('seatLoad', 'lbf')).toBeCloseTo(37, 4);
  });
  it('without a supply air to open still shuts, and opening is not judged', () => {
    const { supply: _supply, ...bare } = actuator;
    expect(ask('actuator.balance', bare).result).not.toHaveProperty('thrustOpen');
    expect(refusal('actuator.balance', { ...bare, action: 'direct' }).code).toBe('input.conflict');
  });
  it('nothing that resists, no margin', () => {
    expect(
      ask('actuator.balance', { ...actuator, flow: 'over', packingFriction: '0 lbf' }).result,
    ).not.toHaveProperty('marginPercent');
  });
  it.each([
    [{ ...actuator, benchHigh: '3 psi' }, 'input.conflict'],
    [{ ...actuator, area: '0 in²' }, 'input.invalid'],
    [{ ...actuator, flow: 'sideways' }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('actuator.balance', raw).code).toBe(code);
  });
});

describe('actuator.seat-load (handbook practice, part 3, from memory)', () => {
  it.each([
    ['II', 20, 20],
    ['III', 40, 40],
    ['IV', 40, 80],
    ['VI', 300, 300],
  ])('class %s: %d to %d lbf per inch round', (leakClass, low, high) => {
    const asked = ask('actuator.seat-load', { seatDiameter: '2 in', leakClass });
    expect(asked.in('loadLow', 'lbf')).toBeCloseTo(low * 2 * Math.PI, 6);
    expect(asked.in('load', 'lbf')).toBeCloseTo(high * 2 * Math.PI, 6);
  });
  it('class V grows with the difference: 40 + 0.10–0.15 per psi', () => {
    const asked = ask('actuator.seat-load', { seatDiameter: '1 in', leakClass: 'V', difference: '400 psi' });
    expect(asked.in('loadLow', 'lbf')).toBeCloseTo(80 * Math.PI, 6);
    expect(asked.in('load', 'lbf')).toBeCloseTo(100 * Math.PI, 6);
    expect(refusal('actuator.seat-load', { seatDiameter: '1 in', leakClass: 'V' })).toMatchObject({
      field: 'difference',
    });
  });
});

describe('positioner.stroke (IEC 61298-2, ISA-51.1)', () => {
  const test = (offsets: readonly (readonly [signal: number, up: number, down: number])[]) =>
    ask('positioner.stroke', {
      points: offsets.map(([signal, up, down]) => ({
        signal: `${signal} %`,
        up: `${signal + up} %`,
        down: `${signal + down} %`,
      })),
    });
  const level = (offset: number) => [0, 25, 50, 75, 100].map((signal) => [signal, offset, offset] as const);
  it('1 % up everywhere is zero error, nothing else', () => {
    const asked = test(level(1));
    expect(asked.in('zeroError', '%')).toBeCloseTo(1, 9);
    for (const name of ['spanError', 'hysteresis', 'linearityIndependent', 'linearityTerminal'])
      expect(asked.in(name, '%')).toBeCloseTo(0, 9);
    expect(String(asked.result['advice'])).toContain('Zero down by 1 %');
  });
  it('a perfect stroke is left alone', () => {
    expect(String(test(level(0)).result['advice'])).toContain('Leave it');
  });
  it('short travel is span: range spring anticlockwise gives more (handbook part 2, positioner set-up)', () => {
    const asked = test([0, 25, 50, 75, 100].map((signal) => [signal, -0.03 * signal, -0.03 * signal]));
    expect(asked.in('spanError', '%')).toBeCloseTo(-3, 9);
    expect(String(asked.result['advice'])).toContain('anticlockwise');
  });
  it('the best line halves what the line through the ends shows of a bow (Chebyshev)', () => {
    const bowed = test(
      [0, 25, 50, 75, 100].map((signal) => [
        signal,
        (signal * (100 - signal)) / 1250,
        (signal * (100 - signal)) / 1250,
      ]),
    );
    expect(bowed.in('linearityTerminal', '%')).toBeCloseTo(2, 9);
    expect(bowed.in('linearityIndependent', '%')).toBeCloseTo(1, 9);
  });
  it('hysteresis is the largest difference less the dead band', () => {
    const points = [0, 50, 100].map((signal) => ({
      signal: `${signal} %`,
      up: `${signal - 0.4} %`,
      down: `${signal + 0.5} %`,
    }));
    expect(ask('positioner.stroke', { points }).in('hysteresis', '%')).toBeCloseTo(0.9, 9);
    const apart = ask('positioner.stroke', { points, deadBand: '0.3 %' });
    expect(apart.in('hysteresis', '%')).toBeCloseTo(0.6, 9);
    expect(apart.in('deadBand', '%')).toBeCloseTo(0.3, 9);
  });
  it('an end that a stop holds is judged clear of it, and must have been read there', () => {
    const at = (signal: number, travel: number) => ({
      signal: `${signal} %`,
      up: `${travel} %`,
      down: `${travel} %`,
    });
    const points = [at(0, 0), at(5, 3), at(50, 49), at(100, 100)];
    const found = ask('positioner.stroke', { points, held: '0 %' });
    expect(found.in('zeroError', '%')).toBeCloseTo(-2, 9);
    expect(found.in('spanError', '%')).toBeCloseTo(2, 9);
    expect(found.in('measuredError', '%')).toBeCloseTo(-2, 9);
    expect(refusal('positioner.stroke', { points, held: 'both ends' }).code).toBe('input.conflict');
  });
  it('in psi and inches as in percent', () => {
    const points = [
      [3, 0.0075],
      [9, 0.3825],
      [15, 0.7575],
    ].map(([psi, inch]) => ({ signal: `${psi} psi`, up: `${inch} in`, down: `${inch} in` }));
    const asked = ask('positioner.stroke', { points, travel: '3/4 in' });
    expect(asked.in('zeroError', '%')).toBeCloseTo(1, 6);
    expect(asked.in('spanError', '%')).toBeCloseTo(0, 6);
  });
  it('4–20 mA, reverse action', () => {
    const points = [
      [4, 100],
      [12, 50],
      [20, 0],
    ].map(([mA, travel]) => ({ signal: `${mA} mA`, up: travel, down: travel }));
    const asked = ask('positioner.stroke', { points, action: 'reverse' });
    expect(asked.in('zeroError', '%')).toBeCloseTo(0, 9);
    expect(asked.in('spanError', '%')).toBeCloseTo(0, 9);
  });
  it('independent linearity is never more than terminal (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 5, maxLength: 5 }),
        (offsets) => {
          const asked = test(
            [0, 25, 50, 75, 100].map((signal, i) => [signal, offsets[i] ?? 0, offsets[i] ?? 0]),
          );
          expect(asked.in('linearityIndependent', '%')).toBeLessThanOrEqual(
            asked.in('linearityTerminal', '%') + 1e-9,
          );
        },
      ),
      { seed: 72 },
    );
  });
  it.each([
    [{ points: [] }, 'input.too-few'],
    [{ points: [0, 50].map((signal) => ({ signal, up: signal, down: signal })) }, 'input.too-few'],
    [{ points: [10, 50, 90].map((signal) => ({ signal, up: signal, down: signal })) }, 'input.conflict'],
    [{ points: [0, 50, 100].map((signal) => ({ signal, up: '0.1 in', down: '0.1 in' })) }, 'input.conflict'],
    [{ points: [0, 50, 100].map((signal) => ({ signal, up: 'far', down: 1 })) }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('positioner.stroke', raw).code).toBe(code);
  });
});
