import type { Joint } from './joint';

/** A body that swings out from between two end caps. */
export const endCaps: Joint = {
  holdsStem: true,
  parts: () => ['body bolts', 'end caps', 'outer body seals', 'inner body seals'],
};
