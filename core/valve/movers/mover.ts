import type { Features } from '../features';
import type { PartRole } from '../parts/catalogue';

/** A spring that stays loaded until the strip. */
export interface HeldSpring {
  readonly how: string;
  /** The parts that hold it: it is gone once one of them is off. */
  readonly by: readonly PartRole[];
}

/** What a mover takes hold of. It moves whatever can be held so. */
export type Hold =
  | 'wound stem'
  | 'slid stem'
  | 'square'
  | 'quarter turn'
  | 'clevis'
  | 'shaft lever'
  | 'diaphragm'
  | 'hygienic stem'
  | 'trunnion'
  | 'range diaphragm'
  | 'pinned stem'
  | 'pilot'
  | 'spindle'
  | 'nothing';

/** What moves a valve: all that the rest of the house may ask of it. `F` is its own feature. */
export interface Mover<F = Features['moved']> {
  /** Its name on a nameplate. */
  readonly name: string;
  readonly holds: readonly Hold[];
  /** What it does when it fails, where no action says so. */
  readonly fails?: string;
  /** Compressed air moves it: air that comes back moves it with a hand inside. */
  readonly byAir?: true;
  /** A hand, or an actuator, that stands on the bonnet and winds or slides the stem. */
  readonly stem?: 'winds' | 'slides';
  /** Where a positioner can stand on it. */
  readonly positioner?: 'side' | 'side or top';
  /** What the air pushes on. */
  readonly element?: 'diaphragm' | 'cylinder';
  /** Air on both sides of its piston, and no spring. */
  readonly bothSides?: true;
  /** What its rod turns, where it does not push the stem straight. */
  readonly turns?: 'vane' | 'lever';
  readonly spring?: HeldSpring;
  /** Its set pressure is a spring’s. */
  readonly setBySpring?: true;
  readonly weight?: true;
  readonly power?: true;
  /** The process has no way round it: nothing runs by hand meanwhile. */
  readonly noBypass?: true;
  // A method, not a property: its parameters compare both ways, so that a record by kind is a record of movers.
  /** Its parts, from the outside in. */
  parts(own: F, all: Features): readonly PartRole[];
}
