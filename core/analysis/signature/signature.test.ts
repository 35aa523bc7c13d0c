import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordStroke, strokeCsv, USUAL_RIG, type StrokeRig } from '../../simulation';
import { ask, refusal } from '../../testing/ask';

/** The truth is known for a simulated rig; what a signature says of its recording is held against it. */
const analyse = (rig: Partial<StrokeRig>, samples = 6000, area = `${rig.areaIn2 ?? USUAL_RIG.areaIn2} in²`) =>
  ask('signature.analyse', {
    recording: strokeCsv(recordStroke({ ...USUAL_RIG, ...rig }, samples, 60, 5)),
    area,
  });

describe('a clean stroke', () => {
  const asked = analyse({});
  it('friction, spring rate and bench set are those of the rig', () => {
    expect(asked.in('friction', 'lbf')).toBeCloseTo(45, 0);
    expect(asked.in('springRate', 'lbf/in') / 1104).toBeCloseTo(1, 2);
    expect(asked.in('benchLow', 'psig')).toBeCloseTo(207 / 69, 2);
    expect(asked.in('benchHigh', 'psig')).toBeCloseTo((207 + 1104 * 0.75) / 69, 1);
  });
  it('meets its seat at (preload − friction)/area, and rests on it with that force', () => {
    expect(asked.in('seatContact', 'psig')).toBeCloseTo((207 - 45) / 69, 2);
    expect(asked.in('seatLoad', 'lbf')).toBeCloseTo(207 - 45, -0.5);
  });
  it('its dead band is twice the friction over the air force of the signal', () => {
    expect(asked.in('deadBand', '%')).toBeCloseTo(((2 * 45) / 69 / 18) * 100, 0);
    expect(asked.in('hysteresis', '%')).toBeLessThan(0.5);
    expect(asked.in('linearity', '%')).toBeLessThan(0.2);
    expect(asked.result['stickSlip']).toBe(0);
  });
});

it('finds friction and rate of any rig that makes its full stroke (property)', () => {
  fc.assert(
    fc.property(
      fc.record({
        friction: fc.double({ min: 5, max: 150, noNaN: true }),
        preload: fc.double({ min: 100, max: 300, noNaN: true }),
        rate: fc.double({ min: 300, max: 1100, noNaN: true }),
        travelIn: fc.double({ min: 0.4, max: 0.8, noNaN: true }),
      }),
      (rig) => {
        fc.pre(rig.preload > rig.friction * 1.2);
        fc.pre((rig.preload + rig.rate * rig.travelIn + rig.friction) / 69 < 17.5);
        const asked = analyse(rig, 4000);
        expect(Math.abs(asked.in('friction', 'lbf') - rig.friction)).toBeLessThan(0.5 + 0.02 * rig.friction);
        expect(asked.in('springRate', 'lbf/in') / rig.rate).toBeCloseTo(1, 1);
        expect(asked.in('benchLow', 'psig')).toBeCloseTo(rig.preload / 69, 1);
      },
    ),
    { seed: 1, numRuns: 40 },
  );
});

it('a stroke that never makes its full travel still gives friction and rate', () => {
  const asked = analyse({ friction: 120, preload: 414, rate: 1500 });
  expect(asked.in('friction', 'lbf')).toBeCloseTo(120, 0);
  expect(asked.in('springRate', 'lbf/in') / 1500).toBeCloseTo(1, 2);
});

it('stick-slip: jumps of stiction over rate are counted, and not found where there are none', () => {
  const asked = analyse({ stiction: 35 });
  const perStroke = 0.75 / (35 / 1104);
  expect(Number(asked.result['stickSlip'])).toBeGreaterThan(1.5 * perStroke);
  expect(Number(asked.result['stickSlip'])).toBeLessThan(2.3 * perStroke);
  expect(asked.notes).toContain('Jump at');
  expect(analyse({ pressureNoise: 0.02, travelNoise: 0.0003 }).result['stickSlip']).toBe(0);
});

it('stands noise: 0.02 psi and half a thou', () => {
  const asked = analyse({ pressureNoise: 0.02, travelNoise: 0.0005 });
  expect(asked.in('friction', 'lbf')).toBeCloseTo(45, 0);
  expect(asked.in('seatContact', 'psig')).toBeCloseTo(2.348, 1);
});

it('reads the same stroke in bar, mm and mA, columns in another order (unit-independence)', () => {
  const { seconds, signalPercent, pressurePsi, travelIn } = recordStroke(USUAL_RIG, 5000, 60, 5);
  const body = Array.from(seconds, (time, i) =>
    [
      (travelIn[i] ?? 0) * 25.4,
      (pressurePsi[i] ?? 0) * 0.06894757293168,
      4 + (signalPercent[i] ?? 0) * 0.16,
      time,
    ]
      .map((each) => each.toFixed(6).replace('.', ','))
      .join(';'),
  );
  const metric = ask('signature.analyse', {
    recording: `Hub [mm];Pressure [bar];Command [mA];Time [s]\n${body.join('\n')}`,
    area: { value: 69 * 645.16, unit: 'mm²' },
  });
  const us = analyse({}, 5000);
  for (const [name, unit] of [
    ['friction', 'N'],
    ['springRate', 'N/mm'],
    ['benchLow', 'bar g'],
    ['seatLoad', 'N'],
    ['deadBand', '%'],
  ] as const)
    expect(metric.in(name, unit) / us.in(name, unit)).toBeCloseTo(1, 2);
  expect(metric.quantity('friction').unit).toBe('N');
});

it('an air-to-close actuator is read too: pressure up, travel down', () => {
  const { seconds, pressurePsi, travelIn } = recordStroke(USUAL_RIG, 5000, 60, 5);
  const body = Array.from(seconds, (time, i) =>
    [time, pressurePsi[i] ?? 0, 0.75 - (travelIn[i] ?? 0)].map((each) => each.toFixed(5)).join(','),
  );
  const asked = ask('signature.analyse', {
    recording: `time (s),pressure (psi),travel (in)\n${body.join('\n')}`,
    area: '69 in²',
  });
  expect(asked.in('friction', 'lbf')).toBeCloseTo(45, 0);
  expect(asked.in('springRate', 'lbf/in') / 1104).toBeCloseTo(1, 2);
});

it('travel in percent needs the rated travel for a spring rate', () => {
  const { seconds, pressurePsi, travelIn } = recordStroke(USUAL_RIG, 5000, 60, 5);
  const recording = `time (s),pressure (psi),travel (%)\n${Array.from(seconds, (time, i) => [time, pressurePsi[i] ?? 0, ((travelIn[i] ?? 0) / 0.75) * 100].map((each) => each.toFixed(5)).join(',')).join('\n')}`;
  expect(ask('signature.analyse', { recording, area: '69 in²' }).result).not.toHaveProperty('springRate');
  expect(
    ask('signature.analyse', { recording, area: '69 in²', travel: '3/4 in' }).in('springRate', 'lbf/in') /
      1104,
  ).toBeCloseTo(1, 2);
});

it('broken rows are left out, counted and named', () => {
  const lines = strokeCsv(recordStroke(USUAL_RIG, 5000, 60, 5)).split('\n');
  lines[100] = 'recorder paused';
  lines[2000] = '1,2';
  const asked = ask('signature.analyse', { recording: lines.join('\n'), area: '69 in²' });
  expect(asked.result).toMatchObject({ rows: 4998, brokenRows: 2 });
  expect(asked.notes).toContain('line 101');
});

describe('refuses, in the user’s words', () => {
  const csv = strokeCsv(recordStroke(USUAL_RIG, 4000, 60, 5));
  it.each([
    ['no table', 'not a table at all', 'input.conflict'],
    ['no travel column', 'Time (s),Pressure (psi)\n1,2\n2,3\n', 'input.out-of-range'],
    ['a handful of rows', csv.split('\n').slice(0, 20).join('\n'), 'input.conflict'],
    ['one stroke only', csv.split('\n').slice(0, 1900).join('\n'), 'input.conflict'],
    ['a stem that never moves', `pressure (psi),travel (in)\n${'1,0\n2,0\n'.repeat(100)}`, 'input.conflict'],
  ])('%s', (_name, recording, code) => {
    expect(refusal('signature.analyse', { recording, area: '69 in²' }).code).toBe(code);
  });
  it('an area that is none', () => {
    expect(refusal('signature.analyse', { recording: csv, area: '0 in²' }).code).toBe('input.invalid');
  });
});
