import type { Joint } from './joint';

/** A cover with a spring under it. */
export const springCover: Joint = { parts: () => ['cover bolts', 'cover', 'cover gasket', 'spring'] };
