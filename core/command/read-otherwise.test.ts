import { describe, expect, it } from 'vitest';
import { readLog, type Entry, type InstrumentId, type InstrumentKind } from '../job';
import { wordCompared } from '../plan';
import { must } from '../problem';
import { BenchJob, DIAL, GAUGE } from '../testing/bench';
import { bendReadings } from '../testing/bend';
import { readOtherwise } from './read-otherwise';

/** The log with all readings of one instrument as those of another kind. */
const asKind = (log: readonly Entry[], id: string, kind: InstrumentKind): Entry[] =>
  must(
    readLog(JSON.parse(JSON.stringify(log, (_, value: unknown) => relabelled(value, id, kind))) as unknown[]),
  );

function relabelled(value: unknown, id: string, kind: InstrumentKind): unknown {
  return typeof value === 'object' &&
    value !== null &&
    'inCalibration' in value &&
    'id' in value &&
    value.id === id
    ? { ...value, kind }
    : value;
}

const doubt = (instrument: InstrumentId, off: number) => ({
  ...{ instrument, off },
  ...{ since: '2026-01-01', until: '2026-12-31' },
});

describe('readings of an instrument that was found off', () => {
  it('3 % high: a runout of 3.06 thou was 2.97, within the 3 thou of a stem to 1 in (common practice)', () => {
    const job = new BenchJob().workTo('inspect.runout').send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(1.53), readBy: DIAL },
    });
    expect(job.plan().calls.get('stem')?.verdict).not.toBe('fit');
    const off = must(readOtherwise(job.log, doubt(DIAL, 0.03)));
    expect(off.calls).toMatchObject([{ part: 'stem', would: 'fit' }]);
    expect(wordCompared({ ...off, refused: [] })[0]).toMatch(/^Stem: fit instead of /);
    expect(must(readOtherwise(job.log, doubt(DIAL, 0.001))).calls).toEqual([]);
    const before = { ...doubt(DIAL, 0.03), until: '2026-06-30' };
    expect(must(readOtherwise(job.log, before)).calls).toEqual([]);
  });
  it('3 % high on a rig: what was tested at its pressure was tested under it, and shell and seat are open again', () => {
    const job = new BenchJob().workTo('nothing');
    const log = asKind(job.log, DIAL, 'test rig');
    const off = must(readOtherwise(log, doubt(DIAL, 0.03)));
    expect(off.undone.join()).toMatch(/test/i);
    // A rig that reads low tested harder than it said: nothing of it is in doubt but what has a most.
    expect(must(readOtherwise(log, doubt(DIAL, -0.01))).undone).toEqual([]);
  });
  it('10 % high on a wrench: no click came to its setting (a click counts to 5 % under it, common practice)', () => {
    const job = new BenchJob().workTo('nothing');
    const log = asKind(job.log, DIAL, 'torque wrench');
    expect(must(readOtherwise(log, doubt(DIAL, 0.1))).undone.join()).toMatch(/bonnet/i);
    expect(must(readOtherwise(log, doubt(DIAL, 0.03))).undone).toEqual([]);
  });
  it('another instrument of the job is in no doubt', () => {
    const job = new BenchJob().workTo('nothing');
    expect(must(readOtherwise(asKind(job.log, DIAL, 'torque wrench'), doubt(GAUGE, 0.2))).undone).toEqual([]);
  });
});
