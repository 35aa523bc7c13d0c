import type { Joint } from './joint';

/** A body screwed on its bottom cap. */
export const screwedBody: Joint = { parts: () => ['housing bolts', 'housing', 'bottom cap'] };
