import { quantity, type Quantity } from '../quantity';

/** A range of signals, whole or split. */
export interface SignalRange {
  readonly low: number;
  readonly high: number;
  readonly unit: 'psig' | 'bar g' | 'mA';
}

/** Whole and split ranges in use (common practice; IEC 60381-1, IEC 60382), as they are stamped. */
const RANGES = {
  '3–15 psi': { low: 3, high: 15, unit: 'psig' },
  '6–30 psi': { low: 6, high: 30, unit: 'psig' },
  '3–9 psi': { low: 3, high: 9, unit: 'psig' },
  '9–15 psi': { low: 9, high: 15, unit: 'psig' },
  '0.2–1 bar': { low: 0.2, high: 1, unit: 'bar g' },
  '4–20 mA': { low: 4, high: 20, unit: 'mA' },
  '4–12 mA': { low: 4, high: 12, unit: 'mA' },
  '12–20 mA': { low: 12, high: 20, unit: 'mA' },
} as const satisfies Readonly<Record<string, SignalRange>>;

export const SIGNAL_RANGES = Object.keys(RANGES) as [SignalRangeName, ...SignalRangeName[]];
export type SignalRangeName = keyof typeof RANGES;

/** Whether its travel rises with its signal, or falls. */
export const ACTINGS = ['direct', 'reverse'] as const;
export type Acting = (typeof ACTINGS)[number];

/** A valve as far as its signal goes. */
interface Signalled {
  readonly plate?: { readonly signal?: SignalRangeName; readonly acting?: Acting };
}

/** What its plate says of its signal; 3–15 psi and direct where it says nothing (common practice). */
export function signalOf({ plate }: Signalled): { range: SignalRangeName; acting: Acting } {
  return { range: plate?.signal ?? '3–15 psi', acting: plate?.acting ?? 'direct' };
}

/** The signal that stands for this percent of the travel, as whoever puts it in reads it. */
export function signalAt(valve: Signalled, percent: number): Quantity {
  const { range, acting } = signalOf(valve);
  const { low, high, unit } = RANGES[range];
  const share = (acting === 'reverse' ? 100 - percent : percent) / 100;
  const value = Math.round((low + (high - low) * share) * 1000) / 1000;
  return unit === 'mA' ? quantity('current', value, 'mA') : quantity('gauge pressure', value, unit);
}

/** The whole of its range. */
export function signalSpan(valve: Signalled): Quantity {
  const { low, high, unit } = RANGES[signalOf(valve).range];
  const span = Math.round((high - low) * 1000) / 1000;
  if (unit === 'mA') return quantity('current', span, 'mA');
  return quantity('pressure difference', span, unit === 'psig' ? 'psi' : 'bar');
}

/** The range that is stamped so: `3-15 psi`, `3 to 15 psig`, `4…20 mA`. */
export function readSignalRange(text: string): SignalRangeName | undefined {
  const found = /^([\d.]+)\s*(?:-|–|\.\.\.|…|to)\s*([\d.]+)\s*(psi|bar|ma)/i.exec(text.trim());
  if (!found) return undefined;
  const name = `${found[1]}–${found[2]} ${(found[3] ?? '').toLowerCase().replace('ma', 'mA')}`;
  return SIGNAL_RANGES.find((each) => each === name);
}
