import type { Closure } from './closure';

/** A disc on a shaft across a lined body. */
export const vane: Closure = {
  duty: 'control',
  fits: { joints: ['shaft-box'], seats: ['liner'], motions: ['rotary'], heldBy: ['quarter turn'] },
  ratedBy: 'class',
  turnedBy: 'shaft',
  packed: true,
  reachedOutOfLine: 'its disc and liner come out through the flange end',
  parts: () => ['shaft bushes', 'vane', 'seat liner'],
};
