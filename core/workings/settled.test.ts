import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../testing/ask';

/** Values an independent check found wrong, each with its source. */
describe('elastomers (general ratings, from memory)', () => {
  const verdict = (elastomer: string, given: object) =>
    ask('elastomer.compatibility', { elastomer, ...given }).result['verdict'];
  it.each([
    ['silicone', 'ozone', 'fit'],
    ['NR', 'food oil', 'stop'],
    ['SBR', 'food oil', 'stop'],
    ['FKM steam grade', 'brake fluid', 'stop'],
    ['PU', 'brake fluid', 'stop'],
    ['PU', 'methanol', 'stop'],
    ['NR', 'hydrogen sulphide', 'ask'],
    ['silicone', 'hydrogen sulphide', 'ask'],
    ['PU', 'caustic', 'ask'],
    ['CR', 'brake fluid', 'ask'],
  ])('%s in %s: %s', (elastomer, medium, said) => {
    expect(verdict(elastomer, { medium })).toBe(said);
  });
  it('EPDM with a PTFE grease is asked about: most have a mineral-oil base', () => {
    expect(verdict('EPDM', { lubricant: 'PTFE grease' })).toBe('ask');
  });
  it('“to about 80 °C only” is compared with the temperature given', () => {
    expect(verdict('NBR', { medium: 'hot water', temperature: '70 °C' })).toBe('ask');
    expect(verdict('NBR', { medium: 'hot water', temperature: '95 °C' })).toBe('stop');
  });
  it('nothing that it meets is no reason to be fit', () => {
    expect(refusal('elastomer.compatibility', { elastomer: 'NBR' }).code).toBe('input.conflict');
  });
});

describe('leakage', () => {
  it('API 527, a soft seat with water: none for a minute', () => {
    const asked = ask('leak.allowance', {
      code: 'API 527',
      fluid: 'liquid',
      seat: 'soft',
      size: 'NPS 3',
      setPressure: '100 psig',
    });
    expect(asked.in('flow', 'mL/h')).toBe(0);
  });
  it('API 527 has no test at a set pressure of 3 psig', () => {
    const low = { code: 'API 527', fluid: 'gas', orifice: 'J', setPressure: '3 psig' };
    expect(refusal('leak.allowance', low).code).toBe('table.no-entry');
  });
  it('FCI class V: 2 in at 30 psi is tested at 100 psi, 0.10 mL/min', () => {
    const asked = ask('leak.allowance', {
      code: 'FCI 70-2',
      class: 'V',
      fluid: 'liquid',
      portDiameter: '2 in',
      difference: '30 psi',
    });
    expect(asked.in('flow', 'mL/min')).toBeCloseTo(0.1, 9);
    expect(asked.in('testPressure', 'psig')).toBeCloseTo(100, 9);
  });
  it.each([
    ['check', 60],
    ['globe', 15],
  ])('ISO 5208, DN 50 %s: held %d s', (valve, hold) => {
    const asked = ask('leak.allowance', { code: 'ISO 5208', rate: 'D', size: 'DN 50', fluid: 'gas', valve });
    expect(asked.in('hold', 's')).toBe(hold);
  });
  it('ISO 5208 liquid without a class has no test pressure, and says what is missing', () => {
    const asked = ask('leak.allowance', { code: 'ISO 5208', rate: 'D', size: 'DN 50', fluid: 'liquid' });
    expect(asked.result['testPressure']).toBeUndefined();
    expect(asked.notes).toMatch(/Give the pressure class/);
  });
  it('MSS SP-61: gas alone to NPS 4, or NPS 12 in class 400 and lower', () => {
    const gas = (size: string, pressureClass: string) => ({
      code: 'MSS SP-61',
      fluid: 'gas',
      seat: 'metal',
      size,
      class: pressureClass,
    });
    expect(ask('leak.allowance', gas('NPS 12', '300')).in('testPressure', 'psig')).toBe(80);
    const large = ask('leak.allowance', gas('NPS 24', '1500'));
    expect(large.result['testPressure']).toBeUndefined();
    expect(large.notes).toMatch(/above that liquid/);
  });
});

const GLAND = {
  stem: '1 in',
  bore: '1.5 in',
  height: '15/16 in',
  stress: '4000 psi',
  friction: 0.1,
  radialRatio: 0.6,
  studs: 2,
  thread: '1/2-13',
  nutFactor: 0.16,
};
const LIQUID = { flow: '300 gpm', inletPressure: '100 psig', outletPressure: '60 psig' };

describe('slips that are refused or read as one', () => {
  it.each([
    ['relief.set', { setPressure: '1 psig', code: 'VIII' }, 'input.out-of-range'],
    [
      'spring.rate',
      { wire: '1/4 in', meanDiameter: '1 3/4 in', activeCoils: 8, modulus: '11.5 ksi' },
      'input.out-of-range',
    ],
    [
      'spring.rate',
      { wire: '1/4 in', meanDiameter: '1 3/4 in', activeCoils: 8, modulus: '11.5 Mpsi', freeLength: '2 in' },
      'input.conflict',
    ],
    [
      'gasket.load',
      { pitchDiameter: '1 in', ringWidth: '2 in', factor: 3, seatingStress: '10 ksi', pressure: '1 psig' },
      'input.conflict',
    ],
    [
      'relief.shear-pin',
      { pistonDiameter: '1 in', leverRatio: 1, pinDiameter: '2 in', shearStrength: '60 ksi', pins: 1 },
      'input.conflict',
    ],
    [
      'seat.reface',
      { removed: '5 thou', angle: '0.001°', stock: '0.1 in', minimum: '0.06 in' },
      'input.out-of-range',
    ],
    [
      'packing.rings',
      { stem: '1 in', bore: '1.02 in', depth: '2 in', glandEntry: '1/4 in' },
      'input.out-of-range',
    ],
    [
      'packing.rings',
      {
        stem: '1 in',
        bore: '1.5 in',
        depth: '2.5 in',
        glandEntry: '1/4 in',
        lanternRing: '1/2 in',
        portDepth: '0.1 in',
      },
      'input.out-of-range',
    ],
    ['packing.gland', { ...GLAND, stress: '4000 ksi' }, 'input.out-of-range'],
    ['packing.gland', { ...GLAND, thread: '1/4-20', stress: '8 ksi' }, 'input.out-of-range'],
    [
      'bolting.torque-long',
      { thread: '3/4-10', preload: '5000000 lbf', threadFriction: 0.12, collarFriction: 0.12 },
      'input.out-of-range',
    ],
    ['flow.liquid', { ...LIQUID, specificGravity: 1, density: '900 kg/m³' }, 'input.conflict'],
    [
      'flow.liquid',
      { ...LIQUID, vapourPressure: '70 psia', criticalPressure: '60 psia' },
      'input.out-of-range',
    ],
    [
      'lever.weight',
      { plugArea: '3.1 in²', shortArm: '1.5 in', weight: '0.5 lbf', leverMoment: '0 lbf·in', head: '50 psi' },
      'input.out-of-range',
    ],
    [
      'signal.travel',
      { low: '3 psi', high: '15 psi', signal: '1500 psi', action: 'direct' },
      'input.out-of-range',
    ],
    ['bolting.torque', { thread: '3/4-10', nutFactor: 0.16, material: '8.8' }, 'table.no-entry'],
    ['rating.pressure', { class: 150, group: '2.2', temperature: '1100 °F' }, 'table.no-entry'],
  ])('%s %j', (id, raw, code) => {
    expect(refusal(id, raw).code).toBe(code);
  });
  it('`top` and `Top` are one depth of a bore', () => {
    const reading = (depth: string, direction: string, diameter: string) => ({ depth, direction, diameter });
    const readings = [
      reading('top', 'A', '4.003 in'),
      reading('Top', 'B', '4.000 in'),
      reading('bottom', 'A', '4.000 in'),
      reading('bottom', 'B', '4.000 in'),
    ];
    expect(
      ask('bore.wear', { nominal: '4 in', limit: '1 thou', readings }).in('outOfRound', 'thou'),
    ).toBeCloseTo(3, 6);
  });
});

describe('a box, a stud, a rating and a test as the trade has them', () => {
  it('a box in millimetres is told a metric section where one fits', () => {
    const box = { stem: '25 mm', bore: '41 mm', depth: '60 mm', glandEntry: '6 mm' };
    expect(ask('packing.rings', box).notes).toContain('8 mm fits');
    const inch = { stem: '1 in', bore: '1.5 in', depth: '2 in', glandEntry: '1/4 in' };
    expect(ask('packing.rings', inch).notes).toContain('1/4 in fits');
  });
  it('the stress in the gland studs is shown: two of 1/2-13 share 3 927 lbf (tensile area 0.1419 in²)', () => {
    const stress = ask('packing.gland', GLAND).steps.find(({ label }) => label === 'Stress in each stud');
    expect(JSON.stringify(stress)).toMatch(/13\.8/);
  });
  it.each([
    // ASTM A193/A320, A453; ISO 898-1 (640 and 660 MPa at 8.8, 940 at 10.9): half of yield.
    ['3/4-10', 'B8C class 2', 50],
    ['1-8', 'B8T class 2', 40],
    ['3/4-10', 'B8T class 1', 15],
    ['3/4-10', '660', 42.5],
    ['3/4-10', 'A320 L43', 52.5],
    ['M16x2', '8.8', 46.41],
    ['M20x2.5', '8.8', 47.86],
    ['M12x1.75', '10.9', 68.17],
  ])('%s of %s at half of yield: %d ksi', (thread, material, ksi) => {
    expect(ask('bolting.torque', { thread, nutFactor: 0.16, material }).in('stress', 'ksi')).toBeCloseTo(
      ksi,
      1,
    );
  });
  it.each([
    // ASME B16.34 group 2.2 above 1000 °F, from memory.
    [300, 1050, 360],
    [600, 1200, 370],
    [900, 1500, 125],
  ])('class %d of 2.2 at %d °F: %d psig', (pressureClass, fahrenheit, psi) => {
    const asked = ask('rating.pressure', {
      class: pressureClass,
      group: '2.2',
      temperature: `${fahrenheit} °F`,
    });
    expect(asked.in('pressure', 'psig')).toBeCloseTo(psi, 6);
  });
  it('a section of the metric series (ISO 3601-1, 1988) is told from its dash neighbour', () => {
    const ring = { insideDiameter: '20 mm', glandDepth: '2.8 mm', glandWidth: '4.8 mm', rod: '20.4 mm' };
    const notes = (section: string) => ask('oring.fit', { ...ring, section, motion: 'static' }).notes;
    expect(notes('3.55 mm')).toContain('metric series');
    expect(notes('3.53 mm')).not.toContain('metric series');
  });
  it('a rating in bar is tested in bar: shell up to 1 bar, gas at 4 or 5.5 (API 598, ASME B16.34)', () => {
    const api = ask('test.pressures', { ratedPressure: '51.1 bar g' });
    expect(api.quantity('shell')).toMatchObject({ value: 77, unit: 'bar g' });
    expect(api.quantity('closureHigh')).toMatchObject({ value: 56.3, unit: 'bar g' });
    expect(api.quantity('closureLow')).toMatchObject({ value: 4, unit: 'bar g' });
    const b16 = ask('test.pressures', { ratedPressure: '51.1 bar g', code: 'B16.34' });
    expect(b16.in('closureLow', 'bar g')).toBeCloseTo(5.5, 9);
  });
  it.each([
    // ASME B16.5: NPS 3 1/2 has eight studs, 5/8, 3/4 and 7/8 in.
    [150, '5/8-11'],
    [300, '3/4-10'],
    [600, '7/8-9'],
  ])('NPS 3 1/2 class %d: eight of %s', (flangeClass, thread) => {
    const { result } = ask('flange.bolting', { size: 'NPS 3 1/2', class: String(flangeClass) });
    expect(result).toMatchObject({ studs: 8, thread });
  });
  it.each([
    // OSHA 29 CFR 1910.1028 and 1910.1000, NIOSH pocket guide.
    ['benzene', 'OSHA PEL 1 ppm, STEL 5 ppm'],
    ['co', 'IDLH 1 200 ppm'],
    ['so2', 'OSHA PEL 5 ppm'],
    ['h2s', 'construction and maritime 10 ppm'],
  ])('%s: %s', (medium, limit) => {
    expect(JSON.stringify(ask('medium.hazard', { medium }).result['limits'])).toContain(limit);
  });
});

describe('a stroke test in psi, mA or degrees', () => {
  const rows = (...all: readonly (readonly [string, string])[]) =>
    all.map(([signal, travel]) => ({ signal, up: travel, down: travel }));
  const sound = rows(['3 psi', '0 %'], ['9 psi', '50 %'], ['15 psi', '100 %']);
  it('a usual range is known; 6 to 12 psi is none, and is asked about', () => {
    expect(ask('positioner.stroke', { points: sound }).in('spanError', '%')).toBeCloseTo(0, 9);
    const part = { points: rows(['6 psi', '25 %'], ['9 psi', '50 %'], ['12 psi', '75 %']) };
    expect(refusal('positioner.stroke', part).code).toBe('input.conflict');
    const given = { ...part, signalLow: '6 psi', signalHigh: '12 psi' };
    expect(ask('positioner.stroke', given).in('zeroError', '%')).toBeCloseTo(25, 9);
  });
  it('a plug of 50° is measured against its own turn; a quarter turn is known', () => {
    const turns = { points: rows(['0 %', '0 deg'], ['50 %', '25 deg'], ['100 %', '50 deg']) };
    expect(refusal('positioner.stroke', turns).code).toBe('input.conflict');
    expect(ask('positioner.stroke', { ...turns, travel: '50 deg' }).in('spanError', '%')).toBeCloseTo(0, 6);
    const quarter = { points: rows(['0 %', '0 deg'], ['50 %', '45 deg'], ['100 %', '90 deg']) };
    expect(ask('positioner.stroke', quarter).in('spanError', '%')).toBeCloseTo(0, 6);
  });
  it('a travel that falls as the signal rises is asked for its action', () => {
    const falls = { points: rows(['4 mA', '100 %'], ['12 mA', '50 %'], ['20 mA', '0 %']) };
    expect(refusal('positioner.stroke', falls).code).toBe('input.conflict');
    expect(ask('positioner.stroke', { ...falls, action: 'reverse' }).in('zeroError', '%')).toBeCloseTo(0, 6);
  });
  it('5 000 % is no travel', () => {
    const absurd = { points: rows(['0 %', '0 %'], ['50 %', '50 %'], ['100 %', '5000 %']) };
    expect(refusal('positioner.stroke', absurd).code).toBe('input.out-of-range');
  });
});
