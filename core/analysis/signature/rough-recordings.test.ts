import { describe, expect, it } from 'vitest';
import { recordStroke, USUAL_RIG, type StrokeRig } from '../../simulation';
import { ask, refusal } from '../../testing/ask';

/** 6 to 30 psi over 1.5 in on 100 in², 150 lbf of friction: what is read is held against that, however rough the file. */
const RIG: StrokeRig = {
  ...USUAL_RIG,
  areaIn2: 100,
  preload: 600,
  rate: 1600,
  travelIn: 1.5,
  friction: 150,
  supply: 36,
};
type Row = [seconds: number, signal: number, pressure: number, travel: number];

function rowsOf(rig: StrokeRig, count: number): Row[] {
  const { seconds, signalPercent, pressurePsi, travelIn } = recordStroke(rig, count, 60, 7);
  return Array.from(seconds, (time, i) => [
    time,
    signalPercent[i] ?? 0,
    pressurePsi[i] ?? 0,
    travelIn[i] ?? 0,
  ]);
}
const csv = (rows: readonly Row[], header = 'Time (s),Signal (%),Pressure (psi),Travel (in)') =>
  [header, ...rows.map((row) => row.map((each) => each.toFixed(5)).join(','))].join('\n');
const read = (rows: readonly Row[], more: object = {}, header?: string) =>
  ask('signature.analyse', { recording: csv(rows, header), area: '100 in²', ...more });
const whole = () => rowsOf(RIG, 4000);

function isTheRig(asked: ReturnType<typeof ask>, within = 0.02): void {
  expect(Math.abs(asked.in('friction', 'lbf') / 150 - 1)).toBeLessThan(within);
  expect(Math.abs(asked.in('benchLow', 'psig') / 6 - 1)).toBeLessThan(within);
  expect(Math.abs(asked.in('benchHigh', 'psig') / 30 - 1)).toBeLessThan(within);
  expect(Math.abs(asked.in('springRate', 'lbf/in') / 1600 - 1)).toBeLessThan(within);
}

describe('a rough file says what a clean one does', () => {
  it('rows in any order are sorted by their time, and said', () => {
    const shuffled = whole()
      .map((row, i) => ({ row, key: (i * 7919) % 4001 }))
      .sort((a, b) => a.key - b.key)
      .map(({ row }) => row);
    const asked = read(shuffled);
    isTheRig(asked);
    expect(asked.notes).toMatch(/out of order/);
  });
  it.each([
    ['pressure', 2, 5000],
    ['travel', 3, 500],
    ['signal', 1, 900],
  ] as const)('one spike of the %s moves nothing, and is said', (_, column, value) => {
    const rows = whole();
    const row = rows[1200];
    if (row) row[column] = value;
    const asked = read(rows);
    isTheRig(asked);
    expect(asked.in('hysteresis', '%')).toBeLessThan(3);
    expect(asked.in('linearity', '%')).toBeLessThan(3);
    expect(asked.notes).toMatch(/1 single values/);
  });
  it('two cycles in one file are read together', () => {
    const twice = [...whole(), ...whole().map(([time, ...rest]): Row => [time + 61, ...rest])];
    const asked = read(twice);
    isTheRig(asked);
    expect(asked.notes).toMatch(/4 strokes/);
  });
  it('a clock that begins again is not sorted into itself', () => {
    const asked = read([...whole(), ...whole()]);
    isTheRig(asked);
    expect(asked.notes).toMatch(/clock begins again/);
  });
  it('absolute pressure is turned to gauge; Druck and Hub are known', () => {
    const absolute = whole().map(([time, signal, pressure, travel]): Row => [
      time,
      signal,
      pressure + 14.6959,
      travel,
    ]);
    isTheRig(read(absolute, {}, 'Zeit (s),Signal (%),Druck (psia),Hub (in)'));
  });
  it('an air-to-close recording with travel as opening: start and end are low and high', () => {
    const asked = read(
      whole().map(([time, signal, pressure, travel]): Row => [time, signal, pressure, 1.5 - travel]),
    );
    expect(asked.in('benchLow', 'psig')).toBeCloseTo(6, 0);
    expect(asked.in('benchHigh', 'psig')).toBeCloseTo(30, 0);
  });
});

describe('what a recording does not show is said', () => {
  it('full travel not reached: with the rated travel the end is reckoned', () => {
    const asked = read(rowsOf({ ...RIG, supply: 20 }, 4000), { travel: '1.5 in' });
    expect(asked.in('benchHigh', 'psig')).toBeCloseTo(30, 0);
    expect(asked.notes).toMatch(/Full travel was not reached/);
  });
  it('without it, that no stop is seen at the open end', () => {
    expect(read(rowsOf({ ...RIG, supply: 20 }, 4000)).notes).toMatch(
      /does not show the stop at the open end/,
    );
  });
  it.each([
    ['38 in where 1.5 was given', 25.4],
    ['a twentieth of it', 0.05],
  ])('%s is asked about', (_, times) => {
    const rows = whole().map(([time, signal, pressure, travel]): Row => [
      time,
      signal,
      pressure,
      travel * times,
    ]);
    expect(
      refusal('signature.analyse', { recording: csv(rows), area: '100 in²', travel: '1.5 in' }).code,
    ).toBe('input.conflict');
  });
  it('a command in steps is no stick-slip', () => {
    const stepped = whole().map(([time, signal], i, all): Row => {
      const step = Math.min(all.length - 1, Math.floor(i / 100) * 100 + 99);
      const [, , pressure, travel] = all[step] ?? [0, 0, 0, 0];
      return [time, Math.round(signal / 5) * 5, pressure, travel];
    });
    const asked = read(stepped);
    expect(asked.result['stickSlip']).toBe(0);
    expect(asked.notes).toMatch(/goes in steps/);
  });
  it('a travel sensor that drifts does not close', () => {
    const drifting = whole().map(([time, signal, pressure, travel], i): Row => [
      time,
      signal,
      pressure,
      travel + (0.05 * 1.5 * i) / 4000,
    ]);
    expect(read(drifting).notes).toMatch(/does not close/);
  });
  it('a tight band is found and placed', () => {
    const tight = whole().map(([time, signal, pressure, travel], i): Row => {
      const isTight = travel > 0.6 && travel < 0.9;
      return [time, signal, pressure + (isTight ? (i < 2000 ? 1.5 : -1.5) : 0), travel];
    });
    const asked = read(tight);
    expect(asked.in('frictionWorst', 'lbf') / 300).toBeCloseTo(1, 1);
    expect(asked.in('frictionWorstAt', 'in')).toBeGreaterThan(0.58);
    expect(asked.in('frictionWorstAt', 'in')).toBeLessThan(0.92);
    expect(read(whole()).result).not.toHaveProperty('frictionWorst');
  });
});

describe('few rows', () => {
  it.each([50, 60, 80, 120, 200])('%d rows: every figure is one, or is left out', (count) => {
    const asked = read(rowsOf(RIG, count));
    for (const name of ['friction', 'benchLow', 'benchHigh', 'springRate', 'seatLoad', 'seatContact'])
      expect(Number.isFinite(asked.quantity(name).value), name).toBe(true);
    for (const name of ['hysteresis', 'deadBand', 'linearity'])
      if (asked.result[name] !== undefined)
        expect(Number.isFinite(asked.quantity(name).value), name).toBe(true);
    expect(Math.abs(asked.in('friction', 'lbf') / 150 - 1)).toBeLessThan(0.15);
  });
});
