import { describe, expect, it } from 'vitest';
import { summarise } from '.';
import { BenchJob, DIAL, LEAD } from '../testing/bench';
import { defaultValve, type ConstructionId } from '../valve';
import type { LeakSource } from '../job';

const SHELL = 'test.shell';

/** A valve whose shell test leaks, and where it was found. */
function leaking(job: BenchJob, to: LeakSource, step = SHELL): BenchJob {
  const task = job.workTo(step).step(step)?.task;
  if (task?.kind !== 'pressure-test') throw new Error('no pressure test');
  const leak = { ...task.allowed, perMinute: task.allowed.perMinute + 6 };
  job.send({
    kind: 'run-pressure-test',
    body: { step, pressure: task.pressure, hold: task.hold, leak, readBy: DIAL },
  });
  return job.send({ kind: 'trace-leak', body: { step, to } });
}
const bare = (id: ConstructionId = 'globe-bolted') => new BenchJob(defaultValve(id), { place: 'bare' });
const opened = (job: BenchJob) => job.plan().steps.filter(({ opening }) => opening === 2);

describe('a shell that leaks is put right where it leaked, and nowhere else (common practice)', () => {
  it('the rig: nothing is added, the test is run again', () => {
    const before = bare().workTo(SHELL).plan().steps.length;
    const job = leaking(bare(), 'rig');
    expect(job.plan().steps).toHaveLength(before);
    expect(job.step(SHELL)?.status).toBe('ready');
  });
  it('the gland is nipped up, its gap read again, before the test', () => {
    const job = leaking(bare(), 'gland');
    expect(job.plan().openings).toBe(1);
    expect(job.step(SHELL)).toMatchObject({ status: 'waiting', waits: [{ title: /Gland nipped up/ }] });
    job.workTo('nothing');
    expect(summarise(job.state)).toMatchObject({ state: 'released' });
  });
  it('a joint is tightened once more with the pressure off; leaking again, it alone is opened', () => {
    const job = leaking(bare(), 'joint');
    expect(job.step(SHELL)).toMatchObject({ status: 'waiting', waits: [{ title: /last pass/ }] });
    leaking(job, 'joint');
    expect(job.plan().openings).toBe(2);
    const again = opened(job);
    const off = again.flatMap(({ off: parts }) => parts);
    expect(off).toEqual(expect.arrayContaining(['bonnet studs', 'bonnet', 'bonnet gasket']));
    expect(off).not.toContain('packing');
    expect(again.map(({ title }) => title).join('\n')).toMatch(/Both faces of the joint/);
    expect(again.some(({ stage, task }) => stage === 'repair' && task.kind !== 'do')).toBe(false);
  });
  it('what comes off goes back, and every test is run on it once it is shut', () => {
    const job = leaking(leaking(bare(), 'joint'), 'joint');
    const again = opened(job);
    expect(again.flatMap(({ on }) => on).sort()).toEqual(again.flatMap(({ off }) => off).sort());
    expect(again.filter(({ task }) => task.kind === 'pressure-test').map(({ id }) => id)).toEqual([
      'test.shell@2',
      'test.backseat@2',
      'test.seat@2',
    ]);
    expect(job.step('test.seat')).toBeUndefined();
    job.workTo('nothing');
    expect(summarise(job.state)).toMatchObject({ state: 'released' });
  });
  it('through its wall the body is called, and a lead condemns it', () => {
    const job = leaking(bare(), 'body wall');
    expect(job.plan().calls.get('body')?.verdict).toBe('ask');
    const body = { part: 'body', verdict: 'condemn', reason: 'weeps through the wall' } as const;
    job.send({ kind: 'overrule-call', body }, LEAD);
    expect(job.plan().condemned).toBe(true);
  });
  it('a place that this valve has not, or a test that did not leak, is refused', () => {
    const job = bare().workTo(SHELL);
    const trace = (to: LeakSource) => job.try({ kind: 'trace-leak', body: { step: SHELL, to } })?.code;
    expect(trace('joint')).toBe('step.wants');
    leaking(job, 'rig');
    expect(trace('rig')).toBe('step.wants');
    expect(trace('backseat shoulder')).toBe('step.wants');
  });
  it('struck, a leak that was traced asks for nothing any more', () => {
    const job = leaking(bare(), 'gland');
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'it was the rig' } });
    expect(job.step(SHELL)?.status).toBe('ready');
  });
});

it('a backseat whose shoulder leaks takes its stem out again, and not its seat work', () => {
  const job = leaking(bare('globe-yoke-clamp'), 'backseat shoulder', 'test.backseat');
  const off = opened(job).flatMap(({ off: parts }) => parts);
  expect(off).toContain('stem');
  expect(opened(job).some(({ task }) => task.kind === 'lapping' || task.kind === 'bluing')).toBe(false);
  job.workTo('nothing');
  expect(summarise(job.state)).toMatchObject({ state: 'released' });
});
