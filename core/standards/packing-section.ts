import { COMMON_PRACTICE } from './source';

export const PACKING_PRACTICE = COMMON_PRACTICE;

/** Nominal square packing: by 1/16 in to 5/8 then by 1/8; metric as sold. */
export const INCH_SECTIONS = [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16].map((sixteenths) => sixteenths / 16);
export const METRIC_SECTIONS_MM = [3, 4, 5, 6, 7, 8, 10, 12, 12.5, 14, 16, 18, 20, 22, 25];

/** A section further from the box than this is "wrong packing". */
export const SNUG_WITHIN_IN = 1 / 64;

/** Height lost when a ring is compressed, share of its section. The maker's height wins. */
export const COMPRESSION = { braided: 0.25, 'die-formed': 0.125, 'v-ring': 0 } as const;
export type PackingStyle = keyof typeof COMPRESSION;
export const PACKING_STYLES = ['braided', 'die-formed', 'v-ring'] as const satisfies readonly PackingStyle[];
