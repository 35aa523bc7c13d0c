export { DIMENSIONS, isDimension, unitNames, unitOf, type Dimension, type UnitOf } from './units';
export {
  absoluteIfGauge,
  compare,
  degrees,
  fromSi,
  inches,
  millimetres,
  minutes,
  ofDimension,
  psig,
  quantity,
  seconds,
  si,
  thou,
  valueIn,
  type Angle,
  type Area,
  type Energy,
  type Flow,
  type FlowCoefficient,
  type Force,
  type GasFlow,
  type GaugePressure,
  type Length,
  type Mass,
  type PressureDifference,
  type Quantity,
  type Ratio,
  type RotationalSpeed,
  type Stiffness,
  type Stress,
  type Temperature,
  type Time,
  type Torque,
  type Volume,
} from './quantity';
export { parseQuantity, parseRange, type ParseOptions, type QuantityRange } from './parse';
export { readNumber, type DecimalMark } from './read-number';
export {
  format,
  formatAs,
  formatClock,
  formatExactly,
  formatFigure,
  formatNumber,
  formatParts,
  formatPercent,
  preferredUnit,
  systemOf,
  type UnitSystem,
} from './format';
export { daysAfter, daysBetween, monthsAfter, monthsBetween } from './calendar';
export { dayIn, isTimeZone, minuteIn, sayDay, startOfDay } from './day';
export { farFromUsual } from './plausible';
export { unitMixedUp } from './unit-mixed-up';
export { learnLine, linePattern, LONGEST_LINE, readLine, type LinePattern } from './gauge-line';
export { typedUnits } from './typed-units';
export { asRead, type Mark, type ReadOn } from './as-read';
export { formatLeak, isWithin, LEAK_COUNTS, leakSchema, type Leak, type LeakCount } from './leak';
export { capital, capitalised, listed, phrase, phraseSchema, say, type Phrase } from './phrase';
export { addProblem, anyQuantity, quantityOf } from './schema';
