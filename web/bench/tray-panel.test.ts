import { describe, expect, it } from 'vitest';
import { defaultValve } from '@dusk-wren/core/valve';
import { BenchJob, id, LEAD, TECHNICIAN } from '@dusk-wren/core/testing/bench';
import { renderOnJob } from '../testing/on-job';
import { attributes, wordsOf } from '../testing/render';
import JobTools from './JobTools.vue';
import TrayPanel from './TrayPanel.vue';

const JOB = '00000000-0000-4000-8000-00000000aaaa';

describe('the tray', () => {
  it('before anything is off it says so', async () => {
    const words = wordsOf(await renderOnJob(TrayPanel, {}, new BenchJob()));
    expect(words).toContain('Nothing is off yet.');
  });
  it('lists what is off in its order, with its number on the drawing and what becomes of it', async () => {
    const job = new BenchJob().workTo('inspect.clean');
    job.send({ kind: 'lay-part', body: { part: 'bonnet gasket', lot: 'discard' } });
    const markup = await renderOnJob(TrayPanel, {}, job);
    const groups = attributes(markup, 'aria-label').filter((label) => label.startsWith('What becomes'));
    expect(groups.length).toBeGreaterThan(8);
    const gasket = markup.slice(markup.indexOf('What becomes of the bonnet gasket'));
    expect(/aria-pressed="true"[^>]*>\s*discard/.test(gasket.slice(0, 900))).toBe(true);
  });
  it('hands over: who has it, what is loose, whose locks hang', async () => {
    const job = new BenchJob().workTo('inspect.clean');
    const words = wordsOf(await renderOnJob(TrayPanel, {}, job));
    expect(words).toContain(`with ${TECHNICIAN.name}`);
    expect(words).toContain('Loose: not torqued yet');
    expect(words).toMatch(/Locks hanging: lock .*Shut, lock and tag the upstream block valve/);
    expect(words).not.toContain('I take over');
  });
  it('another person may take it over', async () => {
    const words = wordsOf(await renderOnJob(TrayPanel, {}, new BenchJob(), LEAD));
    expect(words).toContain('I take over');
  });
  it('shows its photographs with words for who cannot see them', async () => {
    const job = new BenchJob();
    job.send({ kind: 'add-photo', body: { photo: id(5), part: 'stem', caption: 'thread, as found' } });
    const markup = await renderOnJob(TrayPanel, {}, job);
    expect(attributes(markup, 'alt')).toEqual(['stem: thread, as found']);
    expect(attributes(markup, 'src')).toEqual([`/api/jobs/${JOB}/photos/${id(5)}`]);
    expect(attributes(markup, 'href')).toContain(`/api/jobs/${JOB}/photos.zip`);
    expect(attributes(markup, 'accept')).toEqual(['image/png,image/jpeg,image/webp']);
  });
  it('a caption that looks like a page is words', async () => {
    const job = new BenchJob();
    const caption = '<img src=x onerror=alert(1)>';
    job.send({ kind: 'add-photo', body: { photo: id(5), caption } });
    const markup = await renderOnJob(TrayPanel, {}, job);
    expect(markup).not.toContain('<img src=x');
    expect(markup).toContain('&lt;img src=x');
  });
});

describe('what can be done with the job as a whole', () => {
  it('in its line it has an isolation sheet; bare it has none', async () => {
    const inLine = wordsOf(await renderOnJob(JobTools, {}, new BenchJob()));
    expect(inLine).toContain('Isolation');
    const bare = wordsOf(await renderOnJob(JobTools, {}, new BenchJob(defaultValve(), { place: 'bare' })));
    expect(bare).not.toContain('Isolation');
    expect(bare).toContain('Job sheet');
  });
});
