import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import {
  API_526,
  class150Ceiling,
  CROSS_PATTERNS,
  DASH_SIZES,
  describeSource,
  dnOf,
  FLANGE_CLASSES,
  FLANGE_SIZES,
  flangeStuds,
  formatSize,
  GASKET_FACTORS,
  heavyHexAcrossFlats,
  isSmallOrifice,
  METRIC_COARSE,
  nearestDash,
  NOMINAL_SIZES,
  NUT_FACTORS,
  ORIFICE_AREAS_IN2,
  ORIFICES,
  parseSize,
  parseThread,
  PRESSURE_CLASSES,
  RATINGS,
  ringNumber,
  SET_TOLERANCES,
  siteRule,
  standard,
  STUD_MATERIALS,
  studLengthIn,
  studYieldKsi,
  WEDGE_WEAR_TRAVEL,
} from '.';

describe('cross patterns (ASME PCC-1 legacy, handbook part 5.2)', () => {
  it.each(Object.entries(CROSS_PATTERNS))(
    '%s bolts: every bolt once, opposite pairs, then a quarter turn',
    (count, order) => {
      const bolts = Number(count);
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: bolts }, (_, i) => i + 1));
      for (let i = 0; i < bolts; i += 2)
        expect(Math.abs((order[i] ?? 0) - (order[i + 1] ?? 0))).toBe(bolts / 2);
      if (bolts % 4 === 0) expect(order[2]).toBeGreaterThan(1);
    },
  );
});

describe('studs (ASTM A193/A320, handbook part 5.1)', () => {
  it.each([
    ['B7', 2.5, 105],
    ['B7', 2.75, 95],
    ['B7', 4.5, 75],
    ['B7M', 2.5, 80],
    ['B7M', 5, 75],
    ['L7', 2.5, 105],
    ['L7M', 1, 80],
    ['B16', 5, 85],
    ['B8 class 1', 6, 30],
    ['B8 class 2', 0.75, 100],
    ['B8 class 2', 1, 80],
    ['B8 class 2', 1.25, 65],
    ['B8 class 2', 1.5, 50],
    ['B8M class 2', 0.75, 95],
  ] as const)('%s at %d in yields at %d ksi', (grade, diameter, ksi) => {
    expect(studYieldKsi(grade, diameter)).toBe(ksi);
  });
  it('no grade of A193, A320 or A453 is stronger when thicker', () => {
    for (const grade of STUD_MATERIALS.filter((each) => !['8.8', '10.9'].includes(each)))
      for (let size = 0.5; size < 4; size += 0.25)
        expect(studYieldKsi(grade, size + 0.25) ?? 0).toBeLessThanOrEqual(studYieldKsi(grade, size) ?? 0);
  });
  it.each([
    ['L7', 3],
    ['B8 class 2', 2],
  ] as const)('%s is not made at %d in', (grade, diameter) => {
    expect(studYieldKsi(grade, diameter)).toBeUndefined();
  });
  it('nut factors run from PTFE to dry (common practice)', () => {
    expect(NUT_FACTORS.map(({ low }) => low)).toEqual([0.2, 0.17, 0.15, 0.1]);
  });
});

describe('flanges (ASME B16.5, handbook part 5.4)', () => {
  const sizes = FLANGE_SIZES;
  it('bolts come in fours, and never fewer or thinner in a higher class of one size', () => {
    for (const nps of sizes) {
      const rows = FLANGE_CLASSES.flatMap((each) => flangeStuds(nps, each) ?? []);
      for (let i = 0; i < rows.length; i += 2) expect(Number(rows[i]) % 4).toBe(0);
      const areas = FLANGE_CLASSES.flatMap((each) => {
        const studs = flangeStuds(nps, each);
        return studs ? [studs[0] * studs[1] ** 2] : [];
      });
      for (let i = 1; i < areas.length; i++)
        expect(areas[i]).toBeGreaterThanOrEqual((areas[i - 1] ?? 0) * 0.999);
    }
  });
  it('studs grow longer with size in every class of its own flanges', () => {
    for (const each of [150, 300, 600, 1500, 2500] as const) {
      const lengths = sizes.flatMap((nps) => studLengthIn(nps, each) ?? []);
      expect([...lengths].sort((a, b) => a - b)).toEqual(lengths);
    }
  });
  it.each([
    [2, 150, 22],
    [2, 300, 23],
    [2, 1500, 24],
    [2, 2500, 26],
    [4, 600, 37],
    [8, 900, 49],
    [8, 1500, 50],
    [12, 2500, 60],
    [0.5, 300, 11],
    [0.75, 1500, 14],
    [1, 2500, 18],
    [24, 900, 78],
  ] as const)('NPS %d class %d takes ring R%d', (nps, flangeClass, ring) => {
    expect(ringNumber(nps, flangeClass)).toBe(ring);
  });
  it('class 150 has no ring below NPS 1, class 2500 no flange above 12', () => {
    expect(ringNumber(0.5, 150)).toBeUndefined();
    expect(flangeStuds(14, 2500)).toBeUndefined();
    expect(studLengthIn(14, 2500)).toBeUndefined();
    expect(flangeStuds(7, 300)).toBeUndefined();
  });
  it('class 900 below NPS 3 is the 1500 flange', () => {
    for (const nps of [0.5, 1, 2, 2.5]) {
      expect(flangeStuds(nps, 900)).toEqual(flangeStuds(nps, 1500));
      expect(ringNumber(nps, 900)).toBe(ringNumber(nps, 1500));
      expect(studLengthIn(nps, 900)).toBe(studLengthIn(nps, 1500));
    }
  });
  it.each([
    [0.5, 0.875],
    [0.625, 1.0625],
    [0.75, 1.25],
    [0.875, 1.4375],
    [1, 1.625],
    [1.125, 1.8125],
    [1.25, 2],
    [1.5, 2.375],
    [2, 3.125],
    [2.5, 3.875],
  ])('heavy hex of %d in is %d across flats (handbook part 5.1)', (diameter, flats) => {
    expect(heavyHexAcrossFlats(diameter)).toBe(flats);
  });
});

describe('ratings (ASME B16.34)', () => {
  it('each group begins at 100 °F, rises in temperature, and has every class', () => {
    for (const rows of Object.values(RATINGS)) {
      expect(rows[0]?.[0]).toBe(100);
      for (const [i, row] of rows.entries()) {
        expect(row).toHaveLength(PRESSURE_CLASSES.length + 1);
        if (i > 0) expect(row[0]).toBeGreaterThan(rows[i - 1]?.[0] ?? 0);
      }
    }
  });
  it('the class 150 line is 320 − 0.3·T', () => {
    expect(class150Ceiling(500)).toBe(170);
    expect(class150Ceiling(800)).toBe(80);
  });
});

describe('orifices (API 526)', () => {
  it.each([
    ['D', 0.11],
    ['J', 1.287],
    ['T', 26],
  ] as const)('%s is %d in²', (letter, area) => {
    expect(ORIFICE_AREAS_IN2[letter]).toBe(area);
    expect(API_526.fromMemory).toBe('high');
  });
  it('areas grow with the alphabet; small ones end at F (API 527)', () => {
    const areas = ORIFICES.map((each) => ORIFICE_AREAS_IN2[each]);
    expect([...areas].sort((a, b) => a - b)).toEqual(areas);
    expect(ORIFICES.filter(isSmallOrifice)).toEqual(['D', 'E', 'F']);
  });
});

describe('O-rings (AS568, handbook parts 3 and 5.10)', () => {
  it.each([
    ['210', 0.734, 0.139],
    ['112', 0.487, 0.103],
    ['012', 0.364, 0.07],
    ['325', 1.475, 0.21],
    ['006', 0.114, 0.07],
  ])('-%s is %d × %d in', (dash, insideDiameter, section) => {
    expect(DASH_SIZES.find((size) => size.dash === dash)).toMatchObject({
      insideDiameterIn: insideDiameter,
      sectionIn: section,
    });
    expect(nearestDash(insideDiameter * 1.01, section)?.dash).toBe(dash);
  });
  it('within a series, a higher number is a larger ring', () => {
    for (const series of '0123') {
      const sizes = DASH_SIZES.filter(({ dash }) => dash.startsWith(series)).map(
        ({ insideDiameterIn }) => insideDiameterIn,
      );
      expect([...sizes].sort((a, b) => a - b)).toEqual(sizes);
    }
  });
  it('nothing is near a ring that is not made', () => {
    expect(nearestDash(5, 0.5)).toBeUndefined();
  });
});

describe('sizes and threads', () => {
  it.each([
    ['NPS 10', 10],
    ['DN 250', 10],
    ['1 1/2', 1.5],
    ['2"', 2],
    ['dn 15', 0.5],
    ['NPS 3/4', 0.75],
  ])('%s is NPS %d', (text, nps) => {
    expect(must(parseSize(text)).nps).toBe(nps);
  });
  it.each(['NPS 7', 'DN 260', '10 mm', 'large', '', '3 ft'])('%j is no size', (text) => {
    expect(parseSize(text).problem?.code).toBe('table.no-entry');
  });
  it('every size goes to paper and back, and has its DN (ISO 6708)', () => {
    for (const [nps, dn] of NOMINAL_SIZES) {
      expect(must(parseSize(formatSize({ nps }))).nps).toBe(nps);
      expect(dnOf({ nps })).toBe(dn);
    }
  });
  it('coarse pitches grow with the diameter (ISO 261)', () => {
    const pitches = Object.entries(METRIC_COARSE)
      .sort(([a], [b]) => Number(a) - Number(b))
      .map(([, pitch]) => pitch);
    expect([...pitches].sort((a, b) => a - b)).toEqual(pitches);
  });
  it('any text at all is a thread or is refused (property)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (text) => {
        const read = parseThread(text);
        expect(read.ok || read.problem.code === 'table.no-entry').toBe(true);
      }),
      { seed: 1 },
    );
  });
});

describe('other tables', () => {
  it('tolerances cover every set pressure once, without a gap', () => {
    for (const bands of Object.values(SET_TOLERANCES)) {
      expect(bands.at(-1)?.upToPsig).toBe(Infinity);
      for (let i = 1; i < bands.length; i++)
        expect(bands[i]?.upToPsig).toBeGreaterThan(bands[i - 1]?.upToPsig ?? 0);
    }
  });
  it('a harder gasket wants more (ASME VIII-1 App. 2): m and y rise together within a kind', () => {
    const by = (gasket: string) => GASKET_FACTORS.find((row) => row.gasket === gasket);
    expect(by('ring joint, stainless')?.yPsi).toBeGreaterThan(by('ring joint, iron')?.yPsi ?? 0);
    expect(by('compressed fibre, 1/16 in')?.m).toBeGreaterThan(by('compressed fibre, 1/8 in')?.m ?? 0);
  });
  it('a larger wedge may sink further (API 600, handbook part 5.10)', () => {
    expect(WEDGE_WEAR_TRAVEL.map(({ inches }) => inches)).toEqual([0.09, 0.13, 0.25, 0.38, 0.5]);
  });
});

describe('a source in one line', () => {
  it.each([
    [
      standard('ASME B1.1', 'stress area'),
      'ASME B1.1, stress area (published standard); from memory, verify against the current edition before use in service',
    ],
    [siteRule('Order 7'), 'Order 7 (site rule)'],
    [{ standing: 'maker', name: 'Sheet 4411' } as const, "Sheet 4411 (maker's sheet)"],
    [{ standing: 'common-practice', name: 'Common practice' } as const, 'Common practice'],
  ])('%j', (source, words) => {
    expect(describeSource(source)).toBe(words);
  });
});
