import { z } from 'zod';

/** Ids that cannot be taken for one another. All are UUIDs made at the edge. */
export const jobId = z.uuid().brand<'JobId'>();
export const valveId = z.uuid().brand<'ValveId'>();
export const personId = z.uuid().brand<'PersonId'>();
export const instrumentId = z.uuid().brand<'InstrumentId'>();
export const photoId = z.uuid().brand<'PhotoId'>();
export const commandId = z.uuid().brand<'CommandId'>();

export type JobId = z.output<typeof jobId>;
export type ValveId = z.output<typeof valveId>;
export type PersonId = z.output<typeof personId>;
export type InstrumentId = z.output<typeof instrumentId>;
export type PhotoId = z.output<typeof photoId>;
export type CommandId = z.output<typeof commandId>;
