import { describe, expect, it } from 'vitest';
import { standsAt, type Moving } from '../analysis';
import { valueIn, type Quantity } from '../quantity';
import { plantOf, straightOf, type Plant } from '../simulation';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { RESPONSE, responseRun, stepFigure, type Moved } from '.';

const VALVE = defaultValve('control-globe-double-seat');

/** The bench as the page holds it: a move is put in, and read every tenth of a second until it stands. */
function ran(plant: Plant): Map<string, Quantity> {
  const samples: Moving[] = [];
  let now = 0;
  const done = (signal: number): Moved => {
    plant.signal = signal / 100;
    const at = now;
    for (;;) {
      plant.run(0.1);
      now += 0.1;
      samples.push({ seconds: now, value: plant.travel * 100 });
      const stood = standsAt(
        samples.slice(-400).filter(({ seconds }) => seconds > at),
        at,
      );
      if (stood !== undefined) return { stood, samples: samples.slice(-400), at };
    }
  };
  const run = responseRun();
  let next = run.next();
  while (next.done !== true) next = run.next(done(next.value.signal));
  return new Map(next.value.map(({ what, value }) => [what, value]));
}
const percent = (value: Quantity | undefined) =>
  value ? valueIn({ ...value, dimension: 'ratio' }, '%') : Number.NaN;
const seconds = (value: Quantity | undefined) =>
  value ? valueIn({ ...value, dimension: 'time' }, 's') : Number.NaN;

describe('how a valve answers (handbook part 6.5)', () => {
  const set = ran(plantOf(VALVE, { zero: 0, span: 0, balance: 0 }));
  const straight = ran(straightOf(VALVE));
  it('straight on its spring, the dead band is twice its friction over its bench span (play)', () => {
    const { area, friction, rate, travel } = straightOf(VALVE).valve;
    const expected = (100 * 2 * friction.sliding) / (rate * travel);
    // It has to break away first, and moves by a tenth before it is seen to.
    const most = (100 * (friction.sliding + friction.breakaway)) / (rate * travel) + 0.5;
    expect(area).toBeGreaterThan(0);
    expect(percent(straight.get(RESPONSE.deadBand))).toBeGreaterThan(Math.min(expected * 0.9, 3) - 0.1);
    expect(percent(straight.get(RESPONSE.deadBand))).toBeLessThan(most);
  });
  it('a positioner makes little of the same friction, within the limit of 1 %', () => {
    expect(percent(set.get(RESPONSE.deadBand))).toBeLessThan(1);
    expect(percent(set.get(RESPONSE.deadBand))).toBeLessThan(percent(straight.get(RESPONSE.deadBand)) / 2);
    expect(percent(set.get(RESPONSE.resolution))).toBeLessThanOrEqual(percent(set.get(RESPONSE.deadBand)));
  });
  it('times follow one another: dead time, T63, T86; a full stroke takes longer than a step', () => {
    const step = { from: 45, to: 55 };
    const [dead, t63, t86] = (['dead time', 'T63', 'T86'] as const).map((each) =>
      seconds(set.get(stepFigure(each, step))),
    );
    expect(dead).toBeGreaterThan(0);
    expect(t63).toBeGreaterThan(dead ?? 0);
    expect(t86).toBeGreaterThan(t63 ?? 0);
    expect(seconds(set.get(RESPONSE.rising))).toBeGreaterThan(t86 ?? 0);
  });
});

it('a dead band over its limit keeps the step open; it may be passed over', () => {
  const job = new BenchJob(VALVE, { place: 'bare' }).workTo('setup.response');
  const take = (what: string, value: string) =>
    job.send({ kind: 'take-measurement', body: { step: 'setup.response', what, value, readBy: 'hand' } });
  const task = job.step('setup.response')?.task;
  for (const { what, example } of task?.kind === 'measure' ? task.asks : [])
    take(what, what === RESPONSE.deadBand ? '1.4 %' : example);
  expect(job.step('setup.response')?.status).toBe('ready');
  take(RESPONSE.deadBand, '0.6 %');
  expect(job.step('setup.response')?.status).toBe('done');
});
