import { z } from 'zod';

/** Where a shop's work is done, as a lead sets it up. */

export const WORK_PLACE_KINDS = [
  'bench',
  'vice',
  'lathe',
  'lapping plate',
  'wash',
  'rig',
  'pop rig',
  'other',
] as const;
export type WorkPlaceKind = (typeof WORK_PLACE_KINDS)[number];

export const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
export type Weekday = (typeof WEEK)[number];

/** `07:30`. */
export const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'as 07:30, up to 23:59');

/** The days on which something is open, in the order of the week. */
const openDays = z
  .array(z.enum(WEEK, `days are ${WEEK.join(', ')}`))
  .min(1)
  .transform((days) => WEEK.filter((day) => days.includes(day)));

const fields = {
  name: z.string().trim().min(1).max(80),
  kind: z.enum(WORK_PLACE_KINDS, `one of ${WORK_PLACE_KINDS.join(', ')}`),
  /** How many of it there are: people who can work at once. */
  count: z.int().min(1).max(200),
  days: openDays,
  opens: clock,
  closes: clock,
};
const closesLater = {
  path: ['closes'],
  message: 'it closes later than it opens, on the same day',
};

/** When people work: on which days, from when to when, with a break where they have one. */
export const workHours = z
  .strictObject({
    days: openDays,
    opens: clock,
    closes: clock,
    breakFrom: clock.exactOptional(),
    breakTo: clock.exactOptional(),
  })
  .refine(({ opens, closes }) => closes > opens, closesLater)
  .refine(
    ({ opens, closes, breakFrom, breakTo }) =>
      (breakFrom === undefined) === (breakTo === undefined) &&
      (breakFrom === undefined ||
        breakTo === undefined ||
        (opens < breakFrom && breakFrom < breakTo && breakTo < closes)),
    { path: ['breakTo'], message: 'a break begins and ends within the hours, and ends after it begins' },
  );
export type WorkHours = z.output<typeof workHours>;

export const workPlaceRequest = z
  .strictObject(fields)
  .refine(({ opens, closes }) => closes > opens, closesLater);
export type WorkPlaceAsked = z.output<typeof workPlaceRequest>;

/** A place is set as a whole, or taken out of use and back. */
export const workPlaceChange = z.union([workPlaceRequest, z.strictObject({ retired: z.boolean() })]);

export const workPlace = z.object({ id: z.uuid(), ...fields, retired: z.boolean() });
export type WorkPlace = z.output<typeof workPlace>;
export const workPlacesView = z.object({ places: z.array(workPlace) });
