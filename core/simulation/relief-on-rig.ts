import { psig, si, valueIn, type GaugePressure } from '../quantity';
import type { Chance } from './random';
import { PUMPING, VENTS_IN, type RigHand } from './rig-hand';

/** What is really the matter with a relief valve. Shares are of its set pressure. */
export interface ReliefCondition {
  /** How far its screw is off, up or down. */
  readonly screwOff: number;
  /** How much later it opens the first time, for what has stuck it down. */
  readonly dirt: number;
  /** Turns of the compression screw clockwise since, and what one of them does. */
  readonly turns: number;
  readonly perTurn: number;
  /** How much larger the huddling chamber is than the nozzle, share of its area: higher rings, more of it. */
  readonly huddling: number;
}

export interface ReliefSample {
  readonly seconds: number;
  readonly pressure: GaugePressure;
}

interface Run {
  /** What it should open at: whoever pumps goes slowly from nine tenths of it, and no further than half again. */
  readonly set: GaugePressure;
  readonly condition: ReliefCondition;
  /** Whether it has opened before on this rig: what was stuck has let go. */
  readonly opened: boolean;
}

/** Pops of one valve differ by this much, standard deviation (common practice). */
export const REPEATS_WITHIN = 0.003;
const STUCK_AT = 1.5;
const SIMMERS_FROM = 0.98;
/** What simmer lets by, share of what the pump brings. */
const SIMMER_TAKES = 0.55;
/** At full lift the spring has taken up this share of what the huddling chamber adds. */
const SPRING_TAKES = 0.6;
/** Seconds: to nine tenths of set, to empty the rig through the open valve, and for the disc to lift. */
const [RISE, EMPTY, LIFT] = [9, 2.5, 0.01];
const SLOWLY = 1 / 5;
const AFTER_RESEAT = 1.5;
const STEP = 0.001;
const GAUGE_NOISE = 0.0003;

/** Pressure at which a valve that opens at `pop` shuts again: the open disc has the larger area, the spring its lift. */
export const reseatShare = (huddling: number): number => (1 + SPRING_TAKES * huddling) / (1 + huddling);

/**
 * A relief valve on a shop's rig, sampled every `every` seconds: pressure comes up, slowly near its set; it simmers, pops
 * as the huddling chamber takes hold, empties the rig and shuts as that pressure no longer holds its disc up. Nozzle force
 * `P·A` against the spring; discharge in proportion to pressure and lift. `hand` is asked how pump and vent stand. Ends after it has shut, or at 150 % of set.
 */
export function* reliefRun(
  { set, condition, opened }: Run,
  dice: Chance,
  every = 0.05,
  hand: () => RigHand = () => PUMPING,
): Generator<ReliefSample, void> {
  const aim = si(set);
  const { screwOff, dirt, turns, perTurn, huddling } = condition;
  const spring = aim * (1 + screwOff + turns * perTurn) * (1 + REPEATS_WITHIN * dice.normal());
  const pop = opened ? spring : spring * (1 + dirt);
  const reseat = spring * reseatShare(huddling);
  const feed = (0.9 * aim) / RISE;
  let [pressure, lift, shutAgain] = [0, 0, Infinity];
  let isOpen = false;
  for (let i = 0; ; i++) {
    const seconds = i * STEP;
    if (i % Math.round(every / STEP) === 0) {
      const shown = Math.max(0, pressure * (1 + GAUGE_NOISE * dice.normal()));
      yield { seconds, pressure: psig(Math.round(shown / 689.4757293) / 10) };
    }
    if (seconds > shutAgain + AFTER_RESEAT || pressure >= STUCK_AT * aim) return;
    if (pressure >= pop) isOpen = true;
    else if (isOpen && pressure <= reseat) {
      isOpen = false;
      shutAgain = seconds;
    }
    lift += ((isOpen ? 1 : 0) - lift) * (STEP / LIFT);
    const { pumping, vented } = hand();
    const isFed = pumping && !vented && !isOpen && shutAgain === Infinity;
    const brought = isFed ? feed * (pressure < 0.9 * aim ? 1 : SLOWLY) : 0;
    const simmer = !isOpen && pressure > SIMMERS_FROM * pop ? SIMMER_TAKES * brought : 0;
    const letGo = (pressure * lift) / EMPTY + (vented ? pressure / VENTS_IN : 0);
    pressure += (brought - simmer - letGo) * STEP;
  }
}

/** Where it opens on the average, once nothing sticks. */
export const opensAt = (set: GaugePressure, { screwOff, turns, perTurn }: ReliefCondition): GaugePressure =>
  psig(valueIn(set, 'psig') * (1 + screwOff + turns * perTurn));
