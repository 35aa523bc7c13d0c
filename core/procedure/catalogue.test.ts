import { say } from '../quantity';
import { describe, expect, it } from 'vitest';
import { planVariants } from '../testing/plan-variants';
import { CONSTRUCTION_IDS, defaultValve } from '../valve';
import { BenchJob } from '../testing/bench';
import { consumableOf, type ConsumableName } from './consumables';
import { toolOf } from './tools';

const steps = planVariants().flatMap(({ plan }) => plan.steps);
const consumables = [...new Set(steps.flatMap((step) => step.consumables))];

describe('what matters about tools and consumables', () => {
  it('whatever is called grease, oil, anti-seize or threadlocker is oily: oxygen takes none of it (common practice)', () => {
    const called = consumables.filter((name) => /grease|\boil\b|anti-seize|threadlocker/.test(name));
    expect(called.length).toBeGreaterThan(8);
    expect(called.filter((name) => !consumableOf(name).oily)).toEqual([]);
  });
  it('a step that greases brings what it greases with', () => {
    const greases = steps.filter(({ title, why }) =>
      /\bgreased\b|\bGrease (?!injector|grooves)|; grease\b/.test(`${title} ${say(why, 'SI')}`),
    );
    expect(greases.length).toBeGreaterThan(20);
    const without = greases.filter(
      (step) => step.stage === 'rebuild' && !step.consumables.some((name) => consumableOf(name).oily),
    );
    expect([...new Set(without.map(({ title }) => title))]).toEqual([]);
  });
  it.each(CONSTRUCTION_IDS)('%s for oxygen: nothing oily is fetched, whatever the step', (construction) => {
    const valve = { ...defaultValve(construction), medium: { name: 'Oxygen', hazards: ['oxygen' as const] } };
    const fetched: readonly ConsumableName[] = new BenchJob(valve)
      .plan()
      .steps.flatMap((step) => step.consumables);
    expect(fetched.filter((name) => consumableOf(name).oily)).toEqual([]);
  });
  it('what is turned with is a spanner; what is read is in calibration', () => {
    expect(toolOf('torque wrench')).toEqual({ turns: true, calibrated: true });
    expect(toolOf('ring spanners')).toEqual({ turns: true });
    expect(toolOf('inside micrometer')).toEqual({ calibrated: true });
    expect(toolOf('rule')).toEqual({});
  });
});
