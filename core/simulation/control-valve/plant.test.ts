import { describe, expect, it } from 'vitest';
import { ask } from '../../testing/ask';
import { strokeCsv } from '../stroke-recording';
import { Plant, type ControlValve, type Driven } from './plant';
import { WELL_SET } from './positioner';

const PSI = 6894.757293;
/** 69 in², 3/4 in, 3 to 15 psi. */
const DIAPHRAGM: ControlValve = {
  area: 0.0445,
  travel: 0.01905,
  mass: 4,
  preload: 3 * PSI * 0.0445,
  rate: (12 * PSI * 0.0445) / 0.01905,
  bothSides: false,
  room: 1.2e-3,
  conductance: 2e-3,
  friction: { sliding: 0, breakaway: 0, viscous: 1500 },
  stopRate: 2e7,
  stops: [0, 1],
  process: 0,
  linkage: 'straight',
  droop: 0,
};
const RUBBING = { sliding: 200, breakaway: 215, viscous: 1500 };
const CYLINDER: ControlValve = {
  ...DIAPHRAGM,
  area: 0.018,
  travel: 0.05,
  preload: 0,
  rate: 0,
  bothSides: true,
  room: 1e-4,
  conductance: 1e-3,
  friction: { sliding: 150, breakaway: 180, viscous: 1500 },
};
const straight: Driven = { by: 'straight', low: 0, high: 20 * PSI };
const positioned = (set = {}): Driven => ({ by: 'positioner', set: { ...WELL_SET, ...set } });

describe('a control valve in time', () => {
  it('fills a casing that stands still exponentially (first-order filling)', () => {
    const locked: ControlValve = { ...DIAPHRAGM, friction: { ...RUBBING, breakaway: 1e9 } };
    const plant = new Plant(locked, { by: 'straight', low: 0, high: 20 * PSI }, 30 * PSI, 1);
    const tau = locked.room / locked.conductance;
    for (const times of [1, 2, 3]) {
      plant.run(tau);
      expect(plant.driven / PSI).toBeCloseTo(20 * (1 - Math.exp(-times)), 1);
    }
  });

  it.each([4, 6, 9, 12, 14])(
    'without friction stands where %f psi balance its spring: F = P·A (Hooke)',
    (psi) => {
      const plant = new Plant(DIAPHRAGM, straight, 30 * PSI, psi / 20);
      plant.run(20);
      expect(plant.travel).toBeCloseTo((psi - 3) / 12, 3);
      expect(Math.abs(plant.speed)).toBeLessThan(1e-4);
    },
  );

  it.each([
    ['a diaphragm', DIAPHRAGM],
    ['a diaphragm that rubs', { ...DIAPHRAGM, friction: RUBBING }],
    ['a cylinder', CYLINDER],
  ])(
    'loses no work on %s: what air and process put in is stored or rubbed away (conservation)',
    (_, valve) => {
      const source = valve.bothSides ? positioned({ balance: 0.7 }) : straight;
      const plant = new Plant(valve, source, (valve.bothSides ? 60 : 20) * PSI, 0);
      for (const signal of [1, 0.3, 0.8, 0]) {
        plant.signal = signal;
        plant.run(2);
        const { putIn, rubbed } = plant.work;
        expect(Math.abs(putIn - plant.stored - rubbed)).toBeLessThan(
          0.01 * (Math.abs(putIn) + rubbed) + 0.02,
        );
      }
    },
  );

  it('stands apart coming up and coming down by twice its friction over its spring (play)', () => {
    const rubs: ControlValve = { ...DIAPHRAGM, friction: { ...RUBBING, breakaway: RUBBING.sliding } };
    const plant = new Plant(rubs, straight, 30 * PSI, 0);
    const creepTo = (signal: number) => {
      const from = plant.signal;
      for (let i = 1; i <= 200; i++) {
        plant.signal = from + ((signal - from) * i) / 200;
        plant.run(0.2);
      }
      plant.run(5);
      return plant.stem;
    };
    const up = creepTo(9 / 20);
    creepTo(1);
    const down = creepTo(9 / 20);
    expect((down - up) * rubs.rate).toBeGreaterThan(2 * RUBBING.sliding * 0.93);
    expect((down - up) * rubs.rate).toBeLessThan(2 * RUBBING.sliding * 1.05);
  });

  it('slips by up to twice what breakaway is over sliding friction, over its spring (stick-slip of a spring)', () => {
    const furthestSlip = (breakaway: number) => {
      const valve: ControlValve = {
        ...DIAPHRAGM,
        conductance: 2e-4,
        friction: { sliding: 200, breakaway, viscous: 50 },
      };
      const plant = new Plant(valve, straight, 30 * PSI, 0.3);
      plant.run(10);
      let furthest = 0;
      for (let i = 0; i < 600; i++) {
        plant.signal += 0.0005;
        const before = plant.stem;
        plant.run(0.05);
        furthest = Math.max(furthest, plant.stem - before);
      }
      return furthest;
    };
    expect(furthestSlip(400)).toBeLessThan((2 * 200) / DIAPHRAGM.rate);
    expect(furthestSlip(400)).toBeGreaterThan((0.3 * 2 * 200) / DIAPHRAGM.rate);
    expect(furthestSlip(205)).toBeLessThan(furthestSlip(400) / 5);
  });

  it('follows its positioner: half the signal, half the travel; zero shifts all alike, span turns near zero', () => {
    const at = (signal: number, set = {}) => {
      const plant = new Plant({ ...DIAPHRAGM, friction: RUBBING }, positioned(set), 20 * PSI, signal);
      plant.run(8);
      return plant.travel;
    };
    expect(at(0.5)).toBeCloseTo(0.5, 2);
    for (const signal of [0.25, 0.5, 0.75])
      expect(at(signal, { zero: 0.05 }) - at(signal)).toBeCloseTo(0.05, 2);
    const [low, high] = [0.1, 0.9].map((signal) => at(signal, { span: 1.1 }) - at(signal)) as [
      number,
      number,
    ];
    expect(high).toBeGreaterThan(0.08);
    expect(low).toBeGreaterThan(0.01);
    expect(low).toBeLessThan(0.04);
  });

  it('holds both sides of a cylinder at three quarters of its supply, alike (common practice)', () => {
    const plant = new Plant(CYLINDER, positioned(), 80 * PSI, 0.5);
    plant.run(8);
    expect(plant.driven / PSI).toBeGreaterThan(55);
    expect(plant.driven / PSI).toBeLessThan(65);
    expect(Math.abs(plant.driven - plant.other) / PSI).toBeLessThan(5);
    expect(plant.travel).toBeCloseTo(0.5, 2);
  });

  it('is read back by the signature: bench set and friction within 3 % of what was put in', () => {
    const valve: ControlValve = { ...DIAPHRAGM, friction: { ...RUBBING, breakaway: 200, viscous: 0 } };
    const plant = new Plant(valve, straight, 30 * PSI, 0);
    const samples = 4000;
    const [seconds, signalPercent, pressurePsi, travelIn] = [0, 1, 2, 3].map(
      () => new Float64Array(samples),
    ) as [Float64Array, Float64Array, Float64Array, Float64Array];
    for (let i = 0; i < samples; i++) {
      const share = i / (samples - 1);
      plant.signal = 0.9 * (share < 0.5 ? 2 * share : 2 - 2 * share);
      plant.run(0.03);
      seconds[i] = i * 0.03;
      signalPercent[i] = plant.signal * 100;
      pressurePsi[i] = plant.driven / PSI;
      travelIn[i] = plant.stem / 0.0254;
    }
    const recording = strokeCsv({ seconds, signalPercent, pressurePsi, travelIn });
    const asked = ask('signature.analyse', { recording, area: '0.0445 m²' });
    expect(asked.in('friction', 'N') / 200).toBeCloseTo(1, 1.5);
    expect(asked.in('benchLow', 'psig') / 3).toBeCloseTo(1, 1.5);
    expect(asked.in('benchHigh', 'psig') / 15).toBeCloseTo(1, 1.5);
  });
});
