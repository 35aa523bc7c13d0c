import { throughLinkage, type Linkage } from './linkage';

/** A positioner as its screws stand; shares of the whole signal and of the rated travel. */
export interface PositionerSet {
  /** What it adds to the travel asked for. */
  readonly zero: number;
  /** What it makes of a whole signal: 1 is right. */
  readonly span: number;
  /** Share of the supply that each side of a cylinder is given at balance. */
  readonly balance: number;
  /** Share of the supply that it gives for a share of travel amiss. */
  readonly gain: number;
}

/** A well-set one (common practice: both sides of a cylinder at 75 % of supply). */
export const WELL_SET: PositionerSet = { zero: 0, span: 1, balance: 0.75, gain: 40 };
/** The range spring pivots near zero, not at it: it moves zero a little. */
const PIVOT = -0.12;

/** The travel that it calls right for a signal. */
export const travelAsked = ({ zero, span }: PositionerSet, signal: number): number =>
  (signal - PIVOT) * span + PIVOT + zero;

/** Shares of the supply that it gives to the driven side and, on a cylinder, to the other. */
export function relayOutput(
  set: PositionerSet,
  { signal, stroke, linkage, bothSides }: Fed,
): readonly [driven: number, other: number] {
  const amiss = travelAsked(set, signal) - throughLinkage(linkage, stroke);
  const at = bothSides ? set.balance : 0.5;
  return [within(at + set.gain * amiss), bothSides ? within(at - set.gain * amiss) : 0];
}

interface Fed {
  readonly signal: number;
  readonly stroke: number;
  readonly linkage: Linkage;
  readonly bothSides: boolean;
}

const within = (share: number) => Math.max(0, Math.min(1, share));
