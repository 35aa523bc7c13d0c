import { psig, si, type Force, type Length, type Area, type Torque } from '../quantity';
import type { Chance } from './random';
import type { ReliefSample } from './relief-on-rig';

/** A dump valve as it really is. */
export interface DumpValve {
  readonly diaphragmArea: Area;
  readonly shortArm: Length;
  readonly weight: Force;
  readonly position: Length;
  /** Of the lever itself, and what shaft and seals rub, moments. */
  readonly leverMoment: Torque;
  readonly friction: Torque;
}

const STEP = 0.01;
/** Seconds to fill the leg to the head it should open at, and for it to run out through the open valve. */
const [FILL, EMPTY] = [9, 2];
const AFTER_SHUT = 1.5;
/** Filled no further than so many times the head wanted. */
const GIVES_UP_AT = 2;
/** Pa. */
const GAUGE_NOISE = 20;

/** Heads at which it opens and shuts again, Pa: the moment of the head against weight and lever, friction against both. */
export function dumpHeads({ diaphragmArea, shortArm, weight, position, leverMoment, friction }: DumpValve) {
  const held = si(weight) * si(position) + si(leverMoment);
  const perPascal = si(diaphragmArea) * si(shortArm);
  return { opens: (held + si(friction)) / perPascal, shuts: (held - si(friction)) / perPascal };
}

/** A dump valve under a water leg, sampled every `every` seconds: it fills, dumps, runs out and shuts. */
export function* waterLegRun(
  dump: DumpValve,
  wantedPascals: number,
  dice: Chance,
  every = 0.05,
): Generator<ReliefSample, void> {
  const { opens, shuts } = dumpHeads(dump);
  let [head, shutAt] = [0, Infinity];
  let isOpen = false;
  for (let i = 0; ; i++) {
    const seconds = i * STEP;
    if (i % Math.round(every / STEP) === 0) {
      const shown = Math.max(0, head + GAUGE_NOISE * dice.normal());
      yield { seconds, pressure: psig(Math.round(shown / 68.94757293) / 100) };
    }
    if (seconds > shutAt + AFTER_SHUT || head > GIVES_UP_AT * wantedPascals) return;
    if (head >= opens) isOpen = true;
    else if (isOpen && head <= shuts) {
      isOpen = false;
      shutAt = seconds;
    }
    const fills = shutAt < Infinity || isOpen ? 0 : wantedPascals / FILL;
    head += (fills - (isOpen ? head / EMPTY : 0)) * STEP;
  }
}
