import type { Fragment } from './draft';
import { threePieceBall } from './fragments/ball';
import { boltedBonnet, jointFaces } from './fragments/bolted-bonnet';
import { asFound } from './fragments/as-found';
import { balancedCage } from './fragments/cage';
import { seatCartridge } from './fragments/cartridge';
import { guidedCheck, swingCheck } from './fragments/checks';
import { clampedRing } from './fragments/clamped-ring';
import { clampedYoke } from './fragments/clamped-yoke';
import { diagnose } from './fragments/diagnose';
import { doublePlug } from './fragments/double-plug';
import { hygienicSeat } from './fragments/hygienic';
import { inspectParts } from './fragments/inspect';
import { lowPressureDiaphragm } from './fragments/low-pressure';
import { marksMet, matchMarks, ventedAgain } from './fragments/match-marks';
import { partRenewal } from './fragments/part-renewal';
import { pilotSolenoid } from './fragments/pilot-solenoid';
import { pistonActuator } from './fragments/piston-actuator';
import { positioner } from './fragments/positioner';
import { isolate, restore } from './fragments/isolate';
import { receive } from './fragments/receive';
import { selfActingRegulator } from './fragments/regulator';
import { release } from './fragments/release';
import { repackInPlace } from './fragments/repack-in-place';
import { risingStem } from './fragments/rising-stem';
import { rollingDiaphragmActuator, vaneArmActuator } from './fragments/rotary-actuators';
import { rotaryTrim } from './fragments/rotary-trim';
import { blueAsFound, contactHold, seatWork } from './fragments/seat-work';
import { settings } from './fragments/settings';
import { shearPinRelief } from './fragments/shear-pin-relief';
import { slidingStem } from './fragments/sliding-stem';
import { slabGate } from './fragments/slab-gate';
import { springDiaphragmActuator } from './fragments/spring-diaphragm-actuator';
import { springRelief } from './fragments/spring-relief';
import { stuffingBox } from './fragments/stuffing-box';
import { taperPlug } from './fragments/taper-plug';
import { pressureTests } from './fragments/tests';
import { wedgeGate } from './fragments/wedge';
import { weightLever } from './fragments/weight-lever';

/**
 * Everything a plan can be composed of. Each fragment says by features where it applies, so that a valve of mixed
 * features gets its plan from the same list; their order only breaks ties: relations decide.
 */
export const FRAGMENTS: readonly Fragment[] = [
  receive,
  asFound,
  diagnose,
  isolate,
  matchMarks,
  ventedAgain,
  settings,
  springDiaphragmActuator,
  pistonActuator,
  rollingDiaphragmActuator,
  vaneArmActuator,
  positioner,
  weightLever,
  boltedBonnet,
  clampedYoke,
  slabGate,
  taperPlug,
  repackInPlace,
  guidedCheck,
  swingCheck,
  threePieceBall,
  doublePlug,
  balancedCage,
  seatCartridge,
  rotaryTrim,
  lowPressureDiaphragm,
  hygienicSeat,
  selfActingRegulator,
  shearPinRelief,
  pilotSolenoid,
  springRelief,
  wedgeGate,
  risingStem,
  slidingStem,
  clampedRing,
  stuffingBox,
  inspectParts,
  blueAsFound,
  jointFaces,
  partRenewal,
  seatWork,
  contactHold,
  marksMet,
  pressureTests,
  restore,
  release,
];
