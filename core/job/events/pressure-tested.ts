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
    /** Drops or bubbles a minute, by the fluid. */
    leakPerMinute: z.number().min(0).max(100_000),
    readBy,
  }),
  describe: ({ test, pressure, leakPerMinute, fluid }) =>
    `${test} test at ${format(pressure, 'US')}: ${leakPerMinute} ${fluid === 'gas' ? 'bubbles' : 'drops'} a minute`,
});
