import { z } from 'zod';
import { defineEvent } from '../define-event';

/** An entry that this system would have refused, and why, in words. */
const refusedEntry = z.strictObject({ seq: z.int().positive(), why: z.string().min(1).max(400) });

/** The job came out of a file: what stands before this entry was not checked here. */
export const jobImported = defineEvent({
  kind: 'job-imported',
  notWork: true,
  body: z.strictObject({
    /** SHA-256 of the file as it came, in hexadecimal. */
    file: z.string().regex(/^[0-9a-f]{64}$/),
    exportedAt: z.iso.datetime({ offset: true }),
    /** Entries that would have been refused here, the first hundred of them. */
    refused: z.array(refusedEntry).max(100),
    /** How many there are in all. */
    refusedInAll: z.int().min(0),
  }),
  describe: ({ file, exportedAt, refusedInAll }) =>
    `Imported, not checked here: file ${file.slice(0, 12)} of ${exportedAt.slice(0, 10)}; ${
      refusedInAll === 0 ? 'no entry' : refusedInAll === 1 ? '1 entry' : `${refusedInAll} entries`
    } would have been refused`,
});
