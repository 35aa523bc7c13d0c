import type { Closure } from './closure';

/** A piston held by a pin that shears at the set pressure. */
export const shearPiston: Closure = {
  duty: 'relieve by a pin',
  fits: { joints: ['screwed-bonnet'], seats: ['liner'], motions: ['sliding'], heldBy: ['pinned stem'] },
  ratedBy: 'nothing',
  turnedBy: 'stem',
  onPump: true,
  reachedOutOfLine: 'the sub that its piston comes out through is what it stands on',
  stemRolledFlat: true,
  renewed: ['piston washer'],
  parts: () => ['stem cushion', 'cotter', 'piston washer', 'relief piston', 'liner sub', 'sub O-ring'],
};
