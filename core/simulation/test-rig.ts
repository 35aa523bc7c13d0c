import {
  psig,
  si,
  valueIn,
  type GaugePressure,
  type Leak,
  type LeakCount,
  type Length,
  type Time,
} from '../quantity';
import { CLASS_VI_BUBBLE_ML, DROPS_PER_ML } from '../standards';
import type { Chance } from './random';
import { PUMPING, VENTS_IN, type RigHand } from './rig-hand';

export interface RigSample {
  /** Seconds since the pump was started. */
  readonly seconds: number;
  readonly pressure: GaugePressure;
  readonly phase: 'rising' | 'holding' | 'done';
  /** Seconds of the hold behind. */
  readonly held: number;
  /** Drops, bubbles or millilitres counted in the hold so far. */
  readonly leaked: number;
}

/** A path for a leak: its gap, what is in front of it, and what is counted behind. */
export interface LeakPath {
  readonly gap: Length;
  readonly pressure: GaugePressure;
  readonly fluid: 'liquid' | 'gas';
  readonly of: LeakCount;
}

export interface RigTest extends LeakPath {
  readonly hold: Time;
}

const RISE_SECONDS = 6;
const SETTLED = 0.995;
/** A leak path along a seat, metres: across the flow and along it. */
const PATH = { width: 1e-3, length: 1e-3 };
/** Pa·s at 20 °C, water and air. */
const VISCOSITY = { liquid: 1e-3, gas: 1.8e-5 };
/** How many are counted to a millilitre, and how fine: a drop falls whole, a tube is read to a tenth. */
const COUNTS: Readonly<Record<LeakCount, { perMl: number; least: number }>> = {
  drops: { perMl: DROPS_PER_ML, least: 1 },
  bubbles: { perMl: 1 / CLASS_VI_BUBBLE_ML, least: 1 },
  mL: { perMl: 1, least: 0.1 },
};

/** Laminar flow through a narrow slot, `Q = w·h³·Δp / (12·µ·L)` (any text on lubrication), as it is counted. */
export function leakThrough({ gap, pressure, fluid, of }: LeakPath): Leak {
  const flow = (PATH.width * si(gap) ** 3 * si(pressure)) / (12 * VISCOSITY[fluid] * PATH.length);
  return { perMinute: flow * 60 * 1e6 * COUNTS[of].perMl, of };
}

/**
 * A run of the rig, a sample every `step` seconds: pressure rises and settles, the hold runs, the leak is counted. `hand` is
 * asked how pump and vent stand; vented below its pressure, the hold begins anew.
 */
export function* rigRun(
  test: RigTest,
  dice: Chance,
  step = 0.5,
  hand: () => RigHand = () => PUMPING,
): Generator<RigSample, void> {
  const asked = valueIn(test.pressure, 'psig');
  // Whoever pumps it up aims a little over what is asked: the gauge shows whole psi.
  const target = Math.max(asked * 1.005, asked + 1);
  const hold = si(test.hold);
  const { least } = COUNTS[test.of];
  const rate = leakThrough(test).perMinute / 60 / least;
  let held = 0;
  let counted = 0;
  let due = dice.uniform() / 2;
  let reached = 0;
  for (let seconds = 0; ; seconds += step) {
    const shown = psig(Math.max(0, Math.round(target * (reached + 0.0004 * dice.normal()))));
    const holding = reached >= SETTLED;
    if (!holding) [held, counted] = [0, 0];
    else {
      held = Math.min(hold, held + step);
      due += rate * step;
      counted += Math.floor(due);
      due -= Math.floor(due);
    }
    const done = held >= hold;
    const phase = done ? 'done' : holding ? 'holding' : 'rising';
    yield { seconds, pressure: shown, phase, held, leaked: counted * least };
    if (done) return;
    const { pumping, vented } = hand();
    if (vented) reached *= Math.exp(-step / VENTS_IN);
    else if (pumping) reached = 1 - (1 - reached) * Math.exp((-step * 5) / RISE_SECONDS);
  }
}
