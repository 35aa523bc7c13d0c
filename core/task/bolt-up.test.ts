import { describe, expect, it } from 'vitest';
import { BenchJob, DIAL, LAPSED } from '../testing/bench';
import { boltProgress } from '.';

const STEP = 'rebuild.bolt-up';

/** A bolt-up in hand, with the settings of its passes. */
function boltUp() {
  const job = new BenchJob().workTo(STEP);
  const task = job.step(STEP)?.task;
  if (task?.kind !== 'bolt-up') throw new Error('no bolt-up in hand');
  const setting = (pass: number) => task.passes[pass]?.torque.value ?? 0;
  const click = (bolt: number, torque: number, readBy: typeof DIAL | 'hand' = DIAL) =>
    job.send({
      kind: 'tighten-bolt',
      body: { step: STEP, bolt, torque: { value: torque, unit: 'lbf·ft' }, readBy },
    });
  return { job, task, setting, click, now: () => boltProgress(job.state, STEP, task) };
}

describe('where a bolt-up stands', () => {
  it('begins with the first bolt of the cross pattern at a quarter of the torque', () => {
    const { now, task, setting } = boltUp();
    expect(now()).toMatchObject({ pass: 0, next: 1, doneInPass: [], done: false });
    expect(setting(0) / setting(3)).toBeCloseTo(0.25, 9);
    expect(task.passes).toHaveLength(5);
  });
  it('goes on with the order of the pattern, 1-5-3-7 (ASME PCC-1 legacy)', () => {
    const { now, click, setting } = boltUp();
    for (const bolt of [1, 5, 3]) click(bolt, setting(0));
    expect(now()).toMatchObject({ next: 7, doneInPass: [1, 5, 3] });
  });
  it('a click on another bolt, too low, or by a wrench out of calibration counts for nothing and is kept', () => {
    const { now, click, setting } = boltUp();
    click(4, setting(0));
    click(1, setting(0) * 0.94);
    click(1, setting(0), LAPSED);
    expect(now().clicks.map(({ verdict }) => verdict)).toEqual(['wrong bolt', 'low', 'out of calibration']);
    expect(now().next).toBe(1);
    click(1, setting(0) * 0.96);
    expect(now().next).toBe(5);
  });
  it('a round of the pattern is a pass; the last goes round the circle', () => {
    const { now, click, setting, task, job } = boltUp();
    task.passes.forEach(({ order }, pass) => {
      expect(now()).toMatchObject({ pass, next: order[0] });
      for (const bolt of order) click(bolt, setting(pass));
    });
    expect(task.passes.at(-1)?.order).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(now()).toMatchObject({ done: true, next: undefined });
    expect(job.step(STEP)?.status).toBe('done');
  });
  it('striking a click takes it back: its bolt is asked for again', () => {
    const { now, click, setting, job } = boltUp();
    for (const bolt of [1, 5]) click(bolt, setting(0));
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'socket slipped' } });
    expect(now()).toMatchObject({ next: 5, doneInPass: [1] });
  });
});
