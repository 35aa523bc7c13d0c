import { jobId, personId, PLACES, ROLES, SCOPES, STAGES, valveId } from '@dusk-wren/core/job';
import { jobOperation, OPERATION_KINDS, weekFile, type Placing } from '@dusk-wren/core/schedule';
import { CONSTRUCTION_IDS, valveSchema } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { clock, workHours } from './places';

/** Who is there when, and the plan of the shop's week. */

const words = (most: number) => z.string().trim().min(1).max(most);
const rowId = z.int().positive();

/** Days on which somebody is away, the first and the last among them. */
const absence = { from: z.iso.date(), to: z.iso.date(), why: words(80) };
export const endsLater = { path: ['to'], message: 'it ends on the day that it begins, or later' };
export const absenceRequest = z
  .strictObject({ person: personId, ...absence })
  .refine(({ from, to }) => to >= from, endsLater);
export type AbsenceAsked = z.output<typeof absenceRequest>;

export const holidayRequest = z.strictObject({ day: z.iso.date(), name: words(80) });
export type Holiday = z.output<typeof holidayRequest>;

/** Hours of some days that somebody stays for beyond their own. */
const evening = z
  .strictObject({ day: z.iso.date(), from: clock, to: clock })
  .refine(({ from, to }) => to > from, { path: ['to'], message: 'it ends after it begins, on the same day' });
export const extraHoursRequest = z.strictObject({
  person: personId,
  /** All of them or none. */
  evenings: z.array(evening).min(1).max(31),
});
export type ExtraHoursAsked = z.output<typeof extraHoursRequest>;

export const ownHoursRequest = z.strictObject({ hours: workHours.nullable() });
export const shopHoursRequest = z.strictObject({ hours: workHours });

export const hoursOfPerson = z.object({
  id: personId,
  name: z.string(),
  role: z.enum(ROLES),
  skills: z.array(z.string()),
  /** Their own, or nothing where they go by those of the shop. */
  hours: workHours.nullable(),
  away: z.array(z.object({ id: rowId, ...absence })),
  extra: z.array(z.object({ id: rowId, day: z.iso.date(), from: clock, to: clock })),
});
export type HoursOfPerson = z.output<typeof hoursOfPerson>;
export const hoursView = z.object({
  shop: workHours,
  holidays: z.array(holidayRequest),
  people: z.array(hoursOfPerson),
});
export type HoursView = z.output<typeof hoursView>;

/** An operation where it was put: minutes from the moment that the view was made. */
export const placing = z.object({
  job: z.string(),
  id: z.string(),
  place: z.string().exactOptional(),
  person: z.string().exactOptional(),
  start: z.int(),
  end: z.int(),
});
export type PlacingView = z.output<typeof placing>;

/** The names of a shop's plan are texts; those of a file may be numbers. */
export const placingText = ({ job, id, place, person, start, end }: Placing): PlacingView => ({
  ...{ job: String(job), id: String(id), start, end },
  ...(place === undefined ? {} : { place: String(place) }),
  ...(person === undefined ? {} : { person: String(person) }),
});

/** A job of the week, as its pieces carry it. */
export const weekJobView = z.object({
  id: jobId,
  tag: z.string(),
  customer: z.string(),
  location: z.string(),
  construction: z.enum(CONSTRUCTION_IDS),
  stage: z.enum(STAGES),
  travel: z.number(),
  due: z.iso.date().nullable(),
  hard: z.boolean(),
  weight: z.number(),
  /** Nothing of it is begun before this day. */
  notBefore: z.iso.date().nullable(),
  /** What each of its operations is, by its id. */
  kinds: z.record(z.string(), z.enum(OPERATION_KINDS)),
  /** Operations that somebody has begun. */
  begun: z.array(z.string()),
});
export type WeekJobView = z.output<typeof weekJobView>;

/** Done over planned of each kind of work on valves of a construction, as it came out lately, the newest last. */
export const learned = z.partialRecord(
  z.enum(CONSTRUCTION_IDS),
  z.partialRecord(z.enum(OPERATION_KINDS), z.array(z.number())),
);
export type Learned = z.output<typeof learned>;

export const weekView = z.object({
  /** The moment that its minutes count from. */
  from: z.iso.datetime(),
  zone: z.string(),
  /** Midnights of the days that it covers. */
  days: z.array(z.object({ day: z.iso.date(), midnight: z.int() })),
  /** What was planned, in the form of a file. */
  week: weekFile,
  people: z.array(z.object({ id: personId, name: z.string() })),
  jobs: z.array(weekJobView),
  learned,
  plan: z.array(placing),
  /** How it stood when the day began, or when the day's first plan was made. */
  morning: z.array(placing),
  pins: z.array(z.object({ job: z.string(), id: z.string(), by: z.string() })),
  objective: z.number(),
  bound: z.number(),
  gap: z.number(),
  /** What the shop has not set up and its jobs ask for; why a pin could not be kept; why there is no plan. */
  said: z.array(z.string()),
});
export type WeekView = z.output<typeof weekView>;

/** A job that might be taken in: on a valve on file, or as one is typed. */
export const toComeRequest = z.strictObject({
  valve: z.union([z.strictObject({ id: valveId }), z.strictObject({ new: valveSchema })]),
  place: z.enum(PLACES).exactOptional(),
  scope: z.enum(SCOPES).exactOptional(),
});
export type ToComeAsked = z.input<typeof toComeRequest>;
export const toComeView = z.object({
  construction: z.enum(CONSTRUCTION_IDS),
  operations: z.array(jobOperation),
});

/** Whose day sheet, of which day; of everybody where nobody is named. */
export const daySheetQuery = z.strictObject({ day: z.iso.date(), person: personId.exactOptional() });
/** Whose calendar, or of which place; of the days that jobs are due where neither is said. */
export const timetableQuery = z.strictObject({
  person: personId.exactOptional(),
  place: words(40).exactOptional(),
});

/** Where a lead wants an operation: from a moment on, by somebody, or both. */
export const pinRequest = z
  .strictObject({
    job: jobId,
    id: words(200),
    start: z.iso.datetime().exactOptional(),
    person: personId.exactOptional(),
  })
  .refine(({ start, person }) => start !== undefined || person !== undefined, 'pinned to nothing');
export type PinAsked = z.output<typeof pinRequest>;
export const unpinRequest = z.strictObject({ job: jobId, id: words(200) });
/** A plan that a solver found, of the week as it was read: `from` says which. */
export const betterPlanRequest = z.strictObject({
  from: z.iso.datetime(),
  plan: z.array(placing).max(20_000),
  bound: z.number().min(0),
});
/** How much a job matters, whether its date moves, and the day before which nothing of it is begun. */
export const wantRequest = z.strictObject({
  hard: z.boolean(),
  weight: z.int().min(1).max(10),
  notBefore: z.iso.date().nullable(),
});
export type Want = z.output<typeof wantRequest>;
