import type { Closure } from './closure';

/** A diaphragm that its own pilot orifice opens. */
export const pilotDiaphragm: Closure = {
  duty: 'shut off',
  fits: { joints: ['pilot-cover'], seats: ['pilot'], motions: ['none'], heldBy: ['pilot'] },
  ratedBy: 'nothing',
  turnedBy: 'nothing of its own',
  parts: () => ['cone spring', 'diaphragm', 'pilot orifice'],
};
