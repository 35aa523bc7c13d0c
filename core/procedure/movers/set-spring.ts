import type { MoverProcedure } from './mover';

/** The set spring of a relief valve: off and on with its disc, its height and turns taken under its cap. */
export const setSpring: MoverProcedure = {};
