import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve } from '../valve';
import { findWorking, WORKINGS } from '../workings';
import { figuresFor } from '.';

const from = (job: BenchJob, id: string, system: 'US' | 'SI' = 'US') =>
  figuresFor(must(findWorking(id)), job.plan(), job.state, system);
const measured = (what: string, value: string) => ({
  kind: 'take-measurement' as const,
  body: { step: 'inspect.stem-and-box', what, value, readBy: 'hand' as const },
});

describe('what a job knows of a working', () => {
  it('studs, size and class come off the plate and the joint', () => {
    const job = new BenchJob();
    const { thread, material } = from(job, 'bolting.torque');
    expect(thread).toMatch(/^\d/);
    expect(['B7', 'B16', 'L7', 'B8', 'B8M']).toContain(material);
    expect(from(job, 'test.pressures')['class']).toMatch(/^\d+$/);
    expect(from(job, 'seat.wedge-drop')['size']).toMatch(/^NPS /);
  });

  it('what is taken from the job is taken by the working, of every construction', () => {
    for (const id of CONSTRUCTION_IDS) {
      const job = new BenchJob(defaultValve(id));
      for (const working of WORKINGS) {
        const figures = figuresFor(working, job.plan(), job.state, 'SI');
        const answer = working.run(figures);
        const issues = answer.problem?.code === 'input.invalid' ? answer.problem.issues : [];
        for (const { path, problem } of issues)
          if (path in figures)
            expect(`${id} ${working.id} ${path}: ${JSON.stringify(problem)}`).toBe('taken');
      }
    }
  });

  it('a relief valve brings what it is set to, and nothing that it has not', () => {
    const job = new BenchJob(defaultValve('relief-spring'));
    expect(from(job, 'relief.set')['setPressure']).toMatch(/psig$/);
    expect(from(job, 'medium.hazard')).toEqual({});
  });

  it('what was measured last goes before the plate', () => {
    const job = new BenchJob();
    const step = job
      .plan()
      .steps.find(({ task }) => task.kind === 'measure' && task.asks.some(({ what }) => what === 'box bore'));
    if (!step) throw new Error('nothing measures the box');
    job.workTo(step.id);
    job.send({
      ...measured('box bore', '1 7/8 in'),
      body: { ...measured('box bore', '1 7/8 in').body, step: step.id },
    });
    expect(from(job, 'packing.rings')['bore']).toBe('1 7/8 in');
    expect(from(job, 'packing.rings', 'SI')['bore']).toMatch(/mm$/);
  });
});

it('what was measured for a judgement fills its working', () => {
  const job = new BenchJob(defaultValve('relief-spring')).workTo('inspect.spring-length');
  for (const [what, value] of [
    ['free length', '4.5 in'],
    ['out of square', '0.05 in'],
  ] as const)
    job.send({
      kind: 'take-measurement',
      body: { step: 'inspect.spring-length', what, value, readBy: 'hand' },
    });
  expect(figuresFor(must(findWorking('spring.length')), job.plan(), job.state, 'US')).toMatchObject({
    freeLength: '4.5 in',
    outOfSquare: '0.05 in',
    of: 'a relief valve',
  });
});

it('what was measured of an actuator fills its workings', () => {
  const job = new BenchJob(defaultValve('control-globe-double-seat'), { place: 'bare' }).workTo(
    'setup.stroke',
  );
  expect(from(job, 'actuator.coupling')).toMatchObject({ area: '105 in²', action: 'air to close' });
  expect(from(job, 'actuator.bench-sweep')).toMatchObject({ startsUp: '3.4 psig', startsDown: '2.6 psig' });
  expect(from(job, 'signature.analyse')).toMatchObject({ area: '105 in²', travel: '1.5 in' });
});

it('a positioner brings its readings round by round, with what was turned between them', () => {
  const STEP = 'setup.span';
  const job = new BenchJob(defaultValve('control-globe-double-seat')).workTo(STEP);
  const read = (low: string, high: string) => {
    for (const [what, value] of [
      ['travel at 5 % of the signal', low],
      ['travel at 95 % of the signal', high],
    ] as const)
      job.send({ kind: 'take-measurement', body: { step: STEP, what, value, readBy: 'hand' } });
  };
  expect(from(job, 'positioner.screws')).toEqual({});
  read('7.5 %', '90.9 %');
  job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'span screw', by: '-0.25 turn' } });
  read('7.7 %', '92.4 %');
  const { readings = '', lowWanted } = from(job, 'positioner.screws');
  expect(lowWanted).toBe('5 %');
  expect(JSON.parse(readings)).toEqual([
    { zero: '0', span: '0', low: '7.5 %', high: '90.9 %' },
    { zero: '0', span: '-0.25', low: '7.7 %', high: '92.4 %' },
  ]);
});
