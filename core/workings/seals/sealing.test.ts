import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ELASTOMER_DATA, ELASTOMERS, SEAL_LUBRICANTS, SEAL_MEDIA } from '../../standards';
import { ask, refusal } from '../../testing/ask';

describe('packing.gland', () => {
  const box = {
    stem: '1.000 in',
    bore: '1.500 in',
    height: '0.9375 in',
    stress: '4,000 psi',
    friction: 0.1,
    radialRatio: 0.6,
    studs: 2,
    thread: '1/2-13',
    nutFactor: 0.16,
  };
  it('3 927 lbf, 2 551 psi at the bottom, 569 lbf on the stem (handbook parts 3 and 5.10)', () => {
    const gland = ask('packing.gland', box);
    expect(gland.in('force', 'lbf')).toBeCloseTo(3927, 0);
    expect(Math.round(gland.in('stressAtBottom', 'psi'))).toBe(2551);
    expect(Math.round(gland.in('stemFriction', 'lbf'))).toBe(569);
  });
  it('torque on a stud is K·D·F over the studs (short form)', () => {
    expect(ask('packing.gland', box).in('torquePerStud', 'lbf·ft')).toBeCloseTo(
      (0.16 * 0.5 * 3926.99) / 2 / 12,
      3,
    );
  });
  it('friction agrees with adding the box up slice by slice (numerical integration)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.25, noNaN: true }),
        fc.double({ min: 0.5, max: 0.8, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (friction, radialRatio, height) => {
          const gland = ask('packing.gland', { ...box, friction, radialRatio, height: `${height} in` });
          const slices = 4000;
          const dx = height / slices;
          const decay = (4 * radialRatio * friction * 2.5) / 1.25;
          let sum = 0;
          for (let i = 0; i < slices; i++)
            sum += friction * radialRatio * 4000 * Math.exp(-decay * (i + 0.5) * dx) * Math.PI * dx;
          expect(gland.in('stemFriction', 'lbf')).toBeCloseTo(sum, 2);
        },
      ),
      { seed: 21, numRuns: 25 },
    );
  });
  it('a deeper box passes less to the bottom (property)', () => {
    const bottom = (height: number) =>
      ask('packing.gland', { ...box, height: `${height} in` }).in('stressAtBottom', 'psi');
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (height) => {
        expect(bottom(height * 1.1)).toBeLessThan(bottom(height));
      }),
      { seed: 22 },
    );
  });
  it('says so when hardly half reaches the bottom ring', () => {
    expect(ask('packing.gland', { ...box, height: '3 in' }).notes).toContain('reaches the bottom ring');
    expect(ask('packing.gland', box).notes).not.toContain('reaches the bottom ring');
  });
  it('the same in SI', () => {
    const metric = ask('packing.gland', {
      ...box,
      stem: '25.4 mm',
      bore: '38.1 mm',
      height: '23.8125 mm',
      stress: { value: 4000 * 0.006894757293168, unit: 'MPa' },
    });
    expect(metric.quantity('force').unit).toBe('N');
    expect(metric.in('force', 'lbf')).toBeCloseTo(3926.99, 1);
  });
  it.each([
    [{ ...box, bore: '1 in' }, 'input.out-of-range'],
    [{ ...box, friction: 0 }, 'input.invalid'],
    [{ ...box, studs: 0 }, 'input.invalid'],
    [{ ...box, stress: '4000' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('packing.gland', raw).code).toBe(code);
  });
});

describe('packing.rings in metric', () => {
  it('25 mm stem in a 41 mm box: 8 mm packing, 103.7 mm long (π × mean diameter)', () => {
    const ring = ask('packing.rings', { stem: '25 mm', bore: '41 mm', depth: '60 mm', glandEntry: '6 mm' });
    expect(ring.quantity('section')).toMatchObject({ value: expect.closeTo(8, 9), unit: 'mm' });
    expect(ring.in('length', 'mm')).toBeCloseTo(Math.PI * 33, 6);
    expect(ring.result).toMatchObject({ rings: 9, snug: true });
    expect(ring.steps[0]?.result).toBe('8 mm');
  });
  it.each([
    ['1/8', true],
    ['9/16', true],
    ['3/4', true],
    ['0.59', false],
    ['27/32', false],
    ['0.33', true],
    ['15/16', false],
  ])(
    'a section of %s in is snug: %s (stock by 1/16 to 5/8, then 1/8, metric; handbook part 3)',
    (section, snug) => {
      const [top, bottom] = section.split('/').map(Number);
      const size = (top ?? 0) / (bottom ?? 1);
      expect(
        ask('packing.rings', { stem: '2 in', bore: `${2 + 2 * size} in`, depth: '8 in', glandEntry: '0 in' })
          .result['snug'],
      ).toBe(snug);
    },
  );
});

describe('oring.fit', () => {
  const ring = {
    insideDiameter: '0.734 in',
    section: '0.139 in',
    glandDepth: '0.113 in',
    glandWidth: '0.187 in',
    rod: '0.750 in',
    motion: 'moving',
  };
  it('-210 in its gland: squeeze, stretch and fill by their definitions', () => {
    const fit = ask('oring.fit', ring);
    expect(fit.in('squeeze', '%')).toBeCloseTo(((0.139 - 0.113) / 0.139) * 100, 6);
    expect(fit.in('stretch', '%')).toBeCloseTo((0.75 / 0.734 - 1) * 100, 6);
    expect(fit.in('fill', '%')).toBeCloseTo(((Math.PI / 4) * 0.139 ** 2 * 100) / (0.113 * 0.187), 6);
    expect(fit.result['verdict']).toBe('fit');
    expect(fit.notes).toContain('-210');
  });
  it.each([
    [{ glandDepth: '0.130 in' }, /under 10 to 20 %/],
    [{ glandDepth: '0.105 in' }, /over 10 to 20 %/],
    [{ rod: '0.80 in' }, /more than 5 %/],
    [{ rod: '0.70 in' }, /loose/],
    [{ glandWidth: '0.140 in' }, /85 % full/],
    [{ motion: 'static', glandDepth: '0.120 in' }, /under 15 to 30 %/],
  ])('%j is not fit (squeeze, stretch and fill of handbook part 3)', (change, reason) => {
    const { result } = ask('oring.fit', { ...ring, ...change });
    expect(result['verdict']).toBe('not fit');
    expect(String(result['reasons'])).toMatch(reason);
  });
  it('25 % squeeze is fit at rest and not when moving (handbook part 3)', () => {
    const depth = { glandDepth: `${0.139 * 0.75} in`, glandWidth: '0.21 in' };
    expect(ask('oring.fit', { ...ring, ...depth, motion: 'static' }).result['verdict']).toBe('fit');
    expect(ask('oring.fit', { ...ring, ...depth, motion: 'dynamic' }).result['verdict']).toBe('not fit');
  });
  it('on a piston it is stretched over the groove bottom, bore less two depths', () => {
    const { rod: _rod, ...piston } = ring;
    const bore = 0.75 + 2 * 0.113;
    expect(ask('oring.fit', { ...piston, bore: `${bore} in` }).in('stretch', '%')).toBeCloseTo(
      (0.75 / 0.734 - 1) * 100,
      6,
    );
  });
  it.each([
    [{ ...ring, bore: '1 in' }, 'input.conflict'],
    [{ ...ring, rod: undefined }, 'input.invalid'],
    [{ ...ring, motion: 'swimming' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('oring.fit', raw).code).toBe(code);
  });
});

describe('elastomer.compatibility (handbook part 3, Packing; common practice)', () => {
  it.each([
    ['EPDM', { lubricant: 'mineral oil' }, 'stop'],
    ['EPDM', { lubricant: 'mineral grease' }, 'stop'],
    ['EPDM', { lubricant: 'silicone grease' }, 'fit'],
    ['EPDM', { lubricant: 'soap solution' }, 'fit'],
    ['EPDM', { medium: 'steam' }, 'fit'],
    ['EPDM', { medium: 'mineral oil' }, 'stop'],
    ['NBR', { medium: 'mineral oil', lubricant: 'mineral grease' }, 'fit'],
    ['NBR', { medium: 'ozone' }, 'stop'],
    ['NBR', { medium: 'brake fluid' }, 'stop'],
    ['FKM', { medium: 'steam' }, 'stop'],
    ['FKM', { medium: 'hot water' }, 'stop'],
    ['FKM steam grade', { medium: 'steam' }, 'fit'],
    ['FKM', { medium: 'amines' }, 'stop'],
    ['FKM', { medium: 'ketones' }, 'stop'],
    ['silicone', { lubricant: 'silicone oil' }, 'stop'],
    ['PTFE', { medium: 'ketones', lubricant: 'mineral oil' }, 'fit'],
    ['NBR', { medium: 'oxygen', lubricant: 'mineral grease' }, 'stop'],
    ['NBR', { medium: 'hydrogen sulphide' }, 'ask'],
    ['nitrile', { medium: 'water' }, 'fit'],
  ])('%s with %j: %s', (elastomer, given, verdict) => {
    expect(ask('elastomer.compatibility', { elastomer, ...given }).result['verdict']).toBe(verdict);
  });

  it('outside its temperatures it stops, in °F and °C alike', () => {
    expect(
      ask('elastomer.compatibility', { elastomer: 'NBR', temperature: '130 °C' }).result['verdict'],
    ).toBe('stop');
    expect(
      ask('elastomer.compatibility', { elastomer: 'NBR', temperature: '266 °F' }).result['verdict'],
    ).toBe('stop');
    expect(
      ask('elastomer.compatibility', { elastomer: 'NBR', temperature: '180 °F' }).result['verdict'],
    ).toBe('fit');
  });

  it.each([
    ['NBR', 'ISO 2230', 7, 3],
    ['HNBR', 'ISO 2230', 7, 3],
    ['CR', 'ISO 2230', 7, 3],
    ['EPDM', 'ISO 2230', 10, 5],
    ['FKM', 'ISO 2230', 10, 5],
    ['silicone', 'ISO 2230', 10, 5],
    ['NR', 'ISO 2230', 5, 2],
    ['SBR', 'ISO 2230', 5, 2],
    ['PU', 'ISO 2230', 5, 2],
    ['NBR', 'AS5316', 15, 0],
    ['PU', 'AS5316', 5, 0],
    ['SBR', 'AS5316', 3, 0],
  ])(
    '%s by %s keeps %d + %d years from its cure date (handbook part 3)',
    (elastomer, school, years, extension) => {
      const verdict = (on: string) =>
        ask('elastomer.compatibility', { elastomer, school, cureDate: '2010-04-01', on }).result['verdict'];
      expect(verdict(`${2010 + years}-04-01`)).toBe('fit');
      expect(verdict(`${2010 + years}-04-02`)).toBe(extension > 0 ? 'ask' : 'stop');
      expect(verdict(`${2010 + years + extension}-04-02`)).toBe('stop');
    },
  );
  it.each(['EPDM', 'FKM', 'silicone'])('%s is unlimited by AS5316 (handbook part 3)', (elastomer) => {
    expect(
      ask('elastomer.compatibility', { elastomer, school: 'AS5316', cureDate: '1990-01', on: '2026-01-01' })
        .result['verdict'],
    ).toBe('fit');
  });
  it('the quarter on a bag is its first day', () => {
    const on = (day: string) =>
      ask('elastomer.compatibility', { elastomer: 'NR', cureDate: '3Q20', on: day }).result['verdict'];
    expect([on('2025-07-01'), on('2025-07-02')]).toEqual(['fit', 'ask']);
  });
  it.each([
    [{ elastomer: 'NBR', cureDate: '2Q24' }, 'input.conflict'],
    [{ elastomer: 'NBR', cureDate: '2026-03-02', on: '2026-03-01' }, 'input.conflict'],
    [{ elastomer: 'NBR', cureDate: '5Q24', on: '2026-01-01' }, 'input.invalid'],
    [{ elastomer: 'NBR', cureDate: '2024-02-31', on: '2026-01-01' }, 'input.invalid'],
    [{ elastomer: 'unobtainium' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('elastomer.compatibility', raw).code).toBe(code);
  });
  it('every elastomer has a verdict with a reason for every medium and lubricant', () => {
    for (const elastomer of ELASTOMERS)
      for (const medium of SEAL_MEDIA)
        for (const lubricant of SEAL_LUBRICANTS) {
          const { result } = ask('elastomer.compatibility', { elastomer, medium, lubricant });
          expect(['fit', 'ask', 'stop']).toContain(result['verdict']);
          expect(String(result['reasons']).length).toBeGreaterThan(5);
        }
  });
  it('no medium is both wrong and to be asked about', () => {
    for (const data of Object.values(ELASTOMER_DATA))
      expect(Object.keys(data.no).filter((medium) => medium in data.ask)).toEqual([]);
  });
});
