import { kitSheetSchema } from '@dusk-wren/core/stock';
import { ELASTOMERS } from '@dusk-wren/core/standards';
import { jobId } from '@dusk-wren/core/job';
import { phraseSchema } from '@dusk-wren/core/quantity';
import { MATERIALS, PART_ROLES, SHELF_UNIT_KINDS } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { csvText, previewedRow } from './row-by-row';

/** The shop's store as the web and the server both see it. */

const words = (most: number) => z.string().trim().min(1).max(most);

/** A part that is stocked, with how many lie in its bin. */
export const stockPart = z.strictObject({
  number: words(40),
  name: words(120),
  part: z.enum(PART_ROLES),
  /** The valves it fits, as a valve key or the beginning of one. */
  fits: words(80),
  material: z.enum(MATERIALS),
  elastomer: z.enum(ELASTOMERS).exactOptional(),
  /** In the shop's own currency. */
  price: z.number().min(0).max(1e7),
  leadDays: z.int().min(0).max(400),
  bin: z.string().trim().max(20),
  onHand: z.int().min(0).max(100_000),
  reorderAt: z.int().min(0).max(100_000),
  cureDate: z.string().trim().max(20).exactOptional(),
});
export type StockPart = z.output<typeof stockPart>;

export const stockQuery = z.strictObject({
  q: z.string().trim().max(60).exactOptional(),
  cursor: z.string().max(200).exactOptional(),
  limit: z.coerce.number().int().min(1).max(200).default(100),
});
export const stockView = z.object({ parts: z.array(stockPart), next: z.string().nullable() });

export const kitsView = z.object({ kits: z.array(kitSheetSchema) });

export const UNIT_STATES = ['on the shelf', 'taken', 'to rebuild'] as const;
export const shelfUnit = z.object({
  id: z.uuid(),
  kind: z.enum(SHELF_UNIT_KINDS),
  serial: words(60),
  key: words(80),
  state: z.enum(UNIT_STATES),
  builtOn: z.string().nullable(),
  /** The job it went into, or came out of. */
  job: z.object({ id: jobId, tag: z.string() }).nullable(),
});
export type ShelfUnit = z.output<typeof shelfUnit>;
export const unitsView = z.object({ units: z.array(shelfUnit) });

export const orderView = z.object({
  job: jobId,
  tag: z.string(),
  step: z.string(),
  part: z.enum(PART_ROLES),
  reason: phraseSchema,
  leadDays: z.number(),
  orderBy: z.string().exactOptional(),
  late: z.boolean(),
  expected: z.string().exactOptional(),
  state: z.enum(['to order', 'on order', 'arrived']),
});
/** How many of a part to keep, and what that says of what lies in its bin. */
export const spareView = stockPart
  .pick({ number: true, name: true, part: true, fits: true, onHand: true, leadDays: true, reorderAt: true })
  .extend({
    /** Jobs of three years that took it. */
    jobs: z.int(),
    /** Valves due before an order would be here, where every job of their type takes it. */
    planned: z.int().exactOptional(),
    orderPoint: z.int(),
    expected: z.number(),
    verdict: z.enum(['order', 'enough', 'overstocked', 'not wanted']),
  });
export type Spare = z.output<typeof spareView>;
export const sparesView = z.object({ spares: z.array(spareView) });

export const ordersView = z.object({ orders: z.array(orderView) });

export const IMPORT_KINDS = ['parts', 'stock', 'kits'] as const;
export type ImportKind = (typeof IMPORT_KINDS)[number];

export const importRequest = z.strictObject({
  kind: z.enum(IMPORT_KINDS),
  csv: csvText,
  /** Take the good rows and leave the bad ones; otherwise one bad row stops it all. */
  skipBad: z.boolean().default(false),
  /** The last file of this kind that the preview knew of: another one since, and nothing is written. */
  after: z.int().min(0).default(0),
});
export const previewRequest = importRequest.pick({ kind: true, csv: true });

/** What a file would do, row by row, before anything is written. */
export const importPreview = z.object({
  kind: z.enum(IMPORT_KINDS),
  good: z.number(),
  rows: z.array(previewedRow),
});
export type ImportPreview = z.output<typeof importPreview>;

/** A file that was brought in before. */
export const stockImportView = z.object({
  id: z.number(),
  kind: z.enum(IMPORT_KINDS),
  by: z.string(),
  at: z.string(),
  written: z.number(),
  skipped: z.number(),
});
export type StockImport = z.output<typeof stockImportView>;
export const stockImportsView = z.object({ imports: z.array(stockImportView) });
export const importDone = z.object({ written: z.number(), skipped: z.number() });
