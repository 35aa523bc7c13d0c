import type { Closure } from './closure';

/** A disc that swings on a hinge pin and shuts when the flow turns. */
export const swingDisc: Closure = {
  duty: 'check',
  fits: { joints: ['bolted-cover'], seats: ['integral', 'screwed'], motions: ['none'], heldBy: ['nothing'] },
  ratedBy: 'class',
  turnedBy: 'nothing of its own',
  parts: () => ['pin plugs', 'hinge pin', 'hinge bushings', 'hinge arm', 'disc nut', 'disc', 'seat'],
  contacts: () => [{ seat: 'seat', closure: 'disc', way: 'flat lap' }],
};
