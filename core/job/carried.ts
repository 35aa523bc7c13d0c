import { z } from 'zod';
import { partRoleSchema } from '../inspection';
import { anyQuantity, quantityOf } from '../quantity';
import { AS_FOUND_OUTCOMES } from '../workings';
import { jobId } from './ids';

/** The job that a thing comes from, and the day that one was signed. */
const of = { job: jobId, at: z.iso.date() };

/** How a valve was found: the words of the working `interval.next`. */
export const foundSchema = z.enum(AS_FOUND_OUTCOMES);
export type Found = z.output<typeof foundSchema>;

/** One reading in the life of something that is used up. */
const pointSchema = z.strictObject({
  ...of,
  /** As it was found; absent where nobody took it. */
  found: anyQuantity.exactOptional(),
  /** As it was left; absent where what was fitted is new and was not measured. */
  left: anyQuantity.exactOptional(),
});

/** Something that is used up, since what it is of was new; or that is put back at every job. */
export const courseSchema = z.strictObject({
  what: z.string().min(1).max(120),
  part: partRoleSchema.exactOptional(),
  kind: z.enum(['used up', 'put back']),
  direction: z.enum(['falling', 'rising']),
  limit: anyQuantity,
  /** Oldest first, since the part was last renewed. */
  points: z.array(pointSchema).max(60),
});
export type Course = z.output<typeof courseSchema>;
export type CoursePoint = Course['points'][number];

/** Left as it is for now, to be put right by a day. */
export const temporarySchema = z.strictObject({
  what: z.string().trim().min(3).max(200),
  recall: z.iso.date(),
});
export type Temporary = z.output<typeof temporarySchema>;

const share = quantityOf('ratio');

/**
 * What a valve brings from the jobs before: each thing with the job that it comes from, computed from their logs and never
 * typed. A job that is opened keeps what was known then.
 */
export const carriedSchema = z.strictObject({
  /** Figures as they were left, by what they are of. */
  figures: z.array(z.strictObject({ ...of, what: z.string().max(60), value: anyQuantity })).max(200),
  /** What is said in words: which way round, packing, seal, units from the shelf. */
  words: z.array(z.strictObject({ ...of, what: z.string().max(80), words: z.string().max(200) })).max(100),
  /** The last stroke as it was left, to hold the next one against. */
  stroke: z
    .strictObject({
      ...of,
      points: z.array(z.strictObject({ signal: share, up: share, down: share })).max(21),
    })
    .exactOptional(),
  /** How it was found, oldest first. */
  found: z.array(z.strictObject({ ...of, found: foundSchema })).max(60),
  /** Months that the last certificate gave it. */
  months: z.number().positive().exactOptional(),
  courses: z.array(courseSchema).max(60),
  /** What was left for now and is not put right yet. */
  temporary: z.array(temporarySchema.extend(of)).max(20),
});
export type Carried = z.output<typeof carriedSchema>;

/** A valve that was never on a bench here. */
export const NOTHING_CARRIED: Carried = Object.freeze({
  figures: [],
  words: [],
  found: [],
  courses: [],
  temporary: [],
});
