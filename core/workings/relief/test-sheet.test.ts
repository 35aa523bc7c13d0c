import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

const sheet = (more: object = {}) =>
  ask('relief.test-sheet', {
    setPressure: '250 psig',
    code: 'VIII',
    pops: ['251 psig', '250 psig', '250 psig'],
    ...more,
  });

describe('relief.test-sheet (ASME VIII and I tolerances, handbook parts 5.7 and 6; API 527)', () => {
  it('band, mean, spread, drift', () => {
    const asked = sheet();
    expect([asked.in('low', 'psig'), asked.in('high', 'psig')]).toEqual([
      expect.closeTo(242.5, 6),
      expect.closeTo(257.5, 6),
    ]);
    expect(asked.in('mean', 'psig')).toBeCloseTo(751 / 3, 6);
    expect(asked.in('spread', '%')).toBeCloseTo((1 / (751 / 3)) * 100, 6);
    expect(asked.in('drift', 'psi')).toBeCloseTo(-1, 6);
    expect(asked.result['verdict']).toBe('fit');
  });
  it.each([
    [
      'one pop out of the band',
      { pops: ['258 psig', '257 psig', '257 psig'] },
      'not fit',
      /outside the tolerance/,
    ],
    [
      'pops apart by more than 1 % and 1 psi',
      { pops: ['248 psig', '251 psig', '250 psig'] },
      'not fit',
      /differ/,
    ],
    ['two pops', { pops: ['250 psig', '250 psig'] }, 'ask', /three are wanted/],
    ['bubbles without an orifice', { bubbles: 3 }, 'ask', /orifice/],
    ['21 bubbles of a J, 20 allowed', { bubbles: 21, orifice: 'J' }, 'not fit', /20 allowed/],
    ['40 bubbles of an F', { bubbles: 40, orifice: 'F' }, 'fit', /within limits/],
    ['one bubble of a soft seat', { bubbles: 1, seat: 'soft' }, 'not fit', /0 allowed/],
    ['a liquid leak without the inlet', { leak: '5 mL/h', fluid: 'liquid' }, 'ask', /inlet size/],
    ['20 mL/h at NPS 2, 20 allowed', { leak: '20 mL/h', fluid: 'liquid', size: 'NPS 2' }, 'fit', /within/],
    ['21 mL/h at NPS 2', { leak: '21 mL/h', fluid: 'liquid', size: 'NPS 2' }, 'not fit', /leaks more/],
  ])('%s: %j is %s', (_, more, verdict, why) => {
    const asked = sheet(more);
    expect(asked.result['verdict']).toBe(verdict);
    expect(String(asked.result['reasons'])).toMatch(why);
  });
  it('at low pressure 1 psi of spread is allowed, whatever its share', () => {
    const low = { setPressure: '30 psig', pops: ['30 psig', '31 psig', '30 psig'] };
    expect(sheet(low).result['verdict']).toBe('fit');
  });
  it('pops are judged about the cold differential test pressure where one is given', () => {
    const cold = { coldSet: '230 psig', pops: ['230 psig', '231 psig', '230 psig'] };
    expect(sheet(cold).in('low', 'psig')).toBeCloseTo(230 * 0.97, 6);
    expect(sheet(cold).result['verdict']).toBe('fit');
  });
  it('blowdown: noted for VIII, judged for Section I (4 % above 375 psig, 6 % to 250)', () => {
    expect(sheet({ reseat: '200 psig' }).result['verdict']).toBe('fit');
    expect(sheet({ reseat: '200 psig' }).in('blowdownPercent', '%')).toBeCloseTo(
      ((751 / 3 - 200) / 250) * 100,
      6,
    );
    const boiler = { code: 'I', pops: ['250 psig', '250 psig', '250 psig'] };
    expect(sheet({ ...boiler, reseat: '240 psig' }).result['verdict']).toBe('fit');
    expect(sheet({ ...boiler, reseat: '230 psig' }).result['verdict']).toBe('not fit');
    expect(sheet({ ...boiler, reseat: '249.5 psig' }).result['verdict']).toBe('not fit');
  });
  it('no pop at all is refused', () => {
    expect(refusal('relief.test-sheet', { setPressure: '250 psig', code: 'VIII', pops: [] }).code).toBe(
      'input.too-few',
    );
  });
});
