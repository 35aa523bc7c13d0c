import { lengthAsk } from '../blocks/asks';
import type { MoverProcedure } from './mover';

/** The set spring of a relief valve: off and on with its disc, so only its settings are its own. */
export const setSpring: MoverProcedure = {
  settings: [
    { what: 'turns of the compression screw', dimension: 'angle', example: '4.5 turns' },
    lengthAsk('height of the compression screw', '1.75 in'),
    lengthAsk('length of the spring as set', '4.625 in'),
  ],
};
