import { expect, it } from 'vitest';
import { BenchJob, DIAL } from '../testing/bench';
import { defaultValve } from '../valve';
import { keptCurves } from './kept-curves';

const STEP = 'test.pops';
const keep = (job: BenchJob, what: string, pop: number) =>
  job.send({
    kind: 'keep-curve',
    body: { step: STEP, what, seconds: [0, 10, 10.5], psig: [0, pop, pop * 0.93], readBy: DIAL },
  });

it('the last curve of each figure, laid over the others of its step, in the reader’s unit', () => {
  const job = new BenchJob(defaultValve('relief-spring')).workTo(STEP);
  keep(keep(keep(job, 'first pop', 262), 'first pop', 250), 'second pop', 251);
  const [us, ...others] = keptCurves(job.state, 'US');
  expect(others).toEqual([]);
  expect(us).toMatchObject({ step: 'Three consistent pops', unit: 'psig', most: 300, seconds: 10.5 });
  expect(us?.curves.map(({ what, points }) => [what, points[1]?.[1]])).toEqual([
    ['first pop', 250],
    ['second pop', 251],
  ]);
  const [si] = keptCurves(job.state, 'SI');
  expect(si?.unit).not.toBe('psig');
  expect(si?.curves[0]?.points[1]?.[1]).not.toBeCloseTo(250, 0);
});
it('one that was read out of a recording names its file', () => {
  const job = keep(new BenchJob(defaultValve('relief-spring')).workTo(STEP), 'first pop', 250);
  const curve = { step: STEP, what: 'second pop', seconds: [0, 10], psig: [0, 251], readBy: 'hand' };
  job.send({ kind: 'keep-curve', body: { ...curve, file: 'rig 7.csv' } });
  const [kept] = keptCurves(job.state, 'US');
  expect(kept?.curves.map(({ simulated, file }) => [simulated, file])).toEqual([
    [true, undefined],
    [false, 'rig 7.csv'],
  ]);
});
it('a curve that was struck is not on paper', () => {
  const job = keep(new BenchJob(defaultValve('relief-spring')).workTo(STEP), 'first pop', 262);
  job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'the wrong valve' } });
  expect(keptCurves(job.state, 'US')).toEqual([]);
});
