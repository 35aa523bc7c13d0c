import { formatExactly, quantity } from '@dusk-wren/core/quantity';

/** A range of signals, whole or split (common practice; IEC 60381-1, IEC 60382). */
export interface SignalRange {
  readonly name: string;
  readonly low: number;
  readonly high: number;
  readonly unit: 'psig' | 'bar g' | 'mA';
}

const range = (low: number, high: number, unit: SignalRange['unit']): SignalRange => ({
  name: `${low} to ${high} ${unit}`,
  low,
  high,
  unit,
});

export const SIGNAL_RANGES = [
  range(3, 15, 'psig'),
  range(6, 30, 'psig'),
  range(3, 9, 'psig'),
  range(9, 15, 'psig'),
  range(0.2, 1, 'bar g'),
  range(4, 20, 'mA'),
  range(4, 12, 'mA'),
  range(12, 20, 'mA'),
] as const satisfies readonly [SignalRange, ...SignalRange[]];

/** What percent of the travel asked for is in this range, falling where it is reverse acting, as whoever puts it in reads it. */
export function inSignal({ low, high, unit }: SignalRange, percent: number, isReverse = false): string {
  const share = (isReverse ? 100 - percent : percent) / 100;
  const value = Math.round((low + (high - low) * share) * 1000) / 1000;
  return formatExactly(
    unit === 'mA' ? quantity('current', value, 'mA') : quantity('gauge pressure', value, unit),
  );
}
