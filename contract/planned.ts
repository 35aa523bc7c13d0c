import { jobId } from '@dusk-wren/core/job';
import { z } from 'zod';

/** What the plan of the week says to whoever works by it. */

/** A piece of somebody's day. */
export const plannedPiece = z.object({
  job: jobId,
  tag: z.string(),
  kind: z.string(),
  place: z.string().nullable(),
  person: z.string().nullable(),
  start: z.iso.datetime(),
  end: z.iso.datetime(),
});
export type PlannedPiece = z.output<typeof plannedPiece>;
export const mineView = z.object({ pieces: z.array(plannedPiece) });

/** What the plan says of one job. */
export const plannedJobView = z.object({
  readyAt: z.iso.datetime().nullable(),
  lateMinutes: z.number(),
  next: plannedPiece.nullable(),
});
export type PlannedJobView = z.output<typeof plannedJobView>;
