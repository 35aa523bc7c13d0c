import type { PartRole } from '../parts/catalogue';

/** What places an actuator: all that the rest of the house may ask of it. */
export interface Positioner {
  /** It stands sealed on the top of the cylinder, which must be apart to reach it. */
  readonly onTop: boolean;
  /** Its parts that are not the actuator’s own. */
  readonly parts: readonly PartRole[];
}

/** What is inside every force-balance positioner. */
export const RELAY: readonly PartRole[] = [
  'flappers',
  'relay diaphragms',
  'inner valve',
  'relay body',
  'relay O-rings',
  'relay gasket',
];
