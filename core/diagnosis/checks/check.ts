import type { Features } from '../../valve';
import type { CauseId } from '../causes';
import type { Gauges, Read, Sign } from '../gauges';
import type { SymptomId } from '../symptoms';

/** Something that can be asked of a valve, and what each answer tells. */
export interface Check {
  readonly title: string;
  readonly how: string;
  readonly minutes: number;
  /** 0 only looks, 1 moves the valve, 2 touches an adjustment, 3 takes something off. */
  readonly invasive: 0 | 1 | 2 | 3;
  readonly results: readonly [string, string, ...string[]];
  /** The result that each cause shows; a cause not named shows the first. */
  readonly shows: Partial<Record<CauseId, number>>;
  /** How often a cause shows what it should, of readings taken (common practice). */
  readonly sure: number;
  readonly of?: (features: Features) => boolean;
  /** Symptoms that it only says again, or in which it cannot be tried. */
  readonly notFor?: readonly SymptomId[];
  /** The result, read off gauges. */
  readonly read?: (read: Read) => number;
}

/** How the valve is held while it is read. */
export const FULL = { signal: { at: 1, from: 'below' } } as const;
export const HALF = { signal: { at: 0.5, from: 'below' } } as const;
export const HALF_FROM_ABOVE = { signal: { at: 0.5, from: 'above' } } as const;
export const SHUT = { signal: 'shuts' } as const;
export const judged = (second: boolean): number => (second ? 1 : 0);

/** The air across the power element, as a share of what drives it home. */
export const drive = ({ actuator, below, driveWanted }: Gauges): number => (actuator - below) / driveWanted;
export const seen = (sign: Sign) => (read: Read) => judged(read(HALF).signs.has(sign));

/**
 * How often an answer is right: read off an instrument, by eye, ear or hand, and by trying something on the valve, which
 * other things may spoil (common practice).
 */
export const BY_GAUGE = 0.97;
export const BY_HAND = 0.92;
export const BY_TRIAL = 0.88;
