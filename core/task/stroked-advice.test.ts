import { describe, expect, it } from 'vitest';
import { valueIn } from '../quantity';
import { BenchJob } from '../testing/bench';
import { defaultValve, type ConstructionId } from '../valve';
import { screwAdvice, StepFacts } from '.';

const MID = 'setup.mid';
const TRAVEL = 'travel at 50 % of the signal';
const [TOP, BOTTOM] = ['cylinder, top gauge', 'cylinder, bottom gauge'];
const at = (id: ConstructionId) => new BenchJob(defaultValve(id)).workTo(MID);
function read(job: BenchJob, figures: Readonly<Record<string, string>>): BenchJob {
  for (const [what, value] of Object.entries(figures))
    job.send({ kind: 'take-measurement', body: { step: MID, what, value, readBy: 'hand' } });
  return job;
}
function advice(job: BenchJob) {
  const task = job.step(MID)?.task;
  if (task?.kind !== 'measure' || task.live?.kind !== 'stroked') throw new Error('nothing is stroked here');
  const found = screwAdvice(task, task.live, new StepFacts(job.state, MID, false));
  return (
    found && {
      screw: found.screw,
      turns: Number(valueIn(found.turn, 'turn').toFixed(6)),
      comesTo: found.comesTo,
    }
  );
}
const turn = (job: BenchJob, screw: 'zero screw' | 'relay nozzle', by: string) =>
  job.send({ kind: 'turn-screw', body: { step: MID, screw, by } });

describe('at half of the signal (handbook part 6.4)', () => {
  it('says nothing before anything is read, and nothing once it stands at half', () => {
    expect(advice(at('control-globe-double-seat'))).toBeUndefined();
    expect(advice(read(at('control-globe-double-seat'), { [TRAVEL]: '51 %' }))).toBeUndefined();
  });
  it('zero by a quarter turn to see, then by what it did', () => {
    const job = read(at('control-globe-double-seat'), { [TRAVEL]: '44 %' });
    expect(advice(job)).toMatchObject({ screw: 'zero screw', turns: 0.25, comesTo: [] });
    read(turn(job, 'zero screw', '0.25 turn'), { [TRAVEL]: '46 %' });
    expect(advice(job)).toMatchObject({ screw: 'zero screw', turns: 0.5, comesTo: [{ value: 50 }] });
  });
  it('on a cylinder the nozzle after it, by both gauges against three quarters of supply (from memory)', () => {
    const job = read(at('control-ball-in-venturi'), {
      supply: '80 psig',
      [TOP]: '50 psig',
      [BOTTOM]: '50 psig',
      [TRAVEL]: '50.5 %',
    });
    expect(job.step(MID)?.status).toBe('ready');
    expect(advice(job)).toMatchObject({ screw: 'relay nozzle', turns: 0.25 });
    read(turn(job, 'relay nozzle', '0.25 turn'), {
      [TOP]: '52 psig',
      [BOTTOM]: '52 psig',
      [TRAVEL]: '50.4 %',
    });
    expect(advice(job)).toMatchObject({ screw: 'relay nozzle', turns: 1 });
    read(turn(job, 'relay nozzle', '1 turn'), { [TOP]: '59 psig', [BOTTOM]: '61 psig', [TRAVEL]: '50.3 %' });
    expect(job.step(MID)?.status).toBe('done');
  });
});
