import { RELAY, type Positioner } from './positioner';

/** Sealed to the top of the cylinder, its range spring on the actuator stem. */
export const onCylinder: Positioner = { onTop: true, parts: RELAY };
