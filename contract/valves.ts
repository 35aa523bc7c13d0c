import { jobId, personId, SCOPES, valveId } from '@dusk-wren/core/job';
import { CONSTRUCTION_IDS, valveSchema } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { jobLine } from './api';

/** The register of valves, as web and server both see it. */

/** Where a valve stands: in its line, ready to take another's place, or gone for good. */
export const STANDINGS = ['in place', 'spare', 'scrapped'] as const;
export type Standing = (typeof STANDINGS)[number];

export const registerQuery = z.strictObject({
  /** Words that it is found by, each perhaps only begun. */
  q: z.string().trim().max(80).exactOptional(),
  customer: z.string().trim().min(1).max(80).exactOptional(),
  construction: z.enum(CONSTRUCTION_IDS).exactOptional(),
  standing: z.enum(STANDINGS).exactOptional(),
  cursor: z.string().max(200).exactOptional(),
  limit: z.coerce.number().int().min(1).max(100).default(50),
});

/** A valve as a line of the register. */
export const registerLine = z.object({
  id: valveId,
  tag: z.string(),
  serial: z.string().nullable(),
  customer: z.string(),
  location: z.string(),
  construction: z.string(),
  size: z.string(),
  medium: z.string(),
  standing: z.enum(STANDINGS),
  /** The job that it is in now. */
  open: jobId.nullable(),
  /** When its last job was opened, and how many there were. */
  lastOpened: z.string().nullable(),
  jobs: z.number().int(),
});
export type RegisterLine = z.output<typeof registerLine>;
export const registerView = z.object({ valves: z.array(registerLine), next: z.string().nullable() });

/** A job in the life of a valve. */
export const lifeJob = z.object({
  job: jobLine.pick({ id: true, openedAt: true, summary: true }),
  scope: z.enum(SCOPES),
  reported: z.string(),
  by: z.object({ id: personId, name: z.string() }),
});
export const valveChange = z.object({
  id: z.number().int(),
  at: z.iso.datetime(),
  by: z.string(),
  what: z.string(),
});
/** A photograph that was pinned on one of its jobs. */
export const valvePhoto = z.object({
  job: jobId,
  photo: z.uuid(),
  at: z.string(),
  part: z.string().nullable(),
  caption: z.string(),
});
/** A valve with all that the shop knows of it. */
export const valvePage = z.object({
  id: valveId,
  valve: valveSchema,
  standing: z.enum(STANDINGS),
  /** Newest first. */
  jobs: z.array(lifeJob),
  /** Newest first, the latest of them. */
  photos: z.array(valvePhoto),
  /** Where it was put, and what became of it, newest first. */
  changes: z.array(valveChange),
});
export type ValvePage = z.output<typeof valvePage>;

/** Moved to another place, or put otherwise; with why, in words. */
export const valveMoveRequest = z
  .strictObject({
    standing: z.enum(STANDINGS).exactOptional(),
    customer: z.string().trim().min(1).max(80).exactOptional(),
    location: z.string().trim().min(1).max(120).exactOptional(),
    tag: z.string().trim().min(1).max(40).exactOptional(),
    why: z.string().trim().max(120).default(''),
  })
  .refine(({ why: _why, ...change }) => Object.keys(change).length > 0, 'nothing is changed');
