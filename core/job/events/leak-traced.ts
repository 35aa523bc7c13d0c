import { z } from 'zod';
import { defineEvent } from '../define-event';
import { stepRef } from '../stage';

/** Where a test leaked, once somebody has found it. */
export const LEAK_SOURCES = [
  'rig',
  'gland',
  'stem seals',
  'joint',
  'fitting',
  'body wall',
  'not fully open',
  'backseat shoulder',
] as const;
export type LeakSource = (typeof LEAK_SOURCES)[number];

/** What a test that leaked came from: what is put right, or opened, before it is run again. */
export const leakTraced = defineEvent({
  kind: 'leak-traced',
  body: z.strictObject({ step: stepRef, to: z.enum(LEAK_SOURCES) }),
  describe: ({ to }) => `leaked at: ${to}`,
});
