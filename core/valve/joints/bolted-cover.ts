import type { Joint } from './joint';

/** A cover bolted on its gasket. */
export const boltedCover: Joint = { parts: () => ['cover bolts', 'cover', 'cover gasket'] };
