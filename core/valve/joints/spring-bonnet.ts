import type { Joint } from './joint';

/** A bonnet over a set spring. */
export const springBonnet: Joint = { parts: () => ['bonnet studs', 'bonnet', 'bonnet gasket'] };
