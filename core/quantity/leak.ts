import { z } from 'zod';
import { formatNumber } from './format';

/** What is counted at the outlet: drops of the liquid, bubbles of the gas under water, or the volume let by. */
export const LEAK_COUNTS = ['drops', 'bubbles', 'mL'] as const;
export type LeakCount = (typeof LEAK_COUNTS)[number];

/** A leak a minute, with what was counted; zero of anything is still of that. */
export const leakSchema = z.strictObject({
  perMinute: z.number().min(0).max(10_000_000),
  of: z.enum(LEAK_COUNTS),
});
export type Leak = z.output<typeof leakSchema>;

/** Whether what leaked stays within an allowance. A leak counted another way than it is allowed in is not known to. */
export const isWithin = (leak: Leak, allowed: Leak): boolean =>
  leak.of === allowed.of && leak.perMinute <= allowed.perMinute;

/** Shows a leak at sensible digits, `2.3 mL/min`. */
export const formatLeak = ({ perMinute, of }: Leak): string => `${formatNumber(perMinute, 1)} ${of}/min`;
