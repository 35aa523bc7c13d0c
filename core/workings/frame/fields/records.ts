import { z } from 'zod';
import { fieldMeta, type About, type Column } from '../field-meta';

/** Figures that belong together, as one object; a form sends them as the one row of a small table. */
export function recordField<S extends Record<string, z.ZodType>>(
  cells: S,
  columns: readonly (Column & { name: Extract<keyof S, string> })[],
  about: About,
) {
  return z
    .union([row, z.array(row).length(1, 'one row is wanted here')])
    .transform((raw) => withoutBlanks(Array.isArray(raw) ? raw[0] : raw))
    .pipe(z.strictObject(cells))
    .register(fieldMeta, { ...about, kind: 'rows', columns, one: true });
}

const row = z.record(z.string(), z.unknown());

/** A cell that nobody filled in is not there. */
const withoutBlanks = (raw: Record<string, unknown> = {}): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(raw).filter(([, value]) => typeof value !== 'string' || value.trim() !== ''),
  );
