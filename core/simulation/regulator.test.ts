import { describe, expect, it } from 'vitest';
import { psig, valueIn } from '../quantity';
import { chance, regulatorRun, type RegulatorCondition } from '.';

const SOUND: RegulatorCondition = { screwOff: 0, lockUp: 0.04, creep: 0, turns: 0, perTurn: 0.12 };
const WANTED = psig(30);
const run = (condition: Partial<RegulatorCondition>, outlet: 'flowing' | 'shut', seconds = 362) => {
  const samples = [
    ...regulatorRun({ wanted: WANTED, condition: { ...SOUND, ...condition }, outlet, seconds }, chance(3)),
  ];
  return (at: number) =>
    valueIn(samples.find((each) => each.seconds >= at)?.pressure ?? psig(Number.NaN), 'psig');
};

describe('a regulator on the rig', () => {
  it('comes to its set at a steady flow, exponentially (first-order filling: 63 % in a time constant)', () => {
    const at = run({}, 'flowing', 20);
    expect(at(1.5)).toBeCloseTo(30 * (1 - Math.exp(-1)), 0);
    expect(at(15)).toBeCloseTo(30, 1);
  });
  it('its screw moves its set, clockwise up', () => {
    expect(run({ screwOff: -0.1, turns: 0.5 }, 'flowing', 20)(15)).toBeCloseTo(30 * 0.96, 1);
  });
  it('shut, it rises by its lock-up and stands; a seat that passes goes on rising', () => {
    const sound = run({}, 'shut');
    expect(sound(60)).toBeCloseTo(31.2, 1);
    expect(sound(360)).toBeCloseTo(31.2, 1);
    const passes = run({ creep: 0.02 }, 'shut');
    expect(passes(360) - passes(60)).toBeCloseTo(0.02 * 30 * 5, 1);
  });
});
