import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HAZARDOUS_MEDIA } from '../../standards';
import { ask, refusal } from '../../testing/ask';

describe('repair.or-renew (handbook part 4)', () => {
  const sums = {
    hours: '6 h',
    rate: 85,
    consumables: 40,
    waitDays: '7 d',
    price: 900,
    leadDays: '10 d',
    spareDays: '6 d',
    delayCost: 250,
    fittingHours: '1 h',
  };
  it('both sums by hand: 6 × 85 + 40 + (7 − 6) × 250 = 800 against 900 + (10 − 6) × 250 + 85 = 1985', () => {
    expect(ask('repair.or-renew', sums).result).toEqual({
      repairCost: 800,
      renewCost: 1985,
      choice: 'repair',
    });
  });
  it('bare numbers are hours and days; texts of numbers too', () => {
    expect(
      ask('repair.or-renew', {
        ...sums,
        hours: 6,
        waitDays: '7',
        leadDays: 10,
        spareDays: 6,
        fittingHours: 1,
      }).result['repairCost'],
    ).toBe(800);
    expect(ask('repair.or-renew', { ...sums, hours: '360 min' }).result['repairCost']).toBe(800);
  });
  it('a lathe that is free in time costs no delay either', () => {
    expect(ask('repair.or-renew', { ...sums, waitDays: 3 }).result['repairCost']).toBe(550);
  });
  it('a part that comes in time costs no delay', () => {
    expect(ask('repair.or-renew', { ...sums, leadDays: 3 }).result['renewCost']).toBe(985);
  });
  it('chooses the smaller sum, whatever it is (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 0, max: 40 }),
        (hours, price, leadDays) => {
          const { result } = ask('repair.or-renew', { ...sums, hours, price, leadDays });
          expect(result['choice']).toBe(
            Number(result['repairCost']) <= Number(result['renewCost']) ? 'repair' : 'renew',
          );
        },
      ),
      { seed: 91 },
    );
  });
  it.each([
    { ...sums, price: -1 },
    { ...sums, hours: '6 psi' },
    { ...sums, rate: 'much' },
  ])('refuses %#', (raw) => {
    expect(refusal('repair.or-renew', raw).code).toBe('input.invalid');
  });
});

describe('interval.next (API RP 576, handbook part 4)', () => {
  const next = (history: string[], lastInterval = '24 months', limit = '60 months') =>
    ask('interval.next', { lastInterval, history, limit });
  it.each([
    [['good'], 30],
    [['high'], 18],
    [['dirty'], 18],
    [['leaking'], 18],
    [['stuck'], 12],
    [['high', 'good'], 24],
    [['high', 'good', 'good'], 30],
    [['stuck', 'good'], 24],
    [['good', 'good', 'high', 'good', 'good'], 30],
  ])('%j from 24 months: %d', (history, months) => {
    expect(next(history).in('interval', 'month')).toBeCloseTo(months, 6);
  });
  it('never beyond the limit, whatever was found (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 120 }),
        fc.integer({ min: 1, max: 120 }),
        fc.array(fc.constantFrom('good', 'high', 'dirty', 'stuck', 'low', 'leaking'), {
          minLength: 1,
          maxLength: 6,
        }),
        (last, limit, history) => {
          const months = next(history, `${last} months`, `${limit} months`).in('interval', 'month');
          expect(months).toBeLessThanOrEqual(limit + 1e-9);
          expect(months).toBeGreaterThan(0);
          if (history.at(-1) !== 'good') expect(months).toBeLessThan(last + 1e-9);
        },
      ),
      { seed: 92 },
    );
  });
  it('years stay years', () => {
    expect(next(['good'], '2 years', '10 years').quantity('interval')).toMatchObject({
      unit: 'year',
      value: expect.closeTo(2.5, 6),
    });
  });
  it('stuck shut is said loudly', () => {
    expect(next(['stuck']).notes).toContain('Act at once');
  });
  it.each([
    [{ lastInterval: '24 months', history: [], limit: '60 months' }, 'input.too-few'],
    [{ lastInterval: '24 months', history: ['splendid'], limit: '60 months' }, 'input.invalid'],
    [{ lastInterval: '90 years', history: ['good'], limit: '60 months' }, 'input.conflict'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('interval.next', raw).code).toBe(code);
  });
});

describe('medium.hazard', () => {
  it('hydrogen sulphide: the published limits (ACGIH, OSHA, NIOSH; handbook part 3, Health, from memory)', () => {
    const { result } = ask('medium.hazard', { medium: 'H2S' });
    const limits = String(result['limits']);
    for (const figure of [
      'TLV-TWA 1 ppm',
      'STEL 5 ppm',
      'ceiling 20 ppm',
      'peak 50 ppm',
      'ceiling 10 ppm',
      'IDLH 100 ppm',
    ])
      expect(limits).toContain(figure);
    expect(String(result['hazards'])).toContain('never rely on smell');
    expect(String(result['guards'])).toContain('Breathing apparatus');
  });
  it('oxygen: no oil or grease at all', () => {
    expect(String(ask('medium.hazard', { medium: 'oxygen' }).result['guards'])).toContain('No oil or grease');
  });
  it('every medium says what it does and asks for eyes and hands', () => {
    for (const medium of HAZARDOUS_MEDIA) {
      const { result } = ask('medium.hazard', { medium });
      expect(String(result['hazards']).length).toBeGreaterThan(10);
      expect(String(result['guards'])).toContain('Eye protection');
    }
  });
});
