import type { Joint } from './joint';

/** A bonnet screwed into the body. */
export const screwedBonnet: Joint = { parts: () => ['bonnet'] };
