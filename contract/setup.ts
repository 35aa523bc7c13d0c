import { ROLES } from '@dusk-wren/core/job';
import { z } from 'zod';

/** What a lead sets up, as web and server both see it. */

const words = (most: number) => z.string().trim().min(1).max(most);

/** How somebody stands: at work, with a code that was not used yet, or gone. */
export const PERSON_STANDINGS = ['here', 'invited', 'code over', 'left'] as const;

export const setupPerson = z.object({
  id: z.uuid(),
  name: z.string(),
  role: z.enum(ROLES),
  skills: z.array(z.string()),
  standing: z.enum(PERSON_STANDINGS),
  /** Screens that they are signed in at now. */
  screens: z.number(),
  leftAt: z.iso.datetime().nullable(),
});
export type SetupPerson = z.output<typeof setupPerson>;
export const setupPeopleView = z.object({ people: z.array(setupPerson) });

export const newPersonRequest = z.strictObject({
  name: words(80),
  role: z.enum(ROLES),
  skills: z.array(words(40)).max(20).default([]),
});
export const changePersonRequest = z
  .strictObject({
    name: words(80).exactOptional(),
    role: z.enum(ROLES).exactOptional(),
    skills: z.array(words(40)).max(20).exactOptional(),
    /** Gone, or back again. */
    left: z.boolean().exactOptional(),
  })
  .refine((change) => Object.keys(change).length > 0, 'nothing is changed');

/** A person with the code that they sign in with the first time; it is shown this once. */
export const personWithCode = z.object({ person: setupPerson, code: z.string(), until: z.iso.datetime() });
export type PersonWithCode = z.output<typeof personWithCode>;

/** The code from a lead, and the PIN that somebody chooses in its place. */
export const ownPinRequest = z.strictObject({
  personId: z.uuid(),
  code: z.string().min(4).max(64),
  pin: z.string().min(4).max(64),
});

export const SETUP_SUBJECTS = ['people'] as const;
export const setupChange = z.object({
  id: z.number(),
  at: z.iso.datetime(),
  by: z.string(),
  subject: z.enum(SETUP_SUBJECTS),
  what: z.string(),
});
export const setupChangesView = z.object({ changes: z.array(setupChange), more: z.boolean() });
export type SetupChange = z.output<typeof setupChange>;
export const setupChangesQuery = z.strictObject({
  q: z.string().trim().max(60).exactOptional(),
  before: z.coerce.number().int().positive().exactOptional(),
});
