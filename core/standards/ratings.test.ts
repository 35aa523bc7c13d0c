import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { psig, valueIn } from '../quantity';
import {
  class150Ceiling,
  LEAST_TEMPERATURE_F,
  MATERIAL_GROUPS,
  PRESSURE_CLASSES,
  ratingAt,
  ratingAt100F,
  RATINGS,
  type MaterialGroup,
  type PressureClass,
} from '.';

/** Working pressures, psig, in the order of the classes 150 to 2500; ASME B16.34 as in handbook part 5.3. */
const HANDBOOK: Readonly<Partial<Record<MaterialGroup, string>>> = {
  '1.1': `
    850 | 65 320 640 955 1595 2655
    900 | 50 230 460 690 1150 1915
    950 | 35 135 275 410 685 1145
    1000 | 20 85 170 255 430 715`,
  '1.2': `
    100 | 290 750 1500 2250 3750 6250
    500 | 170 665 1330 1995 3325 5540`,
  '1.3': `
    100 | 265 695 1395 2090 3480 5805
    500 | 170 585 1175 1760 2930 4885`,
  '1.9': `
    100 | 290 750 1500 2250 3750 6250
    500 | 170 665 1330 1995 3325 5540
    900 | 50 450 900 1350 2245 3745
    1000 | 20 215 430 650 1080 1800`,
  '1.10': `
    100 | 290 750 1500 2250 3750 6250
    1000 | 20 265 535 800 1335 2230`,
  '2.1': `
    100 | 275 720 1440 2160 3600 6000
    300 | 205 540 1075 1615 2690 4480
    500 | 170 465 930 1395 2330 3880
    700 | 110 420 845 1265 2110 3520
    800 | 80 405 810 1215 2030 3380`,
  '2.2': `
    100 | 275 720 1440 2160 3600 6000
    200 | 235 620 1240 1860 3095 5160
    400 | 195 515 1025 1540 2570 4280
    600 | 140 450 900 1355 2255 3760
    800 | 80 420 845 1265 2110 3520`,
  '2.3': `
    100 | 230 600 1200 1800 3000 5000
    400 | 160 420 840 1260 2100 3500
    650 | 125 365 730 1095 1825 3040
    800 | 80 345 690 1035 1730 2880`,
  '2.8': `
    100 | 290 750 1500 2250 3750 6250
    500 | 170 575 1150 1730 2880 4800`,
};

const rows = MATERIAL_GROUPS.flatMap((group) =>
  (HANDBOOK[group] ?? '')
    .trim()
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => {
      const [fahrenheit = '', pressures = ''] = line.split('|');
      return [group, Number(fahrenheit), pressures.trim().split(' ').map(Number)] as const;
    }),
);
const at = (pressureClass: number, group: MaterialGroup, fahrenheit: number): number =>
  valueIn(must(ratingAt(pressureClass, group, fahrenheit)).pressure, 'psig');

describe('working pressure (ASME B16.34, handbook part 5.3)', () => {
  it.each(rows)('group %s at %d °F is as the table has it', (group, fahrenheit, pressures) => {
    expect(PRESSURE_CLASSES.map((each) => Math.round(at(each, group, fahrenheit)))).toEqual(pressures);
  });
  it.each(MATERIAL_GROUPS)(
    'group %s: classes 300 to 2500 are in proportion, within the rounding',
    (group) => {
      for (const [fahrenheit, , ...pressures] of RATINGS[group]) {
        const highest = pressures.at(-1) ?? NaN;
        for (const [i, each] of PRESSURE_CLASSES.slice(1).entries())
          expect(
            Math.abs((pressures[i] ?? NaN) - (highest * each) / 2500),
            `${group} at ${String(fahrenheit)} °F, class ${each}`,
          ).toBeLessThanOrEqual(5);
      }
    },
  );
  it.each(MATERIAL_GROUPS)('group %s: class 150 keeps under its line, and nothing gains by heat', (group) => {
    const table = RATINGS[group];
    for (const [i, [fahrenheit, class150 = -Infinity, ...others]] of table.entries()) {
      if (fahrenheit >= 500) expect(class150).toBeLessThanOrEqual(class150Ceiling(fahrenheit) + 1e-9);
      const before = table[i - 1];
      if (before) {
        expect(class150).toBeLessThanOrEqual(before[1] ?? 0);
        for (const [j, each] of others.entries()) expect(each).toBeLessThanOrEqual(before[j + 2] ?? NaN);
      }
    }
  });
  it('between two rows it is a straight line: 2.2, class 300, 250 °F is midway of 620 and 560', () => {
    expect(at(300, '2.2', 250)).toBeCloseTo(590, 6);
  });
  it('colder than 100 °F it is the rating at 100 °F, and colder than the table there is none', () => {
    expect(at(600, '1.1', 40)).toBe(at(600, '1.1', 100));
    expect(ratingAt(600, '1.1', LEAST_TEMPERATURE_F - 1).ok).toBe(false);
    expect(ratingAt(600, '1.1', 2000).ok).toBe(false);
  });
  it('a class that is not made is refused, whichever the group (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3000 }), fc.constantFrom(...MATERIAL_GROUPS), (each, group) => {
        const made = ratingAt100F(each, group);
        if (PRESSURE_CLASSES.includes(each as PressureClass)) expect(made.ok).toBe(true);
        else if (!made.ok) expect(made.problem.code).toBe('table.no-entry');
      }),
      { seed: 34 },
    );
  });
  it('never rises with temperature or falls with class (property)', () => {
    const temperature = fc.integer({ min: 100, max: 500 });
    fc.assert(
      fc.property(temperature, temperature, fc.constantFrom(...MATERIAL_GROUPS), (one, other, group) => {
        const [cool, hot] = [Math.min(one, other), Math.max(one, other)];
        const found = PRESSURE_CLASSES.map((each) => [at(each, group, cool), at(each, group, hot)] as const);
        for (const [i, [colder, hotter]] of found.entries()) {
          expect(hotter).toBeLessThanOrEqual(colder + 1e-9);
          expect(colder).toBeGreaterThan(found[i - 1]?.[0] ?? 0);
        }
      }),
      { seed: 35, numRuns: 60 },
    );
  });
});

describe('class 800 of small forged valves (API 602, handbook part 5.3)', () => {
  it('group 1.1 is 1975 psig at 100 °F', () => {
    expect(valueIn(must(ratingAt100F(800, '1.1')), 'psig')).toBe(valueIn(psig(1975), 'psig'));
  });
});

describe('rows an independent check found wrong or missing (ASME B16.34; confidence beside the table)', () => {
  it.each([
    ['1.9', 950, [35, 320, 640, 955, 1595, 2655]],
    ['1.9', 600, [140, 605, 1210, 1815, 3025, 5040]],
    ['1.10', 600, [140, 605, 1210, 1815, 3025, 5040]],
    ['1.3', 200, [255, 660, 1320, 1980, 3300, 5505]],
    ['1.3', 300, [230, 640, 1275, 1915, 3190, 5315]],
    ['2.8', 400, [200, 615, 1230, 1845, 3070, 5120]],
    ['1.2', 200, [260, 750, 1500, 2250, 3750, 6250]],
    ['1.2', 400, [200, 705, 1405, 2110, 3520, 5865]],
    ['1.2', 700, [110, 555, 1110, 1665, 2775, 4630]],
    ['1.9', 300, [230, 720, 1445, 2165, 3610, 6015]],
    ['1.9', 400, [200, 695, 1385, 2080, 3465, 5775]],
  ] as const)('group %s at %d °F', (group, fahrenheit, listed) => {
    expect(PRESSURE_CLASSES.map((each) => must(ratingAt(each, group, fahrenheit)).pressure.value)).toEqual(
      listed,
    );
  });
  it('falls as it gets hotter, is larger in a larger class, and no step between rows is over 100 °F', () => {
    for (const group of MATERIAL_GROUPS) {
      const rows = RATINGS[group];
      rows.forEach(([at, first = 0, ...rest], i) => {
        const psi = [first, ...rest];
        expect(psi, `${group} ${at}`).toEqual([...psi].sort((a, b) => a - b));
        const before = rows[i - 1];
        if (!before) return;
        expect(at - before[0]).toBeLessThanOrEqual(100);
        psi.forEach((each, k) => {
          expect(each, `${group} ${at}`).toBeLessThanOrEqual(before[k + 1] ?? 0);
        });
      });
    }
  });
  it('class 150 never rates above 320 − 0.3 T', () => {
    for (const group of MATERIAL_GROUPS)
      for (const [at, first = -Infinity] of RATINGS[group])
        if (at > 100) expect(first).toBeLessThanOrEqual(320 - 0.3 * at + 1e-9);
  });
  it('below −20 °F: the 100 °F rating for grades bought for it, refused for the others', () => {
    expect(must(ratingAt(300, '1.2', -50)).pressure.value).toBe(750);
    expect(must(ratingAt(300, '2.1', -320)).pressure.value).toBe(720);
    expect(ratingAt(300, '1.1', -21).ok).toBe(false);
    expect(ratingAt(300, '1.2', -60).ok).toBe(false);
  });
});
