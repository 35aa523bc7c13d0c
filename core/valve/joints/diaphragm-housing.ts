import type { Joint } from './joint';

/** A diaphragm housing on the body; its parts are those of the mover in it. */
export const diaphragmHousing: Joint = { parts: () => [] };
