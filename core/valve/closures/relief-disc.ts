import type { ReliefDisc } from '../features';
import type { Closure } from './closure';

/** A disc held on its nozzle by a spring until the set pressure. */
export const reliefDisc: Closure<ReliefDisc> = {
  duty: 'relieve by a spring',
  fits: { joints: ['spring-bonnet'], seats: ['nozzle'], motions: ['sliding'], heldBy: ['spindle'] },
  ratedBy: 'class',
  turnedBy: 'nothing of its own',
  marks: 'against a lap',
  movedBy: ({ pilot }) => (pilot ? 'Pressure, through a pilot' : undefined),
  parts: ({ facing, balancedBy, pilot }) => [
    ...(pilot ? (['pilot valve', 'pilot seals', 'sense line', 'dome seal'] as const) : []),
    'spring washers',
    'spring',
    'spindle',
    'guide bush',
    ...(balancedBy === 'bellows' ? (['bellows', 'bellows gasket'] as const) : []),
    'disc holder',
    'disc',
    ...(facing === 'soft insert' ? (['insert screw', 'insert retainer', 'soft insert'] as const) : []),
    'ring pins',
    'adjusting rings',
    'nozzle',
  ],
};
