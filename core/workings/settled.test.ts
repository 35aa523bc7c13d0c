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
