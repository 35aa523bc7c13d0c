import type { Closure } from './closure';

/** An eccentric plug in a soft-lined body: repacked under its actuator, in the pipe. */
export const eccentricPlug: Closure = {
  duty: 'shut off',
  fits: {
    joints: ['shaft-box'],
    seats: ['soft-liner'],
    motions: ['rotary'],
    heldBy: ['quarter turn', 'clevis'],
  },
  ratedBy: 'class',
  turnedBy: 'shaft',
  packed: true,
  gland: ['gland nuts', 'gland', 'gland studs'],
  staysInLine: true,
  repackedInPlace: ['gland nuts', 'gland', 'gland studs', 'packing', 'female adapter', 'male adapter'],
  kept: ['seat liner', 'plug'],
  parts: () => ['plug', 'seat liner'],
};
