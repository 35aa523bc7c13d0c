import type { Closure } from './closure';

/** A ratio plug over a soft seat, on the stem of a diaphragm. */
export const ratioPlug: Closure = {
  duty: 'control',
  fits: {
    joints: ['diaphragm-housing'],
    seats: ['ported'],
    motions: ['sliding'],
    heldBy: ['diaphragm'],
  },
  ratedBy: 'nothing',
  turnedBy: 'stem',
  stemRolledFlat: true,
  renewed: ['diaphragm', 'diaphragm nut'],
  parts: (_, { seat }) => [
    'stem O-ring',
    'backup rings',
    'ratio plug',
    'soft seat',
    'seat disc',
    ...(seat.kind === 'ported' && seat.port === 'reduced' ? (['port seat'] as const) : []),
  ],
};
