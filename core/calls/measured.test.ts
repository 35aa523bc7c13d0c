import { describe, expect, it } from 'vitest';
import { BORE_PLACES, figuresOfFit, HINGE, judgesOf, NOMINAL_BORE, RELIEF_GUIDE } from '../inspection';
import { say } from '../quantity';
import { wordReason } from '../inspection';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, makersSheet, partsOf } from '../valve';

/** Works to a step that measures and reads these figures there, the rest as their examples say. */
function read(job: BenchJob, step: string, figures: Readonly<Record<string, string>>): BenchJob {
  job.workTo(step);
  const task = job.step(step)?.task;
  if (task?.kind !== 'measure') throw new Error(`${step} measures nothing`);
  for (const { what, example } of task.asks)
    job.send({
      kind: 'take-measurement',
      body: { step, what, value: figures[what] ?? example, readBy: 'hand' },
    });
  return job;
}
const callOn = (
  job: BenchJob,
  part: 'guide bush' | 'spring' | 'cylinder' | 'stem' | 'wedge' | 'hinge pin',
) => {
  const call = job.plan().calls.get(part);
  return call && `${call.verdict}: ${say(wordReason(call.reason), 'US')}`;
};

describe('a figure that was measured makes the call on its part (handbook part 6.7)', () => {
  it('a guide over its limit is renewed, and ordered; within it nothing changes', () => {
    const { bore } = figuresOfFit(RELIEF_GUIDE);
    const slack = read(new BenchJob(defaultValve('relief-spring')), 'inspect.guide-clearance', {
      [bore]: '1.515 in',
    });
    expect(callOn(slack, 'guide bush')).toBe('renew: clearance 17 thou, limit 11.5 thou');
    expect(slack.plan().steps.some(({ id }) => id.includes('guide-bush'))).toBe(true);
    const sound = read(new BenchJob(defaultValve('relief-spring')), 'inspect.guide-clearance', {});
    expect(sound.plan().calls.get('guide bush')?.verdict).toBe('fit');
    expect(slack.plan().steps.length).toBeGreaterThan(sound.plan().steps.length);
  });
  it('the maker’s clearance when new decides where his sheet gives it, and is named', () => {
    const sheet = makersSheet.parse({
      model: 'PR-4',
      revision: 'C',
      figures: { lengths: { 'clearance of the guide': { value: '2 thou', page: '9' } } },
    });
    const valve = defaultValve('relief-spring');
    const job = read(
      new BenchJob({ ...valve, plate: { ...valve.plate, model: 'PR-4' } }, { sheet }),
      'inspect.guide-clearance',
      {},
    );
    expect(callOn(job, 'guide bush')).toBe('renew: clearance 6 thou, limit 4 thou');
    expect(job.plan().calls.get('guide bush')?.source.clause).toContain('page 9');
  });
  it('a relief spring that leans by more than 1°', () => {
    const job = read(new BenchJob(defaultValve('relief-spring')), 'inspect.spring-length', {
      'out of square': '0.09 in',
    });
    expect(callOn(job, 'spring')).toBe('renew: out of square 2 %, limit 1.8 %');
  });
  it('a cylinder by taper, oval and wear: the worst is said', () => {
    const [top] = BORE_PLACES;
    const job = read(new BenchJob(defaultValve('control-ball-in-venturi')), 'inspect.bore', {
      [NOMINAL_BORE]: '6 in',
      [top?.what ?? '']: '6.012 in',
    });
    expect(callOn(job, 'cylinder')).toMatch(
      /^renew: (taper|out of round|wear over new) 1[12] thou, limit 7.5 thou$/,
    );
  });
  it('a stem necked by its packing', () => {
    const job = read(new BenchJob(defaultValve('globe-bolted')), 'inspect.box', {
      'smallest in the packing': '0.99 in',
    });
    expect(callOn(job, 'stem')).toBe('renew: wear 10 thou, limit 5 thou');
  });
  it('where a shaft runs in the packing, nothing is said of the stem', () => {
    const parts = judgesOf(defaultValve('dump-weight-lever')).map(({ part }) => part);
    expect(parts).toContain('shaft');
    expect(parts).not.toContain('stem');
  });
  it('a wedge that bottoms', () => {
    const job = read(new BenchJob(defaultValve('gate-wedge')), 'inspect.wedge-travel', {
      'wear travel left': '0 in',
    });
    expect(callOn(job, 'wedge')).toMatch(/^renew: wear travel left/);
  });
  it('a hinge pin with its slack', () => {
    const { bore } = figuresOfFit(HINGE);
    const job = read(new BenchJob(defaultValve('check-swing')), 'inspect.hinge', { [bore]: '0.77 in' });
    expect(callOn(job, 'hinge pin')).toBe('renew: clearance 20 thou, limit 15 thou');
  });
  it('a reading that is struck takes its call with it', () => {
    const job = read(new BenchJob(defaultValve('globe-bolted')), 'inspect.box', {
      'smallest in the packing': '0.99 in',
    });
    const entry = job.log.findLast(
      ({ kind, body }) => kind === 'measured' && 'what' in body && body.what === 'smallest in the packing',
    );
    job.send({ kind: 'strike-entry', body: { entry: entry?.seq ?? 0, reason: 'read off the wrong side' } });
    expect(job.plan().calls.get('stem')?.verdict).toBe('fit');
  });
});

describe('every judge', () => {
  it('goes by figures that a step of its construction asks for, and calls a part that is there', () => {
    const asked = new Set<string>();
    const judged = new Set<string>();
    for (const id of CONSTRUCTION_IDS) {
      const valve = defaultValve(id);
      const parts = new Set(partsOf(valve).map(({ role }) => role));
      const asks = new Set(
        new BenchJob(valve)
          .plan()
          .steps.flatMap(({ task }) => (task.kind === 'measure' ? task.asks.map(({ what }) => what) : [])),
      );
      for (const judge of judgesOf(valve)) {
        if (judge.part) expect(parts).toContain(judge.part);
        if (judge.reads.every((what) => asks.has(what))) judged.add(judge.subject);
        asked.add(judge.subject);
      }
    }
    expect([...judged].sort()).toEqual([...asked].sort());
  });
  it('says nothing while a figure is wanted', () => {
    for (const id of CONSTRUCTION_IDS)
      for (const judge of judgesOf(defaultValve(id)))
        expect(judge.judge(() => undefined, defaultValve(id))).toBeUndefined();
  });
  it('says in words why figures cannot be of one part', () => {
    const valve = defaultValve('relief-spring');
    const judge = judgesOf(valve).find(({ subject }) => subject === RELIEF_GUIDE.subject);
    const answer = judge?.judge(
      (what, dimension) => ({ dimension, value: what.startsWith('guide') ? 1 : 2, unit: 'in' }),
      valve,
    );
    expect(answer?.problem).toMatchObject({ code: 'input.out-of-range', field: 'bore' });
  });
});
