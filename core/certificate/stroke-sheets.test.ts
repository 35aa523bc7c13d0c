import { expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { offDrawn, strokeNotes, strokeSheets } from './stroke-sheets';

const STEP = 'setup.stroke-test';
const keep = (job: BenchJob, off: number, step = STEP) =>
  job.send({
    kind: 'keep-stroke',
    body: {
      step,
      points: [0, 50, 100].map((at) => ({ signal: `${at} %`, up: `${at} %`, down: `${at + off} %` })),
      readBy: 'hand',
    },
  });
const sheetsOf = (job: BenchJob, system: 'US' | 'SI' = 'US') => strokeSheets(job.state, job.plan(), system);
const bench = () => new BenchJob(defaultValve('control-globe-double-seat'), { place: 'bare' }).workTo(STEP);

it('the last stroke test, each point and each figure against its limit (1.5, 1, 0.5 and 0.5 %: common practice)', () => {
  const [sheet, ...others] = sheetsOf(keep(keep(bench(), 1.2), 0.4));
  expect(others).toEqual([]);
  expect(sheet?.points[1]).toEqual({ signal: '50 %', up: '50 %', down: '50.4 %' });
  expect(sheet?.verdicts.map(({ label, found, limit, fits }) => [label, found, limit, fits])).toEqual([
    ['largest error', '0.4 %', '1.5 %', true],
    ['hysteresis and dead band', '0.4 %', '1 %', true],
    ['zero', '0.2 %', '0.5 %', true],
    ['span', '0 %', '0.5 %', true],
  ]);
  expect(sheet?.simulated).toBe(false);
});
it('what is out of its limit is said to be, and drawn within its box', () => {
  const [sheet] = sheetsOf(keep(bench(), -1.2), 'SI');
  expect(sheet?.verdicts.filter(({ fits }) => !fits).map(({ label }) => label)).toEqual([
    'hysteresis and dead band',
    'zero',
  ]);
  expect(sheet?.most).toBe(1.5);
  const drawn = offDrawn(sheet?.down ?? [], sheet?.most ?? 0);
  expect(drawn.every(([, up]) => up >= 0 && up <= 3)).toBe(true);
  expect(drawn[1]?.[1]).toBeCloseTo(0.3, 9);
});
it('one that was struck is not on paper', () => {
  const job = keep(bench(), 0.4);
  job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'the wrong valve' } });
  expect(sheetsOf(job)).toEqual([]);
});

it('the one as found lies under the one as left, both within the box', () => {
  const AS_FOUND = 'diagnose.stroke';
  const job = new BenchJob(defaultValve('control-globe-double-seat'), { place: 'in line', scope: 'set-up' });
  keep(job.workTo(AS_FOUND), 4, AS_FOUND).workTo(STEP);
  const [found, left] = sheetsOf(keep(job, 0.4));
  expect(found?.was).toBeUndefined();
  expect(left?.was?.down).toEqual(found?.down);
  expect(left?.most).toBe(5);
});

it('a recording lies under the points that were read out of it, cut to the box, and is named', () => {
  const job = bench();
  const points = [0, 5, 50, 95, 100].map((at) => ({ signal: `${at} %`, up: `${at} %`, down: `${at} %` }));
  const recording = { file: 'fv-9.csv', signal: [0, 50, 100], travel: [0, 50.2, 60] };
  job.send({ kind: 'keep-stroke', body: { step: STEP, points, recording, readBy: 'hand' } });
  const [sheet] = sheetsOf(job);
  if (!sheet) throw new Error('no sheet');
  const drawn = offDrawn(sheet.recording?.off ?? [], sheet.most);
  expect(drawn).toHaveLength(3);
  expect(drawn.every(([, up]) => up >= 0 && up <= 2 * sheet.most)).toBe(true);
  expect(strokeNotes(sheet).join(' ')).toMatch(/fv-9\.csv/);
  expect(strokeNotes(sheet).join(' ')).toMatch(/judged clear of it/);
});
