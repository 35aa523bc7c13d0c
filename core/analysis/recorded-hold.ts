import { compare, psig, quantity, si, type GaugePressure, type Time } from '../quantity';
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

interface Stretch {
  readonly held: number;
  readonly lowest: number;
  readonly highest: number;
}

/** The hold of a pressure test in its recording: the first that is whole and nowhere too high, else the longest there is. */
export function recordedHold(
  { seconds, psig: pressures }: PressureRecording,
  asked: { readonly pressure: GaugePressure; readonly hold: Time; readonly most?: GaugePressure },
): RecordedHold {
  const [whole, most] = [si(asked.hold), asked.most === undefined ? Infinity : si(asked.most)];
  const isOver = ({ highest }: Stretch) => si(psig(highest)) > most;
  const stretches = heldStretches({ seconds, psig: pressures }, asked);
  const longest = stretches.reduce<Stretch | undefined>(
    (best, each) => (best && best.held >= each.held ? best : each),
    undefined,
  );
  const found = stretches.find((each) => each.held >= whole && !isOver(each)) ?? longest;
  if (!found || found.held === 0)
    return {
      held: quantity('time', 0, 's'),
      pressure: psig(pressures.reduce((a, b) => Math.max(a, b), -Infinity)),
    };
  const judgedBy = isOver(found) ? found.highest : found.lowest;
  return { held: quantity('time', found.held, 's'), pressure: psig(judgedBy) };
}

/** Stretches in which it was held at what is asked, each until it is whole: its seconds, its lowest and its highest. */
function heldStretches(
  { seconds, psig: pressures }: PressureRecording,
  asked: { readonly pressure: GaugePressure; readonly hold: Time },
): Stretch[] {
  const stretches: Stretch[] = [];
  let now = NOT_HELD;
  for (const [i, at] of pressures.entries()) {
    // One that is whole ends where the pressure is let go: another stage of the test may follow.
    if (now.phase === 'done' && compare(psig(at), asked.pressure) < 0) now = NOT_HELD;
    if (now.phase === 'done') continue;
    const apart = (seconds[i] ?? 0) - (seconds[i - 1] ?? seconds[i] ?? 0);
    now = heldOn(now, { apart, pressure: psig(at), leakPerMinute: 0 }, asked, LONGEST_APART);
    if (now.phase === 'rising') continue;
    const before = now.held > 0 ? stretches.pop() : undefined;
    const [lowest, highest] = [Math.min(before?.lowest ?? at, at), Math.max(before?.highest ?? at, at)];
    stretches.push({ held: now.held, lowest, highest });
  }
  return stretches;
}
