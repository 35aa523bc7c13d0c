import type { Mover } from './mover';
import type { WeightLever } from '../features';

/** A weight on a lever, its shaft through a trunnion plug. */
export const weightLever: Mover<WeightLever> = {
  name: 'Weight and lever',
  holds: ['trunnion'],
  fails: 'the weight shuts it',
  weight: true,
  parts: ({ sizes }) => [
    'weight',
    'lever',
    'hub set screw',
    'lever hub',
    'shaft nut',
    ...(sizes === '4-6 in' ? (['packing follower'] as const) : []),
    'packing ring',
    'shaft packing',
    'stuffing box O-ring',
    'stuffing box',
    'shaft thrust washer',
    'trunnion plug',
    sizes === '2-3 in' ? 'trunnion O-ring' : 'trunnion gasket',
    'shaft bushings',
    'shaft',
    'trunnion hub',
    'snap rings',
    'link pin',
    'drip pot',
    'needle valve',
  ],
};
