import { preferredUnit, systemOf, type UnitSystem } from './format';
import { parseQuantity } from './parse';
import { type Dimension, type UnitOf } from './units';

/** What a hand types a dimension in, nearest first; of the others, what it is shown in. */
const TYPED: { readonly [D in Dimension]?: Readonly<Record<UnitSystem, readonly UnitOf<D>[]>> } = {
  length: { US: ['in', 'thou', 'mm', 'ft'], SI: ['mm', 'µm', 'm', 'in'] },
  angle: { US: ['°', 'turn', 'o’clock'], SI: ['°', 'turn', 'o’clock'] },
  force: { US: ['lbf', 'N', 'kN'], SI: ['N', 'kN', 'kgf', 'lbf'] },
  torque: { US: ['lbf·ft', 'lbf·in', 'N·m'], SI: ['N·m', 'kgf·m', 'lbf·ft'] },
  'gauge pressure': { US: ['psig', 'inH2O g', 'bar g'], SI: ['bar g', 'kPa g', 'MPa g', 'psig'] },
  'pressure difference': { US: ['psi', 'inH2O', 'bar'], SI: ['bar', 'kPa', 'MPa', 'psi'] },
  'absolute pressure': { US: ['psia', 'bar a'], SI: ['bar a', 'kPa a', 'psia'] },
  area: { US: ['in²', 'cm²'], SI: ['cm²', 'mm²', 'in²'] },
  volume: { US: ['gal', 'in³', 'L'], SI: ['L', 'mL', 'm³'] },
  temperature: { US: ['°F', '°C'], SI: ['°C', '°F'] },
  mass: { US: ['lb', 'kg'], SI: ['kg', 't', 'lb'] },
  time: { US: ['min', 's', 'h'], SI: ['min', 's', 'h'] },
  ratio: { US: ['%', 'ppm'], SI: ['%', 'ppm'] },
};

/** Units to choose from beside a field, the usual one first: that of its example, as this system has it. */
export function typedUnits(dimension: Dimension, system: UnitSystem, example?: string): readonly string[] {
  const offered: readonly string[] = TYPED[dimension]?.[system] ?? [];
  const usual = usualUnit(dimension, system, offered, example) ?? offered[0];
  return [...(usual === undefined ? [] : [usual]), ...offered.filter((unit) => unit !== usual)];
}

function usualUnit(
  dimension: Dimension,
  system: UnitSystem,
  offered: readonly string[],
  example: string | undefined,
): string | undefined {
  const read = parseQuantity(example ?? '', dimension);
  if (!read.ok || read.value.unit === '') return undefined;
  const own = systemOf(read.value) ?? system;
  return own === system && offered.includes(read.value.unit)
    ? read.value.unit
    : preferredUnit(read.value, system);
}
