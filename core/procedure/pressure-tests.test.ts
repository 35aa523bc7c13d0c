import { describe, expect, it } from 'vitest';
import { onStep } from '../job';
import { psig, say, seconds, valueIn, type GaugePressure } from '../quantity';
import { outcomeOf, type TaskOf } from '../task';
import { BenchJob, DIAL } from '../testing/bench';
import { asksOf, defaultValve, type ConstructionId, type Valve } from '../valve';

type PressureTest = TaskOf<'pressure-test'>;

const bare = (construction: ConstructionId, known: Partial<Valve> = {}) =>
  new BenchJob({ ...defaultValve(construction), ...known }, { place: 'bare' });

function test(job: BenchJob, id: 'test.shell' | 'test.seat'): PressureTest {
  const task = job.step(id)?.task;
  if (task?.kind !== 'pressure-test') throw new Error(`no ${id}`);
  return task;
}

const at = (pressure: GaugePressure | undefined) => pressure && Math.round(valueIn(pressure, 'psig'));

describe('which closure test, and how much (API 598, handbook part 5.5)', () => {
  it.each([
    ['gate-wedge', { nps: 6, pressureClass: 300 }, 'gas', 60, 100, { perMinute: 24, of: 'bubbles' }],
    ['gate-wedge', { nps: 6, pressureClass: 900 }, 'liquid', 2442, 3350, { perMinute: 12, of: 'drops' }],
    ['globe-bolted', { nps: 3, pressureClass: 600 }, 'liquid', 1628, 2225, { perMinute: 6, of: 'drops' }],
    ['plug-lubricated', { nps: 3, pressureClass: 300 }, 'liquid', 814, 1125, { perMinute: 6, of: 'drops' }],
    ['check-swing', { nps: 6, pressureClass: 300 }, 'liquid', 814, 1125, { perMinute: 18, of: 'mL' }],
  ] as const)('%s %j: %s from %d to %d psig, at most %j', (construction, known, fluid, least, most, leak) => {
    const task = test(bare(construction, known), 'test.seat');
    expect(task).toMatchObject({ fluid, allowed: leak });
    expect([at(task.pressure), at(task.most)]).toEqual([least, most]);
  });
  it.each([
    ['check-swing', 2, 60],
    ['globe-bolted', 2, 15],
    ['check-swing', 8, 120],
    ['check-swing', 14, 300],
  ] as const)('%s NPS %d: shell held %d s', (construction, nps, hold) => {
    expect(valueIn(test(bare(construction, { nps, pressureClass: 300 }), 'test.shell').hold, 's')).toBe(hold);
  });
  it('cast iron by its own table and size', () => {
    const { pressureClass: _class, group: _group, ...known } = defaultValve('gate-wedge');
    const iron = (nps: number): Valve => ({ ...known, nps, iron: 'cast iron 125' });
    const shell = (nps: number) =>
      at(test(new BenchJob(iron(nps), { place: 'bare' }), 'test.shell').pressure);
    expect([shell(8), shell(14)]).toEqual([350, 265]);
  });
});

describe('an oilfield gate goes by its rated pressure (API 6A, handbook part 5.8)', () => {
  it.each([
    [2000, 4000],
    [5000, 7500],
    [10_000, 15_000],
  ])('rated %d psi: body %d, each side at the rating, three minutes, nothing seen', (rated, body) => {
    const job = bare('gate-slab-unitised', { ratedPressure: psig(rated) });
    const [shell, seat] = [test(job, 'test.shell'), test(job, 'test.seat')];
    expect([at(shell.pressure), at(seat.pressure), at(seat.most)]).toEqual([body, rated, rated * 1.05]);
    for (const task of [shell, seat]) {
      expect(valueIn(task.hold, 's')).toBe(180);
      expect(task.allowed.perMinute).toBe(0);
    }
    expect(seat.shown.source.name).toBe('API 6A');
  });
  it('in its line the body is not taken above its rating', () => {
    const job = new BenchJob(defaultValve('gate-slab-unitised'), { place: 'in line' });
    expect(job.step('test.shell')).toBeUndefined();
    expect(job.step('test.seat')).toBeDefined();
  });
  it('unknown, the rated pressure is asked for and not a class', () => {
    const { ratedPressure: _rated, ...unknown } = defaultValve('gate-slab-unitised');
    const asks = asksOf(unknown).map(({ id }) => id);
    expect(asks).toContain('ratedPressure');
    expect(asks).not.toContain('pressureClass');
  });
});

describe('a test holds at its figure, not below it, and not above its limit', () => {
  const task = test(bare('gate-wedge', { nps: 6, pressureClass: 300 }), 'test.seat');
  const none = { perMinute: 0, of: task.allowed.of };
  const outcome = (pressure: number, leak = none, hold = task.hold) =>
    outcomeOf({ pressure: psig(pressure), hold, leak }, task);
  it.each([
    [60, 'holds'],
    [100, 'holds'],
    [59.9, 'pressure too low'],
    [58.8, 'pressure too low'],
    [101, 'pressure too high'],
    [500, 'pressure too high'],
  ])('gas closure, 60 to 100 psig, at %d: %s', (pressure, said) => {
    expect(outcome(pressure)).toBe(said);
  });
  it('a leak over the allowance is one at a lower pressure too; a short hold is none', () => {
    expect(outcome(50, { ...none, perMinute: 99 })).toBe('leaks');
    expect(outcome(60, none, seconds(5))).toBe('hold too short');
  });
  it('the gauge’s own error is stated beside the figure', () => {
    expect(task.shown.notes.join(' ')).toMatch(/not below and not above 100 psig.*1A.*1 % of its range/s);
  });
  it('98 % of the figure neither finishes the step nor sends the valve back to its seat', () => {
    const job = bare('globe-bolted', { nps: 3, pressureClass: 300 }).workTo('test.seat');
    const seat = test(job, 'test.seat');
    const low = { ...seat.pressure, value: seat.pressure.value * 0.98 };
    const { openings } = job.plan();
    const body = { step: 'test.seat', pressure: low, hold: seat.hold, readBy: DIAL };
    job.send({ kind: 'run-pressure-test', body: { ...body, leak: { ...seat.allowed, perMinute: 0 } } });
    expect(job.plan().inHand?.id).toBe('test.seat');
    expect(job.plan().openings).toBe(openings);
    expect(onStep(job.state, 'pressure-tested', 'test.seat')).toHaveLength(1);
  });
});

describe('tight at its operating pressure (ASME PCC-2: 30 m at the least)', () => {
  const valve = (nps?: number) => {
    const control = defaultValve('control-globe-double-seat');
    return {
      ...control,
      ...(nps === undefined ? {} : { nps }),
      medium: { name: 'Water', hazards: [], pressure: psig(300) },
    };
  };
  it('is offered where a leak class and a pressure are known, and says how far to stand off', () => {
    const step = new BenchJob(valve(), { place: 'bare' }).step('test.operating');
    expect(step?.optional).toMatch(/tight shut-off/);
    const why = step ? say(step.why, 'SI') : '';
    expect(why).toMatch(/30 m off/);
    expect(why).toMatch(/kJ|J/);
  });
  it('a body of twice the size stores eight times as much (V ∝ d³)', () => {
    const stored = (nps: number) =>
      Number(
        /stores ([\d.]+) kJ/.exec(
          say(new BenchJob(valve(nps), { place: 'bare' }).step('test.operating')?.why ?? '', 'SI'),
        )?.[1],
      );
    expect(stored(8) / stored(4)).toBeGreaterThan(7.8);
    expect(stored(8) / stored(4)).toBeLessThan(8.2);
  });
  it('is not offered in its line, nor where nobody knows what it works at', () => {
    expect(new BenchJob(valve(), { place: 'in line' }).step('test.operating')).toBeUndefined();
    const { medium, ...unknown } = valve();
    expect(medium.pressure).toBeDefined();
    expect(new BenchJob(unknown, { place: 'bare' }).step('test.operating')).toBeUndefined();
  });
});
