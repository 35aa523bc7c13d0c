import { describe, expect, it } from 'vitest';
import { jobLine, type JobLine } from '@dusk-wren/contract';
import { CONSTRUCTION_IDS, defaultValve, partsOf, type ConstructionId } from '@dusk-wren/core/valve';
import { psig } from '@dusk-wren/core/quantity';
import { fetchList } from '@dusk-wren/core/stock';
import { bendReadings } from '@dusk-wren/core/testing/bend';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { JOB, renderOnJob } from '../testing/on-job';
import { attributes, wordsOf } from '../testing/render';
import CertificatePage from './CertificatePage.vue';
import FetchPage from './FetchPage.vue';
import FloorRow from '../parts/FloorRow.vue';
import LabelsPage from './LabelsPage.vue';

const on = (construction: ConstructionId = 'globe-bolted') => new BenchJob(defaultValve(construction));

describe('the fetch list', () => {
  const page = (job: BenchJob) => renderOnJob(FetchPage, { id: JOB }, job);
  it('has every thing once, in its group, and says which step wants it', async () => {
    const job = on();
    const words = wordsOf(await page(job));
    const list = fetchList(job.plan());
    for (const { what } of [...list.parts, ...list.tools, ...list.wrenches]) expect(words).toContain(what);
    for (const group of ['New parts', 'Wrenches', 'Gauges', 'Tools', 'Consumables'])
      expect(words).toContain(group);
  });
  it('each thing is a box to tick, with its words as its label', async () => {
    const job = on('control-balanced-cage');
    const markup = await page(job);
    const { parts, wrenches, gauges, tools, consumables } = fetchList(job.plan());
    const things = [parts, wrenches, gauges, tools, consumables].flat();
    expect(markup.match(/<label[^>]*><input type="checkbox"/g)).toHaveLength(things.length);
  });
  it.each(CONSTRUCTION_IDS)('%s: what is always renewed and comes off is on it', async (id) => {
    const job = on(id);
    const words = wordsOf(await page(job));
    const renewed = partsOf(job.plan().valve).filter(
      ({ policy, stays }) => policy === 'renew always' && !stays,
    );
    for (const { name } of renewed) expect(words).toContain(name);
  });
});

describe('tray labels', () => {
  it('one a part, numbered in the order they come off, each with its own code', async () => {
    const job = on();
    const markup = await renderOnJob(LabelsPage, { id: JOB }, job);
    const codes = attributes(markup, 'd').filter((path) => path.includes('h1v1h-1z'));
    const off = job.plan().steps.flatMap((step) => (step.stage === 'strip' ? step.off : []));
    expect(codes).toHaveLength(new Set(off).size);
    expect(new Set(codes).size).toBe(codes.length);
    expect(wordsOf(markup)).toContain(`Tray labels, ${job.plan().valve.tag}`);
  });
});

describe('the certificate on screen', () => {
  const page = (job: BenchJob) => renderOnJob(CertificatePage, { id: JOB }, job);
  it('before it is signed it is a draft, and says so', async () => {
    const words = wordsOf(await page(on().workTo('inspect.runout')));
    expect(words).toContain('Draft: not signed yet.');
    expect(words).not.toContain('Signed by');
  });
  it('signed, it has the name, the next due date and both tests', async () => {
    const job = on().workTo('nothing');
    const words = wordsOf(await page(job));
    expect(words).toMatch(/Signed by .*Next due/);
    expect(words).toMatch(/shell/i);
    expect(words).toMatch(/seat/i);
    expect(words).not.toContain('Draft');
  });
  it('a bent stem stands with its figure and what was done about it', async () => {
    const job = on().workTo('inspect.runout');
    const readings = bendReadings(9);
    job.send({ kind: 'take-runout', body: { step: 'inspect.runout', readings, readBy: 'hand' } });
    const words = wordsOf(await page(job));
    expect(words).toMatch(/stem/);
    expect(words).toMatch(/renew/);
    expect(words).toMatch(/thou/);
  });
  it('its PDF is asked for in the units shown', async () => {
    const [href] = attributes(await page(on()), 'href').filter((each) => each.includes('.pdf'));
    expect(href).toBe(`/api/jobs/${JOB}/certificate.pdf?units=US`);
  });
});

describe('a job on the floor', () => {
  const LINE = jobLine.parse({
    id: JOB,
    valveId: '00000000-0000-4000-8000-00000000bbbb',
    openedAt: '2026-11-20T08:00:00.000Z',
    tag: 'HV-7',
    serial: null,
    construction: 'globe, bolted bonnet',
    size: 'NPS 3 class 600',
    customer: 'Sugar refinery',
    location: 'Evaporator 2',
    due: '2026-12-01',
    readyBy: '2026-12-03',
    summary: {
      state: 'open',
      stage: 'inspect',
      travel: 4.5,
      holds: [{ at: 5.5, released: false }],
      inHand: 'Runout of the stem',
      remainingMinutes: 300,
    },
  });
  const row = (changes: Partial<JobLine['summary']> = {}, late = false) =>
    renderOnJob(FloorRow, { job: { ...LINE, summary: { ...LINE.summary, ...changes } }, late }, on());
  it('is a link to its bench: who it is, what is in hand, when it is due', async () => {
    const markup = await row();
    expect(attributes(markup, 'href')).toEqual([`/jobs/${JOB}`]);
    expect(wordsOf(markup)).toMatch(/HV-7 .*NPS 3 class 600 .*Runout of the stem .*nobody/);
  });
  it('late is said, not only coloured', async () => {
    expect(wordsOf(await row({}, true))).toMatch(/late: ready/);
    expect(wordsOf(await row())).not.toContain('late');
  });
  it.each([
    [{ kind: 'pressure', shown: psig(45) }, 'Not at zero: 45 psig', 'condemn'],
    [{ kind: 'hold', step: 'Hold: contact and calls' }, 'Hold: contact and calls', 'ask'],
    [{ kind: 'ask', part: 'stem', reason: 'blue tint' }, 'Ask: stem, blue tint', 'ask'],
    [{ kind: 'part', part: 'stem' }, 'Waits: stem', 'renew'],
  ] as const)('stopped by %j: that takes the place of the step in hand', async (blocked, text, edge) => {
    const markup = await row({ blocked });
    expect(wordsOf(markup)).toContain(text);
    expect(wordsOf(markup)).not.toContain('Runout of the stem');
    expect(attributes(markup, 'class').some((each) => each.split(' ').includes(edge))).toBe(true);
  });
});
