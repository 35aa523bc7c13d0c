import { z } from 'zod';

/** A name of a place, a person, a job or an operation. */
const id = z.union([z.string().min(1).max(200), z.int()]);
export type Id = z.output<typeof id>;

/** Whole minutes from now. */
const minute = z.int().min(-10_000_000).max(10_000_000);
const duration = z.int().min(0).max(1_000_000);

const stretch = z
  .tuple([minute, minute])
  .refine(([from, to]) => from <= to, { message: 'a stretch ends after it begins' });
const open = z.array(stretch).max(5000);

const place = z.strictObject({ id, count: z.int().min(1).max(100).default(1), open: open.optional() });
const person = z.strictObject({ id, skills: z.array(z.string()).default([]), open: open.optional() });

const operation = z.strictObject({
  id,
  minutes: duration,
  place: id.optional(),
  /** Somebody who has it. */
  skill: z.string().optional(),
  /** This one and nobody else. */
  person: id.optional(),
  /** What must have ended; left out it is the operation before it in the list, empty is nothing. */
  after: z.array(id).optional(),
  /** By the clock on the wall, between its end and what follows it. */
  wait: duration.default(0),
  /** Over and done with, or the minute at which it ended. */
  done: z.union([z.boolean(), minute.max(0)]).default(false),
});

const job = z.strictObject({
  id,
  release: minute.default(0),
  due: minute.optional(),
  /** A date that nothing moves. */
  hard: z.boolean().default(false),
  weight: z.number().min(0).max(1e6).default(1),
  operations: z.array(operation).max(500),
});

const pin = z.strictObject({
  job: id,
  id,
  start: minute.optional(),
  place: id.optional(),
  person: id.optional(),
});

/** More than any shop plans; what is larger is somebody else's file. */
const MOST_OPERATIONS = 20_000;

/**
 * What a shop has to do and with whom. All times are whole minutes from now; a place or a person without `open` is there
 * always.
 */
export const weekFile = z
  .strictObject({
    places: z.array(place).max(2000),
    people: z.array(person).max(2000),
    jobs: z.array(job).max(5000),
    pinned: z.array(pin).max(10_000).default([]),
    /** How long the solver may look; 0 is the instant engine alone. */
    seconds: z.number().min(0).max(86_400).default(0),
  })
  .refine(({ jobs }) => jobs.reduce((sum, { operations }) => sum + operations.length, 0) <= MOST_OPERATIONS, {
    message: `a week has ${MOST_OPERATIONS} operations at the most`,
  });

export type Week = z.output<typeof weekFile>;
export type WeekJob = Week['jobs'][number];
export type WeekOperation = WeekJob['operations'][number];
export type WeekPin = Week['pinned'][number];

/** An operation where it was put: [start, end), with who does it and where. */
export interface Placing {
  readonly job: Id;
  readonly id: Id;
  readonly place?: Id;
  readonly person?: Id;
  readonly start: number;
  readonly end: number;
}

/** What an operation follows, by the rule of the file. */
export function followed(job: WeekJob, index: number): readonly Id[] {
  const own = job.operations[index]?.after;
  if (own) return own;
  const before = job.operations[index - 1];
  return before ? [before.id] : [];
}
