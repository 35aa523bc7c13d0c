import type { Closure } from './closure';

/** A disc held on its nozzle by a spring until the set pressure. */
export const reliefDisc: Closure = {
  duty: 'relieve by a spring',
  fits: { joints: ['spring-bonnet'], seats: ['nozzle'], motions: ['sliding'], heldBy: ['spindle'] },
  ratedBy: 'class',
  turnedBy: 'nothing of its own',
  marks: 'against a lap',
  parts: () => [
    'spring washers',
    'spring',
    'spindle',
    'guide bush',
    'disc holder',
    'disc',
    'ring pins',
    'adjusting rings',
    'nozzle',
  ],
};
