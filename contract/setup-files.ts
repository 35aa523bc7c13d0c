import { z } from 'zod';
import { csvText, previewedRow } from './row-by-row';
import { personWithCode } from './setup';

/** What is set up by a file, in and out. */
export const SETUP_FILES = [
  'people',
  'holidays',
  'absences',
  'instruments',
  'places',
  'sites',
  'sheets',
  'valves',
] as const;
export type SetupFileKind = (typeof SETUP_FILES)[number];

export const setupFilePreviewRequest = z.strictObject({ csv: csvText });
export const setupFilePreview = z.object({
  good: z.number(),
  rows: z.array(previewedRow),
  /** The last change of setup that it knows of. */
  after: z.number(),
});
export type SetupFilePreview = z.output<typeof setupFilePreview>;

export const setupFileRequest = z.strictObject({
  csv: csvText,
  /** Take the good rows and leave the bad ones; otherwise one bad row stops it all. */
  skipBad: z.boolean().default(false),
  /** The last change of setup that the preview knew of: another one since, and nothing is written. */
  after: z.int().min(0),
});
export const setupFileTaken = z.object({
  written: z.number(),
  skipped: z.number(),
  /** Of people who are new: each is shown this once. */
  codes: z.array(personWithCode),
});
export type SetupFileTaken = z.output<typeof setupFileTaken>;
