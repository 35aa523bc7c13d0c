import { describe, expect, it } from 'vitest';
import { say } from '../quantity';
import { BenchJob } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import {
  CONSTRUCTION_IDS,
  defaultValve,
  featuresSchema,
  type ConstructionId,
  type RawFeatures,
} from '../valve';

const planOf = (id: ConstructionId, change: Partial<RawFeatures> = {}) => {
  const valve = defaultValve(id);
  return new BenchJob({ ...valve, features: featuresSchema.parse({ ...valve.features, ...change }) }).plan();
};
const isAir = (id: string) => id.startsWith('bench-air.');

describe('air on a valve whose supply is locked out (handbook part 6.1)', () => {
  it.each(CONSTRUCTION_IDS)('%s: what is connected is proved off before anything else is done', (id) => {
    const { steps } = planOf(id);
    const on = steps.filter((step) => step.id.startsWith('bench-air.on.'));
    const off = steps.filter((step) => step.id.startsWith('bench-air.off.'));
    expect(on.map(({ id: each }) => each.replace('.on.', '.off.'))).toEqual(off.map(({ id: each }) => each));
    for (const { id: first } of on) {
      const last = first.replace('.on.', '.off.');
      const run = steps.filter(
        (step) => waitsFor({ steps }, step.id).has(first) && waitsFor({ steps }, last).has(step.id),
      );
      expect(run.length, first).toBeGreaterThan(0);
      // Whoever waits for one of the run, and is not of it, waits for the air to be off.
      for (const step of steps)
        if (
          !isAir(step.id) &&
          !run.includes(step) &&
          step.after.some((before) => run.some((each) => each.id === before))
        )
          expect([...waitsFor({ steps }, step.id)], step.id).toContain(last);
    }
  });
  it('is asked for where the work wants it, and nowhere else', () => {
    const wanted = CONSTRUCTION_IDS.filter((id) => planOf(id).steps.some((step) => isAir(step.id)));
    expect(wanted).toEqual([
      'control-globe-double-seat',
      'control-balanced-cage',
      'control-ball-in-venturi',
      'control-rotary-eccentric',
      'control-butterfly',
      'control-lowpressure-diaphragm',
      'control-hygienic-seat',
    ]);
  });
  it('the pin of a rolling diaphragm comes out at mid-travel, and its lines only once the air is gone', () => {
    const { steps } = planOf('control-rotary-eccentric');
    expect(waitsFor({ steps }, 'strip.front-cover').has('bench-air.on.strip')).toBe(true);
    expect(waitsFor({ steps }, 'strip.air-lines').has('bench-air.off.strip')).toBe(true);
  });
  it('more than shop air is no bench air, and what stays on is not off', () => {
    const job = new BenchJob(defaultValve('control-rotary-eccentric')).workTo('bench-air.on.strip');
    const read = (step: string, what: string, value: string) =>
      job.send({ kind: 'take-measurement', body: { step, what, value, readBy: 'hand' } });
    read('bench-air.on.strip', 'bench air set to', '400 psig');
    expect(job.step('bench-air.on.strip')?.status).toBe('ready');
    read('bench-air.on.strip', 'bench air set to', '20 psig');
    job.workTo('bench-air.off.strip');
    read('bench-air.off.strip', 'bench air', '12 psig');
    expect(job.step('bench-air.off.strip')?.status).toBe('ready');
    expect(job.step('strip.air-lines')?.status).toBe('waiting');
  });
});

describe('set up by what it is (handbook part 6.2 and 6.4)', () => {
  const asksOf = (id: ConstructionId, step: string) => {
    const task = planOf(id).steps.find((each) => each.id === step)?.task;
    return task?.kind === 'measure' ? task.asks.map(({ what }) => what) : [];
  };
  it('two cylinder gauges on two sides; one on a diaphragm, and its supply by the bench set and the casing', () => {
    expect(asksOf('control-ball-in-venturi', 'setup.mid')).toContain('cylinder, bottom gauge');
    expect(asksOf('control-globe-double-seat', 'setup.mid')).toEqual([
      'supply',
      'actuator',
      'travel at 50 % of the signal',
    ]);
    const supply = (id: ConstructionId) =>
      say(planOf(id).steps.find((step) => step.id === 'setup.supply')?.why ?? '', 'US');
    expect(supply('control-ball-in-venturi')).toContain('35 psi');
    expect(supply('control-globe-double-seat')).toMatch(/5 psi over the high end.*casing limit/);
  });
  it.each([
    ['air-to-close', /15 psi/],
    ['air-to-open', /1\/16 in/],
  ] as const)('%s: coupled where it shuts', (action, about) => {
    const { steps } = planOf('control-globe-double-seat', {
      moved: { kind: 'spring-diaphragm', action, coupling: 'screwed' },
    });
    expect(say(steps.find(({ id }) => id === 'rebuild.couple')?.why ?? '', 'US')).toMatch(about);
  });
  it('settings are measured again after they are set', () => {
    for (const id of ['control-globe-double-seat', 'control-ball-in-venturi'] as const) {
      const { steps } = planOf(id);
      expect(waitsFor({ steps }, 'setup.settings').has('setup.stroke'), id).toBe(true);
    }
  });
  it('no fail action is reversed unasked', () => {
    for (const id of CONSTRUCTION_IDS)
      expect(planOf(id).steps.filter(({ title }) => /^Reverse|other slot/i.test(title))).toEqual([]);
  });
});
