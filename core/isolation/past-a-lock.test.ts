import { describe, expect, it } from 'vitest';
import { commandId, fallsWith, hangingLocks } from '../job';
import { psig, quantity } from '../quantity';
import { BenchJob, GAUGE, id, INSPECTOR, LEAD, person, TECHNICIAN } from '../testing/bench';
import { steadiness } from '.';

describe('what a signature covers', () => {
  const signed = () =>
    new BenchJob()
      .workTo('isolate.sign')
      .send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } })
      .send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, INSPECTOR);
  const strike = (job: BenchJob, entry: number, by = TECHNICIAN) =>
    job.try({ kind: 'strike-entry', body: { entry, reason: 'not so' } }, by);
  const signatures = (job: BenchJob) => job.state.records['isolation-signed'];
  const reasons = (job: BenchJob) => job.state.records['entry-struck'].map(({ body }) => body.reason);

  it.each([
    { what: 'a line', kind: 'line-drawn' },
    { what: 'a lock', kind: 'lock-hung' },
    { what: 'a proof', kind: 'measured' },
    { what: 'a step', kind: 'step-done' },
  ] as const)('strike $what and both signatures fall, and the log says so', ({ kind }) => {
    const job = signed();
    const covered = job.state.records[kind].findLast(
      ({ body }) => 'step' in body && body.step.stage === 'isolate',
    );
    expect(strike(job, covered?.seq ?? 0)).toBeUndefined();
    expect(signatures(job)).toEqual([]);
    expect(reasons(job).filter((reason) => reason.startsWith('signed on entry'))).toHaveLength(2);
    expect(job.step('isolate.sign')?.status).not.toBe('done');
    expect(job.step('strip.match-mark')?.status).toBe('waiting');
  });
  it('whoever strikes is told before which signatures fall', () => {
    const job = signed();
    const [lock] = job.state.records['lock-hung'];
    expect(lock && fallsWith(job.state, lock).map(({ by }) => by.id)).toEqual([TECHNICIAN.id, INSPECTOR.id]);
    job.send({ kind: 'add-note', body: { text: 'windy' } });
    const [note] = job.state.records['note-added'];
    expect(note && fallsWith(job.state, note)).toEqual([]);
  });
  it('in a log that struck the locks alone, a lock hung later by one person opens nothing', () => {
    // As it was stored before strikes took signatures along: the lock is struck, the signatures stand.
    const job = signed();
    const [lock] = job.state.records['lock-hung'];
    const strikeAlone = {
      ...stampAfter(job),
      kind: 'entry-struck' as const,
      format: 1,
      body: { entry: lock?.seq ?? 0, reason: 'wrong number' },
    };
    job.take(strikeAlone);
    expect(signatures(job)).toHaveLength(2);
    expect(job.step('isolate.sign')?.status).toBe('waiting');
    job.send({
      kind: 'hang-lock',
      body: { step: 'isolate.block.upstream', lock: 'new', tag: 'T 9' },
    });
    expect(job.step('isolate.sign')?.status).toBe('ready');
    expect(job.step('strip.match-mark')?.status).toBe('waiting');
  });
  it('after a fall the same two may sign again', () => {
    const job = signed();
    strike(job, job.state.records['lock-hung'].at(-1)?.seq ?? 0);
    job.workTo('isolate.sign');
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } });
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, INSPECTOR);
    expect(job.step('isolate.sign')?.status).toBe('done');
  });
  it('“checked” is never signed by whoever hung a lock or read a zero, “done” only by one who did it', () => {
    const sign = (job: BenchJob, side: 'done' | 'checked', by: typeof LEAD) =>
      job.try({ kind: 'sign-isolation', body: { step: 'isolate.sign', side } }, by);
    const hung = new BenchJob().workTo('isolate.block.upstream');
    hung.send(
      { kind: 'hang-lock', body: { step: 'isolate.block.upstream', lock: '7', tag: 'T' } },
      INSPECTOR,
    );
    hung.workTo('isolate.sign');
    expect(sign(hung, 'checked', INSPECTOR)).toMatchObject({ code: 'isolation.own-hand', what: 'lock' });
    expect(sign(hung, 'done', LEAD)).toMatchObject({ code: 'isolation.not-done-by' });
    const proof = 'isolate.zero.upstream-pressure';
    const read = new BenchJob().workTo(proof);
    read.send(
      {
        kind: 'take-measurement',
        body: { step: proof, what: 'pressure upstream', value: '0 psig', readBy: 'hand' },
      },
      LEAD,
    );
    read.workTo('isolate.sign');
    expect(sign(read, 'checked', LEAD)).toMatchObject({ code: 'isolation.own-hand', what: 'zero' });
    expect(sign(read, 'checked', INSPECTOR)).toBeUndefined();
  });
});

describe('somebody else’s lock', () => {
  const hung = () =>
    new BenchJob().workTo('isolate.block.upstream').send({
      kind: 'hang-lock',
      body: { step: 'isolate.block.upstream', lock: '7', tag: 'T' },
    });
  const strikeLock = (job: BenchJob, by: typeof LEAD) =>
    job.try({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'tidying up' } }, by);
  it('is struck off by no inspector and no technician: only by its hand, or a lead', () => {
    const job = hung();
    const other = person(9, 'technician');
    for (const by of [INSPECTOR, other])
      expect(strikeLock(job, by)).toEqual({ code: 'lock.not-yours', lock: '7', owner: TECHNICIAN.name });
    expect(strikeLock(job, LEAD)).toBeUndefined();
    expect(strikeLock(hung(), TECHNICIAN)).toBeUndefined();
  });
  it('hung before the line was drawn without its point, still has to come off before the isolation is signed off', () => {
    const job = hung();
    const line = job.state.records['line-drawn'].at(-1);
    if (!line) throw new Error('no line');
    job.send({ kind: 'strike-entry', body: { entry: line.seq, reason: 'drawn wrong' } });
    job.send({
      kind: 'draw-line',
      body: {
        step: 'isolate.line',
        line: { ...line.body.line, upstream: { shutBy: 'line shut down', vent: true } },
      },
    });
    expect(hangingLocks(job.state).map(({ body }) => body.point)).toEqual(['block.upstream']);
    const stray = job
      .plan()
      .steps.find(({ task }) => task.kind === 'unlock' && task.point === 'block.upstream');
    expect(stray?.title).toMatch(/^Lock off/);
    job.workTo('restore.sign');
    expect(hangingLocks(job.state)).toEqual([]);
  });
});

describe('a gauge that is watched', () => {
  const looks = (reads: readonly number[], apart = 1) =>
    reads.map((value, i) => ({ after: quantity('time', i * apart, 's'), reads: psig(value) }));
  it.each([
    ['a falling one is not steady', [180, 140, 109, 85, 66, 52, 40], 'moving'],
    ['the tail of a fall is not, either', [12, 9.3, 7.3, 5.7, 4.4, 3.4, 2.7], 'moving'],
    ['one that stands at 41 with its noise is', [41.2, 40.9, 41, 41.1, 40.8, 41, 41.1], 'steady'],
    ['one that stands at zero is', [0, 0, 0, 0, 0, 0, 0], 'steady'],
    ['two looks tell nothing', [0, 0], 'too soon'],
  ])('%s', (_name, reads, kind) => {
    expect(steadiness(looks(reads)).kind).toBe(kind);
  });
  it('is kept as a proof or a stop only once it stands: falling through zero proves nothing', () => {
    const proof = 'isolate.zero.upstream-pressure';
    const take = (job: BenchJob, value: string, watched?: ReturnType<typeof looks>) =>
      job.try({
        kind: 'take-measurement',
        body: {
          step: proof,
          what: 'pressure upstream',
          value,
          readBy: GAUGE,
          ...(watched ? { watched } : {}),
        },
      });
    const job = new BenchJob().workTo(proof);
    expect(take(job, '0 psig')).toMatchObject({ code: 'reading.not-steady' });
    expect(take(job, '0 psig', looks([30, 20, 12, 7, 3, 1, 0]))).toMatchObject({
      code: 'reading.not-steady',
    });
    expect(take(job, '85 psig', looks([180, 160, 140, 120, 109, 95, 85]))).toMatchObject({
      code: 'reading.not-steady',
    });
    expect(take(job, '41 psig', looks([41, 41, 41, 41, 41, 41, 41]))).toBeUndefined();
    expect(job.step(proof)?.status).toBe('ready');
    expect(take(job, '0 psig', looks([0, 0, 0, 0, 0, 0, 0]))).toBeUndefined();
    expect(job.step(proof)?.status).toBe('done');
    expect(job.state.records.measured.at(-1)?.body.steadyFor).toMatchObject({ value: 5, unit: 's' });
  });
});

/** What an entry made after the last one of this job carries. */
const stampAfter = (job: BenchJob) => ({
  seq: job.log.length + 1,
  commandId: commandId.parse(id(5000)),
  by: TECHNICIAN,
  at: '2026-11-24T08:00:00.000Z',
});
