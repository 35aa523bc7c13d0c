import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { say } from '../quantity';
import { STAGES } from '../job';
import { BenchJob, DIAL } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { bendReadings } from '../testing/bend';
import type { PlannedStep } from '../plan';
import { CAUTIONS } from '.';

/** What the handbook says of a bolted globe valve (part 2, construction 1), held against the plan. Common practice. */
const fresh = () => new BenchJob().plan();
const ids = (steps: readonly PlannedStep[]) => steps.map(({ id }) => id);

describe('the order of the work', () => {
  const { steps } = fresh();
  it.each([
    ['strip.match-mark', 'strip.lift', 'marks before anything comes apart'],
    ['strip.slack', 'strip.bonnet-nuts', 'slack and listen before the nuts come off'],
    ['strip.gland-nuts', 'strip.lift', 'the gland is free before the bonnet goes'],
    ['strip.lift', 'strip.stem', 'bonnet off before the stem'],
    ['strip.packing', 'inspect.runout', 'packing out before the stem is judged'],
    ['inspect.clean', 'inspect.runout', 'clean before measuring'],
    ['rebuild.clean', 'rebuild.bolt-up', 'compound and blue off before it closes'],
    ['rebuild.bolt-up', 'test.shell', 'torqued before it is tested'],
    ['test.shell', 'test.seat', 'shell before seat'],
    ['test.seat', 'release.sign', 'signed last'],
  ])('%s comes before %s: %s', (first, then) => {
    expect([...waitsFor({ steps }, then)]).toContain(first);
  });
  it('packing goes in after the bonnet is torqued: the stem moves as it is pulled down', () => {
    const packing = steps.find(({ task }) => task.kind === 'packing');
    expect([...waitsFor({ steps }, packing?.id ?? '')]).toContain('rebuild.bolt-up');
  });
  it('stages come in their order', () => {
    const places = steps.map(({ stage }) => STAGES.indexOf(stage));
    expect([...places].sort((a, b) => a - b)).toEqual(places);
  });
});

describe('what a step says', () => {
  const { steps } = fresh();
  it('title, why, because and minutes stand on every step', () => {
    for (const step of steps) {
      expect(step.title.length).toBeGreaterThan(3);
      expect(say(step.why, 'US')).toMatch(/[.?]$/);
      expect(step.because.text.length).toBeGreaterThan(2);
      expect(step.minutes).toBeGreaterThanOrEqual(0);
    }
  });
  it.each([
    ['strip.slack', CAUTIONS.slack],
    ['rebuild.bolt-up', 'No cheater bar on a torque wrench.'],
    ['test.shell', CAUTIONS.pressure],
  ])('%s carries its caution', (id, caution) => {
    expect(steps.find((step) => step.id === id)?.caution).toContain(caution.split('.')[0]);
  });
  it('the disc is fully open when the bonnet goes down, and it is said there', () => {
    expect(
      steps.some(({ stage, caution }) => stage === 'rebuild' && caution?.includes('Disc fully open')),
    ).toBe(true);
  });
  it('a new gasket and new packing are asked for at every overhaul', () => {
    const text = steps.flatMap(({ consumables, parts }) => [...consumables, ...parts]).join(' ');
    expect(text).toContain('bonnet gasket');
    expect(text).toContain('packing');
  });
  it('a small globe valve is about an hour or two of bench work, a large one more (handbook part 1)', () => {
    const minutes = fresh()
      .steps.filter(({ stage }) => stage !== 'isolate' && stage !== 'release')
      .reduce((sum, step) => sum + step.minutes, 0);
    expect(minutes).toBeGreaterThan(60);
    expect(minutes).toBeLessThan(8 * 60);
  });
});

describe('what findings change', () => {
  it('a bent stem is ordered, its arrival waited for, and its later steps wait with it', () => {
    const job = new BenchJob().workTo('inspect.runout');
    expect(ids(job.plan().steps)).not.toContain('order.stem');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(6), readBy: DIAL },
    });
    const { steps } = job.plan();
    expect([...waitsFor({ steps }, 'arrive.stem')]).toContain('order.stem');
    expect(steps.find(({ id }) => id === 'order.stem')?.because).toMatchObject({ kind: 'finding' });
  });
  it.each([
    ['2 thou', 'grind the disc in'],
    ['6 thou', 'reface'],
    ['20 thou', 'lathe'],
  ])('seat damage of %s brings %s, and a blue check after it', (depth, method) => {
    const job = new BenchJob().workTo('inspect.seat');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'pitted', depth } },
    });
    const { steps } = job.plan();
    const said = steps
      .filter(({ stage }) => stage === 'repair')
      .map(({ title }) => title.toLowerCase())
      .join('; ');
    expect(said).toContain(method);
    expect(said).toContain('blue');
  });
  it('a sound valve is not lapped', () => {
    const job = new BenchJob().workTo('inspect.blue').blue('inspect.blue', 360);
    expect(job.plan().steps.some(({ task }) => task.kind === 'lapping')).toBe(false);
  });
  it('whatever is found, no step is lost that was done (property)', () => {
    const finding = fc.constantFrom(
      { kind: 'sound' as const },
      { kind: 'cracked' as const },
      { kind: 'seat damage' as const, form: 'pitted' as const, depth: '3 thou' },
      { kind: 'seat damage' as const, form: 'wire drawn' as const, depth: '30 thou' },
      { kind: 'unsure' as const, what: 'odd' },
    );
    fc.assert(
      fc.property(finding, finding, (seat, disc) => {
        const job = new BenchJob().workTo('inspect.seat');
        const done = () =>
          job
            .plan()
            .steps.filter(({ status }) => status === 'done')
            .map(({ id }) => id);
        const already = done();
        job.send({ kind: 'make-finding', body: { step: 'inspect.seat', finding: seat } });
        if (job.step('inspect.disc')?.status === 'ready')
          job.send({ kind: 'make-finding', body: { step: 'inspect.disc', finding: disc } });
        expect(done()).toEqual(expect.arrayContaining(already));
      }),
      { seed: 1, numRuns: 25 },
    );
  });
});
