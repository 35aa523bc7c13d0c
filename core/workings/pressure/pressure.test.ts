import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MATERIAL_GROUPS, PRESSURE_CLASSES, RATINGS } from '../../standards';
import { ask, refusal } from '../../testing/ask';

describe('rating.pressure (ASME B16.34, handbook parts 3 and 5.3)', () => {
  it.each([
    [150, '100 °F', '1.1', 285],
    [300, '500 °F', '1.1', 605],
    [600, '750 °F', '1.1', 1015],
    [900, '800 °F', '1.1', 1235],
    [1500, '650 °F', '1.1', 2745],
    [2500, '1000 °F', '1.1', 715],
    [300, '900 °F', '1.1', 230],
    [150, '400 °F', '2.1', 190],
    [600, '600 °F', '2.2', 900],
    [2500, '800 °F', '2.3', 2880],
    [300, '100 °F', '1.2', 750],
    [900, '500 °F', '1.3', 1760],
    [1500, '900 °F', '1.9', 2245],
    [600, '1000 °F', '1.10', 535],
    [300, '500 °F', '2.8', 575],
  ])('class %d at %s, group %s: %d psig', (pressureClass, temperature, group, rating) => {
    expect(
      ask('rating.pressure', { class: pressureClass, temperature, group }).in('pressure', 'psig'),
    ).toBeCloseTo(rating, 6);
  });
  it('between rows in proportion: class 300 at 350 °F is 645 psig', () => {
    expect(ask('rating.pressure', { class: 300, temperature: '350 °F' }).in('pressure', 'psig')).toBeCloseTo(
      645,
      6,
    );
  });
  it('below 100 °F it is the 100 °F rating, down to −20 °F', () => {
    for (const temperature of ['-20 °F', '0 °F', '20 °C', '100 °F'])
      expect(ask('rating.pressure', { class: 600, temperature }).in('pressure', 'psig')).toBeCloseTo(1480, 6);
  });
  it('class 800 is 1975 psig at 100 °F (API 602, handbook part 5.3)', () => {
    expect(ask('rating.pressure', { class: 800, temperature: '100 °F' }).in('pressure', 'psig')).toBeCloseTo(
      1975,
      6,
    );
  });
  it('answers in bar for °C: class 150 at 38 °C is 19.6 bar (B16.34 metric table, from memory)', () => {
    const metric = ask('rating.pressure', { class: 150, temperature: '38 °C' });
    expect(metric.quantity('pressure').unit).toBe('bar g');
    expect(metric.in('pressure', 'bar g')).toBeCloseTo(19.6, 1);
  });
  it('no rating rises with temperature (property over every group and class)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MATERIAL_GROUPS),
        fc.constantFrom(...PRESSURE_CLASSES),
        fc.integer({ min: 100, max: 1000 }),
        fc.integer({ min: 1, max: 200 }),
        (group, pressureClass, at, more) => {
          const last = RATINGS[group].at(-1)?.[0] ?? 0;
          fc.pre(at + more <= last);
          const rating = (fahrenheit: number) =>
            ask('rating.pressure', { class: pressureClass, temperature: `${fahrenheit} °F`, group }).in(
              'pressure',
              'psig',
            );
          expect(rating(at + more)).toBeLessThanOrEqual(rating(at) + 1e-9);
        },
      ),
      { seed: 41 },
    );
  });
  it('rows of class 300 and above are proportional to class within 5 psi rounding (handbook part 5)', () => {
    for (const group of MATERIAL_GROUPS)
      for (const [, , ...pressures] of RATINGS[group]) {
        const [first] = pressures;
        const perClass = (first ?? 0) / 300;
        for (const [i, pressureClass] of [300, 600, 900, 1500, 2500].entries())
          expect(Math.abs((pressures[i] ?? 0) - perClass * pressureClass)).toBeLessThanOrEqual(
            2.6 * (pressureClass / 300) + 5,
          );
      }
  });
  it('class 150 never passes 320 − 0.3·T (handbook part 5.3)', () => {
    for (const group of MATERIAL_GROUPS)
      for (const [fahrenheit, psig = -Infinity] of RATINGS[group])
        if (fahrenheit >= 300) expect(psig).toBeLessThanOrEqual(320 - 0.3 * fahrenheit + 0.5);
  });
  it.each([
    [{ class: 450, temperature: '100 °F' }, 'table.no-entry'],
    [{ class: 300, temperature: '1200 °F' }, 'table.no-entry'],
    [{ class: 300, temperature: '-50 °F' }, 'table.no-entry'],
    [{ class: 300, temperature: '600 °F', group: '1.3' }, 'table.no-entry'],
    [{ class: 300, temperature: '600 °F', group: '9.9' }, 'input.invalid'],
    [{ class: 300, temperature: '600 psi' }, 'input.invalid'],
    [{ class: -300, temperature: '600 °F' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('rating.pressure', raw).code).toBe(code);
  });
});

describe('test.pressures by other codes', () => {
  it.each([
    [2000, 4000],
    [3000, 6000],
    [5000, 7500],
    [10000, 15000],
    [15000, 22500],
    [20000, 30000],
  ])('API 6A rated %d psi: body %d (handbook part 5.8)', (rated, body) => {
    const wellhead = ask('test.pressures', { ratedPressure: `${rated} psi`, code: 'API 6A' });
    expect(wellhead.in('shell', 'psig')).toBe(body);
    expect(wellhead.in('closureHigh', 'psig')).toBe(rated);
    expect(wellhead.in('closureLow', 'psig')).toBe(300);
  });
  it.each(['B16.34', 'MSS SP-61'])('%s closes at 80 psig gas or more', (code) => {
    expect(ask('test.pressures', { class: 300, code }).in('closureLow', 'psig')).toBe(80);
  });
  it.each([
    ['cast iron 125', 'NPS 8', 350, 220],
    ['cast iron 125', 'NPS 16', 265, 165],
    ['cast iron 250', 'NPS 6', 875, 550],
    ['cast iron 250', 'NPS 14', 525, 330],
    ['ductile iron 150', 'NPS 4', 400, 275],
    ['ductile iron 300', 'NPS 4', 975, 704],
  ])(
    '%s, %s: shell %d psig (API 598, handbook part 5.3), closure %d: 1.1 × the rating of ASME B16.1 and B16.42 (from memory)',
    (iron, size, shell, closure) => {
      for (const beside of [{}, { class: 150 }]) {
        const asked = ask('test.pressures', { iron, size, ...beside });
        expect(asked.in('shell', 'psig')).toBe(shell);
        expect(asked.in('closureHigh', 'psig')).toBe(closure);
        expect(asked.in('backseat', 'psig')).toBe(closure);
      }
    },
  );
  it('cast iron without a size is asked for it; ductile iron is the same in all sizes', () => {
    expect(refusal('test.pressures', { iron: 'cast iron 125' }).code).toBe('input.conflict');
    expect(ask('test.pressures', { iron: 'ductile iron 300' }).in('shell', 'psig')).toBe(975);
  });
  it('API 6A: large bores have the lower table, and 34.5 MPa is 5000 psi as it is stamped', () => {
    const large = { ratedPressure: '2000 psi', code: 'API 6A', size: 'NPS 18' };
    expect(ask('test.pressures', large).in('shell', 'psig')).toBe(3000);
    expect(
      ask('test.pressures', { ratedPressure: '34.5 MPa', code: 'API 6A' }).in('closureHigh', 'psig'),
    ).toBe(5000);
  });
  it.each([
    ['1.2', [319, 825, 1650, 2475, 4125, 6875]],
    ['2.1', [303, 792, 1584, 2376, 3960, 6600]],
  ])('closure of group %s is 1.1 × the rating, up to the psi', (group, closures) => {
    expect(
      PRESSURE_CLASSES.map((each) => ask('test.pressures', { class: each, group }).in('closureHigh', 'psig')),
    ).toEqual(closures);
  });
  it('shell is at least 1.5 ×, by less than 25 psi more; closure at least 1.1 ×, by less than 1 (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 20000 }), (rated) => {
        const asked = ask('test.pressures', { ratedPressure: { value: rated, unit: 'psig' } });
        const [shell, closure] = [asked.in('shell', 'psig'), asked.in('closureHigh', 'psig')];
        expect(shell).toBeGreaterThanOrEqual(1.5 * rated);
        expect(shell).toBeLessThan(1.5 * rated + 25);
        expect(closure).toBeGreaterThanOrEqual(1.1 * rated - 1e-9);
        expect(closure).toBeLessThan(1.1 * rated + 1);
      }),
      { seed: 42 },
    );
  });
  it('refuses a wellhead pressure that is not in the table', () => {
    expect(refusal('test.pressures', { ratedPressure: '4000 psi', code: 'API 6A' }).code).toBe(
      'table.no-entry',
    );
  });
});

describe('test.stored-energy (ASME PCC-2 article 501)', () => {
  it('20 L at 7.0 MPa gauge: 250 kJ, 0.0585 kg TNT, 9.8 m, water 223 J (handbook part 3)', () => {
    const stored = ask('test.stored-energy', { pressure: '7.0 MPa g', volume: '20 L' });
    expect(stored.in('energy', 'kJ')).toBeCloseTo(250, 0);
    expect(stored.in('tnt', 'kg')).toBeCloseTo(0.0585, 4);
    expect(stored.in('distance', 'm')).toBeCloseTo(9.8, 1);
    expect(stored.in('minimumDistance', 'm')).toBe(30);
    expect(stored.in('waterEnergy', 'J')).toBeCloseTo(223, 0);
    expect(stored.notes).toContain('30 m (up to 135.5 MJ)');
  });
  it('agrees with the work of an ideal diatomic gas expanding to the open air, (P1V − PaV(P1/Pa)^(1/γ))/(γ − 1) at γ 1.4', () => {
    const [p1, pa, volume] = [7e6 + 101325, 101325, 0.02];
    const expanded = volume * (p1 / pa) ** (1 / 1.4);
    const work = (p1 * volume - pa * expanded) / 0.4;
    expect(
      ask('test.stored-energy', { pressure: '7.0 MPa g', volume: '20 L' }).in('energy', 'J') / work,
    ).toBeCloseTo(1, 2);
  });
  it('a large vessel stands further off than 30 m, and the bands are said', () => {
    const large = ask('test.stored-energy', { pressure: '100 bar', volume: '10 m³' });
    expect(large.in('minimumDistance', 'm')).toBeGreaterThan(30);
    expect(large.in('minimumDistance', 'm')).toBe(large.in('distance', 'm'));
    expect(large.notes).toContain('60 m (up to 271 MJ)');
  });
  it('more pressure or volume, more energy; the same in US units (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 0.1, max: 5000, noNaN: true }),
        (bar, litres) => {
          const energy = (pressure: object, volume: object) =>
            ask('test.stored-energy', { pressure, volume }).in('energy', 'J');
          const here = energy({ value: bar, unit: 'bar g' }, { value: litres, unit: 'L' });
          expect(energy({ value: bar * 1.01, unit: 'bar g' }, { value: litres, unit: 'L' })).toBeGreaterThan(
            here,
          );
          expect(energy({ value: bar, unit: 'bar g' }, { value: litres * 1.01, unit: 'L' })).toBeGreaterThan(
            here,
          );
          const us = energy(
            { value: (bar * 1e5) / 6894.757293168, unit: 'psig' },
            { value: litres / 3.785411784, unit: 'gal' },
          );
          expect(us / here).toBeCloseTo(1, 9);
        },
      ),
      { seed: 43 },
    );
  });
  it.each([
    { pressure: '0 psig', volume: '1 L' },
    { pressure: '10 psia', volume: '1 L' },
    { pressure: '10 psig', volume: '-1 L' },
  ])('refuses %j', (raw) => {
    expect(refusal('test.stored-energy', raw).code).toBe('input.invalid');
  });
});

describe('regulator.lock-up (handbook part 6.6)', () => {
  const on = { wanted: '30 psig', flowing: '30.2 psig' };
  it.each([
    [{ ...on }, 'fit'],
    [{ ...on, shut: '33 psig', later: '33 psig' }, 'fit'],
    [{ ...on, shut: '33.2 psig' }, 'not fit'],
    [{ ...on, shut: '32 psig', later: '32.5 psig' }, 'not fit'],
    [{ wanted: '30 psig', flowing: '31 psig' }, 'not fit'],
    [{ wanted: '5 psig', flowing: '5 psig', shut: '5.9 psig' }, 'fit'],
    [{ wanted: '2 bar', flowing: '2 bar', shut: '2.19 bar' }, 'fit'],
  ])('%j: %s', (raw, verdict) => {
    expect(ask('regulator.lock-up', raw).result['verdict']).toBe(verdict);
  });
  it('says lock-up, limit and creep', () => {
    const found = ask('regulator.lock-up', { ...on, shut: '32 psig', later: '32 psig' });
    expect(found.in('lockUp', 'psi')).toBeCloseTo(1.8, 6);
    expect(found.in('most', 'psig')).toBeCloseTo(33, 6);
    expect(found.in('creep', 'psi')).toBeCloseTo(0, 9);
  });
  it('refuses the later reading without the first', () => {
    expect(refusal('regulator.lock-up', { ...on, later: '32 psig' }).code).toBe('input.conflict');
  });
});
