import { z } from 'zod';

/** What a row of a file would do, before anything is written. */
export const previewedRow = z.object({
  /** Line of the file, the heading being 1. */
  row: z.number(),
  key: z.string(),
  does: z.enum(['new', 'change', 'same', 'bad']),
  why: z.array(z.string()),
});
export type PreviewedRow = z.output<typeof previewedRow>;

/** A file as text. */
export const csvText = z.string().max(2_000_000);
