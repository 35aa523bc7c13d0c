import { SHAFT, shaftGlandOff, shaftIn, shaftOut } from '../blocks/shaft-trim';
import type { Context, Draft } from '../draft';
import { rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const TURNED = { part: 'vane', called: 'disc' } as const;

/** A disc on a shaft across a lined body: shaft drawn, disc out, the liner always new. */
export const vane: ClosureProcedure = {
  proof: { by: 'class' },
  steps: (c) => [...apart(c), ...together(c)],
};

const apart = (c: Context): Draft[] =>
  sequence(c, strip(SHAFT, ['marked', 'actuator off'], 'stem out'), [
    shaftGlandOff,
    shaftOut(TURNED, 'Hold the disc: its edge is its seat.'),
    {
      id: 'strip.liner',
      title: 'Seat liner out',
      why: 'Always new: the edge has cut its line in it.',
      off: ['seat liner'],
      minutes: 8,
    },
  ]);

const together = (c: Context): Draft[] =>
  sequence(c, rebuild(SHAFT, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.liner',
      title: 'New seat liner',
      why: 'Dry and free of folds.',
      on: ['seat liner'],
      minutes: 8,
    },
    shaftIn(TURNED),
  ]);
