import type { Features, Joint as JointFeature } from '../features';
import type { PartRole } from '../parts/catalogue';

/** How the pressure boundary opens: all that the rest of the house may ask of it. `F` is its own feature. */
export interface Joint<F = JointFeature> {
  /** What a handwheel is held by here, where it is not one nut. */
  readonly wheel?: readonly PartRole[];
  /** What squeezes the packing here, whatever closes. */
  readonly gland?: readonly PartRole[];
  /** Lip seals in its bonnet may seal the stem. */
  readonly lipSeals?: true;
  /** The yoke is screwed on and carries the stem thread itself: there is no bushing to change. */
  readonly threadInYoke?: true;
  /** Small screws: nobody computes a torque for them. */
  readonly screwed?: true;
  /** The stem is held in the body by it and does not come off on the bench. */
  readonly holdsStem?: true;
  // A method, not a property: its parameters compare both ways, so that a record by kind is a record of joints.
  /** What holds the pressure in, down to where the trim can be reached. */
  parts(own: F, all: Features): readonly PartRole[];
}
