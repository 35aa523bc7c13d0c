import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { certificate } from '.';

const paperOf = (job: BenchJob, system: 'US' | 'SI' = 'US') => {
  const paper = certificate(job.state, job.log, system);
  if (!paper) throw new Error('no job');
  return paper;
};
const SPRUNG = defaultValve('control-globe-double-seat');

describe('the first page (a valve set, tested and signed for, in half a minute)', () => {
  it('has the contact as found and as left, the runout, every test and what was renewed', () => {
    const job = new BenchJob(undefined, { place: 'bare' }).workTo('inspect.blue');
    job.blue('inspect.blue', 300);
    const { glance } = paperOf(job.workTo('hold.test'));
    const [contact, runout] = glance.figures;
    expect(contact?.what).toMatch(/^contact/);
    expect(contact?.found).toMatch(/broken/);
    expect(contact?.left).toMatch(/fit/);
    expect(runout).toMatchObject({ what: 'stem runout, TIR', meets: true });
    expect(glance.tests.map(({ passed }) => passed)).toEqual([true, true, true]);
    expect(glance.renewed).toContain('packing');
  });
  it('a stroke has its figures as found beside those as left, and its limits', () => {
    const stroke = (job: BenchJob, step: string, off: number) =>
      job.send({
        kind: 'keep-stroke',
        body: {
          step,
          points: [0, 50, 100].map((at) => ({ signal: `${at} %`, up: `${at} %`, down: `${at + off} %` })),
          readBy: 'hand',
        },
      });
    const job = new BenchJob(SPRUNG, { place: 'in line' }).workTo('diagnose.stroke');
    stroke(job, 'diagnose.stroke', 3);
    stroke(job.workTo('setup.stroke-test'), 'setup.stroke-test', 0.4);
    const figures = new Map(paperOf(job).glance.figures.map(({ what, ...rest }) => [what, rest]));
    expect(figures.get('stroke test, largest error')).toEqual({
      found: '3 %',
      left: '0.4 %',
      limit: '1.5 %',
      meets: true,
    });
  });
  it('a figure that was only read again after locking stands once, and so in the list as left', () => {
    const job = new BenchJob(SPRUNG, { place: 'bare' }).workTo('setup.stroke-test');
    const { glance, asLeft } = paperOf(job);
    for (const lines of [glance.figures.map(({ what }) => what), asLeft.map((line) => line.split(':')[0])])
      expect(lines.filter((what) => what === 'travel at 5 % of the signal')).toHaveLength(1);
  });
  it('says what there is no room for', () => {
    const { glance } = paperOf(new BenchJob(SPRUNG, { place: 'bare' }).workTo('hold.test'));
    expect(glance.figures).toHaveLength(14);
    expect(glance.more).toBeGreaterThan(0);
  });
});
