import { expect, it } from 'vitest';
import { inches, quantity, valueIn } from '../quantity';
import { dumpHeads } from '../simulation';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { StepFacts, weightAdvice } from '.';

const STEP = 'test.function';
const [OPENS, SHUTS, PLACE] = ['opens at a head of', 'shuts again at a head of', 'weight from the shaft'];
const bench = () => new BenchJob(defaultValve('dump-weight-lever'), { place: 'bare' }).workTo(STEP);
const take = (job: BenchJob, what: string, value: string) =>
  job.send({ kind: 'take-measurement', body: { step: STEP, what, value, readBy: 'hand' } });
function adviceOf(job: BenchJob) {
  const task = job.step(STEP)?.task;
  if (task?.kind !== 'measure' || task.live?.kind !== 'pops') throw new Error('nothing is filled');
  return weightAdvice(task, task.live, new StepFacts(job.state, STEP, false));
}
const status = (job: BenchJob) => job.step(STEP)?.status;
const opened = (job: BenchJob, opens: number) =>
  take(take(job, SHUTS, `${opens - 0.3} psig`), OPENS, `${opens} psig`);

it('opens within its head: nothing is moved, and its place is kept', () => {
  const job = opened(bench(), 4.1);
  expect(adviceOf(job)).toBeUndefined();
  expect(status(job)).toBe('ready');
  expect(status(take(job, PLACE, '6.4 in'))).toBe('done');
});
it('opens late: the weight goes in by what that head is over (statics: 42 in³ × 0.4 psi / 20 lbf = 0.84 in)', () => {
  const advice = adviceOf(opened(bench(), 4.4));
  expect(advice && valueIn(advice.from, 'in') - valueIn(advice.to, 'in')).toBeCloseTo(0.84, 6);
});
it('moved, what it opened at before no longer counts', () => {
  const job = take(opened(bench(), 4.4), PLACE, '5.56 in');
  expect(adviceOf(job)).toBeUndefined();
  expect(status(job)).toBe('ready');
  expect(status(opened(job, 4.05))).toBe('done');
});
it('its advice, followed, brings any lever to its head (property)', () => {
  for (const [own, rubs] of [
    [34, 12],
    [40, 4],
    [46, 16],
  ] as const) {
    const job = bench();
    const dump = {
      diaphragmArea: quantity('area', 28, 'in²'),
      shortArm: inches(1.5),
      weight: quantity('force', 20, 'lbf'),
      leverMoment: quantity('torque', own, 'lbf·in'),
      friction: quantity('torque', rubs, 'lbf·in'),
    };
    let position = inches(6.4);
    for (let round = 0; round < 4; round++) {
      const { opens } = dumpHeads({ ...dump, position });
      opened(job, Math.round(opens / 68.947) / 100);
      const advice = adviceOf(job);
      if (!advice) break;
      position = advice.to;
      take(job, PLACE, `${valueIn(position, 'in')} in`);
    }
    if (status(job) !== 'done') take(job, PLACE, `${valueIn(position, 'in')} in`);
    expect(status(job)).toBe('done');
  }
});
