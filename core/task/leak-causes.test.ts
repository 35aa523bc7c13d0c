import { describe, expect, it } from 'vitest';
import { PRESSURE_TESTS } from '../job';
import { valueIn } from '../quantity';
import { defaultValve } from '../valve';
import { asFlow, leakCauses, reopenedBy } from '.';

const GLOBE = defaultValve('globe-bolted').features;

describe('a leak in what is counted, as a flow', () => {
  it.each([
    [{ perMinute: 20, of: 'bubbles' }, 'api-527', 20 * 0.295],
    [{ perMinute: 20, of: 'bubbles' }, 'class-vi', 20 * 0.15],
    [{ perMinute: 20, of: 'bubbles' }, 'iso-5208', 20 * 0.0654],
    [{ perMinute: 16, of: 'drops' }, undefined, 1],
  ] as const)('%j out of the tube of %s is %f mL/min (the tubes of the standards)', (leak, tube, ml) => {
    const flow = asFlow(leak, tube);
    expect(flow && valueIn(flow, 'mL/min')).toBeCloseTo(ml, 6);
  });
  it('nothing, and millilitres, are what they are', () => {
    expect(asFlow({ perMinute: 0, of: 'drops' }, undefined)).toBeUndefined();
    expect(asFlow({ perMinute: 3, of: 'mL' }, undefined)).toBeUndefined();
  });
});

describe('what a failed test may come from (common practice)', () => {
  it.each(PRESSURE_TESTS)('%s: the rig itself first, the dear one last', (test) => {
    const causes = leakCauses({ test, fluid: 'liquid' }, GLOBE);
    expect(causes[0]?.cause).toMatch(/rig/);
    expect(causes.length).toBeGreaterThan(2);
  });
  it('a leak that does not change with closing force is behind the ring, not on the line', () => {
    const behind = leakCauses({ test: 'seat', fluid: 'gas' }, GLOBE).find(({ cause }) =>
      cause.includes('behind'),
    );
    expect(behind?.look).toMatch(/however hard/);
  });
  it('a stem without a gland has seals to look at instead', () => {
    const of = (id: 'globe-bolted' | 'ball-three-piece') =>
      leakCauses({ test: 'shell', fluid: 'liquid' }, defaultValve(id).features).map(({ source }) => source);
    expect(of('globe-bolted')).toContain('gland');
    expect(of('globe-bolted')).not.toContain('stem seals');
  });
});

describe('what is opened again (common practice: no more than the leak asks)', () => {
  it('a joint is tightened once more first, and opened when that did not hold', () => {
    expect(reopenedBy(['joint'])).toBeUndefined();
    expect(reopenedBy(['joint', 'rig', 'joint'])).toBe('joint');
  });
  it('the rig, the gland and a fitting open nothing; a shoulder opens the way to its stem', () => {
    for (const from of ['rig', 'gland', 'fitting', 'not fully open', 'body wall'] as const)
      expect(reopenedBy([from, from])).toBeUndefined();
    expect(reopenedBy(['backseat shoulder'])).toBe('stem');
    expect(reopenedBy([])).toBeUndefined();
  });
});
