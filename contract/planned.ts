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

const WORDS: Readonly<Record<string, string>> = {
  pop: 'pop rig',
  field: 'in the field',
  part: 'wait for a part',
  threadlocker: 'threadlocker sets',
  lapping: 'lap',
};

/** What an operation is, as it is said on the floor and on paper. */
export const sayKind = (kind: string): string => WORDS[kind] ?? kind;
