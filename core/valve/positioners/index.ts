import type { Features, PositionerKind } from '../features';
import { onCylinder } from './on-cylinder';
import type { Positioner } from './positioner';
import { sideMounted } from './side-mounted';

/** Every kind of positioner, and none. */
const POSITIONERS: Readonly<Record<PositionerKind, Positioner | undefined>> = {
  none: undefined,
  'on-cylinder': onCylinder,
  'side-mounted': sideMounted,
};

/** What places a valve of these features; undefined where nothing does. */
export const positionerOf = ({ positioner }: Pick<Features, 'positioner'>): Positioner | undefined =>
  POSITIONERS[positioner.kind];

export type { Positioner } from './positioner';
