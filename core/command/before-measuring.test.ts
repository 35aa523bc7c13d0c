import { describe, expect, it } from 'vitest';
import { usualLine } from '../isolation';
import { describeEntry, evidenceOn, hangingLocks, lineOf } from '../job';
import { BenchJob, DIAL, id, INSPECTOR, LAPSED, LEAD, TECHNICIAN } from '../testing/bench';
import { defaultValve } from '../valve';
import { findFault, type Counts } from '../diagnosis';
import { must } from '../problem';
import { decide, openJob, readCommand } from '.';

const globe = () => new BenchJob(defaultValve('control-globe-double-seat'));
const answer = (job: BenchJob, check: string, result: number, readBy: string = 'hand') =>
  job.try({
    kind: 'take-evidence',
    body: { symptom: 'half travel', check, result, readBy } as never,
  });

describe('evidence', () => {
  it('may be taken before its step, and is kept by symptom', () => {
    const job = globe();
    expect(answer(job, 'supply', 0)).toBeUndefined();
    expect(evidenceOn(job.state, 'half travel')).toEqual([{ check: 'supply', result: 0 }]);
    expect(evidenceOn(job.state, 'hunting')).toEqual([]);
  });
  it('done again, a check counts as it was answered last', () => {
    const job = globe();
    answer(job, 'supply', 1);
    answer(job, 'supply', 0);
    expect(evidenceOn(job.state, 'half travel')).toEqual([{ check: 'supply', result: 0 }]);
    expect(job.state.records['evidence-taken']).toHaveLength(2);
  });
  it('read by an instrument out of calibration is kept and does not count', () => {
    const job = globe();
    expect(answer(job, 'supply', 1, LAPSED)).toBeUndefined();
    expect(evidenceOn(job.state, 'half travel')).toEqual([]);
    expect(answer(job, 'supply', 1, DIAL)).toBeUndefined();
    expect(evidenceOn(job.state, 'half travel')).toHaveLength(1);
    expect(answer(job, 'supply', 1, id(999))).toMatchObject({ code: 'instrument.unknown' });
  });
  it('struck, it is gone from the finder and not from the log', () => {
    const job = globe();
    answer(job, 'supply', 1);
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'gauge cock was shut' } });
    expect(evidenceOn(job.state, 'half travel')).toEqual([]);
    expect(job.log.some(({ kind }) => kind === 'evidence-taken')).toBe(true);
  });
  it.each([
    ['light', 0, 'input.conflict'],
    ['cylinder gauges', 0, 'input.conflict'],
    ['supply', 2, 'input.out-of-range'],
    ['fishing', 0, 'command.invalid'],
    ['supply', -1, 'command.invalid'],
  ])('%s answered %d is %s', (check, result, code) => {
    expect(answer(globe(), check, result)).toMatchObject({ code });
  });
  it('for a symptom that this valve cannot show is refused', () => {
    const job = new BenchJob(defaultValve('gate-wedge'));
    expect(
      job.try({
        kind: 'take-evidence',
        body: { symptom: 'half travel', check: 'supply', result: 0, readBy: 'hand' },
      }),
    ).toMatchObject({ code: 'input.conflict' });
  });
});

describe('placing the fault', () => {
  const place = (job: BenchJob, cause: string, symptom = 'half travel') =>
    job.try({ kind: 'place-fault', body: { step: 'diagnose.place', symptom, cause } as never });
  it('keeps how likely the finder held it, even where a person knows better', () => {
    const job = globe().workTo('diagnose.place');
    answer(job, 'supply', 1);
    expect(place(job, 'bench set wrong')).toBeUndefined();
    const [placed] = job.state.records['fault-placed'];
    expect(placed?.body.chance).toBeLessThan(0.2);
    expect(placed && describeEntry(placed, 'US')).toMatch(/Bench set wrong; held at \d+ %/);
    expect(job.step('diagnose.place')?.status).toBe('done');
  });
  it('is held as likely as the shop’s own jobs make it, as it was shown', () => {
    const chanceWith = (counts: Counts) => {
      const job = globe().workTo('diagnose.place');
      const read = readCommand({
        kind: 'place-fault',
        body: { step: 'diagnose.place', symptom: 'half travel', cause: 'bench set wrong' },
      });
      const facts = decide(job.state, must(read), { ...job.edge(TECHNICIAN), faultCounts: () => counts });
      const [placed] = must(facts);
      return placed?.kind === 'fault-placed' ? placed.body.chance : 0;
    };
    const { features } = globe().plan().valve;
    const counts = { 'bench set wrong': 40 };
    const shown = findFault({ symptom: 'half travel', features, evidence: [], counts }).suspects.find(
      ({ cause }) => cause === 'bench set wrong',
    );
    expect(chanceWith(counts)).toBe(shown?.chance);
    expect(chanceWith(counts)).toBeGreaterThan(2 * chanceWith({}));
  });
  it('somewhere this valve has not, or that gives another symptom, is refused', () => {
    const job = globe().workTo('diagnose.place');
    expect(place(job, 'piston ring leaks')).toMatchObject({ code: 'input.conflict' });
    expect(place(job, 'seat worn')).toMatchObject({ code: 'input.conflict' });
    expect(place(job, 'moon phase')).toMatchObject({ code: 'command.invalid' });
  });
  it('is not done by saying so: only placed, or passed over as routine', () => {
    const job = globe().workTo('diagnose.place');
    expect(job.try({ kind: 'do-step', body: { step: 'diagnose.place' } })).toMatchObject({
      code: 'step.wants',
      wants: 'the fault placed',
    });
    job.send({ kind: 'do-step', body: { step: 'diagnose.place', notNeeded: true } });
    expect(job.step('diagnose.place')?.status).toBe('done');
  });
  it('holds the strip until it is: no repairs before the fault is placed (handbook part 4)', () => {
    const job = globe().workTo('diagnose.place');
    expect(job.try({ kind: 'do-step', body: { step: 'isolate.bypass' } })).toMatchObject({
      code: 'step.waits',
    });
    expect(job.step('strip.match-mark')?.status).toBe('waiting');
  });
});

describe('the line', () => {
  const draw = (job: BenchJob, change: object) =>
    job.try({
      kind: 'draw-line',
      body: {
        step: 'isolate.line',
        line: { ...usualLine(job.plan().valve.features), ...change },
      },
    });
  it('drawn otherwise, the sheet is another: a shut-down line wants the operator, not a lock', () => {
    const job = globe().workTo('isolate.line');
    expect(draw(job, { upstream: { shutBy: 'line shut down', vent: true }, bypass: false })).toBeUndefined();
    const ids = job.plan().steps.map((step) => step.id);
    expect(ids).toContain('isolate.shut-down.upstream');
    expect(ids).not.toContain('isolate.block.upstream');
    expect(ids).not.toContain('isolate.bypass');
    expect(lineOf(job.state)?.bypass).toBe(false);
  });
  it('struck and drawn again, the new one stands', () => {
    const job = globe().workTo('isolate.line');
    draw(job, { bypass: false });
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'there is one' } });
    expect(lineOf(job.state)?.bypass).toBe(true);
    expect(job.step('isolate.line')?.status).toBe('ready');
  });
  it.each([
    [{ upstream: { shutBy: 'a rag', vent: true } }],
    [{ signal: 'smoke' }],
    [{ trapped: '12 furlongs' }],
    [{ paint: 'red' }],
  ])('%j is no line', (change) => {
    const job = globe().workTo('isolate.line');
    expect(draw(job, change)).toMatchObject({ code: 'command.invalid' });
    expect(job.state.records['line-drawn']).toEqual([]);
  });
});

describe('locks', () => {
  it('hang until they are taken off, each in its place', () => {
    const job = new BenchJob().workTo('strip.match-mark');
    expect(hangingLocks(job.state).map(({ body }) => body.point)).toEqual([
      'block.upstream',
      'block.downstream',
    ]);
    job.workTo('restore.sign');
    expect(hangingLocks(job.state)).toEqual([]);
  });
  it('a point that wants a lock is not done without one', () => {
    const job = new BenchJob().workTo('isolate.block.upstream');
    expect(job.try({ kind: 'do-step', body: { step: 'isolate.block.upstream' } })).toMatchObject({
      code: 'step.wants',
    });
    for (const [lock, tag] of [
      ['', 'T'],
      ['7', ' '],
      ['7'.repeat(21), 'T'],
    ] as const)
      expect(
        job.try({ kind: 'hang-lock', body: { step: 'isolate.block.upstream', lock, tag } }),
      ).toMatchObject({ code: 'command.invalid' });
  });
  it('anybody may hang their own; a lock struck by mistake is hung again', () => {
    const job = new BenchJob().workTo('isolate.block.upstream');
    job.send({ kind: 'hang-lock', body: { step: 'isolate.block.upstream', lock: '7', tag: 'T' } }, INSPECTOR);
    expect(hangingLocks(job.state)[0]?.by.id).toBe(INSPECTOR.id);
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'wrong number' } }, INSPECTOR);
    expect(job.step('isolate.block.upstream')?.status).toBe('ready');
  });
  it('an isolation that was only checked does not count as work on the valve: the hold may be released', () => {
    const job = new BenchJob().workTo('isolate.sign');
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } });
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, INSPECTOR);
    job.workTo('hold.contact');
    expect(job.try({ kind: 'release-hold', body: { step: 'hold.contact' } }, INSPECTOR)).toBeUndefined();
  });
});

describe('tray and photographs', () => {
  it('the last word about a part counts', () => {
    const job = new BenchJob().workTo('inspect.clean');
    job.send({ kind: 'lay-part', body: { part: 'stem', lot: 'hold' } });
    job.send({ kind: 'lay-part', body: { part: 'stem', lot: 'keep' } });
    expect(job.state.records['part-laid'].map(({ body }) => body.lot)).toEqual(['hold', 'keep']);
  });
  it('a photograph is pinned to a part this valve has, with words', () => {
    const job = new BenchJob();
    const add = (part: string, caption: string) =>
      job.try({ kind: 'add-photo', body: { photo: id(7), part, caption } as never });
    expect(add('ball', 'x')).toMatchObject({ code: 'input.conflict' });
    expect(add('stem', ' ')).toMatchObject({ code: 'command.invalid' });
    expect(add('stem', 'thread, as found')).toBeUndefined();
    const [pinned] = job.state.records['photo-added'];
    expect(pinned && describeEntry(pinned, 'SI')).toBe('Photograph of the stem: thread, as found');
  });
});

describe('opening with a sheet on file', () => {
  it('puts it into the log as the third fact, and none where there is none', () => {
    const body = {
      valve: defaultValve(),
      site: new BenchJob().state.records['job-opened'][0]?.body.site,
      place: 'bare',
      reported: '',
    } as never;
    const sheet = {
      model: 'H 7',
      revision: 'C',
      figures: { stemTir: { value: { dimension: 'length', value: 4, unit: 'thou' }, page: '1' } },
    } as const;
    expect(must(openJob(body, TECHNICIAN)).map(({ kind }) => kind)).toEqual([
      'job-opened',
      'person-assigned',
    ]);
    expect(must(openJob(body, LEAD, sheet)).map(({ kind }) => kind)).toEqual([
      'job-opened',
      'person-assigned',
      'makers-sheet-filed',
    ]);
  });
});
