import { z } from 'zod';
import { phrase, quantityOf } from '../../quantity';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** Screws that a setting is brought to its figure by. */
export const SCREWS = [
  'compression screw',
  'upper ring',
  'lower ring',
  'zero screw',
  'span screw',
  'relay nozzle',
  'gain screw',
  'spring adjuster',
  'adjusting screw',
] as const;
export type Screw = (typeof SCREWS)[number];

/** A setting screw turned, clockwise positive, between one reading and the next. */
export const screwTurned = defineEvent({
  kind: 'screw-turned',
  body: z.strictObject({ step: stepRef, screw: z.enum(SCREWS), by: quantityOf('angle') }),
  describe: ({ screw, by }) =>
    phrase`${screw} ${{ ...by, value: Math.abs(by.value) }} ${by.value < 0 ? 'anticlockwise' : 'clockwise'}`,
});
