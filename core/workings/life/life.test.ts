import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('life.trend (Sen 1968; handbook part 7.1)', () => {
  const seat = [
    ['0 d', '0.060 in'],
    ['400 d', '0.0565 in'],
    ['800 d', '0.0525 in'],
    ['1200 d', '0.0485 in'],
    ['1600 d', '0.0455 in'],
  ].map(([at, value]) => ({ at, value }));
  const trend = (points: readonly object[], limit = '0.030 in', direction = 'falling') =>
    ask('life.trend', { points, limit, direction });

  it('a seat that loses stock meets its limit at 3236 d, between 3050 and 3371', () => {
    const found = trend(seat);
    expect(found.result['verdict']).toBe('meets');
    expect(found.result['slope']).toBeCloseTo(-9.271e-6, 9);
    expect(found.result['slopeUnit']).toBe('in/d');
    expect(
      (['meets', 'meetsEarly', 'meetsLate'] as const).map((name) => Math.round(found.in(name, 'd'))),
    ).toEqual([3236, 3050, 3371]);
  });
  it('in other units, and turned over, it is the same day', () => {
    const metric = trend(
      seat.map(({ at, value }) => ({ at, value: `${25.4 * Number.parseFloat(value ?? '')} mm` })),
      '0.762 mm',
    );
    expect(Math.round(metric.in('meets', 'd'))).toBe(3236);
    const bore = trend(
      seat.map(({ at, value }) => ({ at, value: `${0.1 - Number.parseFloat(value ?? '')} in` })),
      '0.070 in',
      'rising',
    );
    expect(Math.round(bore.in('meets', 'd'))).toBe(3236);
    expect(Math.round(bore.in('meetsEarly', 'd'))).toBe(3050);
  });
  it('two readings, or three at two times, are too few; one past the limit says so all the same', () => {
    expect(trend(seat.slice(0, 2)).result['verdict']).toBe('too few points');
    expect(trend([...seat.slice(0, 2), { at: '400 d', value: '0.056 in' }]).result['verdict']).toBe(
      'too few points',
    );
    expect(trend([{ at: 900, value: '0.029 in' }]).result['verdict']).toBe('over limit');
  });
  it('away from its limit, or farther ahead than three times what is known, no date is said', () => {
    const away = trend(seat, '0.090 in', 'rising').result;
    expect([away['verdict'], away['meets']]).toEqual(['not in sight', undefined]);
    const far = trend(seat, '0 in');
    expect(far.result['verdict']).toBe('not in sight');
    expect(far.notes).toMatch(/more than 3 times as far/);
  });
  it('where the flatter side of the band is level, the latest is not in sight', () => {
    const wavering = [0, 1, 2, 3].map((year, i) => ({
      at: `${year} year`,
      value: `${[10, 9, 9.5, 8][i]} thou`,
    }));
    const found = trend(wavering, '6 thou');
    expect(found.result['verdict']).toBe('meets');
    expect(found.result['meetsLate']).toMatch(/not in sight|beyond/);
  });
  it('values of another kind than the limit, and none at all, are refused', () => {
    expect(refusal('life.trend', { points: seat, limit: '30 psig', direction: 'falling' }).code).toBe(
      'input.conflict',
    );
    expect(refusal('life.trend', { points: [], limit: '1 in', direction: 'falling' }).code).toBe(
      'input.too-few',
    );
  });
});

const LEUKAEMIA = {
  failures: [6, 6, 6, 7, 10, 13, 16, 22, 23].map((week) => `${week} weeks`),
  running: [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35].map((week) => `${week} weeks`),
};

describe('life.weibull (Freireich and others 1963; Lawless 2003)', () => {
  it('the published data has the published life, told in its own unit', () => {
    const found = ask('life.weibull', LEUKAEMIA);
    expect(found.result['shape']).toBeCloseTo(1.354, 3);
    expect(found.in('scale', 'week')).toBeCloseTo(33.77, 2);
    expect(found.in('b10', 'week')).toBeCloseTo(6.4, 1);
    expect(found.result['shapeLow']).toBeCloseTo(0.856, 3);
    expect(found.result['shapeHigh']).toBeCloseTo(2.14, 3);
    expect(found.result['verdict']).toBe('cannot be told from chance');
  });
  it('says wear, or early deaths, only where the bounds leave nothing else', () => {
    const old = [900, 910, 940, 960, 1000, 1010, 1050, 1080, 1100];
    expect(ask('life.weibull', { failures: old }).result['verdict']).toBe('wear');
    const young = [1, 1, 2, 3, 5, 9, 40, 300, 1500, 4000, 9000, 15000];
    expect(ask('life.weibull', { failures: young }).result['verdict']).toBe('early deaths');
  });
  it('under 8 failures are counted only; all at one age have no life', () => {
    const seven = LEUKAEMIA.failures.slice(0, 7);
    expect(refusal('life.weibull', { ...LEUKAEMIA, failures: seven }).code).toBe('input.too-few');
    expect(refusal('life.weibull', { failures: Array(9).fill('400 d') }).code).toBe('input.conflict');
  });
});

describe('life.survival (Kaplan and Meier 1958)', () => {
  it('the published data has the published steps', () => {
    const { result } = ask('life.survival', LEUKAEMIA);
    const published = [0.857, 0.807, 0.753, 0.69, 0.627, 0.538, 0.448];
    expect((result['survival'] as number[]).map((each) => Number(each.toFixed(3)))).toEqual(published);
    expect((result['times'] as { value: number; unit: string }[]).map(({ value }) => value)).toEqual([
      6, 7, 10, 13, 16, 22, 23,
    ]);
  });
  it('nothing failed: nothing to say', () => {
    expect(refusal('life.survival', { failures: [], running: ['3 d'] }).code).toBe('input.too-few');
  });
});

describe('stock.order-point (handbook part 7.1)', () => {
  it.each([
    [12, 30, 0.986, 3],
    [4, 60, 0.658, 2],
    ['24', '45', 2.959, 6],
    ['0.5', 90, 0.123, 1],
  ])('%s a year, %s days at 95 %%: %f wanted, order at %i', (perYear, leadDays, expected, orderPoint) => {
    const { result } = ask('stock.order-point', { perYear, leadDays, chance: '95 %' });
    expect(result['expected']).toBeCloseTo(expected, 3);
    expect(result['orderPoint']).toBe(orderPoint);
  });
  it('two pieces a job are twice as many; a chance is a share or percent', () => {
    const two = ask('stock.order-point', { perYear: 12, leadDays: 30, chance: 0.95, pieces: 2 });
    expect(two.result['orderPoint']).toBe(6);
    expect(refusal('stock.order-point', { perYear: 12, leadDays: 30, chance: '20 %' }).code).toBe(
      'input.invalid',
    );
  });
});

describe('interval.next by a site’s ladder (API RP 576, handbook part 7.1)', () => {
  const LADDER = ['12 months', '24 months', '36 months', '60 months'];
  const next = (history: string[], lastInterval = '24 months', limit = '60 months') =>
    ask('interval.next', { lastInterval, history, limit, ladder: LADDER }).in('interval', 'month');
  it.each([
    [['good'], '24 months', 36],
    [['high'], '24 months', 12],
    [['leaking'], '36 months', 24],
    [['stuck'], '60 months', 12],
    [['stuck'], '6 months', 6],
    [['good'], '30 months', 36],
    [['dirty'], '30 months', 24],
    [['dirty'], '12 months', 12],
    [['good'], '60 months', 60],
    [['high', 'good'], '24 months', 24],
    [['high', 'good', 'good'], '24 months', 36],
  ])('%j at %s: %i months', (history, last, months) => {
    expect(next(history, last)).toBeCloseTo(months, 6);
  });
  it('at either end of the ladder it says that it stays', () => {
    const at = (lastInterval: string, found: string) =>
      ask('interval.next', { lastInterval, history: [found], limit: '120 months', ladder: LADDER }).result[
        'reason'
      ];
    expect(at('60 months', 'good')).toBe('always found good: the longest there is');
    expect(at('12 months', 'low')).toBe('found low: the shortest there is');
    expect(at('24 months', 'good')).toBe('always found good: a step longer');
  });
  it('never past the cap; rungs may come in any order; an empty ladder is refused', () => {
    expect(next(['good'], '36 months', '48 months')).toBeCloseTo(48, 6);
    const raw = { lastInterval: '24 months', history: ['good'], limit: '60 months' };
    const turned = ask('interval.next', { ...raw, ladder: LADDER.toReversed() });
    expect(turned.in('interval', 'month')).toBeCloseTo(36, 6);
    expect(refusal('interval.next', { ...raw, ladder: [] }).code).toBe('input.too-few');
  });
});
