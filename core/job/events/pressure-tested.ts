import { z } from 'zod';
import { format, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

export const PRESSURE_TESTS = ['shell', 'backseat', 'seat'] as const;
export type PressureTest = (typeof PRESSURE_TESTS)[number];

export const pressureTested = defineEvent({
  kind: 'pressure-tested',
  body: z.strictObject({
    step: stepRef,
    test: z.enum(PRESSURE_TESTS),
    fluid: z.enum(['liquid', 'gas']),
    pressure: quantityOf('gauge pressure'),
    hold: quantityOf('time'),
    /** Drops or bubbles a minute, by the fluid; millilitres where they are measured. */
    leakPerMinute: z.number().min(0).max(10_000_000),
    counted: z.literal('mL').exactOptional(),
    readBy,
  }),
  describe: ({ test, pressure, leakPerMinute, fluid, counted }) =>
    `${test} test at ${format(pressure, 'US')}: ${leakPerMinute} ${counted ?? (fluid === 'gas' ? 'bubbles' : 'drops')} a minute`,
});
