import { drillId, levelSchema, MOST_MOVES, STANDINGS, ticketSchema } from '@dusk-wren/core/drill';
import { jobId, personId, ROLES } from '@dusk-wren/core/job';
import { phraseSchema } from '@dusk-wren/core/quantity';
import { WORK_SKILLS } from '@dusk-wren/core/schedule';
import { CONSTRUCTION_IDS } from '@dusk-wren/core/valve';
import { z } from 'zod';

/** Exercises that people do, what a teacher sends, and what the shop asks before somebody is planned for work. */

const share = z.number().min(0).max(1);

/** An exercise that was done somewhere, perhaps without a connection: its moves, which are marked here again. */
export const attemptSent = z.strictObject({
  /** Made where it was done: sent twice it is kept once. */
  id: z.uuid(),
  ticket: ticketSchema,
  moves: z.array(z.unknown()).max(MOST_MOVES),
  hints: z.int().min(0).max(3),
  seconds: z
    .number()
    .min(0)
    .max(24 * 3600),
  at: z.iso.datetime(),
  /** The task of a teacher that it answers. */
  task: z.uuid().exactOptional(),
});
export type AttemptSent = z.output<typeof attemptSent>;
export const attemptsRequest = z.strictObject({ attempts: z.array(attemptSent).min(1).max(20) });

export const markLine = z.object({
  what: z.string(),
  points: z.number(),
  of: z.number(),
  said: phraseSchema,
  unsafe: z.literal(true).exactOptional(),
});
/** What became of each: its score as it is kept, or why it is not kept at all. */
export const attemptsAnswer = z.object({
  kept: z.array(z.object({ id: z.uuid(), score: share.nullable(), refused: z.string().nullable() })),
});

export const attemptDone = z.object({
  id: z.uuid(),
  drill: drillId,
  level: levelSchema,
  construction: z.enum(CONSTRUCTION_IDS),
  score: share,
  hints: z.int(),
  seconds: z.number(),
  at: z.iso.datetime(),
});
export type AttemptDone = z.output<typeof attemptDone>;

/** An exercise that a teacher has put together and sent. */
export const drillTask = z.object({
  id: z.uuid(),
  ticket: ticketSchema,
  note: z.string(),
  by: z.string(),
  at: z.iso.datetime(),
});
export type DrillTask = z.output<typeof drillTask>;

/** Whoever is signed in: what they did, oldest first, and what waits for them. */
export const drillsView = z.object({
  zone: z.string(),
  done: z.array(attemptDone),
  tasks: z.array(drillTask),
});
export type DrillsView = z.output<typeof drillsView>;

export const taskRequest = z.strictObject({
  ticket: ticketSchema,
  note: z.string().trim().max(200),
  people: z.array(personId).min(1).max(100),
});
export type TaskAsked = z.output<typeof taskRequest>;

export const skillView = z.object({
  drill: drillId,
  standing: z.enum(STANDINGS),
  mean: share,
  sits: share,
  level: levelSchema,
  done: z.int(),
  last: z.iso.datetime().nullable(),
  fades: z.iso.datetime().nullable(),
});
export type SkillView = z.output<typeof skillView>;

/** What a lead asks before somebody is planned for a kind of work. */
export const RULED_WORK = WORK_SKILLS.filter((work) => work !== 'inspector');
const ruledWork = z.enum(WORK_SKILLS).exclude(['inspector']);
export type RuledWork = z.output<typeof ruledWork>;
export const workRule = z.strictObject({
  work: ruledWork,
  /** Subjects that must hold; none asks for nothing. */
  drills: z.array(drillId).max(10),
  /** And a real job of it that a lead or an inspector has watched. */
  witnessed: z.boolean(),
});
export type WorkRule = z.output<typeof workRule>;

export const witnessRequest = z.strictObject({ person: personId, work: ruledWork, job: jobId });
export type WitnessAsked = z.output<typeof witnessRequest>;
export const witnessed = z.object({
  id: z.int(),
  person: personId,
  work: ruledWork,
  job: jobId,
  tag: z.string(),
  by: z.string(),
  at: z.iso.datetime(),
});

/** Everybody, for whoever teaches. */
export const classView = z.object({
  people: z.array(
    z.object({
      id: personId,
      name: z.string(),
      role: z.enum(ROLES),
      skills: z.array(skillView),
      /** Work that they would be planned for, and are not until they qualify. */
      withheld: z.array(ruledWork),
    }),
  ),
  /** Where the class loses its points lately, the most first. */
  losing: z.array(z.object({ drill: drillId, what: z.string(), share, count: z.int() })),
  tasks: z.array(
    drillTask.extend({
      people: z.array(
        z.object({
          id: personId,
          name: z.string(),
          score: share.nullable(),
          at: z.iso.datetime().nullable(),
        }),
      ),
    }),
  ),
  rules: z.array(workRule),
  witnessed: z.array(witnessed),
});
export type ClassView = z.output<typeof classView>;

/** Ruled work for which nobody qualified is here now, with who would be next and when. */
export const onShiftView = z.object({
  nobody: z.array(z.object({ work: ruledWork, qualified: z.array(z.string()) })),
});
export type OnShiftView = z.output<typeof onShiftView>;

/** Whose papers; of whoever asks where nobody is named, of everybody by a lead in a table. */
export const trainingQuery = z.strictObject({ person: personId.exactOptional() });
