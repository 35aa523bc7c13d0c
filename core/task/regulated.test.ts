import { expect, it } from 'vitest';
import { valueIn } from '../quantity';
import { chance, regulatorRun } from '../simulation';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { regulatedAdvice, StepFacts } from '.';

const STEP = 'setup.pressure';
const FLOWING = 'outlet pressure, flowing';
const bench = (to = STEP) =>
  new BenchJob(defaultValve('regulator-self-acting'), { place: 'bare' }).workTo(to);
function taskOf(job: BenchJob, step = STEP) {
  const task = job.step(step)?.task;
  if (task?.kind !== 'measure' || task.live?.kind !== 'regulated') throw new Error('nothing is watched');
  return { task, live: task.live };
}
const read = (job: BenchJob, psi: number) =>
  job.send({
    kind: 'take-measurement',
    body: { step: STEP, what: FLOWING, value: `${psi} psig`, readBy: 'hand' },
  });
const adviceOf = (job: BenchJob) => {
  const { task, live } = taskOf(job);
  return regulatedAdvice(task, live, new StepFacts(job.state, STEP, false));
};

it('set within 2 % at a steady flow; a minute and five more are watched shut (handbook part 6.6)', () => {
  expect(bench(STEP).step(STEP)?.status).toBe('ready');
  expect(read(bench(), 30.5).step(STEP)?.status).toBe('done');
  expect(read(bench(), 30.7).step(STEP)?.status).toBe('ready');
  const { live } = taskOf(bench('test.lock-up'), 'test.lock-up');
  expect(live.reads.map(({ after }) => valueIn(after, 's'))).toEqual([60, 360]);
});
it('in its line it is read by the gauge that is there', () => {
  const job = new BenchJob(defaultValve('regulator-self-acting'), { place: 'in line' }).workTo(STEP);
  const task = job.step(STEP)?.task;
  expect(task?.kind === 'measure' && task.live).toBeFalsy();
});
it('its advice, followed, brings any regulator to its set (property)', () => {
  for (const screwOff of [-0.14, -0.05, 0.03, 0.12]) {
    const job = bench();
    let turns = 0;
    for (let round = 0; round < 7; round++) {
      const condition = { screwOff, turns, perTurn: 0.12, lockUp: 0.04, creep: 0 };
      const run = [
        ...regulatorRun(
          { wanted: taskOf(job).live.wanted, condition, outlet: 'flowing', seconds: 16 },
          chance(round),
        ),
      ];
      read(job, valueIn(run.at(-1)?.pressure ?? taskOf(job).live.wanted, 'psig'));
      const advice = adviceOf(job);
      if (!advice) break;
      const by = Math.round(valueIn(advice.turn, 'turn') * 20) / 20;
      turns += by;
      job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'adjusting screw', by: `${by} turn` } });
    }
    expect(job.step(STEP)?.status).toBe('done');
  }
});
