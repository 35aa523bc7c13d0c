/** How the valve is held while its gauges are read. */
export interface Situation {
  /** The signal, 0 to 1, come to from below or from above; or whichever signal shuts the valve. */
  readonly signal: { readonly at: number; readonly from: 'below' | 'above' } | 'shuts';
  /** What was done to it for this reading. */
  readonly with?:
    | 'flapper held by hand'
    | 'regulated air straight on'
    | 'gland slacked'
    | 'flushed'
    | 'run down by the lock nuts'
    | 'loop in manual'
    | 'gain turned down'
    | 'more closing force'
    | 'line bled';
}

/** What eyes and fingers find amiss. */
export type Sign =
  | 'lock engaged'
  | 'weep hole blocked'
  | 'feedback slipped'
  | 'trip dead'
  | 'tubing leaks'
  | 'shaft off its mark'
  | 'stem moves sideways'
  | 'flow does not answer'
  | 'seal cut'
  | 'gasket tracked'
  | 'soft seat cut';

/** What gauges, plate, scale and a pair of eyes show in a situation; pressures in psig, stroke, opening and swing in percent. */
export interface Gauges {
  readonly supply: number;
  /** Supply that its plate wants, and the air across its power element that drives it home. */
  readonly supplyWanted: number;
  readonly driveWanted: number;
  readonly signal: number;
  /** What the positioner puts out. */
  readonly output: number;
  /** On the actuator, or above the piston. */
  readonly actuator: number;
  /** Below the piston; zero where there is none. */
  readonly below: number;
  /** How much of its stroke the air has driven it, whichever way that is. */
  readonly stroke: number;
  /** How far it stands open. */
  readonly open: number;
  /** Share of rated flow that passes when shut, percent. */
  readonly leak: number;
  /** Air that goes past diaphragm or piston and out, scfh. */
  readonly breather: number;
  /** Air at the stem and yoke seals, scfh. */
  readonly sealLeak: number;
  readonly swing: number;
  readonly signs: ReadonlySet<Sign>;
}

/** Asks the valve: real gauges, or simulated ones. */
export type Read = (situation: Situation) => Gauges;
