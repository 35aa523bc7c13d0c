export { chance, seedFrom, type Chance } from './random';
export { conditionOf, conditionSchema, type Condition } from './condition';
export { DIAL_RESOLUTION_THOU, dialReading } from './dial-on-stem';
export { wrenchClick } from './torque-wrench';
export { PUMPING, type RigHand } from './rig-hand';
export { leakThrough, rigRun, type RigSample, type RigTest } from './test-rig';
export {
  opensAt,
  reliefRun,
  REPEATS_WITHIN,
  reseatShare,
  type ReliefCondition,
  type ReliefSample,
} from './relief-on-rig';
export * from './control-valve';
export { regulatorRun, type RegulatorCondition } from './regulator';
export { dumpHeads, waterLegRun, type DumpValve } from './water-leg';
export { ventGauge } from './vent-gauge';
export { recordStroke, strokeCsv, USUAL_RIG, type StrokeRig, type StrokeSamples } from './stroke-recording';
export { photographBluedSeat, USUAL_SCENE, type BluedSeatScene } from './blued-seat-picture';
export { PLANTED_FAULTS, sickValve, symptomWith, type PlantedFault } from './sick-valve';
