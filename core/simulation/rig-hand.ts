/** How whoever stands at a rig has its pump and its vent. */
export interface RigHand {
  readonly pumping: boolean;
  readonly vented: boolean;
}

/** Pumping with the vent shut, from the beginning to the end. */
export const PUMPING: RigHand = { pumping: true, vented: false };

/** Seconds in which an open vent lets most of the pressure go. */
export const VENTS_IN = 1.5;
