import { z } from 'zod';
import { instrumentId } from './ids';

export const INSTRUMENT_KINDS = [
  'dial indicator',
  'torque wrench',
  'test rig',
  'gauge',
  'caliper',
  'thermometer',
  'voltage tester',
  'gauge set',
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** The instrument behind a reading, as it stood at that moment. A reading out of calibration does not count. */
export const instrumentStamp = z.strictObject({
  id: instrumentId,
  name: z.string().min(1).max(80),
  kind: z.enum(INSTRUMENT_KINDS),
  simulated: z.boolean(),
  calibrationDue: z.iso.date(),
  inCalibration: z.boolean(),
});
export type InstrumentStamp = z.output<typeof instrumentStamp>;

/** Working days before its calibration is due in which an instrument should be on its way; common practice. */
export const CALIBRATION_SOON = 20;

/** `hand` is a figure read by eye and typed: it names no instrument. */
export const readBy = z.union([z.literal('hand'), instrumentStamp]);
export type ReadBy = z.output<typeof readBy>;

/** Whether a reading counts: by hand, or by an instrument that was in calibration. */
export const counts = (by: ReadBy): boolean => by === 'hand' || by.inCalibration;
