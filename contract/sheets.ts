import { makersSheet } from '@dusk-wren/core/valve';
import { z } from 'zod';

/** A sheet of a maker's as the shop has it: who made it the shop's, where that is known, and on which job. */
export const shopSheet = z.object({
  id: z.number().int(),
  sheet: makersSheet,
  by: z.string().nullable(),
  at: z.iso.datetime().nullable(),
  job: z.object({ id: z.uuid(), tag: z.string() }).nullable(),
});
export type ShopSheet = z.output<typeof shopSheet>;

/** The sheets of a model: the one that the next job goes by, and those that it went by before, newest first. */
export const modelSheets = z.object({ model: z.string(), current: shopSheet, earlier: z.array(shopSheet) });
export type ModelSheets = z.output<typeof modelSheets>;
export const shopSheetsView = z.object({ models: z.array(modelSheets) });

export const sheetRequest = z.strictObject({
  sheet: makersSheet,
  /** The sheet of this model that was seen; nothing where there was none. */
  instead: z.number().int().positive().nullable(),
});
export type SheetRequest = z.output<typeof sheetRequest>;
export const sheetEffectsRequest = sheetRequest.pick({ sheet: true });
/** The one that is taken away: the one before it is the shop's again. */
export const sheetWithdrawn = z.strictObject({ id: z.number().int().positive() });
