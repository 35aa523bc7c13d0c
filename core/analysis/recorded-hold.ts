import { psig, quantity, si, type GaugePressure, type Time } from '../quantity';
import { heldOn, NOT_HELD } from './hold';
import type { PressureRecording } from './recording';

/** A hold as a recording has it: its seconds, and the pressure that it is judged by. */
export interface RecordedHold {
  readonly held: Time;
  /** The highest of the hold where that is more than it may be; else the lowest, and where it never held, the highest of all. */
  readonly pressure: GaugePressure;
}

/** Rows further apart than so many seconds say nothing of what was between them. */
const LONGEST_APART = 10;

/** The hold of a pressure test in its recording: the first that is whole, else the longest there is. */
export function recordedHold(
  { seconds, psig: pressures }: PressureRecording,
  asked: { readonly pressure: GaugePressure; readonly hold: Time; readonly most?: GaugePressure },
): RecordedHold {
  const [whole, most] = [si(asked.hold), asked.most && si(asked.most)];
  let now = NOT_HELD;
  let [lowest, highest] = [Infinity, -Infinity];
  let best = { held: 0, lowest: -Infinity, highest: pressures.reduce((a, b) => Math.max(a, b), -Infinity) };
  for (const [i, at] of pressures.entries()) {
    const apart = (seconds[i] ?? 0) - (seconds[i - 1] ?? seconds[i] ?? 0);
    now = heldOn(now, { apart, pressure: psig(at), leakPerMinute: 0 }, asked, LONGEST_APART);
    if (now.held === 0) [lowest, highest] = [Infinity, -Infinity];
    [lowest, highest] = [Math.min(lowest, at), Math.max(highest, at)];
    if (now.held > best.held) best = { held: now.held, lowest, highest };
    if (now.held >= whole) break;
  }
  const isOver = most !== undefined && si(psig(best.highest)) > most;
  const judgedBy = best.held === 0 || isOver ? best.highest : best.lowest;
  return { held: quantity('time', best.held, 's'), pressure: psig(judgedBy) };
}
