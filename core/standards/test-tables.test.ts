import { describe, expect, it } from 'vitest';
import {
  API_527_BUBBLE_ML,
  API_527_BUBBLES,
  API_527_HOLDS,
  API_6A_BODY_TESTS,
  B16_34_HOLDS,
  CAPACITY_SHARE,
  CLASS_VI,
  CLASS_VI_BUBBLE_ML,
  DASH_SIZES,
  GASKET_FACTORS,
  HOLD_SECONDS,
  IRON_PRESSURES,
  ISO_5208_EVENT_MM3,
  ISO_5208_RATES,
  METAL_SEAT_LEAKAGE,
  ORIFICE_AREAS_IN2,
  requiredClosureTest,
  PIN_MATERIALS,
  PIN_SCATTER,
  SECTION_I_BLOWDOWN,
  SET_TOLERANCES,
  SHEAR_MODULUS_MPSI,
  type Iso5208Rate,
  type Tolerance,
} from '.';

/** Rows of numbers as a table on paper has them; `∞` where it has no end. */
const rows = (text: string): number[][] =>
  text
    .trim()
    .split('\n')
    .map((line) =>
      line
        .trim()
        .split(/\s+/)
        .map((cell) => (cell === '∞' ? Infinity : Number(cell))),
    );

describe('hold times, seconds by NPS', () => {
  it('API 598: shell, closure, backseat; check valves shell, closure (handbook part 3)', () => {
    expect(
      HOLD_SECONDS.map((row) => [
        row.upToNps,
        row.shell,
        row.closure,
        row.backseat,
        row.checkShell,
        row.checkClosure,
      ]),
    ).toEqual(
      rows(`
        2   15  15 15  60  60
        6   60  60 60  60  60
        12 120 120 60 120 120
        ∞  300 120 60 300 120`),
    );
  });
  it('ASME B16.34, shared by MSS SP-61 (handbook part 5.5)', () => {
    expect(B16_34_HOLDS.map(({ upToNps, shell, seat }) => [upToNps, shell, seat])).toEqual(
      rows(`
        2   15  15
        8   60  30
        18 180  60
        ∞  180 120`),
    );
  });
  it('API 527, before bubbles are counted (handbook part 3)', () => {
    expect(API_527_HOLDS.map(({ upToNps, seconds }) => [upToNps, seconds])).toEqual(
      rows(`
        2  60
        4 120
        ∞ 300`),
    );
  });
});

describe('leakage', () => {
  it('API 598, metal seats: drops and bubbles a minute (handbook part 3)', () => {
    expect(METAL_SEAT_LEAKAGE.map(({ upToNps, drops, bubbles }) => [upToNps, drops, bubbles])).toEqual(
      rows(`
        2   0  0
        6  12 24
        12 20 40`),
    );
  });
  it('API 527, metal seats: bubbles a minute to orifice F and from G (handbook part 3)', () => {
    expect(API_527_BUBBLES.map(({ upToPsig, small, large }) => [upToPsig, small, large])).toEqual(
      rows(`
        1000  40  20
        1500  60  30
        2000  80  40
        2500 100  50
        3000 100  60
        4000 100  80
        5000 100 100`),
    );
  });
  it('class VI by port: mL and bubbles a minute (IEC 60534-4, handbook parts 3 and 5.6)', () => {
    expect(CLASS_VI.map(({ portIn, mlPerMinute, bubbles }) => [portIn, mlPerMinute, bubbles])).toEqual(
      rows(`
        1    0.15   1
        1.5  0.30   2
        2    0.45   3
        2.5  0.60   4
        3    0.90   6
        4    1.70  11
        6    4.00  27
        8    6.75  45
        10  11.1   74
        12  16.0  107
        14  21.6  144
        16  28.4  189`),
    );
  });
  it('a bubble of class VI is 0.15 mL: bubbles and millilitres of its table agree within one bubble', () => {
    for (const { mlPerMinute, bubbles } of CLASS_VI)
      expect(Math.abs(mlPerMinute / CLASS_VI_BUBBLE_ML - bubbles)).toBeLessThanOrEqual(1);
  });
  it('a bubble is not a bubble: each standard has its own tube (handbook part 3)', () => {
    const [vi, relief, iso] = [CLASS_VI_BUBBLE_ML, API_527_BUBBLE_ML, ISO_5208_EVENT_MM3.bubble / 1000];
    expect(relief / vi).toBeCloseTo(1.97, 2);
    expect(vi / iso).toBeCloseTo(2.3, 1);
  });
  it('ISO 5208: mm³/s per mm of DN, liquid and gas (handbook part 3)', () => {
    const wanted: readonly (readonly [Iso5208Rate, number, number])[] = [
      ['AA', 0.006, 0.18],
      ['B', 0.01, 0.3],
      ['C', 0.03, 3],
      ['CC', 0.08, 22.3],
      ['D', 0.1, 30],
      ['E', 0.3, 300],
      ['EE', 0.39, 470],
      ['F', 1, 3000],
      ['G', 2, 6000],
    ];
    for (const [rate, liquid, gas] of wanted) expect(ISO_5208_RATES[rate], rate).toEqual({ liquid, gas });
  });
  it('control valves: each class a fifth or a tenth of the one before (ANSI/FCI 70-2)', () => {
    expect(CAPACITY_SHARE.II / CAPACITY_SHARE.III).toBeCloseTo(5, 9);
    expect(CAPACITY_SHARE.III / CAPACITY_SHARE.IV).toBeCloseTo(10, 9);
  });
});

describe('test pressures', () => {
  it('API 6A body tests: twice the rating to 3 000 psi, half as much again above (handbook part 5.8)', () => {
    expect(API_6A_BODY_TESTS.map(({ rated, body }) => [rated, body])).toEqual(
      rows(`
        2000   4000
        3000   6000
        5000   7500
        10000 15000
        15000 22500
        20000 30000`),
    );
    for (const { rated, body } of API_6A_BODY_TESTS) expect(body / rated).toBe(rated <= 3000 ? 2 : 1.5);
  });
  it.each([
    ['cast iron 125', 350, 265],
    ['cast iron 250', 875, 525],
    ['ductile iron 150', 400, 400],
    ['ductile iron 300', 975, 975],
  ] as const)('%s: %d psig to NPS 12, %d above (API 598, handbook part 5.3)', (iron, to12, above) => {
    expect(IRON_PRESSURES[iron].shell).toEqual({ to12, above });
  });
});

describe('the closure test that API 598 requires (handbook part 5.5, tables 1 and 2)', () => {
  it.each([
    ['gate', 4, 1500, 'low-pressure gas'],
    ['gate', 6, 600, 'low-pressure gas'],
    ['gate', 6, 900, 'high-pressure liquid'],
    ['gate', 4, 2500, 'high-pressure liquid'],
    ['globe', 2, 600, 'high-pressure liquid'],
    ['globe', 8, 900, 'high-pressure liquid'],
    ['check', 3, 300, 'high-pressure liquid'],
    ['plug', 3, 300, 'low-pressure gas'],
    ['plug', 8, 900, 'high-pressure liquid'],
    ['lubricated plug', 3, 300, 'high-pressure liquid'],
    ['floating ball', 2, 150, 'low-pressure gas'],
    ['floating ball', 8, 900, 'low-pressure gas'],
    ['trunnion ball', 8, 900, 'high-pressure liquid'],
    ['butterfly', 8, 150, 'low-pressure gas'],
  ] as const)('%s, NPS %d, class %d: %s', (valve, nps, pressureClass, required) => {
    expect(requiredClosureTest(valve, nps, pressureClass)).toBe(required);
  });
  it('iron: the shell tests are 1.75 or 1.5 times the rating and up (API 598 on ASME B16.1 and B16.42)', () => {
    for (const { rating, shell } of Object.values(IRON_PRESSURES))
      for (const size of ['to12', 'above'] as const)
        expect(shell[size] / rating[size]).toBeGreaterThanOrEqual(1.5);
  });
});

describe('relief', () => {
  /** The tolerance of a band at a set pressure, psi. */
  const within = (bands: readonly Tolerance[], set: number): number => {
    const band = bands.find(({ upToPsig }) => set <= upToPsig);
    return band ? ('psi' in band ? band.psi : band.share * set) : NaN;
  };
  it.each([
    ['VIII', 50, 2],
    ['VIII', 70, 2],
    ['VIII', 150, 4.5],
    ['VIII', 2000, 60],
    ['I', 70, 2],
    ['I', 300, 9],
    ['I', 600, 10],
    ['I', 1000, 10],
    ['I', 1500, 15],
  ] as const)('Section %s, set %d psig: ± %d psi (handbook part 3)', (section, set, psi) => {
    expect(within(SET_TOLERANCES[section], set)).toBeCloseTo(psi, 9);
  });
  it.each([
    [60, 4],
    [100, 6],
    [250, 15],
    [300, 15],
    [374, 15],
    [500, 20],
  ])('Section I, set %d psig: blowdown at most %d psi (handbook part 5.7)', (set, psi) => {
    expect(within(SECTION_I_BLOWDOWN, set)).toBeCloseTo(psi, 9);
  });
  it('orifices, in² (API 526, handbook part 3)', () => {
    const table = `D 0.110 E 0.196 F 0.307 G 0.503 H 0.785 J 1.287 K 1.838 L 2.853 M 3.60 N 4.34 P 6.38 Q 11.05 R 16.0 T 26.0`;
    const wanted = [...table.matchAll(/([A-Z]) ([\d.]+)/g)].map(([, letter, area]) => [letter, Number(area)]);
    expect(Object.entries(ORIFICE_AREAS_IN2)).toEqual(wanted);
  });
});

describe('materials', () => {
  it('shear pins: tensile and shear, ksi (handbook part 5.9)', () => {
    const table = rows(`
      13 9
      33 20
      45 30
      43 28
      62 38
      68 41
      83 48
      49 30
      58 34
      64 38
      75 45
      130 78
      135 81
      190 114`);
    expect(PIN_MATERIALS.map(({ tensile, shear }) => [tensile, shear])).toEqual(table);
  });
  it('0.6 of the tensile strength misses aluminium and brass, and holds for steel (handbook part 5.9)', () => {
    for (const { name, tensile, shear } of PIN_MATERIALS) {
      const share = shear / tensile;
      if (/aluminium|brass/.test(name)) expect(share).toBeLessThan(0.7);
      else expect(share, name).toBeCloseTo(0.6, 1);
      expect(Math.abs(share / 0.6 - 1), name).toBeLessThanOrEqual(PIN_SCATTER + 0.01);
    }
  });
  it('gaskets, m and y (ASME VIII-1 App. 2, handbook part 3)', () => {
    expect(GASKET_FACTORS.map(({ m, yPsi }) => [m, yPsi])).toEqual(
      rows(`
        3    10000
        2.75  3700
        2     1600
        4     8800
        5.5  18000
        5.5  18000
        6.5  26000`),
    );
  });
  it('spring wire: shear modulus, Mpsi (handbook part 5.10)', () => {
    expect(SHEAR_MODULUS_MPSI).toEqual({
      'carbon steel': 11.5,
      'chrome-vanadium': 11.2,
      'stainless 302': 10,
    });
  });
  it('O-rings: inside diameter by dash, full cross section by series (AS568, handbook part 5.10)', () => {
    const table =
      '006 .114, 008 .176, 010 .239, 011 .301, 012 .364, 013 .426, 014 .489, 016 .614, 018 .739, 020 .864, ' +
      '110 .362, 111 .424, 112 .487, 113 .549, 114 .612, 116 .737, 206 .484, 208 .609, 210 .734, 212 .859, ' +
      '214 .984, 216 1.109, 218 1.234, 222 1.484, 312 .600, 316 .850, 320 1.100, 325 1.475';
    const sections: Readonly<Record<string, number>> = { 0: 0.07, 1: 0.103, 2: 0.139, 3: 0.21 };
    for (const pair of table.split(', ')) {
      const [dash = '', inside] = pair.split(' ');
      expect(
        DASH_SIZES.find((size) => size.dash === dash),
        `-${dash}`,
      ).toMatchObject({ insideDiameterIn: Number(inside), sectionIn: sections[dash.slice(0, 1)] });
    }
  });
});
