import type { Joint, PartRole, TorquePlace } from '../../valve';
import type { Context, Draft } from '../draft';
import type { MeasureAsk } from '../../task';
import type { Sketch } from '../sequence';

/** Match marks across a joint. */
export interface Marks {
  readonly title: string;
  readonly parts: readonly PartRole[];
}

/** How a kind of joint is marked, opened and closed. `F` is its own feature. */
export interface JointProcedure<F = Joint> {
  readonly marks: Marks;
  /** Looked up on the valve when it is received. */
  readonly identify?: Sketch;
  /** Its packing goes in by steps of its own. */
  readonly packsItself?: true;
  /** What of it is tightened to a figure of its own. */
  readonly torques?: readonly TorquePlace[];
  /** The seat is refaced by hand from the thread of the body. */
  readonly refacedFromThread?: true;
  // Methods, not properties: their parameters compare both ways, so that a record by kind is a record of procedures.
  /** Settings of its own that are lost when it is opened. */
  settings?(own: F): readonly MeasureAsk[];
  /** Its own steps, at every opening; those of other joints are their closure’s. */
  steps?(c: Context, own: F): readonly Draft[];
}
