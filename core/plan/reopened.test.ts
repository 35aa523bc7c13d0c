import { describe, expect, it } from 'vitest';
import { BenchJob, DIAL } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId } from '../valve';
import { summarise } from '.';

/** On the bench, where there is a rig. */
const bare = (id: ConstructionId) => new BenchJob(defaultValve(id), { place: 'bare' });

/** Constructions whose seat is proved with pressure: a test over its allowance opens them again. */
const TESTED = CONSTRUCTION_IDS.filter((id) =>
  bare(id)
    .plan()
    .steps.some(({ id: step }) => step === 'test.seat'),
);

it('those are the valves with a pressure class and a seat of their own to prove', () => {
  expect(TESTED).toEqual([
    'globe-bolted',
    'globe-yoke-clamp',
    'gate-wedge',
    'gate-slab-unitised',
    'plug-lubricated',
    'check-recirculation',
    'check-swing',
    'ball-three-piece',
    'control-globe-double-seat',
    'control-balanced-cage',
    'control-ball-in-venturi',
    'control-rotary-eccentric',
    'control-butterfly',
  ]);
});

describe.each(TESTED)('%s after a seat test over its allowance', (construction) => {
  const job = bare(construction).workTo('test.seat');
  const done = job
    .plan()
    .steps.filter(({ status }) => status === 'done')
    .map(({ id }) => id);
  const task = job.step('test.seat')?.task;
  if (task?.kind !== 'pressure-test') throw new Error('no seat test');
  job.send({
    kind: 'run-pressure-test',
    body: {
      step: 'test.seat',
      pressure: task.pressure,
      hold: task.hold,
      leak: { ...task.allowed, perMinute: task.allowed.perMinute + 50 },
      readBy: DIAL,
    },
  });

  it('is vented, opened, closed and tested again, for the reason of the test', () => {
    const steps = job.plan().steps.filter(({ opening }) => opening === 2);
    expect(steps[0]?.id).toBe('strip.vent@2');
    const stages = new Set(steps.map(({ stage }) => stage));
    for (const stage of ['strip', 'repair', 'rebuild', 'test'] as const) expect(stages).toContain(stage);
    expect(stages).not.toContain('receive');
    expect(stages).not.toContain('inspect');
    expect(job.step('test.seat@2')?.status).toBe('waiting');
    expect(
      steps.some(({ because }) => because.kind === 'finding' && because.entry === job.state.version),
    ).toBe(true);
  });
  it('nothing done before is lost', () => {
    for (const id of done) expect(job.step(id)?.status, id).toBe('done');
  });
  it('what comes off the second time goes back on the second time', () => {
    const second = job.plan().steps.filter(({ opening }) => opening === 2);
    expect(second.flatMap(({ on }) => on).sort()).toEqual(second.flatMap(({ off }) => off).sort());
  });
  it('and can be worked to its certificate', () => {
    job.workTo('nothing');
    expect(summarise(job.state)).toMatchObject({ state: 'released' });
    expect(job.plan().openings).toBe(2);
  });
});
