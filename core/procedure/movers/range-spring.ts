import { lengthAsk } from '../blocks/asks';
import type { MoverProcedure } from './mover';

/** The range spring of a regulator: off and on with its diaphragm, so only its settings are its own. */
export const rangeSpring: MoverProcedure = {
  settings: () => [
    lengthAsk('height of the adjusting screw', '1.5 in'),
    lengthAsk('length of the spring under load', '3.25 in'),
  ],
};
