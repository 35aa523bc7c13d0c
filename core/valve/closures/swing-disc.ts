import type { SwingDisc } from '../features';
import type { Closure } from './closure';

/** A disc that swings on a hinge pin and shuts when the flow turns. */
export const swingDisc: Closure<SwingDisc> = {
  duty: 'check',
  fits: { joints: ['bolted-cover'], seats: ['integral', 'screwed'], motions: ['none'], heldBy: ['nothing'] },
  ratedBy: 'class',
  turnedBy: 'nothing of its own',
  parts: ({ outside }) => [
    ...(outside === 'nothing'
      ? (['pin plugs', 'pin plug seals'] as const)
      : ([
          'outside lever',
          outside === 'lever and weight' ? 'outside weight' : 'dashpot',
          'shaft packing',
          'pin plugs',
          'pin plug seals',
        ] as const)),
    'hinge pin',
    'hinge bushings',
    'hinge arm',
    'nut lock',
    'disc nut',
    'disc',
    'seat',
  ],
  contacts: () => [{ seat: 'seat', closure: 'disc', way: 'flat lap' }],
};
