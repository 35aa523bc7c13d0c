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
    [range(3, 15), ['3.9 psig', '14.9 psig', '14.1 psig', '3.1 psig'], true],
    [range(3, 15), ['4.1 psig', '15.4 psig', '14.6 psig', '3.3 psig'], false],
    [range(3, 15), ['3.4 psig', '16.1 psig', '15.3 psig', '2.6 psig'], false],
    [range(6, 30), ['7.5 psig', '29.3 psig', '28.5 psig', '6.7 psig'], true],
    [range(6, 30), ['7.7 psig', '30.4 psig', '29.6 psig', '6.9 psig'], false],
    [range(3, 15), ['0.23 bar', '1.03 bar', '0.97 bar', '0.17 bar'], true],
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

describe('a regulator (handbook part 6.6: set within 2 %, lock-up 10 % or 1 psi, no creep)', () => {
  const set = (wanted: string) => {
    const job = at('regulator-self-acting', 'setup.wanted');
    reads(job, 'setup.wanted', [wanted]);
    return job.workTo('setup.pressure');
  };
  it.each([
    ['30 psig', '30.6 psig', true],
    ['30 psig', '30.7 psig', false],
    ['2 bar', '2.05 bar', false],
    ['2 bar', '1.97 bar', true],
  ])('wanted %s, flowing %s: %s', (wanted, flowing, isSet) => {
    expect(reads(set(wanted), 'setup.pressure', [flowing])).toBe(isSet);
  });
  it.each([
    [['33 psig', '33 psig'], true],
    [['33.1 psig', '33.1 psig'], false],
    [['32 psig', '32.3 psig'], false],
    [['32 psig', '32 psig'], true],
  ])('set to 30, shut %j: %s', (shut, holds) => {
    const job = set('30 psig');
    reads(job, 'setup.pressure', ['30 psig']);
    expect(reads(job.workTo('test.lock-up'), 'test.lock-up', shut)).toBe(holds);
  });
  it('at a low set the lock-up may be one psi', () => {
    const job = set('5 psig');
    reads(job, 'setup.pressure', ['5 psig']);
    expect(reads(job.workTo('test.lock-up'), 'test.lock-up', ['5.9 psig', '5.9 psig'])).toBe(true);
  });
});

describe('a relief valve on its stand (common practice)', () => {
  it.each([
    ['test.lever', '188 psig', true],
    ['test.lever', '150 psig', false],
    ['test.lever', '260 psig', false],
    ['test.outlet-side', '30 psig', true],
    ['test.outlet-side', '28 psig', false],
    ['test.outlet-side', '45 psig', true],
  ])('%s at %s: %s', (step, pressure, holds) => {
    const job = at('relief-spring', step, { setPressure: psig(250) });
    expect(reads(job, step, [pressure])).toBe(holds);
  });
  it.each([
    ['2700 psig', true],
    ['2500 psig', false],
    ['2950 psig', false],
  ])(
    'a shear pin of 3000 psig is tight at %s: %s (handbook part 6.6: at 90 %% of set, not popped)',
    (held, holds) => {
      const job = at('relief-shear-pin', 'test.tight', { setPressure: psig(3000) });
      expect(reads(job, 'test.tight', [held])).toBe(holds);
    },
  );
});

describe('the weight of a dump valve (statics of the lever: head × area × arm = W x + moment)', () => {
  const figures = ['4 psi', '20 in²', '1.5 in', '20 lbf', '40 lbf·in'];
  it.each([
    ['4 in', true],
    ['4.2 in', true],
    ['4.5 in', false],
    ['101 mm', true],
    ['14 in', false],
  ])(
    '4 psi on 20 in² at 1.5 in, 20 lbf, lever 40 lbf·in: it goes to 4 in; found at %s: %s',
    (place, placed) => {
      const job = at('dump-weight-lever', 'setup.head');
      reads(job, 'setup.head', figures);
      expect(reads(job.workTo('setup.weight'), 'setup.weight', [place])).toBe(placed);
    },
  );
});

it.each([
  [['5 pieces', '5 pieces'], true],
  [['5 pieces', '4 pieces'], false],
])('a solenoid opens and shuts every time: %j, %s (handbook part 6.6: five times)', (times, holds) => {
  expect(reads(at('solenoid-pilot', 'test.function'), 'test.function', times)).toBe(holds);
});
