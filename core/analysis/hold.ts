import { compare, si, type GaugePressure, type Time } from '../quantity';

/** How far a hold has come: its seconds behind, and what was counted in them. */
export interface Hold {
  readonly phase: 'rising' | 'holding' | 'done';
  readonly held: number;
  readonly leaked: number;
}
export const NOT_HELD: Hold = { phase: 'rising', held: 0, leaked: 0 };

/** A look at the gauge of a rig: what it shows, and seconds since the look before. */
export interface GaugeLook {
  readonly apart: number;
  readonly pressure: GaugePressure;
  /** What leaks now, counted to a minute. */
  readonly leakPerMinute: number;
}

/**
 * The hold after another look: it runs while the pressure is at least what is asked, and begins anew where it falls below,
 * or where nobody looked for longer than `longest` seconds (API 598, 6.3: the test pressure is held for the whole of the
 * duration).
 */
export function heldOn(
  before: Hold,
  { apart, pressure, leakPerMinute }: GaugeLook,
  asked: { readonly pressure: GaugePressure; readonly hold: Time },
  longest = 3,
): Hold {
  if (before.phase === 'done') return before;
  if (compare(pressure, asked.pressure) < 0) return NOT_HELD;
  if (before.phase === 'rising' || apart > longest) return { phase: 'holding', held: 0, leaked: 0 };
  const whole = si(asked.hold);
  const counted = Math.min(apart, whole - before.held);
  const held = before.held + counted;
  return {
    phase: held >= whole ? 'done' : 'holding',
    held,
    leaked: before.leaked + (leakPerMinute / 60) * counted,
  };
}
