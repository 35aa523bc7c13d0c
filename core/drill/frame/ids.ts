import { z } from 'zod';

/** The ten exercises, as they are kept. */
export const DRILL_IDS = [
  'comes-off-next',
  'make-it-dead',
  'where-is-the-fault',
  'read-the-ring',
  'straight-or-bent',
  'bolt-it',
  'in-the-bag',
  'which-screw',
  'set-it',
  'fit-or-not',
] as const;
export type DrillId = (typeof DRILL_IDS)[number];
export const drillId = z.enum(DRILL_IDS);

/** How hard: what is amiss gets subtler, hints fewer. */
export const LEVELS = [1, 2, 3, 4] as const;
export type Level = (typeof LEVELS)[number];
export const levelSchema = z.literal(LEVELS);

/** Hints that a level has. */
export const hintsAt = (level: Level): number => 4 - level;
