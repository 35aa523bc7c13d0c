/**
 * Units by dimension: SI value = number × factor + offset.
 * Exact factors (international yard and pound agreement, 1959): 1 in = 25.4 mm, 1 lb = 0.45359237 kg,
 * standard gravity 9.80665 m/s²; 1 US gal = 231 in³.
 * A flow coefficient's own value is in Kv (m³/h of water at 1 bar); Cv is gpm at 1 psi. A gas flow is the volume at
 * 0 °C and 101.325 kPa; `scfh` is at 60 °F, `Sm³/h` at 15 °C.
 * Gauge, absolute and difference of pressure are different dimensions on purpose.
 */
interface Unit {
  readonly factor: number;
  readonly offset?: number;
  /** Other ways people write it, lower case, without blanks. */
  readonly also?: readonly string[];
  /** Decimals that are still worth showing. */
  readonly decimals: number;
}

const INCH = 0.0254;
const LBF = 4.4482216152605;
const PSI = 6894.757293168;
const GALLON = 0.003785411784;
const CUBIC_FOOT = 0.028316846592;
const STANDARD_GRAVITY = 9.80665;
/** Conventional columns: water at 4 °C, mercury at 0 °C, Pa a metre. */
const WATER = 9806.65;
const MERCURY = 133_322.387415;
const DAY = 86400;
const NORMAL_KELVIN = 273.15;
const SIXTY_FAHRENHEIT = (60 + 459.67) * (5 / 9);

/** The pressure units, with the suffixes that tell gauge from absolute from difference. */
function pressures(mark: (unit: string) => string[]) {
  const unit = (factor: number, name: string, decimals: number): Unit => ({
    factor,
    also: mark(name),
    decimals,
  });
  return {
    psi: unit(PSI, 'psi', 1),
    bar: unit(1e5, 'bar', 2),
    mbar: unit(100, 'mbar', 1),
    kPa: unit(1e3, 'kpa', 1),
    MPa: unit(1e6, 'mpa', 3),
    Pa: unit(1, 'pa', 0),
    'kg/cm²': {
      factor: 1e4 * STANDARD_GRAVITY,
      also: [...mark('kg/cm²'), ...mark('kg/cm2'), ...mark('kgf/cm²'), ...mark('kgf/cm2')],
      decimals: 2,
    },
    inH2O: {
      factor: INCH * WATER,
      also: [
        ...mark('inh2o'),
        ...mark('inh₂o'),
        ...mark('in.h2o'),
        ...mark('inwc'),
        ...mark('in.wc'),
        ...mark('"wc'),
      ],
      decimals: 1,
    },
    mmH2O: { factor: WATER / 1000, also: [...mark('mmh2o'), ...mark('mmh₂o'), ...mark('mmwc')], decimals: 0 },
    inHg: { factor: INCH * MERCURY, also: [...mark('inhg'), ...mark('in.hg')], decimals: 2 },
  } satisfies Record<string, Unit>;
}

const gaugeMarks = (unit: string) => [unit, `${unit}g`, `${unit}(g)`, `${unit}gauge`];
const absoluteMarks = (unit: string) => [`${unit}a`, `${unit}(a)`, `${unit}abs`, `${unit}absolute`];
const gauge = pressures(gaugeMarks);
const absolute = pressures(absoluteMarks);
const difference = pressures((unit) => [unit, `${unit}d`, `${unit}(d)`]);

export const UNITS = {
  length: {
    m: { factor: 1, also: ['metre', 'metres', 'meter', 'meters'], decimals: 4 },
    mm: { factor: 1e-3, also: ['millimetre', 'millimetres', 'millimeter', 'millimeters'], decimals: 3 },
    µm: { factor: 1e-6, also: ['um', 'μm', 'micron', 'microns', 'micrometre', 'micrometer'], decimals: 1 },
    in: { factor: INCH, also: ['inch', 'inches', 'in.', '"', '″', '”', "''"], decimals: 4 },
    thou: { factor: INCH / 1000, also: ['mil', 'mils', 'thousandth', 'thousandths'], decimals: 1 },
    ft: { factor: 12 * INCH, also: ['foot', 'feet', "'", '′', '’'], decimals: 3 },
    cm: { factor: 1e-2, also: ['centimetre', 'centimetres', 'centimeter', 'centimeters'], decimals: 2 },
  },
  angle: {
    '°': { factor: Math.PI / 180, also: ['deg', 'degree', 'degrees'], decimals: 1 },
    rad: { factor: 1, also: ['radian', 'radians'], decimals: 4 },
    turn: { factor: 2 * Math.PI, also: ['turns', 'rev'], decimals: 3 },
    /** The hour hand of a clock face: 12 is up, 3 to the right. */
    'o’clock': { factor: Math.PI / 6, also: ["o'clock", 'oclock'], decimals: 1 },
  },
  force: {
    N: { factor: 1, also: ['newton', 'newtons'], decimals: 0 },
    kN: { factor: 1e3, also: [], decimals: 2 },
    lbf: { factor: LBF, also: ['lb', 'lbs', 'pound', 'pounds'], decimals: 0 },
    kgf: { factor: STANDARD_GRAVITY, also: [], decimals: 1 },
  },
  torque: {
    'N·m': { factor: 1, also: ['nm', 'n.m', 'n*m', 'n-m', 'newtonmetre', 'newtonmeter'], decimals: 1 },
    'lbf·ft': {
      factor: LBF * 12 * INCH,
      also: [
        'lbf.ft',
        'lbf*ft',
        'lbfft',
        'lb-ft',
        'lbft',
        'lb·ft',
        'ft-lb',
        'ftlb',
        'ft·lb',
        'ft-lbs',
        'ftlbs',
        'ft·lbf',
        'ft-lbf',
        'lbf-ft',
        'footpounds',
        'foot-pounds',
        'footpound',
        'foot-pound',
      ],
      decimals: 1,
    },
    'kgf·m': {
      factor: STANDARD_GRAVITY,
      also: ['kgf.m', 'kgf*m', 'kgfm', 'kgf-m', 'kg·m', 'kg.m', 'kgm', 'kg-m', 'm·kgf'],
      decimals: 2,
    },
    'lbf·in': {
      factor: LBF * INCH,
      also: [
        'lbf.in',
        'lbf*in',
        'lbfin',
        'lb-in',
        'lbin',
        'lb·in',
        'in-lb',
        'inlb',
        'in·lb',
        'in-lbs',
        'inlbs',
        'in·lbf',
        'in-lbf',
        'lbf-in',
        'inchpounds',
        'inch-pounds',
        'inch-pound',
      ],
      decimals: 0,
    },
  },
  'gauge pressure': {
    psig: gauge.psi,
    'bar g': gauge.bar,
    'kPa g': gauge.kPa,
    'MPa g': gauge.MPa,
    'Pa g': gauge.Pa,
    'mbar g': gauge.mbar,
    'kg/cm² g': gauge['kg/cm²'],
    'inH2O g': gauge.inH2O,
    'mmH2O g': gauge.mmH2O,
    'inHg g': gauge.inHg,
  },
  'absolute pressure': {
    psia: absolute.psi,
    'bar a': absolute.bar,
    'kPa a': absolute.kPa,
    'MPa a': absolute.MPa,
    'Pa a': absolute.Pa,
    'mbar a': absolute.mbar,
    'kg/cm² a': absolute['kg/cm²'],
    'inHg a': absolute.inHg,
  },
  'pressure difference': {
    psi: difference.psi,
    bar: difference.bar,
    kPa: difference.kPa,
    MPa: difference.MPa,
    Pa: difference.Pa,
    mbar: difference.mbar,
    'kg/cm²': difference['kg/cm²'],
    inH2O: difference.inH2O,
    mmH2O: difference.mmH2O,
    inHg: difference.inHg,
  },
  stress: {
    psi: { factor: PSI, also: [], decimals: 0 },
    ksi: { factor: 1000 * PSI, also: [], decimals: 2 },
    Mpsi: { factor: 1e6 * PSI, also: [], decimals: 2 },
    MPa: { factor: 1e6, also: ['mpa', 'n/mm²', 'n/mm2'], decimals: 1 },
    GPa: { factor: 1e9, also: [], decimals: 1 },
  },
  area: {
    'm²': { factor: 1, also: ['m2', 'sqm'], decimals: 6 },
    'mm²': { factor: 1e-6, also: ['mm2', 'sqmm'], decimals: 1 },
    'cm²': { factor: 1e-4, also: ['cm2', 'sqcm'], decimals: 2 },
    'in²': { factor: INCH ** 2, also: ['in2', 'sqin', 'sq.in'], decimals: 4 },
  },
  volume: {
    'm³': { factor: 1, also: ['m3'], decimals: 4 },
    L: { factor: 1e-3, also: ['l', 'litre', 'litres', 'liter', 'liters', 'dm³', 'dm3'], decimals: 2 },
    mL: { factor: 1e-6, also: ['ml', 'cc', 'cm³', 'cm3'], decimals: 2 },
    'in³': { factor: INCH ** 3, also: ['in3', 'cuin', 'cu.in'], decimals: 2 },
    'ft³': { factor: CUBIC_FOOT, also: ['ft3', 'cuft', 'cu.ft'], decimals: 3 },
    gal: { factor: GALLON, also: ['usgal', 'gallon', 'gallons'], decimals: 2 },
  },
  flow: {
    'm³/s': { factor: 1, also: ['m3/s'], decimals: 6 },
    'm³/h': { factor: 1 / 3600, also: ['m3/h'], decimals: 3 },
    'L/min': { factor: 1e-3 / 60, also: ['l/min', 'lpm'], decimals: 3 },
    'mL/min': { factor: 1e-6 / 60, also: ['ml/min', 'cc/min', 'cm³/min', 'cm3/min'], decimals: 2 },
    'mL/h': { factor: 1e-6 / 3600, also: ['ml/h', 'cc/h', 'cm³/h', 'cm3/h'], decimals: 1 },
    'mm³/s': { factor: 1e-9, also: ['mm3/s'], decimals: 2 },
    gpm: { factor: GALLON / 60, also: ['gal/min', 'usgpm'], decimals: 3 },
    'ft³/h': { factor: CUBIC_FOOT / 3600, also: ['ft3/h', 'cfh', 'scfh'], decimals: 2 },
    'ft³/min': { factor: CUBIC_FOOT / 60, also: ['ft3/min', 'cfm', 'scfm'], decimals: 3 },
  },
  'gas flow': {
    'Nm³/h': { factor: 1 / 3600, also: ['nm3/h'], decimals: 1 },
    'Sm³/h': { factor: NORMAL_KELVIN / 288.15 / 3600, also: ['sm3/h'], decimals: 1 },
    scfh: { factor: (CUBIC_FOOT * NORMAL_KELVIN) / SIXTY_FAHRENHEIT / 3600, also: [], decimals: 0 },
    scfm: { factor: (CUBIC_FOOT * NORMAL_KELVIN) / SIXTY_FAHRENHEIT / 60, also: [], decimals: 1 },
  },
  'flow coefficient': {
    Kv: { factor: 1, also: [], decimals: 2 },
    Cv: { factor: GALLON * 60 * Math.sqrt(1e5 / PSI), also: [], decimals: 2 },
  },
  density: {
    'kg/m³': { factor: 1, also: ['kg/m3'], decimals: 1 },
    'g/cm³': { factor: 1000, also: ['g/cm3', 'g/cc', 'kg/l'], decimals: 3 },
    'lb/ft³': { factor: 0.45359237 / CUBIC_FOOT, also: ['lb/ft3'], decimals: 2 },
  },
  current: {
    mA: { factor: 1e-3, also: ['milliamp', 'milliamps'], decimals: 2 },
    A: { factor: 1, also: ['amp', 'amps'], decimals: 4 },
  },
  temperature: {
    K: { factor: 1, also: ['kelvin'], decimals: 1 },
    '°C': { factor: 1, offset: 273.15, also: ['c', 'degc', 'celsius'], decimals: 0 },
    '°F': { factor: 5 / 9, offset: 459.67 * (5 / 9), also: ['f', 'degf', 'fahrenheit'], decimals: 0 },
  },
  'temperature difference': {
    K: { factor: 1, also: ['kelvin', 'dk'], decimals: 1 },
    '°C': { factor: 1, also: ['c', 'degc', 'celsius', 'δ°c'], decimals: 1 },
    '°F': { factor: 5 / 9, also: ['f', 'degf', 'fahrenheit', 'r', '°r'], decimals: 1 },
  },
  'thermal expansion': {
    '1/K': {
      factor: 1,
      also: ['/k', '/°c', '/c', '1/°c', 'perk', 'per°c', 'm/m·k', 'mm/mm·k', 'mm/mm/°c'],
      decimals: 8,
    },
    '1/°F': { factor: 9 / 5, also: ['/°f', '/f', '1/f', 'per°f', 'in/in·°f', 'in/in/°f'], decimals: 8 },
    'µm/(m·K)': {
      factor: 1e-6,
      also: ['µm/m·k', 'um/m·k', 'µm/m/k', 'um/m/k', 'µm/mk', 'ppm/k', 'ppm/°c', 'µm/m°c'],
      decimals: 2,
    },
  },
  mass: {
    kg: { factor: 1, also: ['kilo', 'kilos', 'kilogram', 'kilograms'], decimals: 2 },
    g: { factor: 1e-3, also: ['gram', 'grams'], decimals: 1 },
    t: { factor: 1e3, also: ['tonne', 'tonnes'], decimals: 3 },
    lb: { factor: 0.45359237, also: ['lbs', 'pound', 'pounds', 'lbm'], decimals: 1 },
  },
  time: {
    s: { factor: 1, also: ['sec', 'secs', 'second', 'seconds'], decimals: 1 },
    min: { factor: 60, also: ['mins', 'minute', 'minutes'], decimals: 1 },
    h: { factor: 3600, also: ['hr', 'hrs', 'hour', 'hours'], decimals: 2 },
    d: { factor: DAY, also: ['day', 'days'], decimals: 1 },
    week: { factor: 7 * DAY, also: ['wk', 'wks', 'weeks'], decimals: 1 },
    month: { factor: 30.4375 * DAY, also: ['mo', 'mths', 'months'], decimals: 1 },
    year: { factor: 365.25 * DAY, also: ['yr', 'yrs', 'years'], decimals: 2 },
  },
  speed: {
    'm/s': { factor: 1, also: [], decimals: 3 },
    'm/min': { factor: 1 / 60, also: [], decimals: 1 },
    'ft/min': { factor: (12 * INCH) / 60, also: ['sfm', 'fpm'], decimals: 0 },
  },
  'rotational speed': {
    'rev/min': { factor: (2 * Math.PI) / 60, also: ['rpm', 'r/min'], decimals: 0 },
    'rad/s': { factor: 1, also: [], decimals: 2 },
  },
  energy: {
    J: { factor: 1, also: ['joule', 'joules'], decimals: 0 },
    kJ: { factor: 1e3, also: [], decimals: 1 },
    MJ: { factor: 1e6, also: [], decimals: 2 },
    'ft·lbf': { factor: LBF * 12 * INCH, also: ['ft-lbf'], decimals: 0 },
  },
  stiffness: {
    'N/mm': { factor: 1e3, also: [], decimals: 1 },
    'lbf/in': { factor: LBF / INCH, also: ['lb/in'], decimals: 1 },
  },
  ratio: {
    '': { factor: 1, also: [], decimals: 4 },
    '%': { factor: 0.01, also: ['percent', 'pct'], decimals: 1 },
    ppm: { factor: 1e-6, also: ['partspermillion'], decimals: 1 },
  },
  voltage: {
    V: { factor: 1, also: ['volt', 'volts', 'vac', 'vdc'], decimals: 1 },
    mV: { factor: 1e-3, also: ['millivolt', 'millivolts'], decimals: 0 },
  },
  count: {
    notches: { factor: 1, also: ['notch'], decimals: 1 },
    pieces: { factor: 1, also: ['piece', 'pcs', 'blinds', 'leaks', 'rings', 'shims'], decimals: 0 },
    turns: { factor: 1, also: ['turn'], decimals: 2 },
  },
} as const satisfies Record<string, Record<string, Unit>>;

export type Dimension = keyof typeof UNITS;
export type UnitOf<D extends Dimension> = Extract<keyof (typeof UNITS)[D], string>;

export const DIMENSIONS: readonly Dimension[] = Object.freeze(Object.keys(UNITS)).filter(isDimension);

export function isDimension(text: string): text is Dimension {
  return Object.hasOwn(UNITS, text);
}

/** The unit's definition; undefined when this dimension has no such unit. */
export function unitOf(dimension: Dimension, unit: string): Unit | undefined {
  const units: Record<string, Unit> = UNITS[dimension];
  return Object.hasOwn(units, unit) ? units[unit] : undefined;
}

/** Names of the units of a dimension, canonical spelling, in table order. */
export function unitNames(dimension: Dimension): string[] {
  return Object.keys(UNITS[dimension]);
}
