import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { broughtBack } from '.';

describe('what a strike brings back', () => {
  it('the step itself, and the signatures that rested on it; nothing that stands without it', () => {
    const job = new BenchJob().workTo('strip.match-mark');
    const before = job.plan();
    const zero = job.log.findLast(
      (entry) => entry.kind === 'measured' && entry.body.step.id.startsWith('isolate.zero'),
    );
    job.send({ kind: 'strike-entry', body: { entry: zero?.seq ?? 0, reason: 'read on the wrong gauge' } });
    const back = broughtBack(before, job.plan()).map(({ id }) => id);
    expect(
      back.some((id) => id.startsWith('isolate.zero')),
      String(back),
    ).toBe(true);
    expect(back).toContain('isolate.sign');
    expect(back).not.toContain('isolate.line');
  });
  it('nothing, where nothing was struck', () => {
    const job = new BenchJob().workTo('strip.match-mark');
    expect(broughtBack(job.plan(), job.plan())).toEqual([]);
  });
});
