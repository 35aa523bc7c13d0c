import { si, type Quantity } from './quantity';

/** More than this many times what is usual is a wrong unit or a slipped point more often than a large part. */
const TIMES_ABOVE = 10;
/** An inch read as millimetres is a 25th; half of that is asked about too. */
const TIMES_BELOW = 1 / 20;

/**
 * How many times what is usual a figure is, where that is hardly meant: ten times or more, a twentieth or less. Nothing
 * where it is zero, or where its sign or its scale (a temperature) says nothing about size.
 */
export function farFromUsual(value: Quantity, usual: Quantity): number | undefined {
  if (value.dimension !== usual.dimension || value.dimension === 'temperature') return undefined;
  const times = Math.abs(si(value) / si(usual));
  if (!Number.isFinite(times) || times === 0) return undefined;
  return times >= TIMES_ABOVE || times <= TIMES_BELOW ? times : undefined;
}
