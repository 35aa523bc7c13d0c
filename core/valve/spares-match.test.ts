import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { defaultValve, matchSpares, mismatches, type Valve } from '.';

const valve: Valve = { ...defaultValve('check-recirculation'), plate: { sizeCode: '77-B', model: 'R 4' } };

describe('spares against the plate (handbook part 1: before it leaves the line)', () => {
  it('insert and valve must carry the same order key (handbook part 2, check-recirculation)', () => {
    const lines = matchSpares(valve, [{ what: 'insert', code: '77-C' }]);
    expect(mismatches(lines)).toEqual(['insert: code 77-C, the plate says 77-B']);
    expect(mismatches(matchSpares(valve, [{ what: 'insert', code: '77 b' }]))).toEqual([]);
  });
  it.each([
    [{ what: 'kit', construction: 'ball-three-piece' }, /construction/],
    [{ what: 'kit', nps: 1 }, /size NPS 1/],
    [{ what: 'torque sheet', pressureClass: 2500 }, /class 2500/],
    [{ what: 'parts list', model: 'R 5' }, /model R 5, the plate says R 4/],
  ] as const)('%j is a mismatch, with the reason', (laid, words) => {
    expect(mismatches(matchSpares(valve, [laid])).join()).toMatch(words);
  });
  it('what the plate does not say cannot be compared, and says so', () => {
    const [line] = matchSpares({ ...valve, plate: {} }, [{ what: 'insert', code: '77-B' }]);
    expect(line?.verdict).toBe('not on the plate');
  });
  it('a mismatch is kept and holds the job at receiving until it is laid out rightly', () => {
    const job = new BenchJob(valve).workTo('receive.spares');
    const lay = (code: string) =>
      job.send({ kind: 'match-spares', body: { step: 'receive.spares', laid: [{ what: 'insert', code }] } });
    lay('77-C');
    expect(job.step('receive.spares')?.status).toBe('ready');
    expect(job.try({ kind: 'do-step', body: { step: 'receive.spares' } })).toMatchObject({
      code: 'step.wants',
    });
    expect(job.step('strip.cover-bolts')?.status ?? 'waiting').toBe('waiting');
    lay('77-B');
    expect(job.step('receive.spares')?.status).toBe('done');
    expect(job.state.records['spares-matched']).toHaveLength(2);
  });
});
