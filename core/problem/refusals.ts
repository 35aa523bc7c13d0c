import type { Problem } from './problem';
import { refuse, type Result } from './result';

type Refused = Result<never, Problem>;

/** What was looked up is in no row of the table. */
export const notInTable = (table: string, looked: string, has: string): Refused =>
  refuse<Problem>({ code: 'table.no-entry', table, looked, has });

/** A value that this field cannot have, with the reason. */
export const outOfRange = (field: string, value: string, allowed: string, why: string): Refused =>
  refuse<Problem>({ code: 'input.out-of-range', field, value, allowed, why });

/** Fields that contradict each other or leave the question open. */
export const inConflict = (fields: string[], why: string): Refused =>
  refuse<Problem>({ code: 'input.conflict', fields, why });

/** Fewer readings than the method needs. */
export const tooFew = (field: string, count: number, least: number, why: string): Refused =>
  refuse<Problem>({ code: 'input.too-few', field, count, least, why });
