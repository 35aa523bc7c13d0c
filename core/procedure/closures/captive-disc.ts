import type { ClosureProcedure } from './closure';

/** A disc that comes out and goes back with its stem: its steps are those of the yoke. */
export const captiveDisc: ClosureProcedure = {
  proof: {
    by: 'size',
    as: 'globe',
    seat: 'metal',
    how: 'Closed by hand, pressure under the disc, the outlet watched for the whole hold.',
    parts: ['seat', 'disc'],
  },
  spottedOnStem: true,
  faceAngle: { degrees: 29, within: 0.25 },
};
