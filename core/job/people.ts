import { z } from 'zod';
import { personId } from './ids';

export const ROLES = ['technician', 'inspector', 'lead'] as const;
export type Role = (typeof ROLES)[number];

/** Who did something, as the log keeps it for good. */
export const personStamp = z.strictObject({
  id: personId,
  name: z.string().min(1).max(80),
  role: z.enum(ROLES),
});
export type PersonStamp = z.output<typeof personStamp>;
