import { commandId, foundSchema, jobId, valveId } from '@dusk-wren/core/job';
import { dueSchema } from '@dusk-wren/core/life';
import { jobOperation } from '@dusk-wren/core/schedule';
import { CONSTRUCTION_IDS, PART_ROLES } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { csvText, previewedRow } from './row-by-row';
import { endsLater } from './week';

/** Valves that are to be done in one shutdown. */

const window = { from: z.iso.date(), to: z.iso.date() };

/** A list of valves before it is taken: a row a valve, found in the register. */
export const outagePreviewRequest = z.strictObject({ csv: csvText });
export const outagePreview = z.object({ good: z.number(), rows: z.array(previewedRow) });
export type OutagePreview = z.output<typeof outagePreview>;

export const outageRequest = z
  .strictObject({
    name: z.string().trim().min(1).max(80),
    ...window,
    csv: csvText,
    /** Take the valves that are found and leave the other rows. */
    skipBad: z.boolean().default(false),
  })
  .refine(({ from, to }) => to >= from, endsLater);
export type OutageAsked = z.output<typeof outageRequest>;

export const outageLine = z.object({
  id: z.uuid(),
  name: z.string(),
  ...window,
  by: z.string(),
  at: z.string(),
});
export type OutageLine = z.output<typeof outageLine>;
export const outagesView = z.object({ outages: z.array(outageLine.extend({ valves: z.int() })) });

export const outageValve = z.object({
  id: valveId,
  tag: z.string(),
  customer: z.string(),
  location: z.string(),
  construction: z.enum(CONSTRUCTION_IDS),
  /** How its last job found it. */
  found: foundSchema.nullable(),
  due: dueSchema.nullable(),
  /** Those like it that lie ready; others of the list may have the same. */
  spares: z.array(z.object({ id: valveId, tag: z.string() })),
  /** A job that is open on it: its work is in the week already. */
  open: jobId.nullable(),
  /** What its next job would be, with waits for what the store has too little of. */
  operations: z.array(jobOperation),
  /** Kits on file for it, by their codes. */
  kits: z.array(z.string()),
});
export type OutageValve = z.output<typeof outageValve>;

/** A part that these jobs take whatever is found, against what lies in the bin. */
export const outagePart = z.object({
  part: z.enum(PART_ROLES),
  /** Of the bin; nothing where the store has none for these valves. */
  number: z.string().nullable(),
  name: z.string(),
  wanted: z.int(),
  onHand: z.int(),
  short: z.int(),
  leadDays: z.int(),
  /** The last day to order what is short, to have it when the window opens; nothing where nothing is. */
  orderBy: z.iso.date().nullable(),
  /** That day is over. */
  late: z.boolean(),
  tags: z.array(z.string()),
});
export type OutagePart = z.output<typeof outagePart>;

export const outageKit = z.object({
  code: z.string(),
  sheet: z.string(),
  count: z.int(),
  tags: z.array(z.string()),
});
export type OutageKit = z.output<typeof outageKit>;

/** Its valves by their risk, the worst first. */
export const outageView = outageLine.extend({
  valves: z.array(outageValve),
  parts: z.array(outagePart),
  kits: z.array(outageKit),
});
export type OutageView = z.output<typeof outageView>;

/** Jobs opened for the window, each once for its command. */
export const openOutageRequest = z.strictObject({
  valves: z
    .array(
      z.strictObject({
        valve: valveId,
        commandId,
        /** In the window; or before it, a spare that goes in then. */
        when: z.enum(['within', 'before']),
      }),
    )
    .min(1)
    .max(200),
});
