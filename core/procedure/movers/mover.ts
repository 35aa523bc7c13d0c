import type { Features, TorquePlace } from '../../valve';
import type { Context, Draft } from '../draft';
import type { MeasureAsk } from '../../task';

/** How a kind of mover is taken off, opened, put back and set. `F` is its own feature. */
export interface MoverProcedure<F = Features['moved']> {
  /** Said with the kit laid out: what no kit brings. */
  readonly neverInKit?: string;
  // A method, not a property: its parameters compare both ways, so that a record by kind is a record of procedures.
  /** Counts and settings that are lost with the first turn of a spanner (common practice). */
  settings?(own: F): readonly MeasureAsk[];
  /** What of it is tightened to a figure of its own. */
  torques?(own: F): readonly TorquePlace[];
  /** Its own steps, at every opening. */
  steps?(c: Context, own: F): readonly Draft[];
}
