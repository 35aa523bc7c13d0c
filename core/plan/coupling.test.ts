import { describe, expect, it } from 'vitest';
import { readingsOf } from '../calls';
import { judgesOf } from '../inspection';
import { psig, valueIn } from '../quantity';
import { BenchJob } from '../testing/bench';
import { defaultValve, opensByAir } from '../valve';

const valveOf = (action: 'air-to-open' | 'air-to-close') => {
  const valve = defaultValve('control-globe-double-seat');
  const { moved } = valve.features;
  if (moved.kind !== 'spring-diaphragm') throw new Error('another actuator');
  const features = { ...valve.features, moved: { ...moved, action } };
  return { ...valve, features, plate: { ...valve.plate, springRange: { low: psig(3), high: psig(15) } } };
};
const take = (job: BenchJob, step: string, figures: Readonly<Record<string, string>>) => {
  for (const [what, value] of Object.entries(figures))
    job.send({ kind: 'take-measurement', body: { step, what, value, readBy: 'hand' } });
  return job;
};
const OF_THE_ACTUATOR = {
  'area of the actuator diaphragm': '69 in²',
  'rated travel': '3/4 in',
  'seat load wanted': '250 lbf',
  'packing friction': '60 lbf',
};
const status = (job: BenchJob, step: string) => job.step(step)?.status;

describe('coupled for its seat load (handbook part 6.2)', () => {
  it('air to open: as far off its stop as its load wants, and not less', () => {
    const job = new BenchJob(valveOf('air-to-open'), { place: 'bare' }).workTo('rebuild.coupling-figures');
    expect(opensByAir(job.plan().valve.features)).toBe(true);
    take(job, 'rebuild.coupling-figures', { ...OF_THE_ACTUATOR, 'the stem leaves its stop at': '3 psig' });
    const off = 'off its own stop at coupling';
    expect(status(take(job, 'rebuild.couple', { [off]: '0.08 in' }), 'rebuild.couple')).toBe('ready');
    expect(status(take(job, 'rebuild.couple', { [off]: '0.095 in' }), 'rebuild.couple')).toBe('done');
  });
  it('nobody knows its area: 1/16 in at least', () => {
    const job = new BenchJob(valveOf('air-to-open'), { place: 'bare' }).workTo('rebuild.coupling-figures');
    job.send({ kind: 'do-step', body: { step: 'rebuild.coupling-figures', notNeeded: true } });
    const off = 'off its own stop at coupling';
    expect(status(take(job, 'rebuild.couple', { [off]: '0.05 in' }), 'rebuild.couple')).toBe('ready');
    expect(status(take(job, 'rebuild.couple', { [off]: '1/16 in' }), 'rebuild.couple')).toBe('done');
  });
  it('air to close: with the end of its bench set on, travel left beyond the seat', () => {
    const job = new BenchJob(valveOf('air-to-close'), { place: 'bare' }).workTo('rebuild.couple');
    const left = { 'actuator travel left beyond the seat': '1/8 in' };
    take(job, 'rebuild.couple', { ...left, 'pressure on the actuator at coupling': '3 psig' });
    expect(status(job, 'rebuild.couple')).toBe('ready');
    take(job, 'rebuild.couple', { 'pressure on the actuator at coupling': '15 psig' });
    expect(status(job, 'rebuild.couple')).toBe('done');
  });
});

describe('an actuator and its valve (handbook part 6.3: 2 in port under 100 psi, the process lifts 314 lbf)', () => {
  const bench = (most: string, limit = '35 psig', difference = '100 psi') => {
    const job = new BenchJob(valveOf('air-to-close'), { place: 'bare' }).workTo('rebuild.coupling-figures');
    take(job, 'rebuild.coupling-figures', { ...OF_THE_ACTUATOR, 'most air on the actuator': most });
    job.workTo('setup.bench-set');
    take(job, 'setup.bench-set', {
      'start of travel, rising': '3.5 psig',
      'end of travel, rising': '15.5 psig',
      'end of travel, falling': '14.5 psig',
      'start of travel, falling': '2.5 psig',
    });
    job.workTo('setup.match');
    take(job, 'setup.match', {
      'casing limit of the actuator': limit,
      'unbalanced area of the plug': '3.1416 in²',
      'pressure difference, shut': difference,
    });
    return job;
  };
  const matched = (...of: Parameters<typeof bench>) => {
    const job = bench(...of);
    const { valve } = job.plan();
    const judge = judgesOf(valve).find(({ subject }) => subject === 'actuator match');
    const judged = judge?.judge(readingsOf(job.state), valve);
    if (!judged?.ok) throw new Error('not judged');
    return new Map(judged.value.figures.map(({ what, ...rest }) => [what, rest]));
  };
  it.each([
    // (P_max − 15) · 69 − 60 − 314
    ['20 psig', 'rework'],
    ['22 psig', 'ask'],
    ['25 psig', 'fit'],
  ])('air to close with %s on its casing: seat load %s', (most, verdict) => {
    expect(matched(most).get('left on the seat')?.verdict).toBe(verdict);
  });
  it('more air than its casing bears is never right', () => {
    expect(matched('25 psig', '20 psig').get('air against the casing')?.verdict).toBe('rework');
    expect(matched('25 psig').get('air against the casing')?.verdict).toBe('fit');
  });
  it('and stops the job there, until the air or the casing is another', () => {
    expect(status(bench('25 psig', '20 psig'), 'setup.match')).toBe('ready');
    expect(status(bench('25 psig'), 'setup.match')).toBe('done');
  });
  it('flow from above presses it home: 294 lbf more, and not 314 less (handbook part 6.3)', () => {
    const load = (difference: string) => {
      const found = matched('25 psig', '35 psig', difference).get('left on the seat')?.found;
      return typeof found === 'object' ? valueIn({ ...found, dimension: 'force' }, 'lbf') : Number.NaN;
    };
    expect(load('-100 psi')).toBeGreaterThan(load('100 psi') + 550);
  });
  it('its spring opens it on loss of air', () => {
    expect(matched('25 psig').get('on loss of air')).toMatchObject({
      verdict: 'fit',
      found: 'the spring opens it',
    });
  });
});

describe('what a coupling leaves on the seat is said before it is made', () => {
  const loadOf = (action: 'air-to-open' | 'air-to-close', figures: Readonly<Record<string, string>>) => {
    const job = new BenchJob(valveOf(action), { place: 'bare' }).workTo('rebuild.coupling-figures');
    take(job, 'rebuild.coupling-figures', { ...OF_THE_ACTUATOR, ...figures });
    const { valve } = job.plan();
    const judge = judgesOf(valve).find(({ subject }) => subject === 'coupling');
    const judged = judge?.judge(readingsOf(job.state), valve);
    if (!judged?.ok) throw new Error('not judged');
    return judged.value.figures.find(({ what }) => what === 'seat load, no process')?.verdict;
  };
  it.each([
    ['15 psig', 'rework'],
    ['18 psig', 'ask'],
    ['20 psig', 'fit'],
  ])('air to close, %s at most: %s (handbook part 6.2: nothing at 15, stop and ask)', (most, verdict) => {
    expect(loadOf('air-to-close', { 'most air on the actuator': most })).toBe(verdict);
  });
  it('air to open it is what was wanted, for it is coupled so', () => {
    expect(loadOf('air-to-open', { 'the stem leaves its stop at': '3 psig' })).toBe('fit');
  });
});
