import { describe, expect, it } from 'vitest';
import { defaultValve } from '@dusk-wren/core/valve';
import { BenchJob, TECHNICIAN } from '@dusk-wren/core/testing/bench';
import { renderOnJob } from '../testing/on-job';
import { wordsOf } from '../testing/render';
import IsolationSheet from './IsolationSheet.vue';

describe('the isolation sheet on screen', () => {
  const page = (job: BenchJob) => renderOnJob(IsolationSheet, {}, job);
  it('a bare valve has no line to isolate, and says where its certificate is', async () => {
    const words = wordsOf(await page(new BenchJob(defaultValve(), { place: 'bare' })));
    expect(words).toContain('It came in bare');
  });
  it('lists points with their locks, energies with their rings and words', async () => {
    const job = new BenchJob().workTo('isolate.zero.downstream-pressure');
    const markup = await page(job);
    const words = wordsOf(markup);
    expect(words).toContain('Shut, lock and tag the upstream block valve');
    expect(words).toMatch(/upstream side .*0 psig proved/);
    expect(words).toMatch(/downstream side .*not proved yet/);
    expect(markup).not.toContain('role="alert"');
  });
  it('stops aloud when an energy is not gone', async () => {
    const step = 'isolate.zero.upstream-pressure';
    const job = new BenchJob().workTo(step);
    job.send({
      kind: 'take-measurement',
      body: { step, what: 'pressure upstream', value: '41 psig', readBy: 'hand' },
    });
    const markup = await page(job);
    expect(markup).toContain('role="alert"');
    expect(wordsOf(markup)).toContain('Stop. An energy was read and is not gone');
    expect(wordsOf(markup)).toContain('41 psig not gone: stop');
  });
  it('taken off, it names who took each lock off and both pairs of signatures', async () => {
    const words = wordsOf(await page(new BenchJob().workTo('release.sign')));
    expect(words).toContain('Two sign the isolation off');
    expect(words.match(new RegExp(TECHNICIAN.name, 'g'))?.length).toBeGreaterThan(8);
    expect(words).not.toContain('not signed');
    expect(words).toContain('Local codes');
  });
});
