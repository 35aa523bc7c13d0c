import { si, valueIn, type Quantity } from './quantity';
import { unitOf, type Dimension, type UnitOf } from './units';

export type UnitSystem = 'US' | 'SI';

type Preferred = { readonly [D in Dimension]: Readonly<Record<UnitSystem, UnitOf<D>>> };

/** The unit each system shows a dimension in. Small lengths step down, see `preferredUnit`. */
const PREFERRED: Preferred = {
  length: { US: 'in', SI: 'mm' },
  angle: { US: '°', SI: '°' },
  force: { US: 'lbf', SI: 'N' },
  torque: { US: 'lbf·ft', SI: 'N·m' },
  'gauge pressure': { US: 'psig', SI: 'bar g' },
  'absolute pressure': { US: 'psia', SI: 'bar a' },
  'pressure difference': { US: 'psi', SI: 'bar' },
  stress: { US: 'psi', SI: 'MPa' },
  area: { US: 'in²', SI: 'mm²' },
  volume: { US: 'gal', SI: 'L' },
  flow: { US: 'mL/min', SI: 'mL/min' },
  temperature: { US: '°F', SI: '°C' },
  'temperature difference': { US: '°F', SI: 'K' },
  'thermal expansion': { US: '1/°F', SI: '1/K' },
  mass: { US: 'lb', SI: 'kg' },
  time: { US: 'min', SI: 'min' },
  speed: { US: 'ft/min', SI: 'm/min' },
  'rotational speed': { US: 'rev/min', SI: 'rev/min' },
  energy: { US: 'kJ', SI: 'kJ' },
  stiffness: { US: 'lbf/in', SI: 'N/mm' },
  ratio: { US: '%', SI: '%' },
  'gas flow': { US: 'scfh', SI: 'Nm³/h' },
  'flow coefficient': { US: 'Cv', SI: 'Kv' },
  density: { US: 'lb/ft³', SI: 'kg/m³' },
  current: { US: 'mA', SI: 'mA' },
  voltage: { US: 'V', SI: 'V' },
  count: { US: 'notches', SI: 'notches' },
};

const US_UNITS: ReadonlySet<string> = new Set(
  'in thou ft inH2O inHg lbf lbf·ft lbf·in psig psia psi ksi Mpsi in² in³ ft³ gal gpm ft³/h ft³/min scfh scfm Cv lb lb/ft³ °F 1/°F ft/min ft·lbf lbf/in'.split(
    ' ',
  ),
);
const OF_NO_SYSTEM: ReadonlySet<Dimension> = new Set([
  'angle',
  'time',
  'rotational speed',
  'ratio',
  'current',
  'voltage',
  'count',
]);

/** The system a quantity was given in; undefined for angles, times, ratios and the like, which belong to both. */
export function systemOf({ dimension, unit }: Quantity): UnitSystem | undefined {
  if (OF_NO_SYSTEM.has(dimension)) return undefined;
  return US_UNITS.has(unit) ? 'US' : 'SI';
}

const THOU_BELOW_METRES = 0.05 * 0.0254;
const KSI_FROM_PASCALS = 10_000 * 6894.757293168;
const MINUTES_FROM_SECONDS = 120;
const KILOJOULES_FROM = 1000;
/** No part is so long: a distance, paced off. */
const PACED_FROM_METRES = 3;

const isTurns = ({ dimension, unit }: Quantity): boolean => dimension === 'angle' && unit === 'turn';

/** The unit in which this system shows this quantity. */
export function preferredUnit(q: Quantity, system: UnitSystem): string {
  // Things counted stay what they are, and turns of a screw are counted.
  if (q.dimension === 'count' || isTurns(q)) return q.unit;
  const size = Math.abs(si(q));
  if (q.dimension === 'length' && system === 'US' && size > 0 && size < THOU_BELOW_METRES) return 'thou';
  if (q.dimension === 'length' && size >= PACED_FROM_METRES) return system === 'US' ? 'ft' : 'm';
  if (q.dimension === 'energy' && size < KILOJOULES_FROM) return 'J';
  if (q.dimension === 'stress' && system === 'US' && size >= KSI_FROM_PASCALS) return 'ksi';
  if (q.dimension === 'time' && size < MINUTES_FROM_SECONDS) return 's';
  if (q.dimension === 'time' && size >= 60 * 86400) return 'month';
  if (q.dimension === 'time' && size >= 86400) return 'd';
  return PREFERRED[q.dimension][system];
}

/** A number at sensible digits: at most `decimals`, trailing zeros dropped, never in exponents. */
export function formatNumber(value: number, decimals: number): string {
  const rounded = Number(value.toFixed(decimals));
  const shown = rounded === 0 ? '0' : rounded.toFixed(decimals);
  return shown.includes('.') ? shown.replace(/\.?0+$/, '') : shown;
}

/** A plain number at six figures, never in exponents. */
export function formatFigure(value: number): string {
  const digits = value === 0 ? 0 : 5 - Math.floor(Math.log10(Math.abs(value)));
  return formatNumber(value, Math.min(20, Math.max(0, digits)));
}

/** A share of one as whole percents. */
export const formatPercent = (share: number): string => `${formatNumber(share * 100, 0)} %`;

/** Where the hour hand of a clock face would stand; up is twelve. */
export const formatClock = (angle: Quantity<'angle'>): string =>
  `${formatNumber(valueIn(angle, 'o’clock') % 12, 1).replace(/^0$/, '12')} o’clock`;

const isInSystem = (q: Quantity, system: UnitSystem): boolean => {
  if (q.unit === PREFERRED[q.dimension][system] || isTurns(q)) return true;
  return (
    q.dimension === 'length' && (system === 'US' ? ['in', 'thou', 'ft'] : ['mm', 'µm', 'm']).includes(q.unit)
  );
};

/**
 * Shows a quantity in a system, at sensible digits. What was typed is shown as typed when it is already of that
 * system, so `1 1/8 in` stays `1 1/8 in`.
 */
export function format(q: Quantity, system: UnitSystem): string {
  if (q.entered !== undefined && isInSystem(q, system)) return q.entered;
  return shownIn(q, preferredUnit(q, system));
}

/** Shows a quantity in a named unit, at sensible digits. */
export function formatAs<D extends Dimension>(q: Quantity<D>, unit: UnitOf<D>): string {
  return shownIn(q, unit);
}

function shownIn(q: Quantity, unit: string): string {
  const value = valueIn(q, unit);
  return joined(formatNumber(value, decimalsFor(value, q.dimension, unit)), unit);
}

/** The number and its unit apart, for a large reading with a small unit beside it. */
export function formatParts(q: Quantity, system: UnitSystem): { number: string; unit: string } {
  const unit = preferredUnit(q, system);
  const value = valueIn(q, unit);
  return { number: formatNumber(value, decimalsFor(value, q.dimension, unit)), unit };
}

/** Every digit, for files and for parsing back: the exact round trip of the stored number. */
export function formatExactly(q: Quantity): string {
  return joined(String(q.value), q.unit);
}

function joined(number: string, unit: string): string {
  return unit === ''
    ? number
    : unit === '%' || unit === '°'
      ? `${number}${unit === '%' ? ' ' : ''}${unit}`
      : `${number} ${unit}`;
}

/** The decimals a unit is worth; below one, up to one more, for three figures. */
function decimalsFor(value: number, dimension: Dimension, unit: string): number {
  const worth = unitOf(dimension, unit)?.decimals ?? 3;
  const size = Math.abs(value);
  if (size >= 1000) return Math.max(0, worth - 1);
  if (size === 0 || size >= 1) return worth;
  const forThreeFigures = 2 - Math.floor(Math.log10(size));
  return Math.min(worth + 1, Math.max(worth, forThreeFigures));
}
