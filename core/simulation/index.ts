export { chance, seedFrom, type Chance } from './random';
export { conditionOf, conditionSchema, type Condition } from './condition';
export { DIAL_RESOLUTION_THOU, dialReading } from './dial-on-stem';
export { wrenchClick } from './torque-wrench';
export { dropsPerMinute, rigRun, type RigSample, type RigTest } from './test-rig';
export { ventGauge } from './vent-gauge';
