import { describe, expect, it } from 'vitest';
import { valueIn } from '../quantity';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { lastTurned, nextPop, StepFacts, type Pops, type TaskOf } from '.';

const STEP = 'test.pops';
/** A relief valve of 250 psig before its pops: 242.5 to 257.5 is within tolerance (3 %, ASME VIII). */
const bench = () => new BenchJob(defaultValve('relief-spring')).workTo(STEP);
function live(job: BenchJob): { task: TaskOf<'measure'>; pops: Pops; facts: StepFacts } {
  const task = job.step(STEP)?.task;
  if (task?.kind !== 'measure' || task.live?.kind !== 'pops') throw new Error('nothing pops here');
  return { task, pops: task.live, facts: new StepFacts(job.state, STEP, false) };
}
/** One pop as the rig keeps it: the reseat first, then the pop under its name. */
function pop(job: BenchJob, psi: number): BenchJob {
  const { task, pops, facts } = live(job);
  const read = (what: string, value: number) =>
    job.send({
      kind: 'take-measurement',
      body: { step: STEP, what, value: `${value} psig`, readBy: 'hand' },
    });
  const name = nextPop(task, pops, facts);
  read('reseat', psi * 0.93);
  return read(name, psi);
}
const isDone = (job: BenchJob) => job.step(STEP)?.status === 'done';
const turn = (job: BenchJob, by: string) =>
  job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'compression screw', by } });

describe('three pops in tolerance, one after the other (handbook part 6.6)', () => {
  it('three that agree finish it', () => {
    expect(isDone([250, 251, 249.5].reduce(pop, bench()))).toBe(true);
  });
  it('one out of tolerance, and they are counted anew', () => {
    const job = [250, 251, 262].reduce(pop, bench());
    expect(isDone(job)).toBe(false);
    expect(isDone([250, 251].reduce(pop, job))).toBe(false);
    expect(isDone(pop(job, 250))).toBe(true);
  });
  it('the screw turned, what was before it no longer counts', () => {
    const job = turn([250, 251].reduce(pop, bench()), '0.25 turn');
    expect(isDone([250, 250.5].reduce(pop, job))).toBe(false);
    expect(isDone(pop(job, 251))).toBe(true);
  });
  it('in tolerance but drifting apart, the last three that agree finish it (1 % or 1 psi)', () => {
    const job = [246, 250, 254].reduce(pop, bench());
    expect(isDone(job)).toBe(false);
    expect(isDone([254, 254.5].reduce(pop, job))).toBe(true);
  });
});

describe('what a turn did', () => {
  it('is nothing before one, and of the last one after it', () => {
    const job = pop(bench(), 262);
    const { pops, facts } = live(job);
    expect(lastTurned(pops, facts)).not.toHaveProperty('before');
    pop(turn(turn(job, '-0.25 turn'), '-0.25 turn'), 256);
    const after = live(job);
    const learned = lastTurned(after.pops, after.facts);
    expect(learned?.before && valueIn(learned.before.turned, 'turn')).toBe(-0.5);
    expect(learned?.before && valueIn(learned.before.read, 'psig')).toBe(262);
    expect(learned && valueIn(learned.read, 'psig')).toBe(256);
  });
  it.each([
    [{ step: STEP, screw: 'upper ring' as const, by: '1 turn' }, 'step.wants'],
    [{ step: STEP, screw: 'compression screw' as const, by: '0 turn' }, 'input.out-of-range'],
    [{ step: STEP, screw: 'compression screw' as const, by: '11 turn' }, 'input.out-of-range'],
  ])('%j is refused', (body, code) => {
    expect(bench().try({ kind: 'turn-screw', body })?.code).toBe(code);
  });
  it('a curve of as many moments as pressures, or none', () => {
    const job = new BenchJob(defaultValve('relief-spring')).workTo(STEP);
    const readBy = '00000000-0000-4000-8000-000000000101';
    const curve = { step: STEP, what: 'first pop', seconds: [0, 1, 2], psig: [0, 250], readBy };
    expect(job.try({ kind: 'keep-curve', body: curve })?.code).toBe('input.conflict');
  });
});
