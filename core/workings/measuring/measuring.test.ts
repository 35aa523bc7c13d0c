import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('stem.runout in other units', () => {
  const readings = [0, 0.02, 0.05, 0.06, 0.05, 0.02, 0, -0.01];
  it('answers in mm when asked in mm', () => {
    const asked = ask('stem.runout', { readings: readings.map((each) => `${each} mm`), limit: '0.08 mm' });
    expect(asked.quantity('tir')).toMatchObject({ unit: 'mm', value: expect.closeTo(0.07, 9) });
    expect(asked.result['verdict']).toBe('fit');
  });
  it('an oval is told from a bend: gain of a 90° V-block is 1, out-of-round 4·A2 (handbook part 3, V-block gain)', () => {
    const oval = Array.from({ length: 16 }, (_, i) => `${2 * Math.cos((4 * Math.PI * i) / 16)} thou`);
    const asked = ask('stem.runout', { readings: oval });
    expect(asked.in('outOfRound', 'thou')).toBeCloseTo(8, 9);
    expect(asked.in('bow', 'thou')).toBeCloseTo(0, 9);
  });
  it('turning the stem turns the high spot and nothing else (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 11 }),
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 12, maxLength: 12 }),
        (by, dial) => {
          const at = (values: number[]) =>
            ask('stem.runout', { readings: values.map((each) => ({ value: each, unit: 'thou' })) });
          const turned = [...dial.slice(by), ...dial.slice(0, by)];
          expect(at(turned).in('bow', 'thou')).toBeCloseTo(at(dial).in('bow', 'thou'), 6);
          expect(at(turned).in('tir', 'thou')).toBeCloseTo(at(dial).in('tir', 'thou'), 9);
          expect(at(turned).in('outOfRound', 'thou')).toBeCloseTo(at(dial).in('outOfRound', 'thou'), 6);
        },
      ),
      { seed: 31 },
    );
  });
  it('noise that follows no ring is pointed out', () => {
    const rough = [0, 5, -4, 6, -5, 4, -6, 5, -4, 6].map((each) => `${each} thou`);
    expect(ask('stem.runout', { readings: rough }).notes).toContain('clean the stem');
  });
});

describe('bore.wear', () => {
  const reading = (depth: string, direction: string, diameter: string) => ({ depth, direction, diameter });
  const bore = {
    nominal: '4.000 in',
    limit: '3 thou',
    readings: [
      reading('top', 'A', '4.002 in'),
      reading('top', 'B', '4.0035 in'),
      reading('middle', 'A', '4.001 in'),
      reading('middle', 'B', '4.002 in'),
      reading('bottom', 'A', '4.0005 in'),
      reading('bottom', 'B', '4.001 in'),
    ],
  };
  it('taper in one direction, out-of-round at one depth, wear over nominal (common practice)', () => {
    const worn = ask('bore.wear', bore);
    expect(worn.in('taper', 'thou')).toBeCloseTo(2.5, 6);
    expect(worn.in('outOfRound', 'thou')).toBeCloseTo(1.5, 6);
    expect(worn.in('wear', 'thou')).toBeCloseTo(3.5, 6);
    expect(worn.result['verdict']).toBe('renew');
  });
  it('within its limit it is fit; a round straight bore has neither taper nor oval', () => {
    expect(ask('bore.wear', { ...bore, limit: '4 thou' }).result['verdict']).toBe('fit');
    const straight = ask('bore.wear', {
      ...bore,
      readings: bore.readings.map((each) => ({ ...each, diameter: '4.001 in' })),
    });
    expect([straight.in('taper', 'in'), straight.in('outOfRound', 'in')]).toEqual([0, 0]);
  });
  it('the same in mm (unit-independence)', () => {
    const metric = ask('bore.wear', {
      nominal: '101.6 mm',
      limit: '0.0762 mm',
      readings: bore.readings.map((each) => ({
        ...each,
        diameter: { value: Number.parseFloat(each.diameter) * 25.4, unit: 'mm' },
      })),
    });
    expect(metric.quantity('wear').unit).toBe('mm');
    expect(metric.in('wear', 'thou')).toBeCloseTo(3.5, 6);
  });
  it.each([
    [{ ...bore, readings: bore.readings.filter(({ depth }) => depth === 'top') }, 'input.too-few'],
    [{ ...bore, readings: bore.readings.filter(({ direction }) => direction === 'A') }, 'input.too-few'],
    [{ ...bore, readings: [] }, 'input.too-few'],
    [{ ...bore, readings: [...bore.readings, reading('top', 'A', '5 in')] }, 'input.out-of-range'],
    [{ ...bore, nominal: '0 in' }, 'input.invalid'],
    [{ ...bore, readings: [{ depth: 'top' }] }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('bore.wear', raw).code).toBe(code);
  });
});

describe('spring.rate', () => {
  const spring = { wire: '0.25 in', meanDiameter: '1.75 in', activeCoils: 8, modulus: '11.5 Mpsi' };
  it('131.0 lbf/in (handbook part 5.10, spring check)', () => {
    expect(ask('spring.rate', spring).in('rate', 'lbf/in')).toBeCloseTo(131.0, 1);
  });
  it.each([
    ['10 Mpsi', 10 / 11.5],
    ['11.2 Mpsi', 11.2 / 11.5],
    ['79.3 GPa', 79.3 / (11.5 * 6.894757293168)],
  ])('goes with the shear modulus %s', (modulus, share) => {
    expect(ask('spring.rate', { ...spring, modulus }).in('rate', 'lbf/in')).toBeCloseTo(130.968 * share, 2);
  });
  it.each([
    ['squared and ground', 10],
    ['squared', 11],
    ['plain and ground', 9],
    ['plain', 9],
  ])('solid height with ends %s is %d wires (Shigley, table 10-1)', (ends, wires) => {
    expect(ask('spring.rate', { ...spring, ends }).in('solidHeight', 'in')).toBeCloseTo(wires * 0.25, 9);
  });
  it('half the coils, twice the rate; twice the wire, sixteen times (formula)', () => {
    const rate = (change: object) => ask('spring.rate', { ...spring, ...change }).in('rate', 'lbf/in');
    expect(rate({ activeCoils: 4 })).toBeCloseTo(2 * rate({}), 6);
    expect(rate({ wire: '0.5 in' })).toBeCloseTo(16 * rate({}), 6);
  });
  it('with its free length, how far it goes till it is solid (10 wires of 0.25 in)', () => {
    expect(ask('spring.rate', { ...spring, freeLength: '6 in' }).in('toSolid', 'in')).toBeCloseTo(3.5, 9);
  });
  it.each([
    [{ ...spring, meanDiameter: '0.5 in' }, 'input.out-of-range'],
    [{ ...spring, activeCoils: 0 }, 'input.invalid'],
    [{ ...spring, modulus: '11.5 in' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('spring.rate', raw).code).toBe(code);
  });
});

describe('spring.length', () => {
  it.each([
    [{ freeLength: '6 in', newLength: '6.1 in' }, 'fit'],
    [{ freeLength: '6 in', newLength: '6.2 in' }, 'renew'],
    [{ freeLength: '6 in', outOfSquare: '0.17 in' }, 'fit'],
    [{ freeLength: '6 in', outOfSquare: '0.20 in' }, 'renew'],
    [{ freeLength: '6 in', outOfSquare: '0.17 in', of: 'a relief valve' }, 'renew'],
    [{ freeLength: '6 in', outOfSquare: '0.104 in', of: 'a relief valve' }, 'fit'],
  ])('%j: %s (set 2 %%, out of square 3 %%, of a relief valve 1°: handbook part 6.7)', (change, verdict) => {
    expect(ask('spring.length', change).result['verdict']).toBe(verdict);
  });
  it('1° of lean is 1.75 % of the length (tangent)', () => {
    expect(Math.tan(Math.PI / 180)).toBeCloseTo(0.0175, 4);
    expect(
      ask('spring.length', { freeLength: '100 mm', outOfSquare: '1.7 mm' }).in('outOfSquare', '%'),
    ).toBeCloseTo(1.7, 9);
  });
  it('what it was when new is not guessed', () => {
    const { result, notes } = ask('spring.length', { freeLength: '6 in', outOfSquare: '0.05 in' });
    expect(result).not.toHaveProperty('setLoss');
    expect(notes).toContain('not known');
  });
  it.each([
    [{ freeLength: '6 in' }, 'input.too-few'],
    [{ freeLength: '6.2 in', newLength: '6 in' }, 'input.conflict'],
    [{ freeLength: '0 in', outOfSquare: '1 mm' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('spring.length', raw).code).toBe(code);
  });
});

describe('fit.clearance', () => {
  const guide = { bore: '1.504 in', boreAcross: '1.505 in', shaft: '1.498 in', shaftAcross: '1.497 in' };
  it('is the largest bore less the smallest diameter; a guide may be 10 thou and 1 thou an inch (handbook part 6.7)', () => {
    const found = ask('fit.clearance', guide);
    expect(found.in('clearance', 'thou')).toBeCloseTo(8, 6);
    expect(found.in('limit', 'thou')).toBeCloseTo(11.498, 6);
    expect(found.result['verdict']).toBe('fit');
  });
  it.each([
    ['3 thou', 6, 'renew'],
    ['4 thou', 8, 'fit'],
  ])('or twice its clearance when new, %s (handbook part 6.7)', (newClearance, limit, verdict) => {
    const found = ask('fit.clearance', { ...guide, newClearance });
    expect(found.in('limit', 'thou')).toBeCloseTo(limit, 6);
    expect(found.result['verdict']).toBe(verdict);
  });
  it.each([
    ['0.75 in', 15],
    ['2 in', 30],
    ['25.4 mm', 20],
  ])(
    'a hinge pin of %s may be slack by %d thou: 30 thou or 2 %% of it (handbook part 6.7)',
    (shaft, limit) => {
      expect(
        ask('fit.clearance', { bore: '3 in', shaft, of: 'a hinge pin' }).in('limit', 'thou'),
      ).toBeCloseTo(limit, 6);
    },
  );
  it('but never tighter than when it was new', () => {
    const pin = { bore: '0.77 in', shaft: '0.75 in', of: 'a hinge pin', newClearance: '22 thou' };
    expect(ask('fit.clearance', pin).in('limit', 'thou')).toBeCloseTo(22, 6);
  });
  it('refuses a bore that what runs in it would not enter', () => {
    expect(refusal('fit.clearance', { bore: '1 in', shaft: '1.001 in' }).code).toBe('input.out-of-range');
  });
});

describe('stem.wear', () => {
  it.each([
    ['1 in', '0.997 in', 3, 5, 'fit'],
    ['1 in', '0.994 in', 6, 5, 'renew'],
    ['1/8 in', '0.122 in', 3, 2.5, 'renew'],
    ['1 in', '1.0004 in', 0, 5, 'fit'],
  ])(
    '%s against %s: %d of %d thou, %s (2 %% or 5 thou, the less: handbook part 6.7)',
    (unworn, worn, wear, limit, verdict) => {
      const found = ask('stem.wear', { unworn, worn });
      expect(found.in('wear', 'thou')).toBeCloseTo(wear, 6);
      expect(found.in('limit', 'thou')).toBeCloseTo(limit, 6);
      expect(found.result['verdict']).toBe(verdict);
    },
  );
  it.each([[{ unworn: '1 in', worn: '1.01 in' }], [{ unworn: '1 in', worn: '0.85 in' }]])(
    'refuses %j: no stem wears so',
    (raw) => {
      expect(refusal('stem.wear', raw).code).toBe('input.out-of-range');
    },
  );
});

describe('bore.wear without a limit of its own', () => {
  const at = (nominal: string) =>
    ask('bore.wear', {
      nominal,
      readings: ['top', 'bottom'].flatMap((depth) =>
        ['A', 'B'].map((direction) => ({ depth, direction, diameter: nominal })),
      ),
    });
  it.each([
    ['2 in', 4],
    ['6 in', 7.5],
    ['10 in', 12.5],
  ])('%s: %d thou (1.25 thou per inch, not under 4: handbook part 6.7)', (nominal, thou) => {
    expect(at(nominal).in('limit', 'thou')).toBeCloseTo(thou, 6);
  });
});

describe('lathe.speed', () => {
  it.each([
    ['2.000 in', '30 ft/min', 57],
    ['2.000 in', '50 ft/min', 95],
    ['50.8 mm', '15.24 m/min', 95],
  ])('%s at %s: %d rev/min (handbook part 3, Seat and disc)', (diameter, surfaceSpeed, speed) => {
    expect(Math.round(ask('lathe.speed', { diameter, surfaceSpeed }).in('speed', 'rev/min'))).toBe(speed);
  });
  it('12·v/(π·D) is the same as turns of the circumference (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (inch, feet) => {
          expect(
            ask('lathe.speed', { diameter: `${inch} in`, surfaceSpeed: { value: feet, unit: 'ft/min' } }).in(
              'speed',
              'rev/min',
            ),
          ).toBeCloseTo((12 * feet) / (Math.PI * inch), 6);
        },
      ),
      { seed: 32 },
    );
  });
  it('says when the speed is not usual for facing discs', () => {
    expect(ask('lathe.speed', { diameter: '2 in', surfaceSpeed: '200 ft/min' }).notes).toContain(
      '30 to 50 ft/min',
    );
  });
});

describe('seat.reface', () => {
  const seat = { removed: '5 thou', angle: '30°', stock: '0.125 in', minimum: '0.063 in' };
  it('5 thou off at 30° from the axis drops the disc 10 thou (handbook part 3)', () => {
    expect(ask('seat.reface', seat).in('drop', 'thou')).toBeCloseTo(10, 9);
  });
  it('the same face given as 60° from its plane drops as much (geometry)', () => {
    expect(
      ask('seat.reface', { ...seat, angle: '60°', angleFrom: 'face plane' }).in('drop', 'thou'),
    ).toBeCloseTo(10, 9);
  });
  it('a flat seat drops by what was taken off (sin 90°)', () => {
    expect(ask('seat.reface', { ...seat, angle: '90°' }).in('drop', 'thou')).toBeCloseTo(5, 9);
  });
  it('counts the cuts that are left and never goes under the least (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 60, max: 300 }),
        fc.integer({ min: 0, max: 59 }),
        (removed, stock, minimum) => {
          fc.pre(stock - removed >= minimum);
          const asked = ask('seat.reface', {
            removed: `${removed} thou`,
            angle: 45,
            stock: `${stock} thou`,
            minimum: `${minimum} thou`,
          });
          const cuts = Number(asked.result['cutsLeft']);
          const left = asked.in('stockLeft', 'thou');
          expect(left).toBeCloseTo(stock - removed, 6);
          expect(left - cuts * removed).toBeGreaterThanOrEqual(minimum - 1e-6);
          expect(left - (cuts + 1) * removed).toBeLessThan(minimum);
        },
      ),
      { seed: 33 },
    );
  });
  it.each([
    [{ ...seat, removed: '70 thou' }, 'input.out-of-range'],
    [{ ...seat, angle: '0°' }, 'input.invalid'],
    [{ ...seat, angle: '120°' }, 'input.out-of-range'],
    [{ ...seat, angle: '90°', angleFrom: 'face plane' }, 'input.out-of-range'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('seat.reface', raw).code).toBe(code);
  });
});

describe('lapping.plan (handbook part 3, method by depth and grain sizes)', () => {
  const grits = (raw: object): { grit: number; grain: { value: number }; minutes: number }[] => {
    const list = ask('lapping.plan', raw).result['grits'];
    return JSON.parse(JSON.stringify(list)) as { grit: number; grain: { value: number }; minutes: number }[];
  };
  it.each([
    ['0.001 in', false, 'grind in or lap'],
    ['0.002 in', true, 'grind in or lap'],
    ['0.005 in', false, 'reface and lap'],
    ['0.010 in', false, 'reface and lap'],
    ['0.005 in', true, 'reface on the lathe and lap'],
    ['0.02 in', false, 'lathe and lap'],
    ['0.6 mm', true, 'lathe and lap'],
  ])('%s, hard-faced %s: %s', (damage, hardFacing, method) => {
    expect(ask('lapping.plan', { damage, hardFacing }).result['method']).toBe(method);
  });
  it('120 then 240 is the pair for a 2 thou mark; finer grits follow to the finish wanted', () => {
    expect(grits({ damage: '2 thou' }).map(({ grit }) => grit)).toEqual([120, 240]);
    expect(grits({ damage: '2 thou', finish: '600' }).map(({ grit }) => grit)).toEqual([
      120, 240, 320, 400, 600,
    ]);
    expect(grits({ damage: '0.3 thou' }).map(({ grit }) => grit)).toEqual([240]);
  });
  it('each grit is finer than the one before, and works at least one charge (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.constantFrom('240', '320', '400', '600', '900', '1200'),
        (thou, finish) => {
          const plan = grits({ damage: `${thou} thou`, finish });
          expect(plan.at(-1)?.grit).toBe(Number(finish));
          for (const [i, each] of plan.entries()) {
            expect(each.minutes).toBeGreaterThanOrEqual(2);
            if (i > 0) expect(each.grain.value).toBeLessThan(plan[i - 1]?.grain.value ?? 0);
          }
        },
      ),
      { seed: 34 },
    );
  });
  it('grain of 120, 240 and 600 is about 106, 50 and 14 µm (handbook part 3, from memory)', () => {
    const by = new Map(
      grits({ damage: '2 thou', finish: '1200' }).map(({ grit, grain }) => [grit, grain.value]),
    );
    expect([by.get(120), by.get(240), by.get(600), by.get(1200)]).toEqual([106, 50, 14, 5]);
  });
});
