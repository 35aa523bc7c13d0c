import { describe, expect, it } from 'vitest';
import { BenchJob, DIAL, LEAD } from '../testing/bench';
import { bendReadings } from '../testing/bend';
import { placeOf, rememberedByReads, standingEntries, valveOf, type JobState } from '.';

/** Work that is counted. */
function counted<T>(work: (state: JobState) => T) {
  let times = 0;
  const remembered = rememberedByReads((state) => {
    times += 1;
    return work(state);
  });
  return { remembered, times: () => times };
}

describe('work on a state', () => {
  it('is not done again while nothing that it looked at has changed', () => {
    const { remembered, times } = counted((state) => [valveOf(state)?.tag, placeOf(state)]);
    const job = new BenchJob();
    const before = remembered(job.state);
    job.send({ kind: 'add-note', body: { text: 'a note is nothing to a plate' } });
    expect(remembered(job.state)).toBe(before);
    expect(times()).toBe(1);
    job.send({ kind: 'identify-valve', body: { details: { serial: 'A 1' } } });
    expect(remembered(job.state)).not.toBe(before);
    expect(times()).toBe(2);
  });
  it('is done again when a fact that it looked at is struck', () => {
    const { remembered } = counted((state) => state.records['note-added'].map(({ body }) => body.text));
    const job = new BenchJob().send({ kind: 'add-note', body: { text: 'a' } });
    expect(remembered(job.state)).toEqual(['a']);
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'a slip' } }, LEAD);
    expect(remembered(job.state)).toEqual([]);
  });
  it('that looks at everything, or at how long the log is, is done again at every entry', () => {
    const all = counted((state) => standingEntries(state).length);
    const long = counted(({ version }) => version);
    const job = new BenchJob();
    for (let i = 0; i < 3; i++) {
      expect(all.remembered(job.state)).toBe(job.log.length);
      expect(long.remembered(job.state)).toBe(job.log.length);
      job.send({ kind: 'add-note', body: { text: `note ${i}` } });
    }
    expect([all.times(), long.times()]).toEqual([3, 3]);
  });
  it('of one job is no answer for another', () => {
    const { remembered } = counted((state) => valveOf(state)?.tag);
    const [one, other] = ['V-1', 'V-2'].map((tag) => new BenchJob({ ...new BenchJob().plan().valve, tag }));
    expect([one, other].map((job) => job && remembered(job.state))).toEqual(['V-1', 'V-2']);
  });
});

describe('a plan that is composed again only where it must be', () => {
  it('is the plan that a job comes to from scratch, after any entry', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(8), readBy: DIAL },
    });
    for (let i = 0; i < 12; i++) {
      const step = job.plan().inHand;
      if (!step) break;
      job.work(step);
      // Folded anew, nothing of it is remembered.
      const fresh = new BenchJob();
      fresh.state = {
        ...job.state,
        records: { ...job.state.records, 'job-opened': [...job.state.records['job-opened']] },
      };
      expect(fresh.plan()).toEqual(job.plan());
    }
  });
});
