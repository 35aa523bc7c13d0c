import type { ClosureTested } from '../../standards';
import type { Features, PartRole, TorquePlace } from '../../valve';
import type { Context, Draft } from '../draft';
import type { Sketch } from '../sequence';

/** How a seat is proved with pressure. */
export type Proof =
  | {
      readonly by: 'size';
      readonly as: ClosureTested;
      readonly seat: 'metal' | 'soft';
      readonly how: string;
      readonly parts: readonly PartRole[];
    }
  /** An oilfield valve: at its rated pressure from each side, nothing to be seen (API 6A). */
  | { readonly by: 'working pressure'; readonly how: string; readonly parts: readonly PartRole[] }
  /** A control valve: by its leak class, stroked by its own actuator. */
  | { readonly by: 'class' };

/** An angle to be turned to, and how near, degrees. */
export interface FaceAngle {
  readonly degrees: number;
  readonly within: number;
}

/** What comes up when the bonnet is lifted. */
export interface Lift {
  readonly title: string;
  readonly why: string;
  readonly caution?: string;
}

/** How a kind of closure is received, stripped, looked at, rebuilt, set up and proved. `F` is its own feature. */
export interface ClosureProcedure<F = Features['closure']> {
  /** Said with the kit laid out: what no kit brings. */
  readonly neverInKit?: string;
  /** Looked up on the valve when it is received. */
  readonly identify?: Sketch;
  /** Absent where it is proved in function by steps of its own. */
  readonly proof?: Proof;
  readonly lift?: Lift;
  /** Its packing goes in by steps of its own. */
  readonly packsItself?: true;
  /** A ring under its packing holds the shaft: the packing comes out first. */
  readonly packingFirst?: true;
  /** It hangs on its stem: the steps of the stem take it out and put it back. */
  readonly hangsOnStem?: true;
  /** Everything hangs on the bonnet: the actuator may stay on it and be lifted with it. */
  readonly liftsWithActuator?: true;
  /** Locked to its stem for spotting, it is shimmed. */
  readonly spottedOnStem?: true;
  /** Angle that its seating face is turned to. */
  readonly faceAngle?: FaceAngle;
  /** Its seat is fitted by a step of the rebuild. */
  readonly seatsGoInAtRebuild?: true;
  // Methods, not properties: their parameters compare both ways, so that a record by kind is a record of procedures.
  /** Its own steps, at every opening. */
  steps?(c: Context, own: F): readonly Draft[];
  /** What of it is tightened to a figure of its own. */
  readonly torques?: readonly TorquePlace[];
  /** Whether its trim comes out downwards, before the actuator is uncoupled from above. */
  leavesFromBelow?(features: Features): boolean;
}
