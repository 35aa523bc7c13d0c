import type { Ages } from '../../analysis';
import { valueIn, type Time } from '../../quantity';
import { amountsField } from '../frame/field';

const MOST = 5000;

/** Ages of what failed, and of what did not. */
export const agesAsked = {
  failures: amountsField(
    'time',
    'd',
    { label: 'Ages at failure', example: '910 d; 1180 d; 640 d; 1320 d; 870 d; 1010 d; 1460 d; 720 d' },
    MOST,
  ),
  running: amountsField(
    'time',
    'd',
    {
      label: 'Ages of those that still run, or went for another cause',
      example: '1000 d; 1500 d',
      inExample: true,
    },
    MOST,
  ).exactOptional(),
};

/** Ages in the unit of the first, and that unit put back. */
export function agesIn({
  failures,
  running = [],
}: {
  readonly failures: readonly Time[];
  readonly running?: readonly Time[] | undefined;
}): { ages: Ages; unit: string; inUnit: (age: number) => Time } {
  const { dimension, unit } = failures[0] ?? running[0] ?? { dimension: 'time' as const, unit: 'd' };
  const plain = (times: readonly Time[]) => times.map((time) => valueIn(time, unit));
  return {
    ages: { failures: plain(failures), running: plain(running) },
    unit,
    inUnit: (age) => ({ dimension, value: age, unit }),
  };
}
