import type { z } from 'zod';
import { Refusal } from '../refusal';

/** Parses what came in with the shared schema, or refuses naming each field. */
export function read<S extends z.ZodType>(schema: S, raw: unknown): z.output<S> {
  const result = schema.safeParse(raw);
  if (result.success) return result.data;
  throw new Refusal({
    code: 'request.invalid',
    issues: result.error.issues.map(({ path, message }) => ({ path: path.map(String).join('.'), message })),
  });
}
