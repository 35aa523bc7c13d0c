import { psig, si, valueIn, type GaugePressure, type Length, type Time } from '../quantity';
import { DROPS_PER_ML } from '../standards';
import type { Chance } from './random';

export interface RigSample {
  /** Seconds since the pump was started. */
  readonly seconds: number;
  readonly pressure: GaugePressure;
  readonly phase: 'rising' | 'holding' | 'done';
  /** Seconds of the hold behind. */
  readonly held: number;
  /** Drops counted in the hold so far. */
  readonly drops: number;
}

export interface RigTest {
  readonly pressure: GaugePressure;
  readonly hold: Time;
  /** Gap that the leak runs through. */
  readonly gap: Length;
}

const RISE_SECONDS = 6;
const SETTLED = 0.995;
/** A leak path along a seat, metres: across the flow and along it. */
const PATH = { width: 1e-3, length: 1e-3 };
const WATER_VISCOSITY = 1e-3;

/** Laminar flow through a narrow slot, `Q = w·h³·Δp / (12·µ·L)` (any text on lubrication), as drops a minute of water. */
export function dropsPerMinute(gap: Length, pressure: GaugePressure): number {
  const flow = (PATH.width * si(gap) ** 3 * si(pressure)) / (12 * WATER_VISCOSITY * PATH.length);
  return flow * 60 * 1e6 * DROPS_PER_ML;
}

/** A run of the rig, a sample every `step` seconds: pressure rises and settles, the hold runs, drops are counted. */
export function* rigRun(test: RigTest, dice: Chance, step = 0.5): Generator<RigSample, void> {
  const target = valueIn(test.pressure, 'psig') * 1.005;
  const hold = si(test.hold);
  const rate = dropsPerMinute(test.gap, test.pressure) / 60;
  let held = 0;
  let drops = 0;
  let due = dice.uniform() / 2;
  for (let seconds = 0; ; seconds += step) {
    const reached = 1 - Math.exp((-seconds * 5) / RISE_SECONDS);
    const shown = psig(Math.max(0, Math.round(target * (reached + 0.0004 * dice.normal()))));
    const holding = reached >= SETTLED;
    if (holding) {
      held = Math.min(hold, held + step);
      due += rate * step;
      drops += Math.floor(due);
      due -= Math.floor(due);
    }
    const done = held >= hold;
    yield { seconds, pressure: shown, phase: done ? 'done' : holding ? 'holding' : 'rising', held, drops };
    if (done) return;
  }
}
