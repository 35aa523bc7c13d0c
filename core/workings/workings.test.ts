import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { inches, quantity, si, thou, valueIn, type Length, type Torque } from '../quantity';
import { parseThread, STUD_THREADS } from '../standards';
import { refusal } from '../testing/ask';
import {
  boltingSequence,
  boltingTorque,
  crossPattern,
  findWorking,
  leakAllowance,
  seatContact,
  stemRunout,
  testPressures,
  WORKINGS,
} from '.';

const run = (id: string, raw: unknown) => must(must(findWorking(id)).run(raw)).result;
const refused = (id: string, raw: unknown) => must(findWorking(id)).run(raw).problem;

describe('bolting.torque', () => {
  it('3/4-10 at 50 ksi: 16 723 lbf, 209 lbf·ft at K 0.20 (handbook part 3, Bolting)', () => {
    const { preload, torque } = must(
      boltingTorque.work({
        thread: must(parseThread('3/4-10')),
        nutFactor: 0.2,
        stress: quantity('stress', 50, 'ksi'),
      }),
    ).result;
    expect(valueIn(preload, 'lbf')).toBeCloseTo(16723, 0);
    expect(valueIn(torque, 'lbf·ft')).toBeCloseTo(209, 0);
  });

  it.each([
    ['1/2-13', 59, 44],
    ['5/8-11', 118, 88],
    ['3/4-10', 209, 157],
    ['7/8-9', 337, 253],
    ['1-8', 505, 379],
    ['1 1/8-8', 741, 556],
    ['1 1/4-8', 1041, 781],
    ['1 3/8-8', 1413, 1060],
    ['1 1/2-8', 1865, 1399],
  ])(
    '%s at 50 ksi: %d dry, %d with anti-seize, lbf·ft (handbook part 5.1, computed there)',
    (thread, dry, lubricated) => {
      for (const [nutFactor, expected] of [
        [0.2, dry],
        [0.15, lubricated],
      ] as const) {
        const { torque } = run('bolting.torque', { thread, nutFactor, stress: '50 ksi' });
        expect(torque).toMatchObject({ unit: 'lbf·ft' });
        expect(Math.abs((torque as { value: number }).value - expected)).toBeLessThan(1.5);
      }
    },
  );

  it('takes yield by grade and size (ASTM A193: B7 105 ksi to 2 1/2 in; B8M class 2 80 ksi at 1 in)', () => {
    expect(
      run('bolting.torque', { thread: '1-8', nutFactor: '0.16', material: 'B7' })['stress'],
    ).toMatchObject({ value: 52.5, unit: 'ksi' });
    expect(
      run('bolting.torque', {
        thread: '1-8',
        nutFactor: 0.16,
        material: 'B8M class 2',
        percentYield: '40 %',
      })['stress'],
    ).toMatchObject({ value: 32 });
  });

  it('shows the band that ±30 % scatter gives (common practice) and warns above 70 % of yield', () => {
    const answer = must(
      must(findWorking('bolting.torque')).run({
        thread: '3/4-10',
        nutFactor: 0.2,
        material: 'B7',
        percentYield: '80 %',
      }),
    );
    const [low, mid, high] = ['preloadLow', 'preload', 'preloadHigh'].map(
      (name) => (answer.result[name] as { value: number }).value,
    );
    expect((low ?? 0) / (mid ?? 1)).toBeCloseTo(0.7, 9);
    expect((high ?? 0) / (mid ?? 1)).toBeCloseTo(1.3, 9);
    expect(answer.notes.join(' ')).toContain('80 % of yield');
  });

  it('same answer in US and SI (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STUD_THREADS),
        fc.double({ min: 1, max: 60, noNaN: true }),
        ([designation], ksi) => {
          const us = run('bolting.torque', {
            thread: designation,
            nutFactor: 0.17,
            stress: { value: ksi, unit: 'ksi' },
          });
          const metric = run('bolting.torque', {
            thread: designation,
            nutFactor: 0.17,
            stress: { value: ksi * 6.894757293168, unit: 'MPa' },
          });
          const [inMetric, inUs] = [metric, us].map((answer) => si(answer['torque'] as Torque));
          expect(inMetric).toBeCloseTo(inUs ?? 0, 6);
        },
      ),
      { seed: 1 },
    );
  });

  it.each([
    [{ thread: '3/4-10', nutFactor: 0.2 }, 'input.conflict'],
    [{ thread: '3/4-10', nutFactor: 0.2, stress: '50 ksi', preload: '100 lbf' }, 'input.conflict'],
    [{ thread: '3/4-10', nutFactor: 0.2, material: 'B7', percentYield: '120 %' }, 'input.out-of-range'],
    [{ thread: '2-8', nutFactor: 0.2, material: 'B8 class 2' }, 'table.no-entry'],
    [{ thread: 'nonsense', nutFactor: 0.2, stress: '50 ksi' }, 'input.invalid'],
    [{ thread: '3/4-10', nutFactor: 0.2, stress: '-5 ksi' }, 'input.invalid'],
    [{ thread: '3/4-10', nutFactor: 0.2, stress: '25 mm' }, 'input.invalid'],
    [{ thread: '3/4-10', nutFactor: 9, stress: '50 ksi' }, 'input.invalid'],
    [{ thread: '3/4-10', nutFactor: 0.2, stress: '50 ksi', extra: 1 }, 'input.invalid'],
    [null, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refused('bolting.torque', raw)?.code).toBe(code);
  });
});

describe('bolting.sequence', () => {
  it.each([
    [4, [1, 3, 2, 4]],
    [8, [1, 5, 3, 7, 2, 6, 4, 8]],
    [12, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]],
    [16, [1, 9, 5, 13, 3, 11, 7, 15, 2, 10, 6, 14, 4, 12, 8, 16]],
  ])('%d bolts (ASME PCC-1 legacy pattern)', (bolts, order) => {
    expect(crossPattern(bolts)).toEqual(order);
  });

  it('every count from 3 to 96: each bolt once; even counts go by opposite pairs', () => {
    for (let bolts = 3; bolts <= 96; bolts++) {
      const order = crossPattern(bolts);
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: bolts }, (_, i) => i + 1));
      if (bolts % 2 === 0) {
        for (let i = 0; i < bolts; i += 2)
          expect(Math.abs((order[i] ?? 0) - (order[i + 1] ?? 0))).toBe(bolts / 2);
      }
    }
  });

  it('five bolts go round the star 1-3-5-2-4 (common practice)', () => {
    expect(crossPattern(5)).toEqual([1, 3, 5, 2, 4]);
  });

  it('quarters then a circular pass at full torque', () => {
    const { passes, circularPass } = must(
      boltingSequence.work({ bolts: 8, passes: 'quarters', torque: quantity('torque', 120, 'lbf·ft') }),
    ).result;
    expect(passes.map((pass) => [pass.percent, pass.torque.value])).toEqual([
      [25, 30],
      [50, 60],
      [75, 90],
      [100, 120],
    ]);
    expect(circularPass).toMatchObject({ percent: 100, order: [1, 2, 3, 4, 5, 6, 7, 8] });
  });
});

describe('packing.rings', () => {
  const box = { stem: '1.000 in', bore: '1.500 in', depth: '2 in', glandEntry: '1/4 in' };
  it('stem 1.000, bore 1.500: section 0.250, length 3.927 in (handbook part 3, Packing)', () => {
    const result = run('packing.rings', box);
    expect(result['section']).toMatchObject({ value: expect.closeTo(0.25, 6) });
    expect(result['length']).toMatchObject({ value: expect.closeTo(3.927, 3) });
    expect(result['snug']).toBe(true);
  });
  it('counts compressed rings: 1.75 in usable, braided 0.1875 in each, 9', () => {
    expect(run('packing.rings', box)['rings']).toBe(9);
    expect(run('packing.rings', { ...box, style: 'die-formed' })['rings']).toBe(8);
  });
  it('sets the lantern ring under its port after compression (common practice)', () => {
    expect(
      run('packing.rings', { ...box, lanternRing: '1/2 in', portDepth: '1 in' })['ringsBelowLantern'],
    ).toBe(4);
  });
  it('a section 1/32 in off every stock size is wrong packing (handbook: more than 1/64 in)', () => {
    expect(
      run('packing.rings', { ...box, bore: `${1 + 2 * (0.875 + 1 / 16)} in`, depth: '4 in' })['snug'],
    ).toBe(false);
  });
  it('same ring in US and SI, longer for a larger stem (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.25, max: 4, noNaN: true }),
        fc.double({ min: 0.125, max: 1, noNaN: true }),
        (stem, section) => {
          const us = run('packing.rings', {
            stem: inch(stem),
            bore: inch(stem + 2 * section),
            depth: inch(10),
            glandEntry: inch(0.25),
          });
          const metric = run('packing.rings', {
            stem: mm(stem),
            bore: mm(stem + 2 * section),
            depth: mm(10),
            glandEntry: mm(0.25),
          });
          expect(metric['rings']).toBe(us['rings']);
          expect((metric['length'] as { value: number }).value).toBeCloseTo(
            (us['length'] as { value: number }).value * 25.4,
            6,
          );
          expect((us['length'] as { value: number }).value).toBeGreaterThan(Math.PI * stem);
        },
      ),
      { seed: 2 },
    );
    function inch(value: number) {
      return { value, unit: 'in' };
    }
    function mm(value: number) {
      return { value: value * 25.4, unit: 'mm' };
    }
  });
  it.each([
    [{ ...box, bore: '1 in' }, 'input.out-of-range'],
    [{ ...box, depth: '0.3 in' }, 'input.out-of-range'],
    [{ ...box, stem: '0 in' }, 'input.invalid'],
    [{ ...box, lanternRing: '1/2 in', portDepth: '5 in' }, 'input.out-of-range'],
  ])('refuses %j', (raw, code) => {
    expect(refused('packing.rings', raw)?.code).toBe(code);
  });
});

describe('stem.runout', () => {
  const readings = (n: number, bow: number, high: number, oval = 0) =>
    Array.from({ length: n }, (_, i) =>
      thou(bow * Math.cos((2 * Math.PI * i) / n - high) + oval * Math.cos((4 * Math.PI * i) / n)),
    );

  it('a pure bow: TIR is twice the axis offset (definition of TIR)', () => {
    const { tir, bow, bowAngle, outOfRound } = must(
      stemRunout.work({ readings: readings(12, 3, Math.PI / 2) }),
    ).result;
    expect(tir.value).toBeCloseTo(6, 9);
    expect(bow.value).toBeCloseTo(3, 9);
    expect(bowAngle?.value).toBeCloseTo(90, 6);
    expect(outOfRound.value).toBeCloseTo(0, 9);
  });

  it('an oval of diameter difference 4·A2 is not called a bend', () => {
    const { bow, outOfRound, verdict } = must(
      stemRunout.work({ readings: readings(12, 0, 0, 2), limit: thou(3) }),
    ).result;
    expect(bow.value).toBeCloseTo(0, 9);
    expect(outOfRound.value).toBeCloseTo(8, 9);
    expect(verdict).toBe('regrind or renew');
  });

  it('agrees with a least-squares solution by the normal equations (reference method)', () => {
    const dial = [-0.1, 1.2, 2.6, 3.7, 4.6, 5.0, 4.6, 3.3, 1.5, -0.2, -1.2, -1.1];
    const { bow, outOfRound, tir } = must(
      stemRunout.work({ readings: dial.map(thou), limit: thou(5) }),
    ).result;
    const [, a1, b1, a2, b2] = normalEquations(dial);
    expect(bow.value).toBeCloseTo(Math.hypot(a1 ?? 0, b1 ?? 0), 9);
    expect(outOfRound.value).toBeCloseTo(4 * Math.hypot(a2 ?? 0, b2 ?? 0), 9);
    expect(tir.value).toBeCloseTo(6.2, 9);
  });

  it('judges against the limit, and says so when none is given', () => {
    expect(must(stemRunout.work({ readings: readings(12, 2, 1), limit: thou(5) })).result.verdict).toBe(
      'fit',
    );
    expect(must(stemRunout.work({ readings: readings(12, 3, 1), limit: thou(5) })).result.verdict).toBe(
      'renew',
    );
    expect(must(stemRunout.work({ readings: readings(12, 3, 1) })).result.verdict).toBe('no limit given');
  });

  it('finds the high spot and the bow whatever the dial zero and unit (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 48 }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 0.01, max: 6.2, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (n, bow, high, zero) => {
          const shifted = readings(n, bow, high).map((reading) => ({
            value: (reading.value + zero) * 0.0254,
            unit: 'mm',
          }));
          const result = run('stem.runout', { readings: shifted });
          expect(valueIn(result['bow'] as Length, 'thou')).toBeCloseTo(bow, 6);
          expect((result['bowAngle'] as { value: number }).value).toBeCloseTo((high * 180) / Math.PI, 4);
        },
      ),
      { seed: 3 },
    );
  });

  it('refuses fewer than five readings', () => {
    expect(refused('stem.runout', { readings: ['1 thou', '2 thou', '1 thou', '0 thou'] })?.code).toBe(
      'input.too-few',
    );
  });

  function normalEquations(values: number[]): number[] {
    const rows = values.map((_, i) => {
      const angle = (2 * Math.PI * i) / values.length;
      return [1, Math.cos(angle), Math.sin(angle), Math.cos(2 * angle), Math.sin(2 * angle)];
    });
    const matrix = [0, 1, 2, 3, 4].map((r) => [
      ...[0, 1, 2, 3, 4].map((c) => rows.reduce((t, row) => t + (row[r] ?? 0) * (row[c] ?? 0), 0)),
      rows.reduce((t, row, i) => t + (row[r] ?? 0) * (values[i] ?? 0), 0),
    ]);
    for (let p = 0; p < 5; p++) {
      for (let r = 0; r < 5; r++) {
        if (r === p) continue;
        const factor = (matrix[r]?.[p] ?? 0) / (matrix[p]?.[p] ?? 1);
        for (let c = 0; c < 6; c++) {
          const row = matrix[r];
          if (row) row[c] = (row[c] ?? 0) - factor * (matrix[p]?.[c] ?? 0);
        }
      }
    }
    return matrix.map((row, i) => (row[5] ?? 0) / (row[i] ?? 1));
  }
});

describe('test.pressures (API 598 on ASME B16.34 ratings; handbook parts 3 and 5)', () => {
  it.each([
    [150, 450, 314],
    [300, 1125, 814],
    [600, 2225, 1628],
    [900, 3350, 2442],
    [1500, 5575, 4076],
    [2500, 9275, 6787],
  ])('class %d, group 1.1: shell %d, closure %d psig', (pressureClass, shell, closure) => {
    const result = must(testPressures.work({ class: pressureClass })).result;
    expect([result.shell.value, result.closureHigh.value, result.backseat.value]).toEqual([
      shell,
      closure,
      closure,
    ]);
  });
  it.each([
    ['2.2', [425, 1100, 2175, 3250, 5400, 9000]],
    ['2.3', [350, 900, 1800, 2700, 4500, 7500]],
    ['1.2', [450, 1125, 2250, 3375, 5625, 9375]],
    ['1.3', [400, 1050, 2100, 3150, 5225, 8725]],
  ] as const)('shell tests of group %s', (group, shells) => {
    expect(
      [150, 300, 600, 900, 1500, 2500].map(
        (each) => must(testPressures.work({ class: each, group })).result.shell.value,
      ),
    ).toEqual(shells);
  });
  it('high-pressure closure of group 2.2', () => {
    expect(
      [150, 300, 600, 900, 1500, 2500].map(
        (each) => must(testPressures.work({ class: each, group: '2.2' })).result.closureHigh.value,
      ),
    ).toEqual([303, 792, 1584, 2376, 3960, 6600]);
  });
  it('class 800 by its rated pressure (API 602: 1975 psig → shell 2975)', () => {
    expect(run('test.pressures', { ratedPressure: '1975 psig' })['shell']).toMatchObject({ value: 2975 });
  });
  it.each([
    [{}, 'input.conflict'],
    [{ class: 300, ratedPressure: '740 psig' }, 'input.conflict'],
    [{ class: 250 }, 'table.no-entry'],
  ])('refuses %j', (raw, code) => {
    expect(refused('test.pressures', raw)?.code).toBe(code);
  });
});

describe('leak.allowance (API 598, metal seats)', () => {
  const globe = (size: string, fluid: string, edition?: string) =>
    run('leak.allowance', {
      code: 'API 598',
      size,
      valve: 'globe',
      seat: 'metal',
      class: '600',
      fluid,
      ...(edition ? { edition } : {}),
    });
  it.each([
    ['NPS 2', 0, 0, 15],
    ['NPS 3', 12, 24, 60],
    ['NPS 6', 12, 24, 60],
    ['NPS 8', 20, 40, 120],
    ['NPS 12', 20, 40, 120],
    ['NPS 14', 28, 56, 120],
    ['NPS 16', 32, 64, 120],
  ])('%s: %d drops or %d bubbles a minute, hold %d s', (size, drops, bubbles, hold) => {
    const liquid = globe(size, 'liquid', 'per-inch-over-12');
    expect(liquid['dropsPerMinute']).toBe(drops);
    expect(liquid['hold']).toMatchObject({ value: hold, unit: 's' });
    expect(globe(size, 'gas', 'per-inch-over-12')['bubblesPerMinute']).toBe(bubbles);
  });
  it.each([
    ['flat-over-12', 28, 56],
    ['per-inch-over-12', 40, 80],
    ['per-inch-over-2', 40, 80],
    [undefined, 28, 56],
  ])('edition %s at NPS 20', (edition, drops, bubbles) => {
    expect(globe('NPS 20', 'liquid', edition)['dropsPerMinute']).toBe(drops);
    expect(globe('NPS 20', 'gas', edition)['bubblesPerMinute']).toBe(bubbles);
  });
  it('unset edition is the stricter, and the source names it', () => {
    expect(globe('NPS 3', 'liquid')['dropsPerMinute']).toBe(6);
    const { source } = must(
      leakAllowance.work({
        code: 'API 598',
        size: { nps: 3 },
        valve: 'globe',
        seat: 'metal',
        class: '600',
        fluid: 'liquid',
      }),
    );
    expect(source.clause).toContain('stricter');
  });
  it('16 drops make a millilitre; 1.1 × rating for liquid, 60 psig gas', () => {
    const liquid = globe('NPS 3', 'liquid', 'per-inch-over-12');
    expect(liquid['flow']).toMatchObject({ value: 0.75, unit: 'mL/min' });
    expect(liquid['testPressure']).toMatchObject({ value: 1628 });
    expect(globe('NPS 3', 'gas')['testPressure']).toMatchObject({ value: 60 });
  });
  it('soft seats none; check valves 3 mL/min and 1.5 ft³/h per inch', () => {
    expect(
      run('leak.allowance', {
        code: 'API 598',
        size: 'DN 80',
        valve: 'ball',
        seat: 'soft',
        class: '300',
        fluid: 'gas',
      })['bubblesPerMinute'],
    ).toBe(0);
    expect(
      run('leak.allowance', {
        code: 'API 598',
        size: 'NPS 4',
        valve: 'check',
        seat: 'metal',
        class: '300',
        fluid: 'liquid',
      })['flow'],
    ).toMatchObject({ value: 12 });
    expect(
      run('leak.allowance', {
        code: 'API 598',
        size: 'NPS 4',
        valve: 'check',
        seat: 'metal',
        class: '300',
        fluid: 'gas',
      })['flow'],
    ).toMatchObject({ value: 6, unit: 'ft³/h' });
  });
  it('refuses a size that is none', () => {
    expect(
      refused('leak.allowance', {
        code: 'API 598',
        size: 'NPS 7',
        valve: 'globe',
        seat: 'metal',
        class: '600',
        fluid: 'gas',
      })?.code,
    ).toBe('input.invalid');
  });
});

describe('seat.contact', () => {
  const arc = (from: number, to: number, width = 0.03) => ({ from, to, width: { value: width, unit: 'in' } });
  it('a closed narrow ring is fit, a break is not, a wide one is not (common practice)', () => {
    expect(run('seat.contact', { diameter: '3 in', arcs: [arc(0, 360)] })['verdict']).toBe('fit');
    expect(run('seat.contact', { diameter: '3 in', arcs: [arc(10, 350)] })['verdict']).toBe('broken');
    expect(run('seat.contact', { diameter: '3 in', arcs: [arc(0, 360, 0.1)] })['verdict']).toBe('wide');
    expect(run('seat.contact', { diameter: '3 in', arcs: [] })['verdict']).toBe('no contact');
  });
  it.each([
    ['0.4° open on a 20 in seat: 0.07 in', '20 in', [arc(0, 359.6)]],
    ['0.4° open on a 3 in seat: 10 thou', '3 in', [arc(0, 359.6)]],
    [
      'three hundred short breaks',
      '3 in',
      Array.from({ length: 300 }, (_, i) => arc(1.2 * i + 0.49, 1.2 * (i + 1))),
    ],
  ])('%s is broken: a break counts by its length on the seat (common practice)', (_, diameter, arcs) => {
    expect(run('seat.contact', { diameter, arcs })['verdict']).toBe('broken');
  });
  it.each([0, -0.05])('a line %d in wide is no line', (width) => {
    const problem = refusal('seat.contact', { diameter: '3 in', arcs: [arc(0, 360, width)] });
    expect(problem.code).toBe('input.invalid');
  });
  it('measures the break along the seat: 20° of 3 in is 0.524 in', () => {
    const { gaps, continuity } = must(
      seatContact.work({
        diameter: inches(3),
        arcs: [{ from: quantity('angle', 10, '°'), to: quantity('angle', 350, '°'), width: thou(30) }],
      }),
    ).result;
    expect(continuity.value).toBeCloseTo((340 / 360) * 100, 6);
    expect(gaps).toHaveLength(1);
    expect(si(gaps[0]?.width ?? inches(0)) / 0.0254).toBeCloseTo((Math.PI * 3 * 20) / 360, 6);
  });
  it('overlaps and stretches over 12 o’clock count once (property against a degree-by-degree count)', () => {
    const stretch = fc.record({
      from: fc.integer({ min: 0, max: 359 }),
      length: fc.integer({ min: 1, max: 200 }),
    });
    fc.assert(
      fc.property(fc.array(stretch, { minLength: 1, maxLength: 8 }), (stretches) => {
        const covered = new Set(
          stretches.flatMap(({ from, length }) => Array.from({ length }, (_, i) => (from + i) % 360)),
        );
        const arcs = stretches.map(({ from, length }) => arc(from, (from + length) % 360));
        const { continuity } = run('seat.contact', { diameter: '3 in', arcs });
        expect((continuity as { value: number }).value).toBeCloseTo((covered.size / 360) * 100, 6);
      }),
      { seed: 4 },
    );
  });
});

describe('the registry', () => {
  it('has a label for every field and every named result, a source and words to find it by', () => {
    for (const working of WORKINGS) {
      expect(working.fields.length).toBeGreaterThan(0);
      expect(working.asks.length).toBeGreaterThan(2);
      expect(working.source.name).not.toBe('');
      expect(Object.values(working.results).every((label) => label.length > 1)).toBe(true);
    }
  });
  it('refuses an unknown working and names the known ones', () => {
    expect(findWorking('nothing').problem).toMatchObject({
      code: 'working.unknown',
      known: WORKINGS.map(({ id }) => id),
    });
  });
});
