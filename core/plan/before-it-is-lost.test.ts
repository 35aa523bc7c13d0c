import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { CONSTRUCTION_IDS, defaultValve } from '../valve';
import { handOver, type PlannedStep } from '.';

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
        (step) =>
          step.stage === 'strip' &&
          step.optional === undefined &&
          step.id !== 'strip.settings' &&
          !earlier.has(step.id),
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

describe('a spring that still pushes', () => {
  const loaded = (job: BenchJob) => handOver(job.plan(), job.state).loaded;
  it('is handed over until it is off itself: another spring off is no comfort (solenoid pilot)', () => {
    const job = new BenchJob(defaultValve('solenoid-pilot'));
    const off = (part: string) =>
      job.plan().steps.find((step) => step.off.some((each) => each === part))?.id ?? '';
    expect(loaded(job)).toEqual(['small cone spring under the cover']);
    job.workTo(off('armature spring'));
    job.work(job.step(off('armature spring')) as PlannedStep);
    expect(loaded(job)).toEqual(['small cone spring under the cover']);
    job.workTo(off('cone spring'));
    job.work(job.step(off('cone spring')) as PlannedStep);
    expect(loaded(job)).toEqual([]);
  });
});
