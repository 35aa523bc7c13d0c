import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { CONSTRUCTION_IDS, defaultValve } from '../valve';

const planOf = (construction: (typeof CONSTRUCTION_IDS)[number]) =>
  new BenchJob(defaultValve(construction)).plan();
const withStep = (step: string) =>
  CONSTRUCTION_IDS.filter((construction) => planOf(construction).steps.some(({ id }) => id === step));

describe('what is measured and marked before it is lost (common practice)', () => {
  it.each(withStep('strip.settings'))(
    '%s: nothing of the strip comes off before the settings are taken',
    (id) => {
      const plan = planOf(id);
      const earlier = waitsFor(plan, 'strip.settings');
      const losing = plan.steps.filter(
        (step) => step.stage === 'strip' && step.id !== 'strip.settings' && !earlier.has(step.id),
      );
      // Repacked where it stands, the actuator stays on and loses nothing.
      if (id !== 'plug-eccentric') expect(losing.length).toBeGreaterThan(2);
      for (const step of losing) expect([...waitsFor(plan, step.id)], step.id).toContain('strip.settings');
    },
  );
  it('the settings of a caged valve are refused to be lost: the coupling waits', () => {
    const job = new BenchJob(defaultValve('control-balanced-cage')).workTo('strip.settings');
    for (const step of ['strip.air-lines', 'strip.uncouple', 'strip.preload'])
      expect(job.try({ kind: 'do-step', body: { step } }), step).toMatchObject({ code: 'step.waits' });
  });
  it.each(withStep('strip.mark-wedge'))('%s: the wedge is marked before it comes off its stem', (id) => {
    const plan = planOf(id);
    const off = plan.steps.find((step) => step.off.includes('wedge'));
    expect([...waitsFor(plan, off?.id ?? '')]).toContain('strip.mark-wedge');
  });
});
