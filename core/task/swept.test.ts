import { describe, expect, it } from 'vitest';
import { analyseSignature, sweptEnds } from '../analysis';
import { psig, quantity, valueIn } from '../quantity';
import { actuatorOf, turnScrew, type Plant } from '../simulation';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { StepFacts, SWEPT_ENDS, sweptAdvice, type SweptEnd } from '.';

const STEP = 'setup.bench-set';
const WHAT: Readonly<Record<SweptEnd, string>> = {
  startsUp: 'start of travel, rising',
  endsUp: 'end of travel, rising',
  endsDown: 'end of travel, falling',
  startsDown: 'start of travel, falling',
};
const MOST = psig(18);
const valveOf = (tag: string) => {
  const valve = defaultValve('control-globe-double-seat');
  return {
    ...valve,
    tag,
    plate: { ...valve.plate, springRange: { low: psig(3), high: psig(15) } },
  };
};
const bench = (tag = 'FV-7') => new BenchJob(valveOf(tag), { place: 'bare' }).workTo(STEP);
function read(job: BenchJob, values: Readonly<Record<SweptEnd, number>>): BenchJob {
  for (const end of SWEPT_ENDS)
    job.send({
      kind: 'take-measurement',
      body: { step: STEP, what: WHAT[end], value: `${values[end]} psig`, readBy: 'hand' },
    });
  return job;
}
const status = (job: BenchJob) => job.step(STEP)?.status;
function adviceOf(job: BenchJob) {
  const task = job.step(STEP)?.task;
  if (task?.kind !== 'measure' || task.live?.kind !== 'swept') throw new Error('nothing is swept');
  return sweptAdvice(task, task.live, new StepFacts(job.state, STEP, false));
}

/** A sweep of 36 s as the bench makes it, read every tenth of a second. */
function swept(plant: Plant): Record<SweptEnd, number> {
  const samples = 360;
  const [time, signal, pressure, travel] = [0, 1, 2, 3].map(() => new Float64Array(samples)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < samples; i++) {
    const share = i / (samples - 1);
    plant.signal = share < 0.5 ? 2 * share : 2 - 2 * share;
    plant.run(0.1);
    [time[i], signal[i], pressure[i], travel[i]] = [i / 10, plant.signal, plant.driven, plant.travel];
  }
  const signature = analyseSignature({ time, signal, pressure, travel });
  if (typeof signature === 'string') throw new Error(signature);
  const ends = sweptEnds(signature);
  const psi = (pascal: number) =>
    Math.round(valueIn(quantity('gauge pressure', pascal, 'Pa g'), 'psig') * 100) / 100;
  return {
    startsUp: psi(ends.startsUp),
    endsUp: psi(ends.endsUp),
    endsDown: psi(ends.endsDown),
    startsDown: psi(ends.startsDown),
  };
}

describe('a bench set read by a sweep (handbook part 6.3)', () => {
  it('the mean of rising and falling is its bench set: friction alone does not put it off', () => {
    expect(status(read(bench(), { startsUp: 4, endsUp: 16, endsDown: 14, startsDown: 2 }))).toBe('done');
  });
  it('one end off by more than 5 % of its span keeps the step open, and the adjuster is asked for', () => {
    const job = read(bench(), { startsUp: 5, endsUp: 17, endsDown: 16, startsDown: 4 });
    expect(status(job)).toBe('ready');
    expect(adviceOf(job)?.screw).toBe('spring adjuster');
  });
  it('a turn forgets what was read before it, and is learned from', () => {
    const job = read(bench(), { startsUp: 5, endsUp: 17, endsDown: 16, startsDown: 4 });
    job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'spring adjuster', by: '-0.5 turn' } });
    read(job, { startsUp: 4.6, endsUp: 16.6, endsDown: 15.6, startsDown: 3.6 });
    expect(status(job)).toBe('ready');
    // 0.8 psi a turn, 1.1 psi off still.
    expect(valueIn(adviceOf(job)?.turn ?? quantity('angle', 0, 'turn'), 'turn')).toBeCloseTo(-1.1 / 0.8, 2);
  });
  it('what is swept is the spring that was put in, within 3 % of its span', () => {
    for (const psi of [0, 1, 2]) {
      const plant = actuatorOf(valveOf('FV-7'), MOST);
      const spring = valueIn(quantity('gauge pressure', plant.preload / plant.valve.area, 'Pa g'), 'psig');
      turnScrew(plant, 'adjuster', psi / 0.8);
      const ends = swept(plant);
      expect(Math.abs((ends.startsUp + ends.startsDown) / 2 - spring - psi)).toBeLessThan(0.03 * 12);
      expect(Math.abs((ends.endsUp + ends.endsDown) / 2 - spring - psi - 12)).toBeLessThan(0.03 * 12);
      expect(ends.startsUp - ends.startsDown).toBeGreaterThan(0.5);
    }
  });
  it('its advice, followed, brings any spring to its bench set (property)', () => {
    for (let seed = 0; seed < 5; seed++) {
      const job = bench(`FV-${seed}`);
      const plant = actuatorOf(valveOf(`FV-${seed}`), MOST);
      let rounds = 0;
      for (; rounds < 8 && status(read(job, swept(plant))) !== 'done'; rounds++) {
        const turns =
          Math.round(valueIn(adviceOf(job)?.turn ?? quantity('angle', 0, 'turn'), 'turn') * 20) / 20;
        job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'spring adjuster', by: `${turns} turn` } });
        turnScrew(plant, 'adjuster', turns);
      }
      expect(rounds).toBeLessThan(5);
      expect(status(job)).toBe('done');
    }
  });
});
