import { jobId, valveId } from '@dusk-wren/core/job';
import { CONSTRUCTION_IDS, PART_ROLES } from '@dusk-wren/core/valve';
import { z } from 'zod';

/** What the lives of all valves say together, as web and server both see it. */

/** How far back charts look, months. */
export const FLEET_MONTHS = [12, 36, 96] as const;

export const fleetQuery = z.strictObject({
  months: z.coerce.number().pipe(z.literal(FLEET_MONTHS)).default(36),
  customer: z.string().trim().min(1).max(80).exactOptional(),
  /** What an hour costs, in the shop’s own currency. */
  rate: z.coerce.number().min(0).max(10_000).default(0),
});
export const fleetFileQuery = fleetQuery.omit({ rate: true });

export const worstValve = z.object({
  valve: valveId,
  tag: z.string(),
  customer: z.string(),
  jobs: z.number().int(),
  minutes: z.number(),
  /** Hours and parts, in the shop’s own currency. */
  cost: z.number(),
  cause: z.string().nullable(),
});
const counted = z.object({ what: z.string(), count: z.number().int() });

/** A part of a construction, with how many failed and how many did not. */
export const partLived = z.object({
  construction: z.enum(CONSTRUCTION_IDS),
  part: z.enum(PART_ROLES),
  failed: z.number().int(),
  others: z.number().int(),
  /** Failed at an age that nobody knows: left out. */
  unknown: z.number().int(),
});
export type PartLived = z.output<typeof partLived>;

export const fleetView = z.object({
  jobs: z.number().int(),
  valves: z.number().int(),
  /** By cost. */
  worst: z.array(worstValve),
  causes: z.array(counted),
  found: z.array(counted),
  cameBack: z.number().int(),
  parts: z.array(partLived),
});
export type Fleet = z.output<typeof fleetView>;

/** Jobs behind a chart: of a valve, a cause, a way that they were found, or those that came back. */
export const fleetJobsQuery = fleetFileQuery.extend({
  valve: valveId.exactOptional(),
  cause: z.string().max(60).exactOptional(),
  found: z.string().max(20).exactOptional(),
  cameBack: z.literal('yes').exactOptional(),
  /** Jobs on which this part of this construction had failed. */
  construction: z.enum(CONSTRUCTION_IDS).exactOptional(),
  part: z.enum(PART_ROLES).exactOptional(),
  cursor: z.string().max(200).exactOptional(),
  limit: z.coerce.number().int().min(1).max(100).default(30),
});
export const fleetJob = z.object({
  job: jobId,
  valve: valveId,
  tag: z.string(),
  customer: z.string(),
  signed: z.iso.date(),
  minutes: z.number(),
  found: z.string().nullable(),
  why: z.string(),
  cause: z.string().nullable(),
  reported: z.string(),
});
export const fleetJobs = z.object({ jobs: z.array(fleetJob), next: z.string().nullable() });
export type FleetJob = z.output<typeof fleetJob>;

export const agesQuery = z.strictObject({
  construction: z.enum(CONSTRUCTION_IDS),
  part: z.enum(PART_ROLES),
  /** Only in this medium. */
  service: z.string().trim().min(1).max(60).exactOptional(),
});
/** Ages of a part, days: what failed, and what still runs or went for another cause. */
export const agesView = z.object({
  failures: z.array(z.number()),
  running: z.array(z.number()),
  unknown: z.number().int(),
  services: z.array(z.string()),
});
export type PartAges = z.output<typeof agesView>;

/** What of a kit is never used. */
export const kitUse = z.object({
  sheet: z.string(),
  title: z.string(),
  construction: z.enum(CONSTRUCTION_IDS),
  /** Jobs of its construction in the time. */
  jobs: z.number().int(),
  lines: z.array(
    z.object({ line: z.string(), name: z.string(), part: z.enum(PART_ROLES), used: z.number().int() }),
  ),
});
export const kitUses = z.object({ kits: z.array(kitUse) });
export type KitUse = z.output<typeof kitUse>;

/** A failure as it is told to others, in the code of ISO 14224. */
export const failureLine = z.object({
  tag: z.string(),
  serial: z.string().nullable(),
  customer: z.string(),
  construction: z.string(),
  signed: z.iso.date(),
  job: jobId,
  mode: z.string(),
  mechanism: z.string(),
  cause: z.string(),
  found: z.string(),
  hours: z.number(),
});
export type FailureLine = z.output<typeof failureLine>;
