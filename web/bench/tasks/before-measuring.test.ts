import { describe, expect, it } from 'vitest';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { defaultValve, type Valve } from '@dusk-wren/core/valve';
import { BenchJob, INSPECTOR, LEAD, TECHNICIAN } from '@dusk-wren/core/testing/bench';
import { renderOnJob } from '../../testing/on-job';
import { attributes, wordsOf } from '../../testing/render';
import LockTask from './LockTask.vue';
import MarksTask from './MarksTask.vue';
import MakersSheetTask from './MakersSheetTask.vue';
import PlaceTask from './PlaceTask.vue';
import SignOffTask from './SignOffTask.vue';
import SparesTask from './SparesTask.vue';
import LineTask from './LineTask.vue';

const globe = () => new BenchJob(defaultValve('control-globe-double-seat'));

function stepOf(job: BenchJob, id: string): { step: PlannedStep; task: PlannedStep['task'] } {
  const step = job.step(id);
  if (!step) throw new Error(`no step ${id}`);
  return { step, task: step.task };
}
const evidence = (job: BenchJob, check: 'supply' | 'actuator' | 'weep hole', result: number) =>
  job.send({
    kind: 'take-evidence',
    body: { symptom: 'half travel', check, result, readBy: 'hand' },
  });

describe('the fault finder on the bench', () => {
  it('asks what it does before it says anything', async () => {
    const job = globe().workTo('diagnose.place');
    const words = wordsOf(await renderOnJob(PlaceTask, stepOf(job, 'diagnose.place'), job));
    expect(words).toContain('Half travel at full signal');
    expect(words).toContain('What does it do?');
    expect(words).not.toContain('Placed:');
  });
  it('goes on where it stood: the chain, the next check with its reason, a bar per cause', async () => {
    const job = globe().workTo('diagnose.place');
    evidence(job, 'supply', 0);
    const markup = await renderOnJob(PlaceTask, stepOf(job, 'diagnose.place'), job);
    const words = wordsOf(markup);
    expect(words).toMatch(/supply \d+ %/);
    expect(words).toContain('Read the supply gauge, valve moving: holds');
    expect(words).toMatch(/splits|settles|tells/);
    expect(attributes(markup, 'style').filter((style) => style.startsWith('width:'))).toHaveLength(14);
  });
  it('says what each answer did, up or down', async () => {
    const job = globe().workTo('diagnose.place');
    evidence(job, 'actuator', 0);
    const words = wordsOf(await renderOnJob(PlaceTask, stepOf(job, 'diagnose.place'), job));
    expect(words).toMatch(/▲\d/);
    expect(words).toMatch(/▼0\.\d/);
  });
  it('names the fault and what to do about it once it is placed', async () => {
    const job = globe().workTo('diagnose.place');
    evidence(job, 'actuator', 0);
    evidence(job, 'weep hole', 1);
    const words = wordsOf(await renderOnJob(PlaceTask, stepOf(job, 'diagnose.place'), job));
    expect(words).toContain('Placed: Bottom guide full, weep hole blocked');
    expect(words).toContain('Blind head off, clean guide and weep hole');
  });
});

describe('the line by choices', () => {
  it('begins as such a valve usually stands, and is drawn so', async () => {
    const job = globe().workTo('isolate.line');
    const markup = await renderOnJob(LineTask, stepOf(job, 'isolate.line'), job);
    expect(markup).toContain(
      'aria-label="default: upstream block valve, downstream block valve, with a bypass, air on"',
    );
    expect(wordsOf(markup)).toContain('bypass');
    expect(markup).not.toContain('Nothing proves');
  });
  it('asks for the spring’s figures only where the plate says its range', async () => {
    const job = globe().workTo('isolate.line');
    const without = await renderOnJob(LineTask, stepOf(job, 'isolate.line'), job);
    expect(without).not.toContain('Area of the actuator');
    const usual = defaultValve('control-globe-double-seat');
    const range = { low: { dimension: 'gauge pressure', value: 3, unit: 'psig' } } as const;
    const plated: Valve = {
      ...usual,
      plate: { springRange: { low: range.low, high: { ...range.low, value: 15 } } },
    };
    const sprung = new BenchJob(plated).workTo('isolate.line');
    expect(await renderOnJob(LineTask, stepOf(sprung, 'isolate.line'), sprung)).toContain(
      'Area of the actuator',
    );
  });
});

describe('locks', () => {
  it('are hung with a number and a tag of one’s own', async () => {
    const job = globe().workTo('isolate.block.upstream');
    const markup = await renderOnJob(LockTask, stepOf(job, 'isolate.block.upstream'), job);
    expect(attributes(markup, 'label')).toEqual(['Lock number', 'Tag number']);
    expect(markup).toContain('disabled');
  });
  it('come off by the hand that hung them; to another they say whose they are', async () => {
    const job = new BenchJob().workTo('restore.block.downstream');
    const own = wordsOf(await renderOnJob(LockTask, stepOf(job, 'restore.block.downstream'), job));
    expect(own).toMatch(/Lock .*: yours/);
    const other = await renderOnJob(LockTask, stepOf(job, 'restore.block.downstream'), job, INSPECTOR);
    expect(wordsOf(other)).toContain(TECHNICIAN.name);
    expect(attributes(other, 'label')).toEqual(['Why another takes it off (a lead only)']);
  });
});

describe('two signatures', () => {
  const at = () => new BenchJob().workTo('isolate.sign');
  const signed = () => at().send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } });
  it('nobody has signed: who did it may sign that, and reads why not the other side', async () => {
    const job = at();
    const markup = await renderOnJob(SignOffTask, stepOf(job, 'isolate.sign'), job);
    const buttons = markup.match(/<button[^>]*bench-button[^>]*>/g) ?? [];
    expect(buttons.map((each) => / disabled/.test(each))).toEqual([false, false, true, false]);
    expect(wordsOf(markup)).toContain(
      `${TECHNICIAN.name} read a zero: whoever checks the isolation did neither`,
    );
  });
  it('who has signed one side may not sign the other: somebody else does, here or at a screen of their own', async () => {
    const job = signed();
    const markup = await renderOnJob(SignOffTask, stepOf(job, 'isolate.sign'), job);
    const buttons = markup.match(/<button[^>]*bench-button[^>]*>/g) ?? [];
    expect(buttons.map((each) => / disabled/.test(each))).toEqual([true, false]);
    expect(wordsOf(markup)).toContain('Somebody else signs here');
    expect(wordsOf(markup)).toContain(TECHNICIAN.name);
  });
  it('a second person is', async () => {
    const job = signed();
    const markup = await renderOnJob(SignOffTask, stepOf(job, 'isolate.sign'), job, LEAD);
    expect(markup.match(/bench-button/g)).toHaveLength(2);
    expect(wordsOf(markup)).toContain('Somebody else signs here');
    expect(wordsOf(markup)).toContain('Read the sheet before you sign');
  });
});

describe('match marks', () => {
  const marked = (clock: string) =>
    new BenchJob()
      .workTo('strip.match-mark')
      .send({ kind: 'set-mark', body: { step: 'strip.match-mark', part: 'bonnet', clock } });
  it('are a slider that speaks by the clock', async () => {
    const job = new BenchJob().workTo('strip.match-mark');
    const markup = await renderOnJob(MarksTask, stepOf(job, 'strip.match-mark'), job);
    expect(markup).toContain('role="slider"');
    expect(markup).toContain('aria-label="Mark of the bonnet"');
    expect(markup).toContain('aria-valuetext="not set"');
  });
  it('at rebuild say where they were', async () => {
    const job = marked("4 o'clock").workTo('setup.marks');
    const words = wordsOf(await renderOnJob(MarksTask, stepOf(job, 'setup.marks'), job));
    expect(words).toContain('was 4 o’clock');
  });
  it('that do not meet say by how much, and what to do', async () => {
    const job = marked("4 o'clock").workTo('setup.marks');
    job.send({ kind: 'set-mark', body: { step: 'setup.marks', part: 'bonnet', clock: '150°' } });
    const markup = await renderOnJob(MarksTask, stepOf(job, 'setup.marks'), job);
    expect(wordsOf(markup)).toContain('30° off its mark: turn the bonnet until they meet.');
    expect(markup).toContain('role="alert"');
  });
});

describe('spares against the plate', () => {
  it('begin with a kit of which nothing is said', async () => {
    const job = new BenchJob().workTo('receive.spares');
    const markup = await renderOnJob(SparesTask, stepOf(job, 'receive.spares'), job);
    expect(markup).not.toContain('role="alert"');
    expect(wordsOf(markup)).toContain('Laid out, compared');
  });
  it('that do not agree stop, with the reason; they stay on the page to be put right', async () => {
    const job = new BenchJob().workTo('receive.spares');
    job.send({
      kind: 'match-spares',
      body: { step: 'receive.spares', laid: [{ what: 'kit', construction: 'gate-wedge', nps: 8 }] },
    });
    const markup = await renderOnJob(SparesTask, stepOf(job, 'receive.spares'), job);
    expect(wordsOf(markup)).toMatch(/Stop: kit: construction .*; kit: size NPS 8/);
    expect(wordsOf(markup)).toContain('Nothing leaves its line');
  });
});

describe('the maker’s sheet', () => {
  it('asks for the figures that this valve has, each with its page', async () => {
    const job = new BenchJob().workTo('receive.sheet');
    const markup = await renderOnJob(MakersSheetTask, stepOf(job, 'receive.sheet'), job);
    const labels = attributes(markup, 'label');
    expect(labels).toEqual(
      expect.arrayContaining(['Model', 'Revision', 'Torque of the gland', 'Limit of stem runout']),
    );
    const pages = labels.filter((label) => label.startsWith('Page ('));
    expect(pages).toHaveLength(labels.filter((label) => /^(Torque|Limit) of/.test(label)).length);
    expect(wordsOf(markup)).toContain('No sheet at hand');
  });
  it('a valve without packing is not asked for a gland', async () => {
    const job = new BenchJob(defaultValve('solenoid-pilot')).workTo('receive.sheet');
    const markup = await renderOnJob(MakersSheetTask, stepOf(job, 'receive.sheet'), job);
    expect(attributes(markup, 'label')).not.toContain('Torque of the gland');
  });
});
