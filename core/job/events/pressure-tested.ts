import { z } from 'zod';
import { formatLeak, leakSchema, phrase, quantityOf } from '../../quantity';
import { defineEvent, type Upgrade } from '../define-event';
import { readBy } from '../instrument';
import { stepRef } from '../stage';

export const PRESSURE_TESTS = ['shell', 'backseat', 'seat'] as const;
export type PressureTest = (typeof PRESSURE_TESTS)[number];

const first = z.looseObject({
  fluid: z.enum(['liquid', 'gas']),
  leakPerMinute: z.number(),
  counted: z.literal('mL').exactOptional(),
});

/** Format 1 had a bare number, which meant drops or bubbles by the fluid unless it said millilitres. */
const leakSaysWhatIsCounted: Upgrade = {
  name: 'the leak says what is counted',
  up: (body) => {
    const read = first.safeParse(body);
    if (!read.success) return body;
    const { leakPerMinute: perMinute, counted, ...rest } = read.data;
    return { ...rest, leak: { perMinute, of: counted ?? (rest.fluid === 'gas' ? 'bubbles' : 'drops') } };
  },
};

export const pressureTested = defineEvent({
  kind: 'pressure-tested',
  body: z.strictObject({
    step: stepRef,
    test: z.enum(PRESSURE_TESTS),
    fluid: z.enum(['liquid', 'gas']),
    pressure: quantityOf('gauge pressure'),
    hold: quantityOf('time'),
    leak: leakSchema,
    /** The recording that pressure and hold were read out of. */
    file: z.string().min(1).max(120).exactOptional(),
    readBy,
  }),
  describe: ({ test, pressure, leak, file }) =>
    phrase`${test} test at ${pressure}: ${formatLeak(leak)}${file === undefined ? '' : `, out of ${file}`}`,
  upgrades: [leakSaysWhatIsCounted],
});
