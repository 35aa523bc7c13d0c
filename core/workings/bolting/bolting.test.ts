import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('bolting.stress-area', () => {
  it.each([
    ['1/4-20', 0.0318],
    ['5/16-18', 0.0524],
    ['3/8-16', 0.0775],
    ['7/16-14', 0.1063],
    ['1/2-13', 0.1419],
    ['9/16-12', 0.182],
    ['5/8-11', 0.226],
    ['3/4-10', 0.334],
    ['7/8-9', 0.462],
    ['1-8', 0.606],
    ['1 1/8-8', 0.79],
    ['1 1/4-8', 1.0],
    ['1 3/8-8', 1.234],
    ['1 1/2-8', 1.492],
    ['1 5/8-8', 1.775],
    ['1 3/4-8', 2.082],
    ['1 7/8-8', 2.414],
    ['2-8', 2.771],
    ['2 1/4-8', 3.557],
    ['2 1/2-8', 4.442],
    ['2 3/4-8', 5.425],
    ['3-8', 6.506],
    ['3 1/2-8', 8.963],
  ])('%s: %d in² (ASME B1.1; handbook part 5.1, small sizes from memory)', (thread, area) => {
    expect(ask('bolting.stress-area', { thread }).in('area', 'in²')).toBeCloseTo(area, 2.9);
  });

  it.each([
    ['M6', 20.1],
    ['M8', 36.6],
    ['M10', 58],
    ['M12', 84.3],
    ['M14', 115],
    ['M16', 157],
    ['M20', 245],
    ['M24', 353],
    ['M30', 561],
    ['M36', 817],
    ['M42', 1120],
    ['M48', 1470],
    ['M56', 2030],
    ['M64', 2680],
  ])('coarse %s: %d mm² (ISO 898-1, large sizes from memory)', (thread, area) => {
    const found = ask('bolting.stress-area', { thread }).in('area', 'mm²');
    expect(Math.abs(found / area - 1)).toBeLessThan(0.006);
  });

  it('a metric thread without a pitch is the coarse one (ISO 261)', () => {
    expect(ask('bolting.stress-area', { thread: 'M20' }).in('area', 'mm²')).toBe(
      ask('bolting.stress-area', { thread: 'M20x2.5' }).in('area', 'mm²'),
    );
  });

  it('root area of 3/4-10 is 0.302 in² (handbook part 3, Bolting)', () => {
    expect(ask('bolting.stress-area', { thread: '3/4-10' }).in('rootArea', 'in²')).toBeCloseTo(0.302, 3);
  });

  it('a finer pitch carries more', () => {
    const areas = [8, 12, 14, 16, 20].map((perInch) =>
      ask('bolting.stress-area', { thread: `1-${perInch}` }).in('area', 'in²'),
    );
    expect(areas).toEqual([...areas].sort((a, b) => a - b));
  });
  it.each([
    ['3/4-10 UNC-2A', '3/4-10'],
    ['3/4"', '3/4-10'],
    ['3/4 in', '3/4-10'],
    ['3/4 UNC', '3/4-10'],
    ['M20x2.5-6g', 'M20x2.5'],
    ['M20', 'M20x2.5'],
    ['1 1/4-8 UN', '1 1/4-8'],
  ])('%s is %s', (typed, thread) => {
    expect(ask('bolting.stress-area', { thread: typed }).in('area', 'in²')).toBeCloseTo(
      ask('bolting.stress-area', { thread }).in('area', 'in²'),
      12,
    );
  });
  it('#10-24 has 0.0175 in² (ASME B1.1)', () => {
    expect(ask('bolting.stress-area', { thread: '#10-24' }).in('area', 'in²')).toBeCloseTo(0.0175, 4);
  });
  it.each(['3/4-4', '4-32', '#10-10', '1/4-8'])('%s is not made (ASME B1.1)', (thread) => {
    expect(refusal('bolting.stress-area', { thread }).code).toBe('input.invalid');
  });

  it.each(['M3', '3/4', 'M20x9', '9-4', '', 'UNC', '3/4-0'])('refuses the thread %j', (thread) => {
    expect(refusal('bolting.stress-area', { thread }).code).toBe('input.invalid');
  });
});

describe('bolting.torque', () => {
  it.each([
    ['M20', 'B8 class 2', 100],
    ['M24', 'B8 class 2', 80],
    ['M64', 'B7', 105],
    ['M72x6', 'B7', 95],
    ['3/4-10', 'B8 class 2', 100],
    ['2 1/2-8', 'B7', 105],
  ])('%s %s yields at %d ksi: metric studs by their own steps (ASTM A193)', (thread, material, ksi) => {
    const asked = ask('bolting.torque', { thread, material, nutFactor: 0.2, percentYield: '100 %' });
    expect(asked.in('stress', 'ksi')).toBeCloseTo(ksi, 6);
  });
  it('a bare 0.5 for the share of yield is asked about, not taken as half a percent', () => {
    const half = { thread: '1-8', material: 'B7', nutFactor: 0.16, percentYield: '0.5' };
    expect(refusal('bolting.torque', half).code).toBe('input.out-of-range');
    expect(ask('bolting.torque', { ...half, percentYield: '50' }).in('stress', 'ksi')).toBeCloseTo(52.5, 6);
  });
  it.each([
    ['5/16-18', 9 / 16],
    ['7/16-14', 3 / 4],
    ['9/16-12', 15 / 16],
    ['1/2-13', 7 / 8],
    ['3/4-10', 5 / 4],
  ])('%s: heavy hex %d in across flats (ASME B18.2.2)', (thread, flats) => {
    const long = { thread, preload: '1000 lbf', threadFriction: 0.12, collarFriction: 0.12 };
    const diameter = ask('bolting.torque-long', long).in('collarShare', 'lbf·ft');
    const [over = 0, under = 1] = (thread.split('-')[0] ?? '').split('/').map(Number);
    const nominal = over / under;
    expect(diameter).toBeCloseTo((1000 * 0.12 * (nominal + flats)) / 2 / 2 / 12, 6);
  });
  it('answers in the system it was asked in', () => {
    expect(
      ask('bolting.torque', { thread: 'M20x2.5', nutFactor: 0.2, preload: '60 kN' }).quantity('torque'),
    ).toMatchObject({
      unit: 'N·m',
      value: expect.closeTo(240, 6),
    });
  });
  it.each([
    ['B7', '3/4-10', 52.5],
    ['B7', '2 3/4-8', 47.5],
    ['B7M', '1-8', 40],
    ['B16', '3-8', 47.5],
    ['B8 class 1', '1-8', 15],
    ['B8 class 2', '3/4-10', 50],
    ['B8 class 2', '1 1/4-8', 32.5],
    ['B8M class 2', '3/4-10', 47.5],
    ['L7', '1-8', 52.5],
  ])(
    'half the yield of %s at %s is %d ksi (ASTM A193/A320, handbook part 5.1)',
    (material, thread, stress) => {
      expect(ask('bolting.torque', { thread, nutFactor: 0.2, material }).in('stress', 'ksi')).toBeCloseTo(
        stress,
        9,
      );
    },
  );
  it('preload at 52.5 ksi agrees with the wellhead table (API 6A, handbook part 5.8)', () => {
    for (const [thread, load] of [
      ['1/2-13', 7450],
      ['5/8-11', 11865],
      ['3/4-10', 17559],
      ['7/8-9', 24241],
      ['1-8', 31802],
      ['1 1/8-8', 41499],
      ['1 1/4-8', 52484],
      ['1 3/8-8', 64759],
      ['1 1/2-8', 78322],
    ] as const)
      expect(
        ask('bolting.torque', { thread, nutFactor: 0.2, stress: '52.5 ksi' }).in('preload', 'lbf'),
      ).toBeCloseTo(load, -1);
  });
  it('torque grows with the nut factor and with the stress (property)', () => {
    const torque = (nutFactor: number, ksi: number) =>
      ask('bolting.torque', { thread: '7/8-9', nutFactor, stress: `${ksi} ksi` }).in('torque', 'lbf·ft');
    fc.assert(
      fc.property(
        fc.double({ min: 0.06, max: 0.4, noNaN: true }),
        fc.integer({ min: 5, max: 100 }),
        (factor, ksi) => {
          expect(torque(factor + 0.05, ksi)).toBeGreaterThan(torque(factor, ksi));
          expect(torque(factor, ksi + 5)).toBeGreaterThan(torque(factor, ksi));
        },
      ),
      { seed: 12 },
    );
  });
  it.each(['900 ksi', '0 ksi', '-5 ksi', '1e400 psi', '50 lbf', '50'])('refuses the stress %s', (stress) => {
    expect(['input.invalid', 'input.out-of-range']).toContain(
      refusal('bolting.torque', { thread: '3/4-10', nutFactor: 0.2, stress }).code,
    );
  });
});

describe('bolting.torque-long', () => {
  const asked = (friction: number, thread = '3/4-10', preload = '17559 lbf') =>
    ask('bolting.torque-long', { thread, preload, threadFriction: friction, collarFriction: friction });
  it.each([
    ['3/4-10', 17559, 118, 206],
    ['7/8-9', 24241, 188, 328],
    ['1-8', 31802, 279, 488],
    ['1 1/8-8', 41499, 401, 716],
  ])(
    '%s: about 5 %% under the recalled wellhead torques (API 6A, handbook part 5.8)',
    (thread, load, easy, dry) => {
      for (const [friction, recalled] of [
        [0.07, easy],
        [0.13, dry],
      ] as const) {
        const share = asked(friction, thread, `${load} lbf`).in('torque', 'lbf·ft') / recalled;
        expect(share).toBeGreaterThan(0.92);
        expect(share).toBeLessThan(1.0);
      }
    },
  );
  it('without friction only the lead is left: F·p/2π (any text on threads)', () => {
    const tiny = asked(0.01);
    expect(tiny.in('stretchShare', 'lbf·ft')).toBeCloseTo((17559 * 0.1) / (2 * Math.PI) / 12, 4);
  });
  it('its three parts make the whole, and the short form agrees at K = 0.17 for μ 0.13 (Kn ≈ μ + 0.04)', () => {
    const long = asked(0.13);
    const parts = ['stretchShare', 'threadShare', 'collarShare'].map((name) => long.in(name, 'N·m'));
    expect(parts.reduce((sum, each) => sum + each, 0)).toBeCloseTo(long.in('torque', 'N·m'), 9);
    const short = ask('bolting.torque', { thread: '3/4-10', nutFactor: 0.17, preload: '17559 lbf' });
    expect(long.in('torque', 'lbf·ft') / short.in('torque', 'lbf·ft')).toBeCloseTo(1, 1);
  });
  it('refuses a friction that is none', () => {
    expect(
      refusal('bolting.torque-long', {
        thread: '1-8',
        preload: '1 kN',
        threadFriction: 0,
        collarFriction: 0.1,
      }).code,
    ).toBe('input.invalid');
  });
});

describe('bolting.sequence', () => {
  it.each([
    [20, '1-11-6-16 3-13-8-18 5-15-10-20 2-12-7-17 4-14-9-19'],
    [24, '1-13-7-19 4-16-10-22 2-14-8-20 5-17-11-23 3-15-9-21 6-18-12-24'],
    [28, '1-15-8-22 4-18-11-25 6-20-13-27 2-16-9-23 5-19-12-26 7-21-14-28 3-17-10-24'],
    [32, '1-17-9-25 5-21-13-29 3-19-11-27 7-23-15-31 2-18-10-26 6-22-14-30 4-20-12-28 8-24-16-32'],
  ])('%d bolts (ASME PCC-1 legacy pattern, handbook part 5.2)', (bolts, written) => {
    const { result } = ask('bolting.sequence', { bolts, passes: 'quarters', torque: '100 lbf·ft' });
    const passes = result['passes'];
    expect(Array.isArray(passes) && passes[0]).toMatchObject({ order: written.split(/[- ]/).map(Number) });
  });
  it('keeps the unit of the torque it was given', () => {
    expect(
      ask('bolting.sequence', { bolts: '8', passes: 'thirds', torque: '90 N·m' }).result['circularPass'],
    ).toMatchObject({
      percent: 100,
      torque: { value: 90, unit: 'N·m' },
    });
  });
  it.each([2, 97, 8.5, 'eight'])('refuses %s bolts', (bolts) => {
    expect(refusal('bolting.sequence', { bolts, passes: 'quarters', torque: '90 N·m' }).code).toBe(
      'input.invalid',
    );
  });
});

describe('bolting.crowfoot', () => {
  const set = (angle?: string) =>
    ask('bolting.crowfoot', {
      torque: '100 lbf·ft',
      wrench: '18 in',
      adapter: '2.5 in',
      ...(angle ? { angle } : {}),
    }).in('setting', 'lbf·ft');
  it('straight out 87.8 lbf·ft (handbook part 3, Bolting)', () => {
    expect(set()).toBeCloseTo(87.8, 1);
  });
  it('nothing to correct at 90°, more than the torque when folded back (lever law)', () => {
    expect(set('90°')).toBeCloseTo(100, 9);
    expect(set('180°')).toBeCloseTo((100 * 18) / 15.5, 9);
  });
  it('the torque on the nut comes back from the setting (inverse)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        (angle, wrench) => {
          const setting = ask('bolting.crowfoot', {
            torque: '80 N·m',
            wrench: `${wrench} in`,
            adapter: '3 in',
            angle: `${angle}°`,
          }).in('setting', 'N·m');
          const reach = wrench + 3 * Math.cos((angle * Math.PI) / 180);
          expect((setting * reach) / wrench).toBeCloseTo(80, 6);
        },
      ),
      { seed: 13 },
    );
  });
  it('refuses an adapter that leaves no lever', () => {
    expect(
      refusal('bolting.crowfoot', { torque: '80 N·m', wrench: '10 in', adapter: '9 in', angle: '180°' }),
    ).toMatchObject({ code: 'input.out-of-range', field: 'adapter' });
  });
});

describe('gasket.load', () => {
  const flat = {
    insideDiameter: '4.0 in',
    outsideDiameter: '5.0 in',
    factor: 3,
    seatingStress: '10,000 psi',
    pressure: '740 psi',
  };
  it('flat 4.0 × 5.0 in: 27 461 and 35 343 lbf (handbook part 3; ASME VIII-1 App. 2)', () => {
    const load = ask('gasket.load', flat);
    expect(load.in('operatingLoad', 'lbf')).toBeCloseTo(27461, 0);
    expect(load.in('seatingLoad', 'lbf')).toBeCloseTo(35343, 0);
    expect(load.in('requiredLoad', 'lbf')).toBe(load.in('seatingLoad', 'lbf'));
    expect(load.in('effectiveWidth', 'in')).toBeCloseTo(0.25, 9);
  });
  it('ring R24: seating load 11 597 lbf (handbook part 3)', () => {
    const load = ask('gasket.load', {
      pitchDiameter: '3.75 in',
      ringWidth: '7/16 in',
      factor: 5.5,
      seatingStress: '18,000 psi',
      pressure: '0 psi',
    });
    expect(load.in('seatingLoad', 'lbf')).toBeCloseTo(11597, 0);
    expect(load.in('operatingLoad', 'lbf')).toBe(0);
  });
  it('a wide gasket bears on 0.5 √b0 and G moves out to OD − 2b (App. 2)', () => {
    const wide = ask('gasket.load', { ...flat, outsideDiameter: '6 in' });
    expect(wide.in('effectiveWidth', 'in')).toBeCloseTo(0.5 * Math.sqrt(0.5), 9);
    expect(wide.in('reactionDiameter', 'in')).toBeCloseTo(6 - 2 * 0.5 * Math.sqrt(0.5), 9);
  });
  it('in mm the wide rule reads 2.52 √b0 (App. 2, metric form)', () => {
    const wide = ask('gasket.load', {
      insideDiameter: '100 mm',
      outsideDiameter: '160 mm',
      factor: 3,
      seatingStress: '69 MPa',
      pressure: '50 bar',
    });
    expect(wide.in('effectiveWidth', 'mm')).toBeCloseTo(2.52 * Math.sqrt(15), 1);
  });
  it('the same joint in US and SI needs the same load (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.integer({ min: 10, max: 5000 }),
        (inner, width, psi) => {
          const us = ask('gasket.load', {
            ...flat,
            insideDiameter: `${inner} in`,
            outsideDiameter: `${inner + width} in`,
            pressure: `${psi} psi`,
          });
          const metric = ask('gasket.load', {
            insideDiameter: { value: inner * 25.4, unit: 'mm' },
            outsideDiameter: { value: (inner + width) * 25.4, unit: 'mm' },
            factor: 3,
            seatingStress: { value: 68.94757293168, unit: 'MPa' },
            pressure: { value: psi * 0.06894757293168, unit: 'bar g' },
          });
          expect(metric.in('requiredLoad', 'N') / us.in('requiredLoad', 'N')).toBeCloseTo(1, 9);
        },
      ),
      { seed: 14 },
    );
  });
  it.each([
    [{ factor: 3, seatingStress: '1 ksi', pressure: '1 psi' }, 'input.conflict'],
    [{ ...flat, pitchDiameter: '4 in' }, 'input.conflict'],
    [{ ...flat, outsideDiameter: '4 in' }, 'input.out-of-range'],
    [{ ...flat, pressure: '-3 psi' }, 'input.invalid'],
    [{ ...flat, seatingStress: '10 N' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('gasket.load', raw).code).toBe(code);
  });
});

describe('flange.bolting (ASME B16.5, handbook part 5.4)', () => {
  it.each([
    ['NPS 1/2', 150, 4, '1/2-13', 2.25, undefined],
    ['NPS 2', 300, 8, '5/8-11', 3.5, 'R23'],
    ['NPS 2', 900, 8, '7/8-9', 5.75, 'R24'],
    ['NPS 3', 900, 8, '7/8-9', 5.75, 'R31'],
    ['NPS 4', 300, 8, '3/4-10', 4.5, 'R37'],
    ['NPS 6', 600, 12, '1-8', 6.75, 'R45'],
    ['NPS 8', 150, 8, '3/4-10', 4.25, 'R48'],
    ['NPS 10', 1500, 12, '1 7/8-8', 13.25, 'R54'],
    ['DN 300', 2500, 12, '2 3/4-8', 21.25, 'R60'],
    ['NPS 24', 600, 24, '1 7/8-8', 13, 'R77'],
  ])('%s class %d: %d × %s', (size, flangeClass, studs, thread, length, ring) => {
    const { result } = ask('flange.bolting', { size, class: flangeClass });
    expect(result).toMatchObject({ studs, thread, studLength: { value: length } });
    expect(result['ring']).toBe(ring);
  });
  it('spanner across flats is 1 1/2 D + 1/8 (ASME B18.2.2): 1 in → 1 5/8, 3/4 → 1 1/4', () => {
    expect(ask('flange.bolting', { size: 'NPS 6', class: 600 }).in('acrossFlats', 'in')).toBe(1.625);
    expect(ask('flange.bolting', { size: 'NPS 4', class: 300 }).in('acrossFlats', 'in')).toBe(1.25);
  });
  it.each([
    [{ size: 'NPS 14', class: 2500 }, 'table.no-entry'],
    [{ size: 'NPS 30', class: 150 }, 'table.no-entry'],
    [{ size: 'NPS 4', class: 400 }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('flange.bolting', raw).code).toBe(code);
  });
});

it.each(['B7', 'A193 B7', 'a193-b7'])('the grade may be written %s', (material) => {
  expect(ask('bolting.torque', { thread: '1-8', nutFactor: 0.16, material }).in('stress', 'ksi')).toBeCloseTo(
    52.5,
    9,
  );
});
