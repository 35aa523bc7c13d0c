import { describe, expect, it } from 'vitest';
import type { Entry } from '../job';
import frozen from '../job/samples/frozen-2026-11-26.json';
import { readLog } from '../job';
import { must } from '../problem';
import { BenchJob, DIAL, GAUGE, INSPECTOR, LEAD, TECHNICIAN } from '../testing/bench';
import { bendReadings } from '../testing/bend';
import { CONSTRUCTION_IDS, defaultValve } from '../valve';
import { replay } from '.';

const codes = (log: readonly Entry[]) => replay(log).map(({ problem }) => problem.code);

describe('a log from elsewhere, asked again entry by entry', () => {
  it('a whole job as it was worked here would have been taken, all of it', () => {
    const job = new BenchJob().workTo('inspect.runout').send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(6), readBy: DIAL },
    });
    job.workTo('nothing');
    expect(job.state.records['certificate-signed']).toHaveLength(1);
    expect(job.state.records['part-arrived']).toHaveLength(1);
    expect(replay(job.log)).toEqual([]);
  });
  it.each(CONSTRUCTION_IDS.filter((_, i) => i % 4 === 0))('%s too, from receipt to certificate', (id) => {
    expect(replay(new BenchJob(defaultValve(id)).workTo('nothing').log)).toEqual([]);
  });
  it('a strike and all that fell with it is one command', () => {
    const job = new BenchJob()
      .workTo('isolate.sign')
      .send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } })
      .send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, INSPECTOR);
    const lock = job.state.records['lock-hung'][0]?.seq ?? 0;
    job.send({ kind: 'strike-entry', body: { entry: lock, reason: 'wrong number' } });
    expect(job.log.filter(({ kind }) => kind === 'entry-struck')).toHaveLength(3);
    expect(replay(job.log)).toEqual([]);
    const withoutFalls = job.log.slice(0, -2);
    expect(codes(withoutFalls)).toEqual(['entry.unfounded']);
  });
  it('a gauge watched to a stand is taken as watched', () => {
    const proof = 'isolate.zero.upstream-pressure';
    const watched = Array.from({ length: 7 }, (_, i) => ({ after: `${i} s`, reads: '0 psig' }));
    const job = new BenchJob().workTo(proof).send({
      kind: 'take-measurement',
      body: { step: proof, what: 'pressure upstream', value: '0 psig', readBy: GAUGE, watched },
    });
    expect(replay(job.log)).toEqual([]);
  });
});

describe('what was made up', () => {
  const forged = (job: BenchJob, ...more: object[]): Entry[] =>
    must(
      readLog([
        ...job.log,
        ...more.map((each, i) => ({
          seq: job.log.length + 1 + i,
          format: 1,
          commandId: `00000000-0000-4000-8000-00000009${String(i).padStart(4, '0')}`,
          at: '2026-11-24T08:00:00.000Z',
          ...each,
        })),
      ]),
    );
  const step = (id: string, stage: string) => ({ id, title: id, stage });

  it('a certificate on an empty job, a hold by a technician, a note after the end', () => {
    const job = new BenchJob();
    const log = forged(
      job,
      { kind: 'hold-released', by: TECHNICIAN, body: { step: step('hold.test', 'test') } },
      {
        kind: 'certificate-signed',
        by: INSPECTOR,
        body: { step: step('release.sign', 'release'), nextDue: '2030-01-01' },
      },
      { kind: 'note-added', by: LEAD, body: { text: 'and another thing' } },
    );
    expect(codes(log)).toEqual(['hold.wrong-role', 'step.waits', 'job.released']);
  });
  it('a strike of an entry that does not exist, a step that is on no plan', () => {
    const log = forged(
      new BenchJob(),
      { kind: 'entry-struck', by: LEAD, body: { entry: 4000, reason: 'never was' } },
      { kind: 'step-done', by: LEAD, body: { step: step('fly', 'strip') } },
    );
    expect(codes(log)).toEqual(['entry.unknown', 'step.unknown']);
  });
  it('a lapsed instrument that calls itself good', () => {
    const job = new BenchJob().workTo('inspect.runout');
    const readings = Array.from({ length: 8 }, () => ({ dimension: 'length', value: 0, unit: 'thou' }));
    const readBy = {
      id: DIAL,
      name: 'Dial 2',
      kind: 'dial indicator',
      simulated: false,
      calibrationDue: '2026-01-01',
      inCalibration: true,
    };
    const log = forged(job, {
      kind: 'runout-taken',
      by: TECHNICIAN,
      body: {
        step: { id: 'inspect.runout', title: job.step('inspect.runout')?.title, stage: 'inspect' },
        readings,
        readBy,
      },
    });
    expect(codes(log)).toEqual(['entry.unfounded']);
  });
  it('the frozen log of an old version is read to its end, whatever is said of it', () => {
    const log = must(readLog(frozen));
    expect(replay(log).every(({ seq }) => log.some((entry) => entry.seq === seq))).toBe(true);
  });
});
