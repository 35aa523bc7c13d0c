import type { Features, RollingDiaphragm, VaneArm } from './features';

export type Reversible = RollingDiaphragm | VaneArm;

/** What the actuator can be made to do the other way round; undefined where it cannot. */
export const reversible = ({ moved }: Pick<Features, 'moved'>): Reversible | undefined =>
  'reversing' in moved ? moved : undefined;

/** How it works once it is put back: the other way, where it is reversed on this job. */
export const resulting = ({ action, reversing }: Reversible): Reversible['action'] =>
  reversing ? (action === 'air-to-close' ? 'air-to-open' : 'air-to-close') : action;

/** The features of a valve that is reversed on this job. */
export const toReverse = (features: Features): Features => {
  const moved = reversible(features);
  return moved ? { ...features, moved: { ...moved, reversing: true } } : features;
};

/** The features as a job leaves them: what was reversed on it is so from now on. */
export const asReversed = (features: Features): Features => {
  const moved = reversible(features);
  return moved ? { ...features, moved: { ...moved, action: resulting(moved), reversing: false } } : features;
};
