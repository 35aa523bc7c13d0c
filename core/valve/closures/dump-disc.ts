import type { Closure } from './closure';

/** A disc that dumps a vessel at its head, on a reversible seat. */
export const dumpDisc: Closure = {
  duty: 'dump',
  fits: {
    joints: ['bonnet-and-diaphragm-housing'],
    seats: ['reversible'],
    motions: ['sliding'],
    heldBy: ['trunnion'],
  },
  ratedBy: 'nothing',
  turnedBy: 'stem',
  renewed: ['diaphragm', 'snap rings', 'shaft bushings', 'shaft thrust washer'],
  parts: () => [
    'stem pin',
    'pivot',
    'diaphragm plate',
    'diaphragm',
    'ratio plug',
    'reversible seat',
    'dump disc',
    'removable seat',
    'removable seat gasket',
  ],
};
