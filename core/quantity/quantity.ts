import { unitOf, type Dimension, type UnitOf } from './units';

/**
 * A number with its unit and its dimension. It is kept in the unit it was entered in, so that what a person
 * typed is never lost; `si` gives the SI value for arithmetic inside one module.
 */
export interface Quantity<D extends Dimension = Dimension> {
  readonly dimension: D;
  readonly value: number;
  /** One of the dimension's units: the makers below and the schema see to that. */
  readonly unit: string;
  /** The text as it was typed, kept for showing again (`1 1/8 in`). */
  readonly entered?: string;
}

export type Length = Quantity<'length'>;
export type Angle = Quantity<'angle'>;
export type Force = Quantity<'force'>;
export type Torque = Quantity<'torque'>;
export type GaugePressure = Quantity<'gauge pressure'>;
export type PressureDifference = Quantity<'pressure difference'>;
export type Stress = Quantity<'stress'>;
export type Area = Quantity<'area'>;
export type Volume = Quantity<'volume'>;
export type Flow = Quantity<'flow'>;
export type Temperature = Quantity<'temperature'>;
export type Mass = Quantity<'mass'>;
export type Time = Quantity<'time'>;
export type Energy = Quantity<'energy'>;
export type Ratio = Quantity<'ratio'>;
export type RotationalSpeed = Quantity<'rotational speed'>;
export type Stiffness = Quantity<'stiffness'>;
export type GasFlow = Quantity<'gas flow'>;
export type FlowCoefficient = Quantity<'flow coefficient'>;

/** A quantity, where it is of this dimension. */
export const ofDimension = <D extends Dimension>(
  value: Quantity | undefined,
  dimension: D,
): Quantity<D> | undefined => (value?.dimension === dimension ? { ...value, dimension } : undefined);

/** A quantity from a number in a named unit. */
export function quantity<D extends Dimension>(dimension: D, value: number, unit: UnitOf<D>): Quantity<D> {
  return { dimension, value, unit };
}

function definition(dimension: Dimension, unit: string) {
  const found = unitOf(dimension, unit);
  if (!found) throw new RangeError(`${dimension} has no unit '${unit}'`);
  return found;
}

/** The SI value: metres, newtons, pascals (gauge or absolute as the dimension says), kelvin, seconds. */
export function si(q: Quantity): number {
  const unit = definition(q.dimension, q.unit);
  return q.value * unit.factor + (unit.offset ?? 0);
}

/** The number in another unit of the same dimension. */
export function valueIn<D extends Dimension>(q: Quantity<D>, unit: UnitOf<D>): number;
export function valueIn(q: Quantity, unit: string): number;
export function valueIn(q: Quantity, unit: string): number {
  if (unit === q.unit) return q.value;
  const to = definition(q.dimension, unit);
  return (si(q) - (to.offset ?? 0)) / to.factor;
}

/** A quantity from its SI value, expressed in `unit`. */
export function fromSi<D extends Dimension>(dimension: D, value: number, unit: UnitOf<D>): Quantity<D> {
  const to = definition(dimension, unit);
  return quantity(dimension, (value - (to.offset ?? 0)) / to.factor, unit);
}

/** Negative, zero or positive as `a` is less than, equal to or more than `b`. */
export function compare<D extends Dimension>(a: Quantity<D>, b: Quantity<D>): number {
  return si(a) - si(b);
}

export const inches = (value: number) => quantity('length', value, 'in');
export const thou = (value: number) => quantity('length', value, 'thou');
export const millimetres = (value: number) => quantity('length', value, 'mm');
export const psig = (value: number) => quantity('gauge pressure', value, 'psig');
export const seconds = (value: number) => quantity('time', value, 's');
export const minutes = (value: number) => quantity('time', value, 'min');
export const degrees = (value: number) => quantity('angle', value, '°');

const ATMOSPHERE = 101_325;

/** A pressure in pascals absolute, given by gauge or absolute (standard atmosphere). */
export const absoluteIfGauge = (pressure: Quantity<'gauge pressure' | 'absolute pressure'>): number =>
  pressure.dimension === 'gauge pressure' ? si(pressure) + ATMOSPHERE : si(pressure);
