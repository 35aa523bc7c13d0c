import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

/** A stem bowed 3 thou to 40°, as twelve readings of a dial that may creep a little each step. */
const turn = (n: number, creep = 0, bow = 3, oval = 0) =>
  Array.from({ length: n }, (_, i) => {
    const angle = (2 * Math.PI * i) / n;
    return bow * Math.cos(angle - (40 * Math.PI) / 180) + (oval / 4) * Math.cos(2 * angle) + creep * i;
  });
const thou = (values: readonly number[]) => values.map((value) => ({ value, unit: 'thou' }));

describe('the first place read again (common practice: a turn is closed)', () => {
  it('as a thirteenth reading it is taken as such: no oval out of nothing', () => {
    const readings = turn(12);
    const asked = ask('stem.runout', { readings: thou([...readings, readings[0] ?? 0]) });
    expect(asked.in('bow', 'thou')).toBeCloseTo(3, 6);
    expect(asked.in('outOfRound', 'thou')).toBeCloseTo(0, 6);
  });
  it.each([
    ['as the last reading', (all: number[]) => ({ readings: thou(all) })],
    [
      'for itself',
      (all: number[]) => ({ readings: thou(all.slice(0, -1)), closing: { value: all.at(-1), unit: 'thou' } }),
    ],
    [
      'at 360°',
      (all: number[]) => ({ readings: thou(all), angles: all.map((_, i) => ({ value: 30 * i, unit: '°' })) }),
    ],
  ])('%s it takes the creep of the dial off, and says so', (_, given) => {
    const creeping = turn(12, 0.15);
    const asked = ask('stem.runout', given([...creeping, (creeping[0] ?? 0) + 12 * 0.15]));
    expect(asked.in('bow', 'thou')).toBeCloseTo(3, 6);
    expect(asked.in('creep', 'thou')).toBeCloseTo(1.8, 6);
    expect(asked.notes).toMatch(/crept/);
  });
  it('thirteen readings at equal angles stay thirteen', () => {
    const asked = ask('stem.runout', { readings: thou(turn(13, 0, 3, 2)) });
    expect(asked.in('bow', 'thou')).toBeCloseTo(3, 6);
    expect(asked.in('outOfRound', 'thou')).toBeCloseTo(2, 6);
  });
});

describe('readings that are not a smooth ring', () => {
  it('one of twelve skipped is told: read again', () => {
    const readings = turn(12).filter((_, i) => i !== 4);
    expect(ask('stem.runout', { readings: thou(readings), limit: '5 thou' }).notes).toMatch(/place skipped/);
  });
  it('at their own angles eleven of twelve are enough', () => {
    const kept = turn(12)
      .map((value, i) => ({ value, angle: 30 * i }))
      .filter((_, i) => i !== 4);
    const asked = ask('stem.runout', {
      readings: thou(kept.map(({ value }) => value)),
      angles: kept.map(({ angle }) => angle),
    });
    expect(asked.in('bow', 'thou')).toBeCloseTo(3, 6);
    expect(asked.in('bowAngle', '°')).toBeCloseTo(40, 6);
    expect(asked.in('outOfRound', 'thou')).toBeCloseTo(0, 6);
  });
  it.each([5, 6, 7])('%d readings give figures and no verdict', (n) => {
    expect(ask('stem.runout', { readings: thou(turn(n)), limit: '50 thou' }).result['verdict']).toBe('ask');
  });
  it('five with a spike of 0.9 in are not fit', () => {
    const readings = ['0', '0.9 in', '0', '0.1 thou', '0'].map((each) => (each === '0' ? '0 thou' : each));
    expect(ask('stem.runout', { readings, limit: '5 thou' }).result['verdict']).not.toBe('fit');
  });
  it('no bow, no high spot; a high spot at a full turn is at nought', () => {
    expect(ask('stem.runout', { readings: thou(Array(8).fill(0)) }).result['bowAngle']).toBeUndefined();
    const level = Array.from({ length: 12 }, (_, i) => 2 * Math.cos((2 * Math.PI * i) / 12));
    expect(ask('stem.runout', { readings: thou(level) }).in('bowAngle', '°')).toBeCloseTo(0, 6);
  });
  it.each([
    [{ readings: thou(turn(12)), angles: [0, 30, 60] }, 'input.conflict'],
    [{ readings: thou(turn(8)), angles: Array(8).fill(10) }, 'input.conflict'],
    [{ limit: '3 thou' }, 'input.conflict'],
  ])('refuses %#', (raw, code) => {
    expect(refusal('stem.runout', raw).code).toBe(code);
  });
});

describe('an oval (handbook part 3: gain = 1 + cos n(90° + α/2)/sin(α/2))', () => {
  const oval = thou(turn(12, 0, 0, 5.6));
  it.each([
    ['90', 5.6],
    ['120', 5.6 / 1.58],
  ])('on %s° blocks', (vBlock, found) => {
    expect(ask('stem.runout', { readings: oval, vBlock }).in('outOfRound', 'thou')).toBeCloseTo(found, 2);
  });
  it('on 60° blocks it would not have shown: told', () => {
    expect(ask('stem.runout', { readings: oval, vBlock: '60' }).notes).toMatch(/does not show at all/);
  });
  it('over its own limit it is reground or renewed, however small the TIR', () => {
    const asked = ask('stem.runout', { readings: oval, limit: '3 thou', ovalLimit: '2 thou' });
    expect(asked.in('tir', 'thou')).toBeLessThan(3);
    expect(asked.result['verdict']).toBe('regrind or renew');
  });
});

describe('stations along the stem (geometry)', () => {
  /** Straight to 10 in, then bent off by 1 thou an inch, between centres at 0 and 20 in. */
  const bowAt = (x: number) => (x <= 10 ? 0 : x - 10);
  const station = (x: number) => ({
    at: `${x} in`,
    readings: Array.from({ length: 8 }, (_, i) => ({
      value: bowAt(x) * Math.cos((Math.PI * i) / 4),
      unit: 'thou',
    })),
  });
  const stations = [0, 5, 10, 15, 20].map(station);
  it('the bend is where the axis turns', () => {
    const asked = ask('stem.runout', { stations, limit: '5 thou' });
    expect(asked.in('bendAt', 'in')).toBeCloseTo(10, 6);
    expect(asked.in('worstAt', 'in')).toBeCloseTo(20, 6);
    expect(asked.result['verdict']).toBe('renew');
  });
  it('the line through the supports is straight: the middle is then worst', () => {
    const asked = ask('stem.runout', { stations, supports: ['0 in', '20 in'], limit: '5 thou' });
    expect(asked.in('worstAt', 'in')).toBeCloseTo(10, 6);
    expect(asked.in('bow', 'thou')).toBeCloseTo(5, 6);
  });
  it('supports where nobody read are refused', () => {
    expect(refusal('stem.runout', { stations, supports: ['1 in', '20 in'] }).code).toBe('input.conflict');
  });
});
