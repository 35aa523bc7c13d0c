import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { psig, quantity, seconds, thou, valueIn } from '../quantity';
import { stemRunout } from '../workings';
import {
  chance,
  conditionOf,
  dialReading,
  DIAL_RESOLUTION_THOU,
  leakThrough,
  photographBluedSeat,
  recordStroke,
  rigRun,
  strokeCsv,
  USUAL_RIG,
  USUAL_SCENE,
  ventGauge,
  wrenchClick,
} from '.';

const micrometres = (value: number) => quantity('length', value, 'µm');

describe('the simulated dial', () => {
  it('reads in its own divisions and the fit finds the bend that was put in', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const condition = {
        ...conditionOf('x'),
        stemBow: thou(3.1),
        stemBowDegrees: 140,
        stemOvality: thou(0.1),
      };
      const dice = chance(seed);
      const readings = Array.from({ length: 12 }, (_, i) => dialReading(condition, i * 30, dice));
      expect(readings.every(({ value }) => Number.isInteger(value / DIAL_RESOLUTION_THOU))).toBe(true);
      const { bow, bowAngle } = must(stemRunout.work({ readings })).result;
      expect(bow.value).toBeGreaterThan(2.8);
      expect(bow.value).toBeLessThan(3.4);
      expect(Math.abs((bowAngle?.value ?? NaN) - 140)).toBeLessThan(6);
    }
  });
});

describe('the simulated wrench', () => {
  it('scatters about its setting and now and then lets go early', () => {
    const dice = chance(5);
    const clicks = Array.from({ length: 2000 }, () =>
      valueIn(wrenchClick(quantity('torque', 100, 'lbf·ft'), dice), 'lbf·ft'),
    );
    const low = clicks.filter((click) => click < 95).length;
    const steady = clicks.filter((click) => click >= 95);
    expect(low / clicks.length).toBeGreaterThan(0.015);
    expect(low / clicks.length).toBeLessThan(0.05);
    expect(steady.reduce((sum, click) => sum + click, 0) / steady.length).toBeCloseTo(100, 0);
  });
});

describe('the simulated test rig', () => {
  const water = { fluid: 'liquid', of: 'drops' } as const;
  const drops = (gap: number, pressure: number) =>
    leakThrough({ ...water, gap: micrometres(gap), pressure: psig(pressure) }).perMinute;
  it('leaks with the cube of the gap (laminar slot flow) and in proportion to pressure', () => {
    expect(drops(4, 1000) / drops(2, 1000)).toBeCloseTo(8, 6);
    expect(drops(2, 2000) / drops(2, 1000)).toBeCloseTo(2, 6);
  });
  it('settles, holds for as long as was asked, and counts what the gap lets by', () => {
    const samples = [
      ...rigRun({ ...water, pressure: psig(1628), hold: seconds(60), gap: micrometres(2.4) }, chance(3)),
    ];
    const last = samples.at(-1);
    expect(last).toMatchObject({ phase: 'done', held: 60 });
    expect(Math.abs((last?.leaked ?? 0) - drops(2.4, 1628))).toBeLessThan(2);
    expect(
      samples.filter(({ phase }) => phase === 'holding').every(({ pressure }) => pressure.value > 1600),
    ).toBe(true);
  });
  it('counts water as drops or as millilitres, the same leak (16 drops a millilitre, API 598)', () => {
    const path = { fluid: 'liquid', gap: micrometres(3), pressure: psig(500) } as const;
    const volume = leakThrough({ ...path, of: 'mL' });
    expect(volume.of).toBe('mL');
    expect(leakThrough({ ...path, of: 'drops' }).perMinute / volume.perMinute).toBeCloseTo(16, 6);
    const read = [...rigRun({ ...path, of: 'mL', hold: seconds(60) }, chance(3))].at(-1)?.leaked ?? 0;
    expect(Math.abs(read - volume.perMinute)).toBeLessThanOrEqual(0.1 + volume.perMinute / 50);
  });
  it('a closed seat gives no drop', () => {
    expect(
      [...rigRun({ ...water, pressure: psig(1628), hold: seconds(60), gap: micrometres(0.2) }, chance(3))].at(
        -1,
      )?.leaked,
    ).toBe(0);
  });
});

describe('the simulated vent gauge', () => {
  it('falls to zero, or hangs when a block valve passes', () => {
    const sound = conditionOf('a');
    expect(ventGauge(sound, true, 60, chance(1)).value).toBe(0);
    const passing = { ...sound, blockValvePasses: true };
    expect(ventGauge(passing, true, 60, chance(1)).value).toBeGreaterThan(35);
    expect(ventGauge(passing, false, 60, chance(1)).value).toBe(0);
  });
  it('it begins at the pressure of its own line, and hangs at a share of it', () => {
    const passing = { ...conditionOf('P'), blockValvePasses: true };
    const at = (seconds: number) => valueIn(ventGauge(passing, true, seconds, chance(1), psig(900)), 'psig');
    expect(at(0)).toBeGreaterThan(890);
    expect(at(60)).toBeGreaterThan(150);
    expect(at(60)).toBeLessThan(300);
  });
});

describe('the simulated stroke recorder', () => {
  const { pressurePsi, travelIn, signalPercent } = recordStroke(USUAL_RIG, 4001, 60, 1);
  it('goes from no air to full supply and back', () => {
    expect(signalPercent[0]).toBe(0);
    expect(signalPercent[2000]).toBe(100);
    expect(signalPercent[4000]).toBe(0);
    expect(Math.max(...pressurePsi)).toBeGreaterThan(17.9);
  });
  it('makes its full travel and stands against friction on the way back (play)', () => {
    expect(Math.max(...travelIn)).toBeGreaterThan(0.74);
    const [up, down] = [travelIn[1000] ?? 0, travelIn[3000] ?? 0];
    expect(down - up).toBeCloseTo((2 * USUAL_RIG.friction) / USUAL_RIG.rate, 2);
  });
  it('without friction or noise both ways are one line', () => {
    const clean = recordStroke({ ...USUAL_RIG, friction: 0, pressureNoise: 0, travelNoise: 0 }, 1001, 60, 1);
    for (const i of [100, 250, 400])
      expect(clean.travelIn[i]).toBeCloseTo(clean.travelIn[1000 - i] ?? NaN, 9);
  });
  it('writes a header with units and a row a sample', () => {
    const lines = strokeCsv(recordStroke(USUAL_RIG, 50, 10, 1))
      .trim()
      .split('\n');
    expect(lines[0]).toBe('Time (s),Signal (%),Actuator pressure (psi),Travel (in)');
    expect(lines).toHaveLength(51);
    expect(lines.slice(1).every((line) => line.split(',').length === 4)).toBe(true);
  });
});

describe('the simulated camera', () => {
  const small = { ...USUAL_SCENE, width: 200, height: 150 };
  it('takes the same picture twice with one seed, another with another', () => {
    const [a, b, c] = [1, 1, 2].map((seed) => photographBluedSeat({ ...small, seed }).data);
    expect(a).toEqual(b);
    expect(a).not.toEqual(c);
  });
  it('is darker away from the lamp, and blue only on the line', () => {
    const { data, width } = photographBluedSeat({ ...small, noise: 0, gradient: 0.5 });
    const at = (x: number, y: number) => [...data.slice(4 * (y * width + x), 4 * (y * width + x) + 3)];
    expect(at(2, 2)[0]).toBeGreaterThan(at(197, 147)[0] ?? 255);
    const [red = 0, , blue = 0] = at(100, Math.round(0.375 * 200 - 0.27 * 200));
    expect(blue).toBeGreaterThan(2 * red);
  });
});
