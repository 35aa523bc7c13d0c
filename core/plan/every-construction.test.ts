import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, checkFeatures, defaultValve, partsOf, valveSchema } from '../valve';

describe.each(CONSTRUCTION_IDS)('%s', (construction) => {
  const valve = defaultValve(construction);

  it('is a valve whose features hold together and read back as they are', () => {
    expect(checkFeatures(valve.features).ok).toBe(true);
    expect(valveSchema.parse(JSON.parse(JSON.stringify(valve)))).toEqual(valve);
  });

  it('has a plan whose steps touch only parts of its list, and put on what they took off', () => {
    const parts = partsOf(valve);
    const roles = new Set(parts.map(({ role }) => role));
    const { steps } = new BenchJob(valve).plan();
    for (const step of steps)
      expect(
        step.parts.filter((part) => !roles.has(part)),
        step.id,
      ).toEqual([]);
    const off = steps.flatMap((step) => step.off);
    const on = steps.flatMap((step) => step.on);
    expect([...on].sort()).toEqual([...off].sort());
    expect(new Set(off).size).toBe(off.length);
  });
});
