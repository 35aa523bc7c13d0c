import { describe, expect, it } from 'vitest';
import { psig } from '../quantity';
import { BenchJob } from '../testing/bench';
import { defaultValve, type ConstructionId } from '../valve';

/** A job at the step that is asked about, all before it done soundly. */
const at = (construction: ConstructionId, step: string, plate = {}): BenchJob => {
  const valve = defaultValve(construction);
  return new BenchJob({ ...valve, plate: { ...valve.plate, ...plate } }).workTo(step);
};

/** Reads figures in the order that the step asks for them; whether that finished it. */
function reads(job: BenchJob, step: string, figures: readonly string[]): boolean {
  const task = job.step(step)?.task;
  if (task?.kind !== 'measure') throw new Error(`${step} measures nothing`);
  task.asks.forEach(({ what, example }, i) => {
    const value = figures[i] ?? example;
    job.send({ kind: 'take-measurement', body: { step, what, value, readBy: 'hand' } });
  });
  return job.step(step)?.status === 'done';
}

describe('a joint comes down even (handbook part 6.7: largest less smallest within 5 thou)', () => {
  it.each([
    [['62 thou', '60 thou', '58 thou', '61 thou'], true],
    [['65 thou', '60 thou', '60 thou', '60 thou'], true],
    [['66 thou', '60 thou', '60 thou', '60 thou'], false],
    [['0 in', '0 in', '0 in', '0 in'], true],
  ])('%j: %s', (gaps, even) => {
    expect(reads(at('globe-bolted', 'rebuild.joint-gap'), 'rebuild.joint-gap', gaps)).toBe(even);
  });
  it('put right and taken again, it goes on', () => {
    const job = at('check-swing', 'rebuild.joint-gap');
    expect(reads(job, 'rebuild.joint-gap', ['70 thou', '60 thou', '60 thou', '60 thou'])).toBe(false);
    const again = { step: 'rebuild.joint-gap', what: 'gap of the cover at 12 o’clock', value: '61 thou' };
    job.send({ kind: 'take-measurement', body: { ...again, readBy: 'hand' } });
    expect(job.step('rebuild.joint-gap')?.status).toBe('done');
  });
});

it.each([
  [['0.25 in', '0.262 in'], true],
  [['0.25 in', '0.27 in'], false],
])('a gland stands square: %j, %s (handbook part 6.7: within 1/64 in)', (gaps, square) => {
  expect(reads(at('globe-bolted', 'setup.gland'), 'setup.gland', gaps)).toBe(square);
});

describe('the ends of a bench set (handbook part 6.3: 5 % of its span or half a psi, whichever is more)', () => {
  const range = (low: number, high: number) => ({ springRange: { low: psig(low), high: psig(high) } });
  it.each([
    [range(3, 15), ['3.5 psig', '14.5 psig'], true],
    [range(3, 15), ['3.7 psig', '15 psig'], false],
    [range(3, 15), ['3 psig', '15.7 psig'], false],
    [range(6, 30), ['7.1 psig', '28.9 psig'], true],
    [range(6, 30), ['7.3 psig', '30 psig'], false],
    [range(3, 15), ['0.2 bar', '1 bar'], true],
  ])('%j read %j: %s', (plate, ends, set) => {
    const job = at('control-globe-double-seat', 'setup.bench-set', plate);
    expect(reads(job, 'setup.bench-set', ends)).toBe(set);
  });
});

it.each([
  ['ball-three-piece', 'setup.cycle', '5 lbf·ft', '6.25 lbf·ft', true],
  ['ball-three-piece', 'setup.cycle', '5 lbf·ft', '6.5 lbf·ft', false],
  ['plug-lubricated', 'setup.effort', '60 lbf·ft', '75 lbf·ft', true],
  ['plug-lubricated', 'setup.effort', '60 lbf·ft', '110 N·m', false],
] as const)(
  '%s, %s: turned by %s as found, now by %s: %s (handbook part 6.7: 125 %% of last time at most)',
  (construction, step, _found, now, set) => {
    expect(reads(at(construction, step), step, [now])).toBe(set);
  },
);
