import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import {
  capitalised,
  compare,
  degrees,
  DIMENSIONS,
  format,
  formatAs,
  formatClock,
  formatExactly,
  formatFigure,
  formatLeak,
  formatNumber,
  formatParts,
  formatPercent,
  fromSi,
  isWithin,
  listed,
  parseQuantity,
  parseRange,
  phrase,
  phraseSchema,
  psig,
  quantity,
  say,
  si,
  systemOf,
  thou,
  unitNames,
  unitOf,
  valueIn,
  quantityOf,
  type Dimension,
} from '.';

describe('exact factors (handbook part 3, Quantities; international yard and pound, 1959)', () => {
  it.each([
    ['length', 1, 'in', 0.0254],
    ['force', 1, 'lbf', 4.4482216152605],
    ['torque', 1, 'lbf·ft', 1.3558179483314],
    ['pressure difference', 1, 'psi', 6894.757293168],
    ['pressure difference', 1, 'bar', 100_000],
    ['volume', 1, 'gal', 3.785411784e-3],
    ['volume', 1, 'ft³', 28.316846592e-3],
    ['temperature', 32, '°F', 273.15],
    ['temperature', 100, '°C', 373.15],
  ] as const)('%s: %d %s = %d SI', (dimension, value, unit, expected) => {
    expect(si({ dimension, value, unit })).toBeCloseTo(expected, 10);
  });
});

describe('what people type', () => {
  it.each([
    ['3/4 in', 'length', 19.05e-3],
    ['1 1/2"', 'length', 38.1e-3],
    ['1-1/2 in', 'length', 38.1e-3],
    ['1½ in', 'length', 38.1e-3],
    ['0.003"', 'length', 7.62e-5],
    ['.003 in', 'length', 7.62e-5],
    ['12 thou', 'length', 3.048e-4],
    ['3 mils', 'length', 7.62e-5],
    ['minus 2 thou', 'length', -5.08e-5],
    ['5\' 3 1/2"', 'length', 1.6129],
    ['5 ft 3 in', 'length', 1.6002],
    ['0,003 in', 'length', 7.62e-5],
    ['0.15 mm', 'length', 1.5e-4],
    ['25 lbf·ft', 'torque', 33.8954487],
    ['25 ft-lb', 'torque', 33.8954487],
    ['250 in-lb', 'torque', 28.2462],
    ['34 N·m', 'torque', 34],
    ['34 Nm', 'torque', 34],
    ['60 psig', 'gauge pressure', 413685.4376],
    ['60 psi', 'gauge pressure', 413685.4376],
    ['41 bar g', 'gauge pressure', 4.1e6],
    ['1,125 psig', 'gauge pressure', 7756601.9548],
    ['14.7 psia', 'absolute pressure', 101352.932],
    ['50 ksi', 'stress', 344737864.66],
    ['48 %', 'ratio', 0.48],
    ['0.16', 'ratio', 0.16],
    ['254 °C', 'temperature', 527.15],
    ['3 in.', 'length', 0.0762],
    ['7.62 cm', 'length', 0.0762],
    ['10 mbar', 'pressure difference', 1000],
    ['1 kg/cm²', 'gauge pressure', 98066.5],
    ['1 kg/cm2', 'gauge pressure', 98066.5],
    // Conventional columns: NIST SP 811, water at 4 °C and mercury at 0 °C.
    ['1 inH2O', 'pressure difference', 249.08891],
    ['100 mmH2O', 'gauge pressure', 980.665],
    ['29.92 inHg', 'pressure difference', 101320.75],
    ['2 kgf·m', 'torque', 19.6133],
    ['20 °F', 'temperature difference', 100 / 9],
    ['12 µm/(m·K)', 'thermal expansion', 12e-6],
    ['6.5e-6 /°F', 'thermal expansion', 11.7e-6],
  ] as const)('%s', (text, dimension: Dimension, expected) => {
    expect(si(must(parseQuantity(text, dimension))) / expected).toBeCloseTo(1, 6);
  });

  it('reads a decimal comma where the locale writes one', () => {
    expect(must(parseQuantity('1,125 in', 'length', { decimal: ',' })).value).toBe(1.125);
    expect(must(parseQuantity('1.125,5 mm', 'length', { decimal: ',' })).value).toBe(1125.5);
  });

  it.each(['1,125 in', '79,375 mm', '1,125"'])('%s may be read two ways, and is asked about', (text) => {
    expect(parseQuantity(text, 'length')).toMatchObject({ problem: { code: 'quantity.two-readings' } });
    expect(parseQuantity(text, 'length', { decimal: '.' }).ok).toBe(false);
  });
  it('0,875 in and 10,000 psi have one reading', () => {
    expect(must(parseQuantity('0,875 in', 'length')).value).toBe(0.875);
    expect(must(parseQuantity('10,000 psi', 'stress')).value).toBe(10_000);
  });

  it.each([
    ['3-15 psi', 3, 15],
    ['0.2-1.0 bar', 0.2, 1],
    ['3 to 15 psi', 3, 15],
  ])('the range %s', (text, low, high) => {
    const range = must(parseRange(text, 'gauge pressure'));
    expect([range.low.value, range.high.value]).toEqual([low, high]);
  });

  it('keeps what was typed and shows it again, until the other system is wanted', () => {
    const stem = must(parseQuantity('1 1/8 in', 'length'));
    expect(format(stem, 'US')).toBe('1 1/8 in');
    expect(format(stem, 'SI')).toBe('28.575 mm');
  });
});

describe('a typo says what was understood and what was not', () => {
  it.each([
    ['', 'length', 'quantity.empty'],
    ['abc', 'length', 'quantity.unreadable'],
    ['12', 'length', 'quantity.unit-missing'],
    ['12 tohu', 'length', 'quantity.unit-unknown'],
    ['25 N·m', 'length', 'quantity.wrong-kind'],
    ['14 psia', 'gauge pressure', 'quantity.wrong-kind'],
    ['1 2 in', 'length', 'quantity.unreadable'],
    ['1.2.3 in', 'length', 'quantity.unreadable'],
    ['1e999 in', 'length', 'quantity.unreadable'],
  ] as const)('%j as %s: %s', (text, dimension, code) => {
    expect(parseQuantity(text, dimension).problem?.code).toBe(code);
  });

  it('suggests the nearest unit', () => {
    expect(parseQuantity('12 tohu', 'length').problem).toMatchObject({
      number: 12,
      unit: 'tohu',
      suggestions: ['thou'],
    });
  });
});

const anyUnit = fc
  .constantFrom(...DIMENSIONS)
  .chain((dimension) => fc.constantFrom(...unitNames(dimension)).map((unit) => ({ dimension, unit })));
const anyNumber = fc
  .double({ min: -1e6, max: 1e6, noNaN: true, noDefaultInfinity: true })
  .filter((n) => n === 0 || Math.abs(n) > 1e-6);

describe('parse ∘ format (property)', () => {
  it('every digit comes back from the exact form', () => {
    fc.assert(
      fc.property(anyUnit, anyNumber, ({ dimension, unit }, value) => {
        const q = { dimension, value, unit };
        const back = must(parseQuantity(formatExactly(q), dimension));
        expect(si(back)).toBeCloseTo(si(q), 12 - Math.ceil(Math.log10(Math.abs(si(q)) + 1)));
      }),
      { seed: 20261124 },
    );
  });

  it('the shown form comes back within its last digit', () => {
    fc.assert(
      fc.property(
        anyUnit,
        anyNumber,
        fc.constantFrom('US' as const, 'SI' as const),
        ({ dimension, unit }, value, system) => {
          const shown = format({ dimension, value, unit }, system);
          const back = must(parseQuantity(shown, dimension));
          expect(format({ ...back, entered: shown }, system)).toBe(shown);
          expect(formatExactly(must(parseQuantity(formatExactly(back), dimension)))).toBe(
            formatExactly(back),
          );
        },
      ),
      { seed: 20261124 },
    );
  });

  it('conversion there and back changes nothing', () => {
    fc.assert(
      fc.property(anyNumber, (value) => {
        const length = quantity('length', value, 'in');
        expect(valueIn(fromSi('length', si(length), 'mm'), 'in')).toBeCloseTo(value, 6);
      }),
      { seed: 7 },
    );
  });
});

describe('stored form', () => {
  const schema = quantityOf('length');
  it('reads text, and {value, unit} with or without its dimension', () => {
    expect(schema.parse('3 thou')).toEqual({
      dimension: 'length',
      value: 3,
      unit: 'thou',
      entered: '3 thou',
    });
    expect(schema.parse({ value: 3, unit: 'mm' })).toEqual({ dimension: 'length', value: 3, unit: 'mm' });
    const stored = schema.parse('1 1/8 in');
    expect(schema.parse(JSON.parse(JSON.stringify(stored)))).toEqual(stored);
  });
  it.each([
    { value: 3, unit: 'psi' },
    { dimension: 'torque', value: 3, unit: 'mm' },
    { value: Infinity, unit: 'mm' },
    3,
    null,
  ])('refuses %j', (raw) => {
    expect(schema.safeParse(raw).success).toBe(false);
  });
});

describe('units of flow and others (definitions)', () => {
  it.each([
    ['flow coefficient', 1, 'Cv', 'Kv', 0.86498],
    ['gas flow', 1, 'Nm³/h', 'scfh', 37.326],
    ['gas flow', 1, 'Sm³/h', 'Nm³/h', 273.15 / 288.15],
    ['gas flow', 60, 'scfh', 'scfm', 1],
    ['density', 1000, 'kg/m³', 'lb/ft³', 62.428],
    ['density', 1, 'g/cm³', 'kg/m³', 1000],
    ['current', 20, 'mA', 'A', 0.02],
    ['stress', 11.5, 'Mpsi', 'GPa', 79.29],
    ['stiffness', 1, 'lbf/in', 'N/mm', 0.175127],
    ['time', 1, 'year', 'month', 12],
    ['time', 2, 'week', 'd', 14],
    ['force', 1, 'kgf', 'N', 9.80665],
    ['rotational speed', 60, 'rev/min', 'rad/s', 2 * Math.PI],
    ['energy', 1, 'ft·lbf', 'J', 1.3558179],
    ['angle', 1, 'turn', '°', 360],
    ['speed', 100, 'ft/min', 'm/min', 30.48],
    ['mass', 1, 'lb', 'kg', 0.45359237],
    ['volume', 1, 'gal', 'in³', 231],
    ['area', 1, 'in²', 'mm²', 645.16],
    ['torque', 1, 'lbf·ft', 'lbf·in', 12],
  ] as const)('%s: %d %s = %s %d', (dimension, value, unit, other, expected) => {
    expect(valueIn({ dimension, value, unit }, other) / expected).toBeCloseTo(1, 4);
  });
  it('gauge, absolute and difference of pressure never mix', () => {
    for (const [text, dimension] of [
      ['10 psia', 'gauge pressure'],
      ['10 psig', 'absolute pressure'],
      ['10 psig', 'pressure difference'],
    ] as const)
      expect(parseQuantity(text, dimension).problem?.code).toBe('quantity.wrong-kind');
  });
});

describe('the system a quantity belongs to', () => {
  it.each([
    ['length', 'in', 'US'],
    ['length', 'mm', 'SI'],
    ['gauge pressure', 'psig', 'US'],
    ['gauge pressure', 'bar g', 'SI'],
    ['torque', 'lbf·in', 'US'],
    ['flow coefficient', 'Kv', 'SI'],
    ['angle', '°', undefined],
    ['ratio', '%', undefined],
    ['time', 'min', undefined],
    ['current', 'mA', undefined],
  ] as const)('%s in %s: %s', (dimension, unit, system) => {
    expect(systemOf({ dimension, value: 1, unit })).toBe(system);
  });
  it('every unit shown by a system belongs to it, or to both', () => {
    for (const dimension of DIMENSIONS)
      for (const system of ['US', 'SI'] as const) {
        const first = unitNames(dimension)[0] ?? '';
        const { unit } = formatParts({ dimension, value: 7, unit: first }, system);
        expect([system, undefined, 'SI']).toContain(systemOf({ dimension, value: 7, unit }));
        expect(unitOf(dimension, unit)).toBeDefined();
      }
  });
});

describe('digits worth showing', () => {
  it.each([
    [0.0031, 'length', 'in', 'US', '3.1 thou'],
    [0.0625, 'length', 'in', 'US', '0.0625 in'],
    [1.5, 'length', 'in', 'SI', '38.1 mm'],
    [0, 'length', 'in', 'US', '0 in'],
    [16723.4, 'force', 'lbf', 'US', '16723 lbf'],
    [209.04, 'torque', 'lbf·ft', 'US', '209 lbf·ft'],
    [40000, 'stress', 'psi', 'US', '40 ksi'],
    [4000, 'stress', 'psi', 'US', '4000 psi'],
    [90, 'time', 's', 'US', '90 s'],
    [150, 'time', 's', 'US', '2.5 min'],
    [3, 'time', 'd', 'SI', '3 d'],
    [24, 'time', 'month', 'SI', '24 month'],
    [0.125, 'flow', 'mL/min', 'US', '0.125 mL/min'],
    [-2.04, 'length', 'thou', 'US', '-2 thou'],
  ] as const)('%d %s %s in %s: %s', (value, dimension, unit, system, text) => {
    expect(format({ dimension, value, unit }, system)).toBe(text);
  });
  it('a number never goes into exponents, and drops its noughts', () => {
    expect(formatNumber(1e-9, 4)).toBe('0');
    expect(formatNumber(1200000, 0)).toBe('1200000');
    expect(formatNumber(2.5, 3)).toBe('2.5');
    expect(formatNumber(-0.00001, 2)).toBe('0');
  });
  it('named units are kept to', () => {
    expect(formatAs(quantity('length', 1, 'in'), 'mm')).toBe('25.4 mm');
    expect(compare(quantity('length', 1, 'in'), quantity('length', 25.4, 'mm'))).toBeCloseTo(0, 12);
  });
});

describe('the clock, parts per million and volts', () => {
  const read = <D extends Dimension>(text: string, dimension: D) => must(parseQuantity(text, dimension));
  it.each([
    ["3 o'clock", 90],
    ['3 o’clock', 90],
    ["12 o'clock", 360],
    ['1.5 oclock', 45],
    ["6 o'clock", 180],
  ] as const)('%s is %d° clockwise from the top', (text, degrees) => {
    expect(valueIn(read(text, 'angle'), '°')).toBeCloseTo(degrees, 9);
  });
  it.each([
    ['100 ppm', 1e-4],
    ['4 %', 0.04],
    ['10000 ppm', 0.01],
  ] as const)('%s is a share of %d', (text, share) => {
    expect(si(read(text, 'ratio'))).toBeCloseTo(share, 12);
  });
  it.each([
    ['24 V', 24],
    ['230 volts', 230],
    ['500 mV', 0.5],
    ['120 vac', 120],
  ] as const)('%s is %d V', (text, volts) => {
    expect(si(read(text, 'voltage'))).toBeCloseTo(volts, 9);
  });
  it('belong to both systems, and are shown in what they were given in', () => {
    expect(systemOf(read('24 V', 'voltage'))).toBeUndefined();
    expect(format(read('24 V', 'voltage'), 'SI')).toBe('24 V');
    expect(formatAs(read('500 ppm', 'ratio'), 'ppm')).toBe('500 ppm');
  });
});

describe('a phrase', () => {
  const depth = thou(2);
  it('keeps its quantities until it is said, to everybody in their own units', () => {
    const words = phrase`${depth} deep, ${3} of ${phrase`${psig(100)} each`}`;
    expect(say(words, 'US')).toBe('2 thou deep, 3 of 100 psig each');
    expect(say(words, 'SI')).toBe('0.0508 mm deep, 3 of 6.89 bar g each');
  });
  it('shows as typed what was typed in the reader’s own system', () => {
    const typed = must(parseQuantity('3/4 in', 'length'));
    expect(say(phrase`at ${typed}`, 'US')).toBe('at 3/4 in');
    expect(say(phrase`at ${typed}`, 'SI')).toBe('at 19.05 mm');
  });
  it('without a quantity is a plain string, and reads back from JSON the same', () => {
    expect(phrase`${'gland'}: ${'worn'}, ${2} of ${4}`).toBe('gland: worn, 2 of 4');
    const words = phrase`${depth} deep`;
    expect(phraseSchema.parse(JSON.parse(JSON.stringify(words)))).toEqual(words);
    expect(phraseSchema.safeParse([{ dimension: 'length', value: 1, unit: 'psig' }]).success).toBe(false);
  });
  it('is listed, and begins a sentence', () => {
    expect(say(listed([phrase`${depth} deep`, 'worn']), 'US')).toBe('2 thou deep; worn');
    expect(say(capitalised(phrase`only ${depth}`), 'US')).toBe('Only 2 thou');
  });
});

describe('a leak', () => {
  it('is shown at figures that can be read, with what was counted', () => {
    expect(formatLeak({ perMinute: 24123.648504780336, of: 'mL' })).toBe('24123.6 mL/min');
    expect(formatLeak({ perMinute: 6, of: 'drops' })).toBe('6 drops/min');
  });
  it('is within an allowance counted alike, to the figure; counted otherwise it is not known to be', () => {
    const allowed = { perMinute: 6, of: 'drops' } as const;
    expect(isWithin({ perMinute: 6, of: 'drops' }, allowed)).toBe(true);
    expect(isWithin({ perMinute: 6.1, of: 'drops' }, allowed)).toBe(false);
    expect(isWithin({ perMinute: 0, of: 'mL' }, allowed)).toBe(false);
  });
});

describe('plain figures', () => {
  it.each([
    [24123.648504780336, '24123.6'],
    [0.000123456789, '0.000123457'],
    [1234567.89, '1234568'],
    [0, '0'],
    [-2.5, '-2.5'],
  ])('%d reads %s: six figures, never in exponents', (value, text) => {
    expect(formatFigure(value)).toBe(text);
  });
  it.each([
    [0.698, '70 %'],
    [0, '0 %'],
    [1, '100 %'],
  ])('a share of %d is %s', (share, text) => expect(formatPercent(share)).toBe(text));
  it.each([
    [0, '12 o’clock'],
    [90, '3 o’clock'],
    [359, '12 o’clock'],
    [345, '11.5 o’clock'],
  ])('%d° is %s', (angle, text) => expect(formatClock(degrees(angle))).toBe(text));
});

it.each([
  [quantity('length', 30, 'm'), 'SI', '30 m'],
  [quantity('length', 30, 'm'), 'US', '98.425 ft'],
  [quantity('length', 900, 'mm'), 'SI', '900 mm'],
] as const)('%j in %s is %s: a distance is paced off, a part is measured', (length, system, text) => {
  expect(format(length, system)).toBe(text);
});
