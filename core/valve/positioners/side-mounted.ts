import { RELAY, type Positioner } from './positioner';

/** Beside the actuator, fed back by a lever. */
export const sideMounted: Positioner = { onTop: false, parts: ['positioner', ...RELAY] };
