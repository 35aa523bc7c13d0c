import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { BenchJob, DIAL } from '../testing/bench';
import { bendReadings } from '../testing/bend';
import { defaultValve, makersSheet } from '../valve';
import { byOtherSheet } from './other-sheet';

const sheet = (revision: string, stemTir: string, jointTorque = '95 ft-lb') =>
  makersSheet.parse({
    ...{ model: 'H 7', revision },
    figures: { stemTir: { value: stemTir, page: '12' }, jointTorque: { value: jointTorque, page: '31' } },
  });
const NOTHING = { calls: [], more: [], fewer: [], undone: [], other: [] };

describe('a job by another sheet of its maker’s (handbook part 3: the maker’s own figure always wins)', () => {
  const job = new BenchJob({ ...defaultValve(), plate: { model: 'H 7' } })
    .send({ kind: 'file-makers-sheet', body: { sheet: sheet('C', '9 thou') } })
    .workTo('inspect.runout');
  const readings = bendReadings(2);
  job.send({ kind: 'take-runout', body: { step: 'inspect.runout', readings, readBy: DIAL } });

  it('stands as it is where the figures are the same', () => {
    expect(must(byOtherSheet(job.log, sheet('C', '9 thou')))).toEqual(NOTHING);
  });
  it('has another call where its limit is narrower than what was read', () => {
    const { calls } = must(byOtherSheet(job.log, sheet('D', '1 thou')));
    expect(calls).toEqual([{ part: 'stem', is: 'fit', would: 'renew' }]);
  });
  it('has another torque at the joint that is to be bolted up', () => {
    const { other } = must(byOtherSheet(job.log, sheet('D', '9 thou', '120 ft-lb')));
    expect(other.join()).toMatch(/[Bb]olt|[Tt]orque/);
  });
  it('without one goes by it as if it were filed now; its own log is as it was', () => {
    const bare = new BenchJob({ ...defaultValve(), plate: { model: 'H 7' } });
    const before = bare.log.length;
    expect(must(byOtherSheet(bare.log, sheet('C', '4 thou'))).other.length).toBeGreaterThan(0);
    expect(bare.log).toHaveLength(before);
  });
});
