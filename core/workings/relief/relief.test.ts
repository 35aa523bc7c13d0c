import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PIN_MATERIALS } from '../../standards';
import { ask, refusal } from '../../testing/ask';

describe('relief.set', () => {
  it.each([
    ['50 psig', 'VIII', 48, 52],
    ['70 psig', 'VIII', 68, 72],
    ['100 psig', 'VIII', 97, 103],
    ['1000 psig', 'VIII', 970, 1030],
    ['70 psig', 'I', 68, 72],
    ['250 psig', 'I', 242.5, 257.5],
    ['300 psig', 'I', 291, 309],
    ['600 psig', 'I', 590, 610],
    ['1000 psig', 'I', 990, 1010],
    ['2000 psig', 'I', 1980, 2020],
    ['100 psig', 'XIII', 97, 103],
  ])('%s, section %s: %d to %d psig (ASME BPVC, handbook part 3)', (setPressure, code, low, high) => {
    const asked = ask('relief.set', { setPressure, code });
    expect(asked.in('low', 'psig')).toBeCloseTo(low, 6);
    expect(asked.in('high', 'psig')).toBeCloseTo(high, 6);
    expect(asked.in('coldSet', 'psig')).toBeCloseTo(
      asked.in('low', 'psig') / 2 + asked.in('high', 'psig') / 2,
      6,
    );
  });
  it('the bench setting takes the constant back pressure off and the heat into account (cold differential test pressure)', () => {
    const valve = { setPressure: '100 psig', code: 'VIII', backPressure: '10 psig', temperatureFactor: 1.03 };
    expect(ask('relief.set', valve).in('coldSet', 'psig')).toBeCloseTo(90 * 1.03, 6);
    expect(ask('relief.set', { ...valve, design: 'bellows' }).in('coldSet', 'psig')).toBeCloseTo(103, 6);
  });
  it('blowdown is what it fell before it shut, over set', () => {
    const asked = ask('relief.set', { setPressure: '250 psig', code: 'VIII', reseat: '235 psig' });
    expect(asked.in('blowdownPercent', '%')).toBeCloseTo(6, 6);
    expect(asked.notes).toContain('no more than usual');
    expect(ask('relief.set', { setPressure: '250 psig', code: 'VIII', reseat: '200 psig' }).notes).toContain(
      'more than the usual',
    );
  });
  it('the ring that is turned is named, and which way: up is shorter, down is longer (from memory)', () => {
    const notes = (code: string, reseat: string) =>
      ask('relief.set', { setPressure: '200 psig', code, reseat }).notes;
    expect(notes('VIII', '170 psig')).toContain('upper ring up');
    expect(notes('I', '187 psig')).toContain('upper ring up');
    expect(notes('I', '199 psig')).toContain('upper ring down');
    expect(notes('I', '190 psig')).not.toContain('upper ring');
  });
  it.each([
    ['60 psig', '56 psig', false],
    ['60 psig', '55 psig', true],
    ['200 psig', '188 psig', false],
    ['200 psig', '187 psig', true],
    ['300 psig', '285 psig', false],
    ['300 psig', '284 psig', true],
    ['500 psig', '480 psig', false],
    ['500 psig', '479 psig', true],
  ])('Section I, set %s, shut %s: over its blowdown %s (handbook part 5.7)', (setPressure, reseat, over) => {
    expect(ask('relief.set', { setPressure, code: 'I', reseat }).notes.includes('over it')).toBe(over);
  });
  it('in bar it answers in bar, by the same rule', () => {
    const asked = ask('relief.set', { setPressure: '10 bar', code: 'VIII' });
    expect(asked.quantity('high').unit).toBe('bar g');
    expect(asked.in('high', 'bar g')).toBeCloseTo(10.3, 6);
  });
  it.each([
    [{ setPressure: '100 psig', code: 'VIII', backPressure: '100 psig' }, 'input.conflict'],
    [{ setPressure: '100 psig', code: 'VIII', reseat: '101 psig' }, 'input.out-of-range'],
    [{ setPressure: '100 psia', code: 'VIII' }, 'input.invalid'],
    [{ setPressure: '100 psig', code: 'IX' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('relief.set', raw).code).toBe(code);
  });
});

describe('relief.shear-pin', () => {
  const pin = {
    pistonDiameter: '2 in',
    leverRatio: 1,
    pinDiameter: '1/8 in',
    shearStrength: '60 ksi',
    pins: 1,
  };
  it('one 1/8 in pin of 60 ksi carries 1 473 lbf in double shear (handbook part 3)', () => {
    const asked = ask('relief.shear-pin', pin);
    expect(asked.in('shearForce', 'lbf')).toBeCloseTo(1473, 0);
    expect(asked.in('breakPressure', 'psig')).toBeCloseTo(1472.62 / Math.PI, 1);
  });
  it('two pins or twice the lever, twice the pressure', () => {
    const at = (change: object) => ask('relief.shear-pin', { ...pin, ...change }).in('breakPressure', 'psig');
    expect(at({ pins: 2 })).toBeCloseTo(2 * at({}), 6);
    expect(at({ leverRatio: 2 })).toBeCloseTo(2 * at({}), 6);
  });
  it('the pin for a wanted pressure breaks at it (inverse)', () => {
    const { pinDiameter: _pin, ...wanted } = pin;
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 8000, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        (psi, pins) => {
          const found = ask('relief.shear-pin', {
            ...wanted,
            pins,
            wantedPressure: { value: psi, unit: 'psig' },
          });
          const back = ask('relief.shear-pin', {
            ...pin,
            pins,
            pinDiameter: { value: found.in('pinDiameter', 'in'), unit: 'in' },
          });
          expect(back.in('breakPressure', 'psig') / psi).toBeCloseTo(1, 9);
        },
      ),
      { seed: 81 },
    );
  });
  it('±15 % is shown about it, and never a nail', () => {
    const asked = ask('relief.shear-pin', pin);
    expect(asked.in('breakHigh', 'psig') / asked.in('breakLow', 'psig')).toBeCloseTo(1.15 / 0.85, 9);
    expect(asked.notes).toContain('Never a nail');
  });
  it.each([
    ['aluminium 6061-T6', 30],
    ['brass C360 half-hard', 34],
    ['1018 cold drawn', 38],
    ['4140 at 28–32 HRC', 78],
    ['17-4PH H900', 114],
  ])('%s shears at %d ksi (handbook part 5.9)', (material, ksi) => {
    const { shearStrength: _strength, ...rest } = pin;
    expect(ask('relief.shear-pin', { ...rest, material }).in('shearForce', 'lbf')).toBeCloseTo(
      (2 * ksi * 1000 * (Math.PI / 4)) / 64,
      6,
    );
  });
  it('0.6 of the tensile strength would miss aluminium and brass, not steel (handbook part 5.9)', () => {
    const share = new Map(PIN_MATERIALS.map(({ name, shear, tensile }) => [name, shear / tensile]));
    expect(share.get('aluminium 1100-O')).toBeGreaterThan(0.65);
    expect(share.get('1018 cold drawn')).toBeCloseTo(0.6, 1);
    expect(share.get('aluminium 7075-T6')).toBeLessThan(0.59);
  });
  it.each([
    [{ ...pin, wantedPressure: '100 psig' }, 'input.conflict'],
    [{ ...pin, material: '304 annealed' }, 'input.conflict'],
    [{ ...pin, shearStrength: undefined }, 'input.invalid'],
    [{ ...pin, pins: 0 }, 'input.invalid'],
    [{ ...pin, leverRatio: -1 }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('relief.shear-pin', raw).code).toBe(code);
  });
});

describe('lever.weight', () => {
  const lever = { diaphragmArea: '20 in²', shortArm: '1.5 in', weight: '20 lbf', leverMoment: '40 lbf·in' };
  it('moments about the shaft: (4 × 20 × 1.5 − 40) / 20 = 4 in', () => {
    expect(ask('lever.weight', { ...lever, head: '4 psi' }).in('position', 'in')).toBeCloseTo(4, 9);
  });
  it('friction holds as much as the lever: the weight comes in', () => {
    expect(
      ask('lever.weight', { ...lever, head: '4 psi', friction: '20 lbf·in' }).in('position', 'in'),
    ).toBeCloseTo(3, 9);
  });
  it('head psi = 0.433 × SG × ft (handbook part 3)', () => {
    const asked = ask('lever.weight', { ...lever, position: '4 in', specificGravity: 0.85 });
    expect(asked.in('head', 'psi')).toBeCloseTo(4, 9);
    expect(0.433 * 0.85 * asked.in('headHeight', 'ft')).toBeCloseTo(4, 2);
    expect(ask('lever.weight', { ...lever, head: '10 ft' }).in('head', 'psi') / 4.33).toBeCloseTo(1, 2);
  });
  it('20 lb of mass weighs 20 lbf', () => {
    expect(
      ask('lever.weight', { ...lever, weight: '9.0718474 kg', head: '4 psi' }).in('position', 'in'),
    ).toBeCloseTo(4, 6);
  });
  it('the head for the position found is the head it was found for (inverse)', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.4, max: 50, noNaN: true }), (psi) => {
        const there = ask('lever.weight', { ...lever, head: { value: psi, unit: 'psi' } });
        expect(
          ask('lever.weight', { ...lever, position: { value: there.in('position', 'in'), unit: 'in' } }).in(
            'head',
            'psi',
          ),
        ).toBeCloseTo(psi, 9);
      }),
      { seed: 82 },
    );
  });
  it.each([
    [lever, 'input.conflict'],
    [{ ...lever, head: '4 psi', position: '4 in' }, 'input.conflict'],
    [{ ...lever, head: '4 psi', plugArea: '3 in²' }, 'input.conflict'],
    [{ ...lever, head: '1 psi' }, 'input.out-of-range'],
    [{ ...lever, head: '4 psi', weight: '20 in' }, 'input.invalid'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('lever.weight', raw).code).toBe(code);
  });
});
