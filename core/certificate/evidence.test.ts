import { describe, expect, it } from 'vitest';
import { BenchJob, LEAD } from '../testing/bench';
import { evidence } from '.';

const seen = (job: BenchJob) => evidence(job.state, job.log, job.plan(), 'US');

describe('what an inspector sees before a hold is released (common practice: nobody signs for what is not shown)', () => {
  const ground = () => {
    const job = new BenchJob(undefined, { place: 'bare' }).workTo('inspect.blue');
    job.blue('inspect.blue', 300);
    return job;
  };
  it('the blue line as it was found, and beside it as it is left after the work', () => {
    const job = ground();
    const [as] = seen(job).rings;
    expect(as?.contact).toMatch(/disc/);
    expect(as?.found).toMatchObject({ passes: false, arcs: [{ from: 0, to: 300, width: 1 }] });
    expect(as?.left).toBeUndefined();
    job.workTo('hold.contact');
    const [after] = seen(job).rings;
    expect(after?.found?.passes).toBe(false);
    expect(after?.left?.passes).toBe(true);
  });
  it('calls that are not fit and those that were overruled; never one that is simply fit', () => {
    const job = ground().workTo('hold.contact');
    for (const { verdict, overruled } of seen(job).calls) expect(verdict !== 'fit' || overruled).toBeTruthy();
    const renewed = seen(job).calls.find(({ part }) => part === 'packing');
    expect(renewed?.verdict).toBe('renew');
    job.send(
      { kind: 'overrule-call', body: { part: 'packing', verdict: 'fit', reason: 'packed last week' } },
      LEAD,
    );
    expect(seen(job).calls.find(({ part }) => part === 'packing')?.overruled).toContain(LEAD.name);
  });
  it('the runout of the stem beside its limit', () => {
    const [runout] = seen(ground()).figures;
    expect(runout).toMatchObject({ what: 'stem runout, TIR', meets: true });
    expect(runout?.limit).toMatch(/thou/);
  });
  it('every test that was run with its reading beside its allowance, and what was struck with its reason', () => {
    const job = new BenchJob(undefined, { place: 'bare' }).workTo('hold.test');
    const { tests } = seen(job);
    expect(tests.length).toBeGreaterThan(0);
    for (const test of tests) expect([test.passed, test.allowed !== '']).toEqual([true, true]);
    const last = job.log.findLast(({ kind }) => kind === 'pressure-tested');
    job.send({ kind: 'strike-entry', body: { entry: last?.seq ?? 0, reason: 'gauge out of date' } });
    expect(seen(job).struck.join()).toMatch(/gauge out of date/);
  });
});
