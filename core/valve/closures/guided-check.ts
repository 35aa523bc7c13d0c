import type { Closure } from './closure';

/** A guided check disc over a bypass insert that protects a pump. */
export const guidedCheck: Closure = {
  duty: 'check',
  fits: { joints: ['spring-cover'], seats: ['integral'], motions: ['none'], heldBy: ['nothing'] },
  owns: 'bypass insert',
  ratedBy: 'class',
  guides: 'body and cover',
  turnedBy: 'nothing of its own',
  springUnderCover: true,
  onPump: true,
  parts: () => ['check disc', 'guide rings', 'bypass insert', 'vortex bushing', 'seat'],
  contacts: () => [{ seat: 'seat', closure: 'check disc', way: 'grind in' }],
};
