import { describe, expect, it } from 'vitest';
import { valueIn } from '../quantity';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { screwAdvice, screwEffectsIn, StepFacts, type Taught } from '.';

const STEP = 'setup.span';
const [LOW, HIGH] = ['travel at 5 % of the signal', 'travel at 95 % of the signal'];
const atSpan = () => new BenchJob(defaultValve('control-globe-double-seat')).workTo(STEP);
function read(job: BenchJob, low: string, high: string): BenchJob {
  for (const [what, value] of [
    [LOW, low],
    [HIGH, high],
  ] as const)
    job.send({ kind: 'take-measurement', body: { step: STEP, what, value, readBy: 'hand' } });
  return job;
}
const turn = (job: BenchJob, screw: 'zero screw' | 'span screw', by: string) =>
  job.send({ kind: 'turn-screw', body: { step: STEP, screw, by } });

describe('what the screws of a job did (handbook part 6.4: a screw moves both figures, so two effects)', () => {
  it('is a line through all the times that one of them alone was turned', () => {
    const job = read(atSpan(), '7.5 %', '90.9 %');
    read(turn(job, 'span screw', '-0.5 turn'), '7.7 %', '93.5 %');
    read(turn(job, 'zero screw', '-0.25 turn'), '5.7 %', '91.5 %');
    const effects = screwEffectsIn(job.state);
    const of = (screw: string, what: string) =>
      effects.find((each) => each.screw === screw && each.what === what)?.perTurn;
    expect(of('span screw', HIGH)).toBeCloseTo(-5.2, 9);
    expect(of('span screw', LOW)).toBeCloseTo(-0.4, 9);
    expect(of('zero screw', HIGH)).toBeCloseTo(8, 9);
  });
  it('turned together they teach nothing, and neither does what cannot be read', () => {
    const job = read(atSpan(), '7.5 %', '90.9 %');
    turn(job, 'zero screw', '0.25 turn');
    read(turn(job, 'span screw', '-0.25 turn'), '8 %', '94 %');
    expect(screwEffectsIn(job.state)).toEqual([]);
    expect(screwEffectsIn(read(turn(job, 'zero screw', '1 turn'), '8.01 %', '94.01 %').state)).toEqual([]);
  });
  it('goes before a turn of its own as a first guess, and is forgotten after it', () => {
    const job = read(atSpan(), '5 %', '92.4 %');
    const taught: Taught = (screw, what) =>
      screw === 'span screw' ? (what === HIGH ? -5.6 : -0.4) : undefined;
    const advised = () => {
      const task = job.step(STEP)?.task;
      if (task?.kind !== 'measure' || task.live?.kind !== 'stroked') throw new Error('nothing is stroked');
      const facts = new StepFacts(job.state, STEP, false);
      const found = screwAdvice(task, task.live, facts, taught);
      return found && { screw: found.screw, turns: valueIn(found.turn, 'turn') };
    };
    expect(advised()).toMatchObject({ screw: 'span screw', turns: expect.closeTo(-0.5, 6) as number });
    read(turn(job, 'span screw', '-0.5 turn'), '5.1 %', '93.5 %');
    expect(advised()?.turns).toBeCloseTo(-1.6 / 2, 9);
  });
});
