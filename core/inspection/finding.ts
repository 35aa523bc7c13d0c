import { z } from 'zod';
import { quantityOf } from '../quantity';
import { PART_ROLES } from '../valve';

/** What a person saw on a part. Measured verdicts (runout, bluing, tests) are readings, not findings. */
export const findingSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('sound') }),
  z.strictObject({
    kind: z.literal('seat damage'),
    form: z.enum(['wire drawn', 'pitted', 'dented', 'worn to one side']),
    depth: quantityOf('length'),
  }),
  z.strictObject({ kind: z.literal('cracked') }),
  z.strictObject({
    kind: z.literal('joint face damage'),
    form: z.enum(['steam cut', 'pit']),
    depth: quantityOf('length'),
  }),
  z.strictObject({
    kind: z.literal('stem mark'),
    zone: z.enum(['packing zone', 'below the backseat', 'thread']),
  }),
  z.strictObject({ kind: z.literal('thread worn') }),
  z.strictObject({ kind: z.literal('scored') }),
  z.strictObject({ kind: z.literal('stuck') }),
  z.strictObject({ kind: z.literal('corroded'), degree: z.enum(['light', 'deep']) }),
  z.strictObject({ kind: z.literal('torn'), form: z.enum(['hole', 'tear', 'crack', 'hardened']) }),
  z.strictObject({ kind: z.literal('cut seal'), form: z.enum(['nick', 'cut', 'flat']) }),
  z.strictObject({ kind: z.literal('spring fault'), form: z.enum(['fractured', 'set', 'out of square']) }),
  z.strictObject({ kind: z.literal('galled') }),
  z.strictObject({ kind: z.literal('bent') }),
  z.strictObject({ kind: z.literal('worn') }),
  z.strictObject({ kind: z.literal('light marks') }),
  z.strictObject({ kind: z.literal('stiff') }),
  z.strictObject({ kind: z.literal('blocked') }),
  z.strictObject({ kind: z.literal('rides low') }),
  z.strictObject({ kind: z.literal('seat pocket corroded') }),
  z.strictObject({ kind: z.literal('own seat damaged') }),
  z.strictObject({ kind: z.literal('leaks') }),
  z.strictObject({ kind: z.literal('unsure'), what: z.string().trim().min(1).max(300) }),
]);

export type Finding = z.output<typeof findingSchema>;

export const partRoleSchema = z.enum(PART_ROLES);
