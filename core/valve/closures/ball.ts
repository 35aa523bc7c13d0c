import type { Closure } from './closure';

/** A ball between two soft seats. */
export const ball: Closure = {
  duty: 'shut off',
  fits: { joints: ['end-caps'], seats: ['soft-pair'], motions: ['rotary'], heldBy: ['quarter turn'] },
  ratedBy: 'class',
  turnedBy: 'stem',
  stemRolledFlat: true,
  cavity: true,
  isolatedAs: 'half open',
  staysInLine: true,
  marks: 'ball renewed',
  parts: () => ['stem seals', 'soft seats', 'ball'],
};
