import type { Features } from '@dusk-wren/core/valve';
import type { Piece } from '../sections/section';

/** A mover standing on y = 0 with its stem coming out below, and how tall it is. */
export interface OnStem {
  readonly piece: Piece;
  readonly height: number;
}

/** How a kind of mover looks, where it is drawn by itself. `F` is its own feature. */
export interface MoverDrawing<F = Features['moved']> {
  // Methods, not properties: their parameters compare both ways, so that a record by kind is a record of drawings.
  /** On a bonnet. */
  onStem?(own: F, features: Features): OnStem;
  /** On the end of a shaft at (230, 0). */
  onShaft?(own: F, features: Features): Piece;
}
