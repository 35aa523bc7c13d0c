import type { Features, JointKind, SeatKind } from '../features';
import type { Hold } from '../movers';
import type { PartRole } from '../parts/catalogue';

/** What a closure can be built with. */
export interface Fits {
  readonly joints: readonly JointKind[];
  readonly seats: readonly SeatKind[];
  readonly motions: readonly Features['stem']['motion'][];
  /** How a mover can take hold of it. */
  readonly heldBy: readonly Hold[];
}

/** Two faces that must meet all round, and how they are brought to it. */
export interface Contact {
  /** Told apart where a valve has more than one. */
  readonly side?: 'upper' | 'lower' | 'left' | 'right';
  readonly seat: PartRole;
  readonly closure: PartRole;
  readonly way: 'grind in' | 'flat lap' | 'press home';
}

/** Features that one kind of closure must have and no other may. */
export type OwnFeature =
  'blind head' | 'balancing seal rings' | 'position-seated limit' | 'bypass insert' | 'sealant';

/** A kind of closure: all that the rest of the house may ask of it. `F` is its own feature. */
export interface Closure<F = Features['closure']> {
  readonly duty:
    'shut off' | 'control' | 'check' | 'regulate' | 'dump' | 'relieve by a spring' | 'relieve by a pin';
  readonly fits: Fits;
  readonly owns?: OwnFeature;
  /** What its plate says it stands; small screwed, clamped and air-moved ones are proved in function. */
  readonly ratedBy: 'class' | 'working pressure' | 'nothing';
  /** What runs through the packing, or guides the closure where there is none. */
  readonly turnedBy: 'stem' | 'shaft' | 'nothing of its own';
  /** Its stem is sealed by packing rings in a box. */
  readonly packed?: true;
  /** What squeezes the packing, where it is not two nuts on a flange. */
  readonly gland?: readonly PartRole[];
  /** The stem is too short for V-blocks: it is rolled on a flat bench. */
  readonly stemRolledFlat?: true;
  /** A pocket of line pressure stays between its faces. */
  readonly cavity?: true;
  /** How it stands while its line is isolated, so that nothing stays trapped in it. */
  readonly isolatedAs?: 'half open' | 'closed, its body bled';
  /** A spring under its cover presses on it and is let up in the strip. */
  readonly springUnderCover?: true;
  /** It protects a pump, and nothing stands between them. */
  readonly onPump?: true;
  /** Its body stays in the line for the work. */
  readonly staysInLine?: true;
  /** It cannot be reached while the body is in its line: why, as the end of a sentence. */
  readonly reachedOutOfLine?: string;
  /** Repacked where it stands, these parts coming off and no others. */
  readonly repackedInPlace?: readonly PartRole[];
  /** New at every overhaul here, where others of their role are looked at: its kit brings them. */
  readonly renewed?: readonly PartRole[];
  /** Parts that are looked at where others of their role are new at every overhaul. */
  readonly kept?: readonly PartRole[];
  /** Parts renewed only together. */
  readonly set?: readonly PartRole[];
  /** Its disc is held by a nut of its own and counted with it. */
  readonly discNut?: true;
  readonly guides?: 'top and bottom' | 'cage' | 'body and cover';
  /** What is usual for it where a shop has not chosen otherwise. */
  readonly usually?: {
    readonly spotting?: 'free on a lapping tool';
    readonly lappingPressure?: 'guided tool';
    readonly bluing?: 'straight down';
  };
  /** How a mark on its seating faces is put right, where it is not ground in. */
  readonly marks?: 'each face by itself' | 'against a lap' | 'renewed' | 'ball renewed' | 'as a pair';
  // Methods, not properties: their parameters compare both ways, so that a record by kind is a record of closures.
  /** What closes, and what it closes on, from the first to come out to the last. */
  parts(own: F, all: Features): readonly PartRole[];
  /** What moves it, in the words of a nameplate, where that is not its mover. */
  movedBy?(own: F): string | undefined;
  /** The faces that are blued; lapped-flat and soft ones are not. */
  contacts?(own: F, all: Features): readonly Contact[];
}
