import type { Joint } from './joint';

/** No bonnet: everything is reached along the shaft. */
export const shaftBox: Joint = { parts: () => [] };
