import { describe, expect, it } from 'vitest';
import { jobOfFile } from './job-of-file';

const open = ['PV-10', 'PV-10-A', 'pv 101', 'Ω/7'].map((tag) => ({ id: `job of ${tag}`, tag }));

describe('the job that a file of a rig is of', () => {
  it.each([
    ['PV-10.csv', 'PV-10'],
    ['pv10 stroke.csv', undefined],
    ['pv_10_2026-11-29.CSV', 'PV-10'],
    ['PV 10 A stroke.csv', 'PV-10-A'],
    ['PV-10-Astroke.csv', 'PV-10'],
    ['PV-101 (2).csv', 'pv 101'],
    ['PV-1012.csv', undefined],
    ['stroke of PV-10.csv', undefined],
    ['ω_7.csv', 'Ω/7'],
    ['.csv', undefined],
    ['', undefined],
  ])('%s: %s', (file, tag) => {
    expect(jobOfFile(file, open)).toEqual(
      tag === undefined ? { is: 'none' } : { is: 'job', id: `job of ${tag}` },
    );
  });
  it('is said to be of none where two open jobs have its tag', () => {
    const two = [...open, { id: 'of another works', tag: 'PV 10' }];
    expect(jobOfFile('PV-10.csv', two)).toEqual({ is: 'several', tag: 'PV-10' });
  });
  it('a tag without letters or digits is of no file', () => {
    expect(jobOfFile('anything.csv', [{ id: 'job', tag: '—' }])).toEqual({ is: 'none' });
  });
});
