import { carriedSchema, commandId, jobId, SCOPES, valveId } from '@dusk-wren/core/job';
import { dueSchema, livedSchema } from '@dusk-wren/core/life';
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
  /** Due by this day. */
  due: z.iso.date().exactOptional(),
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
  /** When it is due next; nothing before its first certificate here. */
  due: dueSchema.nullable(),
});
export type RegisterLine = z.output<typeof registerLine>;
export const registerView = z.object({ valves: z.array(registerLine), next: z.string().nullable() });

/** Of what a signed job says, what its line shows. */
export const livedView = livedSchema.pick({
  signed: true,
  asFound: true,
  measures: true,
  renewed: true,
  reworked: true,
  minutes: true,
  by: true,
});
export type LivedView = z.output<typeof livedView>;

/** A job in the life of a valve. */
export const lifeJob = z.object({
  job: jobLine.pick({ id: true, openedAt: true, summary: true }),
  scope: z.enum(SCOPES),
  reported: z.string(),
  by: z.object({ name: z.string() }),
  /** What it says in the life of the valve, once it is signed. */
  lived: livedView.nullable(),
});
export type LifeJob = z.output<typeof lifeJob>;
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
  /** When it is due and why, all that says so, the soonest first. */
  due: z.array(dueSchema),
  /** What it brings into its next job. */
  carried: carriedSchema,
  /** Others of the same kind and size at the same customer: what could take its place. */
  twins: z.array(
    z.object({ id: valveId, tag: z.string(), location: z.string(), standing: z.enum(STANDINGS) }),
  ),
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

/** The recall list: what is due by a day, of one customer or of all. */
export const dueQuery = z.strictObject({
  by: z.iso.date(),
  customer: z.string().trim().min(1).max(80).exactOptional(),
  cursor: z.string().max(200).exactOptional(),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});
export const dueFileQuery = dueQuery.pick({ by: true, customer: true });
export const dueList = z.object({
  valves: z.array(registerLine.extend({ due: dueSchema })),
  /** How many there are by that day in all. */
  inAll: z.number().int(),
  next: z.string().nullable(),
});
export type DueLine = z.output<typeof dueList>['valves'][number];

/** Jobs opened on valves that are due, each once for its command. */
export const openDueRequest = z.strictObject({
  valves: z
    .array(z.strictObject({ valve: valveId, commandId }))
    .min(1)
    .max(200),
});
export const jobsOpened = z.object({
  opened: z.array(z.object({ valve: valveId, job: jobId })),
  /** What was not opened, and why, in words. */
  left: z.array(z.object({ valve: valveId, why: z.string() })),
});
