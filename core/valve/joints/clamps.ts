import type { Joint } from './joint';

/** Hygienic clamps. */
export const clamps: Joint = { parts: () => ['lower clamp'] };
