import { positionerOf, type Features } from '@dusk-wren/core/valve';
import type { Piece } from '../sections/section';
import { sideMounted } from './side-mounted';

/** The positioner beside an actuator; one that stands on its top is drawn with it. */
export const positionerBeside = (features: Features, dx: number): Piece =>
  positionerOf(features) ? sideMounted(dx) : { shapes: [] };
