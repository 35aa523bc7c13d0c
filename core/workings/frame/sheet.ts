import {
  formatAs,
  fromSi,
  preferredUnit,
  systemOf,
  unitOf,
  type Dimension,
  type Quantity,
  type UnitOf,
  type UnitSystem,
} from '../../quantity';
import type { Step } from './working';

/** Writes a working in the unit system its question was asked in. */
export interface Sheet {
  readonly system: UnitSystem;
  /** A quantity from its SI value, in the system's usual unit or in the one named for it. */
  readonly of: <D extends Dimension>(
    dimension: D,
    value: number,
    units?: Readonly<Record<UnitSystem, UnitOf<D>>>,
  ) => Quantity<D>;
}

/** The system of the first quantity that belongs to one; US when none does. */
export function sheetFor(...given: readonly (Quantity | undefined)[]): Sheet {
  const system = given.flatMap((q) => (q ? (systemOf(q) ?? []) : []))[0] ?? 'US';
  return {
    system,
    of: (dimension, value, units) => {
      const named = units?.[system];
      if (named !== undefined) return fromSi(dimension, value, named);
      const usual = preferredUnit(fromSi(dimension, value, siUnit(dimension)), system);
      return fromSi(dimension, value, isUnitOf(dimension, usual) ? usual : siUnit(dimension));
    },
  };
}

function isUnitOf<D extends Dimension>(dimension: D, unit: string): unit is UnitOf<D> {
  return unitOf(dimension, unit) !== undefined;
}

const SI_UNITS: { readonly [D in Dimension]: UnitOf<D> } = {
  length: 'm',
  angle: 'rad',
  force: 'N',
  torque: 'N·m',
  'gauge pressure': 'Pa g',
  'absolute pressure': 'Pa a',
  'pressure difference': 'Pa',
  stress: 'MPa',
  area: 'm²',
  volume: 'm³',
  flow: 'm³/s',
  temperature: 'K',
  'temperature difference': 'K',
  'thermal expansion': '1/K',
  mass: 'kg',
  time: 's',
  speed: 'm/s',
  'rotational speed': 'rad/s',
  energy: 'J',
  stiffness: 'N/mm',
  ratio: '',
  'gas flow': 'Nm³/h',
  'flow coefficient': 'Kv',
  density: 'kg/m³',
  current: 'A',
  voltage: 'V',
  count: 'notches',
};

const siUnit = <D extends Dimension>(dimension: D): UnitOf<D> => SI_UNITS[dimension];

/** A quantity as a line of a working shows it, in its own unit. */
export function shown(q: Quantity): string {
  return showIn(q, q.unit);
}

function showIn<D extends Dimension>(q: Quantity<D>, unit: string): string {
  return isUnitOf(q.dimension, unit) ? formatAs(q, unit) : `${q.value} ${unit}`;
}

/** One line of a working; a quantity as the result is shown in its own unit. */
export function line(label: string, formula: string, substituted: string, result: Quantity | string): Step {
  return { label, formula, substituted, result: typeof result === 'string' ? result : shown(result) };
}
